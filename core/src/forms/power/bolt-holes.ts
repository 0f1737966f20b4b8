import type { Point } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import type { BoltPattern } from './parameters.ts';

/** The middles of a pattern's bolts round a motor's middle. */
export function boltPlaces(
  { kind, firstMm, secondMm, bolts, turnDegrees }: BoltPattern,
  middle: Point,
): readonly Point[] {
  const at = (degrees: number, acrossMm: number): Point => {
    const angle = radians(degrees + turnDegrees);
    return { x: middle.x + (acrossMm / 2) * Math.cos(angle), y: middle.y + (acrossMm / 2) * Math.sin(angle) };
  };
  if (kind === 'circle') return Array.from({ length: bolts }, (_, index) => at(90 + (360 * index) / bolts, firstMm));
  const other = kind === 'cross' ? firstMm : secondMm;
  return [at(45, firstMm), at(135, other), at(225, firstMm), at(315, other)];
}
