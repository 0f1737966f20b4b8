import { lengthText } from '../../units/index.ts';
import type { PlanMend, ThingChange } from '../clearances/clearance.ts';
import type { PlanContext } from '../figures/plan-context.ts';
import type { PlanFigure } from '../figures/plan-figure.ts';
import { tailPulls } from '../figures/wing-set.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { isSurface, type SurfaceThing } from '../things/thing.ts';
import { wingSeats } from '../wing-seat.ts';
import type { PlanFault } from './plan-fault.ts';

/** A wing whose seat reaches beyond its body. */
export function seatFaults(plan: Plan): readonly PlanFault[] {
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

/** Tail and fin volumes beside what is usual. */
export function volumeFaults(plan: Plan, figures: readonly PlanFigure[]): readonly PlanFault[] {
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

/** Panels longer than the car or than any board. */
export function lengthFaults(plan: Plan, { longestBoardMm }: PlanContext): readonly PlanFault[] {
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
