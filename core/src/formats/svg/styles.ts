import { generate, parse, walk, type CssNode } from 'css-tree';
import { color } from 'd3-color';
import type { LeftOutCount } from '../drawing.ts';
import type { SvgElement } from './elements.ts';
import { readLength, readNumbers } from './lengths.ts';

/** How an element is drawn. */
export interface SvgStyle {
  readonly stroke: string;
  readonly strokeWidth: number;
  readonly isDashed: boolean;
  readonly fill: string;
  /** Colour that `currentColor` stands for. */
  readonly color: string;
  readonly isHidden: boolean;
}

export const FIRST_STYLE: SvgStyle = {
  stroke: 'none',
  strokeWidth: 1,
  isDashed: false,
  fill: '#000000',
  color: '#000000',
  isHidden: false,
};

const PROPERTIES = ['stroke', 'stroke-width', 'stroke-dasharray', 'fill', 'color', 'display', 'visibility'];
type Declared = Readonly<Record<string, string>>;

/** A rule of a style sheet: a kind of element, an id and classes that it is for. */
interface Rule {
  readonly tag: string | undefined;
  readonly id: string | undefined;
  readonly classes: readonly string[];
  readonly weight: number;
  readonly declared: Declared;
}

/** The rules of a file's style sheets, the weakest first. Selectors of more than one step are left out and counted. */
export function styleRules(sheets: readonly string[], leftOut: LeftOutCount): readonly Rule[] {
  const rules: Rule[] = [];
  for (const sheet of sheets)
    walk(parse(sheet, { parseValue: false }), {
      visit: 'Rule',
      enter({ prelude, block }) {
        if (prelude.type !== 'SelectorList') return;
        const declared = declaredIn(block);
        prelude.children.forEach((selector) => {
          const rule = ruleOf(selector, declared);
          if (rule) rules.push(rule);
          else leftOut.add('rules of a style sheet that reach through more than one element');
        });
      },
    });
  return rules
    .map((rule, index) => ({ rule, index }))
    .sort((a, b) => a.rule.weight - b.rule.weight || a.index - b.index)
    .map(({ rule }) => rule);
}

function ruleOf(selector: CssNode, declared: Declared): Rule | undefined {
  if (selector.type !== 'Selector') return undefined;
  let tag: string | undefined, id: string | undefined;
  const classes: string[] = [];
  for (const step of selector.children.toArray()) {
    if (step.type === 'TypeSelector') tag = step.name === '*' ? undefined : step.name;
    else if (step.type === 'IdSelector') id = step.name;
    else if (step.type === 'ClassSelector') classes.push(step.name);
    else return undefined;
  }
  return { tag, id, classes, weight: (id ? 10_000 : 0) + classes.length * 100 + (tag ? 1 : 0), declared };
}

/** What a block or a `style` attribute declares, of what matters to a line. */
function declaredIn(block: CssNode): Declared {
  const declared: Record<string, string> = {};
  walk(block, {
    visit: 'Declaration',
    enter({ property, value }) {
      const name = property.toLowerCase();
      if (PROPERTIES.includes(name))
        declared[name] = generate(value)
          .replace(/!important$/, '')
          .trim();
    },
  });
  return declared;
}

const knownStyles = new Map<string, Declared>();
/** Parsed styles of elements that are kept: drawings say the same few again and again. */
const MOST_KNOWN = 2000;

function ownDeclared(style: string): Declared {
  let known = knownStyles.get(style);
  if (!known) {
    known = declaredIn(parse(style, { context: 'declarationList', parseValue: false }));
    if (knownStyles.size >= MOST_KNOWN) knownStyles.clear();
    knownStyles.set(style, known);
  }
  return known;
}

/** An element's style: what it takes over from around it, its attributes, the rules, its own `style`. */
export function styleOf(element: SvgElement, around: SvgStyle, rules: readonly Rule[]): SvgStyle {
  const { attributes } = element;
  const classes = (attributes.class ?? '').split(/\s+/);
  const declared: Record<string, string> = {};
  for (const name of PROPERTIES) if (Object.hasOwn(attributes, name)) declared[name] = attributes[name]!;
  for (const rule of rules)
    if (
      (rule.tag === undefined || rule.tag === element.name) &&
      (rule.id === undefined || rule.id === attributes.id) &&
      rule.classes.every((name) => classes.includes(name))
    )
      Object.assign(declared, rule.declared);
  if (attributes.style) Object.assign(declared, ownDeclared(attributes.style));
  return declaredStyle(declared, around);
}

function declaredStyle(declared: Declared, around: SvgStyle): SvgStyle {
  const own = (name: string): string | undefined => (declared[name] === 'inherit' ? undefined : declared[name]);
  const hue = colourOf(own('color'), around.color, around.color);
  const dashes = own('stroke-dasharray');
  const visibility = own('visibility');
  return {
    color: hue,
    stroke: colourOf(own('stroke'), hue, around.stroke),
    fill: colourOf(own('fill'), hue, around.fill),
    strokeWidth: readLength(own('stroke-width'))?.pixels ?? around.strokeWidth,
    isDashed: dashes === undefined ? around.isDashed : readNumbers(dashes).some((length) => length > 0),
    isHidden: own('display') === 'none' || (visibility === undefined ? around.isHidden : visibility !== 'visible'),
  };
}

/** A colour as `#rrggbb`, or `none`; what cannot be told is black, since it is drawn. */
function colourOf(value: string | undefined, current: string, around: string): string {
  if (value === undefined) return around;
  const word = value.trim();
  if (word === 'none' || word === 'transparent') return 'none';
  if (word === 'currentColor') return current;
  const found = color(word);
  if (found) return found.opacity === 0 ? 'none' : found.rgb().formatHex();
  return '#000000';
}
