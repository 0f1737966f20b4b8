import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { databaseVariables, startDatabase } from '../../scripts/database/database.mjs';
import { ensureDebianPackages } from '../../scripts/database/packages.mjs';

/** A throw-away database for the server's tests, told to them as the server itself is told. */
export default async function start() {
  ensureDebianPackages({ mariadbd: 'mariadb-server' });
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-test-'));
  fs.chmodSync(folder, 0o755);
  const database = await startDatabase(path.join(folder, 'database'), { durable: false });
  Object.assign(process.env, databaseVariables(database));
  globalThis.grainFoldTest = { folder, database };
}
