import { expect, newAirframe, PASSWORD, signUp, test } from '../support/workshop.ts';

test.use({ baseURL: async ({ workshop }, use) => use(workshop.address) });

test('another password under Account: a common one is refused by its field, this browser stays signed in', async ({
  page,
  workshop,
}) => {
  const name = await signUp(page, workshop);
  await page.getByRole('button', { name: 'Account' }).click();
  const dialog = page.getByRole('dialog', { name: `Account of ${name}` });
  await dialog.getByLabel('Present password').fill(PASSWORD);
  await dialog.getByLabel('New password').fill('1234567890');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('alert')).toContainText('one of the commonest');
  await dialog.getByLabel('New password').fill('nine narrow spars');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  await expect(page.getByText('other browsers are signed out')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill('nine narrow spars');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'No airframes yet' })).toBeVisible();
});

test('the demo workshop is put back as it was', async ({ page, workshop }) => {
  await page.goto(workshop.address);
  await page.getByRole('button', { name: 'Open the demo workshop' }).click();
  // Other tests have been there.
  await page.getByRole('button', { name: 'Put the demo back as it was' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(3);
  await newAirframe(page, 'Scribble');
  await page.goto(`${workshop.address}/airframes`);
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(4);
  await page.getByRole('button', { name: 'Put the demo back as it was' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(3);
});

test('with the database away a reload still shows the program, which says so and goes on when it is back', async ({
  page,
  workshop,
}) => {
  await signUp(page, workshop);
  await newAirframe(page, 'Shore Tern');
  await workshop.killDatabase();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Waiting for the server' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('alert')).toContainText('database does not answer');
  await workshop.startDatabase();
  await expect(page.getByRole('heading', { name: 'Draw the first part' })).toBeVisible({ timeout: 30_000 });
});
