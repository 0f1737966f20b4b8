import {
  formatLengthWithUnit,
  formatLoading,
  formatMass,
  formatRounded,
  formatSpeed,
  formatThrust,
  formatWingArea,
  type LengthUnit,
} from '../../units/index.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { TYPE_TRAITS, type Range } from '../proposals/plan-types.ts';
import type { BoxThing, PropellerThing } from '../things/thing.ts';
import { surfaceMeasures } from '../things/surface-measures.ts';
import { balanceOfPlan, packReach, schoolWords, type PlanBalance } from './balance-of-plan.ts';
import { downwashSlope, liftSlope } from './neutral-point.ts';
import { cubicLoading, stallSpeed, staticThrust, thrustToWeight, wingLoading } from './loadings.ts';
import { GLUE_MORE, massSoFar, type MassSoFar } from './mass-so-far.ts';
import type { PlanContext } from './plan-context.ts';
import { tailPulls, wingSet, type TailPull, type WingSet } from './wing-set.ts';

export type PlanFigureKey =
  | 'area'
  | 'span'
  | 'aspect'
  | 'taper'
  | 'meanChord'
  | 'tailVolume'
  | 'finVolume'
  | 'neutral'
  | 'balance'
  | 'balanceFromNose'
  | 'balanceAlongEdge'
  | 'mass'
  | 'massBalance'
  | 'loading'
  | 'cubic'
  | 'stall'
  | 'thrust';

/** A figure of a plan: what it is, how it was found, and what is usual. */
export interface PlanFigure {
  readonly key: PlanFigureKey;
  readonly word: string;
  /** Worded in the builder's unit. */
  readonly text: string;
  /** The number itself: mm, mm², g, m/s, or plain. */
  readonly amount: number;
  /** What is usual for the type, in the same number. */
  readonly usual?: Range;
  readonly usualText?: string;
  /** Beside what is usual: below -1, within 0, above 1. */
  readonly beside: -1 | 0 | 1;
  /** Step by step. */
  readonly working: readonly string[];
  /** Which formula or school it comes from. */
  readonly source: string;
}

/** Everything that is worked out of a plan. */
export interface PlanFigures {
  readonly figures: readonly PlanFigure[];
  readonly mass: MassSoFar;
  readonly balance?: PlanBalance;
  readonly wings?: WingSet;
}

const besideOf = (amount: number, [least, most]: Range): -1 | 0 | 1 => (amount < least ? -1 : amount > most ? 1 : 0);
const BEGIN = 'what builders of this type begin with';

interface Made {
  readonly key: PlanFigureKey;
  readonly word: string;
  readonly text: string;
  readonly amount: number;
  readonly usual?: Range;
  readonly usualWith?: (amount: number) => string;
  readonly working: readonly string[];
  readonly source: string;
}
const figure = ({ usual, usualWith, ...made }: Made): PlanFigure =>
  usual
    ? {
        ...made,
        usual,
        usualText: usual.map((one) => (usualWith ? usualWith(one) : String(one))).join(' to '),
        beside: besideOf(made.amount, usual),
      }
    : { ...made, beside: 0 };

/** Every figure of a plan that it has the things for, each with its working and its source. */
export function planFigures(plan: Plan, context: PlanContext): PlanFigures {
  const wings = wingSet(plan),
    mass = massSoFar(plan, context),
    balance = balanceOfPlan(plan);
  const figures = [
    // What decides whether it flies comes first.
    ...(wings && balance ? balanceFigures(plan, wings, balance, context.unit) : []),
    ...massFigures(plan, mass, balance, context),
    ...(wings && mass.massG > 0 ? flightFigures(plan, wings, mass, context.unit) : []),
    ...(wings ? tailFigures(plan, wings, context.unit) : []),
    ...(wings ? wingFigures(plan, wings, context.unit) : []),
  ];
  return { figures, mass, ...(balance ? { balance } : {}), ...(wings ? { wings } : {}) };
}

function wingFigures(plan: Plan, set: WingSet, unit: LengthUnit): readonly PlanFigure[] {
  const traits = TYPE_TRAITS[plan.type],
    length = (mm: number): string => formatLengthWithUnit(mm, unit),
    area = (mm2: number): string => formatWingArea(mm2, unit);
  const { rootChordMm, tipChordMm } = surfaceMeasures(set.wings[0]!);
  // Each wing of a biplane by itself: two together are not twice as slender.
  const aspect = (set.spanMm ** 2 / set.areaMm2) * set.wings.length,
    taper = tipChordMm / rootChordMm;
  return [
    figure({
      key: 'span',
      word: 'Span',
      text: `${formatRounded(set.spanMm, unit)} ${unit}`,
      amount: set.spanMm,
      working: [`From tip to tip as seen from above: ${length(set.spanMm)}.`],
      source: 'dihedral projected: each panel by the cosine of its angle',
    }),
    figure({
      key: 'area',
      word: set.wings.length > 1 ? 'Wing areas' : 'Wing area',
      text: area(set.areaMm2),
      amount: set.areaMm2,
      working: [
        ...set.wings.map(
          (wing) => `${wing.name}: both halves, panel by panel, mean of two chords times their distance.`,
        ),
        `Together ${area(set.areaMm2)}, the part within the body counted.`,
      ],
      source: 'trapezium from chord to chord, seen from above',
    }),
    figure({
      key: 'aspect',
      word: 'Aspect ratio',
      text: aspect.toFixed(1),
      amount: aspect,
      usual: traits.aspect,
      working: [
        set.wings.length > 1
          ? `Span ² over the mean area of ${set.wings.length} wings: ${aspect.toFixed(2)}.`
          : `Span ² over area: ${length(set.spanMm)} ² / ${area(set.areaMm2)} = ${aspect.toFixed(2)}.`,
      ],
      source: `b²/S; usual: ${BEGIN}`,
    }),
    figure({
      key: 'taper',
      word: 'Taper',
      text: taper.toFixed(2),
      amount: taper,
      usual: traits.taper,
      working: [`Tip chord over root chord: ${length(tipChordMm)} / ${length(rootChordMm)}.`],
      source: `usual: ${BEGIN}`,
    }),
    figure({
      key: 'meanChord',
      word: 'Mean chord',
      text: length(set.chordMm),
      amount: set.chordMm,
      working: [
        `(2/S) ∫ c² dy = ${length(set.chordMm)}.`,
        `Its leading edge lies ${length(set.leadingEdgeMm)} aft of the datum, ${length(set.outMm)} out.`,
        ...(set.wings.length > 1 ? ['Of several wings: the mean by area.'] : []),
      ],
      source: 'mean aerodynamic chord, exact for straight edges, swept or cranked',
    }),
  ];
}

function tailFigures(plan: Plan, set: WingSet, unit: LengthUnit): readonly PlanFigure[] {
  const traits = TYPE_TRAITS[plan.type],
    pulls = tailPulls(plan);
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    area = (mm2: number): string => formatWingArea(mm2, unit);
  const armOf = (pull: TailPull): number => pull.quarterMm - set.quarterMm;
  const volumeOf = (of: (pull: TailPull) => number, by: number): number =>
    pulls.reduce((sum, pull) => sum + of(pull) * Math.abs(armOf(pull)), 0) / (set.areaMm2 * by);
  const line = (pull: TailPull, counts: number): string =>
    `${pull.surface.name}: ${area(counts)}${counts < pull.areaMm2 * 0.999 ? ` of ${area(pull.areaMm2)}` : ''} at an arm of ${length(armOf(pull))}.`;
  const pitch = pulls.filter(({ horizontalMm2, areaMm2 }) => horizontalMm2 > 0.001 * areaMm2),
    yaw = pulls.filter(({ verticalMm2, areaMm2 }) => verticalMm2 > 0.001 * areaMm2);
  const tail = volumeOf(({ horizontalMm2 }) => horizontalMm2, set.chordMm),
    fin = volumeOf(({ verticalMm2 }) => verticalMm2, set.spanMm);
  const isV = pulls.some(({ surface, verticalMm2 }) => surface.kind === 'tail' && verticalMm2 > 0);
  const shares = isV ? ' A panel at an angle counts by cos² of it for pitch, by sin² for yaw.' : '';
  return [
    ...(pitch.length > 0
      ? [
          figure({
            key: 'tailVolume',
            word: 'Tail volume',
            text: tail.toFixed(2),
            amount: tail,
            ...(traits.tailVolume ? { usual: traits.tailVolume } : {}),
            working: [
              ...pitch.map((pull) => line(pull, pull.horizontalMm2)),
              `Area times arm over wing area times mean chord = ${tail.toFixed(3)}.${shares}`,
            ],
            source: `arms from quarter chord to quarter chord; usual: ${BEGIN}`,
          }),
        ]
      : []),
    ...(yaw.length > 0
      ? [
          figure({
            key: 'finVolume',
            word: 'Fin volume',
            text: fin.toFixed(3),
            amount: fin,
            usual: traits.finVolume,
            working: [
              ...yaw.map((pull) => line(pull, pull.verticalMm2)),
              `Area times arm over wing area times span = ${fin.toFixed(4)}.${shares}`,
            ],
            source: `arms from quarter chord to quarter chord; usual: ${BEGIN}`,
          }),
        ]
      : []),
  ];
}

const perCent = (share: number): string => `${Math.round(share * 100)}`;

function balanceFigures(plan: Plan, set: WingSet, balance: PlanBalance, unit: LengthUnit): readonly PlanFigure[] {
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
        `The mean chord's leading edge lies ${length(set.leadingEdgeMm - noseMm)} behind the nose; ${range} of ${length(set.chordMm)} behind it.`,
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
        `The mean of the quarter points by slope times area lies ${length(neutral.atMm - noseMm)} behind the nose, ${perCent(balance.neutralOfMeanChord)} % of the mean chord.`,
        'Body and propeller are left out: they draw it forward a little.',
      ],
      source: 'lift slopes of thin surfaces by aspect ratio; downwash far behind an elliptic load',
    }),
  ];
}

function massFigures(
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

function flightFigures(plan: Plan, set: WingSet, { massG }: MassSoFar, unit: LengthUnit): readonly PlanFigure[] {
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
