import { MOST_OPEN_DEGREES, openTrenchWidth } from '../../allowance/index.ts';
import { degrees, radians } from '../../units/index.ts';
import { bentLine, stripCorners, tightestRadius, type BentLine } from './bent-line.ts';
import type { SectionPlate, SectionPoint, SectionRefusal, SkinSection } from './section.ts';

export const NOSE_STYLES = ['trench', 'bevels', 'bent', 'parted'] as const;
/** How the skin comes round the nose: a doubled trench, a fold whose two bevels meet, a bend, or two sheets of which the lower is feathered under the upper. */
export type NoseStyle = (typeof NOSE_STYLES)[number];

export const TAIL_STYLES = ['lap', 'square', 'sanded', 'strip'] as const;
/** How the skins meet at the tail: a lap whose lower edge is bevelled, square on each other, both sanded to a line, or over a strip. */
export type TailStyle = (typeof TAIL_STYLES)[number];

/** The numbers of a section over a strip spar. */
export interface StripSparNumbers {
  readonly chordMm: number;
  /** Front edge of the spar, aft of the nose. */
  readonly sparFrontMm: number;
  /** Width of the spar along the chord. */
  readonly sparWidthMm: number;
  readonly sparHeightMm: number;
  readonly thicknessMm: number;
  readonly nose: NoseStyle;
  /** Of the outside of a bent nose; two boards when undefined. */
  readonly noseRadiusMm?: number;
  readonly tail: TailStyle;
  /** Length of a bevelled lap; as long as its bevel runs out when undefined. */
  readonly lapMm?: number;
  /** Boards laid at the tail when the skins meet over a strip. */
  readonly stripBoards?: number;
  /** Whether the top is bent over the spar, without creases. */
  readonly isBent?: boolean;
  /** How much of a bent top is one strip at its tail. */
  readonly flatTailMm?: number;
}

/** Slopes are found to this, in radians. */
const SETTLED = 1e-12;
const MOST_ROUNDS = 60;
/** Steepest slope from the nose to the spar: a trench stays open by that much. */
const STEEPEST_FRONT_DEGREES: Readonly<Record<NoseStyle, number>> = {
  trench: MOST_OPEN_DEGREES - 1,
  bevels: 75,
  bent: 60,
  parted: 60,
};
/** A sloped plate shorter than this many boards is no plate. */
const LEAST_PLATE_BOARDS = 1.5;

/** Heights over the bottom's outer line at which the slopes start and end, and where along the chord, for given slopes. */
interface Slopes {
  readonly front: number;
  readonly rear: number;
}

/**
 * The section over a strip spar: a flat bottom, the top level over the spar at its height and two boards, straight down to nose and tail.
 * @source the outer creases stand off the spar's edges by t·tan(θ/2), since the inner faces meet over them; θ follows from the crease and
 * the nose or tail, so it is found by fixed point
 * @returns the section, or why these numbers make none
 */
export function stripSparSection(numbers: StripSparNumbers): SkinSection | SectionRefusal {
  const { chordMm: c, sparFrontMm, sparWidthMm, sparHeightMm: h, thicknessMm: t } = numbers;
  const top = h + 2 * t;
  let slopes: Slopes = { front: 0.2, rear: 0.1 };
  for (let round = 0; ; round++) {
    const { nose, frontCrease, rearCrease, tail } = cornersAt(numbers, slopes);
    const bent = numbers.isBent ? bentTop(numbers, nose, tail) : undefined;
    const least = LEAST_PLATE_BOARDS * t;
    if (!(frontCrease.x - nose.x >= least))
      return {
        refused: 'The spar stands too far forward',
        detail: 'Between the nose and the spar no slope of the top skin is left.',
        key: 'sparPercent',
        nearest: roundUp((100 * (least + nose.x + t + sparFrontMm - frontCrease.x)) / c),
      };
    if (!(tail.x - rearCrease.x >= least))
      return {
        refused: 'The spar stands too far aft',
        detail: 'Between the spar and the tail no slope of the top skin is left.',
        key: 'sparPercent',
        nearest: roundDown((100 * (c - least - sparWidthMm - 2 * t)) / c),
      };
    const next: Slopes = bent
      ? endSlopes(stripCorners(bent.line, [nose, tail], bent.rests, numbers.flatTailMm))
      : {
          front: Math.atan2(top - nose.y, frontCrease.x - nose.x),
          rear: Math.atan2(top - tail.y, tail.x - rearCrease.x),
        };
    if (next.rear <= 0)
      return {
        refused: 'The tail stands higher than the spar',
        detail: 'The top skin would have to climb aft of the spar.',
        key: 'sparHeightMm',
        nearest: Math.ceil((h + (tail.y - top) + t) * 10) / 10,
      };
    if (next.front > radians(STEEPEST_FRONT_DEGREES[numbers.nose]))
      return {
        refused: 'The top skin would stand up at the nose',
        detail: `It rises by more than ${STEEPEST_FRONT_DEGREES[numbers.nose]}° to the spar: put the spar further aft, or make it lower.`,
        key: 'sparPercent',
        nearest: roundUp((100 * (sparFrontMm + h)) / c),
      };
    const isSettled = Math.abs(next.front - slopes.front) + Math.abs(next.rear - slopes.rear) < SETTLED;
    slopes = next;
    if (isSettled || round >= MOST_ROUNDS) break;
  }
  return sectionOf(numbers, slopes);
}

/** The slopes of the first and the last strip of a bent top, whose ends the nose and the tail are cut for. */
function endSlopes(corners: readonly SectionPoint[]): Slopes {
  const slope = (a: SectionPoint, b: SectionPoint): number => Math.atan2(b.y - a.y, b.x - a.x);
  return { front: slope(corners[0]!, corners[1]!), rear: -slope(corners.at(-2)!, corners.at(-1)!) };
}

/** The top bent over the spar: it rests on both of the spar's upper edges, or on one. */
function bentTop(
  { sparFrontMm, sparWidthMm, sparHeightMm, thicknessMm: t }: StripSparNumbers,
  nose: SectionPoint,
  tail: SectionPoint,
): { readonly line: BentLine; readonly rests: readonly SectionPoint[] } {
  const top = sparHeightMm + 2 * t;
  let rests: readonly SectionPoint[] = [sparFrontMm, sparFrontMm + sparWidthMm].map((x) => ({ x, y: top }));
  let line = bentLine([nose, tail], rests);
  // The outer line of a sloping skin stands t/cos over the edge that its face rests on.
  for (let round = 0; round < 12; round++) {
    rests = rests.map(({ x }) => ({ x, y: top - t + t * Math.hypot(1, line.slope(x)) }));
    line = bentLine([nose, tail], rests);
  }
  return { line, rests };
}

const roundUp = (percent: number): number => Math.min(95, Math.ceil(percent));
const roundDown = (percent: number): number => Math.max(1, Math.floor(percent));

/** Height of the upper skin's inner edge at the tail over the bottom's outer line, and how far the bottom runs under it. */
function tailRest(
  { chordMm: c, tail, lapMm, stripBoards = 1, thicknessMm: t }: StripSparNumbers,
  rear: number,
): { readonly innerUp: number; readonly lowEnd: number; readonly lap: number } {
  const lowEnd = c - t * Math.sin(rear);
  switch (tail) {
    case 'lap': {
      const whole = t / Math.tan(rear),
        lap = Math.min(lapMm ?? whole, whole);
      return { innerUp: t - lap * Math.tan(rear), lowEnd, lap };
    }
    case 'square':
      return { innerUp: t, lowEnd, lap: 0 };
    case 'strip':
      return { innerUp: t * (1 + stripBoards), lowEnd, lap: 0 };
    case 'sanded':
      return { innerUp: -t * Math.cos(rear), lowEnd: c, lap: 0 };
  }
}

/** A bent nose is so many boards round, on its outside, unless it is said otherwise. */
export const USUAL_NOSE_BOARDS = 2;
/** Strips that a bent nose is drawn with. */
const NOSE_STRIPS = 16;

/** Where the upper skin begins at the nose: on the lower skin, in one point with it, on its feathered edge, or where the bend ends. */
function upperNose({ nose, noseRadiusMm, thicknessMm: t }: StripSparNumbers, front: number): SectionPoint {
  switch (nose) {
    case 'trench':
      return { x: 0, y: t * (1 + Math.cos(front)) };
    case 'bevels':
      return { x: 0, y: 0 };
    case 'parted':
      return { x: 0, y: t * Math.cos(front) };
    case 'bent': {
      const radius = noseRadiusMm ?? USUAL_NOSE_BOARDS * t;
      return { x: radius * (1 - Math.sin(front)), y: radius * (1 + Math.cos(front)) };
    }
  }
}

/** Corners between the lower skin and the upper one: of a bend from where it leaves the bottom, strip by strip. */
function noseCorners(numbers: StripSparNumbers, front: number): readonly SectionPoint[] {
  const { nose, noseRadiusMm, thicknessMm: t } = numbers;
  switch (nose) {
    case 'bevels':
      return [];
    // The skin of a trench leans by half of what the nose stays open, so its lower end lies that much aft of the nose.
    case 'trench':
      return [{ x: openTrenchWidth(degrees(front), t) * Math.sin(front / 2), y: 0 }];
    // A feathered edge comes to nothing where the upper sheet's face ends.
    case 'parted':
      return [{ x: t * Math.sin(front), y: 0 }];
    case 'bent': {
      const radius = noseRadiusMm ?? USUAL_NOSE_BOARDS * t;
      return Array.from({ length: NOSE_STRIPS }, (_, step) => {
        const turned = ((Math.PI - front) * step) / NOSE_STRIPS;
        return { x: radius * (1 - Math.sin(turned)), y: radius * (1 - Math.cos(turned)) };
      });
    }
  }
}

/** What lies between both skins at the nose. */
function nosePlates(nose: NoseStyle): readonly SectionPlate[] {
  switch (nose) {
    case 'bevels':
      return [];
    case 'trench':
      return [{ role: 'nose', isSkin: true }];
    case 'parted':
      return [{ role: 'nose', isSkin: true, isParted: true }];
    case 'bent':
      return Array.from({ length: NOSE_STRIPS }, (_, step) => ({ role: `nose-${step + 1}`, isBent: true }));
  }
}

function cornersAt(
  numbers: StripSparNumbers,
  { front, rear }: Slopes,
): {
  readonly nose: SectionPoint;
  readonly frontCrease: SectionPoint;
  readonly rearCrease: SectionPoint;
  readonly tail: SectionPoint;
} {
  const { chordMm: c, sparFrontMm, sparWidthMm, sparHeightMm: h, thicknessMm: t } = numbers;
  const top = h + 2 * t;
  return {
    nose: upperNose(numbers, front),
    frontCrease: { x: sparFrontMm - t * Math.tan(front / 2), y: top },
    rearCrease: { x: sparFrontMm + sparWidthMm + t * Math.tan(rear / 2), y: top },
    tail: { x: c, y: numbers.tail === 'sanded' ? 0 : tailRest(numbers, rear).innerUp + t * Math.cos(rear) },
  };
}

function sectionOf(numbers: StripSparNumbers, slopes: Slopes): SkinSection {
  const { sparFrontMm, sparWidthMm, thicknessMm: t } = numbers,
    { front, rear } = slopes;
  const { nose, frontCrease, rearCrease, tail } = cornersAt(numbers, slopes);
  const rest = tailRest(numbers, rear);
  const feather = 90 - degrees(rear) / (numbers.tail === 'sanded' ? 2 : 1);
  const lowBevel: Record<TailStyle, number> = {
    lap: degrees(Math.atan(rest.lap / t)),
    square: 0,
    strip: 0,
    sanded: 90 - degrees(rear) / 2,
  };
  const board = (role: string): SectionPlate => ({ role });
  const bent = numbers.isBent ? bentTop(numbers, nose, tail) : undefined;
  const topCorners = bent
    ? stripCorners(bent.line, [nose, tail], bent.rests, numbers.flatTailMm)
    : [nose, frontCrease, rearCrease, tail];
  return {
    corners: [{ x: rest.lowEnd, y: 0 }, ...noseCorners(numbers, front), ...topCorners],
    plates: [
      board('bottom'),
      ...nosePlates(numbers.nose),
      ...(bent
        ? topCorners.slice(1).map((_, index) => ({ role: `top-${index + 1}`, isBent: true }) as const)
        : [board('front'), board('cap'), board('rear')]),
    ],
    spar: { frontMm: sparFrontMm, widthMm: sparWidthMm },
    tailBevels: {
      lowDegrees: Math.min(lowBevel[numbers.tail], feather),
      topDegrees: numbers.tail === 'sanded' ? 90 - degrees(rear) / 2 : 0,
    },
    ...(numbers.tail === 'lap' ? { lapMm: rest.lap } : {}),
    ...(bent ? { tightestMm: tightestRadius(bent.line, [nose, tail], bent.rests) } : {}),
  };
}
