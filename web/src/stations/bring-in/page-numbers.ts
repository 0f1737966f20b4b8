/**
 * Numbers of pages as a person writes them, or why they are none.
 * @param count of the pages that there are
 * @example pageNumbers('1-3, 7', 12) // [1, 2, 3, 7]
 */
export function pageNumbers(text: string, count: number): readonly number[] | string {
  const numbers: number[] = [];
  for (const word of text.split(',')) {
    const [, first, last] = /^\s*(\d+)\s*(?:[-–]\s*(\d+)\s*)?$/.exec(word) ?? [];
    if (first === undefined) return `"${word.trim()}" is no page: write 1-3, 7.`;
    const from = Number(first),
      to = Number(last ?? first);
    if (from < 1 || to > count || to < from) return `There are pages 1 to ${count}, got ${word.trim()}.`;
    for (let number = from; number <= to; number++) if (!numbers.includes(number)) numbers.push(number);
  }
  return numbers;
}

/** Numbers of pages in words. @example pageWords([1, 2, 3, 7]) // '1–3, 7' */
export function pageWords(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
}
