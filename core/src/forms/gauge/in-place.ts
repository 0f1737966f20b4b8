import { sectionFaces } from '../../folds/index.ts';
import {
  dot3,
  intersectionOf,
  subtract3,
  boundsOf,
  type Point,
  type Point3,
  type Polygon,
  type RigidMap,
} from '../../geometry/index.ts';
import type { LaidGauge } from './laid-gauge.ts';
import type { GaugeSight } from './lay-set.ts';

/** What is seen of the airframe round a gauge, in mm beyond it. */
const ROUND_MM = 45;

const onFlat = ({ x, y, origin }: RigidMap, p: Point3): Point => {
  const off = subtract3(p, origin);
  return { x: dot3(off, x), y: dot3(off, y) };
};

/** What stands where a gauge is held, cut in its plane, on the flat of the gauge; nothing of one that is held nowhere in particular. */
export function cutRound({ standing }: Pick<GaugeSight, 'standing'>, { map, plates }: LaidGauge): readonly Polygon[] {
  if (!map) return [];
  const { minX, maxX, minY, maxY } = boundsOf(plates[0]!.outline.map(({ at }) => at));
  const window: Polygon = [
    { x: minX - ROUND_MM, y: minY - ROUND_MM },
    { x: maxX + ROUND_MM, y: minY - ROUND_MM },
    { x: maxX + ROUND_MM, y: maxY + ROUND_MM },
    { x: minX - ROUND_MM, y: maxY + ROUND_MM },
  ];
  const solids = standing.pieces.flatMap(({ body, maps }) =>
    body.solids.map((solid) => ({ solid, map: maps[solid.plate.index]! })),
  );
  return sectionFaces(solids, { normal: map.z, atMm: dot3(map.origin, map.z) }).flatMap(({ rings }) => {
    const flat = rings[0]!.map((p) => onFlat(map, p));
    return intersectionOf([flat], [window]).filter((ring) => ring.length > 2);
  });
}
