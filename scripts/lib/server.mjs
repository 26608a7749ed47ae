import { spawn } from 'node:child_process';
import { freePort } from './postgres.mjs';
import { loud, Stop } from './run.mjs';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

const MAX_START_MS = 40_000;

/** Bundles a program of src/cli for this Node and loads it. */
export async function loadProgram(source, name) {
  const outfile = `dist/cli/${name}.mjs`;
  await loud(
    join(ROOT, 'node_modules/.bin/esbuild'),
    [
      source,
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--packages=external',
      '--log-level=warning',
      `--outfile=${outfile}`,
    ],
    { cwd: ROOT },
  );
  return import(join(ROOT, outfile));
}

/** Whether a server answers at a path below /api. */
export async function answersAt(port, path) {
  try {
    const answer = await fetch(`http://127.0.0.1:${port}/api${path}`, {
      signal: AbortSignal.timeout(2000),
    });
    return answer.ok;
  } catch {
    return false;
  }
}

/** Starts the built server on a free port and waits until it is ready. */
export async function startServer(env, port) {
  const at = port ?? (await freePort());
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    cwd: ROOT,
    env: { ...process.env, ...env, PORT: String(at) },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (const begun = Date.now(); !(await answersAt(at, '/health'));) {
    if (child.exitCode !== null || Date.now() - begun > MAX_START_MS)
      throw new Stop('The server did not start; see the lines above.');
    await new Promise((wait) => setTimeout(wait, 100));
  }
  return { port: at, child };
}
