import { add3, cross3, dot3, subtract3, times3, unit3, type Point, type Point3 } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import type { SectionPlate } from '../section/index.ts';
import type { SkinLine } from '../skin/index.ts';
import type { LaidPanel } from './panel-layout.ts';

/**
 * The lines of a panel's skin, from where its root's corners lie in the plane of that joint to where its tip's lie in theirs: so both
 * panels of a joint end in the same corners, however they are swept.
 * @param roots corners of the inner section: aft, and up
 * @param thicknessMm of the skin
 */
export function panelLines(
  { panel, number, rootTiltDegrees, tipTiltDegrees }: LaidPanel,
  roots: readonly Point[],
  tips: readonly Point[],
  plates: readonly SectionPlate[],
  thicknessMm: number,
): readonly SkinLine[] {
  const atRoot = Math.tan(radians(rootTiltDegrees)),
    atTip = Math.tan(radians(tipTiltDegrees));
  // In the middle both halves mirror each other: lines that lead upright sections to each other meet there, however they are swept.
  const rootX = number === 1 ? 0 : atRoot;
  const lines = roots.map((corner, index): SkinLine => ({
    root: { x: corner.y * rootX, y: corner.x, z: corner.y },
    tip: { x: panel.spanMm - tips[index]!.y * atTip, y: tips[index]!.x, z: tips[index]!.y },
  }));
  const gap = plates.findIndex(({ isSkin }) => isSkin);
  if (gap < 0) return lines;
  if (plates[gap]!.isParted) {
    const under = underLine(lines, gap, thicknessMm, { atRoot, atTip, spanMm: panel.spanMm });
    return lines.map((line, index) => (index === gap ? under : line));
  }
  return lines.map((line, index) => (index === gap + 1 ? besideLine(lines[gap]!, line, panel.spanMm, atTip) : line));
}

/**
 * The upper line of a nose's strip of skin: beside the lower one all along, since a trench has one width and its skin no twist.
 * @returns it starts at its own root and ends in the plane of the tip's joint
 */
function besideLine(low: SkinLine, { root }: SkinLine, spanMm: number, atTip: number): SkinLine {
  const along = subtract3(low.tip, low.root);
  const share = (spanMm - root.z * atTip - root.x) / (along.x + along.z * atTip);
  return { root, tip: add3(root, times3(along, share)) };
}

/** Unit normal of the plate between two lines, by the corner that its other line has at one end: toward its inside. */
const inwardBy = (a: SkinLine, b: SkinLine, corner: 'root' | 'tip'): Point3 =>
  unit3(cross3(subtract3(b[corner], a.root), subtract3(a.tip, a.root)));

/** Where three planes meet, each told by its normal and how far it lies along it. */
function meetingPoint(
  [a, b, c]: readonly [Point3, Point3, Point3],
  [alongA, alongB, alongC]: readonly [number, number, number],
): Point3 {
  const [bc, ca, ab] = [cross3(b, c), cross3(c, a), cross3(a, b)];
  return times3(add3(add3(times3(bc, alongA), times3(ca, alongB)), times3(ab, alongC)), 1 / dot3(a, bc));
}

/**
 * The line that a lower sheet is feathered to under the nose of an upper one.
 * @param gap index of the line that the lower sheet ends in
 * @source there the outside of the lower sheet meets the face of the upper one, and the feather lies flat under that face
 */
function underLine(
  lines: readonly SkinLine[],
  gap: number,
  thicknessMm: number,
  { atRoot, atTip, spanMm }: { readonly atRoot: number; readonly atTip: number; readonly spanMm: number },
): SkinLine {
  const [before, low, top, after] = [lines[gap - 1]!, lines[gap]!, lines[gap + 1]!, lines[gap + 2]!];
  const at = (end: 'root' | 'tip'): Point3 => {
    const [ends, along]: readonly [Point3, number] =
      end === 'root' ? [{ x: 1, y: 0, z: -atRoot }, 0] : [{ x: 1, y: 0, z: atTip }, spanMm];
    const inLow = inwardBy(before, low, end);
    // Of a twisted upper plate the piece that leaves the lower sheet least.
    const places = (['root', 'tip'] as const).map((corner) => {
      const inTop = inwardBy(top, after, corner);
      return meetingPoint([inLow, inTop, ends], [dot3(inLow, before[end]), dot3(inTop, top[end]) + thicknessMm, along]);
    });
    return places.reduce((best, place) => (place.y > best.y ? place : best));
  };
  return { root: at('root'), tip: at('tip') };
}
