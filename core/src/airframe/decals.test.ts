import fc from 'fast-check';
import { after, airframeOf, plate, withLine } from '../../test/samples.ts';
import { boundsHeight, boundsOf, flattenOpenPath, regionArea, type Point } from '../geometry/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { decalsOf } from './decals.ts';
import { pagesOf } from './page-set.ts';

const worded = (part: Part, text: string, heightMm: number, angleDegrees = 0): Part =>
  after(part, {
    name: 'addFeature',
    args: { kind: 'lettering', at: { x: 200, y: 100 }, numbers: { text, heightMm, angleDegrees } },
  });
const all = (): boolean => true;
/** Points of everything drawn in a decal, its name too. */
const pointsOf = (airframe: Airframe, isMirrored = false): readonly (readonly Point[])[] =>
  decalsOf(airframe, all, isMirrored).flatMap(({ part }) =>
    part.strokes.flatMap(({ paths }) => paths.map((path) => flattenOpenPath(path, 0.01))),
  );
/** The bodies of the letters: closed, and the largest of what is drawn. */
const bodies = (airframe: Airframe, isMirrored = false) =>
  pointsOf(airframe, isMirrored).filter((line) => {
    const [first, last] = [line[0]!, line.at(-1)!];
    return Math.hypot(first.x - last.x, first.y - last.y) < 1e-6 && boundsHeight(boundsOf(line)) > 4;
  });

describe('decals', () => {
  it('writes an I as a body a seventh of its height wide, whichever way it lies on its part', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 200, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (height, angle) => {
          const [body] = bodies(airframeOf([worded(plate(400, 200), '1', height, angle)]));
          // Its strokes are as long as the letter is high; their ends are round, so it stands out by half a width at both ends.
          expect(boundsHeight(boundsOf(body!))).toBeCloseTo(height * (1 + 1 / 7), 1);
        },
      ),
      { numRuns: 20 },
    );
  });
  it('is mirrored for film that is laid on face down, its name is not', () => {
    const airframe = airframeOf([worded(plate(400, 200), 'L', 70)]),
      [plain] = bodies(airframe),
      [turned] = bodies(airframe, true);
    const middleOf = (line: readonly Point[]): number => {
      const { minX, maxX } = boundsOf(line),
        area = regionArea([line]);
      // The middle of an L by area lies to the side of its stem.
      const moment = line.reduce((sum, p, index) => {
        const q = line[(index + 1) % line.length]!;
        return sum + ((p.x + q.x) * (p.x * q.y - q.x * p.y)) / 6;
      }, 0);
      return (Math.abs(moment / area) * Math.sign(moment) - (minX + maxX) / 2) / (maxX - minX);
    };
    expect(Math.abs(middleOf(plain!))).toBeGreaterThan(0.05);
    expect(regionArea([turned!])).toBeCloseTo(regionArea([plain!]), 3);
    const words = decalsOf(airframe, all, true)[0]!.words!;
    expect(words.join(' ')).toContain('mirrored');
  });
  it('grows with the airframe, tells how many are wanted, and leaves a pair readable on both sides', () => {
    const part = { ...worded(plate(400, 200), 'PORT', 30), handed: 'pair' as const, quantity: 2 },
      airframe = airframeOf([part]);
    const decals = decalsOf(airframe, all, false);
    expect(decals).toHaveLength(1);
    expect(decals[0]!.words![1]).toContain('4 off');
    const twice = { ...airframe, settings: { ...airframe.settings, scale: 2 } };
    const high = (of: Airframe): number => Math.max(...bodies(of).map((body) => boundsHeight(boundsOf(body))));
    expect(high(twice) / high(airframe)).toBeCloseTo(2, 2);
  });
  it('takes what else is drawn on the skin, and nothing of cuts and folds', () => {
    const drawn = withLine(plate(400, 200), [50, 50], [350, 150], { kind: 'engrave', face: 'face', label: '' }),
      [one, ...others] = decalsOf(airframeOf([drawn]), all, false);
    expect(others).toEqual([]);
    const line = one!.part.strokes
      .flatMap(({ paths }) => paths.flat())
      .find(({ from, to }) => Math.hypot(from.x - to.x, from.y - to.y) > 100)!;
    expect(Math.hypot(line.from.x - line.to.x, line.from.y - line.to.y)).toBeCloseTo(Math.hypot(300, 100), 6);
    expect(decalsOf(airframeOf([plate(400, 200)]), all, false)).toEqual([]);
  });
  it('is printed beside the templates of its parts, which stay where they are', () => {
    const airframe = airframeOf([worded(plate(150, 150), 'A', 40)]);
    const printing = (sections: Airframe['settings']['pages']['sections']): Airframe => ({
      ...airframe,
      settings: { ...airframe.settings, pages: { ...airframe.settings.pages, sections } },
    });
    const plan = pagesOf(
      printing([
        { id: 's1', way: 'loose' },
        { id: 's2', way: 'decals', partIds: ['p1'] },
      ]),
    );
    const onSection = (id: string): number =>
      plan.sheets.filter(({ sectionId }) => sectionId === id).flatMap(({ placed }) => placed).length;
    expect([onSection('s1'), onSection('s2')]).toEqual([1, 1]);
    expect(
      pagesOf(
        printing([
          { id: 's1', way: 'loose' },
          { id: 's2', way: 'decals', partIds: ['other'] },
        ]),
      ).pages,
    ).toHaveLength(1);
  });
});
