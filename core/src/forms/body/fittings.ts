import { applyRigid, point3, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeOf, type MadeCorner, type MadeHole, type MadePartDraft } from '../form/index.ts';
import { lifted, sheetCorners, sheetFolds, sheetPlace } from './bent-sheet.ts';
import { FILM_MM, freeHalf, slopeAt, type BodySite } from './body-site.ts';
import { developSheet, lengthAt, onSheet, pieceMap } from './development.ts';
import { between, heightAt, type Profile } from './profile.ts';
import type { BatteryTray } from './parameters.ts';
import { sheetPieces } from './sheet-pieces.ts';

/** Share of a skid's length that goes through the floor. */
const TAB_SHARE = 0.6;
/** Room of a slot round what goes through it, in mm. */
const SLOT_ROOM_MM = 0.2;
/** Thickness of a strap, in mm. */
const STRAP_MM = 3;
/** Board that stays between an opening and an edge, in boards. */
const WEB_BOARDS = 1.6;
/** Of the tongue under a hatch: how far it is glued, and how far it reaches under the lid, in mm. */
const TONGUE_MM = 12;

const box = (site: BodySite, x: number, across: number, longMm: number, wideMm: number): readonly Point[] =>
  (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([a, b]) => onSheet(site.floor, x + (a * longMm) / 2, across + (b * wideMm) / 2));

/** Where the tab of a skid goes through the floor. */
const tabOf = ({ aftMm, lengthMm }: NonNullable<BodySite['body']['skid']>): readonly [number, number] => [
  aftMm + ((1 - TAB_SHARE) / 2) * lengthMm,
  aftMm + ((1 + TAB_SHARE) / 2) * lengthMm,
];

/** Slots for the skid and the strap, in the piece of the floor between two places. */
export function floorHoles(site: BodySite, fromMm: number, toMm: number): readonly MadeHole[] {
  const { skid, tray, plateMaterial } = site.body,
    holes: MadeHole[] = [];
  if (skid) {
    const [from, to] = tabOf(skid),
      t = site.boardOf(plateMaterial).thicknessMm,
      // The tab stands upright, the slot's ends square to the floor.
      lean = 2 * site.board.thicknessMm * Math.tan(Math.abs(slopeAt(site.lines.bottom, (from + to) / 2)));
    if (from > fromMm + 1 && to < toMm - 1)
      holes.push({
        name: 'skid',
        sizing: 'scaled',
        corners: box(site, (from + to) / 2, 0, to - from + SLOT_ROOM_MM + lean, t + SLOT_ROOM_MM),
      });
  }
  if (tray && tray.strapMm > 0) {
    const x = (tray.fromMm + tray.toMm) / 2;
    if (x - tray.strapMm / 2 > fromMm + 1 && x + tray.strapMm / 2 < toMm - 1) holes.push(...strapSlots(site, x, tray));
  }
  return holes;
}

/** From where to where a tray lies within the body. */
const trayReach = (site: BodySite, { fromMm, toMm }: BatteryTray): readonly [from: number, to: number] => [
  Math.max(fromMm, site.fromMm),
  Math.min(toMm, site.toMm),
];

/** How far from the middle the slots of a strap lie: within the tray, which is as wide as the body is where that is narrowest. */
const strapOut = (site: BodySite, tray: BatteryTray): number =>
  Math.max(STRAP_MM, freeHalf(site, ...trayReach(site, tray)) - WEB_BOARDS * site.board.thicknessMm - STRAP_MM / 2);

const strapSlots = (site: BodySite, x: number, tray: BatteryTray): readonly MadeHole[] =>
  [-1, 1].map((side) => ({
    name: `strap-${side < 0 ? 'port' : 'starboard'}`,
    sizing: 'fixed',
    corners: box(site, x, side * strapOut(site, tray), tray.strapMm, STRAP_MM),
  }));

const common = ({ form }: BodySite): Pick<MadePartDraft, 'formId' | 'group' | 'handed'> => ({
  formId: form.id,
  group: form.name,
  handed: 'single',
});

/** The doubled floor under a pack. */
function trayPart(site: BodySite): readonly Part[] {
  const { body, board, form } = site,
    { tray } = body;
  if (!tray) return [];
  const [from, to] = trayReach(site, tray);
  if (to - from < 10) return [];
  const half = freeHalf(site, from, to) - FILM_MM;
  const line = (sign: 1 | -1, word: string): Profile =>
    between(site.lines.half, from, to).map((point) => ({ ...point, z: sign * half, edge: `${word}-${point.edge}` }));
  const bent = {
    sheet: developSheet(site.lines, 'floor', board.thicknessMm + FILM_MM),
    low: line(-1, 'port'),
    top: line(1, 'starboard'),
  };
  const outline = sheetCorners(bent),
    x = (tray.fromMm + tray.toMm) / 2,
    // Its slots lie over those of the floor.
    shift = lengthAt(bent.sheet, x) - lengthAt(site.floor, x);
  const holes =
    tray.strapMm > 0 && x - tray.strapMm / 2 > from && x + tray.strapMm / 2 < to
      ? strapSlots(site, x, tray).map((hole) =>
          'corners' in hole ? { ...hole, corners: hole.corners.map((p) => ({ x: p.x + shift, y: p.y })) } : hole,
        )
      : [];
  return [
    madePart({
      ...common(site),
      role: 'tray',
      name: `${form.name} battery tray`,
      material: body.material,
      grain: { directionDegrees: 0, rule: 'along' },
      outline,
      holes,
      lines: sheetFolds(bent, body.bottomLine === 'curved'),
      place: sheetPlace(bent, form.place.at, outline, holes),
    }),
  ];
}

/** The map of a flat plate on the floor's face, its middle at a place along the body. */
function onFloor(site: BodySite, x: number, liftMm: number): RigidMap {
  const { floor, board, form } = site;
  const index = Math.min(floor.base.length - 2, Math.max(0, floor.base.findIndex((p) => p.x > x) - 1)),
    map = lifted(pieceMap(floor, index), board.thicknessMm + FILM_MM + liftMm, form.place.at);
  return { ...map, origin: applyRigid(map, point3(lengthAt(floor, x), 0, 0)) };
}

/** The plates that hold a wire leg: the upper ones slotted for it. */
function gearParts(site: BodySite): readonly Part[] {
  const { body, form } = site,
    { gear } = body;
  if (!gear) return [];
  const from = gear.aftMm - gear.lengthMm / 2,
    to = gear.aftMm + gear.lengthMm / 2,
    t = site.boardOf(body.plateMaterial).thicknessMm;
  if (from < site.fromMm || to > site.toMm) return [];
  const half = freeHalf(site, from, to) - FILM_MM,
    isOnTray = body.tray && body.tray.fromMm < to && body.tray.toMm > from,
    base = isOnTray ? site.board.thicknessMm + FILM_MM : 0;
  const outline: readonly MadeCorner[] = [
    { at: { x: -gear.lengthMm / 2, y: -half }, edge: 'port' },
    { at: { x: gear.lengthMm / 2, y: -half }, edge: 'aft' },
    { at: { x: gear.lengthMm / 2, y: half }, edge: 'starboard' },
    { at: { x: -gear.lengthMm / 2, y: half }, edge: 'fore' },
  ];
  const wide = gear.wireMm / 2,
    slot = half - WEB_BOARDS * t;
  return Array.from({ length: gear.boards }, (_, index) =>
    madePart({
      ...common(site),
      role: `gear-plate-${index + 1}`,
      name: `${form.name} gear plate ${index + 1}`,
      material: body.plateMaterial,
      grain: { directionDegrees: 90, rule: 'any' },
      sizing: 'fixed',
      outline,
      holes:
        index === 0
          ? []
          : [
              {
                name: 'wire',
                sizing: 'fixed',
                corners: [
                  { x: -wide, y: -slot },
                  { x: wide, y: -slot },
                  { x: wide, y: slot },
                  { x: -wide, y: slot },
                ],
              },
            ],
      place: placeOf(onFloor(site, gear.aftMm, base + index * (t + FILM_MM)), { x: -gear.lengthMm / 2 + 2, y: 0 }),
    }),
  );
}

/** The runner under the body, on edge through the floor. */
function skidPart(site: BodySite): readonly Part[] {
  const { body, form } = site,
    { skid } = body;
  if (!skid) return [];
  const [from, to] = [skid.aftMm, skid.aftMm + skid.lengthMm],
    [tabFrom, tabTo] = tabOf(skid),
    t = site.boardOf(body.plateMaterial).thicknessMm;
  if (from < site.fromMm || to > site.toMm) return [];
  const under = (x: number): number => heightAt(site.lines.bottom, x) - FILM_MM,
    inside = (x: number): number => heightAt(site.floorTop, x);
  const ramp = Math.min(skid.depthMm, skid.lengthMm / 4);
  const corner = (x: number, y: number, edge: string): MadeCorner => ({ at: { x, y }, edge });
  const along = site.lines.bottom.filter(({ x }) => x > from && x < to);
  const run = (a: number, b: number, name: string): readonly MadeCorner[] =>
    along.filter(({ x }) => x > a && x < b).map(({ x, edge }) => corner(x, under(x), `${name}-${edge}`));
  const outline: readonly MadeCorner[] = [
    corner(from, under(from), 'fore'),
    corner(from + ramp, under(from + ramp) - skid.depthMm, 'runner'),
    corner(to - ramp, under(to - ramp) - skid.depthMm, 'aft'),
    corner(to, under(to), 'seat-aft'),
    ...[...run(tabTo, to, 'sa')].reverse(),
    corner(tabTo, under(tabTo), 'tab-aft'),
    corner(tabTo, inside(tabTo), 'tab'),
    ...[...along.filter(({ x }) => x > tabFrom && x < tabTo)]
      .reverse()
      .map(({ x, edge }) => corner(x, inside(x), `tab-${edge}`)),
    corner(tabFrom, inside(tabFrom), 'tab-fore'),
    corner(tabFrom, under(tabFrom), 'seat-fore'),
    ...[...run(from, tabFrom, 'sf')].reverse(),
  ];
  const map: RigidMap = {
    x: point3(1, 0, 0),
    y: point3(0, 0, 1),
    z: point3(0, -1, 0),
    origin: point3(0, t / 2, 0),
  };
  return [
    madePart({
      ...common(site),
      role: 'skid',
      name: `${form.name} skid`,
      material: body.plateMaterial,
      grain: { directionDegrees: 0, rule: 'along' },
      outline,
      place: placeOf(lifted(map, 0, form.place.at), {
        x: (from + to) / 2,
        y: under((from + to) / 2) - skid.depthMm / 2,
      }),
    }),
  ];
}

/** The tongue under the fore edge of a hatch, that reaches under the lid before it. */
function tonguePart(site: BodySite): readonly Part[] {
  const { body, form, board, lid } = site,
    hatch = sheetPieces(site, 'lid').find(({ isHatch }) => isHatch);
  if (body.hatch?.kind !== 'tongue' || !hatch) return [];
  const x = hatch.fromMm,
    half = freeHalf(site, x - TONGUE_MM, x + TONGUE_MM) - 1;
  const index = Math.min(lid.base.length - 2, Math.max(0, lid.base.findIndex((p) => p.x > x) - 1)),
    map = lifted(pieceMap(lid, index), board.thicknessMm + FILM_MM, form.place.at);
  const outline: readonly MadeCorner[] = [
    { at: { x: -TONGUE_MM, y: -half }, edge: 'starboard' },
    { at: { x: TONGUE_MM, y: -half }, edge: 'aft' },
    { at: { x: TONGUE_MM, y: half }, edge: 'port' },
    { at: { x: -TONGUE_MM, y: half }, edge: 'fore' },
  ];
  return [
    madePart({
      ...common(site),
      role: 'hatch-tongue',
      name: `${form.name} hatch tongue`,
      material: body.plateMaterial,
      grain: { directionDegrees: 0, rule: 'any' },
      sizing: 'fixed',
      outline,
      place: placeOf({ ...map, origin: applyRigid(map, point3(lengthAt(lid, x), 0, 0)) }, { x: 0, y: 0 }),
    }),
  ];
}

/** What is fitted to floor and lid: tray, gear plates, skid, tongue. */
export const fittingParts = (site: BodySite): readonly Part[] => [
  ...trayPart(site),
  ...gearParts(site),
  ...skidPart(site),
  ...tonguePart(site),
];
