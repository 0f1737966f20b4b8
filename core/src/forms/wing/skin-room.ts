import { dot3, growRegion, intersectionOf, point3, type Region } from '../../geometry/index.ts';
import { GLUE_FILM_MM, type PanelSite } from './panel.ts';
import { onRib, type RibPlace } from './rib-places.ts';

/** What lies between the skins in the plane of a rib, over its whole thickness. */
export function ribRoom(site: PanelSite, place: Pick<RibPlace, 'map' | 'thicknessMm'>): Region {
  const { skin, board } = site;
  // A skin that leans along the panel is thicker where the rib cuts it.
  const lean = Math.max(
    ...skin.plates.flatMap(({ pieces }) => pieces.map(({ inward }) => Math.abs(dot3(inward, place.map.z)))),
  );
  const by = board.thicknessMm / Math.sqrt(1 - Math.min(0.5, lean) ** 2) + GLUE_FILM_MM;
  const rooms = [0, place.thicknessMm].map((depth): Region => {
    const ring = skin.ends.map(({ root, tip }) => onRib(place, root, tip, depth));
    return growRegion([[...ring].reverse()], -by, 0.01, 'sharp');
  });
  return intersectionOf(rooms[0]!, rooms[1]!);
}

/** What is free between the skins at a place along the chord: up from the pivot line, in the frame of the panel. */
export interface FreeHeights {
  readonly low: number;
  readonly top: number;
}

/**
 * What is free between the skins across a panel at a place out along it, upright and without thickness.
 * @returns the heights at a place aft in the panel's frame; undefined where no skin lies below or above
 */
export function roomAcross(site: PanelSite, outMm: number): (aftMm: number) => FreeHeights | undefined {
  const room = ribRoom(site, {
    thicknessMm: 0,
    map: { x: point3(0, 1, 0), y: point3(0, 0, 1), z: point3(1, 0, 0), origin: point3(outMm, 0, 0) },
  });
  return (aftMm) => {
    const heights = room.flatMap((ring) =>
      ring.flatMap((p, index): readonly number[] => {
        const q = ring[(index + 1) % ring.length]!;
        if ((p.x - aftMm) * (q.x - aftMm) > 0 || p.x === q.x) return [];
        return [p.y + ((q.y - p.y) * (aftMm - p.x)) / (q.x - p.x)];
      }),
    );
    return heights.length < 2 ? undefined : { low: Math.min(...heights), top: Math.max(...heights) };
  };
}

/** What is free over the whole of a run along the chord, with a film of glue under what lies above it. */
export function freeOver(room: ReturnType<typeof roomAcross>, fromMm: number, toMm: number): FreeHeights | undefined {
  const [fore, aft] = [room(fromMm), room(toMm)];
  return fore && aft
    ? { low: Math.max(fore.low, aft.low), top: Math.min(fore.top, aft.top) - GLUE_FILM_MM }
    : undefined;
}
