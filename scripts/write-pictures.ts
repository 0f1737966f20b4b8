/** Draws the worked examples of docs/folding.md and docs/builder/wings.md with the program's own commands, as SVG into docs/pictures. */
import fs from 'node:fs';
import path from 'node:path';
import {
  foldView,
  formContext,
  type Airframe,
  DEFAULT_SETTINGS,
  standardBoard,
  withForm,
} from '@grain-fold/core/airframe';
import { applyCommand, type PartCommand } from '@grain-fold/core/editing';
import { foldedFaces, foldedSvg } from '@grain-fold/core/folds';
import {
  cutRound,
  formsFromNumbers,
  gaugeWith,
  layeredFromNumbers,
  strutWith,
  USUAL_SEAT,
  usualLayered,
  type LaidGauge,
  innerHeights,
  makeForm,
  sheetRings,
  usualNumbers,
  wingFromNumbers,
  bodyFromNumbers,
  deckFromNumbers,
  roundFromNumbers,
  usualDeck,
  usualRound,
  powerFromNumbers,
  usualPower,
  usualTail,
  tailFromNumbers,
  shellFromNumbers,
  usualBody,
  usualShell,
  type BodyForm,
  type BodyParameters,
  type DeckForm,
  type RoundForm,
  type ShellForm,
  type PowerForm,
  type TailForm,
  type WingForm,
  type WingParameters,
} from '@grain-fold/core/forms';
import { emptyPart, outlineOf, type Part } from '@grain-fold/core/part';
import { polylineDraft, rectangleDraft } from '@grain-fold/core/paths';
import { reedling1100 } from './demo/reedling-1100.ts';
import { saltbox36 } from './demo/saltbox-36.ts';

const FOLDER = path.join(import.meta.dirname, '../docs/pictures');
const VIEWPOINT = { turnDegrees: 35, heightDegrees: 28 };

const after = (part: Part, ...commands: readonly PartCommand[]): Part =>
  commands.reduce((now, command) => {
    const result = applyCommand(now, command);
    if (!result.ok) throw new Error(result.message);
    return result.part;
  }, part);
const strip = (sides: readonly number[], folds: readonly number[], style: 'groove' | 'trench'): Part =>
  after(emptyPart('p', 'Strip', 'board'), {
    name: 'foldStrip',
    args: {
      lengthMm: 90,
      thicknessMm: 5,
      sides: sides.map((sizeMm) => ({ sizeMm, is: 'outer' })),
      folds: folds.map((foldDegrees) => ({ foldDegrees, style })),
    },
  });
const plate = (id: string, width: number, height: number, material: string): Part =>
  after(emptyPart(id, id, material), {
    name: 'drawOutline',
    args: { draft: rectangleDraft({ x: 0, y: 0 }, width, height) },
  });
const edge = (part: Part, index: number): string => outlineOf(part)!.segments[index]!.id;
const airframe = (...parts: readonly Part[]): Airframe => ({
  id: 'a',
  name: 'Example',
  settings: DEFAULT_SETTINGS,
  parts,
  boards: [
    { ...standardBoard('b1', 'board'), thicknessMm: 5 },
    { ...standardBoard('b2', 'thin'), thicknessMm: 3 },
  ],
});

/** A row of creases rolled from one. */
function rolled(): Part {
  const creased = after(plate('p', 90, 140, 'board'), {
    name: 'drawLine',
    args: {
      draft: polylineDraft([
        { x: 0, y: 50 },
        { x: 90, y: 50 },
      ]),
      operation: { kind: 'crease', face: 'face', foldDegrees: 10, label: '' },
    },
  });
  return after(creased, {
    name: 'rollCrease',
    args: { operationId: creased.operations[0]!.id, radiusMm: 30, turnDegrees: 90, creases: 6, side: 'left' },
  });
}
/** Plates of 5 and 3 mm that meet at 90°, both bevelled for it. */
function unequal(): Airframe {
  const floor = after(plate('floor', 90, 60, 'board'), {
    name: 'setPlace',
    args: { place: { at: { x: 0, y: -60, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 } },
  });
  const wall = plate('wall', 90, 40, 'thin');
  return airframe(
    after(floor, { name: 'bevelEdge', args: { segmentId: edge(floor, 2), face: 'face', bevelDegrees: 30.96 } }),
    after(
      wall,
      {
        name: 'addJoint',
        args: {
          joint: {
            ownSegmentId: edge(wall, 0),
            ownSkin: 'back',
            toPartId: 'floor',
            toSegmentId: edge(floor, 2),
            toSkin: 'back',
            turnDegrees: 90,
            alongMm: 0,
            isReversed: false,
          },
        },
      },
      { name: 'bevelEdge', args: { segmentId: edge(wall, 0), face: 'face', bevelDegrees: 59.04 } },
    ),
  );
}

function write(name: string, of: Airframe, partId: string, extent: 'part' | 'airframe'): void {
  const view = foldView(of, partId, extent, of.settings.unit)!;
  fs.writeFileSync(
    path.join(FOLDER, `${name}.svg`),
    foldedSvg(
      view.assembly.pieces.flatMap(({ body, maps }) => foldedFaces(body.solids, maps)),
      VIEWPOINT,
      view.report.join(' '),
    ),
  );
  console.log(`${name}: ${view.report.join(' ')}`);
}

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

type P = { readonly x: number; readonly y: number };
const BOARD = { thicknessMm: 5, gramsPerSquareMetre: 480 };
const madeWing = (more: Partial<WingParameters>) =>
  makeForm(wingOf(more), { unit: 'mm', boardOf: () => BOARD, wingOf: () => undefined });

/** Rings of board, and lines, seen from the side: closed ones filled. */
function writeRings(
  name: string,
  title: string,
  rings: readonly (readonly P[])[],
  lines: readonly (readonly P[])[] = [],
): void {
  const all = [...rings, ...lines].flat(),
    [left, right] = [Math.min(...all.map(({ x }) => x)), Math.max(...all.map(({ x }) => x))],
    [low, top] = [Math.min(...all.map(({ y }) => y)), Math.max(...all.map(({ y }) => y))];
  const d = (points: readonly P[], isClosed: boolean): string =>
    points.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(top - y).toFixed(2)}`).join('') +
    (isClosed ? 'Z' : '');
  fs.writeFileSync(
    path.join(FOLDER, `${name}.svg`),
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${(left - 6).toFixed(2)} -6 ${(right - left + 12).toFixed(2)} ${(top - low + 12).toFixed(2)}" width="720" role="img" aria-label="${title}"><title>${title}</title>` +
      `<path d="${rings.map((ring) => d(ring, true)).join('')}" fill="#e8dec4" fill-rule="evenodd" stroke="#1d2a2f" stroke-width="0.8" stroke-linejoin="round"/>` +
      `<path d="${lines.map((one) => d(one, false)).join('')}" fill="none" stroke="#1d2a2f" stroke-width="0.9"/></svg>\n`,
  );
  console.log(name);
}
const ringsOf = (part: Part): readonly (readonly P[])[] => part.contours.map(({ nodes }) => nodes);

fs.mkdirSync(FOLDER, { recursive: true });
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
const body = (more: Partial<BodyParameters> = {}): BodyForm => ({
  id: 'b1',
  kind: 'body',
  name: 'Body',
  parameters: { ...bodyFromNumbers({ ...usualBody('mm'), material: 'board' }, BOARD.thicknessMm), ...more },
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
write('body-box', withForm(airframe(), body({ topLine: 'curved', widthLine: 'curved' })), 'b1-wall', 'airframe');
const upFromFloor = makeForm(body({ corners: 'folded' }), {
  unit: 'mm',
  boardOf: () => BOARD,
  wingOf: () => undefined,
}).parts.find(({ source }) => source!.role === 'floor')!;
writeRings(
  'body-folded-flat',
  'Floor and walls of one sheet, with the grooves that fold the walls up',
  ringsOf(upFromFloor),
  upFromFloor.lines.filter(({ id }) => id.includes('fold')).map(({ nodes }) => nodes),
);
const shell: ShellForm = {
  id: 'h1',
  kind: 'shell',
  name: 'Shell',
  parameters: shellFromNumbers({ ...usualShell('mm'), material: 'board' }),
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
};
const shelled = withForm(airframe(), shell);
write('shell', shelled, 'h1-piece-s1-0', 'airframe');
const piece = shelled.parts.find(({ id }) => id === 'h1-piece-s1-0')!;
writeRings(
  'shell-flat',
  'Nine faces of a shell unfolded into one piece, with its folds',
  ringsOf(piece),
  piece.lines.map(({ nodes }) => nodes),
);
const AT_DATUM = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 } as const;
const pod: RoundForm = {
  id: 'o1',
  kind: 'round',
  name: 'Pod',
  parameters: roundFromNumbers({ ...usualRound('mm'), material: 'board' }, BOARD.thicknessMm),
  place: AT_DATUM,
};
const podded = withForm(airframe(), pod);
write('round', podded, 'o1-frustum-1', 'airframe');
const frustum = podded.parts.find(({ id }) => id === 'o1-frustum-1')!;
writeRings(
  'round-flat',
  'The first sheet of a pod on the flat: a sector, with the lines it rolls over',
  ringsOf(frustum),
  frustum.lines.map(({ nodes }) => nodes),
);
const deck: DeckForm = {
  id: 'd1',
  kind: 'deck',
  name: 'Deck',
  parameters: deckFromNumbers({ ...usualDeck('mm'), material: 'board' }),
  place: AT_DATUM,
};
const decked = withForm(airframe(), deck);
write('deck', decked, 'd1-sheet-1', 'airframe');
const sheet = decked.parts.find(({ id }) => id === 'd1-sheet-1')!;
writeRings(
  'deck-flat',
  'A deck on the flat, with the lines it bends over',
  ringsOf(sheet),
  sheet.lines.map(({ nodes }) => nodes),
);
const tail: TailForm = {
  id: 't1',
  kind: 'tail',
  name: 'Tail',
  parameters: tailFromNumbers({ ...usualTail('mm'), material: 'board' }),
  place: AT_DATUM,
};
const tailed = withForm(airframe(), tail);
write('tail', tailed, 't1-stabiliser', 'airframe');
writeRings(
  'tail-elevator',
  'An elevator on the flat, cut out for a rudder of 30 degrees either way',
  ringsOf(tailed.parts.find(({ id }) => id === 't1-elevator')!),
  [],
);
const power: PowerForm = {
  id: 'm1',
  kind: 'power',
  name: 'Power box',
  parameters: powerFromNumbers({ ...usualPower('mm'), material: 'board' }, 'board'),
  place: AT_DATUM,
};
const powered = withForm(airframe(), power);
write('power-box', powered, 'm1-box', 'airframe');
const boxStrip = powered.parts.find(({ id }) => id === 'm1-box')!;
writeRings(
  'power-box-flat',
  'The strip of a power box on the flat: its front is cut to the thrust',
  ringsOf(boxStrip),
  boxStrip.lines.map(({ nodes }) => nodes),
);
const gauged = withForm(airframe(), {
  id: 'w1',
  kind: 'wing',
  name: 'Wing',
  parameters: wingFromNumbers({
    spanMm: 800,
    rootChordMm: 160,
    tipChordMm: 160,
    dihedralDegrees: 4,
    sparHeightMm: 10,
    material: 'board',
  }),
  place: { ...AT_DATUM, incidenceDegrees: 2 },
});
const gauge = makeForm(
  {
    id: 'g1',
    kind: 'gauge',
    name: 'Gauges',
    parameters: {
      material: 'board',
      gauges: [
        gaugeWith({
          id: 'a',
          kind: 'profile',
          name: 'Wing incidence',
          partId: 'w1-skin-1',
          outMm: 120,
        }),
      ],
    },
    place: AT_DATUM,
  },
  formContext(gauged),
);
const [held] = gauge.site!.laid;
writeRings(
  'gauge-profile',
  'A profile with a level back laid on a wing at 2 degrees',
  [gauge.parts[0]!.contours[0]!.nodes, ...cutRound(gauge.site!, held as LaidGauge)],
  [],
);
const profiled = [
  { ...tail, place: { ...AT_DATUM, at: { x: 505, y: 0, z: 72 } } },
  {
    id: 'w1',
    kind: 'wing' as const,
    name: 'Wing',
    parameters: wingFromNumbers({
      spanMm: 800,
      rootChordMm: 160,
      tipChordMm: 160,
      dihedralDegrees: 4,
      sparHeightMm: 10,
      material: 'board',
    }),
    place: { at: { x: 180, y: 0, z: 52 }, incidenceDegrees: 2 },
  },
  {
    id: 'l1',
    kind: 'layered' as const,
    name: 'Body',
    parameters: {
      ...layeredFromNumbers({ ...usualLayered('mm'), lengthMm: 600, material: 'board' }),
      seats: ['w1', 't1'].map((formId) => ({ id: `k-${formId}`, formId, ...USUAL_SEAT })),
    },
    place: AT_DATUM,
  },
].reduce<Airframe>((held, form) => withForm(held, form), airframe());
write('profile-body', profiled, 'l1-layer-1', 'airframe');
writeRings(
  'profile-body-flat',
  'The middle layer of a profile body: cut to its wing and its tail, with a bay for the pack',
  ringsOf(profiled.parts.find(({ id }) => id === 'l1-layer-middle')!),
  [],
);
const oneWing = (id: string, z: number) => ({
  id,
  kind: 'wing' as const,
  name: id,
  parameters: wingFromNumbers({
    spanMm: 700,
    rootChordMm: 130,
    tipChordMm: 130,
    dihedralDegrees: 3,
    sparHeightMm: 8,
    material: 'board',
  }),
  place: { at: { x: z / 3, y: 0, z }, incidenceDegrees: 1 },
});
const strutted = [
  oneWing('lower', 0),
  oneWing('upper', 120),
  {
    id: 's1',
    kind: 'strut' as const,
    name: 'Struts',
    parameters: {
      material: 'board',
      struts: [
        strutWith({
          id: 'a',
          kind: 'strut',
          name: 'strut',
          lowerId: 'lower-skin-1',
          upperId: 'upper-skin-1',
          lowerOutMm: 190,
          upperOutMm: 220,
        }),
      ],
    },
    place: AT_DATUM,
  },
].reduce<Airframe>((held, form) => withForm(held, form), airframe());
write('strut', strutted, 's1-a', 'airframe');
write('channel', airframe(strip([40, 60, 40], [90, 90], 'groove')), 'p', 'part');
write('doubled', airframe(strip([50, 50], [180], 'trench')), 'p', 'part');
write('unequal', unequal(), 'floor', 'airframe');
write('rolled', airframe(rolled()), 'p', 'part');
write('nose', reedling1100(), 'nose', 'part');
write('saltbox-36', saltbox36(), 'side', 'airframe');
