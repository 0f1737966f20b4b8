import { applyRigid, centroid, distance, point3 } from '../../geometry/index.ts';
import { placeMap } from '../../folds/index.ts';
import { outlineOf, piecesOf, type Part } from '../../part/index.ts';
import { areaFrom, partArea, partMass } from '../form/index.ts';
import { bayFits } from './bay-fits.ts';
import type { BodySite } from './body-site.ts';
import { placeAt } from './development.ts';
import { boxFits, type BoxFit } from './held-boxes.ts';
import { heightAt } from './profile.ts';
import type { SeatSide } from './seat-cut.ts';

/** Mass of a made part, all its pieces together, and where it lies: aft of the datum and up. */
export interface BodyPieceMass {
  readonly partId: string;
  readonly name: string;
  readonly massG: number;
  readonly at: { readonly x: number; readonly z: number };
}

/** Everything that a body tells of itself. */
export interface BodyFigures {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Of a wall along the curve of its outer skin. */
  readonly wallMm: number;
  readonly floorMm: number;
  readonly lidMm: number;
  readonly foamMm2: number;
  /** Outer skin of walls, floor and lid: for covering and paint. */
  readonly skinMm2: number;
  readonly massG: number;
  readonly massAt: { readonly x: number; readonly z: number };
  readonly pieces: readonly BodyPieceMass[];
  /** Glue along the corners and round the formers. */
  readonly glueMm: number;
  /** Tape along the corners outside; and reinforcing tape on both walls, from the nose to the balance point. */
  readonly tapeMm: number;
  readonly reinforceMm: number;
  readonly foldMm: number;
  readonly seats: readonly {
    readonly id: string;
    readonly name: string;
    readonly side: SeatSide;
    readonly incidenceDegrees: number;
  }[];
  readonly bays: readonly {
    readonly id: string;
    readonly name: string;
    readonly widthMm: number;
    readonly heightMm: number;
    readonly isRoomy: boolean;
  }[];
  readonly boxes: readonly BoxFit[];
}

/** Where a made part's mass lies: a bent sheet's over the place of its middle on the flat, a plate's at its middle. */
function middleOf(site: BodySite, part: Part): { readonly x: number; readonly z: number } {
  const { x: aft, z: up } = site.form.place.at,
    middle = centroid(outlineOf(part)!.nodes),
    role = part.source!.role;
  if (role === 'wall' || role.startsWith('doubler') || role.startsWith('strip'))
    return { x: aft + placeAt(site.wall, -middle.x), z: up + middle.y };
  if (/^(floor|lid|hatch$|tray)/.test(role)) {
    const sheet = role.startsWith('lid') || role === 'hatch' ? site.lid : site.floor,
      x = placeAt(sheet, middle.x);
    return { x: aft + x, z: up + heightAt(sheet === site.lid ? site.lines.top : site.lines.bottom, x) };
  }
  const { x, z } = applyRigid(placeMap(part.place!), point3(middle.x, middle.y, 0));
  return { x, z };
}

const foldLength = (parts: readonly Part[]): number =>
  parts.reduce(
    (sum, part) =>
      sum +
      piecesOf(part) *
        part.operations.reduce((own, { kind, on }) => {
          if (kind !== 'crease' && kind !== 'groove') return own;
          const line = part.lines.find(({ id }) => id === on.pathId);
          return line ? own + distance(line.nodes[0]!, line.nodes[1]!) : own;
        }, 0),
    0,
  );

/** The figures of a body whose parts are made. */
export function bodyFigures(site: BodySite, parts: readonly Part[]): BodyFigures {
  const { body, lines, wall, floor, lid } = site,
    { breaks } = lines;
  const pieces = parts.map((part): BodyPieceMass => ({
    partId: part.id,
    name: part.name,
    massG: partMass(part, site),
    at: middleOf(site, part),
  }));
  const massG = pieces.reduce((sum, one) => sum + one.massG, 0),
    along = (key: 'x' | 'z'): number => pieces.reduce((sum, one) => sum + one.massG * one.at[key], 0) / massG;
  const ofRole = (pattern: RegExp): readonly Part[] => parts.filter(({ source }) => pattern.test(source!.role));
  const formers = ofRole(/^former/).reduce((sum, part) => {
    const { nodes } = outlineOf(part)!;
    return sum + nodes.reduce((own, node, index) => own + distance(node, nodes[(index + 1) % nodes.length]!), 0);
  }, 0);
  const lengths = {
    wall: wall.lengths.at(-1)!,
    floor: floor.lengths.at(-1)!,
    lid: body.lid === 'none' ? 0 : lid.lengths.at(-1)!,
  };
  const corners = 2 * (lengths.floor + lengths.lid);
  return {
    lengthMm: site.toMm - site.fromMm,
    widthMm: 2 * Math.max(...breaks.map(({ half }) => half)),
    heightMm: Math.max(...breaks.map(({ top }) => top)) - Math.min(...breaks.map(({ bottom }) => bottom)),
    wallMm: lengths.wall,
    floorMm: lengths.floor,
    lidMm: lengths.lid,
    foamMm2: areaFrom(parts, body.material),
    skinMm2: ofRole(/^(wall$|floor|lid|hatch$)/).reduce((sum, part) => sum + partArea(part) * piecesOf(part), 0),
    massG,
    massAt: { x: along('x'), z: along('z') },
    pieces,
    glueMm: corners + formers,
    tapeMm: corners,
    reinforceMm: body.balanceMm === undefined ? 0 : 2 * Math.max(0, Math.min(body.balanceMm, site.toMm) - site.fromMm),
    foldMm: foldLength(parts),
    seats: site.cuts.map(({ seat, name, side, incidenceDegrees }) => ({
      id: seat.id,
      name,
      side,
      incidenceDegrees,
    })),
    boxes: boxFits(site),
    bays: body.bays.flatMap((bay) => {
      const { room, inTheWay } = bayFits(site, bay);
      return room
        ? [
            {
              id: bay.id,
              name: bay.name,
              ...room,
              isRoomy: room.widthMm >= bay.widthMm && room.heightMm >= bay.heightMm && inTheWay.length === 0,
            },
          ]
        : [];
    }),
  };
}
