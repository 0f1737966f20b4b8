import type { NoseStyle, TailStyle } from '../section/index.ts';
import type { EndSchool } from '../skin/index.ts';
import { lengthField, type FormField } from '../form/index.ts';
import type { WingBraces } from './brace-parameters.ts';
import type { WingCore } from './core-parameters.ts';
import type { WingGauges } from './gauge-parameters.ts';
import type { WingRibs } from './rib-parameters.ts';
import type { WingBuild, WingCamber, WingLayer } from './builds.ts';

export const WING_MIDDLES = ['joint', 'panel'] as const;
/** What lies in the middle of the wing: a joint of two halves, or a panel that runs across. */
export type WingMiddle = (typeof WING_MIDDLES)[number];
export const DIHEDRAL_AGAINST = ['table', 'neighbour'] as const;
export const SWEEP_LINES = ['nose', 'quarter', 'spar'] as const;
export const SECTION_KINDS = ['strip-spar', 'naca', 'points'] as const;
export const SKIN_WAYS = ['creased', 'bent'] as const;
export const SPAR_KINDS = ['strips', 'doubled', 'channel', 'rod', 'none'] as const;
export const SPAR_ENDS = ['through', 'short'] as const;

/** One panel of a wing, from its inner end to its outer. A panel in the middle is told by its whole width. */
export interface WingPanel {
  readonly id: string;
  /** Along the panel itself. */
  readonly spanMm: number;
  readonly tipChordMm: number;
  readonly sweepDegrees: number;
  readonly dihedralDegrees: number;
  /** How much further the tip's nose points down than the root's. */
  readonly washoutDegrees: number;
  /** Height of the spar at the tip; undefined: what leaves the skins plane. */
  readonly tipSparHeightMm?: number;
}

/** A servo in a panel, aft of the spar, and what its lead runs to. */
export interface WingServo {
  readonly panelId: string;
  /** Middle of its opening, out along the panel. */
  readonly outMm: number;
  /** Behind the spar. */
  readonly aftMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leadMm: number;
}

export const CONTROL_KINDS = ['aileron', 'flap', 'flaperon', 'elevon'] as const;
export const CONTROL_HINGES = ['tape', 'skin'] as const;
/** A part of the tail that moves, hinged along the lower skin: from one place out along its panel to another, or out of a free tip. */
export interface WingControl {
  readonly panelId: string;
  readonly kind: (typeof CONTROL_KINDS)[number];
  readonly fromMm: number;
  readonly toMm: number;
  readonly chordMm: number;
  /** Chord at its outer end, where it tapers. */
  readonly tipChordMm?: number;
  /** What it hangs on: tape beneath when undefined, or the lower skin itself, out of which it is cut. */
  readonly hinge?: (typeof CONTROL_HINGES)[number];
  /** Whether the upper skin moves with it, over prisms that fill it; only the lower one when undefined. */
  readonly hasUpperSkin?: boolean;
  /** Greatest throw either way: its nose is bevelled by it. */
  readonly throwDegrees: number;
  /** Between each of its ends and the wing. */
  readonly gapMm: number;
}

/** The drawn section that creases follow, or the section over a strip spar. */
export interface WingSection {
  readonly kind: (typeof SECTION_KINDS)[number];
  /** Four or five digits of a NACA section. */
  readonly digits?: string;
  /** Outer line of a section that was read, as `x y` of a chord of 1, from the upper tail round the nose to the lower tail. */
  readonly points?: readonly number[];
  readonly name?: string;
  /** How many creases the skin has. */
  readonly creases: number;
}

/** All that is said of a wing. Everything else is worked out. */
export interface WingParameters {
  readonly material: string;
  /** A folded skin when undefined. */
  readonly build?: WingBuild;
  /** What lies on the plate of a stepped wing. */
  readonly layers?: readonly WingLayer[];
  /** Width of the strip that is peeled and rounded over at the noses of plates. */
  readonly noseRoundMm?: number;
  /** Of a cambered plate. */
  readonly camber?: WingCamber;
  /** Of foam cut with a hot wire. */
  readonly core?: WingCore;
  /** Between folded skins; none when undefined. */
  readonly ribs?: WingRibs;
  /** Over joints that are glued; none when undefined. */
  readonly braces?: WingBraces;
  readonly middle: WingMiddle;
  readonly dihedralAgainst: (typeof DIHEDRAL_AGAINST)[number];
  readonly sweepAt: (typeof SWEEP_LINES)[number];
  readonly rootChordMm: number;
  readonly section: WingSection;
  readonly skin: (typeof SKIN_WAYS)[number];
  readonly nose: NoseStyle;
  /** Of the outside of a bent nose; two boards when undefined. */
  readonly noseRadiusMm?: number;
  readonly tail: TailStyle;
  /** Length of a bevelled lap; as long as its bevel runs out when undefined. */
  readonly lapMm?: number;
  readonly stripBoards: number;
  readonly sparKind: (typeof SPAR_KINDS)[number];
  readonly sparBoards: number;
  /** Sheet of its strips; that of the skins when undefined. */
  readonly sparMaterial?: string;
  /** Front edge of the spar, in per cent of the root's chord. */
  readonly sparPercent: number;
  readonly sparHeightMm: number;
  readonly sparEnds: (typeof SPAR_ENDS)[number];
  /** How far before a joint a spar stops that is not continuous. */
  readonly sparShortMm: number;
  readonly ends: EndSchool;
  readonly panels: readonly WingPanel[];
  readonly servos: readonly WingServo[];
  readonly controls: readonly WingControl[];
  /** Which helps are cut beside the wing. */
  readonly hasTipBlocks: boolean;
  readonly hasWedges: boolean;
  readonly hasJigs: boolean;
  /** None when undefined. */
  readonly gauges?: WingGauges;
  /** Sheet that tip blocks, wedges, jigs and gauges are cut from. */
  readonly jigMaterial: string;
}

/** The numbers of a wing. Slip, checks and the project file read their bounds here. */
export const WING_FIELDS = {
  rootChordMm: lengthField('Root chord', 20, 2000),
  lapMm: { ...lengthField('Lap', 0, 200), isOptional: true },
  noseRadiusMm: { ...lengthField('Nose bent round, outside', 2, 100), isOptional: true },
  stripBoards: { word: 'Boards in the tail strip', kind: 'count', least: 1, most: 4 },
  sparBoards: { word: 'Boards side by side', kind: 'count', least: 1, most: 8 },
  sparPercent: { word: 'Spar stands at', kind: 'percent', least: 5, most: 80 },
  sparHeightMm: lengthField('Spar height', 1, 300),
  sparShortMm: lengthField('Stops before the joint by', 0, 500),
  noseRoundMm: { ...lengthField('Noses rounded over', 0, 60), isOptional: true },
} as const satisfies Partial<Record<keyof WingParameters, FormField>>;

/** The numbers of a panel. */
export const PANEL_FIELDS = {
  spanMm: lengthField('Panel', 20, 4000),
  tipChordMm: lengthField('Tip chord', 20, 2000),
  sweepDegrees: { word: 'Sweep', kind: 'angle', least: -60, most: 60 },
  dihedralDegrees: { word: 'Dihedral', kind: 'angle', least: -80, most: 80 },
  washoutDegrees: { word: 'Washout', kind: 'angle', least: -10, most: 10 },
  tipSparHeightMm: { ...lengthField('Spar height at the tip', 1, 300), isOptional: true },
} as const satisfies Partial<Record<keyof WingPanel, FormField>>;

/** The numbers of a servo. */
export const SERVO_FIELDS = {
  outMm: lengthField('Out along the panel', 0, 4000),
  aftMm: lengthField('Behind the spar', 0, 1000),
  lengthMm: lengthField('Length', 5, 100),
  widthMm: lengthField('Width', 3, 60),
  heightMm: lengthField('Height', 5, 80),
  leadMm: lengthField('Its own lead', 20, 2000),
} as const satisfies Partial<Record<keyof WingServo, FormField>>;

/** The numbers of a control surface. */
export const CONTROL_FIELDS = {
  fromMm: lengthField('Begins, out', 0, 4000),
  toMm: lengthField('Ends, out', 1, 4000),
  chordMm: lengthField('Chord', 8, 600),
  tipChordMm: { ...lengthField('Chord at its outer end', 8, 600), isOptional: true },
  throwDegrees: { word: 'Throw, either way', kind: 'angle', least: 1, most: 60 },
  gapMm: lengthField('Gap at its ends', 0, 20),
} as const satisfies Partial<Record<keyof WingControl, FormField>>;

export const SECTION_FIELDS = {
  creases: { word: 'Creases', kind: 'count', least: 3, most: 40 },
} as const satisfies Partial<Record<keyof WingSection, FormField>>;

export const MOST_PANELS = 8;
export const MOST_SERVOS = 8;
export const MOST_CONTROLS = 8;
export const MOST_SECTION_POINTS = 400;

/** The six numbers that a wing starts from. */
export interface WingStart {
  readonly spanMm: number;
  readonly rootChordMm: number;
  readonly tipChordMm: number;
  readonly dihedralDegrees: number;
  readonly sparHeightMm: number;
  readonly material: string;
}

/** A whole wing of two halves from six numbers; everything else as it is usual. */
export function wingFromNumbers({
  spanMm,
  rootChordMm,
  tipChordMm,
  dihedralDegrees,
  sparHeightMm,
  material,
}: WingStart): WingParameters {
  return {
    material,
    middle: 'joint',
    dihedralAgainst: 'table',
    sweepAt: 'nose',
    rootChordMm,
    section: { kind: 'strip-spar', creases: 7 },
    skin: 'creased',
    nose: 'trench',
    tail: 'lap',
    stripBoards: 1,
    sparKind: 'strips',
    sparBoards: 2,
    sparPercent: 28,
    sparHeightMm,
    sparEnds: 'through',
    sparShortMm: 10,
    ends: 'square',
    panels: [
      {
        id: 'p1',
        spanMm: spanMm / 2 / Math.cos((dihedralDegrees * Math.PI) / 180),
        tipChordMm,
        sweepDegrees: 0,
        dihedralDegrees,
        washoutDegrees: 0,
      },
    ],
    servos: [],
    controls: [],
    hasTipBlocks: true,
    hasWedges: false,
    hasJigs: false,
    jigMaterial: material,
  };
}
