import { choose } from '../../scripts/test-support/choose.mjs';
import { expect, hold, openDemo, saved, station, test } from '../support/workshop.ts';

test('a wing dragged along its body: the ticket follows before it is let go; struts and gauges follow after', async ({
  page,
  workshop,
}) => {
  await openDemo(page, workshop.address, 'Reedling 1100');
  const ticket = page.getByRole('complementary', { name: 'Job ticket' });
  await expect(ticket).toContainText(/Faults\s*none/);
  await station(page, 'Forms');
  const slip = page.getByRole('complementary', { name: 'Slip' });
  await choose(slip, 'Forms', 'Pylon');
  const length = slip.locator('section', { hasText: 'true length' }).first();
  await expect(length).toContainText('50.4 mm');
  await choose(slip, 'Forms', 'Pod');
  const handle = page.locator('[data-handle^="guest"] circle').first();
  const at = await hold(page, handle);
  await page.mouse.move(at.x + 10, at.y - 4, { steps: 3 });
  await page.mouse.move(at.x + 24, at.y - 6, { steps: 3 });
  // Further aft: the arm of the tail is shorter.
  await expect(ticket.locator('.still', { hasText: 'Balance' })).toContainText('was');
  await page.keyboard.press('Escape');
  await expect(ticket).not.toContainText('was');
  await page.mouse.up();
  const again = await hold(page, handle);
  await page.mouse.move(again.x + 2, again.y - 6, { steps: 6 });
  await page.mouse.up();
  await choose(slip, 'Forms', 'Pylon');
  // The wing came up under the motor's box: the pylon between both is shorter.
  await expect(length).not.toContainText('50.4 mm');
  await expect(length).toContainText(/4\d\.\d mm/);
  await saved(page);
  await page.reload();
  await choose(page.getByRole('complementary', { name: 'Slip' }), 'Forms', 'Pylon');
  await expect(length).not.toContainText('50.4 mm');
  await page.locator('body').press('Control+z');
  await expect(length).toContainText('50.4 mm');
});
