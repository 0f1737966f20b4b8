import type { OperationDraft } from '../../operations/index.ts';
import type { Part } from '../../part/index.ts';
import { formatAngle, radians } from '../../units/index.ts';
import type { MadeCorner, MadeEdgeWork } from '../form/index.ts';
import { helperPart, lengthIn, rectangle, type Helper } from './helper-part.ts';
import type { PanelSite } from './panel.ts';
import type { WingStation } from './stations.ts';

/** Stations lower than this need no block, in mm. */
const LEAST_BLOCK_MM = 1;
/** A block carries this share of the chord. */
const BLOCK_SHARE = 0.6;
/** A jig or wedge reaches this far under a panel, or over this share of it, whichever is less. */
const USUAL_REACH_MM = 100;
const REACH_SHARE = 0.6;
/** Turns smaller than this need no jig, in degrees. */
const LEAST_TURN_DEGREES = 0.2;

const bevel = (degrees: number): OperationDraft => ({
  kind: 'bevel',
  face: degrees > 0 ? 'face' : 'back',
  bevelDegrees: Math.abs(degrees),
  label: '',
});
const bevelOn = (edge: string, degrees: number): readonly MadeEdgeWork[] =>
  Math.abs(degrees) < 0.05 ? [] : [{ name: `bevel-${edge}`, edges: [edge], work: bevel(degrees) }];

const length = lengthIn;
const helper = (
  sites: readonly PanelSite[],
  own: Helper,
  quantity: number,
  outline: readonly MadeCorner[],
  edgeWork?: readonly MadeEdgeWork[],
): Part => helperPart(sites, own, 'jigs', quantity, outline, edgeWork);

/** Blocks that hold each raised station at its height on the table, one a side. */
function tipBlocks(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  return stations.flatMap((station, index): readonly Part[] => {
    if (station.heightMm < LEAST_BLOCK_MM || (index === 0 && !sites[0]!.laid.isMiddle && station.turnDegrees > 0))
      return [];
    const site = sites[Math.max(0, (station.inner ?? 1) - 1)]!;
    const width = BLOCK_SHARE * station.chordMm;
    return [
      helper(
        sites,
        {
          role: `block-${index}`,
          name: `${station.name} block`,
          notes: `Stands on the table under the ${station.name}, across the panel, ${length(sites, station.heightMm)} high at its higher edge. Its top leans ${formatAngle(Math.abs(site.laid.dihedralDegrees))} with the panel.`,
        },
        index === 0 ? 1 : 2,
        rectangle(width, station.heightMm),
        bevelOn('top', Math.min(60, Math.abs(site.laid.dihedralDegrees))),
      ),
    ];
  });
}

/** How far a help reaches under the panel outboard of a station. */
const reachUnder = (sites: readonly PanelSite[], station: WingStation): number =>
  Math.min(USUAL_REACH_MM, REACH_SHARE * sites[(station.outer ?? 1) - 1]!.laid.panel.spanMm);

const joints = (stations: readonly WingStation[]): readonly (readonly [WingStation, number])[] =>
  stations.flatMap((station, index) =>
    station.outer !== undefined && Math.abs(station.turnDegrees) > LEAST_TURN_DEGREES
      ? [[station, index] as const]
      : [],
  );

/** Foam wedges that hold a panel at its turn against the one before, which lies on the table: two under each. */
function wedges(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  return joints(stations).map(([station, index]): Part => {
    const turn = index === 0 ? station.turnDegrees / 2 : station.turnDegrees,
      reach = reachUnder(sites, station),
      rise = reach * Math.tan(radians(Math.abs(turn)));
    return helper(
      sites,
      {
        role: `wedge-${index}`,
        name: `${station.name} wedge`,
        notes: `${turn > 0 ? 'Under the outer panel' : 'Under the outer panel with the wing upside down'}: ${formatAngle(Math.abs(turn))}, ${length(sites, rise)} high at ${length(sites, reach)} from the joint. One near the nose, one near the tail, both sides.`,
      },
      4,
      [
        { at: { x: 0, y: 0 }, edge: 'foot' },
        { at: { x: reach, y: 0 }, edge: 'high' },
        { at: { x: reach, y: rise }, edge: 'slope' },
      ],
    );
  });
}

/** A rigid jig for each joint: two boards mitred at half the turn, each shorter than the panel that it carries. */
function jigs(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  return joints(stations).map(([station, index]): Part => {
    const half = station.turnDegrees / 2,
      reach = reachUnder(sites, station);
    return helper(
      sites,
      {
        role: `jig-${index}`,
        name: `${station.name} jig`,
        notes: `Two boards butt along their mitred edge at ${formatAngle(Math.abs(half))} each: the joint turns ${formatAngle(Math.abs(station.turnDegrees))}. Saw it on a table with the fence square: push with a stick, blade guard on.`,
      },
      2,
      rectangle(BLOCK_SHARE * station.chordMm, reach),
      bevelOn('foot', Math.min(60, Math.abs(half)) * (half > 0 ? 1 : -1)),
    );
  });
}

/** The helps that the wing asks for. */
export function jigParts(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  const { hasTipBlocks, hasWedges, hasJigs } = sites[0]!.wing;
  return [
    ...(hasTipBlocks ? tipBlocks(sites, stations) : []),
    ...(hasWedges ? wedges(sites, stations) : []),
    ...(hasJigs ? jigs(sites, stations) : []),
  ];
}
