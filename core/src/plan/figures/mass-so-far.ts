import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { isBox, isSurface, type BodyThing, type PlannedThing, type SurfaceThing } from '../things/thing.ts';
import type { MadeMass, PlanContext } from './plan-context.ts';
import { meanChord, planformArea } from './planform.ts';
import { flatPlanform } from './surface-planform.ts';

/** What one thing weighs, and where along the airframe. */
export interface ThingMass {
  readonly thing: PlannedThing;
  readonly massG: number;
  readonly atMm: number;
  readonly from: 'typed' | 'weighed' | 'parts' | 'areas' | 'nothing';
}

/** The mass of a plan as far as it is known, and where it balances. */
export interface MassSoFar {
  readonly massG: number;
  /** Undefined without any mass. */
  readonly balanceMm?: number;
  readonly each: readonly ThingMass[];
  /** Where the mass of foam is from: a measured model's whole mass, the parts that are drawn, or areas. */
  readonly foamFrom: 'weighed' | 'parts' | 'areas';
}

/** Skins, spar and lap of a folded wing over its area; formers and doublers over a body's walls; glue and tape over foam. */
export const WING_BOARDS = 2.3,
  BODY_MORE = 1.25,
  GLUE_MORE = 1.1;
const MM2_PER_M2 = 1e6;

/** Boards that a surface is made of over its area: two skins when it is thicker than three boards, plates below. */
const boardsOf = ({ thicknessMm }: SurfaceThing, boardMm: number): number =>
  thicknessMm > 3 * boardMm ? WING_BOARDS : Math.max(1, Math.round(thicknessMm / boardMm));

interface Walls {
  readonly areaMm2: number;
  readonly atMm: number;
}
/** The walls of a body: floor, lid and both sides between its stations, and where their middle lies. */
function wallsOf({ at, stations }: BodyThing): Walls {
  const pieces = stations.slice(1).map((b, index) => {
    const a = stations[index]!,
      length = b.aftMm - a.aftMm;
    const girth = (station: typeof a): number => 2 * (station.topMm - station.bottomMm + station.widthMm);
    const [from, to] = [girth(a), girth(b)];
    const sum = from + to || 1;
    return { area: (length * (from + to)) / 2, at: at.x + a.aftMm + (length * (from + 2 * to)) / (3 * sum) };
  });
  const areaMm2 = pieces.reduce((sum, { area }) => sum + area, 0);
  return {
    areaMm2,
    atMm: areaMm2 > 0 ? pieces.reduce((sum, { area, at: x }) => sum + area * x, 0) / areaMm2 : at.x,
  };
}

/** Foam of a thing by its areas, with glue; where it lies. */
function foamOf(thing: PlannedThing, { boardMm, gramsPerSquareMetre }: PlanContext): { massG: number; atMm: number } {
  const gramsPerMm2 = (gramsPerSquareMetre * GLUE_MORE) / MM2_PER_M2;
  if (isSurface(thing)) {
    const flat = flatPlanform(thing);
    const area = flat.slice(1).reduce((sum, b, index) => {
      const a = flat[index]!;
      return sum + ((a.chordMm + b.chordMm) / 2) * (b.outMm - a.outMm);
    }, 0);
    if (!(area > 0)) return { massG: 0, atMm: thing.at.x };
    const count = thing.kind === 'fin' && thing.apartMm === 0 ? 0.5 : 1;
    const { leadingEdgeMm, chordMm } = meanChord(flat);
    // The middle of the area lies half a mean chord behind its leading edge.
    return {
      massG: planformArea(flat) * count * boardsOf(thing, boardMm) * gramsPerMm2,
      atMm: leadingEdgeMm + chordMm / 2,
    };
  }
  if (thing.kind === 'body') {
    const { areaMm2, atMm } = wallsOf(thing);
    return { massG: areaMm2 * BODY_MORE * gramsPerMm2, atMm };
  }
  return { massG: 0, atMm: thing.at.x };
}

const withGlue = ({ massG, atMm }: MadeMass): MadeMass => ({ massG: massG * GLUE_MORE, atMm });

/** The mass so far: foam from what a measured model weighs less what is in it, from the parts that are drawn, or from areas before; everything else as it was typed. */
export function massSoFar(plan: Plan, context: PlanContext): MassSoFar {
  const { partsFoamG } = context;
  const isMade = (thing: PlannedThing): boolean => thing.massG === undefined && context.made?.has(thing.id) === true;
  const foam = placedThings(plan).map((thing) => ({
    thing,
    ...(isMade(thing) ? withGlue(context.made!.get(thing.id)!) : foamOf(thing, context)),
  }));
  // What was made by number is known, and where it lies; what else there is of foam is shared out by areas.
  const made = foam.reduce((sum, { thing, massG }) => sum + (isMade(thing) ? massG : 0), 0);
  const planned = foam.reduce(
    (sum, { thing, massG }) => sum + (thing.massG === undefined && !isMade(thing) ? massG : 0),
    0,
  );
  const typed = plan.things.reduce((sum, { massG = 0 }) => sum + massG, 0),
    weighed = plan.measured?.massG;
  const isWeighed = weighed !== undefined && weighed > typed && planned + made > 0,
    isFromParts = !isWeighed && partsFoamG !== undefined && partsFoamG > 0 && planned > 0,
    restG = Math.max(0, (partsFoamG ?? 0) * GLUE_MORE - made);
  // Scales and parts know how much foam there is; the plan knows where.
  // Scales tell of all foam alike.
  const weighedBy = isWeighed ? (weighed - typed) / (planned + made) : 1;
  const factor = isWeighed ? weighedBy : isFromParts ? restG / planned : 1,
    foamFrom = isWeighed ? 'weighed' : isFromParts || made > 0 ? 'parts' : 'areas';
  const each = foam.map(({ thing, massG, atMm }): ThingMass => {
    if (thing.massG !== undefined)
      return { thing, massG: thing.massG, atMm: isBox(thing) ? thing.at.x : atMm, from: 'typed' };
    if (isMade(thing)) return { thing, massG: massG * weighedBy, atMm, from: isWeighed ? 'weighed' : 'parts' };
    return { thing, massG: massG * factor, atMm, from: massG === 0 ? 'nothing' : foamFrom };
  });
  const massG = each.reduce((sum, one) => sum + one.massG, 0);
  const moment = each.reduce((sum, one) => sum + one.massG * one.atMm, 0);
  return {
    massG,
    each,
    foamFrom,
    ...(massG > 0 ? { balanceMm: moment / massG } : {}),
  };
}
