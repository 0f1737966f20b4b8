import { add3, cross3, point3, times3, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { degrees, radians } from '../../units/index.ts';
import { madePart, placeOf, type MadeCorner, type MadeEdgeWork, type MadeLine } from '../form/index.ts';
import type { DeckSheet, DeckSite } from './deck-site.ts';

export const sheetRole = (index: number): string => `sheet-${index + 1}`;

/** The knife is set anew at every step of so many degrees along the end of a sheet. */
const STEP_DEGREES = 1;
/** Folds run on by so much over the edge: they are clipped to it. */
const RUN_ON_MM = 1;

type End = 'fore' | 'aft';

/** Lean of a sheet's plane at a ruling against the axis: above 0 it grows aft, in degrees. */
const slopeAt = ({ lines }: DeckSheet, at: number): number => -degrees(Math.asin(lines[at]!.normal.x));

/** Lean at a place of another sheet whose normal leans as much round the axis. */
function slopeLeaning(sheet: DeckSheet, lean: number): number {
  const next = Math.max(
      1,
      sheet.lines.findIndex((line) => line.lean >= lean - 1e-9),
    ),
    [a, b] = [sheet.lines[next - 1]!, sheet.lines[next]!];
  const share = Math.min(1, Math.max(0, (lean - a.lean) / (b.lean - a.lean)));
  return slopeAt(sheet, next - 1) * (1 - share) + slopeAt(sheet, next) * share;
}

/** How the end of a sheet is cut along it, off square to the board: at each ruling, above 0 the inside is cut back. */
export function endLeans({ sheets }: DeckSite, index: number, end: End): readonly number[] {
  const sheet = sheets[index]!,
    other = sheets[end === 'fore' ? index - 1 : index + 1],
    sign = end === 'fore' ? -1 : 1;
  return sheet.lines.map(({ lean }, at) => {
    const own = slopeAt(sheet, at);
    return sign * (other ? (own - slopeLeaning(other, lean)) / 2 : own);
  });
}

/** The bevels along an end: neighbouring strips with one setting of the knife are one. */
const stepOf = (leans: readonly number[], strip: number): number => {
  // The strip in the middle lies between both first rulings, which lean alike.
  const lean = strip === 0 ? leans[0]! : (leans[strip - 1]! + leans[strip]!) / 2;
  return STEP_DEGREES * Math.round(lean / STEP_DEGREES);
};

function endWork(leans: readonly number[], end: End): readonly MadeEdgeWork[] {
  const bySetting = new Map<number, string[]>();
  leans.forEach((_, strip) => {
    const setting = stepOf(leans, strip);
    if (setting !== 0) bySetting.set(setting, [...(bySetting.get(setting) ?? []), ...stripEdges(end, strip)]);
  });
  return [...bySetting].map(([setting, edges]) => ({
    name: `bevel-${end}${setting < 0 ? '-out' : ''}-${Math.abs(setting)}`,
    edges,
    work: { kind: 'bevel', face: setting > 0 ? 'face' : 'back', bevelDegrees: Math.abs(setting), label: '' },
  }));
}
/** The edges of a strip at an end of the sheet, on both sides of the middle. */
const stripEdges = (end: End, strip: number): readonly string[] =>
  strip === 0 ? [`${end}-0`] : [`${end}-port-${strip}`, `${end}-starboard-${strip}`];

const starboard = ({ x, y }: Point): Point => ({ x, y: -y });
const moved = (from: Point, to: Point, by: number): Point => {
  const run = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: to.x + ((to.x - from.x) * by) / run, y: to.y + ((to.y - from.y) * by) / run };
};

/** The ends of a sheet's rulings on the flat, at the greatest extent of the board. */
function drawnEnds(site: DeckSite, index: number): { readonly fore: readonly Point[]; readonly aft: readonly Point[] } {
  const { flat } = site.sheets[index]!,
    { neutralMm, board } = site;
  const beyond = (lean: number): number =>
    Math.abs(lean) < STEP_DEGREES / 2
      ? 0
      : Math.tan(radians(Math.abs(lean))) * (lean > 0 ? neutralMm : board.thicknessMm - neutralMm);
  const [fore, aft] = [endLeans(site, index, 'fore'), endLeans(site, index, 'aft')];
  return {
    fore: flat.fore.map((p, at) => moved(flat.aft[at]!, p, beyond(fore[at]!))),
    aft: flat.aft.map((p, at) => moved(flat.fore[at]!, p, beyond(aft[at]!))),
  };
}

/** Where the sheet stands: from the flat neutral surface of its middle strip. */
function sheetMap({ flat: { origin, along, inward } }: DeckSheet, neutralMm: number): RigidMap {
  return {
    x: along,
    y: cross3(inward, along),
    z: inward,
    origin: add3(origin, times3(inward, -neutralMm)),
  };
}

function sheetPart(site: DeckSite, index: number): Part {
  const { form, deck, neutralPercent, neutralMm } = site,
    sheet = site.sheets[index]!,
    { fore, aft } = drawnEnds(site, index),
    last = fore.length - 1;
  const corners = (points: readonly Point[], name: string): readonly MadeCorner[] =>
    points.map((at, strip) => ({ at, edge: `${name}-${strip}` }));
  // Round with the board to the left: aft along the starboard sill, to port over the tail, forward, and back over the nose.
  const outline: readonly MadeCorner[] = [
    { at: starboard(fore[last]!), edge: 'sill-starboard' },
    ...corners(aft.map(starboard), 'aft-starboard').slice(1).reverse(),
    { at: starboard(aft[0]!), edge: 'aft-0' },
    ...aft.slice(0, -1).map((at, strip): MadeCorner => ({ at, edge: `aft-port-${strip + 1}` })),
    { at: aft[last]!, edge: 'sill-port' },
    ...corners(fore, 'fore-port').slice(1).reverse(),
    { at: fore[0]!, edge: 'fore-0' },
    ...fore.slice(0, -1).map((p, strip): MadeCorner => ({ at: starboard(p), edge: `fore-starboard-${strip + 1}` })),
  ];
  const bends = sheet.flat.turns.flatMap((turn, at): readonly MadeLine[] => {
    const from = moved(aft[at]!, fore[at]!, RUN_ON_MM),
      to = moved(fore[at]!, aft[at]!, RUN_ON_MM);
    const work = {
      kind: 'bend',
      face: 'face',
      foldDegrees: turn,
      ...(neutralPercent > 0 ? { neutralPercent } : {}),
      label: '',
    } as const;
    return [
      { name: `bend-port-${at + 1}`, from, to, work },
      { name: `bend-starboard-${at + 1}`, from: starboard(from), to: starboard(to), work },
    ];
  });
  const middle = (aft[0]!.x + fore[0]!.x) / 2,
    { x, y, z } = form.place.at,
    map = sheetMap(sheet, neutralMm);
  const top: MadeLine = {
    name: 'top',
    from: { x: fore[0]!.x, y: 0 },
    to: { x: aft[0]!.x, y: 0 },
    work: { kind: 'mark', face: 'back', label: 'middle' },
  };
  const next = index + 1 < site.sheets.length;
  return madePart({
    formId: form.id,
    role: sheetRole(index),
    name: site.sheets.length === 1 ? form.name : `${form.name} sheet ${index + 1}`,
    group: form.name,
    material: deck.material,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'along' },
    outline,
    lines: [...bends, top],
    edgeWork: [...endWork(endLeans(site, index, 'fore'), 'fore'), ...endWork(endLeans(site, index, 'aft'), 'aft')],
    seams: next ? [{ name: 'joint', from: 'aft-0', to: 'fore-0', role: sheetRole(index + 1), mayOverhang: true }] : [],
    place: placeOf({ ...map, origin: add3(map.origin, point3(x, y, z)) }, { x: middle, y: 0 }),
  });
}

/** The sheets of a deck, from the nose. */
export const sheetParts = (site: DeckSite): readonly Part[] => site.sheets.map((_, index) => sheetPart(site, index));
