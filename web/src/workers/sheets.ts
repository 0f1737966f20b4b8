import { transfer, wrap, type Remote } from 'comlink';
import type { SheetAnswer, SheetsDesk } from './sheets.worker.ts';

/** The worker that opens pictures and cuts their tiles, and what tells that it has ended: a picture may be more than there is memory for. */
interface Desk {
  readonly remote: Remote<SheetsDesk>;
  readonly ended: Promise<never>;
}
let started: Desk | undefined;

/** Started when it is first asked, and anew after it has ended. */
function desk(): Desk {
  if (started) return started;
  const worker = new Worker(new URL('./sheets.worker.ts', import.meta.url), { type: 'module' });
  const ended = new Promise<never>((_, reject) => {
    worker.addEventListener('error', ({ message }) => {
      started = undefined;
      reject(new Error(message || 'it took more memory than there is'));
    });
  });
  // Nobody may be waiting.
  ended.catch(() => undefined);
  started = { remote: wrap<SheetsDesk>(worker), ended };
  return started;
}

/** Sheets to trace, off the interface's thread. @throws Error when the worker ended */
export const sheets = {
  open: (key: string, name: string, bytes: ArrayBuffer, page: number): Promise<SheetAnswer> => {
    const { remote, ended } = desk();
    return Promise.race([remote.open(key, name, transfer(bytes, [bytes]), page), ended]);
  },
  tile: (key: string, level: number, column: number, row: number): Promise<ImageBitmap | undefined> => {
    const { remote, ended } = desk();
    return Promise.race([remote.tile(key, level, column, row), ended]);
  },
  forget: (key: string): Promise<void> => desk().remote.forget(key),
} as const;
