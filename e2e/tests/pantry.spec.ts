import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, openMenu } from './a-page.js';

test('a value is corrected from a label in hand, counts at once, and is taken back', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/pantry/ingredients');
  await page.getByLabel('Find an ingredient').fill('jowar');
  await page.getByRole('button', { name: 'Sorghum flour, whole grain' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Protein, g').fill('lots');
  await sheet.getByRole('button', { name: 'Store corrections' }).click();
  await expect(sheet.getByRole('alert').filter({ hasText: '“lots” is not a number' })).toBeVisible();
  await sheet.getByLabel('Protein, g').fill('10.2');
  await sheet.getByLabel('From which label or measurement').fill('bag of lot 8');
  await sheet.getByRole('button', { name: 'Store corrections' }).click();
  await expect(page.getByText('Sorghum flour, whole grain corrected')).toBeVisible();
  const row = page.getByRole('row', { name: /Sorghum flour, whole grain/ });
  await expect(row).toContainText('10.2');
  await expect(row).toContainText('66.4');
  await page.goto(`${CRACKER}/blend`);
  // 5.64 % with the table's sorghum, 0.56 x 1.8 points more with the bag's.
  await expect(page.getByText(/^6\.[67] %$/)).toBeVisible();
  await page.goto('/pantry/ingredients');
  await page.getByLabel('Find an ingredient').fill('sorghum');
  await page.getByRole('button', { name: 'Sorghum flour, whole grain' }).click();
  await expect(page.getByRole('dialog')).toContainText('label: bag of lot 8');
  await page.getByRole('dialog').getByRole('button', { name: 'Back to the table' }).click();
  await expect(row).toContainText('8.4');
  await page.getByRole('heading', { name: 'Pantry' }).click();
  await page.keyboard.press('Control+z');
  await expect(row).toContainText('10.2');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.request.delete('/api/pantry/ingredients/sorghum');
  expect(errors).toEqual([]);
});

test('a lot without proof stops being silent, and the proven one is a press away', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/pantry/lots');
  await expect(page.getByRole('row', { name: /Psyllium husk, whole lot 3/ })).toContainText('no report');
  await page.goto(`${CRACKER}/blend`);
  await expect(page.getByText('Gluten: all lots that need a report have one')).toBeVisible();
  await page.getByRole('button', { name: 'Open Psyllium husk, whole' }).click();
  await openMenu(page.getByRole('combobox', { name: 'Lot of Psyllium husk, whole' }));
  await page.getByRole('option', { name: 'Lot 3, no report' }).click();
  await expect(page.getByText('Not proven: Psyllium husk, whole, lot 3').first()).toBeVisible();
  await expect(page.getByRole('tab', { name: /Blend/ })).toContainText('Fix');
  await page.getByRole('button', { name: 'Psyllium husk, whole: lot 3 → lot 4' }).click();
  await expect(page.getByText('Gluten: all lots that need a report have one')).toBeVisible();
  await page.getByRole('button', { name: 'Back to v' }).click();

  // The kitchen's own limit is stricter than the law, and counts in every formula at once.
  await page.goto('/pantry/lots');
  await page.getByLabel('Gluten limit, mg/kg').fill('25');
  await expect(page.getByText('from 0 to 20')).toBeVisible();
  await page.getByLabel('Gluten limit, mg/kg').fill('4');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByText('You accept up to 4 mg/kg.')).toBeVisible();
  await page.goto(`${CRACKER}/blend`);
  await expect(page.getByText(/Over your gluten limit: Sorghum flour, whole grain, lot 8/).first()).toBeVisible();
  await page.request.put('/api/kitchen/gluten-limit', { data: { mgPerKg: 10 } });
  expect(errors).toEqual([]);
});

test('a husk of our own, said to be like the table’s, binds as it does; what was stored is changed and never lost', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/pantry/ingredients');
  await page.getByRole('button', { name: 'Add our own' }).click();
  const form = page.getByRole('dialog', { name: 'An ingredient of our own' });
  await form.getByLabel('Name', { exact: true }).fill('Husk of the mill');
  await form.getByRole('combobox', { name: 'Behaves like' }).fill('psyllium husk');
  await page.getByRole('option', { name: /Psyllium husk, whole/ }).click();
  await expect(form.getByText('Filled in from Psyllium husk, whole')).toBeVisible();
  await expect(form.getByLabel('Binds like xanthan, cold, g/g')).toHaveValue('0.25');
  await form.getByLabel('Water hold, cold, g/g').fill('9.5');
  await form.getByLabel('Grit, 0 to 3').fill('7');
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(form.getByText('must be from 0 to 3')).toBeVisible();
  await expect(form.getByLabel('Grit, 0 to 3')).toHaveValue('7');
  await form.getByLabel('Grit, 0 to 3').fill('1');
  await form.getByLabel('I have read its label').check();
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByText('Husk of the mill added')).toBeVisible();

  // As much of it as of the table's husk: it is a husk, whatever its name.
  await page.goto(`${CRACKER}/blend`);
  await page.getByRole('button', { name: 'Open Psyllium husk, whole' }).click();
  await page.getByRole('combobox', { name: 'Swap Psyllium husk, whole for' }).fill('husk of the mill');
  await page.getByRole('option', { name: /Husk of the mill/ }).click();
  await page.getByRole('button', { name: 'Swap', exact: true }).click();
  await expect(page.getByLabel('Husk of the mill share')).toHaveValue('0.8');
  await forgetDraft(page, page.request);

  await page.goto('/pantry/ingredients');
  await page.getByLabel('Find an ingredient').fill('husk of the mill');
  await page.getByRole('button', { name: 'Husk of the mill' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Change' }).click();
  const changed = page.getByRole('dialog', { name: 'Husk of the mill' });
  await changed.getByLabel('Fat, g').fill('0.7');
  await changed.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByText('Husk of the mill changed')).toBeVisible();
  const { ingredients } = (await (await page.request.get('/api/pantry')).json()) as {
    ingredients: Record<string, { name: string; gum?: string; does?: string[] }>;
  };
  const own = Object.entries(ingredients).find(([, { name }]) => name === 'Husk of the mill')!;
  expect(own[1]).toMatchObject({ gum: 'psylliumHusk', waterHoldGPerG: 9.5, composition: { fatShare: 0.007 }, labelRead: true });
  expect(own[1].does).toContain('soaks');
  await page.request.delete(`/api/pantry/ingredients/${own[0]}`);
  expect(errors).toEqual([]);
});

test('a bag comes in, is found by another name, falls with a bake, and wrong entries keep what was typed', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/pantry/lots');
  await page.getByRole('button', { name: 'Add a lot' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox', { name: 'What is in the bag' }).fill('Kartoffelmehl');
  await page.getByRole('option').first().click();
  // Potato flour and potato starch are never taken for each other silently.
  await page.getByRole('dialog', { name: 'Which one is it?' }).getByRole('button', { name: 'Potato starch (= fecula)' }).click();
  await sheet.getByLabel('Code', { exact: true }).fill('99');
  await sheet.getByLabel('On hand').fill('a sack');
  await sheet.getByLabel('Found').fill('< 5');
  await sheet.getByRole('button', { name: 'Store' }).click();
  await expect(sheet.getByText('“a sack” is not a number')).toBeVisible();
  await expect(sheet.getByText('A report has a day')).toBeVisible();
  await expect(sheet.getByLabel('On hand')).toHaveValue('a sack');
  await sheet.getByLabel('On hand').fill('2.5 kg');
  await sheet.getByLabel('Found').fill('');
  await sheet.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByText(/Potato starch \(= fecula\), lot 99 added/)).toBeVisible();
  await page.getByLabel('Find a lot').fill('fecola');
  await expect(page.getByRole('row', { name: /lot 99/ })).toContainText('2.5 kg');

  const before = await (await page.request.get('/api/pantry')).json();
  await page.goto('/bakes/new?formula=3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11&version=2');
  await page.getByLabel('Note').fill('Stock should fall.');
  await page.getByRole('button', { name: 'Store this bake' }).click();
  await expect(page).toHaveURL(/formulas/);
  const after = await (await page.request.get('/api/pantry')).json();
  expect(before.lots['lot-tapioca-5'].onHandG - after.lots['lot-tapioca-5'].onHandG).toBeCloseTo(43.2, 2);
  expect(errors).toEqual([]);
});

test('a glaze is made, worked out as it is typed, and a guest who cannot have it is told so', async ({ page }) => {
  const errors = complaints(page);
  await page.goto('/pantry/preparations');
  await page.getByRole('button', { name: 'Add a preparation' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Name').fill('Pear butter');
  await sheet.getByRole('combobox', { name: 'Add to the preparation' }).fill('apple, raw');
  await page.getByRole('option', { name: /Apple, raw/ }).click();
  await sheet.getByLabel('Apple, raw, peeled in it').fill('500');
  await sheet.getByLabel('Boiled off').fill('900');
  await expect(sheet.getByRole('status')).toContainText('must be from 0 to 433 g');
  await sheet.getByRole('button', { name: 'Store' }).click();
  await expect(sheet.getByRole('alert').filter({ hasText: 'must be from 0 to 433 g' }).first()).toBeVisible();
  await sheet.getByLabel('Boiled off').fill('250');
  await expect(sheet.getByRole('status')).toContainText('Makes 250 g: water 73 %');
  await sheet.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByRole('row', { name: /Pear butter/ })).toContainText('250 g');

  await page.goto('/pantry/guests');
  await page.getByRole('button', { name: 'Add a guest' }).click();
  await page.getByRole('button', { name: 'Store', exact: true }).click();
  await expect(page.getByText(/Give it a name/)).toBeVisible();
  await page.getByLabel('Guest, order or label').fill('Friday stall');
  await page.getByRole('button', { name: 'no sesame' }).click();
  await page.getByRole('button', { name: 'Store', exact: true }).click();
  await expect(page.getByText('Friday stall stored.')).toBeVisible();

  await page.goto(`${CRACKER}/blend`);
  await openMenu(page.getByRole('combobox', { name: 'Must suit' }));
  await page.getByRole('option', { name: 'Friday stall' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: /Dough/ }).click();
  await expect(page.getByText('Does not suit no sesame: Sesame seeds')).toBeVisible();
  await page.getByRole('button', { name: 'Back to v' }).click();
  expect(errors).toEqual([]);
});

test('every face of the pantry passes an accessibility check', async ({ page }) => {
  const errors = complaints(page);
  for (const face of ['lots', 'ingredients', 'preparations', 'blends', 'guests']) {
    await page.goto(`/pantry/${face}`);
    await expect(page.getByRole('heading', { name: 'Pantry' })).toBeVisible();
    await expect(page.locator('.MuiSkeleton-root')).toHaveCount(0);
    const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
    expect(violations.map(({ id, nodes }) => `${face} ${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  }
  await page.goto('/pantry/ingredients');
  await page.getByRole('button', { name: 'Teff flour' }).click();
  await page.waitForTimeout(400);
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `sheet ${id}: ${nodes[0]?.html.slice(0, 200)}`)).toEqual([]);
  expect(errors).toEqual([]);
});

test('a pack with a barcode is known the next time; the code finds its bag', async ({ page }) => {
  const found = complaints(page);
  const add = async () => {
    await page.goto('/pantry/lots?open=new');
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Barcode').fill('5601234567890');
    // A scanner ends with Enter: nothing is stored by it.
    await sheet.getByLabel('Barcode').press('Enter');
    return sheet;
  };
  const first = await add();
  await expect(first.getByText('New to this kitchen: say what is in it, and the next pack is known.')).toBeVisible();
  await first.getByRole('combobox', { name: 'What is in the bag' }).fill('quinoa flour');
  await page.getByRole('option').first().click();
  await first.getByLabel('Code', { exact: true }).fill('Q1');
  await first.getByLabel('Supplier').fill('The mill');
  await first.getByRole('button', { name: 'Store', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  const second = await add();
  await expect(second.getByText(/^Known here: Quinoa flour/)).toBeVisible();
  await expect(second.getByLabel('Supplier')).toHaveValue('The mill');
  await second.getByLabel('Code', { exact: true }).fill('Q2');
  await second.getByRole('button', { name: 'Store', exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find' }).fill('5601234567890');
  await expect(page.getByRole('option', { name: /Lot of Quinoa flour/ })).toHaveCount(2);
  expect(found).toEqual([]);
});

test('an ingredient of our own from its label alone: no water or ash is asked, what was worked out is shown, its photo stays with it', async ({
  page,
}) => {
  const errors = complaints(page);
  await page.goto('/pantry/ingredients');
  await page.getByRole('button', { name: 'Add our own' }).click();
  const form = page.getByRole('dialog', { name: 'An ingredient of our own' });
  await expect(form.getByLabel(/^(Water|Ash), /)).toHaveCount(0);
  await form.getByLabel('Name', { exact: true }).fill('Quinoa flour of the mill');
  await form
    .getByLabel('Photo of the label or paper')
    .setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await expect(form.getByRole('img', { name: 'photo 1' })).toBeVisible();
  // A label as bags of such flour print it: a made-up bag.
  for (const [label, typed] of Object.entries({
    'Energy, kcal': '365',
    'Fat, g': '5,6',
    'Sugars, g': '2.4',
    'Fibre, g': '7',
    'Protein, g': '13',
    'Salt, g': '< 0.02',
  }))
    await form.getByLabel(label).fill(typed);
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(form.getByText('Carbohydrate, g: is on every label: type it').first()).toBeVisible();
  await form.getByLabel('Carbohydrate, g').fill('62');
  await expect(form.getByText(/^Water 1\d\.\d %: what is left to 100 g, ± 1.5 %/)).toBeVisible();
  await expect(form.getByText('one of them is misread')).toHaveCount(0);
  await form.getByLabel('Energy, kcal').fill('565');
  await expect(form.getByText(/The label says 565 kcal, its other numbers make 3\d\d/)).toBeVisible();
  await form.getByLabel('Energy, kcal').fill('365');
  await form.getByLabel('I have read its label').check();
  await form.getByRole('button', { name: 'Store' }).click();
  await expect(page.getByText('Quinoa flour of the mill added')).toBeVisible();

  await page.getByLabel('Find an ingredient').fill('quinoa flour of the mill');
  await page.getByRole('button', { name: 'Quinoa flour of the mill' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('img', { name: 'photo 1' })).toBeVisible();
  await sheet.getByRole('button', { name: 'Remove photo 1' }).click();
  await expect(sheet.getByRole('img', { name: 'photo 1' })).toHaveCount(0);
  await sheet.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Quinoa flour of the mill' }).click();
  await expect(sheet.getByRole('img', { name: 'photo 1' })).toBeVisible();
  expect(errors).toEqual([]);
});
