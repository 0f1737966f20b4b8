import type { PlanMend } from '../clearances/clearance.ts';

/** Every fault that a plan can have. */
export type PlanFaultCode =
  | 'CLEARANCE'
  | 'SEAT_OUTSIDE'
  | 'TAIL_VOLUME'
  | 'FIN_VOLUME'
  | 'BALANCE_OUT_OF_REACH'
  | 'BALANCE_OFF'
  | 'LONGER_THAN_CAR'
  | 'LONGER_THAN_BOARD'
  | 'VIEWS_DISAGREE'
  | 'GUIDE_LOST';

/** A fault of a plan: the thing, the number, and what mends it. */
export interface PlanFault {
  readonly code: PlanFaultCode;
  readonly title: string;
  readonly detail: string;
  readonly thingIds: readonly string[];
  readonly mends: readonly PlanMend[];
}
