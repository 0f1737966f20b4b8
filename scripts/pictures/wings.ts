/** Wings: sections, builds, kinds. */
import fs from 'node:fs';
import path from 'node:path';
import { withForm } from '@grain-fold/core/airframe';
import {
  formsFromNumbers,
  innerHeights,
  makeForm,
  sheetRings,
  usualNumbers,
  wingFromNumbers,
  type WingForm,
  type WingParameters,
} from '@grain-fold/core/forms';
import { FOLDER, airframe, write, writeRings, ringsOf, CONTEXT } from './draw.ts';

const wingOf = (more: Partial<WingParameters>): WingForm => ({
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters: {
    ...wingFromNumbers({
      spanMm: 900,
      rootChordMm: 180,
      tipChordMm: 180,
      dihedralDegrees: 5,
      sparHeightMm: 12,
      material: 'board',
    }),
    ...more,
  },
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const madeWing = (more: Partial<WingParameters>) => makeForm(wingOf(more), CONTEXT);

/** The section of a wing as it is made: outer line with its folds, faces, spar. */
function writeSection(name: string, title: string, more: Partial<WingParameters>): void {
  const form = wingOf(more),
    board = { thicknessMm: 5, gramsPerSquareMetre: 480 };
  const [site] = makeForm(form, { unit: 'mm', boardOf: () => board, wingOf: () => undefined }).sites;
  if (!site) throw new Error(`${name} makes no wing`);
  const { section, sparFrontMm, sparFootMm, sparHeightMm, chordMm } = site.sections.root,
    top = Math.max(...section.corners.map(({ y }) => y)) + 6;
  const line = (points: readonly { readonly x: number; readonly y: number }[]): string =>
    points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(top - y).toFixed(2)}`).join('');
  const places = Array.from({ length: 181 }, (_, index) => (chordMm * index) / 180);
  const face = (side: 'low' | 'top'): string =>
    line(
      places.flatMap((x) => {
        const heights = innerHeights(section, x, board.thicknessMm);
        return heights && heights.low < heights.top ? [{ x, y: heights[side] }] : [];
      }),
    );
  const width = section.spar?.widthMm ?? 0;
  const bent = section.plates.some(({ isBent }) => isBent);
  const folds = bent
    ? ''
    : section.corners
        .slice(1, -1)
        .map(({ x, y }) => `<circle cx="${x.toFixed(2)}" cy="${(top - y).toFixed(2)}" r="1.3" fill="#1d2a2f"/>`)
        .join('');
  fs.writeFileSync(
    path.join(FOLDER, `${name}.svg`),
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-6 -4 ${chordMm + 12} ${top + 12}" width="720" role="img" aria-label="${title}"><title>${title}</title>` +
      `<rect x="${sparFrontMm}" y="${top - sparFootMm - sparHeightMm}" width="${width}" height="${sparHeightMm}" fill="#e8dec4" stroke="#8b7a4c" stroke-width="0.5"/>` +
      `<path d="${face('low')}" fill="none" stroke="#8b9499" stroke-width="0.5"/><path d="${face('top')}" fill="none" stroke="#8b9499" stroke-width="0.5"/>` +
      `<path d="${line(section.corners)}" fill="none" stroke="#1d2a2f" stroke-width="1.1" stroke-linejoin="round"/>${folds}</svg>\n`,
  );
  console.log(name);
}

writeRings(
  'wing-stepped',
  'A plate with two layers on top',
  sheetRings(
    madeWing({
      build: 'stepped',
      layers: [
        { side: 'top', fromPercent: 0, toPercent: 50 },
        { side: 'top', fromPercent: 8, toPercent: 34 },
      ],
    }).sites[0]!,
    'root',
  ),
);
writeRings(
  'wing-cambered',
  'A plate rolled to a camber of 7 per cent',
  sheetRings(madeWing({ build: 'cambered', camber: { heightPercent: 7, atPercent: 40 } }).sites[0]!, 'root'),
);
const ribbed = madeWing({
  section: { kind: 'naca', digits: '2418', creases: 9 },
  tail: 'sanded',
  rootChordMm: 220,
  ribs: { spacingMm: 150, material: 'board', endMaterial: 'board', hasWindows: true, tubes: [] },
});
writeRings(
  'wing-ribs',
  'A rib in two pieces round the spar, with its windows, in a creased skin',
  ribbed.parts.filter(({ id }) => id.includes('rib-1-2')).flatMap(ringsOf),
  [
    ribbed.sites[0]!.skin.ends.map(({ root, tip }) => ({
      x: root.y + (tip.y - root.y) / 3,
      y: root.z + (tip.z - root.z) / 3,
    })),
  ],
);
const cored = madeWing({ build: 'cored', section: { kind: 'naca', digits: '2412', creases: 7 }, rootChordMm: 220 });
const template = cored.parts.find(({ id }) => id.endsWith('root-upper'))!;
writeRings(
  'wing-template',
  'The upper template of a foam core, its ledges, and the numbers along its run',
  ringsOf(template),
  template.lines.map(({ nodes }) => nodes),
);
writeSection('wing-trench-lap', 'A doubled trench at the nose, a bevelled lap at the tail', {});
writeSection('wing-square', 'A doubled trench at the nose, a square lap at the tail', { tail: 'square' });
writeSection('wing-bevels-sanded', 'Two bevels at the nose, both skins sanded to a line at the tail', {
  nose: 'bevels',
  tail: 'sanded',
  sparPercent: 16,
  sparHeightMm: 16,
});
writeSection('wing-nose-bent', 'A skin bent round its nose', { nose: 'bent', noseRadiusMm: 8 });
writeSection('wing-strip', 'A strip at the tail', { tail: 'strip' });
writeSection('wing-bent', 'A skin bent over its spar', { skin: 'bent' });
writeSection('wing-creased', 'Seven creases on a section of five digits', {
  section: { kind: 'naca', digits: '23015', creases: 7 },
  tail: 'sanded',
  rootChordMm: 240,
});
const gull = wingOf({
  middle: 'panel',
  panels: [
    { id: 'p1', spanMm: 130, tipChordMm: 180, sweepDegrees: 0, dihedralDegrees: 0, washoutDegrees: 0 },
    { id: 'p2', spanMm: 150, tipChordMm: 180, sweepDegrees: 0, dihedralDegrees: -20, washoutDegrees: 0 },
    { id: 'p3', spanMm: 300, tipChordMm: 140, sweepDegrees: 0, dihedralDegrees: 30, washoutDegrees: 0 },
  ],
});
const [flying] = formsFromNumbers(
  'flying wing',
  'stepped',
  { ...usualNumbers('flying wing', 'mm'), material: 'board' },
  (name) => ({ id: 'w1', name }),
);
write('wing-flying', withForm(airframe(), flying!), 'w1-skin-1', 'airframe');
const biplane = formsFromNumbers(
  'biplane',
  'folded',
  { ...usualNumbers('biplane', 'mm'), material: 'board' },
  (name) => ({ id: name === 'Upper wing' ? 'w1' : 'w2', name }),
);
write(
  'wing-biplane',
  biplane.reduce((held, form) => withForm(held, form), airframe()),
  'w1-skin-1',
  'airframe',
);
writeSection('wing-covered', 'Two sheets, the upper one bent over the spar', { nose: 'parted', skin: 'bent' });
const braced = madeWing({ braces: { material: 'board', reachMm: 60 } });
const brace = braced.parts.find(({ source }) => source!.role === 'brace-0')!;
writeRings('wing-brace', 'A brace through the joint in the middle', ringsOf(brace), []);
write('wing-gull', withForm(airframe(), gull), 'w1-skin-1', 'airframe');
