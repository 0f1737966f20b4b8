import { FURTHEST_COORDINATE_MM, type Joint, type Part, type Place, findSegment, IdSource } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { lengthText } from '../../units/index.ts';

const isLine = (part: Part, segmentId: string): boolean => {
  const found = findSegment(part, segmentId);
  return found?.path.segments[found.index]!.kind === 'line';
};

function jointFault(part: Part, joint: Omit<Joint, 'id'>): string | undefined {
  if (!isLine(part, joint.ownSegmentId))
    return `A part stands by a straight edge or line of its own; "${joint.ownSegmentId}" is none.`;
  if (joint.toPartId === part.id) return `${part.name} cannot stand on itself.`;
  if (!(Math.abs(joint.turnDegrees) <= 180)) return `A part turns by up to 180° on its line, got ${joint.turnDegrees}.`;
  if (!(Math.abs(joint.alongMm) <= FURTHEST_COORDINATE_MM))
    return `A part is shifted by up to ${lengthText(FURTHEST_COORDINATE_MM, 0)} along its line, got ${lengthText(joint.alongMm)}.`;
  return undefined;
}

/** Stands a piece of the part on another part. */
export function addJoint(part: Part, args: { readonly joint: Omit<Joint, 'id'> }): CommandResult {
  const fault = jointFault(part, args.joint);
  if (fault) return refused(fault);
  const ids = new IdSource(part);
  return done(
    { ...part, joints: [...(part.joints ?? []), { ...args.joint, id: ids.next('k') }], lastId: ids.lastId },
    `Stand ${part.name} on another part`,
  );
}

export function changeJoint(
  part: Part,
  args: { readonly jointId: string; readonly changes: Partial<Omit<Joint, 'id'>> },
): CommandResult {
  const found = part.joints?.find(({ id }) => id === args.jointId);
  if (!found) return refused(`There is no joint "${args.jointId}" in ${part.name}.`);
  const changed = { ...found, ...args.changes };
  const fault = jointFault(part, changed);
  return fault
    ? refused(fault)
    : done(
        { ...part, joints: part.joints!.map((joint) => (joint === found ? changed : joint)) },
        'Change where it stands',
      );
}

export function removeJoint(part: Part, args: { readonly jointId: string }): CommandResult {
  if (!part.joints?.some(({ id }) => id === args.jointId))
    return refused(`There is no joint "${args.jointId}" in ${part.name}.`);
  return done({ ...part, joints: part.joints.filter(({ id }) => id !== args.jointId) }, 'Take it off the other part');
}

/** Sets where the part stands in the airframe; undefined takes it out of it. */
export function setPlace(part: Part, args: { readonly place: Place | undefined }): CommandResult {
  const { place: _before, ...rest } = part;
  if (!args.place) return done(rest, `Take ${part.name} out of the airframe`);
  const { at, rollDegrees, pitchDegrees, yawDegrees } = args.place;
  const far = [at.x, at.y, at.z].find((value) => !(Math.abs(value) <= FURTHEST_COORDINATE_MM));
  if (far !== undefined)
    return refused(
      `A part stands within ±${lengthText(FURTHEST_COORDINATE_MM, 0)} of the airframe's origin, got ${far}.`,
    );
  const turned = [rollDegrees, pitchDegrees, yawDegrees].find((value) => !(Math.abs(value) <= 360));
  if (turned !== undefined) return refused(`A part is turned by up to 360°, got ${turned}.`);
  return done({ ...rest, place: args.place }, `Place ${part.name}`);
}
