import { freedomAt, leastSquares } from '../geometry/index.ts';
import { traitsOf, type OperationKind } from '../operations/index.ts';
import type { PartCommand } from '../editing/index.ts';
import type { Part } from '../part/index.ts';
import { degrees, radians } from '../units/index.ts';
import { fold } from './fold.ts';
import type { FoldedPart } from './folded-part.ts';
import { clashesOf } from './interference.ts';
import { ringChain, ringGap, type Longer, type RingChain, type RingJoint } from './ring-chain.ts';
import type { SeamState } from './seams.ts';

/** The turn of one fold of a ring, in degrees toward the face. */
export interface RingTurn {
  readonly operationId: string;
  readonly turnDegrees: number;
}
/** Fold angles that close a ring. */
export interface RingAnswer {
  readonly turns: readonly RingTurn[];
  /** What is left open, in mm. */ readonly gapMm: number;
  /** How deep plates are in each other then, in mm. */ readonly pressMm: number;
  /** How many ways its plates can still move with the ring closed: none when the answer is the only one near it. */
  readonly freedom: number;
}
/** What closes a ring, the most likely answer first; or which plate is of a wrong length. */
export interface RingAnswers {
  /** The folds of the ring that may turn, as drawn. */
  readonly ringFolds: readonly string[];
  readonly answers: readonly RingAnswer[];
  /** How near it comes when nothing closes it, in mm. */ readonly nearestMm: number;
  /** The plate whose length keeps it open, by its number, and by how much it would have to be longer (below 0 shorter). */
  readonly wrong?: { readonly plate: number; readonly longerMm: number };
}

/** A ring is closed within this, in mm; answers nearer to each other than so many degrees are one. */
const CLOSED_WITHIN_MM = 0.02;
const SAME_DEGREES = 0.5;
const MOST_ANSWERS = 4;
/** Starts besides the angles that are drawn. */
const STARTS = 24;

/**
 * The fold angles that close a ring of panels along a seam, its panels rigid.
 * @param freeIds the folds, as drawn, that may turn; all of the ring's when not given. Trenches keep their 90° or 180°
 * @returns undefined when no fold leads from one edge of the seam to the other, or none of them is free
 * @source least squares over the angles from many starts; the wrong length by the least change of one panel with which it closes
 */
export function closeRing(
  folded: FoldedPart,
  { edges }: SeamState,
  freeIds?: readonly string[],
): RingAnswers | undefined {
  const chain = ringChain(folded.tree, edges[0].edge, edges[1].edge);
  if (!chain) return undefined;
  const isFree = ({ hinge, operationId }: RingJoint): boolean =>
    traitsOf(hinge.kind).fold?.leavesStrip !== true && (freeIds?.includes(operationId) ?? true);
  const free = [...new Set(chain.joints.filter(isFree).map(({ operationId }) => operationId))];
  if (free.length === 0) return undefined;
  const drawn = free.map((id) => radians(turnNow(chain, id)));
  const turnsOf = (at: readonly number[]): readonly number[] =>
    chain.joints.map(({ hinge, operationId }) => {
      const index = free.indexOf(operationId);
      return index < 0 ? hinge.turnDegrees : degrees(at[index]!);
    });
  const gapAt = (at: readonly number[]): readonly number[] => ringGap(chain, turnsOf(at));
  const tried = startsFrom(chain, drawn).map((start) => leastSquares(gapAt, start));
  const found = tried
    .map(({ at, left }) => ({ at: at.map(wrapped), gapMm: Math.sqrt(left) }))
    .filter(
      ({ at, gapMm }) => gapMm < CLOSED_WITHIN_MM && at.every((turn, index) => mayTurn(chain, free[index]!, turn)),
    );
  const nearestMm = Math.min(...tried.map(({ left }) => Math.sqrt(left)));
  const unlike = found.reduce<typeof found>(
    (list, one) => (list.some((other) => isSame(one.at, other.at)) ? list : [...list, one]),
    [],
  );
  const answers = unlike
    .map(({ at, gapMm }): RingAnswer => ({
      turns: free.map((operationId, index) => ({ operationId, turnDegrees: degrees(at[index]!) })),
      gapMm,
      pressMm: pressAt(folded, free, at),
      freedom: freedomAt(gapAt, at),
    }))
    .sort((a, b) => a.pressMm - b.pressMm || distanceOf(a, drawn) - distanceOf(b, drawn))
    .slice(0, MOST_ANSWERS);
  const wrong =
    answers.length === 0
      ? wrongLength(
          chain,
          turnsOf,
          tried.map(({ at }) => at),
        )
      : undefined;
  return { ringFolds: free, answers, nearestMm, ...(wrong ? { wrong } : {}) };
}

const jointOf = ({ joints }: RingChain, id: string): RingJoint => joints.find(({ operationId }) => operationId === id)!;
const turnNow = (chain: RingChain, id: string): number => jointOf(chain, id).hinge.turnDegrees;
const wrapped = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle));
const isSame = (a: readonly number[], b: readonly number[]): boolean =>
  a.every((turn, index) => Math.abs(degrees(wrapped(turn - b[index]!))) < SAME_DEGREES);
const distanceOf = ({ turns }: RingAnswer, drawn: readonly number[]): number =>
  turns.reduce((sum, { turnDegrees }, index) => sum + (turnDegrees - degrees(drawn[index]!)) ** 2, 0);

/** Whether a fold can be cut for a turn from the side that it is cut from. */
function mayTurn(chain: RingChain, id: string, turn: number): boolean {
  const { hinge } = jointOf(chain, id);
  const { fold: traits } = traitsOf(hinge.kind);
  const towards = (traits?.sign ?? 1) * (hinge.zMm > 0 ? -1 : 1);
  const isRightWay = hinge.kind === ('crease' satisfies OperationKind) || turn * towards > 0;
  return isRightWay && traits?.cannot(Math.abs(degrees(turn))) === undefined;
}

/** The drawn angles, angles that share a full turn evenly, and others all over, the same each time. */
function startsFrom({ joints }: RingChain, drawn: readonly number[]): readonly (readonly number[])[] {
  const even = (2 * Math.PI) / (joints.length + 1);
  let seed = 11;
  const next = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  return [
    drawn,
    drawn.map(() => even),
    drawn.map(() => -even),
    ...Array.from({ length: STARTS }, (_, index) =>
      drawn.map(() => (index % 2 === 0 ? 2.4 * next() : (next() - 0.5) * 2 * Math.PI)),
    ),
  ];
}

function pressAt({ solids, tree }: FoldedPart, free: readonly string[], at: readonly number[]): number {
  const maps = fold(tree, ({ operationId, turnDegrees }) => {
    const index = free.indexOf(operationId.replace(/~.*$/, ''));
    return index < 0 ? turnDegrees : degrees(at[index]!);
  });
  const isNeighbour = (a: number, b: number): boolean =>
    tree.hinges.some(({ left, right }) => (left === a && right === b) || (left === b && right === a));
  // Grooves follow their angle: what counts is plates that run through each other elsewhere.
  return Math.max(0, ...clashesOf(solids, tree, maps, (a, b) => !isNeighbour(a, b)).map(({ depthMm }) => depthMm));
}

/** Each plate in turn taken longer or shorter until the ring closes: the one that needs the least. */
function wrongLength(
  chain: RingChain,
  turnsOf: (at: readonly number[]) => readonly number[],
  starts: readonly (readonly number[])[],
): RingAnswers['wrong'] {
  const tries = Array.from({ length: chain.joints.length + 1 }, (_, at) => at).flatMap((at) =>
    starts.slice(0, 6).flatMap((start) => {
      const { at: place, left } = leastSquares(
        (all) => ringGap(chain, turnsOf(all.slice(0, -1)), { at, byMm: all.at(-1)! } satisfies Longer),
        [...start, 0],
      );
      return Math.sqrt(left) < CLOSED_WITHIN_MM ? [{ at, longerMm: place.at(-1)! }] : [];
    }),
  );
  const least = tries.sort((a, b) => Math.abs(a.longerMm) - Math.abs(b.longerMm))[0];
  return least && { plate: chain.joints[least.at]?.before ?? chain.last, longerMm: least.longerMm };
}

/** The edits that give the folds of a ring their angles; grooves that follow the board take their new mouths by themselves. */
export const ringCommands = (part: Part, { turns }: RingAnswer): readonly PartCommand[] =>
  turns.flatMap(({ operationId, turnDegrees }): readonly PartCommand[] => {
    const operation = part.operations.find(({ id }) => id === operationId);
    if (!operation) return [];
    const sign = (traitsOf(operation.kind).fold?.sign ?? 1) * (operation.face === 'back' ? -1 : 1);
    return [{ name: 'changeOperation', args: { operationId, changes: { foldDegrees: sign * turnDegrees } } }];
  });
