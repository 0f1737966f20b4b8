import { cutRound, isMiss, withChanges, type GaugeSite, type LaidGauge } from '@grain-fold/core/forms';
import { boundsOf, type Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeLabel, ShapeViews } from '../mat/shape-views.ts';
import type { FormChosen } from '../use-forms.ts';

/** Room between plates and between the views, in mm. */
const APART_MM = 24;
const VIEWS_APART_MM = 50;
const REACH = { least: 20, most: 400 } as const;

type Plate = LaidGauge['plates'][number];
const ringOf = ({ outline }: Plate): readonly Point[] => outline.map(({ at }) => at);
const moved = (ring: readonly Point[], { x, y }: Point): readonly Point[] =>
  ring.map((p) => ({ x: p.x + x, y: p.y + y }));

/** A plate of the chosen gauge as it lies on the mat. */
interface FlatPlate {
  readonly key: string;
  readonly plate: Plate;
  readonly to: Point;
}

/** The plates of a gauge side by side from the left, their tops at a height. */
function abreast({ plates }: LaidGauge, left: number, top: number): readonly FlatPlate[] {
  let x = left;
  return plates.map((plate, index): FlatPlate => {
    const { minX, maxX, maxY } = boundsOf(ringOf(plate)),
      to = { x: x - minX, y: top - maxY };
    x += maxX - minX + APART_MM;
    return { key: `flat-${index}`, plate, to };
  });
}

const linesOf = (key: string, { lines = [] }: Plate, to: Point): readonly Shape[] =>
  lines.map(({ name, from, to: end }) => ({
    key: `${key}-${name}`,
    ring: moved([from, end], to),
    look: 'inside',
    isOpen: true,
  }));

/** The gauge where it is held: what it touches is cut in its plane. */
const heldShapes = (site: GaugeSite, one: LaidGauge): readonly Shape[] =>
  one.map
    ? [
        ...cutRound(site, one).map((ring, index): Shape => ({ key: `round-${index}`, ring, look: 'face' })),
        { key: 'held', ring: ringOf(one.plates[0]!), look: 'guest' },
      ]
    : [];

function flatShapes(plates: readonly FlatPlate[]): readonly Shape[] {
  return plates.flatMap(({ key, plate, to }) => [
    { key, ring: moved(ringOf(plate), to), look: 'foam' },
    ...linesOf(key, plate, to),
    ...(plate.holes ?? []).flatMap((hole): readonly Shape[] =>
      'corners' in hole ? [{ key: `${key}-${hole.name}`, ring: moved(hole.corners, to), look: 'cut' }] : [],
    ),
  ]);
}

/** What is printed on its plates, where it is printed. */
const printed = (plates: readonly FlatPlate[]): readonly ShapeLabel[] =>
  plates.flatMap(({ key, plate, to }) =>
    (plate.lines ?? []).map(({ name, from, to: end, work }) => ({
      key: `${key}-${name}-words`,
      at: { x: (from.x + end.x) / 2 + to.x, y: (from.y + end.y) / 2 + to.y },
      text: work.label,
      dy: -5,
      isOnFoam: true,
    })),
  );

/** The end of an angle's arm is dragged out or in. */
function reachHandle(site: GaugeSite, { gauge, plates }: LaidGauge, at: number, unit: LengthUnit): ShapeHandle {
  const end = ringOf(plates[0]!).reduce((best, p) => (Math.abs(p.x) > Math.abs(best.x) ? p : best));
  return {
    key: 'reach',
    at: end,
    word: `arms reach ${formatLengthWithUnit(gauge.reachMm, unit)}`,
    drag: ({ x }, onStep) =>
      withChanges(site.form, [
        { path: `gauges.${at}.reachMm`, value: Math.min(REACH.most, Math.max(REACH.least, onStep(Math.abs(x)))) },
      ]),
  };
}

/** The chosen gauge of a set held where it belongs, and on the flat under that with what is printed on it. */
export function gaugeViews(site: GaugeSite, unit: LengthUnit, chosen: FormChosen | undefined): ShapeViews {
  const first = site.laid.findIndex((one) => !isMiss(one)),
    wanted = chosen?.kind === 'gauges' ? site.laid[chosen.index] : undefined,
    at = wanted && !isMiss(wanted) ? chosen!.index : first,
    one = site.laid[at] as LaidGauge,
    held = heldShapes(site, one);
  const around = held.length > 0 ? boundsOf(held.flatMap(({ ring }) => ring)) : undefined,
    top = around ? around.minY - VIEWS_APART_MM : 0,
    plates = abreast(one, around?.minX ?? 0, top),
    shapes = [...held, ...flatShapes(plates)],
    bounds = boundsOf(shapes.flatMap(({ ring }) => ring));
  return {
    label: `${one.gauge.name}, ${one.figure}: ${one.notes}`,
    bounds,
    titles: [
      ...(held.length > 0
        ? [{ at: { x: bounds.minX, y: bounds.maxY }, text: `${one.gauge.name}, ${one.figure}: where it is held` }]
        : []),
      { at: { x: bounds.minX, y: top }, text: held.length > 0 ? 'As it is cut' : `${one.gauge.name}, ${one.figure}` },
    ],
    shapes,
    labels: printed(plates),
    handles: held.length > 0 && one.gauge.kind === 'angle' ? [reachHandle(site, one, at, unit)] : [],
  };
}
