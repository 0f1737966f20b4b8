import { applyCommand } from '../editing/index.ts';
import { foldedSizes, sizeBetween, sizeCommand, type PlateSize } from '../folds/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { standingPart } from './made-at-scale.ts';
import { contextOf } from './made-at-scale.ts';

/** Sizes nearer than this are the same, in mm. */
const SAME_MM = 1e-6;

/** An airframe whose parts have kept their inside sizes, and which of them changed for it. */
export interface SizesKept {
  readonly airframe: Airframe;
  readonly partIds: readonly string[];
}

/**
 * Moves the lines of parts so that sizes that are meant inside stay what they were, after the boards were measured anew or parts were
 * given another material. A size that cannot be kept stays as its lines fold.
 */
export function withSizesKept(before: Airframe, after: Airframe): SizesKept {
  const kept = after.parts.map((part) => {
    const old = before.parts.find(({ id }) => id === part.id);
    if (!old || !part.insideSizes?.length || part.contours !== old.contours) return part;
    const isSameBoard = contextOf(before, old).thicknessMm === contextOf(after, part).thicknessMm,
      isRescaled = before.settings.scale !== after.settings.scale;
    return isSameBoard || isRescaled ? part : refitted(before, old, after, part);
  });
  const partIds = kept.filter((part, index) => part !== after.parts[index]).map(({ id }) => id);
  return partIds.length > 0 ? { airframe: { ...after, parts: kept }, partIds } : { airframe: after, partIds };
}

const sizesOf = (airframe: Airframe, part: Part): readonly PlateSize[] => {
  const standing = standingPart(airframe, part);
  return standing ? foldedSizes(standing.body) : [];
};

/** A part whose inside sizes are what they were: one size after the other, each looked at where the one before left its lines. */
function refitted(before: Airframe, old: Part, after: Airframe, part: Part): Part {
  const were = sizesOf(before, old);
  const scale = part.sizing === 'fixed' ? 1 : after.settings.scale;
  return (part.insideSizes ?? []).reduce((now, { fromId, toId }) => {
    const was = sizeBetween(were, fromId, toId),
      size = sizeBetween(sizesOf(after, now), fromId, toId);
    if (!was || !size) return now;
    if (Math.abs(size.innerMm - was.innerMm) < SAME_MM) return now;
    const moved = applyCommand(now, sizeCommand(now, size, 'inner', was.innerMm, scale));
    return moved.ok ? moved.part : now;
  }, part);
}
