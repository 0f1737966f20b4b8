import { boardViews, searchAirframeNest, squared } from '@grain-fold/core/airframe';
import { instanceFault, searchNest, withKerfInClearance, type NestInstance } from '@grain-fold/core/nesting';
import { numberOption, type CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { readAirframe, readText } from './project-file.ts';

const DEFAULT_SECONDS = 10;

/** `nest`: nests an airframe, or a bare nest instance; the layout is the only thing printed. */
export async function nest(file: string, options: CliOptions): Promise<CommandOutcome> {
  const instance = asInstance(await readText(file), file);
  const seed = numberOption(options, 'seed', 1, 0, 4_294_967_295);
  const isEnough = stopRule(options);
  if (instance) {
    let step, seconds;
    for (step of searchNest(instance, { seed })) if ((seconds = isEnough(step.tried)) !== undefined) break;
    const layout = { ...step!.layout, seconds: seconds! };
    return { exit: layout.unplaced.length > 0 ? 'UNPLACED' : 'OK', result: layout };
  }
  const airframe = await readAirframe(file, options);
  let step, seconds;
  for (step of searchAirframeNest(airframe, seed)) if ((seconds = isEnough(step.tried)) !== undefined) break;
  const { tried, score } = step!,
    found = squared(airframe, step!.nest);
  const views = boardViews(airframe, found);
  return {
    exit: found.unplaced.length > 0 ? 'UNPLACED' : 'OK',
    result: {
      airframe: airframe.name,
      tried,
      effectiveBoards: score.effectiveBoards,
      seconds: seconds!,
      boards: views.map((view) => ({
        board: view.board.name,
        boardId: view.board.id,
        yield: view.yield,
        rest: view.rest,
        placements: view.pieces.map(({ placed }) => placed),
      })),
      unplaced: found.unplaced,
    },
  };
}

/** The instance in a file, or undefined when the file is a project file. @throws CliError FILE when it is neither */
function asInstance(text: string, file: string): NestInstance | undefined {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return undefined; // the project file's reader names the line
  }
  if (typeof data === 'object' && data !== null && 'format' in data) return undefined;
  const fault = instanceFault(data);
  if (fault) throw new CliError('FILE', `${file}: ${fault}`);
  return withKerfInClearance(data as NestInstance);
}

/** Says after each try whether the search is over, and then how many processor seconds it took. */
function stopRule(options: CliOptions): (tried: number) => number | undefined {
  const steps = options.steps === undefined ? Infinity : numberOption(options, 'steps', 1, 1, 1_000_000);
  const limit = numberOption(
    options,
    'seconds',
    options.steps === undefined ? DEFAULT_SECONDS : Infinity,
    0.01,
    86_400,
  );
  const start = process.cpuUsage();
  return (tried) => {
    const { user, system } = process.cpuUsage(start);
    const seconds = (user + system) / 1e6;
    return seconds >= limit || tried >= steps ? seconds : undefined;
  };
}
