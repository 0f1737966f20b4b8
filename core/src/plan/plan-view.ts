export const PLAN_VIEWS = ['side', 'top', 'front'] as const;
/** A view of the airframe: side (x aft, z up), top (x aft, y to starboard), front (y to starboard, z up). */
export type PlanView = (typeof PLAN_VIEWS)[number];

export const PLAN_AXES = ['x', 'y', 'z'] as const;
export type PlanAxis = (typeof PLAN_AXES)[number];
