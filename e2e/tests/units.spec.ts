import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';

/** Before the page begins, as a browser keeps it: which units come first. */
const thinkIn = (page: Page, units: { mass: string; length: string; heat: string }) =>
  page.addInitScript((kept) => localStorage.setItem('north-leaf-preferences', kept), JSON.stringify({ state: { units, language: 'en', face: 'light' }, version: 1 })); // prettier-ignore

/** What a page says, in lines; names that somebody gave (`Tray 400 x 300 mm`) are the baker's own. */
const lines = async (page: Page) => (await page.locator('body').innerText()).split('\n').map((line) => line.trim());

const PAGES = ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'].map((stage) => `${CRACKER}/${stage}`);
const OTHERS = [
  '/today',
  '/bakes',
  `/bakes/new?formula=${CRACKER.split('/').at(-1)}&version=2`,
  '/trials',
  '/pantry/lots',
  '/pantry/preparations',
  '/kitchen',
];
/** A dial is marked as it is marked, a laboratory's numbers have units of their own, a label's panel is in 100 g by law, a ruler and a paper pattern have millimetres. */
const BELONGS = /dial|mg\/kg|µg\/kg|g\/g|100 g|g a cup|to scale|Print at 100 %|^(?:\d+ °F\s+)?\d+ °C$/i;

test('a baker in ounces, inches and Fahrenheit reads no gram, millimetre or degree Celsius', async ({ page }) => {
  const errors = complaints(page);
  await thinkIn(page, { mass: 'oz', length: 'in', heat: 'F' });
  const metric: string[] = [];
  for (const path of [...PAGES, ...OTHERS]) {
    await page.goto(path);
    await expect(page.getByRole('main').or(page.getByRole('region').first()).first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    for (const line of await lines(page))
      if (/(?:\d ?|, )(?:g|kg|mm|µm|°C)(?![\w/])/.test(line) && !BELONGS.test(line)) metric.push(`${path}: ${line}`);
  }
  expect(metric).toEqual([]);
  expect(errors).toEqual([]);
});
