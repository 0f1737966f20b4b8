import { slotWidth } from '../allowance/index.ts';
import {
  add,
  boundsCentre,
  boundsOf,
  distance,
  dot,
  leftOf,
  subtract,
  times,
  unitVector,
  type Point,
} from '../geometry/index.ts';
import type { Contour, Part } from '../part/index.ts';
import type { DrawnPath } from '../paths/index.ts';

/** Narrowest slot that is cut, in mm: a press fit may not close it. */
const NARROWEST_SLOT_MM = 0.3;

/** Which way a slot runs: along its longest straight run. */
export function slotDirection(path: DrawnPath): Point {
  const runs = path.segments.map(
    (_, index) => [path.nodes[index]!, path.nodes[(index + 1) % path.nodes.length]!] as const,
  );
  const [a, b] = runs.reduce((longest, one) => (distance(...one) > distance(...longest) ? one : longest));
  return unitVector(a, b);
}

/** Whether a hole can follow a plate: closed, of straight runs, with some width. */
export const canHoldPlate = (path: DrawnPath): boolean =>
  path.closed && path.nodes.length >= 4 && path.segments.every(({ kind }) => kind === 'line');

/** What slots are fitted with: thicknesses in mm, plates by their material. */
export interface SlotContext {
  readonly thicknessMm: number;
  readonly plateThicknesses: Readonly<Record<string, number>>;
}

/**
 * The part with every slot as wide as its plate needs in boards as they were measured, or as wide as it is kept; places, lengths and ids
 * stay. A slot whose plate is of a material without a thickness stays as drawn.
 */
export function fitSlots(part: Part, context: SlotContext): Part {
  return part.contours.some(({ plate }) => plate)
    ? { ...part, contours: part.contours.map((contour) => fittedContour(contour, context)) }
    : part;
}

/** The width that a slot's plate needs, or undefined for a hole that follows no plate. */
export function neededWidth(contour: Contour, { thicknessMm, plateThicknesses }: SlotContext): number | undefined {
  const plateMm = contour.plate && plateThicknesses[contour.plate.material];
  if (!contour.plate || plateMm === undefined || !canHoldPlate(contour)) return undefined;
  return Math.max(NARROWEST_SLOT_MM, slotWidth(plateMm, contour.plate.slantDegrees, thicknessMm, contour.plate.fitMm));
}

/** The width that a slot is cut to, or undefined for a hole that follows no plate. */
export const fittedWidth = (contour: Contour, context: SlotContext): number | undefined =>
  neededWidth(contour, context) === undefined
    ? undefined
    : (contour.plate?.keptWidthMm ?? neededWidth(contour, context));

function fittedContour(contour: Contour, context: SlotContext): Contour {
  const widthMm = fittedWidth(contour, context);
  if (widthMm === undefined) return contour;
  const across = leftOf(slotDirection(contour));
  const centre = boundsCentre(boundsOf(contour.nodes));
  const offsets = contour.nodes.map((node) => dot(subtract(node, centre), across));
  const [least, most] = [Math.min(...offsets), Math.max(...offsets)];
  if (most - least < 1e-9) return contour;
  const middle = (least + most) / 2,
    k = widthMm / (most - least);
  return {
    ...contour,
    nodes: contour.nodes.map((node, index) => ({
      ...node,
      ...add(node, times(across, middle + (offsets[index]! - middle) * k - offsets[index]!)),
    })),
  };
}
