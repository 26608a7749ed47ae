import { OPENED_CASE } from '../../../test/caseRecord.ts';
import type { CasePlant, StoredAnswer } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import { listEvidence } from './evidence.ts';

const heard = (finding: string, value = true, sure = 0.9): ConsultResponse['heard'][number] => ({
  finding,
  label: `Label ${finding}`,
  part: 'leaf',
  value,
  sure,
  span: [0, 1],
});
const ANSWER = {
  heard: [heard('webs'), heard('spots', false), heard('holes', true, 0.6)],
  causes: [],
};
const states = (answers: StoredAnswer[]): Record<string, string> => {
  const [first] = OPENED_CASE.plants;
  if (!first) throw new Error('the case has a plant');
  const plant: CasePlant = { ...first, answers };
  return Object.fromEntries(
    listEvidence(plant, ANSWER).map(({ finding, state }) => [finding, state]),
  );
};

it('shows what was said, denied and doubted', () => {
  expect(states([])).toEqual({ webs: 'said', spots: 'denied', holes: 'doubted' });
});

it('lets the advisor turn, doubt and drop it', () => {
  expect(
    states([
      { id: 'webs', finding: 'webs', value: false, sure: 0.9 },
      { id: 'spots', finding: 'spots', value: 'unknown', sure: 1 },
      { id: 'holes', finding: 'holes', value: true, sure: 0.95 },
    ]),
  ).toEqual({ webs: 'denied', spots: 'dropped', holes: 'said' });
});

it('lists answers after what was heard, a choice under its own name', () => {
  const [first] = OPENED_CASE.plants;
  if (!first) throw new Error('the case has a plant');
  const list = listEvidence(
    { ...first, answers: [{ id: 'leaf-age', finding: 'leaf-age', value: 'leaf-old', sure: 0.85 }] },
    ANSWER,
  );
  expect(list.at(-1)).toMatchObject({
    finding: 'leaf-age',
    label: 'Leaf old',
    part: 'answered',
    byHand: true,
  });
});
