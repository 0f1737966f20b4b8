import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { resolveIn, type Airframe } from '../../airframe/index.ts';
import { flattenOpenPath, pathLength, pathSignedArea } from '../../geometry/index.ts';
import { intoParts, proposeWorks, takeIn, USUAL_INTAKE } from '../../intake/index.ts';
import { drawnBox, readPng } from '../../../test/read-png.ts';
import { readDrawing } from '../read-drawing.ts';
import { writeDxf } from '../dxf/write-dxf.ts';
import { writeSvg } from '../svg/write-svg.ts';
import { boardDrawing, partsDrawing } from './draw-parts.ts';
import type { WrittenDrawing } from './written-drawing.ts';

const demos = ['saltbox-36', 'reedling-1100', 'paperbark-mite'].map(
  (name) =>
    JSON.parse(
      fs.readFileSync(path.resolve(import.meta.dirname, '../../../../demo', `${name}.grainfold.json`), 'utf8'),
    ) as Airframe,
);
const readers = path.resolve(import.meta.dirname, '../../../test/readers');
const python = (script: string, words: readonly string[]): unknown =>
  JSON.parse(
    execFileSync('/usr/bin/python3', [path.join(readers, script), ...words], { maxBuffer: 1 << 28 }).toString(),
  );
let folder = '';
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-written-'));
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

interface DxfFacts {
  readonly errors: number;
  readonly fixes: number;
  readonly unit: number;
  readonly layers: Readonly<
    Record<string, { readonly count: number; readonly length: number; readonly areas: number[] }>
  >;
}
function dxfFacts(drawing: WrittenDrawing): DxfFacts {
  const file = path.join(folder, 'written.dxf');
  fs.writeFileSync(file, writeDxf(drawing));
  return python('dxf_facts.py', [file]) as DxfFacts;
}

test.each(demos.map((demo) => [demo.name, demo] as const))(
  'another reader finds no fault in the DXF of %s, and the same layers, lengths and areas',
  (_, demo) => {
    const drawing = partsDrawing(demo, undefined),
      facts = dxfFacts(drawing);
    expect([facts.errors, facts.fixes, facts.unit]).toEqual([0, 0, 4]);
    const layers = [...new Set(drawing.lines.map(({ layer }) => layer))];
    expect(Object.keys(facts.layers).sort()).toEqual([...layers].sort());
    for (const layer of layers) {
      const lines = drawing.lines.filter((line) => line.layer === layer);
      const length = lines.reduce((sum, line) => sum + pathLength(line.path), 0);
      expect(facts.layers[layer]!.count).toBe(lines.length);
      // A hundredth of a millimetre for each line.
      expect(Math.abs(facts.layers[layer]!.length - length)).toBeLessThan(0.01 * lines.length);
    }
    const areas = drawing.lines
      .filter(({ layer }) => layer === 'cut')
      .map((line) => Math.abs(pathSignedArea(line.path)));
    const read = facts.layers.cut!.areas;
    expect(read).toHaveLength(areas.length);
    areas.forEach((area, index) => expect(Math.abs(area - read[index]!)).toBeLessThan(0.01));
  },
);

test('a renderer puts the outlines of the SVG within one dot of where they are, at 600 dots an inch', () => {
  // Few parts: at so many dots an inch a whole airframe is a very large picture.
  const some = demos[2]!.parts.filter(({ name }) => ['Fin', 'Tailplane'].includes(name)).map(({ id }) => id);
  const drawing = partsDrawing(demos[2]!, some),
    file = path.join(folder, 'written.svg');
  fs.writeFileSync(file, writeSvg(drawing));
  execFileSync('rsvg-convert', ['-d', '600', '-p', '600', file, '-o', `${file}.png`]);
  const dots = 600 / 25.4,
    { minX, maxY } = drawing.bounds;
  const asked = drawing.lines
    .filter(({ layer }) => layer === 'cut')
    .flatMap((line) => flattenOpenPath(line.path, 0.01))
    .map(({ x, y }) => [(x - minX + 5) * dots, (maxY - y + 5) * dots]);
  const picture = readPng(fs.readFileSync(`${file}.png`));
  const isNear = ([x, y]: readonly number[]): boolean =>
    [-1, 0, 1].some((dx) => [-1, 0, 1].some((dy) => picture.opacity(Math.floor(x!) + dx, Math.floor(y!) + dy) > 20));
  expect(asked.length).toBeGreaterThan(20);
  expect(asked.filter((p) => !isNear(p))).toEqual([]);
  const box = drawnBox(picture);
  // Half a line of 0.2 mm lies outside the outline.
  const half = 0.1 * dots,
    width = (drawing.bounds.maxX - minX) * dots;
  expect(Math.abs(box[0] - (5 * dots - half))).toBeLessThanOrEqual(1.5);
  expect(Math.abs(box[2] - (5 * dots + width + half))).toBeLessThanOrEqual(1.5);
});

test.each(['svg', 'dxf'] as const)(
  'what goes out as %s comes in again: areas, arcs, names of work, angles and faces',
  (format) => {
    for (const demo of demos) {
      const drawing = partsDrawing(demo, undefined, { wideLines: 'centre', hasWords: false });
      const read = readDrawing(format, format === 'svg' ? writeSvg(drawing) : writeDxf(drawing));
      if (!read.ok) throw new Error(read.message);
      expect(read.drawing.unit.isCertain).toBe(true);
      const { mmPerUnit } = read.drawing.unit;
      // Parts are drawn apart: nothing needs mending but what was split by the format.
      // Rows of short lines, as along a camber gauge, are not made arcs again: what went out is what is looked for.
      const intake = takeIn(read.drawing, {
        ...USUAL_INTAKE,
        arcMm: 0.001,
        mmPerUnit,
        works: proposeWorks(read.drawing),
      });
      let count = 0;
      const { parts, refused } = intoParts(intake.parts, 'foam', () => `p${++count}`);
      expect(refused).toEqual([]);
      const before = demo.parts.map((part) => resolveIn(demo, part)).filter(({ outline }) => outline);
      const area = (list: readonly number[]): readonly number[] => [...list].sort((a, b) => a - b);
      const areas = area(before.map(({ outline, holes }) => netArea(outline!, holes))),
        again = area(intake.parts.map(({ areaMm2 }) => areaMm2));
      expect(again).toHaveLength(areas.length);
      // Runs that are nearly straight lose their corners.
      areas.forEach((mm2, index) => expect(Math.abs(mm2 - again[index]!)).toBeLessThan(0.02));
      const arcs = (paths: readonly (readonly { kind: string }[])[]): boolean =>
        paths.flat().some(({ kind }) => kind === 'arc');
      // Cubics go out to DXF as arcs.
      if (arcs(before.map(({ outline }) => outline!)))
        expect(arcs(intake.parts.map(({ outline }) => outline))).toBe(true);
      // Bevels come back on the edges that they were on.
      for (const { operations, contours } of parts)
        for (const { kind, on } of operations)
          if (kind === 'bevel') expect(contours.map(({ id }) => id)).toContain(on.pathId);
      const works = (list: readonly { kind: string; face: string }[]): readonly string[] =>
        list.map(({ kind, face }) => `${kind} ${face}`).sort();
      expect(new Set(works(parts.flatMap(({ operations }) => operations)))).toEqual(
        new Set(works(before.flatMap(({ strokes }) => strokes))),
      );
    }
  },
);
const netArea = (
  outline: Parameters<typeof pathSignedArea>[0],
  holes: readonly Parameters<typeof pathSignedArea>[0][],
): number => Math.abs(pathSignedArea(outline)) - holes.reduce((sum, hole) => sum + Math.abs(pathSignedArea(hole)), 0);

test('a board goes out with its edge and all that lies on it; one that is not there is said', () => {
  const demo = demos.find(({ nest }) => nest)!;
  const drawing = boardDrawing(demo, 1);
  expect(drawing.lines.filter(({ layer }) => layer === 'board')).toHaveLength(1);
  const pieces = demo.nest!.boards[0]!.placements.length;
  expect(drawing.lines.filter(({ layer }) => layer === 'cut').length).toBeGreaterThanOrEqual(pieces);
  expect(() => boardDrawing(demo, 99)).toThrow(/boards 1 to \d+, got 99/);
  expect(() => partsDrawing(demo, [])).toThrow('nothing to write');
});

test('grooves go out as their centre line, as their edges, or as both', () => {
  const layers = (wideLines: 'centre' | 'edges' | 'both'): readonly string[] => [
    ...new Set(partsDrawing(demos[0]!, undefined, { wideLines, hasWords: false }).lines.map(({ layer }) => layer)),
  ];
  const grooves = (words: readonly string[]): readonly string[] =>
    words.filter((word) => word.startsWith('mitre groove')).sort();
  const centre = grooves(layers('centre'));
  expect(centre.length).toBeGreaterThan(0);
  expect(grooves(layers('edges'))).toEqual(centre.map((word) => `${word} edges`));
  expect(grooves(layers('both'))).toEqual([...centre, ...centre.map((word) => `${word} edges`)].sort());
});
