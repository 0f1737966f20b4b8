import type { Bounds, Point } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import type { PlanView } from '../plan-view.ts';
import { sheetMap } from './calibration.ts';
import { composeProjective, project, type Projective } from './projective.ts';
import type { PlanSheet } from './sheet.ts';

/** A view that shows on a sheet, laid under the same view of the plan. */
export interface Underlay {
  readonly id: string;
  readonly sheetId: string;
  readonly view: PlanView;
  /** What of the sheet is seen, in its pixels; all of it when undefined. */
  readonly crop?: Bounds;
  readonly turnDegrees: number;
  /** The nose points the other way on the sheet. */
  readonly isMirrored: boolean;
  /** A place on the sheet, in pixels, and where it lies in the view. */
  readonly originPx: Point;
  readonly originAt: Point;
  /** From 0 to 1. */
  readonly opacity: number;
  readonly isHidden: boolean;
  readonly isLocked: boolean;
}

/** From pixels of the sheet to the axes of the view, in mm. @throws CoreError as `sheetMap` */
export function underlayMap(underlay: Underlay, sheet: PlanSheet): Projective {
  const onSheet = sheetMap(sheet);
  const origin = project(onSheet, underlay.originPx);
  const turn = radians(underlay.turnDegrees),
    [c, s] = [Math.cos(turn), Math.sin(turn)],
    m = underlay.isMirrored ? -1 : 1;
  const { x, y } = underlay.originAt;
  const place: Projective = [
    m * c,
    -s,
    x - (m * c * origin.x - s * origin.y),
    m * s,
    c,
    y - (m * s * origin.x + c * origin.y),
    0,
    0,
    1,
  ];
  return composeProjective(place, onSheet);
}

/** The corners of what is seen of a sheet, in pixels, counter-clockwise on the screen. */
export function seenCorners(underlay: Underlay, { widthPx, heightPx }: PlanSheet): readonly Point[] {
  const { minX, minY, maxX, maxY } = underlay.crop ?? { minX: 0, minY: 0, maxX: widthPx, maxY: heightPx };
  return [
    { x: minX, y: minY },
    { x: minX, y: maxY },
    { x: maxX, y: maxY },
    { x: maxX, y: minY },
  ];
}

/**
 * An underlay turned so that two places of its sheet lie level, or upright where they are nearer to that.
 * @param from and to, in pixels of the sheet
 */
export function levelledBy(underlay: Underlay, sheet: PlanSheet, from: Point, to: Point): Underlay {
  const map = underlayMap({ ...underlay, turnDegrees: 0 }, sheet);
  const [a, b] = [project(map, from), project(map, to)];
  const angle = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  return { ...underlay, turnDegrees: Math.round(angle / 90) * 90 - angle };
}
