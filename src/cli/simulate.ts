import { resolve } from 'node:path';
import { makeDecision } from '../core/advice/decision.ts';
import { buildNetwork, positionsIn, type Network } from '../core/diagnosis/network.ts';
import { weighAll, type Posterior } from '../core/diagnosis/posterior.ts';
import { rankQuestions, type Question } from '../core/diagnosis/questions.ts';
import { shortlist } from '../core/diagnosis/shortlist.ts';
import type { Compiled } from '../core/knowledge/compile.ts';
import type { PlantId } from '../core/knowledge/schema/common.ts';
import { LOSS_PER_MINUTE } from '../core/diagnosis/worth.ts';
import { createAlmanacs } from '../core/timing/almanac.ts';
import { seeded } from '../core/random.ts';
import { dayOf } from '../core/timing/calendar.ts';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import { drawEnquirer, VOLUNTEERED, type SimulatedEnquirer } from './simulatedEnquirer.ts';

/**
 * Simulated enquirers: a truth is drawn from the network, told in part, and questions are asked until the
 * advice is settled or the patience is spent. Three ways to choose the next question are compared, on the
 * same enquirers and with the same rule of when to stop.
 */
const CASES = Number(process.argv[2] ?? 300);
const PATIENCE = 40;
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
  'value of the advice': (questions) => questions[0],
  'information alone': (questions) => [...questions].sort((a, b) => b.bits - a.bits)[0],
  'fixed checklist': (questions) =>
    [...questions].sort((a, b) => order.indexOf(a.finding) - order.indexOf(b.finding))[0],
};

interface Outcome {
  readonly asked: number;
  /** Time the questions took. */
  readonly seconds: number;
  readonly loss: number;
  readonly settled: boolean;
  /** What was thought before the first question and after every answer. */
  readonly posteriors: readonly Posterior[];
}

function finalLoss(network: Network, posterior: Posterior, hypothesis: number): number {
  const list = shortlist(network, posterior);
  const decision = makeDecision(library, network, posterior, list.positions);
  return decision.lossUnder(decision.bestAction(list.probabilities), hypothesis);
}

function consultOne(
  network: Network,
  { truth, opening, answer }: SimulatedEnquirer,
  choose: Strategy,
): Outcome {
  const reports = [...opening];
  const skipped = new Set<string>();
  let seconds = 0;
  const posteriors: Posterior[] = [];
  for (let asked = 0; ; asked++) {
    const { posterior } = weighAll(library, network, reports, VOLUNTEERED);
    posteriors.push(posterior);
    const questions = rankQuestions(library, network, posterior, reports, skipped);
    const settled = questions.every(({ worth }) => worth <= 0);
    const next = choose(questions);
    if (settled || asked >= PATIENCE || !next)
      return {
        asked,
        seconds,
        settled,
        posteriors,
        loss: finalLoss(network, posterior, truth.hypothesis),
      };
    seconds += next.seconds;
    const said = answer(next);
    if (said) reports.push(said);
    else skipped.add(next.finding);
  }
}

/** Predicted and true shares of causes, by tenths of the predicted probability. */
class Calibration {
  readonly #bins = Array.from({ length: 10 }, () => ({ n: 0, predicted: 0, true: 0 }));

  add(network: Network, posterior: Posterior, hypothesis: number): void {
    const inside = positionsIn(network, hypothesis);
    posterior.causes.forEach((p, i) => {
      const bin = this.#bins[Math.min(9, Math.floor(p * 10))];
      if (!bin || p < LEAST_SHOWN) return;
      bin.n++;
      bin.predicted += p;
      bin.true += inside.includes(i) ? 1 : 0;
    });
  }

  print(): void {
    for (const { n, predicted, true: right } of this.#bins) {
      const [said, was] = [(100 * predicted) / n, (100 * right) / n];
      const error = Math.sqrt((was * (100 - was)) / n);
      console.log(
        `${said.toFixed(1).padStart(7)} % said ${was.toFixed(1).padStart(6)} % true  off by ${(was - said).toFixed(1).padStart(5)} (standard error ${error.toFixed(1)}, ${n} statements)`,
      );
    }
  }
}

/** Smaller probabilities are not shown to anyone. */
const LEAST_SHOWN = 0.005;

const networks = HOSTS.map((host) => {
  const id = [...library.plants.keys()].find((one): one is PlantId => one === host);
  if (id === undefined) throw new Error(`${host} is not in the library`);
  const today = dayOf(2026, 7, 10);
  return buildNetwork(library, id, { almanac, today, since: null, experience: new Map() });
});
const totals = new Map(
  Object.keys(STRATEGIES).map((name) => [name, { asked: 0, seconds: 0, loss: 0, settled: 0 }]),
);
const calibration = new Calibration();
for (let n = 0; n < CASES; n++) {
  const network = networks[n % networks.length];
  if (!network) continue;
  for (const [name, choose] of Object.entries(STRATEGIES)) {
    const enquirer = drawEnquirer(library, network, seeded(20260613 + n));
    const { asked, seconds, loss, settled, posteriors } = consultOne(network, enquirer, choose);
    const total = totals.get(name);
    if (total)
      totals.set(name, {
        asked: total.asked + asked,
        seconds: total.seconds + seconds,
        loss: total.loss + loss,
        settled: total.settled + Number(settled),
      });
    for (const posterior of posteriors)
      calibration.add(network, posterior, enquirer.truth.hypothesis);
  }
}
console.log(`${CASES} simulated enquiries, seed fixed`);
console.log(`${'questions chosen by'.padEnd(24)}questions  seconds     loss   with time   settled`);
for (const [name, { asked, seconds, loss, settled }] of totals) {
  const withTime = loss + (LOSS_PER_MINUTE * seconds) / 60;
  console.log(
    `${name.padEnd(24)}${(asked / CASES).toFixed(2).padStart(9)}${(seconds / CASES).toFixed(0).padStart(9)}${(loss / CASES).toFixed(3).padStart(9)}${(withTime / CASES).toFixed(3).padStart(12)}${`${Math.round((100 * settled) / CASES)} %`.padStart(10)}`,
  );
}
console.log(
  'calibration of causes, before the first question and after every answer, however questions were chosen',
);
calibration.print();
