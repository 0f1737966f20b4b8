import type { Fault } from '../checks/index.ts';
import { cutList, cutTotals, type CutList } from '../cutting/index.ts';
import { seamFigures, type SeamFigures } from '../folds/index.ts';
import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import { setsOf, type Airframe } from './airframe.ts';
import { seamsNamed } from './assembled.ts';
import { relationsOf } from './cut-joins.ts';
import { foldFaults } from './fold-faults.ts';
import { buyWords, placeFaults, unplacedIn } from './place-faults.ts';
import { guestPieces } from './guests.ts';
import { faultsIn, flyingPieces, piecesOfAirframe } from './funnel.ts';
import { madeOf, partsInVariant } from './made-at-scale.ts';
import { boardViews, isNestCurrent, nestToGoBy } from './nest-airframe.ts';
import { pagesOf } from './page-set.ts';
import { boardAreaMm2, type Board } from '../stock/index.ts';
import { seamRows, wholeMass, type SeamRow, type WholeMass } from './whole-airframe.ts';
import { defined, sizeText, worded, type LengthUnit } from '../units/index.ts';

/** Figures of the ticket that follow every edit at once. */
export interface QuickFigures {
  readonly drawings: number;
  readonly pieces: number;
  readonly faults: number;
  /** Of what flies: gauges and jigs do not. */
  readonly foamG: number;
  readonly foamAreaMm2: number;
  /** Everything cut through, in mm. */
  readonly throughMm: number;
  /** Greatest size of any part, in mm. */
  readonly longestMm: number;
}

/** Figures of the ticket that take longer: they run in a worker. */
export interface SlowFigures {
  readonly pages: number;
  readonly boards: number;
  /** Part area over the area of the boards used, 0 to 1. */
  readonly yield: number;
  readonly unplaced: number;
  /** Whether the boards come from a kept nest rather than a quick one. */
  readonly isNested: boolean;
  readonly boardCost: number;
  /** What shows only when all is folded, stood together and nested. */
  readonly faults: readonly Fault[];
  /** What is wrong with the numbers of forms, or better otherwise. */
  readonly formFaults: number;
  /** Declared seams, within parts and between them, and the widest in mm; and the same by the parts that meet. */
  readonly seams: SeamFigures;
  readonly seamRows: readonly SeamRow[];
  readonly mass: WholeMass;
}

export function quickFigures(airframe: Airframe): QuickFigures {
  const pieces = piecesOfAirframe(airframe);
  const totals = cutTotals(pieces);
  return {
    drawings: partsInVariant(airframe).length,
    pieces: totals.pieces,
    faults: airframe.parts.reduce((sum, part) => sum + faultsIn(airframe, part).length, 0),
    foamG: flyingPieces(airframe).reduce((sum, { part, quantity }) => sum + part.massG * quantity, 0),
    foamAreaMm2: pieces.reduce((sum, { part, quantity }) => sum + part.areaMm2 * quantity, 0),
    throughMm: totals.throughMm,
    longestMm: Math.max(0, ...pieces.map(({ part }) => Math.max(boundsWidth(part.bounds), boundsHeight(part.bounds)))),
  };
}

export function slowFigures(airframe: Airframe): SlowFigures {
  const { nest, isNested } = nestToGoBy(airframe),
    seams = seamsNamed(airframe);
  const views = boardViews(airframe, nest);
  const boardArea = views.reduce((sum, { board }) => sum + boardAreaMm2(board), 0);
  const partArea = views.reduce(
    (sum, view) => sum + view.pieces.reduce((area, { piece }) => area + piece.part.areaMm2, 0),
    0,
  );
  return {
    pages: pagesOf(airframe).pages.length,
    boards: views.length,
    yield: boardArea > 0 ? partArea / boardArea : 0,
    unplaced: nest.unplaced.reduce((sum, { quantity }) => sum + quantity, 0),
    isNested,
    boardCost: views.reduce((sum, { board }) => sum + board.price, 0),
    faults: [...foldFaults(airframe), ...placeFaults(airframe, nest)],
    formFaults: (airframe.forms ?? []).reduce((sum, form) => sum + madeOf(form, airframe).faults.length, 0),
    seams: seamFigures(seams.map(({ state }) => state)),
    seamRows: seamRows(seams),
    mass: wholeMass(airframe),
  };
}

/** A board's name with its size, unless the name has it. */
function boardLabel({ name, widthMm, heightMm }: Board, unit: LengthUnit): string {
  const size = worded(sizeText(widthMm, heightMm, 0), unit);
  return name.includes(size.replace(/ \D+$/, '')) ? name : `${name}, ${size}`;
}

/** The cut list of an airframe, board by board when its nest still fits. */
export function cutListOf(airframe: Airframe): CutList {
  const drawn = new Map(airframe.parts.map((part) => [part.id, part]));
  const pieces = piecesOfAirframe(airframe).map(({ id, part, quantity }) => ({
    id,
    part,
    quantity: quantity * setsOf(airframe),
    ...relationsOf(airframe, drawn.get(part.id)!, part),
  }));
  if (!airframe.nest || !isNestCurrent(airframe)) return cutList(pieces, []);
  const onBoards = [...pieces, ...(airframe.settings.nest.guests ? guestPieces(airframe) : [])];
  const boards = boardViews(airframe, airframe.nest).map(({ board, alikeTo, pieces: placed }) => {
    const counts = new Map<string, number>();
    for (const { piece, placed: at } of placed) if (!at.isScrap) counts.set(piece.id, (counts.get(piece.id) ?? 0) + 1);
    return {
      label: boardLabel(board, airframe.settings.unit),
      ...defined({ alikeTo }),
      pieces: onBoards.filter(({ id }) => counts.has(id)).map(({ id, part }) => ({ part, quantity: counts.get(id)! })),
    };
  });
  const unplaced = unplacedIn(airframe, airframe.nest).map((one) => ({
    part: one.piece.part,
    quantity: one.quantity,
    words: worded(buyWords(one), airframe.settings.unit),
  }));
  return cutList(pieces, boards, unplaced);
}
