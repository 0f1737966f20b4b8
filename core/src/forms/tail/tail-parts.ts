import { composeRigid, point3, STILL, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import {
  madePart,
  namesOf,
  placeOf,
  roomOnPiece,
  type MadeCorner,
  type MadeEdgeWork,
  type MadeHole,
  type MadeLine,
} from '../form/index.ts';
import { LEVEL, uprightAt } from './plate.ts';
import { elevatorRelief, rudderRelief, type Relief } from './relief.ts';
import { finTab, levelLines, uprightLines } from './tail-outlines.ts';
import { finAcross, type CutPlate, type TailSite } from './tail-site.ts';

/** Room for glue round a tab in its slot, in mm. */
const SLOT_ROOM_MM = 0.1;
/** The line along the middle ends so far before a slot, in mm. */
const SLOT_CLEAR_MM = 2;
/** Arms of a mark where a horn stands, and how far behind the hinge its middle lies, in mm. */
const HORN_ARM_MM = 5;
const HORN_BEHIND_MM = 8;
/** How long a joiner's leg lies in each half, as a share of the half span, and at most, in mm. */
const LEG_SHARE = 0.4;
const LONGEST_LEG_MM = 60;

/** A cross where a horn stands. */
const hornMarks = (at: Point): readonly MadeLine[] =>
  (
    [
      ['horn-along', { x: HORN_ARM_MM, y: 0 }, 'horn'],
      ['horn-across', { x: 0, y: HORN_ARM_MM }, ''],
    ] as const
  ).map(([name, arm, label]) => ({
    name,
    from: { x: at.x - arm.x, y: at.y - arm.y },
    to: { x: at.x + arm.x, y: at.y + arm.y },
    work: { kind: 'mark', face: 'face', label },
  }));

/** What a part of a tail is, beside the plate that it is cut from. */
interface PartWords {
  readonly role: string;
  readonly name: string;
  readonly handed: Part['handed'];
  readonly grainDegrees: number;
  readonly map: RigidMap;
  readonly lines?: readonly MadeLine[];
  readonly holes?: readonly MadeHole[];
  readonly relief?: Relief;
}

function platePart({ form, tail }: TailSite, plate: CutPlate, words: PartWords): Part {
  const ring = plate.left[0]!,
    names = namesOf(ring, plate.outline.edges, 'cut-out'),
    outline = ring.map((at, index): MadeCorner => ({ at, edge: names[index]! })),
    { x, y, z } = form.place.at;
  const hinges = names.filter((name) => name.startsWith('hinge'));
  const edgeWork: readonly MadeEdgeWork[] = words.relief
    ? [
        {
          name: 'relief',
          edges: hinges,
          work: { kind: 'bevel', face: words.relief.face, bevelDegrees: words.relief.degrees, label: 'hinge' },
        },
      ]
    : [];
  const map = composeRigid(words.map, { ...STILL, origin: point3(x, y, z) });
  return madePart({
    formId: form.id,
    role: words.role,
    name: `${form.name} ${words.name}`,
    group: form.name,
    material: tail.material,
    handed: words.handed,
    grain: { directionDegrees: words.grainDegrees, rule: 'along' },
    outline,
    ...(words.holes ? { holes: words.holes } : {}),
    ...(words.lines ? { lines: words.lines } : {}),
    edgeWork,
    place: placeOf(map, roomOnPiece(ring, outline, words.holes ?? [])),
  });
}

/** The slot that the fin's tab goes through. */
function finSlot({ tail, board }: TailSite): readonly MadeHole[] {
  const tab = finTab(tail);
  if (!tab) return [];
  const half = board.thicknessMm / 2 + SLOT_ROOM_MM,
    [from, to] = [tab[0] - SLOT_ROOM_MM, tab[1] + SLOT_ROOM_MM];
  return [
    {
      name: 'fin-slot',
      sizing: 'fixed',
      corners: [
        { x: from, y: -half },
        { x: to, y: -half },
        { x: to, y: half },
        { x: from, y: half },
      ],
    },
  ];
}

/** How the wire that joins two halves of an elevator is bent: its bridge, and a leg along the hinge of each half. */
export interface Joiner {
  readonly bridgeMm: number;
  readonly legMm: number;
  /** From the bridge to the leg: square for a straight hinge. */
  readonly bendDegrees: number;
  /** Where its leg lies in the port half: on the flat. */
  readonly from: Point;
  readonly to: Point;
}

/** The joiner of an elevator in two halves: behind its hinges, its bridge before the rudder's room. */
export function joinerOf({ tail, elevator }: TailSite): Joiner | undefined {
  if (tail.elevator?.halves !== 'two' || !elevator) return undefined;
  const { halfMm, hingeAt } = levelLines(tail),
    inner = Math.min(...elevator.left[0]!.map(({ y }) => -y));
  const legMm = Math.min(LONGEST_LEG_MM, LEG_SHARE * (halfMm - inner)),
    back = tail.elevator.joinerMm;
  const at = (out: number): Point => ({ x: hingeAt(out) + back, y: -out });
  const start = Math.max(inner, nearestBoard(elevator.left[0]!, hingeAt, back));
  const rise = hingeAt(start + legMm) - hingeAt(start);
  return {
    bridgeMm: 2 * start,
    legMm,
    bendDegrees: 90 + (Math.atan2(rise, legMm) * 180) / Math.PI,
    from: at(start),
    to: at(start + legMm),
  };
}

/** How far out the board of an elevator's half begins, just behind its hinge. */
function nearestBoard(ring: readonly Point[], hingeAt: (outMm: number) => number, backMm: number): number {
  const crossings = ring.flatMap((p, index) => {
    const q = ring[(index + 1) % ring.length]!,
      [a, b] = [p, q].map(({ x, y }) => x - hingeAt(-y) - backMm);
    return a! * b! < 0 ? [-(p.y + ((q.y - p.y) * a!) / (a! - b!))] : [];
  });
  return crossings.length > 0 ? Math.min(...crossings) : 0;
}

function elevatorParts(site: TailSite): readonly Part[] {
  const { tail, elevator } = site;
  if (!tail.elevator || !elevator) return [];
  const { hingeAt } = levelLines(tail),
    joiner = joinerOf(site),
    hornAt = { x: hingeAt(tail.elevator.hornMm) + HORN_BEHIND_MM, y: -tail.elevator.hornMm };
  return [
    platePart(site, elevator, {
      role: 'elevator',
      name: tail.elevator.halves === 'two' ? 'elevator half' : 'elevator',
      handed: tail.elevator.halves === 'two' ? 'pair' : 'single',
      grainDegrees: 90,
      map: LEVEL,
      relief: elevatorRelief(tail),
      lines: [
        ...hornMarks(hornAt),
        ...(joiner
          ? [
              {
                name: 'joiner',
                from: joiner.from,
                to: joiner.to,
                work: { kind: 'mark', face: 'face', label: 'joiner' } as const,
              },
            ]
          : []),
      ],
    }),
  ];
}

function uprightParts(site: TailSite): readonly Part[] {
  const { tail, fin, rudder, board } = site;
  if (!tail.fin || !fin) return [];
  const t = board.thicknessMm,
    map = uprightAt(finAcross(tail, t)),
    handed = tail.fin.place === 'tips' ? 'pair' : 'single',
    { hingeAt } = uprightLines(tail, t);
  const fins = platePart(site, fin, { role: 'fin', name: 'fin', handed, grainDegrees: 90, map });
  if (!tail.rudder || !rudder) return [fins];
  const up = t + tail.rudder.hornMm;
  return [
    fins,
    platePart(site, rudder, {
      role: 'rudder',
      name: 'rudder',
      handed,
      grainDegrees: 90,
      map,
      relief: rudderRelief(tail),
      lines: hornMarks({ x: hingeAt(up) + HORN_BEHIND_MM, y: up }),
    }),
  ];
}

/** The plates of a tail. */
export const tailParts = (site: TailSite): readonly Part[] => [
  platePart(site, site.stabiliser, {
    role: 'stabiliser',
    name: 'stabiliser',
    handed: 'single',
    grainDegrees: 90,
    map: LEVEL,
    holes: finSlot(site),
    lines: [
      {
        name: 'middle',
        from: { x: levelLines(site.tail).noseAt(0), y: 0 },
        to: { x: (finTab(site.tail)?.[0] ?? levelLines(site.tail).hingeAt(0) + SLOT_CLEAR_MM) - SLOT_CLEAR_MM, y: 0 },
        work: { kind: 'mark', face: 'face', label: 'middle' },
      },
    ],
  }),
  ...elevatorParts(site),
  ...uprightParts(site),
];
