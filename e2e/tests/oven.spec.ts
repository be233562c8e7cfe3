import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, storing } from './a-page.js';

test.afterEach(async ({ page }) => {
  await page.request.delete(`/api${CRACKER}/draft`);
});

const looksOf = (page: Page) => page.getByRole('region', { name: 'Looks' });

test('a way into the cold is taken, and what is made ready beforehand has its minutes', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/chill`);
  const ways = page.getByRole('region', { name: 'Ways to get there' });
  await ways.getByRole('button', { name: /^Freezer \d+ min, then Fridge/ }).click();
  await expect(page.getByLabel('Wait 1 place')).toContainText('Freezer');
  await expect(page.getByLabel('Wait 2 place')).toContainText('Fridge');
  await expect(storing(page)).toContainText('stored');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Wait 1 place')).toContainText('Fridge');

  await page.getByLabel('Form', { exact: true }).click();
  await page.getByRole('option', { name: 'a log' }).click();
  await expect(page.getByText('It is across')).toBeVisible();
  await page.getByLabel('Slab').fill('0');
  await expect(page.getByText(/Slab must be from 2 to 120 mm/)).toBeVisible();
  await page.getByLabel('Slab').fill('40');
  await expect(ways.getByRole('button', { name: /pressed to 15 mm/ }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Made ready beforehand/ }).click();
  await expect(page.getByRole('row', { name: /^A ball of this dough.*about/ })).toBeVisible();
  // Crackers of oil have no butter to be made hard.
  await expect(page.getByRole('row', { name: /Butter/ })).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('looks are planned, a “not yet” plans the rest, and a change plans anew', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/bake`);
  const looks = looksOf(page);
  await expect(looks.getByText(/Of 100 such bakes these looks find \d+ in time/)).toBeVisible();
  const rows = looks.getByRole('button', { name: /^Not yet at/ });
  expect(await rows.count()).toBeLessThanOrEqual(4);
  const first = await rows.first().getAttribute('aria-label');
  await rows.first().click();
  await expect(looks.getByText(/likely done in/)).toBeVisible();
  await looks
    .getByRole('button', { name: /^Not yet at/ })
    .first()
    .click();
  await looks.getByRole('button', { name: 'Back to the whole plan' }).click();
  await expect(rows.first()).toHaveAttribute('aria-label', first!);

  await page.getByLabel('Hot start want').fill('165');
  await expect(rows.first()).not.toHaveAttribute('aria-label', first!);
  await expect(page.getByText(/^Dry and golden at .* in eight of ten/)).toBeVisible();
  expect(errors).toEqual([]);
});

test('the map is worked out, made finer and stopped, and a pair is set with one click', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/bake`);
  const map = page.getByRole('region', { name: 'Thickness and heat' });
  await map.getByRole('button', { name: 'Work it out' }).click();
  await expect(map.getByRole('button', { name: /mm at/ })).toHaveCount(45);
  await map.getByRole('button', { name: 'Finer' }).click();
  await map.getByRole('button', { name: 'Stop the map' }).click();
  await map.getByRole('button', { name: 'Work it out again' }).click();
  await expect(map.getByRole('button', { name: /mm at/ })).toHaveCount(45);
  await map
    .getByRole('button', { name: /^1.6 mm at .* °C: done/ })
    .first()
    .click();
  await map.getByRole('button', { name: 'Set this pair' }).click();
  await expect(page.getByRole('button', { name: 'Remove Dry' })).toBeHidden();
  await expect(page.getByTestId('ruling-sheet')).toHaveText('1.6');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Remove Dry' })).toBeVisible();
  expect(errors).toEqual([]);
});

test('one weighed tray pins the oven, and the kitchen forgets it again', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/bake`);
  await page.getByRole('button', { name: 'Weigh a tray to pin this oven' }).click();
  const weigh = page.getByRole('region', { name: 'Weigh a tray' });
  await weigh.getByLabel('Weight after').fill('900');
  await weigh.getByRole('button', { name: 'What does that say?' }).click();
  await expect(weigh.getByRole('alert')).toContainText('After must be from 1 to');
  await weigh.getByLabel('Weight before').fill('402');
  await weigh.getByLabel('Weight after').fill('310');
  await weigh.getByLabel('Minutes in the oven').fill('8');
  await weigh.getByRole('button', { name: 'What does that say?' }).click();
  await expect(weigh.getByText(/times as fast as an oven of its kind/)).toBeVisible();
  await weigh.getByRole('button', { name: 'Teach Oven A' }).click();
  await expect(page.getByText(/Oven A has learned from this tray/)).toBeVisible();
  await page.getByRole('link', { name: 'About this oven' }).click();
  await expect(page.getByText(/402 g of Seeded sorghum crackers lost 22.9 % in 8 min/)).toBeVisible();
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(page.getByText('Not known yet.')).toBeVisible();
  expect(errors).toEqual([]);
});

test('weights, a cold oven, a hot tray, too hot and never dry: each is answered in words', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/bake`);
  await page.getByLabel('Dry tray').click();
  await page.getByRole('option', { name: 'weights' }).click();
  await expect(page.getByText('The weights stay on to the end')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByLabel('Into the oven').click();
  await page.getByRole('option', { name: 'cold oven' }).click();
  await expect(page.getByText('Not dry when it comes out').or(page.getByText('Pale when it is dry')).first()).toBeVisible();
  await page.keyboard.press('Control+z');

  await page.getByLabel('Hot start want').fill('900');
  await expect(page.getByText(/Hot start want must be from 60 to 300 °C/)).toBeVisible();
  await page.getByLabel('Hot start want').fill('70');
  await page.getByLabel('Dry want').fill('70');
  await expect(page.getByText(/Not dry and golden within an hour/)).toBeVisible();
  await expect(page.getByText('Not dry when it comes out')).toBeVisible();
  await expect(looksOf(page).getByText(/More than one in ten is never done/)).toBeVisible();
  expect(errors).toEqual([]);
});

test('a fruit filling weeps until starch holds it, and a cream filled late wants the cold', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/dough`);
  await page.getByLabel('Add an ingredient').fill('blueb');
  await page.getByRole('option', { name: /Blueberries/ }).click();
  await page.getByLabel('Blueberries grams').fill('1400');
  await page.getByRole('button', { name: /More about Blueberries/ }).click();
  // By key: a press that lasts is a drag to this menu, and takes what it ends on.
  await page.getByLabel('What Blueberries is for').press('Enter');
  await page.getByRole('option', { name: 'the filling' }).click();
  await page.getByRole('tab', { name: /Bake/ }).click();
  await expect(page.getByRole('region', { name: 'Filling' })).toContainText('of juice');
  await page
    .getByRole('button', { name: /Corn starch|Maize starch/ })
    .first()
    .click();
  await expect(page.getByText('The filling will weep')).toBeHidden();

  await page.getByRole('tab', { name: /Dough/ }).click();
  await page.getByRole('button', { name: /More about Blueberries/ }).click();
  await page.getByLabel('When Blueberries goes on').click();
  await page.getByRole('option', { name: 'once cooled' }).click();
  await page.getByRole('tab', { name: /Keep/ }).click();
  await expect(page.getByText(/Once it is filled, the crust is soft after about/)).toBeVisible();
  await page.getByLabel('Cool 1 place').click();
  await page.getByRole('option', { name: 'on its hot tray' }).click();
  await expect(page.getByText(/Cool enough to pack after/)).toBeVisible();
  expect(errors).toEqual([]);
});
