import type { Harm } from '../../../core/schema/cause.ts';
import type { Source } from '../../../core/schema/source.ts';
import type { PlantStage, StageDay, WindowRule } from '../../../core/schema/window.ts';

/** `nearly-always` as people write it. */
export const spaced = (word: string): string => word.replaceAll('-', ' ');

/** The first letter large. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const HARM_WORDS: readonly (readonly [Exclude<keyof Harm, 'pace'>, string])[] = [
  ['looks', 'its looks'],
  ['yield', 'the crop'],
  ['plant', "the plant's life"],
  ['neighbours', 'other plants'],
  ['people', 'people'],
];

/** What is at stake and how fast, as one sentence. */
export function harmInWords(harm: Harm): string {
  const parts = HARM_WORDS.map(([part, words]) => ({ words, level: harm[part] }))
    .filter(({ level }) => level !== 'none')
    .map(({ words, level }) => `${level} for ${words}`);
  if (parts.length === 0) return 'None to speak of.';
  const pace = harm.pace === 'none' ? '' : `, within ${harm.pace}`;
  return `${capital(parts.join(', '))}${pace}.`;
}

/** Where a fact comes from, in full. */
export function sourceInWords(id: string, sources: readonly Source[]): string {
  if (id === 'practice') return 'Common practice; no published source.';
  if (id === 'judgement') return 'Our own estimate.';
  const source = sources.find((one) => one.id === id);
  if (!source) return id;
  const { author, title, publisher, year, recalled } = source;
  return `${author}, ${title}. ${publisher}, ${year}.${recalled ? ' Written from memory, not read again.' : ''}`;
}

const SEASON = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' });
const inYear = ({ month, day }: { readonly month: number; readonly day: number }): string =>
  SEASON.format(new Date(Date.UTC(2026, month - 1, day)));

const STAGE_WORDS: Readonly<Record<PlantStage, string>> = {
  'leaf-out': 'leafing out',
  'bloom-start': 'the first flowers',
  'bloom-end': 'the last flowers',
  'leaf-fall': 'leaf fall',
};

function stageInWords({ stage, days }: StageDay): string {
  const turn = STAGE_WORDS[stage];
  if (days === 0) return turn;
  return `${Math.abs(days)} days ${days > 0 ? 'after' : 'before'} ${turn}`;
}

/** A window as the library holds it, before it travels to the clinic. */
export function ruleInWords(rule: WindowRule): string {
  switch (rule.kind) {
    case 'any':
      return 'any time';
    case 'season':
      return spaced(rule.season);
    case 'calendar':
      return `${inYear(rule.from)} to ${inYear(rule.to)} at ${rule.at ?? 'the reference place'}`;
    case 'degree-days':
      return `${rule.from} to ${rule.to} degree-days above ${rule.baseCelsius} C${
        rule.biofix ? `, counted anew from the ${rule.biofix.event}` : ''
      }`;
    case 'plant':
      return `${stageInWords(rule.from)} to ${stageInWords(rule.to)}`;
  }
}
