import { answerOf } from '../test/consultAnswer.ts';
import { NOTHING_WRONG, NOT_IN_LIBRARY, saidAndTrue } from './saidAndTrue.ts';

const proved = (cause: string) => ({ cause, confirmed: 'laboratory', on: '2026-06-13' }) as const;
const closingAnswer = answerOf({
  causes: [
    ['rust', 0.4],
    ['scab', 0.2],
  ],
  nothingWrong: 0.3,
  unexplained: 0.1,
});

it('says what stood first and how surely', () => {
  expect(saidAndTrue({ closingAnswer, outcome: null })).toEqual({
    saidCause: 'rust',
    saidShare: 0.4,
    outcomeRank: null,
  });
});

it.each([
  ['rust', 1],
  [NOTHING_WRONG, 2],
  ['scab', 3],
  [NOT_IN_LIBRARY, 4],
  ['mildew', null],
])('ranks %s among all that could be said', (cause, rank) => {
  expect(saidAndTrue({ closingAnswer, outcome: proved(cause) }).outcomeRank).toBe(rank);
});

it('says that nothing was wrong where that stood first', () => {
  const calm = answerOf({ causes: [['rust', 0.1]], nothingWrong: 0.8, unexplained: 0.1 });
  expect(saidAndTrue({ closingAnswer: calm, outcome: null })).toMatchObject({
    saidCause: NOTHING_WRONG,
    saidShare: 0.8,
  });
});

it('says nothing where no answer was kept', () => {
  expect(saidAndTrue({ closingAnswer: null, outcome: proved('rust') })).toEqual({
    saidCause: null,
    saidShare: null,
    outcomeRank: null,
  });
});
