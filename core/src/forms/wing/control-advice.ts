import { formatAngle, formatLengthWithUnit, radians } from '../../units/index.ts';
import type { FormContext, FormFault } from '../form/index.ts';
import { blocking } from '../form/index.ts';
import { controlChords } from './control-chords.ts';
import { controlsOf, hingeAft } from './control-place.ts';
import type { PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';

/** Gaps are told to this, in mm. */
const GAP_STEP_MM = 0.1;

/**
 * How far the end of a control moves along the wing when it is thrown, in mm.
 * @source a hinge that runs askew by ψ turns what lies d aft and z up of it by θ: d·sin ψ·cos ψ·(1 − cos θ) + z·sin θ·sin ψ sideways
 */
export function endSweep(site: PanelSite, control: WingControl): number {
  const { fromMm, toMm, throwDegrees } = control,
    askew = Math.atan(Math.abs(hingeAft(site, control, toMm) - hingeAft(site, control, fromMm)) / (toMm - fromMm)),
    turn = radians(throwDegrees),
    deep = controlChords(control).most,
    // The upper skin of a control lies higher than its board by what is between both.
    high = control.hasUpperSkin ? 3 * site.board.thicknessMm : site.board.thicknessMm;
  return deep * Math.sin(askew) * Math.cos(askew) * (1 - Math.cos(turn)) + high * Math.sin(turn) * Math.sin(askew);
}

/** Controls whose ends would rub on the wing before they are fully thrown. */
export function controlAdvice(site: PanelSite, { unit }: FormContext): readonly FormFault[] {
  const { wing, laid } = site,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return controlsOf(site).flatMap((control): readonly FormFault[] => {
    const wanted = endSweep(site, control),
      at = wing.controls.indexOf(control);
    if (control.gapMm >= wanted) return [];
    const value = Math.ceil(wanted / GAP_STEP_MM) * GAP_STEP_MM;
    return [
      {
        ...blocking(
          'CONTROL_RUBS',
          `controls.${at}.gapMm`,
          `The ${control.kind} of panel ${laid.number} rubs at its ends`,
          `Its hinge runs askew: thrown ${formatAngle(control.throwDegrees)} its ends move ${length(wanted)} along the wing, the gap is ${length(control.gapMm)}.`,
          `Set gap ${length(value)}`,
          [{ path: `controls.${at}.gapMm`, value: Math.round(value * 10) / 10 }],
        ),
        isBlocking: false,
      },
    ];
  });
}
