import { entryAt, numberAt } from '../util/entryAt.ts';
import type { Shortlist } from '../diagnosis/shortlist.ts';
import type { Compiled } from '../library/compile.ts';
import type { Look } from '../schema/look.ts';
import type { CandidateQuestion } from './candidates.ts';
import type { Decision } from './decision.ts';
import { valueEach, type Valued } from './netValue.ts';

/** Findings asked about in one breath. */
const ASKED_TOGETHER = 4;
/** What each further finding costs once somebody is looking, in seconds. */
const FURTHER_SECONDS = 6;

/** The questions of one look, the most informative first, and what they bring together. */
export interface ValuedLook {
  readonly look: Look;
  readonly members: readonly Valued[];
  /** As one question: which of them is seen, or none. */
  readonly together: Valued;
}

/** One look as one question: which of its findings is seen, or none of them. */
function togetherOf(
  list: Shortlist,
  look: Look,
  members: readonly CandidateQuestion[],
): CandidateQuestion {
  const yes = members.map(({ answers }) => entryAt(answers, 0).likelihood);
  const none = list.column();
  const seen = yes.map(() => list.column());
  for (let k = 0; k < none.length; k++) {
    let [noneOf, total] = [1, 0];
    for (const one of yes) {
      noneOf *= 1 - numberAt(one, k);
      total += numberAt(one, k);
    }
    none[k] = noneOf;
    seen.forEach((column, m) => {
      column[k] = ((1 - noneOf) * numberAt(entryAt(yes, m), k)) / total;
    });
  }
  const names = look.id;
  return {
    kind: 'group',
    finding: look.id,
    question: look.say,
    how: null,
    seconds: look.seconds + FURTHER_SECONDS * (members.length - 1),
    tedium: 0,
    choices: [],
    answers: [...seen, none].map((likelihood) => ({ names, label: '', value: true, likelihood })),
  };
}

/**
 * The looks that several questions belong to, with the information gain in bits and the net value in harm points that
 * looking once would bring. Every likelihood is a probability.
 */
export function valueLooks(
  library: Compiled,
  list: Shortlist,
  valued: readonly Valued[],
  decision: Decision,
): readonly ValuedLook[] {
  const byLook = new Map<Look, Valued[]>();
  for (const one of valued) {
    const look = library.lookOf(one.candidate.finding);
    if (look) byLook.set(look, [...(byLook.get(look) ?? []), one]);
  }
  return [...byLook].flatMap(([look, all]) => {
    const members = all
      .filter(({ informationGainBits }) => informationGainBits > 0)
      .sort((a, b) => b.informationGainBits - a.informationGainBits)
      .slice(0, ASKED_TOGETHER);
    if (members.length < 2) return [];
    const question = togetherOf(
      list,
      look,
      members.map(({ candidate }) => candidate),
    );
    return valueEach(list, [question], decision).map((together) => ({ look, members, together }));
  });
}
