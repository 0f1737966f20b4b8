import {
  affineCurve,
  applyTransform,
  boundsOf,
  compose,
  growBounds,
  IDENTITY,
  rotation,
  scaleOf,
  translation,
  type Bounds,
  type Path,
  type Point,
  type Transform,
} from '../../geometry/index.ts';
import {
  LeftOutCount,
  LineCollector,
  PAPER_AREAS,
  PAPER_COLOUR,
  type LeftOut,
  type ReadLine,
  type ReadText,
} from '../drawing.ts';
import { clippedToBox } from './clip-path.ts';
import { runsFrom, type PdfRun } from './path-data.ts';

/** A page's drawing orders as pdf.js lists them: codes, and what each is given. */
export interface PdfOperators {
  readonly fnArray: readonly number[];
  readonly argsArray: readonly unknown[];
}

/** What a page is, beside its drawing orders. */
export interface PdfPageFacts {
  /** Left, bottom, right, top in the page's own unit. */
  readonly view: readonly number[];
  /** Quarter turns clockwise in degrees. */
  readonly rotate: number;
  /** Size of its unit in points. */
  readonly userUnit: number;
  /** Words with the map from their own size to the page. */
  readonly words: readonly { readonly str: string; readonly transform: readonly number[] }[];
  /** Names of optional layers by their id. */
  readonly layers: ReadonlyMap<string, string>;
  /** Numbers of drawing orders by their name. */
  readonly codes: Readonly<Record<string, number>>;
}

/** One page as it was read: lines and words in mm from its lower left corner. */
export interface ReadPage {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly lines: readonly ReadLine[];
  readonly texts: readonly ReadText[];
  /** Part of the page that pictures cover, up to 1: a page that is nearly all picture was scanned. */
  readonly pictureShare: number;
  readonly leftOut: readonly LeftOut[];
}

const MM_PER_POINT = 25.4 / 72;

/** Reads the lines of a page, as they show: cut at the edges of the areas that they are clipped to. */
export function readPdfPage(operators: PdfOperators, facts: PdfPageFacts): ReadPage {
  const { view, rotate, userUnit } = facts;
  const [left = 0, bottom = 0, right = 0, top = 0] = view;
  const toMm = userUnit * MM_PER_POINT;
  const isTurned = rotate % 180 !== 0;
  const width = (right - left) * toMm,
    height = (top - bottom) * toMm;
  const page = compose(
    compose(translation(-left, -bottom), { ...IDENTITY, a: toMm, d: toMm }),
    pageTurn(rotate, width, height),
  );
  const reader = new PageReader(facts, page, isTurned ? height : width, isTurned ? width : height);
  reader.read(operators);
  return reader.result();
}

/** Turns a page the way it is looked at, its lower left corner at the origin. */
function pageTurn(rotate: number, width: number, height: number): Transform {
  const turn = ((rotate % 360) + 360) % 360;
  const back = { 0: [0, 0], 90: [0, width], 180: [width, height], 270: [height, 0] }[turn] ?? [0, 0];
  return compose(rotation(-turn), translation(back[0]!, back[1]!));
}

/** What a `save` keeps. */
interface State {
  readonly transform: Transform;
  readonly stroke: string;
  readonly fill: string;
  readonly width: number;
  readonly isDashed: boolean;
  readonly clip: Bounds | undefined;
}

class PageReader {
  private readonly leftOut = new LeftOutCount();
  private readonly collector = new LineCollector(this.leftOut);
  private readonly names: ReadonlyMap<number, string>;
  private readonly kept: State[] = [];
  private readonly layers: string[] = [];
  private state: State;
  private pictureArea = 0;
  private clipsNext = false;

  constructor(
    private readonly facts: PdfPageFacts,
    private readonly page: Transform,
    private readonly widthMm: number,
    private readonly heightMm: number,
  ) {
    this.names = new Map(Object.entries(facts.codes).map(([name, code]) => [code, name]));
    const clip = { minX: 0, minY: 0, maxX: widthMm, maxY: heightMm };
    this.state = { transform: page, stroke: '#000000', fill: '#000000', width: 1, isDashed: false, clip };
  }

  read({ fnArray, argsArray }: PdfOperators): void {
    fnArray.forEach((code, index) => {
      const name = this.names.get(code);
      if (name) this.order(name, (argsArray[index] ?? []) as readonly unknown[]);
    });
  }

  result(): ReadPage {
    const { facts, page, widthMm, heightMm } = this;
    const texts = facts.words.flatMap(({ str, transform }): readonly ReadText[] => {
      const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = transform;
      const whole = compose({ a, b, c, d, e, f }, page);
      const words = str.trim();
      return words === '' ? [] : [{ at: { x: whole.e, y: whole.f }, text: words.slice(0, 200), size: scaleOf(whole) }];
    });
    if (texts.length > 0) this.leftOut.add('texts', texts.length);
    return {
      widthMm,
      heightMm,
      lines: this.collector.lines,
      texts,
      pictureShare: Math.min(1, this.pictureArea / Math.max(1, widthMm * heightMm)),
      leftOut: this.leftOut.all,
    };
  }

  private order(name: string, args: readonly unknown[]): void {
    switch (name) {
      case 'save':
        this.kept.push(this.state);
        return;
      case 'restore':
        this.state = this.kept.pop() ?? this.state;
        return;
      case 'transform':
        return this.transform(args as readonly number[]);
      case 'setLineWidth':
        return this.change({ width: Number(args[0]) });
      case 'setDash':
        return this.change({ isDashed: isDashPattern(args[0]) });
      case 'setGState':
        return this.graphicsState(args[0]);
      case 'setStrokeRGBColor':
        return this.change({ stroke: colourFrom(args) });
      case 'setFillRGBColor':
        return this.change({ fill: colourFrom(args) });
      case 'clip':
      case 'eoClip':
        this.clipsNext = true;
        return;
      case 'constructPath':
        return this.path(args);
      case 'paintFormXObjectBegin':
        this.kept.push(this.state);
        return this.form(args);
      case 'paintFormXObjectEnd':
        this.state = this.kept.pop() ?? this.state;
        return;
      case 'beginMarkedContentProps':
        this.layers.push(this.layerFrom(args));
        return;
      case 'beginMarkedContent':
        this.layers.push(this.layers.at(-1) ?? '');
        return;
      case 'endMarkedContent':
        this.layers.pop();
        return;
      case 'paintImageXObject':
      case 'paintInlineImageXObject':
      case 'paintImageMaskXObject':
        return this.picture();
      case 'shadingFill':
        return this.leftOut.add('gradients');
      default:
    }
  }

  private change(some: Partial<State>): void {
    this.state = { ...this.state, ...some };
  }
  private transform(numbers: readonly number[]): void {
    const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = numbers;
    this.change({ transform: compose({ a, b, c, d, e, f }, this.state.transform) });
  }
  private graphicsState(pairs: unknown): void {
    if (!Array.isArray(pairs)) return;
    for (const [key, value] of pairs as (readonly [string, unknown])[]) {
      if (key === 'LW') this.change({ width: Number(value) });
      if (key === 'D' && Array.isArray(value)) this.change({ isDashed: isDashPattern(value[0]) });
    }
  }
  private form([matrix, box]: readonly unknown[]): void {
    if (Array.isArray(matrix)) this.transform(matrix as number[]);
    if (!isNumbers(box, 4)) return;
    const [x1, y1, x2, y2] = box as unknown as [number, number, number, number];
    this.clipTo([
      { x: x1, y: y1 },
      { x: x2, y: y1 },
      { x: x2, y: y2 },
      { x: x1, y: y2 },
    ]);
  }
  private layerFrom([tag, properties]: readonly unknown[]): string {
    const around = this.layers.at(-1) ?? '';
    if (tag !== 'OC') return around;
    const id = (properties as { id?: string } | null)?.id;
    return (id !== undefined && this.facts.layers.get(id)) || around;
  }

  private clipTo(points: readonly Point[]): void {
    const box = boundsOf(points.map((p) => applyTransform(this.state.transform, p))),
      around = this.state.clip;
    this.change({
      clip: around
        ? {
            minX: Math.max(around.minX, box.minX),
            minY: Math.max(around.minY, box.minY),
            maxX: Math.min(around.maxX, box.maxX),
            maxY: Math.min(around.maxY, box.maxY),
          }
        : box,
    });
  }

  private picture(): void {
    // A picture fills the unit square of its own map.
    this.pictureArea += scaleOf(this.state.transform) ** 2;
    this.leftOut.add('pictures');
  }

  private path([paint, data]: readonly unknown[]): void {
    const runs = runsFrom((data as readonly unknown[] | null)?.[0]);
    const { codes } = this.facts;
    const is = (...names: readonly string[]): boolean => names.some((name) => codes[name] === paint);
    const isClip = this.clipsNext;
    this.clipsNext = false;
    const isStroked = is('stroke', 'closeStroke', 'fillStroke', 'eoFillStroke', 'closeFillStroke', 'closeEOFillStroke');
    const isFilled = is('fill', 'eoFill');
    const closes = isFilled || is('closeStroke', 'closeFillStroke', 'closeEOFillStroke');
    if (isFilled && this.state.fill === PAPER_COLOUR) this.leftOut.add(PAPER_AREAS);
    else if (isStroked || isFilled) for (const run of runs) this.line(run, isStroked, closes);
    if (isClip) {
      if (runs.some(({ path }) => !isBox(path))) this.leftOut.add('clips that are no rectangle, taken as one');
      this.clipTo(runs.flatMap(({ path }) => path.flatMap(({ from, to }) => [from, to])));
    }
  }

  private line({ path, isClosed }: PdfRun, isStroked: boolean, closes: boolean): void {
    const { transform, stroke, fill, width, isDashed, clip } = this.state;
    const first = path[0]?.from,
      last = path.at(-1)?.to;
    if (!first || !last) return;
    const isOpen = first.x !== last.x || first.y !== last.y;
    const whole = closes && isOpen ? [...path, { kind: 'line' as const, from: last, to: first }] : path;
    const drawn = whole.flatMap((curve) => affineCurve(transform, curve));
    // A line on the edge of its clip shows by half of its width.
    const halfWidth = isStroked ? (width * scaleOf(transform)) / 2 : 0,
      isWhole = !clip || clippedToBox(drawn, growBounds(clip, halfWidth))[0] === drawn;
    const shown = isWhole ? [drawn] : clippedToBox(drawn, clip);
    for (const piece of shown)
      this.collector.add({
        path: piece,
        isClosed: (isClosed || closes) && piece.length === drawn.length,
        layer: this.layers.at(-1) ?? '',
        colour: isStroked ? stroke : fill,
        width: isStroked ? width * scaleOf(transform) : 0,
        isDashed: isStroked && isDashed,
      });
  }
}

const isNumbers = (value: unknown, count: number): boolean =>
  value !== null && typeof value === 'object' && (value as ArrayLike<unknown>).length >= count;

const isDashPattern = (value: unknown): boolean =>
  Array.isArray(value) && (value as number[]).some((length) => length > 0);

/** A colour as `#rrggbb`: given so, or as three numbers up to 255. */
function colourFrom(args: readonly unknown[]): string {
  if (typeof args[0] === 'string') return args[0];
  const hex = (value: unknown): string =>
    Math.max(0, Math.min(255, Math.round(Number(value) || 0)))
      .toString(16)
      .padStart(2, '0');
  return `#${hex(args[0])}${hex(args[1])}${hex(args[2])}`;
}

const isBox = (path: Path): boolean =>
  path.every(
    ({ kind, from, to }) => kind === 'line' && (Math.abs(from.x - to.x) < 1e-6 || Math.abs(from.y - to.y) < 1e-6),
  );
