import type { ClosedEnquiry } from './closedEnquiry.ts';

/** What came in at the clinic by the estuary in March and April. */
export const CLOSED_IN_SPRING: readonly ClosedEnquiry[] = [
  {
    on: '03-07',
    channel: 'phone',
    name: 'Leopold Marrin',
    words:
      'Snow has melted off the front lawn and there are round gray patches all matted down with a web on them, about a foot across.',
    proved: ['snow-mold', 'in-hand', '2026-03-21'],
    went: ['all', 'better', 'Raked it up, it is growing through.'],
    by: 1,
  },
  {
    on: '03-14',
    channel: 'walk-in',
    name: 'Quentin Sorrel',
    words:
      'Young apple tree planted two years ago. The bark is gnawed off all round at the bottom, up to where the snow was. Small tooth marks.',
    proved: ['voles', 'photograph', '2026-03-14'],
    went: ['all', 'dead', 'Girdled all the way; a new one comes in fall with a guard.'],
    by: 1,
  },
  {
    on: '03-18',
    channel: 'email',
    name: 'Ursula Hask',
    words:
      'The rhododendron by the drive has brown dry leaves on the side towards the road and the sea wind, curled along the edges. The other side is green.',
    proved: ['winter-burn-evergreen', 'photograph', '2026-05-02'],
    went: ['partly', 'better', 'New shoots on the bare side.'],
    by: 0,
  },
  {
    on: '03-21',
    channel: 'phone',
    name: 'Tobiah Renn',
    words:
      'Two arborvitae in the hedge were stripped bare up to about five feet this winter, torn ends, nothing below. Above that they are green.',
    proved: ['deer-rabbits', 'in-hand', '2026-03-28'],
    by: 1,
  },
  {
    on: '03-28',
    channel: 'phone',
    name: 'Imke Dolan',
    words:
      'Black swollen knobbly lumps along the twigs of my plum tree, hard and rough, some as long as a finger.',
    proved: ['black-knot', 'photograph', '2026-04-02'],
    went: ['all', 'better', 'Cut out a hand below each knot before bud break.'],
    by: 2,
  },
  {
    on: '04-02',
    channel: 'text',
    name: 'Basil Crewe',
    words:
      'yellow crusty stuff and gray-green flaky patches on the bark of my old crab apple. is it killing the tree',
    proved: ['bark-lichen', 'photograph', '2026-04-02'],
    went: ['all', 'same', ''],
    by: 1,
  },
  {
    on: '04-09',
    channel: 'phone',
    name: 'Maren Tolle',
    words:
      'Tomato seedlings on the window sill fall over at the soil, thin and brown just there, one after the other since three days. The compost is always wet.',
    proved: ['damping-off', 'enquirer', '2026-04-20'],
    went: ['all', 'better', 'Sowed again in fresh mix.'],
    by: 1,
  },
  {
    on: '04-11',
    channel: 'walk-in',
    name: 'Fergus Aldane',
    words:
      'Tiny black flies all over the pots with seedlings and they come up when I water. Little white worms with a black head in the compost.',
    proved: ['fungus-gnats', 'in-hand', '2026-04-11'],
    went: ['all', 'better', 'Let it dry out between waterings.'],
    by: 1,
  },
  {
    on: '04-15',
    channel: 'email',
    name: 'Ottoline Brack',
    words:
      'The lawn is more moss than grass under the spruces, it comes off like a carpet. The soil is sour and wet there.',
    proved: ['lawn-moss', 'in-hand', '2026-04-25'],
    went: ['partly', 'same', ''],
    by: 0,
  },
  {
    on: '04-18',
    channel: 'phone',
    name: 'Silas Verrill',
    words:
      'Garlic leaves have yellow stripes and the lower leaves collapse. When I pulled one up the roots are gone and there is white fluff with little black dots on the bulb.',
    proved: ['white-rot-allium', 'laboratory', '2026-05-06'],
    went: ['all', 'worse', 'Pulled the row; no onions there again.'],
    by: 2,
  },
  {
    on: '04-22',
    channel: 'phone',
    name: 'Thea Rowland',
    words:
      'Our beach rose has long canes that are brown and dead at the top after this winter, the lower parts have buds.',
    proved: ['winter-dieback', 'enquirer', '2026-05-20'],
    went: ['all', 'better', 'Cut back to live wood.'],
    by: 1,
  },
  {
    on: '04-25',
    channel: 'text',
    name: 'Cornelius Pike',
    words:
      'blue spruce by the road, needles brown on the road side only up to eye height, other side fine',
    proved: ['winter-burn-evergreen', 'photograph', '2026-05-15'],
    by: 1,
  },
  {
    on: '04-28',
    channel: 'walk-in',
    name: 'Greta Hollin',
    words:
      'Brought a lily shoot with bright red beetles on it, they squeak. Leaves already chewed at the edges.',
    proved: ['lily-beetle', 'in-hand', '2026-04-28'],
    went: ['all', 'better', 'Picks them every morning.'],
    by: 1,
  },
];
