import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parse } from 'yaml';
import { z } from 'zod';
import { findingIdSchema, type FindingId } from '../core/schema/common.ts';
import { labelledSentenceSchema, type LabelledSentence } from './labelledSentences.ts';

/** The files of labelled text below `corpus/` by their role; corpus/README.md says where each comes from. */
export const CORPUS = {
  /** Sentences by which phrases were corrected. */
  corrected: [
    'train/sentences-first',
    'train/sentences-second',
    'train/sentences-third',
    'train/sentences-rounds',
  ],
  /** Sentences that no phrase was written for. */
  uncorrected: 'train/sentences-uncorrected',
  /** Sentences with what the phrases found in them; not all of it is right. */
  machineLabelled: 'train/sentences-machine-labelled',
  /** Short ways of reporting one finding each. */
  paraphrases: ['train/paraphrases', 'train/paraphrases-learned'],
  /** Never corrected by and never learned from. */
  heldOut: ['heldout/sentences-first', 'heldout/sentences-third', 'heldout/sentences-second'],
  examples: 'heldout/examples',
  /** What is no evidence: asked, guessed, quoted, intended; the second set is never corrected by. */
  assertions: 'train/assertions',
  heldoutAssertions: 'heldout/assertions',
  /** What is asked for; the second set is never corrected by. */
  requests: 'train/requests',
  heldoutRequests: 'heldout/requests',
  /** Remarks about danger and others much like them; the second set is only run. */
  urgentWorkedWith: 'train/urgent',
  urgentHeldOut: 'heldout/urgent',
  swallowedWorkedWith: 'train/urgent-swallowed',
  swallowedHeldOut: 'heldout/urgent-swallowed',
  injuryFireFalling: 'train/urgent-injury-fire-falling',
  swallowedSecond: 'heldout/urgent-swallowed-second',
  /** Remarks with the sizes in them. */
  sizes: 'train/sizes',
  furtherSizes: 'heldout/sizes',
  /** Calls from many countries, written before any cause had a range. */
  callsFromCountries: 'heldout/places',
  /** Calls from states and provinces, written before any range or law knew one. */
  callsFromStates: 'heldout/states',
  /** About what the library lacked: before the entries, and after them in other words. */
  gaps: [
    'heldout/gaps',
    'heldout/gaps-second',
    'heldout/gaps-third',
    'heldout/gaps-fourth',
    'heldout/gaps-fifth',
  ],
  /** Facts of the trade, with what the answer must say. */
  trade: 'enquiries/trade',
  careEnquiries: 'enquiries/care',
  /** In plain words, written before the topics were; the other half of them is the last of `gaps`. */
  carePlain: 'enquiries/care-plain',
  troubleEnquiries: 'enquiries/troubles',
} as const;

/** The files that the learned model is made of. */
export const TRAINING_FILES: readonly string[] = [
  ...CORPUS.corrected,
  CORPUS.uncorrected,
  CORPUS.machineLabelled,
  ...CORPUS.paraphrases,
];

/** The text of a file of the corpus, given without its ending. Throws when there is no such file. */
export function corpusText(name: string): string {
  return readFileSync(resolve('corpus', `${name}.yaml`), 'utf8');
}

/** The labelled sentences of a file. Throws when one is not in the form of {@link labelledSentenceSchema}. */
export function labelledSentences(name: string): readonly LabelledSentence[] {
  return z.array(labelledSentenceSchema).parse(parse(corpusText(name)));
}

/** Short ways of reporting findings, by finding. Throws when the file has another form. */
export function paraphrases(name: string): readonly (readonly [FindingId, readonly string[]])[] {
  const read = z.record(findingIdSchema, z.array(z.string())).parse(parse(corpusText(name)));
  return Object.entries(read).map(([id, said]) => [findingIdSchema.parse(id), said] as const);
}

/** The judged enquiries of a file of `corpus/enquiries`, unchecked. Throws when there is no such file. */
export function judgedEnquiries(name: string): unknown {
  return JSON.parse(readFileSync(resolve('corpus/enquiries', `${name}.json`), 'utf8'));
}
