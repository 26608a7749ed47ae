import { lazy, type ComponentType } from 'react';
import { fetchPart } from './fetchPart.ts';

const casePart = fetchPart(() => import('../screens/case/CasePage.tsx'));
const seasonPart = fetchPart(() => import('../screens/season/Season.tsx'));
const libraryPart = fetchPart(() => import('../screens/library/pages.ts'));
const casebookPart = fetchPart(() => import('../screens/casebook/pages.ts'));
const clinicPart = fetchPart(() => import('../screens/clinic/Clinic.tsx'));
const benchPart = fetchPart(() => import('../screens/bench/Bench.tsx'));

const page = <T>(part: () => Promise<T>, pick: (part: T) => ComponentType) =>
  lazy(async () => ({ default: pick(await part()) }));

/** Pages that come in parts of the program of their own, so that the Desk is there without them. */
export const pages = {
  CasePage: page(casePart, (part) => part.CasePage),
  Season: page(seasonPart, (part) => part.Season),
  Library: page(libraryPart, (part) => part.Library),
  Sources: page(libraryPart, (part) => part.Sources),
  CausePage: page(libraryPart, (part) => part.CausePage),
  PlantPage: page(libraryPart, (part) => part.PlantPage),
  FindingPage: page(libraryPart, (part) => part.FindingPage),
  TreatmentPage: page(libraryPart, (part) => part.TreatmentPage),
  CarePage: page(libraryPart, (part) => part.CarePage),
  PlacePage: page(libraryPart, (part) => part.PlacePage),
  ComparePage: page(libraryPart, (part) => part.ComparePage),
  Missing: page(libraryPart, (part) => part.Missing),
  Casebook: page(casebookPart, (part) => part.Casebook),
  Learned: page(casebookPart, (part) => part.Learned),
  Import: page(casebookPart, (part) => part.Import),
  CaseFile: page(casebookPart, (part) => part.CaseFile),
  Clinic: page(clinicPart, (part) => part.Clinic),
  Bench: page(benchPart, (part) => part.Bench),
} as const;

/** Fetches the parts that are not there yet, the case first, so that they are at hand when the server is away. */
export async function fetchAllPages(): Promise<void> {
  for (const part of [casePart, casebookPart, libraryPart, seasonPart, benchPart, clinicPart])
    await part().catch(() => undefined);
}
