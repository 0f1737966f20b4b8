import { MM_PER_INCH, type LengthUnit } from '../../units/index.ts';
import type { BodyParameters } from '../body/index.ts';
import { MOST_DECK_SECTIONS, type DeckParameters, type DeckSection } from './parameters.ts';

/** The few numbers that a deck starts from. */
export interface DeckStart {
  readonly lengthMm: number;
  readonly foreWidthMm: number;
  readonly foreRiseMm: number;
  readonly aftWidthMm: number;
  readonly aftRiseMm: number;
  readonly material: string;
}

/** Numbers to begin with. */
export const usualDeck = (unit: LengthUnit): Omit<DeckStart, 'material'> =>
  unit === 'in'
    ? {
        lengthMm: 7 * MM_PER_INCH,
        foreWidthMm: 3.5 * MM_PER_INCH,
        foreRiseMm: 1.75 * MM_PER_INCH,
        aftWidthMm: 2.75 * MM_PER_INCH,
        aftRiseMm: 1.25 * MM_PER_INCH,
      }
    : { lengthMm: 180, foreWidthMm: 90, foreRiseMm: 45, aftWidthMm: 70, aftRiseMm: 32 };

/** Half an ellipse. */
const ELLIPSE_PERCENT = 50;
const RIM_MM = 8;

/** A deck between two half ellipses, with a former under either end. */
export function deckFromNumbers({
  lengthMm,
  foreWidthMm,
  foreRiseMm,
  aftWidthMm,
  aftRiseMm,
  material,
}: DeckStart): DeckParameters {
  const section = (id: string, aftMm: number, widthMm: number, riseMm: number): DeckSection => ({
    id,
    aftMm,
    widthMm,
    riseMm,
    sillMm: 0,
    fullPercent: ELLIPSE_PERCENT,
  });
  return {
    material,
    sections: [section('c1', 0, foreWidthMm, foreRiseMm), section('c2', lengthMm, aftWidthMm, aftRiseMm)],
    sheets: 'each bay',
    skins: 'outer',
    hasFormers: true,
    rimMm: RIM_MM,
  };
}

/** How high a deck rises over its sills, as a share of half its width. */
const RISE_SHARE = 0.8;

/** As many stations as a deck has sections, the first and the last among them. */
function spread(stations: BodyParameters['stations']): BodyParameters['stations'] {
  if (stations.length <= MOST_DECK_SECTIONS) return stations;
  return Array.from(
    { length: MOST_DECK_SECTIONS },
    (_, index) => stations[Math.round((index * (stations.length - 1)) / (MOST_DECK_SECTIONS - 1))]!,
  );
}

/** A deck that closes a body which is open above: as wide as it is, and on its walls, at its stations. */
export function deckOverBody({ stations }: BodyParameters, material: string): DeckParameters {
  return {
    ...deckFromNumbers({ ...usualDeck('mm'), material }),
    sections: spread(stations).map(({ aftMm, widthMm, topMm }, index): DeckSection => ({
      id: `c${index + 1}`,
      aftMm,
      widthMm,
      riseMm: Math.round(10 * RISE_SHARE * (widthMm / 2)) / 10,
      sillMm: topMm,
      fullPercent: ELLIPSE_PERCENT,
    })),
  };
}
