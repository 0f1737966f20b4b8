import { roundLengthText } from '../../units/index.ts';
import type { ThingChange } from '../clearances/clearance.ts';
import { packReach, schoolWords } from '../figures/balance-of-plan.ts';
import type { PlanFigures } from '../figures/plan-figures.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { boxOfThing } from '../things/thing-box.ts';
import type { BodyThing, BoxThing } from '../things/thing.ts';
import type { PlanFault } from './plan-fault.ts';

/** Whether any place of the packs along the bodies balances the model; when one does, how far they are from it. */
export function balanceFaults(plan: Plan, { balance, mass }: PlanFigures): readonly PlanFault[] {
  const reach = balance && packReach(balance, mass);
  if (!balance || !reach || mass.balanceMm === undefined) return [];
  const { band, noseMm } = balance;
  if (mass.balanceMm >= band.foreMm - 0.5 && mass.balanceMm <= band.aftMm + 0.5) return [];
  const things = placedThings(plan),
    packs = things.filter((thing): thing is BoxThing => thing.kind === 'pack'),
    bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body').map(boxOfThing);
  if (bodies.length === 0) return [];
  const [first, last] = [Math.min(...bodies.map(({ min }) => min.x)), Math.max(...bodies.map(({ max }) => max.x))];
  // How far the packs can go together, forward and aft.
  const forward = Math.max(...packs.map(({ at, lengthMm }) => first + lengthMm / 2 - at.x)),
    aft = Math.min(...packs.map(({ at, lengthMm }) => last - lengthMm / 2 - at.x));
  const school = schoolWords(plan.school),
    where = `It balances ${roundLengthText(mass.balanceMm - noseMm)} from the nose; ${roundLengthText(band.foreMm - noseMm)} to ${roundLengthText(band.aftMm - noseMm)} is ${school}.`;
  const thingIds = packs.map(({ id }) => id),
    moved = (by: number): readonly ThingChange[] =>
      packs.map(({ id, at }) => ({ thingId: id, at: { ...at, x: at.x + by } }));
  const [least, most] = [Math.max(forward, reach.moveForeMm), Math.min(aft, reach.moveAftMm)];
  if (least <= most) {
    const by = Math.round(
      reach.moveForeMm > 0
        ? Math.min(most, Math.ceil(reach.moveForeMm) + 1)
        : Math.max(least, Math.floor(reach.moveAftMm) - 1),
    );
    return [
      {
        code: 'BALANCE_OFF',
        title: mass.balanceMm < band.foreMm ? 'Nose heavy so far' : 'Tail heavy so far',
        detail: where,
        thingIds,
        mends: [{ label: `Pack ${roundLengthText(Math.abs(by))} ${by < 0 ? 'forward' : 'aft'}`, changes: moved(by) }],
      },
    ];
  }
  const isTailHeavy = reach.moveAftMm < forward,
    limit = isTailHeavy ? forward : aft,
    to = isTailHeavy ? band.aftMm : band.foreMm;
  // At the end of the body a heavier pack does it: its mass by the moments about the end of the range.
  const others = mass.each.filter(({ thing }) => thing.kind !== 'pack'),
    pull = others.reduce((sum, one) => sum + one.massG * (one.atMm - to), 0),
    arm = packs.reduce((sum, { at }) => sum + (to - at.x - limit), 0) / packs.length,
    heavier = arm === 0 ? Number.NaN : pull / arm;
  return [
    {
      code: 'BALANCE_OUT_OF_REACH',
      title: 'No place of the pack balances it',
      detail: `${where} At the ${isTailHeavy ? 'nose' : 'end'} of the body the pack still leaves it ${isTailHeavy ? 'tail' : 'nose'} heavy: a longer ${isTailHeavy ? 'nose' : 'tail'} or another pack.`,
      thingIds,
      mends:
        Number.isFinite(heavier) && heavier > 0 && packs.length === 1
          ? [
              {
                label: `Pack at the ${isTailHeavy ? 'nose' : 'end'}, ${Math.ceil(heavier)} grams`,
                changes: [{ ...moved(limit)[0]!, set: { massG: Math.ceil(heavier) } }],
              },
            ]
          : [{ label: `Pack to the ${isTailHeavy ? 'nose' : 'end'}`, changes: moved(limit) }],
    },
  ];
}
