import { distance3, point3, type Point, type Point3 } from '../../geometry/index.ts';
import { formatAngle, formatLengthWithUnit, type LengthUnit } from '../../units/index.ts';
import type { AnyForm, StandingAirframe } from '../form/index.ts';
import { gaugeCorner, gaugeMark, standBase, standUpright, throwMarks, throwOutline } from '../gauge-shapes/index.ts';
import { foundControls } from './found-controls.ts';
import type { GaugePlate, LaidGauge } from './laid-gauge.ts';
import { partMissing, type Miss, cornersOf, mainPlate, standingWithIt, noseAt } from '../standing/index.ts';
import type { Gauge } from './parameters.ts';

/** Points nearer to the middle than this hold nothing level, in mm; and where they usually go. */
const LEAST_OUT_MM = 10;
const USUAL_OUT_MM = 60;
/** A strip that is measured by: how wide, and how far it goes on past its marks. */
const STRIP_MM = { wide: 24, past: 12 } as const;
/** Stations at which a swept nose is looked at. */
const NOSE_STATIONS = 24;
/** A nose swept less than this needs no strip along it, in mm from middle to tip. */
const LEAST_SWEEP_MM = 5;

/** The throw that a gauge is made for: that of the form's control while it is there, else its own numbers. */
export function throwOf(gauge: Gauge, forms: readonly AnyForm[]): Pick<Gauge, 'chordMm' | 'upDegrees' | 'downDegrees'> {
  return (
    foundControls(forms).find(({ formId, control }) => formId === gauge.formId && control === gauge.control) ?? gauge
  );
}

/** A rim with the throw of a control, its corner on the hinge. */
export function throwGauge(gauge: Gauge, forms: readonly AnyForm[], unit: LengthUnit): LaidGauge {
  const own = throwOf(gauge, forms);
  const { upDegrees, downDegrees } = own;
  return {
    gauge,
    plates: [{ outline: throwOutline(own), lines: throwMarks(own, unit) }],
    figure:
      upDegrees === downDegrees
        ? `± ${formatAngle(upDegrees)}`
        : `${formatAngle(upDegrees)}, ${formatAngle(downDegrees)}`,
    formula: 'edge = chord · sin(throw)',
    notes: `Its foot under what stands still, its corner on the hinge, beside the inner end: read where the edge of ${gauge.name} stands. Up and down are printed on it in degrees and at the edge.`,
  };
}

/** A strip with two marks so far apart. */
const strip = (name: string, longMm: number, words: readonly [string, string]): GaugePlate => {
  const { wide, past } = STRIP_MM,
    end = past + longMm;
  const across = (x: number): readonly [Point, Point] => [
    { x, y: 0 },
    { x, y: wide },
  ];
  return {
    outline: [
      gaugeCorner(0, 0, 'near'),
      gaugeCorner(end + past, 0, 'far'),
      gaugeCorner(end + past, wide, 'back'),
      gaugeCorner(0, wide, 'fore'),
    ],
    lines: [
      gaugeMark('print-from', ...across(past), words[0]),
      gaugeMark('print-to', ...across(end), words[1]),
      gaugeMark('print-name', { x: past + 8, y: wide / 2 }, { x: Math.min(end - 8, past + 90), y: wide / 2 }, name),
    ],
  };
};

const furthest = (corners: readonly Point3[], of: (p: Point3) => number): Point3 =>
  corners.reduce((best, p) => (of(p) > of(best) + 1e-6 ? p : best));

/** A strip from the middle to a tip: it is square when both sides are as far. */
export function squareGauge(gauge: Gauge, standing: StandingAirframe, unit: LengthUnit): LaidGauge | Miss {
  const own = mainPlate(standing, gauge.partId);
  if (!own) return partMissing('What is held square');
  const other = mainPlate(standing, gauge.againstId);
  if (!other) return partMissing('What it is measured from');
  const tip = furthest(own.corners, ({ x, y }) => -y + 1e-3 * x),
    // In the middle, as far from the tip as the part goes: a small turn shows most there. Of two, the one nearer to the tip's height.
    foot = furthest(
      other.corners,
      ({ x, y, z }) => Math.abs(x - tip.x) - 10 * Math.abs(y) - 1e-3 * Math.abs(z - tip.z),
    ),
    from = point3(foot.x, 0, foot.z);
  const long = distance3(from, tip);
  if (Math.abs(from.x - tip.x) < LEAST_SWEEP_MM)
    return {
      code: 'NOT_ASIDE',
      title: `${other.part.name} ends where the tip of ${own.part.name} stands`,
      detail:
        'A strip straight across does not tell whether it is square: measure from something further forward or aft.',
    };
  const words = formatLengthWithUnit(long, unit);
  return {
    gauge,
    plates: [
      strip(`${gauge.name} ${words}, both sides`, long, [`${other.part.name}, in the middle`, 'corner of the tip']),
    ],
    figure: words,
    formula: '√(aft² + out² + up²)',
    notes: `One mark on ${other.part.name} in the middle, the other on the outermost corner of ${own.part.name}: ${words} to port and the same to starboard, and it stands square.`,
  };
}

/** Where the nose of what stands lies, from the middle out to port; a straight one by its ends alone. */
function noseLine(standing: StandingAirframe, partId: string): readonly Point3[] {
  const pieces = standingWithIt(standing, partId);
  if (pieces.length === 0) return [];
  const reach = Math.max(...cornersOf(pieces).map(({ y }) => -y)) - 0.5;
  const at = (out: number): readonly Point3[] => {
    const nose = noseAt(pieces, out);
    return nose ? [point3(nose.x, -out, nose.y)] : [];
  };
  const ends = [0, reach / 2, reach].flatMap(at);
  const isSwept = ends.some(({ x }) => Math.abs(x - ends[0]!.x) > LEAST_SWEEP_MM);
  return isSwept
    ? Array.from({ length: NOSE_STATIONS + 1 }, (_, index) => (reach * index) / NOSE_STATIONS).flatMap(at)
    : ends;
}

/** How far along the nose from the middle a place aft lies; undefined where the nose does not reach so far aft. */
function alongNose(line: readonly Point3[], aftMm: number): number | undefined {
  let along = 0;
  for (const [index, p] of line.slice(1).entries()) {
    const before = line[index]!,
      run = distance3(before, p);
    if (before.x <= aftMm && p.x > aftMm) return along + (run * (aftMm - before.x)) / (p.x - before.x);
    along += run;
  }
  return undefined;
}

/** Two uprights with points, the base that holds them apart, and a strip along a swept nose. */
export function balanceGauge(
  gauge: Gauge,
  standing: StandingAirframe,
  thicknessMm: number,
  unit: LengthUnit,
): LaidGauge | Miss {
  const line = noseLine(standing, gauge.partId);
  if (line.length < 2) return partMissing('What rests on the points');
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const reach = -line.at(-1)!.y;
  if (gauge.outMm < LEAST_OUT_MM || gauge.outMm > reach)
    return {
      code: 'POINTS_OUT',
      title: `The points stand ${length(gauge.outMm)} out from the middle`,
      detail: `They go under what reaches ${length(reach)} out, at least ${length(LEAST_OUT_MM)} out on either side.`,
      mend: {
        label: `Set ${length(Math.min(USUAL_OUT_MM, reach / 3))}`,
        key: 'outMm',
        value: Math.min(USUAL_OUT_MM, reach / 3),
      },
    };
  const base = standBase(thicknessMm, 2 * gauge.outMm),
    along = line.length > 3 ? alongNose(line, gauge.aftMm) : undefined,
    behind = gauge.aftMm - line[0]!.x;
  return {
    gauge,
    plates: [
      {
        suffix: 'upright',
        outline: standUpright(thicknessMm),
        quantity: 2,
        lines: [gaugeMark('print-name', { x: 20, y: 10 }, { x: 60, y: 10 }, `${gauge.name}: point up`)],
      },
      { suffix: 'base', ...base },
      ...(along === undefined
        ? []
        : [{ suffix: 'nose strip', ...strip(`${gauge.name} ${length(along)}`, along, ['middle', 'balances here']) }]),
    ],
    figure: length(behind),
    formula: along === undefined ? 'aft of the nose in the middle' : 'aft of the nose; √(aft² + out² + up²) along it',
    notes: `Points under ${length(behind)} aft of the nose in the middle, ${length(2 * gauge.outMm)} apart: it balances level or a little nose down.${along === undefined ? '' : ` The same place lies ${length(along)} out along the nose.`} For ballast lead comes last: move the pack first.`,
  };
}
