import { type StandingPiece } from '../../folds/index.ts';
import type { Point, Polygon } from '../../geometry/index.ts';
import {
  alongPlaces,
  byBeginning,
  cutRings,
  straightened,
  type LeaningPlane,
  type Miss,
  type Reach,
} from '../standing/index.ts';
import type { Strut } from './parameters.ts';

/** Foam nearer than this in one plane is one plate, in mm. */
const ONE_PLATE_MM = 0.06;
/** Beside a corner of what it stands on, so far to either side, in mm. */
const BESIDE_MM = 1e-4;
/** An end shorter than this holds nothing, in mm. */
const LEAST_END_MM = 4;

/** What stands at a place of a cut, from below. */
type Stack = readonly (readonly [low: number, high: number])[];

/** A ring of a cut, with where it begins and ends: a plate with round holes is hundreds of them. */
interface CutRing extends Reach {
  readonly ring: Polygon;
}

/** The rings of a cut, by where they begin. */
const cutRingsOf = (pieces: readonly StandingPiece[], plane: LeaningPlane): readonly CutRing[] =>
  byBeginning(
    cutRings(pieces, plane).map((ring) => {
      const xs = ring.map(({ x }) => x);
      return { ring, minX: Math.min(...xs), maxX: Math.max(...xs) };
    }),
  );

/** From where to where a ring of a cut reaches up at a place; undefined where it does not. */
function spanAt({ ring, minX, maxX }: CutRing, x: number): readonly [low: number, high: number] | undefined {
  if (x < minX || x > maxX) return undefined;
  let [low, high] = [Infinity, -Infinity];
  ring.forEach((p, index) => {
    const q = ring[(index + 1) % ring.length]!;
    if (x < Math.min(p.x, q.x) || x > Math.max(p.x, q.x)) return;
    const isUpright = Math.abs(q.x - p.x) < 1e-9,
      y = p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x);
    low = Math.min(low, isUpright ? Math.min(p.y, q.y) : y);
    high = Math.max(high, isUpright ? Math.max(p.y, q.y) : y);
  });
  return low <= high ? [low, high] : undefined;
}

/** The plates that a line up meets at a place along a cut, from below. */
const stackAt = (rings: readonly CutRing[], x: number): Stack =>
  rings
    .flatMap((ring) => {
      const span = spanAt(ring, x);
      return span ? [span] : [];
    })
    .sort((a, b) => a[0] - b[0])
    .reduce<(readonly [number, number])[]>((stack, span) => {
      const last = stack.at(-1);
      if (last && span[0] <= last[1] + ONE_PLATE_MM) stack[stack.length - 1] = [last[0], Math.max(last[1], span[1])];
      else stack.push(span);
      return stack;
    }, []);

/** The outermost face at a place of a cut, above or below. */
function outermostAt(rings: readonly CutRing[], x: number, isUpper: boolean): number | undefined {
  let best: number | undefined;
  for (const ring of rings) {
    const face = spanAt(ring, x)?.[isUpper ? 1 : 0];
    if (face !== undefined && (best === undefined || (isUpper ? face > best : face < best))) best = face;
  }
  return best;
}

/** The end of a strut on one of the things that it stands between. */
export interface StrutEnd {
  /** Along which it is cut, from its fore edge aft. */
  readonly line: readonly Point[];
  readonly fromMm: number;
  readonly toMm: number;
  /** Aft of the nose of the section. */
  readonly behindNoseMm: number;
  /** How far the surface rises square to the strut's plate for each mm along the plate's normal. */
  readonly rise: number;
  /** How thick the sheet is that it goes through; 0 where it stands on the outside. */
  readonly throughMm: number;
}

/** Which end: what it stands on lies below it or over it. */
export type EndSide = 'lower' | 'upper';

/** The face of what stands there that an end meets at a place, and the sheet that it goes through on its way. */
function faceAt(
  rings: readonly CutRing[],
  x: number,
  side: EndSide,
  on: Strut['lowerOn'],
): readonly [face: number, through: number] | undefined {
  if (on === 'outside') {
    const face = outermostAt(rings, x, side === 'lower');
    return face === undefined ? undefined : [face, 0];
  }
  const stack = stackAt(rings, x),
    [outer, inner] = side === 'lower' ? [...stack].reverse() : stack;
  return outer && inner ? [inner[side === 'lower' ? 1 : 0], outer[1] - outer[0]] : undefined;
}

/**
 * Where an end of a strut meets what it stands on, in the strut's own plane.
 * @param shares of the section from its nose, in per cent
 */
export function strutEnd(
  pieces: readonly StandingPiece[],
  plane: LeaningPlane,
  side: EndSide,
  shares: readonly [from: number, to: number],
  on: Strut['lowerOn'],
): StrutEnd | Miss {
  const rings = cutRingsOf(pieces, plane),
    xs = rings.flatMap(({ ring }) => ring.map(({ x }) => x));
  const word = side === 'lower' ? 'below' : 'above';
  if (xs.length === 0)
    return {
      code: 'NOTHING_THERE',
      title: `Nothing stands ${word} so far out`,
      detail: 'What the strut stands between does not reach there: set it further in.',
    };
  const [nose, tail] = [Math.min(...xs), Math.max(...xs)],
    at = (percent: number): number => nose + ((tail - nose) * Math.min(99.5, Math.max(0.5, percent))) / 100,
    [fromMm, toMm] = [at(shares[0]), at(shares[1])];
  if (toMm - fromMm < LEAST_END_MM)
    return {
      code: 'END_SHORT',
      title: `Its end ${word} goes from ${shares[0]} % to ${shares[1]} %`,
      detail: 'That leaves too little to stand on: give it more of the section.',
      mend: {
        label: `Let it go to ${Math.min(100, shares[0] + 30)} %`,
        key: side === 'lower' ? 'lowerToPercent' : 'upperToPercent',
        value: Math.min(100, shares[0] + 30),
      },
    };
  const places = [
    ...new Set([
      fromMm,
      toMm,
      ...xs.flatMap((x) => [x - BESIDE_MM, x, x + BESIDE_MM]).filter((x) => x > fromMm && x < toMm),
    ]),
  ].sort((a, b) => a - b);
  const faces = alongPlaces(rings, places, (x, there) => ({ x, face: faceAt(there, x, side, on) }));
  if (faces.some(({ face }) => face === undefined))
    return {
      code: 'NO_INNER_PLATE',
      title: `There is no inner plate ${word}`,
      detail:
        'Under its outer sheet nothing lies all along the end: let it stand on the outside, or take less of the section.',
      mend: { label: 'Let it stand on the outside', key: side === 'lower' ? 'lowerOn' : 'upperOn', value: 'outside' },
    };
  const middle = (fromMm + toMm) / 2,
    shifted = (mm: number): number | undefined => {
      const { through, up } = plane,
        moved = { ...plane, through: { y: through.y - mm * up.z, z: through.z + mm * up.y } };
      return faceAt(cutRingsOf(pieces, moved), middle, side, on)?.[0];
    };
  const own = faceAt(rings, middle, side, on)![0],
    [before, behind] = [shifted(-1), shifted(1)];
  return {
    line: straightened(faces.map(({ x, face }) => ({ x, y: face![0] }))),
    fromMm,
    toMm,
    behindNoseMm: fromMm - nose,
    rise:
      before !== undefined && behind !== undefined
        ? (behind - before) / 2
        : behind !== undefined
          ? behind - own
          : before !== undefined
            ? own - before
            : 0,
    throughMm: Math.max(...faces.map(({ face }) => face![1])),
  };
}
