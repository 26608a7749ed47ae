import {
  findingIdSchema,
  treatmentIdSchema,
  type FindingId,
  type TreatmentId,
} from '../schema/common.ts';
import { causeSchema, type CareTopic, type Cause } from '../schema/cause.ts';
import { findingSchema, type Finding } from '../schema/finding.ts';
import { treatmentSchema, type Treatment } from '../schema/treatment.ts';

const ASKING = 'asks-';
/** Id of the finding that the enquirer asks about a topic. */
export const askingFor = (topicId: string): FindingId =>
  findingIdSchema.parse(`${ASKING}${topicId}`);

/** True for the finding that a care topic is asked about. */
export const isAsking = (finding: string): boolean => finding.startsWith(ASKING);

/** True for a cause that stands for a care topic: it answers a question and names no trouble. */
export function isCareTopic(cause: Cause): boolean {
  return askingFor(cause.id) in cause.findings;
}

/** What the parts of all topics have in common, with the defaults of their schemas. */
const ANY_CAUSE = causeSchema.parse({
  id: 'care',
  name: 'Care',
  category: 'care',
  hosts: {},
  common: 'occasional',
  findings: {},
  harm: { looks: 'moderate', pace: 'months' },
  say: 'What to do, and when.',
  source: 'practice',
});
const ANY_FINDING = findingSchema.parse({
  id: 'asks',
  part: 'history',
  kind: 'context',
  label: 'Asks',
  question: 'Is your question about this?',
  seconds: 5,
  background: 'telltale',
  noticeable: true,
  askable: false,
  source: 'practice',
});
const ANY_STEP = treatmentSchema.parse({
  id: 'step',
  name: 'Step',
  rung: 'hand',
  who: 'anyone',
  classes: [],
  organic: true,
  hazards: [],
  text: 'What to do, and when.',
  limits: null,
  matters: [],
  cautions: [],
  effort: 'low',
  money: 'none',
  source: 'practice',
});

/**
 * A care topic takes part in the weighing as a cause of category `care` with one defining finding:
 * that the enquirer asks about it.
 */
export function careCause(topic: CareTopic): Cause {
  const { id, name, aliases, hosts, say, avoid, cautions, lookAgainDays, source } = topic;
  return {
    ...ANY_CAUSE,
    ...{ id, name, aliases, hosts, say, avoid, cautions, lookAgainDays, source },
    findings: { [askingFor(id)]: 'always' },
    treatments: topic.steps.map(({ only, except }, i) => ({
      use: stepId(topic, i),
      effect: 'good',
      only,
      except,
    })),
  };
}

/** The finding that the enquirer asks about a topic; its label is the name of the topic. */
export function careFinding({ id, name, phrases, source }: CareTopic): Finding {
  return {
    ...ANY_FINDING,
    id: askingFor(id),
    label: name,
    phrases,
    source,
  };
}

const stepId = ({ id }: CareTopic, step: number): TreatmentId =>
  treatmentIdSchema.parse(`${id}-${step + 1}`);

/** The steps of a topic as practices of the ladder. */
export function careTreatments(topic: CareTopic): readonly Treatment[] {
  const { name, source } = topic;
  return topic.steps.map((step, i) => {
    const { only: _only, except: _except, ...own } = step;
    return { ...ANY_STEP, ...own, id: stepId(topic, i), name, source };
  });
}
