import { memo } from '../units/index.ts';
import type { Plan } from './plan.ts';
import { placedThings } from './guides.ts';
import { isSurface, type PlannedThing } from './things/thing.ts';

/** A thing at another size of the airframe: wings, tails and bodies grow; board, wheels, propeller and what is bought keep their size. */
function scaledThing(thing: PlannedThing, factor: number): PlannedThing {
  const at = { x: thing.at.x * factor, y: thing.at.y * factor, z: thing.at.z * factor };
  if (isSurface(thing)) {
    const { stations, control } = thing;
    return {
      ...thing,
      at,
      apartMm: thing.apartMm * factor,
      // A plate stays one board; a folded wing grows.
      thicknessMm: thing.thicknessMm,
      stations: stations.map(({ outMm, sweepMm, chordMm }) => ({
        outMm: outMm * factor,
        sweepMm: sweepMm * factor,
        chordMm: chordMm * factor,
      })),
      ...(control
        ? {
            control: {
              ...control,
              fromMm: control.fromMm * factor,
              toMm: control.toMm * factor,
              chordMm: control.chordMm * factor,
            },
          }
        : {}),
    };
  }
  switch (thing.kind) {
    case 'body':
      return {
        ...thing,
        at,
        stations: thing.stations.map(({ aftMm, bottomMm, topMm, widthMm }) => ({
          aftMm: aftMm * factor,
          bottomMm: bottomMm * factor,
          topMm: topMm * factor,
          widthMm: widthMm * factor,
        })),
      };
    case 'wheel':
      return { ...thing, at, apartMm: thing.apartMm * factor, legMm: thing.legMm * factor };
    default:
      return { ...thing, at };
  }
}

/**
 * A plan at the airframe's factor, for its figures: what is drawn keeps the size that it is drawn in. Weighed wings and bodies weigh by
 * their area.
 */
export const scalePlan: (plan: Plan, factor: number) => Plan = memo(
  (plan: Plan, factor: number): Plan =>
    factor === 1
      ? plan
      : {
          ...plan,
          guides: plan.guides.map((guide) => ({ ...guide, byMm: guide.byMm * factor })),
          things: placedThings(plan).map((thing) => {
            const { heldBy: _held, ...scaled } = scaledThing(thing, factor);
            const grows = (isSurface(thing) || thing.kind === 'body') && thing.massG !== undefined;
            return (grows ? { ...scaled, massG: thing.massG! * factor ** 2 } : scaled) as PlannedThing;
          }),
        },
  (factor) => factor,
);
