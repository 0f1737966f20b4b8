import {
  arcGeometry,
  boundsHeight,
  boundsWidth,
  mirrorY,
  transformPath,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { layerColour, layersOf, type WrittenDrawing } from '../written/written-drawing.ts';

/** Room round a drawing in mm. */
const ROOM_MM = 5;
/** Lines are drawn this wide, in mm: for a cutter they have no width. */
const LINE_MM = 0.2;

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);
const figure = (value: number): string => String(Math.round(value * 1e6) / 1e6);

const at = ({ x, y }: Point): string => `${figure(x)} ${figure(y)}`;

/** To a millionth of a millimetre, so that what is read again is what was written. */
function pathData(path: Path, isClosed: boolean): string {
  const runs = path.map((curve) => {
    if (curve.kind === 'cubic') return `C${at(curve.control1)} ${at(curve.control2)} ${at(curve.to)}`;
    if (curve.kind === 'line' || Math.abs(curve.bulge) < 1e-9) return `L${at(curve.to)}`;
    const radius = figure(arcGeometry(curve).radius),
      [isLarge, isPositive] = [Math.abs(curve.bulge) > 1, curve.bulge > 0].map(Number);
    return `A${radius} ${radius} 0 ${isLarge} ${isPositive} ${at(curve.to)}`;
  });
  return path.length === 0 ? '' : `M${at(path[0]!.from)}${runs.join('')}${isClosed ? 'Z' : ''}`;
}

/** A drawing as SVG in true mm: a group for each layer, arcs and cubics as what they are. */
export function writeSvg(drawing: WrittenDrawing): string {
  const { minX, maxY } = drawing.bounds;
  const width = boundsWidth(drawing.bounds) + 2 * ROOM_MM,
    height = boundsHeight(drawing.bounds) + 2 * ROOM_MM;
  // Down the sheet, from its upper left corner.
  const t = { ...mirrorY(0), e: ROOM_MM - minX, f: maxY + ROOM_MM };
  const groups = layersOf(drawing).map((layer, place) => {
    const paths = drawing.lines
      .filter((line) => line.layer === layer)
      .map(({ path, isClosed }) => `<path d="${pathData(transformPath(t, path), isClosed)}"/>`);
    const id = layer.replace(/[^A-Za-z0-9.]+/g, '-');
    return `<g id="${id}" aria-label="${escaped(layer)}" stroke="${layerColour(place).hex}">\n${paths.join('\n')}\n</g>`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `<title>${escaped(drawing.title)}</title>`,
    `<g fill="none" stroke-width="${LINE_MM}">`,
    ...groups,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
