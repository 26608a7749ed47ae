import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { loud, main } from './lib/run.mjs';
import { ROOT } from './lib/setup.mjs';

/** Builds the interface (Vite) and the server (one file, packages left outside) into dist/. */
main(async () => {
  rmSync(join(ROOT, 'dist'), { recursive: true, force: true });
  const bin = (name) => join(ROOT, 'node_modules/.bin', name);
  await loud(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: ROOT });
  await loud(
    bin('esbuild'),
    [
      'src/server/main.ts',
      'src/server/consult/consultWorker.ts',
      'src/server/towns/townsWorker.ts',
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--packages=external',
      '--target=node20',
      '--outdir=dist/server',
      '--entry-names=[name]',
      '--log-level=warning',
    ],
    { cwd: ROOT },
  );
  // The commands that need a build look at this file's age.
  writeFileSync(join(ROOT, 'dist/.built'), '');
});
