import { cutFormer, sectionPoints, withChanges, type DeckSection, type DeckSite } from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeViews } from '../mat/shape-views.ts';
import type { FormChosen } from '../use-forms.ts';

/** Room between the views, as a share of the height, and at least, in mm. */
const APART_SHARE = 0.5;
const LEAST_APART_MM = 40;
const LEAST_BAY_MM = 10;

/** How the three views lie on the mat. */
interface Laid {
  readonly above: number;
  readonly behind: number;
  readonly low: number;
  readonly high: number;
  readonly wide: number;
  readonly nose: number;
  readonly tail: number;
}

function layViews({ deck: { sections } }: DeckSite): Laid {
  const low = Math.min(...sections.map(({ sillMm }) => sillMm)),
    high = Math.max(...sections.map(({ sillMm, riseMm }) => sillMm + riseMm)),
    wide = Math.max(...sections.map(({ widthMm }) => widthMm / 2)),
    apart = Math.max(LEAST_APART_MM, APART_SHARE * (high - low));
  const tail = sections.at(-1)!.aftMm;
  return { above: low - apart - wide, behind: tail + apart + wide, low, high, wide, nose: sections[0]!.aftMm, tail };
}

const topOf = ({ aftMm, sillMm, riseMm }: DeckSection): Point => ({ x: aftMm, y: sillMm + riseMm });
const sillOf = ({ aftMm, sillMm }: DeckSection): Point => ({ x: aftMm, y: sillMm });

/** The sheets from the side and from above, with the lines on which they bend. */
function sheetShapes(site: DeckSite, { above }: Laid): readonly Shape[] {
  return site.sheets.flatMap(({ fore, aft, lines }, index): readonly Shape[] => [
    {
      key: `side-${index}`,
      ring: [sillOf(fore), sillOf(aft), topOf(aft), topOf(fore)],
      look: 'face',
    },
    ...lines.slice(0, -1).map((line, at): Shape => ({
      key: `side-${index}-${at}`,
      ring: [
        { x: line.fore.x, y: line.fore.z },
        { x: line.aft.x, y: line.aft.z },
      ],
      look: 'inside',
      isOpen: true,
    })),
    {
      key: `above-${index}`,
      ring: [
        { x: fore.aftMm, y: above - fore.widthMm / 2 },
        { x: aft.aftMm, y: above - aft.widthMm / 2 },
        { x: aft.aftMm, y: above + aft.widthMm / 2 },
        { x: fore.aftMm, y: above + fore.widthMm / 2 },
      ],
      look: 'face',
    },
    ...lines.slice(0, -1).flatMap((line, at) =>
      [1, -1].map((side): Shape => ({
        key: `above-${index}-${at}-${side}`,
        ring: [
          { x: line.fore.x, y: above + side * line.fore.y },
          { x: line.aft.x, y: above + side * line.aft.y },
        ],
        look: 'inside',
        isOpen: true,
      })),
    ),
  ]);
}

function handles(
  { form, deck }: DeckSite,
  laid: Laid,
  unit: LengthUnit,
  chosen: FormChosen | undefined,
): readonly ShapeHandle[] {
  const { sections } = deck,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const within = (index: number, x: number): number =>
    Math.max(
      0,
      (sections[index - 1]?.aftMm ?? -Infinity) + LEAST_BAY_MM,
      Math.min((sections[index + 1]?.aftMm ?? Infinity) - LEAST_BAY_MM, x),
    );
  return sections.flatMap((section, index): readonly ShapeHandle[] => {
    const common = {
      chooses: { kind: 'sections', index },
      isChosen: chosen?.kind === 'sections' && chosen.index === index,
    };
    return [
      {
        ...common,
        key: `rise-${index}`,
        at: topOf(section),
        word: `section ${index + 1}: ${length(section.riseMm)} high at ${length(section.aftMm)}`,
        drag: (to, onStep) =>
          withChanges(form, [
            { path: `sections.${index}.aftMm`, value: within(index, onStep(to.x)) },
            { path: `sections.${index}.riseMm`, value: Math.max(5, onStep(to.y - section.sillMm)) },
          ]),
      },
      {
        ...common,
        key: `sill-${index}`,
        at: sillOf(section),
        word: `sills of section ${index + 1} at ${length(section.sillMm)}`,
        isDark: true,
        drag: (to, onStep) => withChanges(form, [{ path: `sections.${index}.sillMm`, value: onStep(to.y) }]),
      },
      {
        ...common,
        key: `width-${index}`,
        at: { x: section.aftMm, y: laid.above + section.widthMm / 2 },
        word: `section ${index + 1}: ${length(section.widthMm)} wide`,
        drag: (to, onStep) =>
          withChanges(form, [
            { path: `sections.${index}.widthMm`, value: Math.max(15, onStep(2 * Math.abs(to.y - laid.above))) },
          ]),
      },
    ];
  });
}

/** The views of a deck: from the side, its nose to the left; from above; and its sections from behind, with the former of the chosen one. */
export function deckViews(site: DeckSite, unit: LengthUnit, chosen: FormChosen | undefined): ShapeViews {
  const laid = layViews(site),
    { sections } = site.deck,
    section = chosen?.kind === 'sections' && sections[chosen.index] ? chosen.index : 0;
  const outline = (one: DeckSection): readonly Point[] => {
    const half = sectionPoints(one).map(({ x, y }) => ({ x, y: one.sillMm + y }));
    return [
      ...[...half].reverse().map(({ x, y }) => ({ x: laid.behind + x, y })),
      ...half.map(({ x, y }) => ({ x: laid.behind - x, y })),
    ];
  };
  const former = site.deck.hasFormers ? cutFormer(site, section) : undefined,
    behind = (ring: readonly Point[]): readonly Point[] => ring.map(({ x, y }) => ({ x: laid.behind + x, y }));
  return {
    label: `Deck from the side, from above and from behind: ${site.sheets.length} ${site.sheets.length === 1 ? 'sheet' : 'sheets'}`,
    bounds: { minX: laid.nose, maxX: laid.behind + laid.wide, minY: laid.above - laid.wide, maxY: laid.high },
    titles: [
      { at: { x: laid.nose, y: laid.high + 22 }, text: 'From the side, nose to the left' },
      { at: { x: laid.nose, y: laid.above + laid.wide + 6 }, text: 'From above' },
      { at: { x: laid.behind - laid.wide, y: laid.high + 22 }, text: `Section ${section + 1}, from behind` },
    ],
    shapes: [
      ...sheetShapes(site, laid),
      ...sections.map((one, index): Shape => ({
        key: `behind-${one.id}`,
        ring: outline(one),
        look: index === section ? 'foam' : 'station',
      })),
      ...(former ? [{ key: 'former', ring: behind(former.ring), look: 'plate' } as const] : []),
      ...(former?.window ? [{ key: 'window', ring: behind(former.window), look: 'cut' } as const] : []),
    ],
    labels: sections.map((one) => ({ key: one.id, at: topOf(one), text: formatLength(one.aftMm, unit), dy: -14 })),
    handles: handles(site, laid, unit, chosen),
  };
}
