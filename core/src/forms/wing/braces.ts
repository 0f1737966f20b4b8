import { applyRigid, point3, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { formatAngle, formatLengthWithUnit, radians } from '../../units/index.ts';
import type { FormContext, FormFault } from '../form/index.ts';
import { madePart, placeIn } from '../form/index.ts';
import { blocking } from '../form/index.ts';
import { bracedEnds, MOST_OFF_MM, sparFrontAt } from './brace-place.ts';
import { GLUE_FILM_MM, type PanelSite } from './panel.ts';
import { freeOver, roomAcross } from './skin-room.ts';
import type { WingStation } from './stations.ts';

/** A brace reaches over at most this share of each panel. */
const MOST_SHARE = 0.8;
/** Lower than this a brace holds nothing, in mm. */
const LEAST_HIGH_MM = 3;

/** A joint that is braced: the panel outboard of it, and the one inboard, which is its own twin in the middle. */
interface BracedJoint {
  readonly station: WingStation;
  readonly index: number;
  readonly outer: PanelSite;
  readonly inner?: PanelSite;
}

const bracedJoints = (sites: readonly PanelSite[], stations: readonly WingStation[]): readonly BracedJoint[] =>
  stations.flatMap((station, index): readonly BracedJoint[] => {
    const outer = sites[(station.outer ?? 0) - 1];
    if (!outer || outer.laid.isMiddle || !bracedEnds(outer).root) return [];
    const inner = station.inner === undefined ? undefined : sites[station.inner - 1]!;
    return [{ station, index, outer, ...(inner ? { inner } : {}) }];
  });

/** Fronts of the spar at the joint and at both ends of its brace. */
function fronts({ outer, inner }: BracedJoint, reachMm: number): readonly number[] {
  return [
    sparFrontAt(outer, 0),
    sparFrontAt(outer, reachMm),
    ...(inner
      ? [sparFrontAt(inner, inner.laid.panel.spanMm), sparFrontAt(inner, inner.laid.panel.spanMm - reachMm)]
      : []),
  ];
}

/** How far a straight brace lies off the spar where that runs furthest aft of it. */
const offOf = (joint: BracedJoint, reachMm: number): number => {
  const all = fronts(joint, reachMm);
  return Math.max(...all) - Math.min(...all);
};

/** Foot and top of a brace at a place out along a panel, between the skins before the spar. */
function heightsAt(site: PanelSite, outMm: number, aftMm: number, thicknessMm: number): readonly [number, number] {
  const free = freeOver(roomAcross(site, outMm), aftMm - thicknessMm, aftMm);
  return free ? [free.low, free.top] : [0, 0];
}

/** The foot and the top line of a brace in one panel, from the joint's plane outward, in the frame of the wing: out, and up. */
function armOf(
  site: PanelSite,
  end: 'root' | 'tip',
  aftMm: number,
  reachMm: number,
  thicknessMm: number,
): { readonly feet: readonly [Point, Point]; readonly tops: readonly [Point, Point] } {
  const span = site.laid.panel.spanMm,
    tilt = Math.tan(radians(end === 'root' ? site.laid.rootTiltDegrees : site.laid.tipTiltDegrees));
  const [footNear, topNear] = heightsAt(site, end === 'root' ? 0 : span, aftMm, thicknessMm),
    [footFar, topFar] = heightsAt(site, end === 'root' ? reachMm : span - reachMm, aftMm, thicknessMm);
  const inWing = (along: number, up: number): Point => {
    const { x, z } = applyRigid(site.laid.map, point3(end === 'root' ? along : span - along, 0, up));
    return { x, y: z };
  };
  const line = (near: number, far: number): readonly [Point, Point] => {
    // The plane of the joint lies up·tan β into the panel.
    const rise = (far - near) / reachMm,
      up = near / (1 - rise * tilt);
    return [inWing(up * tilt, up), inWing(reachMm, far)];
  };
  return { feet: line(footNear, footFar), tops: line(topNear, topFar) };
}

/** A braced joint's plate; undefined where the skins leave too little room for one. */
function braceOf(joint: BracedJoint): Part | undefined {
  const { outer, inner, station, index } = joint,
    { material, reachMm } = outer.wing.braces!,
    thicknessMm = outer.boardOf(material).thicknessMm;
  const aftMm = Math.min(...fronts(joint, reachMm)) - GLUE_FILM_MM;
  const out = armOf(outer, 'root', aftMm, reachMm, thicknessMm),
    mirrored = ([a, b]: readonly [Point, Point]): readonly [Point, Point] => [
      { x: -a.x, y: a.y },
      { x: -b.x, y: b.y },
    ],
    back = inner
      ? armOf(inner, 'tip', aftMm, reachMm, thicknessMm)
      : { feet: mirrored(out.feet), tops: mirrored(out.tops) };
  const foot = { x: out.feet[0].x, y: Math.max(out.feet[0].y, back.feet[0].y) },
    top = { x: out.tops[0].x, y: Math.min(out.tops[0].y, back.tops[0].y) };
  const high = Math.min(top.y - foot.y, ...[out, back].map(({ feet, tops }) => tops[1].y - feet[1].y));
  if (high < LEAST_HIGH_MM) return undefined;
  const corners = [back.feet[1], foot, out.feet[1], out.tops[1], top, back.tops[1]],
    edges = ['foot-in', 'foot-out', 'end-out', 'top-out', 'top-in', 'end-in'];
  // Its drawing looks forward: out along the wing, and up.
  const map: RigidMap = {
    x: point3(1, 0, 0),
    y: point3(0, 0, 1),
    z: point3(0, -1, 0),
    origin: point3(0, aftMm, 0),
  };
  return madePart({
    formId: outer.formId,
    role: `brace-${index}`,
    name: `${outer.formName} brace through the ${station.name}`,
    group: outer.formName,
    material,
    handed: inner ? 'pair' : 'single',
    grain: { directionDegrees: 0, rule: 'along' },
    outline: corners.map((at, corner) => ({ at, edge: edges[corner]! })),
    notes: `Glued to the front of the spar across the ${station.name}: it turns ${formatAngle(Math.abs(station.turnDegrees))} as the joint does.`,
    place: placeIn(outer.place, map, { x: (foot.x + top.x) / 2, y: (foot.y + top.y) / 2 }),
  });
}

/** The braces of a wing. */
export const braceParts = (sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] =>
  bracedJoints(sites, stations).flatMap((joint) => braceOf(joint) ?? []);

/** Braces longer than their panels, and joints at which no straight brace lies along the spar. */
export function braceFaults(
  sites: readonly PanelSite[],
  stations: readonly WingStation[],
  { unit }: FormContext,
): readonly FormFault[] {
  const { braces } = sites[0]!.wing;
  if (!braces) return [];
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    { reachMm } = braces,
    joints = bracedJoints(sites, stations);
  const room = Math.min(
    ...joints.flatMap(({ outer, inner }) =>
      [outer, ...(inner ? [inner] : [])].map(({ laid }) => MOST_SHARE * laid.panel.spanMm * (laid.isMiddle ? 0.5 : 1)),
    ),
  );
  if (reachMm > room + 1e-9) {
    const value = Math.floor(room);
    return [
      blocking(
        'BRACE_LONG',
        'braces.reachMm',
        `Braces reach ${length(reachMm)} into each panel`,
        `The shortest panel that one reaches into has room for ${length(value)}.`,
        `Set ${length(value)}`,
        [{ path: 'braces.reachMm', value }],
      ),
    ];
  }
  const worst = joints.reduce<BracedJoint | undefined>(
    (most, joint) => (!most || offOf(joint, reachMm) > offOf(most, reachMm) ? joint : most),
    undefined,
  );
  if (!worst || offOf(worst, reachMm) <= MOST_OFF_MM) return [];
  const off = offOf(worst, reachMm),
    value = Math.floor((reachMm * MOST_OFF_MM) / off);
  return [
    blocking(
      'BRACE_SKEW',
      'braces.reachMm',
      `The spar runs ${length(off)} away from a straight brace at the ${worst.station.name}`,
      `A brace is a flat plate on the front of the spar, which lies along it to within ${length(MOST_OFF_MM)} where the spar runs straight across.`,
      value >= 15 ? `Set reach ${length(value)}` : 'No braces',
      value >= 15 ? [{ path: 'braces.reachMm', value }] : [{ path: 'braces', value: undefined }],
    ),
  ];
}
