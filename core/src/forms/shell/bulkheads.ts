import { cross, point3, subtract, subtract3, dot3, times, add, unitVector, type Point } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeOf, roomOnPiece, type MadeCorner, type MadeEdgeWork, type MadeHole } from '../form/index.ts';
import { inwardOf, pointsOf, type MeshFace } from './mesh.ts';
import type { ShellBulkhead } from './parameters.ts';
import { shellSection } from './shell-section.ts';
import type { ShellSite } from './shell-site.ts';

/** A bulkhead narrower than this has no window, in mm. */
const LEAST_WINDOW_MM = 6;
/** Bulkheads stay this far within the plates, in mm. */
const FILM_MM = 0.05;
/** Slopes over a board's thickness below this are cut square, in mm. */
const SQUARE_MM = 0.1;

/** A line of a section: a point on it, its direction with the inside to the left, and the bevel that follows the plate. */
interface InnerLine {
  readonly face: MeshFace;
  readonly at: Point;
  readonly along: Point;
  readonly bevelDegrees: number;
  readonly side: 'face' | 'back';
}

/** The inside of a plate where a bulkhead stands, drawn at whichever of its faces reaches further out. */
function innerLine(site: ShellSite, face: MeshFace, from: Point, to: Point, fore: number, aft: number): InnerLine {
  const points = pointsOf(site.whole, face),
    n = inwardOf(points),
    across = Math.hypot(n.y, n.z);
  // On the inside of the plate, n·p stands a board further in; the line of the section lies so far from the outside's.
  const reach = (x: number): number => {
    const off = dot3(n, subtract3(point3(x, from.x, from.y), points[0]!));
    return (site.board.thicknessMm + FILM_MM - off) / across;
  };
  const along = unitVector(from, to),
    inward = { x: n.y / across, y: n.z / across };
  const [a, b] = [reach(fore), reach(aft)],
    out = Math.min(a, b),
    by = Math.abs(a - b);
  const isSquare = by < SQUARE_MM;
  return {
    face,
    at: add(from, times(inward, isSquare ? Math.max(a, b) : out)),
    along,
    bevelDegrees: isSquare ? 0 : degrees(Math.atan(by / (aft - fore))),
    side: a < b ? 'face' : 'back',
  };
}

/** Where two lines meet; the first's own point where they run alike. */
function meeting(p: InnerLine, q: InnerLine): Point {
  const sine = cross(p.along, q.along);
  return Math.abs(sine) < 1e-6 ? q.at : add(p.at, times(p.along, cross(subtract(q.at, p.at), q.along) / sine));
}

const windowOf = (
  { rimMm }: ShellBulkhead,
  corners: readonly Point[],
  lines: readonly InnerLine[],
): readonly MadeHole[] => {
  if (rimMm <= 0) return [];
  const inner = lines.map((line) => ({
    ...line,
    at: add(line.at, times({ x: -line.along.y, y: line.along.x }, rimMm)),
  }));
  const ring = inner.map((line, index) => meeting(inner[(index + inner.length - 1) % inner.length]!, line));
  const isRoomy = ring.every((p, index) => {
    const next = ring[(index + 1) % ring.length]!,
      own = corners[(index + 1) % corners.length]!,
      before = corners[index]!;
    return (
      (next.x - p.x) * (own.x - before.x) + (next.y - p.y) * (own.y - before.y) > 0 &&
      Math.hypot(next.x - p.x, next.y - p.y) > LEAST_WINDOW_MM / 4
    );
  });
  return isRoomy ? [{ name: 'window', sizing: 'scaled', corners: ring }] : [];
};

function bulkheadPart(site: ShellSite, bulkhead: ShellBulkhead, number: number): readonly Part[] {
  const { form, shell } = site,
    material = bulkhead.material ?? shell.material,
    t = site.boardOf(material).thicknessMm,
    [fore, aft] = [bulkhead.aftMm, bulkhead.aftMm + t];
  const section = shellSection(site, (fore + aft) / 2);
  if (section.length < 3) return [];
  const lines = section.map(({ face, from, to }) => innerLine(site, face, from, to, fore, aft)),
    corners = lines.map((line, index) => meeting(lines[(index + lines.length - 1) % lines.length]!, line));
  const outline = corners.map((at, index): MadeCorner => ({ at, edge: `on-${lines[index]!.face.name}` }));
  const edgeWork = lines.flatMap(({ face, bevelDegrees, side }): readonly MadeEdgeWork[] =>
    bevelDegrees > 0
      ? [
          {
            name: `bevel-${face.name}`,
            edges: [`on-${face.name}`],
            work: { kind: 'bevel', face: side, bevelDegrees: Math.round(100 * bevelDegrees) / 100, label: '' },
          },
        ]
      : [],
  );
  const holes = windowOf(bulkhead, corners, lines),
    { x, y, z } = form.place.at;
  return [
    madePart({
      formId: form.id,
      role: `bulkhead-${bulkhead.id}`,
      name: `${form.name} bulkhead ${number}`,
      group: form.name,
      material,
      handed: 'single',
      grain: { directionDegrees: 90, rule: 'any' },
      outline,
      holes,
      edgeWork,
      place: placeOf(
        { x: point3(0, 1, 0), y: point3(0, 0, 1), z: point3(1, 0, 0), origin: point3(x + fore, y, z) },
        roomOnPiece(corners, outline, holes),
      ),
    }),
  ];
}

/** The bulkheads of a shell: sections of its inside. */
export const bulkheadParts = (site: ShellSite): readonly Part[] =>
  site.shell.bulkheads.flatMap((bulkhead, index) => bulkheadPart(site, bulkhead, index + 1));
