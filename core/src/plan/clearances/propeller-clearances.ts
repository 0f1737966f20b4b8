import { distance, type Point } from '../../geometry/index.ts';
import { lengthText } from '../../units/index.ts';
import { bodyAt } from '../things/body-at.ts';
import { boxOfThing, placedChords, type Box3 } from '../things/thing-box.ts';
import {
  isBox,
  isSurface,
  type BodyThing,
  type PlannedThing,
  type PropellerThing,
  type SurfaceThing,
  type WheelThing,
} from '../things/thing.ts';
import type { Clearance } from './clearance.ts';

/** Least room between blades and anything fixed: blades flex, wings twist. */
const LEAST_MM = 10;
/** A propeller stands this near to its own motor's body without a word. */
const OWN_BODY_MM = 3;
const SAMPLES = 64;

interface Gap {
  readonly mm: number;
  readonly at: Point;
}

/** From the disc to a place: 0 within it. @param off from its middle, square to the shaft */
const gapTo = ({ at, depthMm, diameterMm }: PropellerThing, x: number, off: number): number =>
  Math.hypot(Math.max(0, Math.abs(x - at.x) - depthMm / 2), Math.max(0, off - diameterMm / 2));

/** From a point of the front view to a rectangle; 0 within it. */
const offRectangle = (y: number, z: number, min: { y: number; z: number }, max: { y: number; z: number }): number =>
  Math.hypot(Math.max(min.y - y, 0, y - max.y), Math.max(min.z - z, 0, z - max.z));

const nearer = (best: Gap, mm: number, at: Point): Gap => (mm < best.mm ? { mm, at } : best);
const NOWHERE: Gap = { mm: Number.POSITIVE_INFINITY, at: { x: 0, y: 0 } };

function toBox(propeller: PropellerThing, { min, max }: Box3): Gap {
  const { at, depthMm } = propeller;
  const along = Math.max(0, min.x - at.x - depthMm / 2, at.x - depthMm / 2 - max.x);
  const off = Math.max(0, offRectangle(at.y, at.z, min, max) - propeller.diameterMm / 2);
  return { mm: Math.hypot(along, off), at: { x: Math.max(min.x, Math.min(max.x, at.x)), y: at.z } };
}

function toBody(propeller: PropellerThing, body: BodyThing): Gap {
  const { at } = propeller,
    first = body.at.x + body.stations[0]!.aftMm,
    last = body.at.x + body.stations.at(-1)!.aftMm;
  const places = [
    ...Array.from({ length: SAMPLES + 1 }, (_, index) => first + ((last - first) * index) / SAMPLES),
    ...body.stations.map(({ aftMm }) => body.at.x + aftMm),
    Math.max(first, Math.min(last, at.x)),
  ];
  return places.reduce((best, x) => {
    const section = bodyAt(body, x);
    if (!section) return best;
    const off = offRectangle(
      at.y,
      at.z,
      { y: body.at.y - section.widthMm / 2, z: section.bottomMm },
      { y: body.at.y + section.widthMm / 2, z: section.topMm },
    );
    return nearer(best, gapTo(propeller, x, off), { x, y: Math.max(section.bottomMm, Math.min(section.topMm, at.z)) });
  }, NOWHERE);
}

/** Chords of both halves, so close together that nothing falls between, against the disc. */
function toSurface(propeller: PropellerThing, surface: SurfaceThing): Gap {
  const chords = placedChords(surface),
    { at } = propeller,
    half = surface.thicknessMm / 2;
  let best = NOWHERE;
  chords.slice(1).forEach((b, index) => {
    const a = chords[index]!;
    for (let step = 0; step <= SAMPLES; step++) {
      const t = step / SAMPLES,
        x = a.x + t * (b.x - a.x),
        z = a.z + t * (b.z - a.z),
        chord = a.chordMm + t * (b.chordMm - a.chordMm);
      for (const y of [a.y + t * (b.y - a.y), -(a.y + t * (b.y - a.y))]) {
        const nearest = Math.max(x, Math.min(x + chord, at.x)),
          off = Math.max(0, distance({ x: y, y: z }, { x: at.y, y: at.z }) - half);
        best = nearer(best, gapTo(propeller, nearest, off), { x: nearest, y: z });
      }
    }
  });
  return best;
}

/** The wheels themselves, and their legs. */
function toWheels(propeller: PropellerThing, wheel: WheelThing): Gap {
  const outs = wheel.apartMm > 0 ? [-wheel.apartMm / 2, wheel.apartMm / 2] : [0],
    radius = wheel.diameterMm / 2,
    axle = wheel.at.z - wheel.legMm;
  return outs
    .flatMap((out) => [
      toBox(propeller, {
        min: { x: wheel.at.x - radius, y: wheel.at.y + out - wheel.widthMm / 2, z: axle - radius },
        max: { x: wheel.at.x + radius, y: wheel.at.y + out + wheel.widthMm / 2, z: axle + radius },
      }),
      ...Array.from({ length: 17 }, (_, step): Gap => {
        const t = step / 16,
          y = wheel.at.y + t * out,
          z = wheel.at.z - t * wheel.legMm;
        return {
          mm: gapTo(propeller, wheel.at.x, Math.hypot(y - propeller.at.y, z - propeller.at.z)),
          at: { x: wheel.at.x, y: z },
        };
      }),
    ])
    .reduce((best, gap) => (gap.mm < best.mm ? gap : best), NOWHERE);
}

function gapBetween(propeller: PropellerThing, thing: PlannedThing): Gap | undefined {
  if (isSurface(thing)) return toSurface(propeller, thing);
  switch (thing.kind) {
    case 'body':
      return toBody(propeller, thing);
    case 'wheel':
      return toWheels(propeller, thing);
    case 'motor':
    case 'propeller':
      return undefined;
    default:
      return isBox(thing) ? toBox(propeller, boxOfThing(thing)) : undefined;
  }
}

/** Every propeller against everything that is fixed: the nearest of each is told. */
export function propellerClearances(things: readonly PlannedThing[]): readonly Clearance[] {
  return things.flatMap((propeller): readonly Clearance[] => {
    if (propeller.kind !== 'propeller') return [];
    return things.flatMap((thing): readonly Clearance[] => {
      const gap = gapBetween(propeller, thing);
      if (!gap || gap.mm > propeller.diameterMm) return [];
      const isOwn = thing.kind === 'body',
        least = isOwn ? OWN_BODY_MM : LEAST_MM,
        // Away from what it strikes: forward before it, aft behind it.
        ahead = propeller.at.x <= gap.at.x + 1e-9 ? -1 : 1,
        move = Math.max(
          1,
          Math.ceil(least - gap.mm + (gap.mm === 0 ? propeller.depthMm / 2 + Math.abs(gap.at.x - propeller.at.x) : 0)),
        );
      const smaller = propeller.diameterMm - 2 * Math.ceil(least - gap.mm);
      return [
        {
          key: `propeller:${propeller.id}:${thing.id}`,
          word: `${propeller.name} from ${thing.name}`,
          amount: gap.mm,
          quantity: 'length',
          least,
          thingIds: [propeller.id, thing.id],
          swept: [],
          place: { view: 'side', at: gap.at },
          told: gap.mm > 0 ? 'The nearest that blades and it come.' : 'The blades strike it.',
          mends: [
            {
              label: `${propeller.name} ${lengthText(move)} ${ahead < 0 ? 'forward' : 'aft'}`,
              changes: [{ thingId: propeller.id, at: { ...propeller.at, x: propeller.at.x + ahead * move } }],
            },
            ...(gap.mm > 0 && smaller > 0
              ? [
                  {
                    label: `Propeller of ${lengthText(smaller)}`,
                    changes: [{ thingId: propeller.id, set: { diameterMm: smaller } }],
                  },
                ]
              : []),
          ],
        },
      ];
    });
  });
}
