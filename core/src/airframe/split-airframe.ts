import { splitPart, type SplitPart } from '../editing/index.ts';
import { pathsOf, type Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';

/**
 * An airframe with one of its parts cut in two that lock into each other. What stands on the part, meets it or goes by its tabs follows
 * the half that bears the edge.
 * @param secondId id of the second half
 * @returns undefined when the part cannot be cut, as `splitPart` says
 */
export function splitInAirframe(
  airframe: Airframe,
  partId: string,
  secondId: string,
): { readonly airframe: Airframe; readonly split: SplitPart } | undefined {
  const part = airframe.parts.find(({ id }) => id === partId),
    split = part && splitPart(part, secondId);
  if (!split) return undefined;
  const [first, second] = split.halves.map(drawnByHand) as [Part, Part];
  const parts = airframe.parts.flatMap((one) => (one === part ? [first, second] : [following(one, first, second)]));
  const forms = airframe.forms?.map((form) =>
    part.source?.formId === form.id ? { ...form, leftOut: [...(form.leftOut ?? []), part.source.role] } : form,
  );
  return { airframe: { ...airframe, parts, ...(forms ? { forms } : {}) }, split };
}

/** A half is drawn from then on: its form makes the part no more. */
function drawnByHand({ source: _source, ...half }: Part): Part {
  return half;
}

const bears = (part: Part, id: string): boolean =>
  pathsOf(part).some(({ segments }) => segments.some((segment) => segment.id === id.replace(/~.*$/, '')));

/** Another part whose joints, seams and slots go to the half that bears what they name. */
function following(part: Part, first: Part, second: Part): Part {
  const isMoved = (toPartId: string | undefined, segmentId: string): boolean =>
    toPartId === first.id && !bears(first, segmentId) && bears(second, segmentId);
  const mateOf = (mate: string): string => {
    const featureId = mate.split('/')[1];
    const isOn = (half: Part): boolean => half.features?.some(({ id }) => id === featureId) ?? false;
    return mate.startsWith(`${first.id}/`) && !isOn(first) && isOn(second) ? `${second.id}/${featureId}` : mate;
  };
  return {
    ...part,
    ...(part.joints
      ? {
          joints: part.joints.map((joint) =>
            isMoved(joint.toPartId, joint.toSegmentId) ? { ...joint, toPartId: second.id } : joint,
          ),
        }
      : {}),
    ...(part.seams
      ? {
          seams: part.seams.map((seam) =>
            isMoved(seam.toPartId, seam.toSegmentId) ? { ...seam, toPartId: second.id } : seam,
          ),
        }
      : {}),
    ...(part.features
      ? {
          features: part.features.map((feature) =>
            feature.kind === 'slots' ? { ...feature, mate: mateOf(feature.mate) } : feature,
          ),
        }
      : {}),
  };
}
