import type { Part } from '../../part/index.ts';
import { degrees, memo } from '../../units/index.ts';
import { layerPart } from './layers.ts';
import { FILM_MM, type BodySite } from './body-site.ts';
import type { CornerStrips } from './parameters.ts';
import { sheetPieces } from './sheet-pieces.ts';
import { between, heightAt, type Profile } from './profile.ts';

/** Edge that is left of the last strip: none is cut to nothing, in mm. */
const LAST_EDGE_MM = 0.6;
/** Between the strips of both corners at least so much stays free, in mm. */
const LEAST_BETWEEN_MM = 2;
/** A stretch shorter than this takes no strips; room is looked for in such steps, in mm. */
const LEAST_RUN_MM = 30;
const SCAN_MM = 2;

/**
 * How many strips a corner takes, so that it can be rounded.
 * @source along the diagonal of a square corner an arc of radius r lies r·(√2 − 1) from the edge, and the slope over strips of leg c, within
 * walls of thickness t, lies (2t + c)/√2 from it; what is left between is (2t + c)/√2 − r·(√2 − 1)
 */
export function stripCount({ radiusMm, leftMm }: CornerStrips, thicknessMm: number): number {
  const leg = Math.SQRT2 * (leftMm + radiusMm * (Math.SQRT2 - 1)) - 2 * thicknessMm;
  return Math.max(0, Math.ceil(leg / thicknessMm - 1e-9));
}

/** Foam that is left behind a rounded corner. */
export const foamLeft = ({ radiusMm }: CornerStrips, strips: number, thicknessMm: number): number =>
  ((2 + strips) * thicknessMm) / Math.SQRT2 - radiusMm * (Math.SQRT2 - 1);

/** A stretch of a corner that strips lie in. */
export interface StripRun {
  readonly at: 'floor' | 'lid';
  /** Of the piece of floor or lid that it lies along. */
  readonly role: string;
  readonly fromMm: number;
  readonly toMm: number;
}

const moved = (profile: Profile, by: number, prefix: string): Profile =>
  profile.map((point) => ({ ...point, z: point.z + by, edge: `${prefix}-${point.edge}` }));

/** How far the strips reach from a corner along floor and lid. */
function legOf({ body, board }: Pick<BodySite, 'body' | 'board'>): number {
  return body.strips ? stripCount(body.strips, board.thicknessMm) * board.thicknessMm : 0;
}

/** The longest stretch of a piece over which both walls leave room for the strips. */
function roomyRun(site: BodySite, fromMm: number, toMm: number, highMm: number): readonly [number, number] | undefined {
  const leg = legOf(site);
  const hasRoom = (x: number): boolean =>
    heightAt(site.innerHalf, x) > leg + LEAST_BETWEEN_MM &&
    heightAt(site.lidUnder, x) - heightAt(site.floorTop, x) > highMm;
  let best: readonly [number, number] | undefined, start: number | undefined;
  for (let x = fromMm; ; x = Math.min(toMm, x + SCAN_MM)) {
    const isRoomy = hasRoom(x);
    if (isRoomy && start === undefined) start = x;
    if (start !== undefined && (!isRoomy || x === toMm)) {
      const end = isRoomy ? x : x - SCAN_MM;
      if (!best || end - start > best[1] - best[0]) best = [start, end];
      start = undefined;
    }
    if (x >= toMm) return best && best[1] - best[0] > LEAST_RUN_MM ? best : undefined;
  }
}

/** The stretches of the corners that strips lie in: along every piece of floor and lid that stays. Remembered by the site. */
const stripRuns = memo((site: BodySite): readonly StripRun[] => {
  const { strips, lid } = site.body;
  const leg = legOf(site);
  if (!strips || leg === 0) return [];
  const both = strips.atFloor && strips.atLid && lid !== 'none';
  return (['floor', 'lid'] as const).flatMap((at) =>
    (at === 'floor' ? strips.atFloor : strips.atLid)
      ? sheetPieces(site, at).flatMap(({ role, fromMm, toMm, isHatch }): readonly StripRun[] => {
          const run = isHatch ? undefined : roomyRun(site, fromMm, toMm, (both ? 2 : 1) * leg + LEAST_BETWEEN_MM);
          return run ? [{ at, role, fromMm: run[0], toMm: run[1] }] : [];
        })
      : [],
  );
});

/** How far strips reach from the corners along floor and lid over a stretch; 0 where there are none. */
export function stripLegs(site: BodySite, fore: number, aft: number): { readonly low: number; readonly top: number } {
  const runs = stripRuns(site).filter(({ fromMm, toMm }) => fromMm < aft && toMm > fore),
    leg = legOf(site) + LAST_EDGE_MM;
  return {
    low: runs.some(({ at }) => at === 'floor') ? leg : 0,
    top: runs.some(({ at }) => at === 'lid') ? leg : 0,
  };
}

/** The strips in the corners: each bent along the wall within the one before, narrower by a board, its edge cut to the slope. */
export function stripParts(site: BodySite): readonly Part[] {
  const { body, board } = site,
    { strips } = body;
  if (!strips) return [];
  const t = board.thicknessMm,
    count = stripCount(strips, t);
  return stripRuns(site).flatMap(({ at, role, fromMm, toMm }) => {
    const base = between(at === 'floor' ? site.floorTop : site.lidUnder, fromMm, toMm);
    return Array.from({ length: count }, (_, index) => {
      const width = (count - index) * t;
      return layerPart(site, {
        role: `strip-${role}-${index + 1}`,
        word: `corner strip ${index + 1} at the ${role === at ? at : `aft ${at}`}`,
        withinMm: (t + FILM_MM) * (index + 1),
        low: at === 'floor' ? moved(base, FILM_MM, 'low') : moved(base, -width, 'low'),
        top: at === 'floor' ? moved(base, width, 'top') : moved(base, -FILM_MM, 'top'),
        slope: {
          of: at === 'floor' ? 'top' : 'low',
          bevelDegrees: index === count - 1 ? degrees(Math.atan((t - LAST_EDGE_MM) / t)) : 45,
        },
      });
    });
  });
}
