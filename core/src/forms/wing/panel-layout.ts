import { applyRigid, composeRigid, point3, STILL, turnAbout, type RigidMap } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import type { WingPanel, WingParameters } from './parameters.ts';

/** A panel where it stands in the wing, and how it ends. Its own frame: x outboard from its inner end, y aft, z up from its pivot line. */
export interface LaidPanel {
  readonly panel: WingPanel;
  /** From 1, outward. */
  readonly number: number;
  /** Whether it runs across the middle, with both ends alike. */
  readonly isMiddle: boolean;
  readonly rootChordMm: number;
  /** Noses of both ends, aft of the wing's root nose. */
  readonly rootNoseMm: number;
  readonly tipNoseMm: number;
  /** Washout of both ends, from the wing's root. */
  readonly rootWashoutDegrees: number;
  readonly tipWashoutDegrees: number;
  /** From level, up above 0. */
  readonly dihedralDegrees: number;
  /** Half the turn of the joint at each end; 0 at a free tip. */
  readonly rootTiltDegrees: number;
  readonly tipTiltDegrees: number;
  /** From its frame into the wing's: outboard to port, aft, up from the middle's pivot line. */
  readonly map: RigidMap;
}

/** Dihedral of every panel from level. */
export function dihedrals({ dihedralAgainst, panels }: WingParameters): readonly number[] {
  if (dihedralAgainst === 'table') return panels.map(({ dihedralDegrees }) => dihedralDegrees);
  let level = 0;
  return panels.map(({ dihedralDegrees }) => (level += dihedralDegrees));
}

/** How far aft the nose of a panel's tip lies from that of its root. */
function noseRun(
  { spanMm, tipChordMm, sweepDegrees }: WingPanel,
  rootChordMm: number,
  { sweepAt, sparPercent }: WingParameters,
): number {
  const share = sweepAt === 'nose' ? 0 : sweepAt === 'quarter' ? 0.25 : sparPercent / 100;
  return spanMm * Math.tan(radians(sweepDegrees)) + share * (rootChordMm - tipChordMm);
}

/** The panels of a wing one after the other: their chords, where they stand, and the tilt of their ends. */
export function layPanels(wing: WingParameters): readonly LaidPanel[] {
  const angles = dihedrals(wing),
    laid: LaidPanel[] = [];
  wing.panels.forEach((panel, index) => {
    const before = laid.at(-1),
      isMiddle = wing.middle === 'panel' && index === 0;
    const dihedralDegrees = isMiddle ? 0 : angles[index]!;
    const rootChordMm = before ? before.panel.tipChordMm : wing.rootChordMm;
    const rootNoseMm = before ? before.tipNoseMm : 0;
    const turn = turnAbout(point3(0, 0, 0), point3(0, 1, 0), -dihedralDegrees);
    const origin = before
      ? applyRigid(before.map, point3(before.panel.spanMm, 0, 0))
      : point3(isMiddle ? -panel.spanMm / 2 : 0, 0, 0);
    const next = angles[index + 1];
    const rootWashoutDegrees = before ? before.tipWashoutDegrees : 0;
    const tipTiltDegrees = next === undefined ? 0 : (next - dihedralDegrees) / 2;
    laid.push({
      panel,
      number: index + 1,
      isMiddle,
      rootChordMm,
      rootNoseMm,
      tipNoseMm: rootNoseMm + (isMiddle ? 0 : noseRun(panel, rootChordMm, wing)),
      rootWashoutDegrees,
      tipWashoutDegrees: rootWashoutDegrees + (isMiddle ? 0 : panel.washoutDegrees),
      dihedralDegrees,
      rootTiltDegrees: before ? before.tipTiltDegrees : isMiddle ? tipTiltDegrees : dihedralDegrees,
      tipTiltDegrees,
      map: composeRigid(turn, { ...STILL, origin }),
    });
  });
  return laid;
}
