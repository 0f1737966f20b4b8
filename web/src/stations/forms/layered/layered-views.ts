import {
  acrossBody,
  heightAt,
  withChanges,
  type Form,
  type LayeredFigures,
  type LayeredSite,
} from '@grain-fold/core/forms';
import type { Point, Polygon } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import { seatedGuests } from '../body/body-views.ts';
import type { Shape, ShapeHandle, ShapeLabel, ShapeViews } from '../mat/shape-views.ts';
import type { FormChosen } from '../use-forms.ts';

/** Room between the side view and the layers under it, and between the layers, in mm. */
const APART_MM = 46;
const LAYER_APART_MM = 12;
/** Layers are drawn no larger than this, and all of them no higher than this share of the length. */
const MOST_SCALE = 0.8;
const LAYERS_SHARE = 0.42;
const LEAST_BAY_MM = 5;

const box = (from: number, to: number, low: number, top: number): Polygon => [
  { x: from, y: low },
  { x: to, y: low },
  { x: to, y: top },
  { x: from, y: top },
];

/** The side view: the outermost layer that reaches all along, and what goes through any layer. */
function sideShapes({ layers, layered, lines }: LayeredSite): readonly Shape[] {
  const whole = [...layers].sort((a, b) => b.toMm - b.fromMm - (a.toMm - a.fromMm))[0]!;
  const holes = layers.flatMap(({ number, side, holes: own }) =>
    own.map((hole): Shape => ({
      key: `hole-${number}-${side}-${hole.name}`,
      ring:
        'corners' in hole
          ? hole.corners
          : box(
              hole.round.centre.x - hole.round.radiusMm,
              hole.round.centre.x + hole.round.radiusMm,
              hole.round.centre.y - hole.round.radiusMm,
              hole.round.centre.y + hole.round.radiusMm,
            ),
      look: hole.name.startsWith('opening') ? 'bay' : 'cut',
    })),
  );
  const notches = layered.openings
    .filter(({ kind }) => kind !== 'bay')
    .map(({ id, kind, fromMm, lengthMm, heightMm }): Shape => {
      const middle = fromMm + lengthMm / 2,
        edge = heightAt(kind === 'notch above' ? lines.top : lines.bottom, middle),
        deep = kind === 'notch above' ? edge - heightMm : edge + heightMm;
      return {
        key: `notch-${id}`,
        ring: box(fromMm, fromMm + lengthMm, Math.min(edge, deep), Math.max(edge, deep)),
        look: 'bay',
      };
    });
  return [{ key: 'side', ring: whole.left[0]!, look: 'foam' }, ...holes, ...notches];
}

/** Every layer by itself, small, from port to starboard. */
function layerShapes(
  site: LayeredSite,
  top: number,
): { readonly shapes: readonly Shape[]; readonly labels: readonly ShapeLabel[]; readonly bottom: number } {
  const across = acrossBody(site),
    { breaks } = site.lines,
    high = Math.max(...breaks.map((one) => one.top)),
    tall = high - Math.min(...breaks.map((one) => one.bottom)),
    long = breaks.at(-1)!.x - breaks[0]!.x,
    scale = Math.min(MOST_SCALE, (LAYERS_SHARE * long) / (across.length * tall));
  let y = top;
  const shapes: Shape[] = [],
    labels: ShapeLabel[] = [];
  across.forEach(({ left, holes, number, side }, index) => {
    const small = (p: Point): Point => ({ x: scale * p.x, y: y + scale * (p.y - high) });
    shapes.push({ key: `layer-${index}`, ring: left[0]!.map(small), look: 'foam' });
    for (const hole of holes)
      if ('corners' in hole)
        shapes.push({ key: `layer-${index}-${hole.name}`, ring: hole.corners.map(small), look: 'cut' });
    labels.push({
      key: `layer-${index}`,
      at: { x: scale * (breaks[0]!.x + 1.02 * long) + 60, y: y - (scale * tall) / 2 },
      text: side === 'middle' ? 'middle layer' : `layer ${number}, ${index < across.length / 2 ? 'port' : 'starboard'}`,
      dy: 4,
    });
    y -= scale * tall + LAYER_APART_MM;
  });
  return { shapes, labels, bottom: y + LAYER_APART_MM };
}

function handles(site: LayeredSite, unit: LengthUnit, chosen: FormChosen | undefined): readonly ShapeHandle[] {
  const { form, layered, lines } = site,
    { stations, openings, slits } = layered,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const between = (mm: number, index: number): number =>
    Math.min(
      (stations[index + 1]?.aftMm ?? Infinity) - LEAST_BAY_MM,
      Math.max((stations[index - 1]?.aftMm ?? -Infinity) + LEAST_BAY_MM, mm),
    );
  const own = (kind: string, index: number) => ({
    chooses: { kind, index },
    isChosen: chosen?.kind === kind && chosen.index === index,
  });
  return [
    ...stations.flatMap(({ aftMm, topMm, bottomMm }, index): readonly ShapeHandle[] => [
      {
        ...own('stations', index),
        key: `top-${index}`,
        at: { x: aftMm, y: topMm },
        word: `top ${length(topMm)}, ${length(aftMm)} aft`,
        drag: (to, onStep) =>
          withChanges(form, [
            { path: `stations.${index}.topMm`, value: onStep(to.y) },
            { path: `stations.${index}.aftMm`, value: between(onStep(to.x), index) },
          ]),
      },
      {
        ...own('stations', index),
        key: `bottom-${index}`,
        at: { x: aftMm, y: bottomMm },
        word: `bottom ${length(bottomMm)}`,
        drag: (to, onStep) => withChanges(form, [{ path: `stations.${index}.bottomMm`, value: onStep(to.y) }]),
      },
    ]),
    ...openings.map(({ name, kind, fromMm, lengthMm, upMm, heightMm }, index): ShapeHandle => {
      const x = fromMm + lengthMm / 2,
        y =
          kind === 'bay'
            ? upMm
            : kind === 'notch above'
              ? heightAt(lines.top, x) - heightMm / 2
              : heightAt(lines.bottom, x) + heightMm / 2;
      return {
        ...own('openings', index),
        key: `opening-${index}`,
        at: { x, y },
        word: `${name}, from ${length(fromMm)}`,
        isDark: true,
        drag: (to, onStep) =>
          withChanges(form, [
            { path: `openings.${index}.fromMm`, value: Math.max(0, onStep(to.x - lengthMm / 2)) },
            ...(kind === 'bay' ? [{ path: `openings.${index}.upMm`, value: onStep(to.y) }] : []),
          ]),
      };
    }),
    ...slits.map(({ edge, aftMm, deepMm }, index): ShapeHandle => ({
      ...own('slits', index),
      key: `slit-${index}`,
      at: {
        x: aftMm,
        y: edge === 'above' ? heightAt(lines.top, aftMm) - deepMm : heightAt(lines.bottom, aftMm) + deepMm,
      },
      word: `slit at ${length(aftMm)}`,
      isDark: true,
      drag: ({ x }, onStep) => withChanges(form, [{ path: `slits.${index}.aftMm`, value: Math.max(0, onStep(x)) }]),
    })),
  ];
}

/** The views of a profile body: its side view, its nose to the left, with what goes through any layer; and every layer by itself under that. */
export function layeredViews(
  site: LayeredSite,
  figures: LayeredFigures,
  forms: readonly Form[],
  unit: LengthUnit,
  chosen: FormChosen | undefined,
): ShapeViews {
  const { lines, layered } = site,
    [nose, tail] = [lines.breaks[0]!.x, lines.breaks.at(-1)!.x],
    highest = Math.max(...lines.breaks.map(({ top }) => top)),
    lowest = Math.min(...lines.breaks.map(({ bottom }) => bottom));
  const beside = seatedGuests(site, forms),
    all = beside.shapes.flatMap(({ ring }) => ring),
    top = Math.max(highest, ...all.map(({ y }) => y)),
    under = layerShapes(site, lowest - APART_MM);
  return {
    label: `Profile body from the side, ${formatLengthWithUnit(figures.lengthMm, unit)} long, and its ${layered.layers} layers`,
    bounds: {
      minX: Math.min(nose, ...all.map(({ x }) => x)),
      maxX: Math.max(tail, ...all.map(({ x }) => x)),
      minY: under.bottom,
      maxY: top,
    },
    titles: [
      { at: { x: nose, y: top + 6 }, text: 'From the side, nose to the left' },
      { at: { x: nose, y: lowest - APART_MM }, text: 'Layer by layer, from port to starboard' },
    ],
    shapes: [...sideShapes(site), ...beside.shapes, ...under.shapes],
    labels: [
      ...layered.stations.map(({ id, aftMm, topMm, bottomMm }) => ({
        key: id,
        at: { x: aftMm, y: bottomMm },
        text: `${formatLength(topMm - bottomMm, unit)} high`,
        dy: 22,
      })),
      ...under.labels,
    ],
    handles: [...handles(site, unit, chosen), ...beside.handles],
  };
}
