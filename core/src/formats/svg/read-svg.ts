import {
  affineCurve,
  applyTransform,
  compose,
  mirrorY,
  scaleOf,
  translation,
  type Transform,
} from '../../geometry/index.ts';
import {
  LeftOutCount,
  LineCollector,
  PAPER_AREAS,
  PAPER_COLOUR,
  type ReadResult,
  type ReadText,
  type ReadUnit,
} from '../drawing.ts';
import { readElements, type SvgElement } from './elements.ts';
import { MM_PER_PIXEL, readLength, readNumbers } from './lengths.ts';
import { shapeOf } from './shapes.ts';
import { FIRST_STYLE, styleOf, styleRules, type SvgStyle } from './styles.ts';
import { readTransform, viewBoxTransform } from './transforms.ts';

/** Uses of symbols and groups are followed so deep, and so many elements are drawn through them. */
const DEEPEST_USE = 12,
  MOST_DRAWN = 120_000;

/** What holds no lines of the drawing, in words. */
const UNREAD: Readonly<Record<string, string>> = {
  image: 'pictures',
  foreignObject: 'foreign objects',
  script: 'scripts',
  animate: 'animations',
  animateTransform: 'animations',
  clipPath: 'clips',
  mask: 'masks',
  pattern: 'patterns',
  linearGradient: 'gradients',
  radialGradient: 'gradients',
  filter: 'filters',
  marker: 'markers',
};
const GROUPS = ['svg', 'g', 'a', 'switch', 'symbol'];

interface Around {
  readonly transform: Transform;
  readonly style: SvgStyle;
  readonly layer: string;
  readonly usedBy: number;
}

/**
 * Reads the lines of an SVG drawing, in CSS pixels where it says its size, y up.
 * Text names parts; pictures, gradients, clips and scripts are left out and counted. Nothing is fetched or run.
 */
export function readSvg(text: string): ReadResult {
  const { root, fault } = readElements(text);
  if (root?.name !== 'svg')
    return { ok: false, message: fault ?? 'It holds no drawing: its first element is not svg.' };
  const reader = new SvgReader(root);
  reader.read();
  if (fault) reader.leftOut.add(`the rest of the file (${fault.replace(/\.$/, '')})`);
  return {
    ok: true,
    drawing: {
      lines: reader.collector.lines,
      texts: reader.texts,
      unit: reader.unit,
      leftOut: reader.leftOut.all,
    },
  };
}

class SvgReader {
  readonly leftOut = new LeftOutCount();
  readonly collector = new LineCollector(this.leftOut);
  readonly texts: ReadText[] = [];
  readonly unit: ReadUnit;
  private readonly byId = new Map<string, SvgElement>();
  private readonly rules: ReturnType<typeof styleRules>;
  private drawn = 0;

  constructor(private readonly root: SvgElement) {
    const sheets: string[] = [];
    const look = (element: SvgElement): void => {
      const { id } = element.attributes;
      if (id !== undefined && !this.byId.has(id)) this.byId.set(id, element);
      if (element.name === 'style') sheets.push(element.text);
      if (Object.keys(element.attributes).some((name) => /^on/i.test(name))) this.leftOut.add('scripts');
      element.children.forEach(look);
    };
    look(root);
    this.rules = styleRules(sheets, this.leftOut);
    this.unit = unitOf(root);
  }

  read(): void {
    const { width, height } = this.root.attributes;
    const fit = viewBoxTransform(this.root, readLength(width)?.pixels, readLength(height)?.pixels);
    const style = styleOf(this.root, FIRST_STYLE, this.rules);
    this.walk(this.root, { transform: compose(fit, mirrorY(0)), style, layer: '', usedBy: 0 });
  }

  private walk(parent: SvgElement, around: Around): void {
    for (const child of parent.children) this.element(child, around);
  }

  private element(element: SvgElement, around: Around): void {
    if (++this.drawn > MOST_DRAWN) return this.leftOut.add('elements drawn through uses of uses');
    const unread = UNREAD[element.name];
    if (unread) return this.leftOut.add(unread);
    if (element.name === 'defs' || element.name === 'symbol') return this.uncounted(element);
    const style = styleOf(element, around.style, this.rules);
    if (style.isHidden && element.name !== 'style' && element.name !== 'title')
      return this.leftOut.add('hidden things');
    const transform = compose(readTransform(element.attributes.transform), around.transform);
    const here = { ...around, style, transform };
    if (element.attributes['clip-path'] && element.attributes['clip-path'] !== 'none') this.leftOut.add('clips');
    if (element.name === 'use') return this.use(element, here);
    if (GROUPS.includes(element.name)) return this.group(element, here);
    if (element.name === 'text') return this.text(element, here);
    this.shape(element, here);
  }

  /** What is only drawn where it is used: of what stands there, what is never drawn is told. */
  private uncounted(element: SvgElement): void {
    for (const { name } of element.children) if (UNREAD[name]) this.leftOut.add(UNREAD[name]);
  }

  private group(element: SvgElement, around: Around): void {
    const { attributes } = element;
    const name = attributes.label ?? attributes['aria-label'] ?? attributes.id;
    const layer = element.name === 'g' && name !== undefined && around.usedBy === 0 ? name : around.layer;
    this.walk(element, {
      ...around,
      layer,
      transform: element.name === 'svg' ? viewport(element, around.transform) : around.transform,
    });
  }

  private use(element: SvgElement, around: Around): void {
    const { attributes } = element;
    const target = /^#(.+)$/.exec(attributes.href ?? '')?.[1];
    if (target === undefined) return this.leftOut.add('uses of other files');
    const used = this.byId.get(target);
    if (!used) return this.leftOut.add('uses of what is not there');
    if (around.usedBy >= DEEPEST_USE) return this.leftOut.add('uses that lead back to themselves');
    const moved = translation(readLength(attributes.x)?.pixels ?? 0, readLength(attributes.y)?.pixels ?? 0);
    const here = { ...around, transform: compose(moved, around.transform), usedBy: around.usedBy + 1 };
    if (used.name !== 'symbol') return this.element(used, here);
    const style = styleOf(used, around.style, this.rules);
    const sized = { ...used, attributes: { ...used.attributes, ...sizeOf(element) } };
    this.walk(used, { ...here, style, transform: viewport(sized, here.transform) });
  }

  private text(element: SvgElement, { transform }: Around): void {
    const words = element.text.replace(/\s+/g, ' ').trim();
    this.leftOut.add('texts');
    if (words === '') return;
    const holder = element.attributes.x === undefined ? (element.children[0] ?? element) : element;
    const at = { x: readNumbers(holder.attributes.x)[0] ?? 0, y: readNumbers(holder.attributes.y)[0] ?? 0 };
    const size = readLength(
      /font-size:\s*([^;]+)/.exec(element.attributes.style ?? '')?.[1] ?? element.attributes['font-size'],
    );
    this.texts.push({
      at: applyTransform(transform, at),
      text: words.slice(0, 200),
      size: (size?.pixels ?? 16) * scaleOf(transform),
    });
  }

  private shape(element: SvgElement, { transform, style, layer }: Around): void {
    const shape = shapeOf(element);
    if (!shape) return;
    if (shape.fault) this.leftOut.add('rests of paths that could not be read');
    const colour = style.stroke !== 'none' ? style.stroke : style.fill;
    if (colour === 'none') return this.leftOut.add('shapes without a line or a fill');
    if (style.stroke === 'none' && colour === PAPER_COLOUR) return this.leftOut.add(PAPER_AREAS);
    for (const { path, isClosed } of shape.runs)
      this.collector.add({
        path: path.flatMap((curve) => affineCurve(transform, curve)),
        isClosed,
        layer,
        colour,
        width: style.stroke === 'none' ? 0 : style.strokeWidth * scaleOf(transform),
        isDashed: style.stroke !== 'none' && style.isDashed,
      });
  }
}

const sizeOf = ({ attributes }: SvgElement): Readonly<Record<string, string>> =>
  Object.fromEntries(['width', 'height'].flatMap((name) => (attributes[name] ? [[name, attributes[name]]] : [])));

/** What is inside a viewport within the drawing: moved to its corner and fitted into its size. */
function viewport(element: SvgElement, around: Transform): Transform {
  const length = (name: string): number | undefined => readLength(element.attributes[name])?.pixels;
  const fit = viewBoxTransform(element, length('width'), length('height'));
  return compose(compose(fit, translation(length('x') ?? 0, length('y') ?? 0)), around);
}

/** What the drawing's lengths mean: pixels; certain where its size is said in a unit that is one. */
function unitOf({ attributes }: SvgElement): ReadUnit {
  const size = readLength(attributes.width) ?? readLength(attributes.height);
  const isCertain = size !== undefined && size.unit !== '' && size.unit !== 'px';
  return { word: isCertain ? size.unit : 'dot', mmPerUnit: MM_PER_PIXEL, isCertain };
}
