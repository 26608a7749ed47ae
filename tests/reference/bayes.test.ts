import bayes from 'bayesjs';
import { reliabilityOf } from '../../src/core/diagnosis/evidence.ts';
import { buildNetwork, unknownCauseProbability } from '../../src/core/diagnosis/network.ts';
import { causesOf, weighAll } from '../../src/core/diagnosis/posterior.ts';
import type { Compiled } from '../../src/core/library/compile.ts';
import { BACKGROUND, FREQUENCY } from '../../src/core/schema/scale.ts';
import { generalNetwork, type SmallNetwork } from '../../src/cli/generalNetwork.ts';
import { miniLibrary } from '../../src/test/miniLibrary.ts';
import { seeded } from '../../src/core/util/random.ts';
import { circumstancesAt, findingId, plantId } from '../../src/test/setting.ts';

const { inferences } = bayes;
const NETWORKS = 200;
/** A query of the general library takes a fifth of a second. */
const GENERAL_QUERIES = 20;
const pick = <T>(random: () => number, list: readonly T[]): T => {
  const one = list[Math.floor(random() * list.length)];
  if (one === undefined) throw new Error('the list is empty');
  return one;
};

interface RandomNetwork extends SmallNetwork {
  readonly library: Compiled;
}

function randomNetwork(random: () => number): RandomNetwork {
  const findings = ['f0', 'f1', 'f2', 'f3'].slice(0, 2 + Math.floor(random() * 3));
  const causes = ['a', 'b', 'c'].slice(0, 2 + Math.floor(random() * 2));
  const backgrounds = new Map(
    findings.map((id) => [id, pick(random, ['common', 'occasional', 'uncommon', 'rare'] as const)]),
  );
  const frequencies = ['usual', 'often', 'sometimes', 'seldom', 'never'] as const;
  const table = new Map(
    causes.map((id) => [id, new Map(findings.map((f) => [f, pick(random, frequencies)]))]),
  );
  // f0 is always shown by a, so that no finding is foreign to the host.
  for (const finding of findings)
    table.get('a')?.set(finding, pick(random, ['usual', 'often'] as const));
  const library = miniLibrary(
    findings.map((id) => ({ id, extra: { background: backgrounds.get(id) } })),
    causes.map((id) => ({
      id,
      findings: Object.fromEntries(table.get(id) ?? []),
      extra: {
        common: pick(random, ['rare', 'occasional', 'common']),
        ...(id === 'a' && random() < 0.5 ? { leadsTo: ['b'] } : {}),
      },
    })),
  );
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  return {
    library,
    network,
    findings,
    strength: (cause, finding) => FREQUENCY[table.get(cause)?.get(finding) ?? 'never'],
    background: (finding) => BACKGROUND[backgrounds.get(finding) ?? 'common'],
  };
}

/** Every hypothesis, weighed by multiplying its prior with the chance of every report: the slow plain way. */
function bruteForce(made: RandomNetwork, said: readonly Said[], sure: number): readonly number[] {
  const { network, strength, background } = made;
  const weights = [...network.prior].map((prior, h) => {
    const inside = causesOf(network, h);
    return said.reduce((weight, { finding, value }) => {
      const missed = inside.reduce((p, cause) => p * (1 - strength(cause, finding)), 1);
      const present =
        h === 1
          ? unknownCauseProbability(background(finding))
          : 1 - (1 - background(finding)) * missed;
      const { yesWhenTrue, yesWhenFalse } = reliabilityOf(sure, background(finding));
      const yes = present * yesWhenTrue + (1 - present) * yesWhenFalse;
      return weight * (value ? yes : 1 - yes);
    }, prior);
  });
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

interface Said {
  readonly finding: string;
  readonly value: boolean;
}

interface Drawn {
  readonly made: RandomNetwork;
  readonly sure: number;
  readonly said: readonly Said[];
  readonly hypotheses: Float64Array;
}

function drawCase(random: () => number): Drawn {
  const made = randomNetwork(random);
  const sure = 0.5 + random() * 0.49;
  const said = made.findings
    .filter(() => random() < 0.7)
    .map((finding) => ({ finding, value: random() < 0.6 }));
  const reports = said.map(({ finding, value }) => ({ finding: findingId(finding), value, sure }));
  const { posterior } = weighAll(made.library, made.network, reports, 0);
  return { made, sure, said, hypotheses: posterior.hypotheses };
}

const drawn = (() => {
  const random = seeded(20260613);
  return Array.from({ length: NETWORKS }, () => drawCase(random));
})();

it(`equals enumeration on ${NETWORKS} random networks to 1e-9, singles and pairs`, () => {
  for (const { made, said, sure, hypotheses } of drawn) {
    const plain = bruteForce(made, said, sure);
    hypotheses.forEach((p, h) => expect(Math.abs(p - (plain[h] ?? NaN))).toBeLessThan(1e-9));
  }
});

it(`agrees with an independent Bayesian-network library on ${GENERAL_QUERIES} random networks to 1e-9`, () => {
  const random = seeded(7);
  for (const { made, said, sure, hypotheses } of drawn.slice(0, GENERAL_QUERIES)) {
    const nodes = generalNetwork(made, sure);
    const given = Object.fromEntries(
      said.map(({ finding, value }) => [`said-${finding}`, value ? 'T' : 'F']),
    );
    // One hypothesis of each network is asked for.
    const h = Math.floor(random() * hypotheses.length);
    const independent = inferences.junctionTree.infer(nodes, { H: `h${h}` }, given);
    expect(Math.abs(independent - (hypotheses[h] ?? NaN))).toBeLessThan(1e-9);
  }
});
