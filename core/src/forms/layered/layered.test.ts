import * as fc from 'fast-check';
import { bodyContext, notClosed, PLY } from '../../../test/bodies.ts';
import { airframeOf, formOf, T, USUAL } from '../../../test/wings.ts';
import { withForm, type Airframe } from '../../airframe/index.ts';
import { placeMap } from '../../folds/index.ts';
import { applyRigid, isInside, point3, signedArea, type Point } from '../../geometry/index.ts';
import { brokenInvariant, holesOf, outlineOf, outOfBounds, type Part } from '../../part/index.ts';
import { partArea } from '../form/index.ts';
import { makeForm, scaleForm } from '../kinds.ts';
import { tailFromNumbers, usualTail, type TailForm } from '../tail/index.ts';
import { standingWing, type WingForm } from '../wing/index.ts';
import { layeredFromNumbers, usualLayered } from './layered-starts.ts';
import type { MadeLayered } from './make-layered.ts';
import type { LayeredForm, LayeredParameters, LayerOpening } from './parameters.ts';

const formWith = (parameters: LayeredParameters): LayeredForm => ({
  id: 'l1',
  kind: 'layered',
  name: 'Body',
  parameters,
  place: { at: point3(0, 0, 0), incidenceDegrees: 0 },
});
/** A plain bar, 400 long and 50 high. */
const BAR: LayeredParameters = {
  ...layeredFromNumbers({ ...usualLayered('mm'), material: 'foam' }),
  topLine: 'straight',
  bottomLine: 'straight',
  stations: [
    { id: 'a', aftMm: 0, bottomMm: 0, topMm: 50 },
    { id: 'b', aftMm: 400, bottomMm: 0, topMm: 50 },
  ],
  openings: [],
};
const opening = (more: Partial<LayerOpening>): LayerOpening => ({
  id: 'o1',
  name: 'Pack',
  kind: 'bay',
  side: 'both',
  fromLayer: 1,
  toLayer: 4,
  fromMm: 60,
  lengthMm: 70,
  upMm: 25,
  heightMm: 20,
  ...more,
});
const made = (more: Partial<LayeredParameters> = {}, wings: readonly WingForm[] = []): MadeLayered =>
  makeForm(formWith({ ...BAR, ...more }), bodyContext(wings));
const part = ({ parts }: MadeLayered, role: string): Part => parts.find(({ source }) => source!.role === role)!;
const ringOf = (one: Part): readonly Point[] => outlineOf(one)!.nodes;
/** From port to starboard, where a layer lies. */
const across = (one: Part): readonly [number, number] => {
  const map = placeMap(one.place!);
  return [applyRigid(map, point3(0, 0, T)).y, applyRigid(map, point3(0, 0, 0)).y];
};

describe('layers', () => {
  it.each([
    [1, ['layer-middle']],
    [2, ['layer-1']],
    [5, ['layer-1', 'layer-2', 'layer-middle']],
  ])('%d of them lie on each other from port to starboard', (layers, roles) => {
    const body = made({ layers });
    expect(body.parts.map(({ source }) => source!.role)).toEqual(roles);
    expect(body.figures!.widthMm).toBeCloseTo(layers * T, 9);
    body.parts.forEach((one, index) => {
      const [port, starboard] = across(one);
      // The outermost begins half of all layers to port.
      expect(port).toBeCloseTo(index * T - (layers * T) / 2, 9);
      expect(starboard - port).toBeCloseTo(T, 9);
    });
  });

  it('have bays as deep as the layers that they go through: in the middle of five 3 t, in two pockets 2 t each', () => {
    const { figures } = made({
      layers: 5,
      openings: [opening({ fromLayer: 2 }), opening({ id: 'o2', fromLayer: 1, toLayer: 2, fromMm: 200 })],
    });
    expect(figures!.openings).toEqual([
      { id: 'o1', deepMm: 3 * T, isPockets: false },
      { id: 'o2', deepMm: 2 * T, isPockets: true },
    ]);
  });

  it('are each opened by what goes through it alone', () => {
    const body = made({ layers: 5, openings: [opening({ fromLayer: 2, toLayer: 2 })] });
    expect(body.parts.map((one) => holesOf(one).length)).toEqual([0, 1, 0]);
    expect(partArea(part(body, 'layer-2'))).toBeCloseTo(400 * 50 - 70 * 20, 3);
  });

  it('part into a port and a starboard one where a bay opens to one side', () => {
    const body = made({ layers: 3, openings: [opening({ side: 'port', fromLayer: 1, toLayer: 1 })] });
    expect(body.parts.map(({ source, handed }) => [source!.role, handed])).toEqual([
      ['layer-1-port', 'single'],
      ['layer-1-starboard', 'single'],
      ['layer-middle', 'single'],
    ]);
    expect(body.parts.map((one) => holesOf(one).length)).toEqual([1, 0, 0]);
    expect(across(part(body, 'layer-1-starboard'))[1]).toBeCloseTo(1.5 * T, 9);
    expect(notClosed(body.parts)).toEqual([]);
  });

  it('reach no further than they are said to', () => {
    const body = made({ layers: 4, reaches: [{ id: 'r', layer: 1, fromMm: 0, toMm: 150 }] });
    expect(Math.max(...ringOf(part(body, 'layer-1')).map(({ x }) => x))).toBeCloseTo(150, 4);
    expect(Math.max(...ringOf(part(body, 'layer-2')).map(({ x }) => x))).toBeCloseTo(400, 4);
  });

  it('have slits as deep as they are said to be, a notch from either edge, and keep the rest of their area', () => {
    const body = made({
      openings: [opening({ kind: 'notch above', heightMm: 12, fromLayer: 1 })],
      slits: [{ id: 's', edge: 'below', aftMm: 300, acrossMm: 4, deepMm: 9 }],
    });
    expect(partArea(part(body, 'layer-1'))).toBeCloseTo(400 * 50 - 70 * 12 - 4 * 9, 3);
    expect(
      ringOf(part(body, 'layer-1')).filter(({ x, y }) => Math.abs(x - 302) < 1e-3 && Math.abs(y - 9) < 1e-3),
    ).toHaveLength(1);
  });

  it('join a bay that meets a notch into one opening of the edge', () => {
    const body = made({
      openings: [
        opening({ kind: 'notch above', heightMm: 15 }),
        opening({ id: 'o2', fromMm: 100, lengthMm: 60, upMm: 30, heightMm: 12 }),
      ],
    });
    const one = part(body, 'layer-1');
    expect(holesOf(one)).toEqual([]);
    // Both overlap over 30 mm, where the bay reaches 1 mm into the notch.
    expect(partArea(one)).toBeCloseTo(400 * 50 - 70 * 15 - 60 * 12 + 30, 3);
  });
});

describe('what sits in a profile body', () => {
  const wing = (z: number, x = 110): WingForm => ({
    ...formOf(USUAL),
    place: { at: point3(x, 0, z), incidenceDegrees: 2 },
  });
  const seat = { id: 'k1', formId: 'w1', hold: 'none' as const, dowelMm: 4, aheadMm: 12, behindMm: 12, inMm: 12 };

  it.each([
    ['top', 40],
    ['through', 24],
    ['below', -6],
  ] as const)('is cut to the section of its wing: %s', (side, z) => {
    const body = made({ seats: [seat], stations: BAR.stations.map((one) => ({ ...one, topMm: 70 })) }, [wing(z)]);
    expect(body.figures!.seats).toEqual([{ id: 'k1', side, incidenceDegrees: 2 }]);
    // No corner of the wing's own section in the middle lies in foam, and foam lies close round it.
    const section = standingWing(wing(z), bodyContext().boardOf)!.sectionAt(0);
    const one = part(body, 'layer-middle'),
      isFoam = (p: Point): boolean => isInside(p, ringOf(one)) && !holesOf(one).some(({ nodes }) => isInside(p, nodes));
    expect(section.some((p) => isFoam(p))).toBe(false);
    const [least, most] = [Math.min(...section.map((p) => p.y)), Math.max(...section.map((p) => p.y))];
    if (side === 'through')
      for (const p of section) {
        if (Math.abs(p.y - most) < 0.01) expect(isFoam({ x: p.x, y: p.y + 0.8 })).toBe(true);
        if (Math.abs(p.y - least) < 0.01) expect(isFoam({ x: p.x, y: p.y - 0.8 })).toBe(true);
      }
    expect(notClosed(body.parts)).toEqual([]);
  });

  it('follows when the wing is moved, with its dowels for bands', () => {
    const form = formWith({ ...BAR, seats: [{ ...seat, hold: 'dowels' }] });
    const first = [wing(47), form].reduce<Airframe>((held, one) => withForm(held, one), airframeOf([]));
    const moved = withForm(first, wing(47, 140));
    const dowels = (airframe: Airframe): readonly number[] =>
      holesOf(airframe.parts.find(({ id }) => id === 'l1-layer-1')!).map(
        ({ nodes }) => (nodes[0]!.x + nodes[1]!.x) / 2,
      );
    expect(dowels(first)).toHaveLength(2);
    dowels(moved).forEach((x, index) => expect(x - dowels(first)[index]!).toBeCloseTo(30, 4));
  });

  it('slides in from behind where a stabiliser goes through at the tail', () => {
    const tail: TailForm = {
      id: 't1',
      kind: 'tail',
      name: 'Tail',
      parameters: tailFromNumbers({ ...usualTail('mm'), material: 'foam' }),
      place: { at: point3(320, 0, 22), incidenceDegrees: 0 },
    };
    const airframe = [tail, formWith({ ...BAR, seats: [{ ...seat, formId: 't1' }] })].reduce<Airframe>(
      (held, one) => withForm(held, one),
      airframeOf([]),
    );
    const one = airframe.parts.find(({ id }) => id === 'l1-layer-1')!,
      ring = ringOf(one);
    expect(holesOf(one)).toEqual([]);
    expect(ring.filter(({ x }) => Math.abs(x - 400) < 1e-3)).toHaveLength(4);
    // The slot is a board high, with room for glue on both sides.
    const slot = ring.filter(({ x, y }) => Math.abs(x - 400) < 1e-3 && y > 1 && y < 49).map(({ y }) => y);
    expect(Math.abs(slot[0]! - slot[1]!)).toBeCloseTo(T + 0.3, 3);
  });
});

it('bears a plate of ply before its nose, in the middle of its height', () => {
  const body = made({ nosePlate: { material: 'ply', widthMm: 30, heightMm: 36, plates: 2 } });
  const plate = part(body, 'nose-plate-2'),
    middle = placeMap(plate.place!).origin;
  expect([middle.y, middle.z]).toEqual([0, 25]);
  expect(-middle.x).toBeCloseTo(2 * PLY, 1);
  expect(notClosed(body.parts)).toEqual([]);
});

it('lies in itself at random: openings, slits, layers; every part sound, or told why not', () => {
  const any = fc.record({
    layers: fc.integer({ min: 1, max: 8 }),
    kind: fc.constantFrom('bay' as const, 'notch above' as const, 'notch below' as const),
    side: fc.constantFrom('both' as const, 'port' as const, 'starboard' as const),
    fromLayer: fc.integer({ min: 1, max: 4 }),
    fromMm: fc.double({ min: 0, max: 700, noNaN: true }),
    lengthMm: fc.double({ min: 1, max: 300, noNaN: true }),
    heightMm: fc.double({ min: 1, max: 110, noNaN: true }),
    upMm: fc.double({ min: -20, max: 100, noNaN: true }),
    slit: fc.double({ min: 0, max: 700, noNaN: true }),
  });
  const usual = layeredFromNumbers({ ...usualLayered('mm'), material: 'foam' });
  fc.assert(
    fc.property(any, ({ layers, slit, ...one }) => {
      const body = makeForm(
        formWith({
          ...usual,
          layers,
          openings: [...usual.openings, opening({ id: 'o2', ...one })],
          slits: [{ id: 's', edge: 'above', aftMm: slit, acrossMm: 3, deepMm: 10 }],
        }),
        bodyContext(),
      );
      if (body.parts.length === 0) {
        expect(body.faults.some(({ isBlocking }) => isBlocking)).toBe(true);
        return;
      }
      expect(body.parts.flatMap((each) => brokenInvariant(each) ?? outOfBounds(each) ?? [])).toEqual([]);
      expect(body.parts.every((each) => signedArea(ringOf(each)) > 0)).toBe(true);
      expect(notClosed(body.parts)).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

it.each<readonly [string, Partial<LayeredParameters>]>([
  ['OUT_OF_BOUNDS', { layers: 9 }],
  ['OUT_OF_BOUNDS', { slits: [{ id: 's', edge: 'above', aftMm: Number.NaN, acrossMm: 3, deepMm: 4 }] }],
  ['STATION_ORDER', { stations: [BAR.stations[1]!, { ...BAR.stations[0]!, id: 'c' }] }],
  ['STATION_LOW', { stations: [BAR.stations[0]!, { ...BAR.stations[1]!, topMm: 3 }] }],
  ['STATIONS_FEW', { stations: BAR.stations.slice(0, 1) }],
  ['REACH_SHORT', { reaches: [{ id: 'r', layer: 1, fromMm: 500, toMm: 600 }] }],
  ['LAYER_PARTED', { openings: [opening({ kind: 'notch above', heightMm: 60 })] }],
])('a body that cannot be is refused with what works: %s', (code, more) => {
  const { faults, parts } = made(more);
  expect(parts).toEqual([]);
  expect(faults[0]).toMatchObject({ code, isBlocking: true });
});

it.each<readonly [string, Partial<LayeredParameters>]>([
  ['WEB_THIN', { openings: [opening({ upMm: 12, heightMm: 20 })] }],
  ['OPENING_NOWHERE', { openings: [opening({ fromLayer: 3 })] }],
  [
    'SEAT_LOST',
    { seats: [{ id: 'k', formId: 'gone', hold: 'none', dowelMm: 4, aheadMm: 12, behindMm: 12, inMm: 12 }] },
  ],
])('what is better otherwise is told: %s', (code, more) => {
  expect(made(more).faults.map((fault) => fault.code)).toContain(code);
});

it('scales by its lines; what is put into it stays as large, in the middle of where it was', () => {
  const { openings, stations, slits } = scaleForm(
    formWith({
      ...BAR,
      openings: [opening({})],
      slits: [{ id: 's', edge: 'above', aftMm: 100, acrossMm: 4, deepMm: 9 }],
    }),
    1.5,
  ).parameters;
  expect(stations[1]).toMatchObject({ aftMm: 600, topMm: 75 });
  expect(openings[0]).toMatchObject({ lengthMm: 70, heightMm: 20, upMm: 37.5, fromMm: 95 * 1.5 - 35 });
  expect(slits[0]).toMatchObject({ aftMm: 150, acrossMm: 4, deepMm: 9 });
});
