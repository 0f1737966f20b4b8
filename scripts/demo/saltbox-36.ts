import { DEFAULT_SETTINGS, withForm, type Airframe } from '@grain-fold/core/airframe';
import type { Part } from '@grain-fold/core/part';
import { box, closed, Drafter, mark, pocket } from './drafter.ts';
import { saltboxPlan } from './plans.ts';
import { BOARD, BOARD_MM, inch, PLY, saltboxForms } from './saltbox-forms.ts';

const at = (x: number, y: number): [number, number] => [inch(x), inch(y)];
const alongX = { directionDegrees: 0, rule: 'along' } as const;

/** With ailerons, or flown on rudder alone. */
const FOUR = 'four channels';
const THREE = 'three channels';

/** What is drawn on the made skin for four channels: where the aileron is cut out, and its servo's opening. */
function withAileron(part: Part): Part {
  const tail = Math.max(...part.contours[0]!.nodes.map(({ y }) => y)),
    hinge = tail - inch(1.5);
  return Drafter.on(part)
    .line(
      [
        [inch(8.5), hinge],
        [inch(17.1), hinge],
        [inch(17.1), tail],
      ],
      mark('aileron'),
    )
    .only('last operation', [FOUR])
    .feature('servo', inch(9), tail - inch(2.6), { lengthMm: 31.25, widthMm: 13.45, screwsMm: 0 })
    .only('last feature', [FOUR]).part;
}

/** Room for the speed control, sunk into the floor of the made power box. */
const withController = (part: Part): Part => {
  const middle =
    (Math.min(...part.contours[0]!.nodes.map(({ y }) => y)) + Math.max(...part.contours[0]!.nodes.map(({ y }) => y))) /
    2;
  return Drafter.on(part).area(box(inch(2.4), middle - inch(0.45), inch(1), inch(0.9)), pocket(2.5, 'controller')).part;
};

const ADDED: Readonly<Record<string, (part: Part) => Part>> = {
  'wing/skin-1': withAileron,
  'power/box': withController,
};

/** Slab-sided parasol hauler in inches, whole from forms, with ailerons drawn for four channels. */
export function saltbox36(): Airframe {
  const plan = saltboxPlan(BOARD_MM);
  const aileron = Drafter.start('aileron', 'Aileron', BOARD, 'Wing', { handed: 'pair', grain: alongX })
    .outline(closed(at(0, 0), [at(8, 0), [...at(8.6, 0.6), { bulge: 0.35 }], at(8.6, 1.5), at(0, 1.5)]))
    .bevel([3], 30, 'hinge relief')
    .only('part', [FOUR]);
  const empty: Airframe = {
    id: 'saltbox-36',
    name: 'Saltbox 36',
    settings: {
      ...DEFAULT_SETTINGS,
      unit: 'in',
      pages: { ...DEFAULT_SETTINGS.pages, paper: 'Letter' },
      nest: { ...DEFAULT_SETTINGS.nest, clearanceMm: 2.4 },
      variants: [THREE, FOUR],
      variant: FOUR,
      notes: 'Parasol hauler, three or four channels, removable power box.',
    },
    plan,
    parts: [],
    boards: [
      {
        id: 'shelf',
        name: 'Half board from the shelf',
        material: BOARD,
        thicknessMm: BOARD_MM,
        widthMm: inch(20),
        heightMm: inch(18),
        count: 1,
        price: 0,
        grain: 'width',
        gramsPerSquareMetre: 455,
      },
      {
        id: 'full',
        name: 'Faced board 36 × 24',
        material: BOARD,
        thicknessMm: BOARD_MM,
        widthMm: inch(36),
        heightMm: inch(24),
        count: 6,
        price: 3.5,
        grain: 'width',
        gramsPerSquareMetre: 455,
      },
      {
        id: 'ply',
        name: 'Ply offcut',
        material: PLY,
        thicknessMm: 3.2,
        widthMm: 150,
        heightMm: 100,
        count: 2,
        price: 1,
        grain: 'none',
        gramsPerSquareMetre: 2050,
      },
    ],
  };
  const made = saltboxForms(plan).reduce(withForm, empty);
  return {
    ...made,
    parts: [
      ...made.parts.map((part) => (ADDED[`${part.source!.formId}/${part.source!.role}`] ?? ((one: Part) => one))(part)),
      aileron.part,
    ],
  };
}
