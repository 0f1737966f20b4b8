import { add3, boundsOf, cross3, dot3, unit3, type Point, type Point3, type RigidMap } from '../geometry/index.ts';
import { placedPoint, type FoldedPlates } from './fold.ts';
import { paintersOrder } from './painters-order.ts';
import type { PlateSolid, SideKind } from './plate-solid.ts';

/** What a face of a folded plate shows: a skin, foam where it was cut, or what a section lays open. */
export type FaceKind = 'far skin' | 'face' | SideKind | 'section foam' | 'section skin';

/** One plane face of a folded plate, its corners counter-clockwise from outside. */
export interface FoldedFace {
  readonly plate: number;
  readonly kind: FaceKind;
  readonly rings: readonly (readonly Point3[])[];
}

/** The faces of one plate where a map carries it. */
export function plateFaces(
  { bottom, top, sides, holes: own, thicknessMm, plate }: PlateSolid,
  map: RigidMap,
): readonly FoldedFace[] {
  // A mirrored piece turns every ring the other way round.
  const isMirrored = dot3(cross3(map.x, map.y), map.z) < 0;
  const seen = (corners: readonly Point3[]): readonly Point3[] => (isMirrored ? [...corners].reverse() : corners);
  const place = (p: Point, zMm: number): Point3 => placedPoint(map, p, zMm);
  const ring = (points: readonly Point[], zMm: number, isTurned: boolean): readonly Point3[] =>
    seen((isTurned ? [...points].reverse() : points).map((p) => place(p, zMm)));
  const walls = (
    low: readonly Point[],
    high: readonly Point[],
    kindOf: (index: number) => FaceKind,
  ): readonly FoldedFace[] =>
    low.map((p, index) => {
      const next = (index + 1) % low.length;
      return {
        plate: plate.index,
        kind: kindOf(index),
        rings: [
          seen([place(p, 0), place(low[next]!, 0), place(high[next]!, thicknessMm), place(high[index]!, thicknessMm)]),
        ],
      };
    });
  const holes = own.map((hole) => [...hole].reverse());
  return [
    {
      plate: plate.index,
      kind: 'far skin' as const,
      rings: [ring(bottom, 0, true), ...holes.map((hole) => ring(hole, 0, true))],
    },
    {
      plate: plate.index,
      kind: plate.kind === 'skin' ? ('trench' as const) : ('face' as const),
      rings: [ring(top, thicknessMm, false), ...holes.map((hole) => ring(hole, thicknessMm, false))],
    },
    ...walls(bottom, top, (index) => sides[index]!),
    ...holes.flatMap((hole) => walls(hole, hole, () => 'cut')),
  ];
}

/** The faces of folded plates, to be drawn. */
export const foldedFaces = (solids: readonly PlateSolid[], maps: FoldedPlates): readonly FoldedFace[] =>
  solids.flatMap((solid) => plateFaces(solid, maps[solid.plate.index]!));

/** Where a folded part is looked at from: turned about the upright, and from above, in degrees. */
export interface Viewpoint {
  readonly turnDegrees: number;
  readonly heightDegrees: number;
}

/** A face on the paper: rings in mm, y up, and how far it lies from the eye. */
export interface DrawnFace {
  readonly face: FoldedFace;
  readonly rings: readonly (readonly Point[])[];
  /** How much light falls on it, 0 to 1. */ readonly light: number;
}

/** A point as it is seen from a viewpoint, without perspective: x to the right, y up, and its depth toward the eye. */
export function seenFrom({ turnDegrees, heightDegrees }: Viewpoint, p: Point3): Point & { readonly depth: number } {
  const turn = (turnDegrees * Math.PI) / 180,
    height = (heightDegrees * Math.PI) / 180;
  const x = p.x * Math.cos(turn) - p.y * Math.sin(turn),
    y = p.x * Math.sin(turn) + p.y * Math.cos(turn);
  return { x, y: y * Math.sin(height) + p.z * Math.cos(height), depth: -y * Math.cos(height) + p.z * Math.sin(height) };
}

/** The direction from the model toward the eye. */
export function seenDirection({ turnDegrees, heightDegrees }: Viewpoint): Point3 {
  const turn = (turnDegrees * Math.PI) / 180,
    height = (heightDegrees * Math.PI) / 180;
  return { x: -Math.sin(turn) * Math.cos(height), y: -Math.cos(turn) * Math.cos(height), z: Math.sin(height) };
}

/** Light from above the left shoulder. */
const LIGHT = unit3({ x: -0.4, y: -0.5, z: 0.9 });

/** Faces drawn without perspective, those behind first. What looks away from the eye is left out. */
export function drawnFaces(faces: readonly FoldedFace[], from: Viewpoint): readonly DrawnFace[] {
  const seen = faces.flatMap((face) => {
    const outer = face.rings[0]!;
    const normal = unit3(
      outer.reduce((sum, p, index) => add3(sum, cross3(p, outer[(index + 1) % outer.length]!)), { x: 0, y: 0, z: 0 }),
    );
    return seenFrom(from, normal).depth > 1e-6
      ? [
          {
            face,
            rings: face.rings.map((ring) => ring.map((p) => seenFrom(from, p))),
            light: 0.55 + 0.45 * Math.max(0, dot3(normal, LIGHT)),
          },
        ]
      : [];
  });
  return paintersOrder(seen).map((index) => seen[index]!);
}

/** Colours of folded faces: paper skins, and foam where it shows. */
export const FACE_COLOURS: Readonly<Record<FaceKind, readonly [number, number, number]>> = {
  'far skin': [251, 248, 239],
  face: [240, 234, 219],
  cut: [232, 205, 150],
  bevel: [217, 164, 95],
  groove: [217, 164, 95],
  trench: [205, 190, 160],
  fold: [232, 205, 150],
  'section foam': [247, 214, 138],
  'section skin': [29, 42, 47],
};

/**
 * A folded part as an SVG drawing of its own, in mm.
 * @param lineShare width of its lines as a share of the drawing's width; 0.35 mm without it
 */
export function foldedSvg(faces: readonly FoldedFace[], from: Viewpoint, title: string, lineShare?: number): string {
  const drawn = drawnFaces(faces, from);
  const { minX, maxX, minY, maxY } = boundsOf(drawn.flatMap(({ rings }) => rings.flat()));
  const figure = (value: number): string => value.toFixed(2);
  const paths = drawn.map(({ face, rings, light }) => {
    const d = rings.map((ring) => `M${ring.map((p) => `${figure(p.x)} ${figure(-p.y)}`).join('L')}Z`).join('');
    return `<path d="${d}" fill="${shaded(face.kind, light)}"${isSection(face) ? ' stroke="none"' : ''}/>`;
  });
  const escaped = title.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(maxX - minX + 10)}mm" height="${figure(maxY - minY + 10)}mm" viewBox="${figure(minX - 5)} ${figure(-maxY - 5)} ${figure(maxX - minX + 10)} ${figure(maxY - minY + 10)}"><title>${escaped}</title><g stroke="#1d2a2f" stroke-width="${lineShare === undefined ? 0.35 : figure((maxX - minX) * lineShare)}" stroke-linejoin="round" fill-rule="evenodd">${paths.join('')}</g></svg>\n`;
}

/** Whether a face is laid open by a section: it is drawn without an outline, in pieces that lie side by side. */
export const isSection = ({ kind }: FoldedFace): boolean => kind === 'section foam' || kind === 'section skin';

/** A face's colour in its light, as CSS. */
export const shaded = (kind: FaceKind, light: number): string =>
  `rgb(${FACE_COLOURS[kind].map((value) => Math.round(value * light)).join(',')})`;
