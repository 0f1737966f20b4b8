import { formatLengthWithUnit } from '../../units/index.ts';
import { boundFaults, numbersUnder, type AnyForm, type FormContext, type FormFault } from '../form/index.ts';
import { makePower, type PowerForm } from '../power/index.ts';
import { isMiss, type Miss } from '../standing/index.ts';
import type { LaidStrut } from './lay-strut.ts';
import { MOST_STRUTS, strutFieldsOf, type StrutForm, type StrutParameters } from './parameters.ts';

/** Between a strut and the disc of a propeller at least, in mm. */
const LEAST_CLEAR_MM = 10;

/** What no struts can be made with. */
export function strutFaults(parameters: StrutParameters, context: FormContext): readonly FormFault[] {
  const { struts } = parameters;
  const bounds = boundFaults(
    parameters,
    struts.flatMap(({ kind }, index) => numbersUnder(`struts.${index}.`, strutFieldsOf(kind))),
    context,
  );
  if (bounds.length > 0) return bounds;
  return struts.length > 0 && struts.length <= MOST_STRUTS
    ? []
    : [
        {
          code: 'STRUTS_COUNT',
          path: 'struts',
          title: struts.length === 0 ? 'There is no strut in the set' : `There are ${struts.length} struts in the set`,
          detail: `A set holds from 1 to ${MOST_STRUTS}: ${struts.length === 0 ? 'add one, or remove the set' : 'make another set for the rest'}.`,
          isBlocking: true,
        },
      ];
}

/** Struts that are left out, each with why, and what would do. */
export const missFaults = (form: StrutForm, laid: readonly (LaidStrut | Miss)[]): readonly FormFault[] =>
  laid.flatMap((one, index): readonly FormFault[] => {
    if (!isMiss(one)) return [];
    const { code, title, detail, mend } = one,
      path = `struts.${index}.`;
    return [
      {
        code,
        path: `${path}lowerId`,
        title: `${form.parameters.struts[index]!.name}: ${title}`,
        detail,
        isBlocking: false,
        ...(mend ? { mend: { label: mend.label, changes: [{ path: `${path}${mend.key}`, value: mend.value }] } } : {}),
      },
    ];
  });

/** A propeller's disc in the airframe. */
interface Disc {
  readonly name: string;
  readonly x: number;
  readonly z: number;
  readonly radiusMm: number;
}

const discsOf = (forms: readonly AnyForm[], context: FormContext): readonly Disc[] =>
  forms.flatMap((form) => {
    if (form.kind !== 'power') return [];
    const { figures } = makePower(form as PowerForm, context);
    return figures
      ? [
          {
            name: form.name,
            x: figures.propeller.x,
            z: figures.propeller.y,
            radiusMm: (form as PowerForm).parameters.propellerMm / 2,
          },
        ]
      : [];
  });

/** Struts that come near the disc of a propeller. */
export function propellerFaults(laid: readonly LaidStrut[], context: FormContext): readonly FormFault[] {
  const discs = discsOf(context.forms ?? [], context),
    length = (mm: number): string => formatLengthWithUnit(mm, context.unit);
  return laid.flatMap(({ strut, corners }, index) =>
    discs.flatMap(({ name, x, z, radiusMm }): readonly FormFault[] => {
      const near = corners.map((p) => Math.hypot(Math.abs(p.x - x), Math.max(0, Math.hypot(p.y, p.z - z) - radiusMm))),
        least = Math.min(...near);
      return least >= LEAST_CLEAR_MM
        ? []
        : [
            {
              code: 'PROPELLER_NEAR',
              path: `struts.${index}.lowerFromPercent`,
              title: `${strut.name} stands ${length(least)} from the propeller of ${name}`,
              detail: `At least ${length(LEAST_CLEAR_MM)} keep clear of its disc: set the strut further aft or further out.`,
              isBlocking: false,
            },
          ];
    }),
  );
}
