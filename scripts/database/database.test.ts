import { execFileSync, spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { backUp, backUpWhenDue, restore } from './backup.mjs';
import { startDatabase, type Database } from './database.mjs';
import { databaseOf, isDatabaseOf } from './holding.mjs';
import { keepDatabase } from './kept-database.mjs';

/** Folders have spaces in their names throughout. */
let top: string, folder: string;
beforeEach(() => {
  top = fs.mkdtempSync(path.join(os.tmpdir(), 'grain fold '));
  fs.chmodSync(top, 0o755);
  folder = path.join(top, 'my data');
});
afterEach(() => {
  // What a failed test left running.
  for (const name of ['my data', 'other', 'new']) {
    const pid = databaseOf(path.join(top, name, 'data'));
    if (pid > 0) process.kill(pid, 'SIGKILL');
  }
  fs.rmSync(top, { recursive: true, force: true });
});

const ask = (to: Database, sql: string): string =>
  execFileSync(
    'mariadb',
    [
      '--no-defaults',
      `--host=${to.host}`,
      `--port=${to.port}`,
      `--user=${to.user}`,
      '--batch',
      '--skip-column-names',
      '--execute',
      sql,
      to.database,
    ],
    { env: { ...process.env, MYSQL_PWD: to.password } },
  )
    .toString()
    .trim();
const fill = (database: Database): string =>
  ask(
    database,
    "CREATE TABLE edits (id INT PRIMARY KEY, words TEXT) ENGINE=InnoDB; INSERT INTO edits VALUES (1, 'Möwe'), (2, '7 3/8');",
  );
const rows = (database: Database): string => ask(database, 'SELECT id, words FROM edits ORDER BY id');
const ROWS = '1\tMöwe\n2\t7 3/8';
const quick = { durable: false };

test.each([
  ['missing', undefined],
  ['empty', ''],
  ['cut off', '{"user":"grain_fo'],
  ['something else', '[7]'],
])(
  'a note that is %s costs no data: the account is made anew',
  async (_, text) => {
    const first = await startDatabase(folder, quick);
    fill(first);
    await first.stop();
    const note = path.join(folder, 'database.json');
    if (text === undefined) fs.rmSync(note);
    else fs.writeFileSync(note, text);
    const again = await startDatabase(folder, quick);
    expect(rows(again)).toBe(ROWS);
    expect(again.password).not.toBe(first.password);
    await again.stop();
  },
  60_000,
);

test('a folder that holds files but no database is left as it is, and the start stops with a word', async () => {
  const own = path.join(folder, 'data', 'grain_fold', 'parts.ibd');
  fs.mkdirSync(path.dirname(own), { recursive: true });
  fs.writeFileSync(own, 'somebody’s parts');
  await expect(startDatabase(folder, quick)).rejects.toThrow('Nothing was touched');
  expect(fs.readFileSync(own, 'utf8')).toBe('somebody’s parts');
});

test('a folder that cannot be written is told at once', async () => {
  fs.writeFileSync(path.join(top, 'a file'), '');
  await expect(startDatabase(path.join(top, 'a file', 'data'), quick)).rejects.toThrow('cannot write in');
});

test('one holder at a time; what a killed holder left is stopped, and no other database nor number', async () => {
  const other = await startDatabase(path.join(top, 'other'), quick);
  // A pid file with the number of somebody else's database.
  fs.mkdirSync(folder);
  fs.writeFileSync(path.join(folder, 'mariadb.pid'), String(other.pid));
  const script = `import('${path.resolve(import.meta.dirname, 'database.mjs')}').then(async ({ startDatabase }) => { await startDatabase(process.argv[1], { durable: false }); console.log('up'); setInterval(() => {}, 1000); });`;
  const holder = spawn(process.execPath, ['--eval', script, folder], { stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((resolve) => holder.stdout.once('data', resolve));
  const data = path.join(folder, 'data'),
    left = databaseOf(data);
  expect([isDatabaseOf(left, data), isDatabaseOf(other.pid, data), isDatabaseOf(process.pid, data)]).toEqual([
    true,
    false,
    false,
  ]);
  await expect(startDatabase(folder, quick)).rejects.toThrow('already runs on');
  const gone = new Promise((resolve) => holder.once('exit', resolve));
  holder.kill('SIGKILL');
  await gone;
  const mine = await startDatabase(folder, quick);
  expect(isDatabaseOf(left, data)).toBe(false);
  expect(isDatabaseOf(other.pid, path.join(top, 'other', 'data'))).toBe(true);
  await Promise.all([mine.stop(), other.stop()]);
}, 60_000);

test('a database that is killed is started again on its port with all it held, and that is said', async () => {
  const said: string[] = [];
  const kept = await keepDatabase(folder, { durable: false, say: (words) => said.push(words) });
  fill(kept.now);
  const { port, pid, ended } = kept.now;
  process.kill(pid, 'SIGKILL');
  await ended;
  for (let waited = 0; kept.now.pid === pid && waited < 20_000; waited += 100)
    await new Promise((resolve) => setTimeout(resolve, 100));
  expect([kept.now.port, rows(kept.now)]).toEqual([port, ROWS]);
  expect(said).toEqual([expect.stringContaining('starting it again'), 'The database runs again.']);
  await kept.stop();
  expect(databaseOf(path.join(folder, 'data'))).toBe(0);
}, 60_000);

test('a backup is one moment of a database in use and comes back whole into a new folder, and into no other', async () => {
  const backups = path.join(top, 'my backups');
  const database = await startDatabase(folder, quick);
  fill(database);
  const copy = await backUp(database, backups);
  ask(database, "INSERT INTO edits VALUES (3, 'later')");
  await expect(restore(database, copy)).rejects.toThrow('holds tables already');
  const fresh = await startDatabase(path.join(top, 'new'), quick);
  await restore(fresh, copy);
  expect(rows(fresh)).toBe(ROWS);
  // One flipped byte, and a folder that is none.
  const dump = path.join(copy, 'dump.sql.gz'),
    bytes = fs.readFileSync(dump);
  bytes[bytes.length >> 1]! ^= 1;
  fs.writeFileSync(dump, bytes);
  ask(fresh, 'DROP TABLE edits');
  await expect(restore(fresh, copy)).rejects.toThrow('damaged');
  await expect(restore(fresh, top)).rejects.toThrow('is no backup');
  // One a day, fourteen kept.
  for (let day = 1; day <= 16; day++)
    for (const hour of [3, 15])
      expect((await backUpWhenDue(database, backups, new Date(Date.UTC(2026, 0, day, hour)))) !== undefined).toBe(
        hour === 3,
      );
  const kept = fs
    .readdirSync(backups)
    .filter((name) => name.startsWith('automatic-'))
    .sort();
  expect([kept.length, kept[0]]).toEqual([14, 'automatic-20260103T030000']);
  await Promise.all([database.stop(), fresh.stop()]);
}, 60_000);
