import { expect, test } from './a-house.js';
import { CRACKER, storing, water } from './a-page.js';

test('a server killed under an open draft and while saving loses nothing, and the page comes back by itself', async ({
  page,
  house: { base, start, kill },
}) => {
  await page.goto(`${base}${CRACKER}/dough`);
  await water(page).fill('97');
  await expect(storing(page)).toContainText('stored');

  await kill();
  await water(page).fill('94');
  await expect(page.getByText(/Working from this device: the server does not answer/)).toBeVisible();
  await expect(page.getByTestId('ruling-dough')).toHaveText(/\d+ %/);

  // Saving while it is dead: the page goes on asking, with the same id.
  await page.keyboard.press('Control+s');
  await page.getByRole('button', { name: 'Save v3' }).click();
  await expect(page.getByText(/The server does not answer. Saving again/)).toBeVisible();
  await start();
  await expect(page.getByText('Saved as v3.')).toBeVisible({ timeout: 15_000 });

  const detail = (await (await fetch(`${base}/api${CRACKER}`)).json()) as { versions: { version: number }[] };
  expect(detail.versions.map(({ version }) => version)).toEqual([1, 2, 3]);
  await page.reload();
  await expect(water(page)).toHaveValue('94');

  // Killed with an unstored draft and the page closed: this browser still has it.
  await kill();
  await water(page).fill('91');
  await expect(storing(page)).toContainText('here only');
  await start();
  await page.reload();
  await expect(water(page)).toHaveValue('91');
  await expect(storing(page)).toContainText(/^stored( \d+ s ago)?$/);
});
