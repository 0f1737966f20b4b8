import type { PartCommand } from '@grain-fold/core/editing';
import { isOnEdge } from '@grain-fold/core/features';
import { distance, nearestOnCurve, subtract, type Point } from '@grain-fold/core/geometry';
import { findPath, pathsOf, placedGuides, type Contour, type DrawnLine, type Part } from '@grain-fold/core/part';
import { curveOf, curvesNear, type Segment } from '@grain-fold/core/paths';
import type { Picked } from '@grain-fold/core/pointing';
import type { Chosen } from '../../selection.ts';

/** The command that a drag to a place gives. */
export type DragCommand = (to: Point) => PartCommand;

/** What can be dragged: the place that snaps while it moves, points that must not catch themselves, and what moving it gives. */
export interface Draggable {
  readonly anchor: Point;
  readonly except: readonly string[];
  readonly commandFor: DragCommand;
}

/** What a press chooses, and what dragging it from there does. */
export interface Choice {
  readonly chosen: Chosen | undefined;
  readonly drag?: Draggable;
}

/** A run of a path that is chosen. */
export interface ChosenRun {
  readonly path: Contour | DrawnLine;
  readonly segment: Segment;
  readonly index: number;
}

/**
 * What pressing on something chooses.
 * @param picked what lies under the pointer, as it was drawn
 * @param from where it was pressed, on the half that is drawn
 * @param before what was chosen, to which `adds` adds
 * @param chosenPathIds whole paths that the choice before stands for
 */
export function choiceOf(
  part: Part,
  picked: Picked,
  from: Point,
  adds: boolean,
  before: Chosen | undefined,
  chosenPathIds: readonly string[],
): Choice {
  switch (picked.kind) {
    case 'guide':
      return withDrag({ kind: 'guide', guideId: picked.guideId }, from, [], guideDrag(part, picked.guideId, from));
    case 'feature':
      return featureChoice(part, picked.featureId);
    case 'node':
      return nodeChoice(part, picked.nodeId, adds, before?.kind === 'nodes' ? before.ids : []);
    default:
      if (adds) {
        const has = chosenPathIds.includes(picked.pathId);
        const ids = has ? chosenPathIds.filter((id) => id !== picked.pathId) : [...chosenPathIds, picked.pathId];
        return { chosen: { kind: 'paths', ids } };
      }
      return groupChoice(part, picked.pathId, from) ?? lineChoice(part, picked, from);
  }
}

const withDrag = (
  chosen: Chosen,
  anchor: Point,
  except: readonly string[],
  commandFor: DragCommand | undefined,
): Choice => (commandFor ? { chosen, drag: { anchor, except, commandFor } } : { chosen });

function featureChoice(part: Part, featureId: string): Choice {
  const chosen: Chosen = { kind: 'feature', featureId };
  const feature = part.features?.find(({ id }) => id === featureId);
  if (!feature || isOnEdge(feature)) return { chosen };
  return withDrag(chosen, feature.at, [], (to) => ({
    name: 'moveFeature',
    args: { featureId, by: subtract(to, feature.at) },
  }));
}

function nodeChoice(part: Part, nodeId: string, adds: boolean, before: readonly string[]): Choice {
  const isAmong = before.includes(nodeId) && !adds;
  const ids = isAmong ? before : adds ? [...new Set([...before, nodeId])] : [nodeId];
  const anchor = pathsOf(part)
    .flatMap(({ nodes }) => nodes)
    .find(({ id }) => id === nodeId)!;
  return withDrag({ kind: 'nodes', ids }, anchor, ids, (to) => ({
    name: 'moveNodes',
    args: { nodeIds: ids, by: subtract(to, anchor) },
  }));
}

/** Paths that were grouped are chosen and moved as one. */
function groupChoice(part: Part, pathId: string, from: Point): Choice | undefined {
  const group = part.pathGroups?.find(({ pathIds }) => pathIds.includes(pathId));
  if (!group) return undefined;
  const { pathIds } = group;
  const nodeIds = pathsOf(part)
    .filter(({ id }) => pathIds.includes(id))
    .flatMap(({ nodes }) => nodes.map(({ id }) => id));
  return withDrag({ kind: 'paths', ids: pathIds }, from, nodeIds, (to) => ({
    name: 'arrangePaths',
    args: { pathIds, motion: { kind: 'move', by: subtract(to, from) }, copies: 0 },
  }));
}

function lineChoice(part: Part, picked: Extract<Picked, { pathId: string }>, from: Point): Choice {
  const path = findPath(part, picked.pathId)!;
  if (picked.kind === 'segment') {
    const { pathId, segmentId, t } = picked;
    const index = path.segments.findIndex(({ id }) => id === segmentId);
    const ids = [path.nodes[index]!.id, path.nodes[(index + 1) % path.nodes.length]!.id];
    return withDrag({ kind: 'segment', pathId, segmentId, t }, from, ids, (to) => ({
      name: 'moveNodes',
      args: { nodeIds: ids, by: subtract(to, from) },
    }));
  }
  const chosen: Chosen = { kind: 'operation', operationId: (picked as { operationId: string }).operationId };
  if ('role' in path) return { chosen };
  const nodeIds = path.nodes.map(({ id }) => id);
  return withDrag(chosen, from, nodeIds, (to) => ({
    name: 'movePath',
    args: { pathId: path.id, by: subtract(to, from) },
  }));
}

/** What dragging a guide gives: one beside an edge changes its distance, others move. */
export function guideDrag(part: Part, guideId: string, from: Point): DragCommand | undefined {
  const placed = placedGuides(part).find(({ guide }) => guide.id === guideId);
  if (!placed) return undefined;
  const { guide, shape } = placed;
  if (guide.kind === 'circle')
    return (to) => ({ name: 'changeGuide', args: { guideId, changes: { radiusMm: distance(to, guide.at) } } });
  if (guide.kind === 'line')
    return (to) => ({
      name: 'changeGuide',
      args: { guideId, changes: { at: { x: guide.at.x + to.x - from.x, y: guide.at.y + to.y - from.y } } },
    });
  const offset = (p: Point): number =>
    shape.kind === 'circle'
      ? distance(p, shape.centre) - shape.radiusMm
      : (p.y - shape.through.y) * shape.direction.x - (p.x - shape.through.x) * shape.direction.y;
  return (to) => ({
    name: 'changeGuide',
    args: { guideId, changes: { byMm: guide.byMm + offset(to) - offset(from) } },
  });
}

/** The run under the pointer: an edge, or the nearest run of a line. */
export function edgeUnder(
  part: Part,
  picked: Picked | undefined,
  at: Point,
): { readonly pathId: string; readonly segmentId: string } | undefined {
  if (picked?.kind === 'segment') return { pathId: picked.pathId, segmentId: picked.segmentId };
  const path = picked?.kind === 'operation' ? findPath(part, picked.pathId) : undefined;
  if (!path) return undefined;
  const near = path.segments
    .map((segment, index) => ({ segment, d: nearestOnCurve(curveOf(path, index), at).distance }))
    .reduce((a, b) => (b.d < a.d ? b : a));
  return { pathId: path.id, segmentId: near.segment.id };
}

/** The handle of the chosen curve or arc under the pointer, as the command that dragging it gives. */
export function handleDrag(chosen: ChosenRun, at: Point, reachMm: number): DragCommand | undefined {
  const { segment, path, index } = chosen;
  if (segment.kind === 'cubic') {
    if (distance(segment.control1, at) <= reachMm)
      return (to) => ({
        name: 'changeSegment',
        args: { segmentId: segment.id, to: { kind: 'cubic', control1: to, control2: segment.control2 } },
      });
    if (distance(segment.control2, at) <= reachMm)
      return (to) => ({
        name: 'changeSegment',
        args: { segmentId: segment.id, to: { kind: 'cubic', control1: segment.control1, control2: to } },
      });
  }
  if (segment.kind !== 'arc') return undefined;
  const { from, to: end } = curveOf(path, index);
  const chord = distance(from, end);
  const middle = {
    x: (from.x + end.x) / 2 + (segment.bulge * (end.y - from.y)) / 2,
    y: (from.y + end.y) / 2 - (segment.bulge * (end.x - from.x)) / 2,
  };
  if (distance(middle, at) > reachMm) return undefined;
  return (to) => {
    const rise = ((to.x - from.x) * (end.y - from.y) - (to.y - from.y) * (end.x - from.x)) / chord; // to the right of the run
    return {
      name: 'changeSegment',
      args: { segmentId: segment.id, to: { kind: 'arc', bulge: Math.max(-20, Math.min(20, (2 * rise) / chord)) } },
    };
  };
}

/** The stretch of a line under the pointer, to be taken out; outlines and holes are left. */
export function trimTarget(
  part: Part,
  at: Point,
  reachMm: number,
): { readonly segmentId: string; readonly t: number } | undefined {
  const nearest = curvesNear(pathsOf(part), at, reachMm)
    .filter(({ path }) => !('role' in path))
    .map((one) => ({ ...one, near: nearestOnCurve(one.curve, at) }))
    .filter(({ near }) => near.distance <= reachMm)
    .sort((a, b) => a.near.distance - b.near.distance)[0];
  return nearest && { segmentId: nearest.path.segments[nearest.index]!.id, t: nearest.near.t };
}
