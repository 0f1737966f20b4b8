import svgpath from 'svgpath';
import {
  distance,
  ellipseRun,
  IDENTITY,
  interpolate,
  type Curve,
  type Path,
  type Point,
  type Transform,
} from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { runsThrough } from '../drawing.ts';
import type { SvgElement } from './elements.ts';
import { readLength, readNumbers } from './lengths.ts';

/** A run of an element's own coordinates. */
export interface SvgRun {
  readonly path: Path;
  readonly isClosed: boolean;
}

/** What an element draws, in its own coordinates; undefined for what draws no line. `fault` tells what of a path could not be read. */
export function shapeOf(
  element: SvgElement,
): { readonly runs: readonly SvgRun[]; readonly fault?: string } | undefined {
  const number = (name: string): number => readLength(element.attributes[name])?.pixels ?? 0;
  switch (element.name) {
    case 'path':
      return pathRuns(element.attributes.d ?? '');
    case 'line':
      return whole(
        runsThrough(
          [
            { x: number('x1'), y: number('y1') },
            { x: number('x2'), y: number('y2') },
          ],
          false,
        ),
        false,
      );
    case 'polyline':
      return whole(runsThrough(pointsOf(element), false), false);
    case 'polygon':
      return whole(runsThrough(pointsOf(element), true), true);
    case 'circle': {
      const radius = number('r');
      return whole(radius > 0 ? ring(number('cx'), number('cy'), radius, radius) : [], true);
    }
    case 'ellipse': {
      const [rx, ry] = [number('rx'), number('ry')];
      return whole(rx > 0 && ry > 0 ? ring(number('cx'), number('cy'), rx, ry) : [], true);
    }
    case 'rect':
      return whole(rectangle(element, number), true);
    default:
      return undefined;
  }
}

const whole = (path: Path, isClosed: boolean): { readonly runs: readonly SvgRun[] } => ({
  runs: path.length > 0 ? [{ path, isClosed }] : [],
});

function pointsOf({ attributes }: SvgElement): readonly Point[] {
  const numbers = readNumbers(attributes.points);
  return Array.from({ length: Math.floor(numbers.length / 2) }, (_, index) => ({
    x: numbers[2 * index]!,
    y: numbers[2 * index + 1]!,
  }));
}

const stretched = (cx: number, cy: number, rx: number, ry: number): Transform => ({
  ...IDENTITY,
  a: rx,
  d: ry,
  e: cx,
  f: cy,
});
const ring = (cx: number, cy: number, rx: number, ry: number): Path =>
  ellipseRun(stretched(cx, cy, rx, ry), 0, 2 * Math.PI);

/** A rectangle, its corners rounded where it says so. */
function rectangle({ attributes }: SvgElement, number: (name: string) => number): Path {
  const [x, y, width, height] = [number('x'), number('y'), number('width'), number('height')];
  if (!(width > 0) || !(height > 0)) return [];
  const wanted = (own: string, other: string): number =>
    Object.hasOwn(attributes, own) && attributes[own] !== 'auto' ? number(own) : number(other);
  const rx = Math.min(Math.max(0, wanted('rx', 'ry')), width / 2),
    ry = Math.min(Math.max(0, wanted('ry', 'rx')), height / 2);
  const [right, bottom] = [x + width, y + height];
  if (rx === 0 || ry === 0)
    return runsThrough(
      [
        { x, y },
        { x: right, y },
        { x: right, y: bottom },
        { x, y: bottom },
      ],
      true,
    );
  const quarter = Math.PI / 2;
  const corner = (cx: number, cy: number, start: number): Path => ellipseRun(stretched(cx, cy, rx, ry), start, quarter);
  const corners = [
    corner(right - rx, y + ry, -quarter),
    corner(right - rx, bottom - ry, 0),
    corner(x + rx, bottom - ry, quarter),
    corner(x + rx, y + ry, 2 * quarter),
  ];
  return corners.flatMap((arc, index) => {
    const from = arc.at(-1)!.to,
      to = corners[(index + 1) % 4]![0]!.from;
    return distance(from, to) < 1e-9 ? arc : [...arc, { kind: 'line' as const, from, to }];
  });
}

/** Data longer than this is read to here: it draws more than a drawing may hold. */
const LONGEST_DATA = 2_400_000;

/** The runs of a path's data: every `M` begins one, `Z` closes it. */
function pathRuns(data: string): { readonly runs: readonly SvgRun[]; readonly fault?: string } {
  const isCut = data.length > LONGEST_DATA,
    read = svgpath(isCut ? data.slice(0, LONGEST_DATA) : data)
      .abs()
      .unshort();
  const runs: SvgRun[] = [];
  let curves: Curve[] = [],
    start: Point = { x: 0, y: 0 };
  const finish = (isClosed: boolean): void => {
    if (curves.length > 0) runs.push({ path: curves, isClosed });
    curves = [];
  };
  read.iterate((segment, _index, x, y) => {
    const from = { x, y };
    const [command, ...numbers] = segment as unknown as [string, ...number[]];
    if (command === 'M') {
      finish(false);
      start = { x: numbers[0]!, y: numbers[1]! };
      return;
    }
    if (command === 'Z' || command === 'z') {
      if (distance(from, start) > 1e-9) curves.push({ kind: 'line', from, to: start });
      finish(true);
      return;
    }
    curves.push(...curvesFrom(from, command, numbers));
  });
  finish(false);
  const fault = (read as unknown as { readonly err?: string }).err;
  return { runs, ...(isCut || fault ? { fault: fault ?? 'too long' } : {}) };
}

function curvesFrom(from: Point, command: string, numbers: readonly number[]): Path {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0] = numbers;
  switch (command) {
    case 'L':
      return lineTo(from, { x: a, y: b });
    case 'H':
      return lineTo(from, { x: a, y: from.y });
    case 'V':
      return lineTo(from, { x: from.x, y: a });
    case 'C':
      return [{ kind: 'cubic', from, control1: { x: a, y: b }, control2: { x: c, y: d }, to: { x: e, y: f } }];
    case 'Q': {
      const control = { x: a, y: b },
        to = { x: c, y: d };
      return [
        {
          kind: 'cubic',
          from,
          control1: interpolate(from, control, 2 / 3),
          control2: interpolate(to, control, 2 / 3),
          to,
        },
      ];
    }
    case 'A':
      return arcTo(
        from,
        { rx: Math.abs(a), ry: Math.abs(b), turn: radians(c), isLarge: d !== 0, isPositive: e !== 0 },
        { x: f, y: g },
      );
    default:
      return [];
  }
}

const lineTo = (from: Point, to: Point): Path =>
  from.x === to.x && from.y === to.y ? [] : [{ kind: 'line', from, to }];

/**
 * An elliptical arc between two points.
 * @source SVG 1.1, appendix F.6: conversion from endpoint to centre parameterization, with radii that are too small grown
 */
function arcTo(
  from: Point,
  arc: { rx: number; ry: number; turn: number; isLarge: boolean; isPositive: boolean },
  to: Point,
): Path {
  if (from.x === to.x && from.y === to.y) return [];
  if (arc.rx === 0 || arc.ry === 0) return lineTo(from, to);
  const cos = Math.cos(arc.turn),
    sin = Math.sin(arc.turn);
  const half = { x: (from.x - to.x) / 2, y: (from.y - to.y) / 2 };
  const p = { x: cos * half.x + sin * half.y, y: -sin * half.x + cos * half.y };
  const grown = Math.sqrt(Math.max(1, (p.x / arc.rx) ** 2 + (p.y / arc.ry) ** 2));
  const rx = arc.rx * grown,
    ry = arc.ry * grown;
  const square = (rx * p.y) ** 2 + (ry * p.x) ** 2;
  const factor = (arc.isLarge === arc.isPositive ? -1 : 1) * Math.sqrt(Math.max(0, ((rx * ry) ** 2 - square) / square));
  const c = { x: (factor * rx * p.y) / ry, y: (-factor * ry * p.x) / rx };
  const centre = {
    x: cos * c.x - sin * c.y + (from.x + to.x) / 2,
    y: sin * c.x + cos * c.y + (from.y + to.y) / 2,
  };
  const start = Math.atan2((p.y - c.y) / ry, (p.x - c.x) / rx),
    end = Math.atan2((-p.y - c.y) / ry, (-p.x - c.x) / rx);
  let sweep = end - start;
  if (arc.isPositive && sweep < 0) sweep += 2 * Math.PI;
  if (!arc.isPositive && sweep > 0) sweep -= 2 * Math.PI;
  const path = ellipseRun(
    { a: rx * cos, b: rx * sin, c: -ry * sin, d: ry * cos, e: centre.x, f: centre.y },
    start,
    sweep,
  );
  // The ends are those of the file, to the last digit.
  return path.map((curve, index) => ({
    ...curve,
    ...(index === 0 ? { from } : {}),
    ...(index === path.length - 1 ? { to } : {}),
  }));
}
