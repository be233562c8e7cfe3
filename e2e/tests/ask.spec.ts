import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';

const PUFF = '/formulas/8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33';
const ask = (page: Page) => page.getByRole('button', { name: 'Ask', exact: true });
const card = (page: Page, name: string) => page.getByRole('dialog', { name: `What is “${name}”?` });

/** Labels and headings of a board that no frame lies over; questions and rows of tables apart. */
const unasked = (page: Page) =>
  page.evaluate(() => {
    const frames = [...document.querySelectorAll('[data-no-ask] button')].map((one) => one.getBoundingClientRect());
    return [...document.querySelectorAll('[data-testid="label"], #board h2, #board h3')]
      .filter((one) => !/\?$|^$/.test(one.textContent ?? ''))
      .filter((one) => {
        const { left, right, top, bottom, width } = one.getBoundingClientRect();
        return width > 0 && !frames.some((at) => at.left < right && at.right > left && at.top < bottom && at.bottom > top);
      })
      .map(({ textContent }) => textContent);
  });

test('whoever meets a word asks it: by press, by key, by a long touch; each label of every board has an answer', async ({ page }) => {
  const found = complaints(page);
  await page.setViewportSize({ width: 1280, height: 3200 });
  for (const formula of [CRACKER, PUFF])
    for (const stage of ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep']) {
      await page.goto(`${formula}/${stage}`);
      await expect(page.getByRole('region', { name: 'Findings' })).toBeVisible();
      await ask(page).click();
      await expect(page.getByRole('button', { name: 'What is “Outlook”?' })).toBeVisible();
      await expect.poll(() => unasked(page), `${formula}/${stage}`).toEqual([]);
    }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${CRACKER}/dough`);
  await ask(page).click();
  await page.getByRole('button', { name: 'What is “Of its water”?' }).click();
  await expect(card(page, 'Of its water')).toContainText('Water the dough gets against what it needs');
  // What lies under a frame was not pressed: the Dough board is still open.
  await expect(page).toHaveURL(/dough$/);
  await card(page, 'Of its water').getByRole('button', { name: 'Needs' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByText('Press a word that has a frame')).toHaveCount(0);

  await page.getByLabel('Hold back').focus();
  await page.keyboard.press('F1');
  await expect(card(page, 'Hold back')).toContainText('You set it.');
  await card(page, 'Hold back').getByRole('link', { name: 'All words' }).click();
  await expect(page).toHaveURL(/\/words#holdBack$/);
  await expect(page.getByRole('region', { name: 'Hold back' })).toBeInViewport();
  await page.getByLabel('Find a word').fill('snap');
  await expect(page.getByRole('region', { name: 'Water activity' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Hold back' })).toHaveCount(0);
  await page.getByLabel('Find a word').fill('zzz');
  await expect(page.getByText('No word of ours has “zzz” in it.')).toBeVisible();
  expect(found).toEqual([]);
});

test.describe('with a finger', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });
  test('a word that is held is told, and what it stands on is not pressed', async ({ page }) => {
    const found = complaints(page);
    await page.goto(`${CRACKER}/keep`);
    const label = page.getByTestId('label').filter({ hasText: 'Sell within' });
    // Clear of the rail, which lies at the foot of a phone.
    await label.evaluate((one) => void one.scrollIntoView({ block: 'center' }));
    const at = (await label.boundingBox())!;
    const cdp = await page.context().newCDPSession(page);
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x: at.x + 8, y: at.y + 8 }] });
    await expect(card(page, 'Sell within')).toBeVisible();
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect(card(page, 'Sell within')).toBeVisible();
    await card(page, 'Sell within').getByRole('button', { name: 'Close' }).click();
    await expect(card(page, 'Sell within')).toHaveCount(0);
    expect(found).toEqual([]);
  });
});
