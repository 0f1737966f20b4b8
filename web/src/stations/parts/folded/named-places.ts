import { placedEdge, placedPoint, type Line3, type MeasuredPlace, type StandingPiece } from '@grain-fold/core/folds';
import { centroid, interpolate3, turnVector } from '@grain-fold/core/geometry';
import { drawnId, lineName, type Part } from '@grain-fold/core/part';

/** A place of the model by its name, to be measured from without pointing at it. */
export interface NamedPlace {
  readonly name: string;
  readonly place: MeasuredPlace;
}

const SKINS = ['far skin', 'face'] as const;

/** The faces, edges and corners of all pieces by name; of several parts each name begins with its part's. */
export function namedPlaces(
  pieces: readonly StandingPiece[],
  partOf: (partId: string) => Part | undefined,
): readonly NamedPlace[] {
  const isAmong = pieces.length > 1;
  return pieces.flatMap(({ partId, side, body, maps }): readonly NamedPlace[] => {
    const part = partOf(partId);
    if (!part) return [];
    const whose = isAmong ? `${part.name}${side === 'single' ? '' : `, ${side}`}: ` : '';
    const faces = body.solids
      .filter(({ plate }) => plate.kind === 'board')
      .flatMap((solid): readonly NamedPlace[] => {
        const map = maps[solid.plate.index]!,
          up = turnVector(map, { x: 0, y: 0, z: 1 });
        return SKINS.map((skin, index) => ({
          name: `${whose}plate ${solid.plate.index + 1}, ${skin}`,
          place: {
            at: placedPoint(map, centroid(solid.plate.outer), index * solid.thicknessMm),
            on: 'face',
            normal: up,
          },
        }));
      });
    const edges = body.edges.flatMap((edge): readonly NamedPlace[] => {
      const { lines } = placedEdge(edge, maps[edge.solid.plate.index]!);
      const name = `${whose}${lineName(part, drawnId(edge.segmentId.replace(/~f.*$/, '')))} of plate ${edge.solid.plate.index + 1}`;
      return lines.flatMap((line, index) => onLine(`${name}, ${SKINS[index]!}`, line));
    });
    return [...faces, ...edges];
  });
}

const onLine = (name: string, line: Line3): readonly NamedPlace[] => [
  { name, place: { at: interpolate3(line[0], line[1], 0.5), on: 'edge', line } },
  { name: `${name}, first corner`, place: { at: line[0], on: 'corner' } },
  { name: `${name}, last corner`, place: { at: line[1], on: 'corner' } },
];
