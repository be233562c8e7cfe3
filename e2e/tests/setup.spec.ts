import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';
import { beginRun, endRun, gramsOf, storedRun, upTo } from './a-run.js';

test('who bakes by ounce, cup and gas mark reads and types so everywhere; the kitchen is called as it says', async ({ page, request }) => {
  const found = complaints(page);
  const before = await (await request.get('/api/kitchen')).json();
  await page.goto('/setup');
  await page.getByRole('button', { name: 'ounces' }).click();
  await page.getByRole('button', { name: 'gas mark' }).click();
  await page.getByRole('switch', { name: 'Cups and spoons beside weights' }).click();
  // 240 g is 8.47 oz (28.3495 g an ounce, exact); a cup of superfine rice flour is 128 g by our table: 1.87 cups.
  await expect(
    page.getByText(/reads like this: 8\.47 oz, about 1¾ cups of flour, rolled to 3 mm, baked at mark 5, dough at 18 °C/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'dark', exact: true }).click();
  await page.getByRole('button', { name: 'largest' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'largest' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'dark', exact: true })).toHaveAttribute('aria-pressed', 'true');
  expect(await page.evaluate(() => getComputedStyle(document.body).backgroundColor)).toMatch(/rgb\((?:[0-5]?\d, ){2}[0-5]?\d\)/);

  await page.getByLabel('Name of the kitchen').fill('');
  await page.getByLabel('Name of the kitchen').blur();
  await expect(page.getByText('Give it a name of 1 to 120 letters.')).toBeVisible();
  await page.getByLabel('Name of the kitchen').fill('The corner kitchen');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Stored')).toBeVisible();
  expect(await (await request.get('/api/kitchen')).json()).toMatchObject({ name: 'The corner kitchen', currency: before.currency });
  await request.put('/api/kitchen/about', { data: { name: before.name, currency: before.currency } });

  // The boards: cups beside weights, any unit in any field; what was meant for another air is said.
  await page.goto(`${CRACKER}/dough`);
  await expect(page.getByRole('row', { name: /^Olive oil.*about 2 tablespoons/ })).toBeVisible();
  await page.goto(`${CRACKER}/bake`);
  const want = page.getByLabel('Hot start want');
  await expect(want).toHaveValue('4');
  await want.fill('180C fan');
  await expect(page.getByText(/^Meant for a fan: mark 5.* here, in still air\.$/)).toBeVisible();
  await want.fill('gas 5');
  await expect(page.getByText(/Meant for a fan/)).toHaveCount(0);
  await want.fill('hot');
  await expect(page.getByRole('alert').filter({ hasText: '“hot” is not a number' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goto('about:blank');
  expect(found).toEqual([]);
});

test('at the bench: text as large as asked, a weight by the spoon', async ({ page, baseURL }) => {
  await page.addInitScript(() =>
    localStorage.setItem('north-leaf-preferences', JSON.stringify({ state: { benchSize: 1.3, cups: true }, version: 2 })),
  );
  const run = await beginRun(baseURL!);
  await upTo(baseURL!, run, 'weigh:r2');
  await page.goto(`/run/${run}`);
  await expect(page.getByText(/about 2 tablespoons/).first()).toBeVisible();
  const zoom = () => page.getByRole('main').evaluate((main) => (main as HTMLElement & { currentCSSZoom: number }).currentCSSZoom);
  expect(await zoom()).toBeCloseTo(1.3);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(1);
  await page.getByRole('button', { name: 'Type it' }).click();
  await page.getByLabel('Weight in g').fill('a lot');
  await expect(page.getByText(/A weight is a number/)).toBeVisible();
  await page.getByLabel('Weight in g').fill('2 1/4 tbsp');
  await page.getByRole('button', { name: 'It is in' }).click();
  // 2 1/4 tablespoons of 13.5 g: a level tablespoon of olive oil by the USDA’s household measures, from memory.
  await expect.poll(async () => gramsOf(await storedRun(baseURL!, run), 'r2')).toBeCloseTo(30.4, 0);
  await endRun(baseURL!, run);
});
