import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';

const rooms = {
  boards: ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'].map((stage) => `${CRACKER}/${stage}`),
  'the day': ['/today', '/formulas', '/run', '/run/new', '/bakes', `/bakes/new?formula=${CRACKER.split('/').at(-1)}&version=2`, '/trials'],
  'the house': ['/pantry/lots', '/pantry/ingredients', '/pantry/preparations', '/kitchen', '/setup', '/words', '/begin'],
};
const pages = Object.values(rooms).flat();

async function open(page: Page, path: string): Promise<void> {
  // A page that is still being looked through may cut the loading of the next one short: then it is gone to again.
  await expect(async () => void (await page.goto(path))).toPass();
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
}
const wide = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
// A page that hears of its new width draws itself anew: the width that counts is the one it comes to.
const fits = (page: Page, path: string, width: number) =>
  expect
    .configure({ soft: true })
    .poll(() => wide(page), `${path} at ${width} px`)
    .toBeLessThanOrEqual(1);
/** In the light face all of every board, in the dark what a newcomer sees. */
const wears = (page: Page, face: 'light' | 'dark') =>
  page.addInitScript(
    (kept) => localStorage.setItem('north-leaf-preferences', kept),
    JSON.stringify({ state: { face, wholeBoards: face === 'light' }, version: 3 }),
  );

// 640 px is a desk of 1280 at 200 %.
for (const [face, width, height, [room, pages]] of Object.entries(rooms).flatMap(
  (one) => [['light', 1280, 800, one], ['dark', 640, 400, one]] as const, // prettier-ignore
))
  // prettier-ignore
  test(`every page of ${room} in the ${face} face, ${width} px wide, has nothing axe finds and is no wider than its screen`, async ({ page }) => {
    const errors = complaints(page);
    await wears(page, face);
    await page.setViewportSize({ width, height });
    for (const path of pages) {
      await open(page, path);
      const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
      expect(violations.map(({ id, nodes }) => `${path} ${id}: ${nodes[0]?.html.slice(0, 160)}`)).toEqual([]);
      await fits(page, path, width);
    }
    expect(errors).toEqual([]);
  });

test('where the Outlook has no column it is one line above the board, and what the Line says is whole', async ({ page }) => {
  const rest = page.getByRole('link', { name: 'Outlook and findings' });
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, `${CRACKER}/dough`);
  await expect(rest).toBeHidden();
  await page.setViewportSize({ width: 1024, height: 768 });
  await expect(page.getByText(/^Crisp \d\.\d ± \d\.\d, tender/).first()).toBeInViewport();
  const cut = () =>
    page.getByRole('tab').evaluateAll((tabs) => tabs.flatMap((tab) => [...tab.querySelectorAll('span')]).filter((one) => one.scrollWidth > one.clientWidth + 1).map((one) => one.textContent)); // prettier-ignore
  await expect.poll(cut).toEqual([]);
  await rest.click();
  await expect(page.getByRole('heading', { name: 'Outlook', exact: true })).toBeInViewport();
});

test('at 1024 and 390 px no main page is wider than its screen', async ({ page }) => {
  for (const path of pages) {
    await page.setViewportSize({ width: 1024, height: 768 });
    await open(page, path);
    await fits(page, path, 1024);
    await page.setViewportSize({ width: 390, height: 844 });
    await fits(page, path, 390);
  }
});
