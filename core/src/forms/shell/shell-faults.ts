import { formatLengthWithUnit } from '../../units/index.ts';
import {
  blocking,
  boundFaults,
  numbersUnder,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import {
  BULKHEAD_FIELDS,
  LEAST_CORNERS,
  MOST_CORNERS,
  SHELL_CORNER_FIELDS,
  SHELL_HATCH_FIELDS,
  SHELL_SECTION_FIELDS,
  type ShellParameters,
} from './parameters.ts';

/** Sections stand at least so far apart, in mm. */
const LEAST_BAY_MM = 5;
/** A section whose corners stand nearer than this, and are not one, makes a face that cannot be cut, in boards. */
const LEAST_SIDE_BOARDS = 1;

/** Every number of a shell by its path, with its bounds. */
export const shellNumbers = (shell: ShellParameters): readonly FormNumber[] => [
  ...shell.sections.flatMap(({ corners }, index) => [
    ...numbersUnder(`sections.${index}.`, SHELL_SECTION_FIELDS),
    ...corners.flatMap((_, corner) => numbersUnder(`sections.${index}.corners.${corner}.`, SHELL_CORNER_FIELDS)),
  ]),
  ...shell.bulkheads.flatMap((_, index) => numbersUnder(`bulkheads.${index}.`, BULKHEAD_FIELDS)),
  ...(shell.hatch ? numbersUnder('hatch.', SHELL_HATCH_FIELDS) : []),
];

function listFaults({ sections, bulkheads }: ShellParameters): readonly FormFault[] {
  const plain = (code: string, path: string, title: string, detail: string): FormFault => ({
    code,
    path,
    title,
    detail,
    isBlocking: true,
  });
  const count = sections[0]?.corners.length ?? 0;
  if (sections.length < 2)
    return [
      plain(
        'SECTIONS',
        'sections',
        `A shell has at least 2 sections, this one has ${sections.length}`,
        'One at each end; further ones where it turns.',
      ),
    ];
  if (count < LEAST_CORNERS || count > MOST_CORNERS)
    return [
      plain(
        'CORNERS',
        'sections.0.corners',
        `A section has ${LEAST_CORNERS} to ${MOST_CORNERS} corners a side, this one has ${count}`,
        'From the keel up to the spine.',
      ),
    ];
  const uneven = sections.findIndex(({ corners }) => corners.length !== count);
  if (uneven >= 0)
    return [
      plain(
        'CORNERS_UNEVEN',
        `sections.${uneven}.corners`,
        `Section ${uneven + 1} has ${sections[uneven]!.corners.length} corners, the first has ${count}`,
        'Faces run from corner to corner: every section has as many. Corners may lie in one place.',
      ),
    ];
  for (const [key, list] of [
    ['sections', sections],
    ['bulkheads', bulkheads],
  ] as const) {
    const ids = list.map(({ id }) => id),
      at = ids.findIndex((id, index) => ids.indexOf(id) !== index);
    if (at >= 0)
      return [
        plain(
          'SAME_ID',
          `${key}.${at}.id`,
          `Two ${key} are called "${ids[at]}"`,
          'Take one of them out and add it again.',
        ),
      ];
  }
  return [];
}

/** Corners that lie too near to each other to be cut apart, or a section that has no height. */
function cornerFaults(shell: ShellParameters, t: number, unit: FormContext['unit']): readonly FormFault[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    least = LEAST_SIDE_BOARDS * t;
  return shell.sections.flatMap(({ corners, aftMm }, index): readonly FormFault[] => {
    const before = shell.sections[index - 1];
    if (before && aftMm < before.aftMm + LEAST_BAY_MM) {
      const nearest = before.aftMm + LEAST_BAY_MM;
      return [
        blocking(
          'SECTION_ORDER',
          `sections.${index}.aftMm`,
          `Section ${index + 1} stands at ${length(aftMm)}, the one before it at ${length(before.aftMm)}`,
          `Sections follow each other toward the tail, at least ${length(LEAST_BAY_MM)} apart.`,
          `Set ${length(nearest)}`,
          [{ path: `sections.${index}.aftMm`, value: nearest }],
        ),
      ];
    }
    return corners.slice(1).flatMap((corner, at): readonly FormFault[] => {
      const below = corners[at]!,
        side = Math.hypot(corner.outMm - below.outMm, corner.upMm - below.upMm);
      if (side === 0 || side >= least) return [];
      return [
        blocking(
          'CORNERS_NEAR',
          `sections.${index}.corners.${at + 1}.upMm`,
          `Corners ${at + 1} and ${at + 2} of section ${index + 1} stand ${length(side)} apart`,
          `A face narrower than the board cannot be cut: at least ${length(least)}, or one on the other.`,
          'Put one on the other',
          [
            { path: `sections.${index}.corners.${at + 1}.outMm`, value: below.outMm },
            { path: `sections.${index}.corners.${at + 1}.upMm`, value: below.upMm },
          ],
        ),
      ];
    });
  });
}

/** What no shell can be made with. */
export function shellFaults(shell: ShellParameters, context: FormContext): readonly FormFault[] {
  const lists = listFaults(shell);
  if (lists.length > 0) return lists;
  const bounds = boundFaults(shell, shellNumbers(shell), context);
  return bounds.length > 0 ? bounds : cornerFaults(shell, context.boardOf(shell.material).thicknessMm, context.unit);
}
