import { cross, distance, subtract, type Point } from '../../geometry/index.ts';
import { CoreError } from '../../units/index.ts';
import { lengthText } from '../../units/index.ts';
import { project, projectiveThrough, type Projective } from './projective.ts';
import type { KnownLength, PlanSheet } from './sheet.ts';

/** Shortest distance between the ends of a known length, in pixels: a hand hits no finer. */
const SHORTEST_PX = 4;
/** How near to one line three corners may lie, as the sine of the angle between them. */
const FLATTEST_SINE = 0.02;

const scaledBy = (mmAcross: number, mmUp: number): Projective => [mmAcross, 0, 0, 0, -mmUp, 0, 0, 0, 1];

/**
 * From pixels of a sheet, y down, to millimetres, y up.
 * @throws CoreError OUT_OF_RANGE for lengths of nothing, DEGENERATE for lengths or corners that do not tell
 */
export function sheetMap({ calibration, lengths }: PlanSheet): Projective {
  switch (calibration.kind) {
    case 'none':
      return scaledBy(calibration.mmPerPx, calibration.mmPerPx);
    case 'one length':
      return byOneLength(known(lengths, calibration.lengthId));
    case 'two lengths': {
      const [first, second] = calibration.lengthIds;
      return byTwoLengths(known(lengths, first), known(lengths, second));
    }
    case 'four corners':
      return byCorners(calibration.corners, calibration.widthMm, calibration.heightMm);
  }
}

function known(lengths: readonly KnownLength[], id: string): KnownLength {
  const length = lengths.find((one) => one.id === id);
  if (!length) throw new CoreError('NOT_FOUND', 'The length that sets the scale is gone: choose another.', { id });
  if (!(length.lengthMm > 0))
    throw new CoreError('OUT_OF_RANGE', `${length.name} is ${lengthText(length.lengthMm)} long: it must be above 0.`);
  if (!(distance(length.from, length.to) >= SHORTEST_PX))
    throw new CoreError(
      'OUT_OF_RANGE',
      `The ends of ${length.name} lie ${distance(length.from, length.to).toFixed(1)} pixels apart: pick them at least ${SHORTEST_PX} apart.`,
    );
  return length;
}

function byOneLength(length: KnownLength): Projective {
  const scale = length.lengthMm / distance(length.from, length.to);
  return scaledBy(scale, scale);
}

/** @source (sx·dx)² + (sy·dy)² = L² for both lengths: two linear equations for sx² and sy² */
function byTwoLengths(first: KnownLength, second: KnownLength): Projective {
  const squares = [first, second].map(({ from, to, lengthMm }) => ({
    x: (to.x - from.x) ** 2,
    y: (to.y - from.y) ** 2,
    l: lengthMm ** 2,
  }));
  const [a, b] = squares as [(typeof squares)[number], (typeof squares)[number]];
  const determinant = a.x * b.y - b.x * a.y;
  if (!(Math.abs(determinant) > FLATTEST_SINE * (a.x + a.y) * (b.x + b.y)))
    throw new CoreError(
      'DEGENERATE',
      `${first.name} and ${second.name} run too much alike: choose one along the sheet and one across it.`,
    );
  const across = (a.l * b.y - b.l * a.y) / determinant,
    up = (a.x * b.l - b.x * a.l) / determinant;
  if (!(across > 0 && up > 0))
    throw new CoreError(
      'DEGENERATE',
      `${first.name} and ${second.name} cannot both be right, whatever the stretch: check both numbers.`,
    );
  return scaledBy(Math.sqrt(across), Math.sqrt(up));
}

/** Four points around their middle in the order in which they go round on the screen, from the upper left. */
export function cornersInOrder(corners: readonly Point[]): readonly Point[] {
  const middle = {
    x: corners.reduce((sum, { x }) => sum + x, 0) / corners.length,
    y: corners.reduce((sum, { y }) => sum + y, 0) / corners.length,
  };
  const around = [...corners].sort(
    (a, b) => Math.atan2(a.y - middle.y, a.x - middle.x) - Math.atan2(b.y - middle.y, b.x - middle.x),
  );
  const first = around.reduce((best, p, index) => (p.x + p.y < around[best]!.x + around[best]!.y ? index : best), 0);
  return around.map((_, index) => around[(first + index) % around.length]!);
}

function byCorners(corners: readonly Point[], widthMm: number, heightMm: number): Projective {
  if (corners.length !== 4)
    throw new CoreError('OUT_OF_RANGE', `A rectangle has four corners, ${corners.length} are picked.`);
  if (!(widthMm > 0 && heightMm > 0))
    throw new CoreError('OUT_OF_RANGE', 'The rectangle needs a width and a height above 0.');
  const ordered = cornersInOrder(corners);
  ordered.forEach((corner, index) => {
    const [before, after] = [ordered[(index + 3) % 4]!, ordered[(index + 1) % 4]!];
    const [into, out] = [subtract(corner, before), subtract(after, corner)];
    const lengths = distance(before, corner) * distance(corner, after);
    if (!(cross(into, out) > FLATTEST_SINE * lengths))
      throw new CoreError(
        'DEGENERATE',
        'Three of the four corners lie on one line, or one lies inside the others: pick the corners of a rectangle.',
      );
  });
  return projectiveThrough(ordered, [
    { x: 0, y: heightMm },
    { x: widthMm, y: heightMm },
    { x: widthMm, y: 0 },
    { x: 0, y: 0 },
  ]);
}

/** A known length as the sheet shows it, and how far that is from what it should be. */
export interface LengthCheck {
  readonly id: string;
  readonly name: string;
  readonly lengthMm: number;
  readonly shownMm: number;
  /** Of what it should be; above 0 when the sheet shows it too long. */
  readonly offPerCent: number;
  /** The scale is set by it. */
  readonly isSetting: boolean;
}

/** Every known length of a sheet against its calibration. @throws CoreError as `sheetMap` */
export function lengthChecks(sheet: PlanSheet): readonly LengthCheck[] {
  const map = sheetMap(sheet),
    { calibration } = sheet;
  const setting =
    calibration.kind === 'one length'
      ? [calibration.lengthId]
      : calibration.kind === 'two lengths'
        ? calibration.lengthIds
        : [];
  return sheet.lengths.map(({ id, name, from, to, lengthMm }) => {
    const shownMm = distance(project(map, from), project(map, to));
    return { id, name, lengthMm, shownMm, offPerCent: (shownMm / lengthMm - 1) * 100, isSetting: setting.includes(id) };
  });
}

/** Why a calibration cannot stand, or undefined. */
export function calibrationFault(sheet: PlanSheet): string | undefined {
  try {
    sheetMap(sheet);
    return undefined;
  } catch (error) {
    if (error instanceof CoreError) return error.message;
    throw error;
  }
}
