import { parseArgs } from 'node:util';
import { CliError } from './cli-error.ts';

/** Options of every command, all of them optional. */
export interface CliOptions {
  readonly paper?: string;
  readonly scale?: string;
  readonly variant?: string;
  readonly out?: string;
  readonly view?: string;
  readonly seconds?: string;
  readonly seed?: string;
  readonly steps?: string;
  readonly format?: string;
  readonly to?: string;
  readonly parts?: string;
  readonly board?: string;
  readonly lines?: string;
  readonly 'no-words'?: boolean;
  readonly map?: string;
  readonly unit?: string;
  readonly 'board-mm'?: string;
  readonly 'close-gaps-mm'?: string;
  readonly form?: string;
  readonly set?: string;
  readonly help?: boolean;
}

const OPTIONS = {
  paper: { type: 'string' },
  scale: { type: 'string' },
  variant: { type: 'string' },
  out: { type: 'string' },
  view: { type: 'string' },
  seconds: { type: 'string' },
  seed: { type: 'string' },
  steps: { type: 'string' },
  format: { type: 'string' },
  to: { type: 'string' },
  parts: { type: 'string' },
  board: { type: 'string' },
  lines: { type: 'string' },
  'no-words': { type: 'boolean' },
  map: { type: 'string' },
  unit: { type: 'string' },
  'board-mm': { type: 'string' },
  'close-gaps-mm': { type: 'string' },
  form: { type: 'string' },
  set: { type: 'string' },
  help: { type: 'boolean', short: 'h' },
} as const;

/** Splits a command line into the command, its file and its options. @throws CliError USAGE naming the unknown option */
export function readArguments(words: readonly string[]): {
  readonly command?: string;
  readonly file?: string;
  readonly options: CliOptions;
} {
  try {
    const { values, positionals } = parseArgs({ args: [...words], options: OPTIONS, allowPositionals: true });
    if (positionals.length > 2)
      throw new CliError('USAGE', `One command and one file are taken; "${positionals[2]}" is too much.`);
    return { command: positionals[0], file: positionals[1], options: values };
  } catch (error) {
    if (error instanceof CliError) throw error;
    throw new CliError('USAGE', error instanceof Error ? error.message : String(error));
  }
}

/** An option as a number within bounds, or what to take when it is not given. */
export function numberOption(
  options: CliOptions,
  name: 'scale' | 'seconds' | 'seed' | 'steps' | 'board-mm' | 'close-gaps-mm',
  fallback: number,
  least: number,
  most: number,
): number {
  const typed = options[name];
  if (typed === undefined) return fallback;
  const value = typed.trim() === '' ? NaN : Number(typed);
  if (!Number.isFinite(value) || value < least || value > most)
    throw new CliError('USAGE', `--${name} must be a number from ${least} to ${most}, got "${typed}".`);
  return value;
}
