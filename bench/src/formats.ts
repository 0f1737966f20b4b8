/** Times drawings that come in and go out: one JSON line a case, the median of several runs in milliseconds. */
import fs from 'node:fs';
import path from 'node:path';
import type { Airframe } from '@grain-fold/core/airframe';
import { partsDrawing, readDrawing, writeDxf, writeSvg } from '@grain-fold/core/formats';
import { joinPages, proposeWorks, takeIn, USUAL_INTAKE } from '@grain-fold/core/intake';
import { seededRandom } from '@grain-fold/core/units';
import { fileBytes, readPdf } from '../../core/test/read-file.ts';

const RUNS = 5;

async function median(work: () => unknown): Promise<number> {
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return Math.round(times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!);
}
const tell = async (name: string, more: object, work: () => unknown): Promise<void> =>
  console.log(JSON.stringify({ case: name, ...more, runs: RUNS, ms: await median(work) }));

/** A hundred rounded plates of short runs, each run drawn twice, shuffled, some the other way. */
function runs(): readonly (readonly [number, number, number, number])[] {
  const random = seededRandom(1);
  const all = Array.from({ length: 100 }, (_, plate) => {
    const [x, y] = [(plate % 10) * 120, Math.floor(plate / 10) * 120];
    const corners = [
      [90, 10, -90],
      [90, 60, 0],
      [10, 60, 90],
      [10, 10, 180],
    ] as const;
    const points = corners.flatMap(([cx, cy, start]) =>
      Array.from({ length: 25 }, (__, step) => {
        const angle = ((start + (90 * step) / 24) * Math.PI) / 180;
        return [x + cx + 10 * Math.cos(angle), y + cy + 10 * Math.sin(angle)] as const;
      }),
    );
    return points.map((p, index) => [...p, ...points[(index + 1) % points.length]!] as const);
  }).flat();
  return [...all, ...all]
    .map((run) => ({ run, place: random() }))
    .sort((a, b) => a.place - b.place)
    .map(({ run: [a, b, c, d], place }) => (place < 0.5 ? [a, b, c, d] : [c, d, a, b]));
}

const all = runs();
const dxf = [
  '0\nSECTION\n2\nENTITIES',
  ...all.map(([a, b, c, d]) => `0\nLINE\n8\n0\n10\n${a}\n20\n${b}\n11\n${c}\n21\n${d}`),
  '0\nENDSEC\n0\nEOF',
].join('\n');
const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200mm" height="1200mm" viewBox="0 0 1200 1200">${all.map(([a, b, c, d]) => `<path d="M${a} ${b}L${c} ${d}" stroke="#000"/>`).join('')}</svg>`;
for (const [kind, text] of [
  ['dxf', dxf],
  ['svg', svg],
] as const)
  await tell(`${kind} read and made parts`, { segments: all.length, bytes: text.length }, () => {
    const read = readDrawing(kind, text);
    if (!read.ok) throw new Error(read.message);
    const { parts } = takeIn(read.drawing, {
      ...USUAL_INTAKE,
      mmPerUnit: read.drawing.unit.mmPerUnit,
      works: proposeWorks(read.drawing),
    });
    if (parts.length !== 100) throw new Error(`${parts.length} parts came in, not 100.`);
  });

await tell('tiled PDF read and joined', { pages: 12 }, async () =>
  joinPages(await readPdf(fileBytes('dunlin-tiled.pdf'))),
);

const saltbox = JSON.parse(
  fs.readFileSync(path.resolve(import.meta.dirname, '../../demo/saltbox-36.grainfold.json'), 'utf8'),
) as Airframe;
const many: Airframe = {
  ...saltbox,
  parts: Array.from({ length: 150 }, (_, index) => ({
    ...saltbox.parts[index % saltbox.parts.length]!,
    id: `p${index}`,
  })),
};
await tell('parts written as SVG', { parts: 150 }, () => writeSvg(partsDrawing(structuredClone(many), undefined)));
await tell('parts written as DXF', { parts: 150 }, () => writeDxf(partsDrawing(structuredClone(many), undefined)));
