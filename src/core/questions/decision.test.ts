import fc from 'fast-check';
import { miniLibrary, type MiniCause } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork, NOT_IN_LIBRARY, NOTHING_WRONG } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { shortlist } from '../diagnosis/shortlist.ts';
import { LEAVE, makeDecision, SAMPLE } from './decision.ts';

const treatment = (id: string, rest: Record<string, unknown> = {}) => ({
  id,
  name: `Do ${id}`,
  rung: 'hand',
  text: `Do ${id} as told.`,
  source: 'judgement',
  ...rest,
});
const cause = (id: string, plant: string, use: string | null): MiniCause => ({
  id,
  findings: { shared: 'usual', [id]: 'always' },
  extra: {
    harm: { plant, pace: 'weeks' },
    ...(use === null ? { leave: 'It heals.' } : { treatments: [{ use, effect: 'strong' }] }),
  },
});
const library = miniLibrary(
  ['shared', 'grave', 'mild', 'twin'].map((id) => ({ id })),
  [cause('grave', 'severe', 'dig'), cause('twin', 'severe', 'dig'), cause('mild', 'slight', null)],
  { 'treatments/t.yaml': [treatment('dig')] },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const reports = [{ finding: findingId('shared'), value: true, sure: 0.95 }];
const { posterior } = weighAll(library, network, reports, 0);
const list = shortlist(network, posterior);
const decision = makeDecision(library, network, posterior, list.positions);
const width = list.positions.length;
/** All weight on the hypothesis that is one cause alone, nothing wrong, or no cause of the library. */
const only = (hypothesis: number): Float64Array => {
  const weights = new Float64Array(width);
  weights[list.positions.indexOf(hypothesis)] = 1;
  return weights;
};
const single = (id: string): number => {
  const at = network.causes.findIndex((one) => one.id === id);
  const found = list.positions.find((h) => {
    const { first, second } = { first: list.first, second: list.second };
    const k = list.positions.indexOf(h);
    return first[k] === at && (second[k] ?? -1) < 0;
  });
  if (found === undefined) throw new Error(`${id} is not looked at`);
  return found;
};

describe('the best action', () => {
  it('acts on a grave cause and leaves a mild one and nothing wrong', () => {
    expect(decision.bestAction(only(single('grave')))).toBe('grave');
    expect([LEAVE, 'mild']).toContain(decision.bestAction(only(single('mild'))));
    expect(decision.bestAction(only(NOTHING_WRONG))).toBe(LEAVE);
  });

  it('of what is not in the library is to find out', () => {
    if (!list.positions.includes(NOT_IN_LIBRARY)) throw new Error('it is not looked at');
    expect(decision.bestAction(only(NOT_IN_LIBRARY))).toBe(SAMPLE);
  });

  it('may be the work of another cause of the same treatment, at the loss of a wrong name', () => {
    const hypothesis = single('grave');
    const right = decision.lossUnder('grave', hypothesis);
    const twin = decision.lossUnder('twin', hypothesis);
    expect(twin).toBeGreaterThan(right);
    expect(twin).toBeLessThan(decision.lossUnder(LEAVE, hypothesis));
  });

  it('is unknown for what is no action', () => {
    expect(decision.lossUnder('no-such', NOTHING_WRONG)).toBeNaN();
  });
});

describe('losses (properties)', () => {
  const weights = fc
    .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: width, maxLength: width })
    .map((list) => Float64Array.from(list));

  it('grow with the weights, and knowing the truth never loses more', () => {
    fc.assert(
      fc.property(weights, (one) => {
        const twice = one.map((weight) => 2 * weight);
        expect(decision.bestLoss(twice)).toBeCloseTo(2 * decision.bestLoss(one), 9);
        expect(decision.leastLoss(one)).toBeLessThanOrEqual(decision.bestLoss(one) + 1e-9);
      }),
    );
  });

  it('are those of the named action under each hypothesis', () => {
    fc.assert(
      fc.property(weights, (one) => {
        const action = decision.bestAction(one);
        const plainly = list.positions.reduce(
          (sum, h, k) => sum + (one[k] ?? 0) * decision.lossUnder(action, h),
          0,
        );
        expect(decision.bestLoss(one)).toBeCloseTo(plainly, 9);
      }),
    );
  });

  it('of two parts are together no more than of the whole', () => {
    fc.assert(
      fc.property(weights, weights, (a, b) => {
        const whole = a.map((weight, k) => weight + (b[k] ?? 0));
        const parted = decision.lossOfParts(whole)(a);
        expect(parted).toBeCloseTo(decision.bestLoss(a) + decision.bestLoss(b), 9);
        expect(parted).toBeLessThanOrEqual(decision.bestLoss(whole) + 1e-9);
      }),
    );
  });
});
