import { formatLengthWithUnit, MM_PER_INCH } from '../../units/index.ts';
import type { FormFault, MadeHole, StandingBox } from '../form/index.ts';
import { freeHalf, freeLow, freeTop, type BodySite } from './body-site.ts';
import { lengthWithin, type Development } from './development.ts';
import { boardsOfFormer } from './former-places.ts';
import { heightAt, heightsBetween } from './profile.ts';

/** Foam that stays round a dowel's hole, in mm; the wall is backed by the box. */
const LEAST_WEB_MM = 3;
/** More room than this on a side lets a box wobble, in mm. */
const LOOSE_MM = 0.6;
/** A dowel stands out so far on either side at least, to be drawn by, in mm. */
const OUT_MM = 5;
/** Dowels are cut to whole steps of these, in mm. */
const CUT_STEP_MM = { mm: 1, in: MM_PER_INCH / 16 } as const;

type BoxDowel = StandingBox['dowels'][number];

/** Whether a dowel's hole lies within the walls. */
function isInWalls(site: BodySite, { x, z, acrossMm }: BoxDowel): boolean {
  const rest = acrossMm / 2 + LEAST_WEB_MM,
    [from, to] = [x - rest, x + rest];
  if (from < site.fromMm || to > site.toMm) return false;
  const isOver = z - rest >= heightsBetween(site.wallLow, from, to).most,
    isUnder = z + rest <= heightsBetween(site.wallTop, from, to).least;
  const isInWing = site.cuts.some(
    ({ side, under, upper }) =>
      side === 'through' &&
      from < under.at(-1)!.x &&
      to > under[0]!.x &&
      z + rest > heightsBetween(under, from, to).least &&
      z - rest < heightsBetween(upper, from, to).most,
  );
  return isOver && isUnder && !isInWing;
}

/** The holes for dowels of power boxes in a sheet that lies along the walls, from one place along the body to another. */
export const boxHoles = (site: BodySite, sheet: Development, fromMm: number, toMm: number): readonly MadeHole[] =>
  site.boxes.flatMap(({ dowels }, box) =>
    dowels.flatMap((dowel, index): readonly MadeHole[] => {
      const { x, z, acrossMm } = dowel,
        rest = acrossMm / 2 + LEAST_WEB_MM;
      if (x - rest < fromMm || x + rest > toMm || !isInWalls(site, dowel)) return [];
      return [
        {
          name: `box-${box + 1}-dowel-${index + 1}`,
          sizing: 'fixed',
          // Square to the airframe through a sheet that leans: true halfway through it.
          round: {
            centre: { x: -lengthWithin(sheet, x, site.board.thicknessMm / 2), y: z },
            radiusMm: acrossMm / 2,
          },
        },
      ];
    }),
  );

/** The stretch of the body that a box fills, and the one that it comes through when it is drawn out. */
function stretches(site: BodySite, { fromMm, toMm, isPusher }: StandingBox) {
  const [from, to] = [Math.max(fromMm, site.fromMm), Math.min(toMm, site.toMm)];
  return {
    seat: [from, to] as const,
    way: isPusher ? ([from, site.toMm] as const) : ([site.fromMm, to] as const),
  };
}

/** What is free round a box over a stretch: on either side, below and above it. Below 0 it presses. */
function roomRound(site: BodySite, box: StandingBox, [from, to]: readonly [number, number]) {
  return {
    sideMm: freeHalf(site, from, to) - box.halfMm - Math.abs(box.asideMm),
    belowMm: box.lowMm - heightsBetween(freeLow(site), from, to).most,
    aboveMm: heightsBetween(freeTop(site), from, to).least - box.topMm,
  };
}

/** How a power box sits in a body. */
export interface BoxFit {
  readonly formId: string;
  readonly name: string;
  /** Free on either side of it, where it sits. */
  readonly sideMm: number;
  readonly dowels: number;
  readonly dowelMm: number;
  /** How long its dowels are cut; 0 without. */
  readonly dowelLengthMm: number;
}

/** How the power boxes sit that reach into a body. */
export const boxFits = (site: BodySite): readonly BoxFit[] =>
  site.boxes.flatMap((box): readonly BoxFit[] => {
    const { seat } = stretches(site, box);
    if (seat[1] <= seat[0]) return [];
    const step = CUT_STEP_MM[site.unit],
      widest = Math.max(0, ...box.dowels.map(({ x }) => 2 * heightAt(site.lines.half, x)));
    return [
      {
        formId: box.formId,
        name: box.name,
        sideMm: roomRound(site, box, seat).sideMm,
        dowels: box.dowels.length,
        dowelMm: box.dowels[0]?.acrossMm ?? 0,
        dowelLengthMm: widest > 0 ? Math.ceil((widest + 2 * OUT_MM) / step) * step : 0,
      },
    ];
  });

const advice = (code: string, title: string, detail: string): FormFault => ({
  code,
  path: 'boxIds',
  title,
  detail,
  isBlocking: false,
});

/** What keeps a box from sitting in the body. */
function seatAdvice(site: BodySite, box: StandingBox, seat: readonly [number, number]): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, site.unit),
    { sideMm, belowMm, aboveMm } = roomRound(site, box, seat);
  const wide: readonly FormFault[] =
    sideMm < 0
      ? [
          advice(
            'BOX_WIDE',
            `${box.name} is ${length(-2 * sideMm)} too wide for the walls`,
            `It is ${length(2 * box.halfMm)} wide: make it narrower, or the body wider.`,
          ),
        ]
      : sideMm > LOOSE_MM && box.dowels.length > 0
        ? [
            advice(
              'BOX_LOOSE',
              `${box.name} has ${length(sideMm)} of room on either side`,
              `On its dowels it would wobble: make it ${length(2 * (sideMm - LOOSE_MM / 3))} wider, or line the walls.`,
            ),
          ]
        : [];
  const high = (
    [
      [belowMm, 'floor', 'up'],
      [aboveMm, 'lid', 'down'],
    ] as const
  ).flatMap(([room, word, way]) =>
    room < 0
      ? [
          advice(
            'BOX_HIGH',
            `${box.name} reaches ${length(-room)} into the ${word}`,
            `Move it ${way}, or make it lower.`,
          ),
        ]
      : [],
  );
  return [...wide, ...high];
}

/** What keeps a box that sits well from being drawn out. */
function wayAdvice(
  site: BodySite,
  box: StandingBox,
  seat: readonly [number, number],
  way: readonly [number, number],
): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, site.unit),
    end = box.isPusher ? 'tail' : 'nose';
  const sits = roomRound(site, box, seat),
    comes = roomRound(site, box, way);
  const narrow = (['sideMm', 'belowMm', 'aboveMm'] as const).some((key) => sits[key] >= 0 && comes[key] < 0)
    ? [
        advice(
          'BOX_STUCK',
          `${box.name} cannot be drawn out by the ${end}`,
          `The body leaves less there than the box is: ${length(2 * (comes.sideMm + box.halfMm))} wide at the narrowest. Glue it in, or make the ${end} wider.`,
        ),
      ]
    : [];
  const formers = site.body.formers.flatMap((former, index) => {
    const boards = boardsOfFormer(site, former);
    return boards[0]!.fore < way[1] && boards.at(-1)!.aft > way[0]
      ? [
          advice(
            'BOX_FORMER',
            `Former ${index + 1} stands in the way of ${box.name}`,
            `The box is drawn out by the ${end}: put the former ${box.isPusher ? 'before' : 'behind'} it.`,
          ),
        ]
      : [];
  });
  return [...narrow, ...formers];
}

/** What is better otherwise about the power boxes that sit in a body. */
export const boxAdvice = (site: BodySite): readonly FormFault[] =>
  site.boxes.flatMap((box): readonly FormFault[] => {
    const { seat, way } = stretches(site, box),
      length = (mm: number): string => formatLengthWithUnit(mm, site.unit);
    if (seat[1] <= seat[0])
      return [advice('BOX_BESIDE', `${box.name} does not reach into the body`, 'Move it, or let it sit in none.')];
    const outside = box.dowels.flatMap((dowel, index) =>
      isInWalls(site, dowel)
        ? []
        : [
            advice(
              'BOX_DOWEL_WALL',
              `Dowel ${index + 1} of ${box.name} finds no wall at ${length(dowel.x)}`,
              `Its hole keeps ${length(LEAST_WEB_MM)} from the walls’ edges: move the dowel further into the body, or the box.`,
            ),
          ],
    );
    return [
      ...seatAdvice(site, box, seat),
      ...(box.dowels.length > 0 ? wayAdvice(site, box, seat, way) : []),
      ...outside,
    ];
  });
