import type { LengthUnit } from '../../units/index.ts';
import { MM_PER_INCH } from '../../units/index.ts';
import type { BodyFormer, BodyParameters, BodySeat, BodyStation } from './parameters.ts';

/** The few numbers that a body starts from. */
export interface BodyStart {
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly widthMm: number;
  /** At the nose and at the tail. */
  readonly noseHeightMm: number;
  readonly tailHeightMm: number;
  readonly tailWidthMm: number;
  readonly material: string;
}

/** Numbers to begin with. */
export const usualBody = (unit: LengthUnit): Omit<BodyStart, 'material'> =>
  unit === 'in'
    ? {
        lengthMm: 28 * MM_PER_INCH,
        heightMm: 3.5 * MM_PER_INCH,
        widthMm: 2.5 * MM_PER_INCH,
        noseHeightMm: 2.5 * MM_PER_INCH,
        tailHeightMm: 1.5 * MM_PER_INCH,
        tailWidthMm: 1 * MM_PER_INCH,
      }
    : { lengthMm: 640, heightMm: 90, widthMm: 64, noseHeightMm: 62, tailHeightMm: 36, tailWidthMm: 26 };

/** How a wing sits where nothing else is said: glued. */
export const USUAL_SEAT: Omit<BodySeat, 'id' | 'formId'> = {
  hold: 'none',
  dowelMm: 4,
  aheadMm: 12,
  behindMm: 12,
  inMm: 16,
};

/** Shares of the length where the full height begins and ends. */
const FULL_FROM = 0.25;
const FULL_TO = 0.5;
export const rounded = (mm: number): number => Math.round(mm * 10) / 10;

/** What a body is beside its lines, as it is usual. */
export const usualFittings = (material: string): Omit<BodyParameters, 'stations' | 'formers'> => ({
  material,
  plateMaterial: material,
  topLine: 'straight',
  bottomLine: 'straight',
  widthLine: 'straight',
  corners: 'between',
  lid: 'between',
  seats: [],
  doublers: [],
  bays: [],
  openings: [],
});

/** How far the insides of the sheets end before the tail, where these lean: the last former stands wholly on them, in mm. */
function leanAtTail(stations: readonly BodyStation[], boardMm: number): number {
  const [a, b] = stations.slice(-2) as [BodyStation, BodyStation],
    run = b.aftMm - a.aftMm;
  const slopes = [b.bottomMm - a.bottomMm, b.topMm - a.topMm, (b.widthMm - a.widthMm) / 2];
  return boardMm * Math.max(...slopes.map((slope) => Math.abs(Math.sin(Math.atan2(slope, run)))));
}

/** Formers at both ends and at the stations between. */
export function formersAt(stations: readonly BodyStation[], boardMm: number): readonly BodyFormer[] {
  return stations.map(({ aftMm, topMm, bottomMm, widthMm }, index): BodyFormer => {
    const isTail = index === stations.length - 1,
      isEnd = index === 0 || isTail,
      room = Math.min(topMm - bottomMm, widthMm) - 2 * boardMm;
    return {
      id: `f${index + 1}`,
      aftMm: isTail ? Math.floor(10 * (aftMm - boardMm - leanAtTail(stations, boardMm))) / 10 : rounded(aftMm),
      boards: 1,
      rimMm: isEnd || room < 40 ? 0 : 10,
      leadMm: 0,
    };
  });
}

/** A box body of a few numbers: a level floor, the top risen from the nose, both tapered to the tail. */
export function bodyFromNumbers(
  { lengthMm, heightMm, widthMm, noseHeightMm, tailHeightMm, tailWidthMm, material }: BodyStart,
  boardMm: number,
): BodyParameters {
  const station = (id: string, share: number, topMm: number, bottomMm: number, wide: number): BodyStation => ({
    id,
    aftMm: rounded(share * lengthMm),
    topMm: rounded(topMm),
    bottomMm: rounded(bottomMm),
    widthMm: rounded(wide),
  });
  const stations = [
    station('s1', 0, noseHeightMm, 0, widthMm),
    station('s2', FULL_FROM, heightMm, 0, widthMm),
    station('s3', FULL_TO, heightMm, 0, widthMm),
    station('s4', 1, heightMm, heightMm - tailHeightMm, tailWidthMm),
  ];
  return { ...usualFittings(material), stations, formers: formersAt(stations, boardMm) };
}
