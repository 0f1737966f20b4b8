import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import type { Point } from '../../geometry/index.ts';
import type { MadeEdgeWork, MadeLine, MadeSeam } from '../form/index.ts';
import { tailEdges } from './control-surface.ts';
import { ontoPlate } from './onto-plate.ts';
import type { PanelSite } from './panel.ts';
import { isParted, upperRole } from './skin-sheets.ts';

/** A lap's mark on a plate that twists by more than this lies on no plane that it could be measured on. */
const MOST_LAP_TWIST_MM = 0.5;

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
  const contact = (out: number, end: 'root' | 'tip', lapMm: number): Point => {
    const share = (out - low.root.x) / (low.tip.x - low.root.x);
    const at = {
      x: out,
      y: low.root.y + (low.tip.y - low.root.y) * share - lapMm,
      z: low.root.z + (low.tip.z - low.root.z) * share + board.thicknessMm,
    };
    return ontoPlate(site, last - 1, at, end);
  };
  return [
    {
      name: 'lap',
      from: contact(inner, 'root', root),
      to: contact(outer, 'tip', tip),
      work: { kind: 'mark', face: 'face', label: 'lap' },
    },
  ];
}

/** The bevels of both tail edges. */
export function tailWork(site: PanelSite): readonly MadeEdgeWork[] {
  const { sections } = site;
  // A bevel runs square to its edge, which a taper leans.
  const { root: tailRoot, tip: tailTip } = site.skin.ends[0]!,
    lean = Math.atan2(tailTip.y - tailRoot.y, tailTip.x - tailRoot.x);
  const square = (bevel: number): number =>
    (Math.atan(Math.tan((bevel * Math.PI) / 180) * Math.cos(lean)) * 180) / Math.PI;
  // Where both ends differ the steeper one: glue takes a gap, foam that presses has no place to go.
  const steeper = (which: 'lowDegrees' | 'topDegrees'): number =>
    square(Math.max(sections.root.section.tailBevels[which], sections.tip.section.tailBevels[which]));
  return (
    [
      ['tail-low', steeper('lowDegrees')],
      ['tail-top', steeper('topDegrees')],
    ] as const
  ).flatMap(([edge, bevelDegrees]): readonly MadeEdgeWork[] =>
    bevelDegrees < 0.05
      ? []
      : [
          {
            name: `bevel-${edge}`,
            edges: tailEdges(site, edge === 'tail-low' ? 'low' : 'top'),
            work: {
              kind: 'bevel',
              face: 'face',
              bevelDegrees,
              ...(bevelDegrees > STEEPEST_BEVEL_DEGREES ? { cutBy: 'block' as const } : {}),
              label: 'tail',
            },
          },
        ],
  );
}

/** Whether the lower tail closes on the lap's mark: where the top goes on past it, and its plate is plane enough to measure on. */
export const closesOnLap = ({ wing, skin }: PanelSite, lap: readonly MadeLine[]): boolean =>
  lap.length > 0 &&
  (wing.lapMm !== undefined || wing.controls.length > 0) &&
  skin.plates.at(-1)!.twistMm < MOST_LAP_TWIST_MM;

/** Each stretch of the lower tail meets its stretch of the upper one, which another sheet may have. */
export function tailSeams(site: PanelSite, toLap: boolean): readonly MadeSeam[] {
  const { laid } = site,
    tops = tailEdges(site, 'top');
  return tailEdges(site, 'low').map((from, index) => ({
    name: index === 0 ? 'tail' : `tail-${index}`,
    from,
    to: toLap ? 'lap' : tops[index]!,
    ...(isParted(site) ? { role: upperRole(site, laid.number) } : {}),
    mayOverhang: true,
  }));
}
