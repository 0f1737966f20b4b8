import { add3, composeRigid, point3, polygonArea, STILL, type Point, type RigidMap } from '../../geometry/index.ts';
import { LARGEST_GROOVE_FOLD_DEGREES } from '../../allowance/index.ts';
import type { OperationDraft } from '../../operations/index.ts';
import type { Place } from '../../part/index.ts';
import { placeOf, roomOnPiece, type MadeCorner, type MadeHole, type MadeLine } from '../form/index.ts';
import { onSheet, pieceMap, type Development } from './development.ts';
import { heightAt, withCorners, type Profile } from './profile.ts';

/** A sheet between two lines, from one place along the body to another. */
export interface BentSheet {
  readonly sheet: Development;
  /** Of a wall its lower edge; of floor and lid the edge to port, below 0. */
  readonly low: Profile;
  readonly top: Profile;
}

/** Creases turn by up to this: over a sharper turn the foam of both plates wants the place of the sheet beside them, and it is grooved. */
export const LARGEST_CREASE_DEGREES = 10;
/** Turns of less than this are no fold, in degrees: those of a shallow curve add up. */
const FLAT_DEGREES = 0.001;
/** Corners of an edge this near to a bend stand on it, in mm. */
const NEAR_MM = 0.3;
/** A fold shorter than this is none, in mm. */
const LEAST_FOLD_MM = 0.5;

/** The corners of a sheet on the flat, round with the board to the left; `nose` and `tail` are its ends. */
export function sheetCorners({ sheet, low, top }: BentSheet): readonly MadeCorner[] {
  const places = sheet.base.map(({ x }) => x);
  const [under, over] = [withCorners(low, places, NEAR_MM), withCorners(top, places, NEAR_MM)];
  const at = (x: number, z: number): Point => onSheet(sheet, x, z);
  const forward = under.map(({ x, z }, index): MadeCorner => ({
    at: at(x, z),
    edge: index === 0 ? 'nose' : under[index - 1]!.edge,
  }));
  const aft = over.map(({ x, z, edge }, index): MadeCorner => ({
    at: at(x, z),
    edge: index === over.length - 1 ? 'tail' : edge,
  }));
  return [...forward.reverse(), ...aft];
}

function foldWork(turnDegrees: number, isBent: boolean): OperationDraft {
  if (isBent) return { kind: 'bend', face: 'face', foldDegrees: turnDegrees, label: '' };
  if (Math.abs(turnDegrees) <= LARGEST_CREASE_DEGREES)
    return { kind: 'crease', face: 'face', foldDegrees: turnDegrees, label: '' };
  return {
    kind: 'groove',
    face: 'face',
    foldDegrees: turnDegrees,
    mouthMm: 'auto',
    ...(turnDegrees > LARGEST_GROOVE_FOLD_DEGREES ? { school: 'sanded' as const } : {}),
    label: '',
  };
}

/**
 * The folds of a sheet: across it at every corner of its base.
 * @param isBent whether the board bends there by itself; else it is creased, or grooved where it turns sharply
 * @param gap an opening that parts the folds within it: from where to where, and how low and high
 */
export function sheetFolds(
  { sheet, low, top }: BentSheet,
  isBent: boolean,
  gap?: { readonly low: Profile; readonly top: Profile },
): readonly MadeLine[] {
  const from = low[0]!.x,
    to = low.at(-1)!.x;
  return sheet.base.flatMap(({ x }, index): readonly MadeLine[] => {
    const turn = sheet.turns[index]!;
    if (Math.abs(turn) < FLAT_DEGREES || x <= from + NEAR_MM || x >= to - NEAR_MM) return [];
    const runs: (readonly [number, number])[] =
      gap && x > gap.low[0]!.x && x < gap.low.at(-1)!.x
        ? [
            [heightAt(low, x), heightAt(gap.low, x)],
            [heightAt(gap.top, x), heightAt(top, x)],
          ]
        : [[heightAt(low, x), heightAt(top, x)]];
    return runs
      .filter(([a, b]) => b - a > LEAST_FOLD_MM)
      .map(([a, b], run) => ({
        name: `fold-${sheet.keys[index]!}${run === 0 ? '' : `-b${run + 1}`}`,
        from: onSheet(sheet, x, a),
        to: onSheet(sheet, x, b),
        work: foldWork(turn, isBent),
      }));
  });
}

/** The pieces of a sheet between its bends, on the flat, and where each stands in the body's frame. */
function piecesOf({
  sheet,
  low,
  top,
}: BentSheet): readonly { readonly ring: readonly Point[]; readonly map: RigidMap }[] {
  const from = low[0]!.x,
    to = low.at(-1)!.x;
  return sheet.base.slice(1).flatMap((end, index) => {
    const [a, b] = [Math.max(from, sheet.base[index]!.x), Math.min(to, end.x)];
    if (b - a < NEAR_MM) return [];
    const at = (x: number, z: number): Point => onSheet(sheet, x, z);
    const places = [a, (a + b) / 2, b];
    return [
      {
        ring: [...places.map((x) => at(x, heightAt(low, x))), ...places.reverse().map((x) => at(x, heightAt(top, x)))],
        map: pieceMap(sheet, index),
      },
    ];
  });
}

/**
 * The place of a sheet in the airframe: by its largest piece.
 * @param at where the body stands
 * @param liftMm how far within its base the board lies
 */
export function sheetPlace(
  bent: BentSheet,
  at: Place['at'],
  outline: readonly MadeCorner[],
  holes: readonly MadeHole[],
  liftMm = 0,
): Place {
  const pieces = piecesOf(bent),
    best = pieces.reduce((found, one) => (polygonArea(one.ring) > polygonArea(found.ring) ? one : found));
  return placeOf(lifted(best.map, liftMm, at), roomOnPiece(best.ring, outline, holes));
}

/** A map from the flat, so far within, into the airframe. */
export const lifted = (map: RigidMap, liftMm: number, at: Place['at']): RigidMap => {
  const inside = composeRigid({ ...STILL, origin: point3(0, 0, liftMm) }, map);
  return { ...inside, origin: add3(inside.origin, at) };
};
