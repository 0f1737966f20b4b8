import { airframeOf, closingFaults, CONTEXT, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { boundsOf } from '../../geometry/index.ts';
import { outlineOf } from '../../part/index.ts';
import { withParameters, type FormContext } from '../form/index.ts';
import { withForm, withFormsKept } from '../../airframe/index.ts';
import { makeWing } from './make-wing.ts';
import type { WingParameters } from './parameters.ts';
import { scaleWing } from './scale-wing.ts';
import { withPanels } from './with-panels.ts';

describe('spars of other kinds', () => {
  const tapered: WingParameters = {
    ...USUAL,
    panels: [panel('p1', { spanMm: 400, tipChordMm: 130, dihedralDegrees: 4 })],
  };

  it('should cut strips of another sheet, and make the skin as much wider over them as they are thick', () => {
    const context: FormContext = {
      unit: 'mm',
      boardOf: (material) => ({ thicknessMm: material === 'ply' ? 3 : T, gramsPerSquareMetre: 480 }),
      wingOf: () => undefined,
    };
    const made = makeWing(formOf({ ...USUAL, sparMaterial: 'ply' }), context);
    const strips = made.parts.filter(({ source }) => source!.role.startsWith('spar'));
    expect(strips.map(({ material }) => material)).toEqual(['ply', 'ply']);
    // Both strips of 3 make a spar of 6, between the marks too.
    const marks = made.parts[0]!.lines.filter(({ id }) => id.startsWith('m-l-spar')).map(({ nodes }) => nodes[0]!.y);
    expect(Math.abs(marks[1]! - marks[0]!)).toBeCloseTo(6, 4);
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
  });

  it('should lay a rod as thick at the tip as at the root, told by its length and not cut', () => {
    const made = makeWing(formOf({ ...tapered, sparKind: 'rod', sparHeightMm: 8 }), CONTEXT);
    expect(made.parts.some(({ source }) => source!.role.startsWith('spar'))).toBe(false);
    const { sections } = made.sites[0]!;
    expect([sections.root.sparHeightMm, sections.tip.sparHeightMm]).toEqual([8, 8]);
    // By hand: from 28 % of 180 to 28 % of 130 over 400, less what the root's tilt takes: over the skin, and trimmed square to it.
    const most = Math.hypot(400, 0.28 * 50),
      { lengthMm } = made.figures!.rods[0]!;
    expect(lengthMm).toBeLessThan(most - T * Math.tan((4 * Math.PI) / 180));
    expect(lengthMm).toBeGreaterThan(most - 1);
    expect(made.parts[0]!.operations.filter(({ label }) => label === 'rod')).toHaveLength(1);
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
    const ribbed = makeWing(
      formOf({
        ...tapered,
        sparKind: 'rod',
        sparHeightMm: 8,
        ribs: { spacingMm: 100, material: 'foam', endMaterial: 'foam', hasWindows: false, tubes: [] },
      }),
      CONTEXT,
    );
    expect(ribbed.parts.filter(({ source }) => source!.role.startsWith('rib')).length).toBeGreaterThan(4);
    expect(closingFaults(airframeOf(ribbed.parts))).toEqual([]);
  });

  it('should run one rod through joints that are straight, right across where both halves lie level', () => {
    const level = (dihedralDegrees: number): WingParameters => ({
      ...USUAL,
      sparKind: 'rod',
      sparHeightMm: 8,
      panels: [
        panel('p1', { spanMm: 300 }),
        panel('p2', { spanMm: 200 }),
        panel('p3', { spanMm: 150, dihedralDegrees }),
      ],
    });
    const rodsOf = (wing: WingParameters) => makeWing(formOf(wing), CONTEXT).figures!.rods;
    // By hand: both halves of all three panels; with tips that go up one through the first two, and one in each tip.
    const [whole] = rodsOf(level(0));
    expect(whole).toMatchObject({ panels: [1, 2, 3], isThrough: true });
    expect(whole!.lengthMm).toBeCloseTo(1300, 0);
    const [across, tip] = rodsOf(level(10));
    expect([across!.panels, across!.isThrough, tip!.panels, tip!.isThrough]).toEqual([[1, 2], true, [3], false]);
    expect(Math.round(across!.lengthMm)).toBe(1000 - Math.round(2 * T * Math.tan((5 * Math.PI) / 180)));
  });

  it('should take what belonged to a panel out with it', () => {
    const ribs = {
      spacingMm: 100,
      material: 'foam',
      endMaterial: 'foam',
      hasWindows: false,
      tubes: ['p1', 'p2'].map((panelId) => ({ panelId, atPercent: 45, diameterMm: 4, reachMm: 40 })),
    };
    const wing: WingParameters = {
      ...USUAL,
      ribs,
      panels: [panel('p1', { spanMm: 300 }), panel('p2', { spanMm: 200 })],
      controls: [{ panelId: 'p2', kind: 'aileron', fromMm: 20, toMm: 150, chordMm: 40, throwDegrees: 20, gapMm: 1 }],
    };
    const left = withPanels(wing, wing.panels.slice(0, 1));
    expect(left.controls).toEqual([]);
    expect(left.ribs!.tubes.map(({ panelId }) => panelId)).toEqual(['p1']);
  });

  it('should keep a rod and a sleeve as thick as they are bought at another scale, and carry reach and spacing along', () => {
    const ribs = {
      spacingMm: 100,
      material: 'foam',
      endMaterial: 'foam',
      hasWindows: false,
      tubes: [{ panelId: 'p1', atPercent: 55, diameterMm: 4, reachMm: 40 }],
    };
    const scaled = scaleWing({ ...tapered, sparKind: 'rod', sparHeightMm: 8, ribs }, 1.5);
    expect(scaled.sparHeightMm).toBe(8);
    expect(scaled.ribs).toMatchObject({ spacingMm: 150, tubes: [{ diameterMm: 4, reachMm: 60 }] });
    expect(scaleWing(tapered, 1.5).sparHeightMm).toBe(15);
  });

  it('should make every rib once, also where a rod splits it, and anew when its own sheet is measured', () => {
    const ribs = { spacingMm: 90, material: 'foam', endMaterial: 'ply', hasWindows: true, tubes: [] };
    const form = formOf({ ...tapered, sparKind: 'rod', sparHeightMm: 14, ribs });
    const made = withForm(airframeOf([]), form);
    const ids = made.parts.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.some((id) => id.includes('rib'))).toBe(true);
    const boards = made.boards.map((board) => (board.material === 'ply' ? { ...board, thicknessMm: 4 } : board));
    const kept = withFormsKept(made, { ...made, boards });
    const end = (airframe: typeof made) => airframe.parts.find(({ material }) => material === 'ply');
    expect(end(kept)).not.toEqual(end(made));
  });

  it('should fold a channel of one strip: two walls and a cap as wide as they come out by hand, also where the wing gulls', () => {
    const wing: WingParameters = { ...USUAL, sparKind: 'channel', sparBoards: 4, sparHeightMm: 15 };
    const made = makeWing(formOf(wing), CONTEXT);
    const spar = made.parts.find(({ source }) => source!.role === 'spar-1-1')!;
    // By hand: 15 up less the film of glue, 4 boards of 5 over, and down again.
    const { minY, maxY } = boundsOf(outlineOf(spar)!.nodes);
    expect(maxY - minY).toBeCloseTo(2 * (15 - 0.04) + 20, 3);
    expect(spar.operations.map((one) => 'foldDegrees' in one && Math.round(one.foldDegrees))).toEqual([90, 90]);
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
    const gull = makeWing(
      formOf({
        ...wing,
        middle: 'panel',
        sparEnds: 'short',
        panels: [
          panel('p1', { spanMm: 300 }),
          panel('p2', { dihedralDegrees: -20 }),
          panel('p3', { tipChordMm: 140, sweepDegrees: 8, dihedralDegrees: 30 }),
        ],
      }),
      CONTEXT,
    );
    expect(gull.parts.filter(({ source }) => source!.role.startsWith('spar'))).toHaveLength(3);
    expect(closingFaults(airframeOf(gull.parts))).toEqual([]);
  });

  it('should name a channel too narrow or too low to be folded, with one that is not', () => {
    for (const numbers of [{ sparBoards: 2 }, { sparHeightMm: 4 }]) {
      const wing: WingParameters = { ...USUAL, sparKind: 'channel', sparBoards: 4, sparHeightMm: 15, ...numbers };
      const [fault] = makeWing(formOf(wing), CONTEXT).faults;
      expect(fault!.isBlocking).toBe(true);
      expect(makeWing(formOf(withParameters(wing, fault!.mend!.changes)), CONTEXT).parts.length).toBeGreaterThan(0);
    }
  });

  it('should name a rod that a drawn section has no room for, with one that it has', () => {
    const wing: WingParameters = {
      ...tapered,
      sparKind: 'rod',
      sparHeightMm: 14,
      tail: 'sanded',
      section: { kind: 'naca', digits: '2412', creases: 7 },
    };
    const fault = makeWing(formOf(wing), CONTEXT).faults[0]!;
    expect(fault.title).toMatch(/no room for the rod/);
    expect(makeWing(formOf(withParameters(wing, fault.mend!.changes)), CONTEXT).parts.length).toBeGreaterThan(0);
  });
});
