import { applyRigid, composeRigid, midpoint, point3 } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadePartDraft } from '../form/index.ts';
import { endPlane, skinOutline, unrollSkin, type SkinEnd, type SkinLine } from '../skin/index.ts';
import type { PanelSite } from './panel.ts';
import { stopsOf, stripOf, stripsOf, type Strip } from './spar-strip.ts';

/** The walls and the cap of a channel, from its front foot up and over. */
const CHANNEL_PLATES = [{ role: 'front' }, { role: 'cap' }, { role: 'rear' }] as const;

/** A straight line in the panel's frame by its heights at both stations of a strip, on its front or its rear. */
function lineAt({ map, lengthMm }: Strip, root: number, tip: number, inMm: number): SkinLine {
  const at = (x: number, y: number) => applyRigid(map, point3(x, y, inMm));
  return { root: at(0, root), tip: at(lengthMm, tip) };
}

/** How an end of a channel is cut: trimmed square to the plane of the joint, or where it stops short of it. */
const endOf = (end: SkinEnd, outMm: number, shortMm: number, isTip: boolean): SkinEnd =>
  shortMm > 0
    ? { plane: endPlane(outMm + (isTip ? -shortMm : shortMm), 0, isTip), school: 'square', filmMm: 0 }
    : { ...end, school: 'square' };

/**
 * A spar folded of one strip: two walls that stand on the lower skin and a cap under the upper one, skins outward.
 * @param draft what is said of a spar of the panel
 * @source its cap lies under the least height that any strip of its width would have, level along the chord
 */
export function channelSpar(site: PanelSite, draft: Omit<MadePartDraft, 'outline'>): Part {
  const { board, laid } = site,
    t = board.thicknessMm;
  const strips = Array.from({ length: stripsOf(site) }, (_, index) => stripOf(site, index)),
    [front, rear] = [strips[0]!, strips.at(-1)!];
  const least = (end: 'root' | 'tip'): number => Math.min(...strips.map((strip) => strip[end].top));
  const [topRoot, topTip] = [least('root'), least('tip')];
  const lines = [
    lineAt(front, front.root.foot, front.tip.foot, t),
    lineAt(front, topRoot, topTip, t),
    lineAt(rear, topRoot, topTip, 0),
    lineAt(rear, rear.root.foot, rear.tip.foot, 0),
  ];
  const stops = stopsOf(site),
    root = endOf(site.root, 0, stops.root, false),
    tip = endOf(site.tip, laid.panel.spanMm, stops.tip, true);
  const skin = unrollSkin(lines, root.plane, tip.plane, 1);
  const outline = skinOutline(skin, CHANNEL_PLATES, root, tip, t, ['foot', 'foot-rear']);
  const cap = skin.plates[1]!.pieces[0],
    [a, b, c, d] = cap.corners;
  return madePart({
    ...draft,
    outline: outline.corners,
    lines: [1, 2].map((index) => ({
      name: index === 1 ? 'fold-front' : 'fold-rear',
      ...outline.folds[index]!,
      work: {
        kind: 'groove',
        face: 'face',
        foldDegrees: skin.turns[index]!,
        mouthMm: 'auto',
        label: index === 1 ? 'front of the channel' : 'rear of the channel',
      },
    })),
    place: placeIn(site.place, composeRigid(cap.map, laid.map), midpoint(midpoint(a!, b!), midpoint(c!, d!))),
  });
}
