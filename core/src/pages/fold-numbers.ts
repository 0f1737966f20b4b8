import { applyTransform, distance, interpolate, type Point, type Transform } from '../geometry/index.ts';
import { textInk, type Ink } from '../ink/index.ts';
import type { Template } from './template.ts';

/** Size of the ring round a fold's number, and how far from the fold's end it stands, in mm. */
const RING_MM = 2.6,
  NUMBER_FROM_END_MM = 9;

/** The order to fold in: a ringed number on each fold, when there is more than one. */
export function foldNumbers({ part, folds = [] }: Template, t: Transform): readonly Ink[] {
  if (folds.length < 2) return [];
  return folds.flatMap((operationId, index) =>
    part.strokes
      .filter((stroke) => stroke.operationId === operationId)
      .flatMap(({ paths }) => {
        const path = paths[0];
        if (!path) return [];
        const from = applyTransform(t, path[0]!.from),
          to = applyTransform(t, path.at(-1)!.to),
          length = distance(from, to);
        const at = interpolate(from, to, Math.min(0.25, NUMBER_FROM_END_MM / Math.max(1, length)));
        return [
          ringInk(at, RING_MM),
          textInk({ x: at.x, y: at.y - 1.1 }, String(index + 1), 3.2, { weight: 'bold', align: 'centre' }),
        ];
      }),
  );
}

/** A ring of paper with a line round it. */
function ringInk(at: Point, radiusMm: number): Ink {
  const [left, right] = [
    { x: at.x - radiusMm, y: at.y },
    { x: at.x + radiusMm, y: at.y },
  ];
  return {
    kind: 'path',
    path: [
      { kind: 'arc', from: left, to: right, bulge: 1 },
      { kind: 'arc', from: right, to: left, bulge: 1 },
    ],
    closed: true,
    widthMm: 0.25,
    tone: 'ink',
    fill: 'pale',
  };
}
