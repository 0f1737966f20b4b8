import type { Form, MadeOf } from '@grain-fold/core/forms';
import type { LengthUnit } from '@grain-fold/core/units';
import { bodyViews } from '../body/body-views.ts';
import { deckViews } from '../deck/deck-views.ts';
import { gaugeViews } from '../gauge/gauge-views.ts';
import { layeredViews } from '../layered/layered-views.ts';
import { powerViews } from '../power/power-views.ts';
import { roundViews } from '../round/round-views.ts';
import { shellViews } from '../shell/shell-views.ts';
import { strutViews } from '../strut/strut-views.ts';
import { tailViews } from '../tail/tail-views.ts';
import type { FormChosen, FormsDesk } from '../use-forms.ts';
import type { ShapeViews } from './shape-views.ts';

/** What is drawn around a form and of it. */
interface Around {
  readonly forms: readonly Form[];
  readonly unit: LengthUnit;
  readonly chosen: FormChosen | undefined;
}
type ViewedKind = Exclude<Form['kind'], 'wing'>;
type MadeOfKind<Kind extends Form['kind']> = MadeOf<Extract<Form, { readonly kind: Kind }>>;

const VIEWS: { readonly [Kind in ViewedKind]: (made: MadeOfKind<Kind>, around: Around) => ShapeViews } = {
  body: ({ site, figures }, { forms, unit, chosen }) => bodyViews(site!, figures!, forms, unit, chosen),
  shell: ({ site }, { unit, chosen }) => shellViews(site!, unit, chosen),
  round: ({ site }, { unit, chosen }) => roundViews(site!, unit, chosen),
  deck: ({ site }, { unit, chosen }) => deckViews(site!, unit, chosen),
  power: ({ site }, { unit }) => powerViews(site!, unit),
  tail: ({ site }, { unit }) => tailViews(site!, unit),
  layered: ({ site, figures }, { forms, unit, chosen }) => layeredViews(site!, figures!, forms, unit, chosen),
  strut: ({ site }, { unit, chosen }) => strutViews(site!, unit, chosen),
  gauge: ({ site }, { unit, chosen }) => gaugeViews(site!, unit, chosen),
};

/** The views of the form on the desk; undefined for a wing, whose mat is its own, and while nothing of it was made. */
export function formViews({ form, made, forms, chosen }: FormsDesk, unit: LengthUnit): ShapeViews | undefined {
  const kind = form.value?.kind;
  if (kind === undefined || kind === 'wing' || !made.value) return undefined;
  // The table is keyed by kind, so a form made always meets the views of its own.
  const views = VIEWS[kind] as (made: unknown, around: Around) => ShapeViews;
  return views(made.value, { forms: forms.value, unit, chosen: chosen.value });
}
