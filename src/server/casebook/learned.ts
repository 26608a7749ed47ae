import { and, count, desc, eq, gte, inArray, isNotNull, lte, sql } from 'drizzle-orm';
import { can } from '../../contracts/access.ts';
import { FOLLOWED, RESULTS } from '../../contracts/followUps.ts';
import type { Learned, LearnedQuery } from '../../contracts/learned.ts';
import { CONFIRMATIONS } from '../../core/diagnosis/learning.ts';
import { brierScore, calibrationBins, shareOf } from '../../core/surveillance/calibration.ts';
import { sum } from '../../core/util/maths.ts';
import type { Actor } from '../access/guard.ts';
import type { Database, Queries } from '../db/connect.ts';
import { casePlants, cases, people } from '../db/schema.ts';

/** The newest outcomes that are counted: some years of a busy clinic. */
const MAX_OUTCOMES = 20_000;
/** Ranges of what was said; answers are seldom surer than the last. */
const EDGES = [0, 0.2, 0.4, 0.6, 0.8, 0.9, 1];
/** Causes of the list, and what they were instead. */
const MAX_CAUSES = 40;
const MAX_INSTEAD = 3;

/** What was said of one plant, and what it proved to be. */
interface Outcome {
  readonly said: string;
  readonly share: number;
  readonly cause: string;
  readonly rank: number | null;
  readonly closedBy: string | null;
}

async function readOutcomes(
  db: Queries,
  clinicId: number,
  { from, to, confirmed }: LearnedQuery,
): Promise<readonly Outcome[]> {
  const enough = confirmed && CONFIRMATIONS.slice(0, CONFIRMATIONS.indexOf(confirmed) + 1);
  const rows = await db
    .select({
      said: casePlants.saidCause,
      share: casePlants.saidShare,
      cause: casePlants.outcomeCause,
      rank: casePlants.outcomeRank,
      closedBy: cases.closedBy,
    })
    .from(casePlants)
    .innerJoin(cases, eq(cases.id, casePlants.caseId))
    .where(
      and(
        eq(casePlants.clinicId, clinicId),
        isNotNull(casePlants.outcomeCause),
        isNotNull(casePlants.saidCause),
        from === undefined ? undefined : gte(casePlants.outcomeOn, from),
        to === undefined ? undefined : lte(casePlants.outcomeOn, to),
        enough && inArray(casePlants.outcomeConfirmed, enough),
      ),
    )
    .orderBy(desc(casePlants.outcomeOn), desc(casePlants.caseId))
    .limit(MAX_OUTCOMES);
  return rows.flatMap(({ said, share, cause, ...rest }) =>
    said === null || share === null || cause === null ? [] : [{ said, share, cause, ...rest }],
  );
}

const isRight = ({ said, cause }: Outcome): boolean => said === cause;
const rightOf = (outcomes: readonly Outcome[]): number => outcomes.filter(isRight).length;

function grouped<K>(
  outcomes: readonly Outcome[],
  keyOf: (outcome: Outcome) => K,
): readonly (readonly [K, readonly Outcome[]])[] {
  const groups = new Map<K, Outcome[]>();
  for (const one of outcomes) {
    const group = groups.get(keyOf(one));
    if (group) group.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return [...groups].sort(([, a], [, b]) => b.length - a.length);
}

function byCause(outcomes: readonly Outcome[]): Learned['causes'] {
  return grouped(outcomes, ({ said }) => said)
    .slice(0, MAX_CAUSES)
    .map(([cause, list]) => {
      const wrong = list.filter((one) => !isRight(one));
      return {
        cause,
        ...shareOf(rightOf(list), list.length),
        said: sum(list.map(({ share }) => share)) / list.length,
        instead: grouped(wrong, (one) => one.cause)
          .slice(0, MAX_INSTEAD)
          .map(([other, some]) => ({ cause: other, cases: some.length })),
      };
    });
}

async function byPerson(
  db: Queries,
  actor: Actor,
  outcomes: readonly Outcome[],
): Promise<Learned['people']> {
  const isShown = (id: string | null): id is string =>
    id !== null && (id === actor.id || can(actor, 'people.read', { clinicId: actor.clinicId }));
  const groups = grouped(outcomes, ({ closedBy }) => closedBy).flatMap(([id, list]) =>
    isShown(id) ? [{ id, list }] : [],
  );
  if (groups.length === 0) return [];
  const ids = groups.map(({ id }) => id);
  const rows = await db
    .select({ id: people.id, name: people.name })
    .from(people)
    .where(inArray(people.id, ids));
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  return groups.map(({ id, list }) => ({
    name: names.get(id) ?? '',
    ...shareOf(rightOf(list), list.length),
  }));
}

/** How plants did, by how much of the advice was done. */
async function readFollowUps(
  db: Queries,
  clinicId: number,
  { from, to }: LearnedQuery,
): Promise<Learned['followUps']> {
  const heardOn = sql`${casePlants.followUp} ->> 'on'`;
  const followed = sql<string>`${casePlants.followUp} ->> 'followed'`;
  const result = sql<string>`${casePlants.followUp} ->> 'result'`;
  const rows = await db
    .select({ followed, result, cases: count() })
    .from(casePlants)
    .where(
      and(
        eq(casePlants.clinicId, clinicId),
        isNotNull(casePlants.followUp),
        // ISO dates are ordered as texts.
        from === undefined ? undefined : gte(heardOn, from),
        to === undefined ? undefined : lte(heardOn, to),
      ),
    )
    .groupBy(followed, result);
  const casesOf = (how: string, went: string): number =>
    rows.find((row) => row.followed === how && row.result === went)?.cases ?? 0;
  return FOLLOWED.map((how) => ({
    followed: how,
    results: RESULTS.map((result) => ({ result, cases: casesOf(how, result) })),
  }));
}

/** What the clinic's outcomes tell about what was said, as far as whoever asks may see it. */
export async function readLearned(
  db: Database,
  actor: Actor,
  query: LearnedQuery,
): Promise<Learned> {
  const outcomes = await readOutcomes(db, actor.clinicId, query);
  const said = outcomes.map((one) => ({ said: one.share, isTrue: isRight(one) }));
  const isAmongThree = ({ rank }: Outcome): boolean => rank !== null && rank <= 3;
  return {
    cases: outcomes.length,
    first: shareOf(rightOf(outcomes), outcomes.length),
    amongThree: shareOf(outcomes.filter(isAmongThree).length, outcomes.length),
    brier: brierScore(said),
    bins: [...calibrationBins(said, EDGES)],
    causes: byCause(outcomes),
    people: await byPerson(db, actor, outcomes),
    followUps: await readFollowUps(db, actor.clinicId, query),
  };
}
