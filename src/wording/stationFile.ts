import type { StationProblem } from '../core/timing/stationCsv.ts';

/** A problem in words that name the cure. */
export function stationProblemText({ line, code, about }: StationProblem): string {
  switch (code) {
    case 'no-column':
      return `The header has no column ${about}. Name it in the first line.`;
    case 'empty':
      return 'The file holds no day below its header. Add lines such as 2026-06-13,11.2,21.5,0.';
    case 'no-date':
      return `Line ${line}: ${about} is no date. Write it like 2026-06-13.`;
    case 'no-number':
      return `Line ${line}: ${about} is no number. Leave the line out if the station has no value.`;
    case 'impossible':
      return `Line ${line}: ${about} cannot be. Check the unit in the header.`;
    case 'upside-down':
      return `Line ${line}: on ${about} the minimum is above the maximum. Exchange them.`;
    case 'twice':
      return `Line ${line}: ${about} stands twice. Keep one of the two lines.`;
  }
}
