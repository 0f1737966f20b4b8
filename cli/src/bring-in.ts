import { randomUUID } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { writeProjectFile } from '@grain-fold/contract';
import { DEFAULT_SETTINGS, standardBoard, type Airframe } from '@grain-fold/core/airframe';
import type { ReadDrawing } from '@grain-fold/core/formats';
import {
  intoParts,
  lineClasses,
  LINE_WORKS,
  proposeWorks,
  takeIn,
  USUAL_INTAKE,
  type ClassWorks,
  type LineWork,
} from '@grain-fold/core/intake';
import { numberOption, type CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { readDrawingFile } from './read-drawing-file.ts';

const MATERIAL = 'foam';

/** `bring-in`: a drawing becomes an airframe of parts. */
export async function bringIn(file: string, options: CliOptions): Promise<CommandOutcome> {
  if (options.out === undefined) throw new CliError('USAGE', 'bring-in needs --out FILE.');
  const drawing = await readDrawingFile(file);
  const unit = unitOption(options),
    scale = numberOption(options, 'scale', 1, 0.001, 1000),
    boardMm = numberOption(options, 'board-mm', 0, 0, 50);
  const works = { ...proposeWorks(drawing), ...(options.map ? await mapped(options.map, drawing) : {}) };
  const intake = takeIn(drawing, {
    ...USUAL_INTAKE,
    mmPerUnit: (unit ?? drawing.unit.mmPerUnit) * scale,
    works,
    gapMm: numberOption(options, 'close-gaps-mm', 0, 0, 5),
    ...(boardMm > 0 ? { drawnForMm: boardMm } : {}),
  });
  let count = 0;
  const { parts, refused } = intoParts(intake.parts, MATERIAL, () => `p${++count}`);
  if (parts.length === 0) throw new CliError('FILE', `${file}: no line closes an outline.`);
  const name =
    path
      .basename(file)
      .replace(/\.[^.]+$/, '')
      .slice(0, 80) || 'Airframe';
  const airframe: Airframe = {
    id: randomUUID(),
    name,
    settings: DEFAULT_SETTINGS,
    parts,
    boards: [standardBoard('b1', MATERIAL)],
  };
  try {
    await writeFile(options.out, writeProjectFile(airframe));
  } catch (error) {
    throw new CliError('FILE', `${options.out} cannot be written: ${(error as Error).message}`);
  }
  return {
    exit: refused.length > 0 ? 'FAULTS' : 'OK',
    result: {
      out: options.out,
      unit: drawing.unit,
      lines: lineClasses(drawing).map(({ key, ...one }) => ({ ...one, work: works[key]?.work ?? 'leave' })),
      parts: intake.parts.map(({ name: own, quantity, areaMm2, holes, works: work }) => ({
        name: own,
        quantity,
        areaMm2,
        holes: holes.length,
        works: work.map(({ kind }) => kind),
      })),
      mended: intake.told,
      leftOut: drawing.leftOut,
      gaps: intake.gaps.length,
      loose: intake.loose.length,
      refused,
    },
  };
}

function unitOption({ unit }: CliOptions): number | undefined {
  if (unit === undefined) return undefined;
  const mm = { mm: 1, cm: 10, in: 25.4 }[unit];
  if (mm === undefined) throw new CliError('USAGE', `--unit must be mm, cm or in, got "${unit}".`);
  return mm;
}

interface MapLine {
  readonly layer?: string;
  readonly colour?: string;
  readonly dashed?: boolean;
  readonly work: LineWork;
  readonly foldDegrees?: number;
}

/** What a map says of the lines of a drawing: `[{ "layer": "Outlines", "work": "cut" }, …]`, the first that fits counts. */
async function mapped(file: string, drawing: ReadDrawing): Promise<ClassWorks> {
  let lines: unknown;
  try {
    lines = JSON.parse(await readFile(file, 'utf8'));
  } catch (error) {
    throw new CliError('FILE', `${file} cannot be read: ${(error as Error).message}`);
  }
  if (!Array.isArray(lines)) throw new CliError('FILE', `${file} must hold a list of what lines are.`);
  const map = lines.map((line: unknown, index) => {
    const one = line as Partial<MapLine> | null;
    if (!LINE_WORKS.some((work) => work === one?.work))
      throw new CliError('FILE', `${file}, line ${index + 1}: work must be one of ${LINE_WORKS.join(', ')}.`);
    const { layer, colour, foldDegrees } = one as Readonly<Record<string, unknown>>;
    if (
      [layer, colour].some((word) => word !== undefined && typeof word !== 'string') ||
      !['undefined', 'number'].includes(typeof foldDegrees)
    )
      throw new CliError('FILE', `${file}, line ${index + 1}: layer and colour are words, foldDegrees is a number.`);
    return one as MapLine;
  });
  return Object.fromEntries(
    lineClasses(drawing).flatMap(({ key, layer, colour, isDashed }) => {
      const found = map.find(
        (one) =>
          (one.layer === undefined || one.layer === layer) &&
          (one.colour === undefined || one.colour.toLowerCase() === colour) &&
          (one.dashed === undefined || one.dashed === isDashed),
      );
      return found
        ? [[key, { work: found.work, ...(found.foldDegrees ? { foldDegrees: found.foldDegrees } : {}) }]]
        : [];
    }),
  );
}
