import type { SampleSort } from '../core/schema/sampleKind.ts';

const TESTS: Readonly<Record<SampleSort, string>> = {
  specimen: 'Laboratory',
  soil: 'Soil test',
  leaf: 'Leaf test',
  water: 'Water test',
};

/** A report as it stands among the words of a case, so that its figures are heard as those of a test. */
export function reportInWords(number: string, sort: SampleSort, text: string): string {
  return `${TESTS[sort]} ${number}: ${text.trim()}`;
}
