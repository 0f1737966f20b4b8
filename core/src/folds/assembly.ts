import {
  applyRigid,
  boundsCentre,
  composeRigid,
  cross3,
  interpolate,
  interpolate3,
  invertRigid,
  isInsideRegion,
  point3,
  STILL,
  subtract3,
  times3,
  turnAbout,
  turnVector,
  unit3,
  add3,
  type Point,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';
import { findSegment, type Joint, type Part, type Place } from '../part/index.ts';
import { fold, type FoldedPlates, type HingeState } from './fold.ts';
import type { FoldedPart } from './folded-part.ts';
import { clashesBetween } from './interference.ts';
import { placedEdge, type Line3, type PlacedEdge } from './seam-edges.ts';
import { edgesOf, nearestState, type SeamState } from './seams.ts';

/** A part with what it folds to, to be stood with others. */
export interface StandingPart {
  readonly part: Part;
  /** The part made whole. */
  readonly whole: Part;
  readonly body: FoldedPart;
}

/** One piece where it stands. The starboard piece of a pair is the port piece seen in the airframe's middle plane. */
export interface StandingPiece {
  readonly partId: string;
  readonly side: 'single' | 'port' | 'starboard';
  /** The joint it stands by; undefined for one that has a place of its own. */
  readonly jointId?: string;
  readonly body: FoldedPart;
  /** For each plate the map from the flat part into the airframe. */
  readonly maps: FoldedPlates;
}

/** Why a piece could not be stood. */
export interface StrayJoint {
  readonly partId: string;
  readonly jointId: string;
  readonly reason: 'part gone' | 'line gone' | 'own line gone' | 'stands nowhere';
}

/** Parts stood together: their pieces and what stands nowhere. */
export interface Assembly {
  readonly pieces: readonly StandingPiece[];
  readonly strays: readonly StrayJoint[];
}

/** The middle plane of the airframe as a mirror. */
const MIDDLE_PLANE: RigidMap = { ...STILL, y: point3(0, -1, 0) };

/** The map of a place: rolled, pitched, yawed, then moved. */
function placeMap({ at, rollDegrees, pitchDegrees, yawDegrees }: Place): RigidMap {
  const origin = point3(0, 0, 0);
  const turned = [
    turnAbout(origin, point3(1, 0, 0), rollDegrees),
    turnAbout(origin, point3(0, 1, 0), pitchDegrees),
    turnAbout(origin, point3(0, 0, 1), yawDegrees),
  ].reduce(composeRigid);
  return { ...turned, origin: at };
}

/** Where a part lies that others stand on and that has no place of its own: flat, its centre line or its middle on the airframe's middle plane. */
function restingMap(part: Part, { resolved: { bounds } }: FoldedPart): RigidMap {
  const { symmetry } = part,
    middle = boundsCentre(bounds);
  if (symmetry?.along === 'upright')
    return { ...turnAbout(point3(0, 0, 0), point3(0, 0, 1), -90), origin: point3(0, symmetry.atMm, 0) };
  return { ...STILL, origin: point3(0, -(symmetry?.atMm ?? middle.y), 0) };
}

/** A line of a plate on the flat part: on the far skin and on the face, the plate on its left. */
interface JointLine {
  readonly plate: number;
  readonly lines: readonly [Line3, Line3];
}

/** The longest free piece of a straight edge, or a straight line drawn on a plate. */
function jointLine({ whole, body }: StandingPart, segmentId: string): JointLine | undefined {
  const length = ({ from, to }: { readonly from: Point; readonly to: Point }): number =>
    Math.hypot(to.x - from.x, to.y - from.y);
  const edge = body.edges
    .filter((one) => one.segmentId === segmentId || one.segmentId.replace(/~f.*$/, '') === segmentId)
    .sort((a, b) => length(b) - length(a))[0];
  if (edge) return { plate: edge.solid.plate.index, lines: edge.flat };
  const found = findSegment(whole, segmentId);
  if (!found || 'role' in found.path || found.path.segments[found.index]!.kind !== 'line') return undefined;
  const from = found.path.nodes[found.index]!,
    to = found.path.nodes[(found.index + 1) % found.path.nodes.length]!,
    middle = interpolate(from, to, 0.5);
  const plate = body.tree.plates.find(
    ({ kind, outer, holes }) => kind === 'board' && isInsideRegion(middle, outer, holes),
  );
  const line = (z: number): Line3 => [
    { x: from.x, y: from.y, z },
    { x: to.x, y: to.y, z },
  ];
  return plate && { plate: plate.index, lines: [line(0), line(body.resolved.thicknessMm)] };
}

const SKIN = { back: 0, face: 1 } as const;

/** A frame on a line of a plate: x along it, y to its left within the plate, z out of its face. */
function frameOn([from, to]: Line3, normal: Point3): RigidMap {
  const x = unit3(subtract3(to, from));
  return { x, y: cross3(normal, x), z: normal, origin: interpolate3(from, to, 0.5) };
}

/**
 * The map that stands a part on another by a joint.
 * @source the two lines run against each other like those of neighbours across a fold; then the piece turns about the line
 */
function jointMap(
  joint: Joint,
  own: { readonly line: JointLine; readonly maps: FoldedPlates },
  to: { readonly line: JointLine; readonly maps: FoldedPlates },
): RigidMap {
  const carried = ({ line, maps }: typeof own, skin: 'back' | 'face'): RigidMap => {
    const map = maps[line.plate]!,
      [a, b] = line.lines[SKIN[skin]];
    return frameOn([applyRigid(map, a), applyRigid(map, b)], turnVector(map, point3(0, 0, 1)));
  };
  const mine = carried(own, joint.ownSkin),
    there = carried(to, joint.toSkin),
    sign = joint.isReversed ? 1 : -1;
  const origin = add3(there.origin, times3(there.x, joint.alongMm));
  const onLine: RigidMap = { x: times3(there.x, sign), y: times3(there.y, sign), z: there.z, origin };
  return composeRigid(composeRigid(invertRigid(mine), onLine), turnAbout(origin, onLine.x, joint.turnDegrees));
}

/**
 * Stands parts together: those with a place or on which others rest first, then piece by piece what stands on them.
 * @param state how far every fold is turned
 */
export function assemble(parts: readonly StandingPart[], state: HingeState): Assembly {
  const own = new Map(parts.map((one) => [one.part.id, fold(one.body.tree, state)] as const));
  const carriers = new Set(parts.flatMap(({ part }) => (part.joints ?? []).map(({ toPartId }) => toPartId)));
  const first = new Map<string, FoldedPlates>(),
    pieces: StandingPiece[] = [];
  const stand = ({ part, body }: StandingPart, map: RigidMap, jointId?: string): void => {
    const maps = own.get(part.id)!.map((plate) => composeRigid(plate, map));
    if (!first.has(part.id)) first.set(part.id, maps);
    const piece = { partId: part.id, body, ...(jointId ? { jointId } : {}) };
    if (part.handed === 'single') pieces.push({ ...piece, side: 'single', maps });
    else
      pieces.push(
        { ...piece, side: 'port', maps },
        { ...piece, side: 'starboard', maps: maps.map((plate) => composeRigid(plate, MIDDLE_PLANE)) },
      );
  };
  for (const one of parts) {
    if (one.part.place) stand(one, placeMap(one.part.place));
    else if (carriers.has(one.part.id) && !one.part.joints?.length) stand(one, restingMap(one.part, one.body));
  }
  const byId = new Map(parts.map((one) => [one.part.id, one] as const)),
    strays: StrayJoint[] = [];
  let waiting = parts.flatMap((one) => (one.part.joints ?? []).map((joint) => ({ one, joint })));
  for (;;) {
    const left = waiting.filter(({ one, joint }) => {
      const to = byId.get(joint.toPartId),
        stray = (reason: StrayJoint['reason']): false => {
          strays.push({ partId: one.part.id, jointId: joint.id, reason });
          return false;
        };
      if (!to) return stray('part gone');
      const toMaps = first.get(joint.toPartId);
      if (!toMaps) return true;
      const ownLine = jointLine(one, joint.ownSegmentId),
        toLine = jointLine(to, joint.toSegmentId);
      if (!ownLine) return stray('own line gone');
      if (!toLine) return stray('line gone');
      stand(
        one,
        jointMap(joint, { line: ownLine, maps: own.get(one.part.id)! }, { line: toLine, maps: toMaps }),
        joint.id,
      );
      return false;
    });
    if (left.length === waiting.length || left.length === 0)
      return {
        pieces,
        strays: [
          ...strays,
          ...left.map(({ one, joint }): StrayJoint => ({
            partId: one.part.id,
            jointId: joint.id,
            reason: 'stands nowhere',
          })),
        ],
      };
    waiting = left;
  }
}

const edgesOfPiece = ({ body, maps }: StandingPiece): readonly PlacedEdge[] =>
  body.edges.map((edge) => placedEdge(edge, maps[edge.solid.plate.index]!));

/** A seam between two parts: which part declares it, and between which pieces it lies. */
export interface AssemblySeam extends SeamState {
  readonly partId: string;
  readonly pieces: readonly [number, number];
}

/** The seams that parts declare with each other, between those of their pieces that lie nearest. */
export function assemblySeams(parts: readonly StandingPart[], { pieces }: Assembly): readonly AssemblySeam[] {
  const edges = pieces.map(edgesOfPiece);
  return parts.flatMap(({ part }) =>
    (part.seams ?? []).flatMap((seam): readonly AssemblySeam[] => {
      if (seam.toPartId === undefined) return [];
      const pairs = pieces.flatMap((from, i) =>
        from.partId !== part.id
          ? []
          : pieces.flatMap((to, j) =>
              i === j || to.partId !== seam.toPartId
                ? []
                : edgesOf(edges[i]!, seam.fromSegmentId).flatMap((a) =>
                    edgesOf(edges[j]!, seam.toSegmentId).map((b) => [a, b] as const),
                  ),
            ),
      );
      const state = nearestState(seam, pairs);
      const pieceOf = (edge: PlacedEdge): number => edges.findIndex((own) => own.includes(edge));
      return state ? [{ ...state, partId: part.id, pieces: [pieceOf(state.edges[0]), pieceOf(state.edges[1])] }] : [];
    }),
  );
}

/** Two standing pieces that are in each other. */
export interface AssemblyClash {
  readonly pieces: readonly [StandingPiece, StandingPiece];
  readonly depthMm: number;
}

/** Standing pieces that are in each other, deepest first; of a pair and its image one is told. */
export function assemblyClashes({ pieces }: Assembly): readonly AssemblyClash[] {
  const found = clashesBetween(
    pieces.map(({ body, maps }) => body.solids.map((solid) => ({ solid, map: maps[solid.plate.index]! }))),
  );
  const told = new Set<string>();
  return found.flatMap(({ bodies: [i, j], depthMm }) => {
    const key = [pieces[i]!.partId, pieces[j]!.partId].sort().join('/');
    if (told.has(key)) return [];
    told.add(key);
    return [{ pieces: [pieces[i]!, pieces[j]!] as const, depthMm }];
  });
}

/** The parts that stand together with one: by its own joints, by those of others, and on. */
export function standingWith(parts: readonly Part[], partId: string): readonly Part[] {
  const seen = new Set([partId]),
    queue = [partId];
  for (const id of queue) {
    // grows while it is walked
    const next = parts.flatMap((part) =>
      (part.joints ?? []).flatMap(({ toPartId }) => (part.id === id ? [toPartId] : toPartId === id ? [part.id] : [])),
    );
    for (const other of next)
      if (!seen.has(other)) {
        seen.add(other);
        queue.push(other);
      }
  }
  return parts.filter(({ id }) => seen.has(id));
}
