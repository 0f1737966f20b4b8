import { counterClockwise, type Polygon } from '../../geometry/index.ts';
import { between as stretch, bodyLines, heightAt, seatCut, type BodyLines, type SeatCut } from '../body/index.ts';
import type { FormBoard, FormContext, NamedEdge } from '../form/index.ts';
import { cutLayer, type CutLayer } from './cut-layer.ts';
import { removalsOf, type LayerSide, type Removal } from './removals.ts';
import type { LayeredForm, LayeredParameters } from './parameters.ts';

/** One layer as it is cut. */
export interface BodyLayer extends CutLayer {
  /** From the outside, from 1. */
  readonly number: number;
  readonly side: LayerSide;
  readonly fromMm: number;
  readonly toMm: number;
  /** Where its skin further to starboard lies, to starboard of the middle, in mm. */
  readonly starboardMm: number;
  readonly edges: readonly NamedEdge[];
  readonly removals: readonly Removal[];
}

/** All that the parts of a profile body are made from. */
export interface LayeredSite {
  readonly form: LayeredForm;
  readonly layered: LayeredParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: FormContext['unit'];
  readonly lines: BodyLines;
  readonly widthMm: number;
  readonly cuts: readonly SeatCut[];
  /** Seats whose wing is gone or cannot be made. */
  readonly lostSeats: readonly string[];
  readonly layers: readonly BodyLayer[];
}

/** A line through the same places, so that the lines of a body are remembered by its numbers. */
const linesOf = ({ stations, topLine, bottomLine }: LayeredParameters, widthMm: number): BodyLines =>
  bodyLines({
    stations: stations.map((station) => ({ ...station, widthMm })),
    topLine,
    bottomLine,
    widthLine: 'straight',
  });

/** The outline of a layer before anything is cut out of it: x aft, y up, counter-clockwise from the nose below. */
function outlineOf({ bottom, top }: BodyLines, fromMm: number, toMm: number): readonly NamedEdge[] {
  const low = stretch(bottom, fromMm, toMm),
    high = [...stretch(top, fromMm, toMm)].reverse();
  const corners = [
    ...low.map(({ x, z, edge }, index) => ({
      at: { x, y: z },
      name: index === low.length - 1 ? 'tail' : `low-${edge}`,
    })),
    ...high.map(({ x, z }, index) => ({
      at: { x, y: z },
      name: index === high.length - 1 ? 'nose' : `top-${high[index + 1]!.edge}`,
    })),
  ];
  return corners.map(({ at, name }, index) => ({ name, from: at, to: corners[(index + 1) % corners.length]!.at }));
}

/** The layers from the outside in: pairs that are alike, both of such that are not, and the middle one of an odd number. */
function layersOf(
  layered: LayeredParameters,
  lines: BodyLines,
  cutsBetween: (withinMm: number, withoutMm: number) => readonly SeatCut[],
  thicknessMm: number,
): readonly BodyLayer[] {
  const pairs = Math.floor(layered.layers / 2),
    isOdd = layered.layers % 2 === 1,
    half = (layered.layers * thicknessMm) / 2,
    [nose, tail] = [lines.breaks[0]!.x, lines.breaks.at(-1)!.x];
  return Array.from({ length: pairs + (isOdd ? 1 : 0) }, (_, index) => index + 1).flatMap((number) => {
    const isMiddle = number > pairs,
      reach = layered.reaches.find(({ layer }) => layer === number),
      fromMm = Math.max(nose, reach?.fromMm ?? nose),
      toMm = Math.min(tail, reach?.toMm ?? tail);
    const isUneven = layered.openings.some(
      ({ side, fromLayer, toLayer }) => side !== 'both' && fromLayer <= number && number <= toLayer,
    );
    const outer = half - (number - 1) * thicknessMm,
      cuts = cutsBetween(Math.max(0, outer - thicknessMm), outer);
    const sides: readonly LayerSide[] = isMiddle ? ['middle'] : isUneven ? ['port', 'starboard'] : ['pair'];
    return sides.map((side): BodyLayer => {
      const edges = outlineOf(lines, fromMm, toMm),
        ring: Polygon = counterClockwise(edges.map(({ from }) => from)),
        removals = removalsOf(layered, lines, cuts, number, side);
      return {
        number,
        side,
        fromMm,
        toMm,
        starboardMm: isMiddle ? thicknessMm / 2 : side === 'starboard' ? outer : thicknessMm - outer,
        edges,
        removals,
        ...cutLayer(ring, removals),
      };
    });
  });
}

/** What a form of a profile body, well in itself, is made from. */
export function layeredSite(form: LayeredForm, context: FormContext): LayeredSite {
  const layered = form.parameters,
    board = context.boardOf(layered.material),
    widthMm = layered.layers * board.thicknessMm,
    lines = linesOf(layered, widthMm),
    { x: aft, z: up } = form.place.at;
  const found = layered.seats.map((seat) => ({ seat, wing: context.wingOf(seat.formId) }));
  const between = (withinMm: number, withoutMm: number): readonly SeatCut[] =>
    found.flatMap(({ seat, wing }): readonly SeatCut[] =>
      wing
        ? [
            seatCut(
              seat,
              wing,
              (outMm) => wing.sectionAt(outMm).map(({ x, y }) => ({ x: x - aft, y: y - up })),
              [withinMm, withoutMm],
              lines.bottom,
              lines.top,
              board.thicknessMm,
              0,
            ),
          ]
        : [],
    );
  // Every layer is cut to the wing where that layer lies; which side it sits on is told by all of them together.
  const cuts = between(0, widthMm / 2),
    cutsBetween = (withinMm: number, withoutMm: number): readonly SeatCut[] =>
      between(withinMm, withoutMm).map((cut, index) => ({ ...cut, side: cuts[index]!.side }));
  return {
    form,
    layered,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
    lines,
    widthMm,
    cuts,
    lostSeats: found.flatMap(({ seat, wing }) => (wing ? [] : [seat.id])),
    layers: layersOf(layered, lines, cutsBetween, board.thicknessMm),
  };
}

/** The height of the body at a place, with its lower and its upper edge. */
export const heightsAt = ({ lines }: Pick<LayeredSite, 'lines'>, x: number): readonly [low: number, top: number] => [
  heightAt(lines.bottom, x),
  heightAt(lines.top, x),
];
