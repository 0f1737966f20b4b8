import { composeRigid, point3, STILL, type Point, type RigidMap } from '../../geometry/index.ts';
import type { FormBoard, FormContext } from '../form/index.ts';
import { boltPlaces } from './bolt-holes.ts';
import type { PowerForm, PowerParameters } from './parameters.ts';
import { frontAt, motorPlace, thrustPlane, type Thrust } from './thrust.ts';

/** A fold line of the strip that a box is made of: its place across the strip, and where it stands: across and up. */
export interface StripLine {
  readonly name: string;
  readonly along: number;
  readonly y: number;
  readonly z: number;
  /** Where the front is cut there. */
  readonly frontMm: number;
}

/** All that the parts of a power box are made from. */
export interface PowerSite {
  readonly form: PowerForm;
  readonly power: PowerParameters;
  readonly board: FormBoard;
  readonly plate: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: FormContext['unit'];
  /** The turn of the front in the box's own frame, whose motor lies before it. */
  readonly turn: { readonly rightDegrees: number; readonly downDegrees: number };
  readonly thrust: Thrust;
  /** Outside. */
  readonly widthMm: number;
  readonly heightMm: number;
  readonly strip: readonly StripLine[];
  /** On the firewall's flat. */
  readonly motor: Point;
  readonly bolts: readonly Point[];
  readonly lead: Point;
}

/** An inner wall ends this far over the floor, so that it does not hold the fold open, in mm. */
const CLEAR_MM = 0.5;

/**
 * The turn of a front in the box's own frame. A box that pushes stands the other way round, and its motor drives away from the shaft's end:
 * to the right stays to the right, down becomes up.
 */
const ownTurn = ({ rightDegrees, downDegrees, isPusher }: PowerParameters): PowerSite['turn'] => ({
  rightDegrees,
  downDegrees: isPusher ? -downDegrees : downDegrees,
});

/** What a form of a power box, well in itself, is made from. */
export function powerSite(form: PowerForm, context: FormContext): PowerSite {
  const power = form.parameters,
    board = context.boardOf(power.material),
    plate = context.boardOf(power.plateMaterial),
    t = board.thicknessMm,
    isDoubled = power.walls === 'doubled';
  const widthMm = power.insideWidthMm + (isDoubled ? 4 : 2) * t,
    heightMm = power.insideHeightMm + t,
    turn = ownTurn(power),
    thrust = thrustPlane(turn.rightDegrees, turn.downDegrees, t + power.lineMm);
  const strip: StripLine[] = [];
  let along = 0;
  const line = (name: string, stepMm: number, y: number, z: number): void => {
    along += stepMm;
    strip.push({ name, along, y, z, frontMm: frontAt(thrust, y, z) });
  };
  const half = widthMm / 2,
    inner = half - 2 * t,
    innerHigh = heightMm - t - CLEAR_MM;
  if (isDoubled) {
    line('inner-port', 0, -inner, t + CLEAR_MM);
    line('trench-port', innerHigh, -inner, heightMm);
  }
  line('wall-port', isDoubled ? 2 * t : 0, -half, heightMm);
  line('floor-port', heightMm, -half, 0);
  line('floor-starboard', widthMm, half, 0);
  line('wall-starboard', heightMm, half, heightMm);
  if (isDoubled) {
    line('trench-starboard', 2 * t, inner, heightMm);
    line('inner-starboard', innerHigh, inner, t + CLEAR_MM);
  }
  const motor = motorPlace(thrust, power.reachMm + power.frontLayers * plate.thicknessMm);
  return {
    form,
    power,
    board,
    plate,
    boardOf: context.boardOf,
    unit: context.unit,
    turn,
    thrust,
    widthMm,
    heightMm,
    strip,
    motor,
    bolts: boltPlaces(power.pattern, motor),
    lead: { x: motor.x, y: motor.y - power.leadDownMm },
  };
}

/** From the box's own frame into the airframe: a box that pushes is turned right round. */
export const stood = ({ form, power }: PowerSite, map: RigidMap): RigidMap =>
  composeRigid(map, {
    ...STILL,
    ...(power.isPusher ? { x: point3(-1, 0, 0), y: point3(0, -1, 0) } : {}),
    origin: form.place.at,
  });
