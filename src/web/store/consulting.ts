import type { ConsultRequest, ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { leadingOf, type Leading } from '../../contracts/cases.ts';
import { ok, type Result } from '../../core/util/result.ts';
import { recordEvent, type Author } from './cases/changes.ts';
import { consulted, consultFailed, withoutShown } from './cases/casesSlice.ts';
import {
  requestFor,
  selectPlant,
  selectRecord,
  selectRequest,
  type PlantRequest,
} from './cases/selectors.ts';
import type { Dispatch, makeStore, State, Store } from './store.ts';

/** Answers what is asked about a plant. */
export interface Consultant {
  readonly ask: (body: ConsultRequest) => Promise<Result<ConsultResponse, Problem>>;
}

/** The library is asked for again so long after it could not be loaded, in milliseconds. */
const PAUSE_BEFORE_RETRY_MS = 4000;

/** A request with the answer that a closed case was left with; null where it is to be asked. */
interface OpenRequest extends PlantRequest {
  readonly closing: ConsultResponse | null;
}

/** What is to be asked about the case on the page; null when nothing is. */
function openRequest(state: State): OpenRequest | null {
  const { open } = state.cases;
  const request = open === null ? null : selectRequest(state, open);
  if (open === null || !request) return null;
  const isClosed = selectRecord(state, open)?.status === 'closed';
  const closing = isClosed ? (selectPlant(state, open)?.closingAnswer ?? null) : null;
  return closing ? { ...request, closing, key: `closed ${request.key}` } : { ...request, closing };
}

const isStillAsked = (state: State, request: PlantRequest): boolean =>
  openRequest(state)?.key === request.key;

/** What leads is noted for lists when it has stood so long, in milliseconds. */
const LEADS_AFTER_MS = 3000;

const isSameLeading = (one: Leading | null, other: Leading): boolean =>
  one?.plant === other.plant && one.cause === other.cause;

/** Notes with an open plant by which version of the library it was answered and what led, where either is new. */
function noteAnswer(
  store: Store,
  who: Author,
  { caseId, plantId }: PlantRequest,
  response: ConsultResponse,
): void {
  const record = selectRecord(store.getState(), caseId);
  const plant = record?.plants.find(({ id }) => id === plantId);
  if (!plant || plant.words === '' || record?.status === 'closed') return;
  const knowledgeVersion = response.knowledge.version;
  const leading = leadingOf(response);
  if (plant.knowledgeVersion === knowledgeVersion && isSameLeading(plant.leading, leading)) return;
  recordEvent(store, who, caseId, { kind: 'consulted', plantId, knowledgeVersion, leading });
}

/**
 * Asks again whenever what is known about the open plant changes, one question at a time and then the newest. What asks
 * the same is not asked again, and an answer is shown only where it belongs. What led is noted with the plant by those who
 * may write.
 */
export function startConsulting(
  { store, listen }: ReturnType<typeof makeStore>,
  consultant: Consultant,
  who: Author,
  mayNote: () => boolean = () => true,
): void {
  let busy = false;
  let answered: string | null = null;
  let noting: ReturnType<typeof setTimeout> | undefined;
  const noteSoon = (request: PlantRequest, response: ConsultResponse): void => {
    clearTimeout(noting);
    if (mayNote())
      noting = setTimeout(() => noteAnswer(store, who, request, response), LEADS_AFTER_MS);
  };
  const ask = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    for (
      let request = openRequest(store.getState());
      request !== null && request.key !== answered;
      request = openRequest(store.getState())
    ) {
      const { caseId, plantId, body, key, closing } = request;
      const answer = closing ? ok(closing) : await consultant.ask(body);
      answered = key;
      if (!isStillAsked(store.getState(), request)) continue;
      if (!answer.ok) {
        store.dispatch(consultFailed(answer.error));
        if (answer.error.code === 'unavailable') setTimeout(askAnew, PAUSE_BEFORE_RETRY_MS);
        continue;
      }
      store.dispatch(consulted({ caseId, plantId, response: answer.value }));
      noteSoon(request, answer.value);
    }
    busy = false;
  };
  const askAnew = (): void => {
    answered = null;
    void ask();
  };
  listen.withTypes<State, Dispatch>()({
    predicate: (_action, now, before) => {
      if (now.cases.consulted === null && before.cases.consulted !== null) answered = null;
      return openRequest(now)?.key !== openRequest(before)?.key || answered === null;
    },
    effect: () => void ask(),
  });
}

/**
 * Closes a case at once, and then stores its answers with it, so that it can be read later as it was, whatever the library
 * has learned by then. A plant that cannot be answered now stays without.
 */
export async function closeCase(
  store: Store,
  consultant: Consultant,
  who: Author,
  caseId: string,
): Promise<void> {
  recordEvent(store, who, caseId, { kind: 'status-set', status: 'closed' });
  for (const { id: plantId, words } of selectRecord(store.getState(), caseId)?.plants ?? []) {
    const request = words === '' ? null : requestFor(store.getState(), caseId, plantId);
    const answer = request && (await consultant.ask(request.body));
    const isCurrent = requestFor(store.getState(), caseId, plantId)?.key === request?.key;
    if (!answer?.ok || !isCurrent) continue;
    recordEvent(store, who, caseId, {
      kind: 'closing-answer-stored',
      plantId,
      answer: answer.value,
    });
  }
}

/** Shows what the ranking would be without one finding; null shows it as it is. */
export async function showWithout(
  store: Store,
  consultant: Consultant,
  caseId: string,
  finding: string | null,
): Promise<void> {
  const request = selectRequest(store.getState(), caseId);
  if (finding === null || !request) {
    store.dispatch(withoutShown(null));
    return;
  }
  const answers = [
    ...request.body.answers.filter((one) => one.finding !== finding),
    { finding, value: 'unknown', sure: 1 },
  ];
  const answer = await consultant.ask({ ...request.body, answers });
  if (!answer.ok || !isStillAsked(store.getState(), request)) return;
  const { plantId } = request;
  store.dispatch(withoutShown({ caseId, plantId, finding, response: answer.value }));
}
