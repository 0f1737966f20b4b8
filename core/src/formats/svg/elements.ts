import { SaxesParser } from 'saxes';

/** An element of an SVG file: its name and attributes without the prefixes of their namespaces. */
export interface SvgElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly SvgElement[];
  /** Its own words and those within it. */
  readonly text: string;
}

interface Growing extends SvgElement {
  readonly children: Growing[];
  text: string;
}

const MOST_ELEMENTS = 200_000,
  DEEPEST = 200;
const withoutPrefix = (name: string): string => name.slice(name.indexOf(':') + 1);

/** What was read of a file: its outermost element, and where it broke off. */
export interface SvgTree {
  readonly root: SvgElement | undefined;
  /** What is wrong with the file, with its line; what stands before it was read. */
  readonly fault: string | undefined;
}

/**
 * Reads the elements of an SVG file. Nothing is fetched, run or expanded: entities of the file's own stop it.
 * @param text the whole file
 */
export function readElements(text: string): SvgTree {
  const parser = new SaxesParser();
  const open: Growing[] = [];
  let root: Growing | undefined,
    fault: string | undefined,
    count = 0;
  const stop = (words: string): void => {
    fault ??= words;
  };
  parser.on('error', (error) => stop(faultWords(error.message)));
  parser.on('doctype', (declared) => {
    if (/<!ENTITY/i.test(declared)) stop('It declares entities of its own, which are not followed.');
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (fault) return;
    count += 1;
    if (count > MOST_ELEMENTS) return stop(`It holds more than ${MOST_ELEMENTS.toLocaleString('en')} elements.`);
    if (open.length >= DEEPEST) return stop(`Its groups lie more than ${DEEPEST} deep in each other.`);
    const element: Growing = {
      name: withoutPrefix(name),
      attributes: plainAttributes(attributes),
      children: [],
      text: '',
    };
    if (open.length === 0) root ??= element;
    else open.at(-1)!.children.push(element);
    open.push(element);
  });
  parser.on('text', (words) => {
    const within = open.at(-1);
    if (within && !fault) within.text += words;
  });
  parser.on('cdata', (words) => {
    const within = open.at(-1);
    if (within && !fault) within.text += words;
  });
  parser.on('closetag', () => {
    if (fault) return;
    const closed = open.pop();
    const around = open.at(-1);
    if (closed && around && (closed.name === 'tspan' || closed.name === 'textPath')) around.text += closed.text;
  });
  // In pieces, so that a file that is broken at its head is not read to its end.
  for (let start = 0; start < text.length && !fault; start += PIECE) parser.write(text.slice(start, start + PIECE));
  if (!fault) parser.close();
  return { root, fault };
}

const PIECE = 65_536;

/** A later attribute of the same plain name does not take the place of an earlier one without a prefix. */
function plainAttributes(attributes: Readonly<Record<string, string>>): Readonly<Record<string, string>> {
  const plain: Record<string, string> = {};
  for (const [name, value] of Object.entries(attributes)) {
    const short = withoutPrefix(name);
    if (short === name || !Object.hasOwn(plain, short)) plain[short] = value;
  }
  return plain;
}

/** A fault of the parser, `line:column: words`, as a sentence. */
function faultWords(message: string): string {
  const [, line, words] = /^(\d+):\d+: (.*)$/s.exec(message) ?? [];
  return line ? `Line ${line}: ${words!.replace(/\.$/, '')}.` : message;
}
