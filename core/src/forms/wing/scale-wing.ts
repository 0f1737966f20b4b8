import type { WingParameters } from './parameters.ts';

/** A wing of another size: its own lengths scale; what follows the board, the servo or the knife does not. */
export const scaleWing = (wing: WingParameters, factor: number): WingParameters => ({
  ...wing,
  rootChordMm: wing.rootChordMm * factor,
  // A rod and the sleeve of a tube are bought as thick as they are.
  sparHeightMm: wing.sparKind === 'rod' ? wing.sparHeightMm : wing.sparHeightMm * factor,
  ...(wing.ribs
    ? {
        ribs: {
          ...wing.ribs,
          spacingMm: wing.ribs.spacingMm * factor,
          tubes: wing.ribs.tubes.map((tube) => ({ ...tube, reachMm: tube.reachMm * factor })),
        },
      }
    : {}),
  ...(wing.braces ? { braces: { ...wing.braces, reachMm: wing.braces.reachMm * factor } } : {}),
  panels: wing.panels.map((panel) => ({
    ...panel,
    spanMm: panel.spanMm * factor,
    tipChordMm: panel.tipChordMm * factor,
    ...(panel.tipSparHeightMm !== undefined ? { tipSparHeightMm: panel.tipSparHeightMm * factor } : {}),
  })),
  controls: wing.controls.map((control) => ({
    ...control,
    fromMm: control.fromMm * factor,
    toMm: control.toMm * factor,
    chordMm: control.chordMm * factor,
    ...(control.tipChordMm !== undefined ? { tipChordMm: control.tipChordMm * factor } : {}),
  })),
  servos: wing.servos.map((servo) => ({ ...servo, outMm: servo.outMm * factor })),
});
