import { point3, type Point, type RigidMap } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import type { Part } from '../../part/index.ts';
import {
  madePart,
  placeOf,
  roomOnPiece,
  type MadeCorner,
  type MadeEdgeWork,
  type MadeHole,
  type MadeSeam,
} from '../form/index.ts';
import { lifted } from './bent-sheet.ts';
import { doublerAt, FILM_MM, type BodySite } from './body-site.ts';
import { stripLegs } from './corner-strips.ts';
import { boardsOfFormer, formerMaterial, formerReach, type FormerBoard } from './former-places.ts';
import type { BodyFormer } from './parameters.ts';
import { heightAt, type Profile } from './profile.ts';
import { sheetPieces } from './sheet-pieces.ts';

/** Slopes over a board's thickness below this are cut square, in mm: glue fills them. */
const SQUARE_MM = 0.1;
/** Shares of the half width at which the edge under a wing is told. */
const SHARES = [0, 0.25, 0.5, 0.75, 1] as const;
/** Heights that differ by less are one, in mm. */
const LEVEL_MM = 0.1;
/** An edge no further than this from floor or lid stands on it, in mm: it follows a slope over its thickness. */
const ON_SHEET_MM = 3;
/** Board that stays between a hole and an edge, in mm. */
const LEAST_RIM_MM = 4;

/** What of a former's edge is drawn, and the bevel that lets it follow the slope over its thickness. */
interface SlopedEdge {
  readonly at: number;
  readonly bevelDegrees: number;
  readonly face: 'face' | 'back';
}

/** An edge between its places at the fore and the aft face; `out` is 1 where a greater number lies further out. */
function slopedEdge(fore: number, aft: number, out: 1 | -1, thicknessMm: number): SlopedEdge {
  const by = out * (fore - aft);
  if (Math.abs(by) < SQUARE_MM) return { at: out * Math.min(out * fore, out * aft), bevelDegrees: 0, face: 'face' };
  return {
    at: by > 0 ? fore : aft,
    bevelDegrees: degrees(Math.atan(Math.abs(by) / thicknessMm)),
    face: by > 0 ? 'face' : 'back',
  };
}

/** Heights across the half width where a wing's own shape, risen with its dihedral, stands in the way; undefined where the edge is level. */
function underShape(
  site: BodySite,
  { fore, aft }: FormerBoard,
  level: number,
  of: 'top' | 'low',
): readonly number[] | undefined {
  const cuts = site.cuts.filter(
    ({ side, fromMm, toMm }) =>
      (of === 'top' ? side === 'top' || side === 'through' : side === 'below') && fromMm < aft && toMm > fore,
  );
  if (cuts.length === 0) return undefined;
  const heights = SHARES.map((share) =>
    cuts.reduce((held, { underAt, upperAt }) => {
      const line = of === 'top' ? underAt(share) : upperAt(share);
      const own = [fore, aft].map((x) => heightAt(line, x));
      return of === 'top' ? Math.min(held, ...own) : Math.max(held, ...own);
    }, level),
  );
  return heights.some((height) => Math.abs(height - heights[0]!) > LEVEL_MM) ? heights : undefined;
}

/** The outline, round with the board to the left, seen from behind: x to starboard, y up. */
function outlineOf(
  half: number,
  low: number,
  top: number,
  legs: { readonly low: number; readonly top: number },
  shape: { readonly low: readonly number[] | undefined; readonly top: readonly number[] | undefined },
): readonly MadeCorner[] {
  const edge = (heights: readonly number[], name: string, side: 1 | -1): readonly MadeCorner[] =>
    [...SHARES, ...SHARES.slice(1).map((share) => -share)]
      .sort((a, b) => side * (a - b))
      .map((share, index, all) => ({
        at: { x: share * half, y: heights[SHARES.indexOf(Math.abs(share) as (typeof SHARES)[number])]! },
        edge: index === all.length - 1 ? (side === 1 ? 'starboard' : 'port') : `${name}-${index + 1}`,
      }));
  const [a, b] = [legs.low, legs.top];
  const foot: readonly MadeCorner[] = shape.low
    ? edge(shape.low, 'foot', 1)
    : [
        { at: { x: -half + a, y: low }, edge: 'foot' },
        { at: { x: half - a, y: low }, edge: a > 0 ? 'low-starboard' : 'starboard' },
        ...(a > 0 ? [{ at: { x: half, y: low + a }, edge: 'starboard' }] : []),
      ];
  const head: readonly MadeCorner[] = shape.top
    ? edge(shape.top, 'top', -1)
    : [
        { at: { x: half, y: top - b }, edge: b > 0 ? 'top-starboard' : 'top' },
        ...(b > 0 ? [{ at: { x: half - b, y: top }, edge: 'top' }] : []),
        { at: { x: -half + b, y: top }, edge: b > 0 ? 'top-port' : 'port' },
        ...(b > 0 ? [{ at: { x: -half, y: top - b }, edge: 'port' }] : []),
      ];
  const close: readonly MadeCorner[] = !shape.low && a > 0 ? [{ at: { x: -half, y: low + a }, edge: 'low-port' }] : [];
  return [...foot, ...head, ...close];
}

/** The window and the hole for leads. */
function holesOf({ rimMm, leadMm }: BodyFormer, half: number, low: number, top: number): readonly MadeHole[] {
  const holes: MadeHole[] = [];
  const [wide, high] = [half - rimMm, (top - low) / 2 - rimMm];
  const hasWindow = rimMm > 0 && wide > 2 && high > 2;
  if (hasWindow) {
    const corners: readonly Point[] = [
      { x: -wide, y: low + rimMm },
      { x: wide, y: low + rimMm },
      { x: wide, y: top - rimMm },
      { x: -wide, y: top - rimMm },
    ];
    holes.push({ name: 'window', sizing: 'scaled', corners });
  }
  const radiusMm = leadMm / 2,
    room = hasWindow ? rimMm : Math.min(top - low, 2 * half);
  if (leadMm > 0 && room >= leadMm + 2 * LEAST_RIM_MM)
    holes.push({
      name: 'leads',
      sizing: 'fixed',
      round: { centre: { x: 0, y: low + LEAST_RIM_MM + radiusMm }, radiusMm },
    });
  return holes;
}

/** The seams of a former with what stands round it. */
function seamsOf(site: BodySite, { fore, aft }: FormerBoard, line: string): readonly MadeSeam[] {
  const doubler = site.body.doublers.find(({ fromMm, toMm }) => fromMm < aft && toMm > fore);
  const isDoubled = doublerAt(site, fore, aft) > 0;
  const around = isDoubled && doubler ? `doubler-${doubler.id}` : 'wall';
  const on = (of: 'floor' | 'lid', from: string): readonly MadeSeam[] => {
    const piece = sheetPieces(site, of).find((one) => one.fromMm <= fore && one.toMm >= aft && !one.isHatch);
    return piece ? [{ name: `${of}-${line}`, from, to: line, role: piece.role, mayOverhang: true }] : [];
  };
  const { tray } = site.body;
  const isFolded = site.body.corners === 'folded' && around === 'wall';
  const beside = (name: 'port' | 'starboard'): MadeSeam => ({
    name,
    from: name,
    to: isFolded ? `${name}-${line}` : line,
    role: isFolded ? 'floor' : around,
    mayOverhang: true,
  });
  return [
    beside('port'),
    beside('starboard'),
    ...(tray && tray.fromMm < aft && tray.toMm > fore ? [] : on('floor', 'foot')),
    ...on('lid', 'top'),
  ];
}

function formerPart(
  site: BodySite,
  former: BodyFormer,
  number: number,
  board: FormerBoard,
  index: number,
): readonly Part[] {
  const reach = formerReach(site, board);
  if (!reach) return [];
  const { form } = site,
    material = formerMaterial(site, former),
    t = board.aft - board.fore;
  const half = slopedEdge(reach.fore.half, reach.aft.half, 1, t),
    top = slopedEdge(reach.fore.top, reach.aft.top, 1, t),
    low = slopedEdge(reach.fore.low, reach.aft.low, -1, t);
  const strips = stripLegs(site, board.fore, board.aft);
  const shape = { low: underShape(site, board, low.at, 'low'), top: underShape(site, board, top.at, 'top') };
  // Strips follow the slopes over the former's thickness; its corners are cut square, clear of them at both faces.
  const clear =
    FILM_MM +
    Math.abs(reach.fore.half - reach.aft.half) +
    Math.abs(reach.fore.low - reach.aft.low) +
    Math.abs(reach.fore.top - reach.aft.top);
  const legs = {
    low: shape.low || strips.low === 0 ? 0 : strips.low + clear,
    top: shape.top || strips.top === 0 ? 0 : strips.top + clear,
  };
  const outline = outlineOf(half.at, low.at, top.at, legs, shape),
    holes = holesOf(former, half.at, low.at, top.at),
    line = `former-${former.id}-${index + 1}`;
  const bevel = (
    name: string,
    edges: readonly string[],
    { bevelDegrees, face }: SlopedEdge,
  ): readonly MadeEdgeWork[] =>
    bevelDegrees > 0 ? [{ name, edges, work: { kind: 'bevel', face, bevelDegrees, label: '' } }] : [];
  const map: RigidMap = {
    x: point3(0, 1, 0),
    y: point3(0, 0, 1),
    z: point3(1, 0, 0),
    origin: point3(board.fore, 0, 0),
  };
  return [
    madePart({
      formId: form.id,
      role: index === 0 ? `former-${former.id}` : `former-${former.id}-${index + 1}`,
      name: `${form.name} former ${number + 1}${former.boards > 1 ? `, board ${index + 1}` : ''}`,
      group: form.name,
      material,
      handed: 'single',
      grain: { directionDegrees: 90, rule: 'any' },
      outline,
      holes,
      edgeWork: [
        ...bevel('sides', ['port', 'starboard'], half),
        ...(shape.low ? [] : bevel('foot', ['foot'], low)),
        ...(shape.top ? [] : bevel('top', ['top'], top)),
      ],
      seams: seamsOf(site, board, line).filter(
        ({ from }) =>
          (from !== 'foot' || (!shape.low && isNear(low.at, site.floorTop, board.fore))) &&
          (from !== 'top' || (!shape.top && isNear(top.at, site.lidUnder, board.fore))),
      ),
      place: placeOf(
        lifted(map, 0, form.place.at),
        roomOnPiece(
          outline.map(({ at }) => at),
          outline,
          holes,
        ),
      ),
    }),
  ];
}

/** Whether an edge stands on a sheet, and not on a wing that goes through. */
const isNear = (at: number, sheet: Profile, x: number): boolean => Math.abs(at - heightAt(sheet, x)) < ON_SHEET_MM;

/** The formers, board by board. */
export const formerParts = (site: BodySite): readonly Part[] =>
  site.body.formers.flatMap((former, number) =>
    boardsOfFormer(site, former).flatMap((board, index) => formerPart(site, former, number, board, index)),
  );
