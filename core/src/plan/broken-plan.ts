import type { Point } from '../geometry/index.ts';
import { lengthText } from '../units/index.ts';
import type { Plan } from './plan.ts';
import { PLAN_AXES } from './plan-view.ts';
import { fieldOf, PLAN_BOUNDS, THING_FIELDS } from './things/thing-fields.ts';
import { isSurface, type PlannedThing } from './things/thing.ts';

/** A rule of its own that a plan breaks, and where. */
export interface BrokenPlan {
  readonly field: string;
  readonly message: string;
}

/** What no single number of a plan shows: ids that stand twice or lead nowhere, stations that go back, paths that do not hold together. */
export function brokenPlan(plan: Plan): BrokenPlan | undefined {
  return (
    tooMany(plan) ??
    twice(plan) ??
    plan.things.map((thing, index) => brokenThing(thing, `things[${index}]`)).find(Boolean) ??
    plan.whatIfs
      .flatMap(({ things }, at) => things.map((thing, index) => brokenThing(thing, `whatIfs[${at}].things[${index}]`)))
      .find(Boolean) ??
    brokenLines(plan) ??
    brokenUnderlays(plan) ??
    farAway(plan) ??
    along(plan)
  );
}

/** The first list that holds more than it may. */
function tooMany(plan: Plan): BrokenPlan | undefined {
  const { things, guides, lines, underlays, whatIfs } = PLAN_BOUNDS,
    most = { things, guides, lines, sheets: underlays, underlays, whatIfs };
  for (const [field, bound] of Object.entries(most) as [keyof typeof most, number][])
    if (plan[field].length > bound) return { field, message: `holds at most ${bound}, got ${plan[field].length}` };
  return undefined;
}

/** The first place of a guide, a line or a picture that is beyond what is kept. */
function farAway({ guides, lines, sheets, underlays }: Plan): BrokenPlan | undefined {
  const { furthestMm, mostPixels } = PLAN_BOUNDS;
  const within = ({ x, y }: Point, least: number, most: number): boolean =>
    x >= least && x <= most && y >= least && y <= most;
  const message = `must be within ${lengthText(furthestMm, 0)}`,
    beside = 'lies too far beside the picture';
  const guide = guides.findIndex(({ byMm }) => !(Math.abs(byMm) <= furthestMm));
  if (guide >= 0) return { field: `guides[${guide}].byMm`, message };
  const line = lines.findIndex(
    ({ nodes, segments }) =>
      !nodes.every((node) => within(node, -furthestMm, furthestMm)) ||
      !segments.every(
        (segment) =>
          segment.kind !== 'cubic' ||
          [segment.control1, segment.control2].every((handle) => within(handle, -furthestMm, furthestMm)),
      ),
  );
  if (line >= 0) return { field: `lines[${line}]`, message };
  const sheet = sheets.findIndex(({ lengths }) =>
    lengths.some(({ from, to }) => ![from, to].every((end) => within(end, -mostPixels, 2 * mostPixels))),
  );
  if (sheet >= 0) return { field: `sheets[${sheet}].lengths`, message: beside };
  const origin = underlays.findIndex(({ originPx }) => !within(originPx, -mostPixels, 2 * mostPixels));
  if (origin >= 0) return { field: `underlays[${origin}].originPx`, message: beside };
  const placed = underlays.findIndex(({ originAt }) => !within(originAt, -furthestMm, furthestMm));
  return placed >= 0 ? { field: `underlays[${placed}].originAt`, message } : undefined;
}

function twice(plan: Plan): BrokenPlan | undefined {
  for (const field of ['things', 'guides', 'lines', 'sheets', 'underlays', 'whatIfs'] as const) {
    const seen = new Set<string>();
    for (const [index, { id }] of plan[field].entries()) {
      if (seen.has(id)) return { field: `${field}[${index}].id`, message: `"${id}" is used twice` };
      seen.add(id);
    }
  }
  return undefined;
}

/** The first number of a thing that is beyond its bounds. */
function outOfBounds(thing: PlannedThing, field: string): BrokenPlan | undefined {
  const { furthestMm, longestMm } = PLAN_BOUNDS;
  const check = (
    at: string,
    value: number,
    least: number,
    most: number,
    told: (value: number) => string = (length) => lengthText(length),
  ): BrokenPlan | undefined =>
    value >= least && value <= most
      ? undefined
      : {
          field: `${field}.${at}`,
          message: `must be from ${told(least)} to ${told(most)}, got ${told(value)}`,
        };
  const far = PLAN_AXES.map((axis) => check(`at.${axis}`, thing.at[axis], -furthestMm, furthestMm)).find(Boolean);
  if (far) return far;
  const own = THING_FIELDS[thing.kind].map(({ key, quantity, least, most }) => {
    const value = fieldOf(thing, key);
    return value === undefined ? undefined : check(key, value, least, most, quantity === 'length' ? undefined : String);
  });
  const stations =
    isSurface(thing) || thing.kind === 'body'
      ? thing.stations.flatMap((station, index) =>
          Object.entries(station).map(([key, value]: readonly [string, number]) => {
            const isSigned = key === 'sweepMm' || key === 'bottomMm' || key === 'topMm';
            return check(`stations[${index}].${key}`, value, isSigned ? -longestMm : 0, longestMm);
          }),
        )
      : [];
  return [...own, ...stations].find(Boolean);
}

function brokenThing(thing: PlannedThing, field: string): BrokenPlan | undefined {
  const beyond = outOfBounds(thing, field);
  if (beyond) return beyond;
  if (isSurface(thing)) {
    const { stations, angles } = thing,
      back = stations.findIndex(({ outMm }, index) => index > 0 && outMm < stations[index - 1]!.outMm);
    if (stations[0]!.outMm !== 0) return { field: `${field}.stations[0].outMm`, message: 'must be 0 at the root' };
    if (back > 0)
      return { field: `${field}.stations[${back}].outMm`, message: 'lies further in than the one before it' };
    if (!(stations.at(-1)!.outMm > 0)) return { field: `${field}.stations`, message: 'must go outwards' };
    if (!(stations[0]!.chordMm > 0)) return { field: `${field}.stations[0].chordMm`, message: 'must be above 0' };
    if (angles.length !== stations.length - 1)
      return {
        field: `${field}.angles`,
        message: `${stations.length} chords have ${stations.length - 1} panels, got ${angles.length} angles`,
      };
    const { control } = thing;
    if (control && !(control.toMm > control.fromMm))
      return { field: `${field}.control.toMm`, message: 'must lie further out than where the control surface begins' };
  }
  if (thing.kind === 'body') {
    const { stations } = thing,
      back = stations.findIndex(({ aftMm }, index) => index > 0 && !(aftMm > stations[index - 1]!.aftMm));
    if (back > 0) return { field: `${field}.stations[${back}].aftMm`, message: 'must lie behind the one before it' };
    const upside = stations.findIndex(({ bottomMm, topMm }) => topMm < bottomMm);
    if (upside >= 0) return { field: `${field}.stations[${upside}].topMm`, message: 'must not lie under the bottom' };
  }
  return undefined;
}

function brokenLines({ lines }: Plan): BrokenPlan | undefined {
  const ids = new Set<string>();
  for (const [index, { closed, nodes, segments }] of lines.entries()) {
    const wanted = closed ? nodes.length : nodes.length - 1;
    if (segments.length !== wanted)
      return {
        field: `lines[${index}].segments`,
        message: `${nodes.length} points need ${wanted} runs, found ${segments.length}`,
      };
    for (const { id } of [...nodes, ...segments]) {
      if (ids.has(id)) return { field: `lines[${index}]`, message: `the id "${id}" is used twice` };
      ids.add(id);
    }
  }
  return undefined;
}

function brokenUnderlays({ sheets, underlays }: Plan): BrokenPlan | undefined {
  const lost = underlays.findIndex(({ sheetId }) => !sheets.some(({ id }) => id === sheetId));
  return lost < 0
    ? undefined
    : { field: `underlays[${lost}].sheetId`, message: `there is no sheet "${underlays[lost]!.sheetId}"` };
}

/** Things that go along with each other in a ring would have no place. */
function along({ things }: Plan): BrokenPlan | undefined {
  const next = new Map(things.map(({ id, goesWith }) => [id, goesWith]));
  for (const [index, { id }] of things.entries()) {
    let at = next.get(id);
    for (let steps = 0; at !== undefined && steps <= things.length; steps++) {
      if (at === id) return { field: `things[${index}].goesWith`, message: 'goes along with itself' };
      at = next.get(at);
    }
  }
  return undefined;
}
