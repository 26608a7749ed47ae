import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, day, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork, FIRST_SINGLE } from './network.ts';
import { causesOfHosts, hostsOf, weighHosts } from './hosts.ts';
import { likelihoodAt } from './likelihood.ts';
import { posteriorOverHosts, weighAll } from './posterior.ts';
import { rankQuestions } from '../questions/questions.ts';

const PLANTS = [
  { id: 'maple', name: 'Maple', rank: 'genus', source: 'judgement' },
  { id: 'red-maple', name: 'Red maple', parents: ['maple'], source: 'judgement' },
  {
    id: 'silver-maple',
    name: 'Silver maple',
    parents: ['maple'],
    common: 'common',
    source: 'judgement',
  },
];
const library = miniLibrary(
  [{ id: 'galls' }, { id: 'tar' }],
  [
    {
      id: 'gall-mite',
      findings: { galls: 'always' },
      extra: { hosts: { 'silver-maple': 'very' } },
    },
    { id: 'tar-spot', findings: { tar: 'always' }, extra: { hosts: { maple: 'usual' } } },
    { id: 'red-pest', findings: { tar: 'often' }, extra: { hosts: { 'red-maple': 'usual' } } },
  ],
  { 'plants/m.yaml': PLANTS },
);
const HOSTS = { palm: 'usual', oak: 'usual' };
const network = (plant: string) => buildNetwork(library, plantId(plant), circumstancesAt(library));
it('mixes the kinds of a group by how often people ask about them, and a kind not listed', () => {
  const { hosts } = network('maple');
  expect(hosts.map(({ plant }) => plant)).toEqual(['red-maple', 'silver-maple', 'maple']);
  [2 / 9, 4 / 9, 3 / 9].forEach((share, k) => expect(hosts[k]?.probability).toBeCloseTo(share, 12));
});

it('has as prior the mean of the priors of its hosts', () => {
  const { hosts, prior } = network('maple');
  prior.forEach((p, h) => {
    const mean = hosts.reduce((sum, { probability, at }) => sum + probability * at(h), 0);
    expect(p).toBeCloseTo(mean, 14);
  });
  expect(prior.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 12);
});

it('does not pair causes that no one kind can have', () => {
  const { prior, pairs, causes } = network('maple');
  const impossible = [...pairs.first.keys()].find(
    (k) =>
      causes[pairs.first[k] ?? -1]?.id === 'gall-mite' &&
      causes[pairs.second[k] ?? -1]?.id === 'red-pest',
  );
  expect(prior[FIRST_SINGLE + causes.length + (impossible ?? NaN)]).toBe(0);
});

it('learns the kind from what is seen, as the slow plain sum does', () => {
  const mixed = network('maple');
  const reports = [{ finding: findingId('galls'), value: true, sure: 0.9 }];
  const { posterior, evidence } = weighAll(library, mixed, reports, 0);
  const plain = mixed.hosts.map(({ probability, at }) =>
    [...mixed.prior.keys()].reduce(
      (sum, h) =>
        sum +
        probability * at(h) * (evidence[0] ? likelihoodAt(mixed, evidence[0].likelihood, h) : NaN),
      0,
    ),
  );
  const total = plain.reduce((sum, weight) => sum + weight, 0);
  const chances = posteriorOverHosts(mixed, posterior);
  chances.forEach((p, k) => expect(p).toBeCloseTo((plain[k] ?? NaN) / total, 12));
  expect(chances[1]).toBeGreaterThan(0.6);
  expect(posterior.logEvidence).toBeCloseTo(Math.log(total), 12);
});

it('asks for the kind while it is open, and not when it is known', () => {
  const kinds = (plant: string) => {
    const net = network(plant);
    const { posterior } = weighAll(library, net, [], 0);
    return rankQuestions(library, net, posterior, [], new Set()).filter(
      ({ kind }) => kind === 'plant',
    );
  };
  const [asked] = kinds('maple');
  expect(asked?.question).toEqual({ code: 'which-kind', of: 'Maple' });
  expect(asked?.choices.map(({ label }) => label)).toEqual(['Silver maple', 'Red maple']);
  expect(kinds('red-maple')).toEqual([]);
});

it('keeps no season for what breeds on a plant that stands indoors', () => {
  const rooms = miniLibrary(
    [{ id: 'galls' }],
    [
      { id: 'mould', findings: { galls: 'often' }, extra: { seen: '12-01..01-31', hosts: HOSTS } },
      {
        id: 'cold-glass',
        findings: { galls: 'often' },
        extra: { category: 'temperature', seen: '12-01..01-31', hosts: HOSTS },
      },
    ],
    {
      'plants/m.yaml': [
        { id: 'palm', name: 'Palm', traits: { indoors: true }, source: 'judgement' },
        { id: 'oak', name: 'Oak', source: 'judgement' },
      ],
    },
  );
  const prior = (plant: string): readonly (number | undefined)[] => {
    const made = buildNetwork(rooms, plantId(plant), circumstancesAt(rooms));
    return ['mould', 'cold-glass'].map(
      (id) => made.prior[FIRST_SINGLE + made.causes.findIndex((one) => one.id === id)],
    );
  };
  const [mouldIn = 0, glassIn = 0] = prior('palm');
  const [mouldOut = 0, glassOut = 0] = prior('oak');
  expect(mouldIn).toBeGreaterThan(3 * glassIn);
  expect(mouldOut).toBeCloseTo(glassOut, 12);
});

it('takes every kind of the library for a plant that is not known, and no group', () => {
  expect(hostsOf(library, null).map(({ plant }) => plant)).toEqual([
    'fern',
    'red-maple',
    'silver-maple',
  ]);
  expect(hostsOf(library, plantId('fern'))).toEqual([{ plant: 'fern', probability: 1 }]);
});

it('lists the causes that some host takes, by how readily each takes them', () => {
  const hosts = hostsOf(library, plantId('maple'));
  const { causes, common } = causesOfHosts(library, hosts);
  const rowOf = (plant: string) => common[hosts.findIndex((one) => one.plant === plant)];
  const at = (id: string) => causes.findIndex((cause) => cause.id === id);
  expect(causes.map(({ id }) => id).sort()).toEqual(['gall-mite', 'red-pest', 'tar-spot']);
  // Occasional causes weigh 2, a very susceptible host twice that.
  expect(rowOf('silver-maple')?.[at('gall-mite')]).toBe(4);
  expect(rowOf('silver-maple')?.[at('tar-spot')]).toBe(2);
  expect(rowOf('red-maple')?.[at('gall-mite')]).toBe(0);
  expect(causesOfHosts(library, hostsOf(library, plantId('red-maple'))).causes).toHaveLength(2);
});

describe('a cause out of its season', () => {
  const seasonal = miniLibrary(
    [{ id: 'galls' }],
    [{ id: 'rust', findings: { galls: 'often' }, extra: { seen: '05-01..06-01' } }],
  );
  const { almanac } = circumstancesAt(seasonal);
  const model = causesOfHosts(seasonal, hostsOf(seasonal, plantId('fern')));
  /** Factor on its weight on a day, for a trouble that began on another. */
  const factor = (today: string, since: string | null = null): number => {
    const when = { almanac, today: day(today), since: since === null ? null : day(since) };
    const { weights } = weighHosts(
      model,
      { ...when, region: null, experience: new Map() },
      seasonal,
    );
    return (weights[0]?.[0] ?? NaN) / 2;
  };
  const daysOut = (date: string): number =>
    almanac.daysOutside(model.causes[0]?.seen ?? { kind: 'any' }, day(date)) ?? NaN;

  it('is as likely as ever in it', () => {
    expect(factor('2026-05-15')).toBe(1);
  });

  it('fades away with the days outside it, down to a bound', () => {
    expect(daysOut('2026-06-20')).toBeGreaterThan(10);
    expect(factor('2026-06-20')).toBeCloseTo(Math.exp(-daysOut('2026-06-20') / 30), 12);
    expect(factor('2026-12-20')).toBe(0.12);
  });

  it('counts from when the trouble began, where that was nearer to it', () => {
    expect(factor('2026-09-01', '2026-05-15')).toBe(1);
    expect(factor('2026-05-15', '2026-01-15')).toBe(1);
    expect(factor('2026-09-01', '2026-06-20')).toBeCloseTo(factor('2026-06-20'), 12);
  });

  it('is nearly ruled out where its season never comes', () => {
    const never = miniLibrary(
      [{ id: 'galls' }],
      [{ id: 'rust', findings: { galls: 'often' }, extra: { seen: 'dd10 8000..9000' } }],
    );
    const { weights } = weighHosts(
      causesOfHosts(never, hostsOf(never, plantId('fern'))),
      {
        ...circumstancesAt(never),
      },
      never,
    );
    expect(weights[0]?.[0]).toBeCloseTo(0.2, 12);
  });
});

it.each([
  ['established', 1],
  ['spreading', 0.5],
  ['absent', 0.02],
  [null, 1],
] as const)('weighs a cause that is %s in the region by %d', (presence, factor) => {
  const model = causesOfHosts(library, hostsOf(library, plantId('red-maple')));
  const when = circumstancesAt(library);
  const [anywhere] = weighHosts(model, when, library).weights;
  const [here] = weighHosts(model, when, { ...library, presenceOf: () => presence }).weights;
  model.causes.forEach((_, i) =>
    expect(here?.[i]).toBeCloseTo(factor * (anywhere?.[i] ?? NaN), 12),
  );
});

it('multiplies the weights by what the clinic has seen', () => {
  const model = causesOfHosts(library, hostsOf(library, plantId('red-maple')));
  const [plain, seen] = [new Map(), new Map([[model.causes[0]?.id ?? never(), 30]])].map(
    (experience) => weighHosts(model, { ...circumstancesAt(library), experience }, library),
  );
  model.causes.forEach((_, i) => {
    const factor = seen?.learned[0]?.[i] ?? NaN;
    expect(seen?.weights[0]?.[i]).toBeCloseTo((plain?.weights[0]?.[i] ?? NaN) * factor, 12);
  });
  expect(seen?.learned[0]?.[0]).toBeGreaterThan(1);
});

function never(): never {
  throw new Error('the library has no cause');
}
