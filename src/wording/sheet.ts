/** Words of the sheet that an enquirer takes along. */
export const sheetWords = {
  title: (plant: string) => `What to do: ${plant}`,
  titleOfNone: 'What to do',
  youAsked: 'What you asked',
  steps: 'What to do, and when',
  byLabel: 'By its label',
  calendar: 'The next weeks, by the numbers of the steps',
  week: 'Week from',
  weekdays: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
  look: 'look',
  anyDay: 'When it suits',
  howMuch: 'How much',
  mind: 'Mind',
  keepInMind: 'Keep in mind',
  doNot: 'Do not',
  callIn: 'Whom to call in',
  sample: (number: string, kind: string) => `Sample ${number}: ${kind}`,
  sampleTo: (laboratory: string) => `It goes to ${laboratory}.`,
  sampleLabel: (number: string) => `Write ${number}, the plant and the day on the bag or box.`,
  expect: 'What to expect',
  lookAgain: (day: string) =>
    `Look at the plant again about ${day}. If it is worse then, or looks different from what is said here, call us.`,
  reach: (reach: string) => `You reach us here: ${reach}`,
  from: (clinic: string) => `From ${clinic}`,
  caseNumber: (number: number) => `Case ${number}`,
  /** A description on the telephone proves nothing, and the label is the law. */
  disclaimer:
    'This is advice from a description, and so a likely answer and not a proof. The label of a product and the rules of your place decide. Products are named by what is in them, never by brand.',
  subject: (plant: string) => `What to do about your ${plant}`,
  subjectOfNone: 'What to do about your plant',
  next: 'Next',
  lookAgainShort: (day: string) => `Look again ${day}`,
} as const;
