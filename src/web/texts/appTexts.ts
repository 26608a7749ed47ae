/** Texts of the header and the frame of the application, in English. */
export const appTexts = {
  fetchingThePage: 'Fetching the page.',
  notSavedYet: (pending: number) => `${pending} not saved yet`,
  notAccepted: (refused: number) => `${refused} not accepted`,
  soundingToTheDesk: 'Sounding, to the Desk',
  sounding: 'Sounding',
  screens: 'Screens',
  dark: 'Dark',
  light: 'Light',
  nothingAtThisAddress: 'Nothing at this address',
  goBackToThe: 'Go back to the',
  whereCasesAre: ', where all open cases are listed.',
  thisPage: 'This page',
  keys: 'Keys',
  escape: 'Close what is open',
} as const;
