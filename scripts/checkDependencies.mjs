import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { main, quiet, Stop } from './lib/run.mjs';
import { textOption } from './lib/options.mjs';
import { ROOT } from './lib/setup.mjs';

/** Licences under which everything that ships may be used; tools may have more. */
const SHIPPED =
  /^\(?(MIT|ISC|0BSD|Unlicense|BlueOak-1\.0\.0|Apache-2\.0|BSD(-[23]-Clause)?|OFL-1\.1|MIT-0)\b/;

const LOCK = textOption('lock', join(ROOT, 'package-lock.json'));

const packages = Object.entries(JSON.parse(readFileSync(LOCK, 'utf8')).packages)
  .filter(([path]) => path !== '')
  .map(([path, entry]) => ({ name: path.split('node_modules/').at(-1), ...entry }));

const ships = ({ dev, devOptional, optional }) => !dev && !devOptional && !optional;

/** What is wrong with a package by the lock file alone. */
function faultsOf(entry) {
  const { name, version, hasInstallScript, deprecated, integrity, license } = entry;
  const named = `${name} ${version}`;
  return [
    ...(hasInstallScript && ships(entry) ? [`${named} runs a script when it is installed`] : []),
    ...(deprecated && ships(entry) ? [`${named} is given up: ${deprecated}`] : []),
    ...(integrity ? [] : [`${named} has no checksum`]),
    ...(ships(entry) && !SHIPPED.test(license ?? '')
      ? [`${named} ships under ${license ?? 'no licence that is named'}`]
      : []),
  ];
}

/** Asks the registry for known faults; not every registry answers that. */
function askForAdvisories() {
  const asked = quiet('npm', ['audit', '--omit=dev', '--json'], { cwd: ROOT });
  const answer = JSON.parse(asked.out || '{}');
  const found = answer.metadata?.vulnerabilities;
  if (!found) return 'The registry gives no list of known faults.';
  if (found.high + found.critical > 0)
    throw new Stop(`Known faults: ${JSON.stringify(found)}. See npm audit.`);
  return `Known faults: ${found.total}, none of them high.`;
}

/** What the packages are, by the lock file (`--lock FILE`); `--ask` also asks the registry. */
main(async () => {
  const faults = packages.flatMap(faultsOf);
  if (faults.length > 0) throw new Stop(`${faults.join('\n')}\nChoose another package or version.`);
  const shipped = packages.filter(ships).length;
  console.log(`${packages.length} packages, ${shipped} of them ship: all with a checksum.`);
  console.log('What ships is kept up, runs nothing when installed, and has a licence like MIT.');
  if (process.argv.includes('--ask')) console.log(askForAdvisories());
});
