import { layPanels, type ParameterChange, type WingParameters } from '@grain-fold/core/forms';
import { applyRigid, point3, type Point } from '@grain-fold/core/geometry';
import type { LengthUnit } from '@grain-fold/core/units';
import type { WingHandle } from './wing-views.ts';

/** Drags catch on these, in mm; with Alt held they catch on nothing. */
const STEP_MM: Readonly<Record<LengthUnit, number>> = { mm: 1, in: 25.4 / 16 };
const STEP_DEGREES = 0.5;
const LEAST_MM = 20;

/**
 * What dragging a handle to a place says of the wing.
 * @param at in the view of the handle
 * @param frontUp where the table lies in the front view
 */
export function dragWing(
  wing: WingParameters,
  { kind, index }: WingHandle,
  at: Point,
  frontUp: number,
  unit: LengthUnit,
  isFree: boolean,
): readonly ParameterChange[] {
  const laid = layPanels(wing),
    own = laid[index]!;
  const onStep = (mm: number): number => (isFree ? mm : Math.round(mm / STEP_MM[unit]) * STEP_MM[unit]);
  const root = applyRigid(own.map, point3(0, 0, 0));
  switch (kind) {
    case 'break': {
      const out = Math.abs(at.x),
        cos = Math.cos((own.dihedralDegrees * Math.PI) / 180);
      const spanMm = own.isMiddle ? 2 * out : (out - root.x) / cos;
      return [{ path: `panels.${index}.spanMm`, value: Math.max(LEAST_MM, onStep(spanMm)) }];
    }
    case 'chord':
      return [{ path: `panels.${index}.tipChordMm`, value: Math.max(LEAST_MM, onStep(-at.y - own.tipNoseMm)) }];
    case 'dihedral': {
      const lowest = Math.min(0, ...laid.map(({ map, panel }) => applyRigid(map, point3(panel.spanMm, 0, 0)).z));
      const up = at.y - frontUp + lowest - root.z,
        out = Math.max(1, Math.abs(at.x) - root.x);
      const level = (Math.atan2(up, out) * 180) / Math.PI;
      const against = wing.dihedralAgainst === 'neighbour' ? (laid[index - 1]?.dihedralDegrees ?? 0) : 0;
      const degrees = isFree ? level - against : Math.round((level - against) / STEP_DEGREES) * STEP_DEGREES;
      return [{ path: `panels.${index}.dihedralDegrees`, value: Math.max(-80, Math.min(80, degrees)) }];
    }
    case 'spar': {
      const percent = (100 * (-at.y - own.rootNoseMm)) / wing.rootChordMm;
      return [
        { path: 'sparPercent', value: Math.max(5, Math.min(80, isFree ? percent : Math.round(percent * 2) / 2)) },
      ];
    }
  }
}
