import { AxeBuilder } from '@axe-core/playwright';
import type { Locator } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints } from './a-page.js';
import { title } from './a-run.js';

// 390 px wide and by touch, whatever the project's own phone is.
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('a whole bake on a phone, by touch: nothing wider than the screen, everything large enough for a floury finger', async ({ page }) => {
  test.setTimeout(240_000);
  const errors = complaints(page);
  await page.goto('/run/new?formula=3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11');
  // One oven load.
  await page.getByLabel('Times the formula').fill('0.4');
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeEnabled({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Start', exact: true }).tap();
  await expect(title(page)).toHaveText('Sorghum flour, whole grain');
  const kinds = new Set<string>();
  /** A finger stays for a moment: a shorter contact is a sleeve. */
  const press = async (button: Locator, ms = 160) => {
    const box = (await button.boundingBox())!;
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const touch = await page.context().newCDPSession(page);
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at] });
    await page.waitForTimeout(ms);
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await touch.detach();
  };
  const next = async () => {
    await press(page.getByRole('button', { name: /^(Next|Done|It is in|It is on|Packed|End the bake)/ }).last());
    await page.waitForTimeout(620);
  };
  for (let i = 0; i < 150; i++) {
    const now = (await title(page).textContent())!;
    const kind = now.replace(/[\d.,].*$/, '').slice(0, 12);
    if (!kinds.has(kind)) {
      kinds.add(kind);
      const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      expect([now, wider]).toEqual([now, 0]);
      for (const button of await page.locator('main button:visible, header button:visible').all()) {
        const box = await button.boundingBox();
        // Tones stand eight in a row: narrow, but tall.
        if (box && !/Tone/.test((await button.getAttribute('aria-label')) ?? '')) expect([now, await button.textContent(), Math.round(box.height) >= 46]).toEqual([now, await button.textContent(), true]); // prettier-ignore
      }
    }
    if (now === 'How is it?') break;
    if (/feel/.test(now)) {
      await page.getByRole('button', { name: 'Rolls clean' }).tap();
      await page.getByRole('button', { name: 'Go on' }).first().tap();
      await page.waitForTimeout(300);
    } else if (/^Look/.test(now)) {
      // Not done at the first of each load: the looks that are left are planned anew; then it is, and comes out.
      if (/^Look 1 /.test(now)) await page.getByRole('button', { name: 'Paler' }).tap();
      else await press(page.getByRole('button', { name: 'Out now, hold' }), 700);
      await expect(title(page)).not.toHaveText(now);
    } else await next();
  }
  await page.getByRole('button', { name: 'Crisp 4 of 5' }).tap();
  const { violations } = await new AxeBuilder({ page }).disableRules(['region']).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 140)}`)).toEqual([]);
  await next();
  await expect(page.getByRole('heading', { name: /^Bake \d/ })).toBeVisible();
  expect(errors).toEqual([]);
});
