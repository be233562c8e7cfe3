import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';

// Who comes for the first time has nothing kept in this browser.
test.use({ storageState: { cookies: [], origins: [] } });

const STAGES = ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'];
/** What a board says of its answer, by its picture. */
const PICTURE: Record<string, string> = {
  blend: 'How it will behave',
  dough: 'Water wanted and water in',
  chill: 'minutes',
  sheet: 'each, raw',
  bake: 'minutes from door shut',
  keep: 'days in the pack',
};

test('a newcomer’s board shows its number, its picture and what comes first without scrolling; the rest opens and stays open', async ({
  page,
}) => {
  const errors = complaints(page);
  for (const stage of STAGES) {
    await page.goto(`${CRACKER}/${stage}`);
    await expect(page.getByRole('tab', { selected: true })).toBeInViewport({ ratio: 1 });
    await expect(page.locator('#board section').getByText(PICTURE[stage]!).first(), stage).toBeInViewport({ ratio: 1 });
    const first = page.getByRole('region', { name: 'Findings' }).locator('[data-code]').first();
    await expect(first, stage).toBeInViewport({ ratio: 1 });
  }

  await page.goto(`${CRACKER}/dough`);
  const board = page.getByRole('tabpanel');
  await expect(board.getByText('Contains', { exact: false }).first()).toBeVisible();
  await expect(board.getByRole('region', { name: 'Balance' })).toBeHidden();
  await board.getByRole('button', { name: 'All of it' }).press('Enter');
  await expect(board.getByRole('region', { name: 'Balance' })).toBeVisible();
  await expect(board.getByLabel('Hold back')).toBeVisible();

  await page.reload();
  await expect(board.getByRole('region', { name: 'Balance' })).toBeVisible();
  await page.goto(`${CRACKER}/bake`);
  await expect(board.getByText('Looks', { exact: true })).toBeVisible();
  await board.getByRole('button', { name: 'Less' }).click();
  await expect(board.getByText('Looks', { exact: true })).toBeHidden();
  await expect(board.getByText('Trays and steam burn', { exact: false })).toBeVisible();
  expect(errors).toEqual([]);
});

test('what must be mended before anything is baked is said on a short board, whatever stage it belongs to', async ({ page, request }) => {
  const { items } = (await (await request.get('/api/formulas')).json()) as { items: { id: string }[] };
  for (const { id } of items) {
    await page.goto(`/formulas/${id}/keep`);
    await expect(page.getByRole('region', { name: 'Findings' })).toBeVisible();
    await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
    const mends = await page.getByRole('tab').getByText('Fix', { exact: true }).count();
    const said = await page.getByRole('region', { name: 'Findings' }).locator('[data-code]').getByText('Fix', { exact: true }).count();
    expect(said, id).toBeGreaterThanOrEqual(Math.min(mends, 1));
  }
});
