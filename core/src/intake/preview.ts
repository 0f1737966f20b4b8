import { flattenOpenPath, scaling, transformPath, type Path } from '../geometry/index.ts';
import type { ReadDrawing } from '../formats/index.ts';
import { classKey } from './line-class.ts';
import type { Intake, TakenPart } from './take-in.ts';

/** Lines to be shown: x and y of points in mm, one line after the other, with a pair of NaN between two. */
export type ShownLines = Float32Array;

/** Curves are shown this close to where they are, in mm. */
const SHOWN_MM = 0.08;

/** Lines of paths for a picture. */
export function shownLines(paths: readonly Path[]): ShownLines {
  const numbers: number[] = [];
  for (const path of paths) {
    for (const { x, y } of flattenOpenPath(path, SHOWN_MM)) numbers.push(x, y);
    numbers.push(Number.NaN, Number.NaN);
  }
  return Float32Array.from(numbers);
}

/** The lines of each class of a drawing, at the size that its file says. */
export function shownDrawing({ lines, unit }: ReadDrawing): Readonly<Record<string, ShownLines>> {
  const toMm = scaling(unit.mmPerUnit);
  const paths = new Map<string, Path[]>();
  for (const line of lines) {
    const key = classKey(line, unit.mmPerUnit),
      path = transformPath(toMm, line.path),
      known = paths.get(key);
    if (known) known.push(path);
    else paths.set(key, [path]);
  }
  return Object.fromEntries([...paths].map(([key, list]) => [key, shownLines(list)]));
}

/** What came in, for a picture: of each part its edges and its work by kind. */
export interface ShownIntake {
  readonly parts: readonly { readonly edges: ShownLines; readonly works: Readonly<Record<string, ShownLines>> }[];
  readonly loose: ShownLines;
}

export const shownIntake = ({ parts, loose }: Intake): ShownIntake => ({
  parts: parts.map((part) => ({
    edges: shownLines([part.outline, ...part.holes.map(({ path }) => path)]),
    works: shownWorks(part),
  })),
  loose: shownLines(loose.map(({ path }) => path)),
});

function shownWorks({ works }: TakenPart): Readonly<Record<string, ShownLines>> {
  const kinds = [...new Set(works.map(({ kind }) => kind))];
  return Object.fromEntries(
    kinds.map((kind) => [kind, shownLines(works.filter((work) => work.kind === kind).map(({ path }) => path))]),
  );
}
