import { distance3, point3, type Point3 } from '../../geometry/index.ts';
import type { Mesh, MeshFace } from './mesh.ts';
import type { ShellParameters } from './parameters.ts';

/** Corners nearer than this are one, in mm. */
const ONE_CORNER_MM = 1e-3;

/** Corners in the middle plane have no other side. */
export const isInMiddle = ({ y }: Point3): boolean => Math.abs(y) < ONE_CORNER_MM;

/** Groups of faces: those of the port half, which are mirrored, and those across the middle. */
export const PORT = 'port';
export const MIDDLE = 'middle';

/** The corners of a shell, and under which key each of a section stands. */
interface Corners {
  readonly vertices: Map<string, Point3>;
  readonly keyOf: (section: number, corner: number, side?: 'port' | 'starboard') => string;
}

function cornersOf({ sections }: ShellParameters): Corners {
  const vertices = new Map<string, Point3>(),
    keys = new Map<string, string>();
  sections.forEach(({ id, aftMm, corners }, section) =>
    corners.forEach(({ outMm, upMm }, corner) => {
      for (const side of ['port', 'starboard'] as const) {
        const at = point3(aftMm, side === 'port' ? -outMm : outMm, upMm);
        // Corners of a section that come to lie in one place are one.
        const same = [...vertices].find(
          ([key, p]) => key.startsWith(`${id}-`) && distance3(p, at) < ONE_CORNER_MM,
        )?.[0];
        const own = same ?? `${id}-${corner}${side === 'port' ? '' : 's'}`;
        if (!same) vertices.set(own, at);
        keys.set(`${section}/${corner}/${side}`, own);
      }
    }),
  );
  return { vertices, keyOf: (section, corner, side = 'port') => keys.get(`${section}/${corner}/${side}`)! };
}

/** A loop without corners that fall together; undefined where fewer than three are left. */
function loopOf(keys: readonly string[]): readonly string[] | undefined {
  const apart = keys.filter((key, index) => key !== keys[(index + 1) % keys.length]);
  return new Set(apart).size === apart.length && apart.length >= 3 ? apart : undefined;
}

/** The faces of a shell: its port half from keel to spine, plates across the middle below and above, and caps at both ends. */
export function shellMesh(shell: ShellParameters): Mesh {
  const { sections, closesNose, closesTail } = shell,
    { vertices, keyOf } = cornersOf(shell),
    faces: MeshFace[] = [];
  const count = sections[0]!.corners.length;
  const add = (name: string, group: string, keys: readonly string[]): void => {
    const loop = loopOf(keys);
    if (loop) faces.push({ name, group, loop });
  };
  sections.slice(1).forEach((_, bay) => {
    const { id } = sections[bay]!,
      next = bay + 1;
    for (let corner = 0; corner + 1 < count; corner++)
      add(`${id}-${corner}`, PORT, [
        keyOf(bay, corner),
        keyOf(bay, corner + 1),
        keyOf(next, corner + 1),
        keyOf(next, corner),
      ]);
    add(`${id}-low`, MIDDLE, [keyOf(bay, 0), keyOf(next, 0), keyOf(next, 0, 'starboard'), keyOf(bay, 0, 'starboard')]);
    const top = count - 1;
    add(`${id}-top`, MIDDLE, [
      keyOf(bay, top),
      keyOf(bay, top, 'starboard'),
      keyOf(next, top, 'starboard'),
      keyOf(next, top),
    ]);
  });
  const cap = (section: number): readonly string[] => {
    const port = Array.from({ length: count }, (_, corner) => keyOf(section, corner)),
      starboard = Array.from({ length: count }, (_, corner) => keyOf(section, corner, 'starboard'));
    return [...starboard, ...port.reverse()];
  };
  if (closesNose) add('nose', MIDDLE, cap(0));
  if (closesTail) add('tail', MIDDLE, [...cap(sections.length - 1)].reverse());
  return { vertices, faces };
}

/** The mesh with its starboard half too. */
export function wholeMesh({ vertices, faces }: Mesh): Mesh {
  const mirrorOf = new Map(
    [...vertices].map(([key, p]) => {
      const other = [...vertices].find(([, q]) => distance3(q, point3(p.x, -p.y, p.z)) < ONE_CORNER_MM);
      return [key, other?.[0] ?? key] as const;
    }),
  );
  const starboard = faces
    .filter(({ group }) => group === PORT)
    .map(({ name, loop }): MeshFace => ({
      name: `${name}s`,
      group: 'starboard',
      loop: [...loop].reverse().map((key) => mirrorOf.get(key)!),
    }));
  return { vertices, faces: [...faces, ...starboard] };
}
