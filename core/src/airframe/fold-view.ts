import {
  PRESS_FAULT_MM,
  assemble,
  assemblyClashes,
  assemblyReport,
  assemblySeams,
  contactSentence,
  clashOf,
  foldedBy,
  foldedSizes,
  foldName,
  foldOrder,
  foldReport,
  standingContacts,
  standingWith,
  type Assembly,
  type Clash,
  type Line3,
  type OrderedFold,
  type PlateSize,
  type SeamState,
  type StandingPart,
} from '../folds/index.ts';
import type { Mend } from '../checks/index.ts';
import type { LengthUnit } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { standingPart, standingParts } from './made-at-scale.ts';
import { partsInVariant } from './made-at-scale.ts';
import { cornerMends, footMends, footOffers } from './joint-edits.ts';
import { OPEN_FAULT_MM } from './standing-faults.ts';

/** How much of the airframe is looked at folded. */
export type FoldExtent = 'part' | 'together' | 'airframe';

/** A seam as it is shown: the part that declares it, and between which of the standing pieces it lies. */
export interface ShownSeam {
  readonly partId: string;
  readonly state: SeamState;
  readonly pieces: readonly [number, number];
}

/** How one piece touches what it stands on, in a sentence, and what can be done about it. */
export interface ShownContact {
  readonly partId: string;
  readonly jointId: string;
  readonly sentence: string;
  /** Where they touch, all folded and stood together. */ readonly line: Line3;
  /** How wide it stands open, or how deep it presses; 0 when it does neither. */ readonly offMm: number;
  /** Whether it presses or stands open. */ readonly isOff: boolean;
  readonly mends: readonly Mend[];
}

function shownContacts(
  airframe: Airframe,
  parts: readonly StandingPart[],
  assembly: Assembly,
  unit: LengthUnit,
): readonly ShownContact[] {
  const nameOf = (id: string): string => parts.find(({ part }) => part.id === id)?.part.name ?? 'a part';
  return standingContacts(parts, assembly).map((contact) => ({
    partId: contact.partId,
    jointId: contact.joint.id,
    sentence: contactSentence(contact, nameOf(contact.partId), nameOf(contact.joint.toPartId), unit),
    line: contact.line,
    offMm: Math.max(contact.wedgeMm, contact.pressMm),
    isOff: contact.pressMm > PRESS_FAULT_MM || (contact.wedgeMm > OPEN_FAULT_MM && !contact.joint.isFilled),
    mends: [...footMends(airframe, contact), ...cornerMends(contact), ...footOffers(airframe, contact)],
  }));
}

/** The contacts of a part with what it stands on, where only the part itself is looked at. */
function contactsAround(airframe: Airframe, partId: string, unit: LengthUnit): readonly ShownContact[] {
  const parts = standingParts(airframe, standingWith(partsInVariant(airframe), partId));
  return shownContacts(airframe, parts, assemble(parts, foldedBy(1)), unit);
}

/** All that the folded view needs of a part, or of parts that stand together. Plain data: a worker makes it. */
export interface FoldView {
  readonly partId: string;
  readonly extent: FoldExtent;
  readonly scale: number;
  readonly parts: readonly StandingPart[];
  /** All pieces where they stand, folded. */
  readonly assembly: Assembly;
  /** What is first in the way while the part folds. */
  readonly clash?: Clash;
  /** The part's own folds in the order to fold them. */
  readonly order: readonly OrderedFold[];
  /** How it closes, in sentences. */
  readonly report: readonly string[];
  readonly seams: readonly ShownSeam[];
  readonly contacts: readonly ShownContact[];
  /** What the part's plates measure when they are folded. */
  readonly sizes: readonly PlateSize[];
  /** Pairs of the part's edges that nearly meet without being a seam. */
  readonly near: readonly SeamState[];
}

/** The pieces of a view at a state of its folds: one part by itself, or all stood together. */
export function piecesOfView(
  { extent, parts, partId }: Pick<FoldView, 'extent' | 'parts' | 'partId'>,
  state: Parameters<typeof assemble>[1],
): Assembly {
  if (extent !== 'part') return assemble(parts, state);
  const own = parts.find(({ part }) => part.id === partId)!;
  const { joints: _joints, ...part } = own.part;
  return assemble([{ ...own, part: { ...part, handed: 'single', place: LYING } }], state);
}
/** A part by itself lies as it is drawn. */
const LYING = { at: { x: 0, y: 0, z: 0 }, rollDegrees: 0, pitchDegrees: 0, yawDegrees: 0 } as const;

/**
 * A part folded, by itself or with what it stands with.
 * @returns undefined while it has no closed outline
 */
export function foldView(
  airframe: Airframe,
  partId: string,
  extent: FoldExtent,
  unit: LengthUnit,
): FoldView | undefined {
  const drawn = airframe.parts.find(({ id }) => id === partId),
    own = drawn && standingPart(airframe, drawn);
  if (!own) return undefined;
  const { body } = own,
    scale = drawn.sizing === 'fixed' ? 1 : airframe.settings.scale;
  const order =
    body.tree.turns.length === 0
      ? []
      : foldOrder(body.solids, body.tree, (id) => foldName(own.part, id), own.part.foldOrder);
  const view = { partId, extent, scale, order, sizes: foldedSizes(body), near: body.near };
  if (extent === 'part')
    return {
      ...view,
      parts: [own],
      assembly: piecesOfView({ extent, parts: [own], partId }, foldedBy(1)),
      clash: clashOf(body),
      report: foldReport(own.part, body, unit),
      seams: body.seams.map((state) => ({ partId, state, pieces: [0, 0] })),
      contacts: own.part.joints?.length ? contactsAround(airframe, partId, unit) : [],
    };
  const chosen = extent === 'airframe' ? partsInVariant(airframe) : standingWith(partsInVariant(airframe), partId);
  const parts = standingParts(airframe, chosen),
    assembly = assemble(parts, foldedBy(1)),
    { pieces } = assembly;
  const between = assemblySeams(parts, assembly),
    contacts = standingContacts(parts, assembly);
  const within = pieces.flatMap((piece, index) =>
    piece.side === 'starboard'
      ? []
      : piece.body.seams.map((state): ShownSeam => ({ partId: piece.partId, state, pieces: [index, index] })),
  );
  return {
    ...view,
    parts,
    assembly,
    report: [
      ...assemblyReport(
        parts.map(({ part }) => part),
        assembly,
        between,
        assemblyClashes(assembly),
        contacts,
        unit,
      ),
      ...(pieces.some((piece) => piece.partId === partId) ? [] : [`${drawn.name} stands nowhere yet.`]),
    ],
    seams: [
      ...within,
      ...between.map((seam): ShownSeam => ({ partId: seam.partId, state: seam, pieces: seam.pieces })),
    ],
    contacts: shownContacts(airframe, parts, assembly, unit),
  };
}
