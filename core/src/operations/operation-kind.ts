import type { Point, Region } from '../geometry/index.ts';
import type { DrawnMark } from '../marks/index.ts';
import type { HingeGround, OperationBase } from './operation-base.ts';
import type { OperationField } from './operation-field.ts';
import type { StrokePen } from './stroke-pen.ts';
import type { StrokeOf } from './stroke.ts';

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
    | 'BEND_STEEP'
    | 'TRENCH_NARROW'
    | 'POCKET_DEEP'
    | 'SLIT_TURN'
    | 'SLIT_DEEP'
    | 'HINGE_STEEP';
  readonly title: string;
  readonly detail: string;
  readonly mend: { readonly label: string; readonly changes: Readonly<Record<string, unknown>> };
}

/** A figure that follows from an operation's numbers, for the slip. */
export interface OperationFigure {
  readonly word: string;
  readonly kind: 'length' | 'angle' | 'words';
  readonly value: number | string;
  /** A word after the value: `wide`. */
  readonly after?: string;
}

/** How a kind of work folds the board. */
export interface FoldTraits {
  /** 1 toward the face that is worked, -1 away from it, 0 for a hinge that stands still until it is moved. */
  readonly sign: 1 | -1 | 0;
  /** Whether a strip of skin is left between the plates, with a fold along each of its edges. */
  readonly leavesStrip?: boolean;
  /** The numbers that turn the board by an amount in degrees, or as far as this kind can. */
  readonly numbers: (byDegrees: number) => Readonly<Record<string, unknown>>;
  /** Why it cannot turn the board by an amount in degrees, or undefined. */
  readonly cannot: (byDegrees: number) => string | undefined;
}

/** How the foam that a stroke takes away runs down from the worked face. */
export type CutFaceShape =
  | { readonly kind: 'level'; readonly depthMm: number }
  /** Deepest along the line and nothing this far beside it. */
  | { readonly kind: 'slopes'; readonly reachMm: number };

/** What work does to the side of a plate that ends on it. */
export interface PlateSide {
  readonly kind: 'bevel' | 'groove' | 'trench' | 'fold';
  /** How far the side leans in, in mm. */
  readonly runMm: number;
  /** The skin that is cut back. */
  readonly face: 'face' | 'back' | 'both';
}

/** What the cut list says of a stroke beside its words and its length. */
export interface CutDetails {
  readonly words?: string;
  readonly bladeDegrees?: number;
  readonly glueMl?: number;
}

/** How a kind of work stands in the cut list. */
export interface CuttingTraits {
  /** Place among the work on a part: small ones first. */
  readonly order: number;
  readonly words: string;
  /** Words before a label, where the label says what the line is for. */
  readonly wordsBeforeLabel?: string;
  /** Whether the board is cut right through. */
  readonly isThrough?: boolean;
  /** What the angle does: `folds 90°`. */
  readonly angleWords?: (angleDegrees: number) => string;
  /** What the width is called: `mouth`. Kinds without it tell none. */
  readonly widthWord?: string;
  /** Whether it goes down to the far skin. */
  readonly toSkin?: boolean;
  /** How the blade is held along a straight line of it; kinds without it take no strip of foam away. */
  readonly blades?: 'tilted' | 'upright';
  readonly details?: (stroke: StrokeOf<string>, thicknessMm: number) => CutDetails;
}

/** A line as far as a kind of work asks about it. */
export interface LineShape {
  readonly closed: boolean;
  readonly points: number;
}

/** Everything that is particular to one kind of operation. One file a kind. */
export interface OperationTraits<O extends OperationBase> {
  readonly kind: O['kind'];
  /** What it is called: `mitre groove`. */
  readonly word: string;
  /** What its tool is called on the mat: `groove`. */
  readonly toolWord: string;
  /** Key that starts the tool on the mat. */
  readonly key: string;
  /** What to do on the mat with its tool. */
  readonly hint: string;
  readonly ground: OperationGround;
  /** What it is called where a line is made another kind of work, when that is not its word. */
  readonly choiceWord?: string;
  /** Why it cannot run on a line, or undefined. */
  readonly lineFault?: (line: LineShape) => string | undefined;
  /** How it bends the part, so that its line must be straight and reach the edges; undefined for work that does not. */
  readonly fold?: FoldTraits;
  readonly fields: readonly OperationField[];
  readonly defaults: Omit<O, 'id' | 'on' | 'label' | 'variants'>;
  /** Width across the line at the worked face in mm; 0 for a plain line. */
  readonly trueWidthMm: (operation: O, thicknessMm: number) => number;
  /** How deep it goes in mm, for kinds that have a depth. */
  readonly depthMm?: (operation: O, thicknessMm: number) => number;
  /** The area that is worked, at true width. */
  readonly area: (operation: O, site: OperationSite) => Region;
  /** The foam that it takes away; undefined for work that takes none. */
  readonly cutFace?: (stroke: StrokeOf<string>, thicknessMm: number) => CutFaceShape | undefined;
  /** What it does to the sides of plates. */
  readonly plateSide?: (stroke: StrokeOf<string>) => PlateSide;
  /** Short text written on the line. */
  readonly caption: (operation: O) => string;
  /** Where that text stands: on the line unless said otherwise. */
  readonly captionStands?: 'in the area' | 'beside the band';
  /** The angle that the cut list gives, or undefined. */
  readonly angleDegrees: (operation: O) => number | undefined;
  readonly figures?: (operation: O, thicknessMm: number) => readonly OperationFigure[];
  readonly faults: (operation: O, thicknessMm: number) => readonly OperationFault[];
  /** As it is on the mirrored part, where what lay left of its line lies right; unchanged when undefined. */
  readonly mirrored?: (operation: O) => O;
  /** Its strokes in the line code. */
  readonly marks: (stroke: StrokeOf<string>, pen: StrokePen) => readonly DrawnMark[];
  /** A sample of its stroke from (0, 0) to (10, 0), within 1 of the line, for legends and lists. */
  readonly sample: readonly DrawnMark[];
  /** The legend's words. */
  readonly legend: string;
  readonly cutting: CuttingTraits;
  /** How much a page seam across it is to be avoided; 5 unless said otherwise. */
  readonly seamCost?: number;
}

/** The word on a line that is cut through and held by tape. */
export const tapeWord = ({ hingeOn }: { readonly hingeOn?: HingeGround }): string => (hingeOn === 'tape' ? 'tape' : '');
