import { resolve } from 'node:path';
import { makeDecision } from '../core/advice/decision.ts';
import type { Report } from '../core/diagnosis/evidence.ts';
import { buildNetwork, presenceAt, type Network } from '../core/diagnosis/network.ts';
import { weighAll, type Posterior } from '../core/diagnosis/posterior.ts';
import {
  ANSWER_SURE,
  rankQuestions,
  shortlist,
  type Question,
} from '../core/diagnosis/questions.ts';
import type { Compiled } from '../core/knowledge/compile.ts';
import type { FindingId, PlantId } from '../core/knowledge/schema/common.ts';
import { createAlmanacs } from '../core/timing/almanac.ts';
import { seeded } from '../core/random.ts';
import { dayOf } from '../core/timing/calendar.ts';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';

/**
 * Simulated enquirers: a truth is drawn from the network, told in part, and questions are asked until the
 * advice is settled or the patience is spent. Three ways to choose the next question are compared.
 */
const CASES = Number(process.argv[2] ?? 300);
const PATIENCE = 25;
const HOSTS = [
  'tomato',
  'rose',
  'lemon',
  'blue-spruce',
  'two-needle-pine',
  'hosta',
  'turf',
  'apple',
  'maple',
  'jade',
  'boxwood',
  'squash',
];

const loaded = loadLibrary(resolve('knowledge'));
if (!loaded.ok) throw new Error('run npm run check:knowledge');
const library: Compiled = loaded.value;
const almanac = createAlmanacs(library.places)({ lat: 42, lon: -83 });
const random = seeded(20260613);

function draw(weights: Float64Array): number {
  let left = random();
  for (let h = 0; h < weights.length; h++) {
    left -= weights[h] ?? 0;
    if (left <= 0) return h;
  }
  return weights.length - 1;
}

interface Truth {
  readonly hypothesis: number;
  readonly present: ReadonlySet<FindingId>;
}

/** Draws what is so; of an exclusive group one choice holds. */
function drawTruth(network: Network): Truth {
  const hypothesis = draw(network.prior);
  const present = new Set<FindingId>();
  const groups = new Map<string, { id: FindingId; chance: number }[]>();
  for (const id of network.findingIds) {
    const node = network.node(id);
    if (!node) continue;
    const chance = presenceAt(network, node, hypothesis);
    const group = library.findings.get(id)?.group;
    if (group === undefined) {
      if (random() < chance) present.add(id);
    } else {
      groups.set(group, [...(groups.get(group) ?? []), { id, chance }]);
    }
  }
  for (const members of groups.values()) {
    const total = members.reduce((sum, { chance }) => sum + chance, 0);
    const chosen = members[draw(Float64Array.from(members, ({ chance }) => chance / total))];
    if (chosen) present.add(chosen.id);
  }
  return { hypothesis, present };
}

const VOLUNTEERED = { noticeable: 0.5, other: 0.2 } as const;

function openingReports(network: Network, truth: Truth): Report[] {
  return network.findingIds
    .filter((id) => {
      const noticeable = library.findings.get(id)?.noticeable === true;
      return (
        truth.present.has(id) &&
        random() < (noticeable ? VOLUNTEERED.noticeable : VOLUNTEERED.other)
      );
    })
    .slice(0, 3)
    .map((finding) => ({ finding, value: true, sure: 0.9 }));
}

/** A noisy answer: wrong now and then, sometimes none. */
function answer(question: Question, truth: Truth): Report | null {
  if (random() < 0.05) return null;
  if (question.choices.length > 0) {
    const right = question.choices.find(({ finding }) => truth.present.has(finding));
    const slip = random() >= ANSWER_SURE;
    const said =
      slip || !right ? question.choices[Math.floor(random() * question.choices.length)] : right;
    return said ? { finding: said.finding, value: true, sure: ANSWER_SURE } : null;
  }
  const id = [...library.findings.keys()].find((one) => one === question.finding);
  if (id === undefined) return null;
  const value = truth.present.has(id)
    ? random() < 0.5 + ANSWER_SURE / 2
    : random() < (1 - ANSWER_SURE) * 0.12;
  return { finding: id, value, sure: ANSWER_SURE };
}

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
  readonly loss: number;
  readonly settled: boolean;
}

function finalLoss(network: Network, posterior: Posterior, truth: Truth): number {
  const list = shortlist(posterior);
  const decision = makeDecision(library, network, posterior, list.positions);
  return decision.lossUnder(decision.bestAction(list.probabilities), truth.hypothesis);
}

function consultOne(
  network: Network,
  truth: Truth,
  opening: readonly Report[],
  choose: Strategy,
): Outcome {
  const reports = [...opening];
  const skipped = new Set<string>();
  for (let asked = 0; ; asked++) {
    const { posterior } = weighAll(library, network, reports, 0);
    const questions = rankQuestions(library, network, posterior, reports, skipped);
    const settled = questions.every(({ worth }) => worth <= 0);
    const next = choose(questions);
    if (settled || asked >= PATIENCE || !next)
      return { asked, settled, loss: finalLoss(network, posterior, truth) };
    const said = answer(next, truth);
    if (said) reports.push(said);
    else skipped.add(next.finding);
  }
}

const networks = HOSTS.map((host) => {
  const id = [...library.plants.keys()].find((one): one is PlantId => one === host);
  return buildNetwork(library, id ?? null, almanac, dayOf(2026, 7, 10));
});
const totals = new Map(
  Object.keys(STRATEGIES).map((name) => [name, { asked: 0, loss: 0, settled: 0 }]),
);
for (let n = 0; n < CASES; n++) {
  const network = networks[n % networks.length];
  if (!network) continue;
  const truth = drawTruth(network);
  const opening = openingReports(network, truth);
  for (const [name, choose] of Object.entries(STRATEGIES)) {
    const { asked, loss, settled } = consultOne(network, truth, opening, choose);
    const total = totals.get(name);
    if (total)
      totals.set(name, {
        asked: total.asked + asked,
        loss: total.loss + loss,
        settled: total.settled + Number(settled),
      });
  }
}
console.log(`${CASES} simulated enquiries, seed fixed`);
console.log(`${'questions chosen by'.padEnd(24)}questions   loss   settled`);
for (const [name, { asked, loss, settled }] of totals) {
  console.log(
    `${name.padEnd(24)}${(asked / CASES).toFixed(2).padStart(9)}${(loss / CASES).toFixed(2).padStart(7)}${`${Math.round((100 * settled) / CASES)} %`.padStart(10)}`,
  );
}
