import { isOnEdge, scaledFeature } from '../features/index.ts';
import {
  add,
  boundsCentre,
  boundsOf,
  dot,
  leftOf,
  subtract,
  times,
  unitVector,
  type Point,
} from '../geometry/index.ts';
import type { Contour, DrawnLine, Part } from '../part/index.ts';
import type { Segment } from '../paths/index.ts';
import { foundLips, hasLips, slotDirection } from '../resolve/index.ts';
import { CoreError, memo } from '../units/index.ts';

/** The factors that an airframe may be scaled by. */
export const SMALLEST_SCALE = 0.05;
export const LARGEST_SCALE = 20;

/**
 * A part at another size of the airframe, true to the board's thickness: outlines and the places of folds scale; widths, depths,
 * angles and everything marked as fixed do not, since they follow the board, the wood or the hardware. Remembered by part and factor.
 * @param factor in [0.05, 20]
 * @throws CoreError OUT_OF_RANGE outside that
 */
export function scalePart(part: Part, factor: number): Part {
  if (!(factor >= SMALLEST_SCALE && factor <= LARGEST_SCALE)) {
    throw new CoreError('OUT_OF_RANGE', `a scale must be from ${SMALLEST_SCALE} to ${LARGEST_SCALE}, got ${factor}`, {
      factor,
    });
  }
  if (factor === 1 || (part.sizing === 'fixed' && !part.joints && !part.place)) return part;
  return scaled(part, factor);
}

const scaled = memo(
  (part: Part, factor: number): Part =>
    part.sizing === 'fixed'
      ? { ...part, ...standingAt(part, factor) }
      : {
          ...part,
          ...standingAt(part, factor),
          contours: part.contours.map((path) => scalePath(path, factor)),
          lines: withLipsApart(
            part,
            part.lines.map((path) => scalePath(path, factor)),
          ),
          ...(part.features
            ? {
                features: part.features.map((feature) =>
                  isOnEdge(feature)
                    ? scaledFeature(feature, factor)
                    : { ...scaledFeature(feature, factor), at: times(feature.at, factor) },
                ),
              }
            : {}),
          ...(part.symmetry ? { symmetry: { ...part.symmetry, atMm: part.symmetry.atMm * factor } } : {}),
        },
  (factor) => factor,
);

/** Lips further apart than those of a groove in board of this thickness are no pair, in mm. */
const THICKEST_BOARD_MM = 12;

/** Scaled lines of a part in which the two bevel lines of a groove keep their distance, and with it their angle, about their middle. */
function withLipsApart(part: Part, scaledLines: readonly DrawnLine[]): readonly DrawnLine[] {
  if (!hasLips(part)) return scaledLines;
  const moved = new Map<string, Point>();
  for (const { first, second, mouthMm } of foundLips(part, THICKEST_BOARD_MM).pairs) {
    const [a, b] = [first, second].map(({ line }) => scaledLines.find(({ id }) => id === line.id)!) as [
      DrawnLine,
      DrawnLine,
    ];
    const across = leftOf(unitVector(a.nodes[0]!, a.nodes[1]!)),
      apart = dot(subtract(b.nodes[0]!, a.nodes[0]!), across);
    const by = (Math.sign(apart) * mouthMm - apart) / 2;
    moved.set(a.id, times(across, -by));
    moved.set(b.id, times(across, by));
  }
  return scaledLines.map((line) => {
    const by = moved.get(line.id);
    return by ? { ...line, nodes: line.nodes.map((node) => ({ ...node, ...add(node, by) })) } : line;
  });
}

/** Where a part stands in the larger or smaller airframe, which holds for parts that keep their own size too. */
const standingAt = ({ joints, place }: Part, factor: number): Pick<Part, 'joints' | 'place'> => ({
  ...(joints ? { joints: joints.map((joint) => ({ ...joint, alongMm: joint.alongMm * factor })) } : {}),
  ...(place
    ? {
        place: {
          ...place,
          at: { x: place.at.x * factor, y: place.at.y * factor, z: place.at.z * factor },
          ...(place.onPlate ? { onPlate: times(place.onPlate, factor) } : {}),
        },
      }
    : {}),
});

function scalePath<P extends Contour | DrawnLine>(path: P, factor: number): P {
  const map = mapFor(path, factor);
  return {
    ...path,
    nodes: path.nodes.map((node) => ({ ...node, ...map(node) })),
    segments: path.segments.map((segment): Segment =>
      segment.kind === 'cubic'
        ? { ...segment, control1: map(segment.control1), control2: map(segment.control2) }
        : segment,
    ),
  };
}

/** Where a path's points go: everything from the origin, a fixed path only by its middle, a slot by its middle and its length. */
function mapFor(path: Contour | DrawnLine, factor: number): (p: Point) => Point {
  if (path.sizing === 'scaled') return (p) => ({ x: p.x * factor, y: p.y * factor });
  const centre = boundsCentre(boundsOf(path.nodes));
  const moved = times(centre, factor);
  if (path.sizing === 'fixed') return (p) => add(moved, subtract(p, centre));
  const along = slotDirection(path);
  return (p) => {
    const offset = subtract(p, centre);
    return add(moved, add(offset, times(along, dot(offset, along) * (factor - 1))));
  };
}
