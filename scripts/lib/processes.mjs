// Processes by their pid: whether they live, which ones a file names, and which work in a folder.
import { existsSync, readdirSync, readFileSync, readlinkSync } from 'node:fs';

/** Whether a process lives and its command line holds some words. */
export function lives(pid, words) {
  if (!(pid > 0)) return false;
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(words);
  } catch {
    return false;
  }
}

/** The pids that a file names, a line each. */
export const pidsIn = (file) => (existsSync(file) ? readFileSync(file, 'utf8').split('\n').map(Number) : []);

/** Processes that work in a folder, by their current one. */
export function workingIn(folder) {
  return readdirSync('/proc').flatMap((name) => {
    try {
      return /^\d+$/.test(name) && readlinkSync(`/proc/${name}/cwd`) === folder ? [Number(name)] : [];
    } catch {
      return [];
    }
  });
}
