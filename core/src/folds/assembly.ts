import {
  boundsCentre,
  composeRigid,
  invertRigid,
  isInsideRegion,
  point3,
  STILL,
  turnAbout,
  type RigidMap,
} from '../geometry/index.ts';
import type { Part, Place } from '../part/index.ts';
import { fold, type FoldedPlates, type HingeState } from './fold.ts';
import type { FoldedPart } from './folded-part.ts';
import { clashesBetween } from './interference.ts';
import { jointLine, jointMap } from './joint-line.ts';
import { edgesNamed, placedEdge, type PlacedEdge } from './seam-edges.ts';
import { nearestState, type SeamState } from './seams.ts';
import type { StandingPart, StandingPiece } from './standing.ts';

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
export function placeMap({ at, rollDegrees, pitchDegrees, yawDegrees }: Place): RigidMap {
  const origin = point3(0, 0, 0);
  const turned = [
    turnAbout(origin, point3(1, 0, 0), rollDegrees),
    turnAbout(origin, point3(0, 1, 0), pitchDegrees),
    turnAbout(origin, point3(0, 0, 1), yawDegrees),
  ].reduce(composeRigid);
  return { ...turned, origin: at };
}

/** The map of a part with a place: the plate that the place speaks of stands there however far it is folded. */
function standingMap({ body }: StandingPart, place: Place, folded: FoldedPlates): RigidMap {
  const map = placeMap(place),
    at = place.onPlate;
  const plate = at && body.tree.plates.find(({ outer, holes }) => isInsideRegion(at, outer, holes));
  return plate ? composeRigid(invertRigid(folded[plate.index]!), map) : map;
}

/** Where a part lies that others stand on and that has no place of its own: flat, its centre line or its middle on the airframe's middle plane. */
function restingMap(part: Part, { resolved: { bounds } }: FoldedPart): RigidMap {
  const { symmetry } = part,
    middle = boundsCentre(bounds);
  if (symmetry?.along === 'upright')
    return { ...turnAbout(point3(0, 0, 0), point3(0, 0, 1), -90), origin: point3(0, symmetry.atMm, 0) };
  return { ...STILL, origin: point3(0, -(symmetry?.atMm ?? middle.y), 0) };
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
    if (one.part.place) stand(one, standingMap(one, one.part.place, own.get(one.part.id)!));
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

/** A seam between two parts: which part declares it, and between which pieces it lies. */
export interface AssemblySeam extends SeamState {
  readonly partId: string;
  readonly pieces: readonly [number, number];
}

/** The seams that parts declare with each other, between those of their pieces that lie nearest. */
export function assemblySeams(parts: readonly StandingPart[], { pieces }: Assembly): readonly AssemblySeam[] {
  const byId = new Map(parts.map((one) => [one.part.id, one] as const));
  const placedOf = ({ partId, body, maps }: StandingPiece, segmentId: string): readonly PlacedEdge[] =>
    edgesNamed(byId.get(partId)!.whole, body, segmentId).map((edge) => placedEdge(edge, maps[edge.solid.plate.index]!));
  return parts.flatMap(({ part }) =>
    (part.seams ?? []).flatMap((seam): readonly AssemblySeam[] => {
      if (seam.toPartId === undefined) return [];
      const pieceOf = new Map<PlacedEdge, number>();
      const edgesAt = (partId: string, segmentId: string): readonly (readonly [number, readonly PlacedEdge[]])[] =>
        pieces.flatMap((piece, index) => {
          if (piece.partId !== partId) return [];
          const edges = placedOf(piece, segmentId);
          edges.forEach((edge) => pieceOf.set(edge, index));
          return [[index, edges] as const];
        });
      const there = edgesAt(seam.toPartId, seam.toSegmentId);
      const pairs = edgesAt(part.id, seam.fromSegmentId).flatMap(([i, own]) =>
        there.flatMap(([j, others]) => (i === j ? [] : own.flatMap((a) => others.map((b) => [a, b] as const)))),
      );
      const state = nearestState(seam, pairs);
      return state
        ? [{ ...state, partId: part.id, pieces: [pieceOf.get(state.edges[0])!, pieceOf.get(state.edges[1])!] }]
        : [];
    }),
  );
}

/** Plates that are in each other by no more than this are pressed together by the glue, in mm: more is a fault. */
export const PRESS_FAULT_MM = 0.05;

/** Two standing pieces that are in each other. */
export interface AssemblyClash {
  readonly pieces: readonly [StandingPiece, StandingPiece];
  readonly depthMm: number;
  /** How many pairs of pieces of these two parts are in each other. */ readonly places: number;
}

/** Standing pieces that are in each other, deepest first; of the pieces of two parts the deepest are told, with how many pairs are in each other. */
export function assemblyClashes({ pieces }: Assembly): readonly AssemblyClash[] {
  const found = clashesBetween(
    pieces.map(({ body, maps }) => body.solids.map((solid) => ({ solid, map: maps[solid.plate.index]! }))),
  );
  const byParts = new Map<string, AssemblyClash>();
  for (const { bodies, depthMm } of found) {
    const pair = [pieces[bodies[0]]!, pieces[bodies[1]]!] as const,
      key = pair
        .map(({ partId }) => partId)
        .sort()
        .join('/');
    const before = byParts.get(key);
    byParts.set(key, before ? { ...before, places: before.places + 1 } : { pieces: pair, depthMm, places: 1 });
  }
  return [...byParts.values()];
}

/** The parts that stand together with one: by its own joints, by those of others, and on. */
export function standingWith(parts: readonly Part[], partId: string): readonly Part[] {
  const seen = new Set([partId]),
    queue = [partId];
  for (const id of queue) {
    // grows while it is walked
    const own = parts.find((part) => part.id === id)?.source?.formId;
    const next = parts.flatMap((part) => [
      ...(part.joints ?? []).flatMap(({ toPartId }) =>
        part.id === id ? [toPartId] : toPartId === id ? [part.id] : [],
      ),
      // A form's parts stand together by their places.
      ...(own !== undefined && part.source?.formId === own && part.place ? [part.id] : []),
    ]);
    for (const other of next)
      if (!seen.has(other)) {
        seen.add(other);
        queue.push(other);
      }
  }
  return parts.filter(({ id }) => seen.has(id));
}
