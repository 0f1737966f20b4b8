import {
  formatLengthWithUnit,
  formatLoading,
  formatMass,
  formatSpeed,
  formatThrust,
  formatWingArea,
  type LengthUnit,
} from '../../units/index.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { TYPE_TRAITS } from '../proposals/plan-types.ts';
import type { BoxThing, PropellerThing } from '../things/thing.ts';
import { cubicLoading, stallSpeed, staticThrust, thrustToWeight, wingLoading } from './loadings.ts';
import type { MassSoFar } from './mass-so-far.ts';
import { BEGIN, figure, type PlanFigure } from './plan-figure.ts';
import type { WingSet } from './wing-set.ts';

/** Loadings, slowest flight, thrust. */
export function flightFigures(plan: Plan, set: WingSet, { massG }: MassSoFar, unit: LengthUnit): readonly PlanFigure[] {
  const traits = TYPE_TRAITS[plan.type],
    { air } = plan;
  const loading = wingLoading(massG, set.areaMm2),
    cubic = cubicLoading(massG, set.areaMm2),
    stall = stallSpeed(massG, set.areaMm2, air.liftCoefficient, air.density),
    thrust = thrustOfPlan(plan);
  const ratio = thrust && thrustToWeight(thrust.newtons, massG);
  return [
    figure({
      key: 'loading',
      word: 'Wing loading',
      text: formatLoading(loading, unit),
      amount: loading,
      working: [`${formatMass(massG, unit)} over ${formatWingArea(set.areaMm2, unit)}.`],
      source: 'mass over wing area; what is usual goes with the size: see the cubic loading',
    }),
    figure({
      key: 'cubic',
      word: 'Cubic loading',
      text: cubic.toFixed(1),
      amount: cubic,
      usual: traits.cubic,
      working: [
        `Mass over area to the power of 1.5, in kilograms a cubic metre: ${cubic.toFixed(2)}. It does not change with size.`,
      ],
      source: `m/S^1.5; usual: ${BEGIN}`,
    }),
    figure({
      key: 'stall',
      word: 'Slowest flight',
      text: formatSpeed(stall, unit),
      amount: stall,
      working: [
        `At a greatest lift coefficient of ${air.liftCoefficient} and ${air.density} kilograms of air a cubic metre.`,
      ],
      source: 'm·g = ρ/2 · v² · S · CL',
    }),
    ...(thrust && ratio !== undefined
      ? [
          figure({
            key: 'thrust',
            word: 'Thrust to weight',
            text: ratio.toFixed(2),
            amount: ratio,
            usual: traits.thrust,
            working: [
              `${thrust.powerW.toFixed(0)} W on ${thrust.propellers === 1 ? 'a propeller' : `${thrust.propellers} propellers`} of ${formatLengthWithUnit(thrust.diameterMm, unit)}: about ${formatThrust(thrust.newtons, unit)} of pull.`,
              `${Math.round(air.shareOfIdeal * 100)} % of what an ideal disc makes: an estimate, standing still.`,
            ],
            source: `T = (2·ρ·A·P²)^⅓, simple momentum theory; usual: ${BEGIN}`,
          }),
        ]
      : []),
  ];
}

/** What the propellers of a plan pull, standing still: by the power of the motors, or of the packs where that is less. */
function thrustOfPlan(
  plan: Plan,
):
  | { readonly newtons: number; readonly powerW: number; readonly propellers: number; readonly diameterMm: number }
  | undefined {
  const things = placedThings(plan);
  const powerOf = (kind: BoxThing['kind']): number =>
    things.reduce((sum, thing) => sum + (thing.kind === kind ? ((thing as BoxThing).powerW ?? 0) : 0), 0);
  const propellers = things.filter((thing): thing is PropellerThing => thing.kind === 'propeller');
  const [motors, packs] = [powerOf('motor'), powerOf('pack')];
  const powerW = motors > 0 && packs > 0 ? Math.min(motors, packs) : motors;
  if (propellers.length === 0 || !(powerW > 0)) return undefined;
  const newtons = propellers.reduce(
    (sum, { diameterMm }) =>
      sum + staticThrust(powerW / propellers.length, diameterMm, plan.air.shareOfIdeal, plan.air.density),
    0,
  );
  return { newtons, powerW, propellers: propellers.length, diameterMm: propellers[0]!.diameterMm };
}
