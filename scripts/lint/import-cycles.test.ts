import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { importCycles, importGraph } from './import-cycles.mjs';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');
const filesIn = (folder: string): string[] =>
  fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' || entry.name === 'dist' ? [] : filesIn(file);
    return /\.(ts|mts|vue)$/.test(entry.name) ? [file] : [];
  });

test('no file imports itself by way of others, not even for a type', () => {
  const files = ['core', 'contract', 'server', 'web', 'cli', 'e2e', 'bench', 'scripts'].flatMap((name) =>
    filesIn(path.join(root, name)),
  );
  const cycles = importCycles(importGraph(files));
  expect(cycles.map((cycle) => cycle.map((file) => path.relative(root, file)).join(' → '))).toEqual([]);
});

test('a circle is found, also one of types and one through a page component', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'grain-fold-cycles-'));
  const write = (name: string, text: string): string => {
    fs.writeFileSync(path.join(folder, name), text);
    return path.join(folder, name);
  };
  const files = [
    write('a.ts', "import type { B } from './b.vue';\nexport interface A { b: B }\n"),
    write('b.vue', '<script lang="ts">\nimport { c } from \'./c.ts\';\n</script>\n'),
    write('c.ts', "export { type A } from './a.ts';\n"),
    write('d.ts', "import { c } from './c.ts';\nexport const d = c;\n"),
  ];
  const cycles = importCycles(importGraph(files));
  fs.rmSync(folder, { recursive: true });
  expect(cycles.map((cycle) => cycle.map((file) => path.basename(file)))).toEqual([['a.ts', 'b.vue', 'c.ts']]);
});
