/** Labels of evidence that is no finding of the library. */
export const TEXT_SIMILARITY_LABEL = 'Words match its description';
export const TROUBLE_LABEL = 'Reports that something is wrong';
export const REQUEST_LABEL = 'Only asks what to do; nothing seen is reported';

/** The label of the finding that a care topic is asked about. */
export const askedLabel = (topic: string): string => `Asks: ${topic}`;

/** The label of a finding that was denied. */
export function deniedLabel(label: string): string {
  return `no “${label}”`;
}

/** The label of a laboratory's result about a cause. */
export const laboratoryLabel = (cause: string): string => `Laboratory found: ${cause}`;
