import type { BodyParameters } from './parameters.ts';

/** A body of another size: its own lengths scale; what follows board, dowel, wire or what is put in does not. */
export const scaleBody = (body: BodyParameters, factor: number): BodyParameters => ({
  ...body,
  stations: body.stations.map((station) => ({
    ...station,
    aftMm: station.aftMm * factor,
    bottomMm: station.bottomMm * factor,
    topMm: station.topMm * factor,
    widthMm: station.widthMm * factor,
  })),
  formers: body.formers.map((former) => ({ ...former, aftMm: former.aftMm * factor, rimMm: former.rimMm * factor })),
  doublers: body.doublers.map((one) => ({ ...one, fromMm: one.fromMm * factor, toMm: one.toMm * factor })),
  bays: body.bays.map((bay) => ({ ...bay, fromMm: bay.fromMm * factor })),
  openings: body.openings.map((one) => ({ ...one, aftMm: one.aftMm * factor, upMm: one.upMm * factor })),
  ...(body.hatch
    ? { hatch: { ...body.hatch, fromMm: body.hatch.fromMm * factor, toMm: body.hatch.toMm * factor } }
    : {}),
  ...(body.gear ? { gear: { ...body.gear, aftMm: body.gear.aftMm * factor } } : {}),
  ...(body.skid
    ? {
        skid: {
          aftMm: body.skid.aftMm * factor,
          lengthMm: body.skid.lengthMm * factor,
          depthMm: body.skid.depthMm * factor,
        },
      }
    : {}),
  ...(body.tray ? { tray: { ...body.tray, fromMm: body.tray.fromMm * factor, toMm: body.tray.toMm * factor } } : {}),
  ...(body.balanceMm === undefined ? {} : { balanceMm: body.balanceMm * factor }),
});

/** The sheets that a body's parts are cut from. */
export const bodyMaterials = ({ material, plateMaterial, formers }: BodyParameters): readonly string[] => [
  material,
  plateMaterial,
  ...formers.flatMap((former) => (former.material === undefined ? [] : [former.material])),
];

/** The wings, tails and power boxes that sit in a body. */
export const bodyReads = ({ seats, boxIds = [] }: BodyParameters): readonly string[] => [
  ...seats.map(({ formId }) => formId),
  ...boxIds,
];
