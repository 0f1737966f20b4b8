import fs from 'node:fs';
import path from 'node:path';
import { CORE_FOLDER_ORDER, whyForbidden } from './dependence-direction.mjs';

const root = path.resolve(import.meta.dirname, '../..');
const why = (file: string, wanted: string): string | undefined => whyForbidden(path.join(root, file), wanted);

test.each([
  ['core/src/part/part.ts', '../geometry/index.ts'],
  ['core/src/airframe/figures.ts', '../pages/index.ts'],
  ['core/src/geometry/region.ts', 'clipper2-ts'],
  ['server/src/app.ts', '@grain-fold/core/units'],
  ['server/src/app.ts', '@grain-fold/contract'],
  ['web/src/main.ts', 'vue'],
  ['web/src/stores/airframe.ts', '@grain-fold/core/part'],
  ['core/src/editing/path/move-nodes.ts', '../command.ts'],
])('%s may import %s', (file, wanted) => expect(why(file, wanted)).toBeUndefined());

test.each([
  ['core/src/geometry/point.ts', '../part/index.ts'],
  ['core/src/scale/scale-part.ts', '../nesting/index.ts'],
  ['core/src/pages/ink.ts', '../part/part.ts'],
  ['core/src/units/angle.ts', 'vue'],
  ['core/src/units/angle.ts', 'node:fs'],
  ['core/src/formats/write-pdf.ts', 'pdfkit'],
  ['core/src/units/angle.ts', '@grain-fold/contract'],
  ['contract/src/index.ts', '@grain-fold/server'],
  ['web/src/main.ts', '@grain-fold/server'],
  ['server/src/app.ts', '@grain-fold/web'],
  ['server/src/app.ts', '../../web/src/main.ts'],
])('%s may not import %s, and is told why', (file, wanted) => expect(why(file, wanted)).toMatch(/\w+/));

test('every folder of core stands in the order, so that none escapes the rule', () => {
  const folders = fs
    .readdirSync(path.join(root, 'core/src'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name);
  expect(folders.filter((name) => !CORE_FOLDER_ORDER.includes(name))).toEqual([]);
});
