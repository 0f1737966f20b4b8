/** Where keys mean something: what stands further in is asked first, so that a key never reaches two. */
export type KeyScope = 'everywhere' | 'mat' | 'plan' | 'forms' | 'parts' | 'drawing' | 'folded' | 'boards';

/** One thing that keys do. */
export interface KeyLine {
  readonly scope: KeyScope;
  readonly name: string;
  /** Key presses as tinykeys writes them: modifiers in brackets may be held, others must be. */
  readonly keys: readonly string[];
  /** How the key is shown. */
  readonly shown: string;
  readonly word: string;
  /** Heading on the key card. */
  readonly group: string;
  /** Left to a button, a link or a list that has the focus: there it means that. */
  readonly isLeftToControls?: boolean;
  /** Also while a field is typed in. */
  readonly isWhileTyping?: boolean;
  /** Also in a field for the next point, while nothing is typed there yet: no number begins with it. */
  readonly isInEmptyEntry?: boolean;
}

const line = <Scope extends KeyScope, Name extends string>(
  group: string,
  scope: Scope,
  name: Name,
  keys: readonly string[],
  shown: string,
  word: string,
  more: Pick<KeyLine, 'isLeftToControls' | 'isWhileTyping' | 'isInEmptyEntry'> = {},
): KeyLine & { readonly scope: Scope; readonly name: Name } => ({ group, scope, name, keys, shown, word, ...more });

/** An arrow key with any of the modifiers that change its step. */
const ARROWS = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'].map((key) => `[Shift]+[Alt]+${key}`);
const ON_MAT = 'On the mat',
  DRAWING = 'Drawing',
  FOLDED = 'Folded',
  PLAN = 'Plan',
  FORMS = 'Forms',
  BOARDS = 'Boards',
  EVERYWHERE = 'Everywhere';

/** Every key of the program but those of the stations and of the tools, which stand in their own tables. */
export const KEY_LINES = [
  line(EVERYWHERE, 'everywhere', 'undo', ['$mod+z'], 'Ctrl+Z', 'undo', { isInEmptyEntry: true }),
  line(EVERYWHERE, 'everywhere', 'redo', ['$mod+Shift+z', '$mod+y'], 'Ctrl+Shift+Z', 'redo', { isInEmptyEntry: true }),
  line(EVERYWHERE, 'everywhere', 'steps', ['y'], 'Y', 'every step'),
  line(EVERYWHERE, 'everywhere', 'find', ['$mod+k'], 'Ctrl+K', 'find a part or station', { isWhileTyping: true }),
  line(EVERYWHERE, 'everywhere', 'card', ['[Shift]+?'], '?', 'this card'),

  line(ON_MAT, 'mat', 'fit', ['f'], 'F', 'fit', { isInEmptyEntry: true }),
  line(ON_MAT, 'mat', 'nearer', ['[Shift]+(\\+|=)'], '+', 'zoom in'),
  line(ON_MAT, 'mat', 'further', ['-'], '−', 'zoom out'),
  line(
    ON_MAT,
    'mat',
    'pan',
    ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'],
    'Arrows',
    'pan, while nothing is chosen',
  ),
  line(ON_MAT, 'mat', 'drop', ['Escape'], 'Esc', 'let go of what is dragged'),
  line(ON_MAT, 'mat', 'hold', ['Space'], 'Space-drag', 'pan', { isLeftToControls: true }),
  line(ON_MAT, 'parts', 'nudge', ARROWS, 'Arrows', 'move what is chosen', { isLeftToControls: true }),
  line(ON_MAT, 'parts', 'remove', ['Delete', 'Backspace'], 'Delete', 'remove'),
  line(ON_MAT, 'parts', 'back', ['Escape'], 'Esc', 'back out one step'),

  line(DRAWING, 'parts', 'newPart', ['n'], 'N', 'new part'),
  line(DRAWING, 'drawing', 'takeBack', ['$mod+z'], 'Ctrl+Z', 'take back the last point', {
    isInEmptyEntry: true,
  }),
  line(DRAWING, 'drawing', 'arc', ['a'], 'A', 'next run is an arc', { isInEmptyEntry: true }),
  line(DRAWING, 'drawing', 'smooth', ['s'], 'S', 'smooth curve', { isInEmptyEntry: true }),
  line(DRAWING, 'drawing', 'type', ['Enter'], 'Enter', 'type length, angle or place'),
  line(DRAWING, 'drawing', 'figure', ['([0-9.=])'], '0 – 9', 'start to type it'),
  line(DRAWING, 'parts', 'features', ['e'], 'E', 'features'),
  line(DRAWING, 'parts', 'mirror', ['r'], 'R', 'mirror'),
  line(DRAWING, 'parts', 'seeBack', ['j'], 'J', 'see the back'),
  line(DRAWING, 'parts', 'seeFolded', ['u'], 'U', 'see it folded'),
  line(DRAWING, 'parts', 'copy', ['$mod+c'], 'Ctrl+C', 'copy lines'),
  line(DRAWING, 'parts', 'paste', ['$mod+v'], 'Ctrl+V', 'paste them'),

  line(PLAN, 'plan', 'nudge', ARROWS, 'Arrows', 'move what is chosen', { isLeftToControls: true }),
  line(PLAN, 'plan', 'remove', ['Delete', 'Backspace'], 'Delete', 'take it out'),
  line(PLAN, 'plan', 'back', ['Escape'], 'Esc', 'back out one step'),

  line(FOLDED, 'folded', 'turn', ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'], 'Arrows', 'turn it', {
    isLeftToControls: true,
  }),
  line(
    FOLDED,
    'folded',
    'view',
    ['Shift+ArrowLeft', 'Shift+ArrowRight', 'Shift+ArrowUp', 'Shift+ArrowDown'],
    'Shift-arrows',
    'from a side, from above or below',
    { isLeftToControls: true },
  ),
  line(FOLDED, 'folded', 'corner', ['Home'], 'Home', 'from the corner', { isLeftToControls: true }),
  line(FOLDED, 'folded', 'unfoldOne', ['(\\[)'], '[', 'one fold back'),
  line(FOLDED, 'folded', 'foldOne', [']'], ']', 'one fold on'),

  line(FORMS, 'forms', 'seeWingFolded', ['u'], 'U', 'see it folded'),
  line(FORMS, 'forms', 'nextPanel', ['(\\[|\\])'], '[ ]', 'panel or station before, after'),
  line(FORMS, 'forms', 'back', ['Escape'], 'Esc', 'back out one step'),

  line(BOARDS, 'boards', 'nest', ['Enter'], 'Enter', 'nest', { isLeftToControls: true }),
  line(BOARDS, 'boards', 'stop', ['Escape'], 'Esc', 'stop, keep the best'),
  line(BOARDS, 'boards', 'previous', ['(\\[)'], '[', 'choose the piece before'),
  line(BOARDS, 'boards', 'next', [']'], ']', 'choose the next piece'),
  line(BOARDS, 'boards', 'turn', ['[Shift]+r'], 'R', 'turn it'),
  line(BOARDS, 'boards', 'lock', ['l'], 'L', 'lock it where it lies, or unlock it'),
  line(BOARDS, 'boards', 'push', ['p'], 'P', 'arrows push others along, or not'),
  line(BOARDS, 'boards', 'swap', ['x'], 'X', 'exchange it for another'),
  line(BOARDS, 'boards', 'nudge', ARROWS, 'Arrows', 'move it', { isLeftToControls: true }),
] as const satisfies readonly KeyLine[];

/** What is done with the pointer and so has no key of its own, for the card. */
export const POINTER_LINES: readonly Pick<KeyLine, 'group' | 'shown' | 'word'>[] = [
  { group: ON_MAT, shown: 'Wheel', word: 'zoom' },
  { group: ON_MAT, shown: 'Alt', word: 'hold snapping off' },
  { group: DRAWING, shown: 'Double-click', word: 'type a number in its place' },
  { group: DRAWING, shown: 'Shift-click', word: 'choose several lines' },
  { group: DRAWING, shown: 'Ctrl-click', word: 'choose several parts' },
];
