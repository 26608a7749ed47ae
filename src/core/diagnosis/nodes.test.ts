import { miniLibrary } from '../../test/miniLibrary.ts';
import { circumstancesAt, day, findingId } from '../../test/setting.ts';
import { nodesOn, stagedNodes } from './nodes.ts';

const library = miniLibrary(
  [
    { id: 'spots', extra: { noticeable: true } },
    { id: 'flies' },
    { id: 'never-shown', extra: { noticeable: true } },
    { id: 'unknown-here', extra: { noticeable: true } },
  ],
  [
    {
      id: 'maggot',
      findings: { flies: 'usual', spots: 'often', 'never-shown': 'never' },
      extra: {
        stages: [
          { name: 'first flight', when: '05-01..05-20', shows: ['flies'] },
          { name: 'second flight', when: '07-20..08-10', shows: ['flies'] },
        ],
      },
    },
    { id: 'blight', findings: { spots: 'usual', flies: 'sometimes' } },
  ],
);
const causes = [...library.causes.values()];
const staged = stagedNodes(library, causes);
const at = (id: string): number => causes.findIndex((cause) => cause.id === id);
const on = (date: string) =>
  nodesOn(staged, causes, { almanac: circumstancesAt(library).almanac, today: day(date) });
/** How often the maggot shows flies on a day. */
const shown = (date: string): number =>
  1 - (on(date)(findingId('flies'))?.inhibition[at('maggot')] ?? NaN);

it('lists the findings that some cause has to do with, and those that are noticed', () => {
  expect([...staged.findingIds].sort()).toEqual(['flies', 'never-shown', 'spots']);
  expect([...staged.noticeable].sort()).toEqual(['never-shown', 'spots']);
});

it('holds for each cause the chance that it leaves the finding unshown', () => {
  const node = on('2026-05-10')(findingId('spots'));
  expect(node).toMatchObject({ id: 'spots', background: 0.1 });
  expect(node?.shownBy).toEqual([at('maggot'), at('blight')].sort((a, b) => a - b));
  expect(node?.inhibition[at('maggot')]).toBeCloseTo(0.45, 12);
  expect(node?.inhibition[at('blight')]).toBeCloseTo(0.25, 12);
});

it('is shown by nothing where a cause never shows it or nobody knows it', () => {
  expect(on('2026-05-10')(findingId('never-shown'))?.shownBy).toEqual([]);
  expect(on('2026-05-10')(findingId('unknown-here'))?.shownBy).toEqual([]);
  expect(on('2026-05-10')(findingId('no-such-finding'))).toBeNull();
});

describe('a finding of some stages', () => {
  it('is as frequent in each of them as the library says', () => {
    expect(shown('2026-05-10')).toBeCloseTo(0.75, 12);
    expect(shown('2026-08-01')).toBeCloseTo(0.75, 12);
  });

  it('fades away after a stage, down to a tenth', () => {
    const { almanac } = circumstancesAt(library);
    const stages = causes[at('maggot')]?.stages ?? [];
    for (const date of ['2026-05-25', '2026-06-05', '2026-08-20']) {
      const days = Math.min(
        ...stages.map(({ when }) => almanac.daysOutside(when, day(date)) ?? Infinity),
      );
      expect(days).toBeGreaterThan(0);
      expect(shown(date)).toBeCloseTo(0.75 * Math.max(0.1, Math.exp(-days / 25)), 12);
    }
    expect(shown('2026-12-20')).toBeCloseTo(0.075, 12);
  });

  it('is as frequent as ever under a cause without stages', () => {
    const node = on('2026-12-20')(findingId('flies'));
    expect(node?.inhibition[at('blight')]).toBeCloseTo(0.7, 12);
  });
});
