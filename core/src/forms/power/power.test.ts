import * as fc from 'fast-check';
import { bodyContext, notClosed, PLY } from '../../../test/bodies.ts';
import { standingPart } from '../../airframe/index.ts';
import { airframeOf, T as BOARD_MM } from '../../../test/wings.ts';
import { placeMap } from '../../folds/index.ts';
import { distance, distance3, point3, applyRigid, type Point3 } from '../../geometry/index.ts';
import { holesOf, type Part } from '../../part/index.ts';
import { makeForm, scaleForm } from '../kinds.ts';
import type { MadePower } from './make-power.ts';
import type { PowerForm, PowerParameters } from './parameters.ts';
import { powerFromNumbers, usualPower } from './power-starts.ts';

const CONTEXT = bodyContext();
const START = powerFromNumbers({ ...usualPower('mm'), widthMm: 36, heightMm: 36, material: 'foam' }, 'ply');
const USUAL: PowerParameters = {
  ...START,
  pattern: { ...START.pattern, firstMm: 19, secondMm: 16 },
  leadDownMm: 12,
};
const formOf = (parameters: PowerParameters): PowerForm => ({
  id: 'm1',
  kind: 'power',
  name: 'Power',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const powerOf = (more: Partial<PowerParameters> = {}): MadePower => makeForm(formOf({ ...USUAL, ...more }), CONTEXT);
const part = ({ parts }: MadePower, role: string): Part => parts.find(({ source }) => source!.role === role)!;
/** A firewall's normal, aft, as its part stands. */
const normalOf = (one: Part): Point3 => placeMap(one.place!).z;
const middleOf = (one: Part, hole: string): Point3 => {
  const { nodes } = holesOf(one).find(({ id }) => id === `m-h-${hole}`)!;
  const [a, b] = [nodes[0]!, nodes[1]!];
  return point3((a.x + b.x) / 2, (a.y + b.y) / 2, 0);
};

describe('the thrust line', () => {
  it('is turned by the cut: 2° to the right and 3° down are measured on the standing firewall', () => {
    const { x, y, z } = normalOf(part(powerOf(), 'front-1'));
    // Aft along the shaft: to port for thrust to the right, up for thrust down.
    expect((Math.atan2(-y, x) * 180) / Math.PI).toBeCloseTo(2, 6);
    expect((Math.asin(z) * 180) / Math.PI).toBeCloseTo(3, 6);
  });

  it('keeps the propeller’s middle on the line at any angle, reach and number of plates', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 10, noNaN: true }),
        fc.double({ min: -10, max: 10, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        (rightDegrees, downDegrees, reachMm, frontLayers) => {
          const made = powerOf({ rightDegrees, downDegrees, reachMm, frontLayers });
          const outermost = part(made, `front-${frontLayers}`),
            map = placeMap(outermost.place!),
            shaft = applyRigid(map, middleOf(outermost, 'shaft'));
          // From the front of the outermost plate forward along the shaft.
          const { x, y, z } = map.z,
            propeller = point3(shaft.x - reachMm * x, shaft.y - reachMm * y, shaft.z - reachMm * z);
          expect(Math.hypot(propeller.y, propeller.z - (BOARD_MM + USUAL.lineMm))).toBeLessThan(1e-3);
          expect(propeller.x).toBeCloseTo(made.figures!.propeller.x, 3);
        },
      ),
    );
  });

  it('moves the motor aside by reach · tan: 35 at 2° and 3°', () => {
    const { asideMm, aboveMm } = powerOf({ reachMm: 35 - PLY }).figures!;
    expect(asideMm).toBeCloseTo((35 * Math.tan((2 * Math.PI) / 180)) / Math.cos((3 * Math.PI) / 180), 6);
    expect(aboveMm).toBeCloseTo(35 * Math.tan((3 * Math.PI) / 180), 6);
  });

  it('stands behind the box where it pushes: the pull on the airframe is turned 2° to the right and 3° down all the same', () => {
    const made = powerOf({ isPusher: true }),
      { x, y, z } = normalOf(part(made, 'front-1'));
    // From the shaft's end through the firewall: the way that the propeller pushes the airframe.
    expect(x).toBeLessThan(0);
    expect((Math.atan2(y, -x) * 180) / Math.PI).toBeCloseTo(2, 6);
    expect((Math.asin(-z) * 180) / Math.PI).toBeCloseTo(3, 6);
    const { propeller, longestCorner, portLongerMm } = made.figures!;
    expect(propeller.x).toBeGreaterThan(USUAL.reachMm);
    expect(propeller.y).toBeCloseTo(BOARD_MM + USUAL.lineMm, 6);
    // Further aft to starboard, and at the floor.
    expect(longestCorner).toBe('floor, starboard');
    expect(portLongerMm).toBeCloseTo(-(36 + 4 * BOARD_MM) * Math.tan((2 * Math.PI) / 180), 6);
  });

  it('makes the port wall longer for thrust to the right, the top for thrust down', () => {
    const { figures } = powerOf({ walls: 'single' });
    // 36 and two boards wide, over 36 and one board high.
    expect(figures!.portLongerMm).toBeCloseTo((36 + 2 * BOARD_MM) * Math.tan((2 * Math.PI) / 180), 6);
    expect(figures!.topLongerMm).toBeCloseTo(
      ((36 + BOARD_MM) * Math.tan((3 * Math.PI) / 180)) / Math.cos((2 * Math.PI) / 180),
      6,
    );
    expect(figures!.longestCorner).toBe('top, port');
    expect(powerOf({ rightDegrees: -2 }).figures!.longestCorner).toBe('top, starboard');
  });
});

describe('the box', () => {
  it('is as wide inside as it was asked for, its strip made of walls, floor and the skin over the walls', () => {
    const { figures } = powerOf(),
      t = BOARD_MM,
      high = 36 + t;
    expect(figures!.widthMm).toBeCloseTo(36 + 4 * t, 9);
    expect(figures!.stripMm).toBeCloseTo(2 * (high - t - 0.5 + 2 * t + high) + 36 + 4 * t, 9);
  });

  it.each([
    // Floor and two walls; doubled two strips of skin and two inner walls more.
    ['single', 2],
    ['doubled', 6],
  ] as const)('folds at every line of its strip, whatever its front is cut to: %s', (walls, turns) => {
    const made = powerOf({ walls, rightDegrees: -5, downDegrees: 6 }),
      strip = standingPart(airframeOf(made.parts), part(made, 'box'))!;
    expect(strip.body.tree.turns).toHaveLength(turns);
    expect(strip.body.tree.turns.every(({ hinge }) => hinge.turnDegrees !== 0)).toBe(true);
  });

  it('closes on its firewall at random angles, walls single and doubled, nothing in anything', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.constantFrom<'single' | 'doubled'>('single', 'doubled'),
        fc.integer({ min: 0, max: 2 }),
        fc.boolean(),
        (rightDegrees, downDegrees, walls, plugLayers, isPusher) => {
          const made = powerOf({ rightDegrees, downDegrees, walls, plugLayers, isPusher });
          expect(notClosed(made.parts)).toEqual([]);
        },
      ),
      { numRuns: 12, seed: 5, endOnFailure: true },
    );
  });
});

describe('the firewall', () => {
  it('bears an unequal cross: 19 one way, 16 the other, and a hole for leads below', () => {
    const wall = part(powerOf(), 'front-1'),
      [a, b, c, d] = [1, 2, 3, 4].map((bolt) => middleOf(wall, `bolt-${bolt}`));
    expect(distance(a!, c!)).toBeCloseTo(19, 4);
    expect(distance(b!, d!)).toBeCloseTo(16, 4);
    const [shaft, lead] = [middleOf(wall, 'shaft'), middleOf(wall, 'lead')];
    expect(shaft.y - lead.y).toBeCloseTo(12, 4);
    expect(lead.x).toBeCloseTo(shaft.x, 4);
  });

  it('bears a circle of so many bolts', () => {
    const wall = part(powerOf({ pattern: { ...USUAL.pattern, kind: 'circle', bolts: 3, firstMm: 25 } }), 'front-1');
    const bolts = [1, 2, 3].map((bolt) => middleOf(wall, `bolt-${bolt}`));
    for (const [index, bolt] of bolts.entries())
      expect(distance(bolt, bolts[(index + 1) % 3]!)).toBeCloseTo((25 / 2) * Math.sqrt(3), 4);
  });

  it('has a nose ring round the shaft, square to it, so far before it', () => {
    const made = powerOf({ ring: { outerMm: 50, innerMm: 34, aheadMm: 20 } }),
      [wall, ring] = [part(made, 'front-1'), part(made, 'ring')];
    const front = applyRigid(placeMap(wall.place!), middleOf(wall, 'shaft')),
      rear = applyRigid(placeMap(ring.place!), point3(0, 0, PLY));
    expect(distance3(front, rear)).toBeCloseTo(20, 4);
    expect(normalOf(ring).x).toBeCloseTo(normalOf(wall).x, 9);
  });

  it('is told of when it is of foam', () => {
    expect(powerOf({ plateMaterial: 'foam' }).faults.map(({ code }) => code)).toContain('FIREWALL_OF_FOAM');
    expect(powerOf().faults.map(({ code }) => code)).not.toContain('FIREWALL_OF_FOAM');
  });

  it('tells of holes that leave too little plate', () => {
    const { faults } = powerOf({ pattern: { ...USUAL.pattern, kind: 'cross', firstMm: 70 } });
    expect(faults.some(({ code }) => code === 'HOLE_AT_EDGE')).toBe(true);
    expect(powerOf({ leadDownMm: 4 }).faults.some(({ code }) => code === 'HOLES_MEET')).toBe(true);
  });
});

it('scales by its box, not by its motor', () => {
  const twice = makeForm(scaleForm(formOf(USUAL), 2), CONTEXT);
  expect(twice.figures!.widthMm).toBeCloseTo(72 + 4 * BOARD_MM, 9);
  expect(twice.site!.power.pattern).toEqual(USUAL.pattern);
});

it.each<readonly [string, Partial<PowerParameters>]>([
  ['OUT_OF_BOUNDS', { rightDegrees: 40 }],
  ['OUT_OF_BOUNDS', { insideWidthMm: Number.NaN }],
  ['OUT_OF_BOUNDS', { frontLayers: 1.5 }],
  ['LINE_OVER_BOX', { lineMm: 120 }],
  ['RING_THIN', { ring: { outerMm: 40, innerMm: 39, aheadMm: 10 } }],
])('a box that cannot be is refused with what works: %s', (code, more) => {
  const { faults, parts } = powerOf(more);
  expect(parts).toEqual([]);
  expect(faults[0]).toMatchObject({ code, isBlocking: true });
});
