import { pathLength } from '../geometry/index.ts';
import type { ReadDrawing, ReadLine } from '../formats/index.ts';
import { OPERATION_KINDS, type BoardFace, type OperationKind } from '../operations/index.ts';

/** Lines of a drawing that are drawn alike: on one layer, in one colour and width, dashed or not. */
export interface LineClass {
  /** Tells the class from the others of the drawing. */
  readonly key: string;
  readonly layer: string;
  readonly colour: string;
  /** At the size that the file says; 0 where it says none. */
  readonly widthMm: number;
  readonly isDashed: boolean;
  readonly count: number;
  readonly lengthMm: number;
}

/** What lines of a drawing become: what bounds a part, work on it, or nothing. */
export const LINE_WORKS = ['cut', ...OPERATION_KINDS, 'leave'] as const;
export type LineWork = 'cut' | OperationKind | 'leave';

/** What the lines of a class become; a fold turns by its angle, or as its kind usually does. */
export interface ClassWork {
  readonly work: LineWork;
  readonly foldDegrees?: number;
  /** The face where it is not said. */
  readonly face?: BoardFace;
}

/** Works of classes by their key. */
export type ClassWorks = Readonly<Record<string, ClassWork>>;

const widthOf = (line: ReadLine, mmPerUnit: number): number => Math.round(line.width * mmPerUnit * 100) / 100;
/** The class of a line, as a key. */
export const classKey = (line: ReadLine, mmPerUnit: number): string =>
  JSON.stringify([line.layer, line.colour, widthOf(line, mmPerUnit), line.isDashed]);

/** The classes of a drawing, the longest first. */
export function lineClasses({ lines, unit }: ReadDrawing): readonly LineClass[] {
  const classes = new Map<string, LineClass>();
  for (const line of lines) {
    const key = classKey(line, unit.mmPerUnit),
      known = classes.get(key);
    classes.set(key, {
      key,
      layer: line.layer,
      colour: line.colour,
      widthMm: widthOf(line, unit.mmPerUnit),
      isDashed: line.isDashed,
      count: (known?.count ?? 0) + 1,
      lengthMm: (known?.lengthMm ?? 0) + pathLength(line.path) * unit.mmPerUnit,
    });
  }
  return [...classes.values()].sort((a, b) => b.lengthMm - a.lengthMm);
}
