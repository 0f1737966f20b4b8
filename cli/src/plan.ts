import { planDrawingDocument, planReportOf, planViewDocument } from '@grain-fold/core/airframe';
import { isTooLittle, PLAN_VIEWS } from '@grain-fold/core/plan';
import type { CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { writePdfFile } from './pdf-file.ts';
import { readAirframe } from './project-file.ts';
import { toldPlanFaults } from './told-faults.ts';

/** `plan`: the figures of a plan with their sources, its clearances and faults; on paper when a file is named. */
export async function plan(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = await readAirframe(file, options),
    report = planReportOf(airframe);
  if (!report) throw new CliError('USAGE', `${airframe.name} has no plan.`);
  if (options.out !== undefined) {
    const view = PLAN_VIEWS.find((one) => one === options.view);
    if (options.view !== undefined && !view)
      throw new CliError('USAGE', `--view must be ${PLAN_VIEWS.join(', ')}, got "${options.view}".`);
    const date = new Date().toISOString().slice(0, 10);
    await writePdfFile(
      options.out,
      view ? planViewDocument(airframe, view, 0, date) : planDrawingDocument(airframe, 0, date),
      `${airframe.name} · plan`,
    );
  }
  return {
    exit: report.faults.length > 0 ? 'FAULTS' : 'OK',
    result: {
      airframe: airframe.name,
      scale: airframe.settings.scale,
      type: airframe.plan!.type,
      figures: report.figures.figures.map(({ key, word, text, amount, usualText, source }) => ({
        key,
        word,
        text,
        amount,
        ...(usualText === undefined ? {} : { usual: usualText }),
        source,
      })),
      clearances: report.clearances.map((clearance) => ({
        word: clearance.word,
        amount: clearance.amount,
        quantity: clearance.quantity,
        isTooLittle: isTooLittle(clearance),
      })),
      faults: toldPlanFaults(airframe),
      ...(options.out === undefined ? {} : { out: options.out }),
    },
  };
}
