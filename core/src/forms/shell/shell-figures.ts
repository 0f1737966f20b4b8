import { add3, distance3, times3, type Point3 } from '../../geometry/index.ts';
import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import { piecesOf, type Part } from '../../part/index.ts';
import { areaFrom, partMass } from '../form/index.ts';
import { edgeCuts } from './edge-cuts.ts';
import { inwardOf, middleOf, pointsOf, sidesByEdge, turnOver } from './mesh.ts';
import type { ShellSite } from './shell-site.ts';

export type EdgeWay = 'flat' | 'creased' | 'grooved' | 'bevelled' | 'sanded';

/** One edge of a shell, as it is worked; both halves alike. */
export interface EdgeRow {
  readonly edge: string;
  /** Its corners in words: `section 1, corners 2–3`. */
  readonly words: string;
  readonly turnDegrees: number;
  readonly way: EdgeWay;
  /** To which both plates, or the rim, are bevelled. */
  readonly bevelDegrees: number;
  readonly lengthMm: number;
}

/** Everything that a shell tells of itself. */
export interface ShellFigures {
  /** Faces of both halves and across the middle. */
  readonly faces: number;
  readonly pieces: number;
  readonly splitFaces: number;
  readonly skinMm2: number;
  readonly foamMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
  readonly seamMm: number;
  readonly foldMm: number;
  readonly edges: readonly EdgeRow[];
  readonly leastTurnDegrees: number;
  readonly mostTurnDegrees: number;
}

const TURN_FLAT_DEGREES = 0.05;
const TURN_CREASED_DEGREES = 10;

const wordsOf = (edge: string, sectionOf: ReadonlyMap<string, number>): string => {
  const [a, b] = edge.split('_').map((key) => /^(.*)-(\d+)s?$/.exec(key)!) as [RegExpExecArray, RegExpExecArray];
  const [p, q] = [a, b].map(([, id]) => sectionOf.get(id!)! + 1);
  const [i, j] = [a, b].map(([, , corner]) => Number(corner) + 1);
  if (p === q) return `section ${p}, corners ${i}–${j}`;
  return i === j ? `corner ${i}, sections ${p}–${q}` : `section ${p} corner ${i} – section ${q} corner ${j}`;
};

/** The schedule of all edges: which are folded, which are cut, and to what angle. */
export function edgeRows(site: ShellSite): readonly EdgeRow[] {
  const folds = new Set(site.patches.flatMap(({ folds: held }) => held)),
    sectionOf = new Map(site.shell.sections.map(({ id }, index) => [id, index] as const));
  const rows = new Map<string, EdgeRow>();
  for (const cut of edgeCuts(site.mesh, site.whole, site.board.thicknessMm).values()) {
    // Both halves are alike: the port one is told.
    if (cut.edge.split('_').some((key) => key.endsWith('s'))) continue;
    const isFold = folds.has(cut.edge),
      turn = Math.abs(cut.turnDegrees);
    const way: EdgeWay =
      turn < TURN_FLAT_DEGREES && isFold
        ? 'flat'
        : isFold
          ? turn <= TURN_CREASED_DEGREES
            ? 'creased'
            : 'grooved'
          : cut.bevelDegrees > STEEPEST_BEVEL_DEGREES
            ? 'sanded'
            : 'bevelled';
    rows.set(cut.edge, {
      edge: cut.edge,
      words: wordsOf(cut.edge, sectionOf),
      turnDegrees: cut.turnDegrees,
      way,
      bevelDegrees: cut.bevelDegrees,
      lengthMm: cut.lengthMm,
    });
  }
  return [...rows.values()].sort((a, b) => Math.abs(b.turnDegrees) - Math.abs(a.turnDegrees));
}

/** The figures of a shell whose parts are made. */
export function shellFigures(site: ShellSite, parts: readonly Part[]): ShellFigures {
  const { whole, board } = site,
    { x: aft, z: up } = site.form.place.at;
  const faces = whole.faces.map((face) => {
    const points = pointsOf(whole, face),
      area = areaOfFace(points);
    return { area, at: add3(middleOf(points), times3(inwardOf(points), board.thicknessMm / 2)) };
  });
  const skinMm2 = faces.reduce((sum, { area }) => sum + area, 0);
  const bulkheads = parts
    .filter(({ source }) => source!.role.startsWith('bulkhead'))
    .map((part) => ({
      massG: partMass(part, site),
      at: part.place!.at,
    }));
  const pieces = parts.filter(({ source }) => source!.role.startsWith('piece'));
  const skinG = pieces.reduce((sum, part) => sum + partMass(part, site), 0);
  const massG = skinG + bulkheads.reduce((sum, one) => sum + one.massG, 0);
  const along = (key: 'x' | 'z', offset: number): number =>
    (faces.reduce((sum, { area, at }) => sum + ((skinG * area) / skinMm2) * (at[key] + offset), 0) +
      bulkheads.reduce((sum, one) => sum + one.massG * one.at[key], 0)) /
    massG;
  const edges = edgeRows(site),
    sides = sidesByEdge(whole);
  const both = (edge: string): number => (sides.get(edge)?.some(({ face }) => face.group === 'port') ? 2 : 1);
  const inner = edges.filter(({ edge }) => (sides.get(edge)?.length ?? 0) > 1);
  const turns = inner.map(({ edge }) => {
    const [one, other] = sides.get(edge)!;
    return Math.abs(turnOver(pointsOf(whole, one!.face), pointsOf(whole, other!.face)));
  });
  const isFold = ({ way }: EdgeRow): boolean => way === 'flat' || way === 'creased' || way === 'grooved';
  const sum = (rows: readonly EdgeRow[]): number => rows.reduce((mm, row) => mm + row.lengthMm * both(row.edge), 0);
  return {
    faces: whole.faces.length,
    pieces: pieces.reduce((count, part) => count + piecesOf(part), 0),
    splitFaces: site.split.length,
    skinMm2,
    foamMm2: areaFrom(parts, site.shell.material),
    massG,
    massAt: { x: along('x', aft), z: along('z', up) },
    seamMm: sum(inner.filter((row) => !isFold(row))),
    foldMm: sum(inner.filter((row) => isFold(row) && row.way !== 'flat')),
    edges,
    leastTurnDegrees: Math.min(...turns),
    mostTurnDegrees: Math.max(...turns),
  };
}

/** The area of a plane face. */
function areaOfFace(points: readonly Point3[]): number {
  const [o] = points;
  return points.slice(1, -1).reduce((sum, p, index) => {
    const q = points[index + 2]!,
      a = distance3(o!, p),
      b = distance3(p, q),
      c = distance3(q, o!),
      s = (a + b + c) / 2;
    return sum + Math.sqrt(Math.max(0, s * (s - a) * (s - b) * (s - c)));
  }, 0);
}
