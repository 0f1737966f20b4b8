export { balancePlace } from './balance-place.ts';
export { BRACE_FIELDS, type WingBraces } from './brace-parameters.ts';
export {
  CAMBER_FIELDS,
  LAYER_FIELDS,
  LAYER_SIDES,
  MOST_LAYERS,
  USUAL_CAMBER,
  USUAL_LAYERS,
  USUAL_NOSE_ROUND_MM,
  WING_BUILDS,
  type WingBuild,
  type WingLayer,
} from './builds.ts';
export { controlChordAt } from './control-chords.ts';
export { CORE_FIELDS, USUAL_CORE, type WingCore } from './core-parameters.ts';
export { GAUGE_FIELDS, NO_GAUGES, type WingGauges } from './gauge-parameters.ts';
export type { FormField } from '../form/index.ts';
export { type MadeWing, makeWing } from './make-wing.ts';
export { type LaidPanel, layPanels } from './panel-layout.ts';
export { drawnOutlineOf } from './panel-sections.ts';
export type { PanelSite } from './panel.ts';
export {
  CONTROL_FIELDS,
  CONTROL_HINGES,
  CONTROL_KINDS,
  DIHEDRAL_AGAINST,
  MOST_CONTROLS,
  MOST_PANELS,
  MOST_SECTION_POINTS,
  MOST_SERVOS,
  PANEL_FIELDS,
  SECTION_FIELDS,
  SECTION_KINDS,
  SERVO_FIELDS,
  SKIN_WAYS,
  SPAR_ENDS,
  SPAR_KINDS,
  SWEEP_LINES,
  WING_FIELDS,
  WING_MIDDLES,
  type WingPanel,
  type WingParameters,
  type WingSection,
  type WingControl,
  type WingServo,
  type WingStart,
  wingFromNumbers,
} from './parameters.ts';
export { MOST_RIBS, MOST_TUBES, RIB_FIELDS, TUBE_FIELDS, type WingRibs, type WingTube } from './rib-parameters.ts';
export { formFromPlanned, plannedFrom, withPlannedShape } from './planned-wing.ts';
export { rodWords } from './rod-lengths.ts';
export { ribPlaces } from './rib-places.ts';
export { sheetRings } from './sheet-layers.ts';
export { WING_STARTS, type WingStartBuild, type WingStartKind, formsFromNumbers, usualNumbers } from './wing-starts.ts';
export { scaleWing } from './scale-wing.ts';
export { type LaidServo, laidServo } from './servo-opening.ts';
export { withPanels } from './with-panels.ts';
export { standingWing } from './standing-wing.ts';
export type { WingForm } from './wing-form.ts';
export { wingMaterials } from './wing-materials.ts';
export type { WingStation } from './stations.ts';
export type { WingFigures } from './wing-figures.ts';
export { wingNumbers } from './wing-numbers.ts';
