import type { CasePlant, CaseRecord, Due } from './cases.ts';

/** A day on which a case comes up again, and why. */
export interface DueDay {
  readonly on: string;
  readonly why: Due;
}

const earliest = <T extends { readonly on: string }>(days: readonly T[]): T | null =>
  days.reduce<T | null>((first, day) => (first === null || day.on < first.on ? day : first), null);

/** Days by which laboratories were to answer and have not. */
const samplesOut = ({ samples }: CasePlant): DueDay[] =>
  samples.flatMap(({ sentOn, dueOn, result }) =>
    sentOn !== null && dueOn !== null && result === null ? [{ on: dueOn, why: 'sample' }] : [],
  );

/**
 * The next day on which somebody has to do something for a case, closed or not: a promised call-back, or the day by which
 * a laboratory was to answer. Of several the earliest, of equal ones the promise. Null where nothing is awaited.
 */
export function dueOf({
  callBackOn,
  plants,
}: Pick<CaseRecord, 'callBackOn' | 'plants'>): DueDay | null {
  return earliest<DueDay>([
    ...(callBackOn === null ? [] : [{ on: callBackOn, why: 'call-back' as const }]),
    ...plants.flatMap(samplesOut),
  ]);
}

/**
 * The day on which the advice of a closed case itself said to look again, so that the enquirer can be asked how it went.
 * Null where that was heard or proved already, and where they want no call.
 */
export function lookAgainOf(
  record: Pick<CaseRecord, 'status' | 'consent' | 'plants'>,
): string | null {
  const { status, consent, plants } = record;
  if (status !== 'closed' || consent.callBack === false) return null;
  const days = plants.flatMap(({ closingAnswer, followUp, outcome }) =>
    closingAnswer === null || followUp !== null || outcome !== null
      ? []
      : [{ on: closingAnswer.advice.lookAgain }],
  );
  return earliest(days)?.on ?? null;
}
