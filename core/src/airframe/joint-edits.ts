import { STEEPEST_SLANT_DEGREES } from '../allowance/index.ts';
import type { Mend, PartEdit } from '../checks/index.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import { bevellingMends, footCommands, seamStateOf, type StandingContact } from '../folds/index.ts';
import {
  add,
  applyRigid,
  composeRigid,
  directionDegrees,
  distance,
  dot,
  interpolate3,
  invertRigid,
  leftOf,
  subtract,
  times,
  unitVector,
  type Point,
} from '../geometry/index.ts';
import { findSegment, type Part } from '../part/index.ts';
import { degrees, formatAngle, formatLengthWithUnit, radians } from '../units/index.ts';
import type { Airframe } from './airframe.ts';

/** A foot that is off its line's length by more is offered a line of its own length, in mm. */
const OFF_LENGTH_MM = 0.5;
/** One tab for so much of a foot, each so long, in mm. */
const FOOT_OF_A_TAB_MM = 60;
const TAB_MM = 20;

const scaleOf = ({ settings: { scale } }: Airframe, part: Part): number => (part.sizing === 'fixed' ? 1 : scale);
const isDrawn = (id: string): boolean => !id.includes('~');

/** What can be done about a foot that does not lie on what it stands on: cut it, or leave it square and fill the wedge with glue. */
export function footMends(airframe: Airframe, contact: StandingContact): readonly Mend[] {
  const { partId, joint, bevel, edges, wedgeMm, pressMm } = contact;
  const own = airframe.parts.find(({ id }) => id === partId);
  if (!own || contact.kind !== 'end') return [];
  const otherSkin = joint.ownSkin === 'face' ? 'back' : 'face';
  const glue: readonly Mend[] =
    pressMm > 0
      ? [
          {
            label: `Stand it by its ${otherSkin === 'face' ? 'face' : 'far skin'}, glue the wedge`,
            command: {
              name: 'changeJoint',
              args: { jointId: joint.id, changes: { ownSkin: otherSkin, isFilled: true } },
            },
          },
        ]
      : wedgeMm > 0 && !joint.isFilled
        ? [
            {
              label: 'Leave it square, glue the wedge',
              command: { name: 'changeJoint', args: { jointId: joint.id, changes: { isFilled: true } } },
            },
          ]
        : [];
  if (!bevel || !isDrawn(edges[0].edge.segmentId)) return glue;
  const commands = footCommands(edges[0], bevel, scaleOf(airframe, own));
  return [
    {
      label: bevel.bevelDegrees < 0.05 ? 'Cut the foot square' : `Bevel the foot by ${formatAngle(bevel.bevelDegrees)}`,
      edits: commands.map((command): PartEdit => ({ partId, command })),
    },
    ...glue,
  ];
}

/** Two ends that meet at their edges are bevelled to each other. */
export function cornerMends({ kind, partId, joint, edges, wedgeMm, pressMm }: StandingContact): readonly Mend[] {
  if (kind !== 'edges' || wedgeMm + pressMm === 0) return [];
  const state = seamStateOf(
    { fromSegmentId: joint.ownSegmentId, toSegmentId: joint.toSegmentId, toPartId: joint.toPartId },
    ...edges,
  );
  const edits = bevellingMends(state).map(({ side, command }): PartEdit => ({
    partId: side === 0 ? partId : joint.toPartId,
    command,
  }));
  return [
    ...(edits.length > 0 ? [{ label: edits.length === 2 ? 'Bevel both edges' : 'Bevel the edge', edits }] : []),
    ...(wedgeMm > 0 && !joint.isFilled
      ? [
          {
            label: 'Leave it square, glue the corner',
            command: {
              name: 'changeJoint' as const,
              args: { jointId: joint.id, changes: { isFilled: true } },
            },
          },
        ]
      : []),
  ];
}

/** What a foot on a line within a plate can have: the line at its own length, and tabs with their slots. */
export function footOffers(airframe: Airframe, contact: StandingContact): readonly Mend[] {
  const own = airframe.parts.find(({ id }) => id === contact.partId),
    to = airframe.parts.find(({ id }) => id === contact.joint.toPartId);
  if (!own || !to || contact.kind !== 'end' || !contact.edges[1].edge.isLine) return [];
  const ids = [contact.joint.ownSegmentId, contact.joint.toSegmentId];
  return ids.every(isDrawn) ? [...lineOffer(airframe, contact, to), ...slotOffer(airframe, contact, own, to)] : [];
}

/** The foot's two ends on the drawing of the part that it stands on. */
function footOn(
  airframe: Airframe,
  { edges: [own, there], joint }: StandingContact,
  to: Part,
): readonly [Point, Point] {
  const map = composeRigid(own.map, invertRigid(there.map));
  const [a, b] = own.edge.flat[joint.ownSkin === 'face' ? 1 : 0].map((end) => {
    const { x, y } = applyRigid(map, end);
    return times({ x, y }, 1 / scaleOf(airframe, to));
  }) as [Point, Point];
  const along = subtract(there.edge.to, there.edge.from);
  return dot(along, subtract(b, a)) > 0 ? [a, b] : [b, a];
}

function lineOffer(airframe: Airframe, contact: StandingContact, to: Part): readonly Mend[] {
  const { partId, joint, edges } = contact,
    [own, line] = edges;
  const footMm = distance(own.edge.from, own.edge.to);
  const lineMm = distance(line.edge.from, line.edge.to);
  const found = findSegment(to, joint.toSegmentId);
  const isShared = airframe.parts.some(({ id, joints }) =>
    joints?.some(
      (other) =>
        other.toSegmentId === joint.toSegmentId && other.toPartId === to.id && (id !== partId || other.id !== joint.id),
    ),
  );
  if (Math.abs(lineMm - footMm) < OFF_LENGTH_MM || isShared || !found || 'role' in found.path) return [];
  const { nodes, segments } = found.path;
  const isMark = to.operations.every(({ on, kind }) => on.pathId !== found.path.id || kind === 'mark');
  if (!isMark || segments.length !== 1) return [];
  const ends = footOn(airframe, contact, to);
  const moves = ends.map((end, index): PartCommand => {
    const node = nodes[index]!;
    return { name: 'moveNodes', args: { nodeIds: [node.id], by: subtract(end, node) } };
  });
  return [
    {
      label: `Draw the line as long as the foot: ${formatLengthWithUnit(footMm, airframe.settings.unit)}`,
      edits: [
        ...moves.map((command): PartEdit => ({ partId: to.id, command })),
        { partId, command: { name: 'changeJoint', args: { jointId: joint.id, changes: { alongMm: 0 } } } },
      ],
    },
  ];
}

function slotOffer(airframe: Airframe, contact: StandingContact, own: Part, to: Part): readonly Mend[] {
  const found = findSegment(own, contact.joint.ownSegmentId);
  const { edges, contactMm, footMm } = contact;
  const [mine, there] = edges;
  if (!found || !('role' in found.path) || contactMm < footMm - OFF_LENGTH_MM) return [];
  if (own.features?.some((one) => one.kind === 'tabs' && one.on.segmentId === contact.joint.ownSegmentId)) return [];
  // Where the middle of the standing plate passes the middle of the plate that is slotted.
  const map = composeRigid(mine.map, invertRigid(there.map));
  const up = map.z,
    inward = leftOf(unitVector(mine.edge.from, mine.edge.to));
  const into = {
    x: map.x.x * inward.x + map.y.x * inward.y,
    y: map.x.y * inward.x + map.y.y * inward.y,
    z: map.x.z * inward.x + map.y.z * inward.y,
  };
  const slantDegrees = 90 - degrees(Math.asin(Math.min(1, Math.abs(into.z))));
  if (slantDegrees > STEEPEST_SLANT_DEGREES || Math.abs(up.z) > 0.999) return [];
  const flat = mine.edge.flat.map(([a, b]) => applyRigid(map, interpolate3(a, b, 0.5)));
  const middle = interpolate3(flat[0]!, flat[1]!, 0.5);
  const run = (there.edge.solid.thicknessMm / 2 - middle.z) / into.z;
  const at = times(add(middle, times(into, run)), 1 / scaleOf(airframe, to));
  const count = Math.max(1, Math.round(footMm / FOOT_OF_A_TAB_MM));
  const lengthMm = Math.min(TAB_MM, footMm / count / 2);
  const reachMm = there.edge.solid.thicknessMm / Math.cos(radians(slantDegrees));
  const tabs: PartCommand = {
    name: 'addFeature',
    args: {
      kind: 'tabs',
      on: { pathId: found.path.id, segmentId: contact.joint.ownSegmentId },
      numbers: { count, lengthMm, material: to.material, reachMm: slantDegrees < 0.05 ? 'auto' : reachMm },
    },
  };
  const tabbed = applyCommand(own, tabs);
  if (!tabbed.ok) return [];
  const slots: PartCommand = {
    name: 'addFeature',
    args: {
      kind: 'slots',
      at,
      numbers: {
        mate: `${own.id}/${tabbed.part.features!.at(-1)!.id}`,
        angleDegrees: directionDegrees(there.edge.from, there.edge.to),
        slantDegrees,
      },
    },
  };
  return [
    {
      label: count === 1 ? 'Give its foot a tab and a slot' : `Give its foot ${count} tabs and slots`,
      edits: [
        { partId: own.id, command: tabs },
        { partId: to.id, command: slots },
      ],
    },
  ];
}
