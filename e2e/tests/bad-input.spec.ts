import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, outlook, storing, water } from './a-page.js';

test.afterEach(({ page, request }) => forgetDraft(page, request));

test('letters in a weight stay where they were typed, across a reload, and keep it from being saved', async ({ page }) => {
  await page.goto(`${CRACKER}/dough`);
  await water(page).fill('lots');
  await expect(page.getByRole('alert').filter({ hasText: 'Water grams “lots” is not a number' })).toBeVisible();
  await expect(storing(page)).toContainText('stored');
  await page.reload();
  await expect(water(page)).toHaveValue('lots');
  await page.keyboard.press('Control+s');
  await expect(page.getByText(/Not saved: a field holds what cannot be read/)).toBeVisible();
});

test('what no dough could have is said at its field; nothing is lost and nothing breaks', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  const fields: [string, string, RegExp][] = [
    ['Water grams', '-5', /must be from 0 to 100000 g, got -5/],
    ['Olive oil percent', '10000', /must be at most 20 times the blend/],
  ];
  for (const [label, text, message] of fields) {
    await page.getByLabel(label).fill(text);
    await expect(page.getByRole('alert').filter({ hasText: message })).toBeVisible();
    await expect(outlook(page).getByText(/Waiting/)).toBeVisible();
    await page.getByLabel(label).blur();
    await page.keyboard.press('Control+z');
    await expect(outlook(page).getByText(/Crisp \d/)).toBeVisible();
  }
  await page.getByRole('tab', { name: /Sheet/ }).click();
  await page.getByLabel('Thickness', { exact: true }).fill('60');
  await expect(page.getByRole('alert').filter({ hasText: 'Thickness must be from 0.3 to 40 mm, got 60' })).toBeVisible();
  await expect(page.getByRole('tab', { name: /Keep/ })).toContainText('Waiting');
  await page.keyboard.press('Control+s');
  await expect(page.getByText(/Not saved: Thickness must be from/)).toBeVisible();
  expect(errors).toEqual([]);
});

test('a record with wrong numbers names field and limit and keeps what was typed', async ({ page }) => {
  await page.goto('/bakes/new?formula=3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11&version=1');
  await page.getByRole('button', { name: 'Store this bake' }).click();
  await expect(page.getByText(/Nothing is filled in yet/)).toBeVisible();
  await page.getByLabel('Tone of the top').fill('90');
  await page.getByLabel('Note').fill('keep me');
  await page.getByRole('button', { name: 'Store this bake' }).click();
  await expect(page.getByText('Tone of the top must be from tone 1.0 to tone 8.0')).toBeVisible();
  await expect(page.getByLabel('Note')).toHaveValue('keep me');
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/formulas/11111111-1111-4111-8111-111111111111/dough');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
});

test('a draft changed on two devices is kept twice until the baker chooses', async ({ page, browser }) => {
  await page.goto(`${CRACKER}/dough`);
  const other = await (await browser.newContext()).newPage();
  await other.goto(`${CRACKER}/dough`);
  await expect(water(other)).toBeVisible();
  await water(page).fill('95');
  await expect(storing(page)).toContainText('stored');
  await water(other).fill('111');
  await expect(other.getByText(/Another device stored a later draft/)).toBeVisible();
  await expect(water(other)).toHaveValue('111');
  await other.getByRole('button', { name: 'Take theirs' }).click();
  await expect(water(other)).toHaveValue('95');
  await other.context().close();
});
