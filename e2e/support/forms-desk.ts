import type { Locator, Page } from '@playwright/test';

/** The slip beside the mat, the card on which a form is begun, a section of the slip, and the parts that the form made. */
export const slip = (page: Page): Locator => page.getByRole('complementary', { name: 'Slip' });
export const start = (page: Page): Locator => page.locator('.start');
export const region = (page: Page, name: string): Locator => slip(page).getByRole('region', { name });
export const made = (page: Page): Locator => page.getByRole('navigation', { name: 'Made parts' }).getByRole('link');

/** Types a number into a field and takes it. */
export async function setFigure(scope: Locator, name: string, value: string): Promise<void> {
  const field = scope.getByRole('textbox', { name, exact: true }).first();
  await field.fill(value);
  await field.press('Enter');
}
