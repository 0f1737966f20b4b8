import fs from 'node:fs';
import path from 'node:path';
import { readProjectFile, writeProjectFile } from '@grain-fold/contract';
import { COMMAND_NAMES, commandFrom } from '../../core/test/any-command.ts';
import { mutantOf } from '../../core/test/mutants.ts';
import {
  cutListDocument,
  cutListOf,
  faultsIn,
  foldView,
  pagesDocument,
  quickFigures,
  slowFigures,
  standingPicture,
  type Airframe,
} from '@grain-fold/core/airframe';
import { cutListCsv } from '@grain-fold/core/cutting';
import { applyCommand } from '@grain-fold/core/editing';
import { CoreError, seededRandom } from '@grain-fold/core/units';
import type { Report } from './report.ts';

const LONGEST_MS = 5000;
const COMMANDS_A_PART = 4,
  PARTS = 3;
/** What takes long is done with every so many-th mutant. */
const THOROUGH_EVERY = 4;

/** The first place at which a value is not finite, or says so in words. */
function notFinite(value: unknown, place = ''): string | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : place;
  if (typeof value === 'string') return /NaN|Infinity/.test(value) ? place : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, one] of Object.entries(value)) {
    const found = notFinite(one, `${place}.${key}`);
    if (found !== undefined) return found;
  }
  return undefined;
}

const demos = ['paperbark-mite', 'saltbox-36', 'reedling-1100'].map(
  (name) =>
    JSON.parse(
      fs.readFileSync(path.resolve(import.meta.dirname, '../../demo', `${name}.grainfold.json`), 'utf8'),
    ) as Airframe,
);

/** Some parts of a demo airframe, changed in one to three places. */
function mutantFile(seed: number): string {
  const random = seededRandom(seed * 7 + 1),
    { nest, ...demo } = demos[seed % demos.length]!;
  const start = Math.floor(random() * demo.parts.length);
  const some = { ...demo, parts: demo.parts.slice(start, start + PARTS), ...(random() < 0.3 && nest ? { nest } : {}) };
  return JSON.stringify(mutantOf(some, seed));
}

/** Everything that is done with an airframe that was taken in. */
function* doings(airframe: Airframe, seed: number): Generator<readonly [string, () => unknown]> {
  const { parts } = airframe,
    date = '2026-01-02',
    random = seededRandom(seed);
  yield ['written again', () => readProjectFile(writeProjectFile(airframe)).ok || { fault: Number.NaN }];
  yield ['figures', () => quickFigures(airframe)];
  yield ['faults', () => parts.map((part) => faultsIn(airframe, part))];
  yield ['cut list as a table', () => cutListCsv(cutListOf(airframe), 'mm')];
  yield ['cut list', () => cutListDocument(airframe, 1, date)];
  yield ['pages', () => [...pagesDocument(airframe, 1, date, { mostPages: 60 })]];
  yield ['picture', () => standingPicture(airframe)];
  if (seed % THOROUGH_EVERY === 0) {
    yield ['slow figures', () => slowFigures(airframe)];
    for (const { id } of parts) yield ['folded', () => foldView(airframe, id, 'part', 'mm')];
  }
  for (const part of parts)
    for (let count = 0; count < COMMANDS_A_PART; count++) {
      const at = ((seed * COMMANDS_A_PART + count) % COMMAND_NAMES.length) / COMMAND_NAMES.length + 1e-6;
      const command = commandFrom(part, [at, random(), random(), random()]);
      yield [
        command.name,
        () => {
          const result = applyCommand(part, command);
          return result.ok ? result.part : undefined;
        },
      ];
    }
}

/** Takes mutated files in and does everything with those that the reader accepts: no exception, nothing that is not finite, nothing over five seconds. */
export function attackWithMutants(from: number, count: number, { check, figure }: Report): void {
  let accepted = 0,
    slowest = 0;
  for (let seed = from; seed < from + count; seed++) {
    const attempt = (what: string, action: () => unknown): void => {
      const start = performance.now();
      let found: string | undefined;
      try {
        const place = notFinite(action());
        if (place !== undefined) found = `not finite at ${place}`;
      } catch (error) {
        // A named fault is an answer.
        if (!(error instanceof CoreError && error.code === 'OUT_OF_RANGE')) found = String((error as Error).stack);
      }
      const tookMs = performance.now() - start;
      slowest = Math.max(slowest, tookMs);
      if (found === undefined && tookMs > LONGEST_MS) found = `${tookMs.toFixed(0)} ms`;
      check(`mutant ${seed}, ${what}`, found === undefined, found);
    };
    let airframe: Airframe | undefined;
    attempt('read', () => {
      const read = readProjectFile(mutantFile(seed));
      if (read.ok) airframe = read.airframe;
    });
    if (!airframe) continue;
    accepted += 1;
    for (const [what, action] of doings(airframe, seed)) attempt(what, action);
  }
  figure('mutants', `${count} from seed ${from}, ${accepted} taken in, slowest step ${slowest.toFixed(0)} ms`);
}
