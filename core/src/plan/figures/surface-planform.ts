import { memo } from '../../units/index.ts';
import { placedChords } from '../things/thing-box.ts';
import type { SurfaceThing } from '../things/thing.ts';
import type { Planform } from './planform.ts';

/** A wing or a tail as it is seen from above, in the axes of the airframe; dihedral projected. A V-tail is not: see `flatPlanform`. */
export const topPlanform: (surface: SurfaceThing) => Planform = memo((surface: SurfaceThing) =>
  placedChords(surface).map(({ x, y, chordMm }) => ({ outMm: Math.max(0, y), leadingEdgeMm: x, chordMm })),
);

/** A surface laid flat: its true area. A fin's half is its height. */
export const flatPlanform: (surface: SurfaceThing) => Planform = memo((surface: SurfaceThing) =>
  surface.stations.map(({ outMm, sweepMm, chordMm }) => ({ outMm, leadingEdgeMm: surface.at.x + sweepMm, chordMm })),
);
