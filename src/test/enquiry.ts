import type { Enquiry } from '../core/consult/enquiry.ts';
import { day } from './setting.ts';

/** An enquiry by telephone on a June day, with anything changed. */
export const enquiry = (words: string, change: Partial<Enquiry> = {}): Enquiry => ({
  words,
  today: day('2026-06-13'),
  place: { lat: 40, lon: -83 },
  region: null,
  plant: null,
  channel: 'phone',
  approach: 'integrated',
  answers: [],
  handled: new Set(),
  results: [],
  weather: [],
  experience: new Map(),
  ...change,
});
