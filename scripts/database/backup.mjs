/** Copies of the database in one transaction, with checksums, and their way back. Node's own modules only. */
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { writeWhole } from './note.mjs';

const DUMP = 'dump.sql.gz',
  MANIFEST = 'manifest.json';
/** Rises when a backup changes its form. */
const FORM = 1;
/** Automatic copies that are kept. */
const COPIES_KEPT = 14;
const AUTOMATIC = /^automatic-\d{8}T\d{6}$/;

const hashOf = async (file) => {
  const hash = createHash('sha256');
  await pipeline(fs.createReadStream(file), hash);
  return hash.digest('hex');
};

/** A client of the database as a process; the password is told in its environment, where no list of processes shows it. */
function client(command, database, words) {
  const child = spawn(
    command,
    ['--no-defaults', `--host=${database.host}`, `--port=${database.port}`, `--user=${database.user}`, ...words],
    { stdio: ['pipe', 'pipe', 'pipe'], env: { ...process.env, MYSQL_PWD: database.password } },
  );
  let said = '';
  child.stderr.on('data', (chunk) => {
    said = (said + chunk).slice(-2000);
  });
  const ended = new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) =>
      code === 0 ? resolve() : reject(new Error(`${command} failed (exit ${code}): ${said.trim()}`)),
    );
  });
  return { child, ended };
}

const stamp = (at) => at.toISOString().replace(/[-:]/g, '').slice(0, 15);

/**
 * Writes a copy of a running database into a folder of its own, as it is at one moment.
 * @param {{ host: string, port: number, user: string, password: string, database: string }} database
 * @param {string} backups where copies are kept
 * @param {{ kind?: 'automatic' | 'backup', at?: Date }} [options]
 * @returns {Promise<string>} the folder of the copy
 */
export async function backUp(database, backups, { kind = 'backup', at = new Date() } = {}) {
  const folder = path.join(backups, `${kind}-${stamp(at)}`),
    making = `${folder}.making`;
  fs.rmSync(making, { recursive: true, force: true });
  fs.mkdirSync(making, { recursive: true, mode: 0o700 });
  const file = path.join(making, DUMP);
  const { child, ended } = client('mariadb-dump', database, [
    '--single-transaction',
    '--no-tablespaces',
    '--hex-blob',
    '--default-character-set=utf8mb4',
    database.database,
  ]);
  await Promise.all([
    ended,
    pipeline(child.stdout, createGzip({ level: 6 }), fs.createWriteStream(file, { mode: 0o600 })),
  ]);
  const manifest = { form: FORM, at: at.toISOString(), bytes: fs.statSync(file).size, sha256: await hashOf(file) };
  writeWhole(path.join(making, MANIFEST), JSON.stringify(manifest, undefined, 2));
  fs.renameSync(making, folder);
  return folder;
}

/** The copy of a folder, looked at before it is used. @throws Error that says what is wrong with it */
async function checkedCopy(folder) {
  let manifest;
  try {
    manifest = JSON.parse(fs.readFileSync(path.join(folder, MANIFEST), 'utf8'));
  } catch {
    throw new Error(`${folder} is no backup: it has no ${MANIFEST} that can be read.`);
  }
  if (manifest.form !== FORM)
    throw new Error(`${folder} is a backup of form ${manifest.form}; this Grain Fold reads form ${FORM}.`);
  const file = path.join(folder, DUMP);
  if (!fs.existsSync(file) || (await hashOf(file)) !== manifest.sha256)
    throw new Error(`The backup in ${folder} is damaged: its checksum is another. Take an older one.`);
  return file;
}

/** Brings a copy back into a running database that holds no tables yet. */
export async function restore(database, folder) {
  const file = await checkedCopy(folder);
  if ((await tablesOf(database)).length > 0)
    throw new Error('This data folder holds tables already. Set GRAIN_FOLD_DATA to a new folder, and restore there.');
  const { child, ended } = client('mariadb', database, ['--default-character-set=utf8mb4', database.database]);
  child.stdout.resume();
  await Promise.all([ended, pipeline(fs.createReadStream(file), createGunzip(), child.stdin)]);
}

async function tablesOf(database) {
  const { child, ended } = client('mariadb', database, [
    '--skip-column-names',
    '--batch',
    '--execute=SHOW TABLES',
    database.database,
  ]);
  let told = '';
  child.stdout.on('data', (chunk) => {
    told += chunk;
  });
  await ended;
  return told.split('\n').filter(Boolean);
}

/** Automatic copies by age, the oldest first. */
const automaticCopies = (backups) =>
  fs.existsSync(backups)
    ? fs
        .readdirSync(backups)
        .filter((name) => AUTOMATIC.test(name))
        .sort()
    : [];

/** Makes the automatic copy of the day when it is due, and drops the oldest beyond those that are kept. @returns its folder, or undefined */
export async function backUpWhenDue(database, backups, at = new Date()) {
  const newest = automaticCopies(backups).at(-1);
  const today = `automatic-${stamp(at).slice(0, 8)}`;
  if (newest !== undefined && newest.slice(0, today.length) >= today) return undefined;
  for (const name of fs.existsSync(backups) ? fs.readdirSync(backups) : [])
    if (/^automatic-.*\.making$/.test(name)) fs.rmSync(path.join(backups, name), { recursive: true, force: true });
  const made = await backUp(database, backups, { kind: 'automatic', at });
  for (const name of automaticCopies(backups).slice(0, -COPIES_KEPT))
    fs.rmSync(path.join(backups, name), { recursive: true, force: true });
  return made;
}
