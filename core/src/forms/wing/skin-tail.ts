import { applyRigid, interpolate, invertRigid, type Point } from '../../geometry/index.ts';
import type { MadeEdgeWork, MadeLine, MadeSeam } from '../form/index.ts';
import { controlsOf, tailEdges } from './control-place.ts';
import { hasSkins, type PanelSite } from './panel.ts';
import { isParted, upperRole } from './skin-sheets.ts';
import { tailBevel } from './tail-bevels.ts';

/** Where the lower skin's inner edge comes on the upper skin. */
export function lapMark(site: PanelSite): readonly MadeLine[] {
  const { sections, skin, board } = site;
  const [root, tip] = [sections.root.section.lapMm, sections.tip.section.lapMm];
  if (!root || !tip) return [];
  const last = skin.flat.length - 1;
  const low = skin.ends[0]!,
    top = skin.ends[last]!;
  // Where both tails lie beside each other; the lower one's inner edge runs the lap before its tail, a board over its outside.
  const [inner, outer] = [Math.max(low.root.x, top.root.x), Math.min(low.tip.x, top.tip.x)];
  // Of a twisted plate the piece beside the tail, which has the whole of it.
  const back = invertRigid(skin.plates[last - 1]!.pieces.at(-1)!.map);
  const contact = (out: number, lapMm: number): Point => {
    const share = (out - low.root.x) / (low.tip.x - low.root.x);
    const at = {
      x: out,
      y: low.root.y + (low.tip.y - low.root.y) * share - lapMm,
      z: low.root.z + (low.tip.z - low.root.z) * share + board.thicknessMm,
    };
    const { x, y } = applyRigid(back, at);
    return { x, y };
  };
  return [
    {
      name: 'lap',
      from: contact(inner, root),
      to: contact(outer, tip),
      work: { kind: 'mark', face: 'face', label: 'lap' },
    },
  ];
}

/** The bevels of both tail edges, and of the tails of controls that stay on the lower skin under an upper one. */
export const tailWork = (site: PanelSite): readonly MadeEdgeWork[] =>
  (['low', 'top'] as const).flatMap((side): readonly MadeEdgeWork[] => {
    const work = tailBevel(site, side);
    const edges = [...tailEdges(site, side), ...(side === 'low' ? heldControls(site).map(({ edge }) => edge) : [])];
    return work ? [{ name: `bevel-tail-${side}`, edges, work }] : [];
  });

/** Controls that stay on the lower skin and have an upper one of their own: the edge of their tail, and that one's role. */
const heldControls = (site: PanelSite): readonly { readonly edge: string; readonly role: string }[] =>
  hasSkins(site)
    ? controlsOf(site).flatMap(({ hinge, hasUpperSkin, kind }, index) =>
        hinge === 'skin' && hasUpperSkin
          ? [{ edge: `control-low-${index + 1}`, role: `${kind}-top-${site.laid.number}-${index + 1}` }]
          : [],
      )
    : [];

/** Whether the lower tail closes on the lap's mark: where the top goes on past it. */
export const closesOnLap = ({ wing }: PanelSite, lap: readonly MadeLine[]): boolean =>
  lap.length > 0 && (wing.lapMm !== undefined || wing.controls.length > 0);

/** What the tail of a control's lower half meets on its upper one: its tail, or the mark of its lap. */
export const upperTail = (site: PanelSite): 'lap' | 'tail' => (closesOnLap(site, lapMark(site)) ? 'lap' : 'tail');

/** The mark of the lap on a stretch of the upper skin, from one place out along the panel to another. */
export function lapStretch(site: PanelSite, fromMm: number, toMm: number): readonly MadeLine[] {
  if (upperTail(site) === 'tail') return [];
  const [low, top] = [site.skin.ends[0]!, site.skin.ends.at(-1)!],
    [inner, outer] = [Math.max(low.root.x, top.root.x), Math.min(low.tip.x, top.tip.x)];
  return lapMark(site).map((mark) => {
    const at = (out: number): Point => interpolate(mark.from, mark.to, (out - inner) / (outer - inner));
    return { ...mark, from: at(fromMm), to: at(toMm) };
  });
}

/** Each stretch of the lower tail meets its stretch of the upper one, which another sheet may have. */
export function tailSeams(site: PanelSite, toLap: boolean): readonly MadeSeam[] {
  const { laid } = site,
    tops = tailEdges(site, 'top');
  const held = heldControls(site).map(({ edge, role }) => ({
    name: edge,
    from: edge,
    to: upperTail(site),
    role,
    mayOverhang: true,
  }));
  const own = tailEdges(site, 'low').map((from, index) => ({
    name: index === 0 ? 'tail' : `tail-${index}`,
    from,
    to: toLap ? 'lap' : tops[index]!,
    ...(isParted(site) ? { role: upperRole(site, laid.number) } : {}),
    mayOverhang: true,
  }));
  return [...own, ...held];
}
