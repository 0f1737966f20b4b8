import type { Joint } from '../part/index.ts';
import type { Assembly } from './assembly.ts';
import { footContact, type FootContact } from './foot-contact.ts';
import { jointLine, jointPieces } from './joint-line.ts';
import { placedEdge, type PlacedEdge } from './seam-edges.ts';
import type { SeamState } from './seams.ts';
import type { StandingPart } from './standing.ts';

/** How a piece that stands on another part touches it. */
export interface StandingContact extends FootContact {
  readonly partId: string;
  readonly joint: Joint;
  /** Its own edge and the line that it stands on, where they lie. */
  readonly edges: readonly [PlacedEdge, PlacedEdge];
}

/** How every piece that stands by an edge touches what it stands on; of a pair the port piece is told. */
export function standingContacts(parts: readonly StandingPart[], { pieces }: Assembly): readonly StandingContact[] {
  const byId = new Map(parts.map((one) => [one.part.id, one] as const));
  return pieces.flatMap(({ partId, jointId, side, maps }): readonly StandingContact[] => {
    const own = byId.get(partId)!,
      joint = own.part.joints?.find(({ id }) => id === jointId);
    if (!joint || side === 'starboard') return [];
    const to = byId.get(joint.toPartId),
      there = pieces.find((piece) => piece.partId === joint.toPartId);
    const ownLine = jointLine(own, joint.ownSegmentId),
      toLine = to && jointLine(to, joint.toSegmentId);
    if (!ownLine || !toLine || !there) return [];
    const edges = [
      placedEdge(ownLine, maps[ownLine.solid.plate.index]!),
      placedEdge(toLine, there.maps[toLine.solid.plate.index]!),
    ] as const;
    const feet = jointPieces(own, joint.ownSegmentId).map((edge) => placedEdge(edge, maps[edge.solid.plate.index]!));
    const contact = footContact(edges[0], joint.ownSkin, edges[1], joint.toSkin, feet);
    return contact ? [{ ...contact, partId, joint, edges }] : [];
  });
}

/** How the end of a plate stands on the line that a seam names, and which of the seam's edges it is; undefined for a seam of two edges. */
export function seamFoot(
  state: Pick<SeamState, 'edges' | 'skins'>,
): { readonly side: 0 | 1; readonly contact: FootContact } | undefined {
  const side = state.edges[1].edge.isLine ? 0 : 1;
  if (!state.edges[1 - side]!.edge.isLine) return undefined;
  const skin = (at: 0 | 1): 'face' | 'back' => (state.skins[at] === 0 ? 'back' : 'face');
  const contact = footContact(state.edges[side], skin(side), state.edges[1 - side]!, skin(side === 0 ? 1 : 0));
  return contact && { side, contact };
}
