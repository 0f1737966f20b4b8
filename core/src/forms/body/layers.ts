import type { Part } from '../../part/index.ts';
import { madePart, type MadeCorner, type MadeEdgeWork, type MadeHole, type MadeLine } from '../form/index.ts';
import { sheetCorners, sheetFolds, sheetPlace } from './bent-sheet.ts';
import { FILM_MM, freeLow, freeTop, type BodySite } from './body-site.ts';
import { boardsOfFormer, formerReach, markedFace } from './former-places.ts';
import { developSheet, lengthWithin, placeAt, type Development } from './development.ts';
import { boxHoles } from './held-boxes.ts';
import { holdHoles } from './dowel-places.ts';
import { between, heightsBetween, type Profile } from './profile.ts';

/** A layer within both walls. */
export interface WallLayer {
  readonly role: string;
  readonly word: string;
  /** How far its far skin lies within the outside of the body. */
  readonly withinMm: number;
  readonly low: Profile;
  readonly top: Profile;
  readonly lines?: readonly MadeLine[];
  /** Within it, from its own sheet. */
  readonly holes?: (sheet: Development) => readonly MadeHole[];
  /** The edge that is cut to a slope. */
  readonly slope?: { readonly of: 'low' | 'top'; readonly bevelDegrees: number };
}

const slopeWork = (
  outline: readonly MadeCorner[],
  { of, bevelDegrees }: NonNullable<WallLayer['slope']>,
): MadeEdgeWork => ({
  name: 'slope',
  edges: outline.flatMap(({ edge }) => (edge.startsWith(`${of}-`) ? [edge] : [])),
  work: { kind: 'bevel', face: 'face', bevelDegrees, label: '' },
});

/** A layer within both walls, bent as they are, and shorter on the curve. */
export function layerPart(
  site: BodySite,
  { role, word, withinMm, low, top, lines = [], holes, slope }: WallLayer,
): Part {
  const { form, body } = site,
    bent = { sheet: developSheet(site.lines, 'wall', withinMm), low, top };
  const outline = sheetCorners(bent),
    cut = holes?.(bent.sheet) ?? [];
  return madePart({
    formId: form.id,
    role,
    name: `${form.name} ${word}`,
    group: form.name,
    material: body.material,
    handed: 'pair',
    grain: { directionDegrees: 0, rule: 'along' },
    outline,
    holes: cut,
    lines: [...sheetFolds(bent, body.widthLine === 'curved'), ...lines],
    ...(slope ? { edgeWork: [slopeWork(outline, slope)] } : {}),
    place: sheetPlace(bent, form.place.at, outline, cut),
  });
}

const lifted = (profile: Profile, by: number, prefix: string): Profile =>
  profile.map((point) => ({ ...point, z: point.z + by, edge: `${prefix}-${point.edge}` }));

/** Foam that stays between a hole and the edge of a layer at least, in mm. */
const LEAST_EDGE_MM = 0.5;

/** Whether a round hole of a sheet lies between two lines of the body. */
function liesBetween(sheet: Development, low: Profile, top: Profile, hole: MadeHole): boolean {
  if (!('round' in hole)) return false;
  const { centre, radiusMm } = hole.round,
    x = placeAt(sheet, -centre.x),
    rest = radiusMm + LEAST_EDGE_MM;
  return (
    centre.y - rest > heightsBetween(low, x - radiusMm, x + radiusMm).most &&
    centre.y + rest < heightsBetween(top, x - radiusMm, x + radiusMm).least
  );
}

/** The doublers: a second layer within the walls, between floor and lid. */
export function doublerParts(site: BodySite): readonly Part[] {
  const { body, board, fromMm, toMm } = site;
  return body.doublers.flatMap((doubler): readonly Part[] => {
    const from = Math.max(doubler.fromMm, fromMm),
      to = Math.min(doubler.toMm, toMm);
    if (to - from < board.thicknessMm) return [];
    const withinMm = board.thicknessMm + FILM_MM,
      sheet = developSheet(site.lines, 'wall', withinMm);
    const lines = body.formers.flatMap((former, number) =>
      boardsOfFormer(site, former).flatMap((one, index): readonly MadeLine[] => {
        const reach = formerReach(site, one);
        if (!reach || one.fore < from || one.aft > to) return [];
        const face = markedFace(site, one),
          length = lengthWithin(sheet, one[face], board.thicknessMm);
        return [
          {
            name: `former-${former.id}-${index + 1}`,
            from: { x: -length, y: reach[face].low },
            to: { x: -length, y: reach[face].top },
            work: { kind: 'mark', face: 'face', label: index === 0 ? `former ${number + 1}` : '' },
          },
        ];
      }),
    );
    return [
      layerPart(site, {
        role: `doubler-${doubler.id}`,
        word: 'doubler',
        withinMm,
        low: lifted(between(freeLow(site), from, to), FILM_MM, 'low'),
        top: lifted(between(freeTop(site), from, to), -FILM_MM, 'top'),
        lines,
        holes: (own) =>
          [...holdHoles(site, own, from, to), ...boxHoles(site, own, from, to)].filter((hole) =>
            liesBetween(own, freeLow(site), freeTop(site), hole),
          ),
      }),
    ];
  });
}
