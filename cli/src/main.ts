import { readArguments, type CliOptions } from './arguments.ts';
import { bringIn } from './bring-in.ts';
import { check } from './check.ts';
import { CliError, EXIT_CODES } from './cli-error.ts';
import { convert } from './convert.ts';
import { cutlist } from './cutlist.ts';
import { fold } from './fold.ts';
import { form } from './form.ts';
import { nest } from './nest.ts';
import type { CommandOutcome } from './outcome.ts';
import { pages } from './pages.ts';
import { plan } from './plan.ts';

const COMMANDS: Readonly<Record<string, (file: string, options: CliOptions) => Promise<CommandOutcome>>> = {
  check,
  plan,
  form,
  fold,
  pages,
  nest,
  cutlist,
  convert,
  'bring-in': bringIn,
};

const HELP = `grain-fold COMMAND FILE [options]

  check    FILE               every fault of an airframe, and its figures
  plan     FILE               figures, clearances and faults of its plan
             --out FILE.pdf   its three views on one page
             --view side|top|front    or one of them at full size
  form     FILE               figures, working and faults of a form, and the parts that it makes
             --form NAME      another than the first
             --set PATH=VALUE,...     other numbers: panels.0.spanMm=450,ends=bevelled
             --out FILE.json  the airframe with its parts made anew
  fold     FILE               how every part closes when it is folded, and how all stand together
             --out FILE.svg   a drawing of what stands together
  pages    FILE               lays the parts out on paper and writes a PDF in true size
             --paper A4|Letter|A3|Tabloid|Legal|WxH   paper, or width x height in mm
             --scale K        factor from 0.05 to 20
             --variant NAME   one of the airframe's variants
             --out FILE.pdf
  nest     FILE               nests the parts onto boards; also takes a bare nest instance
             --seconds S      processor seconds to search (10)
             --steps N        orders to try instead; the same seed and steps give the same nest
             --seed N         (1)
  cutlist  FILE               the cut list
             --format json|csv|pdf    --out FILE
  convert  FILE               parts or a board as a drawing in true size, or parts as a project file
             --to svg|dxf|pdf|json    --out FILE
             --parts A,B      names or ids; all of them without
             --board N        a board of the kept nest instead
             --lines centre|edges|both   how grooves and trenches go out
             --no-words       without the names of parts
  bring-in FILE               a drawing (SVG, DXF, PDF, section, points) as an airframe of parts
             --unit mm|cm|in  what its numbers are, where the file does not say
             --scale K        factor
             --map FILE.json  what its lines are: [{"layer": "Outlines", "work": "cut"}, ...]; also by "colour" and "dashed"
             --board-mm T     thickness that it was drawn for: slots and trenches as wide follow the board
             --close-gaps-mm G
             --out FILE

FILE is a project file (*.grainfold.json). Results are JSON on standard output, errors one JSON line on standard error.
Exit codes: 0 done, 1 faults or open seams found, 2 wrong call, 3 file cannot be read or written, 4 parts found no place, 5 failed.
`;

/** Numbers as they are of use: a hundred-thousandth of a millimetre or a degree is beyond every tool, and every check of a nest. */
const rounded = (_key: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toFixed(5)) : value;

async function main(): Promise<number> {
  const { command, file, options } = readArguments(process.argv.slice(2));
  if (options.help || command === undefined || command === 'help') {
    process.stdout.write(HELP);
    return command === undefined && !options.help ? EXIT_CODES.USAGE : EXIT_CODES.OK;
  }
  const run = COMMANDS[command];
  if (!run)
    throw new CliError('USAGE', `There is no command "${command}". Commands: ${Object.keys(COMMANDS).join(', ')}.`);
  if (file === undefined) throw new CliError('USAGE', `${command} needs a file.`);
  const { exit, result, text } = await run(file, options);
  process.stdout.write(text ?? `${JSON.stringify(result, rounded, 1)}\n`);
  return EXIT_CODES[exit];
}

try {
  process.exitCode = await main();
} catch (error) {
  const known = error instanceof CliError;
  process.stderr.write(
    `${JSON.stringify({ code: known ? error.code : 'FAILED', message: error instanceof Error ? error.message : String(error), ...(known && error.fields.length > 0 ? { fields: error.fields } : {}) })}\n`,
  );
  process.exitCode = known ? EXIT_CODES[error.code] : EXIT_CODES.FAILED;
}
