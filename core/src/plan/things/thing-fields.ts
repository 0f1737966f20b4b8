import type { PlannedThing, ThingKind } from './thing.ts';

/** A number of a planned thing that is typed: what it is called, and how far it goes. */
export interface ThingField {
  readonly key: string;
  readonly word: string;
  readonly quantity: 'length' | 'angle' | 'power';
  readonly least: number;
  readonly most: number;
  readonly isOptional?: boolean;
}

/** Bounds of planned numbers. */
export const PLAN_BOUNDS = {
  furthestMm: 10_000,
  longestMm: 6000,
  massG: 100_000,
  things: 80,
  stations: 24,
  guides: 80,
  lines: 200,
  underlays: 12,
  whatIfs: 8,
  knownLengths: 24,
  /** Widest and highest picture. */
  mostPixels: 60_000,
} as const;

const length = (key: string, word: string, least = 0, most: number = PLAN_BOUNDS.longestMm): ThingField => ({
  key,
  word,
  quantity: 'length',
  least,
  most,
});
const LEAST_MM = 0.1;
const SURFACE: readonly ThingField[] = [
  { key: 'incidenceDegrees', word: 'Incidence', quantity: 'angle', least: -20, most: 20 },
  length('thicknessMm', 'Thickness', LEAST_MM, 500),
];
const BOX: readonly ThingField[] = [
  length('lengthMm', 'Length', LEAST_MM),
  length('widthMm', 'Width', LEAST_MM),
  length('heightMm', 'Height', LEAST_MM),
];
const power = (word: string): ThingField => ({
  key: 'powerW',
  word,
  quantity: 'power',
  least: 0,
  most: 20_000,
  isOptional: true,
});

/** The plain numbers of every kind; chords and stations have tables of their own. */
export const THING_FIELDS: Readonly<Record<ThingKind, readonly ThingField[]>> = {
  wing: SURFACE,
  tail: SURFACE,
  fin: [...SURFACE, length('apartMm', 'Apart, of two')],
  body: [],
  wheel: [
    length('diameterMm', 'Diameter', LEAST_MM, 1000),
    length('widthMm', 'Width', LEAST_MM, 500),
    length('apartMm', 'Apart, of two'),
    length('legMm', 'Leg', 0, 1000),
  ],
  propeller: [length('diameterMm', 'Diameter', LEAST_MM, 2000), length('depthMm', 'Depth of blades', LEAST_MM, 300)],
  motor: [...BOX, power('Takes at most')],
  pack: [...BOX, power('Gives at most')],
  servo: BOX,
  receiver: BOX,
  'speed control': BOX,
  deck: BOX,
};

/** A plain number of a thing by its key; undefined where it has none. */
export function fieldOf(thing: PlannedThing, key: string): number | undefined {
  const value = (thing as unknown as Readonly<Record<string, unknown>>)[key];
  return typeof value === 'number' ? value : undefined;
}
/** A thing with one of its plain numbers changed. */
export const withField = <T extends PlannedThing>(thing: T, key: string, value: number): T => ({
  ...thing,
  [key]: value,
});
