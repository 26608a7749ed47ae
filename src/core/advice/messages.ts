import type { Channel } from './context.ts';
import type { LawOffice, LawScope } from '../schema/law.ts';
import type { Day } from '../timing/calendar.ts';

/** Words of the library, which come in its own language. */
export interface LibraryText {
  readonly code: 'library';
  readonly text: string;
}

/** A rule of a place. `region` by ISO 3166, null where it is not known. */
export interface LocalLaw {
  readonly code: 'local-law';
  /** The library's sentence. */
  readonly say: string;
  readonly region: string | null;
  readonly scope: LawScope;
  readonly who: LawOffice;
}

/** Why a hard rule of safety forbids a treatment. */
export type SafetyReason =
  | {
      readonly code:
        | 'cause-unsure'
        | 'wrong-kind-of-product'
        | 'systemic-on-food'
        | 'systemic-where-bees-visit'
        | 'open-blossom'
        | 'oil-on-thirsty-plant'
        | 'oil-burns-this-plant'
        | 'pets-or-children'
        | 'near-open-water';
    }
  /** `maxCelsius`: air temperature above which oils and soaps burn, degrees Celsius. */
  | { readonly code: 'oil-in-heat'; readonly maxCelsius: number }
  | LocalLaw;

/** Why the enquirer's approach hides a treatment. */
export interface HiddenReason {
  readonly code: 'not-organic' | 'not-left-alone';
}

/** Why a plant bears a trouble as things are. */
export type BorneReason = 'little-affected' | 'over';

/** Why something is not to be done. */
export type NotDoingReason =
  SafetyReason | HiddenReason | LibraryText | { readonly code: 'borne'; readonly why: BorneReason };

/** Something to mind. */
export type Caution =
  | {
      readonly code:
        | 'licence-holders-only'
        | 'operators-only'
        | 'never-on-open-blossom'
        | 'arborist-only'
        | 'reach-from-the-ground'
        | 'wildlife-law'
        | 'keep-away-until-dry'
        | 'label-decides'
        | 'days-to-harvest'
        | 'poisonous-plant';
    }
  /** `maxCelsius`: air temperature above which oils and soaps burn, degrees Celsius. */
  | { readonly code: 'oil-limits'; readonly maxCelsius: number }
  | { readonly code: 'presumptive'; readonly channel: Channel }
  /** A rule of safety moved the step to a later day. */
  | { readonly code: 'postponed'; readonly why: SafetyReason }
  | LocalLaw
  | LibraryText;

/** Whom to call in. */
export type Referral =
  'licensed-applicator' | 'pest-control' | 'arborist' | 'wildlife-office' | 'plant-health-office';

/** What a step says. `against` names another cause than the leading one, and whether it is surely at work too. */
export type StepText =
  | (LibraryText & {
      readonly against: {
        readonly cause: string;
        readonly isNamed: boolean;
        /** A question of care, which is no trouble to work against. */
        readonly isCare: boolean;
      } | null;
    })
  | { readonly code: 'send-sample' | 'ask-again' | 'report-not-known-here' };

/** The days of the step that is waited for; null when it has no dates here. */
export type NextWindow = { readonly from: Day; readonly to: Day } | null;

/** The advice in one breath. */
export type Headline =
  | { readonly code: 'no-cause-yet' }
  /** Its signs were reported, but it is not known in the region; `probability` is from 0 to 1. */
  | { readonly code: 'not-known-here'; readonly cause: string; readonly probability: number }
  /** The library's sentences about a danger. */
  | { readonly code: 'urgent'; readonly say: string }
  | {
      readonly code: 'lead';
      readonly cause: string;
      /** 0 to 1. */
      readonly probability: number;
      /** Names of further causes at work. */
      readonly together: readonly string[];
      /** The library's sentence about the cause. */
      readonly say: string;
      /** A question of care was answered, so there is no diagnosis to name. */
      readonly isCare: boolean;
      readonly then: HeadlineEnd;
    };

/** What the headline ends with, by the verdict; null when its cause says it all. */
export type HeadlineEnd =
  | LibraryText
  /** Left because the plant bears it, until more is affected. */
  | { readonly code: 'borne'; readonly why: BorneReason }
  | { readonly code: 'leave-normal' | 'leave-and-watch' | 'start-now' | 'professional' }
  | { readonly code: 'wait'; readonly next: NextWindow }
  /** `why` is the library's reason why nothing more helps this year; null where only the time for it is over. */
  | { readonly code: 'too-late'; readonly next: NextWindow; readonly why: string | null }
  | { readonly code: 'find-out' | 'ask-again' }
  | null;

/** The same list without what stands in it twice. */
export function distinct<T>(list: readonly T[]): readonly T[] {
  const byContent = new Map(list.map((one) => [JSON.stringify(one), one]));
  return [...byContent.values()];
}
