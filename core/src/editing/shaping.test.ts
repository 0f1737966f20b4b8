import {
  after,
  boxSide,
  groove,
  made,
  plate,
  polygonPart,
  withBevel,
  withLine,
  withRound,
} from '../../test/samples.ts';
import { boundsOf, boundsWidth, distance } from '../geometry/index.ts';
import { holesOf, outlineOf, type Part } from '../part/index.ts';
import { circleDraft, polylineDraft, rectangleDraft } from '../paths/index.ts';
import { applyCommand, type PartCommand } from './commands.ts';
import { worded } from '../units/index.ts';

const refusal = (part: Part, command: PartCommand): string => {
  const result = applyCommand(part, command);
  if (result.ok) throw new Error(`${result.label} was done`);
  return worded(result.message, 'mm');
};
const outline = (part: Part) => outlineOf(part)!;
const mark = { kind: 'mark', face: 'face', label: '' } as const;
const line = (part: Part, ...points: readonly (readonly [number, number])[]): Part =>
  after(part, {
    name: 'drawLine',
    args: { draft: polylineDraft(points.map(([x, y]) => ({ x, y }))), operation: mark },
  });

describe('corners', () => {
  test('four corners of 200 × 100 rounded by 20 take off (4 − π)·20²; the part stays closed', () => {
    const part = plate(200, 100);
    const round = after(part, {
      name: 'shapeCorners',
      args: { nodeIds: outline(part).nodes.map(({ id }) => id), how: 'round', sizeMm: 20 },
    });
    expect(made(round).areaMm2).toBeCloseTo(20_000 - (4 - Math.PI) * 400, 6);
    expect(made(round).outlineLengthMm).toBeCloseTo(600 - 160 + 2 * Math.PI * 20, 6);
    expect(outline(round).nodes).toHaveLength(8);
  });
  test('a hollow corner is filled, a sharp one cut; a chamfer of 10 takes off 50 mm²', () => {
    const l = polygonPart([
      [0, 0],
      [100, 0],
      [100, 40],
      [40, 40],
      [40, 100],
      [0, 100],
    ]);
    const hollow = after(l, {
      name: 'shapeCorners',
      args: { nodeIds: [outline(l).nodes[3]!.id], how: 'round', sizeMm: 10 },
    });
    expect(made(hollow).areaMm2).toBeCloseTo(6400 + (4 - Math.PI) * 25, 6);
    const cut = after(l, {
      name: 'shapeCorners',
      args: { nodeIds: [outline(l).nodes[0]!.id], how: 'chamfer', sizeMm: 10 },
    });
    expect(made(cut).areaMm2).toBeCloseTo(6400 - 50, 6);
  });
  test('an operation on an edge stays on what is left of it', () => {
    const part = withBevel(plate(200, 100), 0, 30);
    const round = after(part, {
      name: 'shapeCorners',
      args: { nodeIds: [outline(part).nodes[0]!.id], how: 'round', sizeMm: 25 },
    });
    expect(made(round).strokes[0]!.lengthMm).toBeCloseTo(175, 6);
  });
  test('a radius that does not fit names the largest that does', () => {
    const part = plate(200, 30);
    expect(
      refusal(part, {
        name: 'shapeCorners',
        args: { nodeIds: [outline(part).nodes[0]!.id], how: 'round', sizeMm: 40 },
      }),
    ).toContain('at most 30.0 mm');
    expect(
      refusal(part, {
        name: 'shapeCorners',
        args: { nodeIds: [outline(part).nodes[0]!.id], how: 'chamfer', sizeMm: Number.NaN },
      }),
    ).toContain('NaN');
  });
});

describe('outlines combined with what is drawn on them', () => {
  test('a cabin opening cut out of the upper edge: area and edges by hand, the bevel still below', () => {
    const part = after(withBevel(plate(200, 100), 0, 30), {
      name: 'drawHole',
      args: { draft: rectangleDraft({ x: 60, y: 70 }, 50, 40) },
    });
    const cut = after(part, { name: 'combineOutline', args: { pathId: holesOf(part)[0]!.id, how: 'cutOut' } });
    expect(made(cut).areaMm2).toBeCloseTo(20_000 - 50 * 30, 6);
    expect(outline(cut).nodes).toHaveLength(8);
    expect(made(cut).strokes.find(({ kind }) => kind === 'bevel')!.lengthMm).toBeCloseTo(200, 6);
    expect(holesOf(cut)).toEqual([]);
  });
  test('a tab joined on, and an edge split in two keeps its bevel on both pieces', () => {
    const part = after(withBevel(plate(200, 100), 2, 30), {
      name: 'drawHole',
      args: { draft: rectangleDraft({ x: 80, y: 90 }, 30, 16) },
    });
    const joined = after(part, { name: 'combineOutline', args: { pathId: holesOf(part)[0]!.id, how: 'join' } });
    expect(made(joined).areaMm2).toBeCloseTo(20_000 + 30 * 6, 6);
    expect(made(joined).strokes.find(({ kind }) => kind === 'bevel')!.lengthMm).toBeCloseTo(170, 6);
  });
  test('a hole in the middle becomes a hole; a cut that leaves two pieces, or none, is refused', () => {
    const part = after(plate(200, 100), {
      name: 'drawLine',
      args: { draft: circleDraft({ x: 100, y: 50 }, 20), operation: mark },
    });
    expect(
      made(after(part, { name: 'combineOutline', args: { pathId: part.lines[0]!.id, how: 'cutOut' } })).holes,
    ).toHaveLength(1);
    const across = after(plate(200, 100), {
      name: 'drawHole',
      args: { draft: rectangleDraft({ x: 90, y: -10 }, 20, 120) },
    });
    expect(
      refusal(across, { name: 'combineOutline', args: { pathId: holesOf(across)[0]!.id, how: 'cutOut' } }),
    ).toContain('2 pieces');
    const over = after(plate(200, 100), {
      name: 'drawHole',
      args: { draft: rectangleDraft({ x: -10, y: -10 }, 220, 120) },
    });
    expect(refusal(over, { name: 'combineOutline', args: { pathId: holesOf(over)[0]!.id, how: 'cutOut' } })).toContain(
      'Nothing would be left',
    );
  });
});

describe('offsets of a part', () => {
  test('the outline itself, a copy as a hole, a copy as a line', () => {
    const part = withBevel(plate(200, 100), 0, 30);
    const grown = after(part, {
      name: 'offsetContour',
      args: { pathId: outline(part).id, byMm: 5, corners: 'sharp', as: 'itself' },
    });
    expect(made(grown).areaMm2).toBeCloseTo(210 * 110, 6);
    expect(made(grown).strokes[0]!.lengthMm).toBeCloseTo(210, 6);
    const holed = after(part, {
      name: 'offsetContour',
      args: { pathId: outline(part).id, byMm: -12, corners: 'sharp', as: 'hole' },
    });
    expect(made(holed).areaMm2).toBeCloseTo(20_000 - 176 * 76, 6);
    const lined = after(part, {
      name: 'offsetContour',
      args: { pathId: outline(part).id, byMm: -10, corners: 'sharp', as: 'line' },
    });
    expect(lined.lines).toHaveLength(1);
    expect(lined.operations.at(-1)).toMatchObject({ kind: 'mark', on: { pathId: lined.lines[0]!.id } });
  });
  test('the bevel stays on its edge, whatever corners come or edges go', () => {
    const part = withBevel(plate(200, 100), 0, 30);
    const round = after(part, {
      name: 'offsetContour',
      args: { pathId: outline(part).id, byMm: 5, corners: 'round', as: 'itself' },
    });
    expect(outline(round).segments).toHaveLength(8);
    expect(made(round).strokes[0]!.lengthMm).toBeCloseTo(200, 6);
    // A notch 8 wide is closed by 5 mm: its edges go, and the edge before them keeps its own work.
    const notched = withBevel(
      polygonPart([
        [0, 0],
        [200, 0],
        [200, 100],
        [104, 100],
        [104, 80],
        [96, 80],
        [96, 100],
        [0, 100],
      ]),
      7,
      30,
    );
    const grown = after(notched, {
      name: 'offsetContour',
      args: { pathId: outline(notched).id, byMm: 5, corners: 'sharp', as: 'itself' },
    });
    const stroke = made(grown).strokes[0]!;
    expect(stroke.lengthMm).toBeCloseTo(110, 6);
    expect(stroke.paths[0]![0]!.from.x).toBeCloseTo(-5, 6);
  });
  test.each([
    [0, 'not 0'],
    [Number.NaN, 'got –'],
    [-60, 'nothing of the outline is left'],
    [1e12, 'up to 1000 mm'],
  ])('by %d is refused', (byMm, words) => {
    const part = plate(200, 100);
    expect(
      refusal(part, {
        name: 'offsetContour',
        args: { pathId: outline(part).id, byMm, corners: 'sharp', as: 'itself' },
      }),
    ).toContain(words);
  });
});

describe('moving, turning, mirroring, copying', () => {
  const part = withRound(plate(200, 100), 40, 50, 6);
  const hole = holesOf(part)[0]!.id;
  const centres = (now: Part): (readonly [number, number])[] =>
    holesOf(now).map(({ nodes }) => [(nodes[0]!.x + nodes[1]!.x) / 2, (nodes[0]!.y + nodes[1]!.y) / 2] as const);
  test('a row of five holes 30 mm apart', () => {
    const row = after(part, {
      name: 'arrangePaths',
      args: { pathIds: [hole], motion: { kind: 'move', by: { x: 30, y: 0 } }, copies: 4 },
    });
    expect(centres(row).map(([x]) => x)).toEqual([40, 70, 100, 130, 160].map((x) => expect.closeTo(x, 9)));
    expect(made(row).areaMm2).toBeCloseTo(20_000 - 5 * Math.PI * 36, 6);
  });
  test('a ring of six holes about a centre', () => {
    const ring = after(part, {
      name: 'arrangePaths',
      args: { pathIds: [hole], motion: { kind: 'turn', about: { x: 70, y: 50 }, angleDegrees: 60 }, copies: 5 },
    });
    for (const [x, y] of centres(ring)) expect(Math.hypot(x - 70, y - 50)).toBeCloseTo(30, 9);
    expect(holesOf(ring)).toHaveLength(6);
  });
  test('mirrored about any line, with the work; a groove copied keeps its fold', () => {
    const mirrored = after(part, {
      name: 'arrangePaths',
      args: { pathIds: [hole], motion: { kind: 'mirror', from: { x: 0, y: 0 }, to: { x: 10, y: 10 } }, copies: 0 },
    });
    expect(centres(mirrored)[0]).toEqual([expect.closeTo(50, 9), expect.closeTo(40, 9)]);
    const folded = withLine(plate(200, 100), [0, 30], [200, 30], groove(60));
    const twice = after(folded, {
      name: 'arrangePaths',
      args: { pathIds: [folded.lines[0]!.id], motion: { kind: 'move', by: { x: 0, y: 40 } }, copies: 1 },
    });
    expect(twice.operations.map((operation) => (operation.kind === 'groove' ? operation.foldDegrees : 0))).toEqual([
      60, 60,
    ]);
  });
  test('the outline turned by 90° is 100 wide; it cannot be copied', () => {
    const turned = after(part, {
      name: 'arrangePaths',
      args: {
        pathIds: [outline(part).id, hole],
        motion: { kind: 'turn', about: { x: 0, y: 0 }, angleDegrees: 90 },
        copies: 0,
      },
    });
    expect(boundsWidth(made(turned).bounds)).toBeCloseTo(100, 9);
    expect(made(turned).areaMm2).toBeCloseTo(made(part).areaMm2, 6);
    expect(
      refusal(part, {
        name: 'arrangePaths',
        args: { pathIds: [outline(part).id], motion: { kind: 'move', by: { x: 1, y: 0 } }, copies: 2 },
      }),
    ).toContain('one outline');
    expect(
      refusal(part, {
        name: 'arrangePaths',
        args: { pathIds: [hole], motion: { kind: 'mirror', from: { x: 0, y: 0 }, to: { x: 0, y: 0 } }, copies: 0 },
      }),
    ).toContain('two places');
  });
  test('aligned with the first chosen; spread evenly between the outermost', () => {
    const three = withRound(withRound(part, 60, 20, 4), 150, 70, 4);
    const ids = holesOf(three).map(({ id }) => id);
    expect(
      centres(after(three, { name: 'alignPaths', args: { pathIds: ids, to: 'middle' } })).map(([, y]) => y),
    ).toEqual([50, 50, 50].map((y) => expect.closeTo(y, 6)));
    expect(
      centres(after(three, { name: 'alignPaths', args: { pathIds: ids, to: 'spreadAcross' } })).map(([x]) => x),
    ).toEqual([40, 95, 150].map((x) => expect.closeTo(x, 6)));
  });
});

describe('lines trimmed, extended, split, joined, divided', () => {
  test('the overhang of a line past the edge is trimmed at the edge', () => {
    const part = line(plate(200, 100), [50, 50], [260, 50]);
    const trimmed = after(part, { name: 'trimLine', args: { segmentId: part.lines[0]!.segments[0]!.id, t: 0.95 } });
    expect(trimmed.lines[0]!.nodes[1]).toMatchObject({ x: expect.closeTo(200, 6), y: 50 });
    expect(trimmed.operations).toHaveLength(1);
  });
  test('the stretch between two crossing lines goes, and two lines with the same work are left', () => {
    const part = line(line(line(plate(200, 100), [20, 50], [180, 50]), [80, 20], [80, 80]), [120, 20], [120, 80]);
    const trimmed = after(part, { name: 'trimLine', args: { segmentId: part.lines[0]!.segments[0]!.id, t: 0.5 } });
    expect(trimmed.lines).toHaveLength(4);
    expect(trimmed.operations).toHaveLength(4);
    const lengths = trimmed.lines
      .filter(({ nodes }) => nodes.every(({ y }) => y === 50))
      .map(({ nodes }) => distance(nodes[0]!, nodes[1]!));
    expect(lengths).toEqual([expect.closeTo(60, 6), expect.closeTo(60, 6)]);
  });
  test('a line is extended to the next edge it meets, not past it', () => {
    const part = withRound(line(plate(200, 100), [20, 50], [60, 50]), 100, 50, 10);
    expect(
      after(part, { name: 'extendLine', args: { pathId: part.lines[0]!.id, end: 'end' } }).lines[0]!.nodes[1]!.x,
    ).toBeCloseTo(90, 6);
    expect(
      after(part, { name: 'extendLine', args: { pathId: part.lines[0]!.id, end: 'start' } }).lines[0]!.nodes[0]!.x,
    ).toBeCloseTo(0, 6);
  });
  test('split at a point and joined again it is the same line', () => {
    const part = line(plate(200, 100), [20, 20], [60, 40], [120, 30]);
    const split = after(part, { name: 'splitLine', args: { nodeId: part.lines[0]!.nodes[1]!.id } });
    expect(split.lines).toHaveLength(2);
    expect(split.operations).toHaveLength(2);
    const joined = after(split, { name: 'joinLines', args: { pathIds: [split.lines[0]!.id, split.lines[1]!.id] } });
    expect(joined.lines[0]!.nodes.map(({ x, y }) => [x, y])).toEqual([
      [20, 20],
      [60, 40],
      [120, 30],
    ]);
    expect(joined.operations).toHaveLength(1);
    const far = line(line(plate(200, 100), [0, 0], [10, 10]), [50, 50], [60, 60]);
    expect(refusal(far, { name: 'joinLines', args: { pathIds: [far.lines[0]!.id, far.lines[1]!.id] } })).toContain(
      '56.57 mm apart',
    );
  });
  test('an edge divided in five has five parts of one length, and the same area', () => {
    const part = after(plate(200, 100), {
      name: 'changeSegment',
      args: {
        segmentId: outline(plate(200, 100)).segments[1]!.id,
        to: { kind: 'cubic', control1: { x: 240, y: 20 }, control2: { x: 190, y: 80 } },
      },
    });
    const divided = after(
      part,
      { name: 'divideSegment', args: { segmentId: outline(part).segments[0]!.id, count: 5 } },
      { name: 'divideSegment', args: { segmentId: outline(part).segments[1]!.id, count: 3 } },
    );
    expect(made(divided).areaMm2).toBeCloseTo(made(part).areaMm2, 6);
    expect(
      outline(divided)
        .nodes.slice(0, 6)
        .map(({ x }) => x),
    ).toEqual([0, 40, 80, 120, 160, 200].map((x) => expect.closeTo(x, 6)));
    expect(boundsOf(outline(divided).nodes).maxY).toBe(100);
  });
  test('an outline cannot be trimmed or split open', () => {
    const part = boxSide();
    expect(refusal(part, { name: 'trimLine', args: { segmentId: outline(part).segments[0]!.id, t: 0.5 } })).toContain(
      'left open',
    );
    expect(refusal(part, { name: 'splitLine', args: { nodeId: outline(part).nodes[0]!.id } })).toContain('left open');
  });
});
