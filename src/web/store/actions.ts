import type { CasePage, OpenCase } from '../../contracts/cases.ts';
import { newId } from '../../contracts/ids.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Result } from '../../core/util/result.ts';
import { api } from '../api/api.ts';
import {
  clinicRead,
  contactsRead,
  deskFailed,
  experienceRead,
  firstPageRead,
  LISTS,
  nextPageRead,
  openingSet,
  weatherRead,
  type ListName,
} from './deskSlice.ts';
import type { Dispatch, Store } from './store.ts';

function readList(
  list: ListName,
  closed: boolean,
  after: string | null,
): Promise<Result<CasePage, Problem>> {
  switch (list) {
    case 'queue':
      return api.cases(closed, after);
    case 'due':
      return api.due(after);
    case 'lookAgain':
      return api.lookAgain(after);
  }
}

/** Reads the clinic. */
export async function loadClinic(dispatch: Dispatch): Promise<void> {
  const clinic = await api.clinic();
  if (clinic.ok) dispatch(clinicRead(clinic.value));
  else dispatch(deskFailed(clinic.error));
}

/** Reads the first pages of the Desk; what was read before stays while the server is away. */
export async function loadDesk(store: Store, closed: boolean): Promise<void> {
  await Promise.all(
    LISTS.map(async (list) => {
      const page = await readList(list, closed, null);
      // The other list may have been asked for meanwhile.
      if (store.getState().desk.closedShown !== closed) return;
      store.dispatch(
        page.ok
          ? firstPageRead({ list, page: page.value, at: new Date().toISOString() })
          : deskFailed(page.error),
      );
    }),
  );
}

/** Reads the page behind the last one of a list. */
export async function loadMore(store: Store, list: ListName): Promise<void> {
  const { closedShown, [list]: known } = store.getState().desk;
  if (!known || known.next === null) return;
  const page = await readList(list, closedShown, known.next);
  if (!page.ok) store.dispatch(deskFailed(page.error));
  else if (store.getState().desk.closedShown === closedShown)
    store.dispatch(nextPageRead({ list, page: page.value }));
}

/** Reads what the clinic has learned; a case is worked on without it when the server does not answer. */
export async function loadExperience(dispatch: Dispatch): Promise<void> {
  const experience = await api.experience();
  if (experience.ok) dispatch(experienceRead(experience.value));
}

/** Reads whom the clinic sends people to; without them only the trades are named. */
export async function loadContacts(dispatch: Dispatch): Promise<void> {
  const contacts = await api.contacts();
  if (contacts.ok) dispatch(contactsRead(contacts.value));
}

/** Reads the station's days; without them dates are those of a normal year. */
export async function loadWeather(dispatch: Dispatch): Promise<void> {
  const weather = await api.weather();
  if (weather.ok) dispatch(weatherRead(weather.value));
}

/** Switches learning from confirmed cases on or off for the clinic. */
export async function switchLearning(dispatch: Dispatch, learning: boolean): Promise<void> {
  const experience = await api.setLearning(learning);
  if (experience.ok) dispatch(experienceRead(experience.value));
  else dispatch(deskFailed(experience.error));
}

/**
 * Makes a new case, one at a time; returns its id, or null when the server does not answer or one is being made. None
 * other is made until the Desk is shown again, as a key may be pressed once more before the page of the case is there.
 */
export async function makeCase(store: Store, channel: OpenCase['channel']): Promise<string | null> {
  if (store.getState().desk.opening) return null;
  store.dispatch(openingSet(true));
  const record = await api.openCase({ id: newId(), channel });
  if (record.ok) return record.value.id;
  store.dispatch(openingSet(false));
  store.dispatch(deskFailed(record.error));
  return null;
}
