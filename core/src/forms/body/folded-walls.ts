import {
  intersectionOf,
  regionArea,
  counterClockwise,
  unitVector,
  subtract,
  type Point,
} from '../../geometry/index.ts';
import { LARGEST_GROOVE_FOLD_DEGREES } from '../../allowance/index.ts';
import type { Part } from '../../part/index.ts';
import { degrees } from '../../units/index.ts';
import {
  blocking,
  madePart,
  type FormFault,
  type MadeCorner,
  type MadeEdgeWork,
  type MadeHole,
  type MadeLine,
  type MadeSeam,
} from '../form/index.ts';
import { sheetPlace } from './bent-sheet.ts';
import { slopeAt, type BodySite } from './body-site.ts';
import { onSheet } from './development.ts';
import { pieceDrawing, pieceSheet } from './floor-and-lid.ts';
import { heightAt } from './profile.ts';
import { sheetPieces } from './sheet-pieces.ts';
import { wallDrawing } from './walls.ts';

/** The stretch over which floor and walls both run straight, so that a wall can be folded up along the floor's edge. */
export interface FoldRun {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Turns of less than this are none, in degrees. */
const STRAIGHT_DEGREES = 0.02;
/** Walls and floor that lie over each other by less than this on the flat can be cut apart, in mm². */
const OVERLAP_MM2 = 1;
/** A fold over less of the body than this share holds nothing. */
const LEAST_SHARE = 0.2;

/** The longest straight stretch. */
export function foldRun({ floor, wall, lines }: Pick<BodySite, 'floor' | 'wall' | 'lines'>): FoldRun {
  let best: FoldRun = { fromMm: 0, toMm: 0 },
    start = 0;
  lines.breaks.forEach(({ x }, index) => {
    const from = lines.breaks[start]!.x;
    if (x - from > best.toMm - best.fromMm) best = { fromMm: from, toMm: x };
    if (Math.abs(floor.turns[index]!) > STRAIGHT_DEGREES || Math.abs(wall.turns[index]!) > STRAIGHT_DEGREES)
      start = index;
  });
  return best;
}

/** How a wall's own flat lies beside the floor's, turned down to port about the fold. */
function beside(site: BodySite, { fromMm, toMm }: FoldRun): (p: Point) => Point {
  const { wall, floor, lines } = site;
  const own = (x: number): Point => onSheet(wall, x, heightAt(lines.bottom, x)),
    there = (x: number): Point => onSheet(floor, x, -heightAt(lines.half, x));
  const [a, b] = [own(fromMm), there(fromMm)],
    u = unitVector(a, own(toMm)),
    v = unitVector(b, there(toMm));
  const cos = u.x * v.x + u.y * v.y,
    sin = u.x * v.y - u.y * v.x;
  return (p) => {
    const off = subtract(p, a);
    return { x: b.x + off.x * cos - off.y * sin, y: b.y + off.x * sin + off.y * cos };
  };
}

/** What turns over a mitred fold between floor and wall that slope so. */
const foldDegrees = (site: BodySite, { fromMm, toMm }: FoldRun): number => {
  const middle = (fromMm + toMm) / 2,
    slope = slopeAt(site.lines.bottom, middle),
    plan = -slopeAt(site.lines.half, middle);
  return 90 - degrees(Math.asin(Math.sin(slope) * Math.sin(plan)));
};

/** The corners of one side, from the floor's nose round the wall to the floor's tail; to port. */
function portSide(
  floor: readonly MadeCorner[],
  wall: readonly MadeCorner[],
  from: Point,
  to: Point,
): readonly MadeCorner[] {
  const near = (p: Point, q: Point): boolean => Math.hypot(p.x - q.x, p.y - q.y) < 0.05;
  // The floor's corners run from its tail to its nose to port, the wall's from its tail along its lower edge to its nose and back above.
  const edge = floor.filter(({ edge: name }) => name.startsWith('port-') || name === 'nose');
  const aft = edge.slice(0, edge.findIndex(({ at }) => near(at, to)) + 1),
    fore = edge.slice(edge.findIndex(({ at }) => near(at, from)));
  const lowEnd = wall.findIndex(({ edge: name }) => name === 'nose');
  const low = wall.slice(0, lowEnd + 1),
    rest = wall.slice(lowEnd + 1);
  const behind = low.slice(0, low.findIndex(({ at }) => near(at, to)) + 1),
    before = low.slice(low.findIndex(({ at }) => near(at, from)));
  // Every list names the run that goes on from a corner in its own direction; walked back, a corner has the name of the run to the one before.
  const back = (list: readonly MadeCorner[], last: string): readonly MadeCorner[] =>
    [...list].reverse().map(({ at }, index, all) => ({
      at,
      edge: index === all.length - 1 ? last : list[list.length - 2 - index]!.edge,
    }));
  return [...back(fore, '').slice(0, -1), ...before, ...rest, ...behind.slice(0, -1), ...back(aft, 'tail')];
}

const mirrored = ({ x, y }: Point): Point => ({ x, y: -y });

function onSide<T extends MadeHole>(hole: T, side: string, map: (p: Point) => Point): MadeHole {
  return 'corners' in hole
    ? { ...hole, name: `${side}-${hole.name}`, corners: hole.corners.map(map) }
    : { ...hole, name: `${side}-${hole.name}`, round: { ...hole.round, centre: map(hole.round.centre) } };
}

/** The floor with both walls on the flat. */
function foldedDrawing(site: BodySite): {
  readonly outline: readonly MadeCorner[];
  readonly holes: readonly MadeHole[];
  readonly lines: readonly MadeLine[];
  readonly edgeWork: readonly MadeEdgeWork[];
  readonly seams: readonly MadeSeam[];
  readonly overlapMm2: number;
} {
  const [piece] = sheetPieces(site, 'floor'),
    run = foldRun(site),
    floor = pieceDrawing(site, 'floor', piece!),
    wall = wallDrawing(site),
    toFloor = beside(site, run);
  const ends = [run.fromMm, run.toMm].map((x) => onSheet(site.floor, x, -heightAt(site.lines.half, x))) as [
    Point,
    Point,
  ];
  const laid = wall.outline.map((corner) => ({ ...corner, at: toFloor(corner.at) }));
  const port = portSide(floor.outline, laid, ...ends);
  const named = (edge: string): string => edge.replace(/^(low|top|nose|tail|seat)/, 'port-$1');
  const portCorners = port.map((corner) => ({
    ...corner,
    edge: laid.some(({ at }) => at === corner.at) ? named(corner.edge) : corner.edge,
  }));
  const star = (edge: string): string => edge.replace(/^port-/, 'starboard-');
  const starboard = portCorners.map((corner, index) => ({
    at: mirrored(corner.at),
    edge: star(portCorners[index - 1]?.edge ?? 'nose'),
  }));
  const sides = [
    ['port', toFloor],
    ['starboard', (p: Point) => mirrored(toFloor(p))],
  ] as const;
  const turn = foldDegrees(site, run);
  const grooves = sides.map(([side], index): MadeLine => ({
    name: `fold-${side}`,
    from: index === 0 ? ends[0] : mirrored(ends[0]),
    to: index === 0 ? ends[1] : mirrored(ends[1]),
    work: {
      kind: 'groove',
      face: 'face',
      foldDegrees: turn,
      mouthMm: 'auto',
      ...(turn > LARGEST_GROOVE_FOLD_DEGREES ? { school: 'sanded' as const } : {}),
      label: '',
    },
  }));
  const rings = [floor.outline, laid].map((corners) => [counterClockwise(corners.map(({ at }) => at))]);
  return {
    outline: [...portCorners, ...starboard.reverse()],
    holes: [...floor.holes, ...sides.flatMap(([side, map]) => wall.holes.map((hole) => onSide(hole, side, map)))],
    lines: [
      ...floor.lines,
      ...grooves,
      ...sides.flatMap(([side, map]) =>
        wall.lines.map((line) => ({ ...line, name: `${side}-${line.name}`, from: map(line.from), to: map(line.to) })),
      ),
    ],
    edgeWork: [
      ...floor.edgeWork,
      ...sides.flatMap(([side]) =>
        wall.edgeWork.map((work) => ({
          ...work,
          name: `${side}-${work.name}`,
          edges: work.edges.map((edge) => `${side}-${edge}`),
        })),
      ),
    ],
    seams: wall.seams.map(({ role, ...seam }) => ({
      ...seam,
      from: `port-${seam.from}`,
      ...(role === undefined || role === 'floor' ? {} : { role }),
    })),
    overlapMm2: regionArea(intersectionOf(rings[0]!, rings[1]!)),
  };
}

/** Why floor and walls cannot be of one piece, with the corners that can be made. */
export function foldedFaults(site: BodySite): readonly FormFault[] {
  if (site.body.corners !== 'folded') return [];
  const mitre = [{ path: 'corners', value: 'mitred' }];
  const refuse = (title: string, detail: string): readonly FormFault[] => [
    blocking('NOT_FOLDED', 'corners', title, detail, 'Cut and mitre the corners', mitre),
  ];
  const below = site.cuts.find(({ side }) => side === 'below');
  if (below)
    return refuse(
      `${below.name} sits in the floor that the walls are folded from`,
      'A wing below parts the floor in two. Walls and floor can be cut one by one and mitred: the outside stays as it is.',
    );
  const { fromMm, toMm } = foldRun(site);
  if (toMm - fromMm < LEAST_SHARE * (site.toMm - site.fromMm))
    return refuse(
      'Floor and walls are straight together nowhere long enough to fold',
      'A wall folds up along a straight edge of the floor: over a fifth of the body at least.',
    );
  return foldedDrawing(site).overlapMm2 > OVERLAP_MM2
    ? refuse(
        'Floor and walls would lie over each other on the flat',
        'Behind the straight stretch the floor grows wider, or the walls reach lower: they cannot be cut from one piece.',
      )
    : [];
}

/** Floor and walls of one piece. */
export function foldedParts(site: BodySite): readonly Part[] {
  const { form, body } = site;
  if (body.corners !== 'folded') return [];
  const [piece] = sheetPieces(site, 'floor');
  const { overlapMm2: _told, ...drawing } = foldedDrawing(site),
    run = foldRun(site);
  const bent = pieceSheet(site, 'floor', piece!),
    within = (line: typeof bent.low): typeof bent.low =>
      line.filter(({ x }) => x >= run.fromMm - 1e-6 && x <= run.toMm + 1e-6);
  return [
    madePart({
      formId: form.id,
      role: 'floor',
      name: `${form.name} floor and walls`,
      group: form.name,
      material: body.material,
      handed: 'single',
      grain: { directionDegrees: 0, rule: 'along' },
      ...drawing,
      place: sheetPlace(
        { ...bent, low: within(bent.low), top: within(bent.top) },
        form.place.at,
        drawing.outline,
        drawing.holes,
      ),
    }),
  ];
}
