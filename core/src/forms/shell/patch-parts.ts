import {
  add,
  add3,
  cross,
  cross3,
  leftOf,
  point3,
  polygonArea,
  subtract,
  subtract3,
  times,
  times3,
  unit3,
  unitVector,
  type Point,
  type RigidMap,
} from '../../geometry/index.ts';
import { STEEPEST_BEVEL_DEGREES, LARGEST_GROOVE_FOLD_DEGREES } from '../../allowance/index.ts';
import type { OperationDraft } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import {
  madePart,
  placeOf,
  roomOnPiece,
  type MadeCorner,
  type MadeEdgeWork,
  type MadeLine,
  type MadeSeam,
} from '../form/index.ts';
import { edgeCuts, type EdgeCut } from './edge-cuts.ts';
import { hatchMarks } from './hatch-marks.ts';
import { edgeKey, inwardOf, pointsOf, sidesByEdge, turnOver, type FaceSide } from './mesh.ts';
import { MIDDLE } from './shell-mesh.ts';
import type { ShellSite } from './shell-site.ts';
import { boundaryOf, type LaidFace, type Patch } from './unfold.ts';

/** Folds of less than this are creased, in degrees: sharper ones are grooved, so that the foam of neighbours lies in no other's place. */
const LARGEST_CREASE_DEGREES = 10;
/** A fold runs on by so many times what the edge at its end lies further out. */
const RUN_ON = 3;
/** Turns and bevels of less than this are none, in degrees. */
const FLAT_DEGREES = 0.05;

/** Piece names from its faces: the first by name. */
export const patchRole = ({ faces }: Patch): string =>
  `piece-${faces.map(({ face }) => face.name).sort((a, b) => (a < b ? -1 : 1))[0]!}`;

/** The name of a piece's edge along a side of a face. */
const sideName = (faceName: string, edge: string): string => `${edge}-of-${faceName}`;

interface BoundarySide {
  readonly laid: LaidFace;
  readonly from: string;
  readonly to: string;
  readonly cut: EdgeCut;
  readonly name: string;
  readonly a: Point;
  readonly b: Point;
  /** How far the drawn edge lies outside of the face's own: where the skin is cut back from it. */
  readonly outMm: number;
}

function boundarySides(patch: Patch, cuts: ReadonlyMap<string, EdgeCut>): readonly BoundarySide[] {
  return boundaryOf(patch).map(({ laid, index }) => {
    const { face, corners } = laid,
      from = face.loop[index]!,
      to = face.loop[(index + 1) % face.loop.length]!,
      edge = edgeKey(from, to),
      cut = cuts.get(`${face.name}>${edge}`)!;
    return {
      laid,
      from,
      to,
      cut,
      name: sideName(face.name, edge),
      a: corners[index]!,
      b: corners[(index + 1) % corners.length]!,
      outMm: Math.max(0, -cut.backMm),
    };
  });
}

/** Where two sides moved out of their lines meet; where they run alike, the end of the first. */
function cornerBetween(before: BoundarySide, after: BoundarySide): Point {
  const [u, v] = [unitVector(before.a, before.b), unitVector(after.a, after.b)],
    // The foam lies to the left: out is to the right.
    p = add(before.b, times(leftOf(u), -before.outMm)),
    q = add(after.a, times(leftOf(v), -after.outMm)),
    sine = cross(u, v);
  return Math.abs(sine) < 1e-4
    ? add(after.a, times(leftOf(v), -Math.min(before.outMm, after.outMm)))
    : add(p, times(u, cross(subtract(q, p), v) / sine));
}

/** A fold from corner to corner of a face; where the drawn edge lies further out than a corner, the fold runs on to it. */
function foldRun(
  sides: readonly BoundarySide[],
  laid: LaidFace,
  from: string,
  to: string,
): { readonly from: Point; readonly to: Point } {
  const [a, b] = [from, to].map((key) => laid.corners[laid.face.loop.indexOf(key)]!) as [Point, Point],
    along = unitVector(a, b);
  const beyond = (p: Point): number =>
    Math.max(0, ...sides.flatMap((side) => (isAt(side.a, p) || isAt(side.b, p) ? [side.outMm] : [])));
  return { from: add(a, times(along, -RUN_ON * beyond(a))), to: add(b, times(along, RUN_ON * beyond(b))) };
}
const isAt = (p: Point, q: Point): boolean => Math.hypot(p.x - q.x, p.y - q.y) < 1e-6;

function foldWork(turn: number): OperationDraft {
  if (Math.abs(turn) <= LARGEST_CREASE_DEGREES) return { kind: 'crease', face: 'face', foldDegrees: turn, label: '' };
  return {
    kind: 'groove',
    face: 'face',
    foldDegrees: turn,
    mouthMm: 'auto',
    ...(turn > LARGEST_GROOVE_FOLD_DEGREES ? { school: 'sanded' as const } : {}),
    label: '',
  };
}

/** The folds of a piece. */
function foldLines(
  { mesh }: ShellSite,
  { faces, folds }: Patch,
  boundary: readonly BoundarySide[],
): readonly MadeLine[] {
  const byFace = new Map(faces.map((laid) => [laid.face.name, laid] as const)),
    sides = sidesByEdge(mesh);
  return folds.flatMap((edge): readonly MadeLine[] => {
    const [one, other] = sides.get(edge)! as readonly [FaceSide, FaceSide];
    const turn = turnOver(pointsOf(mesh, one.face), pointsOf(mesh, other.face));
    if (Math.abs(turn) < FLAT_DEGREES) return [];
    const laid = byFace.get(one.face.name)!;
    return [{ name: `fold-${edge}`, ...foldRun(boundary, laid, one.from, one.to), work: foldWork(turn) }];
  });
}

/** The bevels of a piece's free edges. */
const bevels = (sides: readonly BoundarySide[]): readonly MadeEdgeWork[] =>
  sides.flatMap(({ cut, name }): readonly MadeEdgeWork[] =>
    cut.bevelDegrees < FLAT_DEGREES
      ? []
      : [
          {
            name: `bevel-${name}`,
            edges: [name],
            work: {
              kind: 'bevel',
              face: cut.backMm > 0 ? 'face' : 'back',
              bevelDegrees: Math.round(cut.bevelDegrees * 100) / 100,
              ...(cut.bevelDegrees > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
              label: '',
            },
          },
        ],
  );

/** The seams of a piece: each edge that is cut between two faces once, and those with its mirror image. */
function seams(site: ShellSite, sides: readonly BoundarySide[], role: string): readonly MadeSeam[] {
  const roleOfFace = new Map(
    site.patches.flatMap((patch) => patch.faces.map(({ face }) => [face.name, patchRole(patch)] as const)),
  );
  const all = sidesByEdge(site.whole);
  return sides.flatMap(({ laid, cut, name }): readonly MadeSeam[] => {
    const other = all.get(cut.edge)!.find(({ face }) => face.name !== laid.face.name);
    if (!other) return [];
    if (cut.meets === 'mirror') return [{ name: `mirror-${cut.edge}`, from: name, to: name, role }];
    const there = roleOfFace.get(other.face.name);
    // A plate across the middle meets the starboard half as it meets the port one.
    if (!there || other.face.name < laid.face.name) return [];
    return [
      {
        name: cut.edge,
        from: name,
        to: sideName(other.face.name, cut.edge),
        ...(there === role ? {} : { role: there }),
      },
    ];
  });
}

/** Where a face stands in the shell's frame: from the flat, inside up. */
export function faceMap(site: Pick<ShellSite, 'whole'>, { face, corners }: LaidFace): RigidMap {
  const points = pointsOf(site.whole, face),
    inward = inwardOf(points),
    u = unit3(subtract3(points[1]!, points[0]!)),
    v = cross3(inward, u);
  const along = unitVector(corners[0]!, corners[1]!);
  // The flat's own axes, as they lie in the face.
  const x = add3(times3(u, along.x), times3(v, -along.y)),
    y = add3(times3(u, along.y), times3(v, along.x));
  const origin = subtract3(points[0]!, add3(times3(x, corners[0]!.x), times3(y, corners[0]!.y)));
  return { x, y, z: inward, origin };
}

function patchPart(site: ShellSite, patch: Patch, number: number, cuts: ReadonlyMap<string, EdgeCut>): Part {
  const { form, shell } = site,
    role = patchRole(patch),
    sides = boundarySides(patch, cuts),
    isMiddle = patch.faces[0]!.face.group === MIDDLE;
  const outline = sides.map((side, index): MadeCorner => ({
    at: cornerBetween(sides[(index + sides.length - 1) % sides.length]!, side),
    edge: side.name,
  }));
  const largest = patch.faces.reduce((best, one) =>
      polygonArea(one.corners) > polygonArea(best.corners) ? one : best,
    ),
    map = faceMap(site, largest);
  const { x, y, z } = form.place.at;
  return madePart({
    formId: form.id,
    role,
    name: `${form.name} piece ${number}`,
    group: form.name,
    material: shell.material,
    handed: isMiddle ? 'single' : 'pair',
    grain: { directionDegrees: 0, rule: 'any' },
    notes: `Faces ${patch.faces.map(({ face }) => face.name).join(', ')}.`,
    outline,
    lines: [...foldLines(site, patch, sides), ...hatchMarks(site, patch)],
    edgeWork: bevels(sides),
    seams: seams(site, sides, role),
    place: placeOf({ ...map, origin: add3(map.origin, point3(x, y, z)) }, roomOnPiece(largest.corners, outline, [])),
  });
}

/** The pieces of a shell: those of its port half are cut twice, once mirrored. */
export function patchParts(site: ShellSite): readonly Part[] {
  const cuts = edgeCuts(site.mesh, site.whole, site.board.thicknessMm);
  return site.patches.map((patch, index) => patchPart(site, patch, index + 1, cuts));
}
