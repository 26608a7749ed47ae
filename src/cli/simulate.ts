import { entryAt } from '../core/util/entryAt.ts';
import { resolve } from 'node:path';
import { makeDecision } from '../core/questions/decision.ts';
import { buildNetwork, positionsIn, type Network } from '../core/diagnosis/network.ts';
import { weighAll, type Posterior } from '../core/diagnosis/posterior.ts';
import { rankQuestions, type Question } from '../core/questions/questions.ts';
import { shortlist } from '../core/diagnosis/shortlist.ts';
import type { Compiled } from '../core/library/compile.ts';
import type { PlantId } from '../core/schema/common.ts';
import { GAINED_LATER, LOSS_PER_MINUTE } from '../core/questions/netValue.ts';
import { createAlmanacs } from '../core/timing/almanac.ts';
import { dayOf } from '../core/timing/calendar.ts';
import { seeded } from '../core/util/random.ts';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import { perturbed } from './perturbedLibrary.ts';
import { drawEnquirer, VOLUNTEERED, type SimulatedEnquirer } from './simulatedEnquirer.ts';

/**
 * Simulated enquirers: a truth is drawn from the network and told in part, then questions are asked and answered. Three
 * ways to choose the next one are compared on the same enquirers, each asked on beyond what the product asks, so that
 * the questions can be counted that each needs for advice of the same loss.
 */
const numbers = process.argv.slice(2).filter((one) => !one.startsWith('--'));
const CASES = Number(numbers[0] ?? 300);
const SEED = Number(numbers[1] ?? 20260613);
/** Enquirers of a world whose frequencies are not quite those of the library. */
const PERTURBED = process.argv.includes('--perturbed');
const PATIENCE = 40;
/** The way of the product. */
const PRODUCT = 'value of the advice';
/** Worth at which a strategy may stop, tried from most to least. */
const [MOST_WORTH, LEAST_WORTH, WORTH_STEP] = [0.1, -0.03, 0.001];
const HOSTS = [
  'tomato',
  'rose',
  'lemon',
  'blue-spruce',
  'two-needle-pine',
  'hosta',
  'turf',
  'apple',
  'japanese-maple',
  'jade',
  'boxwood',
  'squash',
];

const loaded = loadLibrary(resolve('knowledge'));
if (!loaded.ok) throw new Error('run npm run check:knowledge');
const library: Compiled = loaded.value;
const almanac = createAlmanacs(library.places)({ lat: 42, lon: -83 });

type Strategy = (questions: readonly Question[]) => Question | undefined;

const order = [...library.findings.keys()].map(String).sort();
const STRATEGIES: Readonly<Record<string, Strategy>> = {
  [PRODUCT]: (questions) => questions[0],
  'information alone': (questions) =>
    [...questions].sort((a, b) => b.informationGainBits - a.informationGainBits)[0],
  'fixed checklist': (questions) =>
    [...questions].sort((a, b) => order.indexOf(a.finding) - order.indexOf(b.finding))[0],
};

/** How things stand before a question. */
interface Standing {
  /** Worth of the best question; the advice is settled when it is not above 0. */
  readonly worth: number;
  /** Time that the questions so far took. */
  readonly seconds: number;
  /** Loss of the advice as it stands, under the truth. */
  readonly loss: number;
}

function lossNow(network: Network, posterior: Posterior, hypothesis: number): number {
  const list = shortlist(network, posterior);
  const decision = makeDecision(library, network, posterior, list.positions);
  return decision.lossUnder(decision.bestAction(list.probabilities), hypothesis);
}

/** Asks until nothing gains more than `least`, or the patience is spent; tells `thought` each posterior until the advice is settled. */
function consultOne(
  network: Network,
  { truth, opening, answer }: SimulatedEnquirer,
  choose: Strategy,
  least: number,
  thought: (posterior: Posterior) => void,
): readonly Standing[] {
  const reports = [...opening];
  const skipped = new Set<string>();
  const standings: Standing[] = [];
  for (let seconds = 0; ;) {
    const { posterior } = weighAll(library, network, reports, VOLUNTEERED);
    const questions = rankQuestions(library, network, posterior, reports, skipped);
    const worth = Math.max(-Infinity, ...questions.map((one) => one.netValue));
    const loss = lossNow(network, posterior, truth.hypothesis);
    // What is asked on after the advice is settled would count the same thought many times.
    if ((standings.at(-1)?.worth ?? Infinity) > 0) thought(posterior);
    standings.push({ worth, seconds, loss });
    const next = choose(questions);
    if (worth <= least || standings.length > PATIENCE || !next) return standings;
    seconds += next.seconds;
    const said = answer(next);
    if (said) reports.push(said);
    else skipped.add(next.finding);
  }
}

/**
 * Predicted and true shares of causes, by tenths of the predicted probability. What is thought of one enquirer hangs
 * together, so a cause counts once in a tenth, when its probability first comes there: later statements of the same
 * kind would only repeat it.
 */
class Calibration {
  readonly #tenths = Array.from({ length: 10 }, () => ({ n: 0, predicted: 0, true: 0 }));
  #counted = new Set<number>();

  /** Begins a new run of questions. */
  begin(): void {
    this.#counted = new Set();
  }

  add(network: Network, posterior: Posterior, hypothesis: number): void {
    const inside = positionsIn(network, hypothesis);
    posterior.causes.forEach((p, i) => {
      const number = Math.min(9, Math.floor(p * 10));
      const tenth = this.#tenths[number];
      if (!tenth || p < MIN_SHOWN || this.#counted.has(10 * i + number)) return;
      this.#counted.add(10 * i + number);
      tenth.n++;
      tenth.predicted += p;
      tenth.true += inside.includes(i) ? 1 : 0;
    });
  }

  print(): void {
    for (const { n, predicted, true: right } of this.#tenths) {
      const [said, was] = [(100 * predicted) / n, (100 * right) / n];
      const error = Math.sqrt((was * (100 - was)) / n);
      console.log(
        `${said.toFixed(1).padStart(7)} % said ${was.toFixed(1).padStart(6)} % true  off by ${(was - said).toFixed(1).padStart(5)} (standard error ${error.toFixed(1)}, ${n} statements)`,
      );
    }
  }
}

/** How often a cause that is at work leads, before the first question of the product and after its last. */
const outcomes = { first: 0, end: 0, lost: 0 };

function countOutcome(network: Network, thoughts: readonly Posterior[], hypothesis: number): void {
  const inside = positionsIn(network, hypothesis);
  if (inside.length === 0) return;
  const leads = ({ ranking: [best] }: Posterior): boolean =>
    best !== undefined && inside.includes(best);
  const [first, end] = [thoughts[0], thoughts.at(-1)];
  if (!first || !end) return;
  outcomes.first += Number(leads(first));
  outcomes.end += Number(leads(end));
  outcomes.lost += Number(leads(first) && !leads(end));
}

/** Smaller probabilities are not shown to anyone. */
const MIN_SHOWN = 0.005;

const hosts = HOSTS.map((host) => {
  const id = [...library.plants.keys()].find((one): one is PlantId => one === host);
  if (id === undefined) throw new Error(`${host} is not in the library`);
  return id;
});
const networksOf = (world: Compiled): readonly Network[] =>
  hosts.map((host) => {
    const today = dayOf(2026, 7, 10);
    return buildNetwork(world, host, {
      almanac,
      today,
      since: null,
      region: null,
      experience: new Map(),
    });
  });
const networks = networksOf(library);
const drawWorld = seeded(SEED);
let world = library;
let trueNetworks = networks;
/** For each strategy, all its enquirers. */
const runs = new Map<string, (readonly Standing[])[]>();
const calibration = new Calibration();
for (let n = 0; n < CASES; n++) {
  const at = n % networks.length;
  if (PERTURBED && at === 0) {
    world = perturbed(library, drawWorld);
    trueNetworks = networksOf(world);
  }
  const [network, trueNetwork] = [networks[at], trueNetworks[at]];
  if (!network || !trueNetwork) continue;
  const enquirer = drawEnquirer(world, trueNetwork, SEED + n);
  for (const [name, choose] of Object.entries(STRATEGIES)) {
    calibration.begin();
    const thoughts: Posterior[] = [];
    const standings = consultOne(
      network,
      enquirer,
      choose,
      name === PRODUCT ? 0 : LEAST_WORTH,
      (posterior) => {
        calibration.add(network, posterior, enquirer.truth.hypothesis);
        thoughts.push(posterior);
      },
    );
    if (name === PRODUCT) countOutcome(network, thoughts, enquirer.truth.hypothesis);
    runs.set(name, [...(runs.get(name) ?? []), standings]);
  }
}

interface Sums {
  readonly questions: number;
  readonly seconds: number;
  readonly loss: number;
  readonly losses: readonly number[];
}

const meanOf = (numbers: readonly number[]): number =>
  numbers.reduce((sum, one) => sum + one, 0) / numbers.length;

/** Means over the enquirers of a strategy if it stops where `stops` first holds. */
function stopping(
  standings: readonly (readonly Standing[])[],
  stops: (standing: Standing, asked: number) => boolean,
): Sums {
  const ends = standings.map((run) => {
    const at = run.findIndex(stops);
    return at < 0 ? run.length - 1 : at;
  });
  const end = (field: 'seconds' | 'loss'): readonly number[] =>
    standings.map((run, i) => run[entryAt(ends, i)]?.[field] ?? 0);
  const losses = end('loss');
  return { questions: meanOf(ends), seconds: meanOf(end('seconds')), loss: meanOf(losses), losses };
}

/** The fewest questions at which a strategy loses no more than `loss`, whichever worth it stops at; null when it never does. */
function asGoodAs(standings: readonly (readonly Standing[])[], loss: number): Sums | null {
  for (let least = MOST_WORTH; least >= LEAST_WORTH; least -= WORTH_STEP) {
    const sums = stopping(standings, ({ worth }) => worth <= least);
    if (sums.loss <= loss) return sums;
  }
  return null;
}

function print(name: string, sums: Sums | null): void {
  if (!sums) {
    console.log(`${name.padEnd(36)}never`);
    return;
  }
  const withTime = sums.loss + (LOSS_PER_MINUTE * sums.seconds) / 60;
  const numbers = [sums.questions.toFixed(2), sums.seconds.toFixed(0), sums.loss.toFixed(3)];
  console.log(
    `${name.padEnd(36)}${[...numbers, withTime.toFixed(3)].map((one) => one.padStart(11)).join('')}`,
  );
}

const share = (count: number): string => `${((100 * count) / CASES).toFixed(1)} %`;
const product = stopping(runs.get(PRODUCT) ?? [], ({ worth }) => worth <= 0);
console.log(
  `${CASES} simulated enquiries from seed ${SEED}${PERTURBED ? ', their frequencies drawn anew' : ''}`,
);
console.log(
  `of the product: truth first ${share(outcomes.first)} at once, ${share(outcomes.end)} when settled, lost by asking ${share(outcomes.lost)}`,
);
console.log(`${'questions chosen by'.padEnd(36)}  questions    seconds       loss  with time`);
print(`${PRODUCT}, until settled`, product);
for (const [name, standings] of runs) {
  if (name === PRODUCT) continue;
  const paid = stopping(standings, ({ worth }) => worth <= GAINED_LATER);
  print(`${name}, while each pays alone`, paid);
  const more = product.losses.map((loss, i) => loss - entryAt(paid.losses, i));
  const [mean, squares] = [meanOf(more), meanOf(more.map((one) => one * one))];
  const error = Math.sqrt((squares - mean * mean) / more.length);
  console.log(
    `    loss of the product above it ${mean.toFixed(3)}, standard error ${error.toFixed(3)}`,
  );
  print(`${name}, to the same loss`, asGoodAs(standings, product.loss));
}
console.log(
  'calibration of causes, before the first question and after every answer until the advice is settled, all ways together',
);
calibration.print();
