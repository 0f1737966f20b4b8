/** Why a command ended without its result, and the exit code that says so. */
export const EXIT_CODES = { OK: 0, FAULTS: 1, USAGE: 2, FILE: 3, UNPLACED: 4, FAILED: 5 } as const;

/** An error that is told in one line, without a stack. */
export class CliError extends Error {
  override readonly name = 'CliError';
  constructor(
    readonly code: keyof typeof EXIT_CODES,
    message: string,
    readonly fields: readonly { readonly field: string; readonly message: string }[] = [],
  ) {
    super(message);
  }
}
