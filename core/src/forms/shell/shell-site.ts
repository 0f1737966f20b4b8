import { boundsOf } from '../../geometry/index.ts';
import type { LengthUnit } from '../../units/index.ts';
import type { FormBoard, FormContext } from '../form/index.ts';
import { planeFaces, type Mesh } from './mesh.ts';
import type { ShellForm, ShellParameters } from './parameters.ts';
import { shellMesh, wholeMesh } from './shell-mesh.ts';
import { unfoldMesh, type Patch } from './unfold.ts';

/** All that the parts of a shell are made from. */
export interface ShellSite {
  readonly form: ShellForm;
  readonly shell: ShellParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: LengthUnit;
  /** The port half and what lies across the middle; and all of it. */
  readonly mesh: Mesh;
  readonly whole: Mesh;
  /** Faces that were not plane, and are split. */
  readonly split: readonly string[];
  readonly patches: readonly Patch[];
}

/** Folds turn by up to this: a mitre groove holds, a sharper edge is cut. */
const MOST_FOLD_DEGREES = 100;
/** Board that a piece leaves free at its edges, in mm. */
const EDGE_MM = 4;
/** Where no board is known, a piece is no larger than this, in mm. */
const UNKNOWN_MM = 1000;
/** A seam that shows counts so much more than one that does not. */
const SHOWN = 2;

/** What a form of a shell, well in itself, is made from. */
export function shellSite(form: ShellForm, context: FormContext): ShellSite {
  const shell = form.parameters,
    board = context.boardOf(shell.material);
  const { mesh, split } = planeFaces(shellMesh(shell)),
    heights = boundsOf([...mesh.vertices.values()].map(({ x, z }) => ({ x, y: z })));
  const shows = (edge: string): number => {
    const [a, b] = edge.split('_').map((key) => mesh.vertices.get(key)!);
    const height = ((a!.z + b!.z) / 2 - heights.minY) / Math.max(1e-9, heights.maxY - heights.minY);
    return 1 + (SHOWN - 1) * (shell.seams === 'below' ? height : 1 - height);
  };
  return {
    form,
    shell,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
    mesh,
    whole: wholeMesh(mesh),
    split,
    patches: unfoldMesh(mesh, {
      longMm: (board.longestMm ?? UNKNOWN_MM) - 2 * EDGE_MM,
      wideMm: (board.widthMm ?? UNKNOWN_MM) - 2 * EDGE_MM,
      mostTurnDegrees: MOST_FOLD_DEGREES,
      shows,
    }),
  };
}
