import { expect, test } from './a-house.js';
import { beginRun, gramsOf, put, said, storedRun, storedWhen, title, upTo } from './a-run.js';

// The app itself has to be kept by the browser: these journeys lose the server.
test.use({ serviceWorkers: 'allow' });

test('the server is killed in the middle of a run, the page is loaded again without it, and nothing is lost or doubled', async ({
  page,
  house: { base, start, kill },
}) => {
  test.setTimeout(120_000);
  const id = await beginRun(base);
  await page.goto(`${base}/run/${id}`);
  await expect(title(page)).toHaveText('Sorghum flour, whole grain');
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((go) => setTimeout(go, 50));
  });
  const type = async (grams: string) => {
    await page.getByRole('button', { name: 'Type it' }).click();
    await page.getByLabel('Weight in g').fill(grams);
    await page.keyboard.press('Enter');
  };
  await type('134.4');
  await expect(title(page)).toHaveText('Brown rice flour');

  // Power lost while it is being sent: what the page has acknowledged is on this device.
  const killed = kill();
  await type('28.8');
  await killed;
  await expect(title(page)).toHaveText(/Tapioca/);
  await type('43.2');
  await expect(title(page)).toHaveText(/Potato/);
  await expect(page.getByText(/Working from this device/)).toBeVisible({ timeout: 10_000 });

  await page.reload();
  await expect(title(page)).toHaveText(/Potato/);
  await page.keyboard.press('PageUp');
  await expect(page.getByText('In: 43 g of 43 g planned.')).toBeVisible();
  await page.keyboard.press('PageDown');
  await type('30.7');
  await expect(title(page)).toHaveText(/Xanthan/);

  await start();
  await expect(page.getByText(/^(Working from this device|storing)/)).toBeHidden({ timeout: 20_000 });
  const stored = await storedRun(base, id);
  expect(['b1', 'b2', 'b3', 'b4'].map((key) => gramsOf(stored, key))).toEqual([134.4, 28.8, 43.2, 30.7]);
  expect(stored.events.filter(({ what }) => what.kind === 'stepEnded')).toHaveLength(4);
  await page.reload();
  await expect(title(page)).toHaveText(/Xanthan/);
});

test('a page loaded again in the middle of a pour goes on from there; a scale unplugged keeps what is in', async ({
  page,
  house: { base },
}) => {
  const id = await beginRun(base);
  await page.goto(`${base}/run/${id}`);
  await page.getByRole('button', { name: 'Simulated scale' }).click();
  await expect(page.getByText('steady', { exact: false })).toBeVisible();
  // What is left is 74.0: its noise does not round it to another number.
  await put(page, 60.4);
  await expect(page.getByTestId('still-to-add')).toContainText(/^74/);
  await page.reload();
  await expect(page.getByTestId('still-to-add')).toContainText(/^74/);

  await page.getByRole('button', { name: 'Pull the plug' }).click();
  await expect(page.getByText(/Scale lost/)).toBeVisible();
  await expect(page.getByTestId('still-to-add')).toContainText(/^74/);
  await page.getByRole('button', { name: 'Plug it in' }).click();
  await expect(page.getByText('steady', { exact: false })).toBeVisible();
  await put(page, 74);
  await expect(title(page)).toHaveText('Brown rice flour', { timeout: 15_000 });
  expect(gramsOf(await storedWhen(base, id, said('weighed')), 'b1')).toBeCloseTo(134.4, -0.5);
});

test('a tablet whose clock is set three hours on still waits five minutes', async ({ page, house: { base } }) => {
  const id = await beginRun(base);
  await upTo(base, id, 'rest');
  await page.goto(`${base}/run/${id}`);
  await expect(page.getByTestId('time-left')).toHaveText('5 min');
  await page.evaluate(() => {
    const now = Date.now.bind(Date);
    Date.now = () => now() + 3 * 3600_000;
  });
  await page.waitForTimeout(3500);
  await expect(page.getByTestId('time-left')).toHaveText('5 min');
  const began = (await storedWhen(base, id, said('stepBegan'))).events.find(({ what }) => what.kind === 'stepBegan') as unknown as {
    at: string;
  };
  expect(Math.abs(Date.parse(began.at) - Date.now())).toBeLessThan(60_000);
});
