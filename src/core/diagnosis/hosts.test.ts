import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork, FIRST_SINGLE } from './network.ts';
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
