import type { Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { formatAngle, radians } from '../../units/index.ts';
import type { MadeCorner } from '../form/index.ts';
import {
  angleOutline,
  gaugeCorner as corner,
  gaugeMark as mark,
  standBase,
  standUpright,
  throwMarks,
  throwOutline,
  ARM_MM,
} from '../gauge-shapes/index.ts';
import { balancePlace } from './balance-place.ts';
import { controlsOf } from './control-place.ts';
import { helperPart, lengthIn, type Helper } from './helper-part.ts';
import { placedCorners } from './panel-sections.ts';
import { isSheet, type PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';
import type { WingStation } from './stations.ts';

/** Board under the lowest place of a cradle, and how much of the chord it holds. */
const CRADLE_BASE_MM = 25;
const CRADLE_SHARE = [0.04, 0.8] as const;
/** How far the arms of a joint gauge reach. */
const ARM_REACH_MM = 80;
/** Turns smaller than this want no gauge, in degrees. */
const LEAST_TURN_DEGREES = 0.5;
/** Height of a camber gauge over the highest place. */
const CAMBER_BACK_MM = 18;

const gauge = (sites: readonly PanelSite[], helper: Helper, quantity: number, outline: readonly MadeCorner[]): Part =>
  helperPart(sites, helper, 'gauges', quantity, outline);

/** One end of a panel where a station lies. */
interface StationEnd {
  readonly site: PanelSite;
  readonly end: 'root' | 'tip';
  readonly station: WingStation;
  readonly index: number;
}
const endsOf = (sites: readonly PanelSite[], stations: readonly WingStation[]): readonly StationEnd[] =>
  stations.flatMap((station, index): readonly StationEnd[] => {
    const inner = station.inner === undefined ? undefined : sites[station.inner - 1];
    if (inner) return [{ site: inner, end: 'tip', station, index }];
    const outer = sites[(station.outer ?? 1) - 1]!;
    return outer.laid.isMiddle ? [] : [{ site: outer, end: 'root', station, index }];
  });

/** The underside of a station from its nose aft, as the wing stands on the table with its incidence: aft of the root's nose, and up. */
function underside({ site, end, station }: StationEnd): readonly Point[] {
  const { laid, sections, place } = site,
    own = sections[end];
  const [nose, washout] =
    end === 'root' ? [laid.rootNoseMm, laid.rootWashoutDegrees] : [laid.tipNoseMm, laid.tipWashoutDegrees];
  const all = placedCorners(own, nose, washout),
    foremost = all.reduce((best, p, index) => (p.x < all[best]!.x ? index : best), 0);
  const angle = radians(place.incidenceDegrees),
    cos = Math.cos(angle),
    sin = Math.sin(angle);
  return all
    .slice(0, foremost + 1)
    .reverse()
    .map(({ x, y }) => ({ x: x * cos + y * sin, y: -x * sin + y * cos + station.heightMm }));
}

const heightOn = (line: readonly Point[], x: number): number => {
  const at = Math.max(
      1,
      line.findIndex((p) => p.x >= x),
    ),
    [a, b] = [line[at - 1]!, line[at]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x || 1);
};

/** Cradles that fit the underside of every station, all from one table and one datum. */
function cradles(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  const ends = endsOf(sites, stations).map((one) => {
    const line = underside(one),
      { chordMm } = one.station,
      [from, to] = CRADLE_SHARE.map((share) => line[0]!.x + share * chordMm) as [number, number];
    const within = line.filter(({ x }) => x > from + 0.5 && x < to - 0.5);
    const top = [{ x: from, y: heightOn(line, from) }, ...within, { x: to, y: heightOn(line, to) }];
    // The line runs aft all along: a nose that turns under is left out.
    return { ...one, top: top.filter((p, index) => index === 0 || p.x > top[index - 1]!.x + 1e-3) };
  });
  const lowest = Math.min(...ends.flatMap(({ top }) => top.map(({ y }) => y)));
  return ends.map(({ top, station, index }): Part => {
    const up = CRADLE_BASE_MM - lowest,
      [first, last] = [top[0]!, top.at(-1)!];
    const outline = [
      corner(first.x, 0, 'foot'),
      corner(last.x, 0, 'aft'),
      ...[...top]
        .reverse()
        .map(({ x, y }, at) => corner(x, y + up, at === top.length - 1 ? 'fore' : `under-${at + 1}`)),
    ];
    const middle = (first.x + last.x) / 2;
    return gauge(
      sites,
      {
        role: `cradle-${index}`,
        name: `${station.name} cradle`,
        notes: `Stands on the table across the wing, ${lengthIn(sites, station.outMm)} from the middle, its front ${lengthIn(sites, first.x)} aft of the root's nose. All cradles together hold dihedral, incidence and washout.`,
        lines: [mark('up', { x: middle, y: 4 }, { x: middle, y: CRADLE_BASE_MM - 6 }, `${station.name} up`)],
      },
      index === 0 ? 1 : 2,
      outline,
    );
  });
}

/** An angle that is held under each joint, or over it where it turns down. */
function jointGauges(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  return stations.flatMap((station, index): readonly Part[] => {
    const turn = station.turnDegrees;
    if (station.outer === undefined || Math.abs(turn) < LEAST_TURN_DEGREES) return [];
    const reach = Math.min(ARM_REACH_MM, 0.8 * sites[station.outer - 1]!.laid.panel.spanMm);
    return [
      gauge(
        sites,
        {
          role: `angle-${index}`,
          name: `${station.name} angle`,
          notes: `Held ${turn > 0 ? 'under' : 'over'} the ${station.name}, square to it: ${formatAngle(Math.abs(turn))} from panel to panel.`,
          lines: [
            mark('turn', { x: -reach + 6, y: -ARM_MM / 2 }, { x: -8, y: -ARM_MM / 2 }, formatAngle(Math.abs(turn))),
          ],
        },
        1,
        angleOutline(Math.abs(turn), reach),
      ),
    ];
  });
}

/** The upper face of a rolled plate at each station, to roll it by. */
function camberGauges(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  return endsOf(sites, stations).flatMap(({ site, end, station, index }): readonly Part[] => {
    if (!isSheet(site) || site.wing.build !== 'cambered') return [];
    const { section, chordMm } = site.sections[end],
      face = [...section.corners].reverse().map(({ x, y }) => ({ x, y: y + site.board.thicknessMm }));
    const high = Math.max(...face.map(({ y }) => y)) + CAMBER_BACK_MM;
    return [
      gauge(
        sites,
        {
          role: `camber-${index}`,
          name: `${station.name} camber`,
          notes: `Laid on top at the ${station.name}, nose to nose: the plate is rolled until it touches all along.`,
          lines: [mark('nose', { x: 4, y: high - 4 }, { x: 34, y: high - 4 }, 'nose')],
        },
        1,
        [
          ...face.map(({ x, y }, at) => corner(x, y, at === face.length - 1 ? 'tail' : `face-${at + 1}`)),
          corner(chordMm, high, 'back'),
          corner(0, high, 'fore'),
        ],
      ),
    ];
  });
}

/** A rim with the throw marked in degrees and at the edge, its notch on the hinge. */
function throwGauge(
  sites: readonly PanelSite[],
  { kind, chordMm, tipChordMm, throwDegrees }: WingControl,
  number: number,
): Part {
  const own = { chordMm, upDegrees: throwDegrees, downDegrees: throwDegrees };
  return gauge(
    sites,
    {
      role: `throw-${number}`,
      name: `${kind} throw${number > 1 ? ` ${number}` : ''}`,
      notes: `Its foot under the wing, its corner on the hinge, beside the ${kind}${tipChordMm === undefined ? '' : ' at its inner end'}: read where the tail of the ${kind} stands.`,
      lines: throwMarks(own, sites[0]!.unit),
    },
    1,
    throwOutline(own),
  );
}

/** Two uprights with points, and the base that holds them apart. */
function balanceStand(sites: readonly PanelSite[]): readonly Part[] {
  const { percent, aftMm, apartMm } = balancePlace(sites),
    thickness = sites[0]!.boardOf(sites[0]!.wing.jigMaterial).thicknessMm;
  const base = standBase(thickness, apartMm);
  const notes = `Points under the wing at ${percent} % of the mean chord, ${lengthIn(sites, aftMm)} aft of the root's nose: it balances level or a little nose down. For ballast lead comes last: move the pack first.`;
  return [
    gauge(sites, { role: 'balance-upright', name: 'balance upright', notes }, 2, standUpright(thickness)),
    helperPart(
      sites,
      { role: 'balance-base', name: 'balance base', notes, holes: base.holes },
      'gauges',
      1,
      base.outline,
    ),
  ];
}

/** The gauges that the wing asks for. */
export function gaugeParts(sites: readonly PanelSite[], stations: readonly WingStation[]): readonly Part[] {
  const { gauges } = sites[0]!.wing;
  if (!gauges) return [];
  return [
    ...(gauges.hasCradles ? cradles(sites, stations) : []),
    ...(gauges.hasJoints ? jointGauges(sites, stations) : []),
    ...(gauges.hasCamber ? camberGauges(sites, stations) : []),
    ...(gauges.hasThrows
      ? sites.flatMap(controlsOf).map((control, index) => throwGauge(sites, control, index + 1))
      : []),
    ...(gauges.hasBalance ? balanceStand(sites) : []),
  ];
}
