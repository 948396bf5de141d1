/** Work that two commands started together must not do at once: the second waits, then finds it done. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { RUN } from './root.mjs';

export function oneAtATime(name, work) {
  mkdirSync(RUN, { recursive: true });
  const lock = join(RUN, `${name}.lock`);
  while (!take(lock)) Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 200);
  try {
    return work();
  } finally {
    rmSync(lock, { force: true });
  }
}

function take(lock) {
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
    return true;
  } catch {
    // Left by a command that was killed: its number names no running process.
    if (!isRunning(lock)) rmSync(lock, { force: true });
    return false;
  }
}

function isRunning(lock) {
  try {
    const pid = Number(readFileSync(lock, 'utf8'));
    // Just made and not yet written: taken to be running.
    if (!pid) return true;
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}
