import { newAirframe, saved, signUp, test } from '../support/workshop.ts';
import { follow, stepsOf } from '../support/told-steps.ts';

test('the profile body in inches, step by step as its page tells', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await page.getByRole('button', { name: 'New airframe' }).first().click();
  await page.getByRole('dialog').getByLabel('Name').fill('Profile');
  await page.getByRole('dialog').getByText('inches').click();
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByRole('heading', { name: 'Draw the first part' }).waitFor();
  await follow(page, stepsOf('profile-body-in-inches.md', 'Draw it'), 25.4);
  await follow(page, stepsOf('profile-body-in-inches.md', 'Cut it'), 25.4);
  await saved(page);
});

test('the doubled power box, step by step as its page tells', async ({ page, workshop }) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Power box');
  await follow(page, stepsOf('power-box.md', 'The strip'));
  await follow(page, stepsOf('power-box.md', 'The firewall'));
  await saved(page);
});

for (const heading of ['Body side', 'Former', 'Fin and rudder', 'Elevator'])
  test(`${heading} by numbers, step by step as its page tells`, async ({ page, workshop }) => {
    await signUp(page, workshop);
    await newAirframe(page, heading);
    await follow(page, stepsOf('body-side-by-numbers.md', heading));
    await saved(page);
  });
