import { pathBounds } from '../geometry/index.ts';
import { curvesOf } from '../paths/index.ts';
import { lengthText, roundLengthText } from '../units/index.ts';
import { isTooLittle, type Clearance, type PlanMend, type ThingChange } from './clearances/clearance.ts';
import { planClearances } from './clearances/plan-clearances.ts';
import { packReach, schoolWords } from './figures/balance-of-plan.ts';
import type { PlanContext } from './figures/plan-context.ts';
import { planFigures, type PlanFigure, type PlanFigures } from './figures/plan-figures.ts';
import { tailPulls } from './figures/wing-set.ts';
import { placedPlanGuides, placedThings } from './guides.ts';
import type { Plan } from './plan.ts';
import type { PlanAxis, PlanView } from './plan-view.ts';
import { boxOfThing } from './things/thing-box.ts';
import { isSurface, type BodyThing, type BoxThing, type SurfaceThing } from './things/thing.ts';
import { VIEW_AXES, VIEW_WORDS } from './views.ts';
import { wingSeats } from './wing-seat.ts';

export type PlanFaultCode =
  | 'CLEARANCE'
  | 'SEAT_OUTSIDE'
  | 'TAIL_VOLUME'
  | 'FIN_VOLUME'
  | 'BALANCE_OUT_OF_REACH'
  | 'BALANCE_OFF'
  | 'LONGER_THAN_CAR'
  | 'LONGER_THAN_BOARD'
  | 'VIEWS_DISAGREE'
  | 'GUIDE_LOST';

/** A fault of a plan: the thing, the number, and what mends it. */
export interface PlanFault {
  readonly code: PlanFaultCode;
  readonly title: string;
  readonly detail: string;
  readonly thingIds: readonly string[];
  readonly mends: readonly PlanMend[];
}

/** What is wrong with a plan, with its mends. */
export function planFaults(
  plan: Plan,
  context: PlanContext,
  figures: PlanFigures = planFigures(plan, context),
  clearances: readonly Clearance[] = planClearances(plan, context),
): readonly PlanFault[] {
  return [
    ...clearances.filter(isTooLittle).map(clearanceFault),
    ...seatFaults(plan),
    ...volumeFaults(plan, figures.figures),
    ...balanceFaults(plan, figures),
    ...lengthFaults(plan, context),
    ...viewFaults(plan),
    ...guideFaults(plan),
  ];
}

function clearanceFault({ word, amount, quantity, least, most, told, thingIds, mends }: Clearance): PlanFault {
  const isOver = most !== undefined && amount > most;
  const figure = (value: number): string => (quantity === 'angle' ? `${value.toFixed(1)}°` : lengthText(value));
  const limit = (value: number): string => (quantity === 'angle' ? `${value.toFixed(0)}°` : roundLengthText(value));
  return {
    code: 'CLEARANCE',
    title: `${word}: ${figure(amount)}`,
    detail: `${isOver ? `At most ${limit(most)} is good.` : `At least ${limit(least)} is wanted.`} ${told}`,
    thingIds,
    mends,
  };
}

function seatFaults(plan: Plan): readonly PlanFault[] {
  return wingSeats(plan).flatMap(({ surface, body, kind, lengthShare }): readonly PlanFault[] => {
    if (surface.kind !== 'wing' || kind === 'above' || kind === 'below' || lengthShare > 0.98) return [];
    const chord = surface.stations[0]!.chordMm,
      first = body.at.x + body.stations[0]!.aftMm,
      last = body.at.x + body.stations.at(-1)!.aftMm;
    const x = Math.max(first, Math.min(surface.at.x, last - chord));
    return [
      {
        code: 'SEAT_OUTSIDE',
        title: `Seat of ${surface.name} outside ${body.name}`,
        detail: `${lengthText((1 - lengthShare) * chord)} of its ${lengthText(chord)} chord lie beyond the body.`,
        thingIds: [surface.id, body.id],
        mends:
          last - first >= chord
            ? [
                {
                  label: `${surface.name} ${lengthText(Math.abs(x - surface.at.x))} ${x < surface.at.x ? 'forward' : 'aft'}`,
                  changes: [{ thingId: surface.id, at: { ...surface.at, x } }],
                },
              ]
            : [],
      },
    ];
  });
}

/** A surface grown or shrunk alike, its area by a factor. */
function grown({ id, stations, control }: SurfaceThing, areaFactor: number): ThingChange {
  const factor = Math.sqrt(areaFactor),
    round = (value: number): number => Math.round(value * factor * 2) / 2;
  return {
    thingId: id,
    set: {
      ...Object.fromEntries(
        stations.flatMap(({ outMm, chordMm, sweepMm }, index) => [
          [`stations.${index}.outMm`, round(outMm)],
          [`stations.${index}.chordMm`, round(chordMm)],
          [`stations.${index}.sweepMm`, round(sweepMm)],
        ]),
      ),
      ...(control
        ? {
            'control.fromMm': round(control.fromMm),
            'control.toMm': round(control.toMm),
            'control.chordMm': round(control.chordMm),
          }
        : {}),
    },
  };
}

function volumeFaults(plan: Plan, figures: readonly PlanFigure[]): readonly PlanFault[] {
  const pulls = tailPulls(plan);
  return (
    [
      ['TAIL_VOLUME', 'tailVolume', pulls.filter(({ horizontalMm2, areaMm2 }) => horizontalMm2 > 0.3 * areaMm2)],
      ['FIN_VOLUME', 'finVolume', pulls.filter(({ verticalMm2, areaMm2 }) => verticalMm2 > 0.3 * areaMm2)],
    ] as const
  ).flatMap(([code, key, surfaces]): readonly PlanFault[] => {
    const figure = figures.find((one) => one.key === key);
    if (!figure?.usual || figure.beside === 0 || surfaces.length === 0) return [];
    const [least, most] = figure.usual,
      // A little within, so that rounding does not leave it just outside.
      wanted = figure.beside < 0 ? least * 1.03 : most * 0.97,
      factor = wanted / figure.amount;
    const names = surfaces.map(({ surface }) => surface.name).join(' and ');
    return [
      {
        code,
        title: `${figure.word} ${figure.text}`,
        detail: `${figure.beside < 0 ? 'Less' : 'More'} than the ${figure.usualText} that are usual for this type: ${
          figure.beside < 0 ? 'it may not hold its course' : 'more area and drag than it needs'
        }.`,
        thingIds: surfaces.map(({ surface }) => surface.id),
        mends: [
          {
            label: `${names} ${Math.abs(Math.round((Math.sqrt(factor) - 1) * 100))} % ${factor > 1 ? 'larger' : 'smaller'}`,
            changes: surfaces.map(({ surface }) => grown(surface, factor)),
          },
        ],
      },
    ];
  });
}

/** Whether any place of the packs along the bodies balances the model; when one does, how far they are from it. */
function balanceFaults(plan: Plan, { balance, mass }: PlanFigures): readonly PlanFault[] {
  const reach = balance && packReach(balance, mass);
  if (!balance || !reach || mass.balanceMm === undefined) return [];
  const { band, noseMm } = balance;
  if (mass.balanceMm >= band.foreMm - 0.5 && mass.balanceMm <= band.aftMm + 0.5) return [];
  const things = placedThings(plan),
    packs = things.filter((thing): thing is BoxThing => thing.kind === 'pack'),
    bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body').map(boxOfThing);
  if (bodies.length === 0) return [];
  const [first, last] = [Math.min(...bodies.map(({ min }) => min.x)), Math.max(...bodies.map(({ max }) => max.x))];
  // How far the packs can go together, forward and aft.
  const forward = Math.max(...packs.map(({ at, lengthMm }) => first + lengthMm / 2 - at.x)),
    aft = Math.min(...packs.map(({ at, lengthMm }) => last - lengthMm / 2 - at.x));
  const school = schoolWords(plan.school),
    where = `It balances ${roundLengthText(mass.balanceMm - noseMm)} from the nose; ${roundLengthText(band.foreMm - noseMm)} to ${roundLengthText(band.aftMm - noseMm)} is ${school}.`;
  const thingIds = packs.map(({ id }) => id),
    moved = (by: number): readonly ThingChange[] =>
      packs.map(({ id, at }) => ({ thingId: id, at: { ...at, x: at.x + by } }));
  const [least, most] = [Math.max(forward, reach.moveForeMm), Math.min(aft, reach.moveAftMm)];
  if (least <= most) {
    const by = Math.round(
      reach.moveForeMm > 0
        ? Math.min(most, Math.ceil(reach.moveForeMm) + 1)
        : Math.max(least, Math.floor(reach.moveAftMm) - 1),
    );
    return [
      {
        code: 'BALANCE_OFF',
        title: mass.balanceMm < band.foreMm ? 'Nose heavy so far' : 'Tail heavy so far',
        detail: where,
        thingIds,
        mends: [{ label: `Pack ${roundLengthText(Math.abs(by))} ${by < 0 ? 'forward' : 'aft'}`, changes: moved(by) }],
      },
    ];
  }
  const isTailHeavy = reach.moveAftMm < forward,
    limit = isTailHeavy ? forward : aft,
    to = isTailHeavy ? band.aftMm : band.foreMm;
  // At the end of the body a heavier pack does it: its mass by the moments about the end of the range.
  const others = mass.each.filter(({ thing }) => thing.kind !== 'pack'),
    pull = others.reduce((sum, one) => sum + one.massG * (one.atMm - to), 0),
    arm = packs.reduce((sum, { at }) => sum + (to - at.x - limit), 0) / packs.length,
    heavier = arm === 0 ? Number.NaN : pull / arm;
  return [
    {
      code: 'BALANCE_OUT_OF_REACH',
      title: 'No place of the pack balances it',
      detail: `${where} At the ${isTailHeavy ? 'nose' : 'end'} of the body the pack still leaves it ${isTailHeavy ? 'tail' : 'nose'} heavy: a longer ${isTailHeavy ? 'nose' : 'tail'} or another pack.`,
      thingIds,
      mends:
        Number.isFinite(heavier) && heavier > 0 && packs.length === 1
          ? [
              {
                label: `Pack at the ${isTailHeavy ? 'nose' : 'end'}, ${Math.ceil(heavier)} grams`,
                changes: [{ ...moved(limit)[0]!, set: { massG: Math.ceil(heavier) } }],
              },
            ]
          : [{ label: `Pack to the ${isTailHeavy ? 'nose' : 'end'}`, changes: moved(limit) }],
    },
  ];
}

function lengthFaults(plan: Plan, { longestBoardMm }: PlanContext): readonly PlanFault[] {
  const wings = placedThings(plan).filter((thing): thing is SurfaceThing => isSurface(thing) && thing.kind === 'wing');
  return wings.flatMap((wing): readonly PlanFault[] => {
    const half = wing.stations.at(-1)!.outMm,
      longest = Math.max(...wing.stations.slice(1).map(({ outMm }, index) => outMm - wing.stations[index]!.outMm));
    const shorter = (mm: number): PlanMend => ({
      label: `Half span of ${lengthText(mm)}`,
      changes: [
        {
          thingId: wing.id,
          set: Object.fromEntries(
            wing.stations.map(({ outMm }, index) => [`stations.${index}.outMm`, (outMm * mm) / half]),
          ),
        },
      ],
    });
    const car = plan.carMm;
    return [
      ...(car !== undefined && longest > car
        ? [
            {
              code: 'LONGER_THAN_CAR' as const,
              title: `${wing.name} longer than the car`,
              detail: `A panel of ${lengthText(longest)} does not go into ${lengthText(car)}: a shorter one, or one more joint.`,
              thingIds: [wing.id],
              mends: [shorter((half * car) / longest)],
            },
          ]
        : []),
      ...(longestBoardMm > 0 && longest > longestBoardMm
        ? [
            {
              code: 'LONGER_THAN_BOARD' as const,
              title: `${wing.name} longer than the board`,
              detail: `A panel of ${lengthText(longest)} is longer than the longest board, ${lengthText(longestBoardMm)}: a shorter one, or one more joint.`,
              thingIds: [wing.id],
              mends: [shorter(Math.floor((half * longestBoardMm) / longest))],
            },
          ]
        : []),
    ];
  });
}

/** Ends that two views of one name show at different places are told from this on. */
const APART_MM = 1;

/** Outlines of one name in two views must begin and end at the same places along the axis that the views share. */
function viewFaults(plan: Plan): readonly PlanFault[] {
  const named = new Map<
    string,
    Partial<
      Record<
        PlanView,
        {
          readonly lineId: string;
          readonly word: string;
          readonly ends: Readonly<Partial<Record<PlanAxis, readonly [number, number]>>>;
        }
      >
    >
  >();
  for (const line of plan.lines) {
    const key = line.name.trim().toLowerCase(),
      { minX, minY, maxX, maxY } = pathBounds(curvesOf(line)),
      { across, up, sign } = VIEW_AXES[line.view];
    const ends = { [across]: sign > 0 ? [minX, maxX] : [-maxX, -minX], [up]: [minY, maxY] };
    named.set(key, { ...named.get(key), [line.view]: { lineId: line.id, word: line.name, ends } });
  }
  const pairs = [
    ['side', 'top', 'x'],
    ['side', 'front', 'z'],
    ['top', 'front', 'y'],
  ] as const;
  return [...named.values()].flatMap((views) =>
    pairs.flatMap(([one, other, axis]): readonly PlanFault[] => {
      const [a, b] = [views[one], views[other]];
      if (!a || !b) return [];
      const [from, to] = [a.ends[axis]!, b.ends[axis]!];
      const off = [from[0] - to[0], from[1] - to[1]] as const;
      if (Math.max(Math.abs(off[0]), Math.abs(off[1])) <= APART_MM) return [];
      const isShift = Math.abs(off[0] - off[1]) <= APART_MM,
        longer = (to[1] - to[0]) / (from[1] - from[0]);
      return [
        {
          code: 'VIEWS_DISAGREE',
          title: `${a.word} differs between ${VIEW_WORDS[one].toLowerCase()} and ${VIEW_WORDS[other].toLowerCase()} view`,
          detail: `From ${lengthText(from[0])} to ${lengthText(from[1])} in one, ${lengthText(to[0])} to ${lengthText(to[1])} in the other${
            isShift
              ? ': the views are shifted.'
              : `: ${Math.abs((longer - 1) * 100).toFixed(1)} % ${longer > 1 ? 'longer' : 'shorter'}.`
          }`,
          thingIds: [],
          mends: isShift
            ? [
                {
                  label: `Shift the ${VIEW_WORDS[other].toLowerCase()} view`,
                  changes: [],
                  shift: { view: other, axis, byMm: off[0] },
                },
              ]
            : [
                {
                  label: `Fit it in the ${VIEW_WORDS[other].toLowerCase()} view`,
                  changes: [],
                  fit: { lineId: b.lineId, axis, from: to, to: from },
                },
              ],
        },
      ];
    }),
  );
}

function guideFaults(plan: Plan): readonly PlanFault[] {
  return placedPlanGuides(plan)
    .filter(({ atMm }) => atMm === undefined)
    .map(({ guide }) => ({
      code: 'GUIDE_LOST',
      title: `Guide ${guide.name} has no place`,
      detail: 'What it is counted from is gone, or hangs on the guide itself.',
      thingIds: [],
      mends: [{ label: 'Count it from the datum', changes: [], guideFromDatum: guide.id }],
    }));
}
