import { CoreError, formatLoading, lengthText } from '../../units/index.ts';
import { groundClearances } from '../clearances/ground-clearances.ts';
import { balanceOfPlan, packReach } from '../figures/balance-of-plan.ts';
import { GRAVITY, staticThrust, wingLoading } from '../figures/loadings.ts';
import { massSoFar } from '../figures/mass-so-far.ts';
import type { PlanContext } from '../figures/plan-context.ts';
import { wingSet } from '../figures/wing-set.ts';
import { EMPTY_PLAN, type Plan } from '../plan.ts';
import type { BodyThing, PlannedThing } from '../things/thing.ts';
import { twoChords } from '../things/usual-things.ts';
import { TYPE_TRAITS, type PlanType } from './plan-types.ts';
import { bodyThings, powerThings, tailThings, whole, type Sizes } from './proposed-things.ts';
import type { Proportions } from './proportions.ts';

/** The one figure that is wanted: the span, a wing loading in g/dm², or wing halves as long as a board. */
export type WantedFigure =
  | { readonly kind: 'span'; readonly mm: number }
  | { readonly kind: 'loading'; readonly gramsPerDm2: number }
  | { readonly kind: 'board'; readonly mm: number };

/** Motor and pack at hand; usual ones for the size where nothing is said. */
export interface AtHand {
  readonly motorG?: number;
  readonly packG?: number;
  readonly powerW?: number;
  readonly propellerMm?: number;
}

export const SMALLEST_SPAN_MM = 150,
  LARGEST_SPAN_MM = 6000;

/**
 * A plan of a type from one wanted figure and its proportions.
 * @throws CoreError OUT_OF_RANGE for a wanted figure that no span between 150 mm and 6 m gives
 */
export function proposePlan(
  type: PlanType,
  wanted: WantedFigure,
  proportions: Proportions,
  atHand: AtHand,
  context: PlanContext,
): Plan {
  const spanMm = spanFor(type, wanted, proportions, atHand, context);
  if (!(spanMm >= SMALLEST_SPAN_MM && spanMm <= LARGEST_SPAN_MM))
    throw new CoreError('OUT_OF_RANGE', `That gives a span of ${lengthText(spanMm, 0)}, out of what a model has.`, {
      spanMm,
    });
  return planAt(type, spanMm, proportions, atHand, context);
}

function spanFor(
  type: PlanType,
  wanted: WantedFigure,
  proportions: Proportions,
  atHand: AtHand,
  context: PlanContext,
): number {
  switch (wanted.kind) {
    case 'span':
      return wanted.mm;
    case 'board':
      return 2 * wanted.mm;
    case 'loading': {
      const loadingAt = (span: number): number => {
        const plan = planAt(type, span, proportions, atHand, context);
        return wingLoading(massSoFar(plan, context).massG, wingSet(plan)!.areaMm2);
      };
      // With motor and pack at hand a larger wing always carries less a square; with usual ones both grow.
      let [low, high] = [SMALLEST_SPAN_MM, LARGEST_SPAN_MM];
      const isFalling = loadingAt(low) > loadingAt(high);
      const [most, least] = isFalling ? [loadingAt(low), loadingAt(high)] : [loadingAt(high), loadingAt(low)];
      if (!(wanted.gramsPerDm2 >= least && wanted.gramsPerDm2 <= most))
        throw new CoreError(
          'OUT_OF_RANGE',
          `No span gives ${formatLoading(wanted.gramsPerDm2, context.unit)} with this motor and pack: from ${formatLoading(least, context.unit)} to ${formatLoading(most, context.unit)} can be had.`,
        );
      for (let round = 0; round < 40; round++) {
        const middle = (low + high) / 2;
        if (loadingAt(middle) > wanted.gramsPerDm2 === isFalling) low = middle;
        else high = middle;
      }
      return Math.round((low + high) / 2);
    }
  }
}

const MM2_PER_DM2 = 10_000;

function planAt(
  type: PlanType,
  spanMm: number,
  proportions: Proportions,
  { motorG, packG, powerW, propellerMm }: AtHand,
  context: PlanContext,
): Plan {
  const { aspect, taper, dihedralDegrees, sweepShare, noseChords } = proportions;
  const area = spanMm ** 2 / aspect,
    chord = area / spanMm,
    root = (2 * chord) / (1 + taper);
  const isProfile = type === 'profile',
    isGlider = type === 'glider',
    { boardMm } = context;
  const heightMm = whole((isGlider ? 0.06 : 0.1) * spanMm * (isProfile ? 1.2 : 1)),
    widthMm = isProfile ? 3 * boardMm : whole((isGlider ? 0.045 : 0.07) * spanMm);
  const wingX = whole(noseChords * chord),
    isHigh = type === 'trainer' || type === 'slab hauler' || isGlider || type === 'pusher',
    thicknessMm = isProfile || type === 'jet-like' ? boardMm : Math.max(2 * boardMm, 0.12 * root);
  const wingZ = isHigh ? heightMm / 2 - thicknessMm / 2 : type === 'biplane' ? heightMm / 2 + 0.35 * chord : 0;
  const wing: PlannedThing = {
    id: 't1',
    kind: 'wing',
    name: type === 'biplane' ? 'Upper wing' : 'Wing',
    at: { x: wingX, y: 0, z: whole(wingZ) },
    stations: twoChords(spanMm / 2, whole(root), whole(root * taper), whole((sweepShare * spanMm) / 2)),
    angles: [dihedralDegrees],
    incidenceDegrees: 0,
    thicknessMm: whole(thicknessMm),
    apartMm: 0,
  };
  const lower: PlannedThing | undefined =
    type === 'biplane'
      ? {
          ...wing,
          id: 't2',
          name: 'Lower wing',
          at: { x: wingX + whole(0.2 * chord), y: 0, z: whole(-heightMm / 2 + thicknessMm / 2) },
        }
      : undefined;
  const wings: readonly PlannedThing[] = [wing, ...(lower ? [lower] : [])];
  const set = wingSet({ things: wings, guides: [] })!;
  const blades = propellerMm ?? whole(Math.max(90, (isGlider ? 0.15 : 0.23) * spanMm)),
    tipEnd = sweepShare * (spanMm / 2) + root * taper;
  const sizes: Sizes = {
    type,
    spanMm: set.spanMm,
    areaMm2: set.areaMm2,
    chordMm: set.chordMm,
    wingX,
    wingQuarter: set.quarterMm,
    heightMm,
    widthMm,
    boardMm,
    propellerMm: blades,
    trailingMm: wingX + Math.max(root, root + (tipEnd - root) * Math.min(1, blades / spanMm)),
    isPusher: type === 'pusher' || type === 'canard' || type === 'flying wing',
  };
  const tails = tailThings(sizes, proportions);
  const end = Math.max(
    wingX + root,
    ...tails.map((thing) =>
      thing.kind === 'tail' || thing.kind === 'fin' ? thing.at.x + thing.stations[0]!.chordMm : 0,
    ),
  );
  const bodies = bodyThings(sizes, root, end);
  const dm2 = sizes.areaMm2 / MM2_PER_DM2;
  const power = powerThings(sizes, bodies, root, end, {
    motorG: motorG ?? Math.max(6, (isGlider ? 2.4 : 3) * dm2),
    packG: packG ?? Math.max(8, (isGlider ? 4 : 5.5) * dm2),
    powerW: powerW ?? 1,
  });
  const draft: Plan = {
    ...EMPTY_PLAN,
    type,
    school: { kind: 'part of mean chord', of: TYPE_TRAITS[type].balance },
    things: [...wings, ...bodies, ...tails, ...power],
    lastId: 40,
  };
  const balanced = withPackInReach(powerW === undefined ? withUsualPower(draft, context) : draft, context);
  return onWheels(balanced, sizes, context);
}

/**
 * Motor and pack with the power that pulls the middle of what is usual for the type.
 * @source the thrust of a disc solved for its power: P = √(T³ / (2·ρ·A·η³))
 */
function withUsualPower(plan: Plan, context: PlanContext): Plan {
  const { massG } = massSoFar(plan, context),
    [least, most] = TYPE_TRAITS[plan.type].thrust,
    propeller = plan.things.find((thing) => thing.kind === 'propeller')!;
  const newtons = ((least + most) / 2) * (massG / 1000) * GRAVITY,
    // What a watt pulls tells what any power pulls: thrust goes with its two thirds.
    ofOneWatt = staticThrust(1, propeller.diameterMm, plan.air.shareOfIdeal, plan.air.density),
    powerW = Math.ceil((newtons / ofOneWatt) ** 1.5);
  return {
    ...plan,
    things: plan.things.map((thing) =>
      thing.kind === 'motor'
        ? { ...thing, powerW }
        : thing.kind === 'pack'
          ? { ...thing, powerW: whole(1.3 * powerW) }
          : thing,
    ),
  };
}

/** The pack moved so that the plan balances in the middle of its range, as far as the body lets it. */
function withPackInReach(plan: Plan, context: PlanContext): Plan {
  const balance = balanceOfPlan(plan),
    reach = balance && packReach(balance, massSoFar(plan, context)),
    body = plan.things.find((thing): thing is BodyThing => thing.kind === 'body');
  if (!reach || !body) return plan;
  const move = (reach.moveForeMm + reach.moveAftMm) / 2;
  return {
    ...plan,
    things: plan.things.map((thing) => {
      if (thing.kind !== 'pack') return thing;
      const least = body.at.x + thing.lengthMm / 2 + 5,
        most = body.at.x + body.stations.at(-1)!.aftMm - thing.lengthMm / 2 - 5;
      return { ...thing, at: { ...thing.at, x: whole(Math.max(least, Math.min(most, thing.at.x + move))) } };
    }),
  };
}

const TAIL_DRAGGERS: readonly PlanType[] = ['trainer', 'slab hauler', 'biplane'];

/** Wheels under a model that rolls: before the balance point, on legs that keep the propeller off the ground. */
function onWheels(plan: Plan, { type, heightMm, widthMm, spanMm, propellerMm }: Sizes, context: PlanContext): Plan {
  if (!TAIL_DRAGGERS.includes(type)) return plan;
  const { balanceMm = 0 } = massSoFar(plan, context),
    diameterMm = whole(0.06 * spanMm),
    bottom = -heightMm / 2;
  const body = plan.things.find((thing): thing is BodyThing => thing.kind === 'body')!,
    end = body.stations.at(-1)!;
  const tailWheel: PlannedThing = {
    id: 't8',
    kind: 'wheel',
    name: 'Tail skid',
    at: { x: whole(body.at.x + end.aftMm - 20), y: 0, z: 0 },
    diameterMm: whole(0.018 * spanMm),
    widthMm: 4,
    apartMm: 0,
    legMm: whole(0.02 * spanMm),
  };
  const legMm = Math.max(0, whole(propellerMm / 2 + 25 + bottom - diameterMm / 2)),
    drop = heightMm / 2 + legMm + diameterMm / 2;
  const wheels: PlannedThing = {
    id: 't7',
    kind: 'wheel',
    name: 'Wheels',
    at: { x: whole(balanceMm - Math.tan(0.33) * drop), y: 0, z: whole(bottom) },
    diameterMm,
    widthMm: whole(Math.max(6, 0.2 * diameterMm)),
    apartMm: whole(Math.max(widthMm + 30, 0.24 * spanMm)),
    legMm,
  };
  const rolling = { ...plan, things: [...plan.things, wheels, tailWheel] };
  // Where the tail down brings the blades too near, the leg is as long as its mend says.
  const short = groundClearances(rolling.things, { x: balanceMm, z: 0 }).find(
    ({ key, amount, least }) => key.startsWith('propeller-ground') && amount < least,
  );
  const longer = short?.mends.flatMap(({ changes }) => changes).find(({ set }) => set?.legMm !== undefined)?.set?.legMm;
  return longer === undefined
    ? rolling
    : { ...rolling, things: rolling.things.map((thing) => (thing.id === 't7' ? { ...wheels, legMm: longer } : thing)) };
}
