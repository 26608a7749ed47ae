import { consultant } from '../workers/consultClient.ts';
import { consulted, eventHappened, selectPlant, selectRequest, withoutShown } from './caseSlice.ts';
import { startListening, type State } from './store.ts';

/** Asks the worker again whenever what is known about the open plant changes; only the newest answer is shown. */
export function startConsulting(): void {
  startListening({
    predicate: (_action, now, before) => {
      const request = selectRequest(now);
      const forgotten = now.case.consultation === null && before.case.consultation !== null;
      return request !== null && (forgotten || request !== selectRequest(before));
    },
    effect: async (_action, api) => {
      const request = selectRequest(api.getState());
      if (!request) return;
      const answer = await consultant.ask(request);
      const state = api.getState();
      if (!answer.ok || selectRequest(state) !== request) return;
      api.dispatch(consulted(answer.value));
      const plant = selectPlant(state);
      const { version } = answer.value.knowledge;
      if (plant && plant.words !== '' && plant.knowledgeVersion !== version) {
        api.dispatch(
          eventHappened({ kind: 'consulted', plantId: plant.id, knowledgeVersion: version }),
        );
      }
    },
  });
}

/** Shows what the ranking would be without one finding; null shows it as it is. */
export async function showWithout(
  state: State,
  finding: string | null,
  dispatch: (action: unknown) => void,
): Promise<void> {
  const request = selectRequest(state);
  if (finding === null || !request) {
    dispatch(withoutShown(null));
    return;
  }
  const answers = [
    ...request.answers.filter((one) => one.finding !== finding),
    { finding, value: 'unknown', sure: 1 },
  ];
  const answer = await consultant.ask({ ...request, answers });
  if (answer.ok) dispatch(withoutShown({ finding, consultation: answer.value }));
}
