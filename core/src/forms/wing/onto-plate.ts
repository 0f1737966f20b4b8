import { applyRigid, invertRigid, type Point, type Point3 } from '../../geometry/index.ts';
import type { PanelSite } from './panel.ts';

/** Where the flat skin's corner of a place in the panel lies on one of its plates. */
export function ontoPlate({ skin }: PanelSite, plate: number, at: Point3, end: 'root' | 'tip'): Point {
  const { rootPiece, tipPiece } = skin.plates[plate]!;
  const { x, y } = applyRigid(invertRigid((end === 'root' ? rootPiece : tipPiece).map), at);
  return { x, y };
}

/** The lower plate that a place along the chord lies on, at both ends of a panel; undefined where a crease lies between. */
export function lowerPlateAt({ sections }: PanelSite, atRoot: number, atTip: number): number | undefined {
  const covers = ({ corners }: { readonly corners: readonly Point[] }, index: number, aft: number): boolean =>
    Math.min(corners[index]!.x, corners[index + 1]!.x) <= aft &&
    aft <= Math.max(corners[index]!.x, corners[index + 1]!.x);
  const { root, tip } = sections,
    nose = root.section.plates.findIndex(
      ({ role }) => role.startsWith('nose') || role === 'front' || role.startsWith('top'),
    );
  const found = root.section.plates
    .slice(0, nose < 0 ? undefined : nose)
    .findIndex(
      ({ isSkin }, index) => !isSkin && covers(root.section, index, atRoot) && covers(tip.section, index, atTip),
    );
  return found < 0 ? undefined : found;
}
