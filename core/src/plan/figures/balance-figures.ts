import { formatLengthWithUnit, formatRounded, type LengthUnit } from '../../units/index.ts';
import type { Plan } from '../plan.ts';
import { schoolWords, type PlanBalance } from './balance-of-plan.ts';
import { downwashSlope, liftSlope } from './neutral-point.ts';
import { figure, type PlanFigure } from './plan-figure.ts';
import type { WingSet } from './wing-set.ts';

const perCent = (share: number): string => `${Math.round(share * 100)}`;

/** The balance range by its school, as a part, from the nose and along a swept edge; and the neutral point. */
export function balanceFigures(
  plan: Plan,
  set: WingSet,
  balance: PlanBalance,
  unit: LengthUnit,
): readonly PlanFigure[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const { band, neutral, noseMm, alongEdge } = balance,
    [fore, aft] = band.ofMeanChord,
    aspect = set.spanMm ** 2 / set.areaMm2,
    school = schoolWords(plan.school);
  const advice = 'A place to begin with: check it by hand, and with someone who knows, before the first flight.';
  const range = `${perCent(fore)} to ${perCent(aft)} %`;
  return [
    figure({
      key: 'balance',
      word: 'Balance',
      text: range,
      amount: (fore + aft) / 2,
      working: [`${range} of the mean chord, ${school}.`, advice],
      source: plan.school.kind === 'part of mean chord' ? `part of the mean chord, ${school}` : school,
    }),
    figure({
      key: 'balanceFromNose',
      word: 'Balance from the nose',
      text: `${formatRounded(band.foreMm - noseMm, unit)} to ${formatRounded(band.aftMm - noseMm, unit)} ${unit}`,
      amount: (band.foreMm + band.aftMm) / 2 - noseMm,
      working: [
        `The mean chord's leading edge lies ${formatRounded(set.leadingEdgeMm - noseMm, unit)} ${unit} behind the nose; ${range} of ${length(set.chordMm)} behind it.`,
        advice,
      ],
      source: school,
    }),
    ...(alongEdge
      ? [
          figure({
            key: 'balanceAlongEdge',
            word: 'Along the nose edge',
            text: `${[alongEdge.foreMm, alongEdge.aftMm].map((mm) => (mm === undefined ? '–' : formatRounded(mm, unit))).join(' to ')} ${unit}`,
            amount: alongEdge.foreMm ?? alongEdge.aftMm ?? 0,
            working: [
              `Measured along the swept nose edge of ${alongEdge.wing} from its root, where the edge passes the range: balance on two points there.`,
            ],
            source: school,
          }),
        ]
      : []),
    figure({
      key: 'neutral',
      word: 'Neutral point',
      text: `${perCent(balance.neutralOfMeanChord)} %`,
      amount: neutral.atMm,
      working: [
        `Slopes 2πA/(2 + √(4 + A²)): wing ${neutral.wingSlope.toFixed(2)}${neutral.tailSlope > 0 ? `, tail ${neutral.tailSlope.toFixed(2)}` : ''}.`,
        ...(neutral.tailSlope > 0
          ? [
              `Behind the wing the air turns by ${downwashSlope(aspect).toFixed(2)} of each degree: 2 · ${liftSlope(aspect).toFixed(2)}/(π · ${aspect.toFixed(1)}).`,
            ]
          : []),
        `The mean of the quarter points by slope times area lies ${formatRounded(neutral.atMm - noseMm, unit)} ${unit} behind the nose, ${perCent(balance.neutralOfMeanChord)} % of the mean chord.`,
        'Body and propeller are left out: they draw it forward a little.',
      ],
      source: 'lift slopes of thin surfaces by aspect ratio; downwash far behind an elliptic load',
    }),
  ];
}
