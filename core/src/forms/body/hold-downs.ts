import { applyRigid, point3 } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeOf, type MadeCorner } from '../form/index.ts';
import { lifted } from './bent-sheet.ts';
import { doublerAt, FILM_MM, freeHalf, freeLow, freeTop, type BodySite } from './body-site.ts';
import { lengthAt, pieceMap, type Development } from './development.ts';
import { stripLegs } from './corner-strips.ts';
import { dowelPlaces, type DowelPlace } from './dowel-places.ts';
import { boardsOfFormer } from './former-places.ts';
import { heightAt, heightsBetween } from './profile.ts';
import type { SeatCut } from './seat-cut.ts';

/** Pads reach so many dowels across, at least so far, in mm. */
const PAD_DOWELS = 4;
const LEAST_PAD_MM = 18;
/** Of a pad, round its hole, in boards. */
const PAD_WEB_BOARDS = 1.6;
/** Between a pad and what stands beside it, in mm. */
const PAD_ROOM_MM = 0.3;
/** Of a plate that bolts are screwed into, along the body, in mm; its bolt stands in the middle. */
const BOLT_PLATE_MM = 30;
/** Share of the chord behind a bolt plate at least. */
const BOLT_AFT_SHARE = 0.08;

const pieceAt = ({ base }: Development, x: number): number =>
  Math.min(base.length - 2, Math.max(0, base.findIndex((p) => p.x > x) - 1));

const rectangle = (halfLong: number, halfWide: number): readonly MadeCorner[] => [
  { at: { x: -halfLong, y: -halfWide }, edge: 'a' },
  { at: { x: halfLong, y: -halfWide }, edge: 'b' },
  { at: { x: halfLong, y: halfWide }, edge: 'c' },
  { at: { x: -halfLong, y: halfWide }, edge: 'd' },
];

/** How far a pad may reach before and behind its dowel: formers bound it. */
function padReach(site: BodySite, x: number, half: number): readonly [fore: number, aft: number] {
  const formers = site.body.formers.flatMap((former) => boardsOfFormer(site, former));
  const fore = Math.max(x - half, ...formers.flatMap(({ aft }) => (aft <= x ? [aft + PAD_ROOM_MM] : []))),
    aft = Math.min(x + half, ...formers.flatMap((one) => (one.fore >= x ? [one.fore - PAD_ROOM_MM] : [])));
  return [x - fore, aft - x];
}

/** Pads round the dowels, on the inside of the walls: foam alone tears. */
function padParts(site: BodySite): readonly Part[] {
  const { form, body, board, wall } = site,
    plateMm = site.boardOf(body.plateMaterial).thicknessMm;
  return dowelPlaces(site).flatMap((dowel): readonly Part[] => {
    const { name, x, z, cut } = dowel;
    if (formerAtDowel(site, dowel) !== undefined) return [];
    const half =
        Math.max(LEAST_PAD_MM, PAD_DOWELS * cut.seat.dowelMm, cut.seat.dowelMm + 2 * PAD_WEB_BOARDS * plateMm) / 2,
      [fore, aft] = padReach(site, x, half);
    const legs = stripLegs(site, x - fore, x + aft);
    const low = heightsBetween(freeLow(site), x - fore, x + aft).most + PAD_ROOM_MM + legs.low,
      top = heightsBetween(freeTop(site), x - fore, x + aft).least - PAD_ROOM_MM - legs.top;
    const [under, over] = [Math.max(z - half, low), Math.min(z + half, top)],
      radiusMm = cut.seat.dowelMm / 2;
    if (under > z - radiusMm || over < z + radiusMm) return [];
    const lift = board.thicknessMm + doublerAt(site, x - fore, x + aft) + FILM_MM * 2,
      map = lifted(pieceMap(wall, pieceAt(wall, x)), lift, form.place.at);
    const corner = (flat: number, up: number, edge: string): MadeCorner => ({ at: { x: flat, y: up - z }, edge });
    return [
      madePart({
        formId: form.id,
        role: `pad-${name}`,
        name: `${form.name} dowel pad, ${name.startsWith('fore') ? 'fore' : 'aft'}`,
        group: form.name,
        material: body.plateMaterial,
        handed: 'pair',
        grain: { directionDegrees: 0, rule: 'any' },
        sizing: 'fixed',
        outline: [
          corner(-aft, under, 'foot'),
          corner(fore, under, 'fore'),
          corner(fore, over, 'top'),
          corner(-aft, over, 'aft'),
        ],
        holes: [{ name: 'dowel', sizing: 'fixed', round: { centre: { x: 0, y: 0 }, radiusMm } }],
        place: placeOf(
          { ...map, origin: applyRigid(map, point3(-lengthAt(wall, x), z, 0)) },
          { x: fore - 1, y: under - z + 1 },
        ),
      }),
    ];
  });
}

/** The number, from 0, of a former that stands where a dowel crosses the body. */
export function formerAtDowel(site: BodySite, { x, cut }: DowelPlace): number | undefined {
  const radius = cut.seat.dowelMm / 2,
    at = site.body.formers.findIndex((former) => {
      const boards = boardsOfFormer(site, former);
      return boards[0]!.fore < x + radius && boards.at(-1)!.aft > x - radius;
    });
  return at < 0 ? undefined : at;
}

/** Where a bolt plate begins: as far aft under its wing as formers leave room for it. */
function boltPlateFrom(site: BodySite, { fromMm, toMm }: SeatCut): number | undefined {
  const wanted = Math.min(toMm - BOLT_AFT_SHARE * (toMm - fromMm), site.toMm) - BOLT_PLATE_MM;
  const formers = site.body.formers.flatMap((former) => boardsOfFormer(site, former));
  for (let from = wanted; from >= Math.max(fromMm, site.fromMm); from -= 1)
    if (formers.every(({ fore, aft }) => fore > from + BOLT_PLATE_MM + PAD_ROOM_MM || aft < from - PAD_ROOM_MM))
      return from;
  return undefined;
}

/** Plates between the walls that the bolts of a wing are screwed into, before its tail. */
function boltPlates(site: BodySite): readonly Part[] {
  const { form, body } = site;
  return site.cuts.flatMap((cut): readonly Part[] => {
    const { seat } = cut,
      isTop = cut.side === 'top';
    if (seat.hold !== 'bolts' || (!isTop && cut.side !== 'below')) return [];
    const t = site.boardOf(body.plateMaterial).thicknessMm,
      line = isTop ? cut.underAt(0) : cut.upperAt(0);
    const from = boltPlateFrom(site, cut);
    if (from === undefined) return [];
    const to = from + BOLT_PLATE_MM;
    const half = freeHalf(site, from, to) - FILM_MM,
      rise = heightAt(line, to) - heightAt(line, from),
      length = Math.hypot(BOLT_PLATE_MM, rise),
      along = { x: BOLT_PLATE_MM / length, y: 0, z: rise / length },
      up = { x: -along.z, y: 0, z: along.x };
    const middle = { x: (from + to) / 2, y: 0, z: (heightAt(line, from) + heightAt(line, to)) / 2 };
    // Its face lies to the wing: under it, or over it.
    const off = isTop ? -t - FILM_MM : FILM_MM,
      place = form.place.at;
    return [
      madePart({
        formId: form.id,
        role: `bolt-plate-${seat.id}`,
        name: `${form.name} bolt plate of ${cut.name}`,
        group: form.name,
        material: body.plateMaterial,
        handed: 'single',
        grain: { directionDegrees: 90, rule: 'any' },
        sizing: 'fixed',
        outline: rectangle(BOLT_PLATE_MM / 2, half),
        holes: [{ name: 'bolt', sizing: 'fixed', round: { centre: { x: 0, y: 0 }, radiusMm: seat.dowelMm / 2 } }],
        place: placeOf(
          {
            x: along,
            y: { x: 0, y: 1, z: 0 },
            z: up,
            origin: {
              x: place.x + middle.x + up.x * off,
              y: place.y,
              z: place.z + middle.z + up.z * off,
            },
          },
          { x: -BOLT_PLATE_MM / 2 + 2, y: 0 },
        ),
      }),
    ];
  });
}

/** What holds wings down: pads for dowels, plates for bolts. */
export const holdParts = (site: BodySite): readonly Part[] => [...padParts(site), ...boltPlates(site)];
