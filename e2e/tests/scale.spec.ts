import { choose } from '../../scripts/test-support/choose.mjs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, setFigure, station, test, ticket } from '../support/workshop.ts';

test('the Saltbox is made as large as two boards of foam hold, told what binds, and comes back', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  await setScaleTo(page, '1.2');
  const find = page.getByRole('region', { name: 'Find the factor' });
  await choose(find, 'Boards of', 'faced board 3/16');
  await find.getByRole('button', { name: 'Find it' }).click();
  await expect(find.getByRole('status')).toContainText('tried');
  await expect(find.getByRole('button', { name: 'Find it' })).toBeVisible({ timeout: 100_000 });
  await expect(find.getByRole('status')).toHaveText(/^× [01]\.\d{3}: 2 boards\. At × [01]\.\d{3}: /);
  const take = find.getByRole('button', { name: /^Take ×/ });
  const factor = (await take.textContent())!.replace(/[^\d.]/g, '');
  await take.click();
  await expect(page.getByLabel('Factor', { exact: true })).toHaveValue(factor);
  // Two of foam, and a small one of ply.
  await expect(ticket(page, 'Boards')).toContainText('3 ·', { timeout: 30_000 });
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Factor', { exact: true })).toHaveValue('1.200');
  await setScaleTo(page, '1');
  await saved(page);
});

async function setScaleTo(page: Page, value: string): Promise<void> {
  await station(page, 'Scale');
  await setFigure(page, 'Factor', value);
}

test('curves tell what other factors come to; a point is taken, compared with the version before, and gone back from', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  await station(page, 'Scale');
  const curves = page.getByRole('region', { name: 'What if' });
  // A propeller that stays comes to the ground of a smaller airframe, and the pack finds no room.
  const smaller = curves.getByRole('button', { name: /^Take × 0\.6 ?, \d+ faults$/ });
  await smaller.focus({ timeout: 60_000 });
  await expect(curves.getByRole('status')).toContainText('Pack does not fit');
  await curves.getByText('Flight', { exact: true }).click();
  await expect(curves.getByRole('img', { name: /^Under the propeller by factor: .*at 1: 1\.35/ })).toBeVisible();
  await curves.getByRole('button', { name: /^Take × 1\.2/ }).click();
  await expect(page.getByLabel('Factor', { exact: true })).toHaveValue('1.200');
  await saved(page);
  await page.getByRole('link', { name: 'Compare, or go back to it' }).click();
  await expect(page.getByRole('heading', { name: /^Version \d+$/ })).toBeVisible();
  await expect(page.getByText('Scale, then × 1.000')).toBeVisible();
  await page.getByRole('button', { name: /^Go back to version/ }).click();
  await station(page, 'Scale');
  await expect(page.getByLabel('Factor', { exact: true })).toHaveValue('1.000');
});

test('a thing that keeps its size is let grow and told back; another board is looked at and taken', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Saltbox 36');
  await setScaleTo(page, '1.5');
  const slip = page.getByRole('complementary', { name: 'Scale' });
  await slip.getByRole('button', { name: 'Thing by thing' }).click();
  const servo = slip.getByRole('region', { name: 'Wing skin' });
  await expect(servo).toContainText(/Servo opening.*1\.230 in, not 1 27\/32 in/s);
  await servo.getByRole('button', { name: 'Let it grow: servo opening of Wing skin' }).click();
  await expect(servo).toContainText('1.230 in becomes 1 27/32 in');
  await servo.getByRole('button', { name: 'Keep its size: servo opening of Wing skin' }).click();
  await expect(servo).toContainText('not 1 27/32 in');
  await slip.getByRole('button', { name: 'Thing by thing' }).click();
  await setScaleTo(page, '1');
  await slip.getByRole('button', { name: 'In another board' }).click();
  await setFigure(page, /^Thickness, now/, '0.25');
  await slip.getByRole('button', { name: 'See what it comes to' }).click();
  await expect(slip).toContainText('25 parts from 1/4 in of faced board 1/4 in', { timeout: 30_000 });
  await slip.getByRole('button', { name: 'Cut from faced board 1/4 in' }).click();
  await saved(page);
  const job = page.getByRole('complementary', { name: 'Job ticket' });
  await expect(job).toContainText('10.8 oz 14.0 oz');
  await page.keyboard.press('Control+z');
  await expect(job).toContainText('14.0 oz 10.8 oz');
  await saved(page);
});
