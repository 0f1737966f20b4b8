import { centroid, intersectionOf, regionArea } from '../../geometry/index.ts';
import { outlineOf, type Part } from '../../part/index.ts';
import { areaFrom, partMass } from '../form/index.ts';
import type { BodyLayer, LayeredSite } from './layered-site.ts';

/** Everything that a profile body tells of itself. */
export interface LayeredFigures {
  readonly lengthMm: number;
  readonly highestMm: number;
  readonly widthMm: number;
  /** How deep each opening is across the body, on one side of it, or from side to side. */
  readonly openings: readonly { readonly id: string; readonly deepMm: number; readonly isPockets: boolean }[];
  readonly seats: readonly {
    readonly id: string;
    readonly side: LayeredSite['cuts'][number]['side'];
    readonly incidenceDegrees: number;
  }[];
  readonly foamMm2: number;
  /** Where layers are glued on each other. */
  readonly glueMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
}

/** The layers from port to starboard. */
export function acrossBody({ layers }: LayeredSite): readonly BodyLayer[] {
  const port = layers.filter(({ side }) => side === 'pair' || side === 'port').sort((a, b) => a.number - b.number),
    starboard = layers
      .filter(({ side }) => side === 'pair' || side === 'starboard')
      .sort((a, b) => b.number - a.number);
  return [...port, ...layers.filter(({ side }) => side === 'middle'), ...starboard];
}

/** The figures of a profile body whose parts are made. */
export function layeredFigures(site: LayeredSite, parts: readonly Part[]): LayeredFigures {
  const { layered, lines, board, widthMm } = site,
    across = acrossBody(site),
    { x: aft, z: up } = site.form.place.at;
  const pairs = Math.floor(layered.layers / 2),
    deepest = pairs + (layered.layers % 2);
  const masses = parts.map((part) => {
    const middle = centroid(outlineOf(part)!.nodes),
      at = part.place!.at;
    const isPlate = part.source!.role.startsWith('nose');
    return {
      massG: partMass(part, site),
      x: isPlate ? at.x : middle.x + aft,
      z: isPlate ? at.z : middle.y + up,
    };
  });
  const massG = masses.reduce((sum, one) => sum + one.massG, 0),
    mean = (key: 'x' | 'z'): number => masses.reduce((sum, one) => sum + one.massG * one[key], 0) / massG;
  return {
    lengthMm: lines.breaks.at(-1)!.x - lines.breaks[0]!.x,
    highestMm: Math.max(...lines.breaks.map(({ top, bottom }) => top - bottom)),
    widthMm,
    openings: layered.openings.map(({ id, side, fromLayer, toLayer }) => {
      const to = Math.min(toLayer, deepest),
        onOneSide = Math.max(0, to - fromLayer + 1) * board.thicknessMm,
        isPockets = side !== 'both' || to < deepest;
      // Through the middle it goes on to the other side; the middle layer counts once.
      const whole = 2 * onOneSide - (layered.layers % 2 === 1 && to === deepest ? board.thicknessMm : 0);
      return { id, deepMm: isPockets ? onOneSide : whole, isPockets };
    }),
    seats: site.cuts.map(({ seat, side, incidenceDegrees }) => ({ id: seat.id, side, incidenceDegrees })),
    foamMm2: areaFrom(parts, layered.material),
    glueMm2: across
      .slice(1)
      .reduce(
        (sum, layer, index) =>
          sum + regionArea(intersectionOf(across[index]!.left.slice(0, 1), layer.left.slice(0, 1))),
        0,
      ),
    massG,
    massAt: { x: mean('x'), z: mean('z') },
  };
}
