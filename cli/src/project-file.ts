import fs from 'node:fs/promises';
import { readProjectFile } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import { LARGEST_SCALE, SMALLEST_SCALE } from '@grain-fold/core/scale';
import { defined } from '@grain-fold/core/units';
import { numberOption, type CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';

/** The text of a file. @throws CliError FILE naming the path and the reason */
export async function readText(file: string): Promise<string> {
  try {
    return await fs.readFile(file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new CliError(
      'FILE',
      code === 'ENOENT' ? `There is no file ${file}.` : `${file} cannot be read: ${(error as Error).message}`,
    );
  }
}

/** The airframe of a project file, at --scale and in --variant when they are given. */
export async function readAirframe(file: string, options: CliOptions): Promise<Airframe> {
  const read = readProjectFile(await readText(file));
  if (!read.ok) throw new CliError('FILE', `${file}: ${read.message}`, read.faults);
  const scale = numberOption(options, 'scale', read.airframe.settings.scale, SMALLEST_SCALE, LARGEST_SCALE);
  const { variants = [] } = read.airframe.settings,
    { variant } = options;
  if (variant !== undefined && !variants.includes(variant))
    throw new CliError(
      'USAGE',
      `--variant must be ${variants.length > 0 ? `one of ${variants.map((name) => `"${name}"`).join(', ')}` : 'left out: the airframe has none'}, got "${variant}".`,
    );
  return {
    ...read.airframe,
    settings: { ...read.airframe.settings, scale, ...defined({ variant }) },
  };
}
