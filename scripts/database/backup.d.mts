import type { Database } from './database.mjs';

type Reached = Pick<Database, 'host' | 'port' | 'user' | 'password' | 'database'>;
export function backUp(
  database: Reached,
  backups: string,
  options?: { kind?: 'automatic' | 'backup'; at?: Date },
): Promise<string>;
export function restore(database: Reached, folder: string): Promise<void>;
export function backUpWhenDue(database: Reached, backups: string, at?: Date): Promise<string | undefined>;
