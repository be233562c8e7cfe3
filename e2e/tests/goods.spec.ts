import { expect, test } from './a-house.js';
import { complaints, newFormula, openMenu } from './a-page.js';
import { begun, endRun, goOn, storedRun, storedWhen, title, upTo } from './a-run.js';

test('drop biscuits are dropped from the bowl and eaten warm: no slab, no pin, no cold, no pack', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Saturday drops', 'Drop biscuit');
  await page.getByRole('tab', { name: /Chill/ }).click();
  await expect(page.getByText('No cold: this dough goes from the bowl')).toBeVisible();
  await page.getByRole('tab', { name: /Keep/ }).click();
  await openMenu(page.getByRole('combobox', { name: 'How it is eaten' }));
  await page.getByRole('option', { name: 'warm, the same day' }).click();
  await expect(page.getByRole('textbox', { name: 'Cool 1', exact: true })).toHaveValue('10');
  await page.getByRole('button', { name: /^Save as/ }).click();
  await page.getByLabel(/^Why/).fill('eaten warm');
  await page
    .getByRole('button', { name: /^Save v2/ })
    .or(page.getByRole('dialog').getByRole('button', { name: /^Save/ }))
    .first()
    .click();
  await expect(page.getByText('v2 · as saved')).toBeVisible();
  const id = await begun(page);
  const { steps } = await storedRun(house.base, id);
  const keys = steps.map(({ key }) => key);
  expect(keys).toContain('drop');
  for (const key of ['shape', 'cold:0', 'roll', 'cut', 'pack', 'load']) expect(keys).not.toContain(key);

  // The hand at the bowl: what leaves the spoon clean is too dry for a drop dough, and is given water.
  await upTo(house.base, id, 'feel');
  await page.reload();
  await expect(title(page)).toHaveText('How does the dough feel?');
  await page.getByRole('button', { name: 'Firm, leaves the spoon clean' }).click();
  await expect(page.getByText(/^Add .*spoons? of water/)).toBeVisible();
  await page.getByRole('button', { name: 'Clings, keeps its heap' }).click();
  await expect(page.getByText('It is right.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await expect(title(page)).toHaveText(/^Drop \d+ heaps$/);
  await goOn(page);
  await expect(title(page)).toHaveText(/^Into /);
  await storedWhen(house.base, id, ({ events }) => events.some(({ what }) => what.word === 'tacky'));
  await endRun(house.base, id);
  expect(errors).toEqual([]);
});

test('a lattice tart is lined, filled by weight and latticed strip by strip', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Sunday tart', 'Nut tart');
  const id = await begun(page);
  await upTo(house.base, id, 'line');
  await page.reload();
  await expect(title(page)).toHaveText('Line the pan');
  await goOn(page);
  await expect(title(page)).toHaveText('Fruit jam');
  await upTo(house.base, id, 'fill:shaping');
  await page.reload();
  await expect(title(page)).toHaveText('Fill: fruit jam');
  await goOn(page);
  await expect(title(page)).toHaveText(/^Roll to/);
  await goOn(page);
  await expect(title(page)).toHaveText('Lay the lattice');
  await expect(page.getByText(/\d strips one way, \d the other/)).toBeVisible();
  await expect(page.getByText(/Lengths: \d × \d+ mm/)).toBeVisible();
  await endRun(house.base, id);
  expect(errors).toEqual([]);
});

test('muffins: batter stands in its bowl and is poured by weight to its height; over the rim is said', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Monday muffins', 'Muffin');
  await page.getByRole('tab', { name: /Sheet/ }).click();
  const each = page.getByRole('textbox', { name: 'Portion' });
  await each.fill('110');
  const finding = page.getByRole('region', { name: 'Findings' });
  await expect(finding).toContainText('The batter stands too high');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finding).not.toContainText('The batter stands too high');
  const id = await begun(page);
  await upTo(house.base, id, 'pour');
  await page.reload();
  await expect(title(page)).toHaveText(/^Pour into \d+ cups$/);
  await expect(page.getByText(/75 g each, \d+ mm deep of 30 mm/)).toBeVisible();
  await endRun(house.base, id);
  expect(errors).toEqual([]);
});

test('one mixing for two goods: weighed together, a share cut for each, and each begun from its share', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Shared crust', 'Galette crust');
  await newFormula(page, 'Jam tartlets', 'Closed tartlet');
  await openMenu(page.getByRole('combobox', { name: 'Take the dough of' }));
  await page.getByRole('option', { name: 'Shared crust, v1' }).click();
  await expect(page.getByRole('region', { name: 'Where this dough is from' })).toBeVisible();
  await page.getByRole('button', { name: /^Save as v2/ }).click();
  await page.getByRole('button', { name: /^Save v2/ }).click();
  await expect(page.getByText('v2 · as saved')).toBeVisible();
  await page.getByRole('link', { name: 'Shared crust' }).click();
  await page.getByRole('link', { name: 'Mix once for them' }).click();

  const mixing = page.getByRole('region', { name: 'One mixing for several goods' });
  await mixing.getByLabel('One mixing for several goods').check();
  const tartlets = mixing.getByLabel('Dough for Jam tartlets, g');
  await tartlets.fill('soon');
  await expect(mixing.getByText(/A weight is a number, got “soon”/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeHidden();
  await tartlets.fill('300');
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('Cut off 300 g for Jam tartlets');
  await expect(page.getByRole('region', { name: 'Steps' })).not.toContainText('How is it?');
  const reason = page.getByRole('textbox', { name: /^Why it is baked all the same/ });
  if (await reason.isVisible()) await reason.fill('a trial for ourselves');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/run\/[0-9a-f-]{36}$/);
  const id = page.url().split('/').at(-1)!;
  await upTo(house.base, id, 'divide:0');
  await page.reload();
  await expect(title(page)).toHaveText(/^Cut off .* for Shared crust$/);
  await goOn(page);
  await expect(title(page)).toHaveText('Cut off 300 g for Jam tartlets');
  await expect(async () => {
    await page.keyboard.press('PageDown');
    expect(page.url()).toContain('/bakes/');
  }).toPass({ intervals: [300] });

  // The mixing is over; each share waits with its day, and its good begins from it.
  await expect(page.getByRole('link', { name: 'Begin Shared crust' })).toBeVisible();
  await page.getByRole('link', { name: 'Begin Jam tartlets' }).click();
  await expect(page.getByText(/300 g/).first()).toBeVisible();
  const steps = page.getByRole('region', { name: 'Steps' });
  await expect(steps).toContainText('How is it?');
  await expect(steps).not.toContainText('Cut off');
  if (await reason.isVisible()) await reason.fill('a trial for ourselves');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/run\/[0-9a-f-]{36}$/);
  const good = await storedRun(house.base, page.url().split('/').at(-1)!);
  expect(good.steps.some(({ key }) => key === 'weigh:b1' || key === 'feel')).toBe(false);
  await endRun(house.base, good.id);
  expect(errors).toEqual([]);
});
