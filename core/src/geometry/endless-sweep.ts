import { Clipper64 } from 'clipper2-ts';

/**
 * The clipping library sweeps a line over the rings it is given. On a ring that runs back over one of its own level edges the sweep may stand
 * still for ever. Here it is given up after so many stops for each point it was given; it makes two or three.
 */
const STOPS_A_POINT = 100,
  STOPS_FOR_ALL = 10_000;

class Endless extends Error {}

/** The library's own method that goes on to the next stop, which its types do not tell. */
interface Sweep {
  popScanline(): unknown;
}
const engine = Object.getPrototypeOf(Clipper64.prototype) as Sweep;
const { popScanline } = engine;
let stopsLeft = Infinity;
engine.popScanline = function (this: Sweep) {
  stopsLeft -= 1;
  if (stopsLeft < 0) throw new Endless();
  return popScanline.call(this);
};

/**
 * Does a sweep over so many points.
 * @returns undefined when it stands still
 */
export function swept<T>(points: number, sweep: () => T): T | undefined {
  stopsLeft = STOPS_FOR_ALL + STOPS_A_POINT * points;
  try {
    const done = sweep();
    // The library takes some errors for an empty result.
    return stopsLeft < 0 ? undefined : done;
  } catch (error) {
    if (error instanceof Endless) return undefined;
    throw error;
  } finally {
    stopsLeft = Infinity;
  }
}
