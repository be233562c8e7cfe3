import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, water } from './a-page.js';

test('on a phone: one column, nothing wider than the screen, fingers fit', async ({ page, request }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  await expect(water(page)).toBeVisible();
  const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(wider).toBeLessThanOrEqual(1);
  const box = (await water(page).locator('xpath=..').boundingBox())!;
  expect(box.height).toBeGreaterThanOrEqual(44);
  await water(page).fill('90');
  await expect(page.getByTestId('ruling-dough')).toHaveText('92 %');
  await page.getByRole('tab', { name: /Keep/ }).click();
  await expect(page.getByRole('heading', { name: 'How long will it snap?' })).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole('link', { name: 'Bakes' }).click();
  await expect(page.getByRole('heading', { name: 'Bakes' })).toBeVisible();
  await request.delete(`/api${CRACKER}/draft`);
  expect(errors).toEqual([]);
});
