import { isMiss, roundStrut, withChanges, type LaidStrut, type StrutSite } from '@grain-fold/core/forms';
import { boundsOf, type Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Shape, ShapeHandle, ShapeViews } from '../mat/shape-views.ts';
import type { FormChosen } from '../use-forms.ts';

/** An end is dragged to whole per cents of the section that it stands on; so much of it stays at least. */
const LEAST_PERCENT = 5;

/** Handles at the four corners of a strut: each moves along the section that it stands on. */
function cornerHandles(
  site: StrutSite,
  { strut, plates }: LaidStrut,
  at: number,
  spans: ReturnType<typeof roundStrut>['spans'],
): readonly ShapeHandle[] {
  const outline = plates[0]!.outline,
    headAt = outline.findIndex(({ edge }) => edge === 'aft') + 1;
  const places = {
    lowerFromPercent: outline[0]!.at,
    lowerToPercent: outline[headAt - 1]!.at,
    upperToPercent: outline[headAt]!.at,
    upperFromPercent: outline.at(-1)!.at,
  } as const;
  return Object.entries(places).map(([key, p]): ShapeHandle => {
    const isLower = key.startsWith('lower'),
      span = isLower ? spans.lower : spans.upper,
      [from, to] = isLower
        ? [strut.lowerFromPercent, strut.lowerToPercent]
        : [strut.upperFromPercent, strut.upperToPercent];
    return {
      key,
      at: p,
      word: `${isLower ? 'below' : 'above'} from ${from} % to ${to} %`,
      drag: ({ x }) => {
        const percent = Math.round((100 * (x - span[0])) / (span[1] - span[0])),
          value = key.endsWith('FromPercent')
            ? Math.max(0, Math.min(to - LEAST_PERCENT, percent))
            : Math.min(100, Math.max(from + LEAST_PERCENT, percent));
        return withChanges(site.form, [{ path: `struts.${at}.${key}`, value }]);
      },
    };
  });
}

/** The chosen strut of a set where it stands, with what it stands between cut in its plane. */
export function strutViews(site: StrutSite, unit: LengthUnit, chosen: FormChosen | undefined): ShapeViews {
  const first = site.laid.findIndex((one) => !isMiss(one)),
    wanted = chosen?.kind === 'struts' ? site.laid[chosen.index] : undefined,
    at = wanted && !isMiss(wanted) ? chosen!.index : first,
    one = site.laid[at] as LaidStrut,
    { rings, spans } = roundStrut(site, one),
    outline = one.plates[0]!.outline.map((corner): Point => corner.at);
  const shapes: readonly Shape[] = [
    ...rings.map((ring, index): Shape => ({ key: `round-${index}`, ring, look: 'face' })),
    { key: 'strut', ring: outline, look: 'guest' },
  ];
  const bounds = boundsOf(shapes.flatMap(({ ring }) => ring)),
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return {
    label: `${one.strut.name}, ${length(one.lengthMm)} long, where it stands`,
    bounds,
    titles: [
      { at: { x: bounds.minX, y: bounds.maxY }, text: `${one.strut.name}, ${length(one.lengthMm)}: in its own plane` },
    ],
    shapes,
    labels: [],
    handles: one.strut.kind === 'strut' ? cornerHandles(site, one, at, spans) : [],
  };
}
