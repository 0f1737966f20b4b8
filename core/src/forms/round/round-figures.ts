import type { Part } from '../../part/index.ts';
import { rollStrain, type RollStrain } from '../rolled/index.ts';
import { areaFrom, partMass } from '../form/index.ts';
import { frustumEnds, frustumRole } from './frustum-parts.ts';
import type { Frustum } from './frustum.ts';
import { radiusAt } from './round-profile.ts';
import type { RoundSite } from './round-site.ts';

/** One rolled sheet in numbers. */
export interface FrustumRow {
  readonly role: string;
  readonly frustum: Frustum;
  /** Lengths of its ends along the neutral line. */
  readonly foreArcMm: number;
  readonly aftArcMm: number;
  /** Bevels of its ends, in degrees; above 0 the inside is cut back. */
  readonly foreBevelDegrees: number;
  readonly aftBevelDegrees: number;
  /** How long and wide its flat is. */
  readonly longMm: number;
  readonly wideMm: number;
}

/** Everything that a round tells of itself. */
export interface RoundFigures {
  readonly lengthMm: number;
  readonly mostAcrossMm: number;
  readonly leastBoreMm: number;
  /** Across the tube to roll it on: smaller than the bore, for the sheet springs back. */
  readonly tubeMm: number;
  readonly rows: readonly FrustumRow[];
  readonly deviationMm: number;
  readonly deviationAftMm: number;
  readonly strain: RollStrain;
  /** Outside radius where it is rolled tightest. */
  readonly tightestMm: number;
  readonly seamMm: number;
  readonly jointMm: number;
  readonly skinMm2: number;
  readonly foamMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
}

/** A sheet springs back: it is rolled on a tube of this share of the bore. */
const TUBE_SHARE = 0.8;

/** The flat of a frustum as it lies on the drawing: how far along the axis, and across. */
function flatSize(frustum: Frustum): { readonly longMm: number; readonly wideMm: number } {
  const { sectorDegrees, foreRadiusMm, aftRadiusMm, slantMm, fore, aft } = frustum;
  if (sectorDegrees === 0) return { longMm: slantMm, wideMm: 2 * Math.PI * Math.max(fore.y, aft.y) };
  const half = (Math.min(360, sectorDegrees) / 2 / 180) * Math.PI,
    [small, large] = [Math.min(foreRadiusMm, aftRadiusMm), Math.max(foreRadiusMm, aftRadiusMm)];
  const least = half > Math.PI / 2 ? large * Math.cos(half) : small * Math.cos(half);
  return { longMm: large - least, wideMm: 2 * large * (half > Math.PI / 2 ? 1 : Math.sin(half)) };
}

/** The figures of a round whose parts are made. */
export function roundFigures(site: RoundSite, parts: readonly Part[]): RoundFigures {
  const { round, profile, bore, frusta, board, form } = site,
    { corners } = profile;
  const rows = frusta.map((frustum, index): FrustumRow => {
    const [fore, aft] = frustumEnds(site, index);
    return {
      role: frustumRole(index),
      frustum,
      foreArcMm: 2 * Math.PI * frustum.fore.y,
      aftArcMm: 2 * Math.PI * frustum.aft.y,
      foreBevelDegrees: fore.bevelDegrees,
      aftBevelDegrees: aft.bevelDegrees,
      ...flatSize(frustum),
    };
  });
  const outside = corners.slice(1).map((p, index) => {
    const q = corners[index]!;
    return Math.PI * (p.y + q.y) * Math.hypot(p.x - q.x, p.y - q.y);
  });
  const masses = parts.map((part) => {
    const row = rows.findIndex(({ role }) => role === part.source!.role);
    if (row < 0) return { massG: partMass(part, site), x: part.place!.at.x };
    const { fore, aft } = frusta[row]!;
    // A frustum's middle by area along its axis.
    const share = (fore.y + 2 * aft.y) / (3 * (fore.y + aft.y));
    return { massG: partMass(part, site), x: form.place.at.x + fore.x + (aft.x - fore.x) * share };
  });
  const massG = masses.reduce((sum, one) => sum + one.massG, 0),
    tightestMm = Math.min(...corners.map(({ y }) => y)),
    leastBoreMm = 2 * Math.min(...bore.map(({ y }) => y));
  return {
    lengthMm: corners.at(-1)!.x - corners[0]!.x,
    mostAcrossMm: 2 * Math.max(...corners.map(({ y }) => y)),
    leastBoreMm,
    tubeMm: TUBE_SHARE * leastBoreMm,
    rows,
    deviationMm: profile.deviationMm,
    deviationAftMm: profile.deviationAftMm,
    strain: rollStrain(round, tightestMm, board.thicknessMm),
    tightestMm,
    seamMm: frusta.reduce((sum, { slantMm }) => sum + slantMm, 0),
    jointMm:
      rows.slice(1).reduce((sum, { foreArcMm }) => sum + foreArcMm, 0) +
      round.rings.reduce((sum, { aftMm }) => sum + 2 * Math.PI * radiusAt(bore, aftMm), 0),
    skinMm2: outside.reduce((sum, area) => sum + area, 0),
    foamMm2: areaFrom(parts, round.material),
    massG,
    massAt: { x: masses.reduce((sum, one) => sum + one.massG * one.x, 0) / massG, z: form.place.at.z },
  };
}
