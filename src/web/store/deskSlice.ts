import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CaseSummary, Clinic } from '../../contracts/cases.ts';
import type { Problem } from '../../contracts/problem.ts';

interface DeskState {
  readonly clinic: Clinic | null;
  readonly cases: readonly CaseSummary[] | null;
  readonly closedShown: boolean;
  readonly problem: Problem | null;
}

const initialState: DeskState = { clinic: null, cases: null, closedShown: false, problem: null };

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    clinicRead: (state, { payload }: PayloadAction<Clinic>): DeskState => ({
      ...state,
      clinic: payload,
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

export const { casesRead, clinicRead, closedToggled, deskFailed } = slice.actions;
export const deskReducer = slice.reducer;
