import { applyCommand, type PartCommand, type PartDetails } from '@grain-fold/core/editing';
import type { FeatureKind } from '@grain-fold/core/features';
import type { Point } from '@grain-fold/core/geometry';
import type { OperationDraft } from '@grain-fold/core/operations';
import { emptyPart, outlineOf, type Part } from '@grain-fold/core/part';
import { polylineDraft, type PathDraft, type Sizing } from '@grain-fold/core/paths';

/** Drafts one demo part step by step with the program's own commands, so that demo files hold nothing a builder could not draw. */
export class Drafter {
  private constructor(readonly part: Part) {}

  static start(id: string, name: string, material: string, group: string, details: Partial<PartDetails> = {}): Drafter {
    return new Drafter({ ...emptyPart(id, name, material, group), ...details });
  }

  /** Drafting that goes on with a part that is there. */
  static on = (part: Part): Drafter => new Drafter(part);

  run(command: PartCommand): Drafter {
    const result = applyCommand(this.part, command);
    if (!result.ok) throw new Error(`${this.part.name}: ${result.message}`);
    return new Drafter(result.part);
  }

  outline(draft: PathDraft): Drafter {
    return this.run({ name: 'drawOutline', args: { draft } });
  }
  hole(draft: PathDraft, sizing: Sizing = 'scaled'): Drafter {
    return this.run({ name: 'drawHole', args: { draft, sizing } });
  }
  /** A slot along x for a plate of a material, its width following the plate. */
  slotFor(material: string, x: number, y: number, length: number, width: number): Drafter {
    const drawn = this.hole(slot(x, y, length, width), 'slot');
    return drawn.run({
      name: 'changeSlot',
      args: { pathId: drawn.part.contours.at(-1)!.id, plate: { material, slantDegrees: 0, fitMm: 0.2 } },
    });
  }
  /** A feature at a place. */
  feature(kind: FeatureKind, x: number, y: number, numbers: Readonly<Record<string, unknown>> = {}): Drafter {
    return this.run({ name: 'addFeature', args: { kind, at: { x, y }, numbers } });
  }
  /** What was drawn last, or the whole part, exists only in some variants. */
  only(target: 'last operation' | 'last feature' | 'part', variants: readonly string[]): Drafter {
    const { id, operations, features } = this.part;
    return this.run({
      name: 'setVariants',
      args: {
        targetId: {
          part: id,
          'last operation': operations.at(-1)?.id ?? '',
          'last feature': features?.at(-1)?.id ?? '',
        }[target],
        variants,
      },
    });
  }
  line(points: readonly [number, number][], operation: OperationDraft, sizing: Sizing = 'scaled'): Drafter {
    return this.run({
      name: 'drawLine',
      args: { draft: polylineDraft(points.map(([x, y]) => ({ x, y }))), operation, sizing },
    });
  }
  area(draft: PathDraft, operation: OperationDraft, sizing: Sizing = 'fixed'): Drafter {
    return this.run({ name: 'drawLine', args: { draft, operation, sizing } });
  }

  /** A bevel along edges of the outline, counted from 0 in the order they were drawn. */
  bevel(edges: readonly number[], bevelDegrees: number, label = ''): Drafter {
    const outline = outlineOf(this.part)!;
    return this.run({
      name: 'addOperation',
      args: {
        on: { pathId: outline.id, segmentIds: edges.map((edge) => outline.segments[edge]!.id) },
        operation: { kind: 'bevel', face: 'face', bevelDegrees, label },
      },
    });
  }
}

export const groove = (foldDegrees: number, label = ''): OperationDraft => ({
  kind: 'groove',
  face: 'face',
  foldDegrees,
  mouthMm: 'auto',
  label,
});
export const mark = (label: string): OperationDraft => ({ kind: 'mark', face: 'face', label });
export const pocket = (depthMm: number, label = ''): OperationDraft => ({
  kind: 'pocket',
  face: 'face',
  depthMm,
  label,
});

/** One step of an outline: a straight run, an arc of a bulge, or a cubic, to the next point. */
export type Step =
  | readonly [number, number]
  | readonly [number, number, { readonly bulge: number }]
  | readonly [number, number, { readonly c1: readonly [number, number]; readonly c2: readonly [number, number] }];

/** A closed outline from its first point and the steps that follow; the last run goes back to the start, straight unless told otherwise. */
export function closed(
  start: readonly [number, number],
  steps: readonly Step[],
  last:
    | { readonly bulge: number }
    | { readonly c1: readonly [number, number]; readonly c2: readonly [number, number] }
    | undefined = undefined,
): PathDraft {
  const at = ([x, y]: readonly [number, number]): Point => ({ x, y });
  const segment = (shape: Step[2]): PathDraft['segments'][number] =>
    shape === undefined
      ? { kind: 'line' }
      : 'bulge' in shape
        ? { kind: 'arc', bulge: shape.bulge }
        : { kind: 'cubic', control1: at(shape.c1), control2: at(shape.c2) };
  return {
    points: [at(start), ...steps.map(([x, y]) => ({ x, y }))],
    segments: [...steps.map((step) => segment(step[2])), segment(last)],
    closed: true,
  };
}

export const box = (x: number, y: number, width: number, height: number): PathDraft =>
  closed(
    [x, y],
    [
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
  );
/** Slot with its long side along x. */
export const slot = (x: number, y: number, length: number, width: number): PathDraft =>
  box(x - length / 2, y - width / 2, length, width);
