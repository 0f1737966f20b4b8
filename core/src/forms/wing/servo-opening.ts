import type { PanelSite } from './panel.ts';
import type { MadeHole } from '../form/made-part.ts';

export function servoOpenings(_site: PanelSite): readonly MadeHole[] {
  return [];
}
