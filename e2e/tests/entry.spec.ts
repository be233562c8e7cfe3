import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, water } from './a-page.js';

test.afterEach(({ page, request }) => forgetDraft(page, request));

test('a list with cups, sticks and half an egg becomes a dough in grams; what may mean two things is asked', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  await page.getByRole('button', { name: 'Paste a list' }).click();
  const dialog = page.getByRole('dialog', { name: 'A list the way you found it' });
  await dialog
    .getByLabel('Ingredients, a line each')
    .fill(
      'Ingredients:\n1 1/2 cups sorghum flour\n80 g fecola di patate\n60 g cornflour\n1 stick butter, cold\nhalf an egg\n1 bicchiere di latte\n3 tbsp salt\n2 cups moonbeams',
    );
  await expect(dialog.getByRole('row', { name: /1 1\/2 cups sorghum flour/ })).toContainText('181.5');
  await expect(dialog.getByRole('row', { name: /half an egg/ })).toContainText('25.0');
  await expect(dialog.getByRole('row', { name: /half an egg/ })).toContainText('beaten and weighed');
  await expect(dialog.getByText('that much salt? Sugar, perhaps')).toBeVisible();
  await expect(dialog.getByText(/nobody knows this name: choose what it is/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Make it this dough' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Corn starch (UK name: cornflour)' }).click();
  await dialog
    .getByRole('row', { name: /1 stick butter/ })
    .getByRole('button', { name: 'Butter, unsalted' })
    .click();

  // A glass is asked about once and then remembered for the kitchen.
  await dialog.getByLabel('A glass here').fill('180');
  await dialog.getByRole('button', { name: 'Remember' }).click();
  await expect(dialog.getByRole('row', { name: /bicchiere di latte/ })).toContainText('185.6');
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  await dialog.getByRole('button', { name: 'Make it this dough' }).click();

  await expect(page.getByLabel('Butter, unsalted grams')).toHaveValue('113.4');
  await expect(page.getByText('“1 stick butter, cold”')).toBeVisible();
  await expect(page.getByLabel('Blend', { exact: true })).toHaveValue('321.5');
  await page.keyboard.press('Control+z');
  await expect(water(page)).toBeVisible();
  expect(errors).toEqual([]);
});

test('a cell takes cups and spoons, keeps what was typed, and says what it cannot read', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  await water(page).fill('1/2 cup');
  await expect(page.getByText('“1/2 cup”')).toBeVisible();
  await water(page).blur();
  await expect(water(page)).toHaveValue('118.3');
  await page.getByLabel('Olive oil grams').fill('2 tbsp');
  await expect(page.getByText('“2 tbsp”')).toBeVisible();
  await page.getByLabel('Olive oil grams').fill('2 shovels');
  await expect(page.getByRole('alert').filter({ hasText: 'Olive oil grams' })).toBeVisible();
  await expect(page.getByLabel('Olive oil grams')).toHaveValue('2 shovels');
  await page.getByLabel('Olive oil grams').fill('30');
  await expect(page.getByText('“2 tbsp”')).toBeHidden();
  expect(errors).toEqual([]);
});

test('the open web format goes out and comes back', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save to a file' }).click();
  const file = await coming;
  expect(file.suggestedFilename()).toBe('seeded-sorghum-crackers.json');
  const stream = await file.createReadStream();
  let json = '';
  for await (const part of stream) json += String(part);
  expect(JSON.parse(json)).toMatchObject({ '@type': 'Recipe', name: 'Seeded sorghum crackers' });
  await page.getByRole('button', { name: 'Paste a list' }).click();
  const dialog = page.getByRole('dialog', { name: 'A list the way you found it' });
  await dialog.getByLabel('Ingredients, a line each').fill(json);
  await expect(dialog.getByRole('row', { name: /134.4 g Sorghum flour/ })).toContainText('134.4');
  await expect(dialog.getByText('Seeded sorghum crackers', { exact: true })).toBeVisible();
  expect(errors).toEqual([]);
});
