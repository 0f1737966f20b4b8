import type { Fault } from '../checks/index.ts';
import { assemble, foldedBy, sectionRings, type StandingPart, type StandingPiece } from '../folds/index.ts';
import { propellerDisc, type PropellerDisc } from '../forms/index.ts';
import {
  add3,
  cross3,
  distanceToRun,
  dot3,
  isInside,
  subtract3,
  times3,
  unit3,
  type Point,
} from '../geometry/index.ts';
import { formatLengthWithUnit } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { madeAtScale } from './made-at-scale.ts';
import { seeFolded } from './standing-faults.ts';

/** Room that a propeller's disc keeps from everything, in mm: blades bend, and mounts give. */
const LEAST_CLEAR_MM = 10;
/** A blade sweeps so far before and behind the middle of its disc, in mm. */
const HALF_DEEP_MM = 5;

/** How near to a disc's middle a piece comes where planes through the blades cut it; undefined where none does. */
function nearestOf({ body, maps }: StandingPiece, { centre, axis }: PropellerDisc): number | undefined {
  const solids = body.solids.map((solid) => ({ solid, map: maps[solid.plate.index]! })),
    across = unit3(cross3(axis, Math.abs(axis.z) < 0.9 ? { x: 0, y: 0, z: 1 } : { x: 0, y: 1, z: 0 })),
    up = cross3(axis, across);
  const middle: Point = { x: 0, y: 0 };
  const near = [-HALF_DEEP_MM, 0, HALF_DEEP_MM].flatMap((offMm) => {
    const through = add3(centre, times3(axis, offMm));
    return sectionRings(solids, { normal: axis, atMm: dot3(axis, through) }).map((ring) => {
      const flat = ring.map((p): Point => {
        const off = subtract3(p, through);
        return { x: dot3(off, across), y: dot3(off, up) };
      });
      if (isInside(middle, flat)) return 0;
      return Math.min(...flat.map((p, index) => distanceToRun(middle, p, flat[(index + 1) % flat.length]!)));
    });
  });
  return near.length === 0 ? undefined : Math.min(...near);
}

/** What a propeller would strike or nearly strike: wings, bodies, booms, struts, whatever stands beside its power box. */
export function propellerFaults(parts: readonly StandingPart[], airframe: Airframe): readonly Fault[] {
  const discs = (airframe.forms ?? []).flatMap((form) => {
    if (form.kind !== 'power') return [];
    const { site } = madeAtScale(form, airframe);
    return site ? [{ form, disc: propellerDisc(site) }] : [];
  });
  if (discs.length === 0) return [];
  const { pieces } = assemble(parts, foldedBy(1)),
    length = (mm: number): string => formatLengthWithUnit(mm, airframe.settings.unit, 1);
  return discs.flatMap(({ form, disc }) =>
    parts.flatMap(({ part }): readonly Fault[] => {
      if (part.source?.formId === form.id) return [];
      const near = pieces.filter(({ partId }) => partId === part.id).flatMap((piece) => nearestOf(piece, disc) ?? []),
        clear = Math.min(...near) - disc.radiusMm;
      if (clear >= LEAST_CLEAR_MM) return [];
      return [
        {
          code: 'PROPELLER_NEAR',
          partId: part.id,
          title:
            clear <= 0
              ? `The propeller of ${form.name} strikes ${part.name}, ${length(-clear)} deep`
              : `The propeller of ${form.name} passes ${length(clear)} from ${part.name}`,
          detail: `Its disc is ${length(2 * disc.radiusMm)} across; at least ${length(LEAST_CLEAR_MM)} keep clear of it. Take a smaller propeller, set its line or its reach otherwise in ${form.name}, or move the part.`,
          mend: seeFolded(part.id),
        },
      ];
    }),
  );
}
