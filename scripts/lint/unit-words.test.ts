import { Linter } from 'eslint';
import { unitWords } from './unit-words.mjs';

const told = (code: string, filename: string): number =>
  new Linter().verify(
    code,
    [
      {
        files: ['**/*.js'],
        plugins: { own: { rules: { 'unit-words': unitWords } } },
        rules: { 'own/unit-words': 'error' },
      },
    ],
    { filename },
  ).length;
const FILE = 'core/src/checks/some-checks.js';

test.each([
  ['a template', 'const a = `${gap.toFixed(1)} mm apart`;'],
  ['a template that begins with it', 'const a = `${gap} mm`;'],
  ['a text', "const a = 'up to 200 mm wide';"],
  ['an area', 'const a = `${area} m²`;'],
])('a unit in %s is refused', (_, code) => expect(told(code, FILE)).toBe(1));

test.each([
  ['the name of a unit', "const unit = 'mm';"],
  ['a name with it', 'const widthMm = 3;'],
  ['a worded length', 'const a = `${lengthText(gap)} apart`;'],
  ['a letter of a word', "const a = 'a hammer, common';"],
])('%s is not', (_, code) => expect(told(code, FILE)).toBe(0));

test('the room that words quantities may say it', () =>
  expect(told("const a = 'in 5 mm board';", 'core/src/units/any.js')).toBe(0));
