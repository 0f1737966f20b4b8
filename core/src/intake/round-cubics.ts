import {
  arcGeometry,
  bulgeThrough,
  curvePoint,
  distance,
  type Curve,
  type Path,
  type Point,
} from '../geometry/index.ts';

type Arc = Extract<Curve, { kind: 'arc' }>;

/** A cubic looked at for roundness at these places between its ends and its middle. */
const LOOKED_AT = [0.125, 0.25, 0.375, 0.625, 0.75, 0.875];
/** Arcs larger than this are as good as straight, in mm. */
const LARGEST_RADIUS_MM = 10_000;
/** Bulge of half a turn: arcs are not joined beyond it. */
const HALF_TURN = 1;

/**
 * A path with its cubics that follow a circle made arcs, and arcs that go on with each other made one, up to half a turn. Programs that know
 * no arcs write circles as four cubics.
 * @param toleranceMm greatest distance of a cubic from its arc
 */
export const withRoundCubics = (path: Path, toleranceMm: number): Path =>
  joinedArcs(
    path.map((curve) => {
      const arc = curve.kind === 'cubic' ? arcOf(curve, toleranceMm) : undefined;
      return { curve: arc ?? curve, wasCubic: arc !== undefined };
    }),
    toleranceMm,
  );

function arcOf(cubic: Curve, toleranceMm: number): Arc | undefined {
  const { from, to } = cubic;
  if (distance(from, to) <= toleranceMm) return undefined;
  const bulge = bulgeThrough(from, curvePoint(cubic, 0.5), to);
  if (bulge === 0 || Math.abs(bulge) > HALF_TURN) return undefined;
  const arc: Arc = { kind: 'arc', from, to, bulge },
    { centre, radius } = arcGeometry(arc);
  if (radius > LARGEST_RADIUS_MM) return undefined;
  const isOn = (t: number): boolean => Math.abs(distance(curvePoint(cubic, t), centre) - radius) <= toleranceMm;
  return LOOKED_AT.every(isOn) ? arc : undefined;
}

/** Arcs in a row that one arc may follow, with the places that it must pass. */
interface ArcRun {
  readonly arc: Arc;
  readonly passes: readonly Point[];
  /** How far the one arc may be from them: arcs that were drawn as arcs stay what they are. */
  readonly toleranceMm: number;
}
/** Arcs that were drawn as arcs go on with each other when they are this near, in mm. */
const SAME_ARC_MM = 1e-4;

function joinedArcs(path: readonly { readonly curve: Curve; readonly wasCubic: boolean }[], toleranceMm: number): Path {
  const made: (ArcRun | Curve)[] = [];
  for (const { curve, wasCubic } of path) {
    if (curve.kind !== 'arc') {
      made.push(curve);
      continue;
    }
    const before = made.at(-1),
      own: ArcRun = {
        arc: curve,
        passes: [curvePoint(curve, 0.5), curve.to],
        toleranceMm: wasCubic ? toleranceMm : SAME_ARC_MM,
      };
    const joined = before && 'arc' in before ? oneArc(before, own) : undefined;
    if (joined) made[made.length - 1] = joined;
    else made.push(own);
  }
  return made.map((one) => ('arc' in one ? one.arc : one));
}

/** One arc for two, where it passes all that they passed. */
function oneArc(a: ArcRun, b: ArcRun): ArcRun | undefined {
  const toleranceMm = Math.min(a.toleranceMm, b.toleranceMm);
  const quarter = Math.atan(a.arc.bulge) + Math.atan(b.arc.bulge);
  // A little over half a turn is a half turn that was rounded.
  if (a.arc.bulge * b.arc.bulge <= 0 || Math.abs(quarter) > Math.PI / 4 + 1e-3) return undefined;
  const passes = [...a.passes, ...b.passes],
    through = passes[Math.floor((passes.length - 1) / 2)]!;
  const bulge = bulgeThrough(a.arc.from, through, b.arc.to);
  if (bulge === 0 || bulge * a.arc.bulge < 0) return undefined;
  const arc: Arc = { kind: 'arc', from: a.arc.from, to: b.arc.to, bulge },
    { centre, radius } = arcGeometry(arc);
  const isPassed = passes.every((p) => Math.abs(distance(p, centre) - radius) <= toleranceMm);
  return isPassed ? { arc, passes, toleranceMm } : undefined;
}
