import { stableHash } from '../units/index.ts';
import { fitSlots, partFaults, resolve, starboardTwin, type Fault, type Part, type ResolveContext, type ResolvedPart } from '../drawing/index.ts';
import { scalePart } from '../scale/index.ts';
import { arealMassOf, thicknessOf } from '../stock/index.ts';
import type { Airframe } from './airframe.ts';

/** Thickness and areal mass figured with while a material is not in stock. */
const ASSUMED = { thicknessMm: 5, gramsPerSquareMetre: 480 } as const;

/** One shape to cut and how often; a handed pair gives two. */
export interface Piece {
  readonly id: string;
  readonly part: ResolvedPart;
  readonly quantity: number;
}

/** What a part is made exact with in its airframe. */
export function contextOf(airframe: Airframe, part: Part): ResolveContext {
  return {
    thicknessMm: thicknessOf(part.material, airframe.boards) ?? ASSUMED.thicknessMm,
    gramsPerSquareMetre: arealMassOf(part.material, airframe.boards) ?? ASSUMED.gramsPerSquareMetre,
    unit: airframe.settings.unit,
    plateThicknesses: Object.fromEntries(part.contours.flatMap(({ plate }) => (plate ? [[plate.material, thicknessOf(plate.material, airframe.boards) ?? ASSUMED.thicknessMm] as const] : []))),
  };
}

/** A part at the airframe's scale, made exact. */
export const resolveIn = (airframe: Airframe, part: Part): ResolvedPart => resolve(scalePart(part, airframe.settings.scale), contextOf(airframe, part));

const twins = new WeakMap<ResolvedPart, ResolvedPart>();
function twinOf(part: ResolvedPart): ResolvedPart {
  const twin = twins.get(part) ?? starboardTwin(part);
  twins.set(part, twin);
  return twin;
}

/** Every shape of the airframe with a closed outline, and how often it is cut. */
export function piecesOfAirframe(airframe: Airframe): readonly Piece[] {
  return airframe.parts.flatMap((part): readonly Piece[] => {
    const resolved = resolveIn(airframe, part);
    if (resolved.outer.length === 0) return [];
    const port = { id: part.id, part: resolved, quantity: part.quantity };
    return part.handed === 'pair' ? [port, { id: `${part.id}:starboard`, part: twinOf(resolved), quantity: part.quantity }] : [port];
  });
}

interface KnownFaults { readonly boards: Airframe['boards']; readonly scale: number; readonly nest: Airframe['settings']['nest']; readonly faults: readonly Fault[] }
const knownFaults = new WeakMap<Part, KnownFaults>();

/** What is wrong with one part, at the airframe's scale and on its boards. Remembered while none of these changes. */
export function faultsIn(airframe: Airframe, part: Part): readonly Fault[] {
  const { boards, settings: { scale, nest } } = airframe;
  const known = knownFaults.get(part);
  if (known && known.boards === boards && known.scale === scale && known.nest === nest) return known.faults;
  const faults = partFaults(fitSlots(scalePart(part, scale), contextOf(airframe, part)), resolveIn(airframe, part), { boards, scale, edgeMarginMm: nest.edgeMarginMm, turnStep: nest.turnStep });
  knownFaults.set(part, { boards, scale, nest, faults });
  return faults;
}

const shapeHashes = new WeakMap<ResolvedPart, string>();
/** Fingerprint of what a nest needs of a shape: its outline, its holes and how its grain runs. */
function shapeHash(part: ResolvedPart): string {
  const known = shapeHashes.get(part) ?? stableHash([part.outline, part.holes, part.grain, part.material]);
  shapeHashes.set(part, known);
  return known;
}

/** Fingerprint of all that a nest depends on: shapes, quantities, boards and distances. */
export function nestHash(airframe: Airframe): string {
  const { seed: _seed, ...distances } = airframe.settings.nest;
  return stableHash([piecesOfAirframe(airframe).map(({ id, part, quantity }) => [id, shapeHash(part), quantity]), airframe.boards, distances]);
}
