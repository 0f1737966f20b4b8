/** A corner of a line along the body: x aft, z its height or half its width; its name is that of the run to the next corner. */
export interface ProfilePoint {
  readonly x: number;
  readonly z: number;
  readonly edge: string;
}

/** A line along the body, from nose to tail: x never falls; two corners at one x are a step. */
export type Profile = readonly ProfilePoint[];

/** Corners nearer than this along the body are one, in mm. */
const NEAR_MM = 1e-6;

/** The height of a line at a place; at a step that of its later corner; its ends go on level. */
export function heightAt(profile: Profile, x: number): number {
  const first = profile[0]!,
    last = profile.at(-1)!;
  if (x <= first.x) return first.z;
  if (x >= last.x) return last.z;
  let index = profile.length - 2;
  while (index > 0 && profile[index]!.x > x) index -= 1;
  const a = profile[index]!,
    b = profile[index + 1]!;
  return b.x - a.x < NEAR_MM ? b.z : a.z + ((b.z - a.z) * (x - a.x)) / (b.x - a.x);
}

/** The name of the run that a line has at a place. */
function edgeAt(profile: Profile, x: number): string {
  let index = profile.length - 2;
  while (index > 0 && profile[index]!.x > x + NEAR_MM) index -= 1;
  return profile[Math.max(0, index)]!.edge;
}

/** The least and the greatest height of a line between two places. */
export function heightsBetween(
  profile: Profile,
  from: number,
  to: number,
): { readonly least: number; readonly most: number } {
  const heights = [
    heightAt(profile, from),
    heightAt(profile, to),
    ...profile.flatMap(({ x, z }) => (x > from && x < to ? [z] : [])),
  ];
  return { least: Math.min(...heights), most: Math.max(...heights) };
}

/** Every run a name of its own: of those that a cut parted the longest keeps it, the others are told apart by their place. */
function named(profile: readonly ProfilePoint[]): Profile {
  const length = (index: number): number => (profile[index + 1]?.x ?? profile[index]!.x) - profile[index]!.x;
  const keeper = new Map<string, number>();
  profile.forEach(({ edge }, index) => {
    const best = keeper.get(edge);
    if (best === undefined || length(index) > length(best)) keeper.set(edge, index);
  });
  const seen = new Map<string, number>();
  return profile.map((point, index) => {
    if (keeper.get(point.edge) === index) return point;
    const count = (seen.get(point.edge) ?? 1) + 1;
    seen.set(point.edge, count);
    return { ...point, edge: `${point.edge}-b${count}` };
  });
}

/** Points in order without such as lie on the one before, or in line with it and the next under one name. */
function tidy(points: readonly ProfilePoint[]): Profile {
  const apart = points.filter(
    (p, index) =>
      index === points.length - 1 ||
      Math.abs(points[index + 1]!.x - p.x) > NEAR_MM ||
      Math.abs(points[index + 1]!.z - p.z) > NEAR_MM,
  );
  return named(
    apart.filter(({ edge }, index) => index === 0 || edge !== apart[index - 1]!.edge || index === apart.length - 1),
  );
}

/**
 * The lower of two lines: the first, cut down by the second where that lies lower; upright steps at the second's ends.
 * @param cut from its first corner to its last; elsewhere nothing is cut
 * @param prefix begins the names of the steps
 */
export function cutDown(profile: Profile, cut: Profile, prefix: string): Profile {
  const from = cut[0]!.x,
    to = cut.at(-1)!.x;
  if (to <= profile[0]!.x || from >= profile.at(-1)!.x) return profile;
  const places = [...new Set([from, to, ...profile.map(({ x }) => x), ...cut.map(({ x }) => x)])]
    .filter((x) => x >= Math.max(from, profile[0]!.x) - NEAR_MM && x <= Math.min(to, profile.at(-1)!.x) + NEAR_MM)
    .sort((a, b) => a - b);
  const isCut = (x: number): boolean => heightAt(cut, x) < heightAt(profile, x) - NEAR_MM;
  const within: ProfilePoint[] = [];
  places.forEach((x, index) => {
    const own = heightAt(profile, x),
      other = heightAt(cut, x);
    if (index === 0 && x > profile[0]!.x && isCut(x)) within.push({ x, z: own, edge: `${prefix}-nose` });
    const before = places[index - 1];
    if (before !== undefined && isCut(before) !== isCut(x)) {
      const a = heightAt(profile, before) - heightAt(cut, before),
        b = own - other;
      const share = a === b ? 0 : a / (a - b);
      const crossing = before + Math.min(1, Math.max(0, share)) * (x - before);
      within.push({
        x: crossing,
        z: heightAt(profile, crossing),
        edge: isCut(x) ? edgeAt(cut, crossing) : edgeAt(profile, crossing),
      });
    }
    const isLast = index === places.length - 1;
    if (isLast && isCut(x) && x < profile.at(-1)!.x) {
      within.push({ x, z: other, edge: `${prefix}-tail` }, { x, z: own, edge: edgeAt(profile, x) });
    } else within.push({ x, z: Math.min(own, other), edge: isCut(x) ? edgeAt(cut, x) : edgeAt(profile, x) });
  });
  return tidy([
    ...profile.filter(({ x }) => x < places[0]! - NEAR_MM),
    ...within,
    ...profile.filter(({ x }) => x > places.at(-1)! + NEAR_MM),
  ]);
}

const upsideDown = (profile: Profile): Profile => profile.map((point) => ({ ...point, z: -point.z }));

/** The higher of two lines: the first, cut up by the second where that lies higher. */
export const cutUp = (profile: Profile, cut: Profile, prefix: string): Profile =>
  upsideDown(cutDown(upsideDown(profile), upsideDown(cut), prefix));

/** A line between two places, with a corner at each. */
export function between(profile: Profile, from: number, to: number): Profile {
  return [
    { x: from, z: heightAt(profile, from), edge: edgeAt(profile, from) },
    ...profile.filter(({ x }) => x > from + NEAR_MM && x < to - NEAR_MM),
    { x: to, z: heightAt(profile, to), edge: edgeAt(profile, to) },
  ];
}

/** A line with corners at some places: those that it has near are moved there along it, further ones are named after their runs. */
export function withCorners(profile: Profile, places: readonly number[], nearMm: number): Profile {
  const first = profile[0]!.x,
    last = profile.at(-1)!.x;
  const inner = places.filter((place) => place > first + nearMm && place < last - nearMm);
  const moved = profile.map((point, index) => {
    const isStep = profile[index - 1]?.x === point.x || profile[index + 1]?.x === point.x;
    const place = isStep ? undefined : inner.find((one) => Math.abs(one - point.x) <= nearMm);
    return place === undefined || place === point.x ? point : { ...point, x: place, z: heightAt(profile, place) };
  });
  const added = inner.filter((place) => moved.every(({ x }) => Math.abs(x - place) > NEAR_MM));
  if (added.length === 0) return moved;
  const corners = added.map((x) => ({ x, z: heightAt(profile, x), edge: edgeAt(profile, x) }));
  return named([...moved, ...corners].sort((a, b) => a.x - b.x));
}
