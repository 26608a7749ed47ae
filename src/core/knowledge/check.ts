import type { KnowledgeIssue, LibraryFault } from './faults.ts';
import { WORD_MODEL_FILE, type ReadLibrary } from './read.ts';
import { unwrittenIn } from './unwritten.ts';
import type { Cause } from '../schema/cause.ts';
import type { ForKinds } from '../schema/kinds.ts';
import { LIST } from '../schema/danger.ts';
import { saysHowOften } from '../schema/amount.ts';
import { isInOneSystem } from './bothUnits.ts';
import { REGION_FORM } from '../schema/fieldFault.ts';
import type { WindowRule } from '../schema/window.ts';
import type { Library } from '../schema/library.ts';
import { UNPUBLISHED } from '../schema/source.ts';
import type { Treatment } from '../schema/treatment.ts';

/** Patterns of an application rate; rates come from the label in the user's hand, never from the library. */
const RATE =
  /\b\d+(\.\d+)?\s*(ml|millilit\w*|fl\.? ?oz|tsp|tbsp|teaspoons?|tablespoons?)\s*(per|to|in|\/)\s*(a |an |one |each )?(lit\w*|l|gal\w*|square|sq)\b/i;

/** Least number of findings of a cause. */
const MIN_FINDINGS = 3;

type Report = (id: string, field: string, fault: LibraryFault) => void;

interface Known {
  readonly plants: ReadonlySet<string>;
  readonly findings: ReadonlySet<string>;
  readonly groups: ReadonlySet<string>;
  readonly causes: ReadonlySet<string>;
  readonly treatments: ReadonlySet<string>;
  readonly places: ReadonlySet<string>;
  readonly sources: ReadonlySet<string>;
}

const ids = (entries: readonly { readonly id: string }[]): Set<string> =>
  new Set(entries.map(({ id }) => id));

function knownIds(library: Library): Known {
  return {
    plants: ids(library.plants),
    findings: ids(library.findings),
    groups: ids(library.groups),
    causes: new Set([...ids(library.causes), ...ids(library.careTopics)]),
    treatments: ids(library.treatments),
    places: ids(library.places),
    sources: new Set([...ids(library.sources), ...UNPUBLISHED]),
  };
}

function checkUnique(library: Library, report: Report): void {
  const sections = [
    library.plants,
    library.findings,
    library.treatments,
    library.places,
    library.groups,
    library.looks,
    library.areas,
    library.views,
    library.sampleKinds,
    library.dangers,
    library.contacts,
  ];
  for (const section of [...sections, [...library.causes, ...library.careTopics]]) {
    const seen = new Set<string>();
    for (const { id } of section) {
      if (seen.has(id)) report(id, 'id', { code: 'id-twice' });
      seen.add(id);
    }
  }
}

function checkWindow(
  rule: WindowRule | undefined,
  id: string,
  field: string,
  known: Known,
  report: Report,
): void {
  if (rule?.kind === 'calendar' && rule.at !== null && !known.places.has(rule.at)) {
    report(id, field, { code: 'unknown-id', id: rule.at, section: 'places' });
  }
}

/** One treatment may stand twice in a cause only if each is for other kinds of plant. */
function checkTwice({ id, treatments }: Cause, report: Report): void {
  for (const { use, only, except } of treatments) {
    const isAlone = treatments.filter((other) => other.use === use).length === 1;
    if (!isAlone && only === undefined && except === undefined)
      report(id, 'treatments', { code: 'treatment-twice', treatment: use });
  }
}

function checkCause(cause: Cause, known: Known, report: Report): void {
  const refer = (field: string, kind: keyof Known, list: readonly string[]): void => {
    for (const item of list) {
      if (!known[kind].has(item))
        report(cause.id, field, { code: 'unknown-id', id: item, section: kind });
    }
  };
  refer('hosts', 'plants', Object.keys(cause.hosts));
  refer('findings', 'findings', Object.keys(cause.findings));
  refer('leadsTo', 'causes', cause.leadsTo);
  refer(
    'lookAlikes',
    'causes',
    cause.lookAlikes.map(({ id }) => id),
  );
  refer(
    'treatments',
    'treatments',
    cause.treatments.map(({ use }) => use),
  );
  const forPlants = (field: string, list: readonly ForKinds[]): void =>
    refer(
      field,
      'plants',
      list.flatMap(({ only, except }) => [...(only ?? []), ...(except ?? [])]),
    );
  forPlants('leaveOn', cause.leaveOn);
  forPlants('pastHelp', cause.pastHelp ? [cause.pastHelp] : []);
  forPlants('treatments', cause.treatments);
  checkTwice(cause, report);
  if (Object.keys(cause.hosts).length === 0) report(cause.id, 'hosts', { code: 'no-host' });
  if (Object.keys(cause.findings).length < MIN_FINDINGS)
    report(cause.id, 'findings', { code: 'too-few-findings', least: MIN_FINDINGS });
  if (cause.treatments.length === 0 && cause.leave === undefined) {
    report(cause.id, 'treatments', { code: 'no-treatment' });
  }
  checkWindow(cause.seen, cause.id, 'seen', known, report);
  checkWindow(cause.pastHelp?.when, cause.id, 'pastHelp', known, report);
  for (const { when } of cause.leaveOn) checkWindow(when, cause.id, 'leaveOn', known, report);
  for (const stage of cause.stages) checkWindow(stage.when, cause.id, 'stages', known, report);
  for (const option of cause.treatments)
    checkWindow(option.when, cause.id, 'treatments', known, report);
}

function checkLooks({ looks }: Library, known: Known, report: Report): void {
  const shown = new Set<string>();
  for (const { id, shows } of looks)
    for (const finding of shows) {
      if (!known.findings.has(finding))
        report(id, 'shows', { code: 'unknown-id', id: finding, section: 'findings' });
      if (shown.has(finding)) report(id, 'shows', { code: 'in-two-looks', finding });
      shown.add(finding);
    }
}

function checkFindings(library: Library, known: Known, report: Report): void {
  const used = new Set(library.causes.flatMap((cause) => Object.keys(cause.findings)));
  for (const finding of library.findings) {
    for (const parent of finding.isA) {
      used.add(parent);
      if (!known.findings.has(parent))
        report(finding.id, 'isA', { code: 'unknown-id', id: parent, section: 'findings' });
    }
    if (finding.group !== undefined && !known.groups.has(finding.group)) {
      report(finding.id, 'group', { code: 'unknown-id', id: finding.group, section: 'groups' });
    }
  }
  for (const { id, choices } of library.groups) {
    const members: readonly string[] = library.findings
      .filter(({ group }) => group === id)
      .map((finding) => finding.id);
    for (const choice of choices)
      if (!members.includes(choice))
        report(id, 'choices', { code: 'not-of-group', finding: choice });
    for (const member of members)
      if (!choices.some((choice) => choice === member))
        report(id, 'choices', { code: 'group-lacks', finding: member });
  }
  checkLooks(library, known, report);
  for (const { id, forAdvice, group } of library.findings) {
    if (!used.has(id) && !forAdvice && group === undefined)
      report(id, '(entry)', { code: 'unused-finding' });
  }
}

function checkSources(library: Library, known: Known, report: Report): void {
  const sections = [
    library.plants,
    library.findings,
    library.groups,
    library.looks,
    library.areas,
    library.laws,
    library.causes,
    library.careTopics,
    library.sampleKinds,
    library.dangers,
    library.contacts,
  ];
  for (const entry of [...sections, library.treatments, library.places, library.views].flat()) {
    if (!known.sources.has(entry.source)) {
      report(entry.id, 'source', { code: 'unknown-source', source: entry.source });
    }
  }
}

/** A work cannot speak of what was found after it was printed. */
function checkCitations({ causes, sources }: Library, report: Report): void {
  const years = new Map(sources.map(({ id, year }): [string, number] => [id, year]));
  for (const { id, source, knownSince } of causes) {
    const year = years.get(source);
    if (knownSince !== undefined && year !== undefined && year < knownSince)
      report(id, 'source', { code: 'cited-too-early', source, since: knownSince });
  }
}

/** Stages whose dates come from elsewhere than their cause. */
function checkStageSources(library: Library, known: Known, report: Report): void {
  for (const { id, stages } of library.causes)
    for (const { source } of stages)
      if (source !== undefined && !known.sources.has(source))
        report(id, 'stages', { code: 'unknown-source', source });
}

function checkViews(library: Library, known: Known, report: Report): void {
  for (const { id, about } of library.views)
    for (const one of about)
      if (!known.causes.has(one) && !known.treatments.has(one))
        report(id, 'about', {
          code: 'unknown-id',
          id: one,
          section: 'causes, care topics and treatments',
        });
}

function checkSampleKinds(library: Library, known: Known, report: Report): void {
  for (const { id, for: suits } of library.sampleKinds)
    for (const one of suits.causes)
      if (!known.causes.has(one))
        report(id, 'for', { code: 'unknown-id', id: one, section: 'causes' });
}

function checkRates(library: Library, report: Report): void {
  const texts = [
    ...library.treatments.flatMap((t) => [
      [t.id, t.text] as const,
      ...t.cautions.map((c) => [t.id, c] as const),
    ]),
    ...library.causes.flatMap((c) => c.treatments.map((o) => [c.id, o.text ?? ''] as const)),
    ...library.careTopics.flatMap((c) => c.steps.map((s) => [c.id, s.text] as const)),
  ];
  for (const [id, text] of texts) {
    if (RATE.test(text)) report(id, 'text', { code: 'rate' });
  }
}

/** Fields that are no text to read. */
const NO_TEXT = new Set(['id', 'amount', 'phrases', 'when', 'source', 'limits', 'plate']);

function textsOf(value: unknown): readonly string[] {
  if (typeof value === 'string') return [value];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, one]) => (NO_TEXT.has(key) ? [] : textsOf(one)));
}

function checkUnits(library: Library, report: Report): void {
  const { causes, careTopics, treatments, findings, groups, looks, sampleKinds } = library;
  const entries = [causes, careTopics, treatments, findings, groups, looks, sampleKinds].flat();
  for (const entry of entries)
    for (const text of textsOf(entry))
      if (isInOneSystem(text)) report(entry.id, '(entry)', { code: 'one-system', text });
}

/** Places that are neither a region by its form nor a named area. */
function unnamed(places: readonly string[], areas: ReadonlySet<string>): readonly string[] {
  return places.filter((one) => !REGION_FORM.test(one) && !areas.has(one));
}

function checkLaws({ laws, areas }: Library, known: Known, report: Report): void {
  const named = ids(areas);
  for (const { id, where, causes, plants } of laws) {
    for (const one of unnamed(where, named))
      report(id, 'where', { code: 'unknown-id', id: one, section: 'areas' });
    for (const one of causes)
      if (!known.causes.has(one))
        report(id, 'causes', { code: 'unknown-id', id: one, section: 'causes' });
    for (const one of plants)
      if (!known.plants.has(one))
        report(id, 'plants', { code: 'unknown-id', id: one, section: 'plants' });
  }
}

function checkOutdoors({ plants, areas }: Library, report: Report): void {
  const named = ids(areas);
  for (const { id, traits } of plants)
    for (const where of unnamed(traits.outdoorsIn ?? [], named))
      report(id, 'traits', { code: 'unknown-id', id: where, section: 'areas' });
}

function checkRanges({ causes, areas }: Library, known: Known, report: Report): void {
  const named = ids(areas);
  for (const { id, range } of causes) {
    if (!range) continue;
    const places = [...range.established, ...range.spreading, ...range.unknown];
    for (const where of unnamed(places, named))
      report(id, 'range', { code: 'unknown-id', id: where, section: 'areas' });
    if (!known.sources.has(range.source))
      report(id, 'range', { code: 'unknown-source', source: range.source });
  }
}

/** A product says how it is put to use, how often, and what to mind; what kills also its weather. */
function checkProduct(treatment: Treatment, report: Report): void {
  const { id, rung, classes, organic, applied, limits, amount, cautions } = treatment;
  if (classes.length === 0) return;
  if (rung === 'conventional' && organic) report(id, 'organic', { code: 'conventional-organic' });
  const kills = classes.some((one) => one !== 'nutrient' && one !== 'repellent');
  const fields = [
    ...(applied ? [] : ['applied']),
    ...(limits || !kills ? [] : ['limits']),
    ...(amount ? [] : ['amount']),
    ...(cautions.length > 0 ? [] : ['cautions']),
  ];
  if (fields.length > 0) report(id, '(entry)', { code: 'not-stated', fields });
  if (amount && !saysHowOften(amount)) report(id, 'amount', { code: 'no-count' });
}

/** A product without a class would pass every rule of safety. */
function checkClasses({ treatments, careTopics }: Library, report: Report): void {
  const unclassed = ({ rung, classes }: Pick<Treatment, 'rung' | 'classes'>): boolean =>
    rung === 'conventional' && classes.length === 0;
  for (const treatment of treatments) {
    if (unclassed(treatment)) report(treatment.id, 'classes', { code: 'no-class' });
    checkProduct(treatment, report);
  }
  for (const { id, steps } of careTopics)
    if (steps.some(unclassed)) report(id, 'steps', { code: 'no-class' });
}

/** A list of words that does not exist would silence every pattern that names it. */
function checkDangers({ dangers, dangerWords }: Library, report: Report): void {
  const check = (id: string, field: string, patterns: readonly string[]): void => {
    for (const [, list = ''] of patterns.flatMap((one) => [...one.matchAll(LIST)]))
      if (dangerWords[list] === undefined)
        report(id, field, { code: 'unknown-id', id: list, section: 'lists of danger-words.yaml' });
  };
  for (const { id, signs, unless } of dangers) {
    check(id, 'signs', signs.flat());
    check(id, 'unless', unless === undefined ? [] : [unless]);
  }
}

function checkWordModel({ wordModel }: Library, known: Known, report: Report): void {
  const together = Object.entries(wordModel?.together ?? {}).flatMap(([id, others]) => [
    id,
    ...others.split(' '),
  ]);
  for (const id of new Set([...Object.keys(wordModel?.findings ?? {}), ...together]))
    if (!known.findings.has(id)) report(id, WORD_MODEL_FILE, { code: 'learned-unknown' });
}

/**
 * Checks everything that spans entries: references, duplicates, unused findings, groups, sources, rates. Never
 * throws; the list is empty for a sound library, and each invalid reference is one issue.
 */
export function checkLibrary({ library, fileOf }: ReadLibrary): readonly KnowledgeIssue[] {
  const issues: KnowledgeIssue[] = [];
  const report: Report = (id, field, fault) => {
    issues.push({ file: fileOf.get(id) ?? '(unknown file)', id, field, fault });
  };
  const known = knownIds(library);
  checkUnique(library, report);
  for (const cause of library.causes) checkCause(cause, known, report);
  for (const { id, hosts } of library.careTopics)
    if (Object.keys(hosts).length === 0) report(id, 'hosts', { code: 'no-host' });
  checkFindings(library, known, report);
  checkSources(library, known, report);
  checkStageSources(library, known, report);
  checkViews(library, known, report);
  checkSampleKinds(library, known, report);
  checkRates(library, report);
  checkUnits(library, report);
  checkOutdoors(library, report);
  checkClasses(library, report);
  checkCitations(library, report);
  for (const [id, field] of unwrittenIn(library)) report(id, field, { code: 'unwritten' });
  checkRanges(library, known, report);
  checkLaws(library, known, report);
  checkDangers(library, report);
  checkWordModel(library, known, report);
  for (const plant of library.plants) {
    checkWindow(plant.traits.bloom, plant.id, 'bloom', known, report);
    for (const parent of plant.parents) {
      if (!known.plants.has(parent))
        report(plant.id, 'parents', { code: 'unknown-id', id: parent, section: 'plants' });
    }
  }
  for (const topic of library.careTopics) {
    for (const host of Object.keys(topic.hosts)) {
      if (!known.plants.has(host))
        report(topic.id, 'hosts', { code: 'unknown-id', id: host, section: 'plants' });
    }
  }
  return issues;
}
