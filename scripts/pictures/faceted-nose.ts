import type { Part } from '@grain-fold/core/part';
import { closed, Drafter, groove } from '../demo/drafter.ts';

/**
 * Nose of flat facets round a pyramid with its point cut off: a fan of facets, each `facetDegrees` wide at the point, from one radius to
 * another. Neighbours fold by the angle between the pyramid's faces, and the last meets the first.
 */
export function facetedNose(
  material: string,
  facets: number,
  facetDegrees: number,
  outerMm: number,
  innerMm: number,
): Part {
  const at = (radius: number, index: number): [number, number] => [
    radius * Math.cos((index * facetDegrees * Math.PI) / 180),
    radius * Math.sin((index * facetDegrees * Math.PI) / 180),
  ];
  // The pyramid's edges stand round its axis, 360°/n apart, each so far from it that two of them lie the facet's angle apart.
  const around = (2 * Math.PI) / facets,
    across = Math.sin((facetDegrees * Math.PI) / 360) / Math.sin(around / 2),
    along = Math.sqrt(1 - across ** 2);
  const edge = (index: number): [number, number, number] => [
    across * Math.cos(index * around),
    across * Math.sin(index * around),
    along,
  ];
  const normal = (index: number): [number, number, number] => {
    const [a, b] = [edge(index), edge(index + 1)];
    return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
  };
  const [m, n] = [normal(0), normal(1)];
  const foldDegrees =
    (Math.acos((m[0] * n[0] + m[1] * n[1] + m[2] * n[2]) / (m[0] ** 2 + m[1] ** 2 + m[2] ** 2)) * 180) / Math.PI;
  const rim = Array.from({ length: facets + 1 }, (_, index) => at(outerMm, index)),
    point = Array.from({ length: facets + 1 }, (_, index) => at(innerMm, facets - index));
  const drawn = Drafter.start('nose', 'Nose of facets', material, '', {
    notes: 'Grooves inward; the last facet meets the first.',
  }).outline(closed(rim[0]!, [...rim.slice(1), ...point]));
  const folded = Array.from({ length: facets - 1 }, (_, index) => index + 1).reduce(
    (nose, index) => nose.line([at(innerMm, index), at(outerMm, index)], groove(foldDegrees)),
    drawn,
  );
  return folded.bevel([facets, 2 * facets + 1], foldDegrees / 2, 'closing seam').part;
}
