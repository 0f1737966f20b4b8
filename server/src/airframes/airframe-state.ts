import type { Transaction } from 'sequelize';
import type { AirframeLine, OpenedAirframe } from '@grain-fold/contract';
import { piecesOfAirframe, type Airframe as AirframeData } from '@grain-fold/core/airframe';
import { svgPath } from '@grain-fold/core/geometry';
import { defined } from '@grain-fold/core/units';
import { BoardRow, NestRow, PartRow, type Airframe } from '../models/index.ts';

/** Outlines drawn in the list for one airframe. */
const THUMBNAIL_PARTS = 7;

/** Reads an airframe's rows as the state that a page works on. */
export async function stateOf(row: Airframe, transaction?: Transaction): Promise<OpenedAirframe> {
  const where = { airframeId: row.id };
  const order: [string, string][] = [
    ['position', 'ASC'],
    ['id', 'ASC'],
  ];
  const [parts, boards, nest] = await Promise.all([
    PartRow.findAll({ where, order, transaction }),
    BoardRow.findAll({ where, order, transaction }),
    NestRow.findOne({ where, transaction }),
  ]);
  const airframe: AirframeData = {
    id: row.id,
    name: row.name,
    settings: row.settings,
    parts: parts.flatMap(({ body }) => (body ? [body] : [])),
    boards: boards.flatMap(({ body }) => (body ? [body] : [])),
    ...defined({ nest: nest?.body ?? undefined }),
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
      nest: nest?.version ?? 0,
    },
  };
}

/** The drawn thumbnail of an airframe: outlines of its largest parts. */
export function thumbnailOf(airframe: AirframeData): AirframeLine['thumbnail'] {
  return piecesOfAirframe(airframe)
    .filter(({ part }) => part.side !== 'starboard')
    .sort((a, b) => b.part.areaMm2 - a.part.areaMm2)
    .slice(0, THUMBNAIL_PARTS)
    .map(({ part }) => ({
      d: [part.outline!, ...part.holes].map((path) => svgPath(path, true)).join(''),
      box: [part.bounds.minX, part.bounds.minY, part.bounds.maxX, part.bounds.maxY],
    }));
}
