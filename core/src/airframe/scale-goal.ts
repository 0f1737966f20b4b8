import type { PlanFigureKey } from '../plan/index.ts';
import { CoreError, countOf, formatLengthWithUnit, formatMass, worded } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { quickFigures } from './figures.ts';
import { piecesOfAirframe } from './funnel.ts';
import { boardViews, quickNest } from './nest-airframe.ts';
import { pagesOf } from './page-set.ts';
import { unplacedIn } from './place-faults.ts';
import { planReportOf } from './plan-of-airframe.ts';
import { carriedApart, inOrder, type CarriedPiece } from './carried-apart.ts';
import { atFactor, longestPart } from './scale-figures.ts';

/** What an airframe is to be the largest for. */
export const SCALE_GOALS = ['boards', 'pages', 'longest', 'foam', 'mass', 'loading', 'span', 'thrust', 'box'] as const;
export interface ScaleGoal {
  readonly kind: (typeof SCALE_GOALS)[number];
  /** At most: boards, pages, mm, g, or g/dm². Of thrust to weight at least; of a box of no meaning. */
  readonly limit: number;
  /** The box that everything is to go into, in mm. */
  readonly box?: readonly [number, number, number];
  /** Of boards, those of one material; all when undefined. */
  readonly material?: string;
}

/** What a goal comes to at a factor, and whether that is within it. */
export interface GoalAtScale {
  readonly factor: number;
  readonly amount: number;
  readonly holds: boolean;
  /** What binds, or what it comes to, in words. */
  readonly words: string;
}

const PLAN_KEYS: Readonly<Partial<Record<ScaleGoal['kind'], PlanFigureKey>>> = {
  mass: 'mass',
  loading: 'loading',
  span: 'span',
  thrust: 'thrust',
};

/** Whether a goal can be asked of an airframe: those of the plan need one. */
export const hasGoal = (airframe: Airframe, kind: ScaleGoal['kind']): boolean => {
  const key = PLAN_KEYS[kind];
  return key === undefined || planReportOf(airframe)?.figures.figures.some((one) => one.key === key) === true;
};

type Told = (amount: number, words: string, holds?: boolean) => GoalAtScale;

/** What a goal comes to at a factor. */
export function goalAtScale(airframe: Airframe, goal: ScaleGoal, factor: number): GoalAtScale {
  const told: Told = (amount, words, holds = amount <= goal.limit * (1 + 1e-9)) => ({ factor, amount, holds, words });
  const scaled = atFactor(airframe, factor);
  try {
    return amountOf(scaled, goal, told);
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return told(Number.POSITIVE_INFINITY, worded(error.message, airframe.settings.unit));
  }
}

/** So many boards the parts take by their area, whatever the nest: known long before one is found. */
function leastBoards(airframe: Airframe, material: string | undefined): number {
  const areas = new Map<string, number>();
  for (const { part, quantity } of piecesOfAirframe(airframe))
    if (material === undefined || part.material === material)
      areas.set(part.material, (areas.get(part.material) ?? 0) + part.areaMm2 * quantity);
  return [...areas].reduce((sum, [name, areaMm2]) => {
    const largest = Math.max(
      0,
      ...airframe.boards
        .filter((board) => board.material === name && board.count > 0)
        .map(({ widthMm, heightMm }) => widthMm * heightMm),
    );
    return sum + (largest > 0 ? Math.ceil(areaMm2 / largest) : 0);
  }, 0);
}

/** What of an airframe goes into a box last, square to its walls: 1 fills it. */
function fullestOf(
  airframe: Airframe,
  box: readonly number[],
): { readonly piece?: CarriedPiece; readonly share: number } {
  const room = inOrder(box);
  return carriedApart(airframe)
    .map((piece) => ({ piece, share: Math.max(...piece.sizes.map((mm, axis) => mm / room[axis]!)) }))
    .reduce<{ piece?: CarriedPiece; share: number }>((most, one) => (one.share > most.share ? one : most), {
      share: 0,
    });
}

function amountOf(scaled: Airframe, { kind, material, limit, box }: ScaleGoal, told: Told): GoalAtScale {
  const { unit } = scaled.settings;
  switch (kind) {
    case 'boards': {
      const least = leastBoards(scaled, material);
      if (least > limit) return told(least, `at least ${countOf(least, 'board')}, by area alone`);
      const { nest } = quickNest(scaled),
        [left] = unplacedIn(scaled, nest).filter(
          ({ piece }) => material === undefined || piece.part.material === material,
        );
      if (left) return told(Number.POSITIVE_INFINITY, `${left.piece.part.name} finds no place on the boards in stock`);
      const count = boardViews(scaled, nest).filter(
        ({ board }) => material === undefined || board.material === material,
      ).length;
      return told(count, countOf(count, 'board'));
    }
    case 'pages': {
      const count = pagesOf(scaled).pages.length;
      return told(count, countOf(count, 'page'));
    }
    case 'longest': {
      const longest = longestPart(scaled);
      return told(longest.mm, `${longest.name} ${formatLengthWithUnit(longest.mm, unit)} long`);
    }
    case 'foam': {
      const { foamG } = quickFigures(scaled);
      return told(foamG, `${formatMass(foamG, unit)} of foam`);
    }
    case 'box': {
      const { piece, share } = fullestOf(scaled, box ?? [0, 0, 0]);
      if (!piece) return told(0, 'nothing stands yet', true);
      const sizes = piece.sizes.map((mm) => formatLengthWithUnit(mm, unit)).join(' × ');
      return told(share, `${piece.name} takes ${sizes}`, share <= 1 + 1e-9);
    }
    case 'thrust': {
      const figure = planReportOf(scaled)?.figures.figures.find(({ key }) => key === 'thrust');
      return figure
        ? told(figure.amount, `thrust to weight ${figure.text}`, figure.amount >= limit * (1 - 1e-9))
        : told(0, 'the plan tells no thrust', false);
    }
    case 'mass':
    case 'loading':
    case 'span': {
      const figure = planReportOf(scaled)?.figures.figures.find(({ key }) => key === PLAN_KEYS[kind]);
      return figure
        ? told(figure.amount, `${figure.word.toLowerCase()} ${figure.text}`)
        : told(Number.POSITIVE_INFINITY, 'the plan tells none');
    }
  }
}
