import {
  freshPlanId,
  viewBounds,
  type Plan,
  type PlanSheet,
  type PlanView,
  type Underlay,
} from '@grain-fold/core/plan';

/** Length that a picture of unknown size is first shown over, in mm. */
const FIRST_LENGTH_MM = 900;

/** A sheet as it first lies: the whole of it, its middle in the middle of the view. */
export function wholeSheet(id: string, sheet: PlanSheet, view: PlanView, plan: Plan): Underlay {
  const { minX, minY, maxX, maxY } = viewBounds(plan, view);
  return {
    id,
    sheetId: sheet.id,
    view,
    turnDegrees: 0,
    isMirrored: false,
    originPx: { x: sheet.widthPx / 2, y: sheet.heightPx / 2 },
    originAt: { x: (minX + maxX) / 2, y: (minY + maxY) / 2 },
    opacity: 0.8,
    isHidden: false,
    isLocked: true,
  };
}

/** A plan with one more sheet under a view. @param mmPerPx as the file says; taken for a model of common length when it does not */
export function withSheet(
  plan: Plan,
  view: PlanView,
  file: Pick<PlanSheet, 'name' | 'hash' | 'kind' | 'widthPx' | 'heightPx'>,
  mmPerPx: number | undefined,
): { label: string; plan: Plan } {
  const [sheetId, one] = freshPlanId(plan, 's'),
    [underlayId, two] = freshPlanId(one, 'u');
  const sheet: PlanSheet = {
    id: sheetId,
    ...file,
    calibration: { kind: 'none', mmPerPx: mmPerPx ?? FIRST_LENGTH_MM / file.widthPx },
    lengths: [],
  };
  return {
    label: `Lay ${file.name} under`,
    plan: {
      ...two,
      sheets: [...two.sheets, sheet],
      underlays: [...two.underlays, wholeSheet(underlayId, sheet, view, plan)],
    },
  };
}
