import { composeRigid, point3, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadePartDraft } from '../form/index.ts';
import type { PanelSite } from './panel.ts';
import type { FreeHeights } from './skin-room.ts';

/** A strip lower than this closes nothing, in mm. */
const LEAST_HIGH_MM = 1.5;

/** One end of a strip that stands between the skins along the wing. */
interface StripEnd {
  readonly outMm: number;
  /** Of the skin that looks aft. */
  readonly aftMm: number;
  /** What is free there; undefined where nothing is. */
  readonly free: FreeHeights | undefined;
}

/** A strip of one board on edge between both skins, from one place out along a panel to another; none where it would close nothing. */
export function uprightStrip(
  site: PanelSite,
  draft: Pick<MadePartDraft, 'role' | 'name' | 'notes'>,
  inner: StripEnd,
  outer: StripEnd,
): readonly Part[] {
  const [root, tip] = [inner.free, outer.free];
  if (!root || !tip || Math.min(root.top - root.low, tip.top - tip.low) < LEAST_HIGH_MM) return [];
  const { laid, wing } = site,
    run = outer.outMm - inner.outMm,
    aft = outer.aftMm - inner.aftMm,
    length = Math.hypot(run, aft),
    along = point3(run / length, aft / length, 0);
  const map: RigidMap = {
    x: along,
    y: point3(0, 0, 1),
    z: point3(along.y, -along.x, 0),
    origin: point3(inner.outMm, inner.aftMm, 0),
  };
  return [
    madePart({
      ...draft,
      formId: site.formId,
      group: site.formName,
      material: wing.material,
      handed: laid.isMiddle ? 'single' : 'pair',
      grain: { directionDegrees: 0, rule: 'along' },
      outline: [
        { at: { x: 0, y: root.low }, edge: 'foot' },
        { at: { x: length, y: tip.low }, edge: 'tip' },
        { at: { x: length, y: tip.top }, edge: 'top' },
        { at: { x: 0, y: root.top }, edge: 'root' },
      ],
      place: placeIn(site.place, composeRigid(map, laid.map), { x: length / 2, y: (root.low + root.top) / 2 }),
    }),
  ];
}
