import { interpolate, type Point } from '../../geometry/index.ts';
import type { MadeCorner, MadeLine } from '../form/index.ts';
import { controlsOf, hingeAft, ontoTailPlate, runsOut } from './control-place.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';

/** Slots beside a control that stays on the skin are at least so wide, in mm. */
const LEAST_SLOT_MM = 0.5;

const slotOf = ({ gapMm }: WingControl): number => Math.max(LEAST_SLOT_MM, gapMm);

/** Places on the flat tail plate of one side, at the tail and on the hinge line. */
function placesOn(site: PanelSite, control: WingControl, side: 'low' | 'top') {
  const last = site.skin.plates.length - 1,
    [plate, tailLine] = side === 'low' ? [0, 0] : [last, last + 1];
  return {
    tail: (out: number): Point => {
      const { root, tip } = site.skin.ends[tailLine]!,
        flat = site.skin.flat[tailLine]!;
      return interpolate(flat.root, flat.tip, (out - root.x) / (tip.x - root.x));
    },
    hinge: (out: number): Point => ontoTailPlate(site, plate, out, hingeAft(site, control, out)),
  };
}

/** Corners that cut a control out of the lower tail; what runs out of the tip leaves only its inner end and its hinge. */
function lowCut(site: PanelSite, control: WingControl, number: number): readonly MadeCorner[] {
  const { tail, hinge } = placesOn(site, control, 'low'),
    { fromMm, toMm } = control,
    name = `low-${number}`,
    isOut = runsOut(site, control);
  if (control.hinge === 'skin') {
    const slot = slotOf(control);
    return [
      { at: tail(fromMm), edge: `cut-in-${name}` },
      { at: hinge(fromMm), edge: `slot-in-${name}` },
      { at: hinge(fromMm + slot), edge: `side-in-${name}` },
      { at: tail(fromMm + slot), edge: `control-${name}` },
      ...(isOut
        ? []
        : [
            { at: tail(toMm - slot), edge: `side-out-${name}` },
            { at: hinge(toMm - slot), edge: `slot-out-${name}` },
            { at: hinge(toMm), edge: `cut-out-${name}` },
            { at: tail(toMm), edge: `tail-${name}` },
          ]),
    ];
  }
  return [
    { at: tail(fromMm), edge: `cut-in-${name}` },
    { at: hinge(fromMm), edge: `hinge-${name}` },
    ...(isOut
      ? []
      : [
          { at: hinge(toMm), edge: `cut-out-${name}` },
          { at: tail(toMm), edge: `tail-${name}` },
        ]),
  ];
}

/** The same of the upper tail, which is gone along from the tip inward. */
function topCut(site: PanelSite, control: WingControl, number: number): readonly MadeCorner[] {
  const { tail, hinge } = placesOn(site, control, 'top'),
    { fromMm, toMm } = control,
    name = `top-${number}`;
  return [
    ...(runsOut(site, control) ? [] : [{ at: tail(toMm), edge: `cut-out-${name}` }]),
    { at: hinge(toMm), edge: `hinge-${name}` },
    { at: hinge(fromMm), edge: `cut-in-${name}` },
    { at: tail(fromMm), edge: `tail-${name}` },
  ];
}

/** An outline with what its controls cut out of both tail edges. */
export function withControls(site: PanelSite, corners: readonly MadeCorner[]): readonly MadeCorner[] {
  const own = controlsOf(site),
    outer = own.at(-1),
    isOut = outer !== undefined && runsOut(site, outer);
  const low = own.flatMap((control, index) => lowCut(site, control, index + 1)),
    top = !hasSkins(site) ? [] : own.flatMap((_, at) => topCut(site, own[own.length - 1 - at]!, own.length - at));
  // A control off the skin that runs out takes the corner of the tip with it.
  return corners.flatMap((corner, index): readonly MadeCorner[] => {
    if (corner.edge === 'tail-low') return [corner, ...low];
    if (corner.edge === 'tail-top' && hasSkins(site)) return isOut ? top : [corner, ...top];
    const isLowTip = isOut && outer.hinge !== 'skin' && corners.at(index - 1)!.edge === 'tail-low';
    return isLowTip ? [{ ...corner, at: placesOn(site, outer, 'low').hinge(outer.toMm) }] : [corner];
  });
}

/** The hinge lines of controls that stay on the lower skin. */
export const hingeLines = (site: PanelSite): readonly MadeLine[] =>
  controlsOf(site).flatMap((control, index): readonly MadeLine[] => {
    if (control.hinge !== 'skin') return [];
    const { hinge } = placesOn(site, control, 'low'),
      slot = slotOf(control);
    return [
      {
        name: `hinge-${index + 1}`,
        from: hinge(control.fromMm + slot),
        to: hinge(control.toMm - (runsOut(site, control) ? 0 : slot)),
        work: {
          kind: 'hinge',
          face: 'face',
          deflectionDegrees: control.throwDegrees,
          // Its tail lies to the left: what moves is cut back.
          relief: 'left',
          hingeOn: 'skin',
          label: control.kind,
        },
      },
    ];
  });
