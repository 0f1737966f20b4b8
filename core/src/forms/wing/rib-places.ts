import { add3, dot3, point3, subtract3, times3, type Point, type Point3, type RigidMap } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import { GLUE_FILM_MM, hasSkins, type PanelSite } from './panel.ts';
import type { WingTube } from './rib-parameters.ts';
import { laidServo, servosOf } from './servo-opening.ts';

/** A rib where it stands in its panel: a board across it, in the plane of a joint at its ends. */
export interface RibPlace {
  readonly panel: number;
  /** From 1, from the panel's root outward. */
  readonly number: number;
  readonly at: 'root' | 'tip' | 'between';
  readonly material: string;
  readonly thicknessMm: number;
  /** Whether its joint is plugged. */
  readonly isPlugged: boolean;
  /** From the flat rib (aft, up) into the panel: its far skin looks inboard. */
  readonly map: RigidMap;
  /** Out along the panel at its middle, at the pivot line. */
  readonly outMm: number;
}

/** The tube of the joint inboard of a panel. */
export const tubeAt = ({ wing }: Pick<PanelSite, 'wing'>, panelId: string | undefined): WingTube | undefined =>
  wing.ribs?.tubes.find((tube) => tube.panelId === panelId);

/** The plane of a rib as a map: through a place out along the panel, leaning inboard by an angle as it rises. */
function ribMap(outMm: number, leanDegrees: number, alongMm: number): RigidMap {
  const cos = Math.cos(radians(leanDegrees)),
    sin = Math.sin(radians(leanDegrees));
  const out = point3(cos, 0, sin);
  return {
    x: point3(0, 1, 0),
    y: point3(-sin, 0, cos),
    z: out,
    origin: add3(point3(outMm, 0, 0), times3(out, alongMm)),
  };
}

/** The ribs of a panel, from its root outward: none where a servo lies. */
export function ribPlaces(site: PanelSite): readonly RibPlace[] {
  const { wing, laid, isLast } = site,
    { ribs } = wing;
  if (!ribs || !hasSkins(site)) return [];
  const next = wing.panels[laid.number]?.id,
    inner = tubeAt(site, laid.panel.id),
    outer = next === undefined ? undefined : tubeAt(site, next),
    thickness = (material: string): number => site.boardOf(material).thicknessMm;
  const count = Math.max(1, Math.ceil(laid.panel.spanMm / ribs.spacingMm - 1e-9));
  const servos = servosOf(site).map((servo) => {
    const { spanwiseMm, overMm, way } = laidServo(site, servo);
    const half = overMm > 0 || way === 'too deep' ? 0 : spanwiseMm / 2;
    return [servo.outMm - half, servo.outMm + half] as const;
  });
  const places: RibPlace[] = [];
  for (let index = 0; index <= count; index++) {
    const at = index === 0 ? 'root' : index === count ? 'tip' : 'between';
    const tube = index === 0 ? (laid.isMiddle ? outer : inner) : index === count ? outer : undefined;
    const isPlugged = tube !== undefined;
    // Two panels that are glued together share the inner one's rib at their joint.
    if (at === 'root' && laid.number > 1 && !isPlugged) continue;
    const isCentre = at === 'root' && laid.number === 1 && !laid.isMiddle;
    const material = isPlugged || isCentre ? ribs.endMaterial : ribs.material,
      thicknessMm = thickness(material);
    const outMm = (laid.panel.spanMm * index) / count;
    const map =
      at === 'root'
        ? ribMap(0, -laid.rootTiltDegrees, GLUE_FILM_MM)
        : at === 'tip'
          ? ribMap(laid.panel.spanMm, laid.tipTiltDegrees, -thicknessMm - (isLast && !laid.isMiddle ? 0 : GLUE_FILM_MM))
          : ribMap(outMm - thicknessMm / 2, 0, 0);
    const [from, to] = [map.origin.x, map.origin.x + thicknessMm];
    if (servos.some(([low, high]) => low < high && from < high && to > low)) continue;
    places.push({
      panel: laid.number,
      number: places.length + 1,
      at,
      material,
      thicknessMm,
      isPlugged,
      map,
      outMm: (from + to) / 2,
    });
  }
  return places;
}

/** Where a line through two places of a panel meets a rib's plane, on the flat rib. @param depthMm into the rib's thickness */
export function onRib({ map }: Pick<RibPlace, 'map'>, root: Point3, tip: Point3, depthMm: number): Point {
  const from = dot3(subtract3(root, map.origin), map.z) - depthMm,
    to = dot3(subtract3(tip, map.origin), map.z) - depthMm;
  const share = from / (from - to);
  const at = subtract3(add3(root, times3(subtract3(tip, root), share)), map.origin);
  return { x: dot3(at, map.x), y: dot3(at, map.y) };
}
