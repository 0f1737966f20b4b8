import { DEFAULT_SETTINGS, type Airframe } from '../src/airframe/index.ts';
import { applyCommand, type PartCommand } from '../src/editing/index.ts';
import type { OperationDraft } from '../src/operations/index.ts';
import { emptyPart, outlineOf, type Part } from '../src/part/index.ts';
import { circleDraft, polygonDraft, polylineDraft, rectangleDraft, type PathDraft } from '../src/paths/index.ts';
import { resolve, type ResolvedPart } from '../src/resolve/index.ts';
import type { Board } from '../src/stock/index.ts';
import { worded } from '../src/units/index.ts';

/** A board 700 × 500 of foam 5 mm thick, 480 g/m². */
export const foam: Board = {
  id: 'b1',
  name: 'Foam',
  material: 'foam',
  thicknessMm: 5,
  widthMm: 700,
  heightMm: 500,
  count: 5,
  price: 4,
  grain: 'width',
  gramsPerSquareMetre: 480,
};
export const context = { thicknessMm: 5, gramsPerSquareMetre: 480, plateThicknesses: {} } as const;
export const groove = (foldDegrees = 90, mouthMm: number | 'auto' = 'auto'): OperationDraft => ({
  kind: 'groove',
  face: 'face',
  foldDegrees,
  mouthMm,
  label: '',
});

/** Runs commands one after another; each must be done. */
export const after = (part: Part, ...commands: readonly PartCommand[]): Part =>
  commands.reduce((now, command) => {
    const result = applyCommand(now, command);
    if (!result.ok) throw new Error(worded(result.message, 'mm'));
    return result.part;
  }, part);

export const outlined = (draft: PathDraft, id = 'p1'): Part =>
  after(emptyPart(id, `Part ${id}`, 'foam'), { name: 'drawOutline', args: { draft } });
export const plate = (width: number, height: number, id = 'p1'): Part =>
  outlined(rectangleDraft({ x: 0, y: 0 }, width, height), id);
export const polygonPart = (points: readonly (readonly [number, number])[], id = 'p1'): Part =>
  outlined(polygonDraft(points.map(([x, y]) => ({ x, y }))), id);
export const withLine = (
  part: Part,
  from: readonly [number, number],
  to: readonly [number, number],
  operation: OperationDraft,
): Part =>
  after(part, {
    name: 'drawLine',
    args: {
      draft: polylineDraft([
        { x: from[0], y: from[1] },
        { x: to[0], y: to[1] },
      ]),
      operation,
    },
  });
export const withRound = (
  part: Part,
  x: number,
  y: number,
  radius: number,
  sizing: 'scaled' | 'fixed' = 'scaled',
): Part => after(part, { name: 'drawHole', args: { draft: circleDraft({ x, y }, radius), sizing } });
export const withBevel = (part: Part, edge: number, bevelDegrees: number): Part => {
  const outline = outlineOf(part)!;
  return after(part, {
    name: 'addOperation',
    args: {
      on: { pathId: outline.id, segmentIds: [outline.segments[edge]!.id] },
      operation: { kind: 'bevel', face: 'face', bevelDegrees, label: '' },
    },
  });
};

/** A folded box side: 200 × 100 plate, two mitre grooves at 30 and 70 mm, a 30° bevel on its lower edge, a round hole of 10 mm. */
export const boxSide = (id = 'p1'): Part =>
  withRound(
    withBevel(
      withLine(withLine(plate(200, 100, id), [0, 30], [200, 30], groove()), [0, 70], [200, 70], groove()),
      0,
      30,
    ),
    100,
    50,
    5,
    'fixed',
  );
export const made = (part: Part): ResolvedPart => resolve(part, context);
export const airframeOf = (parts: readonly Part[], changes: Partial<Airframe> = {}): Airframe => ({
  id: 'a',
  name: 'Test airframe',
  settings: DEFAULT_SETTINGS,
  parts,
  boards: [foam],
  ...changes,
});
