import type { Point } from '../geometry/index.ts';
import type { OperationKind } from '../operations/index.ts';
import { boxInk, lineInk, PEN_MM, type Ink } from './ink.ts';

const ring = ({ x, y }: Point, r: number): Ink => ({
  kind: 'path',
  path: [
    { kind: 'arc', from: { x: x + r, y }, to: { x: x - r, y }, bulge: 1 },
    { kind: 'arc', from: { x: x - r, y }, to: { x: x + r, y }, bulge: 1 },
  ],
  closed: true,
  widthMm: PEN_MM.thin,
  tone: 'ink',
});

/** A 10 mm sample of a stroke for legends, its middle line starting at a point. */
export function legendSample(kind: OperationKind, at: Point): readonly Ink[] {
  const end = { x: at.x + 10, y: at.y };
  const rail = (dy: number): Ink => lineInk({ x: at.x, y: at.y + dy }, { x: end.x, y: at.y + dy }, PEN_MM.thin);
  switch (kind) {
    case 'through':
      return [lineInk(at, end, PEN_MM.heavy)];
    case 'groove':
      return [rail(1), rail(-1), lineInk(at, end, PEN_MM.middle, [3, 1.2])];
    case 'trench':
      return [
        rail(1),
        rail(-1),
        ...[1, 3, 5, 7, 9].map((dx): Ink => ({
          kind: 'disc',
          at: { x: at.x + dx, y: at.y + (dx % 4 === 1 ? 0.35 : -0.35) },
          radiusMm: 0.22,
          tone: 'ink',
        })),
      ];
    case 'crease':
      return [lineInk(at, end, 0.6, [0.01, 1.2])];
    case 'bevel':
      return [
        lineInk({ x: at.x, y: at.y + 1 }, { x: end.x, y: at.y + 1 }, PEN_MM.heavy),
        ...[0, 2, 4, 6, 8].map((dx) =>
          lineInk({ x: at.x + dx, y: at.y - 1 }, { x: at.x + dx + 1.2, y: at.y + 1 }, PEN_MM.thin),
        ),
      ];
    case 'pocket':
      return [
        boxInk({ minX: at.x + 1, maxX: at.x + 9, minY: at.y - 1, maxY: at.y + 1 }, PEN_MM.thin),
        ...[
          [1, -1],
          [9, -1],
          [9, 1],
          [1, 1],
        ].map(([dx, dy]): Ink => ({ kind: 'disc', at: { x: at.x + dx!, y: at.y + dy! }, radiusMm: 0.4, tone: 'ink' })),
      ];
    case 'slit':
      return [
        lineInk(at, end, PEN_MM.thin),
        ...[2.5, 7.5].map((dx) =>
          lineInk({ x: at.x + dx, y: at.y }, { x: at.x + dx - 1.2, y: at.y + 1.2 }, PEN_MM.thin),
        ),
      ];
    case 'hinge':
      return [
        rail(1),
        rail(-1),
        lineInk(at, end, PEN_MM.middle, [3, 1.2]),
        ...[3, 7].map((dx) => ring({ x: at.x + dx, y: at.y }, 0.7)),
      ];
    case 'engrave':
      return [lineInk(at, end, PEN_MM.thin)];
    case 'mark':
      return [lineInk(at, end, PEN_MM.thin, [1.8, 1.2])];
  }
}
