import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { argumentsBetween, argumentsFor, pairArguments } from './explain.ts';
import { likelihoodAt } from './likelihood.ts';
import { buildNetwork, FIRST_SINGLE, NOTHING_WRONG } from './network.ts';
import { weighAll } from './posterior.ts';

const library = miniLibrary(
  [
    { id: 'pustules', extra: { background: 'telltale' } },
    { id: 'holes', extra: { background: 'telltale' } },
    { id: 'yellow', extra: { background: 'common' } },
    { id: 'droop', extra: { background: 'common' } },
  ],
  [
    { id: 'rust', findings: { pustules: 'always', yellow: 'often', droop: 'rarely' } },
    { id: 'beetle', findings: { holes: 'always' } },
  ],
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const weigh = (...reports: [string, boolean][]) =>
  weighAll(
    library,
    network,
    reports.map(([id, value]) => ({ finding: findingId(id), value, sure: 0.9 })),
    0,
  );
const at = (id: string): number => network.causes.findIndex((cause) => cause.id === id);

describe('what speaks for a cause', () => {
  const { evidence } = weigh(['yellow', true], ['pustules', true], ['droop', false]);
  const list = argumentsFor(network, evidence, at('rust'));

  it('is ten times the logarithm of how much likelier the report is under it', () => {
    const [first] = list;
    const pustules = evidence.find(({ finding }) => finding === 'pustules');
    if (!pustules) throw new Error('the report was not weighed');
    const ratio =
      likelihoodAt(network, pustules.likelihood, FIRST_SINGLE + at('rust')) /
      likelihoodAt(network, pustules.likelihood, NOTHING_WRONG);
    expect(first).toMatchObject({ finding: 'pustules', value: true });
    expect(first?.decibans).toBeCloseTo(10 * Math.log10(ratio), 10);
  });

  it('is told with the strongest first, without what moves nothing', () => {
    expect(list.map(({ finding }) => finding)).toEqual(['pustules', 'yellow']);
  });

  it('turns its sign when the two are changed over', () => {
    const [rust, beetle] = [FIRST_SINGLE + at('rust'), FIRST_SINGLE + at('beetle')];
    const back = argumentsBetween(network, evidence, beetle, rust);
    argumentsBetween(network, evidence, rust, beetle).forEach(({ finding, decibans }, i) => {
      expect(back[i]?.finding).toBe(finding);
      expect(back[i]?.decibans).toBeCloseTo(-decibans, 10);
    });
    expect(back[0]?.decibans).toBeLessThan(-0.5);
  });
});

describe('what two causes explain together', () => {
  it('is told against each of them alone', () => {
    const { evidence, posterior } = weigh(['pustules', true], ['holes', true]);
    const list = pairArguments(network, posterior, evidence);
    const [rust, beetle] = ['rust', 'beetle'].map((id) => list.find(({ alone }) => alone === id));
    expect(rust?.alone).toBe('rust');
    expect(rust?.arguments.map(({ finding }) => finding)).toEqual(['holes']);
    expect(beetle?.alone).toBe('beetle');
    expect(beetle?.arguments.map(({ finding }) => finding)).toEqual(['pustules']);
  });

  it('is nothing where one cause leads', () => {
    const { evidence, posterior } = weigh(['pustules', true]);
    expect(pairArguments(network, posterior, evidence)).toEqual([]);
  });
});
