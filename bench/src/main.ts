/** Times the core on the demo airframes: one JSON line a case, the median of several runs in milliseconds. */
import fs from 'node:fs';
import path from 'node:path';
import {
  boardViews,
  cutListOf,
  faultsIn,
  nestHash,
  pagesDocument,
  pagesOf,
  quickFigures,
  quickNest,
  searchAirframeNest,
  type Airframe,
} from '@grain-fold/core/airframe';
import { applyCommand } from '@grain-fold/core/editing';
import { outlineOf } from '@grain-fold/core/part';
import { snap } from '@grain-fold/core/pointing';
import { resolve } from '@grain-fold/core/resolve';

const demo = path.resolve(import.meta.dirname, '../../demo');
const RUNS = 7;
/** Seconds of processor that a nest is given where its quality is told. */
const NEST_SECONDS = 10;

/** The same airframe with parts that nothing remembers yet, so that every run does the whole work. */
const forgotten = (airframe: Airframe): Airframe => structuredClone(airframe);

function time(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
function report(name: string, airframe: Airframe, work: (fresh: Airframe) => void): void {
  const runs = Array.from({ length: RUNS }, () => {
    const fresh = forgotten(airframe);
    return time(() => work(fresh));
  }).sort((a, b) => a - b);
  console.log(
    JSON.stringify({
      case: name,
      airframe: airframe.name,
      runs: RUNS,
      medianMs: Number(runs[Math.floor(RUNS / 2)]!.toFixed(2)),
      worstMs: Number(runs.at(-1)!.toFixed(2)),
    }),
  );
}

/** One point moved, and everything the interface's thread figures from it before the next frame. */
function edit(airframe: Airframe): () => void {
  quickFigures(airframe);
  const part = airframe.parts[0]!;
  const result = applyCommand(part, {
    name: 'moveNodes',
    args: { nodeIds: [outlineOf(part)!.nodes[0]!.id], by: { x: 1, y: 0 } },
  });
  if (!result.ok) throw new Error(result.message);
  const next = { ...airframe, parts: airframe.parts.with(0, result.part) };
  return () => {
    quickFigures(next);
    nestHash(next);
    snap(result.part, { x: 10, y: 10 }, { reachMm: 5, gridMm: 10 });
  };
}

for (const name of ['paperbark-mite', 'saltbox-36', 'reedling-1100']) {
  const airframe = JSON.parse(fs.readFileSync(path.join(demo, `${name}.grainfold.json`), 'utf8')) as Airframe;
  report('resolve and check every part', airframe, (fresh) => fresh.parts.forEach((part) => faultsIn(fresh, part)));
  report(
    'resolve one part',
    airframe,
    (fresh) => void resolve(fresh.parts[0]!, { thicknessMm: 5, gramsPerSquareMetre: 480, plateThicknesses: {} }),
  );
  const warm = Array.from({ length: RUNS }, () => time(edit(forgotten(airframe)))).sort((a, b) => a - b);
  console.log(
    JSON.stringify({
      case: 'an edit on the interface thread',
      airframe: airframe.name,
      runs: RUNS,
      medianMs: Number(warm[Math.floor(RUNS / 2)]!.toFixed(2)),
      worstMs: Number(warm.at(-1)!.toFixed(2)),
    }),
  );
  report('look at the nested boards', airframe, (fresh) => void boardViews(fresh, fresh.nest!));
  report('cut list', airframe, (fresh) => void cutListOf(fresh));
  report('lay out pages', airframe, (fresh) => void pagesOf(fresh));
  report('ink of every page', airframe, (fresh) => void [...pagesDocument(fresh, 1, '2026-01-01')]);
  report('first nest', airframe, (fresh) => void quickNest(fresh, 1));
  const start = process.cpuUsage();
  for (const { tried, score, nest } of searchAirframeNest(airframe, 1)) {
    const { user } = process.cpuUsage(start);
    if (user < NEST_SECONDS * 1e6) continue;
    console.log(
      JSON.stringify({
        case: `nest for ${NEST_SECONDS} s`,
        airframe: airframe.name,
        tried,
        effectiveBoards: Number(score.effectiveBoards.toFixed(4)),
        boards: nest.boards.length,
      }),
    );
    break;
  }
}
