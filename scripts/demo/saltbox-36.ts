import { DEFAULT_SETTINGS, type Airframe } from '@grain-fold/core/airframe';
import { box, closed, crease, Drafter, groove, mark, pocket, throughCut, trench } from './drafter.ts';

const BOARD = 'faced board 3/16';
const PLY = 'plywood 1/8';
const inch = (value: number): number => value * 25.4;
const at = (x: number, y: number): [number, number] => [inch(x), inch(y)];
const alongX = { directionDegrees: 0, rule: 'along' } as const;

/** With ailerons, or flown on rudder alone. */
const FOUR = 'four channels';
const THREE = 'three channels';

/** Slab-sided parasol hauler in inches: every kind of fold. */
export function saltbox36(): Airframe {
  const t = 4.8;
  const side = Drafter.start('side', 'Body side', BOARD, 'Body', { handed: 'pair', grain: alongX, notes: 'Port drawn. Outside skin stays on.' })
    .outline(closed(at(0, 1), [
      [...at(0.5, 0.25), { c1: at(0.05, 0.6), c2: at(0.2, 0.3) }], [...at(6, 0)], [...at(12, 0.1), { c1: at(8, -0.1), c2: at(10, 0) }], at(25, 2.25), at(25, 3.25), at(13.5, 4), at(12.5, 4.75), at(5.5, 4.75), at(4.5, 3.75), at(0, 3.25),
    ]))
    .hole(closed(at(6, 3.1), [at(8.5, 3.1), at(8.5, 4.1), at(6.4, 4.1)]))
    .slotFor(BOARD, inch(4.5), inch(1.9), inch(1.5), t).slotFor(BOARD, inch(21.5), inch(2.7), inch(4), t)
    .feature('dowel', inch(5.9), inch(4.3), { diameterMm: 6.25 }).feature('dowel', inch(12.1), inch(4.3), { diameterMm: 6.25 })
    .line([at(4.5, 3.75), at(4.5, 0.06)], mark('former 2')).line([at(12.5, 4.75), at(12.5, 0.19)], mark('former 3'))
    .bevel([9], 30, 'nose');
  const tray = Drafter.start('tray', 'Floor tray', BOARD, 'Body', { grain: alongX, notes: 'Folds to a channel 2 1/2 in wide outside; walls stand on their own skin.' })
    .outline(box(0, 0, inch(12), inch(4)))
    .line([at(0, 0.75), at(12, 0.75)], groove(90, 'port wall')).line([at(0, 3.25), at(12, 3.25)], groove(90, 'starboard wall'))
    .line([at(11, 0.75), at(11, 3.25)], mark('former 3'));
  const deck = Drafter.start('deck', 'Turtle deck', BOARD, 'Body', { grain: alongX })
    .outline(closed(at(0, 0), [at(11.5, 0.75), at(11.5, 2.25), at(0, 3)]))
    .line([at(0, 1), at(11.5, 1.25)], crease(18, 'port')).line([at(0, 2), at(11.5, 1.75)], crease(18, 'starboard'));
  const former = (id: string, name: string, height: number): Drafter => Drafter.start(id, name, BOARD, 'Body')
    .outline(box(0, 0, inch(2.5) - 2 * t, inch(height)))
    .hole(closed(at(0.45, 0.6), [at(1.6, 0.6), at(1.6, height - 0.6), at(0.45, height - 0.6)]));
  const power = Drafter.start('power-box', 'Power box', BOARD, 'Power', { grain: alongX, notes: 'Slides in from the nose on two dowels.' })
    .outline(box(0, 0, inch(4), inch(7.5)))
    .line([at(0, 1.5), at(4, 1.5)], groove(90)).line([at(0, 3.75), at(4, 3.75)], groove(90)).line([at(0, 5.25), at(4, 5.25)], groove(90))
    .bevel([0, 2], 45, 'closing seam')
    .area(box(inch(2.4), inch(2.2), inch(1), inch(0.9)), pocket(2.5, 'controller'));
  const wing = Drafter.start('wing', 'Wing panel', BOARD, 'Wing', { handed: 'pair', grain: alongX, notes: 'Skin folds over the spar at the leading edge; the trailing edges lap.' })
    .outline(box(0, 0, inch(18), inch(13.5)))
    .line([at(0, 6.4), at(18, 6.4)], trench(180, 'leading edge')).line([at(0, 8.25), at(18, 8.25)], crease(12, 'top, front')).line([at(0, 9.75), at(18, 9.75)], crease(9, 'top, rear'))
    .line([at(0, 4.4), at(18, 4.4)], mark('spar, front edge')).line([at(0, 4.05), at(18, 4.05)], mark('spar, rear edge'))
    .bevel([0], 60, 'trailing edge')
    .line([at(8.5, 1.5), at(17.1, 1.5), at(17.1, 0)], mark('aileron')).only('last operation', [FOUR])
    .feature('servo', inch(9), inch(2.6), { lengthMm: 31.25, widthMm: 13.45, screwsMm: 0 }).only('last feature', [FOUR]);
  const spar = Drafter.start('spar', 'Spar strip', BOARD, 'Wing', { quantity: 4, grain: alongX }).outline(box(0, 0, inch(17.75), inch(1)));
  const aileron = Drafter.start('aileron', 'Aileron', BOARD, 'Wing', { handed: 'pair', grain: alongX })
    .outline(closed(at(0, 0), [at(8, 0), [...at(8.6, 0.6), { bulge: 0.35 }], at(8.6, 1.5), at(0, 1.5)])).bevel([3], 30, 'hinge relief').only('part', [FOUR]);
  const tailplane = Drafter.start('tailplane', 'Tailplane', BOARD, 'Tail', { grain: alongX })
    .outline(closed(at(-6.5, 0), [at(6.5, 0), at(6.5, 2.2), [...at(5.6, 3.4), { bulge: 0.3 }], at(-5.6, 3.4), [...at(-6.5, 2.2), { bulge: 0.3 }]]))
    .line([at(-6.5, 1.1), at(6.5, 1.1)], mark('hinge')).slotFor(BOARD, 0, inch(2.4), inch(1.6), t);
  const fin = Drafter.start('fin', 'Fin', BOARD, 'Tail', { grain: { directionDegrees: 90, rule: 'along' } })
    .outline(closed(at(0, 0), [at(4.5, 0), at(4.5, 3.8), [...at(3.6, 4.6), { bulge: 0.3 }], at(2.6, 4.6), at(1.2, 1.2)]))
    .line([at(3.1, 0), at(3.1, 4.6)], throughCut('rudder'));
  const strut = Drafter.start('strut', 'Cabane strut', BOARD, 'Wing', { quantity: 2, grain: { directionDegrees: 90, rule: 'along' } })
    .outline(closed(at(0, 0), [at(1.4, 0), at(1.1, 3), at(0.3, 3)]));
  const mount = Drafter.start('mount', 'Motor mount', PLY, 'Power', { sizing: 'fixed' }).outline(box(0, 0, 52, 40)).round(26, 20, 9).round(18, 12, 3).round(34, 12, 3).round(18, 28, 3).round(34, 28, 3);
  const skid = Drafter.start('skid', 'Tail skid plate', PLY, 'Tail', { sizing: 'fixed' }).outline(closed([0, 0], [[46, 0], [40, 12], [6, 12]])).round(12, 6, 2).round(34, 6, 2);
  return {
    id: 'saltbox-36', name: 'Saltbox 36',
    settings: { ...DEFAULT_SETTINGS, unit: 'in', pages: { ...DEFAULT_SETTINGS.pages, paper: 'Letter' }, nest: { ...DEFAULT_SETTINGS.nest, clearanceMm: 2.4 }, variants: [THREE, FOUR], variant: FOUR, notes: 'Parasol hauler, three or four channels, removable power box.' },
    parts: [side, tray, deck, former('former-1', 'Former 1', 2.75), former('former-2', 'Former 2', 3.4), former('former-3', 'Former 3', 3.9), power, wing, spar, aileron, strut, tailplane, fin, mount, skid].map(({ part }) => part),
    boards: [
      { id: 'shelf', name: 'Half board from the shelf', material: BOARD, thicknessMm: t, widthMm: inch(20), heightMm: inch(18), count: 1, price: 0, grain: 'width', gramsPerSquareMetre: 455 },
      { id: 'full', name: 'Faced board 36 × 24', material: BOARD, thicknessMm: t, widthMm: inch(36), heightMm: inch(24), count: 6, price: 3.5, grain: 'width', gramsPerSquareMetre: 455 },
      { id: 'ply', name: 'Ply offcut', material: PLY, thicknessMm: 3.2, widthMm: 150, heightMm: 100, count: 2, price: 1, grain: 'none', gramsPerSquareMetre: 2050 },
    ],
  };
}
