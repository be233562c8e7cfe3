import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, water, openMenu, asksForFormula } from './a-page.js';

test.afterEach(({ page, request }) => forgetDraft(page, request));

const undo = async (page: Page, times: number) => {
  for (let i = 0; i < times; i++) await page.getByRole('button', { name: 'Undo' }).click();
};
test('an egg becomes flax: fat, water, sugar and salt are held, and the allergen goes', async ({ page }) => {
  const errors = complaints(page);
  await asksForFormula(page, 'Sweet tart', 'Shortcrust, sweet');
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByLabel('Egg, whole, raw grams')).toBeVisible();
  const eggG = Number(await page.getByLabel('Egg, whole, raw grams').inputValue());
  await page.getByRole('button', { name: 'More about Egg, whole, raw' }).click();
  await openMenu(page.getByRole('combobox', { name: 'Swap Egg, whole, raw for' }));
  await page.getByRole('option', { name: 'Flaxseed meal' }).click();
  const answer = page.getByRole('status').filter({ hasText: 'Flaxseed meal' });
  await expect(answer).toContainText('Gone: egg');
  const cells = (await answer.locator('div div').allTextContents()).filter((text) => /^[\d.]+ g$/.test(text));
  // Two columns, before and after, of fat, water, sugar and salt.
  for (let i = 0; i < 8; i += 2) expect(Math.abs(parseFloat(cells[i]!) - parseFloat(cells[i + 1]!))).toBeLessThanOrEqual(0.11);
  await answer.getByRole('button', { name: 'Swap' }).click();
  await expect(page.getByLabel('Flaxseed meal (golden or brown) grams')).toHaveValue(String(Number((eggG * 0.14).toFixed(1))));
  await expect(page.getByLabel('Egg, whole, raw grams')).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Egg, whole, raw grams')).toHaveValue(String(eggG));
  expect(errors).toEqual([]);
});

test('a swap that cannot work says why', async ({ page }) => {
  await asksForFormula(page, 'Flaky crust', 'Pie crust, flaky');
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await page.getByRole('button', { name: 'More about Butter, unsalted' }).click();
  await openMenu(page.getByRole('combobox', { name: 'Swap Butter, unsalted for' }));
  await page.getByRole('option', { name: 'Olive oil' }).click();
  await expect(page.getByRole('alert')).toContainText('makes no flakes');
});

test('the water ladder moves with the air of the day', async ({ page, request }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  const share = page.getByRole('tab', { name: /Dough/ });
  await expect(share).toContainText('%');
  const before = Number(/(\d+) %/.exec((await share.textContent())!)![1]);
  await page.getByLabel('Humidity today').fill('90');
  await expect(page.getByText(/today’s flour is damp/)).toBeVisible();
  await expect.poll(async () => Number(/(\d+) %/.exec((await share.textContent())!)![1])).toBeGreaterThan(before);
  await page.getByLabel('Humidity today').fill('300');
  await expect(page.getByRole('alert').filter({ hasText: 'from 5 to 98' })).toBeVisible();
  await page.getByLabel('Humidity today').fill('61');
  await expect(page.getByText(/today’s flour is damp/)).toBeHidden();
  await request.put('/api/kitchen/air', { data: { humidityShare: 0.61, roomC: 23.5 } });
  expect(errors).toEqual([]);
});

test('a wheat formula becomes a first trial, each step with its reason and each to be left out', async ({ page }) => {
  const errors = complaints(page);
  await asksForFormula(page, 'Plain crust', 'Pie crust, flaky');
  await page.getByRole('button', { name: 'I have a wheat recipe' }).click();
  await page.getByRole('button', { name: 'Make it a first trial' }).click();
  await expect(page.getByRole('alert')).toContainText('Paste the list first');
  await page.getByLabel('Ingredients, a line each').fill('2 1/2 cups all-purpose flour\n1 cup butter, cold\n1/3 cup ice water\n1 tsp salt');
  await expect(page.getByRole('row', { name: /2 1\/2 cups/ })).toContainText('Wheat flour');
  await page.getByRole('button', { name: 'Butter, unsalted' }).click();
  const steps = page.getByRole('region', { name: 'From wheat, step by step' });
  await expect(steps).toContainText('Gum and husk in place of gluten: Xanthan gum');
  await expect(steps).toContainText('A quarter of the batch first');
  await steps.getByLabel('A quarter of the batch first').uncheck();
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  await page.getByRole('button', { name: 'Make it a first trial' }).click();
  await expect(page).toHaveURL(/\/dough$/);
  await expect(page.getByLabel('Blend', { exact: true })).toHaveValue('300');
  await expect(page.getByRole('region', { name: 'Order of mixing' })).toContainText('Cut in butter');
  expect(errors).toEqual([]);
});

test('six tartlets: the batch is scaled by pieces, with what the scale cannot weigh said; undo takes all back', async ({ page }) => {
  const errors = complaints(page);
  await asksForFormula(page, 'Six tartlets', 'Closed tartlet');
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByLabel('Blend', { exact: true })).toHaveValue('300');
  await page.getByRole('button', { name: 'Scale' }).click();
  const dialog = page.getByRole('dialog', { name: 'Another size of batch' });
  await dialog.getByLabel('Times').fill('5000');
  await expect(dialog.getByRole('alert')).toContainText('from 0.001 to 1000');
  await dialog.getByLabel('Times').fill('1/4');
  await expect(dialog).toContainText('less than your scale tells');
  await openMenu(dialog.getByRole('combobox', { name: 'Scale to' }));
  await page.getByRole('option', { name: 'so many pieces' }).click();
  await dialog.getByLabel('Pieces').fill('6');
  await expect(dialog.getByRole('row', { name: /Pieces/ })).toContainText('6 on 1 tray');
  await dialog.getByLabel('Pieces').press('Enter');
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('tab', { name: /Sheet/ })).toContainText('6 pieces');
  await openMenu(page.getByRole('combobox', { name: 'Family' }));
  await page.getByRole('option', { name: 'Galette crust' }).click();
  await openMenu(page.getByRole('combobox', { name: 'Way of mixing' }));
  await page.getByRole('option', { name: 'Creamed: tender, even' }).click();
  await expect(page.getByRole('region', { name: 'Order of mixing' })).toContainText('Cream butter');
  await undo(page, 3);
  await expect(page.getByLabel('Blend', { exact: true })).toHaveValue('300');
  await expect(page.getByRole('combobox', { name: 'Family' })).toContainText('Closed tartlet');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  expect(errors).toEqual([]);
});

test('the order of mixing is part of the formula: a forgotten row is found, a step is changed, a pea is 8 mm', async ({ page }) => {
  const errors = complaints(page);
  await asksForFormula(page, 'Scones', 'Biscuit or scone, rubbed in');
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  const mix = page.getByRole('region', { name: 'Order of mixing' });
  await expect(mix.getByRole('img', { name: /pieces like a pea: 8 mm, at true size/ })).toBeVisible();
  // Husk of the blend swells first, then the flours are whisked.
  await expect(mix.getByRole('listitem').first()).toContainText('Soak');
  await mix.getByRole('button', { name: 'Change step 3' }).click();
  await mix.getByLabel('Butter, unsalted in this step').uncheck();
  await expect(page.getByText('No step puts in Butter, unsalted')).toBeVisible();
  await mix.getByLabel('Butter, unsalted in this step').check();
  await expect(page.getByText('No step puts in Butter, unsalted')).toBeHidden();
  await openMenu(mix.getByRole('combobox', { name: 'With what' }));
  await page.getByRole('option', { name: 'in the processor' }).click();
  await expect(mix).toContainText('in the processor');
  await expect(page.getByTestId('water-temperature')).toContainText('7 °C');
  await page.getByLabel('Rest', { exact: true }).fill('40');
  await expect(page.getByTestId('standing')).toContainText('Stands 40 min');
  await mix.getByRole('button', { name: 'Step 3 earlier' }).click();
  await expect(mix.getByRole('listitem').nth(1)).toContainText('Cut in');
  expect(errors).toEqual([]);
});

test('one dough, several goods: taken from another formula, followed, and let go', async ({ page }) => {
  const errors = complaints(page);
  await asksForFormula(page, 'Cracker twists', 'Savoury starch or seed cracker');
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await openMenu(page.getByRole('combobox', { name: 'Take the dough of' }));
  await page.getByRole('option', { name: /Seeded sorghum crackers/ }).click();
  const from = page.getByRole('region', { name: 'Where this dough is from' });
  // Another journey may have saved a later version: whichever is newest is taken.
  await expect(from).toContainText(/The dough of Seeded sorghum crackers, v\d/);
  const poured = await water(page).inputValue();
  await water(page).fill('110');
  await expect(from).toContainText('changed here since');
  await from.getByRole('button', { name: 'As it is there' }).click();
  await expect(water(page)).toHaveValue(poured);
  await page.getByRole('button', { name: /Save as v2/ }).click();
  await page.getByRole('button', { name: 'Save v2' }).click();
  await expect(page.getByText('Saved as v2.')).toBeVisible();
  await page.goto(`${CRACKER}/dough`);
  await expect(page.getByRole('region', { name: 'Goods of this dough' })).toContainText('Cracker twists');
  await page.getByRole('link', { name: 'Cracker twists' }).click();
  await page.getByRole('button', { name: 'A dough of its own' }).click();
  await expect(page.getByRole('region', { name: 'Where this dough is from' })).toBeHidden();
  expect(errors).toEqual([]);
});
