import { distance, distance3, polygonArea, signedArea, applyRigid, point3 } from '../../geometry/index.ts';
import { outlineOf, holesOf, piecesOf, type Part } from '../../part/index.ts';
import { balancePlace, type BalancePlace } from './balance-place.ts';
import { coreBlock, type CoreBlock } from './core-block.ts';
import type { FormContext } from '../form/index.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import { coreMiddle, middleOf, partMiddle } from './mass-place.ts';
import { planformOf, type Planform } from './planform.ts';
import { tubeAt } from './rib-places.ts';
import { leadRoutes, type LeadRoute } from './servo-opening.ts';
import { rodLengths, type RodLength } from './rod-lengths.ts';
import type { WingStation } from './stations.ts';

/** Mass of what a wing is made of: of a part, both sides together, or of the cores of a panel. */
export interface PieceMass {
  readonly partId?: string;
  readonly name: string;
  readonly massG: number;
  /** Middle of its mass in the airframe, aft of the datum and up; both sides together it lies in the middle. */
  readonly at?: { readonly x: number; readonly z: number };
}

/** Height over the table of the four corners of a panel's lower skin: what proves that it has no twist. */
export interface CornerHeights {
  readonly panel: number;
  readonly rootNoseMm: number;
  readonly rootTailMm: number;
  readonly tipNoseMm: number;
  readonly tipTailMm: number;
}

/** What a joint or a tail takes. */
export interface JointLengths {
  readonly name: string;
  readonly glueMm: number;
  /** Over the seam, on the side that is in tension; both sides where it may fly inverted. */
  readonly tapeMm: number;
  readonly tapeSide: 'bottom' | 'top' | 'both';
}

/** A joint that is plugged on a tube: its sleeve in each panel, the tube itself, and its turn. */
export interface TubeLengths {
  readonly name: string;
  readonly sleeveMm: number;
  readonly tubeMm: number;
  readonly diameterMm: number;
  /** Of each panel against the tube. */
  readonly leanDegrees: number;
}

/** Everything that a wing tells of itself: both sides together. */
export interface WingFigures extends Planform {
  /** Tip to tip, as it stands. */
  readonly spanMm: number;
  readonly aspectRatio: number;
  /** Foam of skins, spars and strips, both sides. */
  readonly foamMm2: number;
  readonly massG: number;
  readonly pieces: readonly PieceMass[];
  /** Where all of it lies in the airframe, aft of the datum and up. */
  readonly massAt?: { readonly x: number; readonly z: number };
  readonly stations: readonly WingStation[];
  readonly corners: readonly CornerHeights[];
  readonly joints: readonly JointLengths[];
  readonly foldMm: number;
  readonly leads: readonly LeadRoute[];
  readonly tubes: readonly TubeLengths[];
  /** Rods in the place of a spar: one goes through every joint that is straight. */
  readonly rods: readonly RodLength[];
  /** Of foam cores, one a panel. */
  readonly blocks: readonly CoreBlock[];
  /** Greatest distance from a drawn section, in mm; undefined over a strip spar. */
  readonly deviationMm?: number;
  readonly tightestMm?: number;
  /** Greatest twist of any plate. */
  readonly twistMm: number;
  /** Where it balances, when a balance gauge is cut. */
  readonly balance?: BalancePlace;
}

/** Where all pieces together have their mass. */
function massMiddle(pieces: readonly PieceMass[]): Pick<WingFigures, 'massAt'> {
  const middle = middleOf(pieces.flatMap(({ massG, at }) => (at ? [{ mm2: massG, at: { ...at, y: 0 } }] : [])));
  return middle ? { massAt: { x: middle.x, z: middle.z } } : {};
}

const outlineArea = (part: Part): number => {
  const outline = outlineOf(part);
  if (!outline) return 0;
  const holes = holesOf(part).reduce((sum, hole) => sum + polygonArea(hole.nodes), 0);
  return Math.abs(signedArea(outline.nodes)) - holes;
};

function cornerHeights(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly CornerHeights[] {
  const lift = stations[0]!.heightMm;
  return sites.map(({ laid, skin, sections }): CornerHeights => {
    const height = (line: number, at: 'root' | 'tip'): number => applyRigid(laid.map, skin.ends[line]![at]).z + lift;
    const nose = sections.root.section.isOpen
      ? skin.ends.length - 1
      : Math.max(1, skin.plates.findIndex((_, index) => skin.turns[index + 1]! > 20) + 1);
    return {
      panel: laid.number,
      rootNoseMm: height(nose, 'root'),
      rootTailMm: height(0, 'root'),
      tipNoseMm: height(nose, 'tip'),
      tipTailMm: height(0, 'tip'),
    };
  });
}

function jointLengths(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly JointLengths[] {
  const round = (site: PanelSite, at: 'root' | 'tip'): number =>
    site.skin.ends.slice(1).reduce((sum, line, index) => sum + distance3(line[at], site.skin.ends[index]![at]), 0);
  return stations.flatMap((station, index): readonly JointLengths[] => {
    const site = sites[(station.outer ?? 0) - 1];
    if (!site || (index === 0 && site.laid.isMiddle) || tubeAt(site, site.laid.panel.id)) return [];
    const glueMm = round(site, 'root') * (index === 0 ? 1 : 2);
    return [
      {
        name: station.name,
        glueMm,
        // Lift bends the wing up: its underside is pulled.
        tapeMm: glueMm / 2,
        tapeSide: 'bottom',
      },
    ];
  });
}

const tubeLengths = (sites: readonly PanelSite[], stations: readonly WingStation[]): readonly TubeLengths[] =>
  stations.flatMap(({ name, outer, turnDegrees }): readonly TubeLengths[] => {
    const site = sites[(outer ?? 0) - 1],
      tube = site && tubeAt(site, site.laid.panel.id);
    if (!tube || site.laid.isMiddle || !hasSkins(site)) return [];
    const { reachMm, diameterMm } = tube;
    return [{ name, sleeveMm: reachMm, tubeMm: 2 * reachMm, diameterMm, leanDegrees: turnDegrees / 2 }];
  });

const foldLengths = (parts: readonly Part[]): number =>
  parts.reduce(
    (sum, part) =>
      sum +
      piecesOf(part) *
        part.operations.reduce((own, { kind, on }) => {
          if (!['crease', 'groove', 'trench'].includes(kind)) return own;
          const line = part.lines.find(({ id }) => id === on.pathId);
          return line ? own + distance(line.nodes[0]!, line.nodes[1]!) : own;
        }, 0),
    0,
  );

/** The figures of a wing whose parts are made; helps like blocks and jigs count for nothing. */
export function wingFigures(
  sites: readonly PanelSite[],
  parts: readonly Part[],
  stations: readonly WingStation[],
  context: FormContext,
): WingFigures {
  const shape = planformOf(sites),
    { wing } = sites[0]!;
  const blocks = wing.build === 'cored' ? sites.flatMap(({ laid }) => coreBlock(wing, laid) ?? []) : [];
  const cores = blocks.map(({ panel, massG }): PieceMass => {
    const site = sites[panel - 1]!,
      { x, z } = coreMiddle(site);
    return { name: `core of panel ${panel}`, massG: massG * (site.laid.isMiddle ? 1 : 2), at: { x, z } };
  });
  const own = parts.map((part): PieceMass => {
    const board = context.boardOf(part.material),
      middle = partMiddle(part, sites, board.thicknessMm);
    return {
      partId: part.id,
      name: part.name,
      massG: (outlineArea(part) * piecesOf(part) * board.gramsPerSquareMetre) / 1e6,
      ...(middle ? { at: { x: middle.x, z: middle.z } } : {}),
    };
  });
  const pieces = [...own, ...cores];
  const last = sites.at(-1)!;
  const spanMm = 2 * applyRigid(last.laid.map, point3(last.laid.panel.spanMm, 0, 0)).x;
  const ends = sites.flatMap(({ sections }) => [sections.root.section, sections.tip.section]);
  const deviations = ends.flatMap(({ deviationMm }) => deviationMm ?? []),
    radii = ends.flatMap(({ tightestMm }) => tightestMm ?? []);
  return {
    ...shape,
    spanMm,
    aspectRatio: spanMm ** 2 / shape.areaMm2,
    foamMm2: parts.reduce(
      (sum, part) => sum + (part.material === wing.material ? outlineArea(part) * piecesOf(part) : 0),
      0,
    ),
    massG: pieces.reduce((sum, { massG }) => sum + massG, 0),
    pieces,
    ...massMiddle(pieces),
    stations,
    corners: cornerHeights(sites, stations),
    joints: jointLengths(sites, stations),
    foldMm: foldLengths(parts),
    leads: leadRoutes(sites),
    tubes: tubeLengths(sites, stations),
    rods: rodLengths(sites),
    blocks,
    ...(wing.gauges?.hasBalance ? { balance: balancePlace(sites) } : {}),
    twistMm: Math.max(...sites.flatMap(({ skin }) => skin.plates.map(({ twistMm }) => twistMm))),
    ...(deviations.length > 0 ? { deviationMm: Math.max(...deviations) } : {}),
    ...(radii.length > 0 ? { tightestMm: Math.min(...radii) } : {}),
  };
}
