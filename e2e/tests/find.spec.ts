import type { Locator, Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';

/** A sheet that was gone to, closed by key. */
async function closed(sheet: Locator): Promise<void> {
  await expect(sheet).toBeVisible();
  await sheet.press('Escape');
  await expect(sheet).toHaveCount(0);
}
const field = (page: Page) => page.getByRole('combobox', { name: 'Find' });

test('anything is found by what it is called: formula, bake, bag, ingredient in another language, tray, word, command; all by key', async ({
  page,
}) => {
  const found = complaints(page);
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  /** Typed, the first answer taken by Enter; presses counted by hand: Ctrl K, the text, Enter. */
  const find = async (text: string, first: RegExp) => {
    await page.keyboard.press('Control+k');
    await expect(field(page)).toBeFocused();
    await field(page).fill(text);
    await expect(page.getByRole('option').first()).toContainText(first);
    await page.keyboard.press('Enter');
    await expect(field(page)).toHaveCount(0);
  };
  await find('sorghum cr', /Seeded sorghum crackers/);
  await expect(page).toHaveURL(new RegExp(CRACKER));
  await find('bake 2', /Bake 2/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bake 2');
  await find('lot of psyll', /Lot of Psyllium/);
  await expect(page.getByRole('dialog')).toContainText('Psyllium');
  await page.keyboard.press('Escape');
  await expect(page).not.toHaveURL(/open=/);
  await find('psyllium husk, wh', /Psyllium husk, whole/);
  await expect(page).toHaveURL(/\/pantry\/ingredients\?open=/);
  await find('fecola di patate', /Potato starch/);
  await expect(page.getByRole('dialog')).toContainText('Potato starch');
  await page.keyboard.press('Escape');
  await find('dark tray', /Dark tray/);
  await expect(page).toHaveURL(/\/kitchen\/trays\//);
  await closed(page.getByRole('dialog', { name: /Dark tray/ }));
  await find('water activity', /Water activity/);
  await expect(page).toHaveURL(/\/words#aw$/);
  await find('new form', /New formula/);
  await expect(page.getByRole('dialog', { name: /formula/i })).toBeVisible();
  await page.keyboard.press('Escape');

  await page.keyboard.press('Control+k');
  await field(page).fill('no such thing');
  await expect(page.getByText('Nothing by “no such thing”.')).toBeVisible();
  await page.keyboard.press('Escape');
  // G and a letter; ? lists every key; neither while something is typed into.
  await page.keyboard.press('g');
  await page.keyboard.press('k');
  await expect(page).toHaveURL(/\/kitchen$/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('find anything');
  await page.keyboard.press('Escape');
  await page.goto('/words');
  await page.getByLabel('Find a word').pressSequentially('gt?');
  await expect(page.getByLabel('Find a word')).toHaveValue('gt?');
  await expect(page).toHaveURL(/\/words$/);
  expect(found).toEqual([]);
});
