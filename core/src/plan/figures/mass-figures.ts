import { formatLengthWithUnit, formatMass, formatRounded } from '../../units/index.ts';
import type { Plan } from '../plan.ts';
import { packReach, schoolWords, type PlanBalance } from './balance-of-plan.ts';
import { GLUE_MORE, type MassSoFar } from './mass-so-far.ts';
import type { PlanContext } from './plan-context.ts';
import { figure, type PlanFigure } from './plan-figure.ts';

/** The mass so far, and where it balances. */
export function massFigures(
  plan: Plan,
  mass: MassSoFar,
  balance: PlanBalance | undefined,
  { unit, gramsPerSquareMetre }: PlanContext,
): readonly PlanFigure[] {
  if (!(mass.massG > 0)) return [];
  const grams = (massG: number): string => formatMass(massG, unit);
  const foamG = mass.each.reduce(
    (sum, one) => sum + (one.from === 'typed' || one.from === 'nothing' ? 0 : one.massG),
    0,
  );
  const reach = balance && packReach(balance, mass);
  return [
    figure({
      key: 'mass',
      word: 'Mass so far',
      text: grams(mass.massG),
      amount: mass.massG,
      working: [
        foamG === 0
          ? 'All of it typed.'
          : mass.foamFrom === 'weighed'
            ? `The model weighs ${grams(mass.massG)}: less what is typed, foam and glue are ${grams(foamG)}.`
            : mass.foamFrom === 'parts'
              ? `Foam of the parts drawn, with ${Math.round((GLUE_MORE - 1) * 100)} % for glue and tape: ${grams(foamG)}.`
              : `Foam from the areas of ${gramsPerSquareMetre.toFixed(0)} grams a square metre, skins, spars, formers and ${Math.round((GLUE_MORE - 1) * 100)} % glue counted: ${grams(foamG)}.`,
        ...mass.each
          .filter(({ from }) => from === 'typed')
          .map(({ thing, massG }) => `${thing.name}: ${grams(massG)}.`),
      ],
      source:
        mass.foamFrom === 'weighed'
          ? 'weighed'
          : mass.foamFrom === 'parts'
            ? 'parts and typed masses'
            : 'areas until parts are drawn, and typed masses',
    }),
    ...(balance && mass.balanceMm !== undefined
      ? [
          figure({
            key: 'massBalance',
            word: 'Balances so far',
            text: `${formatRounded(mass.balanceMm - balance.noseMm, unit)} ${unit}`,
            amount: mass.balanceMm - balance.noseMm,
            usual: [balance.band.foreMm - balance.noseMm, balance.band.aftMm - balance.noseMm],
            usualWith: (mm) => formatRounded(mm, unit),
            working: [
              'All masses so far by where they stand, from the nose.',
              ...(reach
                ? [
                    `To reach the range the packs move ${formatLengthWithUnit(reach.moveForeMm, unit)} to ${formatLengthWithUnit(reach.moveAftMm, unit)}, aft above 0.`,
                  ]
                : []),
            ],
            source: `Σ m·x / Σ m; the range is ${schoolWords(plan.school)}`,
          }),
        ]
      : []),
  ];
}
