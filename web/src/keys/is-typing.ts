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

/** Whether a key press falls on a control that has a use for Enter, Space and the arrows itself. */
export const isOnControl = (event: KeyboardEvent): boolean =>
  (event.target as HTMLElement | null)?.closest(
    'button, a, input, [role="option"], [role="radio"], [role="radiogroup"], [role="button"], [role="tab"], [role="slider"]',
  ) != null;
