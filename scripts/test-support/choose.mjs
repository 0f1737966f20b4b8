/**
 * Chooses a value in a choice of the interface as a person does: from its list, or from the words that stand side by side.
 * @param {import('@playwright/test').Page | import('@playwright/test').Locator} scope where the choice is looked for
 * @param {string | RegExp} label what the choice is called
 * @param {string | RegExp} word the value, as it is written
 * @param {{ exact?: boolean }} [options] whether the label must be the whole name
 */
export async function choose(scope, label, word, { exact = false } = {}) {
  const page = 'page' in scope ? scope.page() : scope;
  const list = scope.getByRole('combobox', { name: label, exact });
  const abreast = scope.getByRole('radiogroup', { name: label, exact });
  await list.or(abreast).first().waitFor();
  if ((await abreast.count()) > 0) {
    await abreast.getByText(word, { exact: typeof word === 'string' }).click();
    return;
  }
  // The words of the chosen value lie over the field itself.
  await list.locator('xpath=ancestor::*[contains(@class, "el-select__wrapper")]').click();
  await page
    .locator('.el-select-dropdown:visible')
    .getByRole('option', { name: word, exact: typeof word === 'string' })
    .click();
}
