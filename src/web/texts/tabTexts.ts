/** Texts of the tabs of a call with several plants, in English. */
export const tabTexts = {
  chip: 'Tab',
  change: 'change',
  name: 'Name of this tab',
  split: 'A tab for the words behind the cursor',
  join: (title: string) => `Join it to ${title}`,
  joinHow: 'Its words and answers go there, and this tab goes.',
  remove: 'Remove this plant',
  removeHow: 'Its words go with it; they stay in the log of the case.',
  undoSplit: 'Put them together again',
  wasSplit: 'Each plant has its own tab now.',
} as const;
