import fc from 'fast-check';
import { findingIdSchema, type FindingId } from '../schema/common.ts';
import {
  probabilitiesOf,
  FAINT,
  rivalriesOf,
  type Contender,
  type FindingRelations,
} from './competingReadings.ts';

const id = (name: string): FindingId => findingIdSchema.parse(name);
const NAMES = ['spots', 'ringed-spots', 'scorch', 'wilt', 'drop'].map(id);

/** Ringed spots are spots; scorch and drop are told together. */
const relations: FindingRelations = {
  related: (a, b) => a === b || [a, b].every((one) => one === NAMES[0] || one === NAMES[1]),
  reportedTogether: (a, b) => [a, b].includes(id('scorch')) && [a, b].includes(id('drop')),
};

function reading(name: string, places: readonly number[], rest: Partial<Contender> = {}) {
  const span = { start: 5 * Math.min(...places), end: 5 * Math.max(...places) + 4 };
  return {
    finding: id(name),
    value: true,
    sentence: 0,
    span,
    contentWords: places,
    logOdds: 1,
    ...rest,
  };
}

describe('rivals', () => {
  const rivalry = (...readings: Contender[]) => rivalriesOf(readings, relations)[0];

  it('are readings of the same words', () => {
    expect(rivalry(reading('scorch', [0, 1]))).toMatchObject({ rival: FAINT, whole: FAINT });
    expect(rivalry(reading('scorch', [0, 1]), reading('wilt', [2]))).toMatchObject({
      rival: FAINT,
    });
    const shared = rivalry(reading('scorch', [0, 1]), reading('wilt', [1, 2], { logOdds: 2 }));
    expect(shared).toMatchObject({ own: 1, rival: 2, whole: FAINT });
    const covered = rivalry(reading('scorch', [0, 1]), reading('wilt', [0, 1, 2], { logOdds: 2 }));
    expect(covered).toMatchObject({ rival: 2, whole: 2 });
  });

  it('are neither kinds of it nor what is told together with it', () => {
    const kin = rivalry(reading('spots', [0]), reading('ringed-spots', [0, 1]));
    expect(kin).toMatchObject({ rival: FAINT, together: FAINT });
    const together = rivalry(reading('scorch', [0]), reading('drop', [0], { logOdds: 3 }));
    expect(together).toMatchObject({ rival: FAINT, together: 3 });
    const denied = rivalry(reading('scorch', [0]), reading('drop', [0], { value: false }));
    expect(denied).toMatchObject({ rival: 1, together: FAINT });
  });

  it('are of the same sentence and not faint', () => {
    const elsewhere = rivalry(reading('scorch', [0]), reading('wilt', [0], { sentence: 1 }));
    expect(elsewhere).toMatchObject({ rival: FAINT });
    const faint = rivalry(reading('scorch', [0]), reading('wilt', [0], { logOdds: -2 }));
    expect(faint).toMatchObject({ rival: FAINT });
  });

  it('are found as by looking at every pair', () => {
    const some = fc.record({
      name: fc.constantFrom(...NAMES),
      from: fc.integer({ min: 0, max: 20 }),
      words: fc.integer({ min: 1, max: 6 }),
      phrase: fc.boolean(),
      odds: fc.double({ min: -3, max: 3, noNaN: true }),
    });
    const made = fc.array(some, { maxLength: 12 }).map((list) =>
      list.map(({ name, from, words, phrase, odds: logOdds }) => {
        const places = Array.from({ length: words }, (_, i) => from + i);
        return reading(name, places, { logOdds, ...(phrase ? {} : { contentWords: null }) });
      }),
    );
    fc.assert(
      fc.property(made, (readings) => {
        const plainly = readings.map((one) =>
          readings
            .filter(({ logOdds, finding }) => logOdds >= FAINT && finding !== one.finding)
            .filter(({ span }) => span.start < one.span.end && one.span.start < span.end)
            .filter(({ finding }) => !relations.related(finding, one.finding))
            .filter(({ finding }) => !relations.reportedTogether(finding, one.finding))
            .reduce((most, { logOdds }) => Math.max(most, logOdds), FAINT),
        );
        expect(rivalriesOf(readings, relations).map(({ rival }) => rival)).toEqual(plainly);
      }),
    );
  });
});

describe('chances', () => {
  const two = [reading('scorch', [0, 1]), reading('wilt', [0, 1, 2], { logOdds: 2 })];

  it('are each reading by itself where nothing was learned of rivals', () => {
    const [own] = probabilitiesOf(two, relations, new Map());
    expect(own).toBeCloseTo(1 / (1 + Math.exp(-1)), 12);
  });

  it('fall with a likely rival', () => {
    const weights = new Map([
      ['always', 0.5],
      ['own', 1],
      ['rival', -1],
    ]);
    const [own] = probabilitiesOf(two, relations, weights);
    expect(own).toBeCloseTo(1 / (1 + Math.exp(-(0.5 + 1 - 2))), 12);
  });
});
