import { add, applyTransform, rotation } from '../geometry/index.ts';
import { polylineDraft } from '../paths/index.ts';
import type { FeatureTraits } from './feature-kind.ts';
import { strokeText } from './stroke-letters.ts';

/** Words in single strokes about a middle. */
export const lettering: FeatureTraits<'lettering'> = {
  kind: 'lettering',
  word: 'lettering',
  hint: 'Click where the middle of the words goes',
  ground: 'place',
  defaults: { kind: 'lettering', angleDegrees: 0, text: 'PORT', heightMm: 8 },
  fields: [
    { key: 'text', word: 'Words', kind: 'text' },
    { key: 'heightMm', word: 'Height', kind: 'length', least: 1, most: 500, grows: true },
    { key: 'angleDegrees', word: 'Turned by', kind: 'angle' },
  ],
  draw: ({ at, angleDegrees, text, heightMm }) => {
    const { strokes, widthMm } = strokeText(text, heightMm);
    const turn = rotation(angleDegrees);
    const middle = { x: widthMm / 2, y: heightMm / 2 };
    return {
      lines: strokes.map((stroke) => ({
        draft: polylineDraft(
          stroke.map((p) => add(at, applyTransform(turn, { x: p.x - middle.x, y: p.y - middle.y }))),
        ),
        works: [{ operation: { kind: 'engrave', face: 'face', label: '' } }],
      })),
    };
  },
};
