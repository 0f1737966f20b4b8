import type { LengthUnit } from '../../units/index.ts';
import { USUAL_CAMBER, USUAL_LAYERS, type WingBuild } from './builds.ts';
import { USUAL_CORE } from './core-parameters.ts';
import { NO_GAUGES } from './gauge-parameters.ts';
import { wingFromNumbers, type WingControl, type WingParameters, type WingStart } from './parameters.ts';
import type { WingForm } from './wing-form.ts';

export const WING_STARTS = ['wing', 'flying wing', 'V-tail', 'biplane', 'canard'] as const;
/** What is started: one wing, or two of which one stands by the other. */
export type WingStartKind = (typeof WING_STARTS)[number];

/** What a wing is started as: what it is built of, or a plate with a sheet bent over a strip on it. */
export type WingStartBuild = WingBuild | 'covered';

/** A flying wing balances so far forward, in per cent of its mean chord. */
const FLYING_WING_BALANCE = 18;

type Numbers = Omit<WingStart, 'material'>;
const INCH = 25.4;
/** Span, chord in the middle, chord at the tip, spar's height in mm; dihedral in degrees. */
const USUAL: Readonly<Record<WingStartKind, readonly [number, number, number, number, number]>> = {
  wing: [900, 180, 180, 10, 4],
  'flying wing': [900, 300, 180, 10, 0],
  'V-tail': [360, 120, 90, 5, 37.5],
  biplane: [760, 150, 150, 8, 2],
  canard: [900, 190, 150, 10, 3],
};
/** The same where inches are used: whole inches, and eighths of one for the spar. */
const IN_INCHES: typeof USUAL = {
  wing: [36, 7, 7, 0.375, 4],
  'flying wing': [36, 12, 7, 0.375, 0],
  'V-tail': [14, 5, 3.5, 0.25, 37.5],
  biplane: [30, 6, 6, 0.375, 2],
  canard: [36, 7.5, 6, 0.375, 3],
};

/** The numbers that a kind of wing is usually started from, in mm. */
export function usualNumbers(kind: WingStartKind, unit: LengthUnit): Numbers {
  const factor = unit === 'in' ? INCH : 1,
    [span, root, tip, spar, dihedral] = (unit === 'in' ? IN_INCHES : USUAL)[kind];
  return {
    spanMm: span * factor,
    rootChordMm: root * factor,
    tipChordMm: tip * factor,
    sparHeightMm: spar * factor,
    dihedralDegrees: dihedral,
  };
}

/** A wing of six numbers, built as is said. */
function builtAs(numbers: WingStart, build: WingStartBuild): WingParameters {
  const wing = wingFromNumbers(numbers);
  if (build === 'folded') return wing;
  if (build === 'covered') return { ...wing, nose: 'parted', skin: 'bent' };
  return {
    ...wing,
    build,
    ...(build === 'stepped' ? { layers: USUAL_LAYERS } : {}),
    ...(build === 'cambered' ? { camber: USUAL_CAMBER } : {}),
    ...(build === 'cored' ? { core: USUAL_CORE, section: { ...wing.section, kind: 'naca', digits: '2412' } } : {}),
  };
}

/** One control along the outer part of a wing's only panel. */
const along = (
  wing: WingParameters,
  from: number,
  to: number,
  share: number,
  kind: WingControl['kind'],
): WingControl => {
  const [panel] = wing.panels,
    chord = Math.min(wing.rootChordMm, panel!.tipChordMm);
  return {
    panelId: panel!.id,
    kind,
    fromMm: Math.round(from * panel!.spanMm),
    toMm: Math.round(to * panel!.spanMm),
    chordMm: Math.max(8, Math.round(share * chord)),
    throwDegrees: 20,
    gapMm: 1.5,
  };
};

const swept = (wing: WingParameters, sweepDegrees: number): WingParameters => ({
  ...wing,
  panels: wing.panels.map((panel) => ({ ...panel, sweepDegrees })),
});

/**
 * The forms that a kind of wing starts as, from six numbers.
 * @param naming an id and a name that is free, for each: the second stands by the first
 */
export function formsFromNumbers(
  kind: WingStartKind,
  build: WingStartBuild,
  numbers: WingStart,
  naming: (name: string) => { readonly id: string; readonly name: string },
): readonly WingForm[] {
  const place = { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 };
  const form = (name: string, parameters: WingParameters): WingForm => ({
    ...naming(name),
    kind: 'wing',
    parameters,
    place,
  });
  const wing = builtAs(numbers, build),
    chord = numbers.rootChordMm;
  if (kind === 'flying wing') {
    const own = swept(wing, 25);
    return [
      form('Wing', {
        ...own,
        controls: [along(own, 0.3, 0.95, 0.18, 'elevon')],
        gauges: { ...NO_GAUGES, balancePercent: FLYING_WING_BALANCE },
      }),
    ];
  }
  if (kind === 'V-tail') {
    const own = swept(wing, 15);
    return [
      form('V-tail', { ...own, controls: [along(own, 0.16, 0.94, 0.3, 'elevon')], hasTipBlocks: false, hasJigs: true }),
    ];
  }
  if (kind === 'biplane') {
    const upper = form('Upper wing', wing);
    return [
      upper,
      {
        ...form('Lower wing', wing),
        standsBy: { formId: upper.id, aftMm: Math.round(0.3 * chord), upMm: -Math.round(chord), noseDownDegrees: 1 },
      },
    ];
  }
  if (kind === 'canard') {
    const isSkinned = build === 'folded' || build === 'covered',
      main = form('Wing', swept(wing, 10)),
      small = builtAs(
        {
          ...numbers,
          spanMm: 0.42 * numbers.spanMm,
          rootChordMm: 0.5 * chord,
          tipChordMm: 0.5 * numbers.tipChordMm,
          sparHeightMm: Math.max(1, 0.5 * numbers.sparHeightMm),
          dihedralDegrees: 0,
        },
        isSkinned ? 'stepped' : build,
      );
    const foreplane = form('Foreplane', {
      ...small,
      ...(isSkinned ? { layers: [] } : {}),
      controls: [along(small, 0.1, 0.94, 0.3, 'elevon')],
      hasTipBlocks: false,
    });
    return [
      main,
      {
        ...foreplane,
        standsBy: { formId: main.id, aftMm: -Math.round(2.4 * chord), upMm: 0, noseDownDegrees: -2 },
      },
    ];
  }
  return [form('Wing', wing)];
}
