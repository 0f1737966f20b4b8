import { computed, onScopeDispose, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { madeOf, withForm, withoutForm, type Airframe } from '@grain-fold/core/airframe';
import {
  makeForm,
  putBack,
  withChanges,
  type BodyForm,
  type DeckForm,
  type Form,
  type FormFault,
  type GaugeForm,
  type Made,
  type LayeredForm,
  type MadeOf,
  type ParameterChange,
  type PowerForm,
  type RoundForm,
  type ShellForm,
  type StrutForm,
  type TailForm,
  type WingForm,
} from '@grain-fold/core/forms';
import { formContext } from '@grain-fold/core/airframe';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';

/** What of a form is chosen: one of a list of its parameters by its number from 0; of a wing a panel, or the joint inboard of it. */
export interface FormChosen {
  readonly kind: string;
  readonly index: number;
}

/** The forms, and the one of some kind that is worked on. */
export interface DeskOf<F extends Form> {
  readonly forms: ComputedRef<readonly Form[]>;
  /** As it is saved. */
  readonly stored: ComputedRef<F | undefined>;
  /** As it shows: with what is being dragged. */
  readonly form: ComputedRef<F | undefined>;
  /** A form as it is being dragged: this one, or one that it is made by. */
  readonly draft: ShallowRef<Form | undefined>;
  /** The form as it was last made well, and what is wrong with the numbers as they are. */
  readonly made: ComputedRef<MadeOf<F> | undefined>;
  readonly faults: ComputedRef<readonly FormFault[]>;
  readonly chosen: ShallowRef<FormChosen | undefined>;
  readonly chosenId: Ref<string | undefined>;
  /** Changes numbers as one step of the history. */
  readonly change: (label: string, changes: readonly ParameterChange[]) => void;
  readonly replace: (label: string, form: Form) => void;
  readonly add: (forms: readonly Form[]) => void;
  readonly release: () => void;
  readonly remove: () => void;
  readonly putBackParked: (index: number) => void;
  readonly dropParked: (index: number) => void;
}

export type FormsDesk = DeskOf<Form>;
export type WingDesk = DeskOf<WingForm>;
export type BodyDesk = DeskOf<BodyForm>;
export type ShellDesk = DeskOf<ShellForm>;
export type RoundDesk = DeskOf<RoundForm>;
export type DeckDesk = DeskOf<DeckForm>;
export type PowerDesk = DeskOf<PowerForm>;
export type TailDesk = DeskOf<TailForm>;
export type GaugeDesk = DeskOf<GaugeForm>;
export type StrutDesk = DeskOf<StrutForm>;
export type LayeredDesk = DeskOf<LayeredForm>;
/** A desk for what wings and tails sit in. */
export type SeatedDesk = DeskOf<BodyForm | LayeredForm>;

/** The forms that are worked on: every change makes the parts anew, as one step. */
export function useForms(): FormsDesk {
  const work = useAirframe(),
    figures = useFigures();
  const chosenId = ref<string>();
  const draft = shallowRef<Form>();
  const chosen = shallowRef<FormChosen>();
  const saved = computed(() => work.airframe?.forms ?? []);
  const stored = computed(() => saved.value.find(({ id }) => id === chosenId.value) ?? saved.value[0]);
  // The ticket tells what it would come to.
  watch(draft, (form) => figures.follow(form));
  onScopeDispose(() => figures.follow(undefined));
  const forms = computed(() =>
    draft.value ? saved.value.map((one) => (one.id === draft.value!.id ? draft.value! : one)) : saved.value,
  );
  const form = computed(() => forms.value.find(({ id }) => id === stored.value?.id));
  const now = computed(() => {
    if (!form.value || !work.airframe) return undefined;
    return draft.value
      ? makeForm(form.value, formContext({ ...work.airframe, forms: forms.value }))
      : madeOf(form.value, work.airframe);
  });
  /** Numbers that make nothing leave what was made last standing. */
  let lastGood: { readonly id: string; readonly made: Made } | undefined;
  const made = computed(() => {
    const id = form.value?.id;
    if (id !== undefined && now.value && now.value.figures) lastGood = { id, made: now.value };
    return lastGood?.id === id ? lastGood?.made : undefined;
  });
  const faults = computed(() => now.value?.faults ?? []);

  function replace(label: string, next: Form): void {
    draft.value = undefined;
    if (!work.airframe) return;
    work.commit(label, withForm(work.airframe, next));
  }
  function change(label: string, changes: readonly ParameterChange[]): void {
    const from = stored.value;
    if (from) replace(label, withChanges(from, changes));
  }
  function add(next: readonly Form[]): void {
    const [first] = next;
    if (!work.airframe || !first) return;
    work.commit(
      `Make ${next.map(({ name }) => name.toLowerCase()).join(' and ')}`,
      next.reduce<Airframe>((held, one) => withForm(held, one), work.airframe),
    );
    chosenId.value = first.id;
    chosen.value = undefined;
  }
  const withoutParked = (index: number): Form => {
    const { parked = [], ...rest } = stored.value!;
    const left = parked.filter((_, at) => at !== index);
    return left.length > 0 ? { ...rest, parked: left } : (rest as Form);
  };
  function putBackParked(index: number): void {
    const airframe = work.airframe,
      from = stored.value,
      addition = from?.parked?.[index];
    if (!airframe || !from || !addition) return;
    const part = airframe.parts.find(({ source }) => source?.formId === from.id && source.role === addition.role);
    const next = part && putBack(part, addition);
    if (!next) {
      work.message = part
        ? `It still lies beside ${part.name}: change the form so that it fits, or throw it away.`
        : 'The part that it was drawn on is not made any more.';
      return;
    }
    work.commit(`Put ${addition.what} back on ${part.name}`, {
      ...airframe,
      parts: airframe.parts.map((one) => (one === part ? next : one)),
      forms: saved.value.map((one) => (one === from ? withoutParked(index) : one)),
    });
  }
  function dropParked(index: number): void {
    if (!work.airframe || !stored.value) return;
    const without = withoutParked(index);
    work.commit('Throw away what found no place', {
      ...work.airframe,
      forms: saved.value.map((one) => (one === stored.value ? without : one)),
    });
  }
  function release(): void {
    if (work.airframe && stored.value)
      work.commit(`Release ${stored.value.name}`, withoutForm(work.airframe, stored.value.id, true));
  }
  function remove(): void {
    if (work.airframe && stored.value)
      work.commit(`Remove ${stored.value.name} and its parts`, withoutForm(work.airframe, stored.value.id, false));
  }
  return {
    forms,
    stored,
    form,
    draft,
    made,
    faults,
    chosen,
    chosenId,
    change,
    replace,
    add,
    release,
    remove,
    putBackParked,
    dropParked,
  };
}
