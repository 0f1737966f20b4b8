import { computed, ref, type ComputedRef, type Ref } from 'vue';
import { distance3, type Point, type Point3 } from '@grain-fold/core/geometry';
import { drawnId, type Part } from '@grain-fold/core/drawing';
import { fold, foldedFaces, foldOrder, foldName, measureSeam, placedPoint, seamEdges, type FoldedFace, type FoldedPart, type FoldedPlates, type OrderedFold, type SeamState, type Viewpoint } from '@grain-fold/core/folds';

/** The axis that a section is cut across. */
export type SectionAxis = 'x' | 'y' | 'z';

export interface Folding {
  /** How far it is folded, 0 flat to 1. */
  readonly share: Ref<number>;
  /** Fold by fold instead of all together: how many of the order are done. */
  readonly step: Ref<number | undefined>;
  readonly apartMm: Ref<number>;
  readonly isClear: Ref<boolean>;
  readonly viewpoint: Ref<Viewpoint>;
  readonly section: Ref<{ readonly axis: SectionAxis; readonly at: number } | undefined>;
  /** Deflection of the control hinges in degrees. */
  readonly deflection: Ref<number>;
  readonly order: ComputedRef<readonly OrderedFold[]>;
  readonly maps: ComputedRef<FoldedPlates>;
  readonly faces: ComputedRef<readonly FoldedFace[]>;
  /** Seams as they lie now. */
  readonly seams: ComputedRef<readonly SeamState[]>;
  readonly bounds: ComputedRef<{ readonly low: Point3; readonly high: Point3 }>;
  readonly sectionSize: ComputedRef<{ readonly widthMm: number; readonly heightMm: number } | undefined>;
  /** Lines in space of what is chosen on the drawing. */
  readonly linesOf: (operationId: string | undefined, segmentId: string | undefined) => readonly (readonly [Point3, Point3])[];
}

/** A folded part on its way: how far, in which order, looked at from where. */
export function useFolding(part: () => Part, whole: () => Part, folded: () => FoldedPart): Folding {
  const share = ref(1), step = ref<number>(), apartMm = ref(0), isClear = ref(false), deflection = ref(0);
  const viewpoint = ref<Viewpoint>({ turnDegrees: 35, heightDegrees: 28 });
  const section = ref<{ axis: SectionAxis; at: number }>();
  const order = computed(() => foldOrder(folded().solids, folded().tree, (id) => foldName(part(), id)));
  const maps = computed(() => {
    const done = step.value === undefined ? undefined : new Set(order.value.slice(0, step.value).map(({ operationId }) => operationId));
    return fold(folded().tree, ({ kind, operationId, turnDegrees }) => (kind === 'hinge' ? deflection.value : done ? (done.has(operationId) ? turnDegrees : 0) : turnDegrees * share.value));
  });
  const faces = computed(() => foldedFaces(folded().solids, maps.value, apartMm.value));
  const seams = computed(() => {
    const edges = seamEdges(whole(), folded().solids, maps.value);
    return folded().seams.map((state): SeamState => {
      const [a, b] = state.edges.map((edge) => edges.find(({ plate, segmentId }) => plate === edge.plate && segmentId === edge.segmentId) ?? edge) as [SeamState['edges'][0], SeamState['edges'][1]];
      return { ...state, edges: [a, b], ...measureSeam(a, b) };
    });
  });
  const bounds = computed(() => {
    const points = faces.value.flatMap(({ rings }) => rings.flat());
    const of = (pick: (p: Point3) => number): readonly [number, number] => points.reduce<[number, number]>(([low, high], p) => [Math.min(low, pick(p)), Math.max(high, pick(p))], [Infinity, -Infinity]);
    const [x, y, z] = [of((p) => p.x), of((p) => p.y), of((p) => p.z)];
    return { low: { x: x[0], y: y[0], z: z[0] }, high: { x: x[1], y: y[1], z: z[1] } };
  });
  const sectionSize = computed(() => {
    const cut = section.value;
    if (!cut) return undefined;
    const others = (['x', 'y', 'z'] as const).filter((axis) => axis !== cut.axis);
    const points = faces.value.flatMap(({ rings }) => rings.flatMap((ring) => ring.flatMap((p, index) => {
      const q = ring[(index + 1) % ring.length]!, [a, b] = [p[cut.axis] - cut.at, q[cut.axis] - cut.at];
      if (a > 0 === b > 0) return [];
      const t = a / (a - b);
      return [others.map((axis) => p[axis] + (q[axis] - p[axis]) * t)];
    })));
    if (points.length === 0) return undefined;
    const size = (at: number): number => Math.max(...points.map((p) => p[at]!)) - Math.min(...points.map((p) => p[at]!));
    return { widthMm: size(0), heightMm: size(1) };
  });
  function linesOf(operationId: string | undefined, segmentId: string | undefined): readonly (readonly [Point3, Point3])[] {
    const { tree, solids } = folded();
    const hinges = operationId ? tree.turns.filter(({ hinge }) => drawnId(hinge.operationId) === operationId).map(({ hinge, parent }) => ({ hinge, parent })) : [];
    const place = (plate: number, p: Point, zMm: number): Point3 => placedPoint(maps.value[plate]!, p, zMm);
    const edges = segmentId ? seamEdges(whole(), solids, maps.value).filter((edge) => drawnId(edge.segmentId) === segmentId).flatMap(({ lines }) => lines) : [];
    return [...hinges.map(({ hinge, parent }) => [place(parent, hinge.from, hinge.zMm), place(parent, hinge.to, hinge.zMm)] as const), ...edges].filter(([a, b]) => distance3(a, b) > 0.1);
  }
  return { share, step, apartMm, isClear, deflection, viewpoint, section, order, maps, faces, seams, bounds, sectionSize, linesOf };
}
