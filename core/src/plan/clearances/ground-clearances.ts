import type { Point } from '../../geometry/index.ts';
import { degrees, lengthText } from '../../units/index.ts';
import type { PlannedThing, PropellerThing } from '../things/thing.ts';
import { boxOfThing } from '../things/thing-box.ts';
import type { Clearance, PlanMend, SweptShape } from './clearance.ts';
import { groundOf, heightOver, tailPoints, type Ground } from './ground.ts';

/** Least room under a propeller on short grass, and what a mend gives. */
const LEAST_PROPELLER_MM = 20;
/** A line from the wheel to the balance point leans so far back from upright on a tail dragger that stays on its wheels. */
const NOSE_OVER: readonly [number, number] = [12, 28];
/** The tail comes down so far before it strikes: enough to take off with. */
const LEAST_STRIKE_DEGREES = 8;

/** Where the mass lies in the side view. */
export interface MassPlace {
  readonly x: number;
  readonly z: number;
}

function groundLine(things: readonly PlannedThing[], line: Ground['level']): SweptShape {
  const boxes = things.map(boxOfThing);
  const from = Math.min(...boxes.map(({ min }) => min.x)) - 60,
    to = Math.max(...boxes.map(({ max }) => max.x)) + 60;
  const at = (x: number): Point => ({ x, y: line.at.y + line.slope * (x - line.at.x) });
  return { view: 'side', kind: 'ground', isClosed: false, points: [at(from), at(to)] };
}

/** Wheels, propeller and tail over the ground. @param balance where the mass lies; angles are left out without it */
export function groundClearances(
  things: readonly PlannedThing[],
  balance: MassPlace | undefined,
): readonly Clearance[] {
  const ground = groundOf(things, balance?.x);
  if (!ground) return [];
  return [
    ...propellerOverGround(things, ground, balance?.x),
    ...(balance ? noseOver(ground, balance) : []),
    ...tailStrike(things, ground),
  ];
}

/** The room under every propeller, standing and with the tail up. */
function propellerOverGround(
  things: readonly PlannedThing[],
  ground: Ground,
  balanceMm: number | undefined,
): readonly Clearance[] {
  const roomUnder = (
    propeller: PropellerThing,
    { standing, level }: Ground,
  ): readonly [standing: number, up: number] => {
    const tip = { x: propeller.at.x, y: propeller.at.z - propeller.diameterMm / 2 };
    return [heightOver(standing, tip), heightOver(level, tip)];
  };
  return things.flatMap((propeller): readonly Clearance[] => {
    if (propeller.kind !== 'propeller') return [];
    const [standing, level] = roomUnder(propeller, ground),
      isTailUp = level <= standing;
    const leastWith = (leg: number): number => {
      const longer = things.map((thing) =>
        thing.id === ground.main.thing.id ? { ...ground.main.thing, legMm: leg } : thing,
      );
      const found = groundOf(longer, balanceMm);
      return found ? Math.min(...roomUnder(propeller, found)) : Number.NEGATIVE_INFINITY;
    };
    const { legMm } = ground.main.thing,
      needed = legThatGives(leastWith, legMm),
      smaller = propeller.diameterMm - 2 * (LEAST_PROPELLER_MM - Math.min(standing, level));
    const mends: PlanMend[] = [
      ...(needed === undefined
        ? []
        : [
            {
              label: `Leg of ${ground.main.thing.name} ${lengthText(needed)}`,
              changes: [{ thingId: ground.main.thing.id, set: { legMm: needed } }],
            },
          ]),
      ...(smaller > 0
        ? [
            {
              label: `Propeller of ${lengthText(Math.floor(smaller))}`,
              changes: [{ thingId: propeller.id, set: { diameterMm: Math.floor(smaller) } }],
            },
          ]
        : []),
    ];
    return [
      {
        key: `propeller-ground:${propeller.id}`,
        word: `${propeller.name} over the ground`,
        amount: Math.min(standing, level),
        quantity: 'length',
        least: LEAST_PROPELLER_MM,
        thingIds: [propeller.id, ground.main.thing.id],
        swept: [groundLine(things, ground.level), ...(ground.other ? [groundLine(things, ground.standing)] : [])],
        place: { view: 'side', at: { x: propeller.at.x, y: propeller.at.z - propeller.diameterMm / 2 } },
        told: `${lengthText(standing)} standing, ${lengthText(level)} with the tail up; ${isTailUp ? 'the second' : 'the first'} counts.`,
        mends,
      },
    ];
  });
}

/** The shortest longer leg that gives the room, to the next half millimetre; undefined where none does within a metre. */
function legThatGives(leastWith: (leg: number) => number, from: number): number | undefined {
  const MOST = 1000;
  if (leastWith(MOST) < LEAST_PROPELLER_MM) return undefined;
  let [low, high] = [from, MOST];
  for (let round = 0; round < 40; round++) {
    const middle = (low + high) / 2;
    if (leastWith(middle) >= LEAST_PROPELLER_MM) high = middle;
    else low = middle;
  }
  return Math.ceil(high * 2 - 1e-6) / 2;
}

/** How far the line from where the main wheels touch to the balance point leans back from upright. */
function noseOver({ main, level, other }: Ground, balance: MassPlace): readonly Clearance[] {
  const isTailDragger = !other || other.axle.x > main.axle.x;
  if (!isTailDragger) return [];
  const lean = degrees(Math.atan2(balance.x - level.at.x, balance.z - level.at.y));
  // To lean by the middle of what is usual the wheels stand so far before the balance point.
  const wanted = Math.tan(((NOSE_OVER[0] + NOSE_OVER[1]) / 2 / 180) * Math.PI) * (balance.z - level.at.y),
    move = balance.x - wanted - level.at.x;
  return [
    {
      key: 'nose-over',
      word: 'Nose-over angle',
      amount: lean,
      quantity: 'angle',
      least: NOSE_OVER[0],
      most: NOSE_OVER[1],
      thingIds: [main.thing.id],
      swept: [{ view: 'side', kind: 'sight', isClosed: false, points: [level.at, { x: balance.x, y: balance.z }] }],
      place: { view: 'side', at: level.at },
      told: 'From upright over the wheels back to the balance point, tail up: less and it noses over, more and the tail is slow to rise.',
      mends: [
        {
          label: `${main.thing.name} ${lengthText(Math.abs(move))} ${move < 0 ? 'forward' : 'aft'}`,
          changes: [{ thingId: main.thing.id, at: { ...main.thing.at, x: main.thing.at.x + move } }],
        },
      ],
    },
  ];
}

/** How far the tail comes down before something strikes the ground; a tail wheel is meant to touch and says how far the nose points up. */
function tailStrike(
  things: readonly PlannedThing[],
  { main, level, other, stanceDegrees }: Ground,
): readonly Clearance[] {
  const points = tailPoints(things, level.at.x + 1);
  if (points.length === 0) return [];
  const angleOf = ({ at }: (typeof points)[number]): number =>
    degrees(Math.atan2(at.y - level.at.y, at.x - level.at.x));
  const first = points.reduce((best, point) => (angleOf(point) < angleOf(best) ? point : best));
  const hasTailWheel = other !== undefined && other.axle.x > main.axle.x,
    angle = angleOf(first);
  return [
    {
      key: 'tail-strike',
      word: 'Tail-strike angle',
      amount: angle,
      quantity: 'angle',
      // With a tail wheel the tail must clear when it stands; a wheel under the nose wants room to lift off.
      least: hasTailWheel ? stanceDegrees : LEAST_STRIKE_DEGREES,
      thingIds: [first.thing.id],
      swept: [{ view: 'side', kind: 'sight', isClosed: false, points: [level.at, first.at] }],
      place: { view: 'side', at: first.at },
      told: hasTailWheel
        ? `${first.thing.name} strikes there; it stands at ${stanceDegrees.toFixed(1)}° on its tail.`
        : `${first.thing.name} strikes there as the tail comes down.`,
      mends: [
        {
          label: `Leg of ${main.thing.name} ${lengthText(main.thing.legMm + 20)}`,
          changes: [{ thingId: main.thing.id, set: { legMm: main.thing.legMm + 20 } }],
        },
      ],
    },
  ];
}
