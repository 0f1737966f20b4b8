import { seamsOfAirframe } from '../src/airframe/assembled.ts';
import { bodyFromNumbers, makeForm, standingWing, usualBody } from '../src/forms/index.ts';
import type { BodyForm, BodyParameters, FormContext, MadeBody, WingForm } from '../src/forms/index.ts';
import type { Part } from '../src/part/index.ts';
import { airframeOf, closingFaults, T } from './wings.ts';

export const PLY = 3;
/** A wing of the wings' samples beside the body, at a place. */
export const bodyContext = (wings: readonly WingForm[] = []): FormContext => {
  const boardOf = (material: string) => ({ thicknessMm: material === 'ply' ? PLY : T, gramsPerSquareMetre: 480 });
  return {
    unit: 'mm',
    boardOf,
    wingOf: (formId) => {
      const form = wings.find(({ id }) => id === formId);
      return form && standingWing(form, boardOf);
    },
  };
};
export const bodyForm = (parameters: BodyParameters): BodyForm => ({
  id: 'b1',
  kind: 'body',
  name: 'Body',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
export const USUAL_BODY: BodyParameters = {
  ...bodyFromNumbers({ ...usualBody('mm'), lengthMm: 720, material: 'foam' }, T),
  plateMaterial: 'ply',
};
export const bodyOf = (more: Partial<BodyParameters> = {}, wings: readonly WingForm[] = []): MadeBody =>
  makeForm(bodyForm({ ...USUAL_BODY, ...more }), bodyContext(wings));

/** What does not close of made parts: open and pressed places, and seams that found no edge. */
export function notClosed(parts: readonly Part[]): readonly string[] {
  const airframe = airframeOf(parts),
    found = new Set(
      seamsOfAirframe(airframe).map(({ seam }) => `${seam.fromSegmentId}>${seam.toSegmentId}>${seam.toPartId}`),
    );
  const lost = parts.flatMap(({ name, seams = [] }) =>
    seams.flatMap(({ fromSegmentId, toSegmentId, toPartId }) =>
      found.has(`${fromSegmentId}>${toSegmentId}>${toPartId}`)
        ? []
        : [`${name}: ${fromSegmentId} meets no ${toSegmentId} of ${toPartId}`],
    ),
  );
  return [...closingFaults(airframe), ...lost];
}
