import {
  applyTransform,
  boundsOf,
  compose,
  counterClockwise,
  growBounds,
  growRegion,
  mirrorX,
  polygonArea,
  rotation,
  translation,
  unionOf,
  type Point,
  type Region,
  type Shape,
  type Transform,
} from '../geometry/index.ts';
import type { NestBoard, NestPart, Placement, TakenShape, XY } from './instance.ts';
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

/** The outline and holes of a shape grown by a distance; nothing shrinks. @param arcToleranceMm as growRegion has it */
export function grownShape({ outer, holes }: Shape, byMm: number, arcToleranceMm?: number): Region {
  const rings = [counterClockwise(outer), ...holes.map((hole) => [...counterClockwise(hole)].reverse())];
  return byMm > 0 ? growRegion(rings, byMm, arcToleranceMm) : rings;
}

const shapeOf = ({ polygon, holes = [] }: TakenShape): Shape => ({ outer: points(polygon), holes: holes.map(points) });

/** The shapes that lie on a board already. */
export const takenShapes = ({ taken = [] }: Pick<NestBoard, 'taken'>): readonly Shape[] => taken.map(shapeOf);

/** What slabs' outlines are grown by, in mm: half the clearance, and what makes up for corner arcs. */
export const slabGrowth = (clearanceMm: number): number => (clearanceMm > 0 ? clearanceMm / 2 + ARC_RESERVE_MM : 0);

/** What the shapes that lie on a board already keep others from: each grown by half the clearance, all in one. */
export const takenRegion = (taken: readonly TakenShape[], clearanceMm: number): Region =>
  unionOf(taken.flatMap((shape) => grownShape(shapeOf(shape), slabGrowth(clearanceMm))));

/** Grows a part by half the clearance and cuts it into slabs, in each turn that it may take. */
export function nestPiece(part: NestPart, clearanceMm: number, pitchMm: number): NestPiece {
  const shape = shapeOf(part);
  const growth = slabGrowth(clearanceMm),
    grown = grownShape(shape, growth);
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
          growBounds(boundsOf(shape.outer.map((p) => applyTransform(t, p))), growth),
        ),
      };
    }),
  );
  const box = boundsOf(shape.outer);
  return {
    part,
    areaMm2: polygonArea(shape.outer),
    longestMm: Math.max(box.maxX - box.minX, box.maxY - box.minY),
    poses,
  };
}
