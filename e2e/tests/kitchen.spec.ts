import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './a-house.js';
import { complaints, CRACKER } from './a-page.js';

test('a baker measures an oven with one thermometer, and every dial follows', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/kitchen');
  await expect(page.getByRole('heading', { name: 'Oven A' })).toBeVisible();
  await expect(page.getByText('Turn trays at half time')).toBeVisible();
  await page
    .getByRole('link', { name: /Small oven/ })
    .first()
    .click();
  await expect(page.getByText('± 6 °C')).toBeVisible();
  await expect(page.getByText('Never measured: the dial is taken at its word.')).toBeVisible();

  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  const sheet = page.getByRole('dialog', { name: 'Measure Small oven' });
  await sheet.getByLabel('Setting 1 reading 1').fill('900');
  await expect(sheet.getByText('must be from 60 to 320 °C')).toBeVisible();
  await sheet.getByRole('button', { name: 'Store' }).click();
  await expect(sheet.getByText('Mend the marked reading first.')).toBeVisible();
  // The dial is in F, the thermometer in C: 325 F is 163 C.
  for (const [n, value] of [
    ['1', '150'],
    ['2', '155'],
    ['3', '154'],
  ] as const)
    await sheet.getByLabel(`Setting 1 reading ${n}`).fill(value);
  await expect(sheet.getByText(/the air is 153 °C: 10 °C cooler/)).toBeVisible();
  for (const [n, value] of [
    ['1', '380F'],
    ['2', '384F'],
    ['3', '382F'],
  ] as const)
    await sheet.getByLabel(`Setting 2 reading ${n}`).fill(value);
  await sheet.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByText('measured today')).toBeVisible();
  await expect(page.getByText('± 2.5 °C')).toBeVisible();
  await expect(page.getByRole('row', { name: '150 °C 320 °F' })).toBeVisible();
  await expect(page.getByText('Next: map where it is hotter')).toBeVisible();

  await page.getByRole('button', { name: 'Map this shelf' }).click();
  await page.getByLabel('back left above').fill('7');
  await page.getByLabel('back right above').fill('1');
  await page.getByRole('button', { name: 'Store the map' }).click();
  await expect(page.getByLabel('back left: 7 °C above')).toBeVisible();
  await expect(page.getByText('Next: weigh one tray before and after a bake')).toBeVisible();

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await page.getByLabel('Undo').click();
  await expect(page.getByText('Next: map where it is hotter')).toBeVisible();
  await page.getByLabel('Undo').click();
  await expect(page.getByText('never measured', { exact: true }).first()).toBeVisible();
  expect(errors).toEqual([]);
});

test('cold places, cutters, trays and pans are added, refused in words, changed and taken back', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Add a place' }).click();
  const form = page.getByRole('dialog');
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(form.getByText('Give it the name it has in the kitchen')).toBeVisible();
  await form.getByLabel('Name').fill('Deep freezer');
  await form.getByLabel('Temperature').fill('-50');
  await expect(form.getByText('Temperature must be from -40 to 60 °C')).toBeVisible();
  await form.getByLabel('Temperature').fill('-24');
  await form.getByLabel('Kind').click();
  await page.getByRole('option', { name: 'freezer' }).click();
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByRole('button', { name: 'Change Deep freezer' })).toContainText('freezer, -24 °C');

  await page.getByRole('button', { name: 'Add a cutter' }).click();
  await form.getByLabel('Name').fill('Oblong');
  await expect(form.getByRole('button', { name: 'Set Length, where it is long' })).toBeHidden();
  await form.getByLabel('Form').click();
  await page.getByRole('option', { name: 'square or rectangle' }).click();
  await form.getByRole('button', { name: 'Set Length, where it is long' }).click();
  await form.getByLabel('Length, where it is long').fill('70');
  await form.getByLabel('Across').fill('4');
  await expect(form.getByText('Across must be from 5 to 600 mm')).toBeVisible();
  await form.getByLabel('Across').fill('40');
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByRole('button', { name: 'Change Oblong' })).toContainText('square or rectangle, 40 × 70 mm');
  await page.goto(`${CRACKER}/sheet`);
  await expect(
    page.getByRole('group', { name: 'Ways to cut' }).getByRole('button', { name: /Rectangles 40 × 70 mm.*Oblong/ }),
  ).toBeVisible();
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Change Oblong' }).click();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('button', { name: 'Change Oblong' })).toBeHidden();

  await page.goto(`${CRACKER}/chill`);
  await expect(page.getByRole('button', { name: /^Deep freezer \d+ min/ })).toBeVisible();
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Change Deep freezer' }).click();
  await page.getByRole('button', { name: 'Remove' }).click();
  // While its sheet is open, all behind it is hidden too.
  await expect(form).toBeHidden();
  await expect(page.getByRole('button', { name: 'Change Deep freezer' })).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Change Deep freezer' })).toBeVisible();
  await page.getByLabel('Undo').waitFor();
  await page.getByRole('button', { name: 'Change Deep freezer' }).click();
  await page.getByRole('button', { name: 'Remove' }).click();

  await page.getByLabel('Room', { exact: true }).fill('27');
  await page.getByRole('button', { name: 'Store the room' }).click();
  await expect(page.getByRole('button', { name: 'Change Table' })).toContainText('27 °C');
  await page.getByLabel('Undo').click();
  await expect(page.getByRole('button', { name: 'Change Table' })).toContainText('23.5 °C');
  await page.getByLabel('Above the sea', { exact: true }).fill('5000 ft');
  await expect(page.getByText(/Water boils at 94\.\d °C here/)).toBeVisible();
  await page.getByRole('button', { name: 'Store the room' }).click();
  await expect(page.getByLabel('Above the sea', { exact: true })).toHaveValue('1524');
  await page.getByLabel('Undo').click();
  await expect(page.getByLabel('Above the sea', { exact: true })).toHaveValue('0');
  expect(errors).toEqual([]);
});

test('a judgement is set to the kitchen’s own, the forecast follows, and ours comes back', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/keep`);
  const days = page.getByTestId('ruling-keep');
  await expect(days).toContainText('days');
  const before = await days.textContent();
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Judgements' }).click();
  const sheet = page.getByRole('dialog', { name: 'Judgements' });
  await sheet.getByLabel('Vapour into a tight tin').fill('20');
  await sheet.getByRole('button', { name: 'Store' }).click();
  await page.goto(`${CRACKER}/keep`);
  await expect(days).toContainText('days');
  expect(parseInt((await days.textContent())!, 10)).toBeLessThan(parseInt(before!, 10));
  await page.goto('/kitchen');
  await page.getByRole('button', { name: 'Judgements' }).click();
  await sheet.getByRole('button', { name: 'Back to ours: Vapour into a tight tin' }).click();
  await sheet.getByRole('button', { name: 'Store' }).click();
  await page.goto(`${CRACKER}/keep`);
  await expect(days).toHaveText(before!);
  expect(errors).toEqual([]);
});

test('what another device changes of the kitchen is here without asking for it', async ({ page, request }) => {
  const stream = page.waitForRequest('**/api/news');
  await page.goto('/kitchen');
  await stream;
  const room = page.getByRole('region', { name: 'The room' }).getByLabel('Room');
  await expect(async () => {
    expect((await request.put('/api/kitchen/air', { data: { roomC: 18.5, humidityShare: 0.44 } })).ok()).toBe(true);
    await expect(room).toHaveValue('18.5', { timeout: 2000 });
  }).toPass();
});
