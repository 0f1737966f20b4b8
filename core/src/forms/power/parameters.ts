import { lengthField, type FormField, type FormOf } from '../form/index.ts';

export const POWER_WALLS = ['single', 'doubled'] as const;
export const BOLT_PATTERNS = ['circle', 'cross', 'unequal cross'] as const;

/** Where a motor is bolted on. */
export interface BoltPattern {
  readonly kind: (typeof BOLT_PATTERNS)[number];
  /** Across the circle, or from bolt to bolt along the first bar of a cross. */
  readonly firstMm: number;
  /** Along the second bar of an unequal cross. */
  readonly secondMm: number;
  /** Bolts of a circle. */
  readonly bolts: number;
  readonly boltMm: number;
  /** Turned to port as seen from behind. */
  readonly turnDegrees: number;
  /** Across the hole for the shaft's end; none when 0. */
  readonly shaftMm: number;
}

/** A ring before the firewall, round the motor. */
export interface NoseRing {
  readonly outerMm: number;
  readonly innerMm: number;
  /** Of its rear face before the firewall's front. */
  readonly aheadMm: number;
}

/** Dowels across a box and the body that it slides into: drawn out, they let it go. */
export interface BoxDowels {
  readonly count: number;
  readonly acrossMm: number;
  /** Of the first one's middle, behind the firewall. */
  readonly firstMm: number;
  /** From middle to middle. */
  readonly apartMm: number;
  /** Of their middles, over the floor's inside. */
  readonly upMm: number;
}

/** All that is said of a power box. Everything else is worked out. */
export interface PowerParameters {
  readonly material: string;
  readonly plateMaterial: string;
  /** Between the walls, and over the floor. */
  readonly insideWidthMm: number;
  readonly insideHeightMm: number;
  /** Of its floor's middle line, from the firewall back. */
  readonly lengthMm: number;
  readonly walls: (typeof POWER_WALLS)[number];
  /** Of the line that the propeller's middle stays on, over the floor's inside. */
  readonly lineMm: number;
  readonly rightDegrees: number;
  readonly downDegrees: number;
  /** From the firewall's front to the propeller. */
  readonly reachMm: number;
  /** Plates over the box's front, and plates within it. */
  readonly frontLayers: number;
  readonly plugLayers: number;
  readonly pattern: BoltPattern;
  /** Across the hole for leads, and how far its middle lies below the motor's; none when 0. */
  readonly leadMm: number;
  readonly leadDownMm: number;
  readonly propellerMm: number;
  /** Its firewall is its rear: the motor stands behind and pushes. */
  readonly isPusher?: boolean;
  readonly ring?: NoseRing;
  /** It is taken out by these; glued in when undefined. */
  readonly dowels?: BoxDowels;
}

/** A form that makes a power box with its firewall. */
export type PowerForm = FormOf<'power', PowerParameters>;

const thrustField = (word: string): FormField => ({ word, kind: 'angle', least: -10, most: 10 });
const countField = (word: string, least: number, most: number): FormField => ({ word, kind: 'count', least, most });

export const POWER_BOX_FIELDS = {
  insideWidthMm: lengthField('Inside, between the walls', 15, 300),
  insideHeightMm: lengthField('Inside, over the floor', 10, 300),
  lengthMm: lengthField('Length', 20, 600),
} as const satisfies Partial<Record<keyof PowerParameters, FormField>>;
export const THRUST_FIELDS = {
  rightDegrees: thrustField('Thrust to the right'),
  downDegrees: thrustField('Thrust down'),
  lineMm: lengthField('Line of the propeller, over the floor', 2, 300),
  reachMm: lengthField('Firewall to the propeller', 5, 200),
  propellerMm: lengthField('Propeller, across', 40, 800),
} as const satisfies Partial<Record<keyof PowerParameters, FormField>>;
export const FIREWALL_FIELDS = {
  frontLayers: countField('Plates over its front', 1, 4),
  plugLayers: countField('Plates within it', 0, 4),
  leadMm: lengthField('Hole for leads, across', 0, 40),
  leadDownMm: lengthField('its middle below the motor’s', 0, 150),
} as const satisfies Partial<Record<keyof PowerParameters, FormField>>;
export const PATTERN_FIELDS = {
  firstMm: lengthField('Bolt to bolt', 6, 120),
  boltMm: lengthField('Bolts, across', 1, 8),
  turnDegrees: { word: 'Turned by', kind: 'angle', least: -90, most: 90 },
  shaftMm: lengthField('Hole for the shaft, across', 0, 40),
} as const satisfies Partial<Record<keyof BoltPattern, FormField>>;
export const SECOND_FIELD = {
  secondMm: lengthField('Bolt to bolt, the other way', 6, 120),
} as const satisfies Partial<Record<keyof BoltPattern, FormField>>;
export const BOLTS_FIELD = {
  bolts: countField('Bolts', 2, 8),
} as const satisfies Partial<Record<keyof BoltPattern, FormField>>;
export const RING_PLATE_FIELDS = {
  outerMm: lengthField('Across, outside', 10, 300),
  innerMm: lengthField('Across, inside', 4, 290),
  aheadMm: lengthField('Before the firewall', 0, 200),
} as const satisfies Partial<Record<keyof NoseRing, FormField>>;
export const BOX_DOWEL_FIELDS = {
  count: countField('Dowels', 1, 4),
  acrossMm: lengthField('Across', 1, 10),
  firstMm: lengthField('First behind the firewall', 2, 600),
  apartMm: lengthField('From one to the next', 2, 500),
  upMm: lengthField('Over the floor', 1, 300),
} as const satisfies Partial<Record<keyof BoxDowels, FormField>>;
