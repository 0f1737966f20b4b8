import { composeRigid, interpolate, STILL, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { degrees, radians } from '../../units/index.ts';
import { madePart, placeIn, type MadeCorner, type MadePartDraft } from '../form/index.ts';
import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import { controlEnds, hingeAft, ontoTailPlate, tailAft } from './control-place.ts';
import { GLUE_FILM_MM, hasSkins, type PanelSite } from './panel.ts';
import type { WingControl } from './parameters.ts';
import { freeOver, roomAcross } from './skin-room.ts';
import { lapStretch } from './skin-tail.ts';
import { tailBevel } from './tail-bevels.ts';
import { tailStripWidth } from './tail-strip.ts';
import { uprightStrip } from './upright-strip.ts';

/** Prisms keep so far from what they fill, in mm. */
const PLAY_MM = 0.1;
/** A prism narrower than this fills nothing, in mm. */
const LEAST_PRISM_MM = 3;
const MOST_PRISMS = 6;
/** Bevels of less than this are none, in degrees. */
const SQUARE_DEGREES = 0.05;

/** What a control's upper half is fitted to at a place out along the panel. */
interface Fit {
  readonly room: ReturnType<typeof roomAcross>;
  /** Where it begins, aft: so far behind the hinge that it clears the wing at full throw up. */
  readonly frontMm: number;
}

function fitAt(site: PanelSite, control: WingControl, outMm: number): Fit {
  const room = roomAcross(site, outMm),
    hinge = hingeAft(site, control, outMm),
    { low, top } = room(hinge) ?? { low: 0, top: 0 };
  const high = top - low + 2 * site.board.thicknessMm;
  return { room, frontMm: hinge + high * Math.tan(radians(control.throwDegrees)) };
}

/** Where the room between the skins comes down to a height, aft of a place; undefined where it is lower already. */
function aftOfHeight({ room }: Fit, fromMm: number, tailMm: number, highMm: number): number | undefined {
  const isFree = (aft: number): boolean => {
    const free = room(aft);
    return free !== undefined && free.top - free.low >= highMm;
  };
  let [near, far] = [fromMm, tailMm];
  if (!isFree(near)) return undefined;
  for (let round = 0; round < 40; round++) {
    const middle = (near + far) / 2;
    if (isFree(middle)) near = middle;
    else far = middle;
  }
  return near;
}

type Draft = Pick<MadePartDraft, 'formId' | 'group' | 'material' | 'handed' | 'grain'>;
const draftOf = ({ formId, formName, wing, laid }: PanelSite): Draft => ({
  formId,
  group: formName,
  material: wing.material,
  handed: laid.isMiddle ? 'single' : 'pair',
  grain: { directionDegrees: 0, rule: 'along' },
});

/** The upper skin of a control, from its clearance to the tail. */
function upperPlate(site: PanelSite, control: WingControl, number: number): Part {
  const { skin, laid } = site,
    plate = skin.plates.length - 1,
    [from, to] = controlEnds(site, control);
  const nose = (out: number): Point => ontoTailPlate(site, plate, out, fitAt(site, control, out).frontMm);
  const tail = (out: number): Point => {
    const { root, tip } = skin.ends[plate + 1]!,
      flat = skin.flat[plate + 1]!;
    return interpolate(flat.root, flat.tip, (out - root.x) / (tip.x - root.x));
  };
  const corners: readonly MadeCorner[] = [
    { at: nose(from), edge: 'root' },
    { at: tail(from), edge: 'tail' },
    { at: tail(to), edge: 'tip' },
    { at: nose(to), edge: 'nose' },
  ];
  const middle = interpolate(
    interpolate(corners[0]!.at, corners[1]!.at, 0.5),
    interpolate(corners[2]!.at, corners[3]!.at, 0.5),
    0.5,
  );
  const work = tailBevel(site, 'top');
  return madePart({
    ...draftOf(site),
    role: `${control.kind}-top-${laid.number}-${number}`,
    name: `${site.formName} ${control.kind} top`,
    outline: corners,
    lines: lapStretch(site, from, to),
    edgeWork: work ? [{ name: 'bevel-tail', edges: ['tail'], work }] : [],
    notes:
      'Glued on the lower half of the control: it begins behind the hinge, so that it clears the wing at full throw.',
    place: placeIn(site.place, composeRigid(skin.plates[plate]!.pieces.at(-1)!.map, laid.map), middle),
  });
}

/** The strip on edge that closes the nose of a control between its skins. */
function noseStrip(site: PanelSite, control: WingControl, number: number): readonly Part[] {
  const { laid, board } = site,
    t = board.thicknessMm,
    [from, to] = controlEnds(site, control);
  const fits = [from, to].map((out) => fitAt(site, control, out)) as [Fit, Fit];
  // Its skin looks aft: a board behind the nose, square to that.
  const behind = t * Math.hypot(1, (fits[1].frontMm - fits[0].frontMm) / (to - from));
  const end = (outMm: number, { room, frontMm }: Fit) => ({
    outMm,
    aftMm: frontMm + behind,
    free: freeOver(room, frontMm, frontMm + t),
  });
  return uprightStrip(
    site,
    {
      role: `${control.kind}-nose-${laid.number}-${number}`,
      name: `${site.formName} ${control.kind} nose strip`,
      notes: 'Stands on edge between both skins of the control, along its nose.',
    },
    end(from, fits[0]),
    end(to, fits[1]),
  );
}

/** The prisms that fill a control between its skins: strips that lie flat, one a board higher than the other, each bevelled to the upper skin. */
function prisms(site: PanelSite, control: WingControl, number: number): readonly Part[] {
  const { laid, board, skin, wing } = site,
    t = board.thicknessMm,
    strip = tailStripWidth(site),
    [from, to] = controlEnds(site, control);
  const fits = [from, to].map((out) => fitAt(site, control, out)),
    fronts = fits.map(({ frontMm }) => frontMm + t * 1.02 + PLAY_MM);
  const { map, inward } = skin.plates[0]!.pieces[0];
  return Array.from({ length: MOST_PRISMS }, (_, index) => index).flatMap((layer): readonly Part[] => {
    // A strip at the tail lies where the lowest of them would end.
    const isBesideStrip = strip > 0 && layer < wing.stripBoards;
    const rear = (end: 0 | 1, boards: number): number | undefined => {
      const tail = tailAft(site, end === 0 ? from : to),
        found = aftOfHeight(fits[end]!, fronts[end]!, tail, boards * t + PLAY_MM);
      return found === undefined || !isBesideStrip ? found : Math.min(found, tail - strip - PLAY_MM);
    };
    const [footFrom, footTo, topFrom, topTo] = [rear(0, layer), rear(1, layer), rear(0, layer + 1), rear(1, layer + 1)];
    if (footFrom === undefined || footTo === undefined || topFrom === undefined || topTo === undefined) return [];
    if (Math.min(topFrom - fronts[0]!, topTo - fronts[1]!) < LEAST_PRISM_MM) return [];
    // On a lower skin that leans, what lies higher lies further fore or aft.
    const lean = t * (layer + 2) * Math.abs(inward.y);
    const on = (out: number, aft: number): Point => ontoTailPlate(site, 0, out, aft);
    const corners: readonly MadeCorner[] = [
      { at: on(from, fronts[0]! + lean), edge: 'front' },
      { at: on(to, fronts[1]! + lean), edge: 'tip' },
      { at: on(to, footTo - lean), edge: 'rear' },
      { at: on(from, footFrom - lean), edge: 'root' },
    ];
    const bevelDegrees = degrees(Math.atan(Math.max(footFrom - topFrom, footTo - topTo) / t));
    const raised = composeRigid(
      { ...STILL, origin: { x: 0, y: 0, z: t * (layer + 1) + (layer === 0 ? 0 : GLUE_FILM_MM / 4) } },
      map,
    );
    return [
      madePart({
        ...draftOf(site),
        role: `${control.kind}-prism-${laid.number}-${number}${layer === 0 ? '' : `-${layer + 1}`}`,
        name: `${site.formName} ${control.kind} prism${layer === 0 ? '' : ` ${layer + 1}`}`,
        outline: corners,
        edgeWork:
          bevelDegrees < SQUARE_DEGREES
            ? []
            : [
                {
                  name: 'bevel-rear',
                  edges: ['rear'],
                  work: {
                    kind: 'bevel',
                    face: 'face',
                    bevelDegrees,
                    ...(bevelDegrees > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
                    label: 'prism',
                  },
                },
              ],
        notes: 'Fills the control between its skins: sand its rear edge down to the slope of the upper skin.',
        place: placeIn(
          site.place,
          composeRigid(raised, laid.map),
          interpolate(
            interpolate(corners[0]!.at, corners[1]!.at, 0.5),
            interpolate(corners[2]!.at, corners[3]!.at, 0.5),
            0.4,
          ),
        ),
      }),
    ];
  });
}

/** What a control has besides its lower plate when both skins move: the upper one, and what stands and lies between them. */
export const upperControlParts = (site: PanelSite, control: WingControl, number: number): readonly Part[] =>
  hasSkins(site)
    ? [upperPlate(site, control, number), ...noseStrip(site, control, number), ...prisms(site, control, number)]
    : [];
