import AxeBuilder from '@axe-core/playwright';
import { made, region, setFigure, slip, start } from '../support/forms-desk.ts';
import { expect, newAirframe, saved, signUp, station, test, ticket } from '../support/workshop.ts';
import { choose } from '../../scripts/test-support/choose.mjs';

test('makes a profile body of five layers with bays and slits of their own, a wing and a tail through it', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Swift');
  await station(page, 'Forms');
  await choose(start(page), 'Make', 'a wing');
  await page.getByRole('button', { name: 'Make the wing' }).click();
  const another = page.getByRole('button', { name: 'another form', exact: true });
  await another.click();
  await choose(start(page), 'Make', 'a tail of flat plates');
  await page.getByRole('button', { name: 'Make the tail' }).click();
  await another.click();
  await choose(start(page), 'Make', 'a profile body of layers');
  await page.getByRole('button', { name: 'Make the profile body' }).click();
  await expect(made(page)).toHaveText([/layer 1/, /middle layer/]);
  await expect(region(page, 'Numbers').getByText('15.0 mm')).toBeVisible();

  // Five boards: the bay goes through the three within.
  await setFigure(region(page, 'Numbers'), 'Layers', '5');
  await expect(made(page)).toHaveText([/layer 1/, /middle layer/, /layer 2/]);
  await expect(region(page, 'Numbers').getByText('25.0 mm')).toBeVisible();
  const layers = region(page, 'Layers');
  await expect(layers.getByRole('button', { name: /Pack 15\.0 mm deep/ })).toBeVisible();

  // A servo bay to port alone parts the layers that it goes through.
  await layers.getByRole('button', { name: 'Add a bay or notch' }).click();
  await choose(layers, 'Through the layers of', 'port');
  await setFigure(layers, 'to layer', '2');
  await expect(made(page).filter({ hasText: 'layer 2, starboard' })).toHaveCount(1);
  await expect(layers.getByRole('button', { name: /Receiver 5\.0 mm deep/ })).toBeVisible();

  // A notch as deep as the body parts it: refused, and what was made stays.
  await choose(layers, 'It is', 'a notch below');
  await setFigure(layers, 'Depth', '200');
  await expect(region(page, 'Faults')).toContainText('falls apart');
  await page.keyboard.press('Control+z');
  await expect(region(page, 'Faults')).toHaveCount(0);

  await layers.getByRole('button', { name: /Slits for dowels/ }).click();
  await layers.getByRole('button', { name: 'Add a slit' }).click();
  await setFigure(layers, 'Deep', '12');
  await expect(layers.getByRole('button', { name: /from below at .* 12\.0 mm deep/ })).toBeVisible();

  await region(page, 'Seats').getByRole('button', { name: /^Wing/ }).click();
  await expect(slip(page).getByText('Wing is cut into the layers from above.')).toBeVisible();
  await choose(region(page, 'Seats'), 'Held by', 'bands over dowels');

  await page.keyboard.press('u');
  await expect(
    page.getByText(/pieces of \d+ parts stand together\. No piece is in another|stand together/),
  ).toBeVisible({
    timeout: 20_000,
  });
  await page.keyboard.press('u');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(/Faults.*none/, { timeout: 30_000 });

  // One mass of all forms, as the ticket has it, and one list of seams.
  await slip(page).getByRole('button', { name: 'The whole airframe' }).click();
  const masses = slip(page).getByRole('table', { name: 'Mass of the whole airframe' });
  await expect(masses.getByRole('rowheader')).toHaveText(['Wing', 'Tail', 'Profile', 'All together']);
  await expect(slip(page).getByRole('table', { name: 'Seams of the whole airframe' })).toContainText('Wing skin');

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await saved(page);
  await page.reload();
  await station(page, 'Boards');
  await page.getByRole('button', { name: /^Nest/ }).first().click();
  await expect(ticket(page, 'Boards')).toContainText('%', { timeout: 60_000 });
});
