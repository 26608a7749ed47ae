import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CaseSummary, Clinic, ClinicExperience } from '../../contracts/cases.ts';
import type { ClinicWeather } from '../../contracts/weather.ts';
import type { Problem } from '../../contracts/problem.ts';

interface DeskState {
  readonly clinic: Clinic | null;
  readonly cases: readonly CaseSummary[] | null;
  /** What the clinic has learned from its confirmed cases; null until it is read. */
  readonly experience: ClinicExperience | null;
  /** The station's days; null until they are read. */
  readonly weather: ClinicWeather | null;
  readonly closedShown: boolean;
  readonly problem: Problem | null;
}

const initialState: DeskState = {
  clinic: null,
  cases: null,
  experience: null,
  weather: null,
  closedShown: false,
  problem: null,
};

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    clinicRead: (state, { payload }: PayloadAction<Clinic>): DeskState => ({
      ...state,
      clinic: payload,
    }),
    experienceRead: (state, { payload }: PayloadAction<ClinicExperience>): DeskState => ({
      ...state,
      experience: payload,
    }),
    weatherRead: (state, { payload }: PayloadAction<ClinicWeather>): DeskState => ({
      ...state,
      weather: payload,
    }),
    casesRead: (state, { payload }: PayloadAction<readonly CaseSummary[]>): DeskState => ({
      ...state,
      cases: payload,
      problem: null,
    }),
    closedToggled: (state): DeskState => ({
      ...state,
      closedShown: !state.closedShown,
      cases: null,
    }),
    deskFailed: (state, { payload }: PayloadAction<Problem>): DeskState => ({
      ...state,
      problem: payload,
    }),
  },
});

export const { casesRead, clinicRead, closedToggled, deskFailed, experienceRead, weatherRead } =
  slice.actions;
export const deskReducer = slice.reducer;
