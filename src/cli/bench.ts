import { keysOf } from '../core/util/typedKeys.ts';
import bayes from 'bayesjs';
import { cpus } from 'node:os';
import { judgedEnquiries } from './corpus.ts';
import { z } from 'zod';
import { answerConsult } from '../application/answerConsult.ts';
import { createConsultant } from '../core/consult/consult.ts';
import { buildNetwork } from '../core/diagnosis/network.ts';
import { weighAll } from '../core/diagnosis/posterior.ts';
import { compileLibrary, type Compiled } from '../core/library/compile.ts';
import { FREQUENCY } from '../core/schema/scale.ts';
import { causeSchema } from '../core/schema/cause.ts';
import {
  causeIdSchema,
  findingIdSchema,
  type FindingId,
  type PlantId,
} from '../core/schema/common.ts';
import type { Library } from '../core/schema/library.ts';
import { makeLanguageContext } from '../core/library/languageContext.ts';
import { seasonEvents } from '../core/consult/season.ts';
import { outlookFor } from '../core/timing/outlook.ts';
import { extract } from '../core/language/extract.ts';
import { seeded } from '../core/util/random.ts';
import { createAlmanacs } from '../core/timing/almanac.ts';
import { dayOf } from '../core/timing/calendar.ts';
import { generalNetwork } from './generalNetwork.ts';
import { readCheckedLibrary } from '../server/knowledge/loadLibrary.ts';
import { packLibrary } from '../server/knowledge/sendLibrary.ts';

/** Speed and memory, printed for docs/benchmarks.md. */
const caseSchema = z.object({
  words: z.string(),
  date: z.string(),
  lat: z.number(),
  lon: z.number(),
});
const cases = z.array(caseSchema).parse(judgedEnquiries('clinic'));

const FIRST = findingIdSchema.parse('leaf-yellow');

/** Milliseconds of one call. */
function time(work: () => unknown): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

const show = (name: string, values: readonly number[]): void => {
  const figures = [0.5, 0.95, 1].map((share) => percentile(values, share).toFixed(1).padStart(8));
  console.log(`${name.padEnd(52)}${figures.join('')}`);
};

const heapMegabytes = (): number => {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 1e6;
};

/** Answers given one after the other, as in a call. */
const ANSWERS = [
  { finding: 'leaf-drop', value: false },
  { finding: 'soil-wet', value: true },
  { finding: 'plant-stunted', value: false },
];

function benchAnswers(name: string, compiled: Compiled, rounds: number): void {
  const consultant = createConsultant(compiled);
  const first: number[] = [];
  const again: number[] = [];
  for (let round = 0; round < rounds; round++) {
    for (const { words, date, lat, lon } of cases) {
      // A place and words of their own in each round, so that nothing that was kept answers the first time.
      const body = {
        words: words + ' '.repeat(round),
        date,
        place: { lat: lat + round / 1000, lon },
      };
      first.push(time(() => answerConsult(compiled, consultant, body)));
      for (let given = 1; given <= ANSWERS.length; given++) {
        const more = { ...body, answers: ANSWERS.slice(0, given) };
        again.push(time(() => answerConsult(compiled, consultant, more)));
      }
    }
  }
  // The first round warms the compiler of the language and is not counted.
  show(`${name}: first answer at a new place and date`, first.slice(cases.length));
  show(`${name}: next answers of the same enquiry`, again.slice(cases.length * ANSWERS.length));
}

/** The library `times` over: copies of every cause under ids of their own, each with a few findings moved by a step. */
function enlarge(library: Library, times: number): Library {
  const random = seeded(10);
  const words = keysOf(FREQUENCY);
  const shift = (word: keyof typeof FREQUENCY): keyof typeof FREQUENCY => {
    const at = words.indexOf(word) + (random() < 0.5 ? -1 : 1);
    return words[Math.min(words.length - 2, Math.max(0, at))] ?? word;
  };
  const copies = Array.from({ length: times - 1 }, (_, copy) =>
    library.causes.map((cause) => ({
      ...cause,
      id: causeIdSchema.parse(`${cause.id}-${copy + 2}`),
      findings: causeSchema.shape.findings.parse(
        Object.fromEntries(
          Object.entries(cause.findings).map(([id, word]) => [
            id,
            random() < 0.3 ? shift(word) : word,
          ]),
        ),
      ),
    })),
  );
  return { ...library, causes: [...library.causes, ...copies.flat()] };
}

/** The same small network, noisy-OR tables and all, in a general library; one hypothesis there, all of them here. */
function compareWithGeneral(library: Library): void {
  const few = library.causes.filter(({ hosts }) => 'tomato' in hosts).slice(0, 6);
  const compiled = compileLibrary({ ...library, causes: few, careTopics: [] });
  const almanac = createAlmanacs(compiled.places)({ lat: 42, lon: -83 });
  const plant = [...compiled.plants.keys()].find((id): id is PlantId => id === 'tomato') ?? null;
  const circumstances = {
    almanac,
    today: dayOf(2026, 7, 10),
    since: null,
    region: null,
    experience: new Map(),
  };
  const network = buildNetwork(compiled, plant, circumstances);
  const asked = network.findingIds
    .filter((id) => compiled.findings.get(id)?.group === undefined)
    .filter((id) => compiled.implied(id).length === 1)
    .slice(0, 6);
  const sure = 0.9;
  const reports = asked.map((finding: FindingId) => ({ finding, value: true, sure }));
  const node = (finding: string) => network.node(asked.find((id) => id === finding) ?? FIRST);
  const small = {
    network,
    findings: asked,
    background: (finding: string) => node(finding)?.background ?? 0,
    strength: (cause: string, finding: string) => {
      const position = network.causes.findIndex(({ id }) => id === cause);
      return 1 - (node(finding)?.inhibition[position] ?? 1);
    },
  };
  const nodes = generalNetwork(small, sure);
  const given = Object.fromEntries(asked.map((id) => [`said-${id}`, 'T']));
  let theirs = NaN;
  const slow = [1].map(() =>
    time(() => {
      theirs = bayes.inferences.junctionTree.infer(nodes, { H: 'h2' }, given);
    }),
  );
  const rounds = 2000;
  const ours = () => weighAll(compiled, network, reports, 0);
  for (let n = 0; n < rounds; n++) ours();
  const fast =
    time(() => {
      for (let n = 0; n < rounds; n++) ours();
    }) / rounds;
  const off = Math.abs(theirs - (ours().posterior.hypotheses[2] ?? NaN));
  const median = percentile(slow, 0.5);
  console.log(
    `${few.length} causes, ${network.prior.length} hypotheses, ${asked.length} reports: general library ${median.toFixed(1)} ms for one hypothesis, here ${(1000 * fast).toFixed(1)} us for all; ${Math.round(median / fast)} times faster; difference ${off.toExponential(1)}`,
  );
}

/** Hearing messages of growing length, put together from the words of the judged cases; warm, as while somebody types. */
function benchHearing(compiled: Compiled): void {
  const languageContext = makeLanguageContext(compiled);
  const all = cases.flatMap(({ words }) => words.split(/\s+/));
  const sizes = [60, 500, 1000, 2000, 4000].map((length) => ({
    length,
    texts: Array.from({ length: 40 }, (_, i) =>
      Array.from({ length }, (_, k) => all[(i * 37 + k) % all.length]).join(' '),
    ),
  }));
  for (const { texts } of sizes) for (const text of texts) extract(languageContext, text);
  for (const { length, texts } of sizes)
    show(
      `hearing ${length} words`,
      texts.map((text) => time(() => extract(languageContext, text))),
    );
}

/** The season of one place: sixty windows in thirty members, the heat curve and the days to come. */
function benchSeason(compiled: Compiled, library: Library): void {
  const rules = seasonEvents(library, compiled.hosting, null)
    .map(({ rule }) => rule)
    .slice(0, 60);
  const season = (k: number): number =>
    time(() =>
      outlookFor({
        places: library.places,
        at: { lat: 44.6 - k / 100, lon: -67.9 },
        today: dayOf(2026, 6, 13),
        observed: [],
        simulated: true,
        rules,
        bloom: null,
        baseCelsius: 10,
      }),
    );
  for (let k = 0; k < 5; k++) season(k);
  show(
    `season of ${rules.length} windows in 30 members`,
    Array.from({ length: 20 }, (_, k) => season(k + 5)),
  );
}

console.log(`${cpus()[0]?.model ?? 'unknown processor'}, Node ${process.versions.node}`);
/** Runs a piece of work once and says how long it took, in milliseconds. */
function timed<T>(work: () => T): { readonly value: T; readonly milliseconds: number } {
  const start = performance.now();
  const value = work();
  return { value, milliseconds: performance.now() - start };
}

// The first reading checks the texts and keeps the result, as a start of the server after a change does.
readCheckedLibrary('knowledge');
const before = heapMegabytes();
const reading = timed(() => readCheckedLibrary('knowledge'));
if (!reading.value.ok) throw new Error('run npm run check:knowledge');
const whole = reading.value.value;
const compiling = timed(() => compileLibrary(whole));
const compiled = compiling.value;
const describing = timed(() => compiled.descriptions());
console.log(
  `library: ${whole.causes.length} causes, ${whole.findings.length} findings, ${whole.plants.length} plants; read ${reading.milliseconds.toFixed(0)} ms, compiled ${compiling.milliseconds.toFixed(0)} ms, descriptions at the first answer ${describing.milliseconds.toFixed(0)} ms, ${(heapMegabytes() - before).toFixed(0)} MB; ${((await packLibrary(whole)).length / 1000).toFixed(0)} kB compressed`,
);
console.log(`${'milliseconds'.padEnd(52)}  median     p95     max`);
benchHearing(compiled);
benchSeason(compiled, whole);
benchAnswers('whole library', compiled, 9);
const onlyThisLibrary = process.argv.includes('--one');
for (const times of onlyThisLibrary ? [] : [3, 10]) {
  const large = compileLibrary(enlarge(whole, times));
  benchAnswers(`${times} times the causes`, large, times === 10 ? 3 : 4);
  console.log(`  ${heapMegabytes().toFixed(0)} MB of heap with it`);
}
if (!onlyThisLibrary) compareWithGeneral(whole);
