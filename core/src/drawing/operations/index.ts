import type { Region } from '../../geometry/index.ts';
import { bevel } from './bevel.ts';
import { crease } from './crease.ts';
import { groove } from './groove.ts';
import { mark } from './mark.ts';
import type { Operation, OperationKind } from './operation.ts';
import type { OperationFault, OperationSite, OperationTraits } from './operation-kind.ts';
import { pocket } from './pocket.ts';
import { through } from './through.ts';
import { trench } from './trench.ts';

export * from './operation.ts';
export type * from './operation-kind.ts';

/** Every kind of operation. A new kind is a new file and one line here. */
const TRAITS: { readonly [K in OperationKind]: OperationTraits<K> } = { through, groove, bevel, crease, trench, pocket, mark };

/** What is particular to an operation's kind. */
export const traitsOf = <K extends OperationKind>(kind: K): OperationTraits<K> => TRAITS[kind] as OperationTraits<K>;

// The table is keyed by kind, so an operation always meets the traits of its own kind; TypeScript cannot follow that through a union.
const own = (operation: Operation): OperationTraits<OperationKind> => TRAITS[operation.kind] as unknown as OperationTraits<OperationKind>;

export const operationWord = (operation: Operation): string => own(operation).word;
export const operationCaption = (operation: Operation): string => own(operation).caption(operation);
export const operationAngle = (operation: Operation): number | undefined => own(operation).angleDegrees(operation);
export const operationWidth = (operation: Operation, thicknessMm: number): number => own(operation).trueWidthMm(operation, thicknessMm);
export const operationArea = (operation: Operation, site: OperationSite): Region => own(operation).area(operation, site);
export const operationFaults = (operation: Operation, thicknessMm: number): readonly OperationFault[] => own(operation).faults(operation, thicknessMm);
