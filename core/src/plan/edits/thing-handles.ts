import type { Point } from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import type { PlanView } from '../plan-view.ts';
import { withMeasure } from '../things/surface-measures.ts';
import {
  isSurface,
  type BodyThing,
  type PlannedThing,
  type PropellerThing,
  type SurfaceThing,
  type WheelThing,
} from '../things/thing.ts';
import { placedChords } from '../things/thing-box.ts';

/** A place of a thing that can be dragged in a view to change its size. */
export interface ThingHandle {
  readonly key: string;
  readonly view: PlanView;
  readonly at: Point;
  readonly word: string;
}

const LEAST_MM = 1;

/** The places that a thing can be dragged by in a view. */
export function thingHandles(thing: PlannedThing, view: PlanView): readonly ThingHandle[] {
  const handle = (key: string, x: number, y: number, word: string): ThingHandle => ({ key, view, at: { x, y }, word });
  if (isSurface(thing)) return surfaceHandles(thing, view, handle);
  const { at } = thing;
  switch (thing.kind) {
    case 'body':
      return bodyHandles(thing, view, handle);
    case 'wheel':
      return view === 'side'
        ? [
            handle('axle', at.x, at.z - thing.legMm, 'length of the leg'),
            handle('rim', at.x + thing.diameterMm / 2, at.z - thing.legMm, 'diameter'),
          ]
        : view === 'front' && thing.apartMm > 0
          ? [handle('apart', -thing.apartMm / 2, at.z - thing.legMm, 'apart')]
          : [];
    case 'propeller':
      return view === 'top'
        ? [handle('rim', at.x, at.y + thing.diameterMm / 2, 'diameter')]
        : [handle('rim', view === 'side' ? at.x : -at.y, at.z + thing.diameterMm / 2, 'diameter')];
    default:
      return [];
  }
}

type MakeHandle = (key: string, x: number, y: number, word: string) => ThingHandle;

function surfaceHandles(surface: SurfaceThing, view: PlanView, handle: MakeHandle): readonly ThingHandle[] {
  const chords = placedChords(surface),
    root = chords[0]!,
    tip = chords.at(-1)!,
    isFin = surface.kind === 'fin';
  if (view === 'front') return isFin ? [] : [handle('tip', -tip.y, tip.z, 'span and dihedral')];
  if ((view === 'side') !== isFin) return [];
  const up = (chord: typeof tip): number => (isFin ? chord.z : chord.y);
  return [
    handle('tip', tip.x, up(tip), isFin ? 'height and sweep' : 'span and sweep'),
    handle('tipTrail', tip.x + tip.chordMm, up(tip), 'tip chord'),
    handle('rootTrail', root.x + root.chordMm, up(root), 'root chord'),
  ];
}

function bodyHandles({ at, stations }: BodyThing, view: PlanView, handle: MakeHandle): readonly ThingHandle[] {
  if (view === 'front') return [];
  return stations.flatMap(({ aftMm, bottomMm, topMm, widthMm }, index) =>
    view === 'side'
      ? [
          handle(`top:${index}`, at.x + aftMm, at.z + topMm, `top at station ${index + 1}`),
          handle(`bottom:${index}`, at.x + aftMm, at.z + bottomMm, `bottom at station ${index + 1}`),
        ]
      : [handle(`width:${index}`, at.x + aftMm, at.y + widthMm / 2, `width at station ${index + 1}`)],
  );
}

/** A thing with one of its handles dragged to a place of the view; sizes never fall under a millimetre. */
export function dragHandle(thing: PlannedThing, { key, view }: ThingHandle, to: Point): PlannedThing {
  if (isSurface(thing)) return dragSurface(thing, key, view, to);
  switch (thing.kind) {
    case 'body':
      return dragBody(thing, key, to);
    case 'wheel':
      return dragWheel(thing, key, view, to);
    case 'propeller':
      return dragPropeller(thing, view, to);
    default:
      return thing;
  }
}

function dragSurface(surface: SurfaceThing, key: string, view: PlanView, { x, y }: Point): SurfaceThing {
  const chords = placedChords(surface),
    tip = chords.at(-1)!,
    isFin = surface.kind === 'fin';
  switch (key) {
    case 'rootTrail':
      return withMeasure(surface, 'rootChordMm', Math.max(LEAST_MM, x - surface.at.x));
    case 'tipTrail':
      return withMeasure(surface, 'tipChordMm', Math.max(0, x - tip.x));
    default: {
      const before = chords[0]!,
        span = surface.stations.at(-1)!.outMm * (isFin ? 1 : 2);
      if (view === 'front') {
        const out = Math.max(LEAST_MM, -x - before.y);
        if (surface.angles.length > 1)
          return withMeasure(surface, 'spanMm', (span * out) / Math.max(LEAST_MM, tip.y - before.y));
        const rise = y - before.z;
        return withMeasure(
          withMeasure(surface, 'angleDegrees', Math.round(degrees(Math.atan2(rise, out)) * 10) / 10 + 0),
          'spanMm',
          2 * Math.hypot(out, rise),
        );
      }
      const now = isFin ? tip.z - before.z : tip.y - before.y,
        wanted = Math.max(LEAST_MM, isFin ? y - before.z : y - before.y);
      const longer = withMeasure(surface, 'spanMm', now > 0 ? (span * wanted) / now : wanted);
      return withMeasure(longer, 'sweepMm', x - surface.at.x);
    }
  }
}

function dragBody(body: BodyThing, key: string, { x, y }: Point): BodyThing {
  const [what, number] = key.split(':'),
    index = Number(number),
    { at, stations } = body;
  const [before, after] = [stations[index - 1], stations[index + 1]];
  return {
    ...body,
    stations: stations.map((station, place) => {
      if (place !== index) return station;
      // The first station stands at the body's place; the others stay between their neighbours.
      const aftMm =
        index === 0
          ? station.aftMm
          : Math.max(
              (before?.aftMm ?? 0) + LEAST_MM,
              Math.min((after?.aftMm ?? Number.POSITIVE_INFINITY) - LEAST_MM, x - at.x),
            );
      if (what === 'width') return { ...station, aftMm, widthMm: Math.max(LEAST_MM, 2 * (y - at.y)) };
      return what === 'top'
        ? { ...station, aftMm, topMm: Math.max(station.bottomMm + LEAST_MM, y - at.z) }
        : { ...station, aftMm, bottomMm: Math.min(station.topMm - LEAST_MM, y - at.z) };
    }),
  };
}

function dragWheel(wheel: WheelThing, key: string, view: PlanView, { x, y }: Point): WheelThing {
  if (key === 'rim') return { ...wheel, diameterMm: Math.max(LEAST_MM, 2 * Math.abs(x - wheel.at.x)) };
  if (key === 'apart' && view === 'front') return { ...wheel, apartMm: Math.max(LEAST_MM, 2 * Math.abs(x)) };
  return { ...wheel, legMm: Math.max(0, wheel.at.z - y) };
}

function dragPropeller(propeller: PropellerThing, view: PlanView, { y }: Point): PropellerThing {
  const middle = view === 'top' ? propeller.at.y : propeller.at.z;
  return { ...propeller, diameterMm: Math.max(LEAST_MM, 2 * Math.abs(y - middle)) };
}
