import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue';
import type { Feature } from '@grain-fold/core/features';
import type { Point } from '@grain-fold/core/geometry';
import type { Operation } from '@grain-fold/core/operations';
import { findPath, pathsOf, type Contour, type DrawnLine, type Guide, type Part } from '@grain-fold/core/part';
import type { PathNode, Segment } from '@grain-fold/core/paths';

/** What is chosen on the mat. */
export type Chosen =
  | { readonly kind: 'nodes'; readonly ids: readonly string[] }
  | { readonly kind: 'segment'; readonly pathId: string; readonly segmentId: string; readonly t: number }
  | { readonly kind: 'operation'; readonly operationId: string }
  | { readonly kind: 'feature'; readonly featureId: string }
  | { readonly kind: 'guide'; readonly guideId: string }
  | { readonly kind: 'paths'; readonly ids: readonly string[] };

/** Two places that are measured between, with the points they lie on. */
export interface Measured {
  readonly from: Point;
  readonly to?: Point;
  readonly fromNodeId?: string;
  readonly toNodeId?: string;
}

export interface Selection {
  readonly measured: ShallowRef<Measured | undefined>;
  readonly chosen: ShallowRef<Chosen | undefined>;
  readonly operation: ComputedRef<Operation | undefined>;
  readonly feature: ComputedRef<Feature | undefined>;
  readonly guide: ComputedRef<Guide | undefined>;
  readonly segment: ComputedRef<
    { readonly path: Contour | DrawnLine; readonly segment: Segment; readonly index: number } | undefined
  >;
  readonly nodes: ComputedRef<readonly PathNode[]>;
  /** Whole lines, holes or the outline that the choice stands for. */
  readonly paths: ComputedRef<readonly (Contour | DrawnLine)[]>;
}

/** What is chosen, as long as the part still has it. */
export function useSelection(part: ComputedRef<Part | undefined>): Selection {
  const chosen = shallowRef<Chosen>();
  const measured = shallowRef<Measured>();
  const operation = computed(() => {
    const now = chosen.value;
    return now?.kind === 'operation' ? part.value?.operations.find(({ id }) => id === now.operationId) : undefined;
  });
  const feature = computed(() => {
    const now = chosen.value;
    return now?.kind === 'feature' ? part.value?.features?.find(({ id }) => id === now.featureId) : undefined;
  });
  const guide = computed(() => {
    const now = chosen.value;
    return now?.kind === 'guide' ? part.value?.guides?.find(({ id }) => id === now.guideId) : undefined;
  });
  const segment = computed(() => {
    const now = chosen.value;
    const path = now?.kind === 'segment' && part.value ? findPath(part.value, now.pathId) : undefined;
    const index = path && now?.kind === 'segment' ? path.segments.findIndex(({ id }) => id === now.segmentId) : -1;
    return path && index >= 0 ? { path, segment: path.segments[index]!, index } : undefined;
  });
  const nodes = computed(() => {
    const now = chosen.value;
    return now?.kind === 'nodes' && part.value
      ? pathsOf(part.value)
          .flatMap((path) => path.nodes)
          .filter((node) => now.ids.includes(node.id))
      : [];
  });
  const paths = computed(() => {
    const now = chosen.value;
    const ids =
      now?.kind === 'paths'
        ? now.ids
        : segment.value
          ? [segment.value.path.id]
          : operation.value
            ? [operation.value.on.pathId]
            : [];
    return part.value ? ids.flatMap((id) => findPath(part.value!, id) ?? []) : [];
  });
  return { measured, chosen, operation, feature, guide, segment, nodes, paths };
}
