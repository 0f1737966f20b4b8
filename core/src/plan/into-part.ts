import { applyCommand, type PartCommand } from '../editing/index.ts';
import type { Point } from '../geometry/index.ts';
import { operationDraft } from '../operations/index.ts';
import { emptyPart, outlineOf, withoutLostPlaces, type Part, type PlannedFrom } from '../part/index.ts';
import { polygonDraft, polylineDraft, type PathDraft } from '../paths/index.ts';
import { CoreError, stableHash } from '../units/index.ts';
import { placedThings } from './guides.ts';
import type { Plan, ViewLine } from './plan.ts';
import { controlLines } from './things/thing-shapes.ts';
import { placedChords } from './things/thing-box.ts';
import { isSurface, type BodyThing, type PlannedThing, type SurfaceThing } from './things/thing.ts';
import { seatOf } from './wing-seat.ts';

/** What of a plan can be taken as a part: a view of a thing, or an outline that was drawn. */
export interface PartOffer {
  readonly from: PlannedFrom['from'];
  readonly role: PlannedFrom['role'];
  readonly name: string;
  readonly word: string;
  readonly handed: Part['handed'];
}

/** An outline and the marks on it, about the thing's own place. */
interface Taken {
  readonly outline: PathDraft;
  readonly marks: readonly PathDraft[];
}

/** What can be taken as parts of a plan. */
export function partOffers(plan: Plan): readonly PartOffer[] {
  const things = plan.things.flatMap((thing): readonly PartOffer[] => {
    const offer = (role: PartOffer['role'], word: string, handed: Part['handed'] = 'single'): PartOffer => ({
      from: thing.id,
      role,
      name: role === 'whole' ? thing.name : `${thing.name} ${role}`,
      word,
      handed,
    });
    if (thing.kind === 'body')
      return [
        offer('side', 'side, as the side view shows it', 'pair'),
        offer('floor', 'floor, as the top view shows it'),
      ];
    if (thing.kind === 'fin') return [offer('whole', 'whole fin')];
    if (thing.kind === 'tail')
      return [offer('whole', 'both halves in one'), offer('half', 'one half, a handed pair', 'pair')];
    if (thing.kind === 'wing') return [offer('half', 'one half laid flat, a handed pair', 'pair')];
    return [];
  });
  const drawn = plan.lines
    .filter(({ closed }) => closed)
    .map((line): PartOffer => ({
      from: line.id,
      role: 'outline',
      name: line.name,
      word: 'outline as drawn',
      handed: 'single',
    }));
  return [...things, ...drawn];
}

/** What an offer would be drawn as now; undefined when what it is from is gone. */
function takenOf(plan: Plan, { from, role }: Pick<PlannedFrom, 'from' | 'role'>): Taken | undefined {
  const line = plan.lines.find(({ id }) => id === from);
  if (line) return { outline: draftOfLine(line), marks: [] };
  const things = placedThings(plan),
    thing = things.find(({ id }) => id === from);
  if (!thing) return undefined;
  if (thing.kind === 'body') return role === 'floor' ? floorOf(thing) : sideOf(thing, things);
  return isSurface(thing) ? surfaceOutline(thing, role) : undefined;
}

const draftOfLine = ({ nodes, segments, closed }: ViewLine): PathDraft => ({
  points: nodes.map(({ x, y }) => ({ x, y })),
  segments: segments.map(({ id: _id, ...segment }) => segment),
  closed,
});

const isFar = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) > 1e-6;
/** A ring of points without those that lie on the one before. */
const ring = (points: readonly Point[]): PathDraft =>
  polygonDraft(points.filter((p, index) => isFar(p, points[(index + points.length - 1) % points.length]!)));

/** The side of a body, with the seats of wing and tail marked on it. */
function sideOf(body: BodyThing, things: readonly PlannedThing[]): Taken {
  const bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body');
  const seats = things.flatMap((thing) => {
    const seat = thing.kind === 'wing' || thing.kind === 'tail' ? seatOf(thing, bodies) : undefined;
    return seat && seat.body.id === body.id && seat.kind !== 'above' && seat.kind !== 'below' ? [seat] : [];
  });
  return {
    outline: ring([
      ...body.stations.map(({ aftMm, bottomMm }) => ({ x: aftMm, y: bottomMm })),
      ...body.stations.map(({ aftMm, topMm }) => ({ x: aftMm, y: topMm })).reverse(),
    ]),
    marks: seats.map(({ corners }) =>
      polylineDraft([...corners, corners[0]!].map(({ x, z }) => ({ x: x - body.at.x, y: z - body.at.z }))),
    ),
  };
}

const floorOf = ({ stations }: BodyThing): Taken => ({
  outline: ring([
    ...stations.map(({ aftMm, widthMm }) => ({ x: aftMm, y: -widthMm / 2 })),
    ...stations.map(({ aftMm, widthMm }) => ({ x: aftMm, y: widthMm / 2 })).reverse(),
  ]),
  marks: [],
});

/** A surface laid flat: its half from the middle out, or both halves; hinges marked. */
function surfaceOutline(surface: SurfaceThing, role: PlannedFrom['role']): Taken {
  const { stations } = surface,
    half = [
      ...stations.map(({ outMm, sweepMm }) => ({ x: sweepMm, y: outMm })),
      ...stations.map(({ outMm, sweepMm, chordMm }) => ({ x: sweepMm + chordMm, y: outMm })).reverse(),
    ];
  // Hinges are worked out where the surface stands; laid flat its out is counted along the panels.
  const chords = placedChords(surface),
    flatOut = (p: Point): number => {
      const of = ({ y, z }: (typeof chords)[number]): number => (surface.kind === 'fin' ? z : y);
      const index = Math.max(
          1,
          chords.findIndex((chord) => of(chord) >= p.y - 1e-9),
        ),
        [a, b] = [chords[index - 1]!, chords[index]!],
        t = of(b) === of(a) ? 0 : (p.y - of(a)) / (of(b) - of(a));
      return stations[index - 1]!.outMm + t * (stations[index]!.outMm - stations[index - 1]!.outMm);
    };
  const hinges = controlLines(surface).map((points) =>
    points.map((p): Point => ({ x: p.x - surface.at.x, y: flatOut(p) })),
  );
  const mirrored = (p: Point): Point => ({ x: p.x, y: -p.y });
  const isBoth = role === 'whole' && surface.kind !== 'fin';
  return {
    outline: isBoth ? ring([...half, ...[...half].reverse().slice(1, -1).map(mirrored)]) : ring(half),
    marks: [
      ...hinges.map(polylineDraft),
      ...(isBoth ? hinges.map((points) => polylineDraft(points.map(mirrored))) : []),
    ],
  };
}

const fingerprint = (taken: Taken): string => {
  const round = (value: number): number => Math.round(value * 1e4) / 1e4;
  return stableHash(
    [taken.outline, ...taken.marks].map(({ points, segments }) => ({
      points: points.map(({ x, y }) => [round(x), round(y)]),
      segments,
    })),
  );
};

function run(part: Part, command: PartCommand): Part {
  const result = applyCommand(part, command);
  if (!result.ok) throw new CoreError('OUT_OF_RANGE', result.message);
  return result.part;
}

const withMarks = (part: Part, marks: readonly PathDraft[]): Part =>
  marks.reduce(
    (now, draft) => run(now, { name: 'drawLine', args: { draft, operation: operationDraft('mark') } }),
    part,
  );

/**
 * A part as an offer of the plan shows it; it keeps where it came from.
 * @throws CoreError NOT_FOUND when that is gone; OUT_OF_RANGE when its outline cannot stand
 */
export function takePart(plan: Plan, offer: PartOffer, id: string, material: string): Part {
  const taken = takenOf(plan, offer);
  if (!taken) throw new CoreError('NOT_FOUND', `${offer.name} is no longer in the plan.`);
  const drawn = run(emptyPart(id, offer.name, material), { name: 'drawOutline', args: { draft: taken.outline } });
  return {
    ...withMarks(drawn, taken.marks),
    handed: offer.handed,
    planned: { from: offer.from, role: offer.role, outline: fingerprint(taken) },
  };
}

/** What became in the plan of what a part was taken from. */
export type PlanLink = 'same' | 'moved' | 'gone';
export function planLink(plan: Plan | undefined, part: Part): PlanLink | undefined {
  if (!part.planned) return undefined;
  const taken = plan && takenOf(plan, part.planned);
  if (!taken) return 'gone';
  return fingerprint(taken) === part.planned.outline ? 'same' : 'moved';
}

/**
 * A part brought up to what the plan shows now. Points and edges keep their ids where the outline has as many as before, so that work on them
 * stays; what no longer has a place is taken off.
 * @throws CoreError NOT_FOUND when what it was taken from is gone
 */
export function followPlan(plan: Plan, part: Part): Part {
  const from = part.planned,
    taken = from && takenOf(plan, from);
  if (!taken) throw new CoreError('NOT_FOUND', `What ${part.name} was taken from is no longer in the plan.`);
  const planned: PlannedFrom = { ...from, outline: fingerprint(taken) };
  const outline = outlineOf(part),
    { points, segments } = taken.outline;
  const isAlike =
    outline !== undefined &&
    outline.nodes.length === points.length &&
    outline.segments.every(({ kind }, index) => kind === segments[index]!.kind);
  if (!isAlike) {
    const redrawn = run(
      { ...part, contours: part.contours.filter(({ role }) => role !== 'outer') },
      { name: 'drawOutline', args: { draft: taken.outline } },
    );
    return { ...withoutLostPlaces(redrawn), planned };
  }
  const moved = {
    ...outline,
    nodes: outline.nodes.map((node, index) => ({ ...node, ...points[index]! })),
    segments: outline.segments.map((segment, index) => ({ ...segments[index]!, id: segment.id })),
  };
  return {
    ...part,
    planned,
    contours: part.contours.map((contour) => (contour.id === outline.id ? moved : contour)),
  };
}

/** A part that goes its own way from now on. */
export function letGoOfPlan(part: Part): Part {
  const { planned: _planned, ...own } = part;
  return own;
}
