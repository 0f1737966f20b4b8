import type { AnyForm } from '../form/index.ts';
import type { Throw } from '../gauge-shapes/index.ts';
import type { TailForm } from '../tail/index.ts';
import type { WingForm } from '../wing/index.ts';

/** A control that a form makes. */
export interface FoundControl extends Throw {
  readonly formId: string;
  /** Its name within the form: `control-1`, `elevator`. */
  readonly control: string;
  readonly name: string;
}

const wingControls = ({ id, name, parameters }: WingForm): readonly FoundControl[] =>
  parameters.build === 'cored'
    ? []
    : parameters.controls.map(({ kind, chordMm, throwDegrees }, index, all) => ({
        formId: id,
        control: `control-${index + 1}`,
        name: `${name} ${kind}${all.filter((one) => one.kind === kind).length > 1 ? ` ${index + 1}` : ''}`,
        chordMm,
        upDegrees: throwDegrees,
        downDegrees: throwDegrees,
      }));

const tailControls = ({ id, name, parameters: { elevator, rudder } }: TailForm): readonly FoundControl[] => [
  ...(elevator
    ? [
        {
          formId: id,
          control: 'elevator',
          name: `${name} elevator`,
          chordMm: elevator.rootMm,
          upDegrees: elevator.upDegrees,
          downDegrees: elevator.downDegrees,
        },
      ]
    : []),
  ...(rudder
    ? [
        {
          formId: id,
          control: 'rudder',
          name: `${name} rudder`,
          chordMm: rudder.rootMm,
          upDegrees: rudder.travelDegrees,
          downDegrees: rudder.travelDegrees,
        },
      ]
    : []),
];

/** The controls that forms make, each with its throw: what a throw gauge is made for. */
export const foundControls = (forms: readonly AnyForm[]): readonly FoundControl[] =>
  forms.flatMap((form) =>
    form.kind === 'wing' ? wingControls(form as WingForm) : form.kind === 'tail' ? tailControls(form as TailForm) : [],
  );
