import { type Airframe, DEFAULT_SETTINGS, standardBoard } from '../src/airframe/index.ts';
import { applyCommand } from '../src/editing/index.ts';
import { featureTraits, type Feature } from '../src/features/index.ts';
import { emptyPart, type Part } from '../src/part/index.ts';
import { polygonDraft, rectangleDraft, type PathDraft } from '../src/paths/index.ts';

const MATERIAL = 'faced board';
function outlined(id: string, name: string, draft: PathDraft): Part {
  const result = applyCommand(emptyPart(id, name, MATERIAL), { name: 'drawOutline', args: { draft } });
  if (!result.ok) throw new Error(result.message);
  return result.part;
}
const withFeatures = (part: Part, features: readonly unknown[]): Part => ({
  ...part,
  features: features as readonly Feature[],
  lastId: 10_000,
});
/** A ring of points about a circle, with a wave of some strength. */
const ring = (count: number, radiusMm: number, waveMm: number): PathDraft =>
  polygonDraft(
    Array.from({ length: count }, (_, index) => {
      const turn = (index / count) * 2 * Math.PI,
        radius = radiusMm + waveMm * Math.sin(turn * 50);
      return { x: radius * Math.cos(turn), y: radius * Math.sin(turn) };
    }),
  );
const of = (part: Part, name = part.name): Airframe => ({
  id: 'heavy',
  name,
  settings: DEFAULT_SETTINGS,
  parts: [part],
  boards: [standardBoard('b1', MATERIAL, 'mm')],
});

/** 500 lightening holes in rows. */
export function manyHoles(count = 500): Part {
  const { defaults } = featureTraits('lightening');
  return withFeatures(
    outlined('a', 'Holes', rectangleDraft({ x: 0, y: 0 }, 2000, 1000)),
    Array.from({ length: count }, (_, index) => ({
      ...defaults,
      id: `f${index + 100}`,
      label: '',
      at: { x: 40 + (index % 30) * 64, y: 30 + Math.floor(index / 30) * 55 },
      angleDegrees: index % 360,
    })),
  );
}
/** An outline of 5,000 points. */
export const manyPoints = (count = 5000): Part => outlined('a', 'Points', ring(count, 300, 20));
/** 2,000 tabs on 20 edges. */
export function manyTabs(): Part {
  const part = outlined('a', 'Tabs', ring(20, 7000, 0)),
    [outline] = part.contours;
  return withFeatures(
    part,
    outline!.segments.map(({ id }, index) => ({
      ...featureTraits('tabs').defaults,
      id: `f${index + 1000}`,
      label: '',
      on: { pathId: outline!.id, segmentId: id },
      count: 100,
      lengthMm: 2,
      reachMm: 3,
    })),
  );
}
/** 2,000 marks at stations. */
export function manyStations(): Part {
  const part = outlined('a', 'Stations', ring(10, 400, 0)),
    [outline] = part.contours;
  return withFeatures(
    part,
    outline!.segments.map(({ id }, index) => ({
      ...featureTraits('stations').defaults,
      id: `f${index + 1000}`,
      label: '',
      on: { pathId: outline!.id, segmentId: id },
      places: Array.from({ length: 200 }, (_, place) => ({ atMm: place, name: `S${place}` })),
    })),
  );
}
/** An airframe of as many parts as a file may have. */
export const manyParts = (count = 500): Airframe => ({
  ...of(outlined('p0', 'Parts', ring(40, 60, 3))),
  parts: Array.from({ length: count }, (_, index) =>
    outlined(`p${index}`, `Part ${index}`, ring(40, 60 + (index % 7), 3)),
  ),
});

/** Airframes that take much work, each at its limit. */
export const heavyAirframes = (): readonly Airframe[] => [
  of(manyHoles()),
  of(manyPoints()),
  of(manyTabs()),
  of(manyStations()),
  manyParts(),
];
