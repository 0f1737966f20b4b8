import { computed, ref, shallowRef, type ComputedRef } from 'vue';
import {
  mayBeCutFrom,
  mayTurnTo,
  notCleanWords,
  pieceFaults,
  shapeOf,
  slidTo,
  turnPlaced,
  turnsOn,
  type AirframeNest,
  type BoardView,
  type PieceAddress,
  type PlacedPiece,
} from '@grain-fold/core/airframe';
import { boundsOf, isInsideRegion, type Point } from '@grain-fold/core/geometry';
import { formatAngle, formatLengthWithUnit, normaliseDegrees } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { BoardOnMat } from './lay-out-boards.ts';

/** Where a piece is being held, on which board. */
interface Held {
  readonly board: number;
  readonly placed: PlacedPiece;
}
interface Drag {
  readonly start: Point;
  readonly from: Held;
}

/** How far a press may move before it is a drag, in mm. */
const SLACK_MM = 1;

/**
 * Moving and turning placed pieces by hand. A piece is held while it is dragged, and after a turn or a typed place that does not fit;
 * what is wrong with the place is shown meanwhile, and refused when the piece is put down.
 */
export function usePlacing(boards: ComputedRef<readonly BoardOnMat[]>) {
  const work = useAirframe();
  const chosen = shallowRef<PieceAddress>();
  const drag = shallowRef<Drag>();
  const held = shallowRef<Held>();
  const refusal = ref('');

  const chosenPiece = computed(() => chosen.value && boards.value[chosen.value.board]?.view.pieces[chosen.value.index]);
  /** What is wrong with where the piece is held now, in words; empty when it may stay. */
  const heldFault = computed(() =>
    held.value && chosen.value ? faultOf(chosen.value, held.value.board, held.value.placed) : '',
  );

  function faultOf(from: PieceAddress, board: number, placed: PlacedPiece): string {
    const airframe = work.airframe,
      target = boards.value[board]?.view,
      piece = boards.value[from.board]?.view.pieces[from.index];
    if (!airframe || !target || !piece) return '';
    const name = piece.piece.part.name;
    if (target.isCut) return `Board ${target.number} is cut: nothing more can be laid on it.`;
    if (target.board.material !== piece.piece.part.material)
      return `${name} is cut from ${piece.piece.part.material}; board ${target.number} is ${target.board.material}.`;
    if (!mayBeCutFrom(airframe, piece.piece.part.id, target.board)) return notCleanWords(name, target.number);
    if (!mayTurnTo(piece.piece, target.board, placed.rotation))
      return `${name} may not lie at ${formatAngle(placed.rotation)} on board ${target.number}: its grain rule holds it.`;
    const isHome = from.board === board;
    const view: BoardView = isHome
      ? target
      : { ...target, pieces: [...target.pieces, { ...piece, placed, shape: shapeOf(piece.piece, placed) }] };
    const index = isHome ? from.index : view.pieces.length - 1;
    const fault = pieceFaults(airframe, view, index, placed)[0];
    if (!fault) return '';
    const found = formatLengthWithUnit(fault.foundMm, work.unit),
      wanted = formatLengthWithUnit(fault.wantedMm, work.unit);
    if (fault.kind === 'edge')
      return fault.foundMm === 0
        ? `${name} runs over the edge of board ${target.number}. Keep it ${wanted} inside.`
        : `${name} is ${found} from the edge of board ${target.number}: ${wanted} wanted.`;
    const other = view.pieces[fault.other!]!.piece.part.name;
    return fault.foundMm === 0
      ? `${name} overlaps ${other} on board ${target.number}. Keep them ${wanted} apart.`
      : `${name} is ${found} from ${other}: ${wanted} wanted.`;
  }

  const boardAt = (p: Point): number =>
    boards.value.findIndex(
      ({ view, origin }) =>
        p.x >= origin.x &&
        p.x <= origin.x + view.board.widthMm &&
        p.y >= origin.y &&
        p.y <= origin.y + view.board.heightMm,
    );
  function pieceAt(p: Point): PieceAddress | undefined {
    const board = boardAt(p);
    const on = boards.value[board];
    if (!on) return undefined;
    const local = { x: p.x - on.origin.x, y: p.y - on.origin.y };
    const index = on.view.pieces.findIndex(({ shape }) => isInsideRegion(local, shape.outer, shape.holes));
    return index >= 0 ? { board, index } : undefined;
  }

  /** Where the chosen piece is: held, or where it lies. */
  const where = (): Held | undefined =>
    held.value ??
    (chosen.value && chosenPiece.value && { board: chosen.value.board, placed: chosenPiece.value.placed });
  function isOnHeld(p: Point): boolean {
    const piece = chosenPiece.value,
      on = held.value && boards.value[held.value.board];
    if (!held.value || !piece || !on) return false;
    const { outer, holes } = shapeOf(piece.piece, held.value.placed);
    return isInsideRegion({ x: p.x - on.origin.x, y: p.y - on.origin.y }, outer, holes);
  }

  /** Chooses the piece at a place, or none. */
  function choose(at: Point): void {
    refusal.value = '';
    held.value = undefined;
    chosen.value = pieceAt(at);
  }
  function press(at: Point): void {
    refusal.value = '';
    if (!isOnHeld(at)) choose(at);
    const from = where();
    drag.value = from && !isFast.value ? { start: at, from } : undefined;
  }
  /** Drags the piece on: it slides along what is in its way, unless it is let through. */
  function move(at: Point, isLetThrough: boolean): void {
    if (!drag.value) return;
    const { from, start } = drag.value;
    if (!held.value && Math.hypot(at.x - start.x, at.y - start.y) < SLACK_MM) return;
    const target = boardAt(at) >= 0 ? boardAt(at) : from.board;
    const home = boards.value[from.board]!.origin,
      origin = boards.value[target]!.origin;
    const placed = {
      ...from.placed,
      x: from.placed.x + at.x - start.x + home.x - origin.x,
      y: from.placed.y + at.y - start.y + home.y - origin.y,
    };
    held.value = { board: target, placed: isLetThrough ? placed : slid(target, placed) };
  }
  /** Where a piece wanted at a place comes to lie among the others; there, where it may not lie on that board or has no room near. */
  function slid(board: number, placed: PlacedPiece): PlacedPiece {
    const airframe = work.airframe,
      piece = chosenPiece.value?.piece,
      view = boards.value[board]?.view;
    if (!airframe || !piece || !view || !chosen.value) return placed;
    if (view.board.material !== piece.part.material || !mayTurnTo(piece, view.board, placed.rotation)) return placed;
    const index = chosen.value.board === board ? chosen.value.index : -1;
    return slidTo(airframe, view, index, piece, placed) ?? placed;
  }
  const isCut = (board: number): boolean => boards.value[board]?.view.isCut === true;
  /** Whether the chosen piece may not be moved: it is locked, or its board is cut. */
  const isFast = computed(
    () => chosenPiece.value?.placed.isLocked === true || (chosen.value !== undefined && isCut(chosen.value.board)),
  );
  /** Whether the chosen piece may not be moved, and says so. */
  function isKept(): boolean {
    const piece = chosenPiece.value;
    if (!piece || !isFast.value) return false;
    const { name } = piece.piece.part;
    refusal.value = isCut(chosen.value!.board)
      ? `${name} is cut: it lies where it was cut from board ${boards.value[chosen.value!.board]!.view.number}.`
      : `${name} is locked: unlock it to move it.`;
    return true;
  }
  function release(): void {
    if (!drag.value) return;
    drag.value = undefined;
    putDown();
  }
  /** Puts the piece that is held down, or takes it back to where it lay and says why. */
  function putDown(): void {
    const now = held.value;
    held.value = undefined;
    if (now && chosen.value) put(chosen.value, now.board, now.placed, 'Move');
  }
  /** Lays the chosen piece another way: at once where it fits there; else it is held there, until it is put down. */
  function lay(placed: PlacedPiece, word: 'Move' | 'Turn'): void {
    const from = chosen.value,
      board = where()?.board;
    if (!from || board === undefined || isKept()) return;
    refusal.value = '';
    if (held.value || faultOf(from, board, placed)) held.value = { board, placed };
    else put(from, board, placed, word);
  }

  /** Puts a piece down, or refuses with the reason. */
  function put(from: PieceAddress, board: number, placed: PlacedPiece, word: 'Move' | 'Turn'): void {
    const nest = work.airframe?.nest,
      piece = boards.value[from.board]?.view.pieces[from.index];
    if (!nest || !piece) return;
    refusal.value = faultOf(from, board, placed);
    if (refusal.value) return;
    const rounded = { ...placed, x: Math.round(placed.x * 1000) / 1000, y: Math.round(placed.y * 1000) / 1000 };
    const placements = nest.boards.map((one, at) =>
      at !== from.board ? one.placements : one.placements.filter((_, index) => index !== from.index),
    );
    const index = board === from.board ? from.index : placements[board]!.length;
    placements[board] = placements[board]!.toSpliced(index, 0, rounded);
    const next: AirframeNest = {
      ...nest,
      boards: nest.boards
        .map((one, at) => ({ ...one, placements: placements[at]! }))
        .filter((one) => one.placements.length > 0),
    };
    const gone = next.boards.length < nest.boards.length && board > from.board;
    work.setNest(`${word} ${piece.piece.part.name} by hand`, next);
    chosen.value = { board: gone ? board - 1 : board, index };
  }

  function turn(step: 1 | -1): void {
    const piece = chosenPiece.value,
      now = where(),
      on = now && boards.value[now.board];
    if (!piece || !on || !work.airframe) return;
    const turns = turnsOn(work.airframe, piece.piece, on.view.board);
    const { rotation } = now.placed;
    if (turns.length < 2 && turns[0] === rotation)
      return void (refusal.value = `${piece.piece.part.name} may lie only one way.`);
    const next =
      step > 0
        ? (turns.find((one) => one > rotation + 1e-6) ?? turns[0]!)
        : (turns.findLast((one) => one < rotation - 1e-6) ?? turns.at(-1)!);
    turnTo(next);
  }
  /** Turns the chosen piece about its middle to an angle in degrees. */
  function turnTo(degrees: number): void {
    const piece = chosenPiece.value,
      now = where();
    if (piece && now) lay(turnPlaced(piece.piece, now.placed, normaliseDegrees(degrees)), 'Turn');
  }
  function nudge(dx: number, dy: number): void {
    const now = where();
    if (!now || !chosen.value || isKept()) return;
    const placed = { ...now.placed, x: now.placed.x + dx, y: now.placed.y + dy };
    if (held.value) held.value = { ...now, placed };
    else put(chosen.value, now.board, placed, 'Move');
  }
  /** Moves the chosen piece so that its left or lower edge lies at a place of the board, in mm. */
  function moveTo({ left, bottom }: { readonly left?: number; readonly bottom?: number }): void {
    const piece = chosenPiece.value,
      now = where();
    if (!piece || !now) return;
    const box = boundsOf(shapeOf(piece.piece, now.placed).outer);
    lay(
      {
        ...now.placed,
        x: now.placed.x + (left === undefined ? 0 : left - box.minX),
        y: now.placed.y + (bottom === undefined ? 0 : bottom - box.minY),
      },
      'Move',
    );
  }
  /** Chooses the next or the previous piece over all boards. */
  function step(by: 1 | -1): void {
    const all = boards.value.flatMap(({ view }, board) =>
      view.pieces.map((_, index): PieceAddress => ({ board, index })),
    );
    const at = all.findIndex(({ board, index }) => board === chosen.value?.board && index === chosen.value.index);
    refusal.value = '';
    held.value = undefined;
    chosen.value =
      all.length === 0 ? undefined : all[at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length];
  }
  /** Takes a held piece back to where it lay; chooses none when none is held. */
  function backOut(): void {
    if (!held.value) return drop();
    held.value = undefined;
    drag.value = undefined;
    refusal.value = '';
  }
  function drop(): void {
    drag.value = undefined;
    held.value = undefined;
    chosen.value = undefined;
    refusal.value = '';
  }
  return {
    chosen,
    chosenPiece,
    held,
    heldFault,
    refusal,
    isFast,
    isKept,
    pieceAt,
    choose,
    press,
    move,
    release,
    putDown,
    turn,
    turnTo,
    nudge,
    moveTo,
    step,
    backOut,
    drop,
  };
}
export type Placing = ReturnType<typeof usePlacing>;
