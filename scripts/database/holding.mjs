/** Who holds a data folder: a lock that dies with its holder, and the database that a killed holder left running. Node's own modules only. */
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';

/** What `flock` answers when another holds the lock. */
const HELD_BY_ANOTHER = 75;
const LONGEST_STOP_MS = 60_000;
const pause = (milliseconds) =>
  new Promise((resolve) => {
    setTimeout(resolve, milliseconds);
  });

/**
 * Takes a data folder for this process. The lock is the system's: it ends with the process that holds it, however that ends, and no number
 * that another process has since been given can stand for it.
 * @param {string} folder
 * @returns {Promise<() => Promise<void>>} gives the folder back
 */
export function holdFolder(folder) {
  // The holder of the lock reads from this process: when this one is gone there is nothing to read, and it ends.
  const holder = spawn(
    'flock',
    [
      '--nonblock',
      '--conflict-exit-code',
      String(HELD_BY_ANOTHER),
      path.join(folder, 'lock'),
      'sh',
      '-c',
      'echo held; exec cat',
    ],
    { stdio: ['pipe', 'pipe', 'ignore'], detached: true },
  );
  holder.stdin.on('error', () => undefined); // it may end before us
  return new Promise((resolve, reject) => {
    holder.once('error', reject);
    holder.once('exit', (code) =>
      reject(
        new Error(
          code === HELD_BY_ANOTHER
            ? `A Grain Fold already runs on ${folder}. Stop it first, or set GRAIN_FOLD_DATA to another folder.`
            : `${folder} could not be locked (flock: ${code}).`,
        ),
      ),
    );
    holder.stdout.once('data', () => {
      holder.removeAllListeners('exit');
      for (const end of [holder, holder.stdin, holder.stdout]) end.unref();
      let isFree;
      resolve(() => {
        isFree ??= new Promise((free) => {
          holder.ref();
          holder.once('exit', () => free());
          holder.stdin.end();
        });
        return isFree;
      });
    });
  });
}

const realPath = (file) => (fs.existsSync(file) ? fs.realpathSync(file) : path.resolve(file));
function readProcess(pid, what) {
  try {
    return fs.readFileSync(`/proc/${pid}/${what}`, 'utf8');
  } catch {
    return ''; // it is gone
  }
}

/** Whether a process is a living database of a data folder, and of no other. */
export function isDatabaseOf(pid, data) {
  if (!readProcess(pid, 'comm').startsWith('mariadb')) return false;
  const state = /\) (\S) /.exec(readProcess(pid, 'stat'))?.[1];
  if (state === undefined || state === 'Z') return false;
  return readProcess(pid, 'cmdline')
    .split('\0')
    .some((word) => word.startsWith('--datadir=') && realPath(word.slice('--datadir='.length)) === realPath(data));
}

/** The database that runs on a data folder, by its process id; 0 when none does. */
export const databaseOf = (data) =>
  fs
    .readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .find((pid) => isDatabaseOf(pid, data)) ?? 0;

/** Stops the database that a killed holder left on a data folder. Call it with the folder held. */
export async function stopLeftDatabase(data) {
  const pid = databaseOf(data);
  if (pid === 0) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; isDatabaseOf(pid, data); waited += 50) {
    if (waited > LONGEST_STOP_MS)
      throw new Error(
        `The database that was left running on ${data} (process ${pid}) does not stop. End it, then start again.`,
      );
    await pause(50);
  }
}
