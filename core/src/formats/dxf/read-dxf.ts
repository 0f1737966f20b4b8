import {
  affineCurve,
  applyTransform,
  compose,
  IDENTITY,
  rotation,
  scaleOf,
  scaling,
  translation,
  type Transform,
} from '../../geometry/index.ts';
import { LeftOutCount, LineCollector, type ReadResult, type ReadText, type ReadUnit } from '../drawing.ts';
import { planeOf, pointAt, runOf } from './entities.ts';
import { lookOf, tablesOf, type Look, type Tables } from './tables.ts';
import { readPairs, recordsOf, type DxfRecord, type Pairs, type Stretch } from './pairs.ts';

/** Blocks within blocks are followed so deep, and so many entities are drawn through them. */
const DEEPEST_INSERT = 16,
  MOST_DRAWN = 150_000;
/** A fitted spline leaves the true one by this much at most, in mm. */
const SPLINE_MM = 0.005;

/** Units of the header's `$INSUNITS`. */
const UNITS: Readonly<Record<number, readonly [string, number]>> = {
  1: ['inch', 25.4],
  2: ['foot', 304.8],
  4: ['millimetre', 1],
  5: ['centimetre', 10],
  6: ['metre', 1000],
  8: ['microinch', 25.4e-6],
  9: ['mil', 0.0254],
  10: ['yard', 914.4],
  13: ['micron', 0.001],
  14: ['decimetre', 100],
};

/** What holds no line of a drawing, and of which nothing needs to be said. */
const SILENT = ['SEQEND', 'VERTEX', 'ATTRIB', 'VIEWPORT', 'ENDBLK', 'BLOCK'];
const WORDS: Readonly<Record<string, string>> = {
  HATCH: 'hatches',
  DIMENSION: 'dimensions',
  LEADER: 'leaders',
  POINT: 'points',
  SOLID: 'filled areas',
  TRACE: 'filled areas',
  IMAGE: 'pictures',
  '3DFACE': 'faces in space',
  '3DSOLID': 'solids',
  BODY: 'solids',
  REGION: 'regions',
  MESH: 'meshes',
};

/**
 * Reads the lines of an ASCII DXF drawing, of any age, in its own unit, y up. Blocks are drawn where they are inserted.
 * Text names parts; hatches, dimensions and solids are left out and counted.
 */
export function readDxf(text: string): ReadResult {
  const { pairs, fault } = readPairs(text);
  const sections = sectionsOf(pairs, fault !== undefined);
  if (sections.size === 0) return { ok: false, message: fault ?? 'It has no sections: it is no DXF drawing.' };
  const reader = new DxfReader(pairs, sections);
  reader.read();
  if (fault) reader.leftOut.add(`the rest of the file (${fault.replace(/\.$/, '')})`);
  return {
    ok: true,
    drawing: { lines: reader.collector.lines, texts: reader.texts, unit: reader.unit, leftOut: reader.leftOut.all },
  };
}

/** Where each section stands, by its name. @param isCut the file breaks off: what it breaks off in is left out */
function sectionsOf(pairs: Pairs, isCut: boolean): ReadonlyMap<string, Stretch> {
  const sections = new Map<string, Stretch>();
  let name: string | undefined,
    from = 0,
    lastRecord = 0;
  for (let index = 0; index < pairs.count; index++) {
    if (pairs.code(index) !== 0) continue;
    lastRecord = index;
    const word = pairs.value(index).toUpperCase();
    if (word === 'SECTION' && index + 1 < pairs.count && pairs.code(index + 1) === 2) {
      name = pairs.value(index + 1).toUpperCase();
      from = index + 2;
    } else if (word === 'ENDSEC' && name !== undefined) {
      sections.set(name, { from, to: index });
      name = undefined;
    }
  }
  // A file that is cut off has no end of its last section.
  if (name !== undefined) sections.set(name, { from, to: isCut ? Math.max(from, lastRecord) : pairs.count });
  return sections;
}

interface Around {
  readonly transform: Transform;
  readonly look: Look | undefined;
  readonly depth: number;
}

class DxfReader {
  readonly leftOut = new LeftOutCount();
  readonly collector = new LineCollector(this.leftOut);
  readonly texts: ReadText[] = [];
  readonly unit: ReadUnit;
  private readonly tables: Tables;
  private readonly blocks: ReadonlyMap<string, readonly DxfRecord[]>;
  private readonly entities: readonly DxfRecord[];
  private drawn = 0;

  constructor(pairs: Pairs, sections: ReadonlyMap<string, Stretch>) {
    const stretch = (name: string): Stretch => sections.get(name) ?? { from: 0, to: 0 };
    this.unit = unitOf(pairs, stretch('HEADER'));
    this.tables = tablesOf(recordsOf(pairs, stretch('TABLES')));
    this.blocks = blocksOf(recordsOf(pairs, stretch('BLOCKS')));
    // One more than are drawn, so that it is told that there are more.
    this.entities = recordsOf(pairs, stretch('ENTITIES'), MOST_DRAWN + 1);
  }

  read(): void {
    this.draw(this.entities, { transform: IDENTITY, look: undefined, depth: 0 });
  }

  private draw(records: readonly DxfRecord[], around: Around): void {
    for (let index = 0; index < records.length; index++) {
      const record = records[index]!;
      if (SILENT.includes(record.kind)) continue;
      if (++this.drawn > MOST_DRAWN) return this.leftOut.add(`things beyond ${MOST_DRAWN.toLocaleString('en')}`);
      const vertices: DxfRecord[] = [];
      while (record.kind === 'POLYLINE' && records[index + 1]?.kind === 'VERTEX') vertices.push(records[++index]!);
      this.entity(record, vertices, around);
    }
  }

  private entity(entity: DxfRecord, vertices: readonly DxfRecord[], around: Around): void {
    if (entity.number(67, 0) === 1) return this.leftOut.add('things on a sheet of paper');
    const look = lookOf(entity, this.tables, around.look);
    if (look.isOff) return this.leftOut.add('things on layers that are switched off');
    const transform = compose(planeOf(entity), around.transform);
    if (entity.kind === 'INSERT') return this.insert(entity, look, { ...around, transform });
    if (entity.kind === 'TEXT' || entity.kind === 'MTEXT') return this.text(entity, transform);
    const run = runOf(entity, vertices, SPLINE_MM / this.unit.mmPerUnit / Math.max(1e-9, scaleOf(transform)));
    if (!run) return this.leftOut.add(WORDS[entity.kind] ?? 'things of other kinds');
    if (run.path.length === 0) return this.leftOut.add('lines without a length');
    this.collector.add({
      path: run.path.flatMap((curve) => affineCurve(transform, curve)),
      isClosed: run.isClosed,
      layer: look.layer,
      colour: look.colour,
      width: look.widthMm / this.unit.mmPerUnit,
      isDashed: look.isDashed,
    });
  }

  private insert(entity: DxfRecord, look: Look, { transform, depth }: Around): void {
    const block = this.blocks.get((entity.text(2) ?? '').toUpperCase());
    if (!block) return this.leftOut.add('inserts of what is not there');
    if (depth >= DEEPEST_INSERT) return this.leftOut.add('blocks that lead back to themselves');
    const head = block[0]!,
      base = pointAt(head, 10),
      at = pointAt(entity, 10);
    const columns = Math.max(1, entity.number(70, 1)),
      rows = Math.max(1, entity.number(71, 1));
    for (let row = 0; row < rows && !this.collector.isFull; row++)
      for (let column = 0; column < columns && !this.collector.isFull; column++) {
        if (this.drawn > MOST_DRAWN) return;
        const own = [
          translation(-base.x, -base.y),
          scaling(entity.number(41, 1), entity.number(42, 1)),
          translation(column * entity.number(44, 0), row * entity.number(45, 0)),
          rotation(entity.number(50, 0)),
          translation(at.x, at.y),
          transform,
        ].reduce(compose);
        this.drawn += 1;
        this.draw(block, { transform: own, look, depth: depth + 1 });
      }
  }

  private text(entity: DxfRecord, transform: Transform): void {
    this.leftOut.add('texts');
    const words = [...entity.texts(3), ...entity.texts(1)]
      .join('')
      // Marks of how a text of several lines is set.
      .replace(/\\P/g, ' ')
      .replace(/\\[A-Za-z][^;\\]*;|[{}]|%%[a-z]/g, '')
      .replace(/\s+/g, ' ')
      .trim();
    const at = applyTransform(transform, pointAt(entity, 10));
    if (words !== '' && Number.isFinite(at.x) && Number.isFinite(at.y))
      this.texts.push({ at, text: words.slice(0, 200), size: Math.abs(entity.number(40, 1)) * scaleOf(transform) });
  }
}

/** Records of each block by its name, its head first. */
function blocksOf(records: readonly DxfRecord[]): ReadonlyMap<string, readonly DxfRecord[]> {
  const blocks = new Map<string, readonly DxfRecord[]>();
  let start = -1;
  records.forEach((record, index) => {
    if (record.kind === 'BLOCK') start = index;
    else if (record.kind === 'ENDBLK' && start >= 0) {
      blocks.set((records[start]!.text(2) ?? '').toUpperCase(), records.slice(start, index));
      start = -1;
    }
  });
  return blocks;
}

/** What the header says of the unit. */
function unitOf(pairs: Pairs, { from, to }: Stretch): ReadUnit {
  let unit: readonly [string, number] | undefined;
  for (let index = from; index + 1 < to && !unit; index++)
    if (pairs.code(index) === 9 && pairs.value(index).toUpperCase() === '$INSUNITS')
      unit = UNITS[Number(pairs.value(index + 1))];
  return unit
    ? { word: unit[0], mmPerUnit: unit[1], isCertain: true }
    : { word: 'millimetre', mmPerUnit: 1, isCertain: false };
}
