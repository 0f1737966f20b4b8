import type { BodyThing } from '../../plan/index.ts';
import type { BodyForm } from './body-form.ts';
import { formersAt, rounded, usualFittings } from './body-starts.ts';
import type { BodyParameters, BodyStation } from './parameters.ts';

/** A body is at least so wide, in mm: the plan may end it in a point. */
const LEAST_WIDE_MM = 4;

/** The stations of a planned body; those that there were keep their ids. */
function stationsOf({ stations }: BodyThing, known: readonly BodyStation[]): readonly BodyStation[] {
  const used = new Set(known.map(({ id }) => id));
  let number = known.length;
  const freshId = (): string => {
    do number += 1;
    while (used.has(`s${number}`));
    return `s${number}`;
  };
  return stations.map((station, index): BodyStation => ({
    id: known[index]?.id ?? freshId(),
    aftMm: rounded(station.aftMm),
    topMm: rounded(station.topMm),
    bottomMm: rounded(station.bottomMm),
    widthMm: rounded(Math.max(station.widthMm, LEAST_WIDE_MM)),
  }));
}

/** A body with the lines that the plan gives it; what the plan does not say stays as it is. */
export const withPlannedLines = (body: BodyParameters, thing: BodyThing): BodyParameters => ({
  ...body,
  stations: stationsOf(thing, body.stations),
});

/** A form made from a planned body, which it stays linked to. */
export function bodyFromPlanned(
  thing: BodyThing,
  id: string,
  name: string,
  material: string,
  boardMm: number,
): BodyForm {
  const stations = stationsOf(thing, []);
  return {
    id,
    kind: 'body',
    name,
    parameters: { ...usualFittings(material), stations, formers: formersAt(stations, boardMm) },
    place: { at: { ...thing.at, y: 0 }, incidenceDegrees: 0 },
    plannedId: thing.id,
  };
}

/** A planned body with the lines of the form that was made from it. */
export const plannedBody = (thing: BodyThing, { parameters, place }: BodyForm): BodyThing => ({
  ...thing,
  at: { ...place.at, y: thing.at.y },
  stations: parameters.stations.map(({ aftMm, bottomMm, topMm, widthMm }) => ({ aftMm, bottomMm, topMm, widthMm })),
});
