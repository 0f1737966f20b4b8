/** Whether a key press belongs to a field that is being typed in, to an open list, or to a dialog. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  if (!target) return false;
  if ([...document.querySelectorAll('[role="dialog"]')].some((dialog) => dialog.getClientRects().length > 0))
    return true;
  if (target.closest('[role="combobox"][aria-expanded="true"], [role="menu"]')) return true;
  return (
    target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement &&
      !target.readOnly &&
      !['checkbox', 'radio', 'button', 'range'].includes(target.type))
  );
}

/** Controls that have a use of their own for arrows, Home and End; and those that Enter and Space press. */
const USES_ARROWS =
  'input, [role="slider"], [role="option"], [role="radio"], [role="radiogroup"], [role="tab"], [role="combobox"]';
const IS_PRESSED = `button, a, [role="button"], ${USES_ARROWS}`;

/** Whether a key press falls on a control that has a use for that key itself. */
export function isOnControl(event: KeyboardEvent): boolean {
  const isPress = event.key === 'Enter' || event.key === ' ';
  return (event.target as HTMLElement | null)?.closest(isPress ? IS_PRESSED : USES_ARROWS) != null;
}

/** Whether a key press falls on a field for the next point in which nothing stands yet. */
export function isInEmptyEntry({ target }: KeyboardEvent): boolean {
  return target instanceof HTMLInputElement && target.value === '' && target.closest('[data-next-point]') !== null;
}

/** Whether a key press falls on a control that it would press, but for a tool that is in hand already. */
export function wouldPress({ target }: KeyboardEvent): boolean {
  const control = (target as HTMLElement | null)?.closest(IS_PRESSED);
  return control != null && !(control.getAttribute('aria-pressed') === 'true' && control.closest('[role="toolbar"]'));
}
