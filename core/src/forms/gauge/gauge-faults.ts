import {
  blocking,
  boundFaults,
  numbersUnder,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import type { GaugeSite } from './lay-set.ts';
import { isMiss } from '../standing/index.ts';
import { GAUGE_COUNT_FIELDS, GAUGE_FIELDS_OF, MOST_GAUGES, type GaugeParameters } from './parameters.ts';

/** Every number of a set of gauges by its path, with its bounds. */
export const gaugeNumbers = ({ gauges }: GaugeParameters): readonly FormNumber[] =>
  gauges.flatMap(({ kind }, index) =>
    numbersUnder(`gauges.${index}.`, { ...GAUGE_FIELDS_OF[kind], ...GAUGE_COUNT_FIELDS }),
  );

/** What no gauges can be made with. */
export function gaugeFaults(parameters: GaugeParameters, context: FormContext): readonly FormFault[] {
  const { gauges } = parameters;
  const bounds = boundFaults(parameters, gaugeNumbers(parameters), context);
  if (bounds.length > 0) return bounds;
  if (gauges.length === 0 || gauges.length > MOST_GAUGES)
    return [
      {
        code: 'GAUGES_COUNT',
        path: 'gauges',
        title: gauges.length === 0 ? 'There is no gauge in the set' : `There are ${gauges.length} gauges in the set`,
        detail: `A set holds from 1 to ${MOST_GAUGES}: ${gauges.length === 0 ? 'add one, or remove the set' : 'make another set for the rest'}.`,
        isBlocking: true,
      },
    ];
  const still = gauges.findIndex(
    ({ kind, upDegrees, downDegrees }) => kind === 'throw' && upDegrees + downDegrees === 0,
  );
  return still < 0
    ? []
    : [
        blocking(
          'NO_THROW',
          `gauges.${still}.upDegrees`,
          `${gauges[still]!.name} does not travel`,
          'A gauge shows how far it goes up or down.',
          'Set 20°',
          [{ path: `gauges.${still}.upDegrees`, value: 20 }],
        ),
      ];
}

/** Gauges that are left out, each with why, and what would do. */
export const missFaults = ({ form, laid }: GaugeSite): readonly FormFault[] =>
  laid.flatMap((one, index): readonly FormFault[] => {
    if (!isMiss(one)) return [];
    const { name } = form.parameters.gauges[index]!;
    return [
      {
        code: one.code,
        path: `gauges.${index}.partId`,
        title: `${name}: ${one.title}`,
        detail: one.detail,
        isBlocking: false,
        ...(one.mend
          ? {
              mend: {
                label: one.mend.label,
                changes: [{ path: `gauges.${index}.${one.mend.key}`, value: one.mend.value }],
              },
            }
          : {}),
      },
    ];
  });
