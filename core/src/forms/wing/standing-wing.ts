import { add3, applyRigid, interpolate3, point3, subtract3, type Point, type Point3 } from '../../geometry/index.ts';
import { standingOf, type FormContext, type StandingWing } from '../form/index.ts';
import { layPanels, type LaidPanel } from './panel-layout.ts';
import { panelSections, placedCorners, type EndSection } from './panel-sections.ts';
import type { WingForm } from './wing-form.ts';

/** The outside of an end of a panel, in the panel's frame: all round, where the wing is one sheet. */
function outside(end: EndSection, noseMm: number, washoutDegrees: number, thicknessMm: number): readonly Point[] {
  const corners = placedCorners(end, noseMm, washoutDegrees);
  if (!end.section.isOpen) return corners;
  const upper = corners.map(({ x, y }) => ({ x, y: y + thicknessMm })).reverse();
  // From the lower tail forward, and back over the top.
  return corners[0]!.x > corners.at(-1)!.x
    ? [...corners, ...upper]
    : [...[...corners].reverse(), ...[...upper].reverse()];
}

/** A corner of a panel's outside, from its root to its tip, in the wing's frame. */
interface CornerLine {
  readonly root: Point3;
  readonly tip: Point3;
}

/**
 * A wing as what it sits in sees it: its outside, cut by planes along the airframe.
 * @returns undefined when its numbers make no wing
 */
export function standingWing(form: WingForm, boardOf: FormContext['boardOf']): StandingWing | undefined {
  const wing = form.parameters,
    laid = layPanels(wing),
    sections = panelSections(wing, laid, boardOf);
  if ('refused' in sections) return undefined;
  const { thicknessMm } = boardOf(wing.material),
    into = standingOf(form.place);
  const linesOf = (one: LaidPanel, index: number): readonly CornerLine[] => {
    const { root, tip } = sections[index]!;
    const at = (outMm: number, { x, y }: Point): Point3 => applyRigid(one.map, point3(outMm, x, y));
    const tips = outside(tip, one.tipNoseMm, one.tipWashoutDegrees, thicknessMm);
    return outside(root, one.rootNoseMm, one.rootWashoutDegrees, thicknessMm).map((corner, number) => ({
      root: at(0, corner),
      tip: at(one.panel.spanMm, tips[number] ?? corner),
    }));
  };
  const sectionAt = (outMm: number): readonly Point[] => {
    const found = laid.findIndex((one) => applyRigid(one.map, point3(one.panel.spanMm, 0, 0)).x >= outMm),
      index = found < 0 ? laid.length - 1 : found;
    return linesOf(laid[index]!, index).map(({ root, tip }) => {
      const run = subtract3(tip, root);
      const p = interpolate3(root, add3(root, run), run.x === 0 ? 0 : (outMm - root.x) / run.x);
      const { x, z } = applyRigid(into, p);
      return { x, y: z };
    });
  };
  return { name: form.name, incidenceDegrees: form.place.incidenceDegrees, sectionAt };
}
