/** The pages of the Library, which are fetched together. */
export { CausePage, Missing } from './CausePage.tsx';
export { ComparePage } from './ComparePage.tsx';
export { Library } from './Library.tsx';
export { CarePage, FindingPage, PlacePage, TreatmentPage } from './OtherPages.tsx';
export { PlantPage } from './PlantPage.tsx';
export { Sources } from './Sources.tsx';
