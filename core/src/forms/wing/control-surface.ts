import { composeRigid, interpolate, point3, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner } from '../form/index.ts';
import { innerHeights } from '../section/index.ts';
import type { EndSection } from './panel-sections.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';

/** The controls of a panel, from its root outward: those of a foam core are cut out of it when it is covered. */
export const controlsOf = ({ wing, laid }: Pick<PanelSite, 'wing' | 'laid'>): readonly WingControl[] =>
  (wing.build === 'cored' ? [] : wing.controls)
    .filter(({ panelId }) => panelId === laid.panel.id)
    .sort((a, b) => a.fromMm - b.fromMm);

const between = (from: number, to: number, share: number): number => from + (to - from) * share;

/** How far aft the lower tail lies at a place out along the panel. */
export function tailAft({ skin }: PanelSite, outMm: number): number {
  const { root, tip } = skin.ends[0]!;
  return between(root.y, tip.y, (outMm - root.x) / (tip.x - root.x));
}

/** Where a place of the wing, out and aft, lies on the flat of one of its tail plates. */
export function ontoTailPlate({ skin }: PanelSite, plate: number, outMm: number, aftMm: number): Point {
  const along = (line: number): { readonly at: Point; readonly aft: number } => {
    const { root, tip } = skin.ends[line]!,
      flat = skin.flat[line]!,
      share = (outMm - root.x) / (tip.x - root.x);
    return { at: interpolate(flat.root, flat.tip, share), aft: between(root.y, tip.y, share) };
  };
  const [a, b] = [along(plate), along(plate + 1)];
  return interpolate(a.at, b.at, (aftMm - a.aft) / (b.aft - a.aft));
}

/** Corners that cut the controls out of both tail edges of a skin. */
export function controlCuts(site: PanelSite): {
  readonly low: readonly MadeCorner[];
  readonly top: readonly MadeCorner[];
} {
  const last = site.skin.plates.length - 1;
  const cut = ({ fromMm, toMm, chordMm }: WingControl, number: number, side: 'low' | 'top'): readonly MadeCorner[] => {
    const plate = side === 'low' ? 0 : last,
      tailLine = side === 'low' ? 0 : last + 1;
    const tail = (out: number): Point => {
      const { root, tip } = site.skin.ends[tailLine]!,
        flat = site.skin.flat[tailLine]!;
      return interpolate(flat.root, flat.tip, (out - root.x) / (tip.x - root.x));
    };
    const hinge = (out: number): Point => ontoTailPlate(site, plate, out, tailAft(site, out) - chordMm);
    const name = `${side}-${number}`;
    const outward: readonly MadeCorner[] = [
      { at: tail(fromMm), edge: `cut-in-${name}` },
      { at: hinge(fromMm), edge: `hinge-${name}` },
      { at: hinge(toMm), edge: `cut-out-${name}` },
      { at: tail(toMm), edge: `tail-${name}` },
    ];
    return side === 'low'
      ? outward
      : [
          { at: tail(toMm), edge: `cut-out-${name}` },
          { at: hinge(toMm), edge: `hinge-${name}` },
          { at: hinge(fromMm), edge: `cut-in-${name}` },
          { at: tail(fromMm), edge: `tail-${name}` },
        ];
  };
  const own = controlsOf(site);
  return {
    low: own.flatMap((control, index) => cut(control, index + 1, 'low')),
    // The upper tail is gone along from the tip inward.
    top: !hasSkins(site) ? [] : own.flatMap((_, at) => cut(own[own.length - 1 - at]!, own.length - at, 'top')),
  };
}

/** Names of the stretches of a tail edge that controls leave, from the root outward. */
export function tailEdges(site: PanelSite, side: 'low' | 'top'): readonly string[] {
  const numbers = controlsOf(site).map((_, index) => index + 1);
  return side === 'low'
    ? ['tail-low', ...numbers.map((number) => `tail-low-${number}`)]
    : [...numbers.map((number) => `tail-top-${number}`), 'tail-top'];
}

/** Free height between the faces of both skins at a place along the hinge line, over the board of the strip. */
function hingeHeights(site: PanelSite, aftAtRoot: number, aftAtTip: number): readonly [Heights, Heights] {
  const t = site.board.thicknessMm;
  const at = ({ section }: EndSection, aft: number): Heights => {
    const both = [aft - t, aft].map((x) => innerHeights(section, x, t)).filter((one) => one !== undefined);
    return { foot: Math.max(t, ...both.map(({ low }) => low)), top: Math.min(...both.map(({ top }) => top)) };
  };
  return [
    at(site.sections.root, aftAtRoot - site.laid.rootNoseMm),
    at(site.sections.tip, aftAtTip - site.laid.tipNoseMm),
  ];
}
interface Heights {
  readonly foot: number;
  readonly top: number;
}
/** A strip lower than this closes nothing, in mm. */
const LEAST_STRIP_MM = 1.5;

/** The strip of one board that stands on the lower skin before a hinge line, and ends the upper skin. */
function hingeStrip(site: PanelSite, control: WingControl, number: number): readonly Part[] {
  if (!hasSkins(site)) return [];
  const { laid } = site;
  const long = (out: number): number => tailAft(site, out) - control.chordMm;
  const [root, tip] = hingeHeights(site, long(0), long(laid.panel.spanMm));
  const heightAt = (out: number, which: keyof Heights): number =>
    between(root[which], tip[which], out / laid.panel.spanMm) - (which === 'top' ? 0.05 : 0);
  const lowest = Math.min(...[control.fromMm, control.toMm].map((out) => heightAt(out, 'top') - heightAt(out, 'foot')));
  if (!(lowest >= LEAST_STRIP_MM)) return [];
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
    { at: { x: 0, y: heightAt(control.fromMm, 'foot') }, edge: 'foot' },
    { at: { x: length, y: heightAt(control.toMm, 'foot') }, edge: 'tip' },
    { at: { x: length, y: heightAt(control.toMm, 'top') }, edge: 'top' },
    { at: { x: 0, y: heightAt(control.fromMm, 'top') }, edge: 'root' },
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
    { fromMm, toMm, chordMm, gapMm, kind, throwDegrees } = control;
  const [from, to] = [fromMm + gapMm, toMm - gapMm];
  const at = (out: number, fromTail: number): Point => ontoTailPlate(site, 0, out, tailAft(site, out) - fromTail);
  const corners: readonly MadeCorner[] = [
    { at: at(from, chordMm), edge: 'nose' },
    { at: at(to, chordMm), edge: 'tip' },
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
    ],
    notes: 'Hinged on tape along the underside: fold it right up, tape, then press it down.',
    seams: [{ name: 'hinge', from: 'nose', to: `hinge-low-${number}`, role: `skin-${laid.number}`, mayOverhang: true }],
    place: placeIn(site.place, composeRigid(skin.plates[0]!.rootPiece.map, laid.map), middle),
  });
}

/** All parts of a panel's controls. */
export const controlParts = (site: PanelSite): readonly Part[] =>
  controlsOf(site).flatMap((control, index) => [
    controlPlate(site, control, index + 1),
    ...hingeStrip(site, control, index + 1),
  ]);
