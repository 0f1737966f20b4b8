/** Codes of the errors that core throws when it is called outside a function's stated range. */
export type CoreErrorCode =
  'OUT_OF_RANGE' | 'NOT_FINITE' | 'NOT_FOUND' | 'BROKEN_PART' | 'BROKEN_PLAN' | 'NOTHING_TO_DO' | 'DEGENERATE';

/** The one error class of core. Expected negatives ("does not fit") are returned values instead. */
export class CoreError extends Error {
  override readonly name = 'CoreError';
  constructor(
    readonly code: CoreErrorCode,
    message: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
  }
}
