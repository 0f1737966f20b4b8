import fs from 'node:fs/promises';
import { cutListDocument, cutListOf } from '@grain-fold/core/airframe';
import { cutListCsv } from '@grain-fold/core/cutting';
import { worded } from '@grain-fold/core/units';
import type { CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { writePdfFile } from './pdf-file.ts';
import { readAirframe } from './project-file.ts';

/** `cutlist`: the cut list as JSON, CSV or PDF. */
export async function cutlist(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = await readAirframe(file, options);
  const format =
    options.format ?? (options.out?.endsWith('.pdf') ? 'pdf' : options.out?.endsWith('.csv') ? 'csv' : 'json');
  const list = cutListOf(airframe);
  if (format === 'json') {
    const parts = list.parts.map(({ part, quantity, boards, acrossMm, upMm, lines, folds, joins }) => ({
      part: part.name,
      group: part.group,
      side: part.side,
      quantity,
      material: part.material,
      thicknessMm: part.thicknessMm,
      acrossMm,
      upMm,
      boards,
      lines,
      folds,
      joins: joins.map((words) => worded(words, airframe.settings.unit)),
    }));
    return { exit: 'OK', result: { airframe: airframe.name, totals: list.totals, parts } };
  }
  if (format === 'csv') {
    const csv = cutListCsv(list, airframe.settings.unit);
    if (!options.out) return { exit: 'OK', text: csv };
    await fs.writeFile(options.out, csv);
    return { exit: 'OK', result: { out: options.out } };
  }
  if (format !== 'pdf') throw new CliError('USAGE', `--format must be json, csv or pdf, got "${format}".`);
  if (!options.out) throw new CliError('USAGE', 'A PDF needs --out FILE.pdf.');
  await writePdfFile(
    options.out,
    cutListDocument(airframe, 0, new Date().toISOString().slice(0, 10)),
    `${airframe.name} · cut list`,
  );
  return { exit: 'OK', result: { out: options.out } };
}
