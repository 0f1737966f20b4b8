import { ref, shallowRef, watch } from 'vue';
import { distance, type Point } from '@grain-fold/core/geometry';
import { nearestEnd } from './nearest-end.ts';
import type { BringIn } from './use-bring-in.ts';

/** A length of the drawing that is known: its ends are picked on the mat, where points of lines catch, and the drawing is sized by it. */
export function useKnownLength({ drawing, options, scale }: BringIn, reachMm: () => number) {
  /** Its ends, on the drawing as it is sized now. */
  const picked = shallowRef<readonly Point[]>([]);
  const isPicking = ref(false);
  const hover = shallowRef<Point>();

  const caught = (at: Point): Point =>
    nearestEnd(Object.values(drawing.value?.shown ?? {}), scale.value, at, reachMm()) ?? at;
  function start(): void {
    picked.value = [];
    isPicking.value = true;
  }
  function press(at: Point): void {
    picked.value = [...picked.value, caught(at)].slice(-2);
    isPicking.value = picked.value.length < 2;
    hover.value = undefined;
  }
  function move(at: Point): void {
    hover.value = isPicking.value ? caught(at) : undefined;
  }
  function drop(): void {
    isPicking.value = false;
    hover.value = undefined;
  }
  /** The drawing is scaled so that what was picked is as long as it is known to be. */
  function set(lengthMm: number): void {
    const [a, b] = picked.value;
    const length = a && b ? distance(a, b) : 0;
    if (length > 0) options.factor *= lengthMm / length;
  }
  // What was picked grows with the drawing; on another drawing it means nothing.
  watch(scale, (now, before) => {
    picked.value = picked.value.map(({ x, y }) => ({ x: (x * now) / before, y: (y * now) / before }));
  });
  watch(
    () => drawing.value?.bounds,
    () => {
      picked.value = [];
      drop();
    },
  );
  return { picked, isPicking, hover, start, press, move, drop, set };
}
