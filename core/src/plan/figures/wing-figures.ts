import { formatLengthWithUnit, formatRounded, formatWingArea, type LengthUnit } from '../../units/index.ts';
import type { Plan } from '../plan.ts';
import { TYPE_TRAITS } from '../proposals/plan-types.ts';
import { surfaceMeasures } from '../things/surface-measures.ts';
import { BEGIN, figure, type PlanFigure } from './plan-figure.ts';
import type { WingSet } from './wing-set.ts';

/** Sizes of the wings: span, area, mean chord, with what is usual of their shape. */
export function wingFigures(plan: Plan, set: WingSet, unit: LengthUnit): readonly PlanFigure[] {
  const traits = TYPE_TRAITS[plan.type],
    length = (mm: number): string => formatLengthWithUnit(mm, unit),
    area = (mm2: number): string => formatWingArea(mm2, unit);
  const { rootChordMm, tipChordMm } = surfaceMeasures(set.wings[0]!);
  // Each wing of a biplane by itself: two together are not twice as slender.
  const aspect = (set.spanMm ** 2 / set.areaMm2) * set.wings.length,
    taper = tipChordMm / rootChordMm;
  return [
    figure({
      key: 'span',
      word: 'Span',
      text: `${formatRounded(set.spanMm, unit)} ${unit}`,
      amount: set.spanMm,
      working: [`From tip to tip as seen from above: ${length(set.spanMm)}.`],
      source: 'dihedral projected: each panel by the cosine of its angle',
    }),
    figure({
      key: 'area',
      word: set.wings.length > 1 ? 'Wing areas' : 'Wing area',
      text: area(set.areaMm2),
      amount: set.areaMm2,
      working: [
        ...set.wings.map(
          (wing) => `${wing.name}: both halves, panel by panel, mean of two chords times their distance.`,
        ),
        `Together ${area(set.areaMm2)}, the part within the body counted.`,
      ],
      source: 'trapezium from chord to chord, seen from above',
    }),
    figure({
      key: 'aspect',
      word: 'Aspect ratio',
      text: aspect.toFixed(1),
      amount: aspect,
      usual: traits.aspect,
      working: [
        set.wings.length > 1
          ? `Span ² over the mean area of ${set.wings.length} wings: ${aspect.toFixed(2)}.`
          : `Span ² over area: ${length(set.spanMm)} ² / ${area(set.areaMm2)} = ${aspect.toFixed(2)}.`,
      ],
      source: `b²/S; usual: ${BEGIN}`,
    }),
    figure({
      key: 'taper',
      word: 'Taper',
      text: taper.toFixed(2),
      amount: taper,
      usual: traits.taper,
      working: [`Tip chord over root chord: ${length(tipChordMm)} / ${length(rootChordMm)}.`],
      source: `usual: ${BEGIN}`,
    }),
    figure({
      key: 'meanChord',
      word: 'Mean chord',
      text: length(set.chordMm),
      amount: set.chordMm,
      working: [
        `(2/S) ∫ c² dy = ${length(set.chordMm)}.`,
        `Its leading edge lies ${length(set.leadingEdgeMm)} aft of the datum, ${length(set.outMm)} out.`,
        ...(set.wings.length > 1 ? ['Of several wings: the mean by area.'] : []),
      ],
      source: 'mean aerodynamic chord, exact for straight edges, swept or cranked',
    }),
  ];
}
