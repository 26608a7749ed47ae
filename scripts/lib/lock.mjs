import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
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

/** Makes the lock with its content in one step, so that nobody finds it empty; false where there is one. */
function create(file) {
  const draft = `${file}.${process.pid}`;
  writeFileSync(draft, `${process.pid} ${startOf(process.pid)}`);
  try {
    linkSync(draft, file);
    return true;
  } catch (error) {
    if (error.code === 'EEXIST') return false;
    throw error;
  } finally {
    rmSync(draft, { force: true });
  }
}

/** Clears the lock of a process that is gone; one that somebody took meanwhile is put back. */
function clearLeft(file) {
  const aside = `${file}.${process.pid}.left`;
  try {
    renameSync(file, aside);
    if (isHeld(aside)) linkSync(aside, file);
  } catch (error) {
    if (error.code !== 'ENOENT' && error.code !== 'EEXIST') throw error;
  } finally {
    rmSync(aside, { force: true });
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
    clearLeft(file);
    if (!create(file)) return null;
  }
  return () => rmSync(file, { force: true });
}
