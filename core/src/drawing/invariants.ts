import { isFinitePoint, type Point } from '../geometry/index.ts';
import { isOnEdge } from './features/feature.ts';
import { findPath, FURTHEST_COORDINATE_MM, pathsOf, type Part } from './part.ts';

/** The first broken rule of a part and where. */
export interface Broken { readonly field: string; readonly message: string }

/** What is wrong with a part's own structure: the first broken rule and where, or undefined when it is sound. */
export function brokenInvariant(part: Part): Broken | undefined {
  const ids = new Set<string>();
  const outers = part.contours.filter((contour) => contour.role === 'outer').length;
  const plated = part.contours.findIndex(({ plate, role }) => plate !== undefined && role !== 'hole');
  if (plated >= 0) return { field: `contours[${plated}].plate`, message: 'only a hole can be the slot of a plate' };
  if (outers > 1) return { field: 'contours', message: `a part has one outline, this one has ${outers}` };
  if (!(Number.isInteger(part.quantity) && part.quantity >= 1 && part.quantity <= 999)) return { field: 'quantity', message: `quantity must be 1 to 999, got ${part.quantity}` };
  for (const [listName, list] of [['contours', part.contours], ['lines', part.lines]] as const) {
    for (const [index, path] of list.entries()) {
      const field = `${listName}[${index}]`;
      const wanted = path.closed ? path.nodes.length : path.nodes.length - 1;
      if (path.nodes.length < 2) return { field: `${field}.nodes`, message: 'a path needs at least two nodes' };
      if (path.segments.length !== wanted) return { field: `${field}.segments`, message: `${path.nodes.length} nodes need ${wanted} segments, found ${path.segments.length}` };
      for (const id of [path.id, ...path.nodes.map((node) => node.id), ...path.segments.map((segment) => segment.id)]) {
        if (ids.has(id)) return { field, message: `the id "${id}" is used twice` };
        ids.add(id);
      }
      for (const [at, node] of path.nodes.entries()) if (!isWithinReach(node)) return { field: `${field}.nodes[${at}]`, message: `(${node.x}, ${node.y}) is not within ±${FURTHEST_COORDINATE_MM} mm` };
      for (const [at, segment] of path.segments.entries()) {
        if (segment.kind === 'arc' && !(Number.isFinite(segment.bulge) && Math.abs(segment.bulge) <= 1000)) return { field: `${field}.segments[${at}].bulge`, message: `bulge must be within ±1000, got ${segment.bulge}` };
        if (segment.kind === 'cubic' && !(isWithinReach(segment.control1) && isWithinReach(segment.control2))) return { field: `${field}.segments[${at}]`, message: `a control point is not within ±${FURTHEST_COORDINATE_MM} mm` };
      }
    }
  }
  for (const [index, dimension] of (part.dimensions ?? []).entries()) {
    if (ids.has(dimension.id)) return { field: `dimensions[${index}]`, message: `the id "${dimension.id}" is used twice` };
    ids.add(dimension.id);
    const lost = [dimension.fromNodeId, dimension.toNodeId].find((id) => !pathsOf(part).some((path) => path.nodes.some((node) => node.id === id)));
    if (lost !== undefined) return { field: `dimensions[${index}]`, message: `there is no point "${lost}" in this part` };
  }
  return brokenOperation(part, ids) ?? brokenFeature(part, ids) ?? brokenGuide(part, ids) ?? brokenGroup(part, ids);
}

function brokenOperation(part: Part, ids: Set<string>): Broken | undefined {
  for (const [index, operation] of part.operations.entries()) {
    const field = `operations[${index}]`;
    if (ids.has(operation.id)) return { field, message: `the id "${operation.id}" is used twice` };
    ids.add(operation.id);
    const path = findPath(part, operation.on.pathId);
    if (!path) return { field: `${field}.on.pathId`, message: `there is no path "${operation.on.pathId}" in this part` };
    if (operation.on.segmentIds) {
      if (operation.on.segmentIds.length === 0) return { field: `${field}.on.segmentIds`, message: 'an operation on segments needs at least one' };
      const missing = operation.on.segmentIds.find((id) => !path.segments.some((segment) => segment.id === id));
      if (missing !== undefined) return { field: `${field}.on.segmentIds`, message: `path "${path.id}" has no segment "${missing}"` };
    }
  }
  return undefined;
}

/** The field of an edge that the part does not have, or undefined. */
function lostEdge(part: Part, pathId: string, segmentId: string): string | undefined {
  const path = findPath(part, pathId);
  if (!path) return `there is no path "${pathId}" in this part`;
  return path.segments.some(({ id }) => id === segmentId) ? undefined : `path "${pathId}" has no segment "${segmentId}"`;
}

function brokenFeature(part: Part, ids: Set<string>): Broken | undefined {
  for (const [index, feature] of (part.features ?? []).entries()) {
    const field = `features[${index}]`;
    // What a feature draws is named after it, so its own name must tell it from what is drawn by hand.
    if (!/^f\d+$/.test(feature.id)) return { field: `${field}.id`, message: `must be "f" and a number, got "${feature.id}"` };
    if (ids.has(feature.id)) return { field, message: `the id "${feature.id}" is used twice` };
    ids.add(feature.id);
    const lost = isOnEdge(feature) ? lostEdge(part, feature.on.pathId, feature.on.segmentId) : isWithinReach(feature.at) ? undefined : `(${feature.at.x}, ${feature.at.y}) is not within ±${FURTHEST_COORDINATE_MM} mm`;
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
      if (!isWithinReach(guide.at)) return { field, message: `(${guide.at.x}, ${guide.at.y}) is not within ±${FURTHEST_COORDINATE_MM} mm` };
      continue;
    }
    const { of } = guide;
    const isThere = 'guideId' in of ? of.guideId !== guide.id && guides.some(({ id }) => id === of.guideId) : pathsOf(part).some(({ segments }) => segments.some(({ id }) => id === of.segmentId));
    if (!isThere) return { field: `${field}.of`, message: 'what it stands beside is not in this part' };
  }
  for (const [index, { nodeId, guideId }] of (part.attachments ?? []).entries()) {
    const field = `attachments[${index}]`;
    if (!pathsOf(part).some(({ nodes }) => nodes.some(({ id }) => id === nodeId))) return { field, message: `there is no point "${nodeId}" in this part` };
    if (!guides.some(({ id }) => id === guideId)) return { field, message: `there is no guide "${guideId}" in this part` };
  }
  return undefined;
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

const isWithinReach = (p: Point): boolean => isFinitePoint(p) && Math.abs(p.x) <= FURTHEST_COORDINATE_MM && Math.abs(p.y) <= FURTHEST_COORDINATE_MM;
