import { dowelMiddles, withChanges, type PowerSite } from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeViews } from '../mat/shape-views.ts';

/** Room between the views, in mm. */
const APART_MM = 45;
const CIRCLE = 40;

const circle = (middle: Point, acrossMm: number): readonly Point[] =>
  Array.from({ length: CIRCLE }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / CIRCLE;
    return { x: middle.x + (acrossMm / 2) * Math.cos(angle), y: middle.y + (acrossMm / 2) * Math.sin(angle) };
  });

/** How the views lie: from above over from the side, the firewall from behind to their right. */
interface Laid {
  readonly above: number;
  readonly behind: number;
}

/** A box seen along one axis: its front leans between two lines, plates before it, the shaft and the propeller on their line. */
function seenBox(
  site: PowerSite,
  key: 'above' | 'side',
  low: number,
  high: number,
  line: number,
  front: (across: number) => number,
): readonly Shape[] {
  const { power, plate } = site,
    lean = (front(high) - front(low)) / (high - low),
    square = 1 / Math.hypot(1, lean);
  // Square to the front, forward.
  const before = (mm: number, across: number): Point => ({
    x: front(across) - mm * square,
    y: across + mm * square * lean,
  });
  const plates = power.frontLayers * plate.thicknessMm,
    reach = power.reachMm + plates,
    middle = { x: -reach / square, y: line },
    half = power.propellerMm / 2;
  const along = (mm: number): Point => ({ x: middle.x + mm * lean * square, y: middle.y + mm * square });
  return [
    {
      key: `${key}-box`,
      ring: [
        { x: front(low), y: low },
        { x: power.lengthMm, y: low },
        { x: power.lengthMm, y: high },
        { x: front(high), y: high },
      ],
      look: 'face',
    },
    {
      key: `${key}-plates`,
      ring: [before(0, low), before(plates, low), before(plates, high), before(0, high)],
      look: 'plate',
    },
    {
      key: `${key}-line`,
      ring: [
        { x: middle.x - 20, y: line },
        { x: power.lengthMm + 15, y: line },
      ],
      look: 'station',
      isOpen: true,
    },
    {
      key: `${key}-shaft`,
      ring: [middle, { x: middle.x + reach * square, y: line - reach * square * lean }],
      look: 'wanted',
      isOpen: true,
    },
    { key: `${key}-propeller`, ring: [along(-half), along(half)], look: 'wanted', isOpen: true },
  ];
}

function firewallShapes(site: PowerSite, { behind }: Laid): readonly Shape[] {
  const { power, board, widthMm, heightMm, motor, bolts, lead } = site,
    toLine = board.thicknessMm + power.lineMm,
    at = (p: Point): Point => ({ x: behind + p.x, y: toLine + p.y });
  const hole = (key: string, p: Point, acrossMm: number): readonly Shape[] =>
    acrossMm > 0 ? [{ key, ring: circle(at(p), acrossMm), look: 'cut' }] : [];
  return [
    {
      key: 'firewall',
      ring: [
        { x: behind - widthMm / 2, y: 0 },
        { x: behind + widthMm / 2, y: 0 },
        { x: behind + widthMm / 2, y: heightMm },
        { x: behind - widthMm / 2, y: heightMm },
      ],
      look: 'plate',
    },
    {
      key: 'middle',
      ring: [
        { x: behind, y: 0 },
        { x: behind, y: heightMm },
      ],
      look: 'station',
      isOpen: true,
    },
    {
      key: 'line-behind',
      ring: [
        { x: behind - widthMm / 2, y: toLine },
        { x: behind + widthMm / 2, y: toLine },
      ],
      look: 'station',
      isOpen: true,
    },
    ...bolts.flatMap((bolt, index) => hole(`bolt-${index}`, bolt, power.pattern.boltMm)),
    ...hole('shaft', motor, power.pattern.shaftMm),
    ...hole('lead', lead, power.leadMm),
  ];
}

/** The views of a power box: from above and from the side, its motor to the left, the thrust line drawn to the propeller; and its firewall from within. */
export function powerViews(site: PowerSite, unit: LengthUnit): ShapeViews {
  const { form, power, board, strip, widthMm, heightMm } = site,
    half = widthMm / 2,
    toLine = board.thicknessMm + power.lineMm,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const front = (name: string): number => strip.find((line) => line.name === name)!.frontMm;
  const [port, starboard, floor] = [
      front('floor-port'),
      front('floor-starboard'),
      (front('floor-port') + front('floor-starboard')) / 2,
    ],
    top = (front('wall-port') + front('wall-starboard')) / 2;
  const propeller = power.propellerMm / 2,
    laid: Laid = {
      above: Math.max(heightMm, toLine + propeller) + APART_MM + Math.max(half, propeller),
      behind: power.lengthMm + APART_MM + half,
    };
  // Seen from above, port lies below: the nose points left.
  const fromAbove = seenBox(site, 'above', laid.above - half, laid.above + half, laid.above, (y) => {
    const share = (y - (laid.above - half)) / widthMm;
    return starboard + (port - starboard) * share - (port + starboard) / 2;
  });
  const fromSide = seenBox(site, 'side', 0, heightMm, toLine, (z) => floor + ((top - floor) * z) / heightMm);
  const { dowels } = power,
    dowelAt = (x: number): Point => ({ x, y: board.thicknessMm + (dowels?.upMm ?? 0) });
  const across = (dowels ? dowelMiddles(dowels) : []).flatMap((x, index): readonly Shape[] => [
    { key: `dowel-${index}`, ring: circle(dowelAt(x), dowels!.acrossMm), look: 'cut' },
    {
      key: `dowel-${index}-above`,
      ring: [
        { x, y: laid.above - half - 8 },
        { x, y: laid.above + half + 8 },
      ],
      look: 'station',
      isOpen: true,
    },
  ]);
  const shapes = [...fromAbove, ...fromSide, ...across, ...firewallShapes(site, laid)],
    all = shapes.flatMap(({ ring }) => ring);
  const handles: readonly ShapeHandle[] = [
    {
      key: 'length',
      at: { x: power.lengthMm, y: heightMm / 2 },
      word: `length ${length(power.lengthMm)}`,
      drag: ({ x }, onStep) => withChanges(form, [{ path: 'lengthMm', value: Math.max(20, onStep(x)) }]),
    },
    {
      key: 'height',
      at: { x: power.lengthMm / 2, y: heightMm },
      word: `inside ${length(power.insideHeightMm)} high`,
      drag: ({ y }, onStep) =>
        withChanges(form, [{ path: 'insideHeightMm', value: Math.max(10, onStep(y - board.thicknessMm)) }]),
    },
    {
      key: 'width',
      at: { x: power.lengthMm / 2, y: laid.above + half },
      word: `inside ${length(power.insideWidthMm)} wide`,
      drag: ({ y }, onStep) =>
        withChanges(form, [
          {
            path: 'insideWidthMm',
            value: Math.max(15, onStep(2 * (y - laid.above) - (widthMm - power.insideWidthMm))),
          },
        ]),
    },
    ...(dowels
      ? [
          {
            key: 'dowel',
            at: dowelAt(dowels.firstMm),
            word: `dowel ${length(dowels.firstMm)} behind the firewall, ${length(dowels.upMm)} up`,
            drag: ({ x, y }: Point, onStep: (mm: number) => number) =>
              withChanges(form, [
                { path: 'dowels.firstMm', value: Math.max(2, onStep(x)) },
                { path: 'dowels.upMm', value: Math.max(1, onStep(y - board.thicknessMm)) },
              ]),
          },
        ]
      : []),
    {
      key: 'line',
      at: { x: power.lengthMm, y: toLine },
      word: `line ${length(power.lineMm)} over the floor`,
      isDark: true,
      drag: ({ y }, onStep) =>
        withChanges(form, [
          { path: 'lineMm', value: Math.min(power.insideHeightMm, Math.max(2, onStep(y - board.thicknessMm))) },
        ]),
    },
  ];
  const [minX, maxX] = [Math.min(...all.map(({ x }) => x)), Math.max(...all.map(({ x }) => x))];
  return {
    label: `Power box from above, from the side and its firewall from ${power.isPusher ? 'the nose' : 'behind'}: thrust ${power.rightDegrees}° to the right, ${power.downDegrees}° down`,
    bounds: { minX, maxX, minY: Math.min(...all.map(({ y }) => y)), maxY: Math.max(...all.map(({ y }) => y)) },
    titles: [
      {
        at: { x: minX, y: laid.above + Math.max(half, propeller) + 4 },
        text: power.isPusher ? 'From above, the tail to the left' : 'From above, nose to the left',
      },
      { at: { x: minX, y: Math.max(heightMm, toLine + propeller) + 4 }, text: 'From the side' },
      {
        at: { x: laid.behind - half, y: heightMm + 6 },
        text: power.isPusher ? 'Firewall, seen from the nose' : 'Firewall, from behind',
      },
    ],
    shapes,
    labels: [],
    handles,
  };
}
