import { convexHull, distance } from '../geometry/index.ts';
import { degrees, degreesBetween, normaliseDegrees, type RandomSource } from '../units/index.ts';
import type { NestInstance, NestLayout, NestPart, XY } from './instance.ts';

/** A part of a nest that is bettered, with the turns that count besides those listed. */
export interface TurnedPart extends NestPart {
  /** The turns that its pieces have; they are known however many are listed. */
  readonly lying?: readonly number[];
  /** Turns a little beside those, tried in the last touch only. */
  readonly beside?: readonly number[];
}

/** Farthest that a turn is tried beside one that a piece has, in degrees; most are much nearer. */
export const FARTHEST_BESIDE_DEGREES = 8;

/** To a hundredth of a degree: a sixth of a millimetre at the end of a metre. */
const rounded = (degrees: number): number => normaliseDegrees(Math.round(degrees * 100) / 100);

/** Poses of all parts together that tables are kept for, and how many each part has at least. */
const MOST_POSES = 1200,
  LEAST_TURNS = 8;
/** Nests of more pieces are bettered in the turns that are listed: tables of more would be too large. */
const MOST_PIECES = 400;

/** The most turns that tables are kept for, of each of so many parts. */
export const mostTurnsOf = (parts: number): number => Math.max(LEAST_TURNS, Math.floor(MOST_POSES / parts));

/** Whether parts may be turned otherwise than tables are kept for: freely, or in more turns than the most. */
export function hasManyTurns({ parts }: NestInstance): boolean {
  const most = mostTurnsOf(parts.length);
  return (
    parts.reduce((count, { quantity }) => count + quantity, 0) <= MOST_PIECES &&
    parts.some((part) => part.turnsFreely || part.rotations.length * (part.allowMirror ? 2 : 1) > most)
  );
}

/** Edges of a part's hull that it is turned square by: the longest ones, of at least such a share of the hull's way round. */
const MOST_EDGES = 3,
  LEAST_EDGE_SHARE = 0.12;
/** Turns nearer than this are the same, in degrees. */
const SAME_DEGREES = 0.05;

/** An instance whose freely turned parts may also lie with their long edges along the board's, however they are drawn. */
export const withSquareEdges = (instance: NestInstance): NestInstance => ({
  ...instance,
  parts: instance.parts.map((part) =>
    part.turnsFreely ? { ...part, rotations: squareTurns(part.polygon).reduce(withTurn, part.rotations) } : part,
  ),
});

const withTurn = (turns: readonly number[], turn: number): readonly number[] =>
  turns.some((one) => degreesBetween(one, turn) < SAME_DEGREES) ? turns : [...turns, turn];

/** The turns, in degrees, that lay a long edge of an outline's hull along the board, to each of four sides; the longest edge first. */
export function squareTurns(polygon: readonly XY[]): readonly number[] {
  const hull = convexHull(polygon.map(([x, y]) => ({ x, y })));
  const edges = hull.map((from, index) => {
    const to = hull[(index + 1) % hull.length]!;
    return { length: distance(from, to), angle: degrees(Math.atan2(to.y - from.y, to.x - from.x)) };
  });
  const least = LEAST_EDGE_SHARE * edges.reduce((sum, { length }) => sum + length, 0);
  return edges
    .filter(({ length }) => length >= least)
    .sort((a, b) => b.length - a.length)
    .slice(0, MOST_EDGES)
    .flatMap(({ angle }) => [0, 90, 180, 270].map((side) => rounded(side - angle)));
}

/** An instance whose parts know how their pieces are turned in a nest, and, where they turn freely, what to try to either side of that. */
export function turnedAround(instance: NestInstance, layout: NestLayout, random: RandomSource): NestInstance {
  const turns = new Map<string, Set<number>>();
  for (const { partId, rotation } of layout.boards.flatMap(({ placements }) => placements))
    turns.set(partId, (turns.get(partId) ?? new Set()).add(rotation));
  return {
    ...instance,
    parts: instance.parts.map((part): TurnedPart => {
      const lying = [...(turns.get(part.id) ?? [])];
      return { ...part, lying, beside: part.turnsFreely ? lying.flatMap((turn) => besideTurn(turn, random)) : [] };
    }),
  };
}

function besideTurn(turn: number, random: RandomSource): readonly number[] {
  const by = FARTHEST_BESIDE_DEGREES * random() ** 2;
  return [rounded(turn - by), rounded(turn + by)];
}
