import { add, interpolate, subtract3, times, unit3, unitVector, dot3, type Point } from '../../geometry/index.ts';
import type { MadeCorner, MadeEdgeWork } from '../form/made-part.ts';
import type { SectionPlate } from '../section/index.ts';
import { endCut, type EndPlane, type EndSchool } from './end-cut.ts';
import type { PlateTrim, UnrolledSkin } from './ruled-skin.ts';

/** How one end of a skin is cut. */
export interface SkinEnd {
  readonly plane: EndPlane;
  readonly school: EndSchool;
  /** How far it stays before the plane, for the film of glue of a joint; 0 at a free tip. */
  readonly filmMm: number;
}

/** The end of one plate on the flat, as it is cut. */
export interface PlateEnd {
  readonly role: string;
  /** How far its edge lies beyond the plane on the outer skin, along each of its two lines, in mm. */
  readonly beyondMm: readonly [number, number];
  readonly bevelDegrees: number;
}

/** The outline of an unrolled skin, with the work along its ends. */
export interface SkinOutline {
  readonly corners: readonly MadeCorner[];
  readonly endWork: readonly MadeEdgeWork[];
  /** Where the fold over each line starts and ends on the outline. */
  readonly folds: readonly { readonly from: Point; readonly to: Point }[];
  readonly ends: { readonly root: readonly PlateEnd[]; readonly tip: readonly PlateEnd[] };
  /** The corner that a plate has on one of its two lines, where its end is cut. */
  readonly cornerOf: (plate: number, line: number, at: 'root' | 'tip') => Point;
  /** The line along the middle of a plate, from its root's end to its tip's. */
  readonly middleOf: (plate: number) => { readonly from: Point; readonly to: Point };
}

/** Neighbouring ends that differ by less than this share the shorter one's corner, in mm: a step so short is no step for a knife. */
const ONE_CORNER_MM = 0.085;

/** How the plates of a skin end on a plane. */
function plateEnds(
  skin: UnrolledSkin,
  plates: readonly SectionPlate[],
  { plane, school, filmMm }: SkinEnd,
  at: 'root' | 'tip',
  thicknessMm: number,
): readonly PlateEnd[] {
  return plates.map(({ role, isSkin }, index): PlateEnd => {
    const [a, b] = [skin.ends[index]!, skin.ends[index + 1]!],
      plate = skin.plates[index]!;
    if (isSkin) return { role, beyondMm: [-filmMm, -filmMm], bevelDegrees: 0 };
    const piece = at === 'root' ? plate.rootPiece : plate.tipPiece;
    const { shiftMm, bevelDegrees, outward } = endCut(
      plane,
      piece.inward,
      subtract3(b[at], a[at]),
      thicknessMm,
      school,
    );
    const along = (line: typeof a): number => {
      const outboard = unit3(subtract3(line.tip, line.root));
      return (shiftMm - filmMm) / Math.abs(dot3(outward, outboard));
    };
    return { role, beyondMm: [along(a), along(b)], bevelDegrees };
  });
}

/** The corners of one end, from the first line to the last. */
function endCorners(
  skin: UnrolledSkin,
  ends: readonly PlateEnd[],
  at: 'root' | 'tip',
): {
  readonly corners: readonly { readonly at: Point; readonly line: number; readonly after: number }[];
  readonly reach: readonly number[];
} {
  const place = (line: number, beyondMm: number): Point => {
    const { root, tip } = skin.flat[line]!;
    return at === 'root'
      ? add(root, times(unitVector(tip, root), beyondMm))
      : add(tip, times(unitVector(root, tip), beyondMm));
  };
  const corners: { at: Point; line: number; after: number }[] = [],
    reach: number[] = [];
  for (let line = 0; line <= ends.length; line++) {
    const before = ends[line - 1]?.beyondMm[1],
      after = ends[line]?.beyondMm[0];
    const values = [before, after].filter((value) => value !== undefined);
    reach.push(Math.max(...values));
    if (values.length === 2 && Math.abs(values[0]! - values[1]!) > ONE_CORNER_MM) {
      corners.push(
        { at: place(line, values[0]!), line, after: -1 },
        { at: place(line, values[1]!), line, after: line },
      );
      continue;
    }
    const shared = Math.min(...values);
    reach[line] = shared;
    corners.push({ at: place(line, shared), line, after: line });
  }
  return { corners, reach };
}

/** How far the corner of a plate on one of its lines lies beyond the plane: a step so short that it is none is shared. */
const beyondAt = (ends: readonly PlateEnd[], reach: readonly number[], plate: number, side: 0 | 1): number =>
  Math.min(reach[plate + side]!, ends[plate]!.beyondMm[side]);

/** Where the corners of every plate of a skin come to lie when its ends are cut. */
export function plateTrims(
  skin: UnrolledSkin,
  plates: readonly SectionPlate[],
  root: SkinEnd,
  tip: SkinEnd,
  thicknessMm: number,
): readonly PlateTrim[] {
  const [atRoot, atTip] = (
    [
      ['root', root],
      ['tip', tip],
    ] as const
  ).map(([at, end]) => {
    const ends = plateEnds(skin, plates, end, at, thicknessMm),
      { reach } = endCorners(skin, ends, at);
    return (plate: number): readonly [number, number] => [
      beyondAt(ends, reach, plate, 0),
      beyondAt(ends, reach, plate, 1),
    ];
  }) as [(plate: number) => readonly [number, number], (plate: number) => readonly [number, number]];
  return plates.map((_, plate) => ({ root: atRoot(plate), tip: atTip(plate) }));
}

/**
 * The outline of an unrolled skin whose ends are cut where each plate touches, with the bevels of those ends.
 * @param plates what lies between its lines
 * @param edges what the edges along its first and its last line are called
 */
export function skinOutline(
  skin: UnrolledSkin,
  plates: readonly SectionPlate[],
  root: SkinEnd,
  tip: SkinEnd,
  thicknessMm: number,
  [firstEdge, lastEdge]: readonly [first: string, last: string],
): SkinOutline {
  const ends = {
    root: plateEnds(skin, plates, root, 'root', thicknessMm),
    tip: plateEnds(skin, plates, tip, 'tip', thicknessMm),
  };
  const atRoot = endCorners(skin, ends.root, 'root'),
    atTip = endCorners(skin, ends.tip, 'tip');
  // Round the flat: out along the lower tail, in over the tip's end, back along the upper tail, and over the root's end.
  const tipEdges = atTip.corners.map(({ at, line, after }, index): MadeCorner => ({
    at,
    edge: index === atTip.corners.length - 1 ? lastEdge : after < 0 ? `tip-step-${line}` : `tip-${plates[line]!.role}`,
  }));
  const rootBack = [...atRoot.corners].reverse();
  const rootEdges = rootBack.map(({ at }, index): MadeCorner => {
    const next = rootBack[index + 1];
    return {
      at,
      edge: !next
        ? firstEdge
        : next.line === rootBack[index]!.line
          ? `root-step-${next.line}`
          : `root-${plates[next.line]!.role}`,
    };
  });
  const work = (at: 'root' | 'tip'): readonly MadeEdgeWork[] =>
    ends[at].flatMap(({ role, bevelDegrees }): readonly MadeEdgeWork[] =>
      bevelDegrees === 0
        ? []
        : [
            {
              name: `bevel-${at}-${role}`,
              edges: [`${at}-${role}`],
              work: {
                kind: 'bevel',
                face: bevelDegrees > 0 ? 'face' : 'back',
                bevelDegrees: Math.abs(bevelDegrees),
                ...(Math.abs(bevelDegrees) > 65 ? { cutBy: 'block' as const } : {}),
                label: '',
              },
            },
          ],
    );
  const folds = skin.flat.map((line, index) => ({
    from: add(line.root, times(unitVector(line.tip, line.root), atRoot.reach[index]!)),
    to: add(line.tip, times(unitVector(line.root, line.tip), atTip.reach[index]!)),
  }));
  const cornerOf = (plate: number, line: number, at: 'root' | 'tip'): Point => {
    const { root: from, tip: to } = skin.flat[line]!,
      beyond = beyondAt(ends[at], (at === 'root' ? atRoot : atTip).reach, plate, line === plate ? 0 : 1);
    return at === 'root'
      ? add(from, times(unitVector(to, from), beyond))
      : add(to, times(unitVector(from, to), beyond));
  };
  const middleOf = (plate: number): { readonly from: Point; readonly to: Point } => ({
    from: interpolate(cornerOf(plate, plate, 'root'), cornerOf(plate, plate + 1, 'root'), 0.5),
    to: interpolate(cornerOf(plate, plate, 'tip'), cornerOf(plate, plate + 1, 'tip'), 0.5),
  });
  return {
    cornerOf,
    middleOf,
    corners: [...tipEdges, ...rootEdges],
    endWork: [...work('root'), ...work('tip')],
    folds,
    ends,
  };
}
