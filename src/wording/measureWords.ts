/** The words of one calculator: a sentence with blanks, and one with what was worked out. */
export interface MeasureWords {
  readonly name: string;
  /** `{input}` stands where a blank is filled in. */
  readonly asks: string;
  /** `{result}` stands where a result is said. */
  readonly gives: string;
  /** What it rests on, and where it ends. */
  readonly rests: string;
  /** What is in the blanks at first, as it would be typed: in US units, and elsewhere. */
  readonly usual: Readonly<Record<string, readonly [us: string, metric: string]>>;
}

const both = (value: string): readonly [string, string] => [value, value];

/** Words by the id of the calculator. */
export const MEASURE_WORDS: Readonly<Record<string, MeasureWords>> = {
  'new-tree': {
    name: 'Water for a new tree',
    asks: 'The trunk is {trunk} thick and was planted {since} ago.',
    gives:
      'Pour {each-time} slowly on the root ball, every {every}. Skip a turn after 25 mm (1 in) of rain.',
    rests:
      'A gallon to a gallon and a half for each inch of trunk, a gallon at least: daily for two weeks, every two to three days to the twelfth week, then weekly until the ground freezes. University of Minnesota Extension, from memory. Soil that drains is assumed; on sand oftener, on clay less often.',
    usual: { trunk: ['1 in', '2.5 cm'], since: both('3 weeks') },
  },
  'grown-tree': {
    name: 'Soaking a grown tree',
    asks: 'The crown is {spread} wide; the soil is {texture} and is to be wet {depth} deep.',
    gives: 'That takes {water} of water under the whole crown, {in-all} in all.',
    rests:
      'An inch of water wets about 30 cm (12 in) of sand, 20 cm (8 in) of loam or 15 cm (6 in) of clay. Common practice; check with a rod.',
    usual: { spread: ['16 ft', '5 m'], depth: ['2 ft', '60 cm'], texture: both('loam') },
  },
  'bed-water': {
    name: 'Water for a lawn or bed',
    asks: '{area} of it needs {need} a week, and {rain} fell.',
    gives: '{missing} is wanting: {in-all}.',
    rests: 'A millimeter of water on a square meter is a liter.',
    usual: { area: ['100 sq ft', '10 m2'], need: ['1 in', '25 mm'], rain: ['0.25 in', '6 mm'] },
  },
  'pot-water': {
    name: 'Water for a pot',
    asks: 'The pot is {width} wide.',
    gives:
      'It holds about {holds} of mix and takes {each-time} each time, until some runs out below.',
    rests:
      'A pot as high as wide and a little narrower below; a fifth to a third of its volume is poured on. Common practice.',
    usual: { width: ['10 in', '25 cm'] },
  },
  succulent: {
    name: 'How often a succulent drinks',
    asks: 'The pot is {width} wide, and it is {season}.',
    gives: 'Water about every {every}, and only when the mix is dry right through.',
    rests:
      'In winter 7 to 10 days for each inch of pot (common practice); about twice as often while it grows (our own estimate).',
    usual: { width: ['6 in', '15 cm'], season: both('winter') },
  },
  sprinkler: {
    name: 'How long the sprinkler runs',
    asks: 'Tins caught {caught} in {minutes}; {wanted} a week is wanted, on {days} days.',
    gives: 'It gives {rate} an hour: run it {run-a-week} a week, {run-each-time} each time.',
    rests:
      'Set out at least six tins and take their mean. Where water runs off, stop and go on after half an hour.',
    usual: {
      caught: ['0.25 in', '6 mm'],
      minutes: both('15 min'),
      wanted: ['1 in', '25 mm'],
      days: both('2'),
    },
  },
  drip: {
    name: 'How long the drip line runs',
    asks: '{drippers} drippers give {flow} each; {wanted} is wanted.',
    gives: 'Run it for {run}.',
    rests: 'Measure one dripper into a cup: lines clog.',
    usual: { flow: ['1 gph', '4 L/h'], drippers: both('12'), wanted: ['6 gal', '24 L'] },
  },
  leaching: {
    name: 'Water against salt',
    asks: 'The water has {water}, the plant bears {bears}, and {need} is its need.',
    gives: 'Let {share} run through below: {in-all} in all.',
    rests:
      'Share = EC of the water / (5 x EC borne - EC of the water). Ayers and Westcot, FAO 29 (1985), equation 9, from memory. Only where water drains away below.',
    usual: { water: both('1.5 dS/m'), bears: both('2.5 dS/m'), need: ['1 in', '25 mm'] },
  },
  roof: {
    name: 'Roof to barrel',
    asks: 'The roof covers {area}, {rain} falls, and the barrel holds {barrel}.',
    gives:
      'The roof gives {gives}. The barrel is full after {fills-after} of rain and runs over by {overflow}; full it weighs {weight} and its own weight.',
    rests:
      'A thousand square feet under an inch give 623 gallons; nothing is taken off for what splashes.',
    usual: { area: ['1000 sq ft', '90 m2'], rain: ['1 in', '25 mm'], barrel: ['55 gal', '200 L'] },
  },
  layer: {
    name: 'Mulch, compost or gravel',
    asks: 'A layer {depth} deep on {area}, in bags of {bag}.',
    gives: 'That is {in-all}. Bags: {bags}.',
    rests: 'Mulch lies 5 to 8 cm (2 to 3 in) deep and clear of every trunk.',
    usual: { area: ['100 sq ft', '10 m2'], depth: ['3 in', '7 cm'], bag: ['2 cu ft', '50 L'] },
  },
  'raised-bed': {
    name: 'Filling a raised bed',
    asks: 'It is {length} by {width} and {depth} deep, with {compost} of compost in the mix.',
    gives: 'It takes {in-all}: {compost} of compost and {topsoil} of topsoil.',
    rests:
      'A third of compost where the topsoil is good; some fill with 60 to 70 %, which sinks and brings salts and phosphorus.',
    usual: {
      length: ['8 ft', '2.4 m'],
      width: ['4 ft', '1.2 m'],
      depth: ['12 in', '30 cm'],
      compost: both('33 %'),
    },
  },
  plants: {
    name: 'Plants or plugs for an area',
    asks: '{area} at {spacing} apart, in rows that are {pattern}.',
    gives: 'Plants: {plants}.',
    rests:
      'The area divided by the spacing times itself: half the spacing needs four times the plants. Rows set off hold 15 % more.',
    usual: { area: ['100 sq ft', '10 m2'], spacing: ['12 in', '30 cm'], pattern: both('square') },
  },
  seed: {
    name: 'Seed for an area',
    asks: '{area} at {rate}.',
    gives: 'That takes {in-all} of seed.',
    rests:
      'Fescue and rye 20 to 35 g to the square meter (4 to 7 lb to 1,000 sq ft), bluegrass half as much; the bag decides.',
    usual: { area: ['1000 sq ft', '100 m2'], rate: ['6 lb/1000 sq ft', '30 g/m2'] },
  },
  'planting-hole': {
    name: 'The planting hole',
    asks: 'The root ball is {ballWidth} wide and {ballHeight} high.',
    gives:
      'Dig {wide} wide and {deep} deep, no deeper, so that the root flare stands at the surface.',
    rests: 'Two to three times as wide as the ball. Common practice.',
    usual: { ballWidth: ['16 in', '40 cm'], ballHeight: ['12 in', '30 cm'] },
  },
  nitrogen: {
    name: 'Fertilizer by its nitrogen',
    asks: '{area} is to get {rate} of nitrogen; the first number on the bag of {bag} is {percent}.',
    gives: 'Spread {rate}: {in-all} in all. Bags: {bags}.',
    rests:
      'A lawn gets about 5 g of nitrogen to the square meter (1 lb to 1,000 sq ft) at a time, 10 to 15 in a year. Test the soil before anything else is fed; the label decides.',
    usual: {
      area: ['1000 sq ft', '100 m2'],
      rate: ['1 lb/1000 sq ft', '5 g/m2'],
      percent: both('20 %'),
      bag: ['15 lb', '7 kg'],
    },
  },
  lime: {
    name: 'Lime by a soil test',
    asks: 'The test says {present}, {wanted} is wanted; the soil is {texture}, {area} of it.',
    gives:
      'It takes {rate} of ground limestone, {in-all} in all, in {goes} goes half a year apart.',
    rests:
      'About 130, 270 and 440 g to the square meter for one unit of pH in sand, loam and clay, 15 cm (6 in) deep; no more than 250 at once. Common tables: the laboratory’s own figure by buffer pH goes first.',
    usual: {
      present: both('5.5'),
      wanted: both('6.5'),
      texture: both('loam'),
      area: ['100 sq ft', '10 m2'],
    },
  },
  sulfur: {
    name: 'Sulfur by a soil test',
    asks: 'The test says {present}, {wanted} is wanted; the soil is {texture}, {area} of it.',
    gives: 'It takes {rate} of sulfur, {in-all} in all, in {goes} goes half a year apart.',
    rests:
      'About 50, 100 and 150 g to the square meter for one unit of pH in sand, loam and clay, 15 cm (6 in) deep; no more than 100 at once. Common tables. Soil with free lime cannot be soured.',
    usual: {
      present: both('7.0'),
      wanted: both('5.5'),
      texture: both('loam'),
      area: ['100 sq ft', '10 m2'],
    },
  },
  granules: {
    name: 'Granules over an area',
    asks: 'The bag of {bag} covers {covers}, says its label; the area is {area}.',
    gives:
      'Weigh out {in-all} and spread {each-way} lengthwise and {each-way} across. Bags: {bags}.',
    rests:
      'The weight of the bag over the area that its label says it covers. Labels that go by the tree are never scaled up.',
    usual: {
      bag: ['10 lb', '5 kg'],
      covers: ['5000 sq ft', '500 m2'],
      area: ['1000 sq ft', '100 m2'],
    },
  },
  mix: {
    name: 'A mix from the label’s rate',
    asks: 'The label says {rate}; the tank holds {tank} and is filled {fillings} times.',
    gives: 'Measure {each-filling} for each filling, {in-all} in all.',
    rests:
      'The rate is read from the label in the hand; nothing stronger is right, and what is left over is a waste to be brought back.',
    usual: { rate: ['2 tbsp/gal', '8 mL/L'], tank: ['2 gal', '8 L'], fillings: both('1') },
  },
  packs: {
    name: 'How many packs, and the price',
    asks: 'One pack covers {covers} and costs {price}; {area} is treated {times} times.',
    gives: 'Packs: {packs}, for {cost} in all.',
    rests: 'The label says how often in a year it may be used at most.',
    usual: {
      covers: ['500 sq ft', '50 m2'],
      price: both('12'),
      area: ['1200 sq ft', '120 m2'],
      times: both('2'),
    },
  },
  mowing: {
    name: 'An overgrown lawn',
    asks: 'The grass stands {now} high and is to be {wanted}.',
    gives: 'Cut it to {first} first, {cuts} cuts in all, {between} apart.',
    rests: 'Never more than a third of the blade at once.',
    usual: { now: ['9 in', '22 cm'], wanted: ['3 in', '8 cm'] },
  },
  wound: {
    name: 'A wound on a trunk',
    asks: 'The wound is {width} wide on a trunk {trunk} thick.',
    gives: 'It goes {share} of the way round.',
    rests:
      'The width counts, not the height. Up to a quarter of the way round a tree closes it in some years; from a half on it is in danger, all the way round it dies above unless it is bridge grafted. Common practice.',
    usual: { width: ['3 in', '8 cm'], trunk: ['5 in', '13 cm'] },
  },
  drench: {
    name: 'A drench by the trunk',
    asks: 'The label gives {product} for each {each} of {of}; the trunk is {trunk} thick, at chest height.',
    gives:
      'That measures {measures} and takes {in-all} of product, in the water that the label says.',
    rests:
      'Labels go by the thickness or by the way round: read which. Some may not be drenched at all in some places, nor beside water or plants in bloom that bees visit; the label and local rules decide.',
    usual: {
      product: ['1 fl oz', '30 mL'],
      each: ['1 in', '2.5 cm'],
      of: both('thickness'),
      trunk: ['6 in', '15 cm'],
    },
  },
  'hose-end': {
    name: 'The dial of a hose-end sprayer',
    asks: 'The label says {rate}; the jar holds {jar} of product.',
    gives: 'Set the dial to {dial}. The jar makes {makes} of spray.',
    rests:
      'A dial counts tablespoons, or fluid ounces, to the gallon of water; the product goes in undiluted unless the sprayer says otherwise.',
    usual: { rate: ['2 tbsp/gal', '8 mL/L'], jar: ['1 pt', '500 mL'] },
  },
  passes: {
    name: 'Lanes of a spreader',
    asks: 'The ground is {length} by {width}; the spreader throws {throws} wide.',
    gives:
      'With half of it each way: {lengthwise} lanes lengthwise, then {across} across, each beside the wheel marks of the last.',
    rests: 'A rotary spreader thins toward its edges: let lanes overlap by a third of the throw.',
    usual: { length: ['50 ft', '15 m'], width: ['20 ft', '6 m'], throws: ['6 ft', '2 m'] },
  },
  'before-harvest': {
    name: 'Sprays before the harvest',
    asks: 'It is picked in {pick}. The label asks for {wait} between spray and harvest, {every} between sprays, and allows {most} a year.',
    gives: 'Sprays that fit: {sprays}. The last must be done within {last}.',
    rests: 'Each number is on the label. Fruit picked sooner is not eaten.',
    usual: { pick: both('21 days'), wait: both('7 days'), every: both('7 days'), most: both('4') },
  },
  repellent: {
    name: 'How long a repellent holds',
    asks: 'It lasts {lasts} by its label and is washed off by {washes} of rain; {rain} falls in a week.',
    gives: 'Put it on again every {every}.',
    rests:
      'Shoots that grew since are not covered: in spring go round each week whatever the label says. An inch of rain as what washes it off is our own estimate.',
    usual: { lasts: both('28 days'), washes: ['1 in', '25 mm'], rain: ['0.5 in', '12 mm'] },
  },
  traps: {
    name: 'Traps for an area',
    asks: '{area}, one trap to each {each}.',
    gives: 'Set out {traps}.',
    rests:
      'Sticky cards in a greenhouse about one to 25 m2 (250 sq ft); hooded vole traps two to a used run; a lure as its label says. Where traps lure from far, as for Japanese beetles, more of them bring more.',
    usual: { area: ['1000 sq ft', '100 m2'], each: ['250 sq ft', '25 m2'] },
  },
  'trap-catch': {
    name: 'The catch of traps',
    asks: '{found} caught in {traps} traps over {over}.',
    gives: 'That is {a-week} to the trap and week.',
    rests:
      'Count and clear on the same day each week: the change from week to week says more than the count.',
    usual: { found: both('24'), traps: both('3'), over: both('7 days') },
  },
  'shade-cloth': {
    name: 'Which shade cloth',
    asks: 'The place has {light} of open light; {wanted} is wanted.',
    gives: 'Hang cloth of {cloth}, with air between it and the plants.',
    rests:
      'Vegetables in great heat bear 30 % cloth, lettuce and cool crops 40 to 50 %, orchids and ferns 70 to 80 %. Common practice.',
    usual: { light: both('100 %'), wanted: both('60 %') },
  },
  bridge: {
    name: 'Scions for a bridge graft',
    asks: 'The bark is gone for {width} round the trunk.',
    gives: 'Scions: {scions}, from last year’s shoots of the same kind.',
    rests:
      'One to every 5 to 7.5 cm (2 to 3 in), both edges included, set in early spring when the bark slips; cut while dormant and kept cold. Common practice.',
    usual: { width: ['9 in', '23 cm'] },
  },
  closing: {
    name: 'Weeks until plugs close',
    asks: 'They stand {spacing} apart and each grows outward {grows} a week.',
    gives: 'The ground is covered in about {weeks}.',
    rests:
      'Each has half the spacing to go. Bermudagrass and creepers grow about 5 cm (2 in) a week in warm weather, zoysia about 1 cm (1/2 in): our own estimate.',
    usual: { spacing: ['12 in', '30 cm'], grows: ['1 in', '2.5 cm'] },
  },
  'bag-holds': {
    name: 'What the three numbers mean',
    asks: 'A bag of {bag} says {first}, {second} and {third}.',
    gives:
      'It holds {n} of nitrogen, {p} of phosphorus and {k} of potassium; the rest carries them.',
    rests:
      'The numbers are percent of nitrogen, of phosphate (P2O5, 44 % of it phosphorus) and of potash (K2O, 83 % of it potassium).',
    usual: {
      bag: ['20 lb', '10 kg'],
      first: both('10 %'),
      second: both('10 %'),
      third: both('10 %'),
    },
  },
  'lime-by-buffer': {
    name: 'Lime by buffer pH',
    asks: 'The report says pH {present} and buffer pH {buffer}; {wanted} is wanted on {area}.',
    gives:
      'It takes {rate} of ground limestone, {in-all} in all, in {goes} goes half a year apart.',
    rests:
      'For the Mehlich buffer alone, 20 cm (8 in) deep: acidity = 4 x (6.6 - buffer pH); tons to the acre = acidity x (wanted - present) / (6.6 - present). Mehlich (1976), from memory. For another buffer the laboratory’s own figure counts.',
    usual: {
      present: both('5.2'),
      buffer: both('6.2'),
      wanted: both('6.5'),
      area: ['100 sq ft', '10 m2'],
    },
  },
  grubs: {
    name: 'Counting grubs',
    asks: '{found} grubs under {lifted} of turf.',
    gives: 'That is {to-the-square-metre} to the square meter.',
    rests:
      'From about 60 to 100 to the square meter (6 to 10 to the square foot) they are worth treating; a lawn that is watered bears more. Common practice.',
    usual: { found: both('6'), lifted: ['1 sq ft', '0.1 m2'] },
  },
};

/** Words of the choices. */
export const CHOICE_WORDS: Readonly<Record<string, string>> = {
  sand: 'sand',
  loam: 'loam',
  clay: 'clay',
  winter: 'winter',
  summer: 'summer',
  square: 'in line',
  'set-off': 'set off',
  thickness: 'its thickness',
  'way-round': 'the way round it',
};
