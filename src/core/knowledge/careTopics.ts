import { causeSchema, type CareTopic, type Cause } from './schema/cause.ts';
import { findingSchema, type Finding } from './schema/finding.ts';
import { treatmentSchema, type Treatment } from './schema/treatment.ts';
import { midSentence } from '../midSentence.ts';

/** Id of the finding that the enquirer asks about a topic. */
const ASKING = 'asks-';
const askingFor = (topicId: string): string => `${ASKING}${topicId}`;

/** True for the finding that a care topic is asked about. */
export const isAsking = (finding: string): boolean => finding.startsWith(ASKING);

/** True for a cause that stands for a care topic: it answers a question and names no trouble. */
export function isCareTopic(cause: Cause): boolean {
  return askingFor(cause.id) in cause.findings;
}

/**
 * A care topic takes part in the weighing as a cause of category `care` with one telling finding:
 * that the enquirer asks about it.
 */
export function careCause(topic: CareTopic): Cause {
  return causeSchema.parse({
    id: topic.id,
    name: topic.name,
    aliases: topic.aliases,
    category: 'care',
    hosts: topic.hosts,
    common: 'occasional',
    findings: { [askingFor(topic.id)]: 'always' },
    harm: { looks: 'moderate', pace: 'months' },
    say: topic.say,
    treatments: topic.steps.map((_, i) => ({ use: `${topic.id}-${i + 1}`, effect: 'good' })),
    avoid: topic.avoid,
    cautions: topic.cautions,
    lookAgainDays: topic.lookAgainDays,
    source: topic.source,
  });
}

/** The finding that the enquirer asks about a topic. */
export function careFinding(topic: CareTopic): Finding {
  return findingSchema.parse({
    id: askingFor(topic.id),
    part: 'history',
    kind: 'context',
    label: `Asks: ${topic.name}`,
    question: `Is your question about this: ${midSentence(topic.name)}?`,
    seconds: 5,
    background: 'telltale',
    noticeable: true,
    askable: false,
    phrases: topic.phrases,
    source: topic.source,
  });
}

/** The steps of a topic as practices of the ladder. */
export function careTreatments(topic: CareTopic): readonly Treatment[] {
  return topic.steps.map((step, i) => {
    const treatment = treatmentSchema.parse({
      id: `${topic.id}-${i + 1}`,
      name: topic.name,
      rung: step.rung,
      text: step.text,
      source: topic.source,
    });
    return step.when === undefined ? treatment : { ...treatment, when: step.when };
  });
}
