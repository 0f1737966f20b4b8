import { applyRigid, point3, STILL, times3, type Point, type Point3 } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { radians } from '../../units/index.ts';
import {
  madePart,
  placeOf,
  roomOnPiece,
  type MadeCorner,
  type MadeEdgeWork,
  type MadeHole,
  type MadeLine,
} from '../form/index.ts';
import { frontAt, onPlane, planeMap, propellerMiddle } from './thrust.ts';
import { dowelHoles } from './box-dowels.ts';
import { stood, type PowerSite, type StripLine } from './power-site.ts';

/** Room for glue round plates within a box, in mm. */
const GLUE_FILM_MM = 0.1;

/** Folds run on so far over the ends of the strip, whose plates are cut to different lengths: they are clipped to it. */
const RUN_ON_MM = 2;
/** Angles of thrust below this leave a front that is cut square, in degrees. */
const SQUARE_DEGREES = 0.3;

/** One plate's front on the strip, from starboard to port, and how the knife leans along it. */
interface FrontEdge {
  readonly name: string;
  readonly from: StripLine;
  readonly to: StripLine;
  /** Where the drawn edge begins and ends: at its greatest extent. */
  readonly fromMm: number;
  readonly toMm: number;
  /** Off square; above 0 the face, the inside of the folded strip, is cut back. */
  readonly leanDegrees: number;
}

/** The front of every plate of the strip, cut in the firewall's plane. */
function frontEdges({ turn, strip, board }: PowerSite): readonly FrontEdge[] {
  const { rightDegrees: right, downDegrees: down } = turn;
  const leans: Readonly<Record<string, number>> = {
    'trench-port': -right,
    'floor-port': right,
    'floor-starboard': -down,
    'wall-starboard': -right,
    'inner-starboard': right,
  };
  return strip
    .slice(1)
    .map((from, index): FrontEdge => {
      const to = strip[index]!,
        wanted = leans[from.name] ?? 0,
        leanDegrees = Math.abs(wanted) < SQUARE_DEGREES ? 0 : wanted,
        forward = leanDegrees < 0 ? board.thicknessMm * Math.tan(radians(-leanDegrees)) : 0;
      return { name: from.name, from, to, fromMm: from.frontMm - forward, toMm: to.frontMm - forward, leanDegrees };
    })
    .reverse();
}

/** The box: one strip, its floor in the middle, walls folded up, doubled over their skin. */
function boxPart(site: PowerSite): Part {
  const { form, power, strip, board } = site,
    rear = power.lengthMm,
    floor = strip.findIndex(({ name }) => name === 'floor-port'),
    t = board.thicknessMm;
  const middle = (strip[floor]!.along + strip[floor + 1]!.along) / 2,
    fronts = frontEdges(site);
  // Round with the board to the left: the front from starboard to port is the last of it.
  const outline: readonly MadeCorner[] = [
    { at: { x: fronts.at(-1)!.toMm, y: strip[0]!.along }, edge: 'foot-port' },
    { at: { x: rear, y: strip[0]!.along }, edge: 'rear' },
    { at: { x: rear, y: strip.at(-1)!.along }, edge: 'foot-starboard' },
    ...fronts.flatMap(({ name, from, to, fromMm, toMm }): readonly MadeCorner[] => [
      { at: { x: fromMm, y: from.along }, edge: `front-${name}` },
      { at: { x: toMm, y: to.along }, edge: `step-${name}` },
    ]),
  ].slice(0, -1);
  const fold = (name: string, from: Point, to: Point, work: MadeLine['work']): MadeLine => ({ name, from, to, work });
  const across = ({
    along,
    frontMm,
  }: {
    readonly along: number;
    readonly frontMm: number;
  }): readonly [Point, Point] => [
    { x: frontMm - RUN_ON_MM, y: along },
    { x: rear + RUN_ON_MM, y: along },
  ];
  const lines = [
    ...strip
      .filter(({ name }) => name.startsWith('floor'))
      .map((one) =>
        fold(one.name, ...across(one), { kind: 'groove', face: 'face', foldDegrees: 90, mouthMm: 'auto', label: '' }),
      ),
    ...['port', 'starboard'].flatMap((side) => {
      const [a, b] = ['trench', 'wall'].map((name) => strip.find((one) => one.name === `${name}-${side}`));
      if (!a || !b) return [];
      const both = { along: (a.along + b.along) / 2, frontMm: Math.min(a.frontMm, b.frontMm) };
      return [
        fold(`double-${side}`, ...across(both), {
          kind: 'trench',
          face: 'face',
          foldDegrees: 180,
          widthMm: 2 * t,
          side: 'centre',
          label: '',
        }),
      ];
    }),
  ];
  return madePart({
    formId: form.id,
    role: 'box',
    name: `${form.name} strip`,
    group: form.name,
    material: power.material,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'any' },
    outline,
    holes: dowelHoles(site),
    lines,
    edgeWork: fronts.flatMap(({ name, leanDegrees }): readonly MadeEdgeWork[] =>
      leanDegrees === 0
        ? []
        : [
            {
              name: `bevel-${name}`,
              edges: [`front-${name}`],
              work: {
                kind: 'bevel',
                face: leanDegrees > 0 ? 'face' : 'back',
                bevelDegrees: Math.round(100 * Math.abs(leanDegrees)) / 100,
                label: '',
              },
            },
          ],
    ),
    place: placeOf(stood(site, { ...STILL, origin: point3(0, -middle, 0) }), { x: rear / 2, y: middle }),
  });
}

/** Holes for bolts, shaft and leads, as far as they lie within a plate. */
function motorHoles({ power, motor, bolts, lead }: PowerSite): readonly MadeHole[] {
  const round = (name: string, centre: Point, acrossMm: number): readonly MadeHole[] =>
    acrossMm > 0 ? [{ name, sizing: 'fixed', round: { centre, radiusMm: acrossMm / 2 } }] : [];
  return [
    ...bolts.flatMap((place, index) => round(`bolt-${index + 1}`, place, power.pattern.boltMm)),
    ...round('shaft', motor, power.pattern.shaftMm),
    ...round('lead', lead, power.leadMm),
  ];
}

/** The corners of a rectangle across the box, where the firewall's plane cuts it, on its flat. */
function cutAcross({ thrust }: PowerSite, halfMm: number, lowMm: number, highMm: number): readonly Point[] {
  return (
    [
      [-halfMm, lowMm],
      [halfMm, lowMm],
      [halfMm, highMm],
      [-halfMm, highMm],
    ] as const
  ).map(([y, z]) => onPlane(thrust, point3(frontAt(thrust, y, z), y, z)));
}

/** A plate parallel to the firewall. */
function platePart(site: PowerSite, role: string, name: string, ring: readonly Point[], aftMm: number): Part {
  const { form, power } = site,
    names = ['foot', 'starboard', 'top', 'port'],
    outline = ring.map((at, index): MadeCorner => ({ at, edge: names[index]! })),
    holes = motorHoles(site),
    map = stood(site, planeMap(site.thrust, aftMm));
  return madePart({
    formId: form.id,
    role,
    name: `${form.name} ${name}`,
    group: form.name,
    material: power.plateMaterial,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'any' },
    outline,
    holes,
    place: placeOf(map, roomOnPiece(ring, outline, holes)),
  });
}

/** Plates within lean against walls that do not: they are as much smaller as their thickness takes them aside. */
const plugRoom = ({ power, plate }: PowerSite): number =>
  GLUE_FILM_MM +
  power.plugLayers *
    plate.thicknessMm *
    Math.tan(radians(Math.max(Math.abs(power.rightDegrees), Math.abs(power.downDegrees))));

function plateParts(site: PowerSite): readonly Part[] {
  const { power, board, plate, widthMm, heightMm } = site,
    t = plate.thicknessMm,
    room = plugRoom(site);
  const front = cutAcross(site, widthMm / 2, 0, heightMm),
    within = cutAcross(site, power.insideWidthMm / 2 - room, board.thicknessMm + room, heightMm);
  return [
    ...Array.from({ length: power.frontLayers }, (_, index) =>
      platePart(site, `front-${index + 1}`, `firewall ${index + 1}`, front, -t * (index + 1)),
    ),
    ...Array.from({ length: power.plugLayers }, (_, index) =>
      platePart(site, `plug-${index + 1}`, `firewall, inside ${index + 1}`, within, t * index),
    ),
  ];
}
function ringPart(site: PowerSite): readonly Part[] {
  const { form, power, plate, motor } = site;
  if (!power.ring) return [];
  const { outerMm, innerMm, aheadMm } = power.ring,
    r = outerMm / 2,
    map = planeMap(site.thrust, -(power.frontLayers * plate.thicknessMm + aheadMm + plate.thicknessMm)),
    middle = applyRigid(map, point3(motor.x, motor.y, 0));
  const outline: readonly MadeCorner[] = [
    { at: { x: r, y: 0 }, edge: 'rim-1', bulge: 1 },
    { at: { x: -r, y: 0 }, edge: 'rim-2', bulge: 1 },
  ];
  return [
    madePart({
      formId: form.id,
      role: 'ring',
      name: `${form.name} nose ring`,
      group: form.name,
      material: power.plateMaterial,
      handed: 'single',
      grain: { directionDegrees: 0, rule: 'any' },
      outline,
      holes: [{ name: 'hole', sizing: 'fixed', round: { centre: { x: 0, y: 0 }, radiusMm: innerMm / 2 } }],
      place: placeOf(stood(site, { ...map, origin: middle }), { x: (outerMm + innerMm) / 4, y: 0 }),
    }),
  ];
}

/** The parts of a power box: its strip, the plates of its firewall, its nose ring. */
export const powerParts = (site: PowerSite): readonly Part[] => [boxPart(site), ...plateParts(site), ...ringPart(site)];

/** What a propeller sweeps, in the airframe. */
export interface PropellerDisc {
  readonly centre: Point3;
  /** Along the shaft, from the firewall out. */
  readonly axis: Point3;
  readonly radiusMm: number;
}

/** The disc of a power box's propeller. */
export function propellerDisc(site: PowerSite): PropellerDisc {
  const { thrust, power, plate } = site,
    before = power.reachMm + power.frontLayers * plate.thicknessMm,
    { origin, z } = stood(site, { ...planeMap(thrust, 0), origin: propellerMiddle(thrust, before) });
  return { centre: origin, axis: times3(z, -1), radiusMm: power.propellerMm / 2 };
}
