import { computed, ref, type ComputedRef } from 'vue';
import { locked, pushed, scrapped, swapped, type ByHand, type PieceAddress } from '@grain-fold/core/airframe';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';
import type { BoardOnMat } from './lay-out-boards.ts';
import type { Placing } from './use-placing.ts';

/** What is done with the chosen piece beside moving it: locked, pushed with others, sent to another board, exchanged for another. */
export function useByHand(boards: ComputedRef<readonly BoardOnMat[]>, placing: Placing) {
  const work = useAirframe();
  /** Whether arrow keys push what is in the way along. */
  const isPushing = ref(false);
  const isSwapping = ref(false);
  const isLocked = computed(() => placing.chosenPiece.value?.placed.isLocked === true);
  const name = (): string => placing.chosenPiece.value?.piece.part.name ?? 'piece';
  const views = (): BoardOnMat['view'][] => boards.value.map(({ view }) => view);

  function keep(label: string, done: ByHand): boolean {
    placing.refusal.value = done.ok ? '' : done.message;
    if (done.ok) work.setNest(label, done.nest);
    return done.ok;
  }
  function lock(): void {
    const nest = work.airframe?.nest,
      at = placing.chosen.value;
    if (!nest || !at || placing.held.value || boards.value[at.board]?.view.isCut) return;
    placing.refusal.value = '';
    work.setNest(`${isLocked.value ? 'Unlock' : 'Lock'} ${name()}`, locked(nest, at, !isLocked.value));
  }
  /** Says that the chosen piece of a cut board came to nothing, or that it is good after all. */
  function scrap(): void {
    const nest = work.airframe?.nest,
      chosen = placing.chosenPiece.value;
    if (!nest || !chosen) return;
    const isScrap = !chosen.placed.isScrap;
    work.setNest(
      isScrap ? `Cut another ${name()}` : `Keep ${name()} as it was cut`,
      scrapped(nest, [chosen.placed], isScrap),
    );
  }
  /** Locks every piece of the chosen one's board, or lets them all go when they are locked. */
  function lockBoard(): void {
    const nest = work.airframe?.nest,
      at = placing.chosen.value;
    if (!nest || !at || placing.held.value) return;
    const all = nest.boards[at.board]!.placements;
    const isToLock = !all.every((placed) => placed.isLocked);
    const next = all.reduce((now, _, index) => locked(now, { board: at.board, index }, isToLock), nest);
    work.setNest(`${isToLock ? 'Lock' : 'Unlock'} board ${at.board + 1}`, next);
  }
  /** Moves the chosen piece by hand, all that it meets with it. */
  function push(x: number, y: number): void {
    const nest = work.airframe?.nest,
      at = placing.chosen.value,
      view = at && boards.value[at.board]?.view;
    if (nest && view && !placing.held.value && !placing.isKept())
      keep(`Push ${name()}`, pushed(work.airframe!, view, nest, at, { x, y }));
  }
  /** Sends the chosen piece to the lowest free place of another board, which is looked for in a worker. */
  async function send(board: number): Promise<void> {
    const airframe = work.airframe,
      from = placing.chosen.value;
    if (!airframe?.nest || !from || placing.isKept()) return;
    const count = airframe.nest.boards.length,
      label = `Send ${name()} to board ${board + 1}`;
    let sent: ByHand;
    try {
      sent = await slowly.sentTo(airframe, from, board);
    } catch (error) {
      sent = { ok: false, message: error instanceof Error ? error.message : 'No place could be looked for.' };
    }
    // What was done meanwhile stands: the place was looked for in a nest that is no more.
    if (work.airframe !== airframe) {
      placing.refusal.value = 'The nest was changed while a place was looked for: send the piece again.';
      return;
    }
    if (!keep(label, sent)) return;
    const isEmptied = work.airframe!.nest!.boards.length < count && from.board < board;
    const to = isEmptied ? board - 1 : board;
    placing.chosen.value = { board: to, index: work.airframe!.nest!.boards[to]!.placements.length - 1 };
  }
  /** Exchanges the chosen piece for another, which is chosen next. */
  function swap(): void {
    isSwapping.value = !isSwapping.value && placing.chosen.value !== undefined && !placing.isKept();
  }
  function swapWith(other: PieceAddress | undefined): void {
    const nest = work.airframe?.nest,
      at = placing.chosen.value;
    isSwapping.value = false;
    if (!nest || !at || !other || (other.board === at.board && other.index === at.index)) return;
    const cutOne = boards.value[other.board]!.view;
    if (cutOne.isCut) placing.refusal.value = `Board ${cutOne.number} is cut: its pieces stay on it.`;
    else if (keep(`Exchange ${name()}`, swapped(work.airframe!, views(), nest, at, other)))
      placing.chosen.value = other;
  }
  return { isPushing, isSwapping, isLocked, lock, scrap, lockBoard, push, send, swap, swapWith };
}
export type HandWork = ReturnType<typeof useByHand>;
