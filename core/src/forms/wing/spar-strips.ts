import { composeRigid, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import {
  madePart,
  placeIn,
  type MadeCorner,
  type MadeEdgeWork,
  type MadePartDraft,
  type MadeSeam,
} from '../form/index.ts';
import { channelSpar } from './channel-spar.ts';
import { panelWord, type PanelSite } from './panel.ts';
import { stripCorners, stripOf, stripsOf, type Strip } from './spar-strip.ts';

const endBevel = (edge: string, bevelDegrees: number): readonly MadeEdgeWork[] =>
  bevelDegrees === 0
    ? []
    : [
        {
          name: `bevel-${edge}`,
          edges: [edge],
          work: {
            kind: 'bevel',
            face: bevelDegrees > 0 ? 'face' : 'back',
            bevelDegrees: Math.abs(bevelDegrees),
            label: '',
          },
        },
      ];

/** The strips of a panel's spar, laminated side by side, or one strip doubled or folded to a channel. */
export function sparParts(site: PanelSite): readonly Part[] {
  const count = stripsOf(site);
  if (count === 0) return [];
  if (site.wing.sparKind === 'doubled') return [doubledSpar(site)];
  if (site.wing.sparKind === 'channel')
    return [channelSpar(site, { ...sparDraft(site, 1, 1), seams: footSeams(site) })];
  return Array.from({ length: count }, (_, index) => {
    const strip = stripOf(site, index),
      { corners, ends } = stripCorners(site, strip);
    const edges = ['foot', 'tip', 'top', 'root'];
    return madePart({
      ...sparDraft(site, index + 1, count),
      outline: corners.map((at, corner): MadeCorner => ({ at, edge: edges[corner]! })),
      edgeWork: [...endBevel('tip', ends.tip.bevelDegrees), ...endBevel('root', ends.root.bevelDegrees)],
      seams: index === 0 ? footSeams(site) : [],
      place: stripPlace(site, strip, corners),
    });
  });
}

/** The seam of the spar's front edge with its mark, where the lower skin has no twist. */
const footSeams = (site: PanelSite): readonly MadeSeam[] =>
  site.skin.plates.every(({ pieces }) => pieces.length === 1)
    ? [{ name: 'foot', from: 'foot', to: 'spar-front', role: `skin-${site.laid.number}`, mayOverhang: true }]
    : [];

type SparDraft = Omit<MadePartDraft, 'outline'>;

const sparDraft = (site: PanelSite, number: number, count: number): SparDraft => ({
  formId: site.formId,
  role: `spar-${site.laid.number}-${number}`,
  name: `${site.formName} spar${panelWord(site)}${count > 1 ? ` strip ${number}` : ''}`,
  group: site.formName,
  material: (site.wing.sparKind === 'strips' && site.wing.sparMaterial) || site.wing.material,
  handed: site.laid.isMiddle ? 'single' : 'pair',
  grain: { directionDegrees: 0, rule: 'along' },
});

const stripPlace = (site: PanelSite, { map }: Strip, corners: readonly Point[]): Part['place'] =>
  placeIn(site.place, composeRigid(map, site.laid.map), {
    x: (corners[0]!.x + corners[2]!.x) / 2,
    y: (corners[0]!.y + corners[2]!.y) / 2,
  });

/** A strip folded on itself along its foot, its skins outward. */
function doubledSpar(site: PanelSite): Part {
  const aft = stripOf(site, 1),
    { corners } = stripCorners(site, aft);
  const t = site.board.thicknessMm,
    [footRoot, footTip, topTip, topRoot] = corners;
  // The drawing stands its foot on the edge of the trench: the fold's middle lies a board below.
  const mirrored = (p: Point): Point => ({ x: p.x, y: -(p.y - footRoot.y) - 2 * t + footRoot.y });
  const low = footRoot.y - t;
  return madePart({
    ...sparDraft(site, 1, 1),
    outline: [
      { at: topRoot, edge: 'root' },
      { at: { x: footRoot.x, y: low }, edge: 'root-b' },
      { at: mirrored(topRoot), edge: 'top-b' },
      { at: mirrored(topTip), edge: 'tip-b' },
      { at: { x: footTip.x, y: low }, edge: 'tip' },
      { at: topTip, edge: 'top' },
    ],
    lines: [
      {
        name: 'double',
        from: { x: footRoot.x, y: low },
        to: { x: footTip.x, y: low },
        work: { kind: 'trench', face: 'face', foldDegrees: 180, widthMm: 'auto', side: 'centre', label: 'doubled' },
      },
    ],
    place: stripPlace(site, aft, corners),
  });
}
