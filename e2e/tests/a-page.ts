import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test';

export const CRACKER = '/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';

/** Collects what the page complains about; a journey ends with none. */
export function complaints(page: Page, ignore: RegExp = /^$/): string[] {
  const found: string[] = [];
  page.on('console', (message) => message.type() === 'error' && !ignore.test(message.text()) && found.push(message.text()));
  page.on('pageerror', (error) => found.push(String(error)));
  return found;
}

export const outlook = (page: Page) => page.getByRole('region', { name: 'Outlook' });
export const tender = async (page: Page) => Number(await outlook(page).getAttribute('data-tender'));
export const water = (page: Page) => page.getByLabel('Water grams');
export const storing = (page: Page) => page.getByTestId('storing');

/** Types a weight of water and waits until the Outlook is about it. */
export async function pour(page: Page, text: string): Promise<void> {
  const before = await outlook(page).getAttribute('data-tender');
  await water(page).fill(text);
  await expect(outlook(page)).not.toHaveAttribute('data-tender', before ?? '');
}

/** Opens a list of choices by key: on a slow machine a press of over 0.4 s counts as a drag, and its release as a choice or a closing. */
export const openMenu = (box: Locator): Promise<void> => box.press('ArrowDown');

/** Whatever a journey typed into the crackers is gone: a page that is left sends its draft, so it is left first. */
export async function forgetDraft(page: Page, request: APIRequestContext): Promise<void> {
  await page.goto('about:blank');
  let gone = 0;
  await expect(async () => {
    const { draft } = (await (await request.get(`/api${CRACKER}`)).json()) as { draft: object | null };
    if (draft) await request.delete(`/api${CRACKER}/draft`);
    gone = draft ? 0 : gone + 1;
    expect(gone).toBe(3);
  }).toPass({ intervals: [60] });
}

/** A good one of a family asked for; the page waits for "Make it". */
export async function asksForFormula(page: Page, name: string, family: string): Promise<void> {
  await page.goto('/formulas');
  await page.getByRole('button', { name: 'New formula' }).click();
  await page.getByRole('button', { name: 'Show me a good one' }).click();
  await page.getByLabel('Name').fill(name);
  await openMenu(page.getByRole('combobox', { name: 'Family' }));
  await page.getByRole('option', { name: family, exact: true }).click();
}

/** A first formula of a family, made as a baker makes one; its dough is there. */
export async function newFormula(page: Page, name: string, family: string): Promise<void> {
  await asksForFormula(page, name, family);
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Paste a list' })).toBeVisible();
}
