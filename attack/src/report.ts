/** What an attack found out, check by check. */
export interface Report {
  /** Counts one check; a bad one is told at once. */
  readonly check: (what: string, isGood: boolean, found?: unknown) => void;
  /** Tells a figure. */
  readonly figure: (what: string, value: unknown) => void;
  /** Counts what was found out elsewhere. */
  readonly add: (lines: readonly string[], passed: number, failed: number) => void;
  readonly passed: number;
  readonly failed: number;
}

export function report(say: (line: string) => void): Report {
  let passed = 0,
    failed = 0;
  return {
    check(what, isGood, found) {
      if (isGood) passed += 1;
      else {
        failed += 1;
        say(`FAIL ${what}${found === undefined ? '' : `: ${JSON.stringify(found).slice(0, 400)}`}`);
      }
    },
    figure: (what, value) => say(`${what}: ${String(value)}`),
    add(lines, morePassed, moreFailed) {
      lines.forEach(say);
      passed += morePassed;
      failed += moreFailed;
    },
    get passed() {
      return passed;
    },
    get failed() {
      return failed;
    },
  };
}

/** The value that so large a share of values do not exceed. */
export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;
