/** A running private database. */
export interface Database {
  readonly host: string;
  readonly port: number;
  readonly user: string;
  readonly password: string;
  readonly database: string;
  readonly pid: number;
  readonly ended: Promise<void>;
  stop(): Promise<void>;
}
export function freePort(): Promise<number>;
export function startDatabase(folder: string, options?: { durable?: boolean; port?: number }): Promise<Database>;
export function databaseVariables(database: Database): Readonly<Record<string, string>>;
