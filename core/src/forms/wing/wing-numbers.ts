import { BRACE_FIELDS } from './brace-parameters.ts';
import { CAMBER_FIELDS, LAYER_FIELDS } from './builds.ts';
import { CORE_FIELDS } from './core-parameters.ts';
import { GAUGE_FIELDS } from './gauge-parameters.ts';
import { numbersUnder, type FormNumber } from '../form/index.ts';
import {
  CONTROL_FIELDS,
  PANEL_FIELDS,
  SECTION_FIELDS,
  SERVO_FIELDS,
  WING_FIELDS,
  type WingParameters,
} from './parameters.ts';
import { RIB_FIELDS, TUBE_FIELDS } from './rib-parameters.ts';

/** Every number of a wing by its path, with its bounds. */
export function wingNumbers(wing: WingParameters): readonly FormNumber[] {
  const of = numbersUnder;
  return [
    ...of('', WING_FIELDS),
    ...of('section.', SECTION_FIELDS),
    ...wing.panels.flatMap((_, index) => of(`panels.${index}.`, PANEL_FIELDS)),
    ...wing.servos.flatMap((_, index) => of(`servos.${index}.`, SERVO_FIELDS)),
    ...wing.controls.flatMap((_, index) => of(`controls.${index}.`, CONTROL_FIELDS)),
    ...(wing.layers ?? []).flatMap((_, index) => of(`layers.${index}.`, LAYER_FIELDS)),
    ...(wing.camber ? of('camber.', CAMBER_FIELDS) : []),
    ...(wing.ribs ? of('ribs.', RIB_FIELDS) : []),
    ...(wing.braces ? of('braces.', BRACE_FIELDS) : []),
    ...(wing.core ? of('core.', CORE_FIELDS) : []),
    ...(wing.gauges ? of('gauges.', GAUGE_FIELDS) : []),
    ...(wing.ribs?.tubes ?? []).flatMap((_, index) => of(`ribs.tubes.${index}.`, TUBE_FIELDS)),
  ];
}
