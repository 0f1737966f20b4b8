import { add3, composeRigid, point3, STILL, type Point } from '../../geometry/index.ts';
import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import type { Part } from '../../part/index.ts';
import { radians } from '../../units/index.ts';
import { madePart, placeOf, type MadeCorner, type MadeEdgeWork, type MadeLine } from '../form/index.ts';
import { acrossBulge, foldedFrustum, onFrustum, type Frustum } from './frustum.ts';
import type { RoundSite } from './round-site.ts';

export const frustumRole = (index: number): string => `frustum-${index + 1}`;

/** Ends that lean by less than this are cut square, in degrees. */
const SQUARE_DEGREES = 0.3;

/** How an end of a frustum is cut: in the plane half way to the next one, or square to the axis. */
export interface FrustumEnd {
  /** Of the cut from square to the board; above 0 the inside is cut back, below 0 the outside. */
  readonly bevelDegrees: number;
  /** How far the drawn edge lies beyond the neutral line: it is drawn at its greatest extent. */
  readonly beyondMm: number;
}

/** The ends of a frustum of a round, fore and aft. */
export function frustumEnds({ frusta, board, neutralMm }: RoundSite, index: number): readonly [FrustumEnd, FrustumEnd] {
  const { slopeDegrees } = frusta[index]!,
    before = frusta[index - 1],
    after = frusta[index + 1];
  const end = (leanDegrees: number): FrustumEnd => {
    const bevel = Math.abs(leanDegrees) < SQUARE_DEGREES ? 0 : leanDegrees,
      run = Math.tan(radians(Math.abs(bevel)));
    return { bevelDegrees: bevel, beyondMm: run * (bevel > 0 ? neutralMm : board.thicknessMm - neutralMm) };
  };
  return [
    // The rim is square to the axis: a side that grows aft has its inside further forward.
    end(before ? (before.slopeDegrees - slopeDegrees) / 2 : -slopeDegrees),
    end(after ? (slopeDegrees - after.slopeDegrees) / 2 : slopeDegrees),
  ];
}

/** The outline of a frustum, from the fore end of its seam's starboard side. */
export function frustumOutline(
  frustum: Frustum,
  [fore, aft]: readonly [FrustumEnd, FrustumEnd],
): readonly MadeCorner[] {
  const from = -fore.beyondMm,
    to = frustum.slantMm + aft.beyondMm,
    bulge = acrossBulge(frustum);
  return [
    { at: onFrustum(frustum, from, -0.5), edge: 'seam-starboard' },
    { at: onFrustum(frustum, to, -0.5), edge: 'aft', bulge },
    { at: onFrustum(frustum, to, 0.5), edge: 'seam-port' },
    { at: onFrustum(frustum, from, 0.5), edge: 'fore', bulge: -bulge },
  ];
}

const bevelOf = (edge: 'fore' | 'aft', { bevelDegrees }: FrustumEnd): readonly MadeEdgeWork[] =>
  bevelDegrees === 0
    ? []
    : [
        {
          name: `bevel-${edge}`,
          edges: [edge],
          work: {
            kind: 'bevel',
            face: bevelDegrees > 0 ? 'face' : 'back',
            bevelDegrees: Math.round(100 * Math.abs(bevelDegrees)) / 100,
            ...(Math.abs(bevelDegrees) > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
            label: '',
          },
        },
      ];

/** Bends and marks end so far beyond the ends of the board: they are clipped to it. */
const RUN_ON_MM = 1;

function frustumPart(site: RoundSite, index: number): Part {
  const { form, round, strips, neutralPercent, neutralMm } = site,
    frustum = site.frusta[index]!,
    ends = frustumEnds(site, index),
    folded = foldedFrustum(frustum, strips, round.seam === 'below');
  const across = (share: number): { readonly from: Point; readonly to: Point } => ({
    from: onFrustum(frustum, -ends[0].beyondMm - RUN_ON_MM, share),
    to: onFrustum(frustum, frustum.slantMm + ends[1].beyondMm + RUN_ON_MM, share),
  });
  const bends = Array.from({ length: strips }, (_, at): MadeLine => ({
    name: `bend-${at + 1}`,
    ...across((at + 0.5) / strips - 0.5),
    work: {
      kind: 'bend',
      face: 'face',
      foldDegrees: folded.turnDegrees,
      ...(neutralPercent > 0 ? { neutralPercent } : {}),
      label: '',
    },
  }));
  const top: MadeLine = {
    name: 'top',
    from: onFrustum(frustum, 0, 0),
    to: onFrustum(frustum, frustum.slantMm, 0),
    work: { kind: 'mark', face: 'back', label: round.seam === 'below' ? 'top' : 'underside' },
  };
  const next = site.frusta.length > index + 1,
    { x, y, z } = form.place.at;
  const map = composeRigid({ ...STILL, origin: point3(0, 0, -neutralMm) }, folded.map);
  return madePart({
    formId: form.id,
    role: frustumRole(index),
    name: site.frusta.length === 1 ? `${form.name} tube` : `${form.name} frustum ${index + 1}`,
    group: form.name,
    material: round.material,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'along' },
    notes: rollNote(site),
    outline: frustumOutline(frustum, ends),
    lines: [...bends, top],
    edgeWork: [...bevelOf('fore', ends[0]), ...bevelOf('aft', ends[1])],
    seams: [
      { name: 'seam', from: 'seam-port', to: 'seam-starboard' },
      ...(next ? [{ name: 'joint', from: 'aft', to: 'fore', role: frustumRole(index + 1) }] : []),
    ],
    place: placeOf({ ...map, origin: add3(map.origin, point3(x, y, z)) }, onFrustum(frustum, frustum.slantMm / 2, 0)),
  });
}

/** Which skins are peeled before the sheet is rolled. */
const rollNote = ({ round }: RoundSite): string =>
  ({
    both: 'Roll it as it is, over a tube, until it stays.',
    outer: 'Peel the inner skin, then roll it over a tube.',
    inner: 'Peel the outer skin, then roll it over a tube.',
    none: 'Warm the bare foam a little and roll it over a tube.',
  })[round.skins];

/** The rolled sheets of a round, from the nose. */
export const frustumParts = (site: RoundSite): readonly Part[] =>
  site.frusta.map((_, index) => frustumPart(site, index));
