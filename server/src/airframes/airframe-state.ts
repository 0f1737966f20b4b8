import type { Transaction } from 'sequelize';
import type { AirframeLine, OpenedAirframe } from '@grain-fold/contract';
import type { Airframe as AirframeData } from '@grain-fold/core/airframe';
import { pathBounds, pathSignedArea, svgPath } from '@grain-fold/core/geometry';
import { holesOf, outlineOf } from '@grain-fold/core/part';
import { curvesOf } from '@grain-fold/core/paths';
import { existsIn, withMirrorHalf } from '@grain-fold/core/resolve';
import { defined } from '@grain-fold/core/units';
import { BoardRow, FormRow, NestRow, PartRow, PlanRow, type Airframe } from '../models/index.ts';

/** Outlines drawn in the list for one airframe. */
const THUMBNAIL_PARTS = 7;
/** Holes drawn in one of them. */
const THUMBNAIL_HOLES = 40;

/** Reads an airframe's rows as the state that a page works on. */
export async function stateOf(row: Airframe, transaction?: Transaction): Promise<OpenedAirframe> {
  const where = { airframeId: row.id };
  const order: [string, string][] = [
    ['position', 'ASC'],
    ['id', 'ASC'],
  ];
  const [parts, boards, forms, nest, plan] = await Promise.all([
    PartRow.findAll({ where, order, transaction }),
    BoardRow.findAll({ where, order, transaction }),
    FormRow.findAll({ where, order, transaction }),
    NestRow.findOne({ where, transaction }),
    PlanRow.findOne({ where, transaction }),
  ]);
  const formsThere = forms.flatMap(({ body }) => (body ? [body] : []));
  const airframe: AirframeData = {
    id: row.id,
    name: row.name,
    settings: row.settings,
    parts: parts.flatMap(({ body }) => (body ? [body] : [])),
    boards: boards.flatMap(({ body }) => (body ? [body] : [])),
    ...defined({
      nest: nest?.body ?? undefined,
      plan: plan?.body ?? undefined,
      forms: formsThere.length > 0 ? formsThere : undefined,
    }),
  };
  const versionsOf = (rows: readonly { id: string; version: number }[]): Record<string, number> =>
    Object.fromEntries(rows.map(({ id, version }) => [id, version]));
  return {
    airframe,
    version: row.version,
    savedAt: row.savedAt.toISOString(),
    versions: {
      settings: row.settingsVersion,
      parts: versionsOf(parts),
      boards: versionsOf(boards),
      forms: versionsOf(forms),
      nest: nest?.version ?? 0,
      plan: plan?.version ?? 0,
    },
  };
}

/**
 * The thumbnail of an airframe: outlines of its largest parts with their holes, as they are drawn. It is made at every save, so nothing is
 * worked out for it: features and folds are left to the pictures that are made apart.
 */
export function thumbnailOf({ parts, settings }: AirframeData): AirframeLine['thumbnail'] {
  return parts
    .filter((part) => existsIn(part, settings.variant))
    .flatMap((part) => {
      const whole = withMirrorHalf(part),
        outer = outlineOf(whole);
      if (!outer?.closed || outer.nodes.length < 2) return [];
      const outline = curvesOf(outer);
      const holes = holesOf(whole)
        .filter(({ closed }) => closed)
        .slice(0, THUMBNAIL_HOLES)
        .map(curvesOf);
      return [{ areaMm2: Math.abs(pathSignedArea(outline)), paths: [outline, ...holes], box: pathBounds(outline) }];
    })
    .sort((a, b) => b.areaMm2 - a.areaMm2)
    .slice(0, THUMBNAIL_PARTS)
    .map(({ paths, box }) => ({
      d: paths.map((path) => svgPath(path, true)).join(''),
      box: [box.minX, box.minY, box.maxX, box.maxY],
    }));
}
