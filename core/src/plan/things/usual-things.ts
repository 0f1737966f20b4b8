import type { AirframePoint } from '../../part/index.ts';
import { THING_WORDS, type PlannedThing, type SurfaceStation, type SurfaceThing, type ThingKind } from './thing.ts';

const HERE: AirframePoint = { x: 0, y: 0, z: 0 };

/** Two chords, root and tip, of a surface half. */
export const twoChords = (
  halfMm: number,
  rootMm: number,
  tipMm: number,
  sweepMm = 0,
): readonly [SurfaceStation, SurfaceStation] => [
  { outMm: 0, sweepMm: 0, chordMm: rootMm },
  { outMm: halfMm, sweepMm, chordMm: tipMm },
];

const surface = (
  id: string,
  kind: SurfaceThing['kind'],
  stations: readonly SurfaceStation[],
  angle: number,
  thicknessMm: number,
): SurfaceThing => ({
  id,
  kind,
  name: THING_WORDS[kind],
  at: HERE,
  stations,
  angles: [angle],
  incidenceDegrees: 0,
  thicknessMm,
  apartMm: 0,
});

/** A thing of a kind in a size that is common for a model of about a metre, to start from. @param boardMm thickness of the board */
export function usualThing(kind: ThingKind, id: string, boardMm: number): PlannedThing {
  const base = { id, name: THING_WORDS[kind], at: HERE };
  switch (kind) {
    case 'wing':
      return surface(id, kind, twoChords(500, 180, 180), 0, 6 * boardMm);
    case 'tail':
      return surface(id, kind, twoChords(190, 120, 100, 20), 0, boardMm);
    case 'fin':
      return surface(id, kind, twoChords(140, 130, 90, 40), 90, boardMm);
    case 'body':
      return {
        ...base,
        kind,
        stations: [
          { aftMm: 0, bottomMm: -30, topMm: 30, widthMm: 60 },
          { aftMm: 200, bottomMm: -45, topMm: 45, widthMm: 70 },
          { aftMm: 750, bottomMm: -10, topMm: 30, widthMm: 30 },
        ],
      };
    case 'wheel':
      return { ...base, kind, diameterMm: 60, widthMm: 15, apartMm: 180, legMm: 90 };
    case 'propeller':
      return { ...base, kind, diameterMm: 228.6, depthMm: 12 };
    case 'motor':
      return { ...base, kind, lengthMm: 30, widthMm: 28, heightMm: 28, massG: 55, powerW: 180 };
    case 'pack':
      return { ...base, kind, lengthMm: 75, widthMm: 35, heightMm: 22, massG: 110, powerW: 250 };
    case 'servo':
      return { ...base, kind, lengthMm: 23, widthMm: 12, heightMm: 24, massG: 9 };
    case 'receiver':
      return { ...base, kind, lengthMm: 40, widthMm: 22, heightMm: 12, massG: 8 };
    case 'speed control':
      return { ...base, kind, lengthMm: 45, widthMm: 24, heightMm: 10, massG: 22 };
    case 'deck':
      return { ...base, kind, lengthMm: 120, widthMm: 50, heightMm: 60, massG: 20 };
  }
}
