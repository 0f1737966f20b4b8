/** Where the database of a data folder listens while it runs. Node's own modules only. */
import fs from 'node:fs';
import path from 'node:path';
import { databaseOf } from './holding.mjs';
import { readNote } from './note.mjs';

/** The running database of a folder, as a client needs it; undefined when none runs. */
export function readRunning(folder) {
  const pid = databaseOf(path.join(folder, 'data'));
  const account = readNote(folder);
  if (pid === 0 || !account) return undefined;
  const port = fs
    .readFileSync(`/proc/${pid}/cmdline`, 'utf8')
    .split('\0')
    .find((word) => word.startsWith('--port='));
  return port ? { host: '127.0.0.1', port: Number(port.slice('--port='.length)), ...account } : undefined;
}
