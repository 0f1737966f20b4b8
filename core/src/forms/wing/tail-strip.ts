import { applyRigid, composeRigid, invertRigid, STILL, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner } from '../form/index.ts';
import { controlEnds, controlsOf, tailEdges } from './control-place.ts';
import { hasSkins, panelWord, type PanelSite } from './panel.ts';
import { upperRole } from './skin-sheets.ts';

/** A tail strip is this wide, in boards. */
const STRIP_WIDTH_BOARDS = 3;

/** How wide the strips at the tail of a panel are; 0 where there are none. */
export const tailStripWidth = (site: PanelSite): number =>
  site.wing.tail === 'strip' && site.wing.section.kind === 'strip-spar' && hasSkins(site)
    ? STRIP_WIDTH_BOARDS * site.board.thicknessMm
    : 0;

/** The strips that lie on the lower skin at the tail, under the upper one: one for each board that they are high. */
export function tailStripParts(site: PanelSite): readonly Part[] {
  const { wing, board, laid, skin } = site;
  if (tailStripWidth(site) === 0) return [];
  const t = board.thicknessMm,
    plate = skin.plates[0]!;
  const { map } = plate.rootPiece,
    back = invertRigid(map);
  const onFlat = (p: Parameters<typeof applyRigid>[1]): Point => {
    const { x, y } = applyRigid(back, p);
    return { x, y };
  };
  const [root, tip] = [onFlat(skin.ends[0]!.root), onFlat(skin.ends[0]!.tip)];
  const width = tailStripWidth(site);
  return Array.from({ length: wing.stripBoards }, (_, index) => index).flatMap((index): readonly Part[] => {
    // Each lies a board higher, and ends that much further from the plane of a tilted joint.
    const tilt = (degrees: number): number => Math.max(0, Math.tan((degrees * Math.PI) / 180)) * t * (index + 2);
    const out = { root: root.x + tilt(laid.rootTiltDegrees), tip: tip.x - tilt(laid.tipTiltDegrees) };
    const at = (x: number): number => root.y + ((tip.y - root.y) * (x - root.x)) / (tip.x - root.x);
    const raised = composeRigid({ ...STILL, origin: { x: 0, y: 0, z: t * (index + 1) } }, map);
    return stretches(site, out.root, out.tip).map(({ from, to, key, word, meets }): Part => {
      const corners: readonly MadeCorner[] = [
        { at: { x: from, y: at(from) - width }, edge: 'front' },
        { at: { x: to, y: at(to) - width }, edge: 'tip' },
        { at: { x: to, y: at(to) }, edge: 'tail' },
        { at: { x: from, y: at(from) }, edge: 'root' },
      ];
      return madePart({
        formId: site.formId,
        role: `tail-${laid.number}-${index + 1}${key}`,
        name: `${site.formName} ${word}tail strip${panelWord(site)}${wing.stripBoards > 1 ? ` ${index + 1}` : ''}`,
        group: site.formName,
        material: wing.material,
        handed: laid.isMiddle ? 'single' : 'pair',
        grain: { directionDegrees: 0, rule: 'along' },
        outline: corners,
        seams: index === wing.stripBoards - 1 ? [{ name: 'tail', from: 'tail', ...meets, mayOverhang: true }] : [],
        place: placeIn(site.place, composeRigid(raised, laid.map), {
          x: (from + to) / 2,
          y: at((from + to) / 2) - width / 2,
        }),
      });
    });
  });
}

/** A stretch of a tail strip, and the upper tail that it meets. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  /** What its role and its name have besides those of a whole strip. */
  readonly key: string;
  readonly word: string;
  readonly meets: { readonly to: string; readonly role: string };
}

/** The stretches that controls leave of a tail strip, and those in controls of which both skins move. */
function stretches(site: PanelSite, fromMm: number, toMm: number): readonly Stretch[] {
  const { laid } = site,
    controls = controlsOf(site),
    starts = [fromMm, ...controls.map((control) => control.toMm)],
    ends = [...controls.map((control) => control.fromMm), toMm];
  const left = tailEdges(site, 'top').map((edge, index): Stretch => ({
    from: starts[index]!,
    to: ends[index]!,
    key: index === 0 ? '' : `-${index + 1}`,
    word: '',
    meets: { to: edge, role: upperRole(site, laid.number) },
  }));
  const moved = controls.flatMap((control, index): readonly Stretch[] => {
    if (!control.hasUpperSkin) return [];
    const [from, to] = controlEnds(site, control);
    return [
      {
        from,
        to,
        key: `-${control.kind}-${index + 1}`,
        word: `${control.kind} `,
        meets: { to: 'tail', role: `${control.kind}-top-${laid.number}-${index + 1}` },
      },
    ];
  });
  return [...left, ...moved];
}
