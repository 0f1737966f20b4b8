import type { Fault } from '../checks/index.ts';
import { STRAY_WORDS, type StrayJoint } from '../folds/index.ts';
import { drawnId, pathsOf, type Part, type Seam } from '../part/index.ts';
import type { Airframe } from './airframe.ts';

const hasEdge = (part: Part, segmentId: string): boolean =>
  pathsOf(part).some(({ segments }) => segments.some(({ id }) => id === drawnId(segmentId)));

/** Why a part cannot stand by a joint, as far as the drawings tell. */
function strayReason(
  airframe: Pick<Airframe, 'parts'>,
  part: Part,
  toPartId: string,
  toSegmentId: string,
): StrayJoint['reason'] | undefined {
  const to = airframe.parts.find(({ id }) => id === toPartId);
  if (!to) return 'part gone';
  if (!hasEdge(to, toSegmentId)) return 'line gone';
  const walked = new Set<string>();
  for (
    let at: Part | undefined = to;
    at && !at.place;
    at = airframe.parts.find(({ id }) => id === at!.joints?.[0]?.toPartId)
  ) {
    if (at.id === part.id || walked.has(at.id)) return 'stands nowhere';
    walked.add(at.id);
  }
  return undefined;
}

/** Whether a part stands anywhere: at a place, by a joint, or as the ground of others. */
const stands = (airframe: Pick<Airframe, 'parts'>, part: Part): boolean =>
  part.place !== undefined ||
  (part.joints ?? []).some(
    ({ toPartId, toSegmentId }) => strayReason(airframe, part, toPartId, toSegmentId) === undefined,
  ) ||
  airframe.parts.some(({ joints }) => joints?.some(({ toPartId }) => toPartId === part.id));

/** What keeps a seam with another part from being measured. */
function seamFault(airframe: Pick<Airframe, 'parts'>, part: Part, seam: Seam): Fault | undefined {
  if (seam.toPartId === undefined) return undefined;
  const to = airframe.parts.find(({ id }) => id === seam.toPartId);
  const fault = {
    partId: part.id,
    mend: { label: 'Remove the seam', command: { name: 'removeSeam' as const, args: { seamId: seam.id } } },
  };
  if (!to || !hasEdge(to, seam.toSegmentId))
    return {
      ...fault,
      code: 'SEAM_STRAY',
      title: `A seam of ${part.name} leads nowhere`,
      detail: to ? `The edge of ${to.name} that it meets is gone.` : 'The part that it meets is gone.',
    };
  const apart = [part, to].find((one) => !stands(airframe, one));
  return (
    apart && {
      ...fault,
      code: 'SEAM_APART',
      title: `A seam of ${part.name} cannot be measured`,
      detail: `${apart.name} stands nowhere yet: stand it on another part, or give it a place, in the folded view.`,
    }
  );
}

/** Joints and seams of a part that lead to a part or an edge which is not there, or round in a ring; and pieces that stand more often than they are cut. */
export function strayFaults(airframe: Pick<Airframe, 'parts'>, part: Part): readonly Fault[] {
  const joints = (part.joints ?? []).flatMap((joint): readonly Fault[] => {
    const reason = strayReason(airframe, part, joint.toPartId, joint.toSegmentId);
    return reason
      ? [
          {
            code: 'JOINT_STRAY',
            partId: part.id,
            title: `${part.name} does not stand`,
            detail: `${STRAY_WORDS[reason].replace(/^./, (letter) => letter.toUpperCase())}.`,
            mend: { label: 'Take it off', command: { name: 'removeJoint', args: { jointId: joint.id } } },
          },
        ]
      : [];
  });
  const seams = (part.seams ?? []).flatMap((seam) => seamFault(airframe, part, seam) ?? []);
  const stood = part.joints?.length ?? 0,
    { quantity } = part;
  const many: readonly Fault[] =
    stood > quantity
      ? [
          {
            code: 'JOINT_MANY',
            partId: part.id,
            title: `${part.name} stands in ${stood} places, ${quantity} ${quantity === 1 ? 'is' : 'are'} cut`,
            detail: 'A piece stands in one place.',
            mend: { label: `Cut ${stood}`, command: { name: 'changeDetails', args: { changes: { quantity: stood } } } },
          },
        ]
      : [];
  return [...joints, ...seams, ...many];
}
