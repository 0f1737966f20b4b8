import * as fc from 'fast-check';
import { bodyContext, notClosed, USUAL_BODY } from '../../../test/bodies.ts';
import { distance } from '../../geometry/index.ts';
import { outlineOf, type Part } from '../../part/index.ts';
import { makeForm, scaleForm } from '../kinds.ts';
import { pointLeaning } from './deck-curve.ts';
import { deckFromNumbers, deckOverBody, usualDeck } from './deck-starts.ts';
import type { MadeDeck } from './make-deck.ts';
import type { DeckForm, DeckParameters, DeckSection } from './parameters.ts';

const T = 5;
const CONTEXT = { ...bodyContext(), boardOf: () => ({ thicknessMm: T, gramsPerSquareMetre: 480 }) };
const USUAL = deckFromNumbers({ ...usualDeck('mm'), material: 'foam' });
const formOf = (parameters: DeckParameters): DeckForm => ({
  id: 'd1',
  kind: 'deck',
  name: 'Deck',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const deckOf = (parameters: Partial<DeckParameters>): MadeDeck =>
  makeForm(formOf({ ...USUAL, ...parameters }), CONTEXT);
const section = (aftMm: number, widthMm: number, riseMm: number, fullPercent = 50): DeckSection => ({
  id: `c${aftMm}`,
  aftMm,
  widthMm,
  riseMm,
  sillMm: 0,
  fullPercent,
});
/** Length of the edges of a sheet whose names begin so. */
const edgeLength = (part: Part, name: 'fore-' | 'aft-'): number => {
  const { nodes, segments } = outlineOf(part)!;
  return segments.reduce(
    (sum, { id }, index) =>
      id.startsWith(`m-${name}`) ? sum + distance(nodes[index]!, nodes[(index + 1) % nodes.length]!) : sum,
    0,
  );
};
/** Length of a section from sill to sill, by fine steps of its own formula. */
function girth({ widthMm, riseMm, fullPercent }: DeckSection): number {
  const n = 2 ** (fullPercent / 50),
    steps = 4000;
  const point = (step: number): { x: number; y: number } => {
    const angle = (step / steps) * (Math.PI / 2);
    return { x: (widthMm / 2) * Math.cos(angle) ** (2 / n), y: riseMm * Math.sin(angle) ** (2 / n) };
  };
  let sum = 0;
  for (let step = 0; step < steps; step++) sum += distance(point(step), point(step + 1));
  return 2 * sum;
}

describe('a section', () => {
  it('has the normal that was asked for, on the curve', () => {
    const oval = section(0, 80, 30, 62);
    const n = 2 ** (62 / 50);
    for (const lean of [0.1, 0.5, 1, 1.4]) {
      const { x, y } = pointLeaning(oval, lean);
      expect((x / 40) ** n + (y / 30) ** n).toBeCloseTo(1, 9);
      // By a small step on either side along the curve: the chord stands square to the normal.
      const [a, b] = [pointLeaning(oval, lean - 1e-5), pointLeaning(oval, lean + 1e-5)];
      expect(Math.atan2(-(b.y - a.y), b.x - a.x)).toBeCloseTo(lean, 4);
    }
  });
});

describe('a sheet between two sections', () => {
  it('is half a tube on the flat between two equal half circles', () => {
    const { parts, figures } = deckOf({ sections: [section(0, 100, 50), section(150, 100, 50)] });
    // π · 50, less what twenty-five chords miss of it: under a thousandth.
    expect(figures!.rows[0]!.foreMm).toBeCloseTo(157.08, 0);
    expect(Math.abs(figures!.rows[0]!.foreMm / (Math.PI * 50) - 1)).toBeLessThan(1e-3);
    expect(figures!.rows[0]!.middleMm).toBeCloseTo(150, 6);
    expect(figures!.errorShare).toBeLessThan(1e-6);
    expect(notClosed(parts)).toEqual([]);
  });

  it('keeps the lengths of both its edges within what it states, at random, and closes on its formers', () => {
    const half = fc.record({
      widthMm: fc.double({ min: 60, max: 160, noNaN: true }),
      riseMm: fc.double({ min: 28, max: 80, noNaN: true }),
      fullPercent: fc.integer({ min: 50, max: 62 }),
      sillMm: fc.double({ min: -10, max: 10, noNaN: true }),
    });
    fc.assert(
      fc.property(half, half, fc.double({ min: 120, max: 260, noNaN: true }), (fore, aft, run) => {
        const sections = [
          { ...section(0, fore.widthMm, fore.riseMm, fore.fullPercent), sillMm: fore.sillMm },
          { ...section(run, aft.widthMm, aft.riseMm, aft.fullPercent), sillMm: aft.sillMm },
        ];
        const { parts, figures, faults } = deckOf({ sections });
        fc.pre(!faults.some(({ isBlocking }) => isBlocking) && figures!.strain.share < figures!.strain.most);
        const [row] = figures!.rows;
        expect(row!.errorShare).toBeLessThan(1e-3);
        // A chord of a sheet's twenty-five lies within a thousandth of its arc, more where a section is fuller.
        expect(Math.abs(row!.foreMm / girth(sections[0]!) - 1)).toBeLessThan(0.004);
        expect(Math.abs(row!.aftMm / girth(sections[1]!) - 1)).toBeLessThan(0.004);
        expect(notClosed(parts)).toEqual([]);
      }),
      { numRuns: 6, seed: 31, endOnFailure: true },
    );
  });

  it('keeps its neutral line, not its outside, when it is bare foam', () => {
    const sections = [section(0, 100, 50), section(150, 100, 50)];
    const bare = deckOf({ sections, skins: 'none' }).figures!.rows[0]!;
    expect(Math.abs(bare.foreMm / (Math.PI * 47.5) - 1)).toBeLessThan(1e-3);
  });
});

describe('more sections', () => {
  const three = [section(0, 90, 45), section(150, 70, 32), section(300, 40, 16)];
  it('have a sheet for each bay that meet on the section between, each edge as long as the other', () => {
    const { parts, figures } = deckOf({ sections: three });
    expect(parts.filter(({ name }) => name.includes('sheet'))).toHaveLength(2);
    expect(figures!.rows[0]!.aftMm).toBeCloseTo(figures!.rows[1]!.foreMm, 1);
    expect(edgeLength(parts[0]!, 'fore-')).toBeGreaterThan(edgeLength(parts[0]!, 'aft-'));
    expect(notClosed(parts)).toEqual([]);
  });

  it('are passed over by one sheet only where it misses none by more than a hundredth', () => {
    const straight = [section(0, 90, 45), section(150, 65, 30.5), section(300, 40, 16)];
    const one = deckOf({ sections: straight, sheets: 'one' });
    expect(one.figures!.missed[0]!.share).toBeLessThan(1e-3);
    expect(one.parts.filter(({ name }) => name.includes('former'))).toHaveLength(3);
    expect(notClosed(one.parts)).toEqual([]);
    const [fault] = deckOf({ sections: [three[0]!, section(150, 80, 42), three[2]!], sheets: 'one' }).faults;
    expect(fault).toMatchObject({
      code: 'DECK_MISSES',
      isBlocking: true,
      mend: { changes: [{ path: 'sheets', value: 'each bay' }] },
    });
  });
});

describe('decks', () => {
  it('over an open body are as wide as it is and stand on its walls', () => {
    const { stations } = USUAL_BODY;
    const { sections } = deckOverBody(USUAL_BODY, 'foam');
    expect(sections.map(({ aftMm, widthMm, sillMm }) => [aftMm, widthMm, sillMm])).toEqual(
      stations.map(({ aftMm, widthMm, topMm }) => [aftMm, widthMm, topMm]),
    );
  });

  it('over a body of more stations than a deck has sections still reach from its first to its last', () => {
    const stations = Array.from({ length: 12 }, (_, index) => ({
      ...USUAL_BODY.stations[0]!,
      id: `s${index}`,
      aftMm: 50 * index,
    }));
    const { sections } = deckOverBody({ ...USUAL_BODY, stations }, 'foam');
    expect(sections.length).toBe(8);
    expect([sections[0]!.aftMm, sections.at(-1)!.aftMm]).toEqual([0, 550]);
  });

  it('scale by their parameters', () => {
    const twice = makeForm(scaleForm(formOf(USUAL), 2), CONTEXT);
    // The sheet's outside is twice as long; its formers lie a board's thickness within.
    expect(twice.figures!.rows[0]!.foreMm).toBeCloseTo(2 * deckOf({}).figures!.rows[0]!.foreMm, 6);
  });

  it.each<readonly [string, Partial<DeckParameters>]>([
    ['OUT_OF_BOUNDS', { sections: [section(0, 90, Number.NaN), section(100, 60, 30)] }],
    ['SECTION_ORDER', { sections: [section(0, 90, 45), section(3, 60, 30)] }],
    ['TOO_FEW_SECTIONS', { sections: [section(0, 90, 45)] }],
    ['DECK_FOLDED', { sections: [section(0, 60, 5), section(100, 60, 5)] }],
  ])('that cannot be are refused: %s', (code, parameters) => {
    const { faults, parts } = deckOf(parameters);
    expect(parts).toEqual([]);
    expect(faults[0]).toMatchObject({ code, isBlocking: true });
  });
});
