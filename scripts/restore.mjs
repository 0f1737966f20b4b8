/** Brings a backup back into a new data folder: `GRAIN_FOLD_DATA=new npm run restore -- BACKUP`. Node's own modules only. */
import path from 'node:path';
import { restore } from './database/backup.mjs';
import { startDatabase } from './database/database.mjs';
import { ensureDebianPackages } from './database/packages.mjs';
import { DATA } from './prepare.mjs';

try {
  const from = process.argv[2];
  if (!from)
    throw new Error('Say which backup: npm run restore -- FOLDER, with GRAIN_FOLD_DATA set to a new data folder.');
  ensureDebianPackages({ mariadbd: 'mariadb-server' });
  const database = await startDatabase(path.join(DATA, 'database'));
  try {
    await restore(database, path.resolve(process.env.INIT_CWD ?? '.', from));
    console.log(`Restored into ${DATA}. Start it with GRAIN_FOLD_DATA=${DATA} npm start.`);
  } finally {
    await database.stop();
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
