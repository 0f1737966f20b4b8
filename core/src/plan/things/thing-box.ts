import { radians } from '../../units/index.ts';
import { isSurface, type PlannedThing, type SurfaceThing } from './thing.ts';

/** The room that something takes along the axes of the airframe. */
export interface Box3 {
  readonly min: { readonly x: number; readonly y: number; readonly z: number };
  readonly max: { readonly x: number; readonly y: number; readonly z: number };
}

/** A chord of a surface where it stands in the airframe: its leading edge to starboard, and its length. */
export interface PlacedChord {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly chordMm: number;
}

/** The chords of a surface's half where they stand, from the root: to starboard, or up for a fin. */
export function placedChords({ kind, at, stations, angles, apartMm }: SurfaceThing): readonly PlacedChord[] {
  let y = at.y + (kind === 'fin' ? apartMm / 2 : 0),
    z = at.z;
  return stations.map(({ outMm, sweepMm, chordMm }, index) => {
    if (index > 0) {
      const run = outMm - stations[index - 1]!.outMm,
        angle = radians(angles[index - 1]!);
      y += run * Math.cos(angle);
      z += run * Math.sin(angle);
    }
    return { x: at.x + sweepMm, y, z, chordMm };
  });
}

const boxOf = (xs: readonly number[], ys: readonly number[], zs: readonly number[]): Box3 => ({
  min: { x: Math.min(...xs), y: Math.min(...ys), z: Math.min(...zs) },
  max: { x: Math.max(...xs), y: Math.max(...ys), z: Math.max(...zs) },
});

/** The room that a thing takes, both its halves. */
export function boxOfThing(thing: PlannedThing): Box3 {
  const { at } = thing;
  if (isSurface(thing)) {
    const chords = placedChords(thing),
      half = thing.thicknessMm / 2;
    const outs = chords.flatMap(({ y }) =>
      thing.kind === 'fin' && thing.apartMm === 0 ? [at.y - half, at.y + half] : [y, -y],
    );
    return boxOf(
      chords.flatMap(({ x, chordMm }) => [x, x + chordMm]),
      outs,
      thing.kind === 'fin' ? chords.map(({ z }) => z) : chords.flatMap(({ z }) => [z - half, z + half]),
    );
  }
  switch (thing.kind) {
    case 'body':
      return boxOf(
        thing.stations.map(({ aftMm }) => at.x + aftMm),
        thing.stations.flatMap(({ widthMm }) => [at.y - widthMm / 2, at.y + widthMm / 2]),
        thing.stations.flatMap(({ bottomMm, topMm }) => [at.z + bottomMm, at.z + topMm]),
      );
    case 'wheel': {
      const radius = thing.diameterMm / 2,
        out = (thing.apartMm + thing.widthMm) / 2,
        axle = at.z - thing.legMm;
      return boxOf([at.x - radius, at.x + radius], [at.y - out, at.y + out], [axle - radius, axle + radius]);
    }
    case 'propeller': {
      const radius = thing.diameterMm / 2;
      return boxOf(
        [at.x - thing.depthMm / 2, at.x + thing.depthMm / 2],
        [at.y - radius, at.y + radius],
        [at.z - radius, at.z + radius],
      );
    }
    default: {
      const { lengthMm, widthMm, heightMm } = thing;
      return boxOf(
        [at.x - lengthMm / 2, at.x + lengthMm / 2],
        [at.y - widthMm / 2, at.y + widthMm / 2],
        [at.z - heightMm / 2, at.z + heightMm / 2],
      );
    }
  }
}
