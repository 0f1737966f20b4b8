/** Which skins stay on a board that is rolled. */
export const ROLLS: readonly (readonly [string, string, string])[] = [
  ['outer', 'inner skin peeled', 'Tight curves: the foam gives way inside, the outer skin keeps the length.'],
  ['both', 'both skins on', 'Wide curves only: the inner skin wrinkles in tight ones.'],
  ['inner', 'outer skin peeled', 'The inner skin keeps the length, the foam opens outside.'],
  ['none', 'bare foam', 'Keeps its length half way down: pressed inside, stretched outside.'],
];
