import fc from 'fast-check';
import { airframeOf, closingFaults, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { outlineOf } from '../../part/index.ts';
import { withParameters, type FormContext } from '../form/index.ts';
import { makeWing } from './make-wing.ts';
import type { WingParameters } from './parameters.ts';

const PLY = 3;
const CONTEXT: FormContext = {
  unit: 'mm',
  boardOf: (material) => ({ thicknessMm: material === 'ply' ? PLY : T, gramsPerSquareMetre: 480 }),
  wingOf: () => undefined,
};
const braced = (more: Partial<WingParameters> = {}): WingParameters => ({
  ...USUAL,
  sparHeightMm: 12,
  panels: [panel('p1', { spanMm: 400, dihedralDegrees: 4 })],
  braces: { material: 'ply', reachMm: 60 },
  ...more,
});
const bracesOf = (wing: WingParameters) =>
  makeWing(formOf(wing), CONTEXT).parts.filter(({ source }) => source!.role.startsWith('brace'));

describe('braces through glued joints', () => {
  it('should bend as the joint does: corners by turns of the panel by hand', () => {
    const [brace] = bracesOf(braced());
    expect(brace).toMatchObject({ handed: 'single', material: 'ply' });
    const nodes = outlineOf(brace!)!.nodes;
    // By hand: the foot lies a board over the outside; the joint is its plane, the end the panel turned by 4°.
    const cos = Math.cos((4 * Math.PI) / 180),
      sin = Math.sin((4 * Math.PI) / 180);
    const has = (x: number, y: number): boolean => nodes.some((node) => Math.hypot(node.x - x, node.y - y) < 0.02);
    expect(has(0, (T + 0.04) / cos)).toBe(true);
    expect(has(60 * cos - (T + 0.04) * sin, 60 * sin + (T + 0.04) * cos)).toBe(true);
    expect(has(-(60 * cos - (T + 0.04) * sin), 60 * sin + (T + 0.04) * cos)).toBe(true);
  });

  it('should cross every glued joint of a gull and none that is plugged, clear of ribs every 50 mm', () => {
    const gull = braced({
      middle: 'panel',
      panels: [
        panel('p1', { spanMm: 300 }),
        panel('p2', { spanMm: 250, dihedralDegrees: -20 }),
        panel('p3', { spanMm: 250, dihedralDegrees: 30 }),
      ],
    });
    expect(bracesOf(gull).map(({ source }) => source!.role)).toEqual(['brace-1', 'brace-2']);
    const ribs = { spacingMm: 50, material: 'foam', endMaterial: 'ply', hasWindows: false };
    const tube = { panelId: 'p2', atPercent: 45, diameterMm: 4, reachMm: 40 };
    const plugged: WingParameters = { ...gull, ribs: { ...ribs, tubes: [tube] } };
    expect(bracesOf(plugged).map(({ source }) => source!.role)).toEqual(['brace-2']);
    const made = makeWing(formOf({ ...gull, ribs: { ...ribs, tubes: [] } }), CONTEXT);
    expect(closingFaults(airframeOf(made.parts))).toEqual([]);
  });

  it('should lie between the skins at any dihedral, spar and taper, or name the number that lets it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -20, max: 40 }),
        fc.integer({ min: 120, max: 180 }),
        fc.constantFrom('strips' as const, 'channel' as const, 'rod' as const),
        fc.integer({ min: 15, max: 400 }),
        (dihedralDegrees, tipChordMm, sparKind, reachMm) => {
          const wing = braced({
            sparKind,
            sparBoards: 3,
            braces: { material: 'ply', reachMm },
            panels: [panel('p1', { spanMm: 300, tipChordMm, dihedralDegrees })],
          });
          let mended = wing,
            made = makeWing(formOf(mended), CONTEXT);
          for (let step = 0; step < 4 && made.parts.length === 0; step++) {
            mended = withParameters(mended, made.faults.find(({ isBlocking }) => isBlocking)!.mend!.changes);
            made = makeWing(formOf(mended), CONTEXT);
          }
          expect(made.parts.length).toBeGreaterThan(0);
          expect(closingFaults(airframeOf(made.parts)).filter((title) => title.includes('brace'))).toEqual([]);
        },
      ),
      { numRuns: 8 },
    );
  });
});
