import type { Compiled } from './compile.ts';
import type { KnowledgeIssue, LibraryFault } from '../knowledge/faults.ts';
import type { ReadLibrary } from '../knowledge/read.ts';
import { FREQUENCY } from '../schema/scale.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import { weakestPairs } from './separation.ts';

/** Least number of findings that a cause shows. */
const MIN_FINDINGS = 4;
/** Least number of causes that a plant can have. */
const MIN_CAUSES = 6;
/** A finding that so many causes show is common, and is heard in at least so many phrases. */
const COMMON = 10;
const MIN_PHRASES = 10;
/** A finding that separates a cause from its nearest look-alike is shown by one of them so much more often, as a probability. */
const TELLS_APART = 0.35;
/** Two causes of one plant must not be more alike than this. */
export const MAX_ALIKE = 0.93;

type Report = (id: string, field: string, fault: LibraryFault) => void;

function checkFindings(cause: Cause, library: Compiled, report: Report): void {
  const shown = Object.values(cause.findings).filter((word) => FREQUENCY[word] > 0);
  if (shown.length < MIN_FINDINGS)
    report(cause.id, 'findings', {
      code: 'shows-too-little',
      shown: shown.length,
      least: MIN_FINDINGS,
    });
  const nearest = cause.lookAlikes[0];
  if (!nearest) {
    report(cause.id, 'lookAlikes', { code: 'no-look-alike' });
    return;
  }
  const own = library.strengths.get(cause.id) ?? new Map<never, number>();
  const other = library.strengths.get(nearest.id) ?? new Map<never, number>();
  const apart = [...new Set([...own.keys(), ...other.keys()])].some(
    (finding) => Math.abs((own.get(finding) ?? 0) - (other.get(finding) ?? 0)) >= TELLS_APART,
  );
  if (!apart) report(cause.id, 'lookAlikes', { code: 'not-separated', other: nearest.id });
}

/** A cause has a season, or its treatments have, or it says that nothing about it has one. */
function hasTiming(cause: Cause, library: Compiled): boolean {
  return (
    cause.timing === 'none' ||
    cause.seen.kind !== 'any' ||
    cause.stages.length > 0 ||
    cause.treatments.some(
      ({ use, when }) => (when ?? library.treatments.get(use)?.when) !== undefined,
    )
  );
}

/** What is to be done another time of the year begins by naming it. */
const ANOTHER_TIME =
  /^(next (year|season|spring|time)|(in|from|before|until) (late |early |mid )?(spring|summer|autumn|fall|winter)|\w+ in (late |early |mid )?(autumn|winter))\b/i;

/** A step whose words name a season has its dates, or "now" would stand beside "next year". */
function checkDates({ id, treatments }: Cause, library: Compiled, report: Report): void {
  for (const { use, when, text } of treatments) {
    const treatment = library.treatments.get(use);
    const words = text ?? treatment?.text ?? '';
    const rule = when ?? treatment?.when;
    if (ANOTHER_TIME.test(words) && (rule === undefined || rule.kind === 'any'))
      report(id, 'treatments', { code: 'season-without-window', treatment: use });
  }
}

function checkCause(cause: Cause, library: Compiled, report: Report): void {
  checkFindings(cause, library, report);
  checkDates(cause, library, report);
  const harmless = cause.category === 'normal' || cause.leave !== undefined;
  const { looks, yield: crop, plant, neighbours, people } = cause.harm;
  const harms = [looks, crop, plant, neighbours, people];
  if (!harmless && harms.every((harm) => harm === 'none'))
    report(cause.id, 'harm', { code: 'no-harm' });
  if (cause.expect === undefined && !isCareTopic(cause))
    report(cause.id, 'expect', { code: 'no-outlook' });
  if (cause.lookAgainDays === undefined)
    report(cause.id, 'lookAgainDays', { code: 'no-look-again' });
  if (!hasTiming(cause, library)) report(cause.id, 'timing', { code: 'no-timing' });
}

function checkPlants(library: Compiled, report: Report): void {
  for (const plant of library.plants.values()) {
    if (plant.rank === 'group' || plant.rank === 'family') continue;
    const causes = [...library.hosting(plant.id).keys()].flatMap(
      (id) => library.causes.get(id) ?? [],
    );
    const troubles = causes.filter((cause) => !isCareTopic(cause));
    if (troubles.length < MIN_CAUSES)
      report(plant.id, 'causes', {
        code: 'too-few-causes',
        causes: troubles.length,
        least: MIN_CAUSES,
      });
    if (!troubles.some(({ category }) => category === 'normal') && plant.normalLooks !== 'none')
      report(plant.id, 'normalLooks', { code: 'no-normal-look' });
  }
}

function checkSeparation(library: Compiled, report: Report): void {
  const seen = new Set<string>();
  for (const { first, second, similarity, plant } of weakestPairs(library)) {
    if (similarity <= MAX_ALIKE || seen.has(`${first} ${second}`)) continue;
    seen.add(`${first} ${second}`);
    report(first, 'findings', {
      code: 'too-alike',
      other: second,
      plant,
      alike: similarity,
      most: MAX_ALIKE,
    });
  }
}

/** Marks of trade; products are named by active ingredient. */
const TRADE_MARK = /[®™©]|\btrade ?mark/i;

function checkNames({ library }: ReadLibrary, report: Report): void {
  for (const { id, name, text, cautions } of library.treatments)
    if (TRADE_MARK.test([name, text, ...cautions].join(' '))) report(id, 'text', { code: 'brand' });
}

/** Findings that many causes show are described in many ways. */
function checkPhrases(library: Compiled, report: Report): void {
  const causes = new Map<string, number>();
  for (const cause of library.causes.values())
    for (const id of Object.keys(cause.findings)) causes.set(id, (causes.get(id) ?? 0) + 1);
  for (const { id, phrases } of library.findings.values()) {
    const shownBy = causes.get(id) ?? 0;
    if (shownBy >= COMMON && phrases.length < MIN_PHRASES)
      report(id, 'phrases', {
        code: 'too-few-phrases',
        causes: shownBy,
        phrases: phrases.length,
        least: MIN_PHRASES,
      });
  }
}

/** What can be seen is drawn, or is said to need no drawing; and how to look is explained. */
function checkSeen({ library }: ReadLibrary, report: Report): void {
  for (const { id, kind, plate, how } of library.findings) {
    if (kind === 'context') continue;
    if (plate === undefined) report(id, 'plate', { code: 'no-plate' });
    if (how === undefined) report(id, 'how', { code: 'no-way-to-look' });
  }
}

/**
 * Quality gates for a library whose references are sound: enough findings, something that separates causes, harm,
 * timing, enough causes and a normal look for every plant, no two causes alike. Never throws; the list is empty for a
 * library that passes, and each invalid entry is one issue.
 */
export function checkQuality(read: ReadLibrary, compiled: Compiled): readonly KnowledgeIssue[] {
  const issues: KnowledgeIssue[] = [];
  const report: Report = (id, field, fault) => {
    issues.push({ file: read.fileOf.get(id) ?? '(unknown file)', id, field, fault });
  };
  for (const cause of read.library.causes) checkCause(cause, compiled, report);
  checkPlants(compiled, report);
  checkSeparation(compiled, report);
  checkNames(read, report);
  checkSeen(read, report);
  checkPhrases(compiled, report);
  return issues;
}
