import AxeBuilder from '@axe-core/playwright';
import { made, region, setFigure, slip, start } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('makes the gauges of a whole trainer as ply parts, which follow its wing and are printed and nested', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Wren');
  await station(page, 'Stock');
  await page.getByLabel('Another material').fill('plywood 3 mm');
  await page.getByRole('button', { name: 'Add it' }).click();
  await station(page, 'Forms');

  // Nothing stands yet: it is said, and a throw gauge can be made all the same.
  await choose(start(page), 'Make', 'gauges for what stands');
  await expect(start(page).getByRole('status')).toContainText('Nothing stands yet that a gauge could hold');
  await choose(start(page), 'Make', 'a wing');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  const another = page.getByRole('button', { name: 'another form', exact: true });
  await another.click();
  await choose(start(page), 'Make', 'a tail of flat plates');
  await page.getByRole('button', { name: 'Make the tail' }).click();
  await region(page, 'Form')
    .getByRole('button', { name: /Form, place/ })
    .click();
  await setFigure(region(page, 'Form'), 'Aft of the datum', '520');
  await another.click();
  await choose(start(page), 'Make', 'a power box and firewall');
  await page.getByRole('button', { name: 'Make the power box' }).click();
  const foam = async (): Promise<string | undefined> =>
    /Foam.*?([\d.]+) gFolds/.exec((await page.getByRole('navigation', { name: 'Stations' }).textContent()) ?? '')?.[1];
  await saved(page);
  const flying = await foam();
  expect(flying).toBeDefined();

  await another.click();
  await choose(start(page), 'Make', 'gauges for what stands');
  await expect(start(page).getByRole('status')).toContainText(
    'Wing dihedral · Wing tip block · Wing middle cradle · Wing tip cradle · Wing incidence · Wing balance stand · Tail fin square',
  );
  await page.getByRole('button', { name: 'Make these 14 gauges' }).click();
  const gauges = region(page, 'Gauges');
  for (const held of [
    /Wing dihedral × 2 8°/,
    /Tail fin square × 2 90°/,
    /thrust aside 88°/,
    /thrust down 93°/,
    /elevator throw ± 25°/,
  ])
    await expect(gauges.getByRole('button', { name: held })).toBeVisible();
  await expect(slip(page).getByText(/14 gauges · 20 plates of plywood 3 mm/)).toBeVisible();
  await expect(made(page)).toHaveCount(15);
  // What is built by does not fly.
  await expect.poll(foam).toBe(flying);

  // The chosen one is seen where it is held, and told how.
  await gauges.getByRole('button', { name: /Wing dihedral/ }).click();
  await expect(
    gauges.getByText('Held against the outside of Wing skin and its mirror image', { exact: false }),
  ).toBeVisible();
  await page.keyboard.press(']');
  await expect(gauges.getByText('Stands on the table', { exact: false })).toBeVisible();

  // The wing is given more dihedral: its gauges hold that.
  await slip(page)
    .getByRole('combobox', { name: 'Forms' })
    .or(slip(page).getByRole('radiogroup', { name: 'Forms' }))
    .waitFor();
  await choose(slip(page), 'Forms', 'Wing');
  await setFigure(slip(page), 'Dihedral', '6');
  await choose(slip(page), 'Forms', 'Gauges');
  await expect(gauges.getByRole('button', { name: /Wing dihedral × 2 12°/ })).toBeVisible();

  // One that cannot be is told and left out; its part is chosen again.
  await page.keyboard.press('Escape');
  await gauges.getByRole('button', { name: /Wing tip cradle/ }).click();
  await setFigure(gauges, 'Out from the middle', '900');
  await expect(region(page, 'Faults')).toContainText('Nothing to hold so far out');
  await region(page, 'Faults').getByRole('button', { name: 'Set it just within the tip' }).click();
  await expect(region(page, 'Faults')).toHaveCount(0);
  await gauges.getByRole('button', { name: 'Take it out' }).click();
  await gauges.getByRole('button', { name: 'Look for more' }).click();
  await gauges.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(gauges.getByText('Everything that stands here', { exact: false })).toBeVisible();

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(ticket(page, 'Pages')).toContainText('A4');
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
  await expect(page.getByText(/35 pieces placed/)).toBeVisible();
  await station(page, 'Cut list');
  await expect(page.getByRole('main')).toContainText('Tail fin square');
});
