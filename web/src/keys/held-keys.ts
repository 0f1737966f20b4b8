import { reactive } from 'vue';

/** Keys that change what a press does. */
export const HELD_KEYS = ['Shift', 'Alt', 'Ctrl'] as const;
export type HeldKey = (typeof HELD_KEYS)[number];

interface Pressed {
  readonly shiftKey: boolean;
  readonly altKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

/** Keys that are held on the screen, where there is no keyboard to hold them on. */
export const held = reactive<Record<HeldKey, boolean>>({ Shift: false, Alt: false, Ctrl: false });

/** Whether a press is meant with a key: held on the keyboard or on the screen. */
export const isWith = (key: HeldKey, event: Pressed): boolean =>
  held[key] || (key === 'Shift' ? event.shiftKey : key === 'Alt' ? event.altKey : event.ctrlKey || event.metaKey);
