import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CasePage, CaseSummary, Clinic, ClinicExperience } from '../../contracts/cases.ts';
import type { ClinicContact, ClinicContacts } from '../../contracts/contacts.ts';
import type { ClinicWeather } from '../../contracts/weather.ts';
import type { Problem } from '../../contracts/problem.ts';

/** Lines of the Desk as they were last read. */
export interface LineList {
  readonly lines: readonly CaseSummary[];
  /** Key of the next page; null when all are here. */
  readonly next: string | null;
}

/** The lists of the Desk. */
export const LISTS = ['queue', 'due', 'lookAgain'] as const;
export type ListName = (typeof LISTS)[number];

interface DeskState {
  readonly clinic: Clinic | null;
  /** How far the clock of the server is ahead of that of this device, in milliseconds. */
  readonly clockAhead: number;
  /** Null until they are read. */
  readonly queue: LineList | null;
  readonly due: LineList | null;
  readonly lookAgain: LineList | null;
  /** When the lists were last read, ISO 8601; they are shown as of then while the server is away. */
  readonly readAt: string | null;
  /** What the clinic has learned from its confirmed cases; null until it is read. */
  readonly experience: ClinicExperience | null;
  /** Whom the clinic sends people to; empty until they are read. */
  readonly contacts: readonly ClinicContact[];
  /** The station's days; null until they are read. */
  readonly weather: ClinicWeather | null;
  readonly closedShown: boolean;
  readonly problem: Problem | null;
  /** A case is being opened; a second press opens none. */
  readonly opening: boolean;
}

const initialState: DeskState = {
  clinic: null,
  clockAhead: 0,
  queue: null,
  due: null,
  lookAgain: null,
  readAt: null,
  experience: null,
  contacts: [],
  weather: null,
  closedShown: false,
  problem: null,
  opening: false,
};

/** The first page replaces the beginning of what was read, so that pages opened before stay open. */
function withFirstPage(known: LineList | null, { cases, next }: CasePage): LineList {
  if (!known || known.lines.length <= cases.length || next === null) return { lines: cases, next };
  const ids = new Set(cases.map(({ id }) => id));
  const last = cases.at(-1)?.id;
  const at = known.lines.findIndex(({ id }) => id === last);
  const rest = at === -1 ? [] : known.lines.slice(at + 1).filter(({ id }) => !ids.has(id));
  return rest.length === 0
    ? { lines: cases, next }
    : { lines: [...cases, ...rest], next: known.next };
}

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    clinicRead: {
      prepare: (clinic: Clinic) => ({ payload: clinic, meta: { at: Date.now() } }),
      reducer: (state, { payload, meta }: PayloadAction<Clinic, string, { at: number }>) => ({
        ...state,
        clinic: payload,
        clockAhead: Date.parse(payload.now) - meta.at,
      }),
    },
    experienceRead: (state, { payload }: PayloadAction<ClinicExperience>): DeskState => ({
      ...state,
      experience: payload,
    }),
    contactsRead: (state, { payload }: PayloadAction<ClinicContacts>): DeskState => ({
      ...state,
      contacts: payload.contacts,
    }),
    weatherRead: (state, { payload }: PayloadAction<ClinicWeather>): DeskState => ({
      ...state,
      weather: payload,
    }),
    firstPageRead: (
      state,
      { payload }: PayloadAction<{ list: ListName; page: CasePage; at: string }>,
    ): DeskState => ({
      ...state,
      [payload.list]: withFirstPage(state[payload.list], payload.page),
      readAt: payload.at,
      problem: null,
    }),
    nextPageRead: (
      state,
      { payload: { list, page } }: PayloadAction<{ list: ListName; page: CasePage }>,
    ): DeskState => {
      const known = state[list]?.lines ?? [];
      const ids = new Set(known.map(({ id }) => id));
      const lines = [...known, ...page.cases.filter(({ id }) => !ids.has(id))];
      return { ...state, [list]: { lines, next: page.next } };
    },
    closedToggled: (state): DeskState => ({
      ...state,
      closedShown: !state.closedShown,
      queue: null,
    }),
    deskFailed: (state, { payload }: PayloadAction<Problem>): DeskState => ({
      ...state,
      problem: payload,
    }),
    openingSet: (state, { payload }: PayloadAction<boolean>): DeskState => ({
      ...state,
      opening: payload,
    }),
  },
});

export const {
  clinicRead,
  contactsRead,
  closedToggled,
  deskFailed,
  experienceRead,
  firstPageRead,
  nextPageRead,
  openingSet,
  weatherRead,
} = slice.actions;
export const deskReducer = slice.reducer;
