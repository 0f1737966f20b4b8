import type { RoundParameters } from './parameters.ts';

/** A round of another size. */
export const scaleRound = (round: RoundParameters, factor: number): RoundParameters => ({
  ...round,
  stations: round.stations.map((one) => ({
    ...one,
    aftMm: one.aftMm * factor,
    acrossMm: one.acrossMm * factor,
  })),
  rings: round.rings.map((ring) => ({ ...ring, aftMm: ring.aftMm * factor, rimMm: ring.rimMm * factor })),
});

/** The sheets that a round's parts are cut from. */
export const roundMaterials = ({ material, rings }: RoundParameters): readonly string[] => [
  material,
  ...rings.flatMap((ring) => (ring.material === undefined ? [] : [ring.material])),
];
