import type { Form } from '@grain-fold/core/forms';
import type { Bounds, Point } from '@grain-fold/core/geometry';
import type { FormChosen } from '../use-forms.ts';

/** How a shape on the mat looks. */
export type ShapeLook = 'foam' | 'face' | 'inside' | 'plate' | 'cut' | 'station' | 'guest' | 'bay' | 'tight' | 'wanted';

/** A line or an area of a view. */
export interface Shape {
  readonly key: string;
  readonly ring: readonly Point[];
  readonly look: ShapeLook;
  readonly isOpen?: boolean;
}

/** A place that is dragged. */
export interface ShapeHandle {
  readonly key: string;
  readonly at: Point;
  /** What it changes, with its figure. */
  readonly word: string;
  readonly isDark?: boolean;
  readonly isChosen?: boolean;
  readonly chooses?: FormChosen;
  /** The form with it dragged to a place. */
  readonly drag: (at: Point, onStep: (mm: number) => number) => Form;
}

/** Words on the mat, in mm and moved down in pixels. */
export interface ShapeLabel {
  readonly key: string;
  readonly at: Point;
  readonly text: string;
  readonly dy: number;
  /** Printed on foam: dark. */
  readonly isOnFoam?: boolean;
}

/** Everything that is drawn of a form. */
export interface ShapeViews {
  readonly label: string;
  readonly bounds: Bounds;
  readonly titles: readonly { readonly at: Point; readonly text: string }[];
  readonly shapes: readonly Shape[];
  readonly labels: readonly ShapeLabel[];
  readonly handles: readonly ShapeHandle[];
}
