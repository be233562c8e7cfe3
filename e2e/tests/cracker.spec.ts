import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, pour, storing, tender, water, openMenu } from './a-page.js';

test('a baker changes the water, takes the advice, saves, bakes, and finds everything again', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'Seeded sorghum crackers', exact: true }).click();
  await expect(page.getByRole('tab', { name: /Dough/ })).toHaveAttribute('aria-selected', 'true');
  await expect(water(page)).toHaveValue('102');
  const before = await tender(page);

  await pour(page, '86');
  expect(await tender(page)).not.toBe(before);
  await expect(page.getByTestId('ruling-dough')).toHaveText('88 %');
  await expect(page.getByText('Short of water: edges will crack')).toBeVisible();

  await page.getByRole('button', { name: 'Water 86 → 98 g' }).click();
  await expect(water(page)).toHaveValue('98');
  await expect(page.getByText('Short of water: edges will crack')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(water(page)).toHaveValue('86');
  await page.keyboard.press('Control+Shift+z');
  await expect(water(page)).toHaveValue('98');

  await expect(storing(page)).toContainText('stored');
  await page.keyboard.press('Control+s');
  await expect(page.getByLabel('Why')).toHaveValue('Water 102 → 98 g');
  await page.getByRole('button', { name: 'Save v3' }).click();
  await expect(page.getByText('Saved as v3.')).toBeVisible();
  await page.reload();
  await expect(water(page)).toHaveValue('98');
  await expect(page.getByText('v3', { exact: true }).first()).toBeVisible();

  await page.getByRole('link', { name: 'Record a bake' }).click();
  await page.getByLabel('Water weighed').fill('98');
  await page.getByRole('button', { name: 'Rolls clean' }).click();
  await page.getByLabel('Rolled to').fill('2.4');
  await page.getByLabel('In the oven').fill('15');
  await page.getByLabel('Trays’ load before').fill('402');
  await page.getByLabel('Trays’ load after').fill('281');
  await page.locator('label', { hasText: 'Crisp 4 of 5' }).click();
  await page.locator('label', { hasText: 'Tender 3 of 5' }).click();
  await page.getByLabel('Note').fill('Snapped at once.');
  await page.getByRole('button', { name: 'Store this bake' }).click();
  await expect(page.getByText('baked (4)')).toBeVisible();

  await page.getByRole('link', { name: 'Bakes' }).click();
  await expect(page.getByRole('row', { name: /Snapped at once/ })).toContainText('98 g');
  expect(errors).toEqual([]);
});

test('every stage of the Line shows its board, by mouse and by key, and no page fails an accessibility check', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/blend`);
  const questions = [
    'What does this blend bring?',
    'How much water will it take today?',
    'Cold enough to roll, soft enough to bend?',
    'What comes out of this sheet?',
    'When is it dry before it is dark?',
    'How long will it snap?',
  ];
  for (const [i, question] of questions.entries()) {
    await page.locator('main').click({ position: { x: 5, y: 5 } });
    await page.keyboard.press(String(i + 1));
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
    expect(violations.map(({ id, nodes }) => `${question} ${id}: ${nodes[0]?.html.slice(0, 160)}`)).toEqual([]);
  }
  await page.getByRole('tab', { name: /Keep/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: /Blend/ })).toBeFocused();
  expect(errors).toEqual([]);
});

test('blend, oven, thickness and units move all that follows', async ({ page }) => {
  await page.goto(`${CRACKER}/blend`);
  await page.getByLabel('Tapioca starch (= tapioca flour) share').fill('35');
  await expect(page.getByText('Much Tapioca starch (= tapioca flour)')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Much Tapioca starch (= tapioca flour)')).toBeHidden();
  await page.getByRole('button', { name: 'Open Psyllium husk, whole' }).click();
  await page.getByRole('button', { name: 'Take out Psyllium husk, whole' }).click();
  await expect(page.getByText('Psyllium husk, whole')).toBeHidden();
  await page.getByRole('combobox', { name: 'Add to the blend' }).fill('millet');
  await page.getByRole('option', { name: 'Millet flour', exact: true }).click();
  await expect(page.getByText(/Over your gluten limit: Millet flour, lot 2/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Back to v' }).click();

  await page.getByRole('tab', { name: /Bake/ }).click();
  await expect(page.getByLabel(/^Tone of the top 3/)).toBeVisible();
  await openMenu(page.getByRole('combobox', { name: 'Oven', exact: true }));
  await page.getByRole('option', { name: 'Oven B, fan' }).click();
  // Moving air browns it further in the same minutes.
  await expect(page.getByLabel(/^Tone of the top 4/)).toBeVisible();
  await expect(page.getByTestId('done-words')).toContainText(/Done here means: rim or faces golden, tone \d\.\d, dry to 3\.0 %/);
  await page.getByRole('tab', { name: /Sheet/ }).click();
  await openMenu(page.getByRole('combobox', { name: 'Units' }));
  await page.getByRole('option', { name: 'oz · in · °F' }).click();
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('0.094');
  await page.getByRole('button', { name: 'Back to v' }).click();
});
