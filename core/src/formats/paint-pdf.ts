import { arcCubics, type Path, type Point, type Transform } from '../geometry/index.ts';
import { tonesOf, USUAL_PEN, type Ink, type PaperPen } from '../ink/index.ts';
import type { PdfLayers } from './pdf-layers.ts';

/** What the painter needs of a PDF document; pdfkit's document has all of it. Coordinates in points, y down. */
export interface PdfCanvas {
  addPage(options: { size: [number, number]; margin: number }): unknown;
  save(): unknown;
  restore(): unknown;
  moveTo(x: number, y: number): unknown;
  lineTo(x: number, y: number): unknown;
  bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number): unknown;
  closePath(): unknown;
  rect(x: number, y: number, width: number, height: number): unknown;
  circle(x: number, y: number, radius: number): unknown;
  clip(): unknown;
  stroke(): unknown;
  fill(colour: string): unknown;
  fillAndStroke(fill: string, stroke: string): unknown;
  lineWidth(width: number): unknown;
  lineCap(style: 'butt' | 'round'): unknown;
  lineJoin(style: 'miter' | 'round'): unknown;
  strokeColor(colour: string): unknown;
  fillColor(colour: string): unknown;
  dash(length: number[], options: object): unknown;
  undash(): unknown;
  transform(a: number, b: number, c: number, d: number, e: number, f: number): unknown;
  rotate(angle: number, options: { origin: [number, number] }): unknown;
  font(name: string): unknown;
  fontSize(size: number): unknown;
  widthOfString(text: string): number;
  text(text: string, x: number, y: number, options: { lineBreak: false; baseline: 'alphabetic' }): unknown;
}

/** Points in one millimetre, exactly. */
export const POINTS_PER_MM = 72 / 25.4;
/** Names under which the caller registers its fonts on the document. */
export const PDF_FONTS = ['text', 'figure', 'bold'] as const;

/** How a page is painted, beside what is on it. */
export interface PaintOptions {
  /** What undoes a printer's stretch and lean, in mm of the page. */
  readonly correction?: Transform;
  readonly pen?: PaperPen;
  /** Those of the document, when it has some. */
  readonly layers?: PdfLayers;
}

/** What painting needs at every ink. */
interface Brush {
  readonly canvas: PdfCanvas;
  readonly heightMm: number;
  readonly colours: ReturnType<typeof tonesOf>;
  readonly weight: number;
  readonly layers: PdfLayers | undefined;
  readonly at: (p: Point) => [number, number];
}

/** Adds one page of a size in mm and paints ink on it, in exact vector millimetres. */
export function paintPdfPage(
  canvas: PdfCanvas,
  inks: readonly Ink[],
  widthMm: number,
  heightMm: number,
  { correction, pen = USUAL_PEN, layers }: PaintOptions = {},
): void {
  canvas.addPage({ size: [widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM], margin: 0 });
  const k = POINTS_PER_MM;
  if (correction) {
    // The canvas counts down from the paper's upper edge.
    const { a, b, c, d, e, f } = correction;
    canvas.transform(a, -b, -c, d, (c * heightMm + e) * k, (heightMm * (1 - d) - f) * k);
  }
  const at = (p: Point): [number, number] => [p.x * k, (heightMm - p.y) * k];
  paint({ canvas, heightMm, colours: tonesOf(pen), weight: pen.weight, layers, at }, inks);
  layers?.within([]);
}

function paint(brush: Brush, inks: readonly Ink[]): void {
  const { canvas, at, colours, heightMm, layers } = brush,
    k = POINTS_PER_MM;
  for (const ink of inks) {
    layers?.within(ink.layers ?? []);
    switch (ink.kind) {
      case 'clip':
        canvas.save();
        canvas.rect(
          ink.box.minX * k,
          (heightMm - ink.box.maxY) * k,
          (ink.box.maxX - ink.box.minX) * k,
          (ink.box.maxY - ink.box.minY) * k,
        );
        canvas.clip();
        paint(brush, ink.inks);
        // Marked content and the state of the page are closed in the order that they were opened.
        layers?.within([]);
        canvas.restore();
        break;
      case 'path':
        paintPath(brush, ink);
        break;
      case 'disc':
        canvas.circle(...at(ink.at), ink.radiusMm * k);
        canvas.fill(colours[ink.tone]);
        break;
      case 'text':
        paintText(brush, ink);
        break;
    }
  }
}

function paintPath({ canvas, at, colours, weight }: Brush, ink: Extract<Ink, { kind: 'path' }>): void {
  trace(canvas, ink.path, at);
  if (ink.closed) canvas.closePath();
  canvas.lineWidth(ink.widthMm * weight * POINTS_PER_MM);
  canvas.lineJoin('miter');
  canvas.lineCap(ink.dashMm && ink.dashMm[0]! < 0.1 ? 'round' : 'butt');
  canvas.strokeColor(colours[ink.tone]);
  if (ink.dashMm)
    canvas.dash(
      ink.dashMm.map((length) => length * POINTS_PER_MM),
      {},
    );
  else canvas.undash();
  if (ink.fill) canvas.fillAndStroke(colours[ink.fill], colours[ink.tone]);
  else canvas.stroke();
  canvas.undash();
}

function paintText({ canvas, at, colours }: Brush, ink: Extract<Ink, { kind: 'text' }>): void {
  if (ink.text === '') return;
  const size = ink.sizeMm * POINTS_PER_MM;
  const [x, y] = at(ink.at);
  canvas.save();
  canvas.font(ink.weight);
  canvas.fontSize(size);
  const width = canvas.widthOfString(ink.text);
  const left = ink.align === 'left' ? x : ink.align === 'centre' ? x - width / 2 : x - width;
  canvas.rotate(-ink.angleDegrees, { origin: [x, y] });
  // Knocked-out captions stand across their line; others stand on their point.
  const baseline = ink.knockedOut ? y + size * 0.33 : y;
  if (ink.knockedOut) {
    canvas.rect(left - size * 0.2, baseline - size * 0.78, width + size * 0.4, size * 0.92);
    canvas.fill('#ffffff');
  }
  canvas.fillColor(colours[ink.tone]);
  canvas.text(ink.text, left, baseline, { lineBreak: false, baseline: 'alphabetic' });
  canvas.restore();
}

function trace(canvas: PdfCanvas, path: Path, at: (p: Point) => [number, number]): void {
  const first = path[0];
  if (!first) return;
  canvas.moveTo(...at(first.from));
  for (const curve of path) {
    if (curve.kind === 'cubic') canvas.bezierCurveTo(...at(curve.control1), ...at(curve.control2), ...at(curve.to));
    else if (curve.kind === 'arc' && Math.abs(curve.bulge) > 1e-9)
      for (const { control1, control2, to } of arcCubics(curve))
        canvas.bezierCurveTo(...at(control1), ...at(control2), ...at(to));
    else canvas.lineTo(...at(curve.to));
  }
}
