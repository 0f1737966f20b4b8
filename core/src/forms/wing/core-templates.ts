import { distance, interpolate, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { formatLengthWithUnit } from '../../units/index.ts';
import { madePart, type MadeCorner, type MadeLine } from '../form/index.ts';
import { coreBlock, coreOf, type CoreBlock } from './core-block.ts';
import { panelWord, type PanelSite } from './panel.ts';

/** How far a number's stroke runs in from the edge, in mm. */
const STROKE_MM = 8;

/** The place a length along a line, and the way on from it. */
function along(line: readonly Point[], length: number): { readonly at: Point; readonly way: Point } {
  let left = length;
  for (let index = 1; index < line.length; index++) {
    const [a, b] = [line[index - 1]!, line[index]!],
      long = distance(a, b);
    if (left <= long || index === line.length - 1) {
      const share = Math.min(1, left / long);
      return { at: interpolate(a, b, share), way: { x: (b.x - a.x) / long, y: (b.y - a.y) / long } };
    }
    left -= long;
  }
  return { at: line[0]!, way: { x: 1, y: 0 } };
}

const lengthOf = (line: readonly Point[]): number =>
  line.slice(1).reduce((sum, p, index) => sum + distance(p, line[index]!), 0);

/** Strokes at equal parts of the run, numbered from the nose: both ends pass the same number at the same time. */
function numbersOf(line: readonly Point[], count: number): readonly MadeLine[] {
  const whole = lengthOf(line);
  return Array.from({ length: count + 1 }, (_, index): MadeLine => {
    const { at, way } = along(line, (whole * index) / count);
    // The template lies to the right of the way aft; at the nose, where the run stands up, the stroke goes aft into it.
    const inward = Math.abs(way.x) < 0.35 ? { x: 0.5, y: -0.87 } : { x: way.y, y: -way.x };
    return {
      name: `number-${index}`,
      from: at,
      to: { x: at.x + inward.x * STROKE_MM, y: at.y + inward.y * STROKE_MM },
      work: { kind: 'mark', face: 'face', label: String(index) },
    };
  });
}

/** The template that one side of an end is cut on: its base on the block's, a ledge to lead the wire in and one to lead it out. */
function template(site: PanelSite, block: CoreBlock, end: 'root' | 'tip', side: 'upper' | 'lower'): Part {
  const { leadMm, numbers } = coreOf(site.wing),
    line = block[end][side],
    length = (mm: number): string => formatLengthWithUnit(mm, site.unit);
  const [nose, tail] = [line[0]!, line.at(-1)!];
  // Seen from above the edge that the wire runs on: base, ledge behind the tail, the side from tail to nose, ledge before the nose.
  const outline: readonly MadeCorner[] = [
    { at: { x: -leadMm, y: 0 }, edge: 'base' },
    { at: { x: block.widthMm + leadMm, y: 0 }, edge: 'aft' },
    { at: { x: block.widthMm + leadMm, y: tail.y }, edge: 'lead-out' },
    ...[...line]
      .reverse()
      .map((at, index): MadeCorner => ({ at, edge: index === line.length - 1 ? 'lead-in' : `run-${index + 1}` })),
    { at: { x: -leadMm, y: nose.y }, edge: 'fore' },
  ];
  return madePart({
    formId: site.formId,
    role: `template-${site.laid.number}-${end}-${side}`,
    name: `${site.formName} template${panelWord(site)} ${end} ${side}`,
    group: `${site.formName} templates`,
    material: site.wing.jigMaterial,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'any' },
    sizing: 'fixed',
    notes: `Pin it on the ${end} end of a block ${length(block.lengthMm)} × ${length(block.widthMm)} × ${length(block.heightMm)}: its base on the block's base, its ledge ${length(leadMm)} before the front. For the other half, on the block turned round.`,
    outline,
    lines: [
      ...numbersOf(line, numbers),
      {
        name: 'front',
        from: { x: 0, y: 0 },
        to: { x: 0, y: Math.min(nose.y, STROKE_MM) },
        work: { kind: 'mark', face: 'face', label: 'front of the block' },
      },
    ],
  });
}

/** The templates of a panel: for both ends, the upper side and the lower. */
export function templateParts(site: PanelSite): readonly Part[] {
  const block = coreBlock(site.wing, site.laid);
  if (!block) return [];
  return (['root', 'tip'] as const).flatMap((end) =>
    (['upper', 'lower'] as const).map((side) => template(site, block, end, side)),
  );
}
