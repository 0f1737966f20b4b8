import { composeRigid, interpolate, point3, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner } from '../form/index.ts';
import { controlChordAt } from './control-chords.ts';
import { controlsOf, hingeAft, ontoTailPlate, runsOut, tailAft } from './control-place.ts';
import { upperControlParts } from './control-upper.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';
import { freeOver, roomAcross } from './skin-room.ts';
import { upperTail } from './skin-tail.ts';
import { tailBevel } from './tail-bevels.ts';

/** A strip lower than this closes nothing, in mm. */
const LEAST_STRIP_MM = 1.5;

/** The strip of one board that stands on the lower skin before a hinge line, and ends the upper skin. */
function hingeStrip(site: PanelSite, control: WingControl, number: number): readonly Part[] {
  if (!hasSkins(site)) return [];
  const { laid } = site;
  const long = (out: number): number => hingeAft(site, control, out);
  const t = site.board.thicknessMm;
  const [root, tip] = [control.fromMm, control.toMm].map((out) =>
    freeOver(roomAcross(site, out), long(out) - t, long(out)),
  );
  if (!root || !tip || Math.min(root.top - root.low, tip.top - tip.low) < LEAST_STRIP_MM) return [];
  const run = control.toMm - control.fromMm,
    aft = long(control.toMm) - long(control.fromMm),
    length = Math.hypot(run, aft),
    along = point3(run / length, aft / length, 0);
  const map: RigidMap = {
    x: along,
    y: point3(0, 0, 1),
    z: point3(along.y, -along.x, 0),
    origin: point3(control.fromMm, long(control.fromMm), 0),
  };
  const corners: readonly MadeCorner[] = [
    { at: { x: 0, y: root.low }, edge: 'foot' },
    { at: { x: length, y: tip.low }, edge: 'tip' },
    { at: { x: length, y: tip.top }, edge: 'top' },
    { at: { x: 0, y: root.top }, edge: 'root' },
  ];
  const middle = { x: length / 2, y: (corners[0]!.at.y + corners[3]!.at.y) / 2 };
  return [
    madePart({
      formId: site.formId,
      role: `hinge-strip-${laid.number}-${number}`,
      name: `${site.formName} strip before the ${control.kind}`,
      group: site.formName,
      material: site.wing.material,
      handed: laid.isMiddle ? 'single' : 'pair',
      grain: { directionDegrees: 0, rule: 'along' },
      outline: corners,
      notes: 'Stands on the lower skin along the hinge line: the upper skin ends on it.',
      place: placeIn(site.place, composeRigid(map, laid.map), middle),
    }),
  ];
}

/** The control itself: a plate level with the lower skin, hinged on tape beneath, its nose bevelled by its throw. */
function controlPlate(site: PanelSite, control: WingControl, number: number): Part {
  const { laid, skin } = site,
    { fromMm, toMm, gapMm, kind, throwDegrees } = control;
  const [from, to] = [fromMm + gapMm, runsOut(site, control) ? toMm : toMm - gapMm];
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
      ...(isClosed
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
