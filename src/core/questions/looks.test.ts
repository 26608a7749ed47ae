import { miniLibrary, type MiniCause } from '../../test/miniLibrary.ts';
import { circumstancesAt, plantId } from '../../test/setting.ts';
import { buildNetwork } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { sum } from '../util/maths.ts';
import { findQuestions } from './questions.ts';
import { valueLooks } from './looks.ts';

const ROOT = { part: 'root', background: 'telltale', seconds: 20 };
const ROOTS = ['knots', 'slime', 'pink', 'beads', 'wax'];
const FINDINGS = [
  ...ROOTS.map((id) => ({ id, extra: ROOT })),
  { id: 'wilt', extra: { background: 'occasional' } },
  { id: 'crisp', extra: { background: 'uncommon' } },
];
const CAUSES: readonly MiniCause[] = [
  ...ROOTS.map((id) => ({ id: `of-${id}`, findings: { [id]: 'nearly-always', wilt: 'usual' } })),
  { id: 'drought', findings: { crisp: 'usual', wilt: 'usual' } },
];
const LOOK = {
  id: 'roots',
  say: 'Pull one up and look at the roots.',
  seconds: 30,
  shows: ROOTS,
  source: 'practice',
};

function inquiryWith(looks: readonly object[]) {
  const library = miniLibrary(FINDINGS, CAUSES, { 'looks/a.yaml': looks });
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  const { posterior } = weighAll(library, network, [], 0);
  return { library, inquiry: findQuestions(library, network, posterior, [], new Set(['change'])) };
}

it('asks the questions of one look one after the other, before what says less than the look', () => {
  const { inquiry } = inquiryWith([LOOK]);
  const first = inquiry.questions.slice(0, 4);
  expect(ROOTS).toEqual(expect.arrayContaining(first.map(({ finding }) => finding)));
  expect(first.map(({ look }) => look?.say)).toEqual(first.map(() => LOOK.say));
});

it('asks each by itself where no look shows them', () => {
  expect(inquiryWith([]).inquiry.questions.every(({ look }) => look === null)).toBe(true);
});

it('takes four findings together, whose answers are one of them or none', () => {
  const { library, inquiry } = inquiryWith([LOOK]);
  const { list, valued, decision } = inquiry;
  const [look] = valueLooks(library, list, valued, decision);
  if (!look) throw new Error('no look is valued');
  const { candidate, informationGainBits } = look.together;
  expect(look.members).toHaveLength(4);
  expect(candidate.seconds).toBe(30 + 3 * 6);
  expect(candidate.answers).toHaveLength(5);
  for (let k = 0; k < list.positions.length; k++)
    expect(sum(candidate.answers.map(({ likelihood }) => likelihood[k] ?? NaN))).toBeCloseTo(1, 12);
  for (const one of look.members)
    expect(informationGainBits).toBeGreaterThan(one.informationGainBits);
});

it('needs two findings to be a look', () => {
  const { library, inquiry } = inquiryWith([{ ...LOOK, shows: ['knots', 'crown'] }]);
  expect(valueLooks(library, inquiry.list, inquiry.valued, inquiry.decision)).toEqual([]);
});
