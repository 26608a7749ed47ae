import { mkdirSync, openSync, closeSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';

/** Moment a process was started, in clock ticks since the machine was; tells a process from a later one of the same id. */
function startOf(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

function isHeld(file) {
  try {
    const [pid, start] = readFileSync(file, 'utf8').trim().split(' ');
    return start !== undefined && startOf(pid) === start;
  } catch {
    return false;
  }
}

function create(file) {
  try {
    const handle = openSync(file, 'wx');
    writeSync(handle, `${process.pid} ${startOf(process.pid)}`);
    closeSync(handle);
    return true;
  } catch (error) {
    if (error.code === 'EEXIST') return false;
    throw error;
  }
}

/**
 * Takes a lock for this process, in a file. Returns what gives it back; null when a living process holds it. The lock of a
 * process that is gone is taken over.
 */
export function takeLock(file) {
  mkdirSync(dirname(file), { recursive: true });
  if (!create(file)) {
    if (isHeld(file)) return null;
    rmSync(file, { force: true });
    if (!create(file)) return null;
  }
  return () => rmSync(file, { force: true });
}
