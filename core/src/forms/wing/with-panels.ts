import type { WingPanel, WingParameters } from './parameters.ts';

/** A wing with other panels: what belonged to one that is gone goes with it, its servos, its controls, and the tube of its joint. */
export function withPanels(wing: WingParameters, panels: readonly WingPanel[]): WingParameters {
  const ids = new Set(panels.map(({ id }) => id)),
    isLeft = ({ panelId }: { readonly panelId: string }): boolean => ids.has(panelId);
  return {
    ...wing,
    panels,
    servos: wing.servos.filter(isLeft),
    controls: wing.controls.filter(isLeft),
    ...(wing.ribs ? { ribs: { ...wing.ribs, tubes: wing.ribs.tubes.filter(isLeft) } } : {}),
  };
}
