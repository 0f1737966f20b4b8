export function holdFolder(folder: string): Promise<() => Promise<void>>;
export function isDatabaseOf(pid: number, data: string): boolean;
export function databaseOf(data: string): number;
export function stopLeftDatabase(data: string): Promise<void>;
