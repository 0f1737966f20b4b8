import { CoreError } from '../../units/index.ts';
import type { SurfaceStation, SurfaceThing } from './thing.ts';

/** What a builder calls the size of a surface: its greatest numbers. Lengths along the panels. */
export interface SurfaceMeasures {
  /** From tip to tip along the panels; a fin's height. */
  readonly spanMm: number;
  readonly rootChordMm: number;
  readonly tipChordMm: number;
  /** The tip's leading edge, aft of the root's. */
  readonly sweepMm: number;
  /** Of the outermost panel. */
  readonly angleDegrees: number;
}

const halves = ({ kind }: SurfaceThing): number => (kind === 'fin' ? 1 : 2);

/** The sizes that a surface goes by. */
export function surfaceMeasures(surface: SurfaceThing): SurfaceMeasures {
  const root = surface.stations[0]!,
    tip = surface.stations.at(-1)!;
  return {
    spanMm: halves(surface) * tip.outMm,
    rootChordMm: root.chordMm,
    tipChordMm: tip.chordMm,
    sweepMm: tip.sweepMm,
    angleDegrees: surface.angles.at(-1)!,
  };
}

/** Numbers of one station among others, spread between the ends so that edges that were straight stay straight. */
function between(
  stations: readonly SurfaceStation[],
  of: (station: SurfaceStation) => number,
  root: number,
  tip: number,
): readonly number[] {
  const [first, last] = [stations[0]!, stations.at(-1)!];
  const shift = (share: number): number => (1 - share) * (root - of(first)) + share * (tip - of(last));
  return stations.map((station) => of(station) + shift(station.outMm / last.outMm));
}

/**
 * A surface with one of its sizes changed: what lies between root and tip follows.
 * @throws CoreError OUT_OF_RANGE for a span or root chord that is not above 0, or a chord below 0 anywhere
 */
export function withMeasure(surface: SurfaceThing, key: keyof SurfaceMeasures, value: number): SurfaceThing {
  const now = surfaceMeasures(surface),
    { stations } = surface;
  switch (key) {
    case 'spanMm': {
      if (!(value > 0)) throw new CoreError('OUT_OF_RANGE', `${surface.name} needs a span above 0, got ${value}.`);
      const factor = value / now.spanMm;
      return {
        ...surface,
        stations: stations.map((station) => ({ ...station, outMm: station.outMm * factor })),
        ...(surface.control
          ? {
              control: {
                ...surface.control,
                fromMm: surface.control.fromMm * factor,
                toMm: surface.control.toMm * factor,
              },
            }
          : {}),
      };
    }
    case 'rootChordMm':
    case 'tipChordMm': {
      const chords = between(
        stations,
        ({ chordMm }) => chordMm,
        key === 'rootChordMm' ? value : now.rootChordMm,
        key === 'tipChordMm' ? value : now.tipChordMm,
      );
      if (chords.some((chord) => !(chord >= 0)) || !(chords[0]! > 0))
        throw new CoreError('OUT_OF_RANGE', `A chord of ${surface.name} would be below 0.`);
      return { ...surface, stations: stations.map((station, index) => ({ ...station, chordMm: chords[index]! })) };
    }
    case 'sweepMm': {
      const sweeps = between(stations, ({ sweepMm }) => sweepMm, 0, value);
      return { ...surface, stations: stations.map((station, index) => ({ ...station, sweepMm: sweeps[index]! })) };
    }
    case 'angleDegrees':
      // A flat middle stays flat: only panels that stand at an angle, or the only one, are turned.
      return {
        ...surface,
        angles: surface.angles.map((angle, index) =>
          index === surface.angles.length - 1 || angle === now.angleDegrees ? value : angle,
        ),
      };
  }
}

/** Leading edge and chord of a surface some way out, straight between its stations; held at the ends beyond them. */
export function chordAt(
  { stations }: SurfaceThing,
  outMm: number,
): { readonly sweepMm: number; readonly chordMm: number } {
  const upper = stations.findIndex((station) => station.outMm >= outMm);
  if (upper <= 0) return upper === 0 ? stations[0]! : stations.at(-1)!;
  const a = stations[upper - 1]!,
    b = stations[upper]!,
    share = b.outMm === a.outMm ? 1 : (outMm - a.outMm) / (b.outMm - a.outMm);
  return {
    sweepMm: a.sweepMm + share * (b.sweepMm - a.sweepMm),
    chordMm: a.chordMm + share * (b.chordMm - a.chordMm),
  };
}
