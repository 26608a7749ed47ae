import { enquiry } from '../../test/enquiry.ts';
import { treatmentEntry } from '../../test/advised.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { findingId, plantId } from '../../test/setting.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { createConsultant, type Consultation } from './consult.ts';
import type { Answer, Enquiry } from './enquiry.ts';

const library = miniLibrary(
  [
    { id: 'webs', extra: { phrases: ['web|webs'], background: 'telltale' } },
    { id: 'spots', extra: { phrases: ['spot|spots'], background: 'rare' } },
  ],
  [
    { id: 'mites', findings: { webs: 'always' }, extra: { leave: 'It goes.', category: 'mite' } },
    { id: 'rust', findings: { spots: 'always' }, extra: { leave: 'It goes.' } },
    {
      id: 'moss-pest',
      findings: { webs: 'always' },
      extra: { leave: 'It goes.', hosts: { moss: 'usual' } },
    },
  ],
  { 'plants/b.yaml': [{ id: 'moss', name: 'Moss', source: 'judgement' }] },
);
const consultant = createConsultant(library);
const ask = (words: string, change: Partial<Enquiry> = {}): Consultation =>
  consultant(enquiry(words, change));
const told = (id: string, value: boolean): Answer => ({
  kind: 'answered',
  finding: findingId(id),
  value,
  sure: 0.9,
});
const leader = (consultation: Consultation): string | undefined => consultation.causes[0]?.cause.id;

it('takes the plant from the words, and the advisor over the words', () => {
  expect(leader(ask('webs on my fern'))).toBe('mites');
  expect(leader(ask('webs on my fern', { plant: plantId('moss') }))).toBe('moss-pest');
});

it('lets an answer outweigh what was heard', () => {
  expect(leader(ask('spots on the fern'))).toBe('rust');
  expect(
    leader(ask('spots on the fern', { answers: [told('spots', false), told('webs', true)] })),
  ).toBe('mites');
});

it('leaves a dropped finding out of the weighing', () => {
  const without = ask('spots on the fern', { answers: [{ kind: 'unknown', asked: 'spots' }] });
  expect(without.causes.every((one) => one.arguments.length === 0)).toBe(true);
});

it('shows for each cause what speaks for and against it', () => {
  const [first] = ask('webs but no spots on the fern').causes;
  expect(first?.arguments).toMatchObject([{ finding: 'webs' }]);
  const rust = ask('webs but no spots on the fern').causes.find(({ cause }) => cause.id === 'rust');
  expect(rust?.arguments[0]).toMatchObject({ finding: 'spots' });
  expect(rust?.arguments[0]?.decibans).toBeLessThan(0);
});

it('is settled only when something was said', () => {
  expect(ask('').stopping.settled).toBe(false);
  expect(ask('webs and webs, no spots on the fern').stopping.settled).toBe(true);
});

it('gives the same answer to the same enquiry', () => {
  expect(ask('webs on the fern')).toEqual(ask('webs on the fern'));
});

describe('how much is affected', () => {
  const EXTENTS = Object.values(RELIED_ON.findings).filter((id) => id.startsWith('extent-'));
  const withProduct = (harm: Record<string, string>) =>
    createConsultant(
      miniLibrary(
        [
          { id: 'webs', extra: { phrases: ['web|webs'], background: 'telltale' } },
          ...EXTENTS.map((id) => ({ id, extra: { group: 'extent', forAdvice: true } })),
        ],
        [
          {
            id: 'mites',
            findings: { webs: 'always' },
            extra: { category: 'mite', harm, treatments: [{ use: 'soap', effect: 'strong' }] },
          },
        ],
        {
          'groups/g.yaml': [{ id: 'extent', question: 'How much?', source: 'practice' }],
          'treatments/t.yaml': [treatmentEntry('soap', { rung: 'low-toxicity' })],
        },
      ),
    );
  const BEARABLE = { looks: 'moderate', pace: 'weeks' };
  const asked = (harm: Record<string, string>, answers: Answer[] = []) =>
    withProduct(harm)(enquiry('webs and webs on the fern', { answers })).ask;

  it('is asked once the cause is found, where it decides whether to treat', () => {
    expect(asked(BEARABLE).map(({ finding }) => finding)).toEqual(['extent']);
    expect(asked(BEARABLE)[0]?.choices).toHaveLength(4);
  });

  it.each<[string, Record<string, string>, Answer[]]>([
    ['the plant bears none of it', { plant: 'serious', pace: 'weeks' }, []],
    ['it is known', BEARABLE, [told('extent-much', true)]],
    ['they cannot say', BEARABLE, [{ kind: 'unknown', asked: 'extent' }]],
  ])('is not asked where %s', (_, harm, answers) => {
    expect(asked(harm, answers)).toEqual([]);
  });
});

describe('a cause that is not known in the region', () => {
  const withRange = createConsultant(
    miniLibrary(
      [
        { id: 'webs', extra: { phrases: ['web|webs'], background: 'telltale' } },
        { id: 'dust', extra: { phrases: ['dust'], background: 'telltale' } },
      ],
      [
        {
          id: 'mites',
          findings: { webs: 'always', dust: 'always' },
          extra: {
            category: 'mite',
            range: { established: ['us'], asOf: 2026, source: 'practice' },
            treatments: [{ use: 'wash', effect: 'strong' }],
          },
        },
        { id: 'mold', findings: { webs: 'usual' }, extra: { leave: 'It goes.' } },
      ],
      { 'treatments/t.yaml': [treatmentEntry('wash')] },
    ),
  );
  const answerIn = (region: string, words: string) => withRange(enquiry(words, { region }));

  it('gives way to what is known there', () => {
    expect(leader(answerIn('us', 'webs on the fern'))).toBe('mites');
    expect(leader(answerIn('nz', 'webs on the fern'))).toBe('mold');
  });

  it('answers no request with what could be done against it', () => {
    const ask = (region: string) => answerIn(region, 'webs on the fern and dust. Can I spray it?');
    expect(ask('us').answers.map(({ reply }) => reply.code)).not.toContain('find-out-first');
    expect(ask('nz').answers.map(({ reply }) => reply.code)).toEqual(['find-out-first']);
  });

  it('is not treated beside another cause that leads', () => {
    const both = createConsultant(
      miniLibrary(
        [
          { id: 'webs', extra: { phrases: ['web|webs'], background: 'telltale' } },
          { id: 'dust', extra: { phrases: ['dust'], background: 'rare' } },
        ],
        [
          {
            id: 'mites',
            findings: { webs: 'always', dust: 'always' },
            extra: {
              category: 'mite',
              common: 'very-common',
              range: { established: ['us'], asOf: 2026, source: 'practice' },
              treatments: [{ use: 'wash', effect: 'strong' }],
            },
          },
          {
            id: 'mold',
            findings: { webs: 'usual', dust: 'seldom' },
            extra: { common: 'rare', treatments: [{ use: 'clip', effect: 'good' }] },
          },
        ],
        { 'treatments/t.yaml': [treatmentEntry('wash'), treatmentEntry('clip')] },
      ),
    );
    const { causes, advice } = both(enquiry('webs on the fern', { region: 'nz' }));
    expect(causes.map(({ cause }) => cause.id)).toEqual(['mold', 'mites']);
    expect(causes[1]?.probability).toBeGreaterThan(0.1);
    expect(advice.steps.map(({ id }) => id)).not.toContain('wash');
  });

  it('is reported and not treated where all points to it', () => {
    const words = 'webs on the fern and dust';
    expect(answerIn('us', words).advice.steps.map(({ id }) => id)).toContain('wash');
    const { causes, advice } = answerIn('nz', words);
    expect(causes[0]).toMatchObject({ cause: { id: 'mites' }, presence: 'absent' });
    expect(advice).toMatchObject({
      verdict: 'professional',
      headline: { code: 'not-known-here', cause: 'Cause mites' },
      steps: [{ id: 'report-not-known-here' }],
      refer: ['plant-health-office'],
    });
  });
});
