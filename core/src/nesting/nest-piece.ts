import {
  applyTransform,
  boundsOf,
  compose,
  counterClockwise,
  growRegion,
  mirrorX,
  polygonArea,
  rotation,
  translation,
  type Point,
  type Shape,
  type Transform,
} from '../geometry/index.ts';
import type { NestPart, Placement, XY } from './instance.ts';
import { slabShape, type SlabShape } from './slab-shape.ts';

/** Growth beyond half the clearance that makes up for corner arcs lying inside the true arc, in mm. */
const ARC_RESERVE_MM = 0.015;

/** One way a part may lie, grown by half the clearance and cut into slabs. */
export interface Pose {
  readonly rotation: number;
  readonly mirrored: boolean;
  readonly slabs: SlabShape;
}

/** A part made ready to nest. */
export interface NestPiece {
  readonly part: NestPart;
  readonly areaMm2: number;
  readonly longestMm: number;
  readonly poses: readonly Pose[];
}

const points = (ring: readonly XY[]): Point[] => ring.map(([x, y]) => ({ x, y }));

/** The map that a placement stands for. */
export function placementTransform(placement: Pick<Placement, 'x' | 'y' | 'rotation' | 'mirrored'>): Transform {
  const turned = placement.mirrored ? compose(mirrorX(0), rotation(placement.rotation)) : rotation(placement.rotation);
  return compose(turned, translation(placement.x, placement.y));
}

/** The outline and holes of a placed part, in the board's frame. */
export function placedShape(
  part: Pick<NestPart, 'polygon' | 'holes'>,
  placement: Pick<Placement, 'x' | 'y' | 'rotation' | 'mirrored'>,
): Shape {
  const t = placementTransform(placement);
  const placed = (ring: readonly XY[]): Point[] => points(ring).map((p) => applyTransform(t, p));
  return { outer: placed(part.polygon), holes: (part.holes ?? []).map(placed) };
}

/** Grows a part by half the clearance and cuts it into slabs, in each turn that it may take. */
export function nestPiece(part: NestPart, clearanceMm: number, pitchMm: number): NestPiece {
  const outer = counterClockwise(points(part.polygon));
  const holes = (part.holes ?? []).map((hole) => [...counterClockwise(points(hole))].reverse());
  const grown = clearanceMm > 0 ? growRegion([outer, ...holes], clearanceMm / 2 + ARC_RESERVE_MM) : [outer, ...holes];
  const mirrors = part.allowMirror ? [false, true] : [false];
  const poses = mirrors.flatMap((mirrored) =>
    part.rotations.map((turn): Pose => {
      const t = placementTransform({ x: 0, y: 0, rotation: turn, mirrored });
      return {
        rotation: turn,
        mirrored,
        slabs: slabShape(
          grown.map((ring) => ring.map((p) => applyTransform(t, p))),
          pitchMm,
        ),
      };
    }),
  );
  const box = boundsOf(outer);
  return { part, areaMm2: polygonArea(outer), longestMm: Math.max(box.maxX - box.minX, box.maxY - box.minY), poses };
}
