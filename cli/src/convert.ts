import { writeFile } from 'node:fs/promises';
import { writeProjectFile } from '@grain-fold/contract';
import { someParts, type Airframe } from '@grain-fold/core/airframe';
import {
  boardDrawing,
  drawingPage,
  partsDrawing,
  USUAL_WRITTEN,
  WIDE_LINES,
  writeDxf,
  writeSvg,
  type WrittenDrawing,
} from '@grain-fold/core/formats';
import { CoreError } from '@grain-fold/core/units';
import type { CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { writePdfFile } from './pdf-file.ts';
import { readAirframe } from './project-file.ts';

const FORMATS = ['svg', 'dxf', 'pdf', 'json'] as const;

/** `convert`: parts or a board of an airframe as a drawing, or some of its parts as a project file. */
export async function convert(file: string, options: CliOptions): Promise<CommandOutcome> {
  const format = FORMATS.find((one) => one === options.to);
  if (!format) throw new CliError('USAGE', `--to must be ${FORMATS.join(', ')}, got "${options.to ?? ''}".`);
  if (options.out === undefined) throw new CliError('USAGE', 'convert needs --out FILE.');
  const airframe = await readAirframe(file, options),
    partIds = chosenParts(airframe, options.parts);
  if (format === 'json') {
    const some = partIds ? someParts(airframe, partIds) : airframe;
    await write(options.out, writeProjectFile(some));
    return { exit: 'OK', result: { airframe: airframe.name, parts: some.parts.length, out: options.out } };
  }
  const drawing = drawn(airframe, partIds, options);
  if (format === 'pdf') await writePdfFile(options.out, [drawingPage(drawing)], drawing.title);
  else await write(options.out, format === 'svg' ? writeSvg(drawing) : writeDxf(drawing));
  return {
    exit: 'OK',
    result: {
      airframe: airframe.name,
      layers: [...new Set(drawing.lines.map(({ layer }) => layer))],
      lines: drawing.lines.length,
      out: options.out,
    },
  };
}

/** Ids of the parts that are named, by name or id. */
function chosenParts(airframe: Airframe, typed: string | undefined): readonly string[] | undefined {
  if (typed === undefined) return undefined;
  return typed.split(',').map((word) => {
    const part = airframe.parts.find(({ id, name }) => id === word.trim() || name === word.trim());
    if (!part) throw new CliError('USAGE', `There is no part "${word.trim()}" in ${airframe.name}.`);
    return part.id;
  });
}

function drawn(airframe: Airframe, partIds: readonly string[] | undefined, options: CliOptions): WrittenDrawing {
  const wideLines = WIDE_LINES.find((word) => word === (options.lines ?? USUAL_WRITTEN.wideLines));
  if (!wideLines) throw new CliError('USAGE', `--lines must be ${WIDE_LINES.join(', ')}, got "${options.lines}".`);
  const written = { wideLines, hasWords: options['no-words'] !== true };
  try {
    if (options.board === undefined) return partsDrawing(airframe, partIds, written);
    return boardDrawing(airframe, Number(options.board), written);
  } catch (error) {
    if (error instanceof CoreError) throw new CliError('USAGE', error.message);
    throw error;
  }
}

async function write(file: string, text: string): Promise<void> {
  try {
    await writeFile(file, text);
  } catch (error) {
    throw new CliError('FILE', `${file} cannot be written: ${(error as Error).message}`);
  }
}
