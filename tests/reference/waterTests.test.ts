import { ELEMENTS, levelOf } from '../../src/core/measures/report/elements.ts';

/**
 * Source: R. S. Ayers and D. W. Westcot, Water quality for agriculture, FAO Irrigation and Drainage Paper 29 rev. 1 (1985),
 * table 1, recalled: no restriction, slight to moderate, severe. Milliequivalents there are turned by atomic weight.
 */
describe('water for irrigation by FAO 29, table 1', () => {
  const level = (id: string, value: number) => {
    const element = ELEMENTS.water.find((one) => one.id === id);
    return element ? levelOf(element, value, 'mehlich-3') : undefined;
  };
  it.each([
    ['salts', 0.6, 1.5, 3.1],
    ['boron', 0.6, 2, 3.1],
    ['chloride', 3.9 * 35.45, 7 * 35.45, 10.1 * 35.45],
    ['nitrate', 4, 20, 31],
    ['bicarbonate', 1.4 * 61.02, 4 * 61.02, 8.6 * 61.02],
    ['sodium', 2.9 * 22.99, 5 * 22.99, 9.1 * 22.99],
    ['adsorption', 2, 5, 10],
  ])('%s', (id, none, slight, severe) => {
    expect([level(id, none), level(id, slight), level(id, severe)]).toEqual([
      'enough',
      'high',
      'too-high',
    ]);
  });

  it('pH from 6.5 to 8.4 is normal', () => {
    expect([level('ph', 6.4), level('ph', 7.5), level('ph', 8.5)]).toEqual([
      'low',
      'enough',
      'high',
    ]);
  });
});
