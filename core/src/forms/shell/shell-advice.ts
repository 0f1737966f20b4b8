import { STEEPEST_BEVEL_DEGREES, STEEPEST_SANDED_BEVEL_DEGREES } from '../../allowance/index.ts';
import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormFault } from '../form/index.ts';
import type { ShellFigures } from './shell-figures.ts';
import { shellSection } from './shell-section.ts';
import type { ShellSite } from './shell-site.ts';

/** What is better otherwise, though a shell can be made with it. */
export function shellAdvice(site: ShellSite, { edges }: ShellFigures): readonly FormFault[] {
  const { shell, unit } = site,
    length = (mm: number): string => formatLengthWithUnit(mm, unit);
  const advice = (code: string, path: string, title: string, detail: string): FormFault => ({
    code,
    path,
    title,
    detail,
    isBlocking: false,
  });
  const split =
    site.split.length > 0
      ? [
          advice(
            'FACES_SPLIT',
            'sections',
            `${site.split.length} ${site.split.length === 1 ? 'face is' : 'faces are'} not plane`,
            'Each is made as two triangles, bent outward. Sections of one shape, larger or smaller, leave all faces plane.',
          ),
        ]
      : [];
  const steep = edges.filter(
    ({ way, bevelDegrees }) => way === 'sanded' && bevelDegrees <= STEEPEST_SANDED_BEVEL_DEGREES,
  );
  const past = edges.filter(({ bevelDegrees }) => bevelDegrees > STEEPEST_SANDED_BEVEL_DEGREES);
  const list = (rows: typeof edges): string =>
    rows.map(({ words, bevelDegrees }) => `${words} (${formatAngle(bevelDegrees)})`).join('; ');
  const bulkheads = shell.bulkheads.flatMap((bulkhead, index): readonly FormFault[] => {
    const t = site.boardOf(bulkhead.material ?? shell.material).thicknessMm;
    return shellSection(site, bulkhead.aftMm + t / 2).length > 0
      ? []
      : [
          advice(
            'BULKHEAD_OUTSIDE',
            `bulkheads.${index}.aftMm`,
            `Bulkhead ${index + 1} at ${length(bulkhead.aftMm)} finds no shell round it`,
            `The shell runs from ${length(shell.sections[0]!.aftMm)} to ${length(shell.sections.at(-1)!.aftMm)}.`,
          ),
        ];
  });
  return [
    ...split,
    ...(steep.length > 0
      ? [
          advice(
            'BEVEL_SANDED',
            'sections',
            `${steep.length} ${steep.length === 1 ? 'edge is' : 'edges are'} past the reach of a knife`,
            `Over ${formatAngle(STEEPEST_BEVEL_DEGREES)} a bevel is sanded on a block: ${list(steep)}.`,
          ),
        ]
      : []),
    ...(past.length > 0
      ? [
          advice(
            'EDGE_KNIFE',
            'sections',
            `${past.length} ${past.length === 1 ? 'edge cannot' : 'edges cannot'} be bevelled at all`,
            `Two faces fold back on each other there: ${list(past)}. Give the shell another section, or more height.`,
          ),
        ]
      : []),
    ...bulkheads,
  ];
}
