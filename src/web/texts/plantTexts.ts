/** Texts of the chooser of plants, in English. */
export const plantTexts = {
  whichPlant: 'Which plant',
  noPlantOfThatName: 'No plant of that name. Take a group such as "tree" and describe it.',
} as const;
