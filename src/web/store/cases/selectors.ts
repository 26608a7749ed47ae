import { createSelector } from '@reduxjs/toolkit';
import type { CasePlant, CaseRecord, Clinic, ClinicExperience } from '../../../contracts/cases.ts';
import type { ConsultRequest, Seen } from '../../../contracts/consult.ts';
import type { ClinicWeather } from '../../../contracts/weather.ts';
import { distanceKm } from '../../../core/timing/climate.ts';
import type { Spelling } from '../../../wording/spelling.ts';
import type { WithSession } from '../session/sessionSlice.ts';
import { currentRecord } from './caseEntity.ts';
import type { CasesState } from './casesSlice.ts';

/** The part of the state that is asked about cases. */
export interface WithCases {
  readonly cases: CasesState;
  readonly desk: {
    readonly experience: ClinicExperience | null;
    readonly weather: ClinicWeather | null;
    readonly clinic: Clinic | null;
  };
  readonly session?: WithSession['session'];
}

const entityOf = ({ cases }: WithCases, caseId: string) => cases.byId[caseId];

/** A case with everything that was done, confirmed or not; null while it is not loaded. */
export const selectRecord = createSelector(
  (state: WithCases, caseId: string) => entityOf(state, caseId)?.confirmed,
  (state: WithCases, caseId: string) => entityOf(state, caseId)?.pending,
  (confirmed, pending): CaseRecord | null =>
    confirmed && pending ? currentRecord({ confirmed, pending }) : null,
);

/** The plant whose tab is open. */
export const selectPlant = createSelector(
  selectRecord,
  ({ cases }: WithCases, caseId: string) => cases.activePlant[caseId],
  (record, active): CasePlant | null =>
    record?.plants.find(({ id }) => id === active) ?? record?.plants[0] ?? null,
);

/** In which spelling whoever is signed in reads texts. */
export const selectSpelling = ({ session, desk }: WithCases): Spelling =>
  session?.known?.spelling ?? desk.clinic?.spelling ?? 'us';

const NOTHING_SEEN: readonly Seen[] = [];

/** The clinic's confirmed cases while learning is switched on. */
const selectSeen = ({ desk }: WithCases): readonly Seen[] =>
  desk.experience?.learning === true ? desk.experience.seen : NOTHING_SEEN;

/** As far as this from the clinic its station tells the weather of a garden: our own estimate. */
const STATION_REACHES_KM = 60;
/** Days before the case that are told: more than a gardening year. */
const DAYS_TOLD = 400;
const NO_WEATHER: ConsultRequest['weather'] = [];

const isNear = (clinic: Clinic, place: CasePlant['place']): boolean =>
  distanceKm(place, clinic.place) <= STATION_REACHES_KM;

/** Whose law holds in a garden: that of the town it was found by, or of the clinic where it lies near; empty where that is not known. */
function lawPlace(
  clinic: Clinic | null,
  { country, state, ...place }: CasePlant['place'],
): Pick<ConsultRequest, 'country' | 'state'> {
  if (country !== undefined) return state === undefined ? { country } : { country, state };
  if (!clinic || clinic.country === null || !isNear(clinic, place)) return {};
  const own = { country: clinic.country };
  return clinic.state === null ? own : { ...own, state: clinic.state };
}

/** The station's days before a day, where a garden lies near the clinic. */
function stationDays(
  weather: ClinicWeather | null,
  clinic: Clinic | null,
  place: CasePlant['place'] | undefined,
  before: string | undefined,
): ConsultRequest['weather'] {
  if (!place || before === undefined || !weather || !clinic) return NO_WEATHER;
  if (!isNear(clinic, place)) return NO_WEATHER;
  return weather.days.filter(({ day }) => day < before).slice(-DAYS_TOLD);
}

/** The station's days up to the day of the call. */
const selectWeather = createSelector(
  (state: WithCases) => state.desk.weather,
  (state: WithCases) => state.desk.clinic,
  (state: WithCases, caseId: string) => selectPlant(state, caseId)?.place,
  (state: WithCases, caseId: string) => selectPlant(state, caseId)?.date,
  stationDays,
);

/** The clinic's day with the station's days up to it, from which a plan is dated on. */
export const selectNow = createSelector(
  (state: WithCases) => state.desk.weather,
  (state: WithCases) => state.desk.clinic,
  (state: WithCases, caseId: string) => selectPlant(state, caseId)?.place,
  (state: WithCases, caseId: string) => selectPlant(state, caseId)?.date,
  (station, clinic, place, called) => {
    const today = clinic?.today ?? called ?? '';
    const weather = stationDays(station, clinic, place, today);
    return {
      today,
      weather,
      simulated: weather.length > 0 && station?.source === 'simulated',
    };
  },
);

/** What the consultant is asked about the open plant of a case. */
export interface PlantRequest {
  readonly caseId: string;
  readonly plantId: string;
  readonly body: ConsultRequest;
  /** The same for requests that ask the same, whatever was saved between them. */
  readonly key: string;
}

const sizeAndEnds = (days: ConsultRequest['weather']): string =>
  `${days.length} ${days[0]?.day ?? ''} ${days.at(-1)?.day ?? ''}`;

function toRequest(
  caseId: string,
  plant: CasePlant,
  record: CaseRecord,
  rest: Pick<ConsultRequest, 'experience' | 'weather'>,
  law: Pick<ConsultRequest, 'country' | 'state' | 'spelling'>,
): PlantRequest {
  const { words, date, approach } = plant;
  const { lat, lon, height } = plant.place;
  const place = height === undefined ? { lat, lon } : { lat, lon, height };
  const answers = plant.answers.map(({ finding, value, sure }) => ({ finding, value, sure }));
  const tests = plant.samples.flatMap(({ result }) =>
    result === null || result.kind === 'report' || result.cause === null
      ? []
      : [{ cause: result.cause, found: result.kind === 'found' }],
  );
  const base = { words, date, place, approach, answers, tests, channel: record.channel };
  const named = plant.plant === null ? base : { ...base, plant: plant.plant };
  const asked = { ...named, ...law };
  return {
    caseId,
    plantId: plant.id,
    body: { ...asked, ...rest },
    key: JSON.stringify([caseId, plant.id, asked, rest.experience, sizeAndEnds(rest.weather)]),
  };
}

/** What the consultant is asked about a plant of a case; null while the case is not loaded. */
export function requestFor(state: WithCases, caseId: string, plantId: string): PlantRequest | null {
  const record = selectRecord(state, caseId);
  const plant = record?.plants.find(({ id }) => id === plantId);
  if (!record || !plant) return null;
  const { weather, clinic } = state.desk;
  const rest = {
    experience: [...selectSeen(state)],
    weather: stationDays(weather, clinic, plant.place, plant.date),
  };
  const spelling = selectSpelling(state);
  return toRequest(caseId, plant, record, rest, { ...lawPlace(clinic, plant.place), spelling });
}

/** What the consultant is asked about the open plant; null while the case is not loaded. */
export const selectRequest = createSelector(
  (_state: WithCases, caseId: string) => caseId,
  selectPlant,
  selectRecord,
  selectSeen,
  selectWeather,
  (state: WithCases) => state.desk.clinic,
  selectSpelling,
  (caseId, plant, record, seen, weather, clinic, spelling): PlantRequest | null => {
    if (!plant || !record) return null;
    const rest = { experience: [...seen], weather };
    return toRequest(caseId, plant, record, rest, { ...lawPlace(clinic, plant.place), spelling });
  },
);

/** Counts of changes that the server has not acknowledged, over all cases of this page. */
export const selectUnsaved = createSelector(
  ({ cases }: WithCases) => cases.byId,
  (byId) =>
    Object.values(byId).flatMap(({ confirmed: { id, number }, pending, refused }) =>
      pending.length + refused.length === 0
        ? []
        : [{ id, number, pending: pending.length, refused: refused.length }],
    ),
);
