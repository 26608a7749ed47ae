import { api } from './api.ts';
import { caseLoaded, loadFailed } from './caseSlice.ts';
import { casesRead, clinicRead, deskFailed, experienceRead, weatherRead } from './deskSlice.ts';
import { loadOutbox } from './outbox.ts';
import type { Dispatch } from './store.ts';

/** Reads the clinic and the queue of the Desk. */
export async function loadDesk(dispatch: Dispatch, closed: boolean): Promise<void> {
  const [clinic, cases] = await Promise.all([api.clinic(), api.cases(closed)]);
  if (clinic.ok) dispatch(clinicRead(clinic.value));
  if (cases.ok) dispatch(casesRead(cases.value));
  else dispatch(deskFailed(cases.error.problem));
}

/** Reads what the clinic has learned; a case is worked on without it when the server does not answer. */
export async function loadExperience(dispatch: Dispatch): Promise<void> {
  const experience = await api.experience();
  if (experience.ok) dispatch(experienceRead(experience.value));
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
  else dispatch(deskFailed(experience.error.problem));
}

/** Opens a case with what this device still keeps of it. */
export async function loadCase(dispatch: Dispatch, id: string): Promise<void> {
  const record = await api.readCase(id);
  if (record.ok) dispatch(caseLoaded({ record: record.value, outbox: loadOutbox(id) }));
  else dispatch(loadFailed(record.error.problem));
}

/** Makes a new case; returns its id, or null when the server does not answer. */
export async function makeCase(dispatch: Dispatch): Promise<string | null> {
  const record = await api.openCase(crypto.randomUUID());
  if (record.ok) return record.value.id;
  dispatch(deskFailed(record.error.problem));
  return null;
}
