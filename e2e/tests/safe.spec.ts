import { randomUUID } from 'node:crypto';
import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, newFormula, openMenu } from './a-page.js';

test.afterEach(({ page, request }) => forgetDraft(page, request));

async function paste(page: Page, text: string) {
  await page.getByRole('button', { name: 'Paste a list' }).click();
  const dialog = page.getByRole('dialog', { name: 'A list the way you found it' });
  await dialog.getByLabel('Ingredients, a line each').fill(text);
  return dialog;
}

const recipe = [
  'For the dough:',
  '250 g gluten-free flour blend',
  '1 tsp xanthan gum',
  '120 g cold unsalted butter, cubed',
  '60 g caster sugar',
  '1 large egg',
  'Filling',
  '250 g ricotta',
  '50 g caster sugar',
  'Topping:',
  '20 g flaked almonds',
  '200 g plain flour',
].join('\n');

test('a recipe with a filling, a topping and a boxed flour is asked where it matters, becomes a dough with its parts, and is baked from', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const errors = complaints(page);
  await newFormula(page, 'Ricotta tart', 'Shortcrust, sweet');
  const dialog = await paste(page, recipe);
  // A boxed flour and a bare "plain flour" are questions; wheat is named as kept out.
  await expect(dialog.getByRole('row', { name: /250 g gluten-free flour blend/ })).toContainText(
    /Which one\?|All-purpose gluten-free blend/,
  );
  const plain = dialog.getByRole('row', { name: /200 g plain flour/ });
  await expect(plain).toContainText('Which one?');
  await expect(plain.getByRole('button', { name: /Wheat flour, all-purpose.*kept out/ })).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Make it this dough' })).toBeDisabled();
  await expect(dialog.getByText('Filling: filling, baked')).toBeVisible();
  await plain.getByRole('button', { name: 'Something else' }).click();
  await dialog.getByRole('button', { name: 'Leave it out' }).click();
  const box = dialog.getByRole('row', { name: /250 g gluten-free flour blend/ });
  // The box is in the hand: what its label says is in it goes into the list.
  await box.getByRole('button', { name: /^It is a box: read its label|^Read what its box says/ }).click();
  const label = page.getByRole('dialog', { name: 'What is in the box?' });
  await label.getByLabel('Name').fill('Corner shop mix');
  await label.getByLabel('Ingredient list, as printed').fill('Flour (white rice, potato starch, tapioca starch), thickener: xanthan gum');
  await label.getByRole('button', { name: 'Work it out' }).click();
  await label.getByRole('button', { name: 'That is in it' }).click();
  await expect(box).toContainText('Corner shop mix: White rice flour');
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  await dialog.getByRole('button', { name: 'Make it this dough' }).click();

  // Two sugars in two parts stay two rows; the filling and the topping are what they are.
  await expect(page.getByLabel('Sugar, caster (superfine) grams')).toHaveCount(2);
  await expect(page.getByLabel('Ricotta, whole milk grams')).toHaveValue('250');
  await expect(page.getByRole('tab', { name: /Dough/ })).not.toContainText('waiting');
  // Nothing is saved while it is still being worked out.
  await expect(async () => {
    await page.keyboard.press('Control+s');
    await expect(page.getByLabel('Why')).toBeVisible({ timeout: 3000 });
  }).toPass();
  await expect(page.getByLabel('Why')).toHaveValue(/White rice flour/);
  await page.getByRole('button', { name: 'Save v2' }).click();
  await expect(page.getByText('Saved as v2.')).toBeVisible();
  const formulaId = page.url().split('/').at(-2)!;
  const answer = await page.request.put(`/api/bakes/${randomUUID()}/run`, {
    data: {
      formulaId,
      version: 2,
      factor: 1,
      looks: [],
      confirmed: ['gluten.notProven', 'keep.needsCold'].map((code) => ({ code, reason: 'a trial, eaten here' })),
    },
  });
  expect(answer.status()).toBe(200);
  const { steps } = (await answer.json()) as { steps: { key: string; name?: string; kind: string }[] };
  expect(steps.filter(({ kind }) => kind === 'weigh').map(({ name }) => name)).toEqual(
    expect.arrayContaining(['Ricotta, whole milk', 'Flaked almonds']),
  );
  await page.request.post(`/api/bakes/${(await answer.json()).id}/events`, {
    data: [{ id: randomUUID(), at: new Date().toISOString(), what: { kind: 'ended' } }],
  });
  expect(errors).toEqual([]);
});

test('a wrong line is put right in its row, remembered for this kitchen, and forgotten', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  const dialog = await paste(page, '200 g plain flour\n30 ml olive oil');
  const flour = dialog.getByRole('row', { name: /200 g plain flour/ }).first();
  await flour.getByRole('button', { name: /All-purpose gluten-free blend/ }).click();
  await expect(flour).toContainText('All-purpose gluten-free blend');
  await flour.getByRole('button', { name: /In this kitchen “plain flour” is always this/ }).click();
  await expect(flour).toContainText('as you said before');

  await flour.getByRole('button', { name: 'Correct 200 g plain flour' }).click();
  await dialog.getByLabel('Grams of 200 g plain flour').fill('plenty');
  await expect(dialog.getByText('A weight is a number, got “plenty”')).toBeVisible();
  await dialog.getByLabel('Grams of 200 g plain flour').fill('180');
  await dialog.getByLabel('Grams of 200 g plain flour').press('Enter');
  await expect(flour).toContainText('180.0');
  await dialog.getByRole('combobox', { name: 'What is 200 g plain flour' }).fill('teff flour');
  await page
    .getByRole('option', { name: /Teff flour/ })
    .first()
    .click();
  await expect(flour).toContainText('Teff flour');

  await dialog
    .getByRole('row', { name: /30 ml olive oil/ })
    .getByRole('button', { name: 'Correct 30 ml olive oil' })
    .click();
  await dialog.getByRole('button', { name: 'Leave it out' }).click();
  await expect(dialog.getByText('Together, 1 of 2 lines, 1 left out')).toBeVisible();
  await flour.getByRole('button', { name: 'Forget' }).click();
  await expect(flour.getByText('as you said before')).toBeHidden();
  const kitchen = (await (await page.request.get('/api/kitchen')).json()) as { names?: object };
  expect(kitchen.names).toEqual({});
  expect(errors).toEqual([]);
});

test('a custard made as a preparation is warned of on Bake and Keep, and the cold ends the warning', async ({ page }) => {
  const errors = complaints(page);
  const id = randomUUID();
  const rows = [
    ['milk_whole', 300],
    ['egg_yolk', 80],
    ['sugar_white', 60],
  ].map(([ingredientId, amountG], i) => ({ key: `c${i}`, ingredientId, amountG }));
  const preparation = { schema: 1, id, name: 'Vanilla custard', rows, acts: [], boiledOffG: 0, drainedG: 0, keepDays: 2, keepAt: 'fridge' };
  const stored = await page.request.put(`/api/pantry/preparations/${id}`, { data: { revision: 0, preparation } });
  expect(stored.status()).toBe(200);

  await newFormula(page, 'Custard tart', 'Shortcrust, sweet');
  await page.getByRole('combobox', { name: 'Add an ingredient' }).fill('Vanilla custard');
  await page.getByRole('option', { name: 'Vanilla custard', exact: true }).click();
  await page.getByLabel('Vanilla custard grams').fill('420');
  await page.getByRole('button', { name: 'More about Vanilla custard' }).click();
  await openMenu(page.getByRole('combobox', { name: 'What Vanilla custard is for' }));
  await page.getByRole('option', { name: 'the filling' }).click();
  await page.getByRole('tab', { name: /Keep/ }).click();
  await expect(page.getByText(/It needs the cold: .*Milk, whole/).first()).toBeVisible();
  await expect(page.getByText(/Too dry for mould/)).toBeHidden();
  await page.getByRole('tab', { name: /Bake/ }).click();
  await page
    .getByLabel(/minutes$/)
    .last()
    .fill('4');
  await expect(page.getByText('Egg in it is not heated through').first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByRole('tab', { name: /Keep/ }).click();
  await openMenu(page.getByRole('combobox', { name: 'Kept in' }));
  await page.getByRole('option', { name: /^Fridge/ }).click();
  await expect(page.getByText(/It needs the cold:/)).toBeHidden();
  expect(errors).toEqual([]);
});

test('a kitchen in the US: exactly 20 mg/kg does not pass, below it does', async ({ page, request }) => {
  const errors = complaints(page);
  const before = (await (await request.get('/api/kitchen')).json()) as { glutenLimitMgPerKg: number };
  await request.put('/api/kitchen/gluten-limit', { data: { mgPerKg: 20 } });
  const lot = {
    id: 'us-teff',
    ingredientId: 'teff',
    code: 'US-1',
    report: { mgPerKg: 20, below: false, method: 'R5 ELISA', on: new Date().toISOString().slice(0, 10) },
  };
  await request.put('/api/pantry/lots/us-teff', { data: { revision: 0, recounted: true, lot } });
  await page.goto('/pantry/lots');
  const row = page.getByRole('row', { name: /Teff flour lot US-1/ });
  await expect(row).toContainText('20');
  await expect(row).not.toContainText('over your limit');
  await page.getByLabel('Where it is sold').click();
  await page.getByRole('option', { name: 'US', exact: true }).click();
  await expect(page.getByText('Sold in US.')).toBeVisible();
  await expect(row).toContainText('20, over your limit');
  await expect(page.getByText('In US gluten-free means below 20 mg/kg', { exact: false })).toBeVisible();
  await request.put('/api/pantry/lots/us-teff', {
    data: { revision: 1, recounted: false, lot: { ...lot, report: { ...lot.report, below: true } } },
  });
  await page.reload();
  await expect(row).toContainText('< 20');
  await expect(row).not.toContainText('over your limit');
  await request.put('/api/kitchen/market', { data: { market: 'eu', home: false } });
  await request.put('/api/kitchen/gluten-limit', { data: { mgPerKg: before.glutenLimitMgPerKg } });
  await request.delete('/api/pantry/lots/us-teff');
  expect(errors).toEqual([]);
});
