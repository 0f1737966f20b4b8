import { strToU8, unzipSync, zipSync } from 'fflate';
import type { SheetKind } from '../../plan/index.ts';
import { MOST_SHEET_BYTES } from '../sheet-facts.ts';
import { textOfFile } from '../read-drawing.ts';

/** A picture or drawing that goes along with a project file, by the hash that its plan knows it by. */
export interface BundledFile {
  readonly hash: string;
  readonly kind: SheetKind;
  readonly bytes: Uint8Array;
}
export type UnpackedProject =
  | {
      readonly ok: true;
      readonly projectFile: string;
      readonly files: readonly { readonly hash: string; readonly name: string; readonly bytes: Uint8Array }[];
    }
  | { readonly ok: false; readonly message: string };

const PACKED_AT = '2026-01-01T00:00:00Z',
  PICTURE = /^pictures\/([0-9a-f]{64})\.(png|jpeg|svg|dxf|pdf)$/,
  PROJECT = /^[^/]+\.grainfold\.json$/;
/** What a packed project may hold: a project file of up to 8 MiB, and as many pictures as a plan has sheets. */
const MOST_PROJECT_BYTES = 8 * 1024 * 1024,
  MOST_FILES = 16;

/** A project file with the pictures of its plan, packed: drawings are pressed, pictures are so already. */
export function packProject(name: string, projectFile: string, files: readonly BundledFile[]): Uint8Array {
  const own = name.replace(/[^\p{L}\p{N} ._-]+/gu, ' ').trim() || 'airframe';
  return zipSync(
    {
      [`${own}.grainfold.json`]: [strToU8(projectFile), { level: 6 }],
      ...Object.fromEntries(
        files.map(({ hash, kind, bytes }) => [
          `pictures/${hash}.${kind}`,
          [bytes, { level: kind === 'svg' || kind === 'dxf' ? 6 : 0 }] as const,
        ]),
      ),
    } as Parameters<typeof zipSync>[0],
    { mtime: PACKED_AT },
  );
}

/** Whether a file is packed. @param head its first bytes */
export const isPacked = (head: Uint8Array): boolean =>
  head[0] === 0x50 && head[1] === 0x4b && head[2] === 3 && head[3] === 4;

/** Unpacks a project with its pictures; what is larger than it may be is not unpacked at all. */
export function unpackProject(name: string, bytes: Uint8Array): UnpackedProject {
  const refuse = (message: string): UnpackedProject => ({ ok: false, message });
  let tooLarge: string | undefined,
    count = 0;
  let found: Record<string, Uint8Array>;
  try {
    found = unzipSync(bytes, {
      filter: (file) => {
        const isProject = PROJECT.test(file.name),
          isPicture = PICTURE.test(file.name);
        if (!isProject && !isPicture) return false;
        count += 1;
        if (file.originalSize > (isProject ? MOST_PROJECT_BYTES : MOST_SHEET_BYTES)) tooLarge ??= file.name;
        return tooLarge === undefined && count <= MOST_FILES;
      },
    });
  } catch {
    return refuse(`${name} cannot be unpacked: it is damaged or was cut off.`);
  }
  if (tooLarge !== undefined) return refuse(`${name}: ${tooLarge} is larger than what is taken in.`);
  if (count > MOST_FILES) return refuse(`${name} holds more than ${MOST_FILES} files.`);
  const projects = Object.keys(found).filter((file) => PROJECT.test(file));
  if (projects.length !== 1)
    return refuse(
      `${name} holds ${projects.length === 0 ? 'no project file' : `${projects.length} project files`}: one that ends in .grainfold.json is wanted.`,
    );
  return {
    ok: true,
    projectFile: textOfFile(found[projects[0]!]!),
    files: Object.entries(found).flatMap(([file, content]) => {
      const [, hash, kind] = PICTURE.exec(file) ?? [];
      return hash === undefined ? [] : [{ hash, name: `picture.${kind}`, bytes: content }];
    }),
  };
}
