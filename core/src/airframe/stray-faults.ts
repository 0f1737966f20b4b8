import { drawnId, pathsOf, type Fault, type Part } from '../drawing/index.ts';
import { STRAY_WORDS, type StrayJoint } from '../folds/index.ts';
import type { Airframe } from './airframe.ts';

const hasEdge = (part: Part, segmentId: string): boolean => pathsOf(part).some(({ segments }) => segments.some(({ id }) => id === drawnId(segmentId)));

/** Why a part cannot stand by a joint, as far as the drawings tell. */
function strayReason(airframe: Pick<Airframe, 'parts'>, part: Part, toPartId: string, toSegmentId: string): StrayJoint['reason'] | undefined {
  const to = airframe.parts.find(({ id }) => id === toPartId);
  if (!to) return 'part gone';
  if (!hasEdge(to, toSegmentId)) return 'line gone';
  const walked = new Set<string>();
  for (let at: Part | undefined = to; at && !at.place; at = airframe.parts.find(({ id }) => id === at!.joints?.[0]?.toPartId)) {
    if (at.id === part.id || walked.has(at.id)) return 'stands nowhere';
    walked.add(at.id);
  }
  return undefined;
}

/** Joints and seams of a part that lead to a part or an edge which is not there, or round in a ring. */
export function strayFaults(airframe: Pick<Airframe, 'parts'>, part: Part): readonly Fault[] {
  const joints = (part.joints ?? []).flatMap((joint): readonly Fault[] => {
    const reason = strayReason(airframe, part, joint.toPartId, joint.toSegmentId);
    return reason ? [{ code: 'JOINT_STRAY', partId: part.id, title: `${part.name} does not stand`, detail: `${STRAY_WORDS[reason].replace(/^./, (letter) => letter.toUpperCase())}.`, mend: { label: 'Take it off', command: { name: 'removeJoint', args: { jointId: joint.id } } } }] : [];
  });
  const seams = (part.seams ?? []).flatMap((seam): readonly Fault[] => {
    if (seam.toPartId === undefined) return [];
    const to = airframe.parts.find(({ id }) => id === seam.toPartId);
    return to && hasEdge(to, seam.toSegmentId) ? [] : [{ code: 'SEAM_STRAY', partId: part.id, title: `A seam of ${part.name} leads nowhere`, detail: to ? `The edge of ${to.name} that it meets is gone.` : 'The part that it meets is gone.', mend: { label: 'Remove the seam', command: { name: 'removeSeam', args: { seamId: seam.id } } } }];
  });
  const stood = part.joints?.length ?? 0;
  const pieces = part.quantity;
  const many: readonly Fault[] = stood > pieces ? [{ code: 'JOINT_MANY', partId: part.id, title: `${part.name} stands in ${stood} places, ${pieces} ${pieces === 1 ? 'is' : 'are'} cut`, detail: 'A piece stands in one place.', mend: { label: `Cut ${stood}`, command: { name: 'changeDetails', args: { changes: { quantity: stood } } } } }] : [];
  return [...joints, ...seams, ...many];
}
