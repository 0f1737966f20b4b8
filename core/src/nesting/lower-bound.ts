import { polygonArea } from '../geometry/index.ts';
import type { NestInstance, XY } from './instance.ts';

const areaOf = (ring: readonly XY[]): number => polygonArea(ring.map(([x, y]) => ({ x, y })));
const lessHoles = (outer: readonly XY[], holes: readonly (readonly XY[])[] = []): number =>
  areaOf(outer) - holes.reduce((sum, hole) => sum + areaOf(hole), 0);

/**
 * Boards that no nest can do without, by area alone: that of all parts over that of the largest board. Effective boards are never
 * fewer, for no part lies in the free rectangle of the last.
 */
export function boardsByArea({ boards, parts }: NestInstance): number {
  const largest = Math.max(
    0,
    ...boards.map(({ width, height, polygon }) => (polygon ? areaOf(polygon) : width * height)),
  );
  const wanted = parts.reduce((sum, { polygon, holes, quantity }) => sum + quantity * lessHoles(polygon, holes), 0);
  return largest > 0 ? wanted / largest : 0;
}
