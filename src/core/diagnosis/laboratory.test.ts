import fc from 'fast-check';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { causeId, circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { numberAt } from '../util/entryAt.ts';
import { causeOfLaboratory, laboratoryPseudoFinding } from './laboratory.ts';
import { buildNetwork, positionsIn } from './network.ts';
import { weighAll } from './posterior.ts';

const library = miniLibrary(
  [{ id: 'spots' }, { id: 'elsewhere' }],
  [
    { id: 'rust', findings: { spots: 'usual' } },
    { id: 'scab', findings: { spots: 'often' }, extra: { leadsTo: ['rust'] } },
    { id: 'rot', findings: { spots: 'sometimes' } },
    { id: 'stranger', findings: { elsewhere: 'always' }, extra: { hosts: { moss: 'usual' } } },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const spots = { finding: findingId('spots'), value: true, sure: 0.9 };
const weigh = (...results: { id: string; found: boolean }[]) =>
  weighAll(
    library,
    network,
    [spots],
    0,
    undefined,
    results.map(({ id, found }) => ({ cause: causeId(id), found })),
  );
const chanceOf = (id: string, ...results: { id: string; found: boolean }[]): number => {
  const at = network.causes.findIndex((cause) => cause.id === id);
  return numberAt(weigh(...results).posterior.causes, at);
};

it('lifts what was found over all others, and lowers what was not', () => {
  expect(chanceOf('rot', { id: 'rot', found: true })).toBeGreaterThan(0.95);
  const missed = chanceOf('rust', { id: 'rust', found: false });
  expect(missed).toBeLessThan(chanceOf('rust'));
  // A laboratory overlooks one in ten: a miss alone rules nothing out.
  expect(missed).toBeGreaterThan(0.01);
});

it('lets two findings stand together', () => {
  const both = [
    { id: 'rust', found: true },
    { id: 'scab', found: true },
  ];
  expect(chanceOf('rust', ...both)).toBeGreaterThan(0.9);
  expect(chanceOf('scab', ...both)).toBeGreaterThan(0.9);
});

it('says nothing by a cause that the plant does not have', () => {
  const { posterior, laboratory } = weigh({ id: 'stranger', found: true });
  expect(laboratory).toEqual([]);
  expect(posterior.causes).toEqual(weigh().posterior.causes);
});

it('weighs as Bayes does by hand, whatever was found of what', () => {
  const results = fc.array(
    fc.record({ id: fc.constantFrom('rust', 'scab', 'rot'), found: fc.boolean() }),
    { maxLength: 4 },
  );
  fc.assert(
    fc.property(results, (list) => {
      const before = weigh().posterior.hypotheses;
      const weights = [...before].map((p, h) => {
        const names = positionsIn(network, h).map((at) => network.causes[at]?.id);
        return list.reduce((weight, { id, found }) => {
          const isFound = names.some((name) => name === id) ? 0.9 : 0.002;
          return weight * (found ? isFound : 1 - isFound);
        }, p);
      });
      const total = weights.reduce((sum, weight) => sum + weight, 0);
      const after = weigh(...list).posterior.hypotheses;
      return weights.every((weight, h) => Math.abs(weight / total - numberAt(after, h)) < 1e-9);
    }),
    { seed: 613 },
  );
});

it('is known among the arguments by its cause', () => {
  expect(causeOfLaboratory(laboratoryPseudoFinding(causeId('rust')))).toBe('rust');
  expect(causeOfLaboratory(findingId('spots'))).toBeNull();
});
