import type { FieldFault } from '../schema/fieldFault.ts';

/** What makes an entry of the library invalid; the words of every fault stand in `wording/libraryFaults.ts`. */
export type EntryFault =
  /** As worded by what read the file, or by a check outside the core. */
  | { readonly code: 'as-read'; readonly message: string }
  | { readonly code: 'word-model'; readonly message: string }
  | { readonly code: 'no-list' }
  | { readonly code: 'id-twice' }
  | { readonly code: 'relied-on' }
  | { readonly code: 'unknown-id'; readonly id: string; readonly section: string }
  | { readonly code: 'unknown-source'; readonly source: string }
  /** The work is older than what it is cited for. */
  | { readonly code: 'cited-too-early'; readonly source: string; readonly since: number }
  | { readonly code: 'treatment-twice'; readonly treatment: string }
  | { readonly code: 'no-class' }
  /** A product that kills, of which the rules of safety and the plan must know these. */
  | { readonly code: 'not-stated'; readonly fields: readonly string[] }
  | { readonly code: 'conventional-organic' }
  | { readonly code: 'no-host' }
  | { readonly code: 'too-few-findings'; readonly least: number }
  | { readonly code: 'no-treatment' }
  | { readonly code: 'not-of-group'; readonly finding: string }
  | { readonly code: 'group-lacks'; readonly finding: string }
  | { readonly code: 'in-two-looks'; readonly finding: string }
  | { readonly code: 'unused-finding' }
  | { readonly code: 'rate' }
  | { readonly code: 'one-system'; readonly text: string }
  | { readonly code: 'unwritten' }
  | { readonly code: 'learned-unknown' };

/** What keeps a sound entry from being good enough. */
export type QualityFault =
  | { readonly code: 'shows-too-little'; readonly shown: number; readonly least: number }
  | { readonly code: 'no-look-alike' }
  | { readonly code: 'not-separated'; readonly other: string }
  | { readonly code: 'season-without-window'; readonly treatment: string }
  | { readonly code: 'no-harm' }
  | { readonly code: 'no-outlook' | 'no-look-again' }
  | { readonly code: 'no-timing' }
  | { readonly code: 'too-few-causes'; readonly causes: number; readonly least: number }
  | { readonly code: 'no-normal-look' }
  | {
      readonly code: 'too-alike';
      readonly other: string;
      readonly plant: string;
      /** 0 to 1. */
      readonly alike: number;
      /** 0 to 1. */
      readonly most: number;
    }
  | { readonly code: 'brand' }
  | { readonly code: 'no-count' }
  | {
      readonly code: 'too-few-phrases';
      readonly causes: number;
      readonly phrases: number;
      readonly least: number;
    }
  | { readonly code: 'no-plate' }
  | { readonly code: 'no-way-to-look' };

export type LibraryFault = EntryFault | FieldFault | QualityFault;

/** A fault in the words of what read the file, or of a check outside the core. */
export const asRead = (message: string): LibraryFault => ({ code: 'as-read', message });

/** Something wrong in the library: in which file, entry and field, and what. */
export interface KnowledgeIssue {
  readonly file: string;
  readonly id: string;
  readonly field: string;
  readonly fault: LibraryFault;
}
