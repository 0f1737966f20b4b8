import { isOnEdge } from '../features/index.ts';
import type { Point } from '../geometry/index.ts';
import type { DrawnPath, Segment } from '../paths/index.ts';
import { lengthText } from '../units/index.ts';
import { featureIdOf } from './derived-ids.ts';
import { tooMuch, type Broken } from './weight.ts';
import { findPath, FURTHEST_COORDINATE_MM, pathsOf, type Part } from './part.ts';

/** What is wrong with a part's own structure: the first broken rule and where, or undefined when it is sound. */
export function brokenInvariant(part: Part): Broken | undefined {
  const ids = new Set<string>();
  const outers = part.contours.filter((contour) => contour.role === 'outer').length;
  const plated = part.contours.findIndex(({ plate, role }) => plate !== undefined && role !== 'hole');
  if (plated >= 0) return { field: `contours[${plated}].plate`, message: 'only a hole can be the slot of a plate' };
  if (outers > 1) return { field: 'contours', message: `a part has one outline, this one has ${outers}` };
  if (!(Number.isInteger(part.quantity) && part.quantity >= 1 && part.quantity <= 999))
    return { field: 'quantity', message: `quantity must be 1 to 999, got ${part.quantity}` };
  for (const [listName, list] of [
    ['contours', part.contours],
    ['lines', part.lines],
  ] as const) {
    for (const [index, path] of list.entries()) {
      const field = `${listName}[${index}]`;
      const wanted = path.closed ? path.nodes.length : path.nodes.length - 1;
      if (path.nodes.length < 2) return { field: `${field}.nodes`, message: 'a path needs at least two nodes' };
      if (path.segments.length !== wanted)
        return {
          field: `${field}.segments`,
          message: `${path.nodes.length} nodes need ${wanted} segments, found ${path.segments.length}`,
        };
      const twice = firstTwice(ids, path);
      if (twice !== undefined) return { field, message: `the id "${twice}" is used twice` };
      const taken = featuresId(path);
      if (taken !== undefined) return { field, message: `the id "${taken}" is that of something a feature draws` };
      const far = path.nodes.findIndex((node) => !isWithinReach(node));
      if (far >= 0)
        return {
          field: `${field}.nodes[${far}]`,
          message: `(${path.nodes[far]!.x}, ${path.nodes[far]!.y}) is not within ±${lengthText(FURTHEST_COORDINATE_MM, 0)}`,
        };
      const bad = path.segments.findIndex((segment) => segmentFault(segment) !== undefined);
      if (bad >= 0)
        return {
          field: `${field}.segments[${bad}]${path.segments[bad]!.kind === 'arc' ? '.bulge' : ''}`,
          message: segmentFault(path.segments[bad]!)!,
        };
    }
  }
  for (const [index, dimension] of (part.dimensions ?? []).entries()) {
    if (ids.has(dimension.id))
      return { field: `dimensions[${index}]`, message: `the id "${dimension.id}" is used twice` };
    ids.add(dimension.id);
    const lost = [dimension.fromNodeId, dimension.toNodeId].find(
      (id) => !pathsOf(part).some((path) => path.nodes.some((node) => node.id === id)),
    );
    if (lost !== undefined)
      return { field: `dimensions[${index}]`, message: `there is no point "${lost}" in this part` };
  }
  return (
    brokenOperation(part, ids) ??
    brokenFeature(part, ids) ??
    brokenGuide(part, ids) ??
    brokenGroup(part, ids) ??
    brokenSeam(part, ids) ??
    brokenStanding(part, ids) ??
    tooMuch(part)
  );
}

function segmentFault(segment: Segment): string | undefined {
  if (segment.kind === 'arc' && !(Math.abs(segment.bulge) <= 1000))
    return `bulge must be within ±1000, got ${segment.bulge}`;
  return segment.kind === 'cubic' && !(isWithinReach(segment.control1) && isWithinReach(segment.control2))
    ? `a control point is not within ±${lengthText(FURTHEST_COORDINATE_MM, 0)}`
    : undefined;
}

/** The first id of a path that is there already; the others are added. Runs at every step of a drag, so it makes no lists of its own. */
function firstTwice(ids: Set<string>, path: DrawnPath): string | undefined {
  const taken = (id: string): boolean => {
    const before = ids.size;
    ids.add(id);
    return ids.size === before;
  };
  if (taken(path.id)) return path.id;
  for (const { id } of path.nodes) if (taken(id)) return id;
  for (const { id } of path.segments) if (taken(id)) return id;
  return undefined;
}

/** The first id of a drawn path that would read as a feature's own, such as f1-2. Runs at every step of a drag. */
function featuresId(path: DrawnPath): string | undefined {
  const isFeatures = (id: string): boolean => id[0] === 'f' && featureIdOf(id) !== undefined;
  if (isFeatures(path.id)) return path.id;
  for (const { id } of path.nodes) if (isFeatures(id)) return id;
  for (const { id } of path.segments) if (isFeatures(id)) return id;
  return undefined;
}

function brokenOperation(part: Part, ids: Set<string>): Broken | undefined {
  for (const [index, operation] of part.operations.entries()) {
    const field = `operations[${index}]`;
    if (ids.has(operation.id)) return { field, message: `the id "${operation.id}" is used twice` };
    ids.add(operation.id);
    const path = findPath(part, operation.on.pathId);
    if (!path)
      return { field: `${field}.on.pathId`, message: `there is no path "${operation.on.pathId}" in this part` };
    if (operation.on.segmentIds) {
      if (operation.on.segmentIds.length === 0)
        return { field: `${field}.on.segmentIds`, message: 'an operation on segments needs at least one' };
      const missing = operation.on.segmentIds.find((id) => !path.segments.some((segment) => segment.id === id));
      if (missing !== undefined)
        return { field: `${field}.on.segmentIds`, message: `path "${path.id}" has no segment "${missing}"` };
    }
  }
  return undefined;
}

/** The field of an edge that the part does not have, or undefined. */
function lostEdge(part: Part, pathId: string, segmentId: string): string | undefined {
  const path = findPath(part, pathId);
  if (!path) return `there is no path "${pathId}" in this part`;
  return path.segments.some(({ id }) => id === segmentId)
    ? undefined
    : `path "${pathId}" has no segment "${segmentId}"`;
}

function brokenFeature(part: Part, ids: Set<string>): Broken | undefined {
  for (const [index, feature] of (part.features ?? []).entries()) {
    const field = `features[${index}]`;
    // What a feature draws is named after it, so its own name must tell it from what is drawn by hand.
    if (!/^f\d+$/.test(feature.id))
      return { field: `${field}.id`, message: `must be "f" and a number, got "${feature.id}"` };
    if (ids.has(feature.id)) return { field, message: `the id "${feature.id}" is used twice` };
    ids.add(feature.id);
    const lost = isOnEdge(feature)
      ? lostEdge(part, feature.on.pathId, feature.on.segmentId)
      : isWithinReach(feature.at)
        ? undefined
        : `(${feature.at.x}, ${feature.at.y}) is not within ±${lengthText(FURTHEST_COORDINATE_MM, 0)}`;
    if (lost) return { field, message: lost };
  }
  return undefined;
}

function brokenGuide(part: Part, ids: Set<string>): Broken | undefined {
  const guides = part.guides ?? [];
  for (const [index, guide] of guides.entries()) {
    const field = `guides[${index}]`;
    if (ids.has(guide.id)) return { field, message: `the id "${guide.id}" is used twice` };
    ids.add(guide.id);
    if (guide.kind !== 'beside') {
      if (!isWithinReach(guide.at))
        return {
          field,
          message: `(${guide.at.x}, ${guide.at.y}) is not within ±${lengthText(FURTHEST_COORDINATE_MM, 0)}`,
        };
      continue;
    }
    const { of } = guide;
    const isThere =
      'guideId' in of
        ? of.guideId !== guide.id && guides.some(({ id }) => id === of.guideId)
        : pathsOf(part).some(({ segments }) => segments.some(({ id }) => id === of.segmentId));
    if (!isThere) return { field: `${field}.of`, message: 'what it stands beside is not in this part' };
  }
  for (const [index, { nodeId, guideId }] of (part.attachments ?? []).entries()) {
    const field = `attachments[${index}]`;
    if (!pathsOf(part).some(({ nodes }) => nodes.some(({ id }) => id === nodeId)))
      return { field, message: `there is no point "${nodeId}" in this part` };
    if (!guides.some(({ id }) => id === guideId))
      return { field, message: `there is no guide "${guideId}" in this part` };
  }
  return undefined;
}

function brokenSeam(part: Part, ids: Set<string>): Broken | undefined {
  for (const [index, seam] of (part.seams ?? []).entries()) {
    const field = `seams[${index}]`;
    if (ids.has(seam.id)) return { field, message: `the id "${seam.id}" is used twice` };
    ids.add(seam.id);
    // The other part may be gone: that is a fault with a mend, not a broken drawing.
    const lost = (seam.toPartId === undefined ? [seam.fromSegmentId, seam.toSegmentId] : [seam.fromSegmentId]).find(
      (id) => !pathsOf(part).some(({ segments }) => segments.some((segment) => segment.id === id)),
    );
    if (lost !== undefined) return { field, message: `there is no segment "${lost}" in this part` };
  }
  return undefined;
}

function brokenStanding(part: Part, ids: Set<string>): Broken | undefined {
  for (const [index, joint] of (part.joints ?? []).entries()) {
    const field = `joints[${index}]`;
    if (ids.has(joint.id)) return { field, message: `the id "${joint.id}" is used twice` };
    ids.add(joint.id);
    if (joint.toPartId === part.id) return { field: `${field}.toPartId`, message: 'a part cannot stand on itself' };
    if (!pathsOf(part).some(({ segments }) => segments.some(({ id }) => id === joint.ownSegmentId)))
      return { field: `${field}.ownSegmentId`, message: `there is no segment "${joint.ownSegmentId}" in this part` };
  }
  const order = part.foldOrder ?? [];
  const lost = order.find(
    (id, index) => order.indexOf(id) !== index || !part.operations.some((operation) => operation.id === id),
  );
  const isEnd = (end: string): boolean =>
    part.operations.some(({ id }) => id === end) ||
    pathsOf(part).some(({ segments }) => segments.some(({ id }) => id === end));
  const size = (part.insideSizes ?? []).findIndex(({ fromId, toId }) => !isEnd(fromId) || !isEnd(toId));
  if (size >= 0)
    return { field: `insideSizes[${size}]`, message: 'it lies between a fold or an edge that is not in this part' };
  return lost === undefined
    ? undefined
    : { field: 'foldOrder', message: `"${lost}" is no operation of this part, or stands there twice` };
}

function brokenGroup(part: Part, ids: Set<string>): Broken | undefined {
  const grouped = new Set<string>();
  for (const [index, group] of (part.pathGroups ?? []).entries()) {
    const field = `pathGroups[${index}]`;
    if (ids.has(group.id)) return { field, message: `the id "${group.id}" is used twice` };
    ids.add(group.id);
    for (const pathId of group.pathIds) {
      if (!findPath(part, pathId)) return { field, message: `there is no path "${pathId}" in this part` };
      if (grouped.has(pathId)) return { field, message: `path "${pathId}" is in two groups` };
      grouped.add(pathId);
    }
  }
  return undefined;
}

// Neither NaN nor an infinity passes a comparison.
const isWithinReach = (p: Point): boolean =>
  Math.abs(p.x) <= FURTHEST_COORDINATE_MM && Math.abs(p.y) <= FURTHEST_COORDINATE_MM;
