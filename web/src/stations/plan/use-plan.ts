import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue';
import { planContext, planReport, type PlanReport } from '@grain-fold/core/airframe';
import { brokenPlan, EMPTY_PLAN, type Plan, type PlanContext, type PlanEdit } from '@grain-fold/core/plan';
import { CoreError } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** What is chosen in the plan. */
export type PlanChosen =
  | { readonly kind: 'thing'; readonly thingId: string }
  | { readonly kind: 'line'; readonly lineId: string; readonly nodeId?: string }
  | { readonly kind: 'guide'; readonly guideId: string }
  | { readonly kind: 'underlay'; readonly underlayId: string };

export interface PlanDesk {
  /** As it is saved. */
  readonly stored: ComputedRef<Plan>;
  /** As it shows: with what is being dragged, or proposed. */
  readonly plan: ComputedRef<Plan>;
  readonly draft: ShallowRef<Plan | undefined>;
  readonly context: ComputedRef<PlanContext>;
  readonly report: ComputedRef<PlanReport>;
  readonly chosen: ShallowRef<PlanChosen | undefined>;
  /** Makes an edit a step of the history. @returns the edit; undefined when it was refused, and the message says why */
  readonly run: <Edit extends PlanEdit>(edit: (plan: Plan) => Edit) => Edit | undefined;
}

/** The plan that is worked on: every edit goes through here, held to the plan's own rules. */
export function usePlan(): PlanDesk {
  const work = useAirframe();
  const draft = shallowRef<Plan>();
  const chosen = shallowRef<PlanChosen>();
  const stored = computed(() => work.airframe?.plan ?? EMPTY_PLAN);
  const plan = computed(() => draft.value ?? stored.value);
  const context = computed(() => planContext(work.airframe!));
  const report = computed(() => planReport(plan.value, context.value, work.airframe!.settings.scale));

  function run<Edit extends PlanEdit>(edit: (plan: Plan) => Edit): Edit | undefined {
    draft.value = undefined;
    try {
      const done = edit(stored.value);
      // What changes nothing is no step.
      if (done.plan === stored.value) return done;
      const broken = brokenPlan(done.plan);
      if (broken) {
        work.message = `That cannot stand: ${broken.field} ${broken.message}.`;
        return undefined;
      }
      work.setPlan(done.label, done.plan);
      return done;
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      work.message = error.message;
      return undefined;
    }
  }
  return { stored, plan, draft, context, report, chosen, run };
}
