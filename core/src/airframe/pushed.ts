import type { Point } from '../geometry/index.ts';
import type { FreeRoom } from '../nesting/index.ts';
import type { Airframe, AirframeNest } from './airframe.ts';
import { relaid, roomBeside, rounded, type ByHand, type PieceAddress } from './by-hand.ts';
import type { BoardView } from './nest-airframe.ts';

/** Pieces are pushed by so much at a time, so that none passes through another, in mm. */
const STEP_MM = 4;
/** Halvings by which a way is found out: to a thousandth of a step. */
const HALVINGS = 10;
/** A push shorter than this is none, in mm. */
const LEAST_MM = 0.01;

/** How far each piece of a board has been pushed so far. */
type Pushed = readonly Point[];

/**
 * Pushes a piece along; what it meets moves on from where it was met, and so on, as far as there is room.
 * @param by the way it is pushed, in mm
 */
export function pushed(airframe: Airframe, view: BoardView, nest: AirframeNest, at: PieceAddress, by: Point): ByHand {
  const room = roomBeside(view, -1, airframe.settings.nest);
  const steps = Math.max(1, Math.ceil(Math.hypot(by.x, by.y) / STEP_MM));
  let now: Pushed = view.pieces.map(() => ({ x: 0, y: 0 })),
    lockedOne: number | undefined;
  for (let step = 0; step < steps; step++) {
    const on = (share: number): Pushed =>
      stepOn(room, view, now, at.index, { x: (by.x / steps) * share, y: (by.y / steps) * share });
    const next = on(1);
    if (isClear(room, view, next)) {
      now = next;
      continue;
    }
    lockedOne = next.findIndex((one, index) => isMoved(one) && view.pieces[index]!.placed.isLocked);
    const share = most((one) => isClear(room, view, on(one)));
    now = on(share);
    break;
  }
  if (Math.hypot(now[at.index]!.x, now[at.index]!.y) < LEAST_MM) {
    const held = lockedOne === undefined ? undefined : view.pieces[lockedOne];
    return {
      ok: false,
      message: held
        ? `${held.piece.part.name} is locked and in the way.`
        : `There is no room that way on board ${view.number}.`,
    };
  }
  const places = new Map(
    now.flatMap(({ x, y }, index) => {
      const { placed } = view.pieces[index]!;
      return x === 0 && y === 0 ? [] : [[index, rounded({ ...placed, x: placed.x + x, y: placed.y + y })] as const];
    }),
  );
  return { ok: true, nest: relaid(nest, at.board, places) };
}

const isMoved = ({ x, y }: Point): boolean => x !== 0 || y !== 0;

/** The greatest share up to 1 at which something still holds; 0 holds always. */
function most(holds: (share: number) => boolean): number {
  let share = 0;
  for (let half = 0.5; half >= 2 ** -HALVINGS; half /= 2) if (holds(share + half)) share += half;
  return share;
}

/** Whether all that has moved may move, and lies on the board. */
const isClear = (room: FreeRoom, { pieces }: BoardView, now: Pushed): boolean =>
  now.every(
    (one, index) => !isMoved(one) || (!pieces[index]!.placed.isLocked && room.isOnBoard(pieces[index]!.shape, one)),
  );

/** One step of a push: the first piece moves all the way, what is met only as far as it must. */
function stepOn(room: FreeRoom, { pieces }: BoardView, now: Pushed, first: number, by: Point): Pushed {
  const shares = pieces.map((_, index): number => (index === first ? 1 : 0));
  const queue = [first];
  const isApart = (pusher: number, other: number, share: number): boolean =>
    room.isApart(pieces[pusher]!.shape, pieces[other]!.shape, {
      x: now[pusher]!.x + by.x * shares[pusher]! - now[other]!.x - by.x * share,
      y: now[pusher]!.y + by.y * shares[pusher]! - now[other]!.y - by.y * share,
    });
  for (let next = 0; next < queue.length; next++) {
    const pusher = queue[next]!;
    pieces.forEach((_, other) => {
      if (other === pusher || shares[other]! >= shares[pusher]! || isApart(pusher, other, shares[other]!)) return;
      // Moved along as far as the pusher it is as far from it as before.
      const spared = most((share) =>
        isApart(pusher, other, shares[pusher]! - share * (shares[pusher]! - shares[other]!)),
      );
      shares[other] = shares[pusher]! - spared * (shares[pusher]! - shares[other]!);
      queue.push(other);
    });
  }
  return now.map(({ x, y }, index) => ({ x: x + by.x * shares[index]!, y: y + by.y * shares[index]! }));
}
