import fc from 'fast-check';
import { formatLength, formatRunLength } from './format-length.ts';
import type { LengthUnit } from './length-unit.ts';
import { LONGEST_LENGTH_MM, parseLength, parseNumber } from './parse-length.ts';

const mm = (typed: string, unit: LengthUnit): number => {
  const parsed = parseLength(typed, unit);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.mm;
};

describe('typed lengths', () => {
  test.each<[string, LengthUnit, number]>([
    ['187.3', 'mm', 187.3],
    ['7 3/8', 'in', 187.325],
    ['7-3/8"', 'mm', 187.325],
    ['12.5in', 'mm', 317.5],
    ['=2*95+6', 'mm', 196],
    ['3/4"', 'mm', 19.05],
    ['1\' 6"', 'mm', 457.2],
    ['=7-3/8', 'in', 6.625 * 25.4],
    ['(40+2)/2', 'mm', 21],
    ['1,5 cm', 'in', 15],
    ['  12 ', 'mm', 12],
    ['-4', 'mm', -4],
    ['2in+3mm', 'mm', 53.8],
    ['=100/3', 'mm', 100 / 3],
    ['.5', 'in', 12.7],
    ['5/2in', 'mm', 63.5],
  ])('%s in %s is %d mm', (typed, unit, wanted) => expect(mm(typed, unit)).toBeCloseTo(wanted, 9));

  test.each([
    '',
    ' ',
    'abc',
    '12 apples',
    '1/0"',
    '=5/0',
    '2in*3in',
    '=5/(2in)',
    '(4',
    '4)',
    '1e9',
    'NaN',
    'Infinity',
    '--',
    '1..2',
    '99999',
    '='.repeat(300),
  ])('"%s" is refused with a reason', (typed) => {
    const parsed = parseLength(typed, 'mm');
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.message.length).toBeGreaterThan(10);
  });

  test('whatever is typed, the answer is a finite length within 10 m or a reason', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), fc.constantFrom<LengthUnit>('mm', 'in'), (typed, unit) => {
        const parsed = parseLength(typed, unit);
        if (parsed.ok) expect(Math.abs(parsed.mm)).toBeLessThanOrEqual(LONGEST_LENGTH_MM);
        else expect(parsed.message).not.toBe('');
      }),
    );
  });

  test('what is shown can be typed back: to the shown digits in mm, to 0.002 in in inches', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 9000, noNaN: true }), (length) => {
        expect(mm(formatLength(length, 'mm', 3), 'mm')).toBeCloseTo(length, 2);
        expect(Math.abs(mm(formatLength(length, 'in'), 'in') - length)).toBeLessThanOrEqual(0.002 * 25.4 + 1e-9);
      }),
    );
  });

  test('sums add and multiply as numbers do', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 50 }),
        fc.integer({ min: 0, max: 50 }),
        fc.integer({ min: 1, max: 50 }),
        (a, b, c) => {
          expect(mm(`=${a}*${b}+${c}`, 'mm')).toBe(a * b + c);
          expect(mm(`=(${a}+${b})/${c}`, 'in')).toBeCloseTo(((a + b) / c) * 25.4, 9);
        },
      ),
    );
  });
});

test('plain numbers take degrees, percents and fractions', () => {
  expect(parseNumber('22.5°')).toEqual({ ok: true, value: 22.5 });
  expect(parseNumber('=180/8')).toEqual({ ok: true, value: 22.5 });
  expect(parseNumber('1 1/4')).toEqual({ ok: true, value: 1.25 });
  expect(parseNumber('many').ok).toBe(false);
});

test('inches are written in the nearest 64th only when it is true', () => {
  expect(formatLength(187.325, 'in')).toBe('7 3/8');
  expect(formatLength(-12.7, 'in')).toBe('-1/2');
  expect(formatLength(100, 'in')).toBe('3 15/16');
  expect(formatLength(25.6, 'in')).toBe('1.008');
  expect(formatLength(-0.01, 'mm')).toBe('0.0');
  expect(formatRunLength(15_560, 'mm')).toBe('15.6 m');
  expect(formatRunLength(3048, 'in')).toBe('10.0 ft');
});
