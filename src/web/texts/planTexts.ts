/** Texts of editing a plan, in English. */
export const planTexts = {
  edit: 'Change the plan',
  done: 'Done changing',
  up: (text: string) => `Move up: ${text}`,
  down: (text: string) => `Move down: ${text}`,
  leaveOut: 'Leave out',
  leaveOutOf: (text: string) => `Leave out: ${text}`,
  remove: 'Remove',
  removeOf: (text: string) => `Remove: ${text}`,
  leftOut: 'Left out by us',
  takeIn: 'Take in again',
  takeInOf: (text: string) => `Take in again: ${text}`,
  ours: 'A step of our own',
  on: 'On the day',
  add: 'Add the step',
  own: 'our own step',
  anyDay: 'When it suits',
} as const;
