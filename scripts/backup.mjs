/** Writes a copy of the data, while Grain Fold runs or not: `npm run backup`. Node's own modules only. */
import path from 'node:path';
import { backUp } from './database/backup.mjs';
import { startDatabase } from './database/database.mjs';
import { ensureDebianPackages } from './database/packages.mjs';
import { readRunning } from './database/running.mjs';
import { DATA } from './prepare.mjs';

try {
  const folder = path.join(DATA, 'database');
  ensureDebianPackages({ mariadbd: 'mariadb-server' });
  const running = readRunning(folder);
  const database = running ?? (await startDatabase(folder));
  try {
    console.log(`Backed up to ${await backUp(database, path.join(DATA, 'backups'))}`);
  } finally {
    if (!running) await database.stop();
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
