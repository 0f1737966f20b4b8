import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import type { PlanFigureKey } from '../plan/index.ts';
import { CoreError, countOf, formatLengthWithUnit, formatMass, worded } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { quickFigures } from './figures.ts';
import { piecesOfAirframe } from './funnel.ts';
import { boardViews, quickNest } from './nest-airframe.ts';
import { pagesOf } from './page-set.ts';
import { unplacedIn } from './place-faults.ts';
import { planReportOf } from './plan-of-airframe.ts';

/** What an airframe is to be the largest for. */
export const SCALE_GOALS = ['boards', 'pages', 'longest', 'foam', 'mass', 'loading', 'span'] as const;
export interface ScaleGoal {
  readonly kind: (typeof SCALE_GOALS)[number];
  /** At most: boards, pages, mm, g, or g/dm². */
  readonly limit: number;
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
};

/** An airframe looked at another factor: a nest that was kept is of another size. */
function atFactor({ nest: _nest, ...airframe }: Airframe, scale: number): Airframe {
  return { ...airframe, settings: { ...airframe.settings, scale } };
}

/** Whether a goal can be asked of an airframe: those of the plan need one. */
export const hasGoal = (airframe: Airframe, kind: ScaleGoal['kind']): boolean => {
  const key = PLAN_KEYS[kind];
  return key === undefined || planReportOf(airframe)?.figures.figures.some((one) => one.key === key) === true;
};

/** What a goal comes to at a factor. */
export function goalAtScale(airframe: Airframe, goal: ScaleGoal, factor: number): GoalAtScale {
  const told = (amount: number, words: string): GoalAtScale => ({
    factor,
    amount,
    holds: amount <= goal.limit * (1 + 1e-9),
    words,
  });
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

function amountOf(
  scaled: Airframe,
  { kind, material, limit }: ScaleGoal,
  told: (amount: number, words: string) => GoalAtScale,
): GoalAtScale {
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
      const sized = piecesOfAirframe(scaled).map(({ part }) => ({
        name: part.name,
        mm: Math.max(boundsWidth(part.bounds), boundsHeight(part.bounds)),
      }));
      const longest = sized.reduce((best, one) => (one.mm > best.mm ? one : best), { name: 'nothing', mm: 0 });
      return told(longest.mm, `${longest.name} ${formatLengthWithUnit(longest.mm, unit)} long`);
    }
    case 'foam': {
      const { foamG } = quickFigures(scaled);
      return told(foamG, `${formatMass(foamG, unit)} of foam`);
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
