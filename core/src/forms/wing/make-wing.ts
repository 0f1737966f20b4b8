import type { Form, FormContext, MadeForm } from '../form/index.ts';
import { layPanels } from './panel-layout.ts';
import { panelSections, placedCorners } from './panel-sections.ts';
import { panelSite, tipCorners, type PanelSite } from './panel.ts';
import { skinPart } from './skin-part.ts';
import { sparParts } from './spar-strips.ts';

export function makeWing(form: Form, context: FormContext): MadeForm<undefined> {
  const wing = form.parameters,
    board = context.boardOf(wing.material);
  const laid = layPanels(wing),
    sections = panelSections(wing, laid, board.thicknessMm);
  if ('refused' in sections) return { parts: [], figures: undefined, working: [], faults: [] };
  const about = { formId: form.id, formName: form.name, place: form.place, wing, board };
  const sites: PanelSite[] = [];
  for (const [index, one] of laid.entries()) {
    const before = sites.at(-1);
    const roots = before
      ? tipCorners(before)
      : placedCorners(sections[index]!.root, one.rootNoseMm, one.rootWashoutDegrees);
    sites.push(panelSite(about, one, sections[index]!, roots));
  }
  return { parts: sites.flatMap((site) => [skinPart(site), ...sparParts(site)]), figures: undefined, working: [], faults: [] };
}
