import { libraryTexts } from '../../texts/libraryTexts.ts';
import type { Harm } from '../../../core/schema/cause.ts';
import type { Source } from '../../../core/schema/source.ts';
import type { PlantStage, StageDay, WindowRule } from '../../../core/schema/window.ts';
import { capital } from '../../../wording/midSentence.ts';

/** `nearly-always` as people write it. */
export const spaced = (word: string): string => word.replaceAll('-', ' ');

const HARM_WORDS: readonly (readonly [Exclude<keyof Harm, 'pace'>, string])[] = [
  ['looks', libraryTexts.itsLooks],
  ['yield', libraryTexts.theCrop],
  ['plant', libraryTexts.thePlantsLife],
  ['neighbours', libraryTexts.otherPlants],
  ['people', 'people'],
];

/** What is at stake and how fast, as one sentence. */
export function harmInWords(harm: Harm): string {
  const parts = HARM_WORDS.map(([part, words]) => ({ words, level: harm[part] }))
    .filter(({ level }) => level !== 'none')
    .map(({ words, level }) => libraryTexts.harmFor(level, words));
  if (parts.length === 0) return libraryTexts.noneToSpeakOf;
  const pace = harm.pace === 'none' ? '' : libraryTexts.within(harm.pace);
  return `${capital(parts.join(', '))}${pace}.`;
}

/** Where a fact comes from, in full. */
export function sourceInWords(id: string, sources: readonly Source[]): string {
  if (id === 'practice') return libraryTexts.commonPractice;
  if (id === 'judgement') return libraryTexts.ourOwnEstimate;
  const source = sources.find((one) => one.id === id);
  if (!source) return id;
  const { author, title, publisher, year, recalled } = source;
  return `${author}, ${title}. ${publisher}, ${year}.${recalled ? libraryTexts.fromMemory : ''}`;
}

const SEASON = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' });
const inYear = ({ month, day }: { readonly month: number; readonly day: number }): string =>
  SEASON.format(new Date(Date.UTC(2026, month - 1, day)));

const STAGE_WORDS: Readonly<Record<PlantStage, string>> = {
  'leaf-out': libraryTexts.leafingOut,
  'bloom-start': libraryTexts.theFirstFlowers,
  'bloom-end': libraryTexts.theLastFlowers,
  'leaf-fall': libraryTexts.leafFall,
  'last-frost': libraryTexts.lastFrost,
  'first-frost': libraryTexts.firstFrost,
};

function stageInWords({ stage, days }: StageDay): string {
  const turn = STAGE_WORDS[stage];
  if (days === 0) return turn;
  return libraryTexts.daysFromTurn(days, turn);
}

/** A window as the library holds it, before it travels to the clinic. */
export function ruleInWords(rule: WindowRule): string {
  switch (rule.kind) {
    case 'any':
      return libraryTexts.anyTime;
    case 'season':
      return spaced(rule.season);
    case 'calendar':
      return libraryTexts.datesAtPlace(
        inYear(rule.from),
        inYear(rule.to),
        rule.at ?? libraryTexts.theReferencePlace,
      );
    case 'degree-days':
      return libraryTexts.degreeDays(
        rule.from,
        rule.to,
        rule.baseCelsius,
        rule.biofix ? libraryTexts.countedAnew(rule.biofix.event) : '',
      );
    case 'plant':
      return libraryTexts.span(stageInWords(rule.from), stageInWords(rule.to));
  }
}
