import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { context, groove, plate, withBevel, withLine, withRound } from '../../test/samples.ts';
import { cross3, dot3, length3, point3, unit3, type Point3 } from '../geometry/index.ts';
import type { Part } from '../part/index.ts';
import { foldedFaces, type FoldedFace } from './folded-faces.ts';
import { plateBody, type FoldedPart } from './folded-part.ts';
import { cutFaces, sectionFaces } from './section-faces.ts';

const folded = (part: Part): FoldedPart => plateBody(part, context)!;
const platesOf = ({ solids, maps }: FoldedPart) => solids.map((solid) => ({ solid, map: maps[solid.plate.index]! }));
/** A ring's area as a vector along its normal. */
const areaOf = (ring: readonly Point3[]): Point3 =>
  ring.reduce(
    (sum: Point3, p, index) => {
      const { x, y, z } = cross3(p, ring[(index + 1) % ring.length]!);
      return { x: sum.x + x / 2, y: sum.y + y / 2, z: sum.z + z / 2 };
    },
    point3(0, 0, 0),
  );
const area = (faces: readonly FoldedFace[]): number =>
  faces.reduce((sum, { rings }) => sum + length3(areaOf(rings[0]!)), 0);
const areaAlong = (faces: readonly FoldedFace[], normal: Point3): number =>
  faces.reduce((sum, { rings }) => rings.reduce((total, ring) => total + dot3(areaOf(ring), normal), sum), 0);

test('a plate of 200 × 100 with a hole of 10 mm, cut through its middle, shows 190 × 5 of foam and skins of 0.3 mm', () => {
  const faces = sectionFaces(platesOf(folded(withRound(plate(200, 100), 100, 50, 5))), {
    normal: point3(0, 1, 0),
    atMm: 50,
  });
  expect(area(faces)).toBeCloseTo(190 * 5, 2);
  expect(area(faces.filter(({ kind }) => kind === 'section skin'))).toBeCloseTo(190 * 0.6, 2);
});
test('a channel cut across its folds shows its three sides with their mitres filled', () => {
  // Flat 40 + 60 + 40 in 5 mm: outside 60 wide, 40 high; two mitred corners are shared between their sides.
  const channel = [40, 100].reduce((part, y) => withLine(part, [0, y], [100, y], groove()), plate(100, 140));
  const faces = sectionFaces(platesOf(folded(channel)), { normal: point3(1, 0, 0), atMm: 30 });
  expect(area(faces)).toBeCloseTo(60 * 5 + 2 * 35 * 5, 2);
});
test('a section closes what a cut opens: areas of what is left add to nothing along the cut, in any direction', () => {
  const body = folded(withBevel(withLine(plate(120, 80), [0, 30], [120, 30], groove(70)), 0, 30));
  const plates = platesOf(body),
    solids = foldedFaces(body.solids, body.maps);
  fc.assert(
    fc.property(
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: 0.2, max: 1, noNaN: true }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      (x, y, z, share) => {
        const normal = unit3({ x, y, z });
        const heights = solids.flatMap(({ rings }) => rings.flat().map((p) => dot3(p, normal)));
        const [low, high] = [Math.min(...heights), Math.max(...heights)];
        const atMm = low + share * (high - low);
        const plane = { normal, atMm };
        const open = sectionFaces(plates, plane);
        // Outlines are kept to 1e-5 mm, which a cut that grazes a face makes more of.
        // A closed surface's areas add to nothing along any direction: what was cut off the faces is on the section.
        expect(Math.abs(areaAlong(cutFaces(solids, plane), normal) + area(open))).toBeLessThan(0.5);
      },
    ),
    { numRuns: oracleRuns(100) },
  );
});
