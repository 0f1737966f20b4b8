import fc from 'fast-check';
import { bentLine } from './bent-line.ts';
import { creasedOutline } from './drawn.ts';
import { nacaFault, nacaOutline } from './naca.ts';
import { readSection } from './read-section.ts';
import { isRefused } from './section.ts';
import { stripSparSection, type StripSparNumbers } from './strip-spar.ts';

describe('sections of four and five digits', () => {
  const heights = (digits: string, x: number): readonly [number, number] => {
    const outline = nacaOutline(digits, 400),
      nose = outline.findIndex((p) => p.x === 0 && p.y === 0);
    const nearest = (side: typeof outline): number =>
      [...side].sort((a, b) => Math.abs(a.x - x) - Math.abs(b.x - x))[0]!.y;
    return [nearest(outline.slice(0, nose)), nearest(outline.slice(nose + 1))];
  };
  it('should be as thick as tables of the 0012 say, at 30 % of the chord', () => {
    const [low, top] = heights('0012', 0.3);
    expect(top).toBeCloseTo(0.06002, 3);
    expect(low).toBeCloseTo(-0.06002, 3);
  });
  it('should have the mean line of the 2412: 2 % high at 40 %, and of the 23012: 1.84 % at 15 %', () => {
    const camber = (digits: string, x: number): number => heights(digits, x).reduce((sum, y) => sum + y, 0) / 2;
    expect(camber('2412', 0.4)).toBeCloseTo(0.02, 3);
    expect(camber('23012', 0.15)).toBeCloseTo(0.0184, 3);
  });
  it('should name digits that are none', () => {
    for (const digits of ['', '12', '24x2', '6099', '0001', '99012', '20012']) expect(nacaFault(digits)).toBeDefined();
    for (const digits of ['0012', '2412', '23012', '4415']) expect(nacaFault(digits)).toBeUndefined();
  });
});

describe('creases on a drawn section', () => {
  it('should never lie further from it than the deviation, with no crease within the bevels of the nose', () => {
    const outline = nacaOutline('23015', 90);
    for (const creases of [3, 7, 12]) {
      const { corners, deviation, nose } = creasedOutline(outline, creases, 0.04);
      expect(corners).toHaveLength(creases + 2);
      corners.forEach((corner, index) => {
        if (index !== nose)
          expect(Math.hypot(corner.x - corners[nose]!.x, corner.y - corners[nose]!.y)).toBeGreaterThan(0.0399);
      });
      for (const p of outline) {
        const off = Math.min(
          ...corners.slice(1).map((b, index) => {
            const a = corners[index]!,
              along = { x: b.x - a.x, y: b.y - a.y },
              t = Math.max(
                0,
                Math.min(1, ((p.x - a.x) * along.x + (p.y - a.y) * along.y) / (along.x ** 2 + along.y ** 2)),
              );
            return Math.hypot(p.x - a.x - t * along.x, p.y - a.y - t * along.y);
          }),
        );
        // Points within the nose's clearance are bridged by the plates beside it.
        if (Math.hypot(p.x, p.y) > 0.04) expect(off).toBeLessThan(1.15 * deviation);
      }
    }
  });
});

describe('the section over a strip spar', () => {
  const anyNumbers = fc.record<StripSparNumbers>({
    chordMm: fc.double({ min: 120, max: 400, noNaN: true }),
    sparFrontMm: fc.double({ min: 30, max: 60, noNaN: true }),
    sparWidthMm: fc.double({ min: 5, max: 15, noNaN: true }),
    sparHeightMm: fc.double({ min: 6, max: 20, noNaN: true }),
    thicknessMm: fc.constantFrom(3, 4.8, 5, 6),
    nose: fc.constantFrom('trench', 'bevels'),
    tail: fc.constantFrom('lap', 'square', 'sanded'),
    isBent: fc.boolean(),
  });
  it('should keep its faces off the spar: inner lines of the slopes pass over its edges', () => {
    fc.assert(
      fc.property(anyNumbers, (numbers) => {
        const section = stripSparSection(numbers);
        if (isRefused(section)) return;
        const { thicknessMm: t, sparFrontMm, sparWidthMm, sparHeightMm } = numbers;
        for (const corner of [sparFrontMm, sparFrontMm + sparWidthMm]) {
          // Every plate's outer line, moved in square to itself by t, lies at or over the spar's corner where it is above it.
          section.corners.slice(1).forEach((b, index) => {
            const a = section.corners[index]!;
            if (section.plates[index]!.isSkin || b.x <= a.x || corner < a.x || corner > b.x) return;
            const slope = (b.y - a.y) / (b.x - a.x),
              inner = a.y + slope * (corner - a.x) - t * Math.hypot(1, slope);
            expect(inner).toBeGreaterThan(t + sparHeightMm - (numbers.isBent ? 0.4 : 1e-6));
          });
        }
        expect(Math.max(...section.corners.map(({ x }) => x))).toBeCloseTo(numbers.chordMm, 9);
        expect(Math.min(...section.corners.map(({ x }) => x))).toBeCloseTo(0, 9);
      }),
      { numRuns: 300 },
    );
  });
  it('should find both creases by hand for a square tail', () => {
    // Chord 180, spar 10 wide and high at 50, 5 mm board; slopes solved by hand to four figures.
    const section = stripSparSection({
      chordMm: 180,
      sparFrontMm: 50,
      sparWidthMm: 10,
      sparHeightMm: 10,
      thicknessMm: 5,
      nose: 'bevels',
      tail: 'square',
    });
    if (isRefused(section)) throw new Error(section.refused);
    const [front, rear] = [section.corners[2]!, section.corners[3]!];
    // tan θ₁ = 20 / (50 − 5·tan(θ₁/2)) gives θ₁ = 22.23°, the crease at 49.02.
    expect(front.x).toBeCloseTo(49.02, 1);
    expect(front.y).toBeCloseTo(20, 9);
    // tan θ₂ = (20 − 5 − 5·cos θ₂) / (180 − 60 − 5·tan(θ₂/2)) gives θ₂ = 4.78°, the crease at 60.21.
    expect(rear.x).toBeCloseTo(60.21, 1);
  });
});

describe('a bent skin', () => {
  it('should be the beam of the textbook over one rest: its slope there is 0 by symmetry, its ends straight', () => {
    const line = bentLine(
      [
        { x: -100, y: 0 },
        { x: 100, y: 0 },
      ],
      [{ x: 0, y: 12 }],
    );
    expect(line.slope(0)).toBeCloseTo(0, 9);
    // Simply held, pushed in its middle: y = d·(3·s − s³)/2 with s from the end.
    expect(line.height(-50)).toBeCloseTo((12 * (3 * 0.5 - 0.125)) / 2, 9);
    expect(line.curvature(-100)).toBeCloseTo(0, 9);
  });
  it('should leave a rest that would pull it down, and never sink through one', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }), (a, b) => {
        const rests = [
          { x: 40, y: a },
          { x: 60, y: b },
        ];
        const line = bentLine(
          [
            { x: 0, y: 0 },
            { x: 200, y: 0 },
          ],
          rests,
        );
        for (const rest of rests) expect(line.height(rest.x)).toBeGreaterThan(rest.y - 1e-6);
      }),
    );
  });
});

describe('files of sections', () => {
  const round = Array.from({ length: 21 }, (_, index) => {
    const x = Math.abs(index - 10) / 10;
    return [x, (index < 10 ? 1 : -1) * 0.1 * Math.sqrt(x) * (1 - x)] as const;
  });
  it('should read one run round the nose and two runs from it alike, and round-trip', () => {
    const one = readSection(['A section', ...round.map(([x, y]) => `${x} ${y}`)].join('\n'));
    const two = readSection(
      [
        'A section',
        ' 11. 11.',
        '',
        ...round
          .slice(0, 11)
          .reverse()
          .map(([x, y]) => `${x} ${y}`),
        '',
        ...round.slice(10).map(([x, y]) => `${x} ${y}`),
      ].join('\r\n'),
    );
    expect(one).toMatchObject({ ok: true, name: 'A section' });
    expect(two).toEqual(one);
    if (one.ok) expect(one.points.slice(0, 2)).toEqual([1, 0]);
  });
  it('should refuse what is none, in words', () => {
    for (const text of [
      '',
      'nothing here',
      '1 2\n3 4',
      round.map(([x]) => `0.5 ${x}`).join('\n'),
      `x\n${'9'.repeat(300_000)}`,
      round.map(([x, y]) => `${x} ${y * 90}`).join('\n'),
    ])
      expect(readSection(text)).toMatchObject({ ok: false, message: expect.stringMatching(/\w+ \w+/) });
    fc.assert(fc.property(fc.string({ maxLength: 400 }), (text) => void readSection(text)));
  });
});
