import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import { piecesOfView, type FoldView } from '@grain-fold/core/airframe';
import {
  CLOSED_MM,
  cutFaces,
  measureSeam,
  placedEdge,
  placedPoint,
  plateFaces,
  sectionFaces,
  type FoldedFace,
  type HingeState,
  type Line3,
  type PlacedEdge,
  type PlateSolid,
  type StandingPiece,
  type Viewpoint,
} from '@grain-fold/core/folds';
import {
  add3,
  composeRigid,
  cross3,
  dot3,
  distance3,
  STILL,
  subtract3,
  times3,
  unit3,
  type Point,
  type Point3,
  type RigidMap,
} from '@grain-fold/core/geometry';
import { drawnId } from '@grain-fold/core/part';

/** A plane that the model is cut open at: what lies beyond `at` along `normal` is taken away. */
export interface Section {
  readonly word: string;
  readonly normal: Point3;
  readonly at: number;
}

/** A plate as it is shown, where it is carried to. */
export interface ShownPlate {
  readonly partId: string;
  readonly solid: PlateSolid;
  readonly map: RigidMap;
}

/** A seam's two lines as they lie now. */
export interface SeamLines {
  readonly lines: readonly [Line3, Line3];
  readonly gapMm: number;
  readonly isPressed: boolean;
  /** Its figure, when it is shown on the model. */ readonly label: string;
}

export interface Folding {
  /** How far it is folded, 0 flat to 1. */
  readonly share: Ref<number>;
  /** Fold by fold instead of all together: how many of the order are done. */
  readonly step: Ref<number | undefined>;
  /** How far it is taken apart, as a share of its size. */
  readonly apart: Ref<number>;
  readonly isClear: Ref<boolean>;
  readonly viewpoint: Ref<Viewpoint>;
  readonly section: Ref<Section | undefined>;
  /** Deflection of the control hinges in degrees. */
  readonly deflection: Ref<number>;
  readonly plates: ComputedRef<readonly ShownPlate[]>;
  /** Pieces as they are shown. */
  readonly pieces: ComputedRef<readonly StandingPiece[]>;
  /** The faces of all plates, cut open by the section, worked out when they are asked for. */
  readonly faces: ComputedRef<readonly FoldedFace[]>;
  /** What the section lays open: foam and skins. */
  readonly laidOpen: ComputedRef<readonly FoldedFace[]>;
  readonly seams: ComputedRef<readonly SeamLines[]>;
  readonly bounds: ComputedRef<{ readonly low: Point3; readonly high: Point3 }>;
  readonly sectionSize: ComputedRef<{ readonly widthMm: number; readonly heightMm: number } | undefined>;
  /** Where the model lies along a direction, nearest and furthest. */
  readonly reachAlong: (direction: Point3) => readonly [number, number];
  /** Lines in space of what is chosen on the drawing of the part. */
  readonly linesOf: (operationId: string | undefined, segmentId: string | undefined) => readonly Line3[];
  /** Every free edge and every hinge, to be picked. */
  readonly pickable: () => readonly {
    readonly partId: string;
    readonly kind: 'segment' | 'operation';
    readonly id: string;
    readonly line: Line3;
  }[];
}

const middleOf = (points: readonly Point3[]): Point3 =>
  times3(points.reduce(add3, { x: 0, y: 0, z: 0 }), 1 / Math.max(1, points.length));
const extentAlong = (points: readonly Point3[], direction: Point3): readonly [number, number] =>
  points.reduce<readonly [number, number]>(
    ([low, high], p) => {
      const d = dot3(p, direction);
      return [Math.min(low, d), Math.max(high, d)];
    },
    [Infinity, -Infinity],
  );

/** With more seams than these, and among parts that stand together, only those that are not closed carry their figure. */
const MOST_LABELS = 6;

/**
 * A folded part, or parts that stand together, on their way: how far, in which order, looked at from where.
 * @param figure a gap in the builder's unit
 */
export function useFolding(view: () => FoldView, figure: (mm: number) => string): Folding {
  const share = ref(1),
    step = ref<number>(),
    apart = ref(0),
    isClear = ref(false),
    deflection = ref(0);
  const viewpoint = ref<Viewpoint>({ turnDegrees: 35, heightDegrees: 28 });
  const section = ref<Section>();

  watch(
    () => [view().partId, view().extent],
    () => {
      step.value = undefined;
      section.value = undefined;
    },
  );
  /** Fold by fold only the part's own folds wait; the others are folded. */
  const state = computed<HingeState>(() => {
    const own = new Set(view().order.map(({ operationId }) => operationId));
    const done =
      step.value === undefined
        ? undefined
        : new Set(
            view()
              .order.slice(0, step.value)
              .map(({ operationId }) => operationId),
          );
    return ({ kind, operationId, turnDegrees }) =>
      kind === 'hinge'
        ? deflection.value
        : done
          ? !own.has(operationId) || done.has(operationId)
            ? turnDegrees
            : 0
          : turnDegrees * share.value;
  });
  const pieces = computed(() => piecesOfView(view(), state.value).pieces);
  /** Pieces as they are shown: taken apart, each moves away from the middle of all. */
  const shown = computed<readonly StandingPiece[]>(() => {
    if (apart.value === 0 || pieces.value.length === 1) return pieces.value;
    const corners = pieces.value.map(({ body, maps }) =>
        body.solids.flatMap((solid) => cornersOf(solid, maps[solid.plate.index]!)),
      ),
      away = awayFrom(corners, apart.value);
    return pieces.value.map((piece, index) => ({
      ...piece,
      maps: piece.maps.map((map) => composeRigid(map, away(index))),
    }));
  });
  /** Of one piece its plates move away from each other. */
  const plates = computed<readonly ShownPlate[]>(() => {
    const all = shown.value.flatMap(({ partId, body, maps }) =>
      body.solids.map((solid): ShownPlate => ({ partId, solid, map: maps[solid.plate.index]! })),
    );
    if (apart.value === 0 || pieces.value.length > 1) return all;
    const away = awayFrom(
      all.map(({ solid, map }) => cornersOf(solid, map)),
      apart.value,
    );
    return all.map((plate, index) => ({ ...plate, map: composeRigid(plate.map, away(index)) }));
  });
  const wholeFaces = computed(() => plates.value.flatMap(({ solid, map }) => plateFaces(solid, map)));
  const laidOpen = computed(() =>
    section.value ? sectionFaces(plates.value, { normal: section.value.normal, atMm: section.value.at }) : [],
  );
  const faces = computed(() =>
    section.value
      ? [...cutFaces(wholeFaces.value, { normal: section.value.normal, atMm: section.value.at }), ...laidOpen.value]
      : wholeFaces.value,
  );
  const seams = computed<readonly SeamLines[]>(() =>
    apart.value > 0
      ? []
      : view().seams.flatMap(({ state: { seam, edges, overlapMm, state: now }, pieces: at }) => {
          const [a, b] = edges.map(({ edge }, index) => {
            const piece = shown.value[at[index as 0 | 1]];
            return piece && placedEdge(edge, piece.maps[edge.solid.plate.index]!);
          }) as [PlacedEdge | undefined, PlacedEdge | undefined];
          if (!a || !b) return [];
          const { skins, gapMm } = measureSeam(a, b, seam.mayOverhang);
          const isPressed = now === 'pressed' && overlapMm > 0,
            isTold = (view().extent === 'part' && view().seams.length <= MOST_LABELS) || gapMm > CLOSED_MM || isPressed;
          return [
            {
              lines: [a.lines[skins[0]], b.lines[skins[1]]] as const,
              gapMm,
              isPressed,
              label: isTold ? figure(gapMm) : '',
            },
          ];
        }),
  );
  /** Where feet touch what they stand on: known where everything is folded and together. */
  const feet = computed<readonly SeamLines[]>(() =>
    view().extent === 'part' || apart.value > 0 || share.value < 1 || step.value !== undefined || deflection.value !== 0
      ? []
      : view().contacts.map(({ line, offMm, isOff }) => ({
          lines: [line, line] as const,
          gapMm: isOff ? offMm : 0,
          isPressed: isOff,
          label: isOff ? figure(offMm) : '',
        })),
  );
  const corners = computed(() => plates.value.flatMap(({ solid, map }) => cornersOf(solid, map)));
  const reachAlong = (direction: Point3): readonly [number, number] => extentAlong(corners.value, direction);
  const bounds = computed(() => {
    const [x, y, z] = [STILL.x, STILL.y, STILL.z].map(reachAlong) as [
      readonly [number, number],
      readonly [number, number],
      readonly [number, number],
    ];
    return { low: { x: x[0], y: y[0], z: z[0] }, high: { x: x[1], y: y[1], z: z[1] } };
  });
  const sectionSize = computed(() => {
    const cut = section.value;
    if (!cut) return undefined;
    const points = wholeFaces.value.flatMap(({ rings }) =>
      rings.flatMap((ring) =>
        ring.flatMap((p, index) => {
          const q = ring[(index + 1) % ring.length]!,
            [a, b] = [dot3(p, cut.normal) - cut.at, dot3(q, cut.normal) - cut.at];
          return a > 0 === b > 0 ? [] : [add3(p, times3(subtract3(q, p), a / (a - b)))];
        }),
      ),
    );
    if (points.length === 0) return undefined;
    const [across, up] = planeAxes(cut.normal).map((axis) => extentAlong(points, axis)) as [
      readonly [number, number],
      readonly [number, number],
    ];
    return { widthMm: across[1] - across[0], heightMm: up[1] - up[0] };
  });
  function linesOf(operationId: string | undefined, segmentId: string | undefined): readonly Line3[] {
    return shown.value
      .filter(({ partId }) => partId === view().partId)
      .flatMap(({ body, maps }) => {
        const place = (plate: number, p: Point, zMm: number): Point3 => placedPoint(maps[plate]!, p, zMm);
        const hinges = operationId
          ? body.tree.turns
              .filter(({ hinge }) => drawnId(hinge.operationId) === operationId)
              .map(({ hinge, parent }): Line3 => [
                place(parent, hinge.from, hinge.zMm),
                place(parent, hinge.to, hinge.zMm),
              ])
          : [];
        const edges = segmentId
          ? body.edges
              .filter((edge) => drawnId(edge.segmentId) === segmentId)
              .flatMap((edge) => placedEdge(edge, maps[edge.solid.plate.index]!).lines)
          : [];
        return [...hinges, ...edges];
      })
      .filter(([a, b]) => distance3(a, b) > 0.1);
  }
  const pickable: Folding['pickable'] = () =>
    shown.value.flatMap(({ partId, body, maps }) => [
      ...body.edges.flatMap((edge) =>
        placedEdge(edge, maps[edge.solid.plate.index]!).lines.map((line) => ({
          partId,
          kind: 'segment' as const,
          id: drawnId(edge.segmentId),
          line,
        })),
      ),
      ...body.tree.turns.map(({ hinge, parent }) => ({
        partId,
        kind: 'operation' as const,
        id: drawnId(hinge.operationId),
        line: [
          placedPoint(maps[parent]!, hinge.from, hinge.zMm),
          placedPoint(maps[parent]!, hinge.to, hinge.zMm),
        ] as const,
      })),
    ]);
  return {
    share,
    step,
    apart,
    isClear,
    deflection,
    viewpoint,
    section,
    plates,
    pieces: shown,
    faces,
    laidOpen,
    seams: computed(() => [...seams.value, ...feet.value]),
    bounds,
    sectionSize,
    reachAlong,
    linesOf,
    pickable,
  };
}

const cornersOf = ({ bottom, top, thicknessMm }: PlateSolid, map: RigidMap): readonly Point3[] => [
  ...bottom.map((p) => placedPoint(map, p, 0)),
  ...top.map((p) => placedPoint(map, p, thicknessMm)),
];

/** How each of several bodies is moved when all are taken apart by a share of their size. */
function awayFrom(bodies: readonly (readonly Point3[])[], share: number): (index: number) => RigidMap {
  const middles = bodies.map(middleOf),
    middle = middleOf(middles),
    byMm = share * sizeOf(bodies.flat());
  return (index) => ({ ...STILL, origin: times3(unit3(subtract3(middles[index]!, middle)), byMm) });
}

const sizeOf = (points: readonly Point3[]): number =>
  Math.max(
    ...[STILL.x, STILL.y].map((axis) => {
      const [low, high] = extentAlong(points, axis);
      return high - low;
    }),
  );

/** Two directions that span a plane; those of the axes for planes across an axis. */
function planeAxes(normal: Point3): readonly [Point3, Point3] {
  if (Math.abs(normal.x) > 1 - 1e-9) return [STILL.y, STILL.z];
  if (Math.abs(normal.y) > 1 - 1e-9) return [STILL.x, STILL.z];
  if (Math.abs(normal.z) > 1 - 1e-9) return [STILL.x, STILL.y];
  const across = unit3(cross3(STILL.z, normal));
  return [across, cross3(normal, across)];
}
