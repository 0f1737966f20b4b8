/**
 * Effective boards of nests over instances from files and of our own making, a line an instance: by area alone, of the parts' boxes and of the
 * parts themselves placed in the best of nine orders, and of the search at budgets of processor seconds.
 * `tsx bench/src/nests.ts [FOLDER] [--seconds=10,60] [--seeds=3]`
 */
import fs from 'node:fs';
import path from 'node:path';
import { boundsHeight, boundsOf, boundsWidth } from '@grain-fold/core/geometry';
import {
  instanceFault,
  largestRest,
  layoutFaults,
  nest,
  placedShape,
  searchNest,
  type NestInstance,
  type NestLayout,
  boardsByArea,
} from '@grain-fold/core/nesting';
import { OWN_SETS, ownInstance } from './own-instances.ts';

const options = process.argv.slice(2),
  folder = options.find((one) => !one.startsWith('--')),
  numbers = (name: string, usual: string): readonly number[] =>
    (options.find((one) => one.startsWith(`--${name}=`))?.split('=')[1] ?? usual).split(',').map(Number);
const budgets = numbers('seconds', '10').toSorted((a, b) => a - b),
  seeds = Array.from({ length: numbers('seeds', '3')[0]! }, (_, index) => index + 1);

/** Boards used less the share of the last that is left as one rectangle. */
function effectiveBoards(instance: NestInstance, layout: NestLayout): number {
  const last = layout.boards.at(-1);
  if (!last) return 0;
  const board = instance.boards.find(({ id }) => id === last.boardId)!,
    parts = new Map(instance.parts.map((part) => [part.id, part]));
  const rest = largestRest(
    board,
    last.placements.map((placement) => placedShape(parts.get(placement.partId)!, placement)),
    1,
  );
  return layout.boards.length - (boundsWidth(rest) * boundsHeight(rest)) / (board.width * board.height);
}

/** The best of the nine orders that are tried first. */
const inOrders = (instance: NestInstance): number =>
  effectiveBoards(instance, nest(instance, { seed: 1, steps: 9 }).layout);
/** The instance with the box of every part in its stead. */
const boxed = (instance: NestInstance): NestInstance => ({
  ...instance,
  parts: instance.parts.map(({ holes: _, ...part }) => {
    const { minX, minY, maxX, maxY } = boundsOf(part.polygon.map(([x, y]) => ({ x, y })));
    const polygon = [
      [minX, minY],
      [maxX, minY],
      [maxX, maxY],
      [minX, maxY],
    ] as const;
    // A box turned askew is no box of the part any more.
    return { ...part, polygon, rotations: part.rotations.filter((turn) => turn % 90 === 0) };
  }),
});

interface Run {
  readonly firstMs: number;
  /** At each budget. */
  readonly effective: readonly number[];
}

/** One search, looked at when each budget is spent. @throws Error when a layout is not valid */
function run(instance: NestInstance, seed: number): Run {
  const start = process.cpuUsage(),
    spentMs = (): number => process.cpuUsage(start).user / 1000,
    effective: number[] = [];
  let firstMs = 0;
  for (const { tried, layout } of searchNest(instance, { seed })) {
    if (tried === 1) firstMs = spentMs();
    if (spentMs() < budgets[effective.length]! * 1000) continue;
    const [fault] = layoutFaults(instance, layout);
    if (fault) throw new Error(`${instance.name}, seed ${seed}: ${JSON.stringify(fault)}`);
    effective.push(effectiveBoards(instance, layout));
    if (effective.length === budgets.length) break;
  }
  return { firstMs, effective };
}

const rounded = (value: number): number => Number(value.toFixed(3));
const median = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

const fromFiles = (folder ? fs.readdirSync(folder) : [])
  .filter((name) => name.endsWith('.json'))
  .toSorted()
  .map((name): NestInstance => {
    const data: unknown = JSON.parse(fs.readFileSync(path.join(folder!, name), 'utf8'));
    const fault = instanceFault(data);
    if (fault) throw new Error(`${name}: ${fault}`);
    return data as NestInstance;
  });
for (const instance of [...fromFiles, ...Array.from({ length: OWN_SETS }, (_, number) => ownInstance(number))]) {
  const runs = seeds.map((seed) => run(instance, seed));
  console.log(
    JSON.stringify({
      instance: instance.name,
      area: rounded(boardsByArea(instance)),
      boxes: rounded(inOrders(boxed(instance))),
      orders: rounded(inOrders(instance)),
      pieces: instance.parts.reduce((sum, { quantity }) => sum + quantity, 0),
      firstMs: Math.round(median(runs.map(({ firstMs }) => firstMs))),
      effective: Object.fromEntries(
        budgets.map((seconds, at) => [`${seconds} s`, rounded(median(runs.map(({ effective }) => effective[at]!)))]),
      ),
    }),
  );
}
