import { point3, type Point, type RigidMap } from '../../geometry/index.ts';
import { degrees, formatAngle, formatLengthWithUnit, radians, type LengthUnit } from '../../units/index.ts';
import type { MadeEdgeWork, StandingAirframe } from '../form/index.ts';
import { gaugeCorner, gaugeMark } from '../gauge-shapes/index.ts';
import type { LaidGauge } from './laid-gauge.ts';
import {
  partMissing,
  type Miss,
  cornersOf,
  mainPlate,
  standingWithIt,
  heightAt,
  stationCut,
  type StationCut,
} from '../standing/index.ts';
import type { Gauge } from './parameters.ts';

/** Board under the lowest place of a cradle, and how much of the section it holds. */
const BASE_MM = 25;
const HELD_SHARE = [0.04, 0.8] as const;
/** Height of a profile over its highest place. */
const BACK_MM = 18;
/** A block carries this share of the section. */
const BLOCK_SHARE = [0.15, 0.75] as const;
/** A section shorter than this holds nothing, in mm. */
const LEAST_SECTION_MM = 8;
/** A block lower than this is a sheet of paper, in mm. */
const LEAST_BLOCK_MM = 1;
/** A top that leans less than this is cut square, in degrees. */
const LEAST_LEAN_DEGREES = 0.3;

/** What a gauge at a station is made with. */
export interface StationSight {
  readonly standing: StandingAirframe;
  readonly unit: LengthUnit;
  /** Height of the table, under everything that the set's cradles and blocks carry. */
  readonly tableMm: number;
}

/** The section of what a gauge is for, at its station. */
function cutFor(gauge: Gauge, standing: StandingAirframe): StationCut | Miss {
  const pieces = standingWithIt(standing, gauge.partId);
  if (pieces.length === 0) return partMissing('What it gauges');
  const cut = stationCut(pieces, gauge.outMm);
  if (cut && cut.lower.at(-1)!.x - cut.lower[0]!.x >= LEAST_SECTION_MM) return cut;
  const reach = Math.max(...cornersOf(pieces).map(({ y }) => -y)),
    value = Math.max(0, Math.floor(reach - 5));
  return {
    code: 'NOTHING_THERE',
    title: `Nothing to hold so far out from the middle`,
    detail: 'What is gauged does not reach there, or is too short there.',
    mend: { label: 'Set it just within the tip', key: 'outMm', value },
  };
}

/** What stands lowest where the set's cradles and blocks carry it. */
export function tableOf(gauges: readonly Gauge[], standing: StandingAirframe): number {
  const heights = gauges
    .filter(({ kind }) => kind === 'cradle' || kind === 'block')
    .flatMap(({ partId }) => cornersOf(standingWithIt(standing, partId)).map(({ z }) => z));
  return heights.length === 0 ? 0 : heights.reduce((least, z) => Math.min(least, z));
}

/** The upright plane of a station as a flat: x aft from a place, y up from a height. */
const stationMap = (outMm: number, aftMm: number, upMm: number, turnDegrees = 0): RigidMap => {
  const [cos, sin] = [Math.cos(radians(turnDegrees)), Math.sin(radians(turnDegrees))];
  return {
    x: point3(cos, 0, sin),
    y: point3(-sin, 0, cos),
    z: point3(0, -1, 0),
    origin: point3(aftMm, -outMm, upMm),
  };
};

/** The stretch of a line between two places, with both ends on it. */
function stretch(line: readonly Point[], from: number, to: number): readonly Point[] {
  const within = line.filter(({ x }) => x > from + 0.3 && x < to - 0.3);
  return [{ x: from, y: heightAt(line, from) }, ...within, { x: to, y: heightAt(line, to) }];
}

const shareOf = (line: readonly Point[], share: number): number => line[0]!.x + share * (line.at(-1)!.x - line[0]!.x);

/** A support under a station, all from one table: together they hold dihedral, incidence and washout. */
export function cradleGauge(gauge: Gauge, { standing, unit, tableMm }: StationSight): LaidGauge | Miss {
  const cut = cutFor(gauge, standing);
  if ('code' in cut) return cut;
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const [from, to] = HELD_SHARE.map((share) => shareOf(cut.lower, share)) as [number, number];
  const top = stretch(cut.lower, from, to).map(({ x, y }) => ({ x: x - from, y: y - tableMm + BASE_MM }));
  const middle = (to - from) / 2,
    low = Math.min(...top.map(({ y }) => y));
  return {
    gauge,
    plates: [
      {
        outline: [
          gaugeCorner(0, 0, 'foot'),
          gaugeCorner(to - from, 0, 'aft'),
          ...[...top]
            .reverse()
            .map(({ x, y }, at) => gaugeCorner(x, y, at === top.length - 1 ? 'fore' : `under-${at + 1}`)),
        ],
        lines: [
          gaugeMark(
            'print-up',
            { x: middle, y: 4 },
            { x: middle, y: Math.max(12, low - 4) },
            `${gauge.name}: this end up`,
          ),
          gaugeMark('print-fore', { x: 3, y: 4 }, { x: 3, y: 14 }, 'nose'),
        ],
      },
    ],
    figure: length(low),
    formula: 'underside − table + base',
    notes: `Stands on the table along the airframe, ${length(gauge.outMm)} out from the middle, its front ${length(from)} aft of the datum. All cradles of the set together hold dihedral, incidence and washout.`,
    map: stationMap(gauge.outMm, from, tableMm - BASE_MM),
  };
}

/** A flat plate that makes so much of a section is what its incidence is told by. */
const FLAT_SHARE = 0.4;

/** How a station leans, nose up above 0: by its flat underside where it has one, else by the chord from nose to tail. */
export interface Incidence {
  readonly degrees: number;
  readonly of: 'flat' | 'chord';
}

/** The incidence of what a gauge is for, at its station. */
export function incidenceOf({ partId }: Gauge, standing: StandingAirframe, { lower, upper }: StationCut): Incidence {
  const long = lower.at(-1)!.x - lower[0]!.x,
    plate = mainPlate(standing, partId);
  if (plate) {
    const xs = plate.corners.map(({ x }) => x),
      { normal } = plate;
    if (Math.abs(normal.z) > 0.5 && Math.max(...xs) - Math.min(...xs) > FLAT_SHARE * long)
      return { degrees: degrees(Math.atan(normal.x / normal.z)) + 0, of: 'flat' };
  }
  const [nose, tail] = [0, -1].map((at) => (lower.at(at)!.y + upper.at(at)!.y) / 2) as [number, number];
  return { degrees: degrees(Math.atan2(nose - tail, long)), of: 'chord' };
}

/** The upper side of a station with a back that is level when it stands right, or that runs along the chord. */
export function profileGauge(gauge: Gauge, { standing, unit }: StationSight): LaidGauge | Miss {
  const cut = cutFor(gauge, standing);
  if ('code' in cut) return cut;
  const { degrees: incidence, of } = incidenceOf(gauge, standing, cut),
    turn = gauge.back === 'chord' ? -incidence : 0,
    map = stationMap(gauge.outMm, cut.upper[0]!.x, cut.upper[0]!.y, turn);
  const face = cut.upper
    .map(({ x, y }) => {
      const off = { x: x - map.origin.x, z: y - map.origin.z };
      return { x: off.x * map.x.x + off.z * map.x.z, y: off.x * map.y.x + off.z * map.y.z };
    })
    // The line runs aft all along: what turns under is left out.
    .filter((p, index, all) => all.slice(0, index).every((before) => before.x < p.x - 1e-5));
  const [first, last] = [face[0]!, face.at(-1)!],
    high = Math.max(...face.map(({ y }) => y)),
    camber = Math.max(
      ...face.map(({ x, y }) => y - first.y - ((last.y - first.y) * (x - first.x)) / (last.x - first.x)),
    );
  const isLevel = gauge.back === 'level';
  return {
    gauge,
    plates: [
      {
        outline: [
          ...face.map(({ x, y }, at) => gaugeCorner(x, y, at === face.length - 1 ? 'tail' : `face-${at + 1}`)),
          gaugeCorner(last.x, high + BACK_MM, 'back'),
          gaugeCorner(first.x, high + BACK_MM, 'fore'),
        ],
        lines: [
          gaugeMark(
            'print-nose',
            { x: first.x + 4, y: high + BACK_MM - 4 },
            { x: first.x + 40, y: high + BACK_MM - 4 },
            `nose · ${gauge.name}`,
          ),
          gaugeMark(
            'print-back',
            { x: last.x - 60, y: high + BACK_MM - 9 },
            { x: last.x - 4, y: high + BACK_MM - 9 },
            isLevel ? 'this edge level' : 'along the chord',
          ),
        ],
      },
    ],
    ...(isLevel ? { incidenceDegrees: incidence } : {}),
    figure: isLevel ? formatAngle(incidence) : formatLengthWithUnit(camber, unit),
    formula: isLevel
      ? of === 'flat'
        ? 'lean of its flat plate'
        : 'tan i = rise of the nose over the tail / length'
      : 'highest place over the chord of its face',
    notes: isLevel
      ? `Laid on top ${formatLengthWithUnit(gauge.outMm, unit)} out from the middle, nose to nose: its back is level when ${of === 'flat' ? 'its flat underside' : 'its chord'} stands at ${formatAngle(incidence)}, nose up.`
      : `Laid on top ${formatLengthWithUnit(gauge.outMm, unit)} out from the middle, nose to nose: it touches all along.`,
    map,
  };
}

/** A block under a station: its height over the table, its top as the underside leans. */
export function blockGauge(gauge: Gauge, { standing, unit, tableMm }: StationSight): LaidGauge | Miss {
  const cut = cutFor(gauge, standing);
  if ('code' in cut) return cut;
  const [from, to] = BLOCK_SHARE.map((share) => shareOf(cut.lower, share)) as [number, number],
    [fore, aft] = [heightAt(cut.lower, from) - tableMm, heightAt(cut.lower, to) - tableMm];
  const high = Math.max(fore, aft),
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  if (Math.min(fore, aft) < LEAST_BLOCK_MM)
    return {
      code: 'LIES_ON_TABLE',
      title: `It lies ${length(Math.max(0, Math.min(fore, aft)))} over the table there`,
      detail: 'No block goes under it. Set a station further out, or a cradle.',
      mend: { label: 'Make it a cradle', key: 'kind', value: 'cradle' },
    };
  // How the underside leans across: from the same place a little further in.
  const inner = stationCut(standingWithIt(standing, gauge.partId), Math.max(0, gauge.outMm - 2)),
    lean = inner
      ? degrees(Math.atan2(heightAt(cut.lower, from) - heightAt(inner.lower, from), Math.min(2, gauge.outMm)))
      : 0;
  const bevel: readonly MadeEdgeWork[] =
    Math.abs(lean) < LEAST_LEAN_DEGREES || Math.abs(lean) > 60
      ? []
      : [
          {
            name: 'bevel-top',
            edges: ['top'],
            work: { kind: 'bevel', face: lean > 0 ? 'back' : 'face', bevelDegrees: Math.abs(lean), label: '' },
          },
        ];
  return {
    gauge,
    plates: [
      {
        outline: [
          gaugeCorner(0, 0, 'foot'),
          gaugeCorner(to - from, 0, 'aft'),
          gaugeCorner(to - from, aft, 'top'),
          gaugeCorner(0, fore, 'fore'),
        ],
        lines:
          high > 8
            ? [
                gaugeMark(
                  'print-nose',
                  { x: 3, y: Math.min(fore, aft) / 2 },
                  { x: (to - from) / 2, y: Math.min(fore, aft) / 2 },
                  `nose · ${gauge.name}`,
                ),
              ]
            : [],
        edgeWork: bevel,
      },
    ],
    figure: length(high),
    formula: 'underside − table, at its outer skin',
    notes: `Stands on the table ${length(gauge.outMm)} out from the middle, its front ${length(from)} aft of the datum: ${length(fore)} high there, ${length(aft)} at its rear${bevel.length > 0 ? `; its top leans ${formatAngle(Math.abs(lean))} across` : ''}. One a side.`,
    map: stationMap(gauge.outMm, from, tableMm),
  };
}
