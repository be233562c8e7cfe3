import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, openMenu } from './a-page.js';
import { beginRun, endRun, post, said, storedWhen, upTo } from './a-run.js';

const axe = async (page: Page, where: string) => {
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `${where} ${id}: ${nodes[0]?.html.slice(0, 160)}`)).toEqual([]);
};
// Hours are the page's: what was measured is sent as a bench would.
const baked = async (base: string, min: number, crisp: number) => {
  const id = await beginRun(base);
  await upTo(base, id, 'look:1:0');
  await post(base, id, [
    { stepKey: 'look:1:0', what: { kind: 'looked', against: 'asShown' } },
    { stepKey: 'out:1', what: { kind: 'measured', what: 'bakeMin', value: min } },
    { stepKey: 'out:1', what: { kind: 'measured', what: 'topTone', value: 4 } },
    { stepKey: 'rate', what: { kind: 'rated', after: 'fresh', crisp, tender: 3, liked: 4 } },
    { what: { kind: 'ended' } },
  ]);
  return id;
};

test('a bake on record: planned beside real, a value corrected, dots after days, a fault noticed, a photo without its origin', async ({
  page,
  baseURL,
}) => {
  const errors = complaints(page);
  const id = await baked(baseURL!, 15, 4);
  await page.goto(`/bakes/${id}`);
  const weighed = page.getByRole('region', { name: 'Weighed' });
  await expect(weighed.getByRole('row', { name: /Sorghum flour/ })).toContainText('134.4 g');
  // The spoons were never put in.
  await expect(weighed.getByRole('row', { name: /^Water/ })).toContainText('−15 g');
  const otherwise = page.getByRole('alert').filter({ hasText: 'Made otherwise than written' });
  await expect(otherwise).toContainText('Water 102 → 87 g');
  await otherwise.getByRole('button', { name: 'Take it into the next version' }).click();
  await expect(page).toHaveURL(/\/dough$/);
  await expect(page.getByLabel('Water grams')).toHaveValue('87');
  await page.getByRole('button', { name: 'Back to v2' }).click();
  await expect(page.getByLabel('Water grams')).toHaveValue('102');
  await expect(page.getByTestId('storing')).toHaveText(/^stored/);
  await page.goto(`/bakes/${id}`);
  const measured = page.getByRole('region', { name: 'Measured' });
  await measured.getByRole('button', { name: 'Correct Tone of the top' }).click();
  await measured.getByLabel('Tone of the top, corrected').fill('9');
  await expect(measured).toContainText('must be from tone 1.0 to tone 8.0');
  await measured.getByLabel('Tone of the top, corrected').fill('5');
  await measured.getByRole('button', { name: 'Store' }).click();
  await expect(measured.getByRole('row', { name: /Tone of the top/ })).toContainText('tone 5.0');
  // Nothing is written over: the first word is still there, and another names it.
  await storedWhen(baseURL!, id, ({ events }) => events.filter(({ what }) => what.kind === 'measured').length === 3);

  const add = page.getByRole('region', { name: 'Add to it' });
  await add.getByLabel('Days after').fill('7');
  await openMenu(add.getByRole('combobox', { name: 'Crisp' }));
  await page.getByRole('option').nth(1).click();
  await openMenu(add.getByRole('combobox', { name: 'Noticed' }));
  await page.getByRole('option', { name: 'Gritty' }).click();
  await add.getByRole('button', { name: 'Store it' }).click();
  const said = page.getByRole('region', { name: 'Said of it' });
  await expect(said).toContainText('After 7 days: crisp ●●○○○');
  await expect(said).toContainText('Noticed: gritty');
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByText('Add a photo').click()]);
  await chooser.setFiles('../docs/screenshots/01-formulas.png');
  await expect(page.getByRole('img', { name: /photo 1/ })).toBeVisible();
  await axe(page, 'bake');
  expect(errors).toEqual([]);
});

test('bakes side by side: what changed, what each change did, what is not explained; a blind tasting says what a count means', async ({
  page,
  baseURL,
}) => {
  const errors = complaints(page);
  await baked(baseURL!, 13, 2);
  await baked(baseURL!, 17, 5);
  await page.goto('/trials?formula=3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11');
  await expect(page.getByText('Not explained').first()).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('region', { name: /^From bake/ }).last()).toContainText('Time in the oven');
  await expect(page.getByRole('table', { name: 'Only what differs' })).toContainText('In the oven');
  await page.getByRole('button', { name: 'Show every row' }).click();
  await expect(page.getByRole('table', { name: 'Everything' })).toContainText('Sorghum flour');
  const tasting = page.getByRole('region', { name: 'Blind tasting' });
  await expect(tasting).toContainText('8 of 12 have to be right');
  await tasting.getByLabel('Right').fill('9');
  await expect(tasting).toContainText('9 of 12: they can be told apart');
  await tasting.getByLabel('People').fill('0');
  await expect(tasting).toContainText('People are a whole number from 1 to 200');
  await tasting.getByLabel('People').fill('6');
  await tasting.getByRole('button', { name: 'Blind sheet' }).click();
  await expect(tasting.getByRole('table', { name: 'Blind sheet' }).getByRole('row')).toHaveCount(7);
  await axe(page, 'trials');
  expect(errors).toEqual([]);
});

test('what bakes taught is shown with what was believed before, set aside and begun anew', async ({ page, baseURL }) => {
  await baked(baseURL!, 19, 3);
  await page.goto('/kitchen');
  await expect(async () => {
    await page.reload();
    await page.getByRole('button', { name: 'Learned from bakes' }).click();
    await expect(page.getByRole('region', { name: 'Oven A' })).toBeVisible({ timeout: 2000 });
  }).toPass({ timeout: 30_000 });
  const oven = page.getByRole('region', { name: 'Oven A' });
  await expect(oven).toContainText('0 ± 2.5 °C');
  await oven.getByRole('button', { name: 'Set aside' }).click();
  await expect(oven).toContainText('Set aside: forecasts use what was believed before.');
  await oven.getByRole('button', { name: 'Use it again' }).click();
  // The board whose forecast it moves says it too, and does without it at one press.
  await page.goto('/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11/bake');
  const here = page.getByRole('region', { name: 'Learned from your bakes' }).getByRole('group', { name: 'Oven A' });
  await expect(here).toContainText(/From \d bakes?, \d+ \w+ \d{4}/);
  await here.getByRole('button', { name: 'Set aside' }).click();
  await expect(here).toContainText('this forecast is made without it');
  await here.getByRole('button', { name: 'Use it again' }).click();
  await expect(here.getByRole('button', { name: 'Set aside' })).toBeVisible();
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Learned from bakes' }).click();
  await oven.getByRole('button', { name: 'Begin anew' }).click();
  await expect(oven).toContainText('Begun anew: no bake since then.');
  await axe(page, 'learned');
});

test('dough is kept as a lot, and another day’s run begins from it', async ({ page, baseURL }) => {
  const errors = complaints(page);
  const id = await baked(baseURL!, 15, 4);
  await page.goto(`/bakes/${id}`);
  const kept = page.getByRole('region', { name: 'Kept from it' });
  await kept.getByLabel(/How much/).fill('a lot');
  await expect(kept).toContainText('must be a number, got “a lot”');
  await kept.getByLabel(/How much/).fill('150');
  await expect(kept).toContainText(/use by \d{4}-\d\d-\d\d, enough for \d+/);
  await kept.getByRole('button', { name: 'Keep it' }).click();
  await expect(kept.getByRole('link', { name: 'Bake from it' })).toBeVisible();
  // Crumb is an ingredient of the pantry; this formula takes no egg, so none is left.
  await kept.getByLabel('What is left').click();
  await expect(page.getByRole('option')).toHaveText(['Dough', 'Raw pieces', 'Baked pieces', 'Crumb, ground']);
  await page.getByRole('option', { name: 'Crumb, ground' }).click();
  await kept.getByLabel(/How much/).fill('40');
  await kept.getByRole('button', { name: 'Keep it' }).click();
  await expect(kept.getByText(/Crumb, ground 40 g, .*, use by \d{4}/)).toBeVisible();
  await kept.getByRole('link', { name: 'Bake from it' }).click();
  await expect(page.getByText(/From Dough of Seeded sorghum crackers v2, lot bake \d+: 150 g/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeEnabled({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('h1')).toHaveText('Switch on Oven A');
  await endRun(baseURL!, page.url().split('/').at(-1)!);
  await page.goto('/pantry/lots');
  await expect(page.getByText('Dough of Seeded sorghum crackers v2').first()).toBeVisible();
  expect(errors).toEqual([]);
});

test('an ingredient is swapped at the bowl: its totals are held and shown before it is taken', async ({ page, baseURL }) => {
  const errors = complaints(page);
  await page.goto('/run');
  const id = await beginRun(baseURL!);
  await upTo(baseURL!, id, 'weigh:r2');
  await page.goto(`/run/${id}`);
  await expect(page.locator('h1')).toHaveText('Olive oil');
  await page.getByRole('button', { name: 'Swap', exact: true }).click();
  await page.getByRole('group', { name: 'Swap for' }).getByRole('button').first().click();
  await expect(page.getByRole('status').filter({ hasText: /30 g olive oil → .*butter/ })).toContainText('Now with milk');
  await page.getByRole('button', { name: 'Swap it' }).click();
  await expect(page.locator('h1')).not.toHaveText('Olive oil');
  await storedWhen(baseURL!, id, said('swapped'));
  await endRun(baseURL!, id);
  expect(errors).toEqual([]);
});

test('today: what hands do now, where each bake stands, what waits, what needs looking after', async ({ page, baseURL }) => {
  const errors = complaints(page);
  const [busy, cold] = [await beginRun(baseURL!), await beginRun(baseURL!)];
  await upTo(baseURL!, busy, 'shape');
  await upTo(baseURL!, cold, 'cold:0');
  await post(baseURL!, cold, [{ stepKey: 'cold:0', what: { kind: 'stepBegan' } }]);
  await page.goto('/today');
  await expect(page.getByRole('region', { name: 'To do now' })).toContainText('Press to a slab');
  await expect(page.getByRole('region', { name: 'On the line' }).getByRole('link')).toHaveCount(2);
  await expect(page.getByRole('region', { name: 'Waiting' })).toContainText('Cold: Fridge');
  await expect(page.getByRole('region', { name: 'Next to do' })).toContainText(/\d\d:\d\d.*Roll to 2.4 mm/);
  await expect(page.getByRole('region', { name: 'Look after' })).toContainText('Small oven was never measured');
  await axe(page, 'today');
  await page.getByRole('link', { name: 'Open steps' }).click();
  await expect(page.locator('h1')).toHaveText('Press to a slab');
  for (const id of [busy, cold]) await endRun(baseURL!, id);
  // A day without a bake goes on with what was last worked on.
  await page.goto('/');
  await expect(page).toHaveURL(/\/today$/);
  await page.getByRole('region', { name: 'Go on with' }).getByRole('link', { name: 'Bake Seeded sorghum crackers' }).click();
  await expect(page.getByRole('combobox', { name: 'Formula' })).toHaveText('Seeded sorghum crackers');
  expect(errors).toEqual([]);
});
