import { featureTraits } from '../features/index.ts';
import { applyTransform, mirrorX, type Point } from '../geometry/index.ts';
import { holesOf, featureIdOf, lineName, pathsOf, drawnId, type Joint, type Part } from '../part/index.ts';
import { curveOf } from '../paths/index.ts';
import { expandPart, type ResolvedPart } from '../resolve/index.ts';
import { bareLengthText, formatAngle } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { partAtScale } from './made-at-scale.ts';
import { contextOf, partsInVariant } from './made-at-scale.ts';

/** What the airframe knows of a part that its own shape does not tell. */
export interface PartRelations {
  /** What each of its holes is for, in their order. */
  readonly holeWords: readonly string[];
  /** A sentence for each part it stands on or bears, and for each edge that is glued; lengths as marks. */
  readonly joins: readonly string[];
}

/** What a part of an airframe is joined to, and what its holes are for. @param resolved the part, or its starboard twin */
export function relationsOf(airframe: Airframe, part: Part, resolved: ResolvedPart): PartRelations {
  const others = partsInVariant(airframe);
  const nameOf = (id: string): string => others.find((one) => one.id === id)?.name ?? 'a part that is gone';
  const edge = edgesOf(airframe, part, resolved);
  const own = (part.joints ?? []).map(
    (joint) =>
      `Stands by ${edge(joint.ownSegmentId)} on ${nameOf(joint.toPartId)}, ${foreignLine(others, joint.toPartId, joint.toSegmentId)}${turnWords(joint)}.`,
  );
  const borne = others.flatMap((other) =>
    (other.joints ?? [])
      .filter(({ toPartId }) => toPartId === part.id)
      .map((joint) => `${other.name} stands on ${edge(joint.toSegmentId)}${turnWords(joint)}.`),
  );
  const seams = (part.seams ?? []).map(({ fromSegmentId, toSegmentId, toPartId }) =>
    toPartId === undefined
      ? `Glue ${edge(fromSegmentId)} to ${edge(toSegmentId)}.`
      : `Glue ${edge(fromSegmentId)} to ${nameOf(toPartId)}, ${foreignLine(others, toPartId, toSegmentId)}.`,
  );
  const met = others.flatMap((other) =>
    (other.seams ?? [])
      .filter(({ toPartId }) => toPartId === part.id && other.id !== part.id)
      .map(
        ({ fromSegmentId, toSegmentId }) =>
          `Glue ${edge(toSegmentId)} to ${other.name}, ${lineName(other, drawnId(fromSegmentId))}.`,
      ),
  );
  return { holeWords: holeWordsOf(airframe, part), joins: [...own, ...borne, ...seams, ...met] };
}

const turnWords = ({ turnDegrees, alongMm }: Joint): string =>
  `, at ${formatAngle(turnDegrees)}${Math.abs(alongMm) > 0.05 ? `, shifted along by ${bareLengthText(alongMm)}` : ''}`;

function foreignLine(parts: readonly Part[], partId: string, segmentId: string): string {
  const other = parts.find(({ id }) => id === partId);
  return other ? lineName(other, drawnId(segmentId)) : 'a line that is gone';
}

/** Names a straight line of a part, and where it lies on the board: `edge 3 from (0, 0) to (200, 0)`. */
function edgesOf(airframe: Airframe, part: Part, { side, bounds }: ResolvedPart): (segmentId: string) => string {
  const { scale } = airframe.settings;
  const drawn = partAtScale(airframe, part),
    whole = expandPart(drawn, contextOf(airframe, part, scale));
  const onBoard = (p: Point): Point => {
    const { x, y } = side === 'starboard' ? applyTransform(mirrorX(0), p) : p;
    return { x: x - bounds.minX, y: y - bounds.minY };
  };
  const at = (p: Point): string => {
    const { x, y } = onBoard(p);
    return `(${bareLengthText(x)}, ${bareLengthText(y)})`;
  };
  return (segmentId) => {
    const path = [...pathsOf(whole), ...pathsOf(drawn)].find(({ segments }) =>
      segments.some(({ id }) => id === segmentId),
    );
    const name = lineName(part, drawnId(segmentId));
    if (!path) return `its ${name}`;
    const { from, to } = curveOf(
      path,
      path.segments.findIndex(({ id }) => id === segmentId),
    );
    return `its ${name} from ${at(from)} to ${at(to)}`;
  };
}

/** What each hole that is cut is for: a plate's slot, a feature's own opening, or a hole that was drawn. */
function holeWordsOf(airframe: Airframe, part: Part): readonly string[] {
  const { scale } = airframe.settings;
  const whole = expandPart(partAtScale(airframe, part), contextOf(airframe, part, scale));
  return holesOf(whole)
    .filter(({ closed }) => closed)
    .map(({ id, plate }) => {
      if (plate) return `slot for ${plate.material}`;
      const feature = part.features?.find((one) => one.id === featureIdOf(id));
      if (!feature) return 'hole';
      const mate = 'mate' in feature ? airframe.parts.find((one) => feature.mate.startsWith(`${one.id}/`)) : undefined;
      return mate ? `slot for ${mate.name}` : featureTraits(feature.kind).word;
    });
}
