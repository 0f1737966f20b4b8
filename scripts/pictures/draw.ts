import fs from 'node:fs';
import path from 'node:path';
import { foldView, type Airframe, DEFAULT_SETTINGS, standardBoard } from '@grain-fold/core/airframe';
import { foldedFaces, foldedSvg } from '@grain-fold/core/folds';
import { type Part } from '@grain-fold/core/part';

export const FOLDER = path.join(import.meta.dirname, '../../docs/pictures');
const VIEWPOINT = { turnDegrees: 35, heightDegrees: 28 };

/** An airframe of these parts, in boards of 5 and 3 mm. */
export const airframe = (...parts: readonly Part[]): Airframe => ({
  id: 'a',
  name: 'Example',
  settings: DEFAULT_SETTINGS,
  parts,
  boards: [
    { ...standardBoard('b1', 'board'), thicknessMm: 5 },
    { ...standardBoard('b2', 'thin'), thicknessMm: 3 },
  ],
});

/** Draws a part, or all that stands with it, folded. */
export function write(name: string, of: Airframe, partId: string, extent: 'part' | 'airframe'): void {
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

export type P = { readonly x: number; readonly y: number };
/** The board that they are made of. */
export const BOARD = { thicknessMm: 5, gramsPerSquareMetre: 480 };

/** Rings of board, and lines, seen from the side: closed ones filled. */
export function writeRings(
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
export const ringsOf = (part: Part): readonly (readonly P[])[] => part.contours.map(({ nodes }) => nodes);

export const AT_DATUM = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 } as const;
/** A form by itself. */
export const CONTEXT = { unit: 'mm', boardOf: () => BOARD, wingOf: () => undefined } as const;

fs.mkdirSync(FOLDER, { recursive: true });
