import { expect, test } from './a-house.js';
import { complaints, newFormula, storing } from './a-page.js';
import { begun, endRun, storedRun, title, upTo } from './a-run.js';

/** The first number with its unit that a text shows: `3.2 mm`. */
const shown = (text: string, unit: string): string => {
  const found = new RegExp(`([\\d.]+) ${unit}`).exec(text);
  if (!found) throw new Error(`no ${unit} in “${text}”`);
  return `${found[1]} ${unit}`;
};

test('a number is the same on the board, on paper, on the start page, at the bench and on record', async ({ page, house }) => {
  const errors = complaints(page);
  await newFormula(page, 'Numbers tart', 'Galette crust');
  await page.getByRole('button', { name: 'Paste a list' }).click();
  await page.getByLabel('Ingredients, a line each').fill('For the apples (filling):\n350 g apples, peeled\n60 g white sugar');
  await page.getByRole('button', { name: 'Add to this dough' }).click();
  const apples = page.getByRole('row', { name: /^Apples/ });
  await expect(apples).toContainText('a piece');
  const eachG = shown((await apples.innerText()).split('a piece')[0]!.split('·').at(-1)!, 'g');
  const thick = shown(await page.getByRole('tab', { name: /^Sheet/ }).innerText().then((text) => text.replace(/\s+/g, ' ')), 'mm'); // prettier-ignore
  const butter = `${await page.getByLabel('Butter, unsalted grams').inputValue()} g`;
  await expect(storing(page)).toContainText('stored');
  await page.getByRole('button', { name: /^Save as v2/ }).click();
  await page.getByRole('button', { name: /^Save v2/ }).click();
  await expect(page.getByText('v2 · as saved')).toBeVisible();

  await page.getByRole('button', { name: 'Print the formula' }).click();
  const paper = page.getByRole('dialog', { name: 'On paper' });
  for (const number of [`Roll to ${thick}`, `${eachG} each`]) await expect(paper).toContainText(number);
  await expect(paper).toContainText(butter);
  await page.keyboard.press('Escape');

  const id = await begun(page, async (steps) => {
    await expect(steps).toContainText(`Roll to ${thick}`);
    await expect(steps).toContainText(`Butter, unsalted, ${butter}`);
  });
  const { steps } = await storedRun(house.base, id);
  const at = (what: string) => steps.find((step) => step.what === what)!.key;
  await upTo(house.base, id, steps.find(({ name }) => name === 'Butter, unsalted')!.key);
  await page.reload();
  await expect(title(page)).toHaveText('Butter, unsalted');
  await expect(page.locator('main')).toContainText(new RegExp(butter.replace(' ', '\\s*')));
  await upTo(house.base, id, at('roll'));
  await page.reload();
  await expect(title(page)).toHaveText(`Roll to ${thick}`);
  await upTo(house.base, id, at('fill'));
  await page.reload();
  await expect(page.locator('main')).toContainText(`${eachG} each`);
  await endRun(house.base, id);
  await page.goto(`/bakes/${id}`);
  await expect(page.locator('main')).toContainText('Butter, unsalted');
  await expect(page.locator('main')).toContainText(butter);
  expect(errors).toEqual([]);
});
