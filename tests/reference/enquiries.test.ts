import { parse } from 'yaml';
import { z } from 'zod';
import { CORPUS, corpusText } from '../../src/cli/corpus.ts';
import { createConsultant } from '../../src/core/consult/consult.ts';
import type { Answer } from '../../src/core/consult/enquiry.ts';
import { enquiry } from '../../src/test/enquiry.ts';
import { library } from '../support/wholeLibrary.ts';
import { day, findingId, plantId } from '../../src/test/setting.ts';

const consultant = createConsultant(library);

function leadOf(words: string, on: string, place: { lat: number; lon: number }): string {
  const { causes } = consultant(enquiry(words, { today: day(on), place }));
  return causes[0]?.cause.id ?? '';
}

// Questions with no culprit, as callers put them; common practice.
it.each([
  ['When do I prune my hydrangea?', '2026-06-13', 'care-hydrangea-pruning'],
  ['when do I prune roses', '2026-03-01', 'care-rose-pruning'],
  ['Where do I cut the orchid flower spike?', '2026-06-13', 'care-orchid-spike'],
  ['How do I divide my peony?', '2026-06-13', 'care-peony-move'],
  ['Can I cut the leaves of my daffodils now?', '2026-05-20', 'care-bulb-leaves'],
  ['how do I overwinter my dahlias', '2026-10-13', 'care-dahlia-lift'],
  ['When should I cut back my lavender?', '2026-06-13', 'care-perennial-cutback'],
  ['How do I get my poinsettia to turn red again?', '2026-10-13', 'care-amaryllis-rebloom'],
  ['How should I mulch around my maple?', '2026-06-13', 'care-mulch'],
])('"%s" on %s is about %s', (words, on, topic) => {
  expect(leadOf(words, on, { lat: 44.6, lon: -67.9 })).toBe(topic);
});

const askedSchema = z.array(
  z.strictObject({
    asks: z.string(),
    on: z.string(),
    lat: z.number(),
    lon: z.number(),
    about: z.array(z.string()).min(1),
  }),
);

it.each([
  ['questions of care', CORPUS.careEnquiries, 200, 0.9],
  ['enquiries about troubles', CORPUS.troubleEnquiries, 300, 0.88],
])('answers %s no worse than when they were last worked on', (_name, file, many, share) => {
  const asked = askedSchema.parse(parse(corpusText(file)));
  const answered = asked.filter(({ asks, on, about, ...place }) => {
    const lead = leadOf(asks, on, place);
    return about.some((one) => lead.includes(one));
  });
  expect(asked.length).toBeGreaterThan(many);
  expect(answered.length / asked.length).toBeGreaterThan(share);
});

// Who tells of a trouble asks for its cure, not for the care of the plant; common practice.
it.each([
  ['When will the black spots on my roses go away?', 'rose-black-spot'],
  ['Should I spray the aphids on my milkweed?', 'aphids'],
  ['Can I eat zucchini with white powder on the leaves?', 'powdery-mildew'],
])('"%s" is about %s', (words, cause) => {
  expect(leadOf(words, '2026-07-05', { lat: 43, lon: -70 })).toBe(cause);
});

// What can hurt a child is offered only after the advisor asked: "no dog" in passing says nothing of children; domain rule.
it('offers no bait that is a hazard to children because a denial was overheard', () => {
  const words =
    'My hosta has ragged holes and slime trails, worse every morning. Dogs? No. No pets, no kids.';
  const whereas = { plant: plantId('hosta'), today: day('2026-06-13') };
  const refusals = (answers: readonly Answer[]): readonly string[] =>
    consultant(enquiry(words, { ...whereas, answers })).advice.notDoing.map(({ text }) => text);
  const pets = findingId('pets-or-children');
  expect(refusals([])).toContain('Metaldehyde bait');
  expect(refusals([{ kind: 'answered', finding: pets, value: false, sure: 1 }])).not.toContain(
    'Metaldehyde bait',
  );
});
