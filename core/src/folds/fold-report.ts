import { formatAngle, formatLengthWithUnit, type LengthUnit } from '../units/index.ts';
import { operationWord, type Part } from '../drawing/index.ts';
import { clashOf, seamFigures, type FoldedPart } from './folded-part.ts';

/** What a fold is called: its word and its label. */
export function foldName(part: Part, operationId: string): string {
  const operation = part.operations.find(({ id }) => id === operationId.replace(/~.*$/, ''));
  return operation ? [operationWord(operation), operation.label].filter(Boolean).join(', ') : 'fold';
}

/** The groove between two plates that press together, by name. */
function narrow(part: Part, { tree }: FoldedPart, [a, b]: readonly [number, number]): string {
  const hinge = tree.hinges.find(({ kind, left, right }) => kind === 'groove' && ((left === a && right === b) || (left === b && right === a)));
  return hinge ? `: ${foldName(part, hinge.operationId)} between them is too narrow for its angle` : '';
}

/** How a part closes, in sentences: for the slip, for screen readers and for the build sheet. */
export function foldReport(part: Part, folded: FoldedPart, unit: LengthUnit): readonly string[] {
  const { closed, open, worstMm } = seamFigures(folded);
  const turns = folded.tree.turns.filter(({ hinge }) => hinge.turnDegrees !== 0);
  const clash = clashOf(folded);
  const boards = folded.tree.plates.filter(({ kind }) => kind === 'board').length;
  return [
    `${part.name} folds about ${turns.length === 1 ? 'one hinge' : `${turns.length} hinges`} into ${boards} plates, by ${[...new Set(turns.map(({ hinge }) => formatAngle(Math.abs(hinge.turnDegrees))))].join(', ')}.`,
    closed + open === 0 ? 'No seam is declared.' : open === 0 ? `${closed === 1 ? 'Its seam is' : closed === 2 ? 'Both seams are' : `All ${closed} seams are`} closed; the widest gap is ${formatLengthWithUnit(worstMm, unit, 2)}.` : `${open === 1 ? 'One seam is' : `${open} seams are`} open by up to ${formatLengthWithUnit(worstMm, unit, 2)}; ${closed} closed.`,
    clash ? `At ${Math.round(clash.share * 100)} % of the way plates ${clash.plates[0] + 1} and ${clash.plates[1] + 1} press ${formatLengthWithUnit(clash.depthMm, unit, 2)} into each other${narrow(part, folded, clash.plates)}.` : 'Nothing is in the way while it folds.',
    ...(folded.tree.loose.length > 0 ? [`${folded.tree.loose.length === 1 ? 'One piece falls out: no fold joins' : `${folded.tree.loose.length} pieces fall out: no fold joins`} it to the rest.`] : []),
    ...(folded.tornRings.length > 0 ? ['Its folds enclose plates in a ring: flat board cannot bend about all of them, and one of them is left to meet by itself.'] : []),
  ];
}
