import { levelLines, uprightLines, withChanges, type CutPlate, type TailSite } from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeLabel, ShapeViews } from '../mat/shape-views.ts';

/** Room between both views, as a share of the chord, and at least, in mm. */
const APART_SHARE = 0.25;
const LEAST_APART_MM = 40;

/** How the view from the side lies over that from above: both with their nose to the left. */
interface Laid {
  /** Height of the stabiliser's underside in the view from the side. */
  readonly side: number;
}

const mirrored = (ring: readonly Point[]): readonly Point[] => ring.map(({ x, y }) => ({ x, y: -y }));

/** What a plate of one half is on both sides; of a whole one itself. */
const onBoth = (ring: readonly Point[], isHalf: boolean): readonly (readonly Point[])[] =>
  isHalf ? [ring, mirrored(ring)] : [ring];

function levelShapes({ tail, stabiliser, elevator }: TailSite): readonly Shape[] {
  const isHalf = tail.elevator?.halves === 'two';
  return [
    { key: 'stabiliser', ring: stabiliser.left[0]!, look: 'face' },
    ...(elevator ? onBoth(elevator.left[0]!, isHalf) : []).map((ring, index): Shape => ({
      key: `elevator-${index}`,
      ring,
      look: 'guest',
    })),
    ...(elevator?.rooms ?? []).flatMap((room, index) =>
      onBoth(room, isHalf).map((ring, side): Shape => ({ key: `room-${index}-${side}`, ring, look: 'station' })),
    ),
  ];
}

function uprightShapes({ fin, rudder, tail, board }: TailSite, { side }: Laid): readonly Shape[] {
  const seen = (ring: readonly Point[]): readonly Point[] => ring.map(({ x, y }) => ({ x, y: side + y })),
    { noseAt, tailAt } = levelLines(tail),
    t = board.thicknessMm;
  const plate = (key: string, cut: CutPlate | undefined, look: Shape['look']): readonly Shape[] =>
    cut ? [{ key, ring: seen(cut.left[0]!), look }] : [];
  return [
    ...plate('fin', fin, 'face'),
    ...plate('rudder', rudder, 'guest'),
    ...(rudder?.rooms ?? []).map((room, index): Shape => ({
      key: `rudder-room-${index}`,
      ring: seen(room),
      look: 'station',
    })),
    {
      key: 'level-from-the-side',
      ring: seen([
        { x: noseAt(0), y: 0 },
        { x: tailAt(0), y: 0 },
        { x: tailAt(0), y: t },
        { x: noseAt(0), y: t },
      ]),
      look: 'plate',
    },
  ];
}

function levelHandles({ form, tail }: TailSite, unit: LengthUnit): readonly ShapeHandle[] {
  const { halfMm, noseAt, hingeAt, tailAt } = levelLines(tail),
    { stabiliser, elevator } = tail,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return [
    {
      key: 'span',
      at: { x: (noseAt(halfMm) + hingeAt(halfMm)) / 2, y: halfMm },
      word: `span ${length(stabiliser.spanMm)}`,
      drag: ({ y }, onStep) =>
        withChanges(form, [{ path: 'stabiliser.spanMm', value: Math.max(40, onStep(2 * Math.abs(y))) }]),
    },
    {
      key: 'sweep',
      at: { x: noseAt(halfMm), y: halfMm },
      word: `tip’s nose ${length(stabiliser.sweepMm)} behind`,
      isDark: true,
      drag: ({ x }, onStep) => withChanges(form, [{ path: 'stabiliser.sweepMm', value: onStep(x) }]),
    },
    {
      key: 'hinge',
      at: { x: hingeAt(0), y: 0 },
      word: `chord before the hinge ${length(stabiliser.rootMm)}`,
      isDark: true,
      drag: ({ x }, onStep) => withChanges(form, [{ path: 'stabiliser.rootMm', value: Math.max(10, onStep(x)) }]),
    },
    ...(elevator
      ? [
          {
            key: 'elevator-tip',
            at: { x: tailAt(halfMm), y: -halfMm },
            word: `elevator at the tip ${length(elevator.tipMm)}`,
            drag: ({ x }: Point, onStep: (mm: number) => number) =>
              withChanges(form, [{ path: 'elevator.tipMm', value: Math.max(5, onStep(x - hingeAt(halfMm))) }]),
          },
        ]
      : []),
  ];
}

function uprightHandles({ form, tail, board }: TailSite, { side }: Laid, unit: LengthUnit): readonly ShapeHandle[] {
  const { fin, rudder } = tail;
  if (!fin) return [];
  const t = board.thicknessMm,
    { topMm, hingeAt } = uprightLines(tail, t),
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return [
    {
      key: 'height',
      at: { x: hingeAt(topMm), y: side + topMm },
      word: `fin ${length(fin.heightMm)} high`,
      drag: ({ y }, onStep) => withChanges(form, [{ path: 'fin.heightMm', value: Math.max(20, onStep(y - side - t)) }]),
    },
    ...(rudder
      ? [
          {
            key: 'rudder-foot',
            at: { x: hingeAt(t + rudder.footMm) + rudder.rootMm, y: side + t + rudder.footMm },
            word: `rudder ${length(rudder.rootMm)} at its foot, ${length(rudder.footMm)} over the stabiliser`,
            drag: ({ x, y }: Point, onStep: (mm: number) => number) =>
              withChanges(form, [
                { path: 'rudder.rootMm', value: Math.max(6, onStep(x - hingeAt(t + rudder.footMm))) },
                { path: 'rudder.footMm', value: onStep(y - side - t) },
              ]),
          },
        ]
      : []),
  ];
}

/** The views of a tail: its upright plates from the side over its level ones from above, nose to the left; what moves is darker, what it lost is dashed. */
export function tailViews(site: TailSite, unit: LengthUnit): ShapeViews {
  const { tail, board } = site,
    lines = levelLines(tail),
    { halfMm, noseAt, hingeAt, tailAt } = lines;
  const low = Math.min(0, ...[site.fin, site.rudder].flatMap((plate) => plate?.left[0]?.map(({ y }) => y) ?? [])),
    apart = Math.max(LEAST_APART_MM, APART_SHARE * tailAt(0));
  const laid: Laid = { side: halfMm + apart - low };
  const upright = uprightShapes(site, laid),
    shapes = [...levelShapes(site), ...upright],
    all = shapes.filter(({ look }) => look !== 'station').flatMap(({ ring }) => ring);
  const labels: readonly ShapeLabel[] = [
    ...(tail.elevator
      ? [
          {
            key: 'elevator',
            at: { x: (hingeAt(halfMm / 2) + tailAt(halfMm / 2)) / 2, y: -halfMm / 2 },
            text: 'elevator',
            dy: 4,
          },
        ]
      : []),
    ...(tail.fin
      ? [
          {
            key: 'fin',
            at: {
              x: uprightLines(tail, board.thicknessMm).hingeAt(board.thicknessMm) - tail.fin.rootMm / 2,
              y: laid.side + tail.fin.heightMm / 3,
            },
            text: 'fin',
            dy: 4,
          },
        ]
      : []),
  ];
  return {
    label: `Tail from the side and from above: span ${formatLengthWithUnit(tail.stabiliser.spanMm, unit)}`,
    bounds: {
      minX: Math.min(...all.map(({ x }) => x)),
      maxX: Math.max(...all.map(({ x }) => x)),
      minY: -halfMm,
      maxY: Math.max(...all.map(({ y }) => y)),
    },
    titles: [
      { at: { x: noseAt(0), y: Math.max(...all.map(({ y }) => y)) + 6 }, text: 'From the side, nose to the left' },
      { at: { x: noseAt(0), y: halfMm + 6 }, text: 'From above' },
    ],
    shapes,
    labels,
    handles: [...levelHandles(site, unit), ...uprightHandles(site, laid, unit)],
  };
}
