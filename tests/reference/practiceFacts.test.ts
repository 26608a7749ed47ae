/**
 * What advisors know and do, by common practice: each row names the entry of the library that must say it.
 * The rows have no published source unless one stands beside the entry.
 */
import type { Amount } from '../../src/core/schema/amount.ts';
import { amountInWords } from '../../src/wording/quantities.ts';
import { readCheckedLibrary } from '../../src/server/knowledge/loadLibrary.ts';

const read = readCheckedLibrary('knowledge');
if (!read.ok) throw new Error('run npm run check:knowledge');
const library = read.value;

/** Amounts as they are said. */
const inWords = (key: string, value: unknown): unknown =>
  key === 'amount' ? amountInWords(value as Amount) : value;

const entries = new Map<string, string>(
  [
    ...library.findings,
    ...library.causes,
    ...library.careTopics,
    ...library.treatments,
    ...library.views,
  ].map((entry) => [entry.id, JSON.stringify(entry, inWords)]),
);

/** A test done on the telephone or at the desk: the finding that asks for it, and what its text must name. */
const TESTS: readonly (readonly [finding: string, says: RegExp])[] = [
  ['paper-specks-move', /paper/i],
  ['leaf-wipes-off', /rub|wipe/i],
  ['webbing-fine', /light/i],
  ['scratch-green', /scratch|scrape/i],
  ['leaf-lower-yellow-falls-touch', /push/i],
  ['roots-brown-slimy', /pot/i],
  ['lifts-out-rootless', /lift|pull/i],
  ['turf-rolls-up', /carpet/i],
  ['rod-stops-early', /steel rod.*60 to 90 cm.*30 to 60 cm.*15 to 30 cm/s],
  ['sprinkler-blocked', /run .*(sprinkler|zone).*watch/is],
  ['needles-two', /bundle|twos/i],
  ['needles-inner', /inside|inner/i],
  ['needles-tips', /tips/i],
  ['culprit-unseen-by-day', /dark.*torch|torch/i],
  ['mushroom-sheet-bark', /white (sheet|fan).*|mushroom/is],
  ['stump-near', /stump/i],
  ['turf-dug-cones', /holes/i],
  ['turf-churned-tiller', /tiller/i],
  ['turf-tunnels-raised', /raised|ridge/i],
  ['leaf-wilt', /bends in the middle.*grows curled/],
  ['leaf-sticky', /sticky/i],
  ['hole-d-shaped', /D/],
  ['soil-test-low', /soil/i],
];

/** Facts on causes, treatments and care, by entry. */
const FACTS: readonly (readonly [entry: string, says: RegExp])[] = [
  ['leach-salts', /once a week.*60 to 90 cm.*spikes/],
  ['salt-burn', /"watering-daily-light"/],
  ['shade-cloth', /20-50 % shade cloth.*not touch/],
  ['care-desert-summer', /each morning.*Synthetic fertilizer/],
  ['turf-water-deep', /morning.*never in the evening/],
  ['succulent-overwatering', /7 to 10 days for each inch/],
  ['rain-water', /chlorine go, not fluoride/],
  ['care-carnivorous-winter', /[Rr]ain or distilled water/],
  ['care-divide', /first year/],
  ['thirst', /leaf-spotless-brown/],
  ['too-much-nitrogen', /cost of flowers and fruit/],
  ['iron-chelate', /leaves in a light case.*drench in a heavy one.*can poison/],
  ['feed-a-yellow-tree', /20 m/],
  ['care-tree-feed', /native/],
  ['care-compost', /12 mm.*10 to 15 cm.*desert/],
  ['care-granules-spread', /Water in whatever is spread on the surface/],
  ['care-deep-root-feeding', /contractor.*packed, steep/],
  ['mulch', /clear of the stem.*5 to 8 cm/],
  ['care-raised-bed-soil', /60 to 70 % compost/],
  ['care-new-lawn-mow', /third of the blade.*two days later/],
  ['care-hydrangea-pruning', /right after flowering or not at all/],
  ['care-bulb-leaves', /six weeks.*spent flowers at once/],
  ['care-rhubarb-asparagus', /flower stalks out.*yellowed in autumn/],
  ['care-poppy-cutback', /stalks.*Cutting green leaves/],
  ['care-deadhead', /above the next swollen node, later to the base/],
  ['care-tomato-suckers', /leaf roll already opens the fruit/],
  ['care-freeze-after', /mushy.*two to three weeks with shrubs, two to three months with palms/],
  ['care-snow-shrubs', /broom, upward and gently; leave ice/],
  ['care-overwinter-tender', /straw.*never plastic/],
  ['peony-no-bloom', /2.5 to 5 cm.*14 to 18 weeks/],
  ['care-peony-move', /-20 C.*one or two eyes stay weak/],
  ['heuchera-wet-feet', /"coral-bells":"very"/],
  ['heat-stress-annuals', /27 C/],
  ['powdery-mildew', /Seedlings hit early.*[Cc]ompost/],
  ['milk-spray', /1:1.*morning sun/],
  ['squash-powdery-mildew-end', /not worth treating/],
  ['spruce-rhizosphaera', /tips are already infected.*chlorothalonil.*windbreaks/],
  ['tomato-early-blight', /mulch/i],
  ['hollyhock-rust', /low leaves.*resistant single.*hot, dry, poor.*hide the base/],
  ['botrytis', /flower stalks down into the branches/],
  ['root-barrier', /45 cm.*2 to 3 cm.*1 m .*a year.*no high stump/],
  ['honey-fungus', /Phosphite.*resists honey fungus/],
  ['pine-wilt', /sawyer.*months/],
  ['remove-tree-before-spring', /chipped or burned before spring; do not store/],
  ['water-jet', /from below in the morning/],
  ['soft-scale', /every 10 to 12 days, 4 times/],
  ['scrape-scale', /soft toothbrush.*10 C/],
  ['magnolia-scale', /crawlers/],
  ['boxwood-psyllid', /dormant-oil/],
  ['bagworm', /300 eggs/],
  ['fall-webworm', /birds/],
  ['peachtree-borer', /06-05|"from"|mid June.*write the tree off/],
  ['pine-tip-moth', /every 20 days.*license holders|license holders.*every 20 days/],
  ['stink-bug-fruit', /next door/],
  ['tortoise-beetles', /can be left/],
  ['viburnum-beetle', /can be left/],
  ['lily-beetle', /strip lilies/],
  ['fungus-gnats', /do not kill/],
  ['whiteflies', /can kill/],
  ['chinch-bugs', /st-augustine/],
  ['bti-water', /Bti/],
  ['bitter-repellent', /three or four rains/],
  ['raccoons-corn', /fishy bait at the very back/],
  ['armadillo-digging', /same path/],
  ['castor-oil-granules', /as the bag says/],
  ['moles', /scissor jaws.*across a tunnel/],
  ['voles', /use mole runs/],
  ['carpenter-bees', /empty it only when full/],
  ['diatomaceous-earth', /still, dry morning.*gloves and a dust mask/],
  ['avocado-leaf-change', /red.*yellow and fall, most of all at bloom/],
  ['silver-leaf-marks', /squash/],
  ['purple-kinds', /[Pp]urple.*tomato|tomato.*[Pp]urple/],
  ['tomato-leaf-roll', /leave/],
  ['leaf-galls', /no harm/],
  ['dig-weeds', /two days before/],
  ['care-weeds-bed', /black ink.*before any grass is sown/],
  ['care-hose-end-sprayer', /16 tablespoons are 1 cup, 256 are 1 US gallon/],
  ['mower-injury', /19 %.*32 %/],
  ['care-rain-barrel', /623 gallons.*30,000.*460 lb/],
  ['care-plug-spacing', /spacing times itself/],
];

/** A cause and what it invites. */
const CHAINS: readonly (readonly [from: string, to: string])[] = [
  ['thirst', 'spider-mites'],
  ['drought-tree', 'spider-mites'],
  ['drought-tree', 'borers-wood'],
  ['mower-injury', 'borers-wood'],
  ['waterlogged-pot', 'root-rot'],
  ['waterlogged-pot', 'fungus-gnats'],
  ['drought-tree', 'honey-fungus'],
  ['too-much-nitrogen', 'aphids'],
  ['too-much-nitrogen', 'citrus-leafminer'],
  ['aphids', 'sooty-mold'],
  ['soft-scale', 'sooty-mold'],
  ['whiteflies', 'sooty-mold'],
  ['moles', 'voles'],
  ['white-grubs', 'animals-digging'],
  ['white-grubs', 'armadillo-digging'],
  ['alkaline-excess-lime', 'iron-chlorosis'],
  ['tomato-leaf-roll', 'sunscald-fruit'],
  ['frost-injury', 'cactus-soft-rot'],
];

/** Circumstances that stand behind a cause, as findings that speak for it. */
const BEHIND: readonly (readonly [cause: string, finding: string])[] = [
  ['honey-fungus', 'stump-near'],
  ['leaf-spot-other', 'watering-evening-overhead'],
  ['chilling-cold-water', 'leaf-purple'],
  ['iron-chlorosis', 'alkaline-soil'],
  ['sunscald-fruit', 'pruned-recently'],
  ['too-much-nitrogen', 'flowers-none'],
];

it.each(TESTS)('asks for the test %s', (id, says) => {
  expect(entries.get(id)).toMatch(says);
});

it.each(FACTS)('knows by common practice: %s', (id, says) => {
  expect(entries.get(id)).toMatch(says);
});

it.each(CHAINS)('knows that %s invites %s', (from, to) => {
  expect(library.causes.find(({ id }) => id === from)?.leadsTo).toContain(to);
});

it.each(BEHIND)('counts for %s what stands behind it: %s', (id, finding) => {
  const cause = library.causes.find((one) => one.id === id);
  expect(Object.keys(cause?.findings ?? {})).toContain(finding);
});

it('says where practitioners differ, what is done here and why', () => {
  const wanted =
    'wetting bulb mildew scale fungicide wound-paint yellow-tree peach weeds organic'.split(' ');
  for (const about of wanted)
    expect(library.views.filter(({ id }) => id.includes(about))).toHaveLength(1);
});
