import { Stop } from './run.mjs';

/** The whole number behind `--name` on the command line. */
export function numberOption(name, { least, most, otherwise }) {
  const at = process.argv.indexOf(`--${name}`);
  if (at === -1) return otherwise;
  const value = Number(process.argv[at + 1]);
  if (!Number.isInteger(value) || value < least || value > most)
    throw new Stop(`--${name} takes a whole number from ${least} to ${most}.`);
  return value;
}

/** A text given as `--name TEXT`, or what it is otherwise. */
export function textOption(name, otherwise) {
  const at = process.argv.indexOf(`--${name}`);
  const text = at === -1 ? undefined : process.argv[at + 1];
  if (at !== -1 && (text === undefined || text.startsWith('--')))
    throw new Stop(`--${name} needs a value.`);
  return text ?? otherwise;
}
