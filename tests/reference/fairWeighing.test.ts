import fc from 'fast-check';
import { library } from '../support/wholeLibrary.ts';
import { circumstancesAt } from '../../src/test/setting.ts';
import type { Report } from '../../src/core/diagnosis/evidence.ts';
import { buildNetwork, type Network } from '../../src/core/diagnosis/network.ts';
import { weighAll } from '../../src/core/diagnosis/posterior.ts';
import { memoize } from '../../src/core/util/memoize.ts';
import type { FindingId, PlantId } from '../../src/core/schema/common.ts';

const circumstances = circumstancesAt(library);
const networkOf = memoize((plant: PlantId) => buildNetwork(library, plant, circumstances), {
  max: 20,
});
const plants = fc.constantFrom(...library.plants.keys());
const findings = [...library.findings.values()];
// Choices of one group are alternatives: one of them is always about the others too.
const single = fc.constantFrom(...findings.filter(({ group }) => group === undefined));

const report = (finding: FindingId, value: boolean, sure: number): Report => ({
  finding,
  value,
  sure,
});
const oddsOf = (network: Network, reports: readonly Report[], silence = 0) => {
  const { posterior } = weighAll(library, network, reports, silence);
  return network.causes.map(
    (_, i) => (posterior.hypotheses[i + 2] ?? NaN) / posterior.nothingWrong,
  );
};

it('is not moved by an answer that nobody is sure of at all', () => {
  fc.assert(
    fc.property(plants, single, single, fc.boolean(), (plant, seen, asked, value) => {
      const network = networkOf(plant);
      const known = [report(seen.id, true, 0.9)];
      const silence = 0.3;
      const [before, after] = [known, [...known, report(asked.id, value, 0)]].map(
        (reports) => weighAll(library, network, reports, silence).posterior.hypotheses,
      );
      expect(after).toEqual(before);
    }),
    { numRuns: 50 },
  );
});

it('leaves the odds of a cause against nothing wrong as they were, where it says nothing of the answer', () => {
  let compared = 0;
  fc.assert(
    fc.property(plants, single, fc.boolean(), (plant, asked, value) => {
      const network = networkOf(plant);
      const [before, after] = [[], [report(asked.id, value, 0.9)]].map((one) =>
        oddsOf(network, one),
      );
      const about = library.implied(asked.id);
      network.causes.forEach(({ id }, i) => {
        const shown = library.strengths.get(id);
        if (about.some((one) => shown?.has(one) === true)) return;
        compared++;
        expect(after?.[i] ?? NaN).toBeCloseTo(before?.[i] ?? NaN, 6);
      });
    }),
    { numRuns: 50 },
  );
  expect(compared).toBeGreaterThan(4000);
});
