import type { Region } from '../geometry/index.ts';
import { KINDS, type Operation, type OperationDraft, type OperationKind } from './kinds.ts';
import { fieldRange, isFieldValue, type OperationField } from './operation-field.ts';
import type { LineShape, OperationFault, OperationFigure, OperationSite, OperationTraits } from './operation-kind.ts';

export const OPERATION_KINDS = Object.keys(KINDS) as readonly OperationKind[];

/** What is particular to a kind of operation. */
export const traitsOf = (kind: OperationKind): OperationTraits<Operation> =>
  // The table is keyed by kind, so an operation always meets the traits of its own kind; TypeScript cannot follow that through a union.
  KINDS[kind] as unknown as OperationTraits<Operation>;
const own = ({ kind }: Operation): OperationTraits<Operation> => traitsOf(kind);

/** Whether a kind of work bends the part, hinges too. */
export const canFold = (kind: OperationKind): boolean => traitsOf(kind).fold !== undefined;
/** Whether a kind of work cuts the board right through. */
export const isThroughCut = (kind: OperationKind): boolean => traitsOf(kind).cutting.isThrough === true;
/** The kinds in which a fold of flat board can be made: those that turn it by themselves. */
export const FOLD_STYLES: readonly OperationKind[] = OPERATION_KINDS.filter(
  (kind) => (traitsOf(kind).fold?.sign ?? 0) !== 0,
);

/** Turn of a fold toward the part's face, in degrees; 0 for work that does not fold by itself. */
export const turnOf = ({
  kind,
  face,
  angleDegrees,
}: Pick<Operation, 'kind' | 'face'> & { readonly angleDegrees?: number }): number =>
  (traitsOf(kind).fold?.sign ?? 0) * (face === 'back' ? -1 : 1) * (angleDegrees ?? 0);

/** The face and the numbers of a kind of work that turns the board by a wanted turn, more than 0 toward the face, or as far as it can. */
export function workOfTurn(kind: OperationKind, turnDegrees: number): Readonly<Record<string, unknown>> {
  const { fold } = traitsOf(kind);
  const isAway = turnDegrees < 0 !== (fold?.sign === -1);
  return { face: isAway ? 'back' : 'face', ...fold?.numbers(Math.abs(turnDegrees)) };
}

/** The operation as it is on the mirrored part: what lay left of its line lies right. */
export const mirroredOperation = (operation: Operation): Operation => own(operation).mirrored?.(operation) ?? operation;

/** A new operation of a kind with the kind's own first values. */
export const operationDraft = (kind: OperationKind): OperationDraft =>
  ({ ...traitsOf(kind).defaults, label: '' }) as unknown as OperationDraft;

/** The field of a kind, or undefined. */
export const fieldOf = (kind: OperationKind, key: string): OperationField | undefined =>
  traitsOf(kind).fields.find((field) => field.key === key);

/** Why a value cannot stand in a field of a kind, or undefined. */
export function fieldFault(kind: OperationKind, field: OperationField, value: unknown): string | undefined {
  if (isFieldValue(field, value)) return undefined;
  return `The ${field.name} of a ${traitsOf(kind).word} is ${fieldRange(field)}, got ${String(value)}.`;
}

/** What is wrong with the numbers and choices of an operation as data, or undefined; whether it can be cut is for the checks to say. */
export function operationDataFault(operation: OperationDraft): string | undefined {
  const { fields } = traitsOf(operation.kind);
  for (const field of fields) {
    const fault = fieldFault(operation.kind, field, (operation as unknown as Record<string, unknown>)[field.key]);
    if (fault) return fault;
  }
  if (operation.face !== 'face' && operation.face !== 'back')
    return `Work is on the face or on the back, got ${String(operation.face)}.`;
  return undefined;
}

/** Why an operation cannot run on a line, or undefined. */
export const lineFault = (kind: OperationKind, line: LineShape): string | undefined => traitsOf(kind).lineFault?.(line);

export const operationWord = (operation: Operation): string => own(operation).word;
export const operationCaption = (operation: Operation): string => own(operation).caption(operation);
export const operationAngle = (operation: Operation): number | undefined => own(operation).angleDegrees(operation);
export const operationWidth = (operation: Operation, thicknessMm: number): number =>
  own(operation).trueWidthMm(operation, thicknessMm);
/** How deep an operation goes in mm, for those that have a depth. */
export const operationDepth = (operation: Operation, thicknessMm: number): number | undefined =>
  own(operation).depthMm?.(operation, thicknessMm);
export const operationArea = (operation: Operation, site: OperationSite): Region =>
  own(operation).area(operation, site);
export const operationFigures = (operation: Operation, thicknessMm: number): readonly OperationFigure[] =>
  own(operation).figures?.(operation, thicknessMm) ?? [];
export const operationFaults = (operation: Operation, thicknessMm: number): readonly OperationFault[] =>
  own(operation).faults(operation, thicknessMm);
