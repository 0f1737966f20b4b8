import {
  applyTransform,
  boundsOf,
  curvePoint,
  flattenOpenPath,
  scaling,
  transformPath,
  type Curve,
  type Path,
  type Point,
} from '../geometry/index.ts';
import type { LeftOut, ReadDrawing, ReadText } from '../formats/index.ts';
import type { BoardFace, OperationKind } from '../operations/index.ts';
import { trenchPairs, isSlot } from './board-wide.ts';
import { chainCurves, type Chain } from './chain.ts';
import { gapsBetween, type Gap } from './gaps.ts';
import { lettersAmong } from './letters.ts';
import { classKey, type ClassWork, type ClassWorks } from './line-class.ts';
import { drawnOnce } from './merge-twice.ts';
import { loopOf, nestLoops, outlineAround, type Nested } from './nest-loops.ts';
import { partWords } from './part-words.ts';
import { withArcs } from './recover-arcs.ts';
import { sheetFrame } from './sheet-frame.ts';
import { defined } from '../units/index.ts';

/** How a drawing is taken in. */
export interface IntakeOptions {
  /** Size of the file's unit, times what the drawing is scaled by. */
  readonly mmPerUnit: number;
  readonly works: ClassWorks;
  /** Ends closer than this are one. */
  readonly joinMm: number;
  /** Gaps up to this are closed by a straight run; none at 0. */
  readonly gapMm: number;
  /** Straight runs within this of a circle become arcs; none at 0. */
  readonly arcMm: number;
  /** Whether small figures in a row are kept. */
  readonly keepsLetters: boolean;
  /** Whether a rectangle round everything is the edge of a sheet and no part; as it seems when nobody says. */
  readonly leavesFrameOut?: boolean;
  /** Thickness of board that the plan was drawn for; slots and trenches as wide follow the builder's board. */
  readonly drawnForMm?: number;
}

export const USUAL_INTAKE: Omit<IntakeOptions, 'mmPerUnit' | 'works'> = {
  joinMm: 0.05,
  gapMm: 0,
  arcMm: 0.05,
  keepsLetters: false,
};

/** Work on a part that comes in: along a path, of a kind. */
export interface TakenWork extends Chain {
  readonly kind: OperationKind;
  readonly foldDegrees?: number;
  readonly face?: BoardFace;
}

/** A part as it comes in, where it lies on the drawing, in mm. */
export interface TakenPart {
  readonly name: string;
  readonly quantity: number;
  readonly outline: Path;
  readonly holes: readonly { readonly path: Path; readonly isSlot: boolean }[];
  readonly works: readonly TakenWork[];
  readonly areaMm2: number;
}

/** What a drawing gives: parts, what belongs to none, gaps between open ends, and what was mended or left out. */
export interface Intake {
  readonly parts: readonly TakenPart[];
  readonly loose: readonly Chain[];
  readonly gaps: readonly Gap[];
  readonly told: readonly LeftOut[];
  /** Whether a rectangle round everything was left out; undefined where there is none. */
  readonly isFrameLeftOut?: boolean;
}

/** Chains shorter than this are slivers, in mm. */
const SLIVER_MM = 0.2;
/** Gaps are looked for up to this, in mm. */
export const WIDEST_GAP_MM = 5;

/** Takes a drawing in: loose lines become outlines, holes and work on parts. */
export function takeIn(drawing: ReadDrawing, options: IntakeOptions): Intake {
  const toMm = scaling(options.mmPerUnit);
  const told = new Map<string, number>();
  const tell = (what: string, count: number): void => {
    if (count > 0) told.set(what, (told.get(what) ?? 0) + count);
  };
  const groups = byWork(drawing, options, tell);
  const cuts = groups.get('cut');
  const cutChains = cuts ? chained(cuts.curves, options, tell) : [];
  const letters = options.keepsLetters ? new Set<number>() : lettersAmong(cutChains);
  tell('letters and figures', letters.size);
  const kept = cutChains.filter((_, index) => !letters.has(index));
  const loops = kept.flatMap(({ path, isClosed }) => (isClosed ? [loopOf(path)] : [])),
    frame = sheetFrame(loops),
    isFrameLeftOut = frame && (options.leavesFrameOut ?? frame.isSure);
  if (isFrameLeftOut) tell('frame round everything', 1);
  const nested = nestLoops(isFrameLeftOut ? loops.toSpliced(frame!.index, 1) : loops);
  const open = kept.filter(({ isClosed }) => !isClosed);
  const around = outlineAround(nested);
  const works: TakenWork[][] = nested.map(() => []);
  const loose: Chain[] = [];
  const place = (work: TakenWork): void => {
    const index = around(samplesOf(work.path));
    if (index >= 0) works[index]!.push(work);
    else loose.push({ path: work.path, isClosed: work.isClosed });
  };
  for (const chain of open) place({ ...chain, kind: 'through' });
  for (const [key, group] of groups) if (key !== 'cut') for (const work of worksOf(group, options, tell)) place(work);
  const texts = drawing.texts.map((text) => ({ ...text, at: applyTransform(toMm, text.at) }));
  const words = wordsOf(nested, texts, around);
  return {
    parts: nested.map(({ outline, holes }, index) => ({
      ...(words[index] ?? { name: '', quantity: 1 }),
      outline: outline.path,
      holes: holes.map(({ path }) => ({ path, isSlot: isSlot(path, options.drawnForMm) })),
      works: works[index]!,
      areaMm2: outline.areaMm2 - holes.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
    })),
    loose,
    gaps: gapsBetween(kept, WIDEST_GAP_MM),
    told: [...told].map(([what, count]) => ({ what, count })),
    ...defined({ isFrameLeftOut }),
  };
}

interface WorkGroup {
  readonly work: ClassWork;
  readonly curves: Curve[];
}
type Tell = (what: string, count: number) => void;

/** The curves of each work in mm; what cuts first. */
function byWork(
  { lines, unit }: ReadDrawing,
  { mmPerUnit, works }: IntakeOptions,
  tell: Tell,
): ReadonlyMap<string, WorkGroup> {
  const toMm = scaling(mmPerUnit),
    groups = new Map<string, WorkGroup>();
  let left = 0;
  for (const line of lines) {
    const work = works[classKey(line, unit.mmPerUnit)];
    if (!work || work.work === 'leave') {
      left += 1;
      continue;
    }
    const key = work.work === 'cut' ? 'cut' : `${work.work}/${work.foldDegrees ?? ''}/${work.face ?? ''}`;
    const group = groups.get(key) ?? { work, curves: [] };
    groups.set(key, group);
    for (const curve of transformPath(toMm, line.path)) group.curves.push(curve);
  }
  tell('lines that you leave out', left);
  return groups;
}

/** Curves drawn once, chained, their small gaps closed, their arcs found again, without slivers. */
function chained(curves: readonly Curve[], options: IntakeOptions, tell: Tell): readonly Chain[] {
  const once = drawnOnce(curves, options.joinMm);
  tell('lines drawn twice, kept once', once.again);
  let chains = chainCurves(once.curves, options.joinMm);
  if (options.gapMm > 0) {
    const bridges = gapsBetween(chains, options.gapMm).map(({ from, to }): Curve => ({ kind: 'line', from, to }));
    if (bridges.length > 0) {
      tell('gaps closed', bridges.length);
      chains = chainCurves([...chains.flatMap(({ path }) => path), ...bridges], options.joinMm);
    }
  }
  const sound = chains.filter(({ path }) => {
    const box = boundsOf(path.flatMap(({ from, to }, index) => [from, curvePoint(path[index]!, 0.5), to]));
    return Math.max(box.maxX - box.minX, box.maxY - box.minY) >= SLIVER_MM;
  });
  tell('slivers', chains.length - sound.length);
  return options.arcMm > 0 ? sound.map((chain) => withArcs(chain, options.arcMm)) : sound;
}

/** The work of one group; two lines of a fold that are a board apart are one trench. */
function worksOf({ work, curves }: WorkGroup, options: IntakeOptions, tell: Tell): readonly TakenWork[] {
  const kind = work.work as OperationKind,
    chains = chained(curves, options, tell);
  const own = (chain: Chain): TakenWork => ({
    ...chain,
    kind,
    foldDegrees: work.foldDegrees,
    face: work.face,
  });
  if (kind !== 'trench' && kind !== 'groove') return chains.map(own);
  const runs = chains.map(({ path }) => ({ from: path[0]!.from, to: path.at(-1)!.to }));
  const straight = chains.map(({ path, isClosed }) => !isClosed && path.length === 1 && path[0]!.kind === 'line');
  const places = chains.flatMap((_, index) => (straight[index] ? [index] : []));
  const pairs = trenchPairs(
    places.map((index) => runs[index]!),
    options.drawnForMm,
  );
  tell('pairs of lines a board apart, made one trench', pairs.length);
  const paired = new Set(pairs.flatMap(({ pair }) => pair.map((index) => places[index]!)));
  return [
    ...chains.flatMap((chain, index) => (paired.has(index) ? [] : [own(chain)])),
    ...pairs.map(({ middle }): TakenWork => ({
      path: [{ kind: 'line', ...middle }],
      isClosed: false,
      kind: 'trench',
      foldDegrees: 90,
    })),
  ];
}

/** Places along a path that tell on what part it lies: its ends may lie on an edge, or beyond it. */
function samplesOf(path: Path): readonly Point[] {
  if (path.length === 1) return [0.25, 0.5, 0.75].map((t) => curvePoint(path[0]!, t));
  const points = flattenOpenPath(path, 0.2);
  return [1, 2, 3].map((step) => points[Math.floor((step * (points.length - 1)) / 4)]!);
}

/** The largest words within each outline. */
function wordsOf(
  nested: readonly Nested[],
  texts: readonly ReadText[],
  around: (points: readonly Point[]) => number,
): readonly ({ readonly name: string; readonly quantity: number } | undefined)[] {
  const largest: (ReadText | undefined)[] = nested.map(() => undefined);
  for (const text of texts) {
    const index = around([text.at]);
    if (index >= 0 && text.size > (largest[index]?.size ?? 0)) largest[index] = text;
  }
  return largest.map((text) => text && partWords(text.text));
}
