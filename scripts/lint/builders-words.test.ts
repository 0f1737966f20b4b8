import fs from 'node:fs';
import path from 'node:path';
import { Linter } from 'eslint';
import vueParser from 'vue-eslint-parser';
import { buildersWords } from './builders-words.mjs';

const told = (code: string, filename: string): number =>
  new Linter().verify(
    code,
    [
      {
        files: ['**/*.js', '**/*.vue'],
        languageOptions: filename.endsWith('.vue') ? { parser: vueParser } : {},
        plugins: { own: { rules: { 'builders-words': buildersWords } } },
        rules: { 'own/builders-words': 'error' },
      },
    ],
    { filename },
  ).length;
const FILE = 'core/src/checks/some-checks.js',
  VIEW = 'web/src/stations/parts/Some.vue';

test.each([
  ['a sentence of a fault', "const a = 'This segment is too short.';", FILE],
  ['a template string', 'const a = `Move ${count} nodes`;', FILE],
  ['the text of a view', '<template><p>Orders to try</p></template>', VIEW],
  ['a label', '<template><i label="Seed" /></template>', VIEW],
  ['what a view works out', '<template><p>{{ `${n} operations left` }}</p></template>', VIEW],
])('%s with a word of the inside is refused', (_, code, file) => expect(told(code, file)).toBe(1));

test.each([
  ['a name in the code', "const kind = 'segment';", FILE],
  ['the builder’s own word', "const a = 'This edge is too short.';", FILE],
  ['a class or an event', '<template><i class="segment node" @seed="run" /></template>', VIEW],
])('%s is not', (_, code, file) => expect(told(code, file)).toBe(0));

test('the list of words has a row for each word that is refused', () => {
  const words = fs.readFileSync(path.resolve(import.meta.dirname, '../../docs/builder/words.md'), 'utf8');
  for (const word of ['node', 'vertex', 'polyline', 'segment', 'operation', 'seed', 'orders', 'revision'])
    expect(words).toContain(word);
});
