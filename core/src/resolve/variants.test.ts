import { after, airframeOf, foam, groove, made, plate, withBevel, withLine, withRound } from '../../test/samples.ts';
import {
  cutListOf,
  faultsIn,
  partsInVariant,
  piecesOfAirframe,
  quickFigures,
  type Airframe,
} from '../airframe/index.ts';
import { applyCommand, copiedFrom, type PartCommand } from '../editing/index.ts';
import { lineMarks, lineTexts } from '../linecode/index.ts';
import { emptyPart, holesOf, outlineOf, type Part } from '../part/index.ts';
import { polygonDraft } from '../paths/index.ts';
import { resolve } from './resolve.ts';

const inVariant = (parts: readonly Part[], variant?: string): Airframe => {
  const plain = airframeOf(parts);
  return {
    ...plain,
    settings: { ...plain.settings, variants: ['glider', 'powered'], ...(variant ? { variant } : {}) },
  };
};
const only = (part: Part, targetId: string, ...variants: readonly string[]): Part =>
  after(part, { name: 'setVariants', args: { targetId, variants } });

describe('variants', () => {
  const folded = withRound(withLine(plate(200, 100), [0, 50], [200, 50], groove()), 40, 20, 5);
  const part = only(only(folded, folded.operations[0]!.id, 'powered'), holesOf(folded)[0]!.id, 'powered');
  const motor = only(plate(60, 60, 'p2'), 'p2', 'powered');
  test('pages, boards, cut list and figures follow the chosen one', () => {
    const [glider, powered, all] = ['glider', 'powered', undefined].map((variant) => inVariant([part, motor], variant));
    expect([glider, powered, all].map((airframe) => piecesOfAirframe(airframe!).length)).toEqual([1, 2, 2]);
    expect(quickFigures(glider!).foamG).toBeCloseTo(20_000e-6 * 480, 9);
    expect(quickFigures(powered!).foamG).toBeCloseTo((23_600 - Math.PI * 25) * 1e-6 * 480, 9);
    expect([glider, powered].map((airframe) => cutListOf(airframe!).totals.grooveMm)).toEqual([
      0,
      expect.closeTo(200, 6),
    ]);
    expect(partsInVariant(glider!).map(({ id }) => id)).toEqual(['p1']);
  });
  test('what exists only in some is drawn in double line with their names', () => {
    const whole = resolve(part, { thicknessMm: 5, gramsPerSquareMetre: 480, plateThicknesses: {} });
    const marks = lineMarks(whole).filter(({ operationId }) => operationId === part.operations[0]!.id);
    expect(marks.some((mark) => mark.kind === 'path' && mark.isDouble)).toBe(true);
    expect(lineTexts(whole, 'mm')[0]).toMatchObject({ text: 'fold 90° · powered' });
  });
  test('a variant without an outline is named, and mended', () => {
    const open = only(part, outlineOf(part)!.id, 'powered');
    const fault = faultsIn(inVariant([open], 'powered'), open)[0]!;
    expect(fault).toMatchObject({ code: 'VARIANT_OPEN', title: 'Part p1 has no closed outline in “glider”' });
    expect(faultsIn(inVariant([open], 'glider'), open).map(({ code }) => code)).toEqual(['VARIANT_OPEN']);
    const mended = after(open, (fault.mend as { command: PartCommand }).command);
    expect(faultsIn(inVariant([mended], 'glider'), mended)).toEqual([]);
  });
  test('nothing may exist in no variant, or be asked of what is not there', () => {
    expect(applyCommand(part, { name: 'setVariants', args: { targetId: part.id, variants: [] } }).ok).toBe(false);
    expect(applyCommand(part, { name: 'setVariants', args: { targetId: 'l99', variants: null } })).toMatchObject({
      message: expect.stringContaining('l99'),
    });
  });
});

describe('checks of a part among others', () => {
  test('a starboard half drawn besides a pair is named, moved or not; another shape is not', () => {
    const points: readonly (readonly [number, number])[] = [
      [0, 0],
      [120, 0],
      [90, 60],
      [0, 80],
    ];
    const draw = (id: string, turn: 1 | -1, shift: number): Part =>
      after(emptyPart(id, `Side ${id}`, 'foam'), {
        name: 'drawOutline',
        args: { draft: polygonDraft(points.map(([x, y]) => ({ x: turn * x + shift, y }))) },
      });
    const pair = after(draw('p1', 1, 0), { name: 'changeDetails', args: { changes: { handed: 'pair' } } });
    const airframe = airframeOf([pair, draw('p2', -1, 300), plate(120, 80, 'p3')]);
    expect(airframe.parts.map((part) => faultsIn(airframe, part).map(({ code }) => code))).toEqual([
      [],
      ['PAIR_TWICE'],
      [],
    ]);
    expect(faultsIn(airframe, airframe.parts[1]!)[0]).toMatchObject({
      title: 'Side p2 is drawn twice',
      mend: { action: { name: 'removePart', partId: 'p2' } },
    });
  });
  test('a web under one and a half boards is named with its width, and moved to that width at any scale', () => {
    const part = withRound(plate(200, 100), 100, 9, 5);
    for (const [scale, gap] of [
      [1, '4.0'],
      [1.2, '4.8'],
    ] as const) {
      const plain = airframeOf([part]),
        airframe = { ...plain, settings: { ...plain.settings, scale } };
      const fault = faultsIn(airframe, part)[0]!;
      expect(fault).toMatchObject({ code: 'WEB_NARROW', title: `Only ${gap} mm of Part p1 is left beside a hole` });
      expect(fault.detail).toContain('7.5 mm');
      const mended = after(part, (fault.mend as { command: PartCommand }).command);
      expect(faultsIn({ ...airframe, parts: [mended] }, mended)).toEqual([]);
    }
    expect(
      faultsIn(
        airframeOf([withRound(withRound(plate(200, 100), 60, 50, 10), 85, 50, 10)]),
        withRound(withRound(plate(200, 100), 60, 50, 10), 85, 50, 10),
      ).map(({ title }) => title),
    ).toEqual(['Only 5.0 mm of Part p1 is left beside a hole']);
  });
  test('a slot kept at 5.2 no longer fits a plate of 6.2, and is refitted; a grain that no board has is said', () => {
    const drawn = after(plate(200, 100), {
      name: 'drawHole',
      args: {
        draft: polygonDraft([
          { x: 50, y: 40 },
          { x: 110, y: 40 },
          { x: 110, y: 45.2 },
          { x: 50, y: 45.2 },
        ]),
      },
    });
    const part = after(drawn, {
      name: 'changeSlot',
      args: {
        pathId: holesOf(drawn)[0]!.id,
        plate: { material: 'foam', slantDegrees: 0, fitMm: 0.2, keptWidthMm: 5.2 },
      },
    });
    expect(faultsIn(airframeOf([part]), part)).toEqual([]);
    const thick = airframeOf([part], { boards: [{ ...foam, thicknessMm: 6.2 }] });
    const fault = faultsIn(thick, part)[0]!;
    expect(fault).toMatchObject({
      code: 'SLOT_UNFIT',
      detail: expect.stringContaining('kept at 5.2 mm; the plate of foam needs 6.4 mm'),
    });
    const mended = after(part, (fault.mend as { command: PartCommand }).command);
    expect(faultsIn(thick, mended)).toEqual([]);
    const grained = after(plate(200, 100), {
      name: 'changeDetails',
      args: { changes: { grain: { directionDegrees: 0, rule: 'along' } } },
    });
    expect(faultsIn(airframeOf([grained], { boards: [{ ...foam, grain: 'none' }] }), grained)[0]).toMatchObject({
      code: 'GRAIN_NOWHERE',
    });
  });
});

describe('copied, grouped, simplified', () => {
  test('lines, holes and features go to another part with their work; an outline comes as a hole', () => {
    const from = withBevel(withLine(plate(80, 40, 'p9'), [0, 20], [80, 20], groove(60)), 0, 30);
    const copied = copiedFrom(from, [outlineOf(from)!.id, from.lines[0]!.id], []);
    const to = after(plate(200, 100), { name: 'pastePaths', args: { copied, by: { x: 30, y: 30 } } });
    expect(made(to).areaMm2).toBeCloseTo(20_000 - 3200, 6);
    expect(to.operations.map(({ kind }) => kind)).toEqual(['groove', 'bevel']);
    expect(to.lines[0]!.nodes[0]).toMatchObject({ x: 30, y: 50 });
    const empty = after(emptyPart('p5', 'New', 'foam'), { name: 'pastePaths', args: { copied } });
    expect(outlineOf(empty)!.nodes).toHaveLength(4);
    expect(applyCommand(empty, { name: 'pastePaths', args: { copied: copiedFrom(from, [], []) } })).toMatchObject({
      message: 'Nothing is copied yet.',
    });
  });
  test('a group keeps its members until they go; a line is in one group', () => {
    const part = withRound(withRound(withRound(plate(200, 100), 40, 50, 5), 80, 50, 5), 120, 50, 5);
    const [a, b, c] = holesOf(part).map(({ id }) => id) as [string, string, string];
    const grouped = after(
      part,
      { name: 'groupPaths', args: { pathIds: [a, b] } },
      { name: 'groupPaths', args: { pathIds: [b, c], name: 'tail' } },
    );
    expect(grouped.pathGroups!.map(({ name, pathIds }) => [name, pathIds])).toEqual([['tail', [b, c]]]);
    expect(after(grouped, { name: 'removePath', args: { pathId: c } }).pathGroups).toEqual([]);
    expect(applyCommand(part, { name: 'groupPaths', args: { pathIds: [a] } }).ok).toBe(false);
  });
  test('an outline of 200 points becomes few runs of nearly its area; its bevel stays on its side', () => {
    const arc = Array.from({ length: 181 }, (_, index) => ({
      x: 100 * Math.cos((index * Math.PI) / 180),
      y: 100 * Math.sin((index * Math.PI) / 180),
    }));
    const drawn = after(emptyPart('p1', 'Tip', 'foam'), { name: 'drawOutline', args: { draft: polygonDraft(arc) } });
    const part = withBevel(drawn, 180, 30);
    const simple = after(part, { name: 'simplifyPath', args: { pathId: outlineOf(part)!.id, toleranceMm: 0.1 } });
    expect(outlineOf(simple)!.segments.length).toBeLessThanOrEqual(3);
    expect(Math.abs(made(simple).areaMm2 - (Math.PI * 10_000) / 2)).toBeLessThan(0.1 * 315);
    expect(made(simple).strokes[0]!.lengthMm).toBeCloseTo(200, 3);
    expect(
      applyCommand(simple, { name: 'simplifyPath', args: { pathId: outlineOf(simple)!.id, toleranceMm: 0.1 } }).ok,
    ).toBe(false);
    for (const toleranceMm of [0, Number.NaN, 1e12])
      expect(applyCommand(part, { name: 'simplifyPath', args: { pathId: outlineOf(part)!.id, toleranceMm } }).ok).toBe(
        false,
      );
  });
});
