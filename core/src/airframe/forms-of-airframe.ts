import {
  formMaterials,
  isBody,
  isTail,
  isWing,
  leaderOf,
  makeForm,
  mergeScaled,
  placeBy,
  plannedBody,
  plannedFrom,
  readsOf,
  rebuildForm,
  releaseParts,
  scaleForm,
  standingTail,
  standingWing,
  withPlannedLines,
  withPlannedShape,
  type Form,
  type FormContext,
  type Made,
  type MadeOf,
} from '../forms/index.ts';
import type { Part } from '../part/index.ts';
import type { PlannedThing } from '../plan/index.ts';
import { scalePart } from '../scale/index.ts';
import { arealMassOf, thicknessOf, type Board } from '../stock/index.ts';
import { identityOf, memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { ASSUMED_BOARD } from './assumed-board.ts';

/** What of an airframe its forms are made with. */
type FormSurroundings = Pick<Airframe, 'boards' | 'settings' | 'forms'>;

/** What the airframe's forms are made with: its boards as they are measured, and its wings, at a factor. */
export const formContext = ({ boards, settings: { unit }, forms = [] }: FormSurroundings, factor = 1): FormContext => {
  const boardOf: FormContext['boardOf'] = (material) => ({
    thicknessMm: thicknessOf(material, boards) ?? ASSUMED_BOARD.thicknessMm,
    gramsPerSquareMetre: arealMassOf(material, boards) ?? ASSUMED_BOARD.gramsPerSquareMetre,
    ...sizeOf(material, boards),
  });
  return {
    unit,
    boardOf,
    wingOf: (formId) => {
      const form = forms.find(({ id }) => id === formId);
      const scaled = form && factor !== 1 ? scaleForm(form, factor) : form;
      if (isTail(scaled)) return standingTail(scaled, boardOf);
      return isWing(scaled) ? standingWing(scaled, boardOf) : undefined;
    },
  };
};

/** Length of the longest board of a material, and how wide that one is. */
function sizeOf(material: string, boards: readonly Board[]): { readonly longestMm: number; readonly widthMm: number } {
  const sizes = boards
    .filter((board) => board.material === material)
    .map(({ widthMm, heightMm }) => ({ longestMm: Math.max(widthMm, heightMm), widthMm: Math.min(widthMm, heightMm) }));
  return sizes.reduce((best, one) => (one.longestMm > best.longestMm ? one : best), { longestMm: 0, widthMm: 0 });
}

const byId = <T extends { readonly id: string }>(list: readonly T[], one: T): readonly T[] =>
  list.some(({ id }) => id === one.id) ? list.map((other) => (other.id === one.id ? one : other)) : [...list, one];

/**
 * An airframe with a form of it made anew; a form that it does not have yet is added. Numbers that make no parts leave those that stand. What
 * stands by it is made anew where it stands then.
 */
export function withForm(airframe: Airframe, form: Form): Airframe {
  const leader = leaderOf(form, airframe.forms ?? []);
  const placed = leader ? { ...form, place: placeBy(leader, form.standsBy!) } : form;
  const { form: rebuilt, parts } = rebuildForm(placed, airframe.parts, formContext(airframe));
  return withFollowers({ ...airframe, parts, forms: byId(airframe.forms ?? [], rebuilt) }, form.id);
}

/** An airframe with what stands by a form, or is made by it, made anew. */
const withFollowers = (airframe: Airframe, formId: string): Airframe =>
  (airframe.forms ?? [])
    .filter((form) => form.standsBy?.formId === formId || readsOf(form).includes(formId))
    .reduce<Airframe>((held, { id }) => {
      const follower = held.forms!.find((form) => form.id === id)!;
      return leaderOf(follower, held.forms!) || readsOf(follower).length > 0 ? withForm(held, follower) : held;
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
  return withFollowers(without, formId);
}

/** An airframe whose forms are all made anew: when a board is measured again, or a file was written elsewhere. */
export const withFormsMade = (airframe: Airframe): Airframe => madeAnew(airframe, airframe.forms ?? []);

/** Forms of an airframe made anew, each as it is by then: one that follows another has been made with that already, and may hold what found no place. */
const madeAnew = (airframe: Airframe, forms: readonly Form[]): Airframe =>
  forms.reduce<Airframe>((held, { id }) => {
    const form = held.forms?.find((one) => one.id === id);
    return form ? withForm(held, form) : held;
  }, airframe);

/** What a form is made by beside its own numbers, as a key. */
const surroundingsKey = (
  { boards, settings: { unit } }: FormSurroundings,
  reads: readonly (Form | undefined)[],
): string => [identityOf(boards), unit, ...reads.map(identityOf)].join('/');
const formsRead = (form: Form, { forms = [] }: FormSurroundings): readonly (Form | undefined)[] =>
  readsOf(form).map((id) => forms.find((one) => one.id === id));

const madeAsItIs = memo(
  (form: Form, airframe: FormSurroundings, _reads: readonly (Form | undefined)[]): Made =>
    makeForm(form, formContext(airframe)),
  surroundingsKey,
);
const madeScaled = memo(
  (form: Form, airframe: FormSurroundings, _reads: readonly (Form | undefined)[]): Made => {
    const { scale } = airframe.settings;
    return makeForm(scaleForm(form, scale), formContext(airframe, scale));
  },
  (airframe, reads) => `${surroundingsKey(airframe, reads)}/${airframe.settings.scale}`,
);

/** A form as it is made; remembered by the form. */
export const madeOf = <F extends Form>(form: F, airframe: FormSurroundings): MadeOf<F> =>
  madeAsItIs(form, airframe, formsRead(form, airframe)) as MadeOf<F>;

/** A form as it is made at the airframe's factor; remembered by the form. */
export const madeAtScale = <F extends Form>(form: F, airframe: FormSurroundings): MadeOf<F> =>
  airframe.settings.scale === 1
    ? madeOf(form, airframe)
    : (madeScaled(form, airframe, formsRead(form, airframe)) as MadeOf<F>);

/** The parts of a form as it was made, by their ids. */
const partsById = memo(
  (made: Made): ReadonlyMap<string, Part> => new Map(made.parts.map((part) => [part.id, part] as const)),
);

/**
 * A part at the airframe's scale: a form's part is made of the form's scaled numbers, so that it is true to the board; others scale as they
 * are drawn. Remembered by the part.
 */
export const partAtScale = (airframe: Airframe, part: Part): Part => {
  const { scale } = airframe.settings;
  const form = part.source && scale !== 1 ? airframe.forms?.find(({ id }) => id === part.source!.formId) : undefined;
  const made = form && partsById(madeAtScale(form, airframe)).get(part.id);
  return made ? merged(part, made, scale) : scalePart(part, scale);
};

const merged = memo(
  (part: Part, made: Part, scale: number): Part => mergeScaled(made, scalePart(part, scale)),
  (made, scale) => `${identityOf(made)}/${scale}`,
);

/** Whether a board of a material is measured or weighed otherwise. */
const isOtherBoard = (before: Airframe, next: Airframe, material: string): boolean => {
  const [a, b] = [formContext(before).boardOf(material), formContext(next).boardOf(material)];
  return a.thicknessMm !== b.thicknessMm;
};

/**
 * An edited airframe whose forms keep up with it: those whose board is measured anew are made anew, and a made part that was taken out is
 * left out of its form from then on.
 */
export function withFormsKept(before: Airframe, next: Airframe): Airframe {
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
  if (before.boards === next.boards) return left;
  const remade = (left.forms ?? []).filter((form) =>
    formMaterials(form).some((material) => isOtherBoard(before, next, material)),
  );
  return madeAnew(left, remade);
}

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
