import { candidateOf, causeWith, opensIn, suspectOf } from '../../test/candidate.ts';
import { day } from '../../test/setting.ts';
import type { WindowState } from '../timing/windows.ts';
import type { Candidate, Suspect } from './candidates.ts';
import { chooseSteps } from './choose.ts';
import type { AssessedTreatment } from './safetyJudge.ts';

const TODAY = day('2026-06-13');
const suspect = (id: string, probability: number, harm = 6): Suspect =>
  suspectOf(causeWith({ id, category: 'fungus' }), probability, harm);
const A = suspect('a', 0.5);
const B = suspect('b', 0.4);

function step(
  id: string,
  targets: Candidate['targets'],
  burden = 0.15,
  rung = 'hand',
  state: WindowState = { kind: 'always' },
  costs: { readonly effort?: string; readonly money?: string } = {},
): AssessedTreatment {
  const treatment = { id, name: `Do ${id}`, rung, ...costs };
  return {
    candidate: candidateOf(treatment, targets, { state, burden }),
    cautions: [],
    planCautions: [],
    referTo: [],
    forbidden: null,
    notBefore: null,
  };
}
const ids = (steps: readonly AssessedTreatment[]): string[] =>
  chooseSteps(steps, TODAY).map(({ candidate }) => candidate.treatment.id);

it('prefers a first step that helps whichever cause it is', () => {
  const shared = step('shared', [
    { suspect: A, effect: 0.5 },
    { suspect: B, effect: 0.5 },
  ]);
  const chosen = chooseSteps([step('only-a', [{ suspect: A, effect: 0.65 }], 1.2), shared], TODAY);
  expect(chosen[0]?.candidate.treatment.id).toBe('shared');
});

it('leaves out what does not repay its burden', () => {
  expect(
    ids([
      step('good', [{ suspect: A, effect: 0.6 }]),
      step('dear', [{ suspect: B, effect: 0.3 }], 4),
    ]),
  ).toEqual(['good']);
});

it('still names the lightest step where none repays its burden', () => {
  expect(
    ids([
      step('dear', [{ suspect: A, effect: 0.4 }], 5),
      step('dearer', [{ suspect: A, effect: 0.4 }], 9),
    ]),
  ).toEqual(['dear']);
  expect(ids([])).toEqual([]);
});

it('puts what can be done now first, then the least drastic, then by date', () => {
  const on = [{ suspect: A, effect: 0.65 }];
  expect(
    ids([
      step('later', on, 0.1, 'hand', opensIn(TODAY, 60)),
      step('soon', on, 0.1, 'hand', opensIn(TODAY, 20)),
      step('spray', on, 0.1, 'conventional'),
      step('pick', on, 0.1, 'hand'),
    ]),
  ).toEqual(['pick', 'spray', 'soon', 'later']);
});

it('keeps the list short enough to be said aloud', () => {
  const many = Array.from({ length: 12 }, (_, i) =>
    step(`s${i}`, [{ suspect: suspect(`c${i}`, 0.9), effect: 0.6 }]),
  );
  expect(ids(many)).toHaveLength(5);
});

it('fills a short plan with mild steps against the leading cause, and never with products', () => {
  const aimed = (id: string, effect: number, rung = 'hand') =>
    step(id, [{ suspect: A, effect }], 20, rung);
  const steps = [
    step('best', [{ suspect: A, effect: 0.65 }]),
    aimed('good', 0.65),
    aimed('useful', 0.4, 'conditions'),
    aimed('slight', 0.15),
    aimed('product', 0.85, 'conventional'),
    step('for-another', [{ suspect: B, effect: 0.65 }], 20),
  ];
  const chosen = chooseSteps(steps, TODAY, A.cause.id).map((one) => one.candidate.treatment.id);
  expect(chosen).toEqual(['best', 'good', 'useful']);
  expect(chooseSteps(steps, TODAY).map((one) => one.candidate.treatment.id)).toEqual(['best']);
});

it('names the product that a question of care asks about', () => {
  const topic = causeWith({
    id: 'care-x',
    category: 'care',
    findings: { 'asks-care-x': 'always' },
  });
  const asked = suspectOf(topic, 0.4, 1);
  const product = step('product', [{ suspect: asked, effect: 0.6 }], 9, 'conventional');
  const mild = step('mild', [{ suspect: B, effect: 0.6 }]);
  const chosen = chooseSteps([product, mild], TODAY, topic.id);
  expect(chosen.map(({ candidate }) => candidate.treatment.id)).toContain('product');
});

it.each([{ effort: 'high' }, { money: 'very-high' }])(
  'never fills a short plan with a drastic step: %o',
  (costs) => {
    const targets = [{ suspect: A, effect: 0.85 }];
    const drastic = step('dig-out', targets, 20, 'replace', { kind: 'always' }, costs);
    const steps = [step('best', [{ suspect: A, effect: 0.65 }]), drastic];
    const chosen = chooseSteps(steps, TODAY, A.cause.id).map((one) => one.candidate.treatment.id);
    expect(chosen).toEqual(['best']);
  },
);
