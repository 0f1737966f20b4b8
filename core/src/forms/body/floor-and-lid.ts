import type { Part } from '../../part/index.ts';
import { madePart, type MadeEdgeWork, type MadeHole, type MadeLine, type MadePartDraft } from '../form/index.ts';
import { sheetCorners, sheetFolds, sheetPlace, type BentSheet } from './bent-sheet.ts';
import type { BodySite } from './body-site.ts';
import { lengthWithin, onSheet } from './development.ts';
import { floorHoles } from './fittings.ts';
import { boardsOfFormer, formerReach, markedFace } from './former-places.ts';
import { openingsOn } from './openings.ts';
import type { Profile } from './profile.ts';
import { edgeLine, sheetPieces, sheetSlant, type SheetPiece } from './sheet-pieces.ts';
import { slantBevels } from './slant.ts';
import { mitres } from './walls.ts';

/** Where formers stand on floor or lid. */
function formerMarks(site: BodySite, of: 'floor' | 'lid', piece: SheetPiece): readonly MadeLine[] {
  const sheet = of === 'floor' ? site.floor : site.lid;
  return site.body.formers.flatMap((former, number) =>
    boardsOfFormer(site, former).flatMap((one, index): readonly MadeLine[] => {
      const reach = formerReach(site, one);
      if (!reach || one.fore < piece.fromMm || one.aft > piece.toMm) return [];
      const face = markedFace(site, one),
        x = lengthWithin(sheet, one[face], site.board.thicknessMm);
      return [
        {
          name: `former-${former.id}-${index + 1}`,
          from: { x, y: -reach[face].half },
          to: { x, y: reach[face].half },
          work: { kind: 'mark', face: 'face', label: index === 0 ? `former ${number + 1}` : '' },
        },
      ];
    }),
  );
}

const side = (profile: Profile, sign: 1 | -1, prefix: string): Profile =>
  profile.map((point) => ({ ...point, z: sign * point.z, edge: `${prefix}-${point.edge}` }));

function bevels(site: BodySite, of: 'floor' | 'lid', { half }: SheetPiece): readonly MadeEdgeWork[] {
  const runs = half.slice(1).map(({ x }, index) => ({
    x: half[index]!.x,
    next: x,
    edges: ['port', 'starboard'].map((word) => `${word}-${half[index]!.edge}`),
  }));
  const line = edgeLine(site, of);
  return line
    ? slantBevels(line, runs, sheetSlant(site, of), 'most', 'slant')
    : mitres(
        site,
        of === 'floor' ? 'low' : 'top',
        runs.flatMap(({ x, next, edges }) => edges.map((edge) => ({ x, next, edge }))),
      );
}

/** The middle line, by which wing, tail and power are squared. */
function middleLine(site: BodySite, of: 'floor' | 'lid', { fromMm, toMm }: SheetPiece): MadeLine {
  const sheet = of === 'floor' ? site.floor : site.lid;
  return {
    name: 'middle',
    from: onSheet(sheet, fromMm, 0),
    to: onSheet(sheet, toMm, 0),
    work: { kind: 'mark', face: 'face', label: 'middle' },
  };
}

/** What is drawn on a piece of floor or lid, on its own flat. */
export type PieceDrawing = Required<Pick<MadePartDraft, 'outline' | 'holes' | 'lines' | 'edgeWork'>>;

export const pieceSheet = (site: BodySite, of: 'floor' | 'lid', piece: SheetPiece): BentSheet => ({
  sheet: of === 'floor' ? site.floor : site.lid,
  low: side(piece.half, -1, 'port'),
  top: side(piece.half, 1, 'starboard'),
});

export function pieceDrawing(site: BodySite, of: 'floor' | 'lid', piece: SheetPiece): PieceDrawing {
  const { body } = site,
    bent = pieceSheet(site, of, piece);
  const holes: readonly MadeHole[] = [
    ...openingsOn(site, of, piece.fromMm, piece.toMm),
    ...(of === 'floor' ? floorHoles(site, piece.fromMm, piece.toMm) : []),
  ];
  return {
    outline: sheetCorners(bent),
    holes,
    lines: [
      ...sheetFolds(bent, (of === 'floor' ? body.bottomLine : body.topLine) === 'curved'),
      ...formerMarks(site, of, piece),
      ...(holes.length === 0 ? [middleLine(site, of, piece)] : []),
    ],
    edgeWork: bevels(site, of, piece),
  };
}

function piecePart(site: BodySite, of: 'floor' | 'lid', piece: SheetPiece): Part {
  const { form, body } = site,
    drawing = pieceDrawing(site, of, piece);
  return madePart({
    formId: form.id,
    role: piece.role,
    name: `${form.name} ${piece.word}`,
    group: form.name,
    material: body.material,
    handed: 'single',
    grain: { directionDegrees: 0, rule: 'along' },
    ...drawing,
    place: sheetPlace(pieceSheet(site, of, piece), form.place.at, drawing.outline, drawing.holes),
  });
}

/** Floor and lid, in as many pieces as wings and the hatch leave; a floor with walls folded up from it is made with these. */
export const floorAndLidParts = (site: BodySite): readonly Part[] =>
  (['floor', 'lid'] as const).flatMap((of) =>
    of === 'floor' && site.body.corners === 'folded'
      ? []
      : sheetPieces(site, of).map((piece) => piecePart(site, of, piece)),
  );
