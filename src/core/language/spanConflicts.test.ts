import fc from 'fast-check';
import type { FindingId } from '../schema/common.ts';
import { findingIdSchema } from '../schema/common.ts';
import { withoutClaimedWords, type Reading, type Weights } from './spanConflicts.ts';

const id = (name: string): FindingId => findingIdSchema.parse(name);

function reading(name: string, places: readonly number[], rest: Partial<Reading> = {}): Reading {
  return {
    finding: id(name),
    sort: 'seen',
    positions: places,
    first: Math.min(...places),
    last: Math.max(...places),
    contentWords: places,
    far: false,
    sentence: 0,
    ...rest,
  };
}

/** All words tell as much, all findings are as common, and none implies another. */
const EVEN: Weights = { implied: (one) => [one], idf: () => 2, common: () => 1, logOdds: () => 0 };
const kept = (readings: readonly Reading[], weights: Weights = EVEN): string[] =>
  withoutClaimedWords(readings, weights).map(({ finding }) => finding);

describe('readings of the same words', () => {
  it('go to the one that explains more of them', () => {
    expect(kept([reading('spots', [1]), reading('ringed-spots', [0, 1, 2])])).toEqual([
      'ringed-spots',
    ]);
  });

  it('go to the one whose words are rarer', () => {
    const idf = (place: number): number => (place === 3 ? 6 : 1);
    const readings = [reading('plain', [1, 2]), reading('rare', [2, 3])];
    expect(kept(readings, { ...EVEN, idf })).toEqual(['rare']);
  });

  it('go to the one that the plant shows more commonly when all else is equal', () => {
    const common = (one: FindingId): number => (one === id('usual') ? 50 : 0.1);
    const readings = [reading('unusual', [1, 2]), reading('usual', [1, 2])];
    expect(kept(readings, { ...EVEN, common })).toEqual(['usual']);
  });

  it('go to the closer one when all else is equal', () => {
    expect(kept([reading('apart', [1, 9]), reading('close', [1, 2])])).toEqual(['close']);
  });

  it('are all kept when one implies the other', () => {
    const implied = (one: FindingId): FindingId[] =>
      one === id('ringed') ? [id('ringed'), id('spots')] : [one];
    const readings = [reading('spots', [1]), reading('ringed', [0, 1])];
    expect(kept(readings, { ...EVEN, implied })).toEqual(['spots', 'ringed']);
  });

  it('are all kept when they are of different sorts', () => {
    const readings = [reading('seen', [1, 2]), reading('rain', [1, 2], { sort: 'context' })];
    expect(kept(readings)).toEqual(['seen', 'rain']);
  });
});

describe('what is left of a reading', () => {
  it('must be more than half of what it tells', () => {
    const winner = reading('winner', [0, 1, 2, 3]);
    expect(kept([winner, reading('half', [3, 4])])).toEqual(['winner']);
    expect(kept([winner, reading('most', [3, 4, 5])])).toEqual(['winner', 'most']);
  });

  it('must be all of it when its words stand far apart', () => {
    const winner = reading('winner', [0, 1, 2, 3]);
    expect(kept([winner, reading('far', [3, 4, 5], { far: true })])).toEqual(['winner']);
    expect(kept([winner, reading('far', [4, 9], { far: true })])).toEqual(['winner', 'far']);
  });

  it('is weighed after all whose words stand near, however many it explains', () => {
    const far = reading('far', [0, 2, 4, 6, 8], { far: true });
    expect(kept([far, reading('near', [4])])).toEqual(['near']);
  });
});

describe('competing (properties)', () => {
  const arbitrary = fc
    .array(
      fc.record({
        name: fc.constantFrom('a', 'b', 'c', 'd'),
        places: fc.uniqueArray(fc.nat(9), { minLength: 1, maxLength: 4 }),
        far: fc.boolean(),
      }),
      { maxLength: 8 },
    )
    .map((list) => list.map(({ name, places, far }) => reading(name, places, { far })));

  it('keeps the order, adds nothing and keeps at least one', () => {
    fc.assert(
      fc.property(arbitrary, (readings) => {
        const left = withoutClaimedWords(readings, EVEN);
        const places = left.map((one) => readings.indexOf(one));
        return (
          places.every((place, i) => place > (places[i - 1] ?? -1)) &&
          (readings.length === 0 || left.length > 0)
        );
      }),
    );
  });

  it('settles: what is left has nothing more to take from each other', () => {
    fc.assert(
      fc.property(arbitrary, (readings) => {
        const left = withoutClaimedWords(readings, EVEN);
        expect(withoutClaimedWords(left, EVEN)).toEqual(left);
      }),
    );
  });
});
