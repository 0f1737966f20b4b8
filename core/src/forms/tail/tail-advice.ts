import { boundsOf, polygonArea } from '../../geometry/index.ts';
import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import { blocking, type FormFault } from '../form/index.ts';
import { finTab, levelLines, TAB_EDGE_MM } from './tail-outlines.ts';
import type { TailSite } from './tail-site.ts';

/** A piece that falls off when something is cut out and is larger than this is told of, in mm². */
const TOLD_MM2 = 20;
/** Room that what moves usually has, in mm. */
const USUAL_GAP_MM = 1.5;
/** A hinge that leans less than this is straight, in degrees. */
const STRAIGHT_DEGREES = 0.5;

/** What parts a plate, or lets two run into each other: no tail can be made with it. */
export function tailClashes({
  tail,
  elevator,
  rudder,
  strikesStabiliser,
  board,
  unit,
}: TailSite): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const parted =
    elevator &&
    tail.elevator?.halves === 'one' &&
    elevator.left.filter((ring) => polygonArea(ring) > TOLD_MM2).length > 1
      ? [
          blocking(
            'ELEVATOR_PARTED',
            'elevator.halves',
            'The rudder cuts the elevator through',
            `Its way at ${formatAngle(tail.rudder?.travelDegrees ?? 0)} reaches the elevator’s hinge: two halves with a wire between them pass it by.`,
            'Take two halves',
            [{ path: 'elevator.halves', value: 'two' }],
          ),
        ]
      : [];
  const foot = tail.gapMm,
    struck = strikesStabiliser
      ? [
          blocking(
            'RUDDER_STRIKES',
            'rudder.footMm',
            'The rudder runs into the stabiliser',
            `Its hinge lies before the stabiliser’s tail and its foot reaches down to ${length(board.thicknessMm + (tail.rudder?.footMm ?? 0))} over the underside: lift it, or move the fin aft.`,
            `Lift its foot to ${length(foot)}`,
            [{ path: 'rudder.footMm', value: foot }],
          ),
        ]
      : [];
  const gone = [elevator, rudder].some((plate) => plate !== undefined && plate.left.length === 0)
    ? [
        blocking(
          'NOTHING_LEFT',
          'gapMm',
          'Nothing is left of what moves',
          `With ${length(tail.gapMm)} of room all of it would be cut away.`,
          `Set ${length(USUAL_GAP_MM)}`,
          [{ path: 'gapMm', value: USUAL_GAP_MM }],
        ),
      ]
    : [];
  return [...gone, ...struck, ...parted];
}

/** What is better otherwise, though a tail can be made with it. */
export function tailAdvice({ tail, board, unit }: TailSite): readonly FormFault[] {
  const { stabiliser, elevator, fin } = tail,
    { halfMm, hingeAt } = levelLines(tail),
    length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, unit, digits);
  const lean = (Math.atan2(hingeAt(halfMm) - hingeAt(0), halfMm) * 180) / Math.PI;
  const skew: readonly FormFault[] =
    elevator && Math.abs(lean) > STRAIGHT_DEGREES
      ? [
          {
            code: 'HINGE_SKEW',
            path: 'stabiliser.sweepMm',
            title: `The elevator’s hinge leans ${formatAngle(Math.abs(lean))} off square`,
            detail:
              elevator.halves === 'one'
                ? 'One piece cannot turn about two lines: take two halves, or a sweep that leaves the hinge straight.'
                : 'A wire between both halves binds: its legs have to be free to slide, or give each half its own horn.',
            isBlocking: false,
            mend: {
              label: `Straight hinge: sweep ${length(stabiliser.rootMm - stabiliser.tipMm)}`,
              changes: [{ path: 'stabiliser.sweepMm', value: stabiliser.rootMm - stabiliser.tipMm }],
            },
          },
        ]
      : [];
  const tab: readonly FormFault[] =
    fin?.place === 'middle' && fin.hasTab && !finTab(tail)
      ? [
          {
            code: 'FIN_TAB_NONE',
            path: 'fin.aftMm',
            title: 'There is no room for the fin’s tab',
            detail: `It goes through the stabiliser before its hinge, with ${length(TAB_EDGE_MM)} of board before and behind it: move the fin forward.`,
            isBlocking: false,
          },
        ]
      : [];
  const { longestMm = 0 } = board,
    large: readonly FormFault[] =
      longestMm > 0 && stabiliser.spanMm > longestMm
        ? [
            {
              code: 'SPAN_PAST_BOARD',
              path: 'stabiliser.spanMm',
              title: `The stabiliser is ${length(stabiliser.spanMm, 0)} long`,
              detail: `The largest board of ${tail.material} is ${length(longestMm, 0)}.`,
              isBlocking: false,
              mend: {
                label: `Set ${length(longestMm, 0)}`,
                changes: [{ path: 'stabiliser.spanMm', value: longestMm }],
              },
            },
          ]
        : [];
  return [...skew, ...tab, ...large];
}

/** How wide and deep a room is that was cut: along the tail, and across it or up. */
export const roomSize = (
  ring: readonly { readonly x: number; readonly y: number }[],
): { readonly alongMm: number; readonly acrossMm: number } => {
  const { minX, maxX, minY, maxY } = boundsOf(ring);
  return { alongMm: maxX - minX, acrossMm: maxY - minY };
};
