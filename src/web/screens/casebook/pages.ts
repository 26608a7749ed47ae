/** The pages of the Casebook, which are fetched together. */
export { Casebook } from './Casebook.tsx';
export { CaseFile } from './CaseFile.tsx';
export { Import } from './Import.tsx';
export { Learned } from './Learned.tsx';
