import type { ClosedEnquiry } from './closedEnquiry.ts';

/** What came in at the clinic by the estuary in May and June. */
export const CLOSED_IN_EARLY_SUMMER: readonly ClosedEnquiry[] = [
  {
    on: '05-02',
    channel: 'phone',
    name: 'Ambrose Teague',
    words:
      'Rhubarb leaves wilt and the crown is soft and brown where the stalks come out, smells bad. It stands in a wet corner.',
    proved: ['rhubarb-crown-rot', 'in-hand', '2026-05-09'],
    went: ['all', 'dead', 'Dug out, new plants on a mound.'],
    by: 2,
  },
  {
    on: '05-04',
    channel: 'phone',
    name: 'Lavinia Stroud',
    words:
      'Radishes have little holes and brown tunnels with white maggots inside. The leaves look good.',
    proved: ['root-maggot-brassica', 'enquirer', '2026-05-04'],
    went: ['partly', 'better', 'Second sowing under cloth is clean.'],
    by: 1,
  },
  {
    on: '05-06',
    channel: 'text',
    name: 'Hob Trevanion',
    words:
      'tiny round holes all over the arugula and radish leaves like shot, little black bugs jump when i touch it',
    proved: ['flea-beetles', 'photograph', '2026-05-06'],
    went: ['all', 'better', ''],
    by: 1,
  },
  {
    on: '05-08',
    channel: 'email',
    name: 'Philippa Norland',
    words:
      'The leaves of our birch open small and some branches at the top of the tree stay bare this spring. The bark there has bumps and D-shaped holes.',
    proved: ['bronze-birch-borer', 'in-hand', '2026-05-22'],
    by: 2,
  },
  {
    on: '05-09',
    channel: 'phone',
    name: 'Jasper Quillfeather',
    words:
      'Blueberry flowers and young leaves turn brown and wilt overnight, with gray powder on the stalks. It was foggy for a week.',
    proved: ['mummy-berry', 'laboratory', '2026-05-27'],
    went: ['partly', 'same', 'Raked up the mummies late.'],
    by: 2,
  },
  {
    on: '05-10',
    channel: 'walk-in',
    name: 'Winifred Lusk',
    words:
      'Viburnum leaves are eaten to lace and there are small yellow-green larvae with dots underneath.',
    proved: ['viburnum-beetle', 'in-hand', '2026-05-10'],
    went: ['all', 'better', ''],
    by: 1,
  },
  {
    on: '05-12',
    channel: 'phone',
    name: 'Alaric Dunn',
    words:
      'Silky white tents in the forks of the cherry, full of hairy caterpillars, leaves eaten around them.',
    proved: ['tent-caterpillar', 'photograph', '2026-05-12'],
    went: ['all', 'better', 'Pulled them out at dusk.'],
    by: 1,
  },
  {
    on: '05-13',
    channel: 'phone',
    name: 'Bettina Corrigan',
    words:
      'Tulips came up with twisted leaves, brown scorched tips and gray mold on them, the buds did not open.',
    proved: ['tulip-fire', 'in-hand', '2026-05-16'],
    went: ['all', 'better', 'Lifted and binned them.'],
    by: 2,
  },
  {
    on: '05-15',
    channel: 'text',
    name: 'Rufus Ellery',
    words:
      'spinach has winding pale tunnels and blotches in the leaves, can see a maggot inside when i hold it to the light',
    proved: ['leafminers-other', 'photograph', '2026-05-15'],
    went: ['all', 'same', ''],
    by: 1,
  },
  {
    on: '05-16',
    channel: 'phone',
    name: 'Dorothea Wynn',
    words:
      'Tips of the potato leaves are black and limp this morning, all the plants on the low end of the field. It was clear and cold last night.',
    proved: ['frost-injury', 'enquirer', '2026-05-30'],
    went: ['all', 'better', 'They came again from below.'],
    by: 1,
  },
  {
    on: '05-18',
    channel: 'email',
    name: 'Ignatius Fell',
    words:
      'Currant leaves on the inner branches were eaten within two days, only the ribs are left. Green caterpillars with black dots.',
    proved: ['currant-borer', 'enquirer', '2026-05-25'],
    by: 1,
  },
  {
    on: '05-19',
    channel: 'walk-in',
    name: 'Rosalind Keir',
    words:
      'Gooseberries have white powder on the shoot tips and on the berries, the tips are stunted.',
    proved: ['american-gooseberry-mildew', 'in-hand', '2026-05-19'],
    went: ['partly', 'same', 'Cut the tips, did not spray.'],
    by: 2,
  },
  {
    on: '05-20',
    channel: 'phone',
    name: 'Mortimer Sedge',
    words:
      'Lupins are covered in big gray green lice, the flower stalks bend over and everything is sticky.',
    proved: ['aphids', 'photograph', '2026-05-20'],
    went: ['all', 'better', 'A jet of water, three times.'],
    by: 1,
  },
  {
    on: '05-21',
    channel: 'phone',
    name: 'Evadne Coyle',
    words:
      'Mountain ash leaves are being eaten from the edge in by a row of greenish larvae with black heads, branch by branch.',
    by: 1,
  },
  {
    on: '05-22',
    channel: 'text',
    name: 'Percy Ludlow',
    words:
      'orange jelly horns hanging on my juniper after the rain, like something from the sea. what is this',
    proved: ['cedar-rust-juniper', 'photograph', '2026-05-22'],
    went: ['all', 'same', ''],
    by: 1,
  },
  {
    on: '05-23',
    channel: 'phone',
    name: 'Clementine Ashworth',
    words:
      'Strawberry flowers have a black center and there will be no berry. The petals look all right. We had ice on the windshield twice.',
    proved: ['spring-freeze-fruit', 'enquirer', '2026-06-05'],
    went: ['none', 'same', ''],
    by: 0,
  },
  {
    on: '05-25',
    channel: 'email',
    name: 'Lysander Moat',
    words:
      'My columbine leaves have white winding lines on them, like somebody drew with a pen. The plant flowers well.',
    proved: ['leafminers-other', 'photograph', '2026-05-25'],
    went: ['none', 'same', 'Left it, as you said.'],
    by: 1,
  },
  {
    on: '05-26',
    channel: 'walk-in',
    name: 'Nerys Holloway',
    words:
      'A white froth like spit on the stems of my lavender and asters, with a little green bug inside.',
    proved: ['spittlebug', 'in-hand', '2026-05-26'],
    went: ['all', 'better', ''],
    by: 1,
  },
  {
    on: '05-27',
    channel: 'phone',
    name: 'Caspian Wroe',
    words:
      'Iris leaves have brown wet streaks and the fan falls over; the rhizome is mushy and stinks.',
    proved: ['iris-soft-rot', 'in-hand', '2026-06-03'],
    went: ['all', 'better', 'There were tunnels too; cut all of it out.'],
    by: 2,
  },
  {
    on: '05-28',
    channel: 'phone',
    name: 'Honor Maddox',
    words:
      'Balsam firs along the lane have yellow needles of this year with white tubes underneath, and there are ferns below.',
    proved: ['fir-rust', 'photograph', '2026-06-02'],
    went: ['none', 'same', ''],
    by: 1,
  },
  {
    on: '05-29',
    channel: 'text',
    name: 'Linus Farthing',
    words:
      'pelargoniums in the porch boxes have corky bumps under the leaves, cool and wet all week and i watered anyway',
    proved: ['edema', 'photograph', '2026-05-29'],
    went: ['all', 'better', ''],
    by: 1,
  },
  {
    on: '05-30',
    channel: 'phone',
    name: 'Zinnia Prowse',
    words:
      'Potato plants: fat orange beetles with black stripes and red humpback grubs eating the leaves.',
    proved: ['potato-beetle', 'enquirer', '2026-05-30'],
    went: ['all', 'better', 'Picking into soapy water.'],
    by: 1,
  },
  {
    on: '05-31',
    channel: 'email',
    name: 'Hartley Gorse',
    words:
      'Lilac leaves have brown edges and black streaks on the young shoots, flower buds went black and limp in the rain.',
    by: 2,
  },
  {
    on: '06-01',
    channel: 'phone',
    name: 'Isadora Penn',
    words:
      'Pea pods and leaves near the ground have white powder, it rubs off. Dry days and cool nights.',
    proved: ['powdery-mildew', 'enquirer', '2026-06-08'],
    by: 1,
  },
  {
    on: '06-02',
    channel: 'walk-in',
    name: 'Marcus Thwaite',
    words:
      'The crab apple has orange spots with a red edge on the leaves. A juniper hedge stands next to it.',
    proved: ['cedar-apple-rust', 'in-hand', '2026-06-02'],
    by: 1,
  },
  {
    on: '06-03',
    channel: 'phone',
    name: 'Sibyl Trask',
    words:
      'Onions are yellow and wilt one by one; when I pull them the bulb is rotten with white maggots in it.',
    proved: ['onion-maggot', 'enquirer', '2026-06-03'],
    by: 1,
  },
  {
    on: '06-03',
    channel: 'text',
    name: 'Orson Blythe',
    words:
      'raspberry canes: tip of the new shoots wilted with two neat rings around the stem below',
    proved: ['cane-borer', 'photograph', '2026-06-03'],
    by: 2,
  },
  {
    on: '06-04',
    channel: 'phone',
    name: 'Drusilla Kemp',
    words: 'Beach rose leaves have round black spots with a feathery edge and turn yellow.',
    by: 1,
  },
  {
    on: '06-05',
    channel: 'email',
    name: 'Barnaby Swale',
    words:
      'Broccoli and kale have large ragged holes and velvety green caterpillars along the rib. White butterflies everywhere.',
    proved: ['cabbage-worms', 'photograph', '2026-06-09'],
    by: 1,
  },
  {
    on: '06-06',
    channel: 'phone',
    name: 'Cordelia Venn',
    words:
      'My delphiniums have black tarry blotches on the leaves, spreading from the bottom up. It has rained for days.',
    by: 0,
  },
  {
    on: '06-06',
    channel: 'walk-in',
    name: 'Thaddeus Orme',
    words:
      'The red osier has pink threads in the grass below it and the lawn there has straw-colored patches with red needles sticking out.',
    proved: ['red-thread', 'in-hand', '2026-06-06'],
    by: 2,
  },
];
