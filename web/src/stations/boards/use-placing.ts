import { computed, ref, shallowRef, type ComputedRef } from 'vue';
import {
  pieceFaults,
  shapeOf,
  turnPlaced,
  turnsOn,
  type AirframeNest,
  type BoardView,
  type PlacedPiece,
} from '@grain-fold/core/airframe';
import { isInsideRegion, type Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { BoardOnMat } from './lay-out-boards.ts';

/** A placed piece by its board and its place in the board's list. */
export interface PieceAddress {
  readonly board: number;
  readonly index: number;
}
interface Drag {
  readonly from: PieceAddress;
  readonly start: Point;
  readonly original: PlacedPiece;
}

/** How far a press may move before it is a drag, in mm. */
const SLACK_MM = 1;

/** Moving and turning placed pieces by hand. A place that overlaps is shown and refused. */
export function usePlacing(boards: ComputedRef<readonly BoardOnMat[]>) {
  const work = useAirframe();
  const chosen = shallowRef<PieceAddress>();
  const drag = shallowRef<Drag>();
  /** Where a piece is being held, on which board. */
  const held = shallowRef<{ readonly board: number; readonly placed: PlacedPiece }>();
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
    if (target.board.material !== piece.piece.part.material)
      return `${name} is cut from ${piece.piece.part.material}; board ${target.number} is ${target.board.material}.`;
    if (!turnsOn(airframe, piece.piece, target.board).some((turn) => Math.abs(turn - placed.rotation) < 1e-6))
      return `${name} may not lie at ${placed.rotation.toFixed(0)}° on board ${target.number}: its grain rule holds it.`;
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

  function press(at: Point): void {
    refusal.value = '';
    const address = pieceAt(at);
    chosen.value = address;
    drag.value = address && {
      from: address,
      start: at,
      original: boards.value[address.board]!.view.pieces[address.index]!.placed,
    };
  }
  function move(at: Point): void {
    if (!drag.value) return;
    const { from, start, original } = drag.value;
    if (!held.value && Math.hypot(at.x - start.x, at.y - start.y) < SLACK_MM) return;
    const target = boardAt(at) >= 0 ? boardAt(at) : from.board;
    const home = boards.value[from.board]!.origin,
      origin = boards.value[target]!.origin;
    held.value = {
      board: target,
      placed: {
        ...original,
        x: original.x + at.x - start.x + home.x - origin.x,
        y: original.y + at.y - start.y + home.y - origin.y,
      },
    };
  }
  function release(): void {
    const where = held.value,
      from = drag.value?.from;
    drag.value = undefined;
    held.value = undefined;
    if (where && from) put(from, where.board, where.placed, 'Move');
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
      on = chosen.value && boards.value[chosen.value.board];
    if (!piece || !on || !work.airframe || !chosen.value) return;
    const turns = turnsOn(work.airframe, piece.piece, on.view.board);
    const at = turns.findIndex((one) => Math.abs(one - piece.placed.rotation) < 1e-6);
    if (turns.length < 2) return void (refusal.value = `${piece.piece.part.name} may lie only one way.`);
    put(
      chosen.value,
      chosen.value.board,
      turnPlaced(piece.piece, piece.placed, turns[(at + step + turns.length) % turns.length]!),
      'Turn',
    );
  }
  function nudge(dx: number, dy: number): void {
    if (chosenPiece.value && chosen.value)
      put(
        chosen.value,
        chosen.value.board,
        { ...chosenPiece.value.placed, x: chosenPiece.value.placed.x + dx, y: chosenPiece.value.placed.y + dy },
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
    chosen.value =
      all.length === 0 ? undefined : all[at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length];
  }
  function drop(): void {
    drag.value = undefined;
    held.value = undefined;
    chosen.value = undefined;
    refusal.value = '';
  }
  return { chosen, chosenPiece, held, heldFault, refusal, press, move, release, turn, nudge, step, drop };
}
export type Placing = ReturnType<typeof usePlacing>;
