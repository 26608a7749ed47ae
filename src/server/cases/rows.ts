import type { InferSelectModel } from 'drizzle-orm';
import {
  NO_PLAN,
  type CasePlant,
  type CaseRecord,
  type StoredAnswer,
  type StoredOutcome,
} from '../../contracts/cases.ts';
import { NO_CONSENT } from '../../contracts/followUps.ts';
import { saidAndTrue } from '../../contracts/saidAndTrue.ts';
import type { casePlants, cases, enquirers, observations } from '../db/schema.ts';

type ObservationRow = InferSelectModel<typeof observations>;
type PlantRow = InferSelectModel<typeof casePlants>;

/** Rows of one case, as the queries read them. */
export interface CaseRows {
  readonly head: InferSelectModel<typeof cases>;
  readonly enquirer: InferSelectModel<typeof enquirers> | null;
  readonly plants: readonly PlantRow[];
  readonly observations: readonly ObservationRow[];
}

function toAnswer({ answerId, finding, present, choice, sure }: ObservationRow): StoredAnswer {
  return { id: answerId, finding, value: present ?? choice ?? 'unknown', sure };
}

function toOutcome({ outcomeCause, outcomeConfirmed, outcomeOn }: PlantRow): StoredOutcome | null {
  if (outcomeCause === null || outcomeConfirmed === null || outcomeOn === null) return null;
  return { cause: outcomeCause, confirmed: outcomeConfirmed, on: outcomeOn };
}

function toPlant(row: PlantRow, all: readonly ObservationRow[]): CasePlant {
  const { id, name, words, plant, date, latitude, longitude, height, approach, knowledgeVersion } =
    row;
  const { closingAnswer } = row;
  const answers = all.filter(({ plantId }) => plantId === id).map(toAnswer);
  return {
    id,
    name,
    words,
    plant,
    date,
    place: { lat: latitude, lon: longitude, ...(height === null ? {} : { height }) },
    approach,
    answers,
    knowledgeVersion,
    leading: row.leading,
    closingAnswer,
    outcome: toOutcome(row),
    followUp: row.followUp,
    samples: row.samples,
    // Plans that were saved before a field came stay readable.
    plan: { ...NO_PLAN, ...row.plan },
  };
}

/** Puts the rows of a case together. */
export function toRecord({ head, enquirer, plants, observations: all }: CaseRows): CaseRecord {
  return {
    id: head.id,
    number: head.number,
    version: head.version,
    status: head.status,
    channel: head.channel,
    openedAt: head.openedAt.toISOString(),
    enquirer: { name: enquirer?.name ?? '', contact: enquirer?.contact ?? '' },
    callBackOn: head.callBackOn,
    plants: plants.map((row) => toPlant(row, all)),
    conflicts: head.conflicts,
    release: head.release,
    consent: head.consent ?? NO_CONSENT,
    assignee: head.assignee,
    notes: head.notes,
  };
}

/** Row of a plant at a position of a case of a clinic. */
export function plantRow(
  { caseId, clinicId }: Pick<PlantRow, 'caseId' | 'clinicId'>,
  plant: CasePlant,
  position: number,
): PlantRow {
  const { id, words, date, approach, knowledgeVersion, closingAnswer } = plant;
  const { place, outcome, plan } = plant;
  return {
    caseId,
    clinicId,
    id,
    position,
    name: plant.name,
    words,
    plant: plant.plant,
    date,
    latitude: place.lat,
    longitude: place.lon,
    height: place.height ?? null,
    approach,
    knowledgeVersion,
    leading: plant.leading,
    closingAnswer,
    outcomeCause: outcome?.cause ?? null,
    outcomeConfirmed: outcome?.confirmed ?? null,
    outcomeOn: outcome?.on ?? null,
    followUp: plant.followUp,
    samples: plant.samples,
    ...saidAndTrue(plant),
    plan,
  };
}

/** Rows of the answers about a plant. */
export function observationRows(caseId: string, plant: CasePlant): ObservationRow[] {
  return plant.answers.map(({ id: answerId, finding, value, sure }, position) => ({
    caseId,
    answerId,
    plantId: plant.id,
    finding,
    position,
    present: typeof value === 'boolean' ? value : null,
    choice: typeof value === 'boolean' ? null : value,
    sure,
  }));
}
