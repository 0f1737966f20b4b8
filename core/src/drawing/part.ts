import { CoreError } from '../units/index.ts';
import { isFinitePoint, type Curve, type Path, type Point } from '../geometry/index.ts';
import type { GrainRule } from '../stock/index.ts';
import type { Dimension } from './dimension.ts';
import type { Operation } from './operations/operation.ts';

/** A corner or end of a drawn path. Its id never changes while it exists. */
export interface PathNode extends Point { readonly id: string }

/** How a path runs from one node to the next. Its id never changes; a split keeps it on the first half. */
export type Segment =
  | { readonly id: string; readonly kind: 'line' }
  | { readonly id: string; readonly kind: 'arc'; /** tan of a quarter of the sweep, positive counter-clockwise */ readonly bulge: number }
  | { readonly id: string; readonly kind: 'cubic'; readonly control1: Point; readonly control2: Point };

/** Nodes joined by segments: segment i runs from node i to node i + 1; a closed path has one from the last to the first. */
export interface DrawnPath {
  readonly id: string;
  readonly closed: boolean;
  readonly nodes: readonly PathNode[];
  readonly segments: readonly Segment[];
}

/** What scaling does to a hole or a closed line: it grows, it keeps its size, or only its length grows (a slot for a plate). */
export type Sizing = 'scaled' | 'fixed' | 'slot';

/** The plate that goes through a slot: the slot's width follows the plate's measured thickness, its lean and the fit. */
export interface PlateSlot {
  readonly material: string;
  /** Lean of the plate from the board's normal, within ±60. */
  readonly slantDegrees: number;
  /** Play added to the width in mm, below 0 for a press fit. */
  readonly fitMm: number;
}

/** A path that bounds the part: the outline, or a hole through it. */
export interface Contour extends DrawnPath { readonly role: 'outer' | 'hole'; readonly sizing: Sizing; readonly plate?: PlateSlot }

/** A path on the part that carries operations. */
export interface DrawnLine extends DrawnPath { readonly sizing: Sizing }

/** One drawing: what the builder drew, seen from its face. A handed pair is drawn once, as its port part. */
export interface Part {
  readonly id: string;
  readonly name: string;
  readonly group: string;
  readonly material: string;
  /** How many single parts, or how many pairs. At least 1. */
  readonly quantity: number;
  readonly handed: 'single' | 'pair';
  readonly grain: GrainRule;
  /** 'fixed': the whole part keeps its size when the airframe is scaled (plates, gauges). */
  readonly sizing: 'scaled' | 'fixed';
  readonly notes: string;
  readonly contours: readonly Contour[];
  readonly lines: readonly DrawnLine[];
  readonly operations: readonly Operation[];
  /** Dimensions pinned to points of the drawing. */
  readonly dimensions?: readonly Dimension[];
  /** Count of ids given out so far, so that an id is never used twice. */
  readonly lastId: number;
}

/** Greatest coordinate anywhere in a drawing, in mm. */
export const FURTHEST_COORDINATE_MM = 10_000;
/** Tolerance for turning curves into polygons where exactness matters more than speed. */
export const FINE_TOLERANCE_MM = 0.01;

/** The part's outer contour, or undefined while nothing is drawn. */
export const outlineOf = (part: Part): Contour | undefined => part.contours.find((contour) => contour.role === 'outer');
export const holesOf = (part: Part): readonly Contour[] => part.contours.filter((contour) => contour.role === 'hole');
/** How many pieces are cut from the drawing. */
export const piecesOf = (part: Part): number => part.quantity * (part.handed === 'pair' ? 2 : 1);

/** Every path of a part: contours, then lines. */
export const pathsOf = (part: Part): readonly (Contour | DrawnLine)[] => [...part.contours, ...part.lines];
export const findPath = (part: Part, pathId: string): Contour | DrawnLine | undefined => pathsOf(part).find((path) => path.id === pathId);

/** Segment i of a drawn path as a curve. */
export function curveOf(path: DrawnPath, index: number): Curve {
  const segment = path.segments[index], from = path.nodes[index], to = path.nodes[(index + 1) % path.nodes.length];
  if (!segment || !from || !to) throw new CoreError('NOT_FOUND', `path ${path.id} has no segment ${index}`, { path: path.id, index });
  const ends = { from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } };
  switch (segment.kind) {
    case 'line': return { kind: 'line', ...ends };
    case 'arc': return { kind: 'arc', ...ends, bulge: segment.bulge };
    case 'cubic': return { kind: 'cubic', ...ends, control1: segment.control1, control2: segment.control2 };
  }
}

/** The whole drawn path as curves. */
export const curvesOf = (path: DrawnPath): Path => path.segments.map((_, index) => curveOf(path, index));

/** A part with nothing drawn yet. */
export function emptyPart(id: string, name: string, material: string, group = ''): Part {
  return {
    id, name, group, material, quantity: 1, handed: 'single', grain: { directionDegrees: 0, rule: 'any' }, sizing: 'scaled', notes: '',
    contours: [], lines: [], operations: [], lastId: 0,
  };
}

/** What is wrong with a part's own structure: the first broken rule and where, or undefined when it is sound. */
export function brokenInvariant(part: Part): { readonly field: string; readonly message: string } | undefined {
  const ids = new Set<string>();
  const outers = part.contours.filter((contour) => contour.role === 'outer').length;
  const plated = part.contours.findIndex(({ plate, role }) => plate !== undefined && role !== 'hole');
  if (plated >= 0) return { field: `contours[${plated}].plate`, message: 'only a hole can be the slot of a plate' };
  if (outers > 1) return { field: 'contours', message: `a part has one outline, this one has ${outers}` };
  if (!(Number.isInteger(part.quantity) && part.quantity >= 1 && part.quantity <= 999)) return { field: 'quantity', message: `quantity must be 1 to 999, got ${part.quantity}` };
  for (const [listName, list] of [['contours', part.contours], ['lines', part.lines]] as const) {
    for (const [index, path] of list.entries()) {
      const field = `${listName}[${index}]`;
      const wanted = path.closed ? path.nodes.length : path.nodes.length - 1;
      if (path.nodes.length < 2) return { field: `${field}.nodes`, message: 'a path needs at least two nodes' };
      if (path.segments.length !== wanted) return { field: `${field}.segments`, message: `${path.nodes.length} nodes need ${wanted} segments, found ${path.segments.length}` };
      for (const id of [path.id, ...path.nodes.map((node) => node.id), ...path.segments.map((segment) => segment.id)]) {
        if (ids.has(id)) return { field, message: `the id "${id}" is used twice` };
        ids.add(id);
      }
      for (const [at, node] of path.nodes.entries()) if (!isWithinReach(node)) return { field: `${field}.nodes[${at}]`, message: `(${node.x}, ${node.y}) is not within ±${FURTHEST_COORDINATE_MM} mm` };
      for (const [at, segment] of path.segments.entries()) {
        if (segment.kind === 'arc' && !(Number.isFinite(segment.bulge) && Math.abs(segment.bulge) <= 1000)) return { field: `${field}.segments[${at}].bulge`, message: `bulge must be within ±1000, got ${segment.bulge}` };
        if (segment.kind === 'cubic' && !(isWithinReach(segment.control1) && isWithinReach(segment.control2))) return { field: `${field}.segments[${at}]`, message: `a control point is not within ±${FURTHEST_COORDINATE_MM} mm` };
      }
    }
  }
  for (const [index, dimension] of (part.dimensions ?? []).entries()) {
    if (ids.has(dimension.id)) return { field: `dimensions[${index}]`, message: `the id "${dimension.id}" is used twice` };
    ids.add(dimension.id);
    const lost = [dimension.fromNodeId, dimension.toNodeId].find((id) => !pathsOf(part).some((path) => path.nodes.some((node) => node.id === id)));
    if (lost !== undefined) return { field: `dimensions[${index}]`, message: `there is no point "${lost}" in this part` };
  }
  return brokenOperation(part, ids);
}

function brokenOperation(part: Part, ids: Set<string>): { readonly field: string; readonly message: string } | undefined {
  for (const [index, operation] of part.operations.entries()) {
    const field = `operations[${index}]`;
    if (ids.has(operation.id)) return { field, message: `the id "${operation.id}" is used twice` };
    ids.add(operation.id);
    const path = findPath(part, operation.on.pathId);
    if (!path) return { field: `${field}.on.pathId`, message: `there is no path "${operation.on.pathId}" in this part` };
    if (operation.on.segmentIds) {
      if (operation.on.segmentIds.length === 0) return { field: `${field}.on.segmentIds`, message: 'an operation on segments needs at least one' };
      const missing = operation.on.segmentIds.find((id) => !path.segments.some((segment) => segment.id === id));
      if (missing !== undefined) return { field: `${field}.on.segmentIds`, message: `path "${path.id}" has no segment "${missing}"` };
    }
  }
  return undefined;
}

const isWithinReach = (p: Point): boolean => isFinitePoint(p) && Math.abs(p.x) <= FURTHEST_COORDINATE_MM && Math.abs(p.y) <= FURTHEST_COORDINATE_MM;
