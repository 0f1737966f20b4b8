import { after, airframeOf, foam, groove, plate, withLine } from '../../test/samples.ts';
import { emptyPart, type Part } from '../part/index.ts';
import { thicknessBreaks } from './thickness-breaks.ts';

const breaks = (part: Part, thicknessMm: number): readonly string[] =>
  thicknessBreaks(airframeOf([part]), 'foam', thicknessMm).faults.map(({ title }) => title);

describe('what another thickness would break', () => {
  const typed = withLine(plate(200, 100), [0, 50], [200, 50], groove(90, 10));
  test('a typed mouth of 10 mm closes to 90° in 5 mm board or less, and not in more: told with what it would press', () => {
    expect(breaks(typed, 4.8)).toEqual([]);
    expect(breaks(typed, 5)).toEqual([]);
    const told = breaks(typed, 5.6).join(' ');
    expect(told).toContain('too narrow');
    expect(told).toContain('press');
  });
  test('a groove that follows the board, and other materials, break nothing', () => {
    expect(breaks(withLine(plate(200, 100), [0, 50], [200, 50], groove(90)), 6.2)).toEqual([]);
    expect(thicknessBreaks(airframeOf([typed]), 'ply', 9)).toEqual({ thicknessMm: 9, faults: [], movedIds: [] });
  });
  test('faults that stand already are not told as broken by it', () => {
    const narrow = withLine(plate(200, 100), [0, 50], [200, 50], groove(90, 6));
    expect(breaks(narrow, 5.5)).toEqual([]);
  });
  test('parts whose lines would move to keep their inside are named', () => {
    const box = after(emptyPart('box', 'Box', 'foam'), {
      name: 'foldStrip',
      args: {
        lengthMm: 100,
        thicknessMm: 5,
        sides: [
          { sizeMm: 30, is: 'outer' },
          { sizeMm: 60, is: 'inner' },
          { sizeMm: 30, is: 'outer' },
        ],
        folds: [
          { foldDegrees: 90, style: 'groove' },
          { foldDegrees: 90, style: 'groove' },
        ],
      },
    });
    const { movedIds, faults } = thicknessBreaks(airframeOf([box], { boards: [foam] }), 'foam', 5.5);
    expect([movedIds, faults]).toEqual([['box'], []]);
  });
});
