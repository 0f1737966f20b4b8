import { add, cross, distanceToRun, leftOf, subtract, times, unitVector, type Point, type Polygon } from '../geometry/index.ts';
import type { ResolvedPart, Stroke } from '../drawing/index.ts';
import type { FlatPlates, Plate } from './plates.ts';

/** What a side face of a plate is: board cut square, the bevel of an edge, of a groove or a hinge's relief, the edge of a trench. */
export type SideKind = 'cut' | 'bevel' | 'groove' | 'trench' | 'fold';

/** A plate with its thickness: side i joins corner i and i + 1 of the far skin with those of the face. */
export interface PlateSolid {
  readonly plate: Plate;
  /** Corners on the far skin, at z = 0. */
  readonly bottom: Polygon;
  /** Corners on the face, at z = thickness, one for each of the far skin. */
  readonly top: Polygon;
  readonly sides: readonly SideKind[];
  readonly holes: readonly Polygon[];
  readonly thicknessMm: number;
}

/** Thickness that the skin left by a trench is drawn and measured with, in mm. */
export const SKIN_MM = 0.3;
const ON_LINE_MM = 0.01;

interface Slope { readonly kind: SideKind; readonly runMm: number; readonly face: 'face' | 'back'; readonly lines: readonly (readonly [Point, Point])[] }

/** The lines of work that slant or part the sides of plates. */
function slopesOf(part: ResolvedPart): readonly Slope[] {
  const linesOf = (stroke: Stroke): readonly (readonly [Point, Point])[] => stroke.paths.flatMap((path) => path.map(({ from, to }) => [from, to] as const));
  return part.strokes.flatMap((stroke): readonly Slope[] => {
    switch (stroke.kind) {
      case 'groove': return [{ kind: 'groove', runMm: stroke.widthMm / 2, face: stroke.face, lines: linesOf(stroke) }];
      case 'bevel': return [{ kind: 'bevel', runMm: stroke.widthMm, face: stroke.face, lines: linesOf(stroke) }];
      case 'hinge': return [{ kind: 'groove', runMm: stroke.widthMm / 2, face: stroke.face, lines: linesOf(stroke) }];
      case 'crease': case 'slit': return [{ kind: 'fold', runMm: 0, face: stroke.face, lines: linesOf(stroke) }];
      case 'trench': return [{ kind: 'trench', runMm: 0, face: stroke.face, lines: stroke.area.flatMap((ring) => ring.map((p, index) => [p, ring[(index + 1) % ring.length]!] as const)) }];
      default: return [];
    }
  });
}

/** Every plate as a solid, its sides slanted as they are cut. */
export function solidsOf(part: ResolvedPart, flat: FlatPlates): readonly PlateSolid[] {
  const slopes = slopesOf(part);
  return flat.plates.map((plate) => solidOf(plate, slopes, flat.thicknessMm));
}

function solidOf(plate: Plate, slopes: readonly Slope[], thicknessMm: number): PlateSolid {
  const { outer } = plate;
  const found = outer.map((p, index) => {
    const q = outer[(index + 1) % outer.length]!;
    return slopes.find(({ lines }) => lines.some(([a, b]) => distanceToRun(p, a, b) < ON_LINE_MM && distanceToRun(q, a, b) < ON_LINE_MM));
  });
  const sides = found.map((slope): SideKind => slope?.kind ?? 'cut');
  if (plate.kind === 'skin') return { plate, bottom: outer, top: outer, sides, holes: plate.holes, thicknessMm: SKIN_MM };
  return {
    plate, sides, thicknessMm, holes: plate.holes,
    bottom: movedIn(outer, found.map((slope) => (slope?.face === 'back' ? slope.runMm : 0))),
    top: movedIn(outer, found.map((slope) => (slope?.face === 'face' ? slope.runMm : 0))),
  };
}

/** A ring with each side moved inward by its own distance; corners are where neighbours then meet. */
function movedIn(ring: Polygon, by: readonly number[]): Polygon {
  if (by.every((distance) => distance === 0)) return ring;
  return ring.map((corner, index) => {
    const last = (index + ring.length - 1) % ring.length;
    const u = unitVector(ring[last]!, corner), v = unitVector(corner, ring[(index + 1) % ring.length]!);
    const before = add(corner, times(leftOf(u), by[last]!)), after = add(corner, times(leftOf(v), by[index]!));
    const turn = cross(u, v);
    if (Math.abs(turn) < 1e-6) return by[last]! > by[index]! ? before : after;
    return add(before, times(u, cross(subtract(after, before), v) / turn));
  });
}
