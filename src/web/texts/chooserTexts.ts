/** Texts of the choosers of plants, causes and towns, in English. */
export const chooserTexts = {
  whichPlant: 'Which plant',
  noPlantOfThatName: 'No plant of that name. Take a group such as "tree" and describe it.',
  otherCause: 'Another one, by name',
  causes: 'Causes',
  noCauseOfThatName: 'No cause of that name in the library.',
  townOrPostcode: 'Town, or postcode of the US or Canada',
  towns: 'Towns',
  lookingForTowns: 'Looking for towns.',
  noTownOfThatName:
    'No town of that name. Add its country behind a comma, or take a larger one near it.',
} as const;
