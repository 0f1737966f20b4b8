import {
  boundsOf,
  composeRigid,
  differenceOf,
  distance,
  growRegion,
  isInside,
  polygonArea,
  type Point,
  type Polygon,
  type Region,
} from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner, type MadeHole } from '../form/index.ts';
import { braceDepth } from './brace-place.ts';
import { controlChords } from './control-chords.ts';
import { controlsOf, tailAft } from './control-place.ts';
import { panelWord, type PanelSite } from './panel.ts';
import { ribPlaces, type RibPlace } from './rib-places.ts';
import { tubeHoles, type TubeHole } from './rib-tubes.ts';
import { ribRoom } from './skin-room.ts';
import { rodOf, sparSides } from './spar-place.ts';

/** Ribs stay clear of what they stand beside by this, in mm. */
const PLAY_MM = 0.25;
/** Pieces smaller than this are left out: less deep, or less area. */
const LEAST_PIECE_MM = 3;
const LEAST_PIECE_MM2 = 40;
/** Frame round a window, the web between two, and the least that is worth cutting. */
const FRAME_MM = 8;
const WINDOW_MM = 40;
const LEAST_WINDOW_MM2 = 120;
/** Notch for leads behind the spar. */
const LEAD_NOTCH_MM = { wide: 12, high: 7 } as const;

const FAR_MM = 1e4;
const box = (fromX: number, toX: number, low: number, top: number): Polygon => [
  { x: fromX, y: low },
  { x: toX, y: low },
  { x: toX, y: top },
  { x: fromX, y: top },
];
const column = (from: number, to: number): Polygon => box(from, to, -FAR_MM, FAR_MM);

/** Where leads pass a rib: inboard of a servo of its panel, or of one further out. */
const hasLead = ({ wing, laid }: PanelSite, { outMm }: RibPlace): boolean =>
  wing.servos.some(({ panelId, outMm: at }) => {
    const panel = wing.panels.findIndex(({ id }) => id === panelId) + 1;
    return panel > laid.number || (panel === laid.number && at > outMm);
  });

/** The spar where a rib crosses it, over the rib's thickness and its lean. */
function sparAt(site: PanelSite, { map, thicknessMm }: RibPlace): ReturnType<typeof sparSides> {
  return sparSides(site, ...reachOf({ map, thicknessMm }, 2 * site.sections.root.sparHeightMm));
}

/** How deep before the spar a brace lies where a rib stands. */
const braceAt = (site: PanelSite, { map, thicknessMm }: RibPlace): number =>
  braceDepth(site, ...reachOf({ map, thicknessMm }, 2 * site.sections.root.sparHeightMm));

/** From where to where a rib reaches out along its panel, over its thickness and its lean up to a height. */
function reachOf(
  { map, thicknessMm }: Pick<RibPlace, 'map' | 'thicknessMm'>,
  highMm: number,
): readonly [number, number] {
  const leans = map.y.x * highMm;
  return [map.origin.x + Math.min(0, leans), map.origin.x + thicknessMm + Math.max(0, leans)];
}

/** What stands in the way of a rib. */
function obstacles(site: PanelSite, place: RibPlace): Region {
  const { wing, board } = site,
    t = board.thicknessMm,
    taken: Polygon[] = [];
  const spar = sparAt(site, place);
  if (spar) taken.push(column(spar.frontMm - braceAt(site, place) - PLAY_MM, spar.rearMm + PLAY_MM));
  // Over a rod the rib is notched from below.
  const rod = rodOf(site);
  if (rod) {
    const both = reachOf(place, 0).map(rod.at),
      half = rod.diameterMm / 2 + PLAY_MM;
    const [fore, aft] = [Math.min(...both.map(({ x }) => x)) - half, Math.max(...both.map(({ x }) => x)) + half];
    const top = Math.max(...both.map(({ y }) => y)) + half;
    taken.push(box(fore, aft, -FAR_MM, top / Math.cos(Math.asin(Math.min(0.9, Math.abs(place.map.y.x))))));
  }
  const brace = rod ? braceAt(site, place) : 0;
  if (rod && brace > 0) {
    const front = Math.min(...reachOf(place, 0).map((out) => rod.at(out).x)) - rod.diameterMm / 2;
    taken.push(column(front - brace - PLAY_MM, front + PLAY_MM));
  }
  const tail = Math.min(...reachOf(place, (wing.stripBoards + 2) * t).map((out) => tailAft(site, out)));
  if (wing.tail === 'strip' && wing.section.kind === 'strip-spar') taken.push(column(tail - 3 * t - PLAY_MM, FAR_MM));
  const reach = place.thicknessMm + t;
  for (const control of controlsOf(site))
    if (place.outMm > control.fromMm - reach && place.outMm < control.toMm + reach)
      taken.push(column(tail - controlChords(control).most - t - 2 * PLAY_MM, FAR_MM));
  return taken;
}

/** The pieces of a rib with its outline, from the nose aft. */
interface RibPiece {
  readonly name: 'whole' | 'nose' | 'tail';
  readonly ring: Polygon;
}

function ribPieces(site: PanelSite, place: RibPlace): readonly RibPiece[] {
  const room = ribRoom(site, place),
    free = differenceOf(room, obstacles(site, place));
  const spar = sparAt(site, place);
  const notch = hasLead(site, place);
  const foremost = [...free].sort((a, b) => boundsOf(a).minX - boundsOf(b).minX);
  const pieces = foremost.flatMap((ring, index): readonly RibPiece[] => {
    const { minX, minY, maxX } = boundsOf(ring);
    const name = !spar
      ? foremost.length === 1
        ? 'whole'
        : index === 0
          ? 'nose'
          : 'tail'
      : minX < spar.frontMm
        ? 'nose'
        : 'tail';
    const wantsNotch = notch && name !== 'nose';
    const from = spar ? minX : minX + (maxX - minX) * 0.4;
    const left = wantsNotch
      ? differenceOf([ring], [box(from - 1, from + LEAD_NOTCH_MM.wide, minY - 1, minY + LEAD_NOTCH_MM.high)])
      : [ring];
    const largest = left.reduce<Polygon>((best, one) => (polygonArea(one) > polygonArea(best) ? one : best), []);
    const clean = smoothed(largest);
    if (clean.length < 3 || polygonArea(clean) < LEAST_PIECE_MM2) return [];
    const bounds = boundsOf(clean);
    return bounds.maxY - bounds.minY < LEAST_PIECE_MM ? [] : [{ name, ring: clean }];
  });
  // Of what bears one name the largest is the rib: crumbs beside it are no parts.
  return pieces.filter(
    (one) => !pieces.some((other) => other.name === one.name && polygonArea(other.ring) > polygonArea(one.ring)),
  );
}

/** Corners that a knife would not see are taken out: edges shorter than this, or turns flatter. */
const ONE_CORNER_MM = 0.06;
function smoothed(ring: Polygon): Polygon {
  const apart = ring.filter((p, index) => distance(p, ring[(index + 1) % ring.length]!) > ONE_CORNER_MM);
  return apart.filter((p, index) => {
    const [a, b] = [apart.at(index - 1)!, apart[(index + 1) % apart.length]!];
    const long = distance(a, b);
    return Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / Math.max(long, 1e-9) > 0.004;
  });
}

/** Windows of a rib, between its frame and upright webs, clear of the tubes. */
function windows(ring: Polygon, holes: readonly TubeHole[]): readonly MadeHole[] {
  const inner = growRegion([ring], -FRAME_MM, 0.01, 'sharp');
  if (inner.length === 0) return [];
  const { minX, maxX } = boundsOf(inner.flat());
  const count = Math.max(1, Math.round((maxX - minX) / WINDOW_MM)),
    step = (maxX - minX) / count;
  const webs = Array.from({ length: count - 1 }, (_, at) =>
    column(minX + step * (at + 1) - 3, minX + step * (at + 1) + 3),
  );
  const kept = holes.map(({ centre, radiusMm }) =>
    column(centre.x - radiusMm - FRAME_MM / 2, centre.x + radiusMm + FRAME_MM / 2),
  );
  return differenceOf(inner, [...webs, ...kept])
    .map(smoothed)
    .filter((one) => one.length > 2 && polygonArea(one) >= LEAST_WINDOW_MM2)
    .sort((a, b) => boundsOf(a).minX - boundsOf(b).minX)
    .map((corners, at): MadeHole => ({ name: `window-${at + 1}`, corners: [...corners], sizing: 'scaled' }));
}

/** The ribs of a panel: a piece before the spar and one behind it, or whole ones where there is none. */
export function ribParts(site: PanelSite): readonly Part[] {
  const { wing, laid, formId, formName } = site;
  const places = ribPlaces(site);
  return places.flatMap((place) => {
    const holes = tubeHoles(site, place);
    return ribPieces(site, place).map(({ name, ring }): Part => {
      const own = holes.filter(({ centre }) => isInside(centre, ring));
      const start = ring.reduce((best, p, index) => (p.x + p.y < ring[best]!.x + ring[best]!.y ? index : best), 0);
      const corners = ring.map((_, index): Point => ring[(start + index) % ring.length]!);
      const { minX, maxX, minY, maxY } = boundsOf(corners);
      return madePart({
        formId,
        role: `rib-${laid.number}-${place.number}${name === 'whole' ? '' : `-${name}`}`,
        name: `${formName} rib${panelWord(site)} ${place.number}${name === 'whole' ? '' : ` ${name}`}`,
        group: `${formName} ribs`,
        material: place.material,
        handed: laid.isMiddle ? 'single' : 'pair',
        grain: { directionDegrees: 0, rule: 'along' },
        outline: corners.map((at, index): MadeCorner => ({ at, edge: `rib-${index + 1}` })),
        holes: [
          ...own.map(({ tube, centre, radiusMm }): MadeHole => ({
            name: `tube-${tube.panelId}`,
            round: { centre, radiusMm },
            sizing: 'fixed',
          })),
          ...(wing.ribs!.hasWindows && !place.isPlugged && place.material === wing.ribs!.material
            ? windows(corners, own)
            : []),
        ],
        notes: place.isPlugged ? 'At a plugged joint: its outer face lies flush with the ends of the skins.' : '',
        place: placeIn(
          site.place,
          composeRigid(place.map, laid.map),
          inBoard(corners, { x: (minX + maxX) / 2, y: (minY + maxY) / 2 }),
        ),
      });
    });
  });
}

/** A place that lies on the rib: the middle of its bounds, or beside one of its corners. */
const inBoard = (ring: Polygon, middle: Point): Point =>
  isInside(middle, ring) ? middle : { x: (middle.x + ring[0]!.x) / 2, y: (middle.y + ring[0]!.y) / 2 };
