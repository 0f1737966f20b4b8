import { applyRigid, composeRigid, invertRigid, STILL, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, type MadeCorner } from '../form/index.ts';
import { hasSkins, panelWord, type PanelSite } from './panel.ts';
import { upperRole } from './skin-sheets.ts';

/** A tail strip is this wide, in boards. */
const STRIP_WIDTH_BOARDS = 3;

/** The strips that lie on the lower skin at the tail, under the upper one: one for each board that they are high. */
export function tailStripParts(site: PanelSite): readonly Part[] {
  const { wing, board, laid, skin, sections } = site;
  if (wing.tail !== 'strip' || wing.section.kind !== 'strip-spar' || !hasSkins(site)) return [];
  const t = board.thicknessMm,
    plate = skin.plates[0]!;
  const { map } = plate.rootPiece,
    back = invertRigid(map);
  const onFlat = (p: Parameters<typeof applyRigid>[1]): Point => {
    const { x, y } = applyRigid(back, p);
    return { x, y };
  };
  const [root, tip] = [onFlat(skin.ends[0]!.root), onFlat(skin.ends[0]!.tip)];
  const width = STRIP_WIDTH_BOARDS * t;
  return Array.from({ length: wing.stripBoards }, (_, index): Part => {
    // Each lies a board higher, and ends that much further from the plane of a tilted joint.
    const tilt = (degrees: number): number => Math.max(0, Math.tan((degrees * Math.PI) / 180)) * t * (index + 2);
    const out = { root: root.x + tilt(laid.rootTiltDegrees), tip: tip.x - tilt(laid.tipTiltDegrees) };
    const at = (x: number): number => root.y + ((tip.y - root.y) * (x - root.x)) / (tip.x - root.x);
    const corners: readonly MadeCorner[] = [
      { at: { x: out.root, y: at(out.root) - width }, edge: 'front' },
      { at: { x: out.tip, y: at(out.tip) - width }, edge: 'tip' },
      { at: { x: out.tip, y: at(out.tip) }, edge: 'tail' },
      { at: { x: out.root, y: at(out.root) }, edge: 'root' },
    ];
    const raised = composeRigid({ ...STILL, origin: { x: 0, y: 0, z: t * (index + 1) } }, map);
    return madePart({
      formId: site.formId,
      role: `tail-${laid.number}-${index + 1}`,
      name: `${site.formName} tail strip${panelWord(site)}${wing.stripBoards > 1 ? ` ${index + 1}` : ''}`,
      group: site.formName,
      material: wing.material,
      handed: laid.isMiddle ? 'single' : 'pair',
      grain: { directionDegrees: 0, rule: 'along' },
      outline: corners,
      seams:
        index === wing.stripBoards - 1 && sections.root.section.plates.length > 0
          ? [{ name: 'tail', from: 'tail', to: 'tail-top', role: upperRole(site, laid.number), mayOverhang: true }]
          : [],
      place: placeIn(site.place, composeRigid(raised, laid.map), {
        x: (out.root + out.tip) / 2,
        y: at((out.root + out.tip) / 2) - width / 2,
      }),
    });
  });
}
