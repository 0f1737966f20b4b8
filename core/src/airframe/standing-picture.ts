import { assemble, foldedBy, foldedSvg, plateFaces, type Viewpoint } from '../folds/index.ts';
import type { Airframe } from './airframe.ts';
import { standingParts } from './made-at-scale.ts';

/** From the port bow and above, as a model is looked at on the bench. */
const FROM: Viewpoint = { turnDegrees: 35, heightDegrees: 28 };
/** Fewer pieces than this are no airframe to be known by. */
const LEAST_PIECES = 2;
/** The picture's lines as a share of its width. */
const LINE_SHARE = 1 / 420;

/**
 * The airframe as it stands, folded and put together, as an SVG drawing to know it by.
 * @returns undefined while fewer than two pieces stand together
 */
export function standingPicture(airframe: Airframe): string | undefined {
  const { pieces } = assemble(standingParts(airframe), foldedBy(1));
  if (pieces.length < LEAST_PIECES) return undefined;
  const faces = pieces.flatMap(({ body, maps }) =>
    body.solids.flatMap((solid) => plateFaces(solid, maps[solid.plate.index]!)),
  );
  return foldedSvg(faces, FROM, airframe.name, LINE_SHARE);
}
