import bayes from 'bayesjs';
import { reliabilityOf } from '../core/diagnosis/evidence.ts';
import { unknownCauseProbability, type Network } from '../core/diagnosis/network.ts';
import { causesOf } from '../core/diagnosis/posterior.ts';

/** A network with what it was made from, so that another program can be given the same model. */
export interface SmallNetwork {
  readonly network: Network;
  readonly findings: readonly string[];
  readonly strength: (cause: string, finding: string) => number;
  readonly background: (finding: string) => number;
}

type Node = Parameters<typeof bayes.inferences.junctionTree.infer>[0][string];

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
export function generalNetwork(
  { network, findings, strength, background }: SmallNetwork,
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
      if (on.unknown === 'T') return unknownCauseProbability(background(finding));
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
