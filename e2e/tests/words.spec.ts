import type { Page } from '@playwright/test';
import * as core from '@north-leaf/core';
import { expect, test } from './a-house.js';
import { complaints } from './a-page.js';
import { beginRun } from './a-run.js';

/** The pages in the language that puts every sentence of the catalogue in brackets. */
const bracketed = (page: Page) =>
  page.addInitScript(() =>
    localStorage.setItem(
      'north-leaf-preferences',
      JSON.stringify({ state: { units: { mass: 'g', length: 'mm', heat: 'C' }, language: 'pseudo', face: 'light' }, version: 1 }),
    ),
  );

/** All that a page shows or reads out, in the order it stands; style and hidden measures apart. */
const said = (page: Page) =>
  page.evaluate(() => {
    const texts: string[] = [];
    const look = (node: Node) => {
      if (node.nodeType === Node.TEXT_NODE) texts.push(node.textContent ?? '');
      if (!(node instanceof Element) || /^(STYLE|SCRIPT|NOSCRIPT)$/.test(node.tagName)) return;
      const block = node instanceof HTMLElement && !/^(inline|contents)/.test(getComputedStyle(node).display);
      texts.push(block ? '\n' : ' ');
      for (const child of node.childNodes) look(child);
      texts.push(block ? '\n' : ' ');
    };
    look(document.body);
    const attributes = ['aria-label', 'placeholder', 'title', 'alt'].flatMap((name) =>
      [...document.querySelectorAll(`[${name}]`)].map((one) => one.getAttribute(name)!),
    );
    return [...texts.join('').split(/\n+/), ...attributes].map((text) => text.trim()).filter(Boolean);
  });

/** What of a text stands in no brackets. */
function outside(text: string): string {
  let depth = 0;
  let left = '';
  for (const letter of text) {
    if (letter === '⟦') depth += 1;
    else if (letter === '⟧') {
      depth -= 1;
      left += ' ';
    } else if (depth === 0) left += letter;
  }
  return left;
}

const wordsOf = (text: string) => text.toLowerCase().match(/[a-zà-ÿ]{2,}/gi) ?? [];
/** Units, tones and days are written by `show` and the calendar, "open", "empty" and "choose time" by the library’s own list of words, "by", "until" and "and" between names of acts. */
const WRITTEN =
  'min mm cm kg ml mg oz lb in tone open empty choose time hh and by until mon tue wed thu fri sat sun jan feb mar apr may jun jul aug sep sept oct nov dec gmt';
/** Names of the core's tables: ingredients, families, what a thing is, acts of mixing. They are facts; a language brings its own table. */
const TABLES = [
  core.publishedIngredients(),
  core.families,
  core.schools,
  core.symptoms.values,
  core.stopSigns.values,
  core.actWords,
  core.toolWords,
  core.basisWords,
  core.ingredientFields,
  core.kitchenThings,
  core.suits,
  core.acrylamideMeasures,
];

/** Watches what the server sends: names of formulas, goods, lots and things are the baker's own, or of the tables. */
function namesSent(page: Page): Set<string> {
  const sent = new Set<string>(wordsOf(WRITTEN));
  const take = (one: unknown): void => {
    if (typeof one === 'string') for (const word of wordsOf(one)) sent.add(word);
    else if (Array.isArray(one)) one.forEach(take);
    else if (one !== null && typeof one === 'object') Object.values(one).forEach(take);
  };
  take(TABLES);
  page.on('response', (response) => {
    if (response.url().includes('/api/') && /json/.test(response.headers()['content-type'] ?? ''))
      void response.json().then(take, () => undefined);
  });
  return sent;
}

const PLACES = ['/today', '/formulas', '/run', '/bakes', '/trials', '/pantry/lots', '/pantry/ingredients', '/pantry/preparations', '/pantry/blends', '/pantry/guests', '/kitchen']; // prettier-ignore

/** Opens whatever on the page can be opened in its place, so that what it hides is read too. */
async function openAll(page: Page): Promise<void> {
  for (const one of await page.locator('main button[aria-expanded=false]:not([aria-haspopup])').all())
    if (await one.isVisible()) await one.click();
}

test('no page says a sentence that is not in the catalogue', async ({ page, request, house }) => {
  test.setTimeout(180_000);
  const errors = complaints(page);
  await bracketed(page);
  const sent = namesSent(page);
  const strange = new Map<string, string>();
  const formulas = (await (await request.get('/api/formulas')).json()) as { items: { id: string }[] };
  const bakes = (await (await request.get('/api/bakes')).json()) as { items: { id: string }[] };
  const run = await beginRun(house.base);
  const paths = [
    ...formulas.items.flatMap(({ id }) => ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'].map((stage) => `/formulas/${id}/${stage}`)),
    ...PLACES,
    `/bakes/${bakes.items[0]!.id}`,
    `/bakes/new?formula=${formulas.items[0]!.id}&version=1`,
    `/run/new?formula=${formulas.items[0]!.id}`,
    `/run/${run}`,
  ];
  const read = async (path: string) => {
    for (const text of await said(page))
      if (/\{\{/.test(text) || wordsOf(outside(text)).some((word) => !sent.has(word))) strange.set(outside(text).trim(), path);
  };
  for (const path of paths) {
    await page.goto(path);
    await expect(page.getByRole('main').or(page.getByRole('region').first()).first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    await read(path);
    await openAll(page);
    await read(path);
  }
  expect([...strange].map(([text, path]) => `${path}: ${text}`)).toEqual([]);
  expect(errors).toEqual([]);
});
