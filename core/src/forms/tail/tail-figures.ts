import { centroid, intersectionOf, polygonArea, type Polygon } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { radians } from '../../units/index.ts';
import { areaFrom, partMass } from '../form/index.ts';
import { roomSize } from './tail-advice.ts';
import { elevatorRelief, rudderRelief } from './relief.ts';
import { joinerOf, type Joiner } from './tail-parts.ts';
import type { CutPlate, TailSite } from './tail-site.ts';

/** How far what moves goes, at its tail in the middle or at its foot. */
export interface Throw {
  readonly degrees: number;
  /** Straight from rest, at the tail edge. */
  readonly mm: number;
}

/** Everything that a tail tells of itself. Areas are of all its plates. */
export interface TailFigures {
  readonly spanMm: number;
  readonly levelMm2: number;
  /** Of it, what moves, as a share. */
  readonly elevatorShare: number;
  readonly uprightMm2: number;
  readonly rudderShare: number;
  readonly up?: Throw;
  readonly down?: Throw;
  readonly side?: Throw;
  /** What the elevator loses on each side, and what the rudder loses: along the tail, and across it or up. */
  readonly elevatorLoses?: { readonly alongMm: number; readonly acrossMm: number };
  readonly rudderLoses?: { readonly alongMm: number; readonly acrossMm: number };
  readonly elevatorReliefDegrees?: number;
  readonly rudderReliefDegrees?: number;
  readonly joiner?: Joiner;
  readonly hingeMm: number;
  readonly foamMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
}

const thrown = (chordMm: number, degrees: number): Throw => ({
  degrees,
  mm: 2 * chordMm * Math.sin(radians(degrees) / 2),
});
/** What of a room was board. */
const lost = (plate: CutPlate | undefined): { readonly alongMm: number; readonly acrossMm: number } | undefined => {
  const rings = (plate?.rooms ?? []).flatMap((room) => intersectionOf([plate!.outline.ring], [room]));
  const port: Polygon | undefined = rings.sort((a, b) => polygonArea(b) - polygonArea(a))[0];
  return port && roomSize(port);
};

/** The figures of a tail whose parts are made. */
export function tailFigures(site: TailSite, parts: readonly Part[]): TailFigures {
  const { tail, stabiliser, elevator, fin, rudder, form } = site,
    joiner = joinerOf(site),
    elevatorLoses = lost(elevator),
    rudderLoses = lost(rudder);
  const area = (plate: CutPlate | undefined, times = 1): number =>
    plate?.left[0] ? times * polygonArea(plate.left[0]) : 0;
  const fins = tail.fin?.place === 'tips' ? 2 : 1;
  const elevatorMm2 = area(elevator, tail.elevator?.halves === 'two' ? 2 : 1),
    levelMm2 = area(stabiliser) + elevatorMm2,
    rudderMm2 = area(rudder, fins),
    uprightMm2 = area(fin, fins) + rudderMm2;
  const plates: readonly (readonly [string, CutPlate | undefined, boolean])[] = [
    ['stabiliser', stabiliser, false],
    ['elevator', elevator, false],
    ['fin', fin, true],
    ['rudder', rudder, true],
  ];
  const masses = parts.map((part) => {
    const found = plates.find(([role]) => role === part.source!.role)!,
      middle = centroid(found[1]!.left[0]!);
    const up = found[2] ? middle.y : site.board.thicknessMm / 2;
    return { massG: partMass(part, site), x: form.place.at.x + middle.x, z: form.place.at.z + up };
  });
  const massG = masses.reduce((sum, one) => sum + one.massG, 0),
    along = (key: 'x' | 'z'): number => masses.reduce((sum, one) => sum + one.massG * one[key], 0) / massG;
  return {
    spanMm: tail.stabiliser.spanMm,
    levelMm2,
    elevatorShare: elevatorMm2 / levelMm2,
    uprightMm2,
    rudderShare: uprightMm2 > 0 ? rudderMm2 / uprightMm2 : 0,
    ...(tail.elevator
      ? {
          up: thrown(tail.elevator.rootMm, tail.elevator.upDegrees),
          down: thrown(tail.elevator.rootMm, tail.elevator.downDegrees),
          elevatorReliefDegrees: elevatorRelief(tail).degrees,
        }
      : {}),
    ...(rudder
      ? {
          side: thrown(tail.rudder!.rootMm, tail.rudder!.travelDegrees),
          rudderReliefDegrees: rudderRelief(tail).degrees,
        }
      : {}),
    ...(elevatorLoses ? { elevatorLoses } : {}),
    ...(rudderLoses ? { rudderLoses } : {}),
    ...(joiner ? { joiner } : {}),
    hingeMm: (elevator ? tail.stabiliser.spanMm : 0) + (rudder ? fins * tail.fin!.heightMm : 0),
    foamMm2: areaFrom(parts, tail.material),
    massG,
    massAt: { x: along('x'), z: along('z') },
  };
}
