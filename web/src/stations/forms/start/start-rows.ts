import { materialsOf } from '@grain-fold/core/stock';
import { isBody, type Form } from '@grain-fold/core/forms';
import type { Airframe } from '@grain-fold/core/airframe';

/** A number that a form starts from: its key, its word, what it measures, and its bounds. */
export type StartRow = readonly [
  key: string,
  word: string,
  kind: 'length' | 'angle' | 'number',
  least: number,
  most: number,
];

/** A name and an id that no other form has. */
export type Naming = (wanted: string, prefix: string) => { readonly id: string; readonly name: string };

/** The board that a form begins with. */
export const firstMaterial = (airframe: Airframe | undefined): string =>
  materialsOf(airframe?.boards ?? [])[0] ?? 'faced board';

/** Where a form begins: at the datum. */
export const AT_DATUM: Form['place'] = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 };

/** How high a form reaches over its own zero, in mm; 0 of those that nothing lies on. */
export function highestOf(form: Form): number {
  if (isBody(form)) return Math.max(...form.parameters.stations.map(({ topMm }) => topMm));
  return form.kind === 'round' ? Math.max(...form.parameters.stations.map(({ acrossMm }) => acrossMm / 2)) : 0;
}
