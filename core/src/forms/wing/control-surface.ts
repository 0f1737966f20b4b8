import { composeRigid, interpolate, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner } from '../form/index.ts';
import { controlChordAt } from './control-chords.ts';
import { controlEnds, controlsOf, hingeAft, ontoTailPlate, tailAft } from './control-place.ts';
import { upperControlParts } from './control-upper.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';
import { freeOver, roomAcross } from './skin-room.ts';
import { upperTail } from './skin-tail.ts';
import { tailBevel } from './tail-bevels.ts';
import { tailStripWidth } from './tail-strip.ts';
import { uprightStrip } from './upright-strip.ts';

/** The strip of one board that stands on the lower skin before a hinge line, and ends the upper skin. */
function hingeStrip(site: PanelSite, control: WingControl, number: number): readonly Part[] {
  if (!hasSkins(site)) return [];
  const t = site.board.thicknessMm;
  const end = (outMm: number) => {
    const aftMm = hingeAft(site, control, outMm);
    return { outMm, aftMm, free: freeOver(roomAcross(site, outMm), aftMm - t, aftMm) };
  };
  return uprightStrip(
    site,
    {
      role: `hinge-strip-${site.laid.number}-${number}`,
      name: `${site.formName} strip before the ${control.kind}`,
      notes: 'Stands on the lower skin along the hinge line: the upper skin ends on it.',
    },
    end(control.fromMm),
    end(control.toMm),
  );
}

/** The control itself: a plate level with the lower skin, hinged on tape beneath, its nose bevelled by its throw. */
function controlPlate(site: PanelSite, control: WingControl, number: number): Part {
  const { laid, skin } = site,
    { kind, throwDegrees } = control;
  const [from, to] = controlEnds(site, control);
  const at = (out: number, fromTail: number): Point => ontoTailPlate(site, 0, out, tailAft(site, out) - fromTail);
  const isClosed = control.hasUpperSkin === true && hasSkins(site),
    lowTail = isClosed ? tailBevel(site, 'low') : undefined;
  const corners: readonly MadeCorner[] = [
    { at: at(from, controlChordAt(control, from)), edge: 'nose' },
    { at: at(to, controlChordAt(control, to)), edge: 'tip' },
    { at: at(to, 0), edge: 'tail' },
    { at: at(from, 0), edge: 'root' },
  ];
  const middle = interpolate(
    interpolate(corners[0]!.at, corners[1]!.at, 0.5),
    interpolate(corners[2]!.at, corners[3]!.at, 0.5),
    0.5,
  );
  return madePart({
    formId: site.formId,
    role: `${kind}-${laid.number}-${number}`,
    name: `${site.formName} ${kind}${site.wing.controls.length > 1 ? ` ${number}` : ''}`,
    group: site.formName,
    material: site.wing.material,
    handed: laid.isMiddle ? 'single' : 'pair',
    grain: { directionDegrees: 0, rule: 'along' },
    outline: corners,
    edgeWork: [
      {
        name: 'bevel-nose',
        edges: ['nose'],
        work: { kind: 'bevel', face: 'face', bevelDegrees: throwDegrees, label: 'relief' },
      },
      ...(lowTail ? [{ name: 'bevel-tail', edges: ['tail'], work: lowTail }] : []),
    ],
    notes: 'Hinged on tape along the underside: fold it right up, tape, then press it down.',
    seams: [
      { name: 'hinge', from: 'nose', to: `hinge-low-${number}`, role: `skin-${laid.number}`, mayOverhang: true },
      // Over a strip at the tail it is that which meets the upper half.
      ...(isClosed && tailStripWidth(site) === 0
        ? [
            {
              name: 'tail',
              from: 'tail',
              to: upperTail(site),
              role: `${kind}-top-${laid.number}-${number}`,
              mayOverhang: true,
            },
          ]
        : []),
    ],
    place: placeIn(site.place, composeRigid(skin.plates[0]!.pieces[0].map, laid.map), middle),
  });
}

/** All parts of a panel's controls. */
export const controlParts = (site: PanelSite): readonly Part[] =>
  controlsOf(site).flatMap((control, index) => [
    ...(control.hinge === 'skin' ? [] : [controlPlate(site, control, index + 1)]),
    ...hingeStrip(site, control, index + 1),
    ...(control.hasUpperSkin ? upperControlParts(site, control, index + 1) : []),
  ]);
