import { faultsIn, planReportOf, slowFigures, type Airframe } from '@grain-fold/core/airframe';
import type { Fault } from '@grain-fold/core/checks';
import type { PlanFault } from '@grain-fold/core/plan';
import { worded } from '@grain-fold/core/units';

/** A fault as every command tells it. */
export interface ToldFault extends Pick<Fault, 'code' | 'title' | 'detail' | 'place'> {
  readonly part: string;
  readonly mend: string;
  readonly others: readonly string[];
}

/** Every fault of an airframe: of its parts by themselves, folded, stood together and nested. */
export function toldFaults(airframe: Airframe): readonly ToldFault[] {
  const nameOf = (partId: string): string => airframe.parts.find(({ id }) => id === partId)?.name ?? partId;
  const faults = [...airframe.parts.flatMap((part) => faultsIn(airframe, part)), ...slowFigures(airframe).faults];
  return faults.map(({ partId, code, title, detail, place, mend, others = [] }) => ({
    part: nameOf(partId),
    code,
    title,
    detail,
    place,
    mend: mend.label,
    others: others.map(({ label }) => label),
  }));
}

/** A fault of the plan as every command tells it. */
export interface ToldPlanFault extends Pick<PlanFault, 'code' | 'title' | 'detail'> {
  readonly mends: readonly string[];
}

/** Every fault of an airframe's plan, in the builder's unit; none without a plan. */
export function toldPlanFaults(airframe: Airframe): readonly ToldPlanFault[] {
  const { unit } = airframe.settings;
  return (planReportOf(airframe)?.faults ?? []).map(({ code, title, detail, mends }) => ({
    code,
    title: worded(title, unit),
    detail: worded(detail, unit),
    mends: mends.map(({ label }) => worded(label, unit)),
  }));
}
