import { applyRigid, distance3, type Point, type Point3 } from '../../geometry/index.ts';
import type { MadeHole } from '../form/index.ts';
import { innerHeights } from '../section/index.ts';
import type { EndSection } from './panel-sections.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import type { WingServo } from './parameters.ts';
import { ontoPlate, lowerPlateAt } from './onto-plate.ts';
import { sparFeet } from './spar-place.ts';

/** How a servo lies in the wing: upright between the skins, or on its side. */
export interface LaidServo {
  readonly servo: WingServo;
  readonly way: 'upright' | 'on its side' | 'too deep';
  /** Between the inner face of the top skin and the outside of the bottom, where it lies. */
  readonly depthMm: number;
  /** Of the opening, along the chord and along the span. */
  readonly chordwiseMm: number;
  readonly spanwiseMm: number;
  /** How far the opening reaches past the place where the skins leave room, or over the panel's end; 0 when it fits. */
  readonly overMm: number;
}

/** The opening is cut larger than the servo by this, in mm. */
const PLAY_MM = 0.5;

/** A number of the section at a share of the way from root to tip. */
const between = (root: number, tip: number, share: number): number => root + (tip - root) * share;

/** Room at a place behind the spar: from the outside of the bottom skin up to the top skin's inner face. */
function depthAt({ sections, board }: PanelSite, share: number, behindMm: number): number {
  const at = ({ section, sparFrontMm }: EndSection): number => {
    const width = section.spar?.widthMm ?? 0;
    const heights = innerHeights(section, sparFrontMm + width + behindMm, board.thicknessMm);
    return heights ? heights.top - heights.low + board.thicknessMm : 0;
  };
  return between(at(sections.root), at(sections.tip), share);
}

/** Where a servo lies in its panel, and whether it fits. */
export function laidServo(site: PanelSite, servo: WingServo): LaidServo {
  const { panel } = site.laid;
  const share = Math.min(1, Math.max(0, servo.outMm / panel.spanMm));
  const chordwiseMm = servo.lengthMm + PLAY_MM;
  const depthMm = depthAt(site, share, servo.aftMm + chordwiseMm);
  // Through a single sheet it stands as it likes.
  const way =
    servo.heightMm <= depthMm || !hasSkins(site) ? 'upright' : servo.widthMm <= depthMm ? 'on its side' : 'too deep';
  const spanwiseMm = (way === 'upright' ? servo.widthMm : servo.heightMm) + PLAY_MM;
  const over = [
    spanwiseMm / 2 + site.board.thicknessMm - servo.outMm,
    servo.outMm + spanwiseMm / 2 + site.board.thicknessMm - panel.spanMm,
  ];
  return { servo, way, depthMm, chordwiseMm, spanwiseMm, overMm: Math.max(0, ...over) };
}

/** The servos of a panel. */
export const servosOf = ({ wing, laid }: PanelSite): readonly WingServo[] =>
  wing.servos.filter(({ panelId }) => panelId === laid.panel.id);

/** Rear edge of the spar at a place out along the panel, on the face of the lower skin. */
function sparRear(
  site: PanelSite,
  outMm: number,
): { readonly at: Point3; readonly atRoot: number; readonly atTip: number } {
  const { sections, laid } = site;
  const rear = sparFeet(site).find(({ name }) => name === 'spar-rear');
  const width = (end: EndSection): number => end.sparFrontMm + (end.section.spar?.widthMm ?? 0);
  const share = outMm / laid.panel.spanMm;
  if (!rear) {
    const aft = between(laid.rootNoseMm + width(sections.root), laid.tipNoseMm + width(sections.tip), share);
    return {
      at: { x: outMm, y: aft, z: site.board.thicknessMm },
      atRoot: width(sections.root),
      atTip: width(sections.tip),
    };
  }
  const along = (outMm - rear.root.x) / (rear.tip.x - rear.root.x);
  const at = {
    x: outMm,
    y: between(rear.root.y, rear.tip.y, along),
    z: between(rear.root.z, rear.tip.z, along),
  };
  return { at, atRoot: rear.atRoot, atTip: rear.atTip };
}

/** The openings of a panel's servos in its lower skin, aft of the spar. */
export function servoOpenings(site: PanelSite): readonly MadeHole[] {
  return servosOf(site).flatMap((servo, index): readonly MadeHole[] => {
    const { way, chordwiseMm, spanwiseMm, overMm } = laidServo(site, servo);
    if (way === 'too deep' || overMm > 0) return [];
    const { at, atRoot, atTip } = sparRear(site, servo.outMm),
      middle = servo.aftMm + chordwiseMm / 2;
    const plate = lowerPlateAt(site, atRoot + middle, atTip + middle);
    if (plate === undefined) return [];
    const corner = (out: number, aft: number): Point =>
      ontoPlate(site, plate, { x: at.x + out, y: at.y + servo.aftMm + aft, z: at.z }, 'root');
    const half = spanwiseMm / 2;
    return [
      {
        name: `servo-${index + 1}`,
        corners: [corner(-half, 0), corner(half, 0), corner(half, chordwiseMm), corner(-half, chordwiseMm)],
        sizing: 'fixed',
      },
    ];
  });
}

/** Opening for the leads in the middle of the top skin: along the span, and along the chord, in mm. */
const EXIT_MM = { out: 20, aft: 12 } as const;
/** It stays off the cap and off a joint by this, in mm. */
const EXIT_OFF_MM = 6;

/** The opening in the top skin by which the leads come up in the middle, aft of the cap that carries the bending. */
export function leadExit(site: PanelSite): readonly MadeHole[] {
  const { laid, sections, skin, wing } = site;
  const plate = sections.root.section.plates.findIndex(({ role }) => role === 'rear');
  if (laid.number !== 1 || wing.servos.length === 0 || plate < 0 || skin.plates[plate]!.pieces.length > 1) return [];
  const [from, to] = [sections.root.section.corners[plate]!, sections.root.section.corners[plate + 1]!];
  const long = Math.hypot(to.x - from.x, to.y - from.y),
    height = Math.max(...sections.root.section.corners.map(({ y }) => y));
  if (long < 4 * EXIT_OFF_MM + EXIT_MM.aft) return [];
  const middle = laid.isMiddle
    ? laid.panel.spanMm / 2
    : EXIT_OFF_MM + EXIT_MM.out / 2 + height * Math.abs(Math.tan((laid.rootTiltDegrees * Math.PI) / 180));
  const corner = (out: number, aft: number): Point =>
    ontoPlate(
      site,
      plate,
      {
        x: middle + out,
        y: laid.rootNoseMm + from.x + ((to.x - from.x) * aft) / long,
        z: from.y + ((to.y - from.y) * aft) / long,
      },
      'root',
    );
  const half = EXIT_MM.out / 2,
    [near, far] = [EXIT_OFF_MM, EXIT_OFF_MM + EXIT_MM.aft];
  return [
    {
      name: 'lead',
      corners: [corner(-half, near), corner(half, near), corner(half, far), corner(-half, far)],
      sizing: 'fixed',
    },
  ];
}

/** How a servo's lead runs, and what is to be bought to reach the middle. */
export interface LeadRoute {
  readonly panel: number;
  readonly lengthMm: number;
  /** Extension that the servo's own lead leaves to buy; 0 when it reaches. */
  readonly extensionMm: number;
  /** Places that it passes, in the wing's own frame: from the opening to the exit. */
  readonly places: readonly Point3[];
}

/** Lead left over at both ends for plugs and hands, in mm. */
const SLACK_MM = 60;
/** Extensions are sold in steps of this, in mm. */
const SOLD_BY_MM = 50;

/**
 * The way of every servo's lead: forward to the spar's rear edge, in along it through each joint, and up out of the middle.
 * @param sites all panels, from the middle outward
 */
export function leadRoutes(sites: readonly PanelSite[]): readonly LeadRoute[] {
  return sites.flatMap((site, index) =>
    servosOf(site).map((servo): LeadRoute => {
      const inWing = (of: PanelSite, at: Point3): Point3 => applyRigid(of.laid.map, at);
      const { at } = sparRear(site, servo.outMm);
      const inward = sites.slice(0, index + 1).reverse();
      const places = [
        inWing(site, { ...at, y: at.y + servo.aftMm }),
        inWing(site, at),
        ...inward.map((one) => inWing(one, sparRear(one, one.laid.isMiddle ? one.laid.panel.spanMm / 2 : 0).at)),
      ];
      const last = places.at(-1)!,
        exit = { ...last, z: last.z + inward.at(-1)!.sections.root.sparHeightMm };
      const all = [...places, exit];
      const lengthMm = all.slice(1).reduce((sum, place, step) => sum + distance3(all[step]!, place), 0);
      const wanted = lengthMm + SLACK_MM - servo.leadMm;
      return {
        panel: site.laid.number,
        lengthMm,
        extensionMm: wanted <= 0 ? 0 : Math.ceil(wanted / SOLD_BY_MM) * SOLD_BY_MM,
        places: all,
      };
    }),
  );
}
