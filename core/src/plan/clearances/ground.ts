import type { Point } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import { isSurface, type PlannedThing, type WheelThing } from '../things/thing.ts';
import { boxOfThing, placedChords } from '../things/thing-box.ts';

/** A round foot that stands on the ground: a wheel or a skid's end, in the side view. */
interface Foot {
  readonly thing: WheelThing;
  readonly axle: Point;
  readonly radiusMm: number;
}

/** How a plan stands: on two feet one behind the other, or on one at the attitude in which it is drawn. */
export interface Ground {
  readonly main: Foot;
  readonly other?: Foot;
  /** The line of the ground in the side view, standing: y over x, and its slope, nose up above 0. */
  readonly standing: { readonly at: Point; readonly slope: number };
  /** The level line under the main feet: tail up, or running on them alone. */
  readonly level: { readonly at: Point; readonly slope: number };
  /** How far the nose points up, standing. */
  readonly stanceDegrees: number;
}

const footOf = (thing: WheelThing): Foot => ({
  thing,
  axle: { x: thing.at.x, y: thing.at.z - thing.legMm },
  radiusMm: thing.diameterMm / 2,
});

/**
 * How an airframe stands on its wheels; undefined without any. The main feet are those nearest to the balance point before the others.
 * @param balanceMm where it balances, or about
 * @source the line that touches two circles from below
 */
export function groundOf(things: readonly PlannedThing[], balanceMm: number | undefined): Ground | undefined {
  const feet = things.filter((thing): thing is WheelThing => thing.kind === 'wheel').map(footOf);
  if (feet.length === 0) return undefined;
  const lowest = (foot: Foot): number => foot.axle.y - foot.radiusMm;
  const byNearness = [...feet].sort((a, b) =>
    balanceMm === undefined ? lowest(a) - lowest(b) : Math.abs(a.axle.x - balanceMm) - Math.abs(b.axle.x - balanceMm),
  );
  const main = byNearness[0]!;
  const level = { at: { x: main.axle.x, y: lowest(main) }, slope: 0 };
  // The other foot is the furthest one: a tail wheel, or a nose wheel.
  const other = byNearness.filter((foot) => Math.abs(foot.axle.x - main.axle.x) > foot.radiusMm).at(-1);
  if (!other) return { main, level, standing: level, stanceDegrees: 0 };
  const [fore, aft] = main.axle.x < other.axle.x ? [main, other] : [other, main];
  const dx = aft.axle.x - fore.axle.x,
    dy = aft.axle.y - fore.axle.y,
    reach = Math.hypot(dx, dy);
  // The tangent turns from the line of the axles by the difference of the radii.
  const turn = Math.atan2(dy, dx) - Math.asin(Math.max(-1, Math.min(1, (aft.radiusMm - fore.radiusMm) / reach)));
  const at = { x: fore.axle.x + fore.radiusMm * Math.sin(turn), y: fore.axle.y - fore.radiusMm * Math.cos(turn) };
  return {
    main,
    other,
    level,
    standing: { at, slope: Math.tan(turn) },
    // The ground rises aft where the nose points up against it.
    stanceDegrees: degrees(turn),
  };
}

/** How far a point is above a line of the ground, square to it; below 0 it is in the ground. */
export const heightOver = ({ at, slope }: Ground['level'], { x, y }: Point): number =>
  (y - at.y - slope * (x - at.x)) / Math.hypot(1, slope);

/** The lowest points of everything behind the main feet that is no wheel: what strikes first as the tail comes down. */
export function tailPoints(
  things: readonly PlannedThing[],
  behind: number,
): readonly { thing: PlannedThing; at: Point }[] {
  return things
    .filter(({ kind }) => kind !== 'wheel' && kind !== 'propeller')
    .flatMap((thing): readonly { thing: PlannedThing; at: Point }[] => {
      if (thing.kind === 'body')
        return thing.stations.map(({ aftMm, bottomMm }) => ({
          thing,
          at: { x: thing.at.x + aftMm, y: thing.at.z + bottomMm },
        }));
      if (isSurface(thing))
        return placedChords(thing).flatMap(({ x, z, chordMm }) =>
          [x, x + chordMm].map((place) => ({
            thing,
            at: { x: place, y: z - (thing.kind === 'fin' ? 0 : thing.thicknessMm / 2) },
          })),
        );
      const { min, max } = boxOfThing(thing);
      return [
        { thing, at: { x: min.x, y: min.z } },
        { thing, at: { x: max.x, y: min.z } },
      ];
    })
    .filter(({ at }) => at.x > behind);
}
