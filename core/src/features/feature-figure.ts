import { formatAngle, formatLength, type LengthUnit } from '../units/index.ts';
import type { Feature } from './feature.ts';

/** The number that tells one feature of a kind from another, for lists. */
export function featureFigure(feature: Feature, unit: LengthUnit): string {
  const length = (mm: number): string => formatLength(mm, unit);
  switch (feature.kind) {
    case 'tabs':
      return `${feature.count} × ${length(feature.lengthMm)}`;
    case 'slots':
      return feature.slantDegrees === 0 ? 'square' : formatAngle(feature.slantDegrees);
    case 'lap':
      return feature.label || feature.material;
    case 'dowel':
    case 'wire':
      return length(feature.diameterMm);
    case 'lightening':
    case 'finger':
    case 'servo':
    case 'hatch':
      return `${length(feature.lengthMm)} × ${length(feature.widthMm)}`;
    case 'balance':
      return feature.label;
    case 'stations':
      return `${feature.places.length} places`;
    case 'lettering':
      return feature.text;
  }
}
