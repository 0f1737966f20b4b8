import { composeRigid, point3, STILL, type RigidMap } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, namesOf, placeOf, roomOnPiece, type MadeCorner } from '../form/index.ts';
import { heightsAt, type BodyLayer, type LayeredSite } from './layered-site.ts';

/** Between a nose plate and the nose, in mm: glue takes the room. */
const FILM_MM = 0.03;

/** A layer's flat in the body's own frame: x aft, y up, its far skin further to starboard. */
const layerMap = (starboardMm: number): RigidMap => ({
  x: point3(1, 0, 0),
  y: point3(0, 0, 1),
  z: point3(0, -1, 0),
  origin: point3(0, starboardMm, 0),
});

export const layerRole = ({ number, side }: Pick<BodyLayer, 'number' | 'side'>): string =>
  side === 'middle' ? 'layer-middle' : side === 'pair' ? `layer-${number}` : `layer-${number}-${side}`;
export const layerName = ({ number, side }: Pick<BodyLayer, 'number' | 'side'>): string =>
  side === 'middle' ? 'middle layer' : side === 'pair' ? `layer ${number}` : `layer ${number}, ${side}`;

function layerPart({ form, layered }: LayeredSite, layer: BodyLayer): Part {
  const ring = layer.left[0]!,
    names = namesOf(ring, layer.edges, 'cut-out'),
    outline = ring.map((at, index): MadeCorner => ({ at, edge: names[index]! })),
    { x, y, z } = form.place.at;
  return madePart({
    formId: form.id,
    role: layerRole(layer),
    name: `${form.name} ${layerName(layer)}`,
    group: form.name,
    material: layered.material,
    handed: layer.side === 'pair' ? 'pair' : 'single',
    grain: { directionDegrees: 0, rule: 'along' },
    outline,
    holes: layer.holes,
    place: placeOf(
      composeRigid(layerMap(layer.starboardMm), { ...STILL, origin: point3(x, y, z) }),
      roomOnPiece(ring, outline, layer.holes),
    ),
  });
}

/** Plates before the nose, square to the body. */
function nosePlates(site: LayeredSite): readonly Part[] {
  const { form, layered, lines } = site,
    { nosePlate } = layered;
  if (!nosePlate) return [];
  const { material, widthMm, heightMm, plates } = nosePlate,
    thickness = site.boardOf(material).thicknessMm,
    nose = lines.breaks[0]!.x,
    [low, top] = heightsAt(site, nose),
    middle = (low + top) / 2,
    { x, y, z } = form.place.at;
  const corner = (across: number, up: number, edge: string): MadeCorner => ({
    at: { x: (across * widthMm) / 2, y: (up * heightMm) / 2 },
    edge,
  });
  const outline = [corner(-1, -1, 'low'), corner(1, -1, 'starboard'), corner(1, 1, 'top'), corner(-1, 1, 'port')];
  return Array.from({ length: plates }, (_, index) =>
    madePart({
      formId: form.id,
      role: `nose-plate-${index + 1}`,
      name: `${form.name} nose plate${plates > 1 ? ` ${index + 1}` : ''}`,
      group: form.name,
      material,
      handed: 'single',
      sizing: 'fixed',
      grain: { directionDegrees: 90, rule: 'any' },
      outline,
      place: placeOf(
        {
          x: point3(0, 1, 0),
          y: point3(0, 0, 1),
          z: point3(1, 0, 0),
          origin: point3(x + nose - FILM_MM - (index + 1) * thickness, y, z + middle),
        },
        { x: 0, y: 0 },
      ),
    }),
  );
}

/** The parts of a profile body: its layers from the outside in, and the plates before its nose. */
export const layeredParts = (site: LayeredSite): readonly Part[] => [
  ...site.layers.filter(({ left }) => left.length > 0).map((layer) => layerPart(site, layer)),
  ...nosePlates(site),
];
