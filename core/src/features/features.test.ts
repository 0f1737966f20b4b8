import { after, airframeOf, foam, groove, made, plate, withBevel, withLine } from '../../test/samples.ts';
import { faultsIn, piecesOfAirframe, resolveIn } from '../airframe/index.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import { boundsHeight, boundsOf, boundsWidth, regionArea } from '../geometry/index.ts';
import { outlineOf, type Part } from '../part/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { featureTraits } from './feature-kinds.ts';
import { FEATURE_KINDS, type FeatureKind } from './feature.ts';
import { regularStations } from './stations.ts';
import { strokeText } from './stroke-letters.ts';

const at = { x: 100, y: 50 };
const edge = (part: Part, index: number): { pathId: string; segmentId: string } => ({
  pathId: outlineOf(part)!.id,
  segmentId: outlineOf(part)!.segments[index]!.id,
});
const withFeature = (part: Part, kind: FeatureKind, numbers: Readonly<Record<string, unknown>> = {}, index = 0): Part =>
  after(part, {
    name: 'addFeature',
    args: featureTraits(kind).ground === 'edge' ? { kind, on: edge(part, index), numbers } : { kind, at, numbers },
  });
const refusal = (part: Part, command: PartCommand): string => {
  const result = applyCommand(part, command);
  return result.ok ? 'done' : result.message;
};
const openedBy = (kind: FeatureKind, numbers: Readonly<Record<string, unknown>> = {}): number =>
  20_000 - made(withFeature(plate(200, 100), kind, numbers)).areaMm2;

describe('openings, by hand', () => {
  test.each<[string, FeatureKind, Record<string, unknown>, number]>([
    ['40 × 25 with corners of 8', 'lightening', { lengthMm: 40, widthMm: 25, cornerMm: 8 }, 1000 - (4 - Math.PI) * 64],
    [
      'a square with corners of half its side is a circle',
      'lightening',
      { lengthMm: 30, widthMm: 30, cornerMm: 15 },
      Math.PI * 225,
    ],
    [
      'a corner larger than fits is cut down',
      'lightening',
      { lengthMm: 40, widthMm: 20, cornerMm: 90, angleDegrees: 33 },
      20 * 20 + Math.PI * 100,
    ],
    ['a dowel of 6 with 0.1 play', 'dowel', { diameterMm: 6, fitMm: 0.1 }, Math.PI * 3.05 ** 2],
    [
      'a wire of 2 that leans 45° through 5 mm: 2/cos 45° + 5 + 1 long',
      'wire',
      { diameterMm: 2, fitMm: 1, leanDegrees: 45 },
      (2 * Math.SQRT2 + 5 + 1 - 3) * 3 + Math.PI * 2.25,
    ],
    ['a finger hole', 'finger', { lengthMm: 30, widthMm: 20 }, 10 * 20 + Math.PI * 100],
    ['a servo 23 × 12.5 with 0.5 play and two screws', 'servo', {}, 23.5 * 13 + 2 * Math.PI * 0.75 ** 2],
    ['a hatch takes nothing away: its lid is part of the board', 'hatch', {}, 0],
    ['words take nothing away', 'lettering', {}, 0],
    ['a balance mark neither', 'balance', {}, 0],
  ])('%s', (_, kind, numbers, area) => expect(openedBy(kind, numbers)).toBeCloseTo(area, 6));
  test('a hatch that folds is cut on three sides and slit on the fourth', () => {
    const strokes = made(withFeature(plate(200, 100), 'hatch', { lengthMm: 80, widthMm: 45, opens: 'folds' })).strokes;
    expect(strokes.map(({ kind, lengthMm }) => [kind, lengthMm])).toEqual([
      ['through', expect.closeTo(45 + 80 + 45, 6)],
      ['slit', expect.closeTo(80, 6)],
    ]);
  });
  test('scaled, openings grow and hardware does not', () => {
    const airframe = (part: Part): ResolvedPart => {
      const plain = airframeOf([part]);
      return piecesOfAirframe({ ...plain, settings: { ...plain.settings, scale: 2 } })[0]!.part;
    };
    expect(
      80_000 - airframe(withFeature(plate(200, 100), 'lightening', { lengthMm: 40, widthMm: 20, cornerMm: 0 })).areaMm2,
    ).toBeCloseTo(80 * 40, 6);
    const drilled = airframe(withFeature(plate(200, 100), 'dowel', { diameterMm: 6, fitMm: 0 }));
    expect(80_000 - drilled.areaMm2).toBeCloseTo(Math.PI * 9, 6);
    expect(boundsOf(drilled.holeRings[0]!)).toMatchObject({
      minX: expect.closeTo(197, 6),
      maxY: expect.closeTo(103, 6),
    });
  });
});

describe('tabs and their slots', () => {
  const tabbed = withFeature(withBevel(plate(200, 100), 0, 30), 'tabs', { count: 2, lengthMm: 20, material: 'foam' });
  const mate = `p1/${tabbed.features![0]!.id}`;
  const slotted = withFeature({ ...plate(300, 120), id: 'p2' }, 'slots', { mate, fitMm: 0.2 });
  test('two tabs of 20 stand out as far as the plate is thick, whatever it measures; the bevel runs between them', () => {
    for (const thicknessMm of [5, 6.2]) {
      const part = resolveIn(airframeOf([tabbed], { boards: [{ ...foam, thicknessMm }] }), tabbed);
      expect(part.areaMm2).toBeCloseTo(20_000 + 2 * 20 * thicknessMm, 6);
      expect(part.bounds.minY).toBeCloseTo(-thicknessMm, 6);
      expect(part.strokes[0]!.lengthMm).toBeCloseTo(160, 6);
    }
  });
  test('slots follow the tabs: as many, as long, as far apart, as wide as their plate', () => {
    for (const thicknessMm of [5, 6.2]) {
      const part = resolveIn(airframeOf([tabbed, slotted], { boards: [{ ...foam, thicknessMm }] }), slotted);
      const boxes = part.holeRings.map(boundsOf);
      expect(boxes.map((box) => [boundsWidth(box), boundsHeight(box)])).toEqual(
        [1, 2].map(() => [expect.closeTo(20.2, 6), expect.closeTo(thicknessMm + 0.2, 6)]),
      );
      expect(boxes[1]!.minX - boxes[0]!.minX).toBeCloseTo(100, 6);
    }
    const three = after(tabbed, {
      name: 'changeFeature',
      args: { featureId: tabbed.features![0]!.id, changes: { count: 3 } },
    });
    expect(resolveIn(airframeOf([three, slotted]), slotted).holes).toHaveLength(3);
  });
  test('at another scale the row spreads and each slot keeps its size', () => {
    const plain = airframeOf([tabbed, slotted]);
    const boxes = resolveIn({ ...plain, settings: { ...plain.settings, scale: 1.5 } }, slotted).holeRings.map(boundsOf);
    expect(boxes[1]!.minX - boxes[0]!.minX).toBeCloseTo(150, 6);
    expect(boundsWidth(boxes[0]!)).toBeCloseTo(20.2, 6);
  });
  test('a row without tabs, tabs that do not fit, a curved edge: each named, each mended by one command', () => {
    const lost = faultsIn(airframeOf([slotted]), slotted);
    expect(lost[0]).toMatchObject({ code: 'MATE_MISSING', mend: { command: { name: 'removeFeature' } } });
    const crowded = after(tabbed, {
      name: 'changeFeature',
      args: { featureId: tabbed.features![0]!.id, changes: { count: 30 } },
    });
    const fault = faultsIn(airframeOf([crowded]), crowded).find(({ code }) => code === 'TABS_CROWDED')!;
    expect(fault.title).toContain('30 tabs of 20.0 mm do not fit on 200.0 mm');
    const mended = after(crowded, (fault.mend as { command: PartCommand }).command);
    expect(faultsIn(airframeOf([mended]), mended)).toEqual([]);
    expect(resolveIn(airframeOf([mended]), mended).areaMm2).toBeCloseTo(20_000 + 9 * 20 * 5, 6);
    const curved = after(tabbed, {
      name: 'changeSegment',
      args: { segmentId: edge(tabbed, 0).segmentId, to: { kind: 'arc', bulge: 0.2 } },
    });
    expect(faultsIn(airframeOf([curved]), curved).map(({ code }) => code)).toContain('FEATURE_EDGE');
  });
  test('tabs on a hole stand into it; an edge bears one row', () => {
    const holed = after(plate(200, 100), {
      name: 'drawHole',
      args: {
        draft: {
          points: [
            { x: 50, y: 30 },
            { x: 150, y: 30 },
            { x: 150, y: 70 },
            { x: 50, y: 70 },
          ],
          segments: [0, 1, 2, 3].map(() => ({ kind: 'line' as const })),
          closed: true,
        },
      },
    });
    const hole = holed.contours[1]!;
    const inner = after(holed, {
      name: 'addFeature',
      args: {
        kind: 'tabs',
        on: { pathId: hole.id, segmentId: hole.segments[0]!.id },
        numbers: { count: 1, lengthMm: 20, reachMm: 5 },
      },
    });
    expect(made(inner).areaMm2).toBeCloseTo(20_000 - 4000 + 100, 6);
    expect(refusal(tabbed, { name: 'addFeature', args: { kind: 'tabs', on: edge(tabbed, 0) } })).toContain(
      'has a tab row already',
    );
  });
});

test('a lap takes foam away along its edge, as wide as the plate, down to the skin', () => {
  const part = withFeature(plate(200, 100), 'lap', { material: 'ply' });
  const stroke = resolveIn(
    airframeOf([part], { boards: [foam, { ...foam, id: 'b2', material: 'ply', thicknessMm: 3 }] }),
    part,
  ).strokes[0]!;
  expect(regionArea(stroke.area)).toBeCloseTo(600, 3);
  expect(stroke.depthMm).toBeCloseTo(4.5, 9);
  const deep = after(part, {
    name: 'changeFeature',
    args: { featureId: part.features![0]!.id, changes: { depthMm: 4.9 } },
  });
  expect(faultsIn(airframeOf([deep]), deep)[0]).toMatchObject({
    code: 'LAP_DEEP',
    mend: { command: { args: { changes: { depthMm: 'auto' } } } },
  });
});
test('stations run square to their edge, only on the part, and follow it', () => {
  const part = withFeature(plate(200, 100), 'stations', {
    places: [...regularStations(200, 50, 'S').slice(0, 2), { atMm: 187.3, name: 'hinge' }],
  });
  const strokes = made(part).strokes;
  expect(strokes.map(({ label, lengthMm, paths }) => [label, lengthMm, paths[0]![0]!.from.x])).toEqual(
    [
      ['S1', 50],
      ['S2', 100],
      ['hinge', 187.3],
    ].map(([label, x]) => [label, expect.closeTo(100, 6), expect.closeTo(x as number, 6)]),
  );
  const short = after(part, { name: 'shapeRun', args: { segmentId: edge(part, 0).segmentId, lengthMm: 150 } });
  const fault = faultsIn(airframeOf([short]), short).find(({ code }) => code === 'STATION_OFF')!;
  expect(fault.title).toBe('Station hinge lies past the end of the edge');
  const plain = airframeOf([short]);
  const scaled = faultsIn({ ...plain, settings: { ...plain.settings, scale: 2 } }, short).find(
    ({ code }) => code === 'STATION_OFF',
  )!;
  expect(
    (after(short, (scaled.mend as { command: PartCommand }).command).features![0] as { places: unknown }).places,
  ).toEqual([
    { atMm: 50, name: 'S1' },
    { atMm: 100, name: 'S2' },
  ]);
});
test('letters are as high as asked, accents are left off, strange ones refused', () => {
  const { strokes, widthMm } = strokeText('FLÜGEL 1', 12);
  const ys = strokes.flat().map(({ y }) => y);
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([0, 12]);
  expect(Math.max(...strokes.flat().map(({ x }) => x))).toBeCloseTo(widthMm, 9);
  expect(
    refusal(withFeature(plate(200, 100), 'lettering'), {
      name: 'changeFeature',
      args: { featureId: 'f10', changes: { text: '翼' } },
    }),
  ).toContain('"翼"');
});
test('words that run off the part are named and moved to where there is room', () => {
  const part = after(plate(200, 100), {
    name: 'addFeature',
    args: { kind: 'lettering', at: { x: 195, y: 50 }, numbers: { text: 'PORT WING' } },
  });
  const fault = faultsIn(airframeOf([part]), part)[0]!;
  expect(fault).toMatchObject({ code: 'WORDS_OFF', title: '“PORT WING” runs off Part p1' });
  const mended = after(part, (fault.mend as { command: PartCommand }).command);
  expect(faultsIn(airframeOf([mended]), mended)).toEqual([]);
});
test('what a feature makes is led back to it: a hole outside is moved in, at any scale', () => {
  const part = after(plate(200, 100), { name: 'addFeature', args: { kind: 'finger', at: { x: 198, y: 50 } } });
  for (const scale of [1, 1.5]) {
    const plain = airframeOf([part]);
    const fault = faultsIn({ ...plain, settings: { ...plain.settings, scale } }, part).find(
      ({ code }) => code === 'HOLE_OUTSIDE',
    )!;
    expect(fault).toMatchObject({ targetId: part.features![0]!.id });
    const mended = after(part, (fault.mend as { command: PartCommand }).command);
    expect(faultsIn(airframeOf([mended]), mended)).toEqual([]);
  }
});
test('a feature goes with its edge; odd numbers are refused by name', () => {
  const part = withFeature(withLine(plate(200, 100), [0, 50], [200, 50], groove()), 'tabs', { count: 1 });
  expect(after(part, { name: 'removeNode', args: { nodeId: outlineOf(part)!.nodes[0]!.id } }).features).toEqual([]);
  const id = part.features![0]!.id;
  for (const [changes, words] of [
    [{ count: 0 }, 'from 1 to 100, got 0'],
    [{ count: 2.5 }, '2.5'],
    [{ lengthMm: Number.NaN }, 'NaN'],
    [{ reachMm: 1e12 }, '1000000000000'],
    [{ widthMm: 3 }, 'has no widthMm'],
    [{ material: 7 }, 'needs a name'],
  ] as const) {
    expect(refusal(part, { name: 'changeFeature', args: { featureId: id, changes } })).toContain(words);
  }
  expect(refusal(part, { name: 'addFeature', args: { kind: 'dowel' } })).toContain('needs a place');
  expect(refusal(part, { name: 'addFeature', args: { kind: 'lap' } })).toContain('choose one');
  expect(refusal(part, { name: 'moveFeature', args: { featureId: id, by: at } })).toContain('move the edge');
});
test('every kind can be added with its own first numbers, and is drawn', () => {
  for (const kind of FEATURE_KINDS) {
    const part = made(
      withFeature(plate(200, 100), kind, kind === 'tabs' || kind === 'lap' ? { material: 'foam' } : {}),
    );
    const isDrawn = part.holes.length > 0 || part.strokes.length > 0 || part.outline!.length > 4;
    expect([kind, isDrawn]).toEqual([kind, kind !== 'slots']);
  }
});
