import { times3 } from '../geometry/index.ts';
import {
  parameterAt,
  withParameters,
  type AnyForm,
  type FormContext,
  type FormNumber,
  type NumberSizing,
  type ParameterChange,
} from './form/index.ts';
import {
  bodyMaterials,
  bodyReads,
  makeBody,
  scaleBody,
  type BodyForm,
  type MadeBody,
  bodyNumbers,
} from './body/index.ts';
import { deckMaterials, makeDeck, scaleDeck, type DeckForm, type MadeDeck, deckNumbers } from './deck/index.ts';
import {
  gaugeMaterials,
  makeGauges,
  scaleGauges,
  type GaugeForm,
  type MadeGauges,
  gaugeNumbers,
} from './gauge/index.ts';
import {
  layeredMaterials,
  layeredReads,
  makeLayered,
  scaleLayered,
  type LayeredForm,
  type MadeLayered,
  layeredNumbers,
} from './layered/index.ts';
import { makePower, powerMaterials, scalePower, type MadePower, type PowerForm, powerNumbers } from './power/index.ts';
import { makeRound, roundMaterials, scaleRound, type MadeRound, type RoundForm, roundNumbers } from './round/index.ts';
import { makeShell, scaleShell, shellMaterials, type MadeShell, type ShellForm, shellNumbers } from './shell/index.ts';
import {
  makeStruts,
  scaleStruts,
  strutMaterials,
  type MadeStruts,
  type StrutForm,
  strutNumbers,
} from './strut/index.ts';
import { makeTail, scaleTail, tailMaterials, type MadeTail, type TailForm, tailNumbers } from './tail/index.ts';
import { makeWing, scaleWing, wingMaterials, type MadeWing, type WingForm, wingNumbers } from './wing/index.ts';

/** A maker of parts, of any of the kinds. */
export type Form =
  WingForm | BodyForm | ShellForm | RoundForm | DeckForm | TailForm | PowerForm | LayeredForm | StrutForm | GaugeForm;
/** A form made, by its kind. */
interface MadeKinds {
  readonly wing: MadeWing;
  readonly body: MadeBody;
  readonly shell: MadeShell;
  readonly round: MadeRound;
  readonly deck: MadeDeck;
  readonly tail: MadeTail;
  readonly power: MadePower;
  readonly layered: MadeLayered;
  readonly strut: MadeStruts;
  readonly gauge: MadeGauges;
}
export type MadeOf<F extends Form> = MadeKinds[F['kind']];
export type Made = MadeOf<Form>;

/** Everything that is particular to one kind of form. */
interface FormKind<F extends Form> {
  readonly make: (form: F, context: FormContext) => MadeOf<F>;
  /** Its parameters at another size. */
  readonly scale: (parameters: F['parameters'], factor: number) => F['parameters'];
  /** Every number that it has by its path, with its bounds. */
  readonly numbers: (parameters: F['parameters']) => readonly FormNumber[];
  /** The sheets that its parts are cut from: a new measure of one makes it anew. */
  readonly materials: (parameters: F['parameters']) => readonly string[];
  /** Ids of the forms that it is made by: it is made anew with them. */
  readonly reads?: (parameters: F['parameters']) => readonly string[];
  /** Whether it is made by what stands, and so anew with every part. */
  readonly isByStanding?: true;
}

const KINDS: { readonly [Kind in Form['kind']]: FormKind<Extract<Form, { readonly kind: Kind }>> } = {
  wing: { make: makeWing, scale: scaleWing, numbers: wingNumbers, materials: wingMaterials },
  body: { make: makeBody, scale: scaleBody, numbers: bodyNumbers, materials: bodyMaterials, reads: bodyReads },
  shell: { make: makeShell, scale: scaleShell, numbers: shellNumbers, materials: shellMaterials },
  round: { make: makeRound, scale: scaleRound, numbers: roundNumbers, materials: roundMaterials },
  deck: { make: makeDeck, scale: scaleDeck, numbers: deckNumbers, materials: deckMaterials },
  tail: { make: makeTail, scale: scaleTail, numbers: tailNumbers, materials: tailMaterials },
  power: { make: makePower, scale: scalePower, numbers: powerNumbers, materials: powerMaterials },
  layered: {
    make: makeLayered,
    scale: scaleLayered,
    numbers: layeredNumbers,
    materials: layeredMaterials,
    reads: layeredReads,
  },
  strut: { make: makeStruts, scale: scaleStruts, numbers: strutNumbers, materials: strutMaterials, isByStanding: true },
  gauge: { make: makeGauges, scale: scaleGauges, numbers: gaugeNumbers, materials: gaugeMaterials, isByStanding: true },
};
// The table is keyed by kind, so a form always meets what is particular to its own; TypeScript cannot follow that through a union.
const kindOf = <F extends Form>({ kind }: F): FormKind<F> => KINDS[kind] as unknown as FormKind<F>;

/** The kinds of forms that there are. */
export const FORM_KINDS = Object.keys(KINDS) as readonly Form['kind'][];

/** Makes a form, by its kind. */
export const makeForm = <F extends Form>(form: F, context: FormContext): MadeOf<F> => kindOf(form).make(form, context);

/** A form with some of its numbers changed. */
export const withChanges = <F extends Form>(form: F, changes: readonly ParameterChange[]): F => ({
  ...form,
  parameters: withParameters(form.parameters, changes),
});

/** The sheets that the parts of a form are cut from. */
export const formMaterials = (form: Form): readonly string[] => kindOf(form).materials(form.parameters);

/** Ids of the forms that a form is made by. */
export const readsOf = (form: Form): readonly string[] => kindOf(form).reads?.(form.parameters) ?? [];

/** Whether a form is made by the parts that stand, of any kind, and so after all the others. */
export const readsStanding = (form: Form): boolean => kindOf(form).isByStanding === true;

/** Whether a form makes a wing. */
export const isWing = (form: AnyForm | undefined): form is WingForm => form?.kind === 'wing';
export const isTail = (form: AnyForm | undefined): form is TailForm => form?.kind === 'tail';
export const isShell = (form: AnyForm | undefined): form is ShellForm => form?.kind === 'shell';
export const isPower = (form: AnyForm | undefined): form is PowerForm => form?.kind === 'power';
export const isBody = (form: AnyForm | undefined): form is BodyForm => form?.kind === 'body';

/** A form of another size: its numbers as its kind scales them, and as the builder says otherwise. */
export const scaleForm = <F extends Form>(form: F, factor: number): F => ({
  ...form,
  parameters: withParameters(
    kindOf(form).scale(form.parameters, factor),
    (form.sizings ?? []).flatMap(({ path, sizing }): readonly ParameterChange[] => {
      const value = parameterAt(form.parameters, path);
      return typeof value === 'number' ? [{ path, value: sizing === 'scaled' ? value * factor : value }] : [];
    }),
  ),
  place: { ...form.place, at: times3(form.place.at, factor) },
  ...(form.standsBy
    ? { standsBy: { ...form.standsBy, aftMm: form.standsBy.aftMm * factor, upMm: form.standsBy.upMm * factor } }
    : {}),
});

/** A length of a form, and whether it grows with the airframe. */
export interface SizedNumber {
  readonly path: string;
  readonly word: string;
  readonly mm: number;
  readonly sizing: NumberSizing['sizing'];
  /** As its kind has it. */
  readonly usual: NumberSizing['sizing'];
  /** Whether a builder can say otherwise: places of a list are told by their number, which the next edit may give to another. */
  readonly isChangeable: boolean;
}

/** The lengths of a form that are not 0, each with whether it grows with the airframe. */
export function sizedNumbers(form: Form): readonly SizedNumber[] {
  const { parameters, sizings = [] } = form,
    grown = kindOf(form).scale(parameters, 2);
  return kindOf(form)
    .numbers(parameters)
    .flatMap(([path, { kind, word }]): readonly SizedNumber[] => {
      const mm = parameterAt(parameters, path);
      if (kind !== 'length' || typeof mm !== 'number' || mm === 0) return [];
      const usual = parameterAt(grown, path) === mm ? 'fixed' : 'scaled';
      const sizing = sizings.find((one) => one.path === path)?.sizing ?? usual;
      return [{ path, word, mm, usual, sizing, isChangeable: !/\.\d+(\.|$)/.test(path) }];
    });
}

/** A form of which a length grows, or stays; what its kind does anyway is not noted. */
export function withNumberSizing<F extends Form>(form: F, { path, sizing }: NumberSizing): F {
  const others = (form.sizings ?? []).filter((one) => one.path !== path);
  const usual = sizedNumbers(form).find((one) => one.path === path)?.usual;
  const sizings = usual === undefined || usual === sizing ? others : [...others, { path, sizing }];
  const { sizings: _were, ...rest } = form;
  return (sizings.length > 0 ? { ...rest, sizings } : rest) as F;
}
