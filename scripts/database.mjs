/** A private MariaDB on loopback: installed, made, started and stopped by whoever needs it. Node's own modules only. */
import { execFileSync, spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';

const isRoot = process.getuid?.() === 0;
const pause = (milliseconds) =>
  new Promise((resolve) => {
    setTimeout(resolve, milliseconds);
  });

export function has(command) {
  return (process.env.PATH ?? '')
    .split(':')
    .concat('/usr/sbin', '/usr/bin')
    .some((folder) => fs.existsSync(path.join(folder, command)));
}

/** Installs Debian packages when a command of theirs is missing. Asks nothing. */
export function ensureDebianPackages(wanted) {
  const missing = Object.entries(wanted)
    .filter(([command]) => !has(command))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(', ')} …`);
  const sudo = isRoot ? [] : ['sudo', '-n'];
  const run = (...words) => {
    const [command, ...rest] = [...sudo, ...words];
    execFileSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  run('apt-get', 'update', '-qq');
  run('apt-get', 'install', '-y', '-qq', ...missing);
}

/** A port that nothing listens on. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = net.createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

const readPid = (file) => (fs.existsSync(file) ? Number(fs.readFileSync(file, 'utf8')) : 0);
const isMariadb = (pid) =>
  isAlive(pid) &&
  fs.existsSync(`/proc/${pid}/comm`) &&
  fs.readFileSync(`/proc/${pid}/comm`, 'utf8').startsWith('mariadb');

/** Makes way for a start: a database whose starter was killed is stopped; one that is in use is left, with an error. */
async function clearAway(folder, pidFile, owner) {
  const pid = readPid(pidFile),
    starter = readPid(owner);
  if (pid > 0 && isMariadb(pid)) {
    if (starter > 0 && isAlive(starter))
      throw new Error(
        `A database (process ${pid}) already runs on ${folder}. Stop the other Grain Fold first, or set GRAIN_FOLD_DATA to another folder.`,
      );
    process.kill(pid, 'SIGTERM');
    for (let waited = 0; isMariadb(pid) && waited < 30_000; waited += 50) await pause(50);
  }
  fs.rmSync(pidFile, { force: true });
  fs.rmSync(owner, { force: true });
}

/** The user MariaDB runs as: its own where it can reach the folder, else the current one. */
function databaseUser(folder) {
  if (!isRoot) return os.userInfo().username;
  for (let at = path.resolve(folder); ; at = path.dirname(at)) {
    if (fs.existsSync(at) && (fs.statSync(at).mode & 0o001) === 0 && at !== path.resolve(folder)) return 'root';
    if (at === path.dirname(at)) return 'mysql';
  }
}

/**
 * Starts the database of a folder, making it first when it is new.
 * @param {string} folder where its files are kept
 * @param {{ durable?: boolean, port?: number }} [options] durable false only for throw-away test data
 * @returns {Promise<{ host: string, port: number, user: string, password: string, database: string, pid: number, stop: () => Promise<void> }>}
 */
export async function startDatabase(folder, options = {}) {
  const socket = path.join(os.tmpdir(), `grain-fold-${process.pid}-${randomBytes(4).toString('hex')}.sock`);
  const data = path.join(folder, 'data');
  const note = path.join(folder, 'database.json');
  // A server clears temporary tables out of its folder as it starts: in a shared one it would take those of another.
  const temporary = path.join(folder, 'temporary');
  const pidFile = path.join(folder, 'mariadb.pid');
  const owner = path.join(folder, 'owner.pid');
  fs.mkdirSync(folder, { recursive: true });
  await clearAway(folder, pidFile, owner);
  const user = databaseUser(folder);
  fs.mkdirSync(temporary, { recursive: true });
  if (isRoot && user === 'mysql') execFileSync('chown', ['mysql:mysql', folder, temporary]);
  const isNew = !fs.existsSync(path.join(data, 'mysql')) || !fs.existsSync(note);
  if (isNew) {
    fs.rmSync(data, { recursive: true, force: true });
    execFileSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--user=${user}`,
        `--datadir=${data}`,
        `--tmpdir=${temporary}`,
        '--skip-test-db',
        '--auth-root-authentication-method=socket',
        `--auth-root-socket-user=${os.userInfo().username}`,
      ],
      { stdio: ['ignore', 'ignore', 'pipe'] },
    );
  }
  const port = options.port ?? (await freePort());
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
      `--pid-file=${pidFile}`,
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--performance-schema=OFF',
      '--max-allowed-packet=64M',
      `--innodb-flush-log-at-trx-commit=${options.durable === false ? 2 : 1}`,
    ],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  );
  let log = '';
  server.stderr.on('data', (chunk) => {
    log = (log + chunk).slice(-4000);
  });
  let exited = false;
  server.once('exit', () => {
    exited = true;
  });
  for (let waited = 0; ; waited += 50) {
    if (exited) throw new Error(`MariaDB did not start on ${folder}:\n${log}`);
    if (waited > 60_000) throw new Error(`MariaDB did not answer within a minute:\n${log}`);
    try {
      execFileSync('mariadb-admin', ['--no-defaults', '-S', socket, 'ping'], { stdio: 'ignore' });
      break;
    } catch {
      await pause(50);
    }
  }
  fs.writeFileSync(owner, String(process.pid));
  if (isNew) {
    const password = randomBytes(18).toString('base64url');
    const sql = `CREATE DATABASE IF NOT EXISTS grain_fold; CREATE OR REPLACE USER 'grain_fold'@'127.0.0.1' IDENTIFIED BY '${password}'; GRANT ALL ON grain_fold.* TO 'grain_fold'@'127.0.0.1';`;
    execFileSync('mariadb', ['--no-defaults', '-S', socket, '-e', sql], { stdio: ['ignore', 'ignore', 'inherit'] });
    fs.writeFileSync(note, JSON.stringify({ user: 'grain_fold', password, database: 'grain_fold' }), { mode: 0o600 });
  }
  const stop = async () => {
    if (!exited) server.kill('SIGTERM');
    while (!exited) await pause(25);
    for (const left of [socket, pidFile, owner]) fs.rmSync(left, { force: true });
  };
  return { host: '127.0.0.1', port, ...JSON.parse(fs.readFileSync(note, 'utf8')), pid: server.pid, stop };
}

/** The variables through which the server is told of its database. */
export const databaseVariables = ({ host, port, user, password, database }) => ({
  GRAIN_FOLD_DB_HOST: host,
  GRAIN_FOLD_DB_PORT: String(port),
  GRAIN_FOLD_DB_USER: user,
  GRAIN_FOLD_DB_PASSWORD: password,
  GRAIN_FOLD_DB_NAME: database,
});
