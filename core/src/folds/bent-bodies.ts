import type { FlatPlates } from './plates.ts';

/** Plates between which the board only bends are one body: for each plate the least number of its body's plates. */
export function bentBodies({ plates, hinges }: Pick<FlatPlates, 'plates' | 'hinges'>): readonly number[] {
  const body = plates.map(({ index }) => index);
  const bends = hinges.filter(({ kind }) => kind === 'bend');
  for (let isSettled = bends.length === 0; !isSettled;) {
    isSettled = true;
    for (const { left, right } of bends) {
      const least = Math.min(body[left]!, body[right]!);
      if (body[left] !== least || body[right] !== least) isSettled = false;
      body[left] = body[right] = least;
    }
  }
  return body;
}
