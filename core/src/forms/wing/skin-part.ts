import { composeRigid, midpoint, polygonArea, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeIn, roomOnPiece, type MadeCorner, type MadeHole, type MadeLine } from '../form/index.ts';
import { skinOutline, type SkinPiece } from '../skin/index.ts';
import { balanceMarks } from './balance-place.ts';
import { hingeLines, withControls } from './control-cuts.ts';
import { jointSeams } from './joint-seams.ts';
import { lowerPlateAt, ontoPlate } from './onto-plate.ts';
import { isSheet, panelWord, type PanelSite } from './panel.ts';
import { leadExit, servoOpenings } from './servo-opening.ts';
import { sheetMarks } from './sheet-layers.ts';
import { foldLines } from './skin-folds.ts';
import { noseSeams, noseWork } from './skin-nose.ts';
import { skinSheets, type SkinSheet } from './skin-sheets.ts';
import { closesOnLap, lapMark, tailSeams, tailWork } from './skin-tail.ts';
import { sparFeet } from './spar-place.ts';

function sparMarks(site: PanelSite): readonly MadeLine[] {
  return sparFeet(site).flatMap(({ name, label, root, tip, atRoot, atTip }): readonly MadeLine[] => {
    const plate = lowerPlateAt(site, atRoot, atTip);
    if (plate === undefined) return [];
    return [
      {
        name,
        from: ontoPlate(site, plate, root, 'root'),
        to: ontoPlate(site, plate, tip, 'tip'),
        work: { kind: 'mark', face: 'face', label },
      },
    ];
  });
}

/** The piece of a sheet that tells how it stands: the one that was laid first, or its largest. */
function standingPiece({ skin, plates }: SkinSheet): SkinPiece {
  const pieces = skin.plates.flatMap(({ pieces: [piece] }, index) => (plates[index]!.isSkin ? [] : [piece]));
  return (
    pieces.find(({ map }) => map.x.y === 0) ??
    pieces.reduce((best, piece) => (polygonArea(piece.corners) > polygonArea(best.corners) ? piece : best))
  );
}

/** A place on a piece of a sheet that is board: none of its controls, its openings and its exits. */
function placeOn({ corners }: SkinPiece, outline: readonly MadeCorner[], holes: readonly MadeHole[]): Point {
  const middle = midpoint(midpoint(corners[0]!, corners[1]!), midpoint(corners[2]!, corners.at(-1)!));
  if (outline.every(({ edge }) => !edge.startsWith('cut-')) && holes.length === 0) return middle;
  return roomOnPiece(corners, outline, holes);
}

function skinPart(site: PanelSite, sheet: SkinSheet): Part {
  const { formId, formName, wing, laid, board, place } = site,
    { role, word, isLower, isUpper } = sheet;
  const outline = skinOutline(sheet.skin, sheet.plates, site.root, site.tip, board.thicknessMm, sheet.edges);
  const standing = standingPiece(sheet),
    corners = withControls(site, outline.corners),
    holes = [...(isLower ? servoOpenings(site) : []), ...(isUpper ? leadExit(site) : [])];
  const lap = lapMark(site),
    boards = sheet.plates.filter(({ isSkin }) => !isSkin).map((plate) => plate.role);
  const own = role.slice(0, role.lastIndexOf('-'));
  return madePart({
    formId,
    role,
    name: `${formName} ${word}${panelWord(site)}`,
    group: formName,
    material: wing.material,
    handed: laid.isMiddle ? 'single' : 'pair',
    grain: { directionDegrees: 0, rule: 'along' },
    outline: corners,
    holes,
    lines: [
      ...foldLines(sheet, outline),
      ...(isLower ? sparMarks(site) : []),
      ...(isUpper ? lap : []),
      ...(isSheet(site) ? sheetMarks(site) : []),
      ...(isLower ? [...balanceMarks(site), ...hingeLines(site)] : []),
    ],
    edgeWork: [...outline.endWork, ...noseWork(site), ...tailWork(site)],
    seams: [
      ...(isLower ? noseSeams(site) : []),
      ...(!isLower || wing.tail === 'strip' || isSheet(site) ? [] : tailSeams(site, closesOnLap(site, lap))),
      ...jointSeams(site, boards, (panel) => `${own}-${panel}`),
    ],
    place: placeIn(place, composeRigid(standing.map, laid.map), placeOn(standing, corners, holes)),
  });
}

/** The skin of a panel: one flat part that folds round the spar and closes at the tail, or a lower and an upper one. */
export const skinParts = (site: PanelSite): readonly Part[] => skinSheets(site).map((sheet) => skinPart(site, sheet));
