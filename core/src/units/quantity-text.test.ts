import fc from 'fast-check';
import { after, airframeOf, foam, groove, plate, withLine, withRound } from '../../test/samples.ts';
import { faultsIn, foldFaults, type Airframe } from '../airframe/index.ts';
import type { Part } from '../part/index.ts';
import { parseLength } from './parse-length.ts';
import { bareLengthText, lengthText, sizeText, worded } from './quantity-text.ts';

test('a text keeps its lengths for either unit', () => {
  const text = `It stops ${lengthText(3.175)} before ${sizeText(254, 508, 0)}, at ${bareLengthText(25.4)}.`;
  expect(worded(text, 'mm')).toBe('It stops 3.2 mm before 254 × 508 mm, at 25.4.');
  expect(worded(text, 'in')).toBe('It stops 1/8 in before 10 × 20 in, at 1.');
});
test('any length is worded as it is read back, within what its decimals keep', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -5000, max: 5000, noNaN: true }),
      fc.constantFrom('mm' as const, 'in' as const),
      (mm, unit) => {
        const read = parseLength(worded(lengthText(mm, 2), unit), unit);
        expect(read.ok && Math.abs(read.mm - mm)).toBeLessThanOrEqual(unit === 'mm' ? 0.005001 : 0.06);
      },
    ),
  );
});
test('faults of an airframe in inches say no millimetres, those of one in millimetres no inches', () => {
  const parts: readonly Part[] = [
    plate(900, 600, 'large'),
    withLine(plate(200, 100, 'narrow'), [0, 50], [200, 50], groove(90, 6)),
    withLine(plate(200, 100, 'short'), [10, 50], [190, 50], groove()),
    withRound(plate(60, 60, 'web'), 5, 30, 4),
    after(plate(50, 50, 'unplated'), { name: 'changeDetails', args: { changes: { material: 'ply' } } }),
  ];
  const told = (unit: 'mm' | 'in'): string => {
    const fresh = airframeOf(parts, { boards: [foam] });
    const airframe: Airframe = { ...fresh, settings: { ...fresh.settings, unit } };
    const faults = [...parts.flatMap((part) => faultsIn(airframe, part)), ...foldFaults(airframe)];
    expect(faults.length).toBeGreaterThan(5);
    return faults
      .flatMap(({ title, detail, mend, others = [] }) => [
        title,
        detail,
        mend.label,
        ...others.map(({ label }) => label),
      ])
      .join(' ');
  };
  expect(told('in')).not.toMatch(/\bmm\b|[\uE000-\uE002]/);
  expect(told('in')).toContain(' in');
  expect(told('mm')).not.toMatch(/\d in\b|[\uE000-\uE002]/);
});
