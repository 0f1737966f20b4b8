import { boundFaults, numbersUnder, type FormContext, type FormFault, type FormNumber } from '../form/index.ts';
import { isMiss, type Miss } from '../standing/index.ts';
import type { LaidStrut } from './lay-strut.ts';
import { MOST_STRUTS, strutFieldsOf, type StrutForm, type StrutParameters } from './parameters.ts';

/** Every number of a set of struts by its path, with its bounds. */
export const strutNumbers = ({ struts }: StrutParameters): readonly FormNumber[] =>
  struts.flatMap(({ kind }, index) => numbersUnder(`struts.${index}.`, strutFieldsOf(kind)));

/** What no struts can be made with. */
export function strutFaults(parameters: StrutParameters, context: FormContext): readonly FormFault[] {
  const { struts } = parameters;
  const bounds = boundFaults(parameters, strutNumbers(parameters), context);
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
