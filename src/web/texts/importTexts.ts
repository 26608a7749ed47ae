/** Texts of the page that takes cases in, in English. */
export const importTexts = {
  title: 'Take cases in',
  pageTitle: 'Take cases in - Sounding',
  toCasebook: 'Casebook',
  what: 'From JSON Lines as this program writes them, everything comes back. From a table (CSV), each row becomes a case of one plant. What is here already is not taken in again.',
  file: 'A file of JSON Lines or a table',
  unread: 'There is no table and no line of an export in this file.',
  columns: 'Which column is what',
  noColumn: 'none',
  columnWith: (column: string, first: string) => (first === '' ? column : `${column}: ${first}`),
  needsDay: 'Tell which column holds the day.',
  takeIn: (count: number) => `Take in ${count} ${count === 1 ? 'case' : 'cases'}`,
  stop: 'Stop',
  progress: (sent: number, of: number) => `${sent} of ${of}.`,
  counts: (taken: number, known: number, refused: number) =>
    `${taken} taken in, ${known} here already, ${refused} refused.`,
  notAll: 'The rest was not sent; the same file can be taken in again.',
  refused: 'What was refused',
  line: 'Line',
  why: 'Why',
} as const;

/** Fields of a case that a column can hold. */
export const FIELD_LABELS: Readonly<Record<string, string>> = {
  opened: 'Day, as 2026-06-13',
  words: 'What was said',
  channel: 'Channel: phone, email, walk-in, text',
  status: 'State: open, waiting, closed',
  name: 'Name of the enquirer',
  contact: 'How to reach them',
  plant: 'Plant',
  latitude: 'Latitude',
  longitude: 'Longitude',
  proved: 'What it proved to be',
  confirmed: 'Confirmed: laboratory, in-hand, photograph, enquirer',
  provedOn: 'Confirmed on',
};
