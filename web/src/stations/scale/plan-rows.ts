import { planReportOf, type Airframe } from '@grain-fold/core/airframe';
import type { PlanFigureKey } from '@grain-fold/core/plan';
import { formatLengthWithUnit } from '@grain-fold/core/units';

/** A figure as it is drawn, and as it is at the airframe's factor. */
export interface PlanRow {
  readonly word: string;
  readonly before: string;
  readonly after: string;
}

const KEYS: readonly PlanFigureKey[] = ['span', 'loading', 'stall'];

/** What scaling does to the plan: span, loading, speed, and the room under the propeller, which keeps its size. */
export function planRows(airframe: Airframe): readonly PlanRow[] {
  const { settings } = airframe;
  const before = planReportOf({ ...airframe, settings: { ...settings, scale: 1 } }),
    after = planReportOf(airframe);
  if (!before || !after) return [];
  const textOf = (report: typeof after, key: PlanFigureKey): string | undefined =>
    report.figures.figures.find((figure) => figure.key === key)?.text;
  const room = (report: typeof after): string | undefined => {
    const found = report.clearances.find(({ key }) => key.startsWith('propeller-ground'));
    return found && formatLengthWithUnit(found.amount, settings.unit);
  };
  const figures = KEYS.flatMap((key) => {
    const figure = after.figures.figures.find((one) => one.key === key);
    return figure ? [{ word: figure.word, before: textOf(before, key) ?? '–', after: figure.text }] : [];
  });
  const [from, to] = [room(before), room(after)];
  return [
    ...figures,
    ...(from !== undefined && to !== undefined ? [{ word: 'Under the propeller', before: from, after: to }] : []),
  ];
}
