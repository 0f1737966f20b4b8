import { applyRigid, point3 } from '../../geometry/index.ts';
import type { LaidPanel } from './panel-layout.ts';

/** One station of the wing, port side: the middle, each joint, and the tip. */
export interface WingStation {
  /** `middle`, `joint 1`, `tip`. */
  readonly name: string;
  /** Out from the middle plane, on the table. */
  readonly outMm: number;
  /** Of the pivot line over the lowest station, as the wing lies on the table. */
  readonly heightMm: number;
  readonly noseMm: number;
  readonly chordMm: number;
  readonly washoutDegrees: number;
  /** Turn of the joint there: above 0 the outer panel goes up. */
  readonly turnDegrees: number;
  /** The panels that meet there, from 1. */
  readonly inner?: number;
  readonly outer?: number;
}

/** The stations of a wing from the middle outward. */
export function wingStations(laid: readonly LaidPanel[]): readonly WingStation[] {
  const first = laid[0]!;
  const places = laid.map(({ map, panel }) => applyRigid(map, point3(panel.spanMm, 0, 0)));
  const lowest = Math.min(0, ...places.map(({ z }) => z));
  const middle: WingStation = {
    name: 'middle',
    outMm: 0,
    heightMm: -lowest,
    noseMm: 0,
    chordMm: first.rootChordMm,
    washoutDegrees: 0,
    turnDegrees: first.isMiddle ? 0 : 2 * first.rootTiltDegrees,
    outer: 1,
  };
  return [
    middle,
    ...laid.map((one, index): WingStation => ({
      name: index === laid.length - 1 ? 'tip' : `joint ${index + 1}`,
      outMm: places[index]!.x,
      heightMm: places[index]!.z - lowest,
      noseMm: one.tipNoseMm,
      chordMm: one.panel.tipChordMm,
      washoutDegrees: one.tipWashoutDegrees,
      turnDegrees: 2 * one.tipTiltDegrees,
      inner: one.number,
      ...(index === laid.length - 1 ? {} : { outer: one.number + 1 }),
    })),
  ];
}
