import { CoreError } from '../units/index.ts';
import type { Curve, Path, Point } from '../geometry/index.ts';
import type { GrainRule } from '../stock/index.ts';
import type { Dimension } from './dimension.ts';
import type { Feature } from './features/feature.ts';
import type { Attachment, Guide } from './guides.ts';
import type { Operation } from './operations/operation.ts';

/** A corner or end of a drawn path. Its id never changes while it exists. */
export interface PathNode extends Point {
  readonly id: string;
}

/** How a path runs from one node to the next. Its id never changes; a split keeps it on the first half. */
export type Segment =
  | { readonly id: string; readonly kind: 'line' }
  | {
      readonly id: string;
      readonly kind: 'arc';
      /** tan of a quarter of the sweep, positive counter-clockwise */ readonly bulge: number;
    }
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
  /** Width that is kept whatever the plate measures, in mm; follows the plate when undefined. */
  readonly keptWidthMm?: number;
}

/** A path that bounds the part: the outline, or a hole through it. */
export interface Contour extends DrawnPath {
  readonly role: 'outer' | 'hole';
  readonly sizing: Sizing;
  readonly plate?: PlateSlot;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
}

/** A path on the part that carries operations. */
export interface DrawnLine extends DrawnPath {
  readonly sizing: Sizing;
}

/** Two straight edges that are meant to meet when the part is folded, or when it stands with another part. */
export interface Seam {
  readonly id: string;
  readonly fromSegmentId: string;
  readonly toSegmentId: string;
  /** The part that the second edge is of; this one when undefined. */ readonly toPartId?: string;
}

/** A point or vector of the airframe in mm: x aft, y to starboard, z up. */
export interface AirframePoint {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Where a part stands in the airframe: its drawing's origin, and how it is turned from lying flat with its face up. */
export interface Place {
  readonly at: AirframePoint;
  /** About the airframe's long axis, first. */
  readonly rollDegrees: number;
  /** About the axis across, then. */
  readonly pitchDegrees: number;
  /** About the upright axis, last. */
  readonly yawDegrees: number;
}

/** How one piece of a part stands on another part: a straight edge or line of its own on an edge or line of that part. */
export interface Joint {
  readonly id: string;
  readonly ownSegmentId: string;
  /** Which skin of its own lies on the line. */
  readonly ownSkin: 'face' | 'back';
  readonly toPartId: string;
  readonly toSegmentId: string;
  readonly toSkin: 'face' | 'back';
  /** Turn between the plates: 0 goes on flat beyond the line, 90 stands square on the face; in [-180, 180]. */
  readonly turnDegrees: number;
  /** Shift from middle on middle along the other part's line, in mm. */
  readonly alongMm: number;
  /** Whether it goes on from the other side of the line. */
  readonly isReversed: boolean;
}

/** The centre line of a drawing of which one half is drawn and the other is its mirror image. */
export interface Symmetry {
  readonly along: 'level' | 'upright';
  /** Its y when level, its x when upright, in mm. */ readonly atMm: number;
}

/** Lines, holes or the outline that are chosen and moved as one. */
export interface PathGroup {
  readonly id: string;
  readonly name: string;
  readonly pathIds: readonly string[];
}

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
  readonly features?: readonly Feature[];
  readonly guides?: readonly Guide[];
  /** Points that stay on their guide when it moves. */
  readonly attachments?: readonly Attachment[];
  readonly symmetry?: Symmetry;
  readonly pathGroups?: readonly PathGroup[];
  readonly seams?: readonly Seam[];
  /** Where its pieces stand on other parts, a piece each; pairs stand by their port piece. */
  readonly joints?: readonly Joint[];
  /** Where it stands in the airframe when it stands on no other part. */
  readonly place?: Place;
  /** Ids of its folds in the order in which they are to be folded, when the builder keeps one. */
  readonly foldOrder?: readonly string[];
  /** Variants of the airframe in which it exists; always when undefined. */
  readonly variants?: readonly string[];
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
export const findPath = (part: Part, pathId: string): Contour | DrawnLine | undefined =>
  pathsOf(part).find((path) => path.id === pathId);

interface KnownCurve {
  readonly from: PathNode;
  readonly to: PathNode;
  readonly curve: Curve;
}
const knownCurves = new WeakMap<Segment, KnownCurve>();

/** Segment i of a drawn path as a curve; the same object while the segment and its ends are, so that a drag makes only what it moves anew. */
export function curveOf(path: DrawnPath, index: number): Curve {
  const segment = path.segments[index],
    from = path.nodes[index],
    to = path.nodes[(index + 1) % path.nodes.length];
  if (!segment || !from || !to)
    throw new CoreError('NOT_FOUND', `path ${path.id} has no segment ${index}`, { path: path.id, index });
  const known = knownCurves.get(segment);
  if (known && known.from === from && known.to === to) return known.curve;
  const curve = curveBetween(segment, from, to);
  knownCurves.set(segment, { from, to, curve });
  return curve;
}

function curveBetween(segment: Segment, from: PathNode, to: PathNode): Curve {
  const ends = { from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } };
  switch (segment.kind) {
    case 'line':
      return { kind: 'line', ...ends };
    case 'arc':
      return { kind: 'arc', ...ends, bulge: segment.bulge };
    case 'cubic':
      return { kind: 'cubic', ...ends, control1: segment.control1, control2: segment.control2 };
  }
}

/** The whole drawn path as curves. */
export const curvesOf = (path: DrawnPath): Path => path.segments.map((_, index) => curveOf(path, index));

/** A part with nothing drawn yet. */
export function emptyPart(id: string, name: string, material: string, group = ''): Part {
  return {
    id,
    name,
    group,
    material,
    quantity: 1,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'any' },
    sizing: 'scaled',
    notes: '',
    contours: [],
    lines: [],
    operations: [],
    lastId: 0,
  };
}
