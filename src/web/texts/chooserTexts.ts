/** Texts of the choosers of plants and causes, in English. */
export const chooserTexts = {
  whichPlant: 'Which plant',
  noPlantOfThatName: 'No plant of that name. Take a group such as "tree" and describe it.',
  otherCause: 'Another one, by name',
  causes: 'Causes',
  noCauseOfThatName: 'No cause of that name in the library.',
} as const;
