/** Everything that the server is told from outside. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly database: {
    readonly host: string;
    readonly port: number;
    readonly user: string;
    readonly password: string;
    readonly name: string;
  };
  /** Folder of the built pages; none: only the API is served. */
  readonly pages?: string;
  /** Folder of the demo airframes; none: no demo workshop. */
  readonly demo?: string;
  /** Tries to sign in or up in a minute from one address. */
  readonly signInTries: number;
  /** Names by which the server is asked, beside `localhost` and addresses by number; in lower case. */
  readonly names: readonly string[];
}

/** Reads the configuration from environment variables. @throws Error naming the variable that is missing or wrong */
export function configFrom(env: Readonly<Record<string, string | undefined>>): Config {
  const text = (name: string): string => {
    const value = env[name];
    if (!value) throw new Error(`${name} is not set. Start Grain Fold with npm start, which sets it.`);
    return value;
  };
  const whole = (name: string, value: string): number => {
    const read = Number(value);
    if (!Number.isInteger(read) || read < 0 || read > 65_535)
      throw new Error(`${name} must be a whole number up to 65535, got "${value}".`);
    return read;
  };
  return {
    host: env.HOST ?? '127.0.0.1',
    port: whole('PORT', env.PORT ?? '5180'),
    database: {
      host: text('GRAIN_FOLD_DB_HOST'),
      port: whole('GRAIN_FOLD_DB_PORT', text('GRAIN_FOLD_DB_PORT')),
      user: text('GRAIN_FOLD_DB_USER'),
      password: text('GRAIN_FOLD_DB_PASSWORD'),
      name: text('GRAIN_FOLD_DB_NAME'),
    },
    pages: env.GRAIN_FOLD_PAGES,
    demo: env.GRAIN_FOLD_DEMO || undefined,
    names: [env.HOST ?? '', ...(env.GRAIN_FOLD_NAMES ?? '').split(',')]
      .map((name) => name.trim().toLowerCase())
      .filter((name) => name !== ''),
    signInTries: whole('GRAIN_FOLD_SIGN_IN_TRIES', env.GRAIN_FOLD_SIGN_IN_TRIES ?? '10'),
  };
}
