/** Whether a key press belongs to a field that is being typed in, or to a dialog that is open. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  if (!target) return false;
  if ([...document.querySelectorAll('[role="dialog"]')].some((dialog) => dialog.getClientRects().length > 0))
    return true;
  return (
    target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement ||
    (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'range'].includes(target.type))
  );
}
