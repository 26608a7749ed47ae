import { step, advice, lead, about, request } from '../../test/answering.ts';
import { causeWith } from '../../test/candidate.ts';
import type { Act, RequestKind, Request } from '../language/requests.ts';
import { answerRequests, careReply } from './answers.ts';
import type { LocalLaw } from './messages.ts';

describe('a label that was read out', () => {
  const words = 'it says 2 tablespoons per gallon. how much for my 3 gallon sprayer';
  const answer = (kind: RequestKind, act: Act | null, said = words) =>
    answerRequests([request(kind, act, said)], about({ words: said }))[0]?.reply;

  it('says how much goes into the tank', () => {
    expect(answer('how-much', null)).toMatchObject({ code: 'mix', rate: 2 / 256 });
    expect(answer('how-much', 'water')?.code).not.toBe('mix');
  });
  it('refuses a stronger mix', () => {
    expect(answer('may-do', 'spray', 'can I double the dose of the spray')).toEqual({
      code: 'no-stronger',
    });
  });
});

describe('a question of care alone', () => {
  const topic = (id: string, name: string, say: string) =>
    causeWith({
      ...{ id, name, say, category: 'care', findings: { [`asks-${id}`]: 'always' } },
    });
  const water = topic('care-water', 'How to water', 'Water it deeply.');
  const feed = topic('care-feed', 'When to feed', 'Feed it in spring.');
  const often = { ...step('Soak the roots.'), amount: { parts: ['twice a week'] } };
  const care = about({
    lead: lead(water),
    ranked: [
      { cause: water, probability: 0.8 },
      { cause: feed, probability: 0.2 },
    ],
    advice: { ...about().advice, steps: [often, step('Look at the leaves.')] },
  });
  const answer = (kind: Request['kind'], act: Request['act'] = null) =>
    answerRequests([request(kind, act)], care)[0]?.reply;

  it('says the topic, and for how much the steps that have an amount', () => {
    expect(answer('how')).toEqual({ code: 'library', text: 'Water it deeply.' });
    expect(answer('how-much', 'water')).toMatchObject({ code: 'care', steps: [often] });
  });
  it('goes to the other topic where other work is asked about', () => {
    expect(answer('may-do', 'feed')).toEqual({ code: 'library', text: 'Feed it in spring.' });
    expect(answer('may-do', 'lime')).toEqual({ code: 'library', text: 'Water it deeply.' });
  });
});

const LAW: LocalLaw = {
  code: 'local-law',
  ...{ say: 'Not in May.', region: 'us-tx', scope: 'there', who: 'council' },
};

describe('a question of care beside a trouble', () => {
  const care = about({
    lead: lead(causeWith({ id: 'care-prune', name: 'When to prune', say: 'You do it in spring.' })),
    advice: advice({
      steps: [{ ...step('Prune it in spring.'), cautions: [LAW, { code: 'arborist-only' }] }],
      cautions: [{ code: 'library', text: 'Wear gloves.' }],
    }),
  });
  const plan = about({ advice: advice({ steps: [step('Prune out the canes.')] }) });

  it('is answered with what is said of it, its steps and its cautions', () => {
    expect(careReply(request('when', 'cut'), plan, care)).toMatchObject({
      code: 'care',
      say: 'You do it in spring.',
      steps: [{ id: 'Prune it in spring.' }],
      cautions: [{ code: 'library', text: 'Wear gloves.' }, LAW],
    });
    expect(careReply(request('how'), plan, care)?.code).toBe('care');
  });
  it('is not asked with leave to do what the plan does or refuses', () => {
    expect(careReply(request('may-do', 'cut'), plan, care)).toBeNull();
    const refusing = about({
      advice: advice({
        notDoing: [{ text: 'Pruning now', why: { code: 'library', text: 'It bleeds.' } }],
      }),
    });
    expect(careReply(request('may-do', 'cut'), refusing, care)).toBeNull();
    expect(careReply(request('may-do', 'cut'), about(), care)?.code).toBe('care');
  });
  it('does not speak of other work, nor of theories, nor without a lead', () => {
    expect(careReply(request('when', 'feed'), plan, care)).toBeNull();
    expect(careReply(request('theory', 'cut'), plan, care)).toBeNull();
    expect(careReply(request('when', 'cut'), plan, { ...care, lead: null })).toBeNull();
  });
});
