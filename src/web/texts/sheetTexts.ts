/** Texts of the sheet of a call, in English. */
export const sheetTexts = {
  sheet: 'Sheet',
  sheetToTakeAlong: 'The sheet to take along',
  print: 'Print',
  copy: 'Copy as text',
  copied: 'Copied.',
  notCopied: 'The browser does not let this page copy: mark the text and copy it by hand.',
  email: 'E-mail draft',
  message: 'Text message',
  large: 'Large print',
  segments: (characters: number, segments: number) =>
    `${characters} characters, ${segments} ${segments === 1 ? 'message' : 'messages'}`,
  copyMessage: 'Copy the message',
  beingWorkedOut: 'The sheet is being written.',
  failed: (why: string) => `The sheet could not be written: ${why}`,
  nothingYet: 'Nothing was said of any plant yet.',
  dangerFirst: 'A danger comes first: deal with it before a sheet is given.',
  given: 'Given',
  ways: { print: 'printed', copy: 'copied', email: 'by e-mail', message: 'by text message' },
  key: 'The sheet to take along, and back to the causes',
} as const;
