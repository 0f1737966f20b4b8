import type { ComputedRef } from 'vue';
import { type OperationKind, operationDraft } from '@grain-fold/core/operations';
import type { Part } from '@grain-fold/core/part';
import { usePathDrafting, type Drafting as PathDrafting } from '../../../mat/drafting/use-path-drafting.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { drawsPath, endsAfterTwo, mustClose, toolTraits, type Tool } from './part-tools.ts';

export type Drafting = PathDrafting<Tool>;

/** A path being drawn on a part, until it becomes an editing command. */
export function useDrafting(part: ComputedRef<Part | undefined>): Drafting {
  const work = useAirframe();
  return usePathDrafting<Tool>({
    rest: 'select',
    traits: (tool) => ({
      word: toolTraits(tool)?.word ?? '',
      draws: drawsPath(tool),
      endsAfterTwo: endsAfterTwo(tool),
      mustClose: mustClose(tool),
      mayStayOpen: tool === 'outline',
    }),
    after: (tool) => (tool === 'outline' ? 'select' : tool),
    say: (message) => {
      work.message = message;
    },
    finish: (tool, draft) => {
      const target = part.value;
      if (!target) return false;
      const made =
        tool === 'outline'
          ? work.run(target.id, { name: 'drawOutline', args: { draft } })
          : tool === 'hole'
            ? work.run(target.id, { name: 'drawHole', args: { draft } })
            : work.run(target.id, {
                name: 'drawLine',
                args: { draft, operation: operationDraft(tool as OperationKind) },
              });
      return made !== undefined;
    },
  });
}
