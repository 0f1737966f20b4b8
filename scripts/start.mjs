/** Starts Grain Fold: installs what is missing, builds what is old, starts its database and its server, and stops both with itself. */
import path from 'node:path';
import { backUpWhenDue } from './database/backup.mjs';
import { keepDatabase } from './database/kept-database.mjs';
import { ensureDebianPackages } from './database/packages.mjs';
import { DATA, ensureBuilt, ensurePackages } from './prepare.mjs';
import { end, startServer } from './workshop.mjs';

/** How often it is looked whether the copy of the day is there, in ms. */
const LOOK_FOR_COPY_MS = 3_600_000;
const withDemo = !process.argv.includes('--no-demo');
const port = Number(process.env.PORT || 5180);

try {
  const [strange] = process.argv.slice(2).filter((word) => word !== '--no-demo');
  if (strange) throw new Error(`There is no "${strange}". Start with npm start, or npm start -- --no-demo.`);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`PORT must be a whole number from 1 to 65535, got "${process.env.PORT}".`);
  ensureDebianPackages({ mariadbd: 'mariadb-server' });
  ensurePackages();
  ensureBuilt();
  const database = await keepDatabase(path.join(DATA, 'database'), { say: (words) => console.error(words) });
  const server = await startServer(database.now, {
    host: process.env.HOST || '127.0.0.1',
    port,
    quiet: false,
    env: withDemo ? {} : { GRAIN_FOLD_DEMO: '' },
  }).catch(async (error) => {
    await database.stop();
    throw error;
  });
  let isStopping = false;
  // One copy a day, the last ones kept; what is left of one that was cut off is cleared with the next.
  const copy = () =>
    backUpWhenDue(database.now, path.join(DATA, 'backups')).then(
      (made) => made && console.log(`Today's backup is in ${made}`),
      (error) => isStopping || console.error(`The automatic backup failed: ${error.message}`),
    );
  void copy();
  setInterval(copy, LOOK_FOR_COPY_MS).unref();
  const stop = async (code) => {
    if (isStopping) return;
    isStopping = true;
    await end(server);
    await database.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => void stop(0));
  server.once('exit', (code) => {
    if (!isStopping) console.error(`The server ended by itself (exit ${code}).`);
    void stop(1);
  });
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
