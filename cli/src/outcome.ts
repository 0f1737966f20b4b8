import type { EXIT_CODES } from './cli-error.ts';

/** What a command ends with: JSON for standard output, or text that is printed as it is. */
export interface CommandOutcome {
  readonly exit: keyof typeof EXIT_CODES;
  readonly result?: unknown;
  readonly text?: string;
}
