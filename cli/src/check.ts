import { faultsIn, quickFigures } from '@grain-fold/core/airframe';
import type { CliOptions } from './arguments.ts';
import { readAirframe } from './project-file.ts';
import type { CommandOutcome } from './outcome.ts';

/** `check`: every fault of every part, and the figures of the airframe. */
export async function check(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = await readAirframe(file, options);
  const faults = airframe.parts.flatMap((part) =>
    faultsIn(airframe, part).map(({ code, title, detail, place, mend }) => ({
      part: part.name,
      code,
      title,
      detail,
      place,
      mend: mend.label,
    })),
  );
  return {
    exit: faults.length > 0 ? 'FAULTS' : 'OK',
    result: { airframe: airframe.name, scale: airframe.settings.scale, figures: quickFigures(airframe), faults },
  };
}
