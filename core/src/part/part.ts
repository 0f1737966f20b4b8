import type { Point } from '../geometry/index.ts';
import type { Feature } from '../features/index.ts';
import type { BoardFace, Operation } from '../operations/index.ts';
import type { DrawnPath, Sizing } from '../paths/index.ts';
import type { GrainRule } from '../stock/index.ts';
import { memo } from '../units/index.ts';
import type { Dimension } from './dimension.ts';
import type { Attachment, Guide } from './guide.ts';

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

export const CONTOUR_ROLES = ['outer', 'hole'] as const;
/** A path that bounds the part: the outline, or a hole through it. */
export interface Contour extends DrawnPath {
  readonly role: (typeof CONTOUR_ROLES)[number];
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
  /** Whether one edge may run on past the end of the other: only where both lie beside each other must they meet. */
  readonly mayOverhang?: boolean;
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
  /** A point of the plate that stands there, on the flat part; the largest plate without it. */
  readonly onPlate?: Point;
}

/** How one piece of a part stands on another part: a straight edge or line of its own on an edge or line of that part. */
export interface Joint {
  readonly id: string;
  readonly ownSegmentId: string;
  /** Which skin of its own lies on the line. */
  readonly ownSkin: BoardFace;
  readonly toPartId: string;
  readonly toSegmentId: string;
  readonly toSkin: BoardFace;
  /** Turn between the plates: 0 goes on flat beyond the line, 90 stands square on the face; in [-180, 180]. */
  readonly turnDegrees: number;
  /** Shift from middle on middle along the other part's line, in mm. */
  readonly alongMm: number;
  /** Whether it goes on from the other side of the line. */
  readonly isReversed: boolean;
  /** Whether the wedge that a square foot leaves open at a lean is filled with glue. */ readonly isFilled?: boolean;
}

/** A plate's size between two of its ends that is meant inside: it stays what it is when the board is measured anew, and the lines follow. */
export interface InsideSize {
  /** A fold or a straight edge that bounds the plate. */ readonly fromId: string;
  readonly toId: string;
}

export const CENTRE_LINES = ['level', 'upright'] as const;
/** The centre line of a drawing of which one half is drawn and the other is its mirror image. */
export interface Symmetry {
  readonly along: (typeof CENTRE_LINES)[number];
  /** Its y when level, its x when upright, in mm. */ readonly atMm: number;
}

/** Lines, holes or the outline that are chosen and moved as one. */
export interface PathGroup {
  readonly id: string;
  readonly name: string;
  readonly pathIds: readonly string[];
}

export const PLANNED_ROLES = ['side', 'floor', 'half', 'whole', 'outline'] as const;
/** What of the plan a part was taken from, and what that looked like then. */
export interface PlannedFrom {
  /** Id of a planned thing or of a drawn outline. */
  readonly from: string;
  readonly role: (typeof PLANNED_ROLES)[number];
  /** Fingerprint of the outline and marks as they were taken. */
  readonly outline: string;
}

/** What of a made part the builder may say otherwise than its form. */
export const OWN_DETAILS = ['name', 'group', 'grain', 'notes', 'variants'] as const;
export type OwnDetail = (typeof OWN_DETAILS)[number];

/** The form that makes a part, and what the part is in it. */
export interface PartSource {
  readonly formId: string;
  /** `skin-1`, `spar-2-1`: never changes while the form has it. */
  readonly role: string;
  /** What the builder has said otherwise: it is kept when the form makes the part anew. */
  readonly own?: readonly OwnDetail[];
}

export const PART_HANDS = ['single', 'pair'] as const;
export const PART_SIZINGS = ['scaled', 'fixed'] as const;
/** One drawing: what the builder drew, seen from its face. A handed pair is drawn once, as its port part. */
export interface Part {
  readonly id: string;
  readonly name: string;
  readonly group: string;
  readonly material: string;
  /** How many single parts, or how many pairs. At least 1. */
  readonly quantity: number;
  readonly handed: (typeof PART_HANDS)[number];
  readonly grain: GrainRule;
  /** 'fixed': the whole part keeps its size when the airframe is scaled (plates, gauges). */
  readonly sizing: (typeof PART_SIZINGS)[number];
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
  /** Sizes of its plates that are meant inside; the others are meant along the skin that stays. */
  readonly insideSizes?: readonly InsideSize[];
  /** Variants of the airframe in which it exists; always when undefined. */
  readonly variants?: readonly string[];
  /** Where in the plan it was taken from. */
  readonly planned?: PlannedFrom;
  /** The form that makes it; drawn by hand without one. */
  readonly source?: PartSource;
  /** Count of ids given out so far, so that an id is never used twice. */
  readonly lastId: number;
}

/** Greatest coordinate anywhere in a drawing, in mm. */
export const FURTHEST_COORDINATE_MM = 10_000;
/** The part's outer contour, or undefined while nothing is drawn. */
export const outlineOf = (part: Part): Contour | undefined => part.contours.find((contour) => contour.role === 'outer');
export const holesOf = (part: Part): readonly Contour[] => part.contours.filter((contour) => contour.role === 'hole');
/** How many pieces are cut from the drawing. */
export const piecesOf = (part: Part): number => part.quantity * (part.handed === 'pair' ? 2 : 1);

/** Every path of a part: contours, then lines. */
export const pathsOf = (part: Part): readonly (Contour | DrawnLine)[] => [...part.contours, ...part.lines];
export const findPath = (part: Part, pathId: string): Contour | DrawnLine | undefined => pathsById(part).get(pathId);

/** The line with an id: no contour. */
export function findLine(part: Part, pathId: string): DrawnLine | undefined {
  const path = findPath(part, pathId);
  return path && !('role' in path) ? path : undefined;
}

/** The first path of each id: ids are not known to stand once before a part is checked. */
const pathsById = memo((part: Part): ReadonlyMap<string, Contour | DrawnLine> => {
  const byId = new Map<string, Contour | DrawnLine>();
  for (const path of pathsOf(part)) if (!byId.has(path.id)) byId.set(path.id, path);
  return byId;
});

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
