/** A private MariaDB on loopback: made, started and stopped by whoever needs it. Node's own modules only. */
import { execFileSync, spawn } from 'node:child_process';
import { createHash, randomBytes, randomInt } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { holdFolder, stopLeftDatabase } from './holding.mjs';
import { readNote, writeNote } from './note.mjs';

const isRoot = process.getuid?.() === 0;
const DATABASE = 'grain_fold';
const pause = (milliseconds) =>
  new Promise((resolve) => {
    setTimeout(resolve, milliseconds);
  });

/** Below the ports that systems hand out by themselves: a server that is down for a moment must find its own port free again. */
const FIRST_PORT = 20_000,
  LAST_PORT = 32_000;

/** Whether nothing listens on a port, or uses it. */
const isFree = (port) =>
  new Promise((resolve) => {
    const probe = net.createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/**
 * A port that nothing listens on, and that no connection is given by chance: who asks again and again for a server that is away on a port of
 * that range is connected with itself in the end, and the server finds its port taken.
 */
export async function freePort() {
  for (;;) {
    const port = randomInt(FIRST_PORT, LAST_PORT);
    if (await isFree(port)) return port;
  }
}

/** The user MariaDB runs as: its own where it can reach the folder, else the current one. */
function databaseUser(folder) {
  if (!isRoot) return os.userInfo().username;
  for (let at = path.resolve(folder); ; at = path.dirname(at)) {
    if (fs.existsSync(at) && (fs.statSync(at).mode & 0o001) === 0 && at !== path.resolve(folder)) return 'root';
    if (at === path.dirname(at)) return 'mysql';
  }
}

function makeFolder(folder) {
  try {
    fs.mkdirSync(folder, { recursive: true });
    fs.accessSync(folder, fs.constants.W_OK | fs.constants.X_OK);
  } catch (error) {
    throw new Error(
      `Grain Fold cannot write in ${folder} (${error.code}). Make it writable, or set GRAIN_FOLD_DATA to another folder.`,
    );
  }
}

const isEmpty = (folder) => !fs.existsSync(folder) || fs.readdirSync(folder).length === 0;
/** Whether a data folder is whole: the tables of the database itself are there. */
const isMade = (data) => fs.existsSync(path.join(data, 'mysql', 'global_priv.frm'));

/**
 * Makes the data folder where there is none. One that holds anything is never made anew: what is there stays, and the start stops.
 */
function makeData(folder, data, temporary, user) {
  if (isMade(data)) return;
  if (!isEmpty(data))
    throw new Error(
      `${data} holds files, but not the tables of a database. Nothing was touched. Restore a backup into another folder (npm run restore), or move it away to begin anew.`,
    );
  const fresh = fs.mkdtempSync(path.join(folder, 'making-'));
  // The installer takes no path with spaces: it is led there by another.
  const link = path.join(os.tmpdir(), `grain-fold-${process.pid}-${randomBytes(4).toString('hex')}`);
  fs.symlinkSync(folder, link);
  try {
    if (isRoot && user === 'mysql') execFileSync('chown', ['mysql:mysql', fresh]);
    execFileSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--user=${user}`,
        `--datadir=${path.join(link, path.basename(fresh))}`,
        `--tmpdir=${path.join(link, path.basename(temporary))}`,
        '--skip-test-db',
        '--auth-root-authentication-method=socket',
        `--auth-root-socket-user=${os.userInfo().username}`,
      ],
      { stdio: ['ignore', 'ignore', 'pipe'] },
    );
    fs.rmSync(data, { recursive: true, force: true }); // empty, as looked at above
    fs.renameSync(fresh, data);
  } finally {
    fs.rmSync(link, { force: true });
    fs.rmSync(fresh, { recursive: true, force: true });
  }
}

/** Makings that were killed half-way hold nothing of anybody's. */
function clearMakings(folder) {
  for (const name of fs.readdirSync(folder))
    if (name.startsWith('making-')) fs.rmSync(path.join(folder, name), { recursive: true, force: true });
}

/**
 * Starts the database of a folder, making it first when there is none.
 * @param {string} folder where its files are kept
 * @param {{ durable?: boolean, port?: number }} [options] durable false only for throw-away test data
 * @returns {Promise<{ host: string, port: number, user: string, password: string, database: string, pid: number, ended: Promise<void>, stop: () => Promise<void> }>}
 */
export async function startDatabase(folder, options = {}) {
  const data = path.join(folder, 'data');
  // A server clears temporary tables out of its folder as it starts: in a shared one it would take those of another.
  const temporary = path.join(folder, 'temporary');
  makeFolder(folder);
  const release = await holdFolder(folder);
  try {
    await stopLeftDatabase(data);
    // What a database that is gone left: its number may be another's by now, and the file another user's.
    fs.rmSync(path.join(folder, 'mariadb.pid'), { force: true });
    clearMakings(folder);
    const user = databaseUser(folder);
    fs.mkdirSync(temporary, { recursive: true });
    if (isRoot && user === 'mysql') execFileSync('chown', ['mysql:mysql', folder, temporary]);
    makeData(folder, data, temporary, user);
    return await runDatabase({ folder, data, temporary, user, release, ...options });
  } catch (error) {
    await release();
    throw error;
  }
}

async function runDatabase({ folder, data, temporary, user, release, durable, port: wantedPort }) {
  // Called after its folder, which is locked: what a killed start left there is its own and makes room. Paths of sockets are short.
  const mark = createHash('sha256').update(fs.realpathSync(folder)).digest('hex').slice(0, 16);
  const socket = path.join(os.tmpdir(), `grain-fold-${mark}.sock`);
  fs.rmSync(socket, { force: true });
  const port = wantedPort ?? (await freePort());
  const server = spawn(
    fs.existsSync('/usr/sbin/mariadbd') ? '/usr/sbin/mariadbd' : 'mariadbd',
    [
      '--no-defaults',
      `--user=${user}`,
      `--datadir=${data}`,
      `--tmpdir=${temporary}`,
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      `--socket=${socket}`,
      `--pid-file=${path.join(folder, 'mariadb.pid')}`,
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--performance-schema=OFF',
      '--max-allowed-packet=64M',
      `--innodb-flush-log-at-trx-commit=${durable === false ? 2 : 1}`,
    ],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  );
  let log = '';
  server.stderr.on('data', (chunk) => {
    log = (log + chunk).slice(-4000);
  });
  let exited = false;
  const ended = new Promise((resolve) => {
    server.once('exit', () => {
      exited = true;
      fs.rmSync(socket, { force: true });
      resolve(release());
    });
  });
  const stop = async () => {
    if (!exited) server.kill('SIGTERM');
    await ended;
  };
  try {
    await answers(socket, folder, () => (exited ? log : undefined));
    const account = readNote(folder) ?? makeAccount(socket, folder);
    return { host: '127.0.0.1', port, ...account, pid: server.pid, ended, stop };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** Waits until the database answers. @param fault what it said when it has ended */
async function answers(socket, folder, fault) {
  for (let waited = 0; ; waited += 50) {
    const said = fault();
    if (said !== undefined) throw new Error(`MariaDB did not start on ${folder}:\n${said}`);
    if (waited > 60_000) throw new Error(`MariaDB did not answer within a minute on ${folder}.`);
    try {
      execFileSync('mariadb-admin', ['--no-defaults', '-S', socket, 'ping'], { stdio: 'ignore' });
      return;
    } catch {
      await pause(50);
    }
  }
}

/** Gives the program an account, or a new password where the note of it was lost. Tables are left as they are. */
function makeAccount(socket, folder) {
  const account = { user: DATABASE, password: randomBytes(18).toString('base64url'), database: DATABASE };
  const sql = `CREATE DATABASE IF NOT EXISTS ${DATABASE}; CREATE OR REPLACE USER '${DATABASE}'@'127.0.0.1' IDENTIFIED BY '${account.password}'; GRANT ALL ON ${DATABASE}.* TO '${DATABASE}'@'127.0.0.1';`;
  execFileSync('mariadb', ['--no-defaults', '-S', socket, '-e', sql], { stdio: ['ignore', 'ignore', 'inherit'] });
  writeNote(folder, account);
  return account;
}

/** The variables through which the server is told of its database. */
export const databaseVariables = ({ host, port, user, password, database }) => ({
  GRAIN_FOLD_DB_HOST: host,
  GRAIN_FOLD_DB_PORT: String(port),
  GRAIN_FOLD_DB_USER: user,
  GRAIN_FOLD_DB_PASSWORD: password,
  GRAIN_FOLD_DB_NAME: database,
});
