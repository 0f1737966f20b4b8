import { centroid, type Point } from '../../geometry/index.ts';
import { placeMap } from '../../folds/index.ts';
import { applyRigid, point3 } from '../../geometry/index.ts';
import { outlineOf, type Part } from '../../part/index.ts';
import { areaFrom, partMass } from '../form/index.ts';
import { propellerDisc } from './power-parts.ts';
import type { PowerSite } from './power-site.ts';

/** Everything that a power box tells of itself. */
export interface PowerFigures {
  readonly widthMm: number;
  readonly heightMm: number;
  /** How far the motor stands to port of the middle, and over the line, on the firewall. */
  readonly asideMm: number;
  readonly aboveMm: number;
  /** By how much the port wall is longer than the starboard one, and the top longer than the floor. */
  readonly portLongerMm: number;
  readonly topLongerMm: number;
  /** The corner of the front that reaches furthest forward, in words. */
  readonly longestCorner: string;
  /** How wide the strip is across. */
  readonly stripMm: number;
  /** The propeller's middle in the airframe: x aft and z up. */
  readonly propeller: Point;
  /** How far the propeller reaches below the box. */
  readonly discBelowMm: number;
  readonly foamMm2: number;
  readonly plateMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
}

/** The figures of a power box whose parts are made. */
export function powerFigures(site: PowerSite, parts: readonly Part[]): PowerFigures {
  const { power, strip, widthMm, heightMm, motor, board } = site,
    // A box that pushes is turned right round: what is port in its own frame lies to starboard.
    [port, starboard] = power.isPusher ? ['starboard', 'port'] : ['port', 'starboard'],
    front = (name: string): number => strip.find((line) => line.name === name)!.frontMm;
  const corners: readonly (readonly [string, number])[] = [
    ['top, port', front(`wall-${port}`)],
    ['top, starboard', front(`wall-${starboard}`)],
    ['floor, port', front(`floor-${port}`)],
    ['floor, starboard', front(`floor-${starboard}`)],
  ];
  const masses = parts.map((part) => {
    const middle = centroid(outlineOf(part)!.nodes),
      { x, z } = applyRigid(placeMap(part.place!), point3(middle.x, middle.y, 0)),
      // The walls of the strip stand: its mass lies half way up, as far as walls are longer than the floor.
      lift = part.source!.role === 'box' ? (heightMm * (strip.at(-1)!.along - widthMm)) / (2 * strip.at(-1)!.along) : 0;
    return { massG: partMass(part, site), x, z: z + lift };
  });
  const propeller = propellerDisc(site).centre,
    massG = masses.reduce((sum, one) => sum + one.massG, 0),
    along = (key: 'x' | 'z'): number => masses.reduce((sum, one) => sum + one.massG * one[key], 0) / massG;
  return {
    widthMm,
    heightMm,
    asideMm: power.isPusher ? motor.x : -motor.x,
    aboveMm: motor.y,
    portLongerMm: front(`floor-${starboard}`) - front(`floor-${port}`),
    topLongerMm: front(`floor-${port}`) - front(`wall-${port}`),
    longestCorner: corners.reduce((best, one) => (one[1] < best[1] - 1e-9 ? one : best))[0],
    stripMm: strip.at(-1)!.along,
    propeller: { x: propeller.x, y: propeller.z },
    discBelowMm: power.propellerMm / 2 - board.thicknessMm - power.lineMm,
    foamMm2: areaFrom(parts, power.material),
    plateMm2: areaFrom(parts, power.plateMaterial),
    massG,
    massAt: { x: along('x'), z: along('z') },
  };
}
