import type { LengthUnit } from '../../units/index.ts';
import { MM_PER_INCH } from '../../units/index.ts';
import type { ShellCorner, ShellParameters, ShellSection } from './parameters.ts';

/** The few numbers that a shell starts from. */
export interface ShellStart {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly material: string;
}

/** Numbers to begin with. */
export const usualShell = (unit: LengthUnit): Omit<ShellStart, 'material'> =>
  unit === 'in'
    ? { lengthMm: 16 * MM_PER_INCH, widthMm: 5 * MM_PER_INCH, heightMm: 5 * MM_PER_INCH }
    : { lengthMm: 400, widthMm: 130, heightMm: 120 };

/** The widest section, as shares of width and height: keel, chine, shoulder, spine. */
const SHAPE: readonly (readonly [out: number, up: number])[] = [
  [0, 0],
  [0.42, 0.12],
  [0.5, 0.62],
  [0, 1],
];
/** Sections along the shell: where, how large, and how high their foot lies, as shares. */
const ALONG: readonly (readonly [aft: number, size: number, foot: number])[] = [
  [0, 0.4, 0.22],
  [0.35, 0.82, 0.06],
  [0.75, 1, 0],
  [1, 0.96, 0.02],
];
const rounded = (mm: number): number => Math.round(mm * 10) / 10;

/** A forward body of eighteen faces: keel, chines, shoulders and a spine through four sections of one shape, so that every face is plane. */
export function shellFromNumbers({ lengthMm, widthMm, heightMm, material }: ShellStart): ShellParameters {
  const sections = ALONG.map(([aft, size, foot], index): ShellSection => ({
    id: `s${index + 1}`,
    aftMm: rounded(aft * lengthMm),
    // Not rounded: sections of one shape leave their faces plane.
    corners: SHAPE.map(([out, up]): ShellCorner => ({
      outMm: out * widthMm * size,
      upMm: (foot + up * size) * heightMm,
    })),
  }));
  return {
    material,
    sections,
    closesNose: true,
    closesTail: false,
    seams: 'below',
    bulkheads: [{ id: 'b1', aftMm: rounded(0.5 * lengthMm), rimMm: 14 }],
  };
}
