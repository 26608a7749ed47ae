import { entryAt } from '../core/util/entryAt.ts';
import { ANSWER_SURE } from '../core/questions/candidates.ts';
import { reliabilityOf, type Report } from '../core/diagnosis/evidence.ts';
import { presenceAt } from '../core/diagnosis/likelihood.ts';
import type { Network } from '../core/diagnosis/network.ts';
import type { Question } from '../core/questions/questions.ts';
import { probabilityGivenMore } from '../core/diagnosis/weigh.ts';
import type { Compiled } from '../core/library/compile.ts';
import type { FindingId } from '../core/schema/common.ts';
import { seeded } from '../core/util/random.ts';

/** What is so in one simulated enquiry. */
export interface Truth {
  readonly hypothesis: number;
  readonly present: ReadonlySet<FindingId>;
}

/** Chance that a noticeable finding which is there is mentioned unasked. */
export const VOLUNTEERED = 0.4;
const VOLUNTEERED_SURE = 0.9;
/** Now and then the enquirer cannot tell. */
const CANNOT_TELL = 0.05;

/** An enquirer drawn from the network: a truth, what is told unasked, and noisy answers. */
export interface SimulatedEnquirer {
  readonly truth: Truth;
  readonly opening: readonly Report[];
  /** Null when the enquirer cannot tell. */
  readonly answer: (question: Question) => Report | null;
}

function drawOne(random: () => number, weights: ArrayLike<number>): number {
  let total = 0;
  for (let h = 0; h < weights.length; h++) total += entryAt(weights, h);
  let left = random() * total;
  for (let h = 0; h < weights.length; h++) {
    left -= entryAt(weights, h);
    if (left <= 0) return h;
  }
  return weights.length - 1;
}

const generalFirst = (library: Compiled, network: Network): FindingId[] =>
  [...network.findingIds].sort((a, b) => library.implied(a).length - library.implied(b).length);

/** What is told unasked; who tells of a thing in general does not add which kind of it. */
function volunteer(
  library: Compiled,
  network: Network,
  tells: (id: FindingId) => boolean,
): Report[] {
  const told = new Set<FindingId>();
  for (const id of generalFirst(library, network)) {
    const finding = library.findings.get(id);
    if (finding?.noticeable !== true || finding.group !== undefined) continue;
    if (!library.implied(id).some((one) => told.has(one)) && tells(id)) told.add(id);
  }
  return [...told].map((finding) => ({ finding, value: true, sure: VOLUNTEERED_SURE }));
}

/** Draws what is present; of an exclusive group one choice holds, and a special finding only with its general one. */
function drawPresent(
  library: Compiled,
  network: Network,
  hypothesis: number,
  random: () => number,
): Set<FindingId> {
  const present = new Set<FindingId>();
  const groups = new Set<string>();
  const chanceOf = (id: FindingId): number => {
    const node = network.node(id);
    return node ? presenceAt(network, node, hypothesis) : 0;
  };
  for (const id of generalFirst(library, network)) {
    const finding = library.findings.get(id);
    if (finding?.group !== undefined) {
      groups.add(finding.group);
      continue;
    }
    const above = finding?.isA ?? [];
    if (above.some((one) => !present.has(one))) continue;
    const chance = above.reduce(
      (p, one) => Math.max(p, probabilityGivenMore(chanceOf(id), chanceOf(one))),
      0,
    );
    if (random() < (above.length > 0 ? chance : chanceOf(id))) present.add(id);
  }
  for (const group of groups) {
    const members = library.groupMembers.get(group) ?? [];
    const chosen =
      members[
        drawOne(
          random,
          members.map(({ id }) => chanceOf(id)),
        )
      ];
    if (chosen) present.add(chosen.id);
  }
  return present;
}

/** A seed of its own for each question, so that an enquirer answers it the same whenever it is asked. */
function seedOf(seed: number, finding: string): number {
  let hash = seed;
  for (const letter of finding) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return hash;
}

/** Draws an enquirer of a network; the same seed gives the same one. */
export function drawEnquirer(library: Compiled, network: Network, seed: number): SimulatedEnquirer {
  const random = seeded(seed);
  const hypothesis = drawOne(random, network.prior);
  const present = drawPresent(library, network, hypothesis, random);
  const saysYes = (id: FindingId, sure: number): number => {
    const reliability = reliabilityOf(sure, network.node(id)?.background ?? 0);
    return present.has(id) ? reliability.yesWhenTrue : reliability.yesWhenFalse;
  };
  const opening = volunteer(
    library,
    network,
    (id) => random() < VOLUNTEERED * saysYes(id, VOLUNTEERED_SURE),
  );
  const answer = (question: Question): Report | null => {
    const chance = seeded(seedOf(seed, question.finding));
    if (chance() < CANNOT_TELL) return null;
    if (question.choices.length === 0) {
      const id = [...library.findings.keys()].find((one) => one === question.finding);
      return id === undefined
        ? null
        : { finding: id, value: chance() < saysYes(id, ANSWER_SURE), sure: ANSWER_SURE };
    }
    const members = library.groupMembers.get(question.finding) ?? [];
    const { yesWhenTrue, yesWhenFalse } = reliabilityOf(ANSWER_SURE, 1 / members.length);
    const said =
      members[
        drawOne(
          chance,
          members.map(({ id }) => (present.has(id) ? yesWhenTrue : yesWhenFalse)),
        )
      ];
    return said ? { finding: said.id, value: true, sure: ANSWER_SURE } : null;
  };
  return { truth: { hypothesis, present }, opening, answer };
}
