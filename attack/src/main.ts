/**
 * Attacks the built program on loopback: every route, killed servers and databases, mutated files, heavy airframes, a full disk.
 * `--short` takes under a minute; `--seed N` makes another choice. The last line counts what held and what did not.
 */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { startWorkshop } from '../../scripts/workshop.mjs';
import { attackFullDisk } from './full-disk.ts';
import { attackWithKills } from './kills.ts';
import { attackWithLoad } from './load.ts';
import { mutantsApart } from './mutants-apart.ts';
import { report } from './report.ts';
import { attackRoutes } from './routes.ts';

const { values } = parseArgs({ options: { short: { type: 'boolean' }, seed: { type: 'string' } } });
const isShort = values.short === true,
  seed = Number(values.seed ?? (isShort ? 1 : Date.now() % 1_000_000));
if (!Number.isInteger(seed) || seed < 0) throw new Error(`--seed must be a whole number, got "${values.seed}".`);
const KILLS = isShort ? 6 : 200,
  MUTANTS = isShort ? 150 : 10_000;

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-attack-'));
fs.chmodSync(folder, 0o755);
const told = report((line) => console.log(line));
told.figure('seed', seed);
const start = Date.now();
const workshop = await startWorkshop({
  folder: path.join(folder, 'database'),
  env: { GRAIN_FOLD_SIGN_IN_TRIES: '60000', GRAIN_FOLD_DEMO: '' },
});
try {
  await attackRoutes(workshop.address, told);
  await attackWithLoad(workshop.address, workshop.server.pid!, told, isShort);
  await Promise.all([attackWithKills(workshop, KILLS, seed, told), mutantsApart(seed, MUTANTS, told)]);
} catch (error) {
  told.check('the attack comes to its end', false, String((error as Error).stack));
} finally {
  await workshop.stop();
}
if (!isShort) await attackFullDisk(folder, told);
fs.rmSync(folder, { recursive: true, force: true });
told.figure('took', `${((Date.now() - start) / 1000).toFixed(0)} s`);
console.log(`${told.passed} passed, ${told.failed} failed`);
process.exitCode = told.failed > 0 ? 1 : 0;
