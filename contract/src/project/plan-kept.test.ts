import fc from 'fast-check';
import {
  addGuide,
  brokenPlan,
  dragHandle,
  drawInView,
  EMPTY_PLAN,
  keepWhatIf,
  moveLine,
  moveLinePoint,
  MEASURE_KEYS,
  moveThing,
  PLAN_TYPES,
  proposePlan,
  THING_KINDS,
  thingHandles,
  usualProportions,
  usualThing,
  withMeasured,
  withThing,
  type Plan,
} from '@grain-fold/core/plan';
import { airframeOf } from '../../../core/test/samples.ts';
import { readProjectFile, writeProjectFile } from '../index.ts';

/** The plan as it comes back from a file; why it was refused otherwise. */
function kept(plan: Plan): Plan | string {
  const result = readProjectFile(writeProjectFile(airframeOf([], { plan })));
  return result.ok ? result.airframe.plan! : result.message;
}
const context = { unit: 'mm' as const, boardMm: 5, gramsPerSquareMetre: 480, longestBoardMm: 700 };

test('plans of every type, with every kind of thing, are kept to the last digit', () => {
  for (const type of PLAN_TYPES) {
    const plan = proposePlan(type, { kind: 'span', mm: 913.37 }, usualProportions(type), {}, context);
    const full = keepWhatIf(
      { ...plan, carMm: 812.8, school: { kind: 'neutral point less margin', least: 0.05, most: 0.1 } },
      'before',
    ).plan;
    expect(kept(full)).toEqual(full);
  }
  const all = { ...EMPTY_PLAN, things: THING_KINDS.map((kind, index) => usualThing(kind, `t${index}`, 4.8)) };
  expect(kept(all)).toEqual(all);
  const lengths = Object.fromEntries(MEASURE_KEYS.map((key, index) => [key, 100.125 + index]));
  const measured = withMeasured(EMPTY_PLAN, { lengths, massG: 412.5 }, 5, 'x').plan;
  expect(kept(measured)).toEqual(measured);
});

test('calibrations, crops, guides and drawn lines are kept', () => {
  const drawn = drawInView(EMPTY_PLAN, 'front', {
    points: [
      { x: 0.1, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 7.25 },
    ],
    segments: [
      { kind: 'arc', bulge: 0.3 },
      { kind: 'cubic', control1: { x: 11, y: 1 }, control2: { x: 12, y: 6 } },
      { kind: 'line' },
    ],
    closed: true,
  }).plan;
  const corners = [0, 1, 2, 3].map((index) => ({ x: 100 * index + 0.5, y: index * index }));
  const plan: Plan = {
    ...drawn,
    guides: [
      { id: 'g1', name: 'A', axis: 'x', from: { kind: 'datum' }, byMm: 12.7 },
      { id: 'g2', name: 'B', axis: 'z', from: { kind: 'guide', guideId: 'g1' }, byMm: -3 },
      { id: 'g3', name: 'C', axis: 'y', from: { kind: 'thing', thingId: 't1', edge: 'outer' }, byMm: 0 },
    ],
    sheets: [
      {
        id: 's1',
        name: 'photo',
        hash: 'f'.repeat(64),
        kind: 'jpeg',
        widthPx: 8000,
        heightPx: 5000,
        lengths: [],
        calibration: { kind: 'four corners', corners, widthMm: 420, heightMm: 297 },
      },
      {
        id: 's2',
        name: 'page',
        hash: '0'.repeat(64),
        kind: 'pdf',
        page: 3,
        widthPx: 6000,
        heightPx: 4000,
        lengths: [],
        calibration: { kind: 'none', mmPerPx: 0.05 },
      },
    ],
    underlays: [
      {
        id: 'u1',
        sheetId: 's1',
        view: 'top',
        crop: { minX: 1, minY: 2, maxX: 3000, maxY: 2000 },
        turnDegrees: -1.5,
        isMirrored: true,
        originPx: { x: -5, y: 7 },
        originAt: { x: 1, y: 2 },
        opacity: 0.5,
        isHidden: true,
        isLocked: false,
      },
    ],
  };
  expect(kept(plan)).toEqual(plan);
});

test('wherever a thing is dragged, the file keeps it or the plan refuses it first', () => {
  const drawn = drawInView(EMPTY_PLAN, 'side', {
    points: [
      { x: 0, y: 0 },
      { x: 90, y: 10 },
    ],
    segments: [{ kind: 'cubic', control1: { x: 20, y: 5 }, control2: { x: 60, y: 20 } }],
    closed: false,
  }).plan;
  const far = fc.double({ min: -40_000, max: 40_000, noNaN: true });
  fc.assert(
    fc.property(
      fc.constantFrom(...THING_KINDS),
      fc.constantFrom('side', 'top', 'front'),
      far,
      far,
      far,
      (kind, view, x, y, z) => {
        const thing = usualThing(kind, 't1', 5);
        const handles = thingHandles(thing, view as 'side');
        const plan = { ...EMPTY_PLAN, things: [thing], lastId: 1 };
        const edits = [
          moveThing(plan, 't1', { x, y, z }).plan,
          ...handles.map((handle) => withThing(plan, dragHandle(thing, handle, { x, y }))),
          addGuide(plan, { axis: 'x', from: { kind: 'datum' }, byMm: x }).plan,
          moveLine(drawn, drawn.lines[0]!.id, { x, y }).plan,
          moveLinePoint(drawn, drawn.lines[0]!.id, drawn.lines[0]!.nodes[1]!.id, { x, y }).plan,
        ];
        // A zero is one, whatever its sign.
        const asWritten = (edited: Plan): unknown => JSON.parse(JSON.stringify(edited));
        for (const edited of edits) if (!brokenPlan(edited)) expect(kept(edited)).toEqual(asWritten(edited));
      },
    ),
    { numRuns: 50 },
  );
});
