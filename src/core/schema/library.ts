import type { CareTopic, Cause } from './cause.ts';
import type { Contacts, Danger } from './danger.ts';
import type { Finding, FindingGroup } from './finding.ts';
import type { Law } from './law.ts';
import type { Look } from './look.ts';
import type { Place } from './place.ts';
import type { Plant } from './plant.ts';
import type { Area } from './range.ts';
import type { SampleKind } from './sampleKind.ts';
import type { Source } from './source.ts';
import type { Treatment } from './treatment.ts';
import type { View } from './view.ts';
import type { WordModelText } from './wordModel.ts';

/** The whole library, read and checked field by field but not yet compiled. */
export interface Library {
  readonly version: string;
  readonly plants: readonly Plant[];
  readonly findings: readonly Finding[];
  readonly groups: readonly FindingGroup[];
  readonly looks: readonly Look[];
  readonly wordClasses: Readonly<Record<string, readonly string[]>>;
  /** Words of like meaning, for what is learned. */
  readonly synonyms: Readonly<Record<string, readonly string[]>>;
  /** What was learned from labelled sentences; null for a library that nothing was learned for. */
  readonly wordModel: WordModelText | null;
  readonly causes: readonly Cause[];
  readonly careTopics: readonly CareTopic[];
  readonly treatments: readonly Treatment[];
  readonly views: readonly View[];
  readonly sampleKinds: readonly SampleKind[];
  readonly places: readonly Place[];
  readonly areas: readonly Area[];
  readonly laws: readonly Law[];
  readonly dangers: readonly Danger[];
  readonly contacts: readonly Contacts[];
  /** Words of the patterns of dangers. */
  readonly dangerWords: Readonly<Record<string, readonly string[]>>;
  readonly sources: readonly Source[];
}
