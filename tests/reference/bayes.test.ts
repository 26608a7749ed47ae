import bayes from 'bayesjs';
import { reliabilityOf } from '../../src/core/diagnosis/evidence.ts';
import {
  buildNetwork,
  unknownCauseChance,
  type Network,
} from '../../src/core/diagnosis/network.ts';
import { causesOf, weighAll } from '../../src/core/diagnosis/posterior.ts';
import type { Compiled } from '../../src/core/knowledge/compile.ts';
import { BACKGROUND, FREQUENCY } from '../../src/core/knowledge/scale.ts';
import { miniLibrary } from '../support/miniLibrary.ts';
import { seeded } from '../../src/core/random.ts';
import { circumstancesAt, findingId, plantId } from '../support/setting.ts';

const { inferences } = bayes;
const NETWORKS = 40;
const pick = <T>(random: () => number, list: readonly T[]): T => {
  const one = list[Math.floor(random() * list.length)];
  if (one === undefined) throw new Error('the list is empty');
  return one;
};

interface RandomNetwork {
  readonly library: Compiled;
  readonly network: Network;
  readonly findings: readonly string[];
  readonly strength: (cause: string, finding: string) => number;
  readonly background: (finding: string) => number;
}

function randomNetwork(random: () => number): RandomNetwork {
  const findings = ['f0', 'f1', 'f2', 'f3'].slice(0, 2 + Math.floor(random() * 3));
  const causes = ['a', 'b', 'c', 'd'].slice(0, 2 + Math.floor(random() * 3));
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

type Node = Parameters<typeof inferences.junctionTree.infer>[0][string];

const state = (on: boolean): 'T' | 'F' => (on ? 'T' : 'F');
const chance = (p: number): { T: number; F: number } => ({ T: p, F: 1 - p });

/** Every way in which some of the names can be on. */
function combinations(names: readonly string[]): Record<string, 'T' | 'F'>[] {
  return names.reduce<Record<string, 'T' | 'F'>[]>(
    (all, name) =>
      all.flatMap((one) => [
        { ...one, [name]: 'T' as const },
        { ...one, [name]: 'F' as const },
      ]),
    [{}],
  );
}

/**
 * The same model for the general library: a hypothesis node, a node for each cause and for "unknown", noisy-OR
 * tables over them for each finding, and a report node below each finding.
 */
function generalNetwork(
  { network, findings, strength, background }: RandomNetwork,
  sure: number,
): Record<string, Node> {
  const names = [...network.prior.keys()].map((h) => `h${h}`);
  const causes = network.causes.map(({ id }) => String(id));
  const nodes: Record<string, Node> = {
    H: {
      id: 'H',
      states: names,
      parents: [],
      cpt: Object.fromEntries([...network.prior].map((p, h) => [`h${h}`, p])),
    },
    unknown: {
      id: 'unknown',
      states: ['T', 'F'],
      parents: ['H'],
      cpt: names.map((name) => ({ when: { H: name }, then: chance(name === 'h1' ? 1 : 0) })),
    },
  };
  for (const cause of causes) {
    const holds = (h: number): boolean => causesOf(network, h).some((id) => id === cause);
    nodes[cause] = {
      id: cause,
      states: ['T', 'F'],
      parents: ['H'],
      cpt: names.map((name, h) => ({ when: { H: name }, then: chance(holds(h) ? 1 : 0) })),
    };
  }
  for (const finding of findings) {
    const shown = (on: Record<string, 'T' | 'F'>): number => {
      if (on.unknown === 'T') return unknownCauseChance(background(finding));
      const missed = causes.reduce(
        (p, cause) => p * (on[cause] === 'T' ? 1 - strength(cause, finding) : 1),
        1,
      );
      return 1 - (1 - background(finding)) * missed;
    };
    nodes[finding] = {
      id: finding,
      states: ['T', 'F'],
      parents: [...causes, 'unknown'],
      cpt: combinations([...causes, 'unknown']).map((when) => ({
        when,
        then: chance(shown(when)),
      })),
    };
    const { yesWhenTrue, yesWhenFalse } = reliabilityOf(sure, background(finding));
    nodes[`said-${finding}`] = {
      id: `said-${finding}`,
      states: ['T', 'F'],
      parents: [finding],
      cpt: [
        { when: { [finding]: 'T' }, then: chance(yesWhenTrue) },
        { when: { [finding]: 'F' }, then: chance(yesWhenFalse) },
      ],
    };
  }
  return nodes;
}

it(`agrees with an independent Bayesian-network library on ${NETWORKS} random networks to 1e-9`, () => {
  const random = seeded(20260613);
  let compared = 0;
  for (let n = 0; n < NETWORKS; n++) {
    const made = randomNetwork(random);
    const sure = 0.5 + random() * 0.49;
    const said = made.findings
      .filter(() => random() < 0.7)
      .map((finding) => ({ finding, value: random() < 0.6 }));
    const reports = said.map(({ finding, value }) => ({
      finding: findingId(finding),
      value,
      sure,
    }));
    const { posterior } = weighAll(made.library, made.network, reports, 0);
    const nodes = generalNetwork(made, sure);
    const given = Object.fromEntries(
      said.map(({ finding, value }) => [`said-${finding}`, state(value)]),
    );
    for (const h of posterior.hypotheses.keys()) {
      const independent = inferences.junctionTree.infer(nodes, { H: `h${h}` }, given);
      expect(Math.abs(independent - (posterior.hypotheses[h] ?? NaN))).toBeLessThan(1e-9);
      compared++;
    }
  }
  expect(compared).toBeGreaterThan(NETWORKS * 4);
});
