import type { Contour, DrawnLine, Part } from './part.ts';

/** The part with one path changed, whichever list it stands in. */
export function withPath(part: Part, pathId: string, change: <P extends Contour | DrawnLine>(path: P) => P): Part {
  const mend = <P extends Contour | DrawnLine>(path: P): P => (path.id === pathId ? change(path) : path);
  return { ...part, contours: part.contours.map(mend), lines: part.lines.map(mend) };
}

/** The path that holds a node, with the node's place in it. */
export function findNode(
  part: Part,
  nodeId: string,
): { readonly path: Contour | DrawnLine; readonly index: number } | undefined {
  for (const path of [...part.contours, ...part.lines]) {
    const index = path.nodes.findIndex((node) => node.id === nodeId);
    if (index >= 0) return { path, index };
  }
  return undefined;
}

/** The path that holds a segment, with the segment's place in it. */
export function findSegment(
  part: Part,
  segmentId: string,
): { readonly path: Contour | DrawnLine; readonly index: number } | undefined {
  for (const path of [...part.contours, ...part.lines]) {
    const index = path.segments.findIndex((segment) => segment.id === segmentId);
    if (index >= 0) return { path, index };
  }
  return undefined;
}

/** What a path is called in messages and undo names. */
export function pathWord(path: Contour | DrawnLine): string {
  return 'role' in path ? (path.role === 'outer' ? 'outline' : 'hole') : 'line';
}
