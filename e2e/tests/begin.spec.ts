import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, openMenu } from './a-page.js';
import { begun, said, storedRun, storedWhen, title, upTo } from './a-run.js';

/** Reads by ounce, inch and °F, with cups beside the weights. */
const byOunce = (page: Page) =>
  page.addInitScript(() =>
    localStorage.setItem(
      'north-leaf-preferences',
      JSON.stringify({ state: { units: { mass: 'oz', length: 'in', heat: 'F' }, cups: true }, version: 2 }),
    ),
  );
const SHORTBREAD = `Sunday shortbread

1 1/4 cups white rice flour
1/4 cup tapioca starch
1/4 tsp xanthan gum
1 stick unsalted butter, soft
1/3 cup sugar
1/4 tsp salt
2 tsp milk`;
const recipe = (page: Page) => page.getByLabel('Ingredients, a line each');
/** Makes a formula of a pasted list, answering what is asked by what stands first. */
async function make(page: Page, text: string): Promise<void> {
  await recipe(page).fill(text);
  await expect(page.getByRole('region', { name: 'What it is taken for' })).toBeVisible();
  const asking = page.getByRole('group', { name: /^Which/ });
  for (let asked = 0; asked < 8 && (await asking.count()) > 0; asked++) await asking.first().getByRole('button').first().click();
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Save as v2/ })).toBeVisible();
}

test('an empty kitchen at home: one bag of each, no scale, no report; the first recipe is baked the same day', async ({ page, house }) => {
  const found = complaints(page);
  await page.goto('/setup');
  await page.getByRole('button', { name: 'Begin with an empty kitchen' }).click();
  const dialog = page.getByRole('dialog', { name: 'An empty kitchen' });
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(dialog.getByText('Give it a name of 1 to 120 letters.')).toBeVisible();
  await dialog.getByLabel('Name of the kitchen').fill('Our flat');
  await openMenu(dialog.getByRole('combobox', { name: 'By the rules of' }));
  await page.getByRole('option', { name: 'EU', exact: true }).click();
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.waitForURL(/\/today$/);
  await page.getByRole('link', { name: 'Make the first formula' }).click();
  await make(page, SHORTBREAD);
  // A home has no reports: one calm line, and no Fix for it.
  await page.getByRole('tab', { name: /^Blend/ }).click();
  await expect(page.getByRole('tab', { name: /^Blend/ })).not.toContainText('Fix');
  await expect(page.getByText('Gluten: look for the mark on: White rice flour; Tapioca starch', { exact: false })).toBeVisible();

  // Started with no reason asked; each bag is asked for at the bowl, and spoons are a weight.
  await page
    .getByRole('button', { name: 'Start a bake' })
    .or(page.getByRole('link', { name: 'Start a bake' }))
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('How is it?');
  await expect(page.getByRole('textbox', { name: /^Why it is baked all the same/ })).toHaveCount(0);
  await page.goBack();
  const id = await begun(page);
  const { steps } = await storedRun(house.base, id);
  const flour = steps.find(({ ingredientId }) => ingredientId === 'rice_white')!;
  await upTo(house.base, id, flour.key);
  await page.reload();
  await expect(page.getByText(/White rice flour: is the bag marked gluten-free\?/)).toBeVisible();
  await page.getByRole('button', { name: 'It is marked' }).click();
  await page.getByRole('button', { name: 'Type it' }).click();
  await page.getByLabel('Weight in g').fill('1 1/4 cups');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect.poll(async () => JSON.stringify((await storedRun(house.base, id)).events)).toMatch(/Its bag is marked gluten-free/);
  await upTo(house.base, id, 'rate');
  await page.reload();
  await expect(title(page)).toHaveText('How is it?');
  for (const dots of ['Crisp 3 of 5', 'Tender 4 of 5', 'Liked 5 of 5']) await page.getByRole('button', { name: dots }).click();
  await page.getByRole('button', { name: /^End the bake/ }).click();
  await expect(page.getByRole('heading', { name: 'Bake 1' })).toBeVisible();
  await storedWhen(house.base, id, said('ended'));

  // The demo was not touched, and opens again.
  await page.goto('/setup');
  await page.getByRole('button', { name: 'Open North Leaf demo bakery' }).click();
  await page.waitForURL(/\/today$/);
  await page.goto('/formulas');
  await expect(
    page.getByRole('link', { name: 'Seeded sorghum crackers' }).or(page.getByText('Seeded sorghum crackers')).first(),
  ).toBeVisible();
  await expect(page.getByText('Sunday shortbread')).toHaveCount(0);
  expect(found).toEqual([]);
});

test('who bakes by the ounce goes from a pasted list to the dots and reads no gram on the way', async ({ page, house }) => {
  const found = complaints(page);
  await byOunce(page);
  await page.goto('/formulas?open=new');
  await make(page, SHORTBREAD.replace('Sunday shortbread', 'Ounce shortbread'));
  const gram = /(?<![\w.])\d[\d.,]*\s?(?:g|kg|mm|°C)(?![\w/])/;
  /** What a page says, but what was typed by somebody. */
  const says = async () => (await page.locator('main').innerText()).replace(/“[^”]*”/g, '').split('\n').filter((line) => gram.test(line)); // prettier-ignore
  for (const stage of ['Blend', 'Dough', 'Chill', 'Sheet', 'Bake', 'Keep']) {
    await page.getByRole('tab', { name: new RegExp(`^${stage}`) }).click();
    await expect(page.getByRole('tab', { name: new RegExp(`^${stage}`) })).toHaveAttribute('aria-selected', 'true');
    // Dials, trays, rulers and paper are told as they are marked.
    expect((await says()).filter((line) => !/tray|tin|to scale:|Print at 100 %|°C\s*$/i.test(line))).toEqual([]);
  }
  const id = await begun(page);
  const { steps } = await storedRun(house.base, id);
  await upTo(house.base, id, steps.find(({ name, rowKey }) => rowKey && /^Sugar/.test(name ?? ''))!.key);
  await page.reload();
  await expect(page.getByText(/^about ⅓ cup|, about ⅓ cup/).first()).toBeVisible();
  await upTo(house.base, id, 'rate');
  await page.reload();
  await expect(title(page)).toHaveText('How is it?');
  await page.getByRole('button', { name: 'Liked 4 of 5' }).click();
  await page.getByRole('button', { name: /^End the bake/ }).click();
  await expect(page.getByRole('heading', { name: /^Bake \d/ })).toBeVisible();
  expect(found).toEqual([]);
});

test('a box of flour mix, read by its label, becomes a formula whose water is right for it; a recipe is opened from a file', async ({
  page,
}) => {
  const found = complaints(page);
  await page.goto('/formulas?open=new');
  const dialog = page.getByRole('dialog', { name: 'A new formula' });
  await dialog.getByRole('button', { name: 'I have a box of flour mix' }).click();
  await dialog.getByLabel('Name').fill('Box pie crust');
  await dialog.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(dialog.getByText('Read the label of the box first.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Read its label' }).click();
  const label = page.getByRole('dialog', { name: 'What is in the box?' });
  await label.getByLabel('Name').fill('Shop mix');
  await label
    .getByLabel('Ingredient list, as printed')
    .fill('White rice flour, potato starch, tapioca starch, contains 2% or less of xanthan gum');
  const yes = label.getByRole('button', { name: 'Yes' });
  while ((await yes.count()) > 0) await yes.first().click();
  await label.getByLabel('Energy, kcal').fill('110');
  await label.getByLabel('Protein, g').fill('1');
  await label.getByRole('button', { name: 'Work it out' }).click();
  await label.getByRole('button', { name: 'That is in it' }).click();
  await expect(dialog.getByText(/^Shop mix: White rice flour \d+ %/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Box pie crust' })).toBeVisible();
  // Gluten is for the bag to prove; nothing else needs a Fix.
  await expect(page.getByTestId('ruling-dough')).toHaveText(/^(9\d|10\d) %$/);
  await page.getByRole('tab', { name: /^Dough/ }).click();
  await expect(page.getByRole('tab', { name: /^Dough/ })).not.toContainText('Fix');

  // A file: a recipe page's JSON-LD is read, a picture is refused by its name.
  await page.goto('/formulas?open=new');
  const file = page.getByLabel('Open a file');
  await file.setInputFiles({ name: 'pie.png', mimeType: 'image/png', buffer: Buffer.from([0x89, 0x50, 0, 1, 2, 0xff]) });
  await expect(page.getByText(/^pie\.png is no text that a list could be read from/)).toBeVisible();
  const recipe = { '@context': 'https://schema.org', '@type': 'Recipe', name: 'Filed biscuits', recipeIngredient: ['200 g white rice flour', '100 g unsalted butter', '80 g sugar'] }; // prettier-ignore
  await file.setInputFiles({ name: 'r.jsonld', mimeType: 'application/ld+json', buffer: Buffer.from(JSON.stringify(recipe)) });
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Filed biscuits');
  await expect(page.getByText(/is no text/)).toHaveCount(0);
  expect(found).toEqual([]);
});

test('who wants something good is shown goods with what each asks, and one press names and makes it', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/formulas');
  await page.getByRole('button', { name: 'New formula' }).click();
  await page.getByRole('button', { name: 'Show me a good one' }).click();
  const goods = page.getByRole('group', { name: 'What to make' });
  const first = goods.getByRole('button').first();
  await expect(first).toContainText(/\d+ min of hands\s*baked after/);
  await goods.getByRole('button', { name: /^Shortbread/ }).click();
  await expect(goods.getByRole('button', { pressed: true })).toHaveText(/^Shortbread/);
  await expect(page.getByLabel('Name')).toHaveValue('Shortbread');
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Shortbread' })).toBeVisible();
  expect(errors).toEqual([]);
});
