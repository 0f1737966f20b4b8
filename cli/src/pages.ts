import { pagesDocument, pagesOf, type Airframe } from '@grain-fold/core/airframe';
import { PAPER_NAMES, pageSettingsFault, paperSize, type PageSettings, type PaperName } from '@grain-fold/core/pages';
import { worded } from '@grain-fold/core/units';
import type { CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { readAirframe } from './project-file.ts';
import { writePdfFile } from './pdf-file.ts';
import { toldFaults } from './told-faults.ts';

/** `pages`: lays the templates out on paper, writes the PDF, and tells every fault of what is printed. */
export async function pages(file: string, options: CliOptions): Promise<CommandOutcome> {
  const read = await readAirframe(file, options);
  const airframe: Airframe = {
    ...read,
    settings: { ...read.settings, pages: withPaper(read.settings.pages, options.paper) },
  };
  const fault = pageSettingsFault(airframe.settings.pages);
  if (fault) throw new CliError('USAGE', worded(fault, 'mm'));
  const plan = pagesOf(airframe);
  const out = options.out ?? file.replace(/(\.grainfold)?\.json$/, '') + ' pages.pdf';
  await writePdfFile(
    out,
    pagesDocument(airframe, 0, new Date().toISOString().slice(0, 10)),
    `${airframe.name} · pages`,
  );
  const faults = toldFaults(airframe);
  return {
    exit: faults.length > 0 ? 'FAULTS' : 'OK',
    result: {
      airframe: airframe.name,
      scale: airframe.settings.scale,
      paper: paperSize(airframe.settings.pages),
      pages: plan.pages.length,
      out,
      faults,
      sheets: plan.sheets.map((sheet) => ({
        number: sheet.number,
        pages: plan.pages.filter((page) => page.sheet === sheet.number).map(({ name }) => name),
        parts: sheet.placed.map(({ template }) => template.part.name),
      })),
    },
  };
}

/** The settings with another paper: a name, or WxH in mm. */
function withPaper(settings: PageSettings, typed: string | undefined): PageSettings {
  if (typed === undefined) return settings;
  const name = PAPER_NAMES.find((paper) => paper.toLowerCase() === typed.toLowerCase());
  if (name) return { ...settings, paper: name satisfies PaperName };
  const size = /^(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)$/i.exec(typed);
  if (!size)
    throw new CliError('USAGE', `--paper must be ${PAPER_NAMES.join(', ')} or WIDTHxHEIGHT in mm, got "${typed}".`);
  const [widthMm, heightMm] = [Number(size[1]), Number(size[2])];
  return {
    ...settings,
    paper: 'own',
    ownWidthMm: widthMm,
    ownHeightMm: heightMm,
    orientation: widthMm > heightMm ? 'landscape' : 'portrait',
  };
}
