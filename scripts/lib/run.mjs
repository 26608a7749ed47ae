import { spawn, spawnSync } from 'node:child_process';

/** A failure with words for the person at the keyboard; printed without a stack. */
export class Stop extends Error {}

/** Runs a command to its end and returns its output; never throws for a failing command. */
export function quiet(command, args, options = {}) {
  const done = spawnSync(command, args, { encoding: 'utf8', ...options });
  return {
    ok: done.status === 0,
    out: `${done.stdout ?? ''}`.trim(),
    err: `${done.stderr ?? ''}`.trim(),
  };
}

/** Runs a command with its output shown; rejects with {@link Stop} when it fails. */
export function loud(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    child.on('error', (error) =>
      reject(new Stop(`${command} could not be started: ${error.message}`)),
    );
    child.on('exit', (code) =>
      code === 0
        ? resolve()
        : reject(new Stop(`"${command} ${args.join(' ')}" failed with code ${code}.`)),
    );
  });
}

/** Runs a main function; a {@link Stop} is printed as plain words. */
export function main(work) {
  work().catch((error) => {
    console.error(error instanceof Stop ? `\n${error.message}` : error);
    process.exitCode = 1;
  });
}
