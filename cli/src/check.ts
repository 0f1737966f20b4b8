import { quickFigures } from '@grain-fold/core/airframe';
import type { CliOptions } from './arguments.ts';
import { readAirframe } from './project-file.ts';
import type { CommandOutcome } from './outcome.ts';
import { toldFaults, toldPlanFaults } from './told-faults.ts';

/** `check`: every fault of every part, by itself, folded, stood together and nested, and the figures of the airframe. */
export async function check(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = await readAirframe(file, options);
  const faults = toldFaults(airframe),
    ofPlan = toldPlanFaults(airframe);
  return {
    exit: faults.length + ofPlan.length > 0 ? 'FAULTS' : 'OK',
    result: {
      airframe: airframe.name,
      scale: airframe.settings.scale,
      figures: quickFigures(airframe),
      faults,
      faultsOfPlan: ofPlan,
    },
  };
}
