import { miniLibrary } from '../test/miniLibrary.ts';
import { circumstancesAt, plantId } from '../test/setting.ts';
import { buildNetwork } from '../core/diagnosis/network.ts';
import type { Question } from '../core/questions/questions.ts';
import { drawEnquirer } from './simulatedEnquirer.ts';

const library = miniLibrary(
  [
    { id: 'spots', extra: { noticeable: true } },
    { id: 'ringed', extra: { isA: ['spots'], noticeable: true } },
    { id: 'old', extra: { group: 'age' } },
    { id: 'new', extra: { group: 'age' } },
  ],
  [{ id: 'a', findings: { spots: 'usual', ringed: 'often', old: 'usual', new: 'seldom' } }],
  { 'groups/a.yaml': [{ id: 'age', question: 'Old or new?', source: 'judgement' }] },
);
const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
const draw = (seed: number) => drawEnquirer(library, network, seed);
const ask = (finding: string, choices: Question['choices'] = []): Question => ({
  kind: choices.length > 0 ? 'group' : 'finding',
  finding,
  question: 'Is it so?',
  how: null,
  seconds: 10,
  netValue: 1,
  informationGainBits: 1,
  look: null,
  saidAt: null,
  choices,
});
const SEEDS = Array.from({ length: 300 }, (_, i) => 1000 + i);

it('draws the same enquirer from the same seed, who answers the same whenever asked', () => {
  for (const seed of SEEDS.slice(0, 20)) {
    const [one, other] = [draw(seed), draw(seed)];
    expect(other.truth).toEqual(one.truth);
    expect(other.opening).toEqual(one.opening);
    const first = one.answer(ask('spots'));
    other.answer(ask('ringed'));
    expect(other.answer(ask('spots'))).toEqual(first);
  }
});

it('has a special finding only with its general one, and one choice of a group at most', () => {
  for (const seed of SEEDS) {
    const present: ReadonlySet<string> = draw(seed).truth.present;
    expect(!present.has('ringed') || present.has('spots')).toBe(true);
    expect(present.has('old') && present.has('new')).toBe(false);
  }
});

it('tells unasked of no choice, and not of the general with the special', () => {
  for (const seed of SEEDS) {
    const told = draw(seed).opening.map(({ finding }): string => finding);
    expect(told).not.toContain('old');
    expect(told.includes('spots') && told.includes('ringed')).toBe(false);
  }
});

it('now and then cannot tell, and is mostly right', () => {
  const answers = SEEDS.map((seed) => {
    const enquirer = draw(seed);
    const present: ReadonlySet<string> = enquirer.truth.present;
    return { said: enquirer.answer(ask('spots'))?.value, is: present.has('spots') };
  });
  const told = answers.filter(({ said }) => said !== undefined);
  const right = told.filter(({ said, is }) => said === is);
  expect(told.length).toBeGreaterThan(0.88 * SEEDS.length);
  expect(told.length).toBeLessThan(SEEDS.length);
  expect(right.length).toBeGreaterThan(0.8 * told.length);
});
