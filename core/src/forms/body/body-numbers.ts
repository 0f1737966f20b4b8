import { numbersUnder, type FormField, type FormNumber } from '../form/index.ts';
import {
  BAY_FIELDS,
  BODY_FIELDS,
  BODY_STATION_FIELDS,
  DOUBLER_FIELDS,
  FORMER_FIELDS,
  GEAR_FIELDS,
  HATCH_FIELDS,
  OPENING_FIELDS,
  SEAT_FIELDS,
  SKID_FIELDS,
  STRIP_FIELDS,
  TRAY_FIELDS,
  type BodyParameters,
} from './parameters.ts';

/** Every number of a body by its path, with its bounds. */
export function bodyNumbers(body: BodyParameters): readonly FormNumber[] {
  const each = (list: readonly unknown[], key: string, fields: Readonly<Record<string, FormField>>) =>
    list.flatMap((_, index) => numbersUnder(`${key}.${index}.`, fields));
  return [
    ...numbersUnder('', BODY_FIELDS),
    ...each(body.stations, 'stations', BODY_STATION_FIELDS),
    ...each(body.formers, 'formers', FORMER_FIELDS),
    ...each(body.seats, 'seats', SEAT_FIELDS),
    ...each(body.doublers, 'doublers', DOUBLER_FIELDS),
    ...each(body.bays, 'bays', BAY_FIELDS),
    ...each(body.openings, 'openings', OPENING_FIELDS),
    ...(body.strips ? numbersUnder('strips.', STRIP_FIELDS) : []),
    ...(body.hatch ? numbersUnder('hatch.', HATCH_FIELDS) : []),
    ...(body.gear ? numbersUnder('gear.', GEAR_FIELDS) : []),
    ...(body.skid ? numbersUnder('skid.', SKID_FIELDS) : []),
    ...(body.tray ? numbersUnder('tray.', TRAY_FIELDS) : []),
  ];
}
