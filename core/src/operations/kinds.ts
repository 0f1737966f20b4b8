import type { Region } from '../geometry/index.ts';
import { bevel } from './bevel.ts';
import { crease } from './crease.ts';
import { engrave } from './engrave.ts';
import { groove } from './groove.ts';
import { hinge } from './hinge.ts';
import { mark } from './mark.ts';
import type { OperationFault, OperationSite, OperationTraits } from './operation-kind.ts';
import type { Operation, OperationKind } from './operation.ts';
import { pocket } from './pocket.ts';
import { slit, slitDepth } from './slit.ts';
import { through } from './through.ts';
import { trench } from './trench.ts';

/** Every kind of operation. A new kind is a new file and one line here. */
const TRAITS: { readonly [K in OperationKind]: OperationTraits<K> } = {
  through,
  groove,
  bevel,
  crease,
  trench,
  pocket,
  slit,
  hinge,
  mark,
  engrave,
};

/** What is particular to an operation's kind. */
export const traitsOf = <K extends OperationKind>(kind: K): OperationTraits<K> => TRAITS[kind] as OperationTraits<K>;

// The table is keyed by kind, so an operation always meets the traits of its own kind; TypeScript cannot follow that through a union.
const own = (operation: Operation): OperationTraits<OperationKind> =>
  TRAITS[operation.kind] as unknown as OperationTraits<OperationKind>;

/** How deep an operation goes in mm, for those that have a depth. */
export function operationDepth(operation: Operation, thicknessMm: number): number | undefined {
  if (operation.kind === 'slit') return slitDepth(operation, thicknessMm);
  return operation.kind === 'pocket' ? operation.depthMm : undefined;
}
/** The operation as it is on the mirrored part: what lay left of its line lies right. */
export function mirroredOperation(operation: Operation): Operation {
  const other = { left: 'right', right: 'left' } as const;
  if (operation.kind === 'trench' && operation.side !== 'centre') return { ...operation, side: other[operation.side] };
  return operation.kind === 'hinge' && operation.relief !== 'both'
    ? { ...operation, relief: other[operation.relief] }
    : operation;
}
export const operationWord = (operation: Operation): string => own(operation).word;
export const operationCaption = (operation: Operation): string => own(operation).caption(operation);
export const operationAngle = (operation: Operation): number | undefined => own(operation).angleDegrees(operation);
export const operationWidth = (operation: Operation, thicknessMm: number): number =>
  own(operation).trueWidthMm(operation, thicknessMm);
export const operationArea = (operation: Operation, site: OperationSite): Region =>
  own(operation).area(operation, site);
export const operationFaults = (operation: Operation, thicknessMm: number): readonly OperationFault[] =>
  own(operation).faults(operation, thicknessMm);
