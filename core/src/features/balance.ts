import { polar } from '../geometry/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import { circleDraft, polylineDraft } from '../paths/index.ts';
import type { FeatureTraits } from './feature-kind.ts';

const RING_MM = 5;
const REACH_MM = 9;

/** A quartered ring where the airframe must balance. */
export const balance: FeatureTraits<'balance'> = {
  kind: 'balance',
  word: 'balance mark',
  hint: 'Click where the airframe must balance',
  ground: 'place',
  defaults: { kind: 'balance', angleDegrees: 0 },
  fields: [{ key: 'angleDegrees', word: 'Turned by', kind: 'angle' }],
  draw: ({ at, angleDegrees, label }) => {
    const mark = (text: string): OperationDraft => ({ kind: 'mark', face: 'face', label: text });
    const stroke = (
      turn: number,
    ): { draft: ReturnType<typeof polylineDraft>; works: [{ operation: OperationDraft }] } => ({
      draft: polylineDraft([polar(at, -REACH_MM, angleDegrees + turn), polar(at, REACH_MM, angleDegrees + turn)]),
      works: [{ operation: mark(turn === 0 ? label : '') }],
    });
    return { lines: [{ draft: circleDraft(at, RING_MM), works: [{ operation: mark('') }] }, stroke(0), stroke(90)] };
  },
};
