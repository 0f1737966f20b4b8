import { faultsIn, quickFigures, slowFigures } from '@grain-fold/core/airframe';
import type { CliOptions } from './arguments.ts';
import { readAirframe } from './project-file.ts';
import type { CommandOutcome } from './outcome.ts';

/** `check`: every fault of every part, by itself, folded, stood together and nested, and the figures of the airframe. */
export async function check(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = await readAirframe(file, options);
  const nameOf = (partId: string): string => airframe.parts.find(({ id }) => id === partId)?.name ?? partId;
  const faults = [...airframe.parts.flatMap((part) => faultsIn(airframe, part)), ...slowFigures(airframe).faults].map(
    ({ partId, code, title, detail, place, mend, others = [] }) => ({
      part: nameOf(partId),
      code,
      title,
      detail,
      place,
      mend: mend.label,
      others: others.map(({ label }) => label),
    }),
  );
  return {
    exit: faults.length > 0 ? 'FAULTS' : 'OK',
    result: { airframe: airframe.name, scale: airframe.settings.scale, figures: quickFigures(airframe), faults },
  };
}
