import type { Point, Region } from '../geometry/index.ts';
import type { HingeGround, Operation, OperationKind } from './operation.ts';

/** What a kind is drawn and cut on. */
export type OperationGround = 'line' | 'edge' | 'area';

/** Lines of an operation, flattened, and what is known around them. */
export interface OperationSite {
  /** One polyline a run of the operation's path; closed areas repeat no point. */
  readonly runs: readonly (readonly Point[])[];
  readonly closed: boolean;
  readonly thicknessMm: number;
  /** The part's outline and holes, for clipping true-width areas. */
  readonly body: Region;
}

/** A fault in an operation's own numbers, before its mend is made into a command. */
export interface OperationFault {
  readonly code:
    | 'GROOVE_NARROW'
    | 'GROOVE_STEEP'
    | 'BEVEL_STEEP'
    | 'CREASE_STEEP'
    | 'TRENCH_NARROW'
    | 'POCKET_DEEP'
    | 'SLIT_TURN'
    | 'SLIT_DEEP'
    | 'HINGE_STEEP';
  readonly title: string;
  readonly detail: string;
  readonly mend: { readonly label: string; readonly changes: Readonly<Record<string, unknown>> };
}

/** Everything that is particular to one kind of operation. One file a kind. */
export interface OperationTraits<K extends OperationKind> {
  readonly kind: K;
  readonly word: string;
  /** Key that starts the tool on the mat. */
  readonly key: string;
  readonly ground: OperationGround;
  /** Whether the operation bends the part, so that its line must be straight and reach the edges. */
  readonly folds: boolean;
  readonly defaults: Omit<Extract<Operation, { kind: K }>, 'id' | 'on' | 'label' | 'variants'>;
  /** Width across the line at the worked face in mm; 0 for a plain line. */
  readonly trueWidthMm: (operation: Extract<Operation, { kind: K }>, thicknessMm: number) => number;
  /** The area that is worked, at true width. */
  readonly area: (operation: Extract<Operation, { kind: K }>, site: OperationSite) => Region;
  /** Short text written on the line. */
  readonly caption: (operation: Extract<Operation, { kind: K }>) => string;
  /** The angle that the cut list gives, or undefined. */
  readonly angleDegrees: (operation: Extract<Operation, { kind: K }>) => number | undefined;
  readonly faults: (operation: Extract<Operation, { kind: K }>, thicknessMm: number) => readonly OperationFault[];
}

/** The word on a line that is cut through and held by tape. */
export const tapeWord = ({ hingeOn }: { readonly hingeOn?: HingeGround }): string => (hingeOn === 'tape' ? 'tape' : '');
