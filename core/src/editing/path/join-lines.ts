import { type DrawnLine, type Part, withoutLostPlaces } from '../../part/index.ts';
import { joinPaths } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';
import { lengthText } from '../../units/index.ts';

/** Ends nearer than this are joined in one point, in mm. */
const NEAR_MISS_MM = 0.5;

/** Joins two open lines whose ends meet into one that keeps the first one's work; the second one's own work is dropped. */
export function joinLines(part: Part, args: { readonly pathIds: readonly [string, string] }): CommandResult {
  const [a, b] = args.pathIds.map((id) => part.lines.find((line) => line.id === id)) as [
    DrawnLine | undefined,
    DrawnLine | undefined,
  ];
  if (!a || !b || a === b) return refused('Choose two lines to join.');
  if (a.closed || b.closed) return refused('Only open lines can be joined.');
  const { gapMm, ...shape } = joinPaths(a, b);
  if (gapMm > NEAR_MISS_MM)
    return refused(
      `Their nearest ends are ${lengthText(gapMm, 2)} apart: bring them within ${lengthText(NEAR_MISS_MM)}.`,
    );
  const joined: DrawnLine = { ...a, ...shape };
  return done(
    withoutLostPlaces({
      ...part,
      lines: part.lines.flatMap((line) => (line === a ? [joined] : line === b ? [] : [line])),
    }),
    'Join lines',
  );
}
