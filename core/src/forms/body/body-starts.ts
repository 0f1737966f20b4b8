import type { BodyThing } from '../../plan/index.ts';
import type { LengthUnit } from '../../units/index.ts';
import { MM_PER_INCH } from '../../units/index.ts';
import type { BodyForm } from './body-form.ts';
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
const rounded = (mm: number): number => Math.round(mm * 10) / 10;

/** What a body is beside its lines, as it is usual. */
const usual = (material: string): Omit<BodyParameters, 'stations' | 'formers'> => ({
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

/** Formers at both ends and at the stations between. */
function formersAt(stations: readonly BodyStation[], boardMm: number): readonly BodyFormer[] {
  return stations.map(({ aftMm, topMm, bottomMm, widthMm }, index): BodyFormer => {
    const isEnd = index === 0 || index === stations.length - 1,
      room = Math.min(topMm - bottomMm, widthMm) - 2 * boardMm;
    return {
      id: `f${index + 1}`,
      aftMm: rounded(index === stations.length - 1 ? aftMm - boardMm : aftMm),
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
  return { ...usual(material), stations, formers: formersAt(stations, boardMm) };
}

/** A form made from a planned body. */
export function bodyFromPlanned(
  thing: BodyThing,
  id: string,
  name: string,
  material: string,
  boardMm: number,
): BodyForm {
  const stations = thing.stations.map((station, index): BodyStation => ({
    id: `s${index + 1}`,
    aftMm: rounded(station.aftMm),
    topMm: rounded(station.topMm),
    bottomMm: rounded(station.bottomMm),
    widthMm: rounded(Math.max(station.widthMm, 4)),
  }));
  return {
    id,
    kind: 'body',
    name,
    parameters: { ...usual(material), stations, formers: formersAt(stations, boardMm) },
    place: { at: { ...thing.at, y: 0 }, incidenceDegrees: 0 },
    plannedId: thing.id,
  };
}
