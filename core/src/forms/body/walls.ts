import { degrees } from '../../units/index.ts';
import type { Part } from '../../part/index.ts';
import {
  madePart,
  type MadeEdgeWork,
  type MadeHole,
  type MadeLine,
  type MadePartDraft,
  type MadeSeam,
} from '../form/index.ts';
import { sheetCorners, sheetFolds, sheetPlace, type BentSheet } from './bent-sheet.ts';
import { doublerAt, slopeAt, wallEdges, wallSlant, type BodySite } from './body-site.ts';
import { lengthWithin, onSheet } from './development.ts';
import { boxHoles } from './held-boxes.ts';
import { holdHoles } from './dowel-places.ts';
import { openingsOn } from './openings.ts';
import { boardsOfFormer, formerReach, markedFace } from './former-places.ts';
import { heightAt, type Profile } from './profile.ts';
import { slantBevels } from './slant.ts';
import { sheetPieces } from './sheet-pieces.ts';

export const wallSheet = (site: BodySite): BentSheet => ({ sheet: site.wall, low: site.wallLow, top: site.wallTop });

/** Where formers stand on the wall's face; on a doubler they stand on that. */
function formerMarks(site: BodySite): readonly MadeLine[] {
  const { body, board, wall } = site;
  return body.formers.flatMap((former, number) =>
    boardsOfFormer(site, former).flatMap((one, index): readonly MadeLine[] => {
      const reach = formerReach(site, one),
        { fore, aft } = one,
        face = markedFace(site, one);
      if (!reach || doublerAt(site, fore, aft) > 0) return [];
      const length = lengthWithin(wall, one[face], board.thicknessMm);
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
}

/** The wing's own shape cut through the wall. */
const throughHoles = (site: BodySite): readonly MadeHole[] =>
  site.cuts
    .filter(({ side }) => side === 'through')
    .map(({ seat, under, upper }) => ({
      name: `seat-${seat.id}`,
      sizing: 'scaled',
      corners: [...under, ...[...upper].reverse()].map(({ x, z }) => onSheet(site.wall, x, z)),
    }));

/** How far reinforcing tape runs back along the wall. */
function tapeMark({ body, wall, wallLow, wallTop, fromMm, toMm }: BodySite): readonly MadeLine[] {
  const { balanceMm } = body;
  if (balanceMm === undefined || balanceMm <= fromMm || balanceMm >= toMm) return [];
  return [
    {
      name: 'balance',
      from: onSheet(wall, balanceMm, heightAt(wallLow, balanceMm)),
      to: onSheet(wall, balanceMm, heightAt(wallTop, balanceMm)),
      work: { kind: 'mark', face: 'back', label: 'balance: tape ends' },
    },
  ];
}

/** Half of the angle by which two sheets of a corner are bevelled, from the board's normal, where wall and floor slope so. */
const mitreDegrees = (slope: number, plan: number): number =>
  45 - degrees(Math.asin(Math.sin(slope) * Math.sin(plan))) / 2;

/** The bevels of a mitred corner, run by run. */
export function mitres(
  site: BodySite,
  of: 'low' | 'top',
  edges: readonly { readonly x: number; readonly next: number; readonly edge: string }[],
): readonly MadeEdgeWork[] {
  const line = of === 'low' ? site.lines.bottom : site.lines.top,
    sign = of === 'low' ? 1 : -1;
  const byAngle = new Map<number, string[]>();
  for (const { x, next, edge } of edges) {
    const middle = (x + next) / 2,
      angle = Math.round(10 * mitreDegrees(sign * slopeAt(line, middle), -slopeAt(site.lines.half, middle))) / 10;
    byAngle.set(angle, [...(byAngle.get(angle) ?? []), edge]);
  }
  return [...byAngle].map(([bevelDegrees, names], index) => ({
    name: `mitre-${of}-${index + 1}`,
    edges: names,
    work: { kind: 'bevel', face: 'face', bevelDegrees, label: '' },
  }));
}

const runsOf = (
  profile: BodySite['wallLow'],
): readonly { readonly x: number; readonly next: number; readonly edge: string }[] =>
  profile.slice(1).map(({ x }, index) => ({ x: profile[index]!.x, next: x, edge: profile[index]!.edge }));

/** Whether walls and floor meet in a mitre; those that are folded up do so where they are cut free. */
export const isMitred = ({ body }: Pick<BodySite, 'body'>): boolean =>
  body.corners === 'mitred' || body.corners === 'folded';

/** The bevels along a wall's edges: of mitres, or where it butts on a sheet that slopes while the wall leans. */
export function wallBevels(site: BodySite): readonly MadeEdgeWork[] {
  const own = (profile: Profile, prefix: string): ReturnType<typeof runsOf> =>
    runsOf(profile).filter(({ edge, x, next }) => edge.startsWith(prefix) && next > x && !/-(under|over)-/.test(edge));
  const { body, lines, board } = site,
    edges = wallEdges(body, lines, site.floorTop, site.lidUnder, board.thicknessMm),
    slant = wallSlant(lines.half, board.thicknessMm);
  const square = (to: Profile | undefined, runs: ReturnType<typeof runsOf>, keeps: 'most' | 'least', name: string) =>
    to
      ? slantBevels(
          to,
          runs.map(({ x, next, edge }) => ({ x, next, edges: [edge] })),
          slant,
          keeps,
          name,
        )
      : [];
  const [low, top] = [own(site.wallLow, 'low-'), own(site.wallTop, 'top-')];
  return [
    ...(isMitred(site) ? mitres(site, 'low', low) : square(edges.toLow, low, 'least', 'slant-low')),
    ...(body.lid === 'mitred' ? mitres(site, 'top', top) : square(edges.toTop, top, 'most', 'slant-top')),
  ];
}

/** The seams of a wall with the floor and the lid beside it: run by run. */
function wallSeams(site: BodySite): readonly MadeSeam[] {
  const seams = (of: 'floor' | 'lid', profile: BodySite['wallLow'], prefix: string): readonly MadeSeam[] =>
    sheetPieces(site, of).flatMap(({ role, fromMm, toMm, edges }) =>
      runsOf(profile)
        .filter(
          ({ edge, x, next }) =>
            edge.startsWith(`${prefix}-`) && x >= fromMm - 0.5 && next <= toMm + 0.5 && next - x > 2,
        )
        .flatMap(({ edge }): readonly MadeSeam[] => {
          const key = edge.slice(prefix.length + 1);
          return edges.includes(`port-${key}`)
            ? [{ name: `${role}-${key}`, from: edge, to: `port-${key}`, role, mayOverhang: true }]
            : [];
        }),
    );
  return [
    ...seams('floor', site.wallLow, 'low'),
    ...(site.body.lid === 'none' ? [] : seams('lid', site.wallTop, 'top')),
  ];
}

/** What is drawn on a wall, on its own flat. */
export type WallDrawing = Required<Pick<MadePartDraft, 'outline' | 'holes' | 'lines' | 'edgeWork' | 'seams'>>;

export function wallDrawing(site: BodySite): WallDrawing {
  const bent = wallSheet(site),
    through = site.cuts.find(({ side }) => side === 'through');
  return {
    outline: sheetCorners(bent),
    holes: [
      ...throughHoles(site),
      ...holdHoles(site, site.wall, site.fromMm, site.toMm),
      ...boxHoles(site, site.wall, site.fromMm, site.toMm),
      ...openingsOn(site, 'walls', site.fromMm, site.toMm),
    ],
    lines: [
      ...sheetFolds(bent, site.body.widthLine === 'curved', through && { low: through.under, top: through.upper }),
      ...formerMarks(site),
      ...tapeMark(site),
    ],
    edgeWork: wallBevels(site),
    seams: wallSeams(site),
  };
}

/** The walls: one drawing, port and starboard; none where they are folded up from the floor. */
export function wallParts(site: BodySite): readonly Part[] {
  const { form, body } = site;
  if (body.corners === 'folded') return [];
  const drawing = wallDrawing(site);
  return [
    madePart({
      formId: form.id,
      role: 'wall',
      name: `${form.name} wall`,
      group: form.name,
      material: body.material,
      handed: 'pair',
      grain: { directionDegrees: 0, rule: 'along' },
      ...drawing,
      place: sheetPlace(wallSheet(site), form.place.at, drawing.outline, drawing.holes),
    }),
  ];
}
