import type { Fault, Mend, PartEdit } from '../checks/index.ts';
import { applyCommand, type PartCommand } from '../editing/index.ts';
import {
  assemble,
  assemblyClashes,
  assemblySeams,
  closingMend,
  edgesWithin,
  foldedBy,
  PRESS_FAULT_MM,
  standingContacts,
  type StandingContact,
  type StandingPart,
  type StandingPiece,
} from '../folds/index.ts';
import { drawnId } from '../part/index.ts';
import { formatAngle, formatLengthWithUnit } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { standingPart } from './made-at-scale.ts';
import { cornerMends, footMends } from './joint-edits.ts';

/** Seams and feet that are open by more than this are faults, in mm. */
export const OPEN_FAULT_MM = 0.3;
/** Every try of a mend stands the parts anew: so many edges of two pressing parts are tried. */
const MOST_EDGES_TRIED = 6;

export const seeFolded = (partId: string): Mend => ({
  label: 'See it folded',
  action: { name: 'seeFolded', partId },
});

/** Parts stood together, and what is in the way. */
interface Stood {
  readonly airframe: Airframe;
  readonly parts: readonly StandingPart[];
  readonly contacts: readonly StandingContact[];
  readonly presses: ReturnType<typeof assemblyClashes>;
  readonly openSeams: ReturnType<typeof assemblySeams>;
}

function stoodTogether(airframe: Airframe, parts: readonly StandingPart[]): Stood {
  const assembly = assemble(parts, foldedBy(1));
  return {
    airframe,
    parts,
    contacts: standingContacts(parts, assembly),
    presses: assemblyClashes(assembly).filter(({ depthMm }) => depthMm > PRESS_FAULT_MM),
    openSeams: assemblySeams(parts, assembly).filter(({ gapMm }) => gapMm > OPEN_FAULT_MM),
  };
}

/** What is wrong between parts that stand together: pieces that press, feet that stand open, seams between parts that do. */
export function standingFaults(parts: readonly StandingPart[], airframe: Airframe): readonly Fault[] {
  const stood = stoodTogether(airframe, parts);
  return [
    ...stood.presses.map((press) => pressFault(stood, press)),
    ...stood.contacts.filter(isOpenFoot(airframe)).map((contact) => footFault(stood, contact)),
    ...stood.openSeams.map((state): Fault => {
      const closing = closingMend(state);
      const partId = closing && closing.side === 1 ? state.seam.toPartId! : state.partId;
      return {
        code: 'SEAM_OPEN',
        partId: state.partId,
        title: `A seam of ${nameIn(stood, state.partId)} with another part is open by ${formatLengthWithUnit(state.gapMm, airframe.settings.unit, 2)}`,
        detail: 'Its two edges are declared to meet when the parts stand together.',
        mend: closing
          ? {
              label: 'Move the edge to meet',
              edits: [{ partId, command: scaledMove(airframe, partId, closing.command) }],
            }
          : seeFolded(state.partId),
      };
    }),
  ];
}

const nameIn = ({ parts }: Stood, partId: string): string =>
  parts.find(({ part }) => part.id === partId)?.part.name ?? partId;

/** Whether a foot that stands open is to be told: it is not filled with glue, as the builder says or the airframe's way of folding. */
const isOpenFoot =
  ({ settings: { folds } }: Airframe) =>
  ({ joint, wedgeMm }: StandingContact): boolean =>
    wedgeMm > OPEN_FAULT_MM && !joint.isFilled && folds?.school !== 'square';

/** A move of an edge worked out at the airframe's scale, as an edit of the drawing. */
function scaledMove({ settings: { scale }, parts }: Airframe, partId: string, command: PartCommand): PartCommand {
  const isFixed = parts.find(({ id }) => id === partId)?.sizing === 'fixed';
  return command.name === 'moveEdge' && !isFixed
    ? { ...command, args: { ...command.args, acrossMm: command.args.acrossMm / scale } }
    : command;
}

function footFault(stood: Stood, contact: StandingContact): Fault {
  const { partId, joint, wedgeMm, wedgeDegrees, kind } = contact;
  const { unit } = stood.airframe.settings;
  const own = nameIn(stood, partId),
    to = nameIn(stood, joint.toPartId);
  const [first, ...others] = [...footMends(stood.airframe, contact), ...cornerMends(contact), seeFolded(partId)];
  return {
    code: 'JOINT_OPEN',
    partId,
    targetId: drawnId(joint.ownSegmentId),
    title: `${own} stands open on ${to} by ${formatAngle(wedgeDegrees)}, ${formatLengthWithUnit(wedgeMm, unit, 2)} at its mouth`,
    detail:
      kind === 'edges'
        ? 'The two ends touch along one line only: bevel both to meet, or fill the corner.'
        : 'Its foot touches along one line only: bevel it to its lean, or leave it square and fill the wedge with glue.',
    mend: first!,
    ...(others.length > 0 ? { others } : {}),
  };
}

function pressFault(stood: Stood, press: Stood['presses'][number]): Fault {
  const {
    pieces: [a, b],
    depthMm,
    places,
  } = press;
  const { airframe, contacts } = stood;
  const foot = contacts.find(
    ({ partId, joint, pressMm }) =>
      pressMm > 0 && [a.partId, b.partId].includes(partId) && [a.partId, b.partId].includes(joint.toPartId),
  );
  const own = foot?.partId ?? a.partId;
  const names =
    a.partId === b.partId
      ? `Two of ${nameIn(stood, a.partId)}`
      : `${nameIn(stood, a.partId)} and ${nameIn(stood, b.partId)}`;
  const mends = foot ? [...footMends(airframe, foot), ...cornerMends(foot)] : [];
  const shorter = mends.length > 0 ? undefined : shorterEdge(stood, press);
  const [first, ...others] = [...mends, ...(shorter ? [shorter] : []), seeFolded(own)];
  return {
    code: 'PARTS_PRESS',
    partId: own,
    title: `${names} press ${formatLengthWithUnit(depthMm, airframe.settings.unit, 2)} into each other${places > 1 ? `, in ${places} places` : ''}`,
    detail: foot?.bevel
      ? `The foot of ${nameIn(stood, own)} is not cut to its lean: it wants a bevel of ${formatAngle(foot.bevel.bevelDegrees)}.`
      : 'As they stand they want the same place: shorten one, cut a slot for it, or shift it along its line.',
    mend: first!,
    ...(others.length > 0 ? { others } : {}),
  };
}

/** The first edge of two pressing pieces that takes the press away when it is drawn in, without pressing or opening anything else. */
function shorterEdge(stood: Stood, press: Stood['presses'][number]): Mend | undefined {
  const { airframe } = stood;
  const pairs: readonly (readonly [StandingPiece, StandingPiece])[] = [
    press.pieces,
    [press.pieces[1], press.pieces[0]],
  ];
  const tries = pairs.flatMap(([own, other]) =>
    edgesWithin(own, other, press.depthMm)
      .filter(({ segmentId }) => !segmentId.includes('~'))
      .map(({ segmentId, isBoardLeft }): PartEdit => ({
        partId: own.partId,
        command: scaledMove(airframe, own.partId, {
          name: 'moveEdge',
          args: { segmentId, acrossMm: isBoardLeft ? press.depthMm : -press.depthMm },
        }),
      })),
  );
  const helps = tries.slice(0, MOST_EDGES_TRIED).find((edit) => isBetter(stood, press, edit));
  return (
    helps && {
      label: `Shorten the edge of ${nameIn(stood, helps.partId)} by ${formatLengthWithUnit(press.depthMm, airframe.settings.unit, 2)}`,
      edits: [helps],
    }
  );
}

function isBetter(stood: Stood, { pieces: [a, b] }: Stood['presses'][number], { partId, command }: PartEdit): boolean {
  const drawn = stood.airframe.parts.find(({ id }) => id === partId)!;
  const edited = applyCommand(drawn, command);
  if (!edited.ok) return false;
  const airframe = {
    ...stood.airframe,
    parts: stood.airframe.parts.map((part) => (part === drawn ? edited.part : part)),
  };
  const own = standingPart(airframe, edited.part);
  if (!own) return false;
  const now = stoodTogether(
    airframe,
    stood.parts.map((one) => (one.part.id === partId ? own : one)),
  );
  const isSame = ({ pieces }: Stood['presses'][number]): boolean =>
    [a.partId, b.partId].sort().join() ===
    pieces
      .map((piece) => piece.partId)
      .sort()
      .join();
  return (
    !now.presses.some(isSame) &&
    now.presses.length < stood.presses.length &&
    now.openSeams.length <= stood.openSeams.length &&
    now.contacts.filter(isOpenFoot(airframe)).length <= stood.contacts.filter(isOpenFoot(airframe)).length
  );
}
