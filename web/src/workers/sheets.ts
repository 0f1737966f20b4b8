import { transfer, wrap, type Remote } from 'comlink';
import type { SheetsDesk } from './sheets.worker.ts';

let remote: Remote<SheetsDesk> | undefined;
/** The worker that opens pictures and cuts their tiles, started when it is first asked. */
const desk = (): Remote<SheetsDesk> =>
  (remote ??= wrap<SheetsDesk>(new Worker(new URL('./sheets.worker.ts', import.meta.url), { type: 'module' })));

/** Sheets to trace, off the interface's thread. */
export const sheets = {
  open: (key: string, name: string, bytes: ArrayBuffer, page: number) =>
    desk().open(key, name, transfer(bytes, [bytes]), page),
  tile: (key: string, level: number, column: number, row: number) => desk().tile(key, level, column, row),
  forget: (key: string) => desk().forget(key),
} as const;
