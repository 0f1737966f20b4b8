import { bodyOf, notClosed } from '../../../test/bodies.ts';
import { airframeOf, T } from '../../../test/wings.ts';
import { faultsIn } from '../../airframe/index.ts';
import { boundsOf } from '../../geometry/index.ts';
import { holesOf, outlineOf, type Part } from '../../part/index.ts';
import type { MadeBody } from './make-body.ts';
import type { BodyStation } from './parameters.ts';

const station = (id: string, aftMm: number, topMm: number, widthMm = 60): BodyStation => ({
  id,
  aftMm,
  bottomMm: 0,
  topMm,
  widthMm,
});
/** A top that is level, rises by 40 over 60 and is level again: it turns outward by 33.69° and inward by as much. */
const STEPPED = [station('a', 0, 60), station('b', 200, 60), station('c', 260, 100), station('d', 500, 100)];
const partOf = ({ parts }: MadeBody, role: string): Part => parts.find(({ source }) => source!.role === role)!;
const longOf = (part: Part): number => {
  const { minX, maxX } = boundsOf(outlineOf(part)!.nodes);
  return maxX - minX;
};

it('a lid that turns outward is made in two, which meet at their outer skins', () => {
  const made = bodyOf({ stations: STEPPED, formers: [], lid: 'on walls' });
  expect(longOf(partOf(made, 'lid'))).toBeCloseTo(200, 6);
  // Over the slope of √(60² + 40²), then level: the groove between both closes inward.
  expect(longOf(partOf(made, 'lid-at-b'))).toBeCloseTo(Math.hypot(60, 40) + 240, 4);
  expect(partOf(made, 'lid-at-b').name).toBe('Body lid behind station 2');
  expect(made.faults).toEqual([]);
  const airframe = airframeOf(made.parts);
  expect(made.parts.flatMap((part) => faultsIn(airframe, part))).toEqual([]);
  expect(notClosed(made.parts)).toEqual([]);
});

it('a slight turn outward is a crease of one piece, and so is any in a curved line', () => {
  const slight = [station('a', 0, 60), station('b', 200, 60), station('c', 400, 80)];
  const roles = (more: Parameters<typeof bodyOf>[0]) =>
    bodyOf({ formers: [], ...more }).parts.map(({ source }) => source!.role);
  expect(roles({ stations: slight })).not.toContain('lid-at-b');
  expect(roles({ stations: STEPPED, topLine: 'curved' })).not.toContain('lid-at-b');
});

it('walls that turn outward are told of, with a curved line as the mend', () => {
  const waisted = [
    station('a', 0, 60, 90),
    station('b', 200, 60, 90),
    station('c', 260, 60, 50),
    station('d', 400, 60, 50),
  ];
  const { faults } = bodyOf({ stations: waisted, formers: [] });
  expect(faults).toMatchObject([
    {
      code: 'TURNS_OUTWARD',
      path: 'stations.2.widthMm',
      title: 'The walls turn outward by 18.4° at station 3',
      mend: { changes: [{ path: 'widthLine', value: 'curved' }] },
    },
  ]);
});

it('the slots of a strap keep one and a half boards within a tray that is as wide as the nose', () => {
  const made = bodyOf({
      stations: [station('a', 0, 60, 46), station('b', 240, 60, 90), station('c', 400, 60, 90)],
      formers: [],
      tray: { fromMm: 10, toMm: 130, strapMm: 15 },
    }),
    tray = partOf(made, 'tray');
  const { minY, maxY } = boundsOf(outlineOf(tray)!.nodes),
    slots = holesOf(tray).map(({ nodes }) => boundsOf(nodes));
  expect(slots).toHaveLength(2);
  expect(Math.min(...slots.map((slot) => slot.minY)) - minY).toBeGreaterThanOrEqual(1.5 * T);
  expect(maxY - Math.max(...slots.map((slot) => slot.maxY))).toBeGreaterThanOrEqual(1.5 * T);
});
