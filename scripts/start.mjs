/** Starts Grain Fold: installs what is missing, builds what is old, starts its database and its server, and stops both with itself. */
import path from 'node:path';
import { ensureDebianPackages } from './database.mjs';
import { DATA, ensureBuilt, ensurePackages } from './prepare.mjs';
import { startWorkshop } from './workshop.mjs';

const port = Number(process.env.PORT || 5180);

try {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`PORT must be a whole number from 1 to 65535, got "${process.env.PORT}".`);
  ensureDebianPackages({ mariadbd: 'mariadb-server' });
  ensurePackages();
  ensureBuilt();
  const workshop = await startWorkshop({
    folder: path.join(DATA, 'database'),
    host: process.env.HOST || '127.0.0.1',
    port,
    quiet: false,
  });
  let isStopping = false;
  const stop = async (code) => {
    if (isStopping) return;
    isStopping = true;
    await workshop.stop();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => void stop(0));
  workshop.server.once('exit', (code) => {
    if (!isStopping) console.error(`The server ended by itself (exit ${code}).`);
    void stop(1);
  });
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
