import type { StandingPart, StandingPiece } from '../../folds/index.ts';
import type { Point } from '../../geometry/index.ts';
import type { AirframePoint, Part } from '../../part/index.ts';
import type { LengthUnit } from '../../units/index.ts';

/** Where a form stands in the airframe: its own origin, and how it is tilted about the axis across, nose up above 0. */
export interface FormPlace {
  readonly at: AirframePoint;
  readonly incidenceDegrees: number;
}

/** Where a form stands by another: a lower wing by the upper one, a foreplane by the wing. */
export interface StandsBy {
  readonly formId: string;
  readonly aftMm: number;
  readonly upMm: number;
  /** Difference of incidence: above 0 this one's nose points lower. */
  readonly noseDownDegrees: number;
}

/** What the builder drew on a made part that no longer finds a place on it, kept until it is put back or thrown away. */
export interface ParkedAddition {
  readonly role: string;
  /** What it is, in words: `hole`, `line with crease`. */
  readonly what: string;
  /** Contours, lines, operations and features as they were on the part. */
  readonly pieces: Pick<Part, 'contours' | 'lines' | 'operations' | 'features'>;
}

/** Whether a length of a form grows with the airframe. */
export interface NumberSizing {
  readonly path: string;
  readonly sizing: 'scaled' | 'fixed';
}

/** A maker of parts of one kind: its parameters, and what the builder added that waits for a place. */
export interface FormOf<Kind extends string, Parameters extends object> {
  readonly id: string;
  readonly kind: Kind;
  readonly name: string;
  readonly parameters: Parameters;
  readonly place: FormPlace;
  /** The form that it stands by: its place follows that one's. */
  readonly standsBy?: StandsBy;
  /** The planned thing that it was made from and stays linked to. */
  readonly plannedId?: string;
  readonly parked?: readonly ParkedAddition[];
  /** Roles of parts that the builder does without. */
  readonly leftOut?: readonly string[];
  /** Lengths that grow with the airframe, or stay, otherwise than the kind has it. */
  readonly sizings?: readonly NumberSizing[];
}

/** A form of whatever kind. */
export type AnyForm = FormOf<string, object>;

/** A board as far as a form needs it. */
export interface FormBoard {
  readonly thicknessMm: number;
  readonly gramsPerSquareMetre: number;
  /** Longest straight part that it holds, in mm; unknown when undefined. */
  readonly longestMm?: number;
  /** Across the longest board; unknown when undefined. */
  readonly widthMm?: number;
}

/** A wing as far as what it sits in needs it. */
export interface StandingWing {
  readonly name: string;
  readonly incidenceDegrees: number;
  /** Its outside so far to port of the middle plane: x aft and y up in the airframe, from the lower tail round the nose to the upper tail. */
  readonly sectionAt: (outMm: number) => readonly Point[];
}

/** A power box as far as what it slides into needs it, in the airframe. */
export interface StandingBox {
  readonly formId: string;
  readonly name: string;
  /** It is drawn out aft; forward otherwise. */
  readonly isPusher: boolean;
  readonly fromMm: number;
  readonly toMm: number;
  readonly lowMm: number;
  readonly topMm: number;
  /** Of its middle, to starboard, and half of its width. */
  readonly asideMm: number;
  readonly halfMm: number;
  /** Dowels across it: x aft and z up. */
  readonly dowels: readonly { readonly x: number; readonly z: number; readonly acrossMm: number }[];
}

/** The parts of the airframe as they stand together, all folded: those that gauges make are not among them. */
export interface StandingAirframe {
  readonly parts: readonly StandingPart[];
  readonly pieces: readonly StandingPiece[];
}

/** What a form is made with: the boards by their material, and what stands beside it. */
export interface FormContext {
  readonly boardOf: (material: string) => FormBoard;
  readonly unit: LengthUnit;
  /** A wing of the airframe as it stands there, by the id of its form; undefined when it is none or cannot be made. */
  readonly wingOf: (formId: string) => StandingWing | undefined;
  /** A power box of the airframe by the id of its form; undefined when it is none or cannot be made. */
  readonly boxOf?: (formId: string) => StandingBox | undefined;
  /** The forms beside it; none when undefined. */
  readonly forms?: readonly AnyForm[];
  /** What stands, for what is made to measure that; nothing when undefined. */
  readonly standing?: () => StandingAirframe;
}

/** One value of a form's parameters to set: its path and what it becomes. */
export interface ParameterChange {
  readonly path: string;
  readonly value: number | string | boolean | undefined;
}

/** A number or choice that does not work, and the nearest that does. */
export interface FormFault {
  readonly code: string;
  /** Path of the parameter that it is about: `panels.1.spanMm`. */
  readonly path: string;
  readonly title: string;
  readonly detail: string;
  /** Whether no parts can be made until it is mended. */
  readonly isBlocking: boolean;
  readonly mend?: { readonly label: string; readonly changes: readonly ParameterChange[] };
}

/** One step of the hand calculation that a form replaces. */
export interface WorkingStep {
  readonly words: string;
  readonly formula: string;
  readonly result: string;
  readonly source: string;
}

/** A form made: its parts, stood and seamed, with what was worked out on the way. */
export interface MadeForm<Figures> {
  readonly parts: readonly Part[];
  readonly figures: Figures | undefined;
  readonly working: readonly WorkingStep[];
  readonly faults: readonly FormFault[];
}
