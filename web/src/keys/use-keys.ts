import { onBeforeUnmount } from 'vue';
import { matchKeybindingPress, parseKeybinding, type KeybindingPress } from 'tinykeys';
import { isInEmptyEntry, isOnControl, isTyping } from './is-typing.ts';
import { KEY_LINES, type KeyLine, type KeyScope } from './key-map.ts';

/** What a key does. A handler that gives false has not taken the key: it goes on to what stands further out. */
export type KeyHandler = (event: KeyboardEvent) => unknown;

interface Binding {
  readonly line: Pick<KeyLine, 'keys' | 'isLeftToControls' | 'isWhileTyping' | 'isInEmptyEntry'>;
  readonly presses: readonly KeybindingPress[];
  readonly handle: KeyHandler;
}

const layers: (readonly Binding[])[] = [];

/** Whether a binding may have a key press as things stand. */
function isMeant({ line, presses }: Binding, event: KeyboardEvent): boolean {
  if (!presses.some((press) => matchKeybindingPress(event, press))) return false;
  if (isTyping(event)) return line.isWhileTyping === true || (line.isInEmptyEntry === true && isInEmptyEntry(event));
  return !(line.isLeftToControls && isOnControl(event));
}

/** Gives a key press to the innermost binding that takes it, and to no other. */
function dispatch(event: KeyboardEvent): void {
  if (event.defaultPrevented) return;
  for (const layer of layers.toReversed()) {
    for (const binding of layer) {
      if (!isMeant(binding, event) || binding.handle(event) === false) continue;
      event.preventDefault();
      return;
    }
  }
}

function addLayer(layer: readonly Binding[]): () => void {
  if (layers.length === 0) window.addEventListener('keydown', dispatch);
  layers.push(layer);
  return () => {
    layers.splice(layers.indexOf(layer), 1);
    if (layers.length === 0) window.removeEventListener('keydown', dispatch);
  };
}

const bind = (line: Binding['line'], handle: KeyHandler): Binding => ({
  line,
  presses: line.keys.flatMap((key) => parseKeybinding(key).slice(0, 1)),
  handle,
});

type NameIn<Scope extends KeyScope> = Extract<(typeof KEY_LINES)[number], { scope: Scope }>['name'];

/**
 * Takes the keys of a scope while the component is there. A component that stands within another is asked before it.
 * @param handlers what each line of the key map does; lines without one are not taken
 */
export function useKeys<Scope extends KeyScope>(
  scope: Scope,
  handlers: Readonly<Partial<Record<NameIn<Scope>, KeyHandler>>>,
): void {
  const own = KEY_LINES.filter((line) => line.scope === scope);
  onBeforeUnmount(
    addLayer(
      own.flatMap((line) => {
        const handle = handlers[line.name as NameIn<Scope>];
        return handle ? [bind(line, handle)] : [];
      }),
    ),
  );
}

/** Takes keys that stand in a table of their own: stations, tools. */
export function useKeyTable(table: readonly { readonly key: string; readonly handle: KeyHandler }[]): void {
  onBeforeUnmount(addLayer(table.map(({ key, handle }) => bind({ keys: [key] }, handle))));
}
