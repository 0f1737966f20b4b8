import { DEFAULT_SETTINGS, withForm, type Airframe } from '@grain-fold/core/airframe';
import type { Part } from '@grain-fold/core/part';
import { box, Drafter, pocket } from './drafter.ts';
import { reedlingPlan } from './plans.ts';
import { BOARD, BOARD_MM, PLY, reedlingForms } from './reedling-forms.ts';

/** Where the pack lies, sunk into the made tray before its strap. */
const withPackPlace = (part: Part): Part => {
  const { nodes } = part.contours[0]!,
    fore = Math.min(...nodes.map(({ x }) => x));
  return Drafter.on(part).area(box(fore + 8, -10, 18, 20), pocket(2.5, 'pack')).part;
};

/** V-tail pusher glider of 1,100 mm span, whole from forms: the main demo. */
export function reedling1100(): Airframe {
  const plan = reedlingPlan(BOARD_MM);
  const empty: Airframe = {
    id: 'reedling-1100',
    name: 'Reedling 1100',
    settings: { ...DEFAULT_SETTINGS, notes: 'V-tail pusher motor glider for calm evenings, 1,100 mm span.' },
    plan,
    parts: [],
    boards: [
      {
        id: 'wedge',
        name: 'Wedge left from the last wing',
        material: BOARD,
        thicknessMm: BOARD_MM,
        widthMm: 420,
        heightMm: 300,
        count: 1,
        price: 0,
        grain: 'width',
        gramsPerSquareMetre: 480,
        outline: [
          { x: 0, y: 0 },
          { x: 420, y: 0 },
          { x: 420, y: 120 },
          { x: 160, y: 300 },
          { x: 0, y: 300 },
        ],
      },
      {
        id: 'full',
        name: 'Faced board 700 × 500',
        material: BOARD,
        thicknessMm: BOARD_MM,
        widthMm: 700,
        heightMm: 500,
        count: 8,
        price: 4.6,
        grain: 'width',
        gramsPerSquareMetre: 480,
      },
      {
        id: 'ply',
        name: 'Ply sheet',
        material: PLY,
        thicknessMm: 3,
        widthMm: 200,
        heightMm: 100,
        count: 1,
        price: 2.2,
        grain: 'width',
        gramsPerSquareMetre: 1950,
      },
    ],
  };
  const made = reedlingForms(plan).reduce(withForm, empty);
  return { ...made, parts: made.parts.map((part) => (part.id === 'pod-tray' ? withPackPlace(part) : part)) };
}
