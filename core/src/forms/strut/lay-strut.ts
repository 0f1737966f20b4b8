import { add3, distance, point3, times3, type Point, type Point3, type RigidMap } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import type { MadeCorner, MadeEdgeWork, StandingAirframe } from '../form/index.ts';
import {
  cornerBetween,
  isBothSides,
  partMissing,
  standingWithIt,
  stationCut,
  type LeaningPlane,
  type Miss,
} from '../standing/index.ts';
import type { Strut } from './parameters.ts';
import { strutEnd, type StrutEnd } from './strut-end.ts';

/** Between an end and what it stands on, in mm: glue takes the room. */
const FILM_MM = 0.03;
/** Ends that lean less than this are cut square, in degrees. */
const LEAST_BEVEL_DEGREES = 0.3;
const MOST_BEVEL_DEGREES = 60;
/** What is cut off the corner of a gusset: room for a bead of glue, in mm. */
const RELIEF_MM = 3;
/** A gusset whose middle stands this near to the middle plane is the only one, in mm. */
const MIDDLE_MM = 1;

/** One board of a strut, worked out. */
export interface StrutPlate {
  readonly outline: readonly MadeCorner[];
  readonly edgeWork: readonly MadeEdgeWork[];
  /** From its flat into the airframe. */
  readonly map: RigidMap;
}

/** The opening that an end needs in the sheet that it goes through. */
export interface StrutRelief {
  readonly end: 'below' | 'above';
  readonly longMm: number;
  readonly wideMm: number;
  readonly behindNoseMm: number;
  readonly deepMm: number;
}

/** A strut or gusset worked out. */
export interface LaidStrut {
  readonly strut: Strut;
  readonly plates: readonly StrutPlate[];
  readonly isPair: boolean;
  /** From end to end along its middle, its fore and its aft edge; of a gusset its legs and its long side. */
  readonly lengthMm: number;
  readonly foreMm: number;
  readonly aftMm: number;
  /** How far its ends are off square, along the airframe; of a gusset the angle of its corner. */
  readonly lowerDegrees: number;
  readonly upperDegrees: number;
  /** How far its ends are bevelled across. */
  readonly lowerBevel: number;
  readonly upperBevel: number;
  readonly reliefs: readonly StrutRelief[];
  readonly corners: readonly Point3[];
}

const corner = ({ x, y }: Point, edge: string): MadeCorner => ({ at: { x, y }, edge });
const into = ({ x, y, origin }: RigidMap, p: Point): Point3 => add3(origin, add3(times3(x, p.x), times3(y, p.y)));

/** Whether what a strut is between stands on both sides alike, so that there is one on either. */
const standsAlike = ({ lowerId, upperId }: Strut, standing: StandingAirframe): boolean =>
  isBothSides(standing, lowerId) && isBothSides(standing, upperId);

/** The plane of a strut: from the top of what is below to the underside of what is above. */
function planeOf(strut: Strut, standing: StandingAirframe): LeaningPlane | Miss {
  const [below, above] = [strut.lowerId, strut.upperId].map((id) => standingWithIt(standing, id));
  if (below!.length === 0) return partMissing('What the strut stands on');
  if (above!.length === 0) return partMissing('What the strut bears');
  const [low, high] = [stationCut(below!, strut.lowerOutMm), stationCut(above!, strut.upperOutMm)];
  if (!low || !high)
    return {
      code: 'NOTHING_THERE',
      title: `Nothing stands ${low ? 'above' : 'below'} so far out`,
      detail: 'What the strut stands between does not reach there: set it further in.',
      mend: { label: 'Set it in the middle', key: low ? 'upperOutMm' : 'lowerOutMm', value: 0 },
    };
  const middle = (line: readonly Point[]): number =>
      (Math.min(...line.map(({ y }) => y)) + Math.max(...line.map(({ y }) => y))) / 2,
    from = { y: -strut.lowerOutMm, z: middle(low.upper) },
    to = { y: -strut.upperOutMm, z: middle(high.lower) };
  const long = Math.hypot(to.y - from.y, to.z - from.z);
  if (to.z - from.z < 2 * FILM_MM)
    return {
      code: 'NOT_ABOVE',
      title: 'What it bears does not lie over what it stands on',
      detail: 'A strut stands on the top of one and bears the underside of the other: choose them the other way round.',
    };
  return { through: from, up: { y: (to.y - from.y) / long, z: (to.z - from.z) / long } };
}

const bevelOf = (rise: number): number => {
  const angle = degrees(Math.atan(Math.abs(rise)));
  return angle < LEAST_BEVEL_DEGREES ? 0 : Math.min(MOST_BEVEL_DEGREES, angle);
};

const slopeDegrees = ({ line }: StrutEnd): number => {
  const [a, b] = [line[0]!, line.at(-1)!];
  return degrees(Math.atan2(b.y - a.y, b.x - a.x));
};

/** One board of a strut, so far off its middle plane. */
function boardOf(lower: StrutEnd, upper: StrutEnd, plane: LeaningPlane, thicknessMm: number): StrutPlate {
  const reach = (rise: number): number => (bevelOf(rise) > 0 ? (Math.abs(rise) * thicknessMm) / 2 : 0);
  const low = lower.line.map(({ x, y }) => ({ x, y: y + FILM_MM - reach(lower.rise) })),
    high = upper.line.map(({ x, y }) => ({ x, y: y - FILM_MM + reach(upper.rise) })).reverse();
  const names = (prefix: string, count: number): readonly string[] =>
    Array.from({ length: count }, (_, index) => `${prefix}-${index + 1}`);
  const lowNames = names('foot', low.length - 1),
    highNames = names('head', high.length - 1);
  // The foot's face side lies higher where the surface rises along the normal: that side is cut back.
  const bevel = (name: string, edges: readonly string[], rise: number, isFace: boolean): readonly MadeEdgeWork[] =>
    bevelOf(rise) === 0
      ? []
      : [
          {
            name,
            edges,
            work: { kind: 'bevel', face: isFace ? 'face' : 'back', bevelDegrees: bevelOf(rise), label: '' },
          },
        ];
  const { through, up } = plane,
    normal = point3(0, -up.z, up.y),
    origin = add3(point3(0, through.y, through.z), times3(normal, -thicknessMm / 2));
  return {
    outline: [
      ...low.map((p, index) => corner(p, lowNames[index] ?? 'aft')),
      ...high.map((p, index) => corner(p, highNames[index] ?? 'fore')),
    ],
    edgeWork: [
      ...bevel('bevel-foot', lowNames, lower.rise, lower.rise > 0),
      ...bevel('bevel-head', highNames, upper.rise, upper.rise < 0),
    ],
    map: { x: point3(1, 0, 0), y: point3(0, up.y, up.z), z: normal, origin },
  };
}

/** A plate between two things that stand, its ends cut to both. */
export function layStrut(strut: Strut, standing: StandingAirframe, thicknessMm: number): LaidStrut | Miss {
  const plane = planeOf(strut, standing);
  if ('code' in plane) return plane;
  const { through, up } = plane;
  const boards = Array.from({ length: strut.boards }, (_, index) => {
    const off = (index - (strut.boards - 1) / 2) * (thicknessMm + FILM_MM),
      own: LeaningPlane = { ...plane, through: { y: through.y - off * up.z, z: through.z + off * up.y } };
    const lower = strutEnd(
        standingWithIt(standing, strut.lowerId),
        own,
        'lower',
        [strut.lowerFromPercent, strut.lowerToPercent],
        strut.lowerOn,
      ),
      upper = strutEnd(
        standingWithIt(standing, strut.upperId),
        own,
        'upper',
        [strut.upperFromPercent, strut.upperToPercent],
        strut.upperOn,
      );
    return 'code' in lower
      ? lower
      : 'code' in upper
        ? upper
        : { lower, upper, plate: boardOf(lower, upper, own, thicknessMm) };
  });
  const miss = boards.find((one) => 'code' in one);
  if (miss && 'code' in miss) return miss;
  const made = boards as readonly { readonly lower: StrutEnd; readonly upper: StrutEnd; readonly plate: StrutPlate }[],
    { lower, upper } = made[Math.floor((made.length - 1) / 2)]!;
  const middle = (end: StrutEnd): Point => ({
    x: (end.fromMm + end.toMm) / 2,
    y: (end.line[0]!.y + end.line.at(-1)!.y) / 2,
  });
  const wide = (end: StrutEnd): number => (strut.boards * thicknessMm) / Math.cos(Math.atan(end.rise));
  const reliefs = (
    [
      ['below', lower],
      ['above', upper],
    ] as const
  ).flatMap(([end, one]): readonly StrutRelief[] =>
    one.throughMm === 0
      ? []
      : [
          {
            end,
            longMm: one.toMm - one.fromMm + 2 * FILM_MM,
            // It leans within the sheet: the opening is wider by that.
            wideMm: wide(one) + one.throughMm * Math.abs(one.rise),
            behindNoseMm: one.behindNoseMm,
            deepMm: one.throughMm,
          },
        ],
  );
  return {
    strut,
    plates: made.map(({ plate }) => plate),
    isPair: Math.max(strut.lowerOutMm, strut.upperOutMm) > MIDDLE_MM && standsAlike(strut, standing),
    lengthMm: distance(middle(lower), middle(upper)),
    foreMm: distance(lower.line[0]!, upper.line[0]!),
    aftMm: distance(lower.line.at(-1)!, upper.line.at(-1)!),
    lowerDegrees: slopeDegrees(lower),
    upperDegrees: slopeDegrees(upper),
    lowerBevel: bevelOf(lower.rise),
    upperBevel: bevelOf(upper.rise),
    reliefs,
    corners: made.flatMap(({ plate }) => plate.outline.map(({ at }) => into(plate.map, at))),
  };
}

/** A gusset in the corner between two plates, square to both. */
export function layGusset(strut: Strut, standing: StandingAirframe, thicknessMm: number): LaidStrut | Miss {
  const found = cornerBetween({ partId: strut.lowerId, against: 'part', againstId: strut.upperId }, standing);
  if ('code' in found) return found;
  const { along, a, b, angle, foot, isInner } = found;
  if (!isInner || angle < 10 || angle > 170)
    return {
      code: 'NO_CORNER',
      title: `A gusset does not go into an angle of ${Math.round(angle)}°`,
      detail: 'It goes into a corner from 10° to 170° whose inside is free.',
    };
  const flatUp = add3(b, times3(a, -Math.cos((angle * Math.PI) / 180))),
    length = Math.sin((angle * Math.PI) / 180),
    y = times3(flatUp, 1 / length),
    // Square to both, so that it is right-handed with the legs.
    z = point3(a.y * y.z - a.z * y.y, a.z * y.x - a.x * y.z, a.x * y.y - a.y * y.x);
  const second = (mm: number): Point => ({ x: mm * Math.cos((angle * Math.PI) / 180), y: mm * length });
  const off = FILM_MM / Math.tan((angle * Math.PI) / 360);
  const shift = (p: Point): Point => ({ x: p.x + off, y: p.y + FILM_MM });
  const ends = [
    corner(shift({ x: RELIEF_MM, y: 0 }), 'first'),
    corner(shift({ x: strut.firstMm, y: 0 }), 'long'),
    corner(shift(second(strut.secondMm)), 'second'),
    corner(shift(second(RELIEF_MM)), 'relief'),
  ];
  const plates = Array.from({ length: strut.boards }, (_, index): StrutPlate => {
    const at = (index - strut.boards / 2) * (thicknessMm + (index > 0 ? FILM_MM : 0));
    return {
      outline: ends,
      edgeWork: [],
      map: { x: a, y, z, origin: add3(foot, add3(times3(along, strut.alongMm), times3(z, at))) },
    };
  });
  const corners = plates.flatMap(({ map }) => ends.map(({ at }) => into(map, at)));
  return {
    strut,
    plates,
    isPair:
      Math.abs(corners.reduce((sum, p) => sum + p.y, 0) / corners.length) > MIDDLE_MM && standsAlike(strut, standing),
    lengthMm: distance(ends[1]!.at, ends[2]!.at),
    foreMm: strut.firstMm,
    aftMm: strut.secondMm,
    lowerDegrees: angle,
    upperDegrees: angle,
    lowerBevel: 0,
    upperBevel: 0,
    reliefs: [],
    corners,
  };
}
