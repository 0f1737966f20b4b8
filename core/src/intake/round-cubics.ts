import { arcGeometry, bulgeThrough, curvePoint, distance, type Curve, type Path } from '../geometry/index.ts';

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
    path.map((curve) => (curve.kind === 'cubic' ? (arcOf(curve, toleranceMm) ?? curve) : curve)),
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

function joinedArcs(path: Path, toleranceMm: number): Path {
  const made: Curve[] = [];
  for (const curve of path) {
    const before = made.at(-1);
    const joined = before?.kind === 'arc' && curve.kind === 'arc' ? oneArc(before, curve, toleranceMm) : undefined;
    if (joined) made[made.length - 1] = joined;
    else made.push(curve);
  }
  return made;
}

function oneArc(a: Arc, b: Arc, toleranceMm: number): Arc | undefined {
  const quarter = Math.atan(a.bulge) + Math.atan(b.bulge);
  // A little over half a turn is a half turn that was rounded.
  if (a.bulge * b.bulge <= 0 || Math.abs(quarter) > Math.PI / 4 + 1e-6) return undefined;
  const own = arcGeometry(a),
    other = arcGeometry(b);
  if (distance(own.centre, other.centre) > toleranceMm || Math.abs(own.radius - other.radius) > toleranceMm)
    return undefined;
  return { kind: 'arc', from: a.from, to: b.to, bulge: bulgeThrough(a.from, a.to, b.to) };
}
