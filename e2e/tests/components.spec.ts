import { expect, test } from './a-house.js';
import { complaints, newFormula, openMenu, storing } from './a-page.js';
import { begun, endRun, goOn, storedRun, title, upTo } from './a-run.js';

test('a filling is pasted under its heading, cooked on the stove, and filled as what is left of it', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Saturday galette', 'Galette crust');
  await page.getByRole('button', { name: 'Paste a list' }).click();
  await page
    .getByLabel('Ingredients, a line each')
    .fill('For the apples (filling):\n350 g apples, peeled\n60 g white sugar\n1 tbsp corn starch');
  await page.getByRole('button', { name: 'Add to this dough' }).click();
  await page.getByRole('button', { name: 'More about Apples' }).click();
  await page.getByRole('button', { name: 'Add an act' }).click();
  await openMenu(page.getByRole('combobox', { name: 'Act 1', exact: true }));
  await page.getByRole('option', { name: 'Boil' }).click();
  await page.getByLabel('Act 1 until').fill('it is thick');
  await page.getByRole('checkbox', { name: 'Cooked: its middle reached' }).check();
  // Hot it would melt the fat: one press lets it cool.
  await expect(page.getByText('Apples goes in hot')).toBeVisible();
  await page.getByRole('button', { name: /How Apples is made/ }).click();
  await expect(page.getByLabel('Act 2 minutes')).toHaveValue('60');
  // More than there is in it is refused at its field, and nothing is lost.
  await page.getByLabel('Boiled off').fill('5000');
  await expect(page.getByText(/Boiled off must be from 0 to \d+ g/)).toBeVisible();
  await page.getByLabel('Boiled off').fill('50');
  await expect(page.getByLabel('Apples: a piece gets')).not.toHaveValue('0');
  await expect(storing(page)).toContainText('stored');
  await page.getByRole('button', { name: /^Save as v2/ }).click();
  await page.getByRole('button', { name: /^Save v2/ }).click();
  await expect(page.getByText('v2 · as saved')).toBeVisible();

  await page.getByRole('button', { name: 'Print the formula' }).click();
  const paper = page.getByRole('dialog', { name: 'On paper' });
  await expect(paper.getByText('Boil: Apples')).toBeVisible();
  await expect(paper.getByText('Apple, raw, peeled')).toBeVisible();
  await paper.getByRole('button', { name: 'Close' }).click();

  const id = await begun(page);
  const { steps } = await storedRun(house.base, id);
  const acts = steps.flatMap(({ act }) => (act === undefined ? [] : [act]));
  expect(acts).toEqual(['boil', 'stand']);
  await upTo(house.base, id, steps.find(({ act }) => act === 'boil')!.key);
  await page.reload();
  await expect(title(page)).toHaveText('Boil: Apples');
  await goOn(page);
  await expect(title(page)).toHaveText('Let it stand: Apples');
  const fill = steps.find(({ what }) => what === 'fill')!;
  expect(fill.names).toEqual(['Apples']);
  await endRun(house.base, id);
  expect(errors).toEqual([]);
});

test('berries are folded into a batter by their name, and are no part of its percents', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Berry muffins', 'Muffin');
  const sugar = page.getByRole('textbox', { name: /^Sugar.* percent$/ }).first();
  const before = await sugar.inputValue();
  await page.getByRole('button', { name: 'Add a filling, frosting, fruit…' }).click();
  await openMenu(page.getByRole('combobox', { name: 'What kind' }));
  await page.getByRole('option', { name: 'Folded into the dough' }).click();
  await page.getByRole('combobox', { name: 'Its first ingredient' }).fill('blueberries');
  await page
    .getByRole('option', { name: /^Blueberries/ })
    .first()
    .click();
  await page.getByLabel('Blueberries grams').fill('80');
  await expect(page.getByText('folded in').first()).toBeVisible();
  await expect(sugar).toHaveValue(before);
  await expect(storing(page)).toContainText('stored');
  await page.getByRole('button', { name: /^Save as v2/ }).click();
  await page.getByRole('button', { name: /^Save v2/ }).click();
  await expect(page.getByText('v2 · as saved')).toBeVisible();
  const id = await begun(page);
  const { steps } = await storedRun(house.base, id);
  const what = steps.map((step) => step.what);
  expect(what.indexOf('foldIn')).toBeGreaterThan(what.lastIndexOf('mix'));
  expect(what.indexOf('foldIn')).toBeLessThan(what.indexOf('pour'));
  await upTo(house.base, id, 'feel');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Ribbon sinks in slowly' })).toBeVisible();
  await endRun(house.base, id);
  expect(errors).toEqual([]);
});

test('a custard is pasted into the pantry, and Monday’s batch is a lot with its day', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/pantry/preparations');
  await page.getByRole('button', { name: 'Add a preparation' }).click();
  await page.getByLabel('Name').fill('Custard');
  await page.getByRole('button', { name: 'Paste a list' }).click();
  await page.getByLabel('Ingredients, a line each').fill('2 cups whole milk\n100 g white sugar\nmoon dust');
  await expect(page.getByText(/“moon dust”:/)).toBeVisible();
  await page.getByRole('button', { name: 'Add these 2' }).click();
  await expect(page.getByLabel('Ingredients, a line each')).toHaveValue('moon dust');
  await page.getByRole('button', { name: 'Leave it' }).first().click();
  await page.getByLabel('Sugar, granulated white in it').fill('4 tbsp');
  await page.getByRole('button', { name: 'Store', exact: true }).click();
  await page.getByRole('button', { name: 'Custard' }).click();
  await page.getByRole('button', { name: 'Make a batch' }).click();
  await page.getByLabel('The batch makes').fill('1000');
  await page.getByLabel('Code', { exact: true }).fill('Monday');
  await page.getByRole('button', { name: 'It is made' }).click();
  await expect(page.getByRole('region', { name: 'Batches' })).toContainText('Monday');
  await expect(page.getByRole('region', { name: 'Batches' })).toContainText('1000 g left');
  await page.getByRole('button', { name: 'It was never made' }).click();
  await expect(page.getByRole('region', { name: 'Batches' })).not.toContainText('Monday');
  expect(errors).toEqual([]);
});
