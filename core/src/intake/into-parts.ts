import {
  curveBounds,
  curvePoint,
  joinBounds,
  nearestOnPath,
  transformPath,
  translation,
  type Path,
  type Point,
} from '../geometry/index.ts';
import {
  fieldFault,
  operationDraft,
  traitsOf,
  type Operation,
  type OperationField,
  type OperationKind,
  type OperationPlace,
} from '../operations/index.ts';
import { brokenInvariant, emptyPart, IdSource, type Contour, type DrawnLine, type Part } from '../part/index.ts';
import { curveOf, pathFromDraft, type PathDraft } from '../paths/index.ts';
import type { TakenPart, TakenWork } from './take-in.ts';

/** Parts that came in, and those that could not, each with why. */
export interface MadeParts {
  readonly parts: readonly Part[];
  readonly refused: readonly { readonly name: string; readonly message: string }[];
}

/**
 * Parts of an airframe from what was taken in, each about its own corner.
 * @param material of the boards that they are cut from; plates of their slots are of it too
 * @param idOf gives each its id
 */
export function intoParts(taken: readonly TakenPart[], material: string, idOf: () => string): MadeParts {
  const parts: Part[] = [],
    refused: { name: string; message: string }[] = [];
  taken.forEach((one, index) => {
    const name = one.name || `Part ${index + 1}`;
    const part = partFrom({ ...one, name }, material, idOf());
    const broken = brokenInvariant(part);
    if (broken) refused.push({ name, message: broken.message });
    else parts.push(part);
  });
  return { parts, refused };
}

function partFrom(taken: TakenPart, material: string, id: string): Part {
  const empty = emptyPart(id, taken.name, material);
  const ids = new IdSource(empty);
  const { minX, minY } = joinBounds(taken.outline.map(curveBounds));
  const toCorner = translation(-minX, -minY);
  const drafted = (path: Path, isClosed: boolean): PathDraft => draftOf(transformPath(toCorner, path), isClosed);
  const contours: Contour[] = [
    { ...pathFromDraft(drafted(taken.outline, true), ids, 'c'), role: 'outer', sizing: 'scaled' },
    ...taken.holes.map(({ path, isSlot }): Contour => ({
      ...pathFromDraft(drafted(path, true), ids, 'c'),
      role: 'hole',
      sizing: isSlot ? 'slot' : 'scaled',
      ...(isSlot ? { plate: { material, slantDegrees: 0, fitMm: 0 } } : {}),
    })),
  ];
  const lines: DrawnLine[] = [],
    operations: Operation[] = [];
  for (const work of taken.works) {
    const edges =
      traitsOf(work.kind).ground === 'edge' ? edgesAlong(contours, transformPath(toCorner, work.path)) : undefined;
    if (edges) {
      operations.push(operationOn(work, edges, ids.next('o')));
      continue;
    }
    // What is done to an edge, and lies on none, is only marked.
    const own: TakenWork =
      traitsOf(work.kind).ground === 'edge' ? { ...work, kind: 'mark', foldDegrees: undefined } : work;
    const line: DrawnLine = { ...pathFromDraft(drafted(work.path, work.isClosed), ids, 'l'), sizing: 'scaled' };
    lines.push(line);
    operations.push(operationOn(own, { pathId: line.id }, ids.next('o')));
  }
  return { ...empty, quantity: taken.quantity, contours, lines, operations, lastId: ids.lastId };
}

/** Work lies on an edge that comes no further from it than this, in mm. */
const ON_EDGE_MM = 0.1;

/** The edges of an outline or a hole that a path runs along; undefined when it runs along none. */
function edgesAlong(contours: readonly Contour[], path: Path): OperationPlace | undefined {
  const isOn = (p: Point): boolean => (nearestOnPath(path, p)?.distance ?? Infinity) <= ON_EDGE_MM;
  for (const contour of contours) {
    const segmentIds = contour.segments.flatMap(({ id }, index) => {
      const curve = curveOf(contour, index);
      return [0.02, 0.5, 0.98].every((t) => isOn(curvePoint(curve, t))) ? [id] : [];
    });
    if (segmentIds.length > 0) return { pathId: contour.id, segmentIds };
  }
  return undefined;
}

function operationOn({ kind, foldDegrees, face = 'face' }: TakenWork, on: OperationPlace, id: string): Operation {
  const angled = foldDegrees === undefined ? {} : angleOf(kind, foldDegrees);
  return { ...operationDraft(kind), ...angled, face, id, on } as Operation;
}

/** The angle that a kind of work has when nobody says another; undefined for one whose angle is none to choose freely. */
export function usualAngle(kind: OperationKind): number | undefined {
  const field = angleField(kind);
  return field && ((operationDraft(kind) as unknown as Record<string, number>)[field.key] ?? undefined);
}
const angleField = (kind: OperationKind): OperationField | undefined =>
  traitsOf(kind).fields.find((one) => one.kind === 'angle' && one.isOnLine === true);

/** A kind's own field for an angle; nothing for an angle that it cannot have. */
function angleOf(kind: OperationKind, degrees: number): Readonly<Record<string, unknown>> {
  const field = angleField(kind);
  if (!field) return traitsOf(kind).fold?.numbers(Math.abs(degrees)) ?? {};
  return fieldFault(kind, field, degrees) === undefined ? { [field.key]: degrees } : {};
}

/** A path as a draft. A loop's last end is its first. */
function draftOf(path: Path, isClosed: boolean): PathDraft {
  const starts = path.map(({ from }) => from);
  return {
    points: isClosed ? starts : [...starts, path.at(-1)!.to],
    closed: isClosed,
    segments: path.map((curve) =>
      curve.kind === 'line'
        ? { kind: 'line' }
        : curve.kind === 'arc'
          ? { kind: 'arc', bulge: curve.bulge }
          : { kind: 'cubic', control1: curve.control1, control2: curve.control2 },
    ),
  };
}
