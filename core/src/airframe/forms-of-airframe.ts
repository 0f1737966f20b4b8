import {
  formMaterials,
  isBody,
  isWing,
  leaderOf,
  placeBy,
  plannedBody,
  plannedFrom,
  readsOf,
  readsStanding,
  rebuildForm,
  releaseParts,
  withPlannedLines,
  withPlannedShape,
  type Form,
} from '../forms/index.ts';
import type { PlannedThing } from '../plan/index.ts';
import type { Airframe } from './airframe.ts';
import { formContext } from './made-at-scale.ts';

const byId = <T extends { readonly id: string }>(list: readonly T[], one: T): readonly T[] =>
  list.some(({ id }) => id === one.id) ? list.map((other) => (other.id === one.id ? one : other)) : [...list, one];

/**
 * An airframe with a form of it made anew; a form that it does not have yet is added. Numbers that make no parts leave those that stand. What
 * stands by it is made anew where it stands then.
 */
export const withForm = (airframe: Airframe, form: Form): Airframe => withFormBy(airframe, form, new Set());

/** @param leaders ids of the forms that this one follows: a file may have two that follow each other */
const withFormBy = (airframe: Airframe, form: Form, leaders: ReadonlySet<string>): Airframe =>
  withFollowers(withFormAlone(airframe, form), form.id, new Set([...leaders, form.id]));

/** An airframe with a form of it made anew, and nothing of what follows that. */
function withFormAlone(airframe: Airframe, form: Form): Airframe {
  const leader = leaderOf(form, airframe.forms ?? []);
  const placed = leader ? { ...form, place: placeBy(leader, form.standsBy!) } : form;
  const { form: rebuilt, parts } = rebuildForm(placed, airframe.parts, formContext(airframe));
  return { ...airframe, parts, forms: byId(airframe.forms ?? [], rebuilt) };
}

/** An airframe with what stands by a form, or is made by it, made anew. */
const withFollowers = (airframe: Airframe, formId: string, leaders: ReadonlySet<string>): Airframe =>
  (airframe.forms ?? [])
    .filter((form) => !leaders.has(form.id) && (form.standsBy?.formId === formId || readsOf(form).includes(formId)))
    .reduce<Airframe>((held, { id }) => {
      const follower = held.forms!.find((form) => form.id === id)!;
      return leaderOf(follower, held.forms!) || readsOf(follower).length > 0
        ? withFormBy(held, follower, leaders)
        : held;
    }, airframe);

/** A form that stood by one that is gone stays where it stands. */
function standingAlone(form: Form, goneId: string): Form {
  const { standsBy, ...rest } = form;
  return standsBy?.formId === goneId ? rest : form;
}

/** An airframe without a form, and with or without its parts: released, they are drawn parts from then on. */
export function withoutForm(airframe: Airframe, formId: string, keepParts: boolean): Airframe {
  const { forms = [], ...rest } = airframe;
  const left = forms.filter(({ id }) => id !== formId).map((form) => standingAlone(form, formId));
  const without: Airframe = {
    ...rest,
    parts: keepParts
      ? releaseParts(airframe.parts, formId)
      : airframe.parts.filter(({ source }) => source?.formId !== formId),
    ...(left.length > 0 ? { forms: left } : {}),
  };
  return withFollowers(without, formId, new Set());
}

/** An airframe whose forms are all made anew: when a board is measured again, or a file was written elsewhere. */
export const withFormsMade = (airframe: Airframe): Airframe => {
  const made = leadersFirst(airframe.forms ?? []).reduce<Airframe>((held, { id }) => {
    return withFormAlone(
      held,
      held.forms!.find((one) => one.id === id)!,
    );
  }, airframe);
  return withMeasured(made);
};

/** Forms in the order that each comes after those that it stands by or is made by; those that are made by what stands are left out. */
function leadersFirst(forms: readonly Form[]): readonly Form[] {
  const seen = new Set<Form>(),
    ordered: Form[] = [];
  const add = (form: Form): void => {
    if (seen.has(form)) return;
    seen.add(form);
    for (const id of [...readsOf(form), ...(form.standsBy ? [form.standsBy.formId] : [])]) {
      const leader = forms.find((one) => one.id === id);
      if (leader) add(leader);
    }
    ordered.push(form);
  };
  forms.filter((form) => !readsStanding(form)).forEach(add);
  return ordered;
}

/** Forms of an airframe made anew, each as it is by then: one that follows another has been made with that already, and may hold what found no place. */
const madeAnew = (airframe: Airframe, forms: readonly Form[]): Airframe =>
  forms.reduce<Airframe>((held, { id }) => {
    const form = held.forms?.find((one) => one.id === id);
    return form ? withForm(held, form) : held;
  }, airframe);

/** Whether a board of a material is measured or weighed otherwise. */
const isOtherBoard = (before: Airframe, next: Airframe, material: string): boolean => {
  const [a, b] = [formContext(before).boardOf(material), formContext(next).boardOf(material)];
  return a.thicknessMm !== b.thicknessMm;
};

/**
 * An edited airframe whose forms keep up with it: those whose board is measured anew are made anew, and a made part that was taken out is
 * left out of its form from then on. Forms that are made by what stands stay as they were.
 */
export function withFormsFollowing(before: Airframe, next: Airframe): Airframe {
  const { forms } = next;
  if (!forms || forms.length === 0) return next;
  const there = new Set(next.parts.map(({ id }) => id));
  const gone = before.parts === next.parts ? [] : before.parts.filter(({ id, source }) => source && !there.has(id));
  const leaving = (form: Form): Form => {
    const was = before.forms?.find(({ id }) => id === form.id);
    const roles = was === form ? gone.flatMap(({ source }) => (source!.formId === form.id ? [source!.role] : [])) : [];
    return roles.length === 0 ? form : { ...form, leftOut: [...(form.leftOut ?? []), ...roles] };
  };
  const kept = forms.map(leaving),
    isSame = kept.every((form, index) => form === forms[index]);
  const left = linked(before, isSame ? next : { ...next, forms: kept });
  const remade =
    before.boards === next.boards
      ? []
      : (left.forms ?? []).filter((form) =>
          formMaterials(form).some((material) => isOtherBoard(before, next, material)),
        );
  return madeAnew(left, remade);
}

/** The same with those that are made by what stands: they take longer. */
export function withFormsKept(before: Airframe, next: Airframe): Airframe {
  const following = withFormsFollowing(before, next);
  return isMeasuredOtherwise(before, following) ? withMeasured(following) : following;
}

const isSameList = (was: readonly unknown[], now: readonly unknown[]): boolean =>
  was.length === now.length && now.every((one, index) => one === was[index]);

/** Whether what an edit changed is measured by forms that are made by what stands: parts that may have moved, controls that may travel otherwise. */
export function isMeasuredOtherwise(before: Airframe, next: Airframe): boolean {
  const ids = new Set(measuringForms(next).map(({ id }) => id)),
    parts = (of: Airframe) => of.parts.filter(({ source }) => !source || !ids.has(source.formId)),
    forms = (of: Airframe) => (of.forms ?? []).filter(({ id }) => !ids.has(id));
  if (ids.size === 0) return false;
  return (
    before.boards !== next.boards || !isSameList(parts(before), parts(next)) || !isSameList(forms(before), forms(next))
  );
}

const measuringForms = ({ forms = [] }: Airframe): readonly Form[] => forms.filter(readsStanding);

/** An airframe whose forms that are made by what stands are made anew. */
export const withMeasured = (airframe: Airframe): Airframe => madeAnew(airframe, measuringForms(airframe));

const plannedThing = ({ plan }: Airframe, id: string | undefined): PlannedThing | undefined =>
  id === undefined ? undefined : plan?.things.find((one) => one.id === id);

/** A form with the shape of the planned thing that it was made from; undefined when it was made from another kind of thing. */
function formByPlan(form: Form, thing: PlannedThing): Form | undefined {
  if (isWing(form) && thing.kind === 'wing') {
    const place = { at: thing.at, incidenceDegrees: thing.incidenceDegrees };
    return { ...form, parameters: withPlannedShape(form.parameters, thing), place };
  }
  if (!isBody(form) || thing.kind !== 'body') return undefined;
  const place = { ...form.place, at: { ...thing.at, y: form.place.at.y } };
  return { ...form, parameters: withPlannedLines(form.parameters, thing), place };
}

/** A planned thing with the shape of the form that was made from it. */
function planByForm(thing: PlannedThing, form: Form): PlannedThing | undefined {
  if (isWing(form) && thing.kind === 'wing') return plannedFrom(thing, form);
  return isBody(form) && thing.kind === 'body' ? plannedBody(thing, form) : undefined;
}

/** Forms and the planned things that they were made from: what was edited of the two, the other follows. */
function linked(before: Airframe, next: Airframe): Airframe {
  return (next.forms ?? []).reduce<Airframe>((held, form) => {
    const thing = plannedThing(held, form.plannedId),
      wasThing = plannedThing(before, form.plannedId),
      wasForm = before.forms?.find(({ id }) => id === form.id);
    if (!thing || !wasForm) return held;
    if (wasThing && wasThing !== thing) {
      const follows = formByPlan(held.forms?.find(({ id }) => id === form.id) ?? form, thing);
      return follows ? withForm(held, follows) : held;
    }
    if (wasForm.parameters !== form.parameters || wasForm.place !== form.place) {
      const now = planByForm(thing, form);
      if (!now) return held;
      const plan = { ...held.plan!, things: held.plan!.things.map((one) => (one === thing ? now : one)) };
      return { ...held, plan };
    }
    return held;
  }, next);
}
