import { featureMaterials, tabRowOf, type TabRow } from '../features/index.ts';
import { assemble, foldedBy, plateBody, type StandingPart } from '../folds/index.ts';
import {
  isPower,
  isTail,
  isWing,
  makeForm,
  mergeScaled,
  readsOf,
  readsStanding,
  scaleForm,
  standingBox,
  standingTail,
  standingWing,
  type Form,
  type FormContext,
  type Made,
  type MadeOf,
  type StandingAirframe,
} from '../forms/index.ts';
import { curveLength } from '../geometry/index.ts';
import { findPath, type Part } from '../part/index.ts';
import { curveOf } from '../paths/index.ts';
import { existsIn, expandPart, type ResolveContext } from '../resolve/index.ts';
import { scalePart } from '../scale/index.ts';
import { arealMassOf, thicknessOf, type Board } from '../stock/index.ts';
import { defined, identityOf, memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { ASSUMED_BOARD } from './assumed-board.ts';

/** The parts that exist in the chosen variant. */
export const partsInVariant = (airframe: Airframe): readonly Part[] =>
  airframe.parts.filter((part) => existsIn(part, airframe.settings.variant));

/**
 * What a part is made exact with in its airframe.
 * @param scale at which the airframe is looked at: tab rows of other parts are as long as they are then
 */
export function contextOf(airframe: Airframe, part: Part, scale = 1): ResolveContext {
  const thickness = (material: string): number => thicknessOf(material, airframe.boards) ?? ASSUMED_BOARD.thicknessMm;
  const plates = [
    ...part.contours.flatMap(({ plate }) => (plate ? [plate.material] : [])),
    ...(part.features ?? []).flatMap(featureMaterials),
  ];
  const mates = (part.features ?? []).flatMap((feature) =>
    feature.kind === 'slots' && feature.mate !== '' ? [feature.mate] : [],
  );
  const { variant, folds } = airframe.settings;
  return {
    thicknessMm: thickness(part.material),
    gramsPerSquareMetre: arealMassOf(part.material, airframe.boards) ?? ASSUMED_BOARD.gramsPerSquareMetre,
    plateThicknesses: Object.fromEntries(plates.map((material) => [material, thickness(material)] as const)),
    ...(mates.length > 0
      ? {
          tabRows: Object.fromEntries(
            mates.flatMap((mate) => {
              const row = tabRowIn(airframe, mate, scale);
              return row ? [[mate, row] as const] : [];
            }),
          ),
        }
      : {}),
    ...defined({ variant, folds }),
  };
}

/** A tab row of an airframe by `part id/feature id`, or undefined when it is gone or stands on no straight edge. */
function tabRowIn(airframe: Airframe, mate: string, scale: number): TabRow | undefined {
  const [partId, featureId] = mate.split('/');
  const drawn = airframe.parts.find(({ id }) => id === partId);
  const part = drawn && (scale === airframe.settings.scale ? partAtScale(airframe, drawn) : scalePart(drawn, scale));
  const feature = part?.features?.find(({ id }) => id === featureId);
  if (!part || feature?.kind !== 'tabs') return undefined;
  const path = findPath(part, feature.on.pathId),
    index = path?.segments.findIndex(({ id }) => id === feature.on.segmentId) ?? -1;
  if (!path || index < 0) return undefined;
  return tabRowOf(
    feature,
    curveLength(curveOf(path, index)),
    thicknessOf(part.material, airframe.boards) ?? ASSUMED_BOARD.thicknessMm,
  );
}

/** What the airframe's forms are made with: its boards as they are measured, its forms and what stands, at a factor. */
export const formContext = (airframe: Airframe, factor = 1): FormContext => {
  const {
    boards,
    settings: { unit },
    forms = [],
  } = airframe;
  const atFactor = (form: Form): Form => (factor === 1 ? form : scaleForm(form, factor));
  const scaledBy = (formId: string): Form | undefined => {
    const form = forms.find(({ id }) => id === formId);
    return form && atFactor(form);
  };
  const boardOf: FormContext['boardOf'] = (material) => ({
    thicknessMm: thicknessOf(material, boards) ?? ASSUMED_BOARD.thicknessMm,
    gramsPerSquareMetre: arealMassOf(material, boards) ?? ASSUMED_BOARD.gramsPerSquareMetre,
    ...sizeOf(material, boards),
  });
  const context: FormContext = {
    unit,
    boardOf,
    wingOf: (formId) => {
      const scaled = scaledBy(formId);
      if (isTail(scaled)) return standingTail(scaled, boardOf);
      return isWing(scaled) ? standingWing(scaled, boardOf) : undefined;
    },
    boxOf: (formId) => {
      const scaled = scaledBy(formId);
      return isPower(scaled) ? standingBox(scaled, context) : undefined;
    },
    forms: forms.map(atFactor),
    standing: () => standingAround({ ...airframe, settings: { ...airframe.settings, scale: factor } }),
  };
  return context;
};

/** Length of the longest board of a material, and how wide that one is. */
function sizeOf(material: string, boards: readonly Board[]): { readonly longestMm: number; readonly widthMm: number } {
  const sizes = boards
    .filter((board) => board.material === material)
    .map(({ widthMm, heightMm }) => ({ longestMm: Math.max(widthMm, heightMm), widthMm: Math.min(widthMm, heightMm) }));
  return sizes.reduce((best, one) => (one.longestMm > best.longestMm ? one : best), { longestMm: 0, widthMm: 0 });
}

/** What a form is made by beside its own numbers. */
const readBy = (form: Form, { boards, forms = [], parts, settings: { unit, folds } }: Airframe): string => {
  const seen = readsStanding(form)
    ? [parts, forms, folds]
    : readsOf(form).map((id) => forms.find((one) => one.id === id));
  return [unit, ...[boards, ...seen].map(identityOf)].join('/');
};

const madeAsItIs = memo(
  (form: Form, airframe: Airframe, _key: string): Made => makeForm(form, formContext(airframe)),
  (_, key) => key,
);
const madeScaled = memo(
  (form: Form, airframe: Airframe, _key: string): Made => {
    const { scale } = airframe.settings;
    return makeForm(scaleForm(form, scale), formContext(airframe, scale));
  },
  (airframe, key) => `${key}/${airframe.settings.scale}`,
);

/** A form as it is made; remembered by the form. */
export const madeOf = <F extends Form>(form: F, airframe: Airframe): MadeOf<F> =>
  madeAsItIs(form, airframe, readBy(form, airframe)) as MadeOf<F>;

/** A form as it is made at the airframe's factor; remembered by the form. */
export const madeAtScale = <F extends Form>(form: F, airframe: Airframe): MadeOf<F> =>
  airframe.settings.scale === 1
    ? madeOf(form, airframe)
    : (madeScaled(form, airframe, readBy(form, airframe)) as MadeOf<F>);

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

/** A part of the airframe with what it folds to, at the airframe's scale; undefined while it has no closed outline. */
export function standingPart(airframe: Airframe, drawn: Part): StandingPart | undefined {
  const { scale } = airframe.settings,
    part = partAtScale(airframe, drawn),
    context = contextOf(airframe, drawn, scale);
  const body = plateBody(part, context);
  return body && { part, whole: expandPart(part, context), body };
}

/** Parts of the airframe's variant as they can stand together. */
export const standingParts = (
  airframe: Airframe,
  parts: readonly Part[] = partsInVariant(airframe),
): readonly StandingPart[] => parts.flatMap((part) => standingPart(airframe, part) ?? []);

/** What stands of an airframe beside what measures it; remembered by its parts. */
const standingAround = (airframe: Airframe): StandingAirframe => {
  const { boards, forms, settings } = airframe;
  return standingOf(
    airframe.parts,
    airframe,
    `${identityOf(boards)}/${identityOf(forms)}/${settings.scale}/${identityOf(settings.folds)}`,
  );
};
const standingOf = memo(
  (drawn: readonly Part[], airframe: Airframe, _key: string): StandingAirframe => {
    const measuring = new Set((airframe.forms ?? []).filter(readsStanding).map(({ id }) => id));
    const parts = standingParts(
      airframe,
      drawn.filter(({ source }) => !source || !measuring.has(source.formId)),
    );
    return { parts, pieces: assemble(parts, foldedBy(1)).pieces };
  },
  (_, key) => key,
);
