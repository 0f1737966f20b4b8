import type { BodyThing, PlannedThing } from '../things/thing.ts';
import { twoChords } from '../things/usual-things.ts';
import { TYPE_TRAITS, type PlanType } from './plan-types.ts';
import type { Proportions } from './proportions.ts';

export const whole = (mm: number): number => Math.round(mm);

/** Sizes that things are drawn from. */
export interface Sizes {
  readonly type: PlanType;
  readonly spanMm: number;
  readonly areaMm2: number;
  readonly chordMm: number;
  readonly wingX: number;
  readonly wingQuarter: number;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly boardMm: number;
  readonly propellerMm: number;
  /** Where the wing's trailing edge is furthest aft within the reach of the blades. */
  readonly trailingMm: number;
  readonly isPusher: boolean;
}

/** Tail and fins by their volumes; a flying wing has fins at its tips, a canard its foreplane before the wing. */
export function tailThings(
  sizes: Sizes,
  { tailVolume, tailAspect, finVolume, armChords, sweepShare }: Proportions,
): readonly PlannedThing[] {
  const { type, areaMm2, chordMm, spanMm, wingQuarter, boardMm, heightMm } = sizes;
  const isTailless = !TYPE_TRAITS[type].tailVolume;
  if (isTailless) return [tipFins(sizes, finVolume, sweepShare)];
  const arm = armChords * chordMm,
    area = (tailVolume * areaMm2 * chordMm) / Math.max(1, Math.abs(arm)),
    span = Math.sqrt(area * tailAspect),
    root = (2 * area) / span / 1.85,
    tip = 0.85 * root,
    sweep = whole(0.15 * (span / 2));
  // The quarter point of a tapered, swept tail from its root's leading edge: mean chord and its place by their formulas.
  const mean = ((2 / 3) * root * (1 + 0.85 + 0.85 ** 2)) / 1.85,
    back = (sweep * (1 + 2 * 0.85)) / (3 * 1.85) + mean / 4;
  const tail: PlannedThing = {
    id: 't5',
    kind: 'tail',
    name: arm < 0 ? 'Foreplane' : 'Tail',
    at: {
      x: whole(wingQuarter + arm - back),
      y: 0,
      z: type === 'jet-like' || type === 'profile' ? 0 : whole(heightMm * 0.2),
    },
    stations: twoChords(span / 2, whole(root), whole(tip), sweep),
    angles: [0],
    incidenceDegrees: 0,
    thicknessMm: boardMm,
    apartMm: 0,
    control: {
      fromMm: whole(0.06 * span),
      toMm: Math.floor(span / 2),
      chordMm: whole(0.3 * tip),
      upDegrees: 20,
      downDegrees: 20,
    },
  };
  if (arm < 0) return [tail, tipFins(sizes, finVolume, sweepShare)];
  const finArea = (finVolume * areaMm2 * spanMm) / arm;
  const finQuarter = wingQuarter + arm;
  return [tail, fin(sizes, finArea, finQuarter - 0.45 * Math.sqrt(finArea / 1.3), whole(heightMm * 0.2) + boardMm, 0)];
}

/** Fins at both tips, as large as their short arm asks for. */
function tipFins(sizes: Sizes, finVolume: number, sweepShare: number): PlannedThing {
  const { wingX, wingQuarter, spanMm, areaMm2, chordMm } = sizes;
  const x = wingX + (sweepShare * spanMm) / 2 + 0.2 * chordMm,
    arm = Math.max(0.3 * chordMm, x + 0.3 * chordMm - wingQuarter);
  return fin(sizes, (finVolume * areaMm2 * spanMm) / arm / 2, x, 0, spanMm);
}

/** A fin of an area; two of them where they stand apart. */
function fin({ boardMm }: Sizes, areaMm2: number, x: number, z: number, apartMm: number): PlannedThing {
  const height = Math.sqrt(areaMm2 * 1.3),
    mean = areaMm2 / height,
    [root, tip] = [1.25 * mean, 0.75 * mean];
  return {
    id: 't6',
    kind: 'fin',
    name: apartMm > 0 ? 'Tip fins' : 'Fin',
    at: { x: whole(x), y: 0, z: whole(z) },
    stations: twoChords(whole(height), whole(root), whole(tip), whole(0.35 * root)),
    angles: [90],
    incidenceDegrees: 0,
    thicknessMm: boardMm,
    apartMm: whole(apartMm),
    ...(apartMm > 0
      ? {}
      : {
          control: {
            fromMm: Math.ceil(0.12 * height),
            toMm: Math.floor(height),
            chordMm: whole(0.3 * tip),
            upDegrees: 25,
            downDegrees: 25,
          },
        }),
  };
}

/** A body from the nose to the end of the tail; a pusher's is a pod with a boom under the propeller. */
export function bodyThings(
  { type, wingX, heightMm, widthMm, boardMm, propellerMm, trailingMm }: Sizes,
  root: number,
  end: number,
): readonly BodyThing[] {
  const half = heightMm / 2,
    // A propeller behind the wing clears its trailing edge as far out as the blades reach.
    wingEnd = Math.max(wingX + root, trailingMm);
  const body = (id: string, name: string, x: number, z: number, stations: BodyThing['stations']): BodyThing => ({
    id,
    kind: 'body',
    name,
    at: { x, y: 0, z },
    stations: stations.map((station) => ({
      aftMm: whole(station.aftMm),
      bottomMm: whole(station.bottomMm),
      topMm: whole(station.topMm),
      widthMm: whole(station.widthMm),
    })),
  });
  const nose = { aftMm: 0, bottomMm: -0.7 * half, topMm: 0.7 * half, widthMm: 0.8 * widthMm };
  const full = (aftMm: number) => ({ aftMm, bottomMm: -half, topMm: half, widthMm });
  const tail = { aftMm: end, bottomMm: 0, topMm: 0.4 * half, widthMm: Math.max(3 * boardMm, 0.35 * widthMm) };
  if (type === 'pusher') {
    const boomZ = whole(half - propellerMm / 2 - 25);
    return [
      body('t3', 'Pod', 0, 0, [
        nose,
        full(0.6 * wingX),
        full(wingX + 0.6 * root),
        { ...full(wingEnd), bottomMm: 0, widthMm: 0.6 * widthMm },
      ]),
      body('t4', 'Boom', wingX, boomZ, [
        { aftMm: 0, bottomMm: -2 * boardMm, topMm: 2 * boardMm, widthMm: 3 * boardMm },
        { aftMm: end - wingX, bottomMm: -2 * boardMm, topMm: 2 * boardMm, widthMm: 3 * boardMm },
      ]),
    ];
  }
  if (type === 'flying wing')
    return [
      body('t3', 'Body', 0, 0, [
        nose,
        full(wingX + 0.3 * root),
        { ...full(wingEnd), bottomMm: -0.5 * half, topMm: 0.5 * half },
      ]),
    ];
  if (type === 'canard')
    return [
      body('t3', 'Body', 0, 0, [
        nose,
        full(0.5 * wingX),
        full(wingX),
        { ...full(wingEnd), bottomMm: -0.5 * half, topMm: 0.5 * half },
      ]),
    ];
  return [body('t3', 'Body', 0, 0, [nose, full(0.7 * wingX), full(wingEnd), tail])];
}

/** Motor, propeller, pack, speed control and receiver where they usually go. */
export function powerThings(
  { type, wingX, heightMm, boardMm, propellerMm, isPusher, trailingMm }: Sizes,
  bodies: readonly BodyThing[],
  root: number,
  end: number,
  { motorG, packG, powerW }: { readonly motorG: number; readonly packG: number; readonly powerW: number },
): readonly PlannedThing[] {
  const size = Math.cbrt(packG / 110),
    depthMm = Math.max(4, whole(0.05 * propellerMm));
  const bodyEnd = bodies[0]!.at.x + bodies[0]!.stations.at(-1)!.aftMm,
    // The motor of a profile stands before its nose, on the plate.
    isOutside = type === 'profile',
    propX = isPusher ? Math.max(bodyEnd, trailingMm) + depthMm / 2 + 12 : -depthMm / 2 - (isOutside ? 32 : 6),
    propZ = type === 'pusher' ? heightMm / 2 : 0;
  const room = 2 * boardMm,
    inside = bodies[0]!.stations[1]!.widthMm - room;
  const box = (
    id: string,
    kind: 'pack' | 'receiver' | 'speed control',
    name: string,
    x: number,
    sides: readonly [number, number, number],
    massG: number,
  ): PlannedThing => ({
    id,
    kind,
    name,
    at: { x: whole(x), y: 0, z: 0 },
    lengthMm: whole(sides[0]),
    widthMm: whole(Math.max(3, Math.min(sides[1], inside - 2))),
    heightMm: whole(sides[2]),
    massG: whole(massG),
    ...(kind === 'pack' ? { powerW: whole(powerW * 1.3) } : {}),
  });
  return [
    {
      id: 't10',
      kind: 'propeller',
      name: 'Propeller',
      at: { x: whole(propX), y: 0, z: whole(propZ) },
      diameterMm: whole(propellerMm),
      depthMm,
      massG: Math.max(2, whole(propellerMm / 18)),
    },
    {
      id: 't11',
      kind: 'motor',
      name: 'Motor',
      at: { x: whole(isPusher ? propX - 24 : isOutside ? -14 : 14), y: 0, z: whole(propZ) },
      lengthMm: 26,
      widthMm: isOutside ? 26 : whole(Math.max(3, Math.min(26, bodies[0]!.stations[0]!.widthMm - room))),
      heightMm: 26,
      massG: whole(motorG),
      powerW: whole(powerW),
      goesWith: 't10',
    },
    box('t12', 'pack', 'Pack', Math.max(50, 0.55 * wingX), [75 * size, 34 * size, 22 * size], packG),
    box(
      't13',
      'speed control',
      'Speed control',
      Math.max(95, 0.8 * wingX),
      [40 * size, 22 * size, 9 * size],
      packG * 0.16,
    ),
    box('t14', 'receiver', 'Receiver', Math.min(end, wingX + 0.3 * root), [36, 20, 11], 8),
  ];
}
