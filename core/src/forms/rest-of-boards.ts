import { boundsOf } from '../geometry/index.ts';
import { outlineOf, type Part } from '../part/index.ts';
import { formatLengthWithUnit } from '../units/index.ts';
import { withParameters, type FormContext, type ParameterChange } from './form/index.ts';
import { makeForm } from './kinds.ts';
import type { WingForm } from './wing/index.ts';

/** What the skins of one wing leave of each board, and the chords of another that come out of it. */
export interface RestOfBoards {
  /** How many of its skins lie beside each other on a board. */
  readonly beside: number;
  readonly restMm: number;
  /** The chords of the other wing that fill the rest. */
  readonly changes: readonly ParameterChange[];
  /** Width of its skin and strips on the flat then. */
  readonly widthMm: number;
}

/** Shares of its own chords that are tried until one makes a wing. */
const STARTS = [1, 0.7, 0.5, 1.4, 0.35] as const;
/** Steps towards the rest, and how near is near enough, in mm. */
const STEPS = 8;
const CLOSE_MM = 0.6;

const skins = (parts: readonly Part[]): readonly Part[] =>
  parts.filter(({ source }) => /^(skin|cover)-/.test(source!.role));
const widest = (parts: readonly Part[], which: 'x' | 'y'): number =>
  Math.max(
    0,
    ...skins(parts).map((part) => {
      const { minX, maxX, minY, maxY } = boundsOf(outlineOf(part)!.nodes);
      return which === 'x' ? maxX - minX : maxY - minY;
    }),
  );

/** What the strips of a wing take across a board, each beside the other: what controls leave of one lies in a row. */
const stripsWidth = (parts: readonly Part[], apartMm: number): number =>
  parts
    .filter(({ source }) => source!.role.startsWith('spar-1') || /^tail-1-\d+$/.test(source!.role))
    .reduce((sum, part) => {
      const { minY, maxY } = boundsOf(outlineOf(part)!.nodes);
      return sum + maxY - minY + apartMm;
    }, 0);

const scaled = ({ parameters }: WingForm, factor: number): readonly ParameterChange[] => [
  { path: 'rootChordMm', value: Math.floor(parameters.rootChordMm * factor * 10) / 10 },
  ...parameters.panels.map(({ tipChordMm }, at) => ({
    path: `panels.${at}.tipChordMm`,
    value: Math.floor(tipChordMm * factor * 10) / 10,
  })),
];

/**
 * The chords with which a wing's skins and strips come out of what another's leave of their boards: all lie along them.
 * @param apartMm between two parts, and from each long edge of a board
 * @returns words when there is none
 */
export function restOfBoards(
  leader: WingForm,
  form: WingForm,
  context: FormContext,
  apartMm: number,
): RestOfBoards | { readonly refused: string } {
  const { parts } = makeForm(leader, context),
    { longestMm = 0, widthMm = 0 } = context.boardOf(leader.parameters.material);
  const length = (mm: number): string => formatLengthWithUnit(mm, context.unit);
  const own = widest(parts, 'y'),
    long = widest(parts, 'x');
  if (own === 0) return { refused: `${leader.name} has no skins of board.` };
  if (form.parameters.material !== leader.parameters.material)
    return { refused: `${form.name} is of another board than ${leader.name}.` };
  if (long > longestMm || own + 2 * apartMm > widthMm)
    return { refused: `The skins of ${leader.name} are ${length(long)} by ${length(own)}: larger than its board.` };
  const each = own + apartMm + stripsWidth(parts, apartMm);
  const beside = Math.max(1, Math.floor((widthMm - apartMm) / each)),
    restMm = widthMm - apartMm - beside * each;
  const room = restMm - apartMm;
  const widthAt = (factor: number): number => {
    const { parts: own } = makeForm(
      { ...form, parameters: withParameters(form.parameters, scaled(form, factor)) },
      context,
    );
    return widest(own, 'x') <= longestMm ? widest(own, 'y') + stripsWidth(own, apartMm) : 0;
  };
  // The skin is nearly as many times wider as the chord is: a few steps come to it.
  let factor = STARTS.find((one) => widthAt(one) > 0),
    width = factor === undefined ? 0 : widthAt(factor);
  for (
    let step = 0;
    step < STEPS && factor !== undefined && width > 0 && (width > room || width < room - CLOSE_MM);
    step++
  ) {
    factor *= (room - CLOSE_MM / 2) / width;
    width = widthAt(factor);
  }
  if (factor === undefined || width === 0 || width > room)
    return {
      refused: `${leader.name} leaves ${length(Math.max(0, restMm))} of each board: too little for ${form.name}.`,
    };
  return { beside, restMm, changes: scaled(form, factor), widthMm: width };
}
