/** Letters and digits that are drawn like a Latin letter, lower case. */
const DRAWN_LIKE: Readonly<Record<string, string>> = Object.fromEntries(
  (
    [
      ['a', 'аα'],
      ['b', 'вβ'],
      ['c', 'сϲ'],
      ['d', 'ԁ'],
      ['e', 'еε'],
      ['h', 'һнη'],
      ['j', 'ј'],
      ['k', 'кκ'],
      ['l', 'iıіιӏ1'],
      ['m', 'м'],
      ['n', 'п'],
      ['o', 'оο0'],
      ['p', 'рρ'],
      ['q', 'ԛ'],
      ['r', 'г'],
      ['s', 'ѕ'],
      ['t', 'тτ'],
      ['u', 'υ'],
      ['v', 'ѵν'],
      ['w', 'ѡω'],
      ['x', 'хχ'],
      ['y', 'уγ'],
    ] as const
  ).flatMap(([latin, others]) => [...others].map((other) => [other, latin])),
);

/**
 * A name by its looks: two names that a reader would take for one are the same here. Without regard to case, accents, the width of letters and
 * spaces; letters of other scripts and digits that are drawn like a Latin letter count as it.
 */
export const foldedName = (name: string): string =>
  [...name.normalize('NFKC').trim().toLowerCase().normalize('NFD').replace(/\p{M}/gu, '').replace(/\s+/gu, ' ')]
    .map((letter) => DRAWN_LIKE[letter] ?? letter)
    .join('');
