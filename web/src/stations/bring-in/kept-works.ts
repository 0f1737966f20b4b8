import { useLocalStorage } from '@vueuse/core';
import type { ClassWork, ClassWorks, LineClass } from '@grain-fold/core/intake';

/** What the lines of one look became, without the width that differs from file to file. */
interface KeptLine {
  readonly layer: string;
  readonly colour: string;
  readonly isDashed: boolean;
  readonly work: ClassWork;
}
/** What lines mean in the drawings of one source, under a name. */
export interface KeptWorks {
  readonly name: string;
  readonly lines: readonly KeptLine[];
}

/** Kept in this browser, the newest first; so many. */
const MOST_KEPT = 30;
const kept = useLocalStorage<readonly KeptWorks[]>('grain-fold-line-works', []);

const sameLook = (line: KeptLine, one: LineClass): boolean =>
  line.layer === one.layer && line.colour === one.colour && line.isDashed === one.isDashed;

/** Keeps what the lines of a drawing became; a name that is there already is written over. */
export function keepWorks(name: string, classes: readonly LineClass[], works: ClassWorks): void {
  const lines = classes.flatMap(({ key, layer, colour, isDashed }) =>
    works[key] ? [{ layer, colour, isDashed, work: works[key] }] : [],
  );
  kept.value = [{ name, lines }, ...kept.value.filter((one) => one.name !== name)].slice(0, MOST_KEPT);
}

/** Looks of a file that are known make up this part of its lines at least. */
const ALIKE = 0.7;

/** What was kept from drawings that look like this one, the likest first. */
export function alikeWorks(classes: readonly LineClass[]): readonly KeptWorks[] {
  const whole = classes.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  return kept.value
    .map((one) => {
      const known = classes.filter((own) => one.lines.some((line) => sameLook(line, own)));
      return { one, share: known.reduce((sum, { lengthMm }) => sum + lengthMm, 0) / Math.max(1e-9, whole) };
    })
    .filter(({ share }) => share >= ALIKE)
    .sort((a, b) => b.share - a.share)
    .map(({ one }) => one);
}

/** The works of a drawing by what was kept; what is not known stays as it is. */
export const worksBy = ({ lines }: KeptWorks, classes: readonly LineClass[], works: ClassWorks): ClassWorks =>
  Object.fromEntries(
    classes.map((one) => [
      one.key,
      lines.find((line) => sameLook(line, one))?.work ?? works[one.key] ?? { work: 'leave' },
    ]),
  );
