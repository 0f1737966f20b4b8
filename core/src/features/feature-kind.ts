import type { Curve, Point } from '../geometry/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import type { PathDraft, Sizing } from '../paths/index.ts';
import type { FeatureField } from './feature-field.ts';
import type { Feature, FeatureKind } from './feature.ts';

/** A row of tabs as its slots need it. */
export interface TabRow {
  readonly count: number;
  readonly lengthMm: number;
  readonly pitchMm: number;
  /** Thickness of the plate that bears the tabs. */ readonly thicknessMm: number;
}

/** What features are made with: thicknesses in mm, plates by material, tab rows by `part id/feature id`. */
export interface FeatureContext {
  readonly thicknessMm: number;
  readonly plateThicknesses: Readonly<Record<string, number>>;
  readonly tabRows?: Readonly<Record<string, TabRow>>;
}

/** What a feature stands on: the edge it names, and the side of it on which the part lies. */
export interface FeatureSite extends FeatureContext {
  readonly edge?: { readonly curve: Curve; readonly bodyIsLeft: boolean };
}

/** What a feature becomes. */
export interface FeatureDrawing {
  readonly holes?: readonly { readonly draft: PathDraft; readonly sizing: Sizing }[];
  readonly lines?: readonly {
    readonly draft: PathDraft;
    readonly works: readonly {
      readonly operation: OperationDraft;
      /** Segments by number; all when undefined. */ readonly segments?: readonly number[];
    }[];
  }[];
  /** Points that the edge runs through between its ends, in place of its one run; `onEdge` tells which of the runs lie on the old edge. */
  readonly edge?: { readonly points: readonly Point[]; readonly onEdge: readonly boolean[] };
}

/** Why a feature cannot be made as it stands, with a mend that changes its own numbers where one can. */
export interface FeatureFault {
  readonly code: 'FEATURE_EDGE' | 'TABS_CROWDED' | 'MATE_MISSING' | 'LAP_DEEP' | 'STATION_OFF' | 'WORDS_OFF';
  readonly title: string;
  readonly detail: string;
  readonly mend?: { readonly label: string; readonly changes: Readonly<Record<string, unknown>> };
}

type Own<K extends FeatureKind> = Extract<Feature, { kind: K }>;

/** Everything that is particular to one kind of feature. One file a kind. */
export interface FeatureTraits<K extends FeatureKind> {
  readonly kind: K;
  readonly word: string;
  /** What to click to set one. */
  readonly hint: string;
  readonly ground: 'place' | 'edge';
  readonly defaults: Omit<Own<K>, 'id' | 'at' | 'on' | 'label' | 'variants'>;
  readonly fields: readonly FeatureField[];
  readonly draw: (feature: Own<K>, site: FeatureSite) => FeatureDrawing;
  /** What else than the fields that grow changes with the size of the airframe; its place is moved for it. Most keep their size: they follow hardware. */
  readonly scaled?: (feature: Own<K>, factor: number) => Own<K>;
  readonly faults?: (feature: Own<K>, site: FeatureSite) => readonly FeatureFault[];
}
