import type { Point } from '../../geometry/index.ts';
import type { Point3 } from '../../geometry/index.ts';
import { lengthText, radians } from '../../units/index.ts';
import { bodyAt } from '../things/body-at.ts';
import { chordAt } from '../things/surface-measures.ts';
import { placedChords } from '../things/thing-box.ts';
import {
  isSurface,
  type BodyThing,
  type ControlSurface,
  type PlannedThing,
  type SurfaceThing,
} from '../things/thing.ts';
import type { Clearance, SweptShape } from './clearance.ts';

/** Least room beside a control surface: hinges wear, foam swells. */
const LEAST_MM = 1.5;
const TURNS = 12,
  PLACES = 16;

type Controlled = SurfaceThing & { readonly control: ControlSurface };
const isControlled = (thing: PlannedThing): thing is Controlled => isSurface(thing) && thing.control !== undefined;

/** A place on a surface some way out, to starboard or up a fin. */
function outAt(surface: SurfaceThing, outMm: number, side: 1 | -1): { readonly y: number; readonly z: number } {
  const chords = placedChords(surface),
    upper = surface.stations.findIndex((station) => station.outMm >= outMm),
    index = Math.max(1, upper < 0 ? chords.length - 1 : upper);
  const [a, b] = [chords[index - 1]!, chords[index]!],
    [from, to] = [surface.stations[index - 1]!.outMm, surface.stations[index]!.outMm],
    t = to === from ? 0 : (outMm - from) / (to - from);
  return { y: side * (a.y + t * (b.y - a.y)), z: a.z + t * (b.z - a.z) };
}

/** The inner or outer end of a control surface, from its hinge to its trailing edge. */
export interface ControlEnd {
  readonly hingeMm: number;
  readonly chordMm: number;
  readonly y: number;
  readonly z: number;
}
function endOf(surface: Controlled, outMm: number, side: 1 | -1): ControlEnd {
  const { sweepMm, chordMm } = chordAt(surface, outMm),
    trailing = surface.at.x + sweepMm + chordMm,
    own = Math.min(surface.control.chordMm, chordMm);
  return { hingeMm: trailing - own, chordMm: own, ...outAt(surface, outMm, side) };
}

/** What a control surface sweeps at one end: the sector from full up to full down, in the side view or, of a rudder, the top view. */
function sweptAt(surface: Controlled, { hingeMm, chordMm, y, z }: ControlEnd): SweptShape {
  const { upDegrees, downDegrees } = surface.control,
    isFin = surface.kind === 'fin';
  const arc = Array.from({ length: TURNS + 1 }, (_, step): Point => {
    const angle = radians(-downDegrees + ((upDegrees + downDegrees) * step) / TURNS);
    return { x: hingeMm + chordMm * Math.cos(angle), y: (isFin ? y : z) + chordMm * Math.sin(angle) };
  });
  return {
    view: isFin ? 'top' : 'side',
    kind: 'swept',
    isClosed: true,
    points: [{ x: hingeMm, y: isFin ? y : z }, ...arc],
  };
}

/** What every control surface sweeps, drawn at its inner end. */
export const sweptControls = (things: readonly PlannedThing[]): readonly SweptShape[] =>
  things.filter(isControlled).map((surface) => sweptAt(surface, endOf(surface, surface.control.fromMm, 1)));

/** A flat plate of a control surface, turned: its corners, in order. */
function plate(surface: Controlled, degreesUp: number, side: 1 | -1): readonly Point3[] {
  const { fromMm, toMm } = surface.control,
    turn = radians(degreesUp);
  const ends = [fromMm, toMm].map((out) => endOf(surface, out, side));
  const tip = ({ hingeMm, chordMm, y, z }: ControlEnd): Point3 =>
    surface.kind === 'fin'
      ? { x: hingeMm + chordMm * Math.cos(turn), y: y + chordMm * Math.sin(turn), z }
      : { x: hingeMm + chordMm * Math.cos(turn), y, z: z + chordMm * Math.sin(turn) };
  const hinge = ({ hingeMm, y, z }: ControlEnd): Point3 => ({ x: hingeMm, y, z });
  return [hinge(ends[0]!), tip(ends[0]!), tip(ends[1]!), hinge(ends[1]!)];
}

const between = (a: Point3, b: Point3, t: number): Point3 => ({
  x: a.x + t * (b.x - a.x),
  y: a.y + t * (b.y - a.y),
  z: a.z + t * (b.z - a.z),
});

/** Points all over a plate. */
function pointsOver([a, b, c, d]: readonly Point3[]): readonly Point3[] {
  return Array.from({ length: PLACES + 1 }, (_, row) => row / PLACES).flatMap((t) =>
    Array.from({ length: PLACES + 1 }, (_, column) => between(between(a!, d!, t), between(b!, c!, t), column / PLACES)),
  );
}

/** A rudder and an elevator half through their whole throws. @returns the least distance between their plates, their thickness taken off */
function elevatorFromRudder(elevator: Controlled, rudder: Controlled, side: 1 | -1): { mm: number; at: Point } {
  let best = { mm: Number.POSITIVE_INFINITY, at: { x: 0, y: 0 } };
  const throws = ({ control: { upDegrees, downDegrees } }: Controlled): readonly number[] =>
    [0, 0.25, 0.5, 0.75, 1].map((share) => -downDegrees + share * (upDegrees + downDegrees));
  const thickness = (elevator.thicknessMm + rudder.thicknessMm) / 2;
  const rudderPoints = throws(rudder).flatMap((turn) => pointsOver(plate(rudder, turn, 1)));
  for (const turn of throws(elevator)) {
    // The inner end is what a rudder meets first: its plate is level across, so that a point's nearest place is found by clamping.
    const [hinge, tip, outerTip] = plate(elevator, turn, side) as [Point3, Point3, Point3, Point3];
    const [along, across] = [{ x: tip.x - hinge.x, z: tip.z - hinge.z }, side * (outerTip.y - tip.y)];
    const square = along.x ** 2 + along.z ** 2 || 1;
    for (const p of rudderPoints) {
      const t = Math.max(0, Math.min(1, ((p.x - hinge.x) * along.x + (p.z - hinge.z) * along.z) / square)),
        out = side * (p.y - tip.y),
        aside = out < 0 ? -out : Math.max(0, out - across);
      const mm = Math.hypot(p.x - hinge.x - t * along.x, p.z - hinge.z - t * along.z, aside) - thickness;
      if (mm < best.mm) best = { mm, at: { x: p.x, y: p.y } };
    }
  }
  return best;
}

/** Elevators against rudders at full throw both ways, ailerons against bodies. */
export function controlClearances(things: readonly PlannedThing[]): readonly Clearance[] {
  const controlled = things.filter(isControlled),
    bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body');
  const rudders = controlled.filter(({ kind }) => kind === 'fin'),
    elevators = controlled.filter(({ kind }) => kind === 'tail'),
    ailerons = controlled.filter(({ kind }) => kind === 'wing');
  return [
    ...elevators.flatMap((elevator) => rudders.map((rudder) => tailClearance(elevator, rudder))),
    ...ailerons.flatMap((wing) => bodies.flatMap((body) => aileronClearance(wing, body))),
  ].filter(({ amount }) => Number.isFinite(amount));
}

function tailClearance(elevator: Controlled, rudder: Controlled): Clearance {
  const found = ([1, -1] as const)
    .map((side) => elevatorFromRudder(elevator, rudder, side))
    .reduce((best, one) => (one.mm < best.mm ? one : best));
  const short = LEAST_MM - found.mm,
    fromMm = Math.ceil((elevator.control.fromMm + Math.max(0, short)) * 2) / 2;
  return {
    key: `elevator:${elevator.id}:${rudder.id}`,
    word: `Elevator from rudder`,
    amount: found.mm,
    quantity: 'length',
    least: LEAST_MM,
    thingIds: [elevator.id, rudder.id],
    swept: [
      sweptAt(rudder, endOf(rudder, rudder.control.fromMm, 1)),
      sweptAt(elevator, endOf(elevator, elevator.control.fromMm, 1)),
    ],
    place: { view: 'top', at: found.at },
    told: `${elevator.name} and ${rudder.name} at full throw, both ways.`,
    mends:
      fromMm < elevator.control.toMm
        ? [
            {
              label: `Elevator begins ${lengthText(fromMm)} out`,
              changes: [{ thingId: elevator.id, set: { 'control.fromMm': fromMm } }],
            },
          ]
        : [],
  };
}

function aileronClearance(wing: Controlled, body: BodyThing): readonly Clearance[] {
  const end = endOf(wing, wing.control.fromMm, 1);
  const turns = [-wing.control.downDegrees, 0, wing.control.upDegrees].map(radians);
  // Along the end, the body is widest somewhere; it only counts where it is as high as the aileron moves.
  const gaps = Array.from({ length: PLACES + 1 }, (_, step) => step / PLACES).flatMap((t) =>
    turns.flatMap((turn) => {
      const x = end.hingeMm + t * end.chordMm * Math.cos(turn),
        z = end.z + t * end.chordMm * Math.sin(turn),
        section = bodyAt(body, x);
      if (!section || z > section.topMm + wing.thicknessMm || z < section.bottomMm - wing.thicknessMm) return [];
      return [{ mm: end.y - (body.at.y + section.widthMm / 2), at: { x, y: end.y } }];
    }),
  );
  if (gaps.length === 0) return [];
  const found = gaps.reduce((best, gap) => (gap.mm < best.mm ? gap : best)),
    fromMm = Math.ceil((wing.control.fromMm + Math.max(0, LEAST_MM - found.mm)) * 2) / 2;
  return [
    {
      key: `aileron:${wing.id}:${body.id}`,
      word: `Aileron from ${body.name}`,
      amount: found.mm,
      quantity: 'length',
      least: LEAST_MM,
      thingIds: [wing.id, body.id],
      swept: [sweptAt(wing, end)],
      place: { view: 'top', at: found.at },
      told: 'Its inner end through the whole throw.',
      mends:
        fromMm < wing.control.toMm
          ? [
              {
                label: `Aileron begins ${lengthText(fromMm)} out`,
                changes: [{ thingId: wing.id, set: { 'control.fromMm': fromMm } }],
              },
            ]
          : [],
    },
  ];
}
