import { distance, type Point } from '../../geometry/index.ts';
import type { Operation, OperationDraft } from '../../operations/index.ts';
import type { Contour, DrawnLine, Part, Place, Seam } from '../../part/index.ts';

/** A corner of a made outline, and the edge that goes on from it. */
export interface MadeCorner {
  readonly at: Point;
  /** Of the arc to the next corner: tangent of a quarter of its sweep, counter-clockwise above 0; straight when undefined. */
  readonly bulge?: number;
  /** `root-bottom`: names the edge from this corner to the next. */
  readonly edge: string;
}

/** A straight line of work on a made part. */
export interface MadeLine {
  readonly name: string;
  readonly from: Point;
  readonly to: Point;
  readonly work: OperationDraft;
}

/** Work along edges of a made outline. */
export interface MadeEdgeWork {
  readonly name: string;
  readonly edges: readonly string[];
  readonly work: OperationDraft;
}

/** A closed hole of a made part: with corners, or round. */
export type MadeHole = { readonly name: string; readonly sizing: Contour['sizing'] } & (
  { readonly corners: readonly Point[] } | { readonly round: { readonly centre: Point; readonly radiusMm: number } }
);

/** A seam of a made part, by the names of both edges: with itself, or with the part of a role. */
export interface MadeSeam {
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly role?: string;
  readonly mayOverhang?: boolean;
}

/** What a form says of one of its parts. */
export interface MadePartDraft {
  readonly formId: string;
  readonly role: string;
  readonly name: string;
  readonly group: string;
  readonly material: string;
  readonly handed: Part['handed'];
  readonly quantity?: number;
  readonly grain: Part['grain'];
  readonly sizing?: Part['sizing'];
  readonly notes?: string;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
  readonly outline: readonly MadeCorner[];
  readonly holes?: readonly MadeHole[];
  readonly lines?: readonly MadeLine[];
  readonly edgeWork?: readonly MadeEdgeWork[];
  readonly seams?: readonly MadeSeam[];
  readonly place?: Place;
}

/** Corners nearer together than this are one, in mm. */
const ONE_CORNER_MM = 1e-4;
/** Drawn coordinates are kept to this, in mm. */
const KEPT_MM = 1e-5;
// A zero has no sign in a file.
const kept = ({ x, y }: Point): Point => ({
  x: Math.round(x / KEPT_MM) * KEPT_MM + 0,
  y: Math.round(y / KEPT_MM) * KEPT_MM + 0,
});

/** The id of the part that a form makes for a role. */
export const madePartId = (formId: string, role: string): string => `${formId}-${role}`;
/** The id of an edge of a made part. */
export const madeEdgeId = (edge: string): string => `m-${edge}`;

/** Corners without those that fall onto the one before: the edge that is left keeps its name. */
function apart(corners: readonly MadeCorner[]): readonly MadeCorner[] {
  return corners.filter(({ at }, index) => distance(at, corners[(index + 1) % corners.length]!.at) > ONE_CORNER_MM);
}

/** A round hole has two places and two arcs of half a turn. */
function holeContour(hole: MadeHole): Contour {
  const { name, sizing } = hole;
  const ring =
    'corners' in hole
      ? hole.corners
      : [1, -1].map((side): Point => ({
          x: hole.round.centre.x + side * hole.round.radiusMm,
          y: hole.round.centre.y,
        }));
  return {
    id: `m-h-${name}`,
    role: 'hole',
    closed: true,
    sizing,
    nodes: ring.map((at, index) => ({ id: `m-n-${name}-${index + 1}`, ...kept(at) })),
    segments: ring.map((_, index) => ({
      id: `m-${name}-${index + 1}`,
      ...('corners' in hole ? { kind: 'line' as const } : { kind: 'arc' as const, bulge: 1 }),
    })),
  };
}

/** A part as a form makes it: every id tells what it is, so that it is the same the next time. */
export function madePart(draft: MadePartDraft): Part {
  const corners = apart(draft.outline);
  const outline: Contour = {
    id: 'm-outline',
    role: 'outer',
    closed: true,
    sizing: 'scaled',
    nodes: corners.map(({ at, edge }) => ({ id: `m-n-${edge}`, ...kept(at) })),
    segments: corners.map(({ edge, bulge }) =>
      bulge ? { id: madeEdgeId(edge), kind: 'arc', bulge } : { id: madeEdgeId(edge), kind: 'line' },
    ),
  };
  const holes = (draft.holes ?? []).map(holeContour);
  const lines = (draft.lines ?? []).map(({ name, from, to }): DrawnLine => ({
    id: `m-l-${name}`,
    closed: false,
    sizing: 'scaled',
    nodes: [
      { id: `m-n-${name}-1`, ...kept(from) },
      { id: `m-n-${name}-2`, ...kept(to) },
    ],
    segments: [{ id: madeEdgeId(name), kind: 'line' }],
  }));
  const known = new Set(corners.map(({ edge }) => edge));
  const operations: readonly Operation[] = [
    ...(draft.lines ?? []).map(({ name, work }) => ({ ...work, id: `m-o-${name}`, on: { pathId: `m-l-${name}` } })),
    ...(draft.edgeWork ?? []).flatMap(({ name, edges, work }) => {
      const there = edges.filter((edge) => known.has(edge));
      return there.length === 0
        ? []
        : [{ ...work, id: `m-o-${name}`, on: { pathId: 'm-outline', segmentIds: there.map(madeEdgeId) } }];
    }),
  ] as readonly Operation[];
  const seams = (draft.seams ?? []).flatMap(({ name, from, to, role, mayOverhang }): readonly Seam[] =>
    known.has(from) && (role !== undefined || known.has(to) || draft.lines?.some(({ name: line }) => line === to))
      ? [
          {
            id: `m-k-${name}`,
            fromSegmentId: madeEdgeId(from),
            toSegmentId: madeEdgeId(to),
            ...(role !== undefined ? { toPartId: madePartId(draft.formId, role) } : {}),
            ...(mayOverhang ? { mayOverhang } : {}),
          },
        ]
      : [],
  );
  return {
    id: madePartId(draft.formId, draft.role),
    name: draft.name,
    group: draft.group,
    material: draft.material,
    quantity: draft.quantity ?? 1,
    handed: draft.handed,
    grain: draft.grain,
    sizing: draft.sizing ?? 'scaled',
    notes: draft.notes ?? '',
    ...(draft.variants ? { variants: draft.variants } : {}),
    contours: [outline, ...holes],
    lines,
    operations,
    ...(seams.length > 0 ? { seams } : {}),
    ...(draft.place ? { place: draft.place } : {}),
    source: { formId: draft.formId, role: draft.role },
    lastId: 0,
  };
}
