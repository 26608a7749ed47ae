/** Labels of evidence that is no finding of the library. */
export const TEXT_SIMILARITY_LABEL = 'Told in words like its description';
export const REQUEST_LABEL = 'Asks what to do, and tells of nothing seen';

/** The label of a finding that was denied. */
export function deniedLabel(label: string): string {
  return `no “${label}”`;
}
