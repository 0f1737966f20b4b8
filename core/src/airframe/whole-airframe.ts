import { assemble, foldedBy, seamFigures, type SeamFigures, type StandingPiece } from '../folds/index.ts';
import { add3, applyRigid, centroid, point3, polygonArea, times3, type Point3 } from '../geometry/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import type { NamedSeam } from './assembled.ts';
import { flyingPieces } from './funnel.ts';
import { standingParts } from './made-at-scale.ts';

/** What a form, or the parts drawn by hand, weigh, and where their middle lies. */
export interface MassRow {
  /** Of the form; none of what is drawn by hand. */
  readonly formId?: string;
  readonly name: string;
  readonly massG: number;
  /** x aft and z up in the airframe, of what of it stands; undefined where nothing of it does. */
  readonly at?: { readonly x: number; readonly z: number };
}

/** The mass of everything that flies, form by form: all rows together are the ticket's foam. */
export interface WholeMass {
  readonly rows: readonly MassRow[];
  readonly massG: number;
  /** Of that what stands somewhere, and where its middle lies. */
  readonly standingG: number;
  readonly at?: { readonly x: number; readonly z: number };
}

const DRAWN = 'Drawn by hand';

/** The middle of a piece where it stands: its plates by their areas, half way through the board. */
function middleOf({ body, maps }: StandingPiece): Point3 {
  let all = point3(0, 0, 0),
    area = 0;
  for (const { plate, bottom, thicknessMm } of body.solids) {
    const own = polygonArea(bottom) - plate.holes.reduce((sum, hole) => sum + polygonArea(hole), 0),
      { x, y } = centroid(bottom);
    all = add3(all, times3(applyRigid(maps[plate.index]!, point3(x, y, thicknessMm / 2)), own));
    area += own;
  }
  return times3(all, 1 / area);
}

/** The mass of what flies of an airframe, by form, and where it lies. */
export function wholeMass(airframe: Airframe): WholeMass {
  const names = new Map((airframe.forms ?? []).map(({ id, name }) => [id, name] as const)),
    drawn = new Map(airframe.parts.map((part) => [part.id, part] as const)),
    pieces = flyingPieces(airframe);
  // Two forms may bear one name: rows are told apart by the form.
  const rowOf = ({ source }: Part): string => (source && names.has(source.formId) ? source.formId : '');
  const flying = new Set(pieces.map(({ part }) => part.id)),
    parts = standingParts(
      airframe,
      airframe.parts.filter(({ id }) => flying.has(id)),
    );
  const stands = assemble(parts, foldedBy(1)).pieces.map((piece) => ({
    row: rowOf(drawn.get(piece.partId)!),
    massG: piece.body.resolved.massG,
    at: middleOf(piece),
  }));
  const middle = (of: typeof stands): MassRow['at'] => {
    const massG = of.reduce((sum, one) => sum + one.massG, 0);
    if (massG === 0) return undefined;
    const mean = (key: 'x' | 'z'): number => of.reduce((sum, one) => sum + one.massG * one.at[key], 0) / massG;
    return { x: mean('x'), z: mean('z') };
  };
  const masses = new Map<string, number>();
  for (const { part, quantity } of pieces) {
    const row = rowOf(drawn.get(part.id)!);
    masses.set(row, (masses.get(row) ?? 0) + part.massG * quantity);
  }
  const withPlace = (of: typeof stands): Pick<MassRow, 'at'> => {
    const at = middle(of);
    return at ? { at } : {};
  };
  return {
    rows: [...masses].map(([formId, massG]) => ({
      ...(formId === '' ? {} : { formId }),
      name: names.get(formId) ?? DRAWN,
      massG,
      ...withPlace(stands.filter(({ row }) => row === formId)),
    })),
    massG: [...masses.values()].reduce((sum, one) => sum + one, 0),
    standingG: stands.reduce((sum, one) => sum + one.massG, 0),
    ...withPlace(stands),
  };
}

/** The seams within a part, or between two, in numbers. */
export interface SeamRow extends SeamFigures {
  /** Names of the parts: one of a seam within a part. */
  readonly names: readonly string[];
}

/** Seams by the parts that meet in them: those that do not close come first, the widest of them before. */
export function seamRows(all: readonly NamedSeam[]): readonly SeamRow[] {
  const groups = new Map<string, NamedSeam[]>();
  for (const one of all) {
    const key = [...new Set([one.from, one.to])].sort().join('\n');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()]
    .map((group): SeamRow => ({
      names: [...new Set([group[0]!.from, group[0]!.to])],
      ...seamFigures(group.map(({ state }) => state)),
    }))
    .sort((a, b) => b.open + b.pressed - (a.open + a.pressed) || b.worstMm - a.worstMm);
}
