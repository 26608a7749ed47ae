import type { CasePlant } from '../../../contracts/cases.ts';
import { HANDLED, type ConsultResponse } from '../../../contracts/consult.ts';
import { caseTexts } from '../../texts/caseTexts.ts';
import { capital } from '../../../wording/midSentence.ts';

/** One thing known about the plant, from the words or from an answer, as the Heard column lists it. */
export interface Evidence {
  readonly finding: string;
  readonly label: string;
  readonly part: string;
  readonly state: 'said' | 'denied' | 'doubted' | 'dropped';
  /** True when the advisor set it, so that it can be undone. */
  readonly byHand: boolean;
}

const DOUBT_BELOW = 0.7;

function stateOf(value: boolean | string, sure: number): Evidence['state'] {
  if (value === 'unknown') return 'dropped';
  if (value === false) return 'denied';
  return sure < DOUBT_BELOW ? 'doubted' : 'said';
}

/** Labels of findings that the answer knows of. */
function labels(answer: Pick<ConsultResponse, 'heard' | 'causes'>): Map<string, string> {
  const known = new Map(answer.heard.map(({ finding, label }) => [finding, label]));
  for (const cause of answer.causes) {
    for (const one of [...cause.for, ...cause.against]) known.set(one.finding, one.label);
  }
  return known;
}

/** Everything known about a plant: what was heard in its order, then what was answered. */
export function listEvidence(
  plant: CasePlant,
  answer: Pick<ConsultResponse, 'heard' | 'causes'>,
): readonly Evidence[] {
  const names = labels(answer);
  const settled = new Map(plant.answers.map((one) => [one.finding, one]));
  const heard = answer.heard.map(({ finding, label, part, value, sure }): Evidence => {
    const own = settled.get(finding);
    return {
      finding,
      label,
      part,
      state: own ? stateOf(own.value, own.sure) : stateOf(value, sure),
      byHand: own !== undefined,
    };
  });
  const heardIds = new Set(answer.heard.map(({ finding }) => finding));
  const answered = plant.answers
    .filter(({ finding }) => !heardIds.has(finding))
    .map(({ finding, value, sure }): Evidence => {
      const about = typeof value === 'string' && value !== 'unknown' ? value : finding;
      return {
        finding,
        label: finding.startsWith(HANDLED)
          ? caseTexts.dealtWith(spaced(finding.slice(HANDLED.length)))
          : (names.get(about) ?? wordsOf(about)),
        part: 'answered',
        state: stateOf(value, sure),
        byHand: true,
      };
    });
  return [...heard, ...answered];
}

const spaced = (id: string): string => id.replaceAll('-', ' ');

/** A finding's id as words, for one that the present ranking does not mention. */
function wordsOf(id: string): string {
  return capital(spaced(id));
}
