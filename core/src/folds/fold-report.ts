import { operationWord } from '../operations/index.ts';
import type { Part } from '../part/index.ts';
import { countOf, formatAngle, formatLengthWithUnit, type LengthUnit } from '../units/index.ts';
import { PRESS_FAULT_MM, type Assembly, type AssemblyClash, type AssemblySeam } from './assembly.ts';
import { clashOf, seamFigures, type FoldedPart, type SeamFigures } from './folded-part.ts';
import type { Clash } from './interference.ts';
import type { StandingContact } from './standing-contacts.ts';

/** What a fold is called: its word and its label. */
export function foldName(part: Part, operationId: string): string {
  const operation = part.operations.find(({ id }) => id === operationId.replace(/~.*$/, ''));
  return operation ? [operationWord(operation), operation.label].filter(Boolean).join(', ') : 'fold';
}

/** The groove between two plates that is too narrow, by name and by how much. */
const narrow = (part: Part, { widen }: Clash, unit: LengthUnit): string =>
  widen
    ? `: widen ${foldName(part, widen.operationId)} by ${formatLengthWithUnit(widen.byMm, unit, 2)}, to ${formatLengthWithUnit(widen.toMm, unit, 2)}`
    : '';

/** Seams in a sentence. */
function seamSentence({ closed, open, pressed, worstMm }: SeamFigures, unit: LengthUnit): string {
  const worst = formatLengthWithUnit(worstMm, unit, 2);
  if (closed + open + pressed === 0) return 'No seam is declared.';
  if (open === 0 && pressed === 0)
    return `${closed === 1 ? 'Its seam is' : closed === 2 ? 'Both seams are' : `All ${closed} seams are`} closed; the widest gap is ${worst}.`;
  const told = [
    ...(open > 0 ? [`${open === 1 ? 'One seam is' : `${open} seams are`} open by up to ${worst}`] : []),
    ...(pressed > 0
      ? [`${pressed === 1 ? 'one seam presses its plates' : `${pressed} seams press their plates`} into each other`]
      : []),
    `${closed} closed`,
  ];
  return `${told.join('; ').replace(/^./, (letter) => letter.toUpperCase())}.`;
}

/** How many folds turn, and by what angles: a strip of skin that stays between two plates has a hinge at each edge, and is one fold. */
function foldsTold({ tree }: FoldedPart): { readonly count: number; readonly angles: readonly string[] } {
  const folds = new Map<string, number>();
  tree.turns.forEach(({ hinge, parent, child }, index) => {
    const strip = [parent, child].find((plate) => tree.plates[plate]?.kind === 'skin');
    const key = strip === undefined ? `hinge ${index}` : `strip ${strip}`;
    folds.set(key, (folds.get(key) ?? 0) + Math.abs(hinge.turnDegrees));
  });
  const angles = [...folds.values()].filter((angle) => angle !== 0);
  return { count: angles.length, angles: [...new Set(angles.map(formatAngle))] };
}

/** How a part closes, in sentences: for the slip, for screen readers and for the build sheet. */
export function foldReport(part: Part, folded: FoldedPart, unit: LengthUnit): readonly string[] {
  const turned = foldsTold(folded);
  const clash = clashOf(folded);
  const boards = folded.tree.plates.filter(({ kind }) => kind === 'board').length;
  return [
    ...(folded.tree.turns.length === 0
      ? [`${part.name} is one plate: nothing of it folds.`]
      : [
          `${part.name} folds on ${turned.count === 1 ? 'one line' : `${turned.count} lines`} into ${countOf(boards, 'plate')}${turned.angles.length > 0 ? `, by ${turned.angles.join(', ')}` : ''}.`,
        ]),
    seamSentence(seamFigures(folded.seams), unit),
    ...(folded.tree.turns.length === 0
      ? []
      : [
          clash
            ? `At ${Math.round(clash.share * 100)} % of the way plates ${clash.plates[0] + 1} and ${clash.plates[1] + 1} press ${formatLengthWithUnit(clash.depthMm, unit, 2)} into each other${narrow(part, clash, unit)}.`
            : 'Nothing is in the way while it folds.',
        ]),
    ...(folded.tree.loose.length > 0
      ? [
          `${folded.tree.loose.length === 1 ? 'One piece falls out: no fold joins' : `${folded.tree.loose.length} pieces fall out: no fold joins`} it to the rest.`,
        ]
      : []),
    ...(folded.tornRings.length > 0
      ? [
          'Its folds enclose plates in a ring: flat board cannot bend about all of them, and one of them is left to meet by itself.',
        ]
      : []),
  ];
}

/** How one piece touches what it stands on, in a sentence. */
export function contactSentence(
  { kind, contactMm, footMm, wedgeDegrees, wedgeMm, pressMm, joint }: StandingContact,
  own: string,
  to: string,
  unit: LengthUnit,
): string {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit, 2);
  const isWhole = contactMm > footMm - WHOLE_MM;
  const along = isWhole
    ? `all ${length(footMm)} of its foot`
    : `${length(contactMm)} of the ${length(footMm)} of its foot`;
  if (kind === 'lap') return `${own} lies along ${to}, on ${along}.`;
  const state =
    pressMm > 0
      ? `and presses ${length(pressMm)} into it`
      : wedgeMm > 0
        ? `and stays open by ${formatAngle(wedgeDegrees)}, ${length(wedgeMm)} at its mouth${joint.isFilled ? ', which glue fills' : ''}`
        : 'along its whole end';
  return `${own} ${kind === 'edges' ? 'meets the end of' : 'stands on'} ${to} on ${along}, ${state}.`;
}
/** A foot shorter on its plate by less is on it whole, in mm. */
const WHOLE_MM = 0.1;

/** The feet that do not lie on what they stand on one by one; the others are counted. */
function footSentences(
  contacts: readonly StandingContact[],
  nameOf: (partId: string) => string,
  unit: LengthUnit,
): readonly string[] {
  const feet = contacts.filter(({ kind }) => kind !== 'lap'),
    off = feet.filter(({ wedgeMm, pressMm }) => wedgeMm > 0 || pressMm > 0),
    whole = feet.length - off.length;
  return [
    ...(whole > 0
      ? [
          `${whole === 1 ? 'One foot lies' : `${whole} feet lie`} on what ${whole === 1 ? 'it stands' : 'they stand'} on along the whole end.`,
        ]
      : []),
    ...off
      .slice(0, CLASHES_TOLD)
      .map((contact) => contactSentence(contact, nameOf(contact.partId), nameOf(contact.joint.toPartId), unit)),
    ...(off.length > CLASHES_TOLD ? [`${off.length - CLASHES_TOLD} more feet stand open.`] : []),
  ];
}

/** Clashes told one by one; more are counted. */
const CLASHES_TOLD = 4;

/** How parts stand together, in sentences. */
export function assemblyReport(
  parts: readonly Pick<Part, 'id' | 'name'>[],
  { pieces, strays }: Assembly,
  seams: readonly AssemblySeam[],
  clashes: readonly AssemblyClash[],
  contacts: readonly StandingContact[],
  unit: LengthUnit,
): readonly string[] {
  const nameOf = (partId: string): string => parts.find(({ id }) => id === partId)?.name ?? 'a part';
  const standing = new Set(pieces.map(({ partId }) => partId)).size,
    told = clashes.filter(({ depthMm }) => depthMm > PRESS_FAULT_MM);
  return [
    `${countOf(pieces.length, 'piece')} of ${countOf(standing, 'part')} ${pieces.length === 1 ? 'stands' : 'stand'} together.`,
    seamSentence(seamFigures(seams), unit).replace('No seam is declared.', 'No seam between parts is declared.'),
    ...(told.length === 0
      ? ['No piece is in another.']
      : told
          .slice(0, CLASHES_TOLD)
          .map(
            ({ pieces: [a, b], depthMm }) =>
              `${nameOf(a.partId)} and ${nameOf(b.partId)} are ${formatLengthWithUnit(depthMm, unit, 2)} in each other.`,
          )),
    ...(told.length > CLASHES_TOLD ? [`${told.length - CLASHES_TOLD} more pairs of parts are in each other.`] : []),
    ...footSentences(contacts, nameOf, unit),
    ...strays.map(({ partId, reason }) => `${nameOf(partId)} does not stand: ${STRAY_WORDS[reason]}.`),
  ];
}

/** Why a piece could not be stood, in words. */
export const STRAY_WORDS = {
  'part gone': 'the part it stands on is gone',
  'line gone': 'the line it stands on is gone',
  'own line gone': 'its own edge is gone or folded away',
  'stands nowhere': 'what it stands on has no place itself',
} as const;
