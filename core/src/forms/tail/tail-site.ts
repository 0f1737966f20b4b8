import { point3, type Point3, type Polygon } from '../../geometry/index.ts';
import type { FormBoard, FormContext } from '../form/index.ts';
import { radians } from '../../units/index.ts';
import { elevatorRelief, rudderRelief } from './relief.ts';
import { LEVEL, uprightAt, type TailPlate } from './plate.ts';
import { sweptRoom, withoutRooms, type Travel } from './swept-room.ts';
import {
  elevatorHalf,
  elevatorWhole,
  finOutline,
  levelLines,
  rudderOutline,
  stabiliserOutline,
  uprightLines,
  type NamedOutline,
} from './tail-outlines.ts';
import type { TailForm, TailParameters } from './parameters.ts';

/** A plate of a tail as it is cut: its outline before and after what it loses to others. */
export interface CutPlate {
  readonly outline: NamedOutline;
  /** What is left of it: one ring, or pieces that fall apart, largest first. */
  readonly left: readonly Polygon[];
  /** What it loses so that another moves, on its flat. */
  readonly rooms: readonly Polygon[];
  readonly travel: Travel;
}

/** All that the parts of a tail are made from. */
export interface TailSite {
  readonly form: TailForm;
  readonly tail: TailParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: FormContext['unit'];
  readonly stabiliser: CutPlate;
  /** One half of the elevator, to port, or all of it. */
  readonly elevator?: CutPlate;
  /** The middle one, or that at the port tip. */
  readonly fin?: CutPlate;
  readonly rudder?: CutPlate;
  /** Whether the rudder runs into the stabiliser on its way. */
  readonly strikesStabiliser: boolean;
}

const still = (plate: TailPlate): Travel => ({ plate, fromDegrees: 0, toDegrees: 0 });
const whole = (outline: NamedOutline, travel: Travel): CutPlate => ({
  outline,
  left: [outline.ring],
  rooms: [],
  travel,
});
const cut = (plate: CutPlate, rooms: readonly (Polygon | undefined)[]): CutPlate => {
  const found = rooms.filter((room) => room !== undefined);
  return { ...plate, rooms: found, left: withoutRooms(plate.outline.ring, found) };
};

/** How the elevator's port half moves: its tail goes up for turns above 0. */
function elevatorTravel(tail: TailParameters, ring: Polygon, thicknessMm: number): Travel {
  const { upDegrees, downDegrees, tape } = tail.elevator!,
    { halfMm, hingeAt } = levelLines(tail),
    up = tape === 'top' ? thicknessMm : 0;
  const axis = { from: point3(hingeAt(0), 0, up), to: point3(hingeAt(halfMm), -halfMm, up) };
  const { face, degrees } = elevatorRelief(tail),
    hinge = {
      from: { x: hingeAt(0), y: 0 },
      to: { x: hingeAt(halfMm), y: -halfMm },
      behind: 1,
      face,
      runMm: thicknessMm * Math.tan(radians(degrees)),
    } as const;
  return { plate: { ring, map: LEVEL, thicknessMm, axis, hinge }, fromDegrees: -downDegrees, toDegrees: upDegrees };
}

/** Where the far skin of the fin stands across the tail. */
export const finAcross = (tail: TailParameters, thicknessMm: number): number =>
  tail.fin!.place === 'tips' ? -levelLines(tail).halfMm : thicknessMm / 2;

/** How the rudder moves: it hangs on tape along its far skin. */
function rudderTravel(tail: TailParameters, ring: Polygon, thicknessMm: number): Travel {
  const { travelDegrees } = tail.rudder!,
    { topMm, hingeAt } = uprightLines(tail, thicknessMm),
    across = finAcross(tail, thicknessMm);
  const axis = { from: point3(hingeAt(0), across, 0), to: point3(hingeAt(topMm), across, topMm) };
  const { face, degrees } = rudderRelief(tail),
    hinge = {
      from: { x: hingeAt(0), y: 0 },
      to: { x: hingeAt(topMm), y: topMm },
      behind: -1,
      face,
      runMm: thicknessMm * Math.tan(radians(degrees)),
    } as const;
  return {
    plate: { ring, map: uprightAt(across), thicknessMm, axis, hinge },
    fromDegrees: -travelDegrees,
    toDegrees: travelDegrees,
  };
}

/** A rudder as its mirror image: in one place with it, taped on its other skin. */
const mirroredTape = ({ plate, ...travel }: Travel): Travel => {
  const { axis, hinge } = plate;
  if (!axis || !hinge) return { plate, ...travel };
  const over = ({ x, y, z }: Point3): Point3 => point3(x, -y, z);
  return {
    ...travel,
    plate: {
      ...plate,
      axis: { from: over(axis.from), to: over(axis.to) },
      hinge: { ...hinge, face: hinge.face === 'face' ? 'back' : 'face' },
    },
  };
};

/** Half of what is cut out of a plate over both sides is cut out of the other half too. */
const onBothSides = (room: Polygon | undefined): readonly Polygon[] =>
  room ? [room, [...room].reverse().map(({ x, y }) => ({ x, y: -y }))] : [];

/** What a form of a tail, well in itself, is made from. */
export function tailSite(form: TailForm, context: FormContext): TailSite {
  const tail = form.parameters,
    board = context.boardOf(tail.material),
    t = board.thicknessMm,
    { gapMm } = tail;
  const level = stabiliserOutline(tail),
    stabiliser = whole(level, still({ ring: level.ring, map: LEVEL, thicknessMm: t }));
  const half = tail.elevator && elevatorHalf(tail),
    moves = half && elevatorTravel(tail, half.ring, t);
  const finRing = tail.fin && finOutline(tail, t),
    fin = finRing && whole(finRing, still({ ring: finRing.ring, map: uprightAt(finAcross(tail, t)), thicknessMm: t }));
  const rudderRing = tail.fin && tail.rudder && rudderOutline(tail, t),
    swings = rudderRing && rudderTravel(tail, rudderRing.ring, t);
  const isElevatorCut = tail.yields === 'elevator',
    // The other half of the elevator sees the rudder as its mirror image: taped on the other skin.
    swinging = swings ? [swings, ...(tail.fin!.place === 'middle' ? [mirroredTape(swings)] : [])] : [];
  const toRudder =
      moves && isElevatorCut
        ? sweptRoom(
            swinging.map((swing) => [moves, swing] as const),
            gapMm,
          )
        : undefined,
    toFin = moves && fin ? sweptRoom([[moves, fin.travel]], gapMm) : undefined,
    ofRudder =
      moves && !isElevatorCut
        ? sweptRoom(
            swinging.map((swing) => [swing, moves] as const),
            gapMm,
          )
        : undefined;
  const isOne = tail.elevator?.halves === 'one',
    rooms = [toRudder, toFin];
  const outline = tail.elevator && (isOne ? elevatorWhole(tail) : half!);
  return {
    form,
    tail,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
    stabiliser,
    ...(outline && moves ? { elevator: cut(whole(outline, moves), isOne ? rooms.flatMap(onBothSides) : rooms) } : {}),
    ...(fin ? { fin } : {}),
    ...(rudderRing && swings ? { rudder: cut(whole(rudderRing, swings), [ofRudder]) } : {}),
    strikesStabiliser:
      sweptRoom(
        swinging.map((swing) => [stabiliser.travel, swing] as const),
        0,
      ) !== undefined,
  };
}
