/** Texts of the release of a trainee's advice, in English. */
export const releaseTexts = {
  title: 'Release of the advice',
  needed: 'An advisor releases this advice before it is given out.',
  asked: (by: string) => `${by} asks for the release of this advice.`,
  released: (by: string) =>
    `Released by ${by}: you may give it out and close the case. A change of the advice takes the release back.`,
  'given-back': (by: string) => `Given back by ${by}.`,
  note: (note: string) => `“${note}”`,
  ask: 'Ask for release',
  release: 'Release',
  giveBack: 'Give back',
  noteLabel: 'What is to be changed, or a word along',
  sayWhy: 'Say what is to be changed.',
  notYet: 'It can be given out after an advisor has released it.',
} as const;
