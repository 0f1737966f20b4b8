import type { FormContext, MadeForm } from '../form/index.ts';
import { braceFaults, braceParts } from './braces.ts';
import { channelFaults } from './channel-faults.ts';
import { templateParts } from './core-templates.ts';
import { controlParts } from './control-surface.ts';
import { gaugeParts } from './gauges.ts';
import { jigParts } from './jig-parts.ts';
import { layPanels } from './panel-layout.ts';
import { panelSections, placedCorners } from './panel-sections.ts';
import { panelSite, tipCorners, type PanelSite } from './panel.ts';
import { tubeFaults } from './rib-faults.ts';
import { ribParts } from './ribs.ts';
import { layerParts } from './sheet-layers.ts';
import { skinParts } from './skin-part.ts';
import { sparParts } from './spar-strips.ts';
import { wingStations, type WingStation } from './stations.ts';
import { tailStripParts } from './tail-strip.ts';
import { adviceFaults } from './wing-advice.ts';
import type { WingForm } from './wing-form.ts';
import { blockingFaults, crossedEnds } from './wing-faults.ts';
import { wingFigures, type WingFigures } from './wing-figures.ts';
import { wingWorking } from './wing-working.ts';

/** A wing made, with its panels as they were worked out: for pictures of its sections. */
export interface MadeWing extends MadeForm<WingFigures> {
  readonly sites: readonly PanelSite[];
}

const nothing = (faults: MadeWing['faults']): MadeWing => ({
  parts: [],
  figures: undefined,
  working: [],
  faults,
  sites: [],
});

/** A wing of foam: templates to cut it by, and what holds it while it is glued. */
function coredWing(sites: readonly PanelSite[], stations: readonly WingStation[], context: FormContext): MadeWing {
  const figures = wingFigures(sites, [], stations, context);
  return {
    parts: [...sites.flatMap(templateParts), ...jigParts(sites, stations), ...gaugeParts(sites, stations)],
    figures,
    working: wingWorking(sites, figures, context),
    faults: [],
    sites,
  };
}

/**
 * Makes a wing: its skins, spars, strips and helps, each with its place in the airframe, and its seams.
 * @returns no parts, and faults with values that work, when the numbers make no wing
 */
export function makeWing(form: WingForm, context: FormContext): MadeWing {
  const wing = form.parameters;
  const blocking = blockingFaults(wing, context);
  if (blocking.length > 0) return nothing(blocking);
  const board = context.boardOf(wing.material),
    laid = layPanels(wing),
    sections = panelSections(wing, laid, context.boardOf);
  if ('refused' in sections) return nothing([]);
  const about = {
    formId: form.id,
    formName: form.name,
    place: form.place,
    wing,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
  };
  const sites: PanelSite[] = [];
  for (const [index, one] of laid.entries()) {
    const before = sites.at(-1);
    const roots = before
      ? tipCorners(before)
      : placedCorners(sections[index]!.root, one.rootNoseMm, one.rootWashoutDegrees);
    sites.push(panelSite(about, one, sections[index]!, roots));
  }
  const stations = wingStations(laid);
  const crossed = [
    ...crossedEnds(sites, context),
    ...tubeFaults(sites, context),
    ...channelFaults(sites, context),
    ...braceFaults(sites, stations, context),
  ];
  if (crossed.length > 0) return nothing(crossed);
  if (wing.build === 'cored') return coredWing(sites, stations, context);
  const standing = [
    ...sites.flatMap((site) => [
      ...skinParts(site),
      ...sparParts(site),
      ...tailStripParts(site),
      ...controlParts(site),
      ...layerParts(site),
      ...ribParts(site),
    ]),
    ...braceParts(sites, stations),
  ];
  const figures = wingFigures(sites, standing, stations, context);
  return {
    parts: [...standing, ...jigParts(sites, stations), ...gaugeParts(sites, stations)],
    figures,
    working: wingWorking(sites, figures, context),
    faults: adviceFaults(sites, context),
    sites,
  };
}
