import { saltboxPlan } from './plans.ts';
import { DEFAULT_SETTINGS, withForm, type Airframe } from '@grain-fold/core/airframe';
import { formFromPlanned, type WingForm } from '@grain-fold/core/forms';
import type { Part } from '@grain-fold/core/part';
import type { Plan, SurfaceThing } from '@grain-fold/core/plan';
import { box, closed, crease, Drafter, groove, mark, pocket, throughCut, trench } from './drafter.ts';

const BOARD = 'faced board 3/16';
const PLY = 'plywood 1/8';
const inch = (value: number): number => value * 25.4;
const at = (x: number, y: number): [number, number] => [inch(x), inch(y)];
const alongX = { directionDegrees: 0, rule: 'along' } as const;

/** With ailerons, or flown on rudder alone. */
const FOUR = 'four channels';
const THREE = 'three channels';

/** The planned wing as parts: two halves of one chord, their ends bevelled to the joint. */
function saltboxWing({ things }: Plan, boardMm: number): WingForm {
  const thing = things.find(({ id }) => id === 'wing') as SurfaceThing,
    form = formFromPlanned(thing, 'wing', 'Wing', BOARD, boardMm);
  return {
    ...form,
    parameters: { ...form.parameters, sparHeightMm: inch(0.5), sparPercent: 30, ends: 'bevelled' },
  };
}

/** What is drawn on the made skin for four channels: where the aileron is cut out, and its servo's opening. */
function withAileron(part: Part): Part {
  if (part.source?.role !== 'skin-1') return part;
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

/** Slab-sided parasol hauler in inches: every kind of fold. */
export function saltbox36(): Airframe {
  const t = 4.8,
    plan = saltboxPlan(t);
  // The sides stand with their inner skins as far apart as the tray is wide; its floor lies just above their lower edge.
  const half = inch(1.25),
    trayX = inch(1.5),
    trayZ = inch(0.27);
  const side = Drafter.start('side', 'Body side', BOARD, 'Body', {
    handed: 'pair',
    grain: alongX,
    notes: 'Port drawn. Outside skin stays on.',
  })
    .outline(
      closed(at(0, 1), [
        [...at(0.5, 0.25), { c1: at(0.05, 0.6), c2: at(0.2, 0.3) }],
        [...at(6, 0)],
        [...at(12, 0.1), { c1: at(8, -0.1), c2: at(10, 0) }],
        at(25, 2.25),
        at(25, 3.25),
        at(13.5, 4),
        at(12.5, 4.75),
        at(5.5, 4.75),
        at(4.5, 3.75),
        at(0, 3.25),
      ]),
    )
    .hole(closed(at(6, 3.1), [at(8.5, 3.1), at(8.5, 4.1), at(6.4, 4.1)]))
    .slotFor(BOARD, inch(4.5), inch(1.9), inch(1.5), t)
    .slotFor(BOARD, inch(21.5), inch(2.7), inch(4), t)
    .feature('dowel', inch(5.9), inch(4.3), { diameterMm: 6.25 })
    .feature('dowel', inch(12.1), inch(4.3), { diameterMm: 6.25 })
    .line([at(4.5, 3.75), at(4.5, 0.06)], mark('former 2'))
    .line([at(12.5, 4.75), at(12.5, 0.19)], mark('former 3'))
    .bevel([9], 30, 'nose')
    .place(0, -half, 0, { rollDegrees: 90 });
  const tray = Drafter.start('tray', 'Floor tray', BOARD, 'Body', {
    grain: alongX,
    notes: 'Folds to a tray 2 1/2 in wide outside; its front wall stands on its own skin.',
  })
    .outline(
      closed(at(0, 0), [at(11, 0), at(11, 4), at(0, 4), at(0, 3.25), at(-0.75, 3.25), at(-0.75, 0.75), at(0, 0.75)]),
    )
    .line([at(0, 0.75), at(11, 0.75)], groove(90, 'port wall'))
    .line([at(0, 3.25), at(11, 3.25)], groove(90, 'starboard wall'))
    .line([at(0, 0.75), at(0, 3.25)], trench(90, 'front wall', 'right'))
    .bevel([3, 4, 6, 7], 45, 'front corners')
    .line([at(0.7, 0.95), at(0.7, 3.05)], mark('former 1'))
    .line([at(3, 0.95), at(3, 3.05)], mark('former 2'))
    .line([at(10.8, 0.95), at(10.8, 3.05)], mark('former 3'))
    .place(trayX, -inch(2), trayZ);
  // Flat lengths of the deck's sides: folded by 18° each, its inner edges come down on the outer edges of both sides.
  const fold = (18 * Math.PI) / 180,
    deckSide = (2 * (half + t) + 2 * t * Math.sin(fold) - inch(1)) / 2 / Math.cos(fold),
    deckLength = Math.hypot(inch(11.5), inch(0.75));
  const ridge = deckSide + inch(0.5) + t / 2;
  const deck = Drafter.start('deck', 'Turtle deck', BOARD, 'Body', { grain: alongX })
    .outline(box(0, 0, deckLength, 2 * deckSide + inch(1)))
    .line(
      [
        [0, deckSide],
        [deckLength, deckSide],
      ],
      crease(18, 'port'),
    )
    .line(
      [
        [0, deckSide + inch(1)],
        [deckLength, deckSide + inch(1)],
      ],
      crease(18, 'starboard'),
    )
    .line(
      [
        [deckLength - inch(0.4), ridge],
        [deckLength - inch(4.9), ridge],
      ],
      { ...mark('fin'), face: 'back' },
    )
    .stand(0, side, 5, { ownSkin: 'face', turnDegrees: -108, isReversed: true })
    .meets(2, side, 5);
  // Between the tray's walls below, between the sides above.
  const within = half - t,
    over = inch(0.75) - t;
  const former = (number: number, height: number): Drafter =>
    Drafter.start(`former-${number}`, `Former ${number}`, BOARD, 'Body')
      .outline(
        closed(
          [-within, 0],
          [
            [within, 0],
            [within, over],
            [half, over],
            [half, inch(height)],
            [-half, inch(height)],
            [-half, over],
            [-within, over],
          ],
        ),
      )
      .hole(closed(at(-0.55, 0.6), [at(0.55, 0.6), at(0.55, height - 0.6), at(-0.55, height - 0.6)]))
      .stand(0, tray, `former ${number}`);
  const power = Drafter.start('power-box', 'Power box', BOARD, 'Power', {
    grain: alongX,
    notes: 'Slides in from the nose on two dowels.',
  })
    .outline(box(0, 0, inch(4), inch(7.2)))
    .line([at(0, 1.5), at(4, 1.5)], groove(90))
    .line([at(0, 3.6), at(4, 3.6)], groove(90))
    .line([at(0, 5.1), at(4, 5.1)], groove(90))
    .bevel([0, 2], 45, 'closing seam')
    .area(box(inch(2.4), inch(2.2), inch(1), inch(0.9)), pocket(2.5, 'controller'))
    .place(-inch(2.5), -inch(2.55), trayZ + t);
  const aileron = Drafter.start('aileron', 'Aileron', BOARD, 'Wing', { handed: 'pair', grain: alongX })
    .outline(closed(at(0, 0), [at(8, 0), [...at(8.6, 0.6), { bulge: 0.35 }], at(8.6, 1.5), at(0, 1.5)]))
    .bevel([3], 30, 'hinge relief')
    .only('part', [FOUR]);
  const tailplane = Drafter.start('tailplane', 'Tailplane', BOARD, 'Tail', { grain: alongX })
    .outline(
      closed(at(-6.5, 0), [
        at(6.5, 0),
        at(6.5, 2.2),
        [...at(5.6, 3.4), { bulge: 0.3 }],
        at(-5.6, 3.4),
        [...at(-6.5, 2.2), { bulge: 0.3 }],
      ]),
    )
    .line([at(-6.5, 1.1), at(6.5, 1.1)], mark('hinge'))
    .place(inch(23.3), 0, inch(2.7) - t / 2, { yawDegrees: 90 });
  const fin = Drafter.start('fin', 'Fin', BOARD, 'Tail', { grain: { directionDegrees: 90, rule: 'along' } })
    .outline(
      closed(at(0, 0), [at(4.5, 0), at(4.5, 3.8), [...at(3.6, 4.6), { bulge: 0.3 }], at(2.6, 4.6), at(1.2, 1.2)]),
    )
    .line([at(3.1, 0), at(3.1, 4.6)], throughCut('rudder'))
    .stand(0, deck, 'fin', { toSkin: 'back', turnDegrees: -90 });
  const strut = Drafter.start('strut', 'Cabane strut', BOARD, 'Wing', {
    handed: 'pair',
    grain: { directionDegrees: 90, rule: 'along' },
  })
    .outline(closed(at(0, 0), [at(1.4, 0), at(1.1, 3), at(0.3, 3)]))
    .stand(0, side, 7, { ownSkin: 'back', toSkin: 'back', turnDegrees: 0 });
  const mount = Drafter.start('mount', 'Motor mount', PLY, 'Power', { sizing: 'fixed' })
    .outline(box(0, 0, 52, 40))
    .round(26, 20, 9)
    .round(18, 12, 3)
    .round(34, 12, 3)
    .round(18, 28, 3)
    .round(34, 28, 3)
    .place(-inch(2.5) - 3.2, -26, trayZ + t, { rollDegrees: 90, yawDegrees: 90 });
  const skid = Drafter.start('skid', 'Tail skid plate', PLY, 'Tail', { sizing: 'fixed' })
    .outline(
      closed(
        [0, 0],
        [
          [46, 0],
          [40, 12],
          [6, 12],
        ],
      ),
    )
    .round(12, 6, 2)
    .round(34, 6, 2);
  const drawn: Airframe = {
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
    parts: [
      side,
      tray,
      deck,
      former(1, 2.75),
      former(2, 3.2),
      former(3, 3.9),
      power,
      aileron,
      strut,
      tailplane,
      fin,
      mount,
      skid,
    ].map(({ part }) => part),
    boards: [
      {
        id: 'shelf',
        name: 'Half board from the shelf',
        material: BOARD,
        thicknessMm: t,
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
        thicknessMm: t,
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
  const made = withForm({ ...drawn, parts: [] }, saltboxWing(plan, t));
  return { ...made, parts: [...made.parts.map(withAileron), ...drawn.parts] };
}
