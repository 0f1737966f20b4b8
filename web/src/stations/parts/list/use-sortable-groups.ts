import Sortable from 'sortablejs';
import { onBeforeUnmount, type Directive } from 'vue';

/**
 * Items dragged within and between the groups of a list. The order itself is the caller's: what was dragged is put back where the page
 * had it, and the move is told.
 * @param move an item before another one, by their `data-id`; before none at the end of the group named by its `data-group`
 * @returns a directive for the element that holds a group's items
 */
export function useSortableGroups(
  move: (id: string, beforeId: string | undefined, group: string) => void,
): Directive<HTMLElement> {
  const sorted = new Map<HTMLElement, Sortable>();
  const idOf = (element: Element | null | undefined): string | undefined =>
    element instanceof HTMLElement ? element.dataset.id : undefined;
  const start = (element: HTMLElement): void => {
    sorted.set(
      element,
      Sortable.create(element, {
        group: 'parts',
        animation: 0,
        ghostClass: 'over',
        onEnd: ({ item, from, oldIndex, to, newIndex }) => {
          const id = idOf(item),
            beforeId = idOf(item.nextElementSibling);
          // The page draws the new order itself.
          item.remove();
          from.insertBefore(item, from.children[oldIndex ?? 0] ?? null);
          if (id && (to !== from || oldIndex !== newIndex)) move(id, beforeId, to.dataset.group ?? '');
        },
      }),
    );
  };
  const stop = (element: HTMLElement): void => {
    sorted.get(element)?.destroy();
    sorted.delete(element);
  };
  onBeforeUnmount(() => [...sorted.keys()].forEach(stop));
  return { mounted: start, beforeUnmount: stop };
}
