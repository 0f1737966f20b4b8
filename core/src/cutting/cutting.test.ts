import Papa from 'papaparse';
import { after, airframeOf, boxSide, groove, made, plate, withLine } from '../../test/samples.ts';
import { cutListOf, quickNest } from '../airframe/index.ts';
import { partPicture } from '../ink/index.ts';
import { cutListCsv } from './cut-list-csv.ts';
import { cutListPages } from './cut-list-pages.ts';
import { cutList, worksOf } from './cut-list.ts';

test('a folded box side: every line of work with its numbers, by hand', () => {
  const works = worksOf(made(boxSide()));
  expect(works.find(({ kind }) => kind === 'outline')).toMatchObject({ lengthMm: 600, face: 'through' });
  expect(works.find(({ kind }) => kind === 'holes')!.lengthMm).toBeCloseTo(Math.PI * 10, 6);
  expect(works.find(({ kind }) => kind === 'groove')).toMatchObject({
    count: 2,
    lengthMm: 400,
    angleDegrees: 90,
    bladeDegrees: 45,
    widthMm: expect.closeTo(10, 9),
    face: 'face',
  });
  expect(works.find(({ kind }) => kind === 'bevel')).toMatchObject({
    count: 1,
    lengthMm: 200,
    angleDegrees: 30,
    bladeDegrees: 30,
    widthMm: expect.closeTo(2.8868, 3),
  });
});

test('a square cut that is taped: its blade stands upright, glue fills 25 mm² along 200 mm, tape is as long as the fold', () => {
  const folds = { style: 'groove', school: 'square', toolDegrees: 45, hingeOn: 'tape' } as const;
  const airframe = airframeOf([withLine(plate(200, 100), [0, 50], [200, 50], groove())]);
  const list = cutListOf({ ...airframe, settings: { ...airframe.settings, folds } });
  expect(list.parts[0]!.works.find(({ kind }) => kind === 'groove')).toMatchObject({
    words: 'mitre groove, square cut, cut through, taped',
    bladeDegrees: 0,
    widthMm: expect.closeTo(10, 9),
    glueMl: expect.closeTo(5, 6),
  });
  expect(list.totals.tapeMm).toBeCloseTo(200, 9);
  expect(
    Papa.parse<Record<string, string>>(cutListCsv(list, 'mm'), { header: true }).data.find(({ work }) =>
      work?.includes('taped'),
    ),
  ).toMatchObject({ 'glue ml': '5.0', 'blade °': '0' });
  expect(cutListOf(airframe).totals.tapeMm).toBe(0);
});

test('totals count every piece of a handed pair, and boards tell what lies on them', () => {
  const pair = after(withLine(plate(200, 100), [0, 50], [200, 50], groove()), {
    name: 'changeDetails',
    args: { changes: { handed: 'pair', quantity: 2 } },
  });
  const airframe = airframeOf([pair]);
  const list = cutListOf({ ...airframe, nest: quickNest(airframe).nest });
  expect(list.totals).toMatchObject({ pieces: 4, throughMm: 2400, grooveMm: 800 });
  expect(list.parts.map(({ part, quantity, boards }) => [part.side, quantity, boards])).toEqual([
    ['port', 2, [1]],
    ['starboard', 2, [1]],
  ]);
  expect(list.boards).toHaveLength(1);
  expect(list.boards[0]!.totals).toMatchObject({ pieces: 4, throughMm: 2400 });
  expect(cutListOf(airframe).boards).toEqual([]);
});

describe('as a table', () => {
  const rows = (csv: string): Record<string, string>[] =>
    Papa.parse<Record<string, string>>(csv, { header: true }).data;
  test('lengths are in the builder’s unit and read back', () => {
    const list = cutList([{ part: made(boxSide()), quantity: 3 }], []);
    const metric = rows(cutListCsv(list, 'mm'));
    expect(metric.find(({ work }) => work === 'mitre groove')).toMatchObject({
      quantity: '3',
      face: 'face',
      count: '2',
      'length mm': '400.00',
      'width mm': '10.00',
      'angle °': '90',
      'blade °': '45',
    });
    const inch = rows(cutListCsv(cutList([{ part: made(plate(254, 101.6)), quantity: 1 }], []), 'in'));
    expect(inch[0]).toMatchObject({ work: 'outline', 'length in': '28' });
  });
  test('a name that a spreadsheet would run is written as text', () => {
    const named = after(plate(20, 10), { name: 'changeDetails', args: { changes: { name: '=HYPERLINK("x")' } } });
    expect(rows(cutListCsv(cutList([{ part: made(named), quantity: 1 }], []), 'mm'))[0]!.part).toBe(
      '\'=HYPERLINK("x")',
    );
  });
});

describe('on paper', () => {
  const many = Array.from({ length: 40 }, (_, index) => ({ part: made(boxSide(`p${index}`)), quantity: 1 }));
  const title = { airframe: 'Test', version: 1, scale: 1, date: '2026-01-02', unit: 'mm' as const };
  test('nothing runs off the paper, every part is there with its picture', () => {
    const pages = cutListPages(cutList(many, [{ label: 'Foam, 700 × 500 mm', pieces: many }]), title, {
      widthMm: 210,
      heightMm: 297,
    });
    const texts = pages.flatMap((page) => page.flatMap((ink) => (ink.kind === 'text' ? [ink] : [])));
    for (const { at } of texts) {
      expect(at.y).toBeGreaterThan(5);
      expect(at.y).toBeLessThan(292);
      expect(at.x).toBeLessThan(200);
    }
    for (const { part } of many) expect(texts.some(({ text }) => text === part.name)).toBe(true);
    expect(pages.length).toBeGreaterThan(3);
  });
  test('a picture keeps within its box and its shape', () => {
    const xs = partPicture(made(boxSide()), { minX: 10, maxX: 56, minY: 20, maxY: 44 }).flatMap((ink) =>
      ink.kind === 'path' ? ink.path.flatMap(({ from }) => [from.x]) : [],
    );
    expect(Math.min(...xs)).toBeCloseTo(10, 6);
    expect(Math.max(...xs)).toBeCloseTo(56, 6);
  });
});
