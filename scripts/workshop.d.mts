import type { ChildProcess } from 'node:child_process';
import type { Database } from './database/database.mjs';

/** A running Grain Fold: server and database, with handles to kill and start each of them again. */
export interface Workshop {
  readonly address: string;
  readonly server: ChildProcess;
  readonly database: Database;
  killServer(): Promise<void>;
  startServer(): Promise<void>;
  killDatabase(): Promise<void>;
  startDatabase(): Promise<void>;
  stop(): Promise<void>;
}
export function startServer(
  database: Database,
  options?: { host?: string; port?: number; env?: Readonly<Record<string, string>>; quiet?: boolean },
): Promise<ChildProcess>;
export function end(child: ChildProcess): Promise<void>;
export function startWorkshop(options: {
  folder: string;
  host?: string;
  port?: number;
  durable?: boolean;
  env?: Readonly<Record<string, string>>;
  quiet?: boolean;
}): Promise<Workshop>;
