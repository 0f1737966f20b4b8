import { formMaterials, type Form } from '../forms/index.ts';
import type { Fault } from '../checks/index.ts';
import type { Part } from '../part/index.ts';
import {
  boardName,
  materialsOf,
  thicknessOf,
  THICKEST_BOARD_MM,
  THINNEST_BOARD_MM,
  type Board,
} from '../stock/index.ts';
import { CoreError, lengthText, worded } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { quickFigures } from './figures.ts';
import { withFormsMade } from './forms-of-airframe.ts';
import { withSizesKept } from './kept-sizes.ts';
import { boardViews, quickNest } from './nest-airframe.ts';
import { unplacedIn } from './place-faults.ts';
import { newFaults } from './thickness-breaks.ts';

/** Another sheet for everything that is cut from one: a material in stock, or a thickness that is not in stock yet, in mm. */
export type OtherBoard = { readonly material: string } | { readonly thicknessMm: number };

/** Numbers of an airframe that another sheet changes. */
export interface BoardFigures {
  readonly foamG: number;
  readonly boards: number;
  readonly unplaced: number;
  readonly boardCost: number;
}
/** What an airframe would come to in another sheet. */
export interface InOtherBoard {
  readonly airframe: Airframe;
  readonly material: string;
  readonly thicknessMm: number;
  readonly before: BoardFigures;
  readonly after: BoardFigures;
  /** Faults that it would have and does not have now. */
  readonly faults: readonly Fault[];
  /** Parts that change their sheet, and of those the ones whose lines move to keep their inside sizes. */
  readonly changed: number;
  readonly movedIds: readonly string[];
}

/** A size that a sheet's name ends with: another thickness has its own. */
const SIZE_AT_END = /[,\s]+[\d./]+\s*(mm|in|″)?$/;
/** So much of a sheet's name is kept before its new size: with it the name can be saved. */
const LONGEST_STEM = 60;
/** Nearer than this two sheets are of one thickness, in mm. */
const SAME_MM = 0.005;

/** The stock with a sheet of another thickness beside those of a material, and what that sheet is called. */
function stockWith(
  { boards, settings }: Airframe,
  from: string,
  to: OtherBoard,
): { readonly boards: readonly Board[]; readonly material: string } {
  if ('material' in to) {
    if (!materialsOf(boards).includes(to.material))
      throw new CoreError('NOT_FOUND', `there is no board of ${to.material} in stock`, to);
    return { boards, material: to.material };
  }
  const { thicknessMm } = to;
  if (!(thicknessMm >= THINNEST_BOARD_MM && thicknessMm <= THICKEST_BOARD_MM))
    throw new CoreError(
      'OUT_OF_RANGE',
      `a board is from ${lengthText(THINNEST_BOARD_MM, 1)} to ${lengthText(THICKEST_BOARD_MM, 0)} thick`,
      to,
    );
  const like = boards.find((board) => board.material === from);
  if (!like) throw new CoreError('NOT_FOUND', `there is no board of ${from} in stock to go by`, { from });
  if (Math.abs(like.thicknessMm - thicknessMm) < SAME_MM) return { boards, material: from };
  const named = (decimals: number): string =>
    `${from.replace(SIZE_AT_END, '').slice(0, LONGEST_STEM)} ${worded(lengthText(thicknessMm, decimals), settings.unit)}`;
  // A sheet of that name may be measured otherwise: then the fresh one is told more exactly.
  const names = [named(Number.isInteger(thicknessMm) ? 0 : 2), named(3)],
    isFree = (name: string): boolean => Math.abs((thicknessOf(name, boards) ?? thicknessMm) - thicknessMm) < SAME_MM;
  const material = names.find(isFree) ?? `${names[1]!} new`;
  if (materialsOf(boards).includes(material)) return { boards, material };
  const taken = new Set(boards.map(({ id }) => id));
  let number = boards.length + 1;
  while (taken.has(`b${number}`)) number += 1;
  const area = ({ widthMm, heightMm, outline }: Board): number => (outline ? 0 : widthMm * heightMm),
    same = boards.filter((board) => board.material === from);
  const {
    outline: _outline,
    blemishes: _blemishes,
    ...whole
  } = same.reduce((best, one) => (area(one) > area(best) ? one : best), like);
  // Skins weigh what they weigh and foam by its depth: without a sheet on the scales that is guessed as by the depth alone.
  const fresh: Board = {
    ...whole,
    id: `b${number}`,
    name: boardName(material, whole.widthMm, whole.heightMm, settings.unit),
    material,
    thicknessMm,
    count: Math.max(1, ...same.map(({ count }) => count)),
    gramsPerSquareMetre: Math.round((whole.gramsPerSquareMetre * thicknessMm) / whole.thicknessMm),
  };
  return { boards: [...boards, fresh], material };
}

/** Whether a key of a form, a feature or a slot names the sheet that something is cut from. */
const isMaterialKey = (key: string): boolean => /(^m|M)aterial$/.test(key);

/** Plain data with one sheet's name in place of another's. */
function renamed<T>(held: T, from: string, to: string): T {
  if (Array.isArray(held)) return held.map((one) => renamed<unknown>(one, from, to)) as T;
  if (typeof held !== 'object' || held === null) return held;
  return Object.fromEntries(
    Object.entries(held).map(([key, value]) => [
      key,
      isMaterialKey(key) && value === from ? to : renamed<unknown>(value, from, to),
    ]),
  ) as T;
}

const namesSheet = (part: Part, material: string): boolean =>
  part.material === material ||
  part.contours.some(({ plate }) => plate?.material === material) ||
  (part.features ?? []).some((feature) => 'material' in feature && feature.material === material);

function partIn(part: Part, from: string, to: string): Part {
  if (!namesSheet(part, from)) return part;
  const { contours, features } = part;
  return {
    ...part,
    material: part.material === from ? to : part.material,
    contours: contours.map((path) =>
      path.plate?.material === from ? { ...path, plate: { ...path.plate, material: to } } : path,
    ),
    ...(features ? { features: renamed(features, from, to) } : {}),
  };
}
const formIn = (form: Form, from: string, to: string): Form =>
  formMaterials(form).includes(from) ? ({ ...form, parameters: renamed(form.parameters, from, to) } as Form) : form;

const boardFigures = (airframe: Airframe): BoardFigures => {
  const { nest } = quickNest(airframe),
    views = boardViews(airframe, nest);
  return {
    foamG: quickFigures(airframe).foamG,
    boards: views.length,
    unplaced: unplacedIn(airframe, nest).reduce((sum, { quantity }) => sum + quantity, 0),
    boardCost: views.reduce((sum, { board }) => sum + board.price, 0),
  };
};

/**
 * An airframe of the same outlines with everything that is cut from one sheet cut from another: forms are made anew for it, grooves, slots
 * and laps follow the board, and sizes that are meant inside are kept. Takes a fold and a nest of it: for a worker.
 * @throws CoreError when there is no such sheet, or its thickness is out of bounds
 */
export function inOtherBoard(airframe: Airframe, from: string, to: OtherBoard): InOtherBoard {
  const { boards, material } = stockWith(airframe, from, to);
  const { nest: _nest, ...unnested } = airframe;
  const changed = airframe.parts.filter((part) => part.material === from).length;
  const recut: Airframe =
    material === from
      ? airframe
      : withFormsMade({
          ...unnested,
          boards,
          parts: airframe.parts.map((part) => partIn(part, from, material)),
          ...(airframe.forms ? { forms: airframe.forms.map((form) => formIn(form, from, material)) } : {}),
        });
  const { airframe: then, partIds } = withSizesKept(airframe, recut);
  return {
    airframe: then,
    material,
    thicknessMm: thicknessOf(material, then.boards)!,
    before: boardFigures(unnested),
    after: boardFigures(then),
    faults: newFaults(airframe, then),
    changed,
    movedIds: partIds,
  };
}
