import { memo, type LengthUnit } from '../../units/index.ts';
import type { FormBoard, FormContext, StandingBox } from '../form/index.ts';
import type { BodyForm } from './body-form.ts';
import { bodyLines, type BodyLines } from './body-lines.ts';
import { developSheet, type Development } from './development.ts';
import { offsetProfile } from './offset-line.ts';
import type { BodyParameters } from './parameters.ts';
import { cutDown, cutUp, heightAt, heightsBetween, type Profile } from './profile.ts';
import { slanted, type Slant } from './slant.ts';
import { seatCut, type SeatCut } from './seat-cut.ts';

/** Parts that meet stay this far from each other: glue takes the room, and nothing presses, in mm. */
export const FILM_MM = 0.03;

/** All that the parts of a body are made from. */
export interface BodySite {
  readonly form: BodyForm;
  readonly body: BodyParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: LengthUnit;
  readonly lines: BodyLines;
  readonly wall: Development;
  readonly floor: Development;
  readonly lid: Development;
  /** Insides of walls, floor and lid. */
  readonly innerHalf: Profile;
  readonly floorTop: Profile;
  readonly lidUnder: Profile;
  /** Edges of the walls, with the seats cut out. */
  readonly wallLow: Profile;
  readonly wallTop: Profile;
  readonly cuts: readonly SeatCut[];
  /** Seats whose wing is gone or cannot be made. */
  readonly lostSeats: readonly string[];
  /** The power boxes that sit in it, from its own zero. */
  readonly boxes: readonly StandingBox[];
  readonly fromMm: number;
  readonly toMm: number;
}

const raised = (profile: Profile, by: number): Profile => profile.map((point) => ({ ...point, z: point.z + by }));
const prefixed = (profile: Profile, prefix: string): Profile =>
  profile.map((point) => ({ ...point, edge: `${prefix}-${point.edge}` }));

/** The doubler within the walls at a place: how thick it is. */
export const doublerAt = ({ body, board }: Pick<BodySite, 'body' | 'board'>, from: number, to = from): number =>
  body.doublers.some(({ fromMm, toMm }) => fromMm < to + 1e-6 && toMm > from - 1e-6) ? board.thicknessMm : 0;

/** Half of what is free between the walls from one place to another, doublers and all. */
export const freeHalf = (site: BodySite, from: number, to: number): number =>
  heightsBetween(site.innerHalf, from, to).least - doublerAt(site, from, to);

/** How a wall's face lies along the body from its outer skin: further aft where the body widens. */
export const wallSlant = (half: Profile, thicknessMm: number): Slant => ({
  thicknessMm,
  faceShift: (x) => thicknessMm * Math.sin(meanSlope(half, x)),
  slope: (x) => slopeAt(half, x),
});

/** The lines of the walls' edges before anything is cut out of them, and the lines that they are drawn to meet. */
export function wallEdges(
  { corners, lid }: BodyParameters,
  { bottom, top, half }: BodyLines,
  floorTop: Profile,
  lidUnder: Profile,
  thicknessMm: number,
): {
  readonly low: Profile;
  readonly top: Profile;
  readonly toLow: Profile | undefined;
  readonly toTop: Profile | undefined;
} {
  const slant = wallSlant(half, thicknessMm);
  const toLow = corners === 'on floor' ? raised(floorTop, FILM_MM) : corners === 'between' ? bottom : undefined,
    toTop = lid === 'on walls' ? raised(lidUnder, -FILM_MM) : lid === 'between' ? top : undefined;
  return {
    low: prefixed(toLow ? slanted(toLow, slant, 'least') : bottom, 'low'),
    top: prefixed(toTop ? slanted(toTop, slant, 'most') : top, 'top'),
    toLow,
    toTop,
  };
}

/** The power boxes that sit in a body, from its own zero; one that is gone or cannot be made is left out. */
const boxesWithin = ({ parameters, place: { at } }: BodyForm, context: FormContext): readonly StandingBox[] =>
  (parameters.boxIds ?? []).flatMap((id): readonly StandingBox[] => {
    const box = context.boxOf?.(id);
    return box
      ? [
          {
            ...box,
            fromMm: box.fromMm - at.x,
            toMm: box.toMm - at.x,
            lowMm: box.lowMm - at.z,
            topMm: box.topMm - at.z,
            asideMm: box.asideMm - at.y,
            dowels: box.dowels.map((dowel) => ({ ...dowel, x: dowel.x - at.x, z: dowel.z - at.z })),
          },
        ]
      : [];
  });

/** What a form of a body, well in itself, is made from. */
export function bodySite(form: BodyForm, context: FormContext): BodySite {
  const body = form.parameters,
    board = context.boardOf(body.material),
    t = board.thicknessMm,
    lines = bodyLines(body);
  const innerHalf = offsetProfile(lines.half, -t),
    floorTop = offsetProfile(lines.bottom, t),
    lidUnder = body.lid === 'none' ? lines.top : offsetProfile(lines.top, -t);
  const { low, top } = wallEdges(body, lines, floorTop, lidUnder, t);
  const fromMm = lines.breaks[0]!.x,
    toMm = lines.breaks.at(-1)!.x,
    { x: aft, z: up } = form.place.at;
  const found = body.seats.map((seat) => ({ seat, wing: context.wingOf(seat.formId) }));
  const cuts = found.flatMap(({ seat, wing }): readonly SeatCut[] => {
    if (!wing) return [];
    const sectionAt = (outMm: number): ReturnType<typeof wing.sectionAt> =>
      wing.sectionAt(outMm).map(({ x, y }) => ({ x: x - aft, y: y - up }));
    const ring = sectionAt(0),
      over = [Math.min(...ring.map(({ x }) => x)), Math.max(...ring.map(({ x }) => x))] as const;
    const halves = heightsBetween(lines.half, ...over);
    const leanMm =
      t *
      Math.max(
        ...[...lines.half.map(({ x }) => x), ...over].flatMap((x) =>
          x >= over[0] && x <= over[1] ? [Math.abs(Math.tan(slopeAt(lines.half, x)))] : [],
        ),
      );
    const within = Math.max(0, halves.least - t - doublerAt({ body, board }, ...over));
    return [seatCut(seat, wing, sectionAt, [within, halves.most], low, top, t, leanMm)];
  });
  return {
    form,
    body,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
    lines,
    wall: developSheet(lines, 'wall', 0),
    floor: developSheet(lines, 'floor', 0),
    lid: developSheet(lines, 'lid', 0),
    innerHalf,
    floorTop,
    lidUnder,
    wallLow: cuts.reduce(
      (held, { side, upper }) => (side === 'below' ? cutUp(held, upper, `low-${upper[0]!.edge}`) : held),
      low,
    ),
    wallTop: cuts.reduce(
      (held, { side, under }) => (side === 'top' ? cutDown(held, under, `top-${under[0]!.edge}`) : held),
      top,
    ),
    cuts,
    boxes: boxesWithin(form, context),
    lostSeats: found.flatMap(({ seat, wing }) => (wing ? [] : [seat.id])),
    fromMm,
    toMm,
  };
}

/** The upper side of the floor, and above the wings that sit in it: what stands within keeps over it. Remembered by the site. */
export const freeLow = memo((site: BodySite): Profile =>
  site.cuts.reduce(
    (held, { side, upper }) => (side === 'below' ? cutUp(held, upper, `o-${upper[0]!.edge}`) : held),
    site.floorTop,
  ),
);
/** The underside of the lid, and below the wings that sit in it or go through: what stands within keeps under it. Remembered by the site. */
export const freeTop = memo((site: BodySite): Profile =>
  site.cuts.reduce(
    (held, { side, under }) =>
      side === 'top' || side === 'through' ? cutDown(held, under, `u-${under[0]!.edge}`) : held,
    site.lidUnder,
  ),
);

const SLOPE_STEP_MM = 0.01;

/** Slope of a line at a place, in radians: above 0 where it rises toward the tail; at a corner that behind it, at its end that before. */
export function slopeAt(profile: Profile, x: number): number {
  const from = Math.min(Math.max(profile[0]!.x, x), profile.at(-1)!.x - SLOPE_STEP_MM);
  return Math.atan2(heightAt(profile, from + SLOPE_STEP_MM) - heightAt(profile, from), SLOPE_STEP_MM);
}

/** Slope of a line at a corner of it: the mean of both sides. */
export const meanSlope = (profile: Profile, x: number): number =>
  (slopeAt(profile, x - 2 * SLOPE_STEP_MM) + slopeAt(profile, x)) / 2;
