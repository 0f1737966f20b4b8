import { ERROR_CODES, type Conflict, type ErrorCode, type FieldFault, type Problem } from '@grain-fold/contract';

/** An error with a code of the catalogue; the one kind that services throw on purpose. */
export class ServerProblem extends Error {
  override readonly name = 'ServerProblem';
  constructor(
    readonly code: ErrorCode,
    detail: string = ERROR_CODES[code].title,
    readonly more: {
      readonly fields?: readonly FieldFault[];
      readonly conflicts?: readonly Conflict[];
      /** When the same may be asked again. */
      readonly retryAfterSeconds?: number;
    } = {},
  ) {
    super(detail);
  }

  toJSON(): Problem {
    const { status, title, mend } = ERROR_CODES[this.code];
    const { retryAfterSeconds: _seconds, ...more } = this.more;
    return { type: 'about:blank', status, code: this.code, title, detail: this.message, mend, ...more };
  }
}
