import type { ConflictReason } from '../core/diagnosis/conflicts.ts';
import type { OpenQuestion } from '../core/questions/candidates.ts';
import type { StoppingReason } from '../core/questions/stopping.ts';
import { midSentence } from './midSentence.ts';

/** An open question and how to put it; `how` is null where the question says it all. */
export function openQuestion(question: OpenQuestion): { question: string; how: string | null } {
  switch (question.code) {
    case 'which-plant':
      return {
        question: 'Which plant is it?',
        how: 'If they do not know: tree, shrub, vegetable, grass or in a pot? Needles or leaves?',
      };
    case 'what-is-seen':
      return {
        question: 'What do they see: on which part of the plant, and how has it changed?',
        how: 'Let them describe it in their own words; the list only helps.',
      };
    case 'which-kind':
      return { question: `Which kind of ${midSentence(question.of)} is it?`, how: null };
  }
}

/** A description never proves anything, so nothing is said to stand at 100 %. */
const percent = (p: number): string => (p > 0.99 ? 'over 99 %' : `${Math.round(100 * p)} %`);

/** Why the questions are done, or are not. */
export function stoppingText(reason: StoppingReason): string {
  switch (reason.code) {
    case 'request-answered':
      return 'What was asked is answered; no trouble was reported.';
    case 'nothing-reported':
      return 'Nothing is reported yet.';
    case 'question-open':
      return 'The first question can still change the advice.';
    case 'no-trouble':
      return 'Nothing reported points to a trouble, and no question asked now would change that advice.';
    case 'not-in-library':
      return 'What is reported fits no cause in the library well, and no question would mend that.';
    case 'leader-clear':
      return `${reason.first.name} stands at ${percent(reason.first.probability)}; no answer still open would change the first step.`;
    case 'leader':
      return `${reason.first.name} leads at ${percent(reason.first.probability)}; no answer would change the first step by more than asking costs.`;
    case 'two-open': {
      const { first, second } = reason;
      return `${first.name} (${percent(first.probability)}) and ${midSentence(second.name)} (${percent(second.probability)}) stay open; no answer over the telephone would change the first step by more than asking costs.`;
    }
  }
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** What to ask back about reports that do not go together. */
export function conflictText(reason: ConflictReason): string {
  switch (reason.code) {
    case 'exclusive':
      return `Reported together: ${reason.labels.map(lower).join(' and ')}. ${reason.question ?? 'Which is it?'}`;
    case 'kind-denied':
      return `"${reason.special}" was reported, but "${lower(reason.general)}" denied. Which holds?`;
    case 'needles-and-leaves':
      return 'Needles and leaves were both reported. Is this one plant, or are there two?';
    case 'seldom-together': {
      const both = reason.labels.map((label) => `"${lower(label)}"`).join(' and ');
      return `Hardly any cause shows both ${both}. Is one of them misheard, or are there two troubles?`;
    }
  }
}
