import { bend } from './bend.ts';
import { bevel } from './bevel.ts';
import { crease } from './crease.ts';
import { engrave } from './engrave.ts';
import { groove } from './groove.ts';
import { hinge } from './hinge.ts';
import { mark } from './mark.ts';
import type { OperationTraits } from './operation-kind.ts';
import { pocket } from './pocket.ts';
import { slit } from './slit.ts';
import type { StrokeOf } from './stroke.ts';
import { through } from './through.ts';
import { trench } from './trench.ts';

/** Every kind of operation, in the order of the tools. A new kind is a new file and one line here. */
export const KINDS = { groove, bevel, trench, crease, bend, slit, hinge, pocket, through, mark, engrave } as const;

type OwnOf<Traits> = Traits extends OperationTraits<infer O> ? O : never;

/** Work along a line or an edge, of one of the kinds. */
export type Operation = OwnOf<(typeof KINDS)[keyof typeof KINDS]>;
export type OperationKind = Operation['kind'];
/** An operation without the ids that it gets when it is added. */
export type OperationDraft = {
  [K in OperationKind]: Omit<Extract<Operation, { kind: K }>, 'id' | 'on' | 'variants'>;
}[OperationKind];
/** One line of work on a part, at true size. */
export type Stroke = StrokeOf<OperationKind>;
