import { foldOfMouth } from '../allowance/index.ts';
import { cross, distance, dot, midpoint, subtract, unitVector } from '../geometry/index.ts';
import type { Operation } from '../operations/index.ts';
import { findLine, type DrawnLine, type Part } from '../part/index.ts';
import { defined } from '../units/index.ts';

/** Lips further apart than this many thicknesses are no groove: it would fold by more than a knife can cut. */
const WIDEST_IN_THICKNESSES = 3.5;
const PARALLEL = 1e-3;
const LIPS = '~lips';

interface Lip {
  readonly operation: Operation;
  readonly line: DrawnLine;
}

/** Two bevels drawn as lines on the part: the lips of one groove. */
export interface Lips {
  readonly first: Lip;
  readonly second: Lip;
  readonly mouthMm: number;
  readonly foldDegrees: number;
}

/** Bevels that stand on straight lines within the part, instead of on an edge. */
const lipsOf = (part: Part): readonly Lip[] =>
  part.operations.flatMap((operation) => {
    const line = operation.kind === 'bevel' ? findLine(part, operation.on.pathId) : undefined;
    return line && !line.closed && line.nodes.length === 2 && line.segments[0]!.kind === 'line'
      ? [{ operation, line }]
      : [];
  });

/** How far apart two parallel lines run that lie side by side; undefined for others. */
function mouthBetween(a: DrawnLine, b: DrawnLine): number | undefined {
  const [p, q] = [a.nodes[0]!, a.nodes[1]!],
    [r, s] = [b.nodes[0]!, b.nodes[1]!],
    along = unitVector(p, q);
  if (Math.abs(cross(along, unitVector(r, s))) > PARALLEL) return undefined;
  const middle = dot(subtract(midpoint(r, s), p), along);
  return middle > 0 && middle < distance(p, q) ? Math.abs(cross(along, subtract(r, p))) : undefined;
}

/**
 * Pairs of bevel lines that are the lips of a groove, each with the turn at which it closes, and those that stand alone.
 * @param thicknessMm measured board
 * @source a groove of mouth w closes at 2·atan(w / 2t)
 */
export function foundLips(
  part: Part,
  thicknessMm: number,
): { readonly pairs: readonly Lips[]; readonly alone: readonly Lip[] } {
  const left = [...lipsOf(part)],
    pairs: Lips[] = [],
    alone: Lip[] = [];
  for (let first = left.shift(); first; first = left.shift()) {
    const own = first;
    const near = left
      .map((second) => ({
        second,
        mouthMm: second.operation.face === own.operation.face ? mouthBetween(own.line, second.line) : undefined,
      }))
      .filter(
        (one): one is { second: Lip; mouthMm: number } =>
          one.mouthMm !== undefined && one.mouthMm > 0.1 && one.mouthMm <= WIDEST_IN_THICKNESSES * thicknessMm,
      )
      .sort((a, b) => a.mouthMm - b.mouthMm)[0];
    if (!near) {
      alone.push(own);
      continue;
    }
    left.splice(left.indexOf(near.second), 1);
    pairs.push({
      first: own,
      second: near.second,
      mouthMm: near.mouthMm,
      foldDegrees: foldOfMouth(near.mouthMm, thicknessMm),
    });
  }
  return { pairs, alone };
}

/** The middle line of two lips, from the ends of the first toward those of the second. */
export function middleLine({ first: { line: a }, second: { line: b } }: Lips): DrawnLine {
  const [from, to] =
    distance(a.nodes[0]!, b.nodes[0]!) <= distance(a.nodes[0]!, b.nodes[1]!)
      ? [b.nodes[0]!, b.nodes[1]!]
      : [b.nodes[1]!, b.nodes[0]!];
  const between = (index: 0 | 1, other: { readonly x: number; readonly y: number }): DrawnLine['nodes'][number] => ({
    id: `${a.nodes[index]!.id}${LIPS}`,
    ...midpoint(a.nodes[index]!, other),
  });
  return {
    ...a,
    id: `${a.id}${LIPS}`,
    nodes: [between(0, from), between(1, to)],
    segments: [{ id: `${a.segments[0]!.id}${LIPS}`, kind: 'line' }],
  };
}

/** A part in which two bevel lines are the groove that they bound: its fold is their middle line, its mouth what lies between them. */
export function withLipsAsGrooves(part: Part, thicknessMm: number): Part {
  const { pairs } = foundLips(part, thicknessMm);
  if (pairs.length === 0) return part;
  const gone = new Set(pairs.flatMap(({ first, second }) => [first.operation.id, second.operation.id]));
  const kept = part.operations.filter(({ id }) => !gone.has(id));
  const freed = new Set(
    pairs
      .flatMap(({ first, second }) => [first.line.id, second.line.id])
      .filter((pathId) => !kept.some(({ on }) => on.pathId === pathId)),
  );
  const grooves = pairs.map((pair): Operation => {
    const { id, face, label, variants } = pair.first.operation;
    return {
      id,
      kind: 'groove',
      on: { pathId: middleLine(pair).id },
      face,
      foldDegrees: pair.foldDegrees,
      mouthMm: pair.mouthMm,
      label: label || pair.second.operation.label,
      school: 'knife',
      ...defined({ variants }),
    };
  });
  return {
    ...part,
    lines: [...part.lines.filter(({ id }) => !freed.has(id)), ...pairs.map(middleLine)],
    operations: [...kept, ...grooves],
  };
}

/** Whether any bevel stands on a line within the part. */
export const hasLips = (part: Part): boolean =>
  part.operations.some(({ kind, on }) => kind === 'bevel' && findLine(part, on.pathId) !== undefined);
