import type { Database } from './database.mjs';

export function keepDatabase(
  folder: string,
  options?: { durable?: boolean; say?: (words: string) => void },
): Promise<{ readonly now: Database; stop(): Promise<void> }>;
