import { circlePath, type Path, type Point } from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';
import type { PlanView } from '../plan-view.ts';
import { chordAt } from './surface-measures.ts';
import { boxOfThing, placedChords, type Box3 } from './thing-box.ts';
import { isSurface, type BodyThing, type PlannedThing, type SurfaceThing, type WheelThing } from './thing.ts';

/** A line of a planned thing as a view shows it, in the view's axes. */
export interface ThingShape {
  readonly path: Path;
  readonly isClosed: boolean;
  /** The edge of the thing, or something within it: a hinge, a station, a joint of panels. */
  readonly role: 'edge' | 'within';
}

const lines = (points: readonly Point[], isClosed: boolean): Path =>
  (isClosed ? points : points.slice(0, -1)).map((from, index) => ({
    kind: 'line',
    from,
    to: points[(index + 1) % points.length]!,
  }));
const edge = (points: readonly Point[]): ThingShape => ({ path: lines(points, true), isClosed: true, role: 'edge' });
const within = (...points: readonly Point[]): ThingShape => ({
  path: lines(points, false),
  isClosed: false,
  role: 'within',
});
const round = (at: Point, radiusMm: number): ThingShape => ({
  path: circlePath(at, radiusMm),
  isClosed: true,
  role: 'edge',
});

/** A box as a view shows it. */
function boxShape(view: PlanView, { min, max }: Box3): ThingShape {
  const [left, right, low, high] =
    view === 'side'
      ? [min.x, max.x, min.z, max.z]
      : view === 'top'
        ? [min.x, max.x, min.y, max.y]
        : [-max.y, -min.y, min.z, max.z];
  return edge([
    { x: left, y: low },
    { x: right, y: low },
    { x: right, y: high },
    { x: left, y: high },
  ]);
}

/** What a view shows of a planned thing: its edges first. */
export function thingShapes(thing: PlannedThing, view: PlanView): readonly ThingShape[] {
  if (isSurface(thing)) return surfaceShapes(thing, view);
  switch (thing.kind) {
    case 'body':
      return bodyShapes(thing, view);
    case 'wheel':
      return wheelShapes(thing, view);
    case 'propeller':
      return view === 'front'
        ? [round({ x: -thing.at.y, y: thing.at.z }, thing.diameterMm / 2)]
        : [boxShape(view, boxOfThing(thing))];
    default:
      return [boxShape(view, boxOfThing(thing))];
  }
}

function surfaceShapes(surface: SurfaceThing, view: PlanView): readonly ThingShape[] {
  if (surface.kind === 'fin') return finShapes(surface, view);
  const chords = placedChords(surface);
  switch (view) {
    case 'top': {
      const leading = chords.map(({ x, y }) => ({ x, y })),
        trailing = chords.map(({ x, y, chordMm }) => ({ x: x + chordMm, y })).reverse();
      const mirrored = (p: Point): Point => ({ x: p.x, y: 2 * surface.at.y - p.y });
      // All round: starboard from the middle out and back, then port.
      const half = [...leading, ...trailing];
      return [
        edge([...half, ...[...half].reverse().slice(1, -1).map(mirrored)]),
        ...chords
          .slice(1, -1)
          .flatMap(({ x, y, chordMm }) => [
            within({ x, y }, { x: x + chordMm, y }),
            within(mirrored({ x, y }), mirrored({ x: x + chordMm, y })),
          ]),
        ...controlLines(surface).flatMap((points) => [within(...points), within(...points.map(mirrored))]),
      ];
    }
    case 'front': {
      const half = surface.thicknessMm / 2,
        upper = chords.map(({ y, z }) => ({ x: -y, y: z + half })),
        lower = chords.map(({ y, z }) => ({ x: -y, y: z - half })).reverse();
      const starboard = [...upper, ...lower],
        mirrored = (p: Point): Point => ({ x: -p.x, y: p.y });
      return [edge([...starboard, ...[...starboard].reverse().slice(1, -1).map(mirrored)])];
    }
    case 'side':
      return [
        sectionAtRoot(surface),
        ...(chords.some(({ z }) => Math.abs(z - chords[0]!.z) > 1) ? [tipSection(surface)] : []),
      ];
  }
}

/** The root's chord and thickness at its incidence, nose rounded to a point fore and aft. */
function sectionAtRoot({ at, stations, thicknessMm, incidenceDegrees }: SurfaceThing): ThingShape {
  return section({ x: at.x, y: at.z }, stations[0]!.chordMm, thicknessMm, incidenceDegrees);
}
function tipSection(surface: SurfaceThing): ThingShape {
  const tip = placedChords(surface).at(-1)!;
  const { path } = section(
    { x: tip.x, y: tip.z },
    tip.chordMm,
    Math.min(surface.thicknessMm, 0.3 * tip.chordMm),
    surface.incidenceDegrees,
  );
  return { path, isClosed: true, role: 'within' };
}
function section(from: Point, chordMm: number, thicknessMm: number, incidenceDegrees: number): ThingShape {
  const tilt = radians(incidenceDegrees),
    half = Math.min(thicknessMm, chordMm) / 2,
    point = (along: number, up: number): Point => ({
      x: from.x + along * Math.cos(tilt) + up * Math.sin(tilt),
      y: from.y - along * Math.sin(tilt) + up * Math.cos(tilt),
    });
  return edge([
    point(0, 0),
    point(0.08 * chordMm, half),
    point(0.35 * chordMm, half),
    point(chordMm, 0.15 * half),
    point(chordMm, -0.15 * half),
    point(0.35 * chordMm, -half),
    point(0.08 * chordMm, -half),
  ]);
}

/** The hinge and both ends of a control surface on the starboard half, in x and y; of a fin in x and z. */
export function controlLines(surface: SurfaceThing): readonly (readonly Point[])[] {
  const { control } = surface;
  if (!control) return [];
  const chords = placedChords(surface);
  const at = (outMm: number): { hinge: Point; trailing: Point } => {
    const { sweepMm, chordMm } = chordAt(surface, outMm),
      index = Math.max(
        1,
        surface.stations.findIndex((station) => station.outMm >= outMm),
      ),
      [a, b] = [chords[index - 1]!, chords[Math.min(index, chords.length - 1)]!],
      [from, to] = [surface.stations[index - 1]!.outMm, surface.stations[Math.min(index, chords.length - 1)]!.outMm],
      t = to === from ? 0 : (outMm - from) / (to - from),
      up = surface.kind === 'fin' ? a.z + t * (b.z - a.z) : a.y + t * (b.y - a.y),
      x = surface.at.x + sweepMm + chordMm;
    return { hinge: { x: x - Math.min(control.chordMm, chordMm), y: up }, trailing: { x, y: up } };
  };
  const [inner, outer] = [at(control.fromMm), at(control.toMm)];
  return [[inner.trailing, inner.hinge, outer.hinge, outer.trailing]];
}

function finShapes(fin: SurfaceThing, view: PlanView): readonly ThingShape[] {
  const chords = placedChords(fin),
    half = fin.thicknessMm / 2,
    sides = fin.apartMm > 0 ? [-1, 1] : [0];
  switch (view) {
    case 'side':
      return [
        edge([
          ...chords.map(({ x, z }) => ({ x, y: z })),
          ...chords.map(({ x, z, chordMm }) => ({ x: x + chordMm, y: z })).reverse(),
        ]),
        ...controlLines(fin).map((points) => within(...points)),
      ];
    case 'top': {
      const from = Math.min(...chords.map(({ x }) => x)),
        to = Math.max(...chords.map(({ x, chordMm }) => x + chordMm));
      return sides.map((side) => {
        const y = fin.at.y + (side * fin.apartMm) / 2;
        return edge([
          { x: from, y: y - half },
          { x: to, y: y - half },
          { x: to, y: y + half },
          { x: from, y: y + half },
        ]);
      });
    }
    case 'front': {
      const [low, high] = [Math.min(...chords.map(({ z }) => z)), Math.max(...chords.map(({ z }) => z))];
      return sides.map((side) => {
        const x = -(fin.at.y + (side * fin.apartMm) / 2);
        return edge([
          { x: x - half, y: low },
          { x: x + half, y: low },
          { x: x + half, y: high },
          { x: x - half, y: high },
        ]);
      });
    }
  }
}

function bodyShapes({ at, stations }: BodyThing, view: PlanView): readonly ThingShape[] {
  const inner = stations.slice(1, -1);
  switch (view) {
    case 'side':
      return [
        edge([
          ...stations.map(({ aftMm, bottomMm }) => ({ x: at.x + aftMm, y: at.z + bottomMm })),
          ...stations.map(({ aftMm, topMm }) => ({ x: at.x + aftMm, y: at.z + topMm })).reverse(),
        ]),
        ...inner.map(({ aftMm, bottomMm, topMm }) =>
          within({ x: at.x + aftMm, y: at.z + bottomMm }, { x: at.x + aftMm, y: at.z + topMm }),
        ),
      ];
    case 'top':
      return [
        edge([
          ...stations.map(({ aftMm, widthMm }) => ({ x: at.x + aftMm, y: at.y - widthMm / 2 })),
          ...stations.map(({ aftMm, widthMm }) => ({ x: at.x + aftMm, y: at.y + widthMm / 2 })).reverse(),
        ]),
        ...inner.map(({ aftMm, widthMm }) =>
          within({ x: at.x + aftMm, y: at.y - widthMm / 2 }, { x: at.x + aftMm, y: at.y + widthMm / 2 }),
        ),
      ];
    case 'front': {
      const rectangles = stations.map(({ bottomMm, topMm, widthMm }) => ({
        area: (topMm - bottomMm) * widthMm,
        shape: edge([
          { x: -at.y - widthMm / 2, y: at.z + bottomMm },
          { x: -at.y + widthMm / 2, y: at.z + bottomMm },
          { x: -at.y + widthMm / 2, y: at.z + topMm },
          { x: -at.y - widthMm / 2, y: at.z + topMm },
        ]),
      }));
      return [...rectangles]
        .sort((a, b) => b.area - a.area)
        .map(({ shape }, index): ThingShape => (index === 0 ? shape : { ...shape, role: 'within' }));
    }
  }
}

function wheelShapes(wheel: WheelThing, view: PlanView): readonly ThingShape[] {
  const axle = wheel.at.z - wheel.legMm,
    radius = wheel.diameterMm / 2,
    outs = wheel.apartMm > 0 ? [-wheel.apartMm / 2, wheel.apartMm / 2] : [0];
  if (view === 'side')
    return [
      round({ x: wheel.at.x, y: axle }, radius),
      within({ x: wheel.at.x, y: wheel.at.z }, { x: wheel.at.x, y: axle }),
    ];
  return outs.flatMap((out) => {
    const y = wheel.at.y + out,
      half = wheel.widthMm / 2;
    return view === 'top'
      ? [
          edge([
            { x: wheel.at.x - radius, y: y - half },
            { x: wheel.at.x + radius, y: y - half },
            { x: wheel.at.x + radius, y: y + half },
            { x: wheel.at.x - radius, y: y + half },
          ]),
        ]
      : [
          edge([
            { x: -y - half, y: axle - radius },
            { x: -y + half, y: axle - radius },
            { x: -y + half, y: axle + radius },
            { x: -y - half, y: axle + radius },
          ]),
          within({ x: -wheel.at.y, y: wheel.at.z }, { x: -y, y: axle }),
        ];
  });
}
