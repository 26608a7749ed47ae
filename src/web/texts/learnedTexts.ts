import type { Confirmation } from '../../core/diagnosis/learning.ts';

/** Texts of the page that puts what was said beside what proved true, in English. */
export const learnedTexts = {
  title: 'Said and true',
  pageTitle: 'Said and true - Sounding',
  toCasebook: 'Casebook',
  what: 'What stood first when a case was closed, beside what it proved to be. Only this clinic sees it.',
  reading: 'Counting the outcomes.',
  none: 'No closed case has an outcome in this time. Write down on its page what came of it.',
  confirmedBy: 'Confirmed',
  any: 'in any way',
  confirmed: {
    laboratory: 'by a laboratory',
    'in-hand': 'in the hand or better',
    photograph: 'by a photograph or better',
    enquirer: 'in any way',
  } satisfies Record<Confirmation, string>,
  from: 'From',
  to: 'To',
  outcomes: 'outcomes',
  firstRight: 'stood first and proved true',
  amongThree: 'among the first three',
  brier: 'squared error of what was said; 0 is perfect, 0.25 says nothing',
  bySureness: 'How surely it was said, and how often it was true',
  said: 'Said',
  cases: 'Cases',
  wasTrue: 'True',
  picture: 'Said and true, from 0 to 100 %',
  legend:
    'Ring: what was said. Dot: how often it was true. Line: where the true share lies, with 95 %.',
  rowPicture: (said: number, share: number, low: number, high: number) =>
    `said ${said} %, true ${share} %, between ${low} and ${high} %`,
  byCause: 'By what was said',
  cause: 'Stood first',
  instead: 'When it was not, it was',
  byPerson: 'By who closed the case',
  person: 'Closed by',
  ofOthers: 'You see your own line; a coordinator sees all.',
  followUps: 'How plants did after the advice',
  followed: 'Of the advice they did',
  noFollowUps: 'Nobody has been asked yet how it went.',
} as const;
