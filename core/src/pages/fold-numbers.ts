import { applyTransform, distance, interpolate, type Point, type Transform } from '../geometry/index.ts';
import { textInk, type Ink } from '../ink/index.ts';
import type { Template } from './template.ts';

/** Size of the ring round a fold's number, and how far from the fold's end it stands, in mm. */
export const RING_MM = 2.6;
const NUMBER_FROM_END_MM = 9;

/** Where the number of each fold stands on the template, when there is more than one fold. */
export function foldNumberPlaces({
  part,
  folds = [],
}: Template): readonly { readonly at: Point; readonly number: number }[] {
  if (folds.length < 2) return [];
  return folds.flatMap((operationId, index) =>
    part.strokes
      .filter((stroke) => stroke.operationId === operationId)
      .flatMap(({ paths }) => {
        const path = paths[0];
        if (!path) return [];
        const from = path[0]!.from,
          to = path.at(-1)!.to;
        const share = Math.min(0.25, NUMBER_FROM_END_MM / Math.max(1, distance(from, to)));
        return [{ at: interpolate(from, to, share), number: index + 1 }];
      }),
  );
}

/** The order to fold in: a ringed number on each fold. */
export const foldNumbers = (template: Template, t: Transform): readonly Ink[] =>
  foldNumberPlaces(template).flatMap(({ at: place, number }) => {
    const at = applyTransform(t, place);
    return [
      ringInk(at, RING_MM),
      textInk({ x: at.x, y: at.y - 1.1 }, String(number), 3.2, { weight: 'bold', align: 'centre' }),
    ];
  });

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
