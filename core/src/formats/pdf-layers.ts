/** What layers need of a PDF document of pdfkit. */
export interface LayeredPdf {
  ref(data: Record<string, unknown>): { end(): void };
  addContent(data: string): unknown;
  /** The page that is painted, with its resources. */
  readonly page: { readonly resources: { readonly data: Record<string, unknown> } };
  readonly _root: { readonly data: Record<string, unknown> };
}

/**
 * The layers of a PDF, that viewers turn on and off: each is made when something first lies in it. What lies in several shows only where all
 * of them are on.
 * @source ISO 32000-1, 8.11: optional content groups, and marked content within them
 */
export class PdfLayers {
  private readonly groups = new Map<string, { readonly key: string; readonly group: unknown }>();
  private open: readonly string[] = [];
  constructor(private readonly document: LayeredPdf) {}

  /** From now on all lies in these layers, until they are told anew. */
  within(names: readonly string[]): void {
    let shared = 0;
    while (shared < this.open.length && this.open[shared] === names[shared]) shared += 1;
    for (let index = this.open.length; index > shared; index--) this.document.addContent('EMC');
    for (const name of names.slice(shared)) this.document.addContent(`/OC /${this.onPage(name)} BDC`);
    this.open = names;
  }

  /** Told once when all is painted; a document of which nothing lies in a layer has none. */
  end(): void {
    if (this.groups.size === 0) return;
    const groups = [...this.groups].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, { group }]) => group);
    this.document._root.data['OCProperties'] = this.written({
      OCGs: groups,
      D: { Order: groups, ON: groups, Name: textOf('Layers') },
    });
  }

  /** The key of a layer on the page that is painted. */
  private onPage(name: string): string {
    const known = this.groups.get(name) ?? {
      key: `L${this.groups.size + 1}`,
      group: this.written({ Type: 'OCG', Name: textOf(name) }),
    };
    this.groups.set(name, known);
    const { data } = this.document.page.resources;
    data['Properties'] = { ...(data['Properties'] as object | undefined), [known.key]: known.group };
    return known.key;
  }

  /** An object of the document, complete. */
  private written(data: Record<string, unknown>): unknown {
    const reference = this.document.ref(data);
    reference.end();
    return reference;
  }
}

/** pdfkit writes a text as a name, and a String object as a text. */
const textOf = (words: string): unknown => Object(words) as unknown;
