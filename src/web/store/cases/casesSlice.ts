import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { SentEvent, StoredEvent } from '../../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../contracts/consult.ts';
import type { Problem } from '../../../contracts/problem.ts';
import {
  endSending,
  openedEntity,
  setAside,
  startSending,
  withChange,
  withoutRefused,
  withStored,
  type CaseEntity,
  type PendingEvent,
  type RefusedEvent,
} from './caseEntity.ts';

/** The plant of a case that something is about. */
export interface PlantOfCase {
  readonly caseId: string;
  readonly plantId: string;
}

/** What the consultant answered about a plant. */
export interface Consulted extends PlantOfCase {
  readonly response: ConsultResponse;
}

/** All cases that this page knows, each by itself. */
export interface CasesState {
  readonly byId: Readonly<Record<string, CaseEntity>>;
  /** The case on the page; null on other pages. */
  readonly open: string | null;
  /** Why a case could not be read, until it can. */
  readonly failed: { readonly caseId: string; readonly problem: Problem } | null;
  /** The plant whose tab is open, by case. */
  readonly activePlant: Readonly<Record<string, string>>;
  /** Name of the plant of each tab that was asked about, by `tabKey`; null where none was heard. */
  readonly plantNames: Readonly<Record<string, string | null>>;
  readonly consulted: Consulted | null;
  /** Why the open plant has no newer answer; null while there is no reason. */
  readonly consultProblem: Problem | null;
  /** The answer without one piece of evidence, while the advisor points at it. */
  readonly without: (Consulted & { readonly finding: string }) | null;
  /** Whether changes can be kept on this device. */
  readonly kept: boolean;
}

interface OfCase {
  readonly caseId: string;
}

export const caseShown = createAction<string>('cases/shown');
export const caseLeft = createAction<string>('cases/left');
export const caseLoaded = createAction<{
  readonly record: CaseRecord;
  readonly pending?: readonly PendingEvent[];
  readonly refused?: readonly RefusedEvent[];
}>('cases/loaded');
export const caseFailed = createAction<OfCase & { readonly problem: Problem }>('cases/failed');
export const changed = createAction<OfCase & { readonly change: SentEvent }>('cases/changed');
export const sendingStarted = createAction<OfCase>('cases/sendingStarted');
export const sendingEnded = createAction<OfCase & { readonly problem: Problem | null }>(
  'cases/sendingEnded',
);
export const storedReceived = createAction<OfCase & { readonly events: readonly StoredEvent[] }>(
  'cases/storedReceived',
);
export const changeSetAside = createAction<
  OfCase & { readonly id: string; readonly problem: Problem }
>('cases/changeSetAside');
export const refusedDropped = createAction<OfCase & { readonly id: string }>(
  'cases/refusedDropped',
);
export const plantShown = createAction<PlantOfCase>('cases/plantShown');
export const consulted = createAction<Consulted>('cases/consulted');
export const consultFailed = createAction<Problem>('cases/consultFailed');
export const withoutShown = createAction<CasesState['without']>('cases/withoutShown');
export const keepingFailed = createAction<boolean>('cases/keepingFailed');

/** Key of a plant among the plants of all cases. */
export const tabKey = (caseId: string, plantId: string): string => `${caseId} ${plantId}`;

const initialState: CasesState = {
  byId: {},
  open: null,
  failed: null,
  activePlant: {},
  plantNames: {},
  consulted: null,
  consultProblem: null,
  without: null,
  kept: true,
};

function withEntity(
  state: CasesState,
  caseId: string,
  change: (entity: CaseEntity) => CaseEntity,
): CasesState {
  const entity = state.byId[caseId];
  if (!entity) return state;
  const next = change(entity);
  return next === entity ? state : { ...state, byId: { ...state.byId, [caseId]: next } };
}

/** Forgets a case that is not open and of which nothing waits. */
function withoutIdle(state: CasesState, caseId: string): CasesState {
  const entity = state.byId[caseId];
  const waits = entity && (entity.pending.length > 0 || entity.refused.length > 0);
  if (!entity || waits || state.open === caseId) return state;
  const { [caseId]: _gone, ...byId } = state.byId;
  return { ...state, byId };
}

const isAbout = (one: PlantOfCase | null, { caseId, plantId }: PlantOfCase): boolean =>
  one !== null && one.caseId === caseId && one.plantId === plantId;

function onPage(state: CasesState, action: UnknownAction): CasesState {
  if (caseShown.match(action))
    return { ...state, open: action.payload, failed: null, consulted: null, without: null };
  if (caseLeft.match(action)) {
    const left =
      state.open === action.payload
        ? { ...state, open: null, failed: null, consulted: null, without: null }
        : state;
    return withoutIdle(left, action.payload);
  }
  if (caseFailed.match(action)) {
    const { caseId, problem } = action.payload;
    return state.open === caseId ? { ...state, failed: { caseId, problem } } : state;
  }
  if (plantShown.match(action)) {
    const { caseId, plantId } = action.payload;
    const activePlant = { ...state.activePlant, [caseId]: plantId };
    return { ...state, activePlant, consulted: null, without: null };
  }
  if (consulted.match(action)) {
    const { caseId, plantId, response } = action.payload;
    const name = response.plant?.name ?? null;
    const plantNames = { ...state.plantNames, [tabKey(caseId, plantId)]: name };
    return {
      ...state,
      plantNames,
      consulted: action.payload,
      consultProblem: null,
      without: null,
    };
  }
  if (consultFailed.match(action)) return { ...state, consultProblem: action.payload };
  if (withoutShown.match(action)) {
    const without = action.payload;
    const shown = without === null || isAbout(state.consulted, without);
    return shown ? { ...state, without } : state;
  }
  if (keepingFailed.match(action)) return { ...state, kept: !action.payload };
  return state;
}

function onEntities(state: CasesState, action: UnknownAction): CasesState {
  if (caseLoaded.match(action)) {
    const { record, ...kept } = action.payload;
    const entity = openedEntity(record, kept);
    const failed = state.failed?.caseId === record.id ? null : state.failed;
    return { ...state, failed, byId: { ...state.byId, [record.id]: entity } };
  }
  if (changed.match(action)) {
    const { caseId, change } = action.payload;
    return withEntity(state, caseId, (entity) => withChange(entity, change));
  }
  if (sendingStarted.match(action))
    return withEntity(
      state,
      action.payload.caseId,
      (entity) => startSending(entity)?.entity ?? entity,
    );
  if (sendingEnded.match(action)) {
    const { caseId, problem } = action.payload;
    return withoutIdle(
      withEntity(state, caseId, (entity) => endSending(entity, problem)),
      caseId,
    );
  }
  if (storedReceived.match(action)) {
    const { caseId, events } = action.payload;
    return withEntity(state, caseId, (entity) => withStored(entity, events) ?? entity);
  }
  if (changeSetAside.match(action)) {
    const { caseId, id, problem } = action.payload;
    return withEntity(state, caseId, (entity) => setAside(entity, id, problem));
  }
  if (refusedDropped.match(action)) {
    const { caseId, id } = action.payload;
    return withoutIdle(
      withEntity(state, caseId, (entity) => withoutRefused(entity, id)),
      caseId,
    );
  }
  return state;
}

/** The cases of this page. Every action names its case, so that nothing late can reach another one. */
export function casesReducer(state: CasesState = initialState, action: UnknownAction): CasesState {
  return onEntities(onPage(state, action), action);
}
