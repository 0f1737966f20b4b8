import { STEEPEST_BEVEL_DEGREES, unequalBevelAngles } from '../allowance/index.ts';
import type { PartCommand } from '../editing/index.ts';
import {
  applyRigid,
  cross3,
  dot,
  dot3,
  interpolate3,
  invertRigid,
  leftOf,
  length3,
  subtract,
  subtract3,
  times,
  times3,
  turnVector,
  unit3,
  unitVector,
  type Point,
  type Point3,
} from '../geometry/index.ts';
import type { BoardFace } from '../operations/index.ts';
import { drawnId } from '../part/index.ts';
import { degrees } from '../units/index.ts';
import type { Line3, PlacedEdge } from './seam-edges.ts';
import { seamLines, type SeamState } from './seams.ts';

/** An edit that mends a seam, and which of its two edges' parts it changes. */
export interface SeamMend {
  readonly side: 0 | 1;
  readonly command: PartCommand;
}

/**
 * The edit that closes a seam: of its two edges the one that can reach the other within its own plate is moved, straight across itself.
 * @param scale factor that the parts are folded at; the edit is made on their drawings
 * @returns undefined when neither can, or the seam is closed to a hundredth
 */
export function closingMend(state: SeamState, scale = 1): SeamMend | undefined {
  if (state.gapMm < 0.01) return undefined;
  const lines = seamLines(state);
  const steps = ([0, 1] as const).flatMap((side) => {
    const step = stepTo(state.edges[side], lines[side], lines[1 - side]!);
    return step ? [{ side, ...step }] : [];
  });
  const best = [...steps].sort((a, b) => a.offPlaneMm - b.offPlaneMm)[0];
  if (!best || best.offPlaneMm > Math.max(0.2, 0.5 * Math.abs(best.acrossMm))) return undefined;
  return {
    side: best.side,
    command: {
      name: 'moveEdge',
      args: { segmentId: drawnId(state.edges[best.side].edge.segmentId), acrossMm: best.acrossMm / scale },
    },
  };
}

/** How far an edge must go to the left, straight across itself in its own plate, to lie on a line in space; and how far off its plate the line is. */
function stepTo(
  { edge, map }: PlacedEdge,
  own: Line3,
  line: Line3,
): { readonly acrossMm: number; readonly offPlaneMm: number } | undefined {
  const back = invertRigid(map);
  const middle = interpolate3(own[0], own[1], 0.5);
  const along = subtract3(line[1], line[0]),
    squared = length3(along) ** 2;
  if (squared === 0) return undefined;
  const t = Math.min(1, Math.max(0, dot3(subtract3(middle, line[0]), along) / squared));
  const [here, there] = [applyRigid(back, middle), applyRigid(back, interpolate3(line[0], line[1], t))];
  const across = leftOf(unitVector(edge.from, edge.to));
  const step = dot(subtract(there, here), across);
  return {
    acrossMm: edge.isBoardLeft ? step : -step,
    offPlaneMm: Math.hypot(there.z - here.z, length2(subtract(subtract(there, here), times(across, step)))),
  };
}
const length2 = (p: Point): number => Math.hypot(p.x, p.y);

/** Bevels that let both edges of a seam meet along their whole depth. */
export interface SeamBevels {
  /** Turn between the two plates, from their normals. */
  readonly turnDegrees: number;
  /** Side of the board that is bevelled, of each. */
  readonly faces: readonly [BoardFace, BoardFace];
  readonly wanted: readonly [number, number];
  readonly present: readonly [number, number];
}

/** Bevels nearer than this are one, in degrees. */
const SAME_BEVEL_DEGREES = 0.3;

/**
 * The bevels that a seam between two plates' outer skins wants, when it has others: half the turn each, or by the formula for unequal
 * plates. The turn comes from where the plates lie.
 * @returns undefined when the bevels are right, an end stands on a face, the plates go on flat, or one of them is a line
 */
export function bevelsOf(state: SeamState): SeamBevels | undefined {
  const [a, b] = state.edges;
  if (a.edge.isLine || b.edge.isLine) return undefined;
  const [outA, outB] = [outward(a), outward(b)];
  const turnDegrees = degrees(Math.acos(Math.max(-1, Math.min(1, -dot3(outA, outB)))));
  if (turnDegrees < 2 || turnDegrees > 178) return undefined;
  // The skin outside the bend is the one that the other plate turns away from. Met at any other skin, an end stands on a face.
  const outer = [outerSkin(a, outB), outerSkin(b, outA)] as const;
  if (outer[0] !== state.skins[0] || outer[1] !== state.skins[1]) return undefined;
  const wanted = unequalBevelAngles(turnDegrees, a.edge.solid.thicknessMm, b.edge.solid.thicknessMm);
  const present = [bevelOf(a, outer[0]), bevelOf(b, outer[1])] as const;
  if (wanted.every((angle, index) => Math.abs(angle - present[index]!) <= SAME_BEVEL_DEGREES)) return undefined;
  return { turnDegrees, faces: [BEVELLED[outer[0]], BEVELLED[outer[1]]], wanted, present };
}

/** A bevel is cut from the skin across from the one that stays. */
const BEVELLED = ['face', 'back'] as const;

/** Which skin of a plate lies outside its bend with another, which goes on in a direction from their edge: 0 the far skin, 1 the face. */
const outerSkin = ({ map }: PlacedEdge, otherOutward: Point3): 0 | 1 =>
  dot3(turnVector(map, { x: 0, y: 0, z: 1 }), otherOutward) < 0 ? 0 : 1;

/** The edits that give both edges of a seam their bevels; none when a knife cannot cut one of them. */
export function bevellingMends(state: SeamState): readonly SeamMend[] {
  const bevels = bevelsOf(state);
  if (!bevels || bevels.wanted.some((angle) => angle < 0 || angle > STEEPEST_BEVEL_DEGREES)) return [];
  return ([0, 1] as const)
    .filter((side) => Math.abs(bevels.wanted[side] - bevels.present[side]) > SAME_BEVEL_DEGREES)
    .map((side) => ({
      side,
      command: {
        name: 'bevelEdge',
        args: {
          segmentId: drawnId(state.edges[side].edge.segmentId),
          face: bevels.faces[side],
          bevelDegrees: bevels.wanted[side],
        },
      },
    }));
}

/** Away from the plate, across its edge and in its plane. */
function outward({ edge, map }: PlacedEdge): Point3 {
  const along = unitVector(edge.from, edge.to);
  return turnVector(map, { x: along.y, y: -along.x, z: 0 });
}

/** Tilt of an edge's cut from the board's normal, more than 0 when it leans in over the skin that meets. */
function bevelOf({ edge: { flat, solid } }: PlacedEdge, meeting: 0 | 1): number {
  const [here, over] = [flat[meeting], flat[1 - meeting]!];
  const along = unit3(subtract3(here[1], here[0])),
    offset = subtract3(over[0], here[0]);
  const across = subtract3(offset, times3(along, dot3(offset, along)));
  const left = cross3({ x: 0, y: 0, z: 1 }, along);
  return degrees(Math.atan(dot3(across, left) / solid.thicknessMm));
}
