import { expect, test } from './a-house.js';
import { CRACKER, forgetDraft, newFormula, pour, storing, water } from './a-page.js';

test.afterEach(({ page, request }) => forgetDraft(page, request));

test('undo survives a reload, and stepping with keys is one step a visit', async ({ page }) => {
  await page.goto(`${CRACKER}/dough`);
  const start = await water(page).inputValue();
  await water(page).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(water(page)).toHaveValue(String(Number(start) + 11));
  await expect(storing(page)).toContainText('stored');
  await page.waitForTimeout(400);
  await page.reload();
  await expect(water(page)).toHaveValue(String(Number(start) + 11));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(water(page)).toHaveValue(start);
});

test('other units are taken as typed and shown back in the baker’s own', async ({ page }) => {
  await page.goto(`${CRACKER}/dough`);
  await pour(page, '3 1/2 oz');
  await page.keyboard.press('Tab');
  await expect(water(page)).toHaveValue('99.2');
  await page.getByRole('tab', { name: /Bake/ }).click();
  await page.getByLabel('Hot start want').fill('350F');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Hot start want')).toHaveValue('177');
  await page.getByLabel('Dry minutes').fill('0h06');
  await expect(page.getByTestId('ruling-bake')).toHaveText('16 min');
});

test('a version saved while its draft is still on its way is the newest, and no draft is left behind', async ({ page }) => {
  await newFormula(page, 'Pressed at once', 'Closed tartlet');
  await page.route('**/draft', async (route) => {
    await new Promise((late) => setTimeout(late, 1500));
    await route.continue();
  });
  await page.getByLabel('Rest', { exact: true }).fill('17');
  const asked = page.waitForRequest(/\/draft$/);
  await page.getByRole('button', { name: /^Save as v2/ }).click();
  await asked;
  await page.getByRole('button', { name: /^Save v2/ }).click();
  await expect(page.getByText('v2 · as saved')).toBeVisible();
  await page.reload();
  await expect(page.getByText('v2 · as saved')).toBeVisible();
});

test('the numbers behind a chart can be read, and the dark face stays as it was chosen', async ({ page }) => {
  await page.goto(`${CRACKER}/bake`);
  await page.getByRole('button', { name: 'Show numbers' }).click();
  await expect(page.getByRole('columnheader', { name: 'moisture %' })).toBeVisible();
  await expect(page.locator('.main-svg').first()).toBeVisible();
  await page.getByRole('button', { name: 'Show temperatures' }).click();
  await expect(page.locator('.main-svg').nth(3)).toBeAttached();
  await page.goto('/setup');
  await page.getByRole('button', { name: 'dark', exact: true }).click();
  await page.goto(`${CRACKER}/bake`);
  await expect(page.locator('.main-svg').first()).toBeVisible();
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toMatch(/rgb\((?:[0-5]?\d(?:, )?){3}\)/);
});

test('at the width of a tablet the Outlook goes below and nothing is cut off', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${CRACKER}/sheet`);
  await expect(page.getByRole('heading', { name: 'What comes out of this sheet?' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(1);
  await expect(page.getByRole('complementary', { name: 'Outlook and findings' })).toBeVisible();
});
