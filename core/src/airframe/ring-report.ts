import { applyCommand, type PartCommand } from '../editing/index.ts';
import {
  bevellingMends,
  closeRing,
  foldedSvg,
  plateFaces,
  ringCommands,
  type RingAnswer,
  type RingAnswers,
  type SeamState,
  type Viewpoint,
} from '../folds/index.ts';
import type { Part, Seam } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { standingPart } from './made-at-scale.ts';

/** An answer with all that the builder chooses it by, and the edits that make it so: angles, then the bevels of the seam. */
export interface ShownRingAnswer extends RingAnswer {
  readonly commands: readonly PartCommand[];
  /** The part folded so, as an SVG drawing. */ readonly picture: string;
}
export interface RingReport extends Omit<RingAnswers, 'answers'> {
  readonly answers: readonly ShownRingAnswer[];
}

/** From the front and above, so that the ring is seen through. */
const FROM: Viewpoint = { turnDegrees: 62, heightDegrees: 24 };
const LINE_SHARE = 1 / 220;

/**
 * What closes a seam of a part by its folds, each answer folded and looked at.
 * @param freeIds the folds that may turn; all of the ring's when not given
 * @returns undefined when the part or the seam is gone, or no fold of its ring is free
 */
export function ringReport(
  airframe: Airframe,
  partId: string,
  seam: Pick<Seam, 'fromSegmentId' | 'toSegmentId'>,
  freeIds?: readonly string[],
): RingReport | undefined {
  const part = airframe.parts.find(({ id }) => id === partId);
  const standing = part && standingPart(airframe, part);
  const state = standing?.body.seams.find((one) => isSeam(one, seam));
  const found = standing && state && closeRing(standing.body, state, freeIds);
  if (!part || !found) return undefined;
  return {
    ...found,
    answers: found.answers.flatMap((answer) => {
      const folded = foldedSo(airframe, part, seam, answer);
      return folded ? [{ ...answer, ...folded }] : [];
    }),
  };
}

const isSeam = ({ seam }: SeamState, { fromSegmentId, toSegmentId }: Pick<Seam, 'fromSegmentId' | 'toSegmentId'>) =>
  seam.fromSegmentId === fromSegmentId && seam.toSegmentId === toSegmentId;

/** The part edited to an answer: its commands, and its picture. */
function foldedSo(
  airframe: Airframe,
  part: Part,
  seam: Pick<Seam, 'fromSegmentId' | 'toSegmentId'>,
  answer: RingAnswer,
): Pick<ShownRingAnswer, 'commands' | 'picture'> | undefined {
  const angles = ringCommands(part, answer);
  const turned = edited(part, angles);
  const standing = turned && standingIn(airframe, turned);
  if (!standing) return undefined;
  const state = standing.body.seams.find((one) => isSeam(one, seam));
  const bevels = state ? bevellingMends(state).map(({ command }) => command) : [];
  const bevelled = edited(turned, bevels);
  const shown = (bevelled && standingIn(airframe, bevelled)) ?? standing;
  const { solids, maps } = shown.body;
  return {
    commands: bevelled ? [...angles, ...bevels] : angles,
    picture: foldedSvg(
      solids.flatMap((solid) => plateFaces(solid, maps[solid.plate.index]!)),
      FROM,
      part.name,
      LINE_SHARE,
    ),
  };
}

const standingIn = (airframe: Airframe, part: Part): ReturnType<typeof standingPart> =>
  standingPart({ ...airframe, parts: airframe.parts.map((one) => (one.id === part.id ? part : one)) }, part);

/** The part after all commands; undefined when one is refused. */
const edited = (part: Part, commands: readonly PartCommand[]): Part | undefined =>
  commands.reduce<Part | undefined>((now, command) => {
    const result = now && applyCommand(now, command);
    return result?.ok ? result.part : undefined;
  }, part);
