import { lengthField, type FormField, type FormOf } from '../form/index.ts';

/** A corner of a section, of its port half: how far out of the middle, and how high. */
export interface ShellCorner {
  readonly outMm: number;
  readonly upMm: number;
}

/** A section across a shell: its corners from the keel to the spine; every section has as many. */
export interface ShellSection {
  readonly id: string;
  readonly aftMm: number;
  readonly corners: readonly ShellCorner[];
}

/** A plate across the shell. Its fore face stands at its place. */
export interface ShellBulkhead {
  readonly id: string;
  readonly aftMm: number;
  /** Width that is left round a window in it; solid when 0. */
  readonly rimMm: number;
  /** Sheet that it is cut from; that of the shell when undefined. */
  readonly material?: string;
}

/** A hatch that is cut out of the shell after it is glued. */
export interface ShellHatch {
  readonly fromMm: number;
  readonly toMm: number;
  /** Corner, counted from the keel, over which the shell opens. */
  readonly overCorner: number;
}

export const SEAM_SIDES = ['below', 'above'] as const;

/** All that is said of a shell of plane faces. Everything else is worked out. */
export interface ShellParameters {
  readonly material: string;
  readonly sections: readonly ShellSection[];
  /** Plates across the first and the last section; else their rims stand on something. */
  readonly closesNose: boolean;
  readonly closesTail: boolean;
  /** Where seams show least. */
  readonly seams: (typeof SEAM_SIDES)[number];
  readonly bulkheads: readonly ShellBulkhead[];
  readonly hatch?: ShellHatch;
}

/** A form that makes a shell of plane faces. */
export type ShellForm = FormOf<'shell', ShellParameters>;

export const SHELL_SECTION_FIELDS = {
  aftMm: lengthField('Behind the datum', 0, 4000),
} as const satisfies Partial<Record<keyof ShellSection, FormField>>;
export const SHELL_CORNER_FIELDS = {
  outMm: lengthField('Out', 0, 600),
  upMm: lengthField('Up', -600, 600),
} as const satisfies Partial<Record<keyof ShellCorner, FormField>>;
export const BULKHEAD_FIELDS = {
  aftMm: lengthField('Fore face at', 0, 4000),
  rimMm: lengthField('Rim round its window', 0, 200),
} as const satisfies Partial<Record<keyof ShellBulkhead, FormField>>;
export const SHELL_HATCH_FIELDS = {
  fromMm: lengthField('From', 0, 4000),
  toMm: lengthField('To', 0, 4000),
  overCorner: { word: 'Over corner', kind: 'count', least: 1, most: 11 },
} as const satisfies Partial<Record<keyof ShellHatch, FormField>>;

export const MOST_SECTIONS = 8;
export const LEAST_CORNERS = 2;
export const MOST_CORNERS = 12;
export const MOST_BULKHEADS = 8;
