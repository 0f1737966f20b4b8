import { memo } from '../../units/index.ts';
import { LARGEST_CREASE_DEGREES } from './bent-sheet.ts';
import type { BodySite } from './body-site.ts';
import { FILM_MM, meanSlope, slopeAt } from './body-site.ts';
import { slanted, type Slant } from './slant.ts';
import { between, cutDown, cutUp, type Profile } from './profile.ts';

/** A piece of the floor or the lid, between two wings or round a hatch. */
export interface SheetPiece {
  /** `floor`, `lid`, `hatch`; a further one is named after the wing or the hatch before it. */
  readonly role: string;
  readonly word: string;
  readonly fromMm: number;
  readonly toMm: number;
  /** Half of its width. */
  readonly half: Profile;
  /** Names of its edges along the walls. */
  readonly edges: readonly string[];
  readonly isHatch: boolean;
}

/** A stretch that a wing or a hatch takes out of the floor or the lid; none long where this is only parted. */
interface Taken {
  readonly fromMm: number;
  readonly toMm: number;
  readonly id: string;
  readonly word: string;
  readonly isHatch: boolean;
}

/** Room at each end of a hatch, in mm. */
const HATCH_ROOM_MM = 0.4;
/** A piece shorter than this is left off, in mm. */
const LEAST_MM = 4;

/** Where a line is cut by another: from the first to the last place. */
function cutRange(line: Profile, id: string): readonly [number, number] | undefined {
  const own = line.flatMap(({ edge }, index) => (edge.includes(`-${id}-`) || edge.startsWith(`${id}-`) ? [index] : []));
  return own.length === 0 ? undefined : [line[own[0]!]!.x, (line[own.at(-1)! + 1] ?? line[own.at(-1)!])!.x];
}

/** Where a wing has taken the edge of the walls below the lid, or above the floor, or stands in its way between them. */
function takenBySeats(site: BodySite, of: 'floor' | 'lid'): readonly Taken[] {
  const isLid = of === 'lid',
    edge = isLid ? site.wallTop : site.wallLow,
    whole = isLid ? site.lines.top : site.lines.bottom;
  return site.cuts.flatMap(({ seat, name, side, underAt, upperAt }): readonly Taken[] => {
    if (side !== (isLid ? 'top' : 'below')) return [];
    const middle = isLid ? cutDown(whole, underAt(0), `${seat.id}-step`) : cutUp(whole, upperAt(0), `${seat.id}-step`);
    const ranges = [cutRange(edge, seat.id), cutRange(middle, seat.id)].flatMap((range) => (range ? [range] : []));
    if (ranges.length === 0) return [];
    const from = Math.min(...ranges.map(([at]) => at)),
      to = Math.max(...ranges.map(([, at]) => at));
    // Ends are cut square to the sheet: where it slopes, one face reaches further than the other.
    const lean = (x: number): number => site.board.thicknessMm * Math.abs(Math.tan(slopeAt(whole, x)));
    return to > from
      ? [{ fromMm: from - lean(from), toMm: to + lean(to), id: seat.id, word: name, isHatch: false }]
      : [];
  });
}

/** How the face of floor or lid lies along the body from its outer skin. */
export const sheetSlant = ({ lines, board }: Pick<BodySite, 'lines' | 'board'>, of: 'floor' | 'lid'): Slant => ({
  thicknessMm: board.thicknessMm,
  slope: (x) => slopeAt(of === 'floor' ? lines.bottom : lines.top, x),
  faceShift: (x) =>
    of === 'floor'
      ? -board.thicknessMm * Math.sin(meanSlope(lines.bottom, x))
      : board.thicknessMm * Math.sin(meanSlope(lines.top, x)),
});

/** The line that the edge of floor or lid keeps to with both its faces; undefined where it is mitred. */
export function edgeLine({ body, innerHalf, lines }: BodySite, of: 'floor' | 'lid'): Profile | undefined {
  const way = of === 'floor' ? body.corners : body.lid;
  if (way === 'mitred' || way === 'folded') return undefined;
  return way === 'between' ? innerHalf.map((point) => ({ ...point, z: point.z - FILM_MM })) : lines.half;
}

/** Half the width of floor or lid, by how the corners are made. */
function halfWidth(site: BodySite, of: 'floor' | 'lid'): Profile {
  const line = edgeLine(site, of);
  return line ? slanted(line, sheetSlant(site, of), 'most') : site.lines.half;
}

/** Where a sheet turns outward too sharply for a crease: a groove closes only inward, so that it is made in two there, which meet at their outer skins. */
function hollows({ body, floor, lid }: BodySite, of: 'floor' | 'lid'): readonly Taken[] {
  if (body[of === 'floor' ? 'bottomLine' : 'topLine'] === 'curved') return [];
  const { base, turns } = of === 'floor' ? floor : lid;
  return turns.flatMap((turn, index): readonly Taken[] => {
    const { x } = base[index]!,
      station = body.stations.findIndex(({ aftMm }) => Math.abs(aftMm - x) < LEAST_MM / 2);
    return turn >= -LARGEST_CREASE_DEGREES || station < 0
      ? []
      : [
          {
            fromMm: x,
            toMm: x,
            id: `at-${body.stations[station]!.id}`,
            word: `station ${station + 1}`,
            isHatch: false,
          },
        ];
  });
}

/** The pieces of the floor or the lid: what wings and the hatch leave of it, and the hatch itself. Remembered by the site. */
export const sheetPieces = memo(
  (site: BodySite, of: 'floor' | 'lid'): readonly SheetPiece[] => piecesOf(site, of),
  (of) => of,
);

function piecesOf(site: BodySite, of: 'floor' | 'lid'): readonly SheetPiece[] {
  if (of === 'lid' && site.body.lid === 'none') return [];
  const { hatch } = site.body,
    half = halfWidth(site, of);
  const hatches: readonly Taken[] =
    hatch && of === 'lid'
      ? [
          {
            fromMm: Math.max(hatch.fromMm, site.fromMm),
            toMm: Math.min(hatch.toMm, site.toMm),
            id: 'hatch',
            word: 'the hatch',
            isHatch: true,
          },
        ]
      : [];
  const wide = [...takenBySeats(site, of), ...hatches].filter(({ fromMm, toMm }) => toMm > fromMm),
    isFree = ({ fromMm: x }: Taken): boolean => wide.every(({ fromMm, toMm }) => x < fromMm || x > toMm);
  const taken = [
    ...wide,
    ...(site.body.corners === 'folded' && of === 'floor' ? [] : hollows(site, of).filter(isFree)),
  ].sort((a, b) => a.fromMm - b.fromMm);
  const piece = (role: string, word: string, from: number, to: number, isHatch: boolean): readonly SheetPiece[] => {
    if (to - from < LEAST_MM) return [];
    const own = between(half, from, to);
    return [
      {
        role,
        word,
        fromMm: from,
        toMm: to,
        half: own,
        edges: own.slice(0, -1).map(({ edge }) => `port-${edge}`),
        isHatch,
      },
    ];
  };
  let at = site.fromMm,
    before: Taken | undefined;
  const pieces = taken.flatMap((one) => {
    const role = before ? `${of}-${before.id}` : of,
      word = before ? `${of} behind ${before.word}` : of;
    const made = [
      ...piece(role, word, at, one.fromMm, false),
      ...(one.isHatch
        ? piece('hatch', 'hatch', Math.max(at, one.fromMm) + HATCH_ROOM_MM, one.toMm - HATCH_ROOM_MM, true)
        : []),
    ];
    at = Math.max(at, one.toMm);
    before = one;
    return made;
  });
  const last: Taken | undefined = before;
  return [
    ...pieces,
    ...piece(last ? `${of}-${last.id}` : of, last ? `${of} behind ${last.word}` : of, at, site.toMm, false),
  ];
}
