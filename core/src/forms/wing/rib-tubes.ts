import { applyRigid, invertRigid, isInside, distanceToEdge, type Point, type Polygon } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { innerHeights } from '../section/index.ts';
import type { PanelSite } from './panel.ts';
import type { WingTube } from './rib-parameters.ts';
import { tubeAt, type RibPlace } from './rib-places.ts';

/** The hole that a tube wants in a rib. */
export interface TubeHole {
  readonly tube: WingTube;
  readonly centre: Point;
  readonly radiusMm: number;
}

/** The axis of a joint's tube in one of its panels: where it starts in the joint, which way it runs, and how it leans. */
interface TubeAxis {
  readonly tube: WingTube;
  readonly fromOut: number;
  /** 1 runs outboard, -1 inboard. */
  readonly way: 1 | -1;
  readonly aft: number;
  readonly height: number;
  readonly tiltDegrees: number;
}

/** Holes are cut wider than the sleeve by this, in mm. */
const FIT_MM = 0.1;

/** Board that is left over or under a tube where it starts, in mm. */
const LEFT_MM = 2;

/** Where a tube starts between the faces: as far off their middle as half of its fall, so that it falls over all of the room. */
function startHeight(
  { low, top }: { readonly low: number; readonly top: number },
  { reachMm, diameterMm }: WingTube,
  tiltDegrees: number,
): number {
  const fall = reachMm * Math.tan(radians(tiltDegrees)),
    room = Math.max(0, (top - low) / 2 - diameterMm / 2 - LEFT_MM);
  return (low + top) / 2 + Math.sign(fall) * Math.min(room, Math.abs(fall) / 2);
}

/** The tubes that run into a panel, from either end. */
function tubesIn(site: PanelSite): readonly TubeAxis[] {
  const { laid, wing, sections, board } = site,
    next = wing.panels[laid.number]?.id;
  const axis = (tube: WingTube | undefined, end: 'root' | 'tip', noseMm: number, way: 1 | -1): readonly TubeAxis[] => {
    if (!tube) return [];
    const { section, chordMm } = sections[end],
      along = (tube.atPercent / 100) * chordMm;
    const heights = innerHeights(section, along, board.thicknessMm),
      tiltDegrees = end === 'root' ? laid.rootTiltDegrees : laid.tipTiltDegrees;
    return [
      {
        tube,
        fromOut: way > 0 ? 0 : laid.panel.spanMm,
        way,
        aft: noseMm + along,
        height: heights ? startHeight(heights, tube, tiltDegrees) : 0,
        tiltDegrees,
      },
    ];
  };
  const outer = tubeAt(site, next);
  if (laid.isMiddle) return [...axis(outer, 'tip', laid.tipNoseMm, -1), ...axis(outer, 'root', laid.rootNoseMm, 1)];
  return [...axis(tubeAt(site, laid.panel.id), 'root', laid.rootNoseMm, 1), ...axis(outer, 'tip', laid.tipNoseMm, -1)];
}

/**
 * The holes for tubes in a rib. A tube runs square to the plane of its joint, so that in each panel it falls from its middle by the tangent of
 * half the turn.
 */
export function tubeHoles(site: PanelSite, place: RibPlace): readonly TubeHole[] {
  return tubesIn(site).flatMap(({ tube, fromOut, way, aft, height, tiltDegrees }): readonly TubeHole[] => {
    const tan = Math.tan(radians(tiltDegrees)),
      // In the joint the axis stands this much toward the panel, for it leans with the height.
      from = fromOut + way * height * tan,
      deep = Math.abs(place.outMm - from);
    if (deep > tube.reachMm * Math.cos(radians(tiltDegrees)) + place.thicknessMm) return [];
    const middle = applyRigid(invertRigid(place.map), {
      x: place.outMm,
      y: aft,
      z: height - way * (place.outMm - from) * tan,
    });
    return [
      {
        tube,
        centre: { x: middle.x, y: middle.y },
        radiusMm: tube.diameterMm / 2 / Math.cos(radians(tiltDegrees)) + FIT_MM,
      },
    ];
  });
}

/** How much board is left round a hole in what lies between the skins; below 0 it leaves it. */
export const leftRound = ({ centre, radiusMm }: TubeHole, ring: Polygon): number =>
  (isInside(centre, ring) ? 1 : -1) * distanceToEdge(centre, ring) - radiusMm;
