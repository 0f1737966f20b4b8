import { cross, subtract, unitVector, type Point } from '../../geometry/index.ts';
import { LARGEST_GROOVE_FOLD_DEGREES, MOST_OPEN_DEGREES } from '../../allowance/index.ts';
import type { OperationDraft } from '../../operations/index.ts';
import type { MadeLine } from '../form/index.ts';
import type { SkinOutline } from '../skin/index.ts';
import type { SkinSheet } from './skin-sheets.ts';

type FlatLine = { readonly root: Point; readonly tip: Point };

/** Creases of a skin turn by up to this: a sharper one crushes the foam of both plates, and is grooved. */
const LARGEST_SKIN_CREASE_DEGREES = 22;
/** Turns of less than this are no fold, in degrees. */
const FLAT_DEGREES = 0.02;

/** What folds a skin over one of its lines. */
function foldWork(turnDegrees: number, label: string, isBent: boolean): OperationDraft | undefined {
  if (Math.abs(turnDegrees) < FLAT_DEGREES) return undefined;
  if (isBent) return { kind: 'bend', face: 'face', foldDegrees: turnDegrees, label };
  if (turnDegrees <= LARGEST_SKIN_CREASE_DEGREES)
    return { kind: 'crease', face: 'face', foldDegrees: turnDegrees, label };
  return {
    kind: 'groove',
    face: 'face',
    foldDegrees: turnDegrees,
    mouthMm: 'auto',
    ...(turnDegrees > LARGEST_GROOVE_FOLD_DEGREES ? { school: 'sanded' as const } : {}),
    label,
  };
}

/** The folds of a sheet: over each of its inner lines, and round the nose by a trench. */
export function foldLines(
  { skin, plates }: SkinSheet,
  { folds, middleOf, cornerOf }: SkinOutline,
): readonly MadeLine[] {
  const lines: MadeLine[] = [];
  for (let index = 1; index < plates.length; index++) {
    const before = plates[index - 1]!,
      after = plates[index]!;
    if (after.isSkin) {
      const whole = skin.turns[index]! + skin.turns[index + 1]!;
      lines.push({
        name: 'nose',
        ...middleOf(index),
        work: {
          kind: 'trench',
          face: 'face',
          foldDegrees: 180,
          openDegrees: bounded(180 - whole, 0),
          leanDegrees: bounded((skin.turns[index + 1]! - skin.turns[index]!) / 2, -MOST_OPEN_DEGREES),
          // As wide as the strip lies between the plates: sweep leans it a little.
          widthMm: stripWidth(skin.flat[index]!, skin.flat[index + 1]!),
          side: 'centre',
          label: 'nose',
        },
      });
      continue;
    }
    if (before.isSkin) continue;
    const label = foldLabel(before.role, after.role);
    const isNose = before.role.startsWith('low') && after.role.startsWith('top');
    const work = foldWork(skin.turns[index]!, label, Boolean(before.isBent && after.isBent && !isNose));
    if (work) lines.push({ name: `fold-${before.role}-${after.role}`, ...folds[index]!, work });
  }
  skin.plates.forEach(({ bend }, index) => {
    if (!bend || plates[index]!.isSkin) return;
    const work = foldWork(bend.turnDegrees, 'twist', true);
    if (!work) return;
    const [first, second]: readonly ['root' | 'tip', 'root' | 'tip'] = bend.isRising
      ? ['root', 'tip']
      : ['tip', 'root'];
    const run = { from: cornerOf(index, index, first), to: cornerOf(index, index + 1, second) };
    lines.push({ name: `twist-${plates[index]!.role}`, ...run, work });
  });
  return lines;
}

const bounded = (degrees: number, least: number): number => Math.max(least, Math.min(MOST_OPEN_DEGREES, degrees));

/** Width of a strip between two lines of one direction on the flat. */
const stripWidth = (low: FlatLine, top: FlatLine): number =>
  Math.abs(cross(unitVector(low.root, low.tip), subtract(top.root, low.root)));

function foldLabel(before: string, after: string): string {
  if (before === 'bottom' || (before.startsWith('low') && after.startsWith('top'))) return 'nose';
  if (before === 'front') return 'front of the spar';
  if (after === 'rear') return 'rear of the spar';
  return '';
}
