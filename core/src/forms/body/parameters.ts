import { lengthField, type FormField } from '../form/index.ts';

export const LINE_WAYS = ['straight', 'curved'] as const;
export const BODY_CORNERS = ['between', 'on floor', 'mitred', 'folded'] as const;
export const BODY_LIDS = ['between', 'on walls', 'mitred', 'none'] as const;
export const SEAT_HOLDS = ['none', 'dowels', 'bolts'] as const;
export const OPENING_SIDES = ['floor', 'lid', 'walls'] as const;
export const OPENING_KINDS = ['cooling in', 'cooling out', 'lead', 'switch', 'fin slot'] as const;
export const HATCH_KINDS = ['folding', 'tongue'] as const;

/** Heights and width of a body at a place, outside. Heights from the body's own zero. */
export interface BodyStation {
  readonly id: string;
  readonly aftMm: number;
  readonly bottomMm: number;
  readonly topMm: number;
  readonly widthMm: number;
}

/** A plate across the body. Its fore face stands at its place. */
export interface BodyFormer {
  readonly id: string;
  readonly aftMm: number;
  readonly boards: number;
  /** Width that is left round a window in it; solid when 0. */
  readonly rimMm: number;
  /** A round hole for leads, low in it; none when 0. */
  readonly leadMm: number;
  /** Sheet that it is cut from; that of the body when undefined. */
  readonly material?: string;
}

/** Where a wing or a tail sits: the cut follows it. */
export interface BodySeat {
  readonly id: string;
  /** Of the wing or the tail. */
  readonly formId: string;
  readonly hold: (typeof SEAT_HOLDS)[number];
  /** Of a dowel or a bolt. */
  readonly dowelMm: number;
  /** Of the dowel before its nose, and behind its tail. */
  readonly aheadMm: number;
  readonly behindMm: number;
  /** How far within the wall's edge a dowel lies. */
  readonly inMm: number;
}

/** A second layer within both walls. */
export interface BodyDoubler {
  readonly id: string;
  readonly fromMm: number;
  readonly toMm: number;
}

/** Strips laminated into the corners, so that these can be rounded. */
export interface CornerStrips {
  readonly atFloor: boolean;
  readonly atLid: boolean;
  /** Of the rounded corner, outside. */
  readonly radiusMm: number;
  /** Foam that is left behind the rounding at least. */
  readonly leftMm: number;
}

/** A piece of the lid that opens. */
export interface BodyHatch {
  readonly kind: (typeof HATCH_KINDS)[number];
  readonly fromMm: number;
  readonly toMm: number;
}

/** What is to fit into the body: a pack, a receiver, a speed control. */
export interface BodyBay {
  readonly id: string;
  readonly name: string;
  readonly fromMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** An opening in floor, lid or walls. */
export interface BodyOpening {
  readonly id: string;
  readonly kind: (typeof OPENING_KINDS)[number];
  readonly on: (typeof OPENING_SIDES)[number];
  /** Of its middle. */
  readonly aftMm: number;
  /** Of its middle, on a wall. */
  readonly upMm: number;
  readonly lengthMm: number;
  /** Across the body, or up a wall. */
  readonly widthMm: number;
}

/** A plate on the floor that holds a wire leg. */
export interface GearSeat {
  readonly aftMm: number;
  readonly lengthMm: number;
  readonly wireMm: number;
  readonly boards: number;
}

/** A runner under the body, on edge through a slot in the floor. */
export interface BodySkid {
  readonly aftMm: number;
  readonly lengthMm: number;
  readonly depthMm: number;
}

/** A doubled floor that a pack is strapped to. */
export interface BatteryTray {
  readonly fromMm: number;
  readonly toMm: number;
  /** Width of the strap; no slots when 0. */
  readonly strapMm: number;
}

/** All that is said of a body of walls, floor and lid. Everything else is worked out. */
export interface BodyParameters {
  readonly material: string;
  /** Sheet of gear plates, bolt plates, pads and skids. */
  readonly plateMaterial: string;
  readonly topLine: (typeof LINE_WAYS)[number];
  readonly bottomLine: (typeof LINE_WAYS)[number];
  readonly widthLine: (typeof LINE_WAYS)[number];
  readonly corners: (typeof BODY_CORNERS)[number];
  readonly lid: (typeof BODY_LIDS)[number];
  readonly stations: readonly BodyStation[];
  readonly formers: readonly BodyFormer[];
  readonly seats: readonly BodySeat[];
  readonly doublers: readonly BodyDoubler[];
  readonly bays: readonly BodyBay[];
  readonly openings: readonly BodyOpening[];
  /** Ids of the forms of power boxes that sit within it; none when undefined. */
  readonly boxIds?: readonly string[];
  readonly strips?: CornerStrips;
  readonly hatch?: BodyHatch;
  readonly gear?: GearSeat;
  readonly skid?: BodySkid;
  readonly tray?: BatteryTray;
  /** The balance point, to which reinforcing tape runs from the nose; none when undefined. */
  readonly balanceMm?: number;
}

const placeField = (word: string): FormField => lengthField(word, 0, 4000);

/** The numbers of a body. Slip, checks and the project file read their bounds here. */
export const BODY_FIELDS = {
  balanceMm: { ...placeField('Reinforced back to the balance point at'), isOptional: true },
} as const satisfies Partial<Record<keyof BodyParameters, FormField>>;
export const BODY_STATION_FIELDS = {
  aftMm: placeField('Behind the nose'),
  topMm: lengthField('Top', -1000, 1000),
  bottomMm: lengthField('Bottom', -1000, 1000),
  widthMm: lengthField('Width', 4, 1000),
} as const satisfies Partial<Record<keyof BodyStation, FormField>>;
export const FORMER_FIELDS = {
  aftMm: placeField('Fore face at'),
  boards: { word: 'Boards', kind: 'count', least: 1, most: 4 },
  rimMm: lengthField('Rim round its window', 0, 200),
  leadMm: lengthField('Hole for leads', 0, 60),
} as const satisfies Partial<Record<keyof BodyFormer, FormField>>;
export const SEAT_FIELDS = {
  dowelMm: lengthField('Thickness', 1, 20),
  aheadMm: lengthField('Before the nose', 0, 100),
  behindMm: lengthField('Behind the tail', 0, 100),
  inMm: lengthField('Within the edge', 4, 100),
} as const satisfies Partial<Record<keyof BodySeat, FormField>>;
export const DOUBLER_FIELDS = {
  fromMm: placeField('From'),
  toMm: placeField('To'),
} as const satisfies Partial<Record<keyof BodyDoubler, FormField>>;
export const STRIP_FIELDS = {
  radiusMm: lengthField('Rounded to, outside', 1, 100),
  leftMm: lengthField('Foam left behind', 1, 50),
} as const satisfies Partial<Record<keyof CornerStrips, FormField>>;
export const HATCH_FIELDS = {
  fromMm: placeField('From'),
  toMm: placeField('To'),
} as const satisfies Partial<Record<keyof BodyHatch, FormField>>;
export const BAY_FIELDS = {
  fromMm: placeField('Begins at'),
  lengthMm: lengthField('Length', 1, 1000),
  widthMm: lengthField('Width', 1, 500),
  heightMm: lengthField('Height', 1, 500),
} as const satisfies Partial<Record<keyof BodyBay, FormField>>;
export const OPENING_FIELDS = {
  aftMm: placeField('Middle at'),
  upMm: lengthField('Up', -1000, 1000),
  lengthMm: lengthField('Length', 1, 500),
  widthMm: lengthField('Width', 1, 500),
} as const satisfies Partial<Record<keyof BodyOpening, FormField>>;
export const GEAR_FIELDS = {
  aftMm: placeField('Wire at'),
  lengthMm: lengthField('Plate along the body', 10, 200),
  wireMm: lengthField('Wire', 1, 8),
  boards: { word: 'Layers', kind: 'count', least: 1, most: 4 },
} as const satisfies Partial<Record<keyof GearSeat, FormField>>;
export const SKID_FIELDS = {
  aftMm: placeField('Begins at'),
  lengthMm: lengthField('Length', 10, 1000),
  depthMm: lengthField('Below the floor', 2, 200),
} as const satisfies Partial<Record<keyof BodySkid, FormField>>;
export const TRAY_FIELDS = {
  fromMm: placeField('From'),
  toMm: placeField('To'),
  strapMm: lengthField('Strap', 0, 60),
} as const satisfies Partial<Record<keyof BatteryTray, FormField>>;

export const MOST_STATIONS = 12;
export const MOST_FORMERS = 16;
export const MOST_SEATS = 4;
export const MOST_DOUBLERS = 4;
export const MOST_BAYS = 8;
export const MOST_OPENINGS = 16;
export const MOST_BOXES = 2;
