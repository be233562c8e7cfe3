import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, openMenu } from './a-page.js';

const menu = async (page: Page, item: string) => {
  await page.getByRole('button', { name: 'More about this blend' }).click();
  await page.getByRole('menuitem', { name: item }).click();
};

test.afterEach(({ page, request }) => forgetDraft(page, request));

test('a blend is made from parts, then from cups with what they leave open', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/blend`);
  await menu(page, 'From parts, grams or cups');
  const dialog = page.getByRole('dialog');
  for (const name of ['Sorghum flour, whole grain', 'Corn starch (UK name: cornflour)']) {
    await dialog.getByRole('combobox', { name: 'Add to these amounts' }).fill(name.slice(0, 12));
    await page.getByRole('option', { name, exact: true }).click();
  }
  await dialog.getByLabel('Sorghum flour, whole grain amount').fill('2');
  await expect(dialog.getByRole('row', { name: /Sorghum/ })).toContainText('66.7 %');
  await dialog.getByLabel('Corn starch (UK name: cornflour) amount').fill('none');
  await expect(dialog.getByRole('button', { name: 'Use this blend' })).toBeDisabled();
  await dialog.getByLabel('Corn starch (UK name: cornflour) amount').fill('1');
  await openMenu(dialog.getByRole('combobox', { name: 'Sorghum flour, whole grain in' }));
  await page.getByRole('option', { name: 'US cups' }).click();
  await openMenu(dialog.getByRole('combobox', { name: 'Corn starch (UK name: cornflour) in' }));
  await page.getByRole('option', { name: 'US cups' }).click();
  await expect(dialog.getByRole('row', { name: /Sorghum/ })).toContainText('242');
  await expect(dialog.getByText(/holds two cups in three/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Use this blend' }).click();
  await expect(page.getByText(/Little to bind it/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Sorghum flour, whole grain share')).toHaveValue('56');
  expect(errors).toEqual([]);
});

test('a blend that must be free of nuts and bends more is found, used as one step, and a second answer differs', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/blend`);
  await openMenu(page.getByRole('combobox', { name: 'Must suit' }));
  await page.getByRole('option', { name: 'no tree nuts' }).click();
  await page.keyboard.press('Escape');
  await openMenu(page.getByRole('combobox', { name: 'Where from' }));
  await page.getByRole('option', { name: 'from anything' }).click();
  await page.getByLabel('bend at least (1 is enough), value').fill('2.1');
  await openMenu(page.getByRole('combobox', { name: 'Add a wish' }));
  await page.getByRole('option', { name: 'protein at least' }).click();
  await page.getByRole('button', { name: 'Find blends' }).click();
  // Three answers out of all that there is: seconds of solving, more on a busy machine.
  await expect(page.getByRole('button', { name: 'Answer 3' })).toBeVisible({ timeout: 40_000 });
  const answers = page.getByRole('region', { name: 'Answers' });
  const first = await answers.innerText();
  await page.getByRole('button', { name: 'Answer 2' }).click();
  expect(await answers.innerText()).not.toBe(first);
  expect(first).not.toMatch(/almond|hazelnut|pecan|walnut|cashew|pistachio/i);
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  await page.getByRole('button', { name: 'Answer 1' }).click();
  await page.getByRole('button', { name: 'Use answer 1' }).click();
  await expect(page.getByText(/2\.\d\d$/).first()).toBeVisible();
  const bends = page.getByRole('img', { name: /Bend \(1 is enough\)/ });
  await expect(bends).toHaveAttribute('aria-label', /2\.(0[89]|1)/);
  await page.keyboard.press('Control+z');
  await expect(bends).toHaveAttribute('aria-label', /1\.84/);
  expect(errors).toEqual([]);
});

test('an impossible wish comes back with what clashes and how far each would have to give', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/blend`);
  await openMenu(page.getByRole('combobox', { name: 'Add a wish' }));
  await page.getByRole('option', { name: 'protein at least' }).click();
  await page.getByLabel('protein at least, value').fill('14');
  await page.getByRole('group', { name: 'How strongly: protein at least' }).getByRole('button', { name: 'must' }).click();
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('Control+Enter');
  const answers = page.getByRole('region', { name: 'Answers' });
  await expect(answers.getByRole('heading', { name: 'No blend does all of that' })).toBeVisible();
  await expect(answers).toContainText('Alone, one of them would have to give:');
  await expect(answers).toContainText(/protein at least 14 % → \d+(\.\d+)? %/);
  await page.getByLabel('protein at least, value').fill('much');
  await page.getByRole('button', { name: 'Find blends' }).click();
  await expect(page.getByText('“protein at least” needs a number from 0.')).toBeVisible();
  await expect(page.getByLabel('protein at least, value')).toHaveValue('much');
  expect(errors).toEqual([]);
});

test('a label is read, kept, imitated from the pantry; the library compares two', async ({ page }) => {
  const errors = complaints(page, /status of 400/);
  await page.goto(`${CRACKER}/blend`);
  await menu(page, 'Keep this blend in the library');
  await expect(page.getByText(/Sorghum crisp, version 1, is in the library/)).toBeVisible();
  await menu(page, 'Read a label');
  const dialog = page.getByRole('dialog', { name: 'What is in the box?' });
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(dialog.getByText('Paste the ingredient list of the box.')).toBeVisible();
  await dialog.getByLabel('Name').fill('Shop mix');
  await dialog
    .getByLabel('Ingredient list, as printed')
    .fill('Rice flour, moonbeam dust, potato starch, tapioca starch, contains 2% or less of xanthan gum');
  await expect(dialog.getByText(/“moonbeam dust”: nobody knows this name/)).toBeVisible();
  await dialog
    .getByLabel('Ingredient list, as printed')
    .fill('White rice flour, potato starch, tapioca starch, contains 2% or less of xanthan gum');
  const yes = dialog.getByRole('button', { name: 'Yes' });
  while ((await yes.count()) > 0) await yes.first().click();
  await dialog.getByLabel('Energy, kcal').fill('113');
  await dialog.getByLabel('Protein, g').fill('1');
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(dialog.getByText(/a panel never prints 113/)).toBeVisible();
  await dialog.getByLabel('Energy, kcal').fill('110');
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(dialog.getByRole('row', { name: /White rice flour/ })).toContainText(/\d+\.\d %.*\d+ to \d+ %/);
  await dialog.getByRole('button', { name: 'Keep in the library' }).click();
  await expect(page.getByText('Shop mix is in the library.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Imitate from my pantry' }).click();
  await expect(page.getByRole('button', { name: 'Use answer 1' })).toBeVisible();

  await page.goto('/pantry/blends');
  await page.getByLabel('Compare Shop mix').check();
  await page.getByLabel('Compare Sorghum crisp').first().check();
  await expect(page.getByRole('row', { name: /Water hold/ })).toContainText('g/g');
  await page
    .getByRole('row', { name: /Shop mix/ })
    .getByRole('button', { name: 'Keep it ready' })
    .click();
  await expect(page.getByText('Shop mix can be weighed by one key now.')).toBeVisible();
  expect(errors).toEqual([]);
});

test('one flour is swapped for another by mass, its water shown before it is accepted; what cannot work is refused', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/blend`);
  await page.getByRole('button', { name: 'Open Sorghum flour, whole grain' }).click();
  await page.getByRole('combobox', { name: 'Swap Sorghum flour, whole grain for' }).fill('teff');
  await page.getByRole('option', { name: /Teff flour/ }).click();
  // 134.4 g x (0.80 - 0.68) x 0.62 = 10 g.
  await expect(page.getByText(/pour \+10 g/)).toBeVisible();
  await page.getByRole('button', { name: 'Swap', exact: true }).click();
  await expect(page.getByLabel('Teff flour share')).toHaveValue('56');
  await page.getByRole('tab', { name: /Dough/ }).click();
  await expect(page.getByLabel('Water grams')).toHaveValue('112');
  await page.getByRole('tab', { name: /Blend/ }).click();
  await page.getByRole('button', { name: 'Open Potato starch (= fecula)' }).click();
  await page.getByRole('combobox', { name: 'Swap Potato starch (= fecula) for' }).fill('potato flour');
  await page.getByRole('option', { name: /Potato FLOUR/ }).click();
  await expect(page.getByText(/never swap: their water need differs by 2.05 g per g/)).toBeVisible();
  await page.getByLabel('Xanthan gum grams').fill('3');
  await expect(page.getByLabel('Blend', { exact: true })).toHaveValue('242');
  expect(errors).toEqual([]);
});
