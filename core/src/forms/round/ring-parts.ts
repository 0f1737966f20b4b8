import { point3 } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { degrees } from '../../units/index.ts';
import { madePart, placeOf, type MadeHole } from '../form/index.ts';
import type { RoundRing } from './parameters.ts';
import { radiusAt } from './round-profile.ts';
import type { RoundSite } from './round-site.ts';

/** Room for glue between a ring and the bore, in mm. */
export const GLUE_FILM_MM = 0.15;
/** Slopes over a ring's thickness below this are cut square, in mm. */
const SQUARE_MM = 0.1;
/** A hole narrower than this is none, in mm across. */
const LEAST_HOLE_MM = 4;

/** A ring as it is cut. */
export interface CutRing {
  readonly ring: RoundRing;
  readonly material: string;
  readonly thicknessMm: number;
  /** Of its rim, at its wider face. */
  readonly radiusMm: number;
  /** Of its rim off square, and the face that is smaller: 'back' is the fore one. */
  readonly bevelDegrees: number;
  readonly smaller: 'face' | 'back';
  /** Of its hole; 0 for a full disc. */
  readonly holeMm: number;
}

/** How a ring is cut to the bore: its rim leans as the side does where it stands, square where two frusta meet on it. */
export function cutRing({ round, bore, boardOf }: RoundSite, ring: RoundRing): CutRing {
  const material = ring.material ?? round.material,
    { thicknessMm } = boardOf(material),
    from = ring.aftMm,
    to = from + thicknessMm;
  const [a, b] = [radiusAt(bore, from), radiusAt(bore, to)],
    isOnJoint = bore.slice(1, -1).some(({ x }) => x > from && x < to),
    isSquare = isOnJoint || Math.abs(b - a) < SQUARE_MM;
  const least = Math.min(a, b, ...bore.filter(({ x }) => x > from && x < to).map(({ y }) => y));
  const radiusMm = (isSquare ? least : Math.max(a, b)) - GLUE_FILM_MM;
  const hole = least - GLUE_FILM_MM - ring.rimMm;
  return {
    ring,
    material,
    thicknessMm,
    radiusMm,
    bevelDegrees: isSquare ? 0 : degrees(Math.atan(Math.abs(b - a) / thicknessMm)),
    smaller: b > a ? 'back' : 'face',
    holeMm: ring.rimMm > 0 && 2 * hole >= LEAST_HOLE_MM ? hole : 0,
  };
}

function ringPart(site: RoundSite, ring: RoundRing, number: number): Part {
  const { form } = site,
    { material, radiusMm, bevelDegrees, smaller, holeMm } = cutRing(site, ring),
    { x, y, z } = form.place.at;
  const holes: readonly MadeHole[] =
    holeMm > 0 ? [{ name: 'hole', sizing: 'scaled', round: { centre: { x: 0, y: 0 }, radiusMm: holeMm } }] : [];
  return madePart({
    formId: form.id,
    role: `ring-${ring.id}`,
    name: `${form.name} ${holeMm > 0 ? 'ring' : 'disc'} ${number}`,
    group: form.name,
    material,
    handed: 'single',
    grain: { directionDegrees: 90, rule: 'any' },
    outline: [
      { at: { x: radiusMm, y: 0 }, edge: 'rim-1', bulge: 1 },
      { at: { x: -radiusMm, y: 0 }, edge: 'rim-2', bulge: 1 },
    ],
    holes,
    edgeWork:
      bevelDegrees > 0
        ? [
            {
              name: 'bevel-rim',
              edges: ['rim-1', 'rim-2'],
              work: { kind: 'bevel', face: smaller, bevelDegrees: Math.round(100 * bevelDegrees) / 100, label: '' },
            },
          ]
        : [],
    place: placeOf(
      { x: point3(0, 1, 0), y: point3(0, 0, 1), z: point3(1, 0, 0), origin: point3(x + ring.aftMm, y, z) },
      { x: holeMm > 0 ? (radiusMm + holeMm) / 2 : 0, y: 0 },
    ),
  });
}

/** The rings and discs of a round. */
export const ringParts = (site: RoundSite): readonly Part[] =>
  site.round.rings.map((ring, index) => ringPart(site, ring, index + 1));
