import type { Part } from '../../part/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import { madePart, type MadeCorner, type MadeEdgeWork, type MadePartDraft } from '../form/index.ts';
import type { PanelSite } from './panel.ts';

/** What is cut beside a wing to build it by: a jig or a gauge. */
export type Helper = Pick<MadePartDraft, 'role' | 'name' | 'notes' | 'lines' | 'holes'>;

/** A rectangle that stands on its foot. */
export const rectangle = (width: number, height: number): readonly MadeCorner[] => [
  { at: { x: 0, y: 0 }, edge: 'foot' },
  { at: { x: width, y: 0 }, edge: 'aft' },
  { at: { x: width, y: height }, edge: 'top' },
  { at: { x: 0, y: height }, edge: 'fore' },
];

export const lengthIn = (sites: readonly PanelSite[], mm: number): string => formatLengthWithUnit(mm, sites[0]!.unit);

/** A part that helps to build: of the jigs' sheet, without a place in the airframe. */
export function helperPart(
  sites: readonly PanelSite[],
  { name, ...helper }: Helper,
  group: string,
  quantity: number,
  outline: readonly MadeCorner[],
  edgeWork: readonly MadeEdgeWork[] = [],
): Part {
  const { formId, formName, wing } = sites[0]!;
  return madePart({
    ...helper,
    formId,
    name: `${formName} ${name}`,
    group: `${formName} ${group}`,
    material: wing.jigMaterial,
    handed: 'single',
    quantity,
    grain: { directionDegrees: 0, rule: 'any' },
    outline,
    edgeWork,
  });
}
