import { createConsultant } from '../../src/core/consult.ts';
import { library } from '../support/wholeLibrary.ts';
import { day } from '../support/setting.ts';

const consultant = createConsultant(library);

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
  const { causes } = consultant({
    words,
    today: day(on),
    place: { lat: 44.6, lon: -67.9 },
    plant: null,
    channel: 'phone',
    approach: 'integrated',
    answers: [],
    weather: [],
    experience: new Map(),
  });
  expect(causes[0]?.cause.id).toBe(topic);
});
