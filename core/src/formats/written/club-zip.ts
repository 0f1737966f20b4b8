import { strToU8, zipSync } from 'fflate';
import { cutListOf, type Airframe } from '../../airframe/index.ts';
import { cutListCsv } from '../../cutting/index.ts';
import { stockCsv } from '../csv/stock-list.ts';
import { partsCsv } from '../csv/tables.ts';
import { writeDxf } from '../dxf/write-dxf.ts';
import { writeSvg } from '../svg/write-svg.ts';
import { boardDrawing, partsDrawing, type WrittenOptions } from './draw-parts.ts';

/** The date of everything in a packed file, so that the same airframe is packed the same. */
const PACKED_AT = '2026-01-01T00:00:00Z';

/**
 * All of an airframe in one packed file: the project file, all parts and every board of the nest as SVG and DXF, and its tables.
 * @param projectFile the airframe as its project file
 */
export function clubZip(airframe: Airframe, projectFile: string, options: WrittenOptions): Uint8Array {
  const name = fileName(airframe.name);
  const drawings = [
    ...(airframe.parts.length > 0 ? [['parts', partsDrawing(airframe, undefined, options)] as const] : []),
    ...(airframe.nest?.boards ?? []).map(
      (_, index) => [`board ${index + 1}`, boardDrawing(airframe, index + 1, options)] as const,
    ),
  ];
  const files: Record<string, string> = {
    [`${name}.grainfold.json`]: projectFile,
    'parts.csv': partsCsv(airframe),
    'stock.csv': stockCsv(airframe),
    'cut list.csv': cutListCsv(cutListOf(airframe), airframe.settings.unit),
    ...Object.fromEntries(drawings.map(([word, drawing]) => [`${word}.svg`, writeSvg(drawing)])),
    ...Object.fromEntries(drawings.map(([word, drawing]) => [`${word}.dxf`, writeDxf(drawing)])),
  };
  return zipSync(Object.fromEntries(Object.entries(files).map(([file, text]) => [file, strToU8(text)])), {
    level: 6,
    mtime: PACKED_AT,
  });
}

/** A name as a file may have it. */
const fileName = (name: string): string => name.replace(/[^\p{L}\p{N} ._-]+/gu, ' ').trim() || 'airframe';
