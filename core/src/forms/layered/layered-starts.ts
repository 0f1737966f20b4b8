import { MM_PER_INCH, type LengthUnit } from '../../units/index.ts';
import type { LayeredParameters, LayeredStation } from './parameters.ts';

/** The few numbers that a profile body starts from. */
export interface LayeredStart {
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly tailHeightMm: number;
  readonly layers: number;
  readonly material: string;
}

/** Numbers to begin with. */
export const usualLayered = (unit: LengthUnit): Omit<LayeredStart, 'material'> =>
  unit === 'in'
    ? { lengthMm: 25 * MM_PER_INCH, heightMm: 3.25 * MM_PER_INCH, tailHeightMm: 1.25 * MM_PER_INCH, layers: 3 }
    : { lengthMm: 640, heightMm: 84, tailHeightMm: 32, layers: 3 };

const rounded = (mm: number): number => Math.round(mm * 10) / 10;
/** Usual place of a pack, in shares of the length and the height. */
const PACK = { from: 0.12, length: 0.15, height: 0.45 } as const;

/** How high the top of its tail lies, as a share of the height. */
export const TAIL_TOP_SHARE = 0.92;

/** A profile body of a few numbers: deepest before the wing, its tail risen, with a bay for a pack in all but the outer layers. */
export function layeredFromNumbers({
  lengthMm,
  heightMm,
  tailHeightMm,
  layers,
  material,
}: LayeredStart): LayeredParameters {
  const station = (id: string, share: number, bottomMm: number, topMm: number): LayeredStation => ({
    id,
    aftMm: rounded(share * lengthMm),
    bottomMm: rounded(bottomMm),
    topMm: rounded(topMm),
  });
  const top = TAIL_TOP_SHARE * heightMm;
  return {
    material,
    layers,
    topLine: 'curved',
    bottomLine: 'curved',
    stations: [
      station('q1', 0, 0.25 * heightMm, 0.75 * heightMm),
      station('q2', 0.12, 0.03 * heightMm, 0.96 * heightMm),
      station('q3', 0.3, 0, heightMm),
      station('q4', 0.55, 0.16 * heightMm, 0.97 * heightMm),
      station('q5', 1, top - tailHeightMm, top),
    ],
    openings:
      layers > 1
        ? [
            {
              id: 'o1',
              name: 'Pack',
              kind: 'bay',
              side: 'both',
              fromLayer: layers > 2 ? 2 : 1,
              toLayer: 4,
              fromMm: rounded(PACK.from * lengthMm),
              lengthMm: rounded(PACK.length * lengthMm),
              upMm: rounded(heightMm / 2),
              heightMm: rounded(PACK.height * heightMm),
            },
          ]
        : [],
    reaches: [],
    slits: [],
    seats: [],
  };
}
