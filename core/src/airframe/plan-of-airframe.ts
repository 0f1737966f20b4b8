import {
  planClearances,
  planFaults,
  planFigures,
  scalePlan,
  type Clearance,
  type MadeMass,
  type Plan,
  type PlanContext,
  type PlanFault,
  type PlanFigures,
} from '../plan/index.ts';
import { memo } from '../units/index.ts';
import { standardBoard, type Airframe } from './airframe.ts';
import { madeAtScale } from './made-at-scale.ts';
import { flyingPieces } from './funnel.ts';

/** What figures of the plan need to know of an airframe: the board that there is most of, the longest one, and the foam of the parts drawn. */
export function planContext(airframe: Airframe): PlanContext {
  const { boards, settings } = airframe,
    most = (board: Airframe['boards'][number]): number => board.count * board.widthMm * board.heightMm,
    main =
      boards.reduce<Airframe['boards'][number] | undefined>(
        (best, board) => (best && most(best) >= most(board) ? best : board),
        undefined,
      ) ?? standardBoard('', 'foam', settings.unit);
  const foamG = flyingPieces(airframe).reduce((sum, { part, quantity }) => sum + part.massG * quantity, 0);
  const made = madeMasses(airframe);
  return {
    unit: settings.unit,
    boardMm: main.thicknessMm,
    gramsPerSquareMetre: main.gramsPerSquareMetre,
    longestBoardMm: Math.max(0, ...boards.map(({ widthMm, heightMm }) => Math.max(widthMm, heightMm))),
    ...(foamG > 0 ? { partsFoamG: foamG } : {}),
    ...(made.size > 0 ? { made } : {}),
  };
}

/** What the forms of planned things weigh at the airframe's factor, and where that lies. */
const madeMasses = (airframe: Airframe): ReadonlyMap<string, MadeMass> =>
  new Map(
    (airframe.forms ?? []).flatMap((form): readonly (readonly [string, MadeMass])[] => {
      const { figures } = form.plannedId === undefined ? {} : madeAtScale(form, airframe);
      if (!figures || !('massAt' in figures) || !figures.massAt) return [];
      return [[form.plannedId!, { massG: figures.massG, atMm: figures.massAt.x }]];
    }),
  );

/** Everything that is worked out of a plan. */
export interface PlanReport {
  readonly figures: PlanFigures;
  readonly clearances: readonly Clearance[];
  readonly faults: readonly PlanFault[];
}

/** Figures, clearances and faults of a plan, at the airframe's factor. */
export function planReport(plan: Plan, context: PlanContext, scale: number): PlanReport {
  const scaled = scalePlan(plan, scale),
    figures = planFigures(scaled, context),
    clearances = planClearances(scaled, context);
  return { figures, clearances, faults: planFaults(scaled, context, figures, clearances) };
}

/** The report of an airframe's own plan; undefined without one. Remembered by the airframe. */
export const planReportOf: (airframe: Airframe) => PlanReport | undefined = memo((airframe: Airframe) =>
  airframe.plan ? planReport(airframe.plan, planContext(airframe), airframe.settings.scale) : undefined,
);
