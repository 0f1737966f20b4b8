import { pathBounds } from '../../geometry/index.ts';
import { curvesOf } from '../../paths/index.ts';
import { lengthText } from '../../units/index.ts';
import type { Plan } from '../plan.ts';
import type { PlanAxis, PlanView } from '../plan-view.ts';
import { VIEW_AXES, VIEW_WORDS } from '../views.ts';
import type { PlanFault } from './plan-fault.ts';

/** Ends that two views of one name show at different places are told from this on. */
const APART_MM = 1;

/** Outlines of one name in two views must begin and end at the same places along the axis that the views share. */
export function viewFaults(plan: Plan): readonly PlanFault[] {
  const named = new Map<
    string,
    Partial<
      Record<
        PlanView,
        {
          readonly lineId: string;
          readonly word: string;
          readonly ends: Readonly<Partial<Record<PlanAxis, readonly [number, number]>>>;
        }
      >
    >
  >();
  for (const line of plan.lines) {
    const key = line.name.trim().toLowerCase(),
      { minX, minY, maxX, maxY } = pathBounds(curvesOf(line)),
      { across, up, sign } = VIEW_AXES[line.view];
    const ends = { [across]: sign > 0 ? [minX, maxX] : [-maxX, -minX], [up]: [minY, maxY] };
    named.set(key, { ...named.get(key), [line.view]: { lineId: line.id, word: line.name, ends } });
  }
  const pairs = [
    ['side', 'top', 'x'],
    ['side', 'front', 'z'],
    ['top', 'front', 'y'],
  ] as const;
  return [...named.values()].flatMap((views) =>
    pairs.flatMap(([one, other, axis]): readonly PlanFault[] => {
      const [a, b] = [views[one], views[other]];
      if (!a || !b) return [];
      const [from, to] = [a.ends[axis]!, b.ends[axis]!];
      const off = [from[0] - to[0], from[1] - to[1]] as const;
      if (Math.max(Math.abs(off[0]), Math.abs(off[1])) <= APART_MM) return [];
      const isShift = Math.abs(off[0] - off[1]) <= APART_MM,
        longer = (to[1] - to[0]) / (from[1] - from[0]);
      return [
        {
          code: 'VIEWS_DISAGREE',
          title: `${a.word} differs between ${VIEW_WORDS[one].toLowerCase()} and ${VIEW_WORDS[other].toLowerCase()} view`,
          detail: `From ${lengthText(from[0])} to ${lengthText(from[1])} in one, ${lengthText(to[0])} to ${lengthText(to[1])} in the other${
            isShift
              ? ': the views are shifted.'
              : `: ${Math.abs((longer - 1) * 100).toFixed(1)} % ${longer > 1 ? 'longer' : 'shorter'}.`
          }`,
          thingIds: [],
          mends: isShift
            ? [
                {
                  label: `Shift the ${VIEW_WORDS[other].toLowerCase()} view`,
                  changes: [],
                  shift: { view: other, axis, byMm: off[0] },
                },
              ]
            : [
                {
                  label: `Fit it in the ${VIEW_WORDS[other].toLowerCase()} view`,
                  changes: [],
                  fit: { lineId: b.lineId, axis, from: to, to: from },
                },
              ],
        },
      ];
    }),
  );
}
