import { readFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';
import { AxeBuilder } from '@axe-core/playwright';
import type { Download, Page } from '@playwright/test';
import { expect, test } from './a-house.js';
import { complaints, CRACKER, forgetDraft, newFormula, storing, openMenu } from './a-page.js';

test.afterEach(({ page, request }) => forgetDraft(page, request));

/** Makes a formula of a family and opens its sheet. */
async function sheetOf(page: Page, family: string): Promise<void> {
  await newFormula(page, `${family}, tried`, family);
  await page.getByRole('tab', { name: /Sheet|Laminate/ }).click();
}
async function make(page: Page, what: string): Promise<void> {
  await openMenu(page.getByRole('combobox', { name: 'What is made of it' }));
  await page.getByRole('option', { name: what, exact: true }).click();
}
const drawing = (page: Page) => page.locator('svg[aria-label*="from a sheet of"]');
const ruling = (page: Page) => page.getByTestId('ruling-sheet');
const undo = async (page: Page) => page.getByRole('button', { name: 'Undo' }).click();

test('squares on a sheet to trays: sizes typed, drawn and stepped, another cut, every place on the ruler', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/sheet`);
  await expect(drawing(page)).toHaveAttribute('aria-label', '66 squares 45 mm from a sheet of 507 by 282 mm');
  await expect(page.getByText('at 45, 90, 135, 180, 225 mm')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Tray 2 with 35 pieces' })).toBeVisible();

  // Typed: the drawing follows.
  await page.getByLabel('Piece width').fill('50');
  await expect(drawing(page)).toHaveAttribute('aria-label', /rectangles 45 × 50 mm/);
  await undo(page);
  // Stepped by keys at the corner of the first piece.
  const corner = page.getByRole('slider', { name: /Size of a piece/ });
  await corner.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByLabel('Piece width')).toHaveValue('50');
  await undo(page);
  await expect(page.getByLabel('Piece width')).toHaveValue('45');
  // Drawn out by the hand: one step.
  const box = (await corner.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByLabel('Piece length')).not.toHaveValue('45');
  await expect(page.getByLabel('Piece width')).toHaveValue('45');
  await undo(page);
  await expect(page.getByLabel('Piece length')).toHaveValue('45');

  // On paper: the drawing, the cuts and the trays, nothing of the page round them.
  await page.evaluate(
    () => (window.print = () => (document.title = document.querySelector<HTMLElement>('.printed-alone')?.innerText ?? '')),
  );
  await page.emulateMedia({ media: 'print' });
  await page.getByRole('button', { name: 'Print the sheet with its cuts and trays' }).click();
  await expect(page).toHaveTitle(/Roll to .*Trim 6 mm.*Prick/s);
  await expect(page).not.toHaveTitle(/Findings|Templates/);
  await page.emulateMedia({ media: 'screen' });

  // Holes in rows that stand between: 4 + 3 + 4 + 3 in a square of 45 mm (hand count).
  await page.getByRole('group', { name: 'Rows of holes' }).getByRole('button', { name: 'staggered' }).click();
  await expect(page.getByText('Prick every 12 mm, each second row between, 14 holes a piece, through to the paper')).toBeVisible();

  // Cut otherwise: the yields stand beside each other, one press takes one.
  const ways = page.getByRole('group', { name: 'Ways to cut' });
  await expect(ways.getByRole('button')).toHaveCount(7);
  await expect(ways.getByRole('button', { name: /Rounds 65 mm.*Round cutter 65/ })).toBeVisible();
  await ways.getByRole('button', { name: /Hexagons 48 mm.*Hexagon cutter 48/ }).click();
  await expect(drawing(page)).toHaveAttribute('aria-label', /6\d hexagons 48 mm/);
  await expect(page.getByText(/each second row 24 mm further in/)).toBeVisible();
  await expect(page.getByRole('group', { name: /^Tray 1 with \d+ pieces/ })).toBeVisible();
  // Further apart on the tray, by a key on the drawing, by number, and back to how they spread.
  await page.getByRole('slider', { name: /^Between pieces on the tray/ }).press('Shift+ArrowDown');
  await expect(page.getByText(/11 mm gaps/).first()).toBeVisible();
  await page.getByLabel('Between pieces', { exact: true }).fill('30');
  await expect(page.getByText(/30 mm gaps/).first()).toBeVisible();
  await page.getByRole('button', { name: 'As they spread' }).click();
  await expect(page.getByText(/ 6 mm gaps/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Larger', exact: true }).click();
  await expect(storing(page)).toContainText('stored');
  expect((await new AxeBuilder({ page }).analyze()).violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]); // prettier-ignore
  expect(errors).toEqual([]);
});

test('a window cookie is cut in pairs, then a sheet of a wanted size is rolled, its cut left for after the oven', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/sheet`);
  await make(page, 'pairs, tops with a window');
  await expect(page.getByText(/the middles go back to the scraps/)).toBeVisible();
  await openMenu(page.getByRole('combobox', { name: 'Form of the window' }));
  await page.getByRole('option', { name: 'heart' }).click();
  // Rounds of 45 mm become those of the nearest cutter of the kitchen.
  await expect(page.getByLabel('Across', { exact: true })).toHaveValue('50');
  await page.getByLabel('Window', { exact: true }).fill('48');
  await expect(page.getByText(/leaves too little round it: keep 3 mm/)).toBeVisible();
  await page.getByLabel('Window', { exact: true }).fill('22');
  await expect(ruling(page).locator('..')).toContainText(/3\d pieces/);
  // At the drawing: bottoms and tops keep one size, the window its own.
  await page.getByRole('slider', { name: /Size of the window/ }).press('Shift+ArrowRight');
  await expect(page.getByLabel('Window', { exact: true })).toHaveValue('32');
  await undo(page);
  await page.getByRole('slider', { name: /Size of a piece/ }).press('Shift+ArrowRight');
  await expect(page.getByLabel('Across', { exact: true })).toHaveValue('55');
  await expect(page.getByText('No cutter of this size here')).toBeVisible();
  await page
    .getByRole('button', { name: /Piece across 55 → 50 mm/ })
    .first()
    .click();
  await expect(page.getByText('No cutter of this size here')).toBeHidden();
  await expect(page.getByLabel('Across', { exact: true })).toHaveValue('50');

  await page.getByRole('button', { name: /^More: a wanted sheet/ }).click();
  await page.getByLabel('Wanted width').fill('300');
  await page.getByLabel('Wanted length').fill('200');
  // 419.9 g over 1.2 g/ml x 300 x 200 mm is 5.8 mm (hand sum); an earlier journey may have saved a little less water.
  await page.getByRole('button', { name: /^Thickness 2\.4 mm → 5\.[78] mm$/ }).click();
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue(/^5\.[78]$/);
  await undo(page);
  await page.getByRole('group', { name: 'When it is cut' }).getByRole('button', { name: 'hot' }).click();
  await expect(page.getByText('Bake the whole sheet, then cut it hot, within minutes')).toBeVisible();
  await expect(page.getByText(/The whole sheet, cut after baking/)).toBeVisible();
  expect(errors).toEqual([]);
});

test('a pie for the 230 mm plate: lining and lid by its size, the split computed, the dough for one', async ({ page }) => {
  const errors = complaints(page);
  await sheetOf(page, 'Pie crust, flaky');
  const parts = page.getByRole('table', { name: 'Parts of a piece' });
  // Ø 185 + 2 x hypot(38, 22.5) + 2 x 12 mm of overhang = 297 mm (hand sum).
  await expect(parts.getByRole('row', { name: /Lining/ })).toContainText('Ø 297 mm');
  await make(page, 'a pan lined, with a lid');
  await expect(parts.getByRole('row', { name: /^Lid/ })).toContainText('Ø 242 mm');
  await expect(page.getByText(/common two thirds for the base/)).toBeVisible();
  await expect(page.getByText('The batch is short of one piece').first()).toBeVisible();
  await page.getByRole('button', { name: /one piece$/ }).click();
  await expect(ruling(page).locator('..')).toContainText('1 piece');
  await expect(page.getByText(/mm over it/)).toHaveCount(1);
  await page.getByLabel('Hangs over', { exact: true }).fill('90');
  await expect(page.getByRole('alert').filter({ hasText: 'must be from 0 to 60 mm' })).toBeVisible();
  await page.getByLabel('Hangs over', { exact: true }).fill('15');
  await expect(parts.getByRole('row', { name: /Lining/ })).toContainText('Ø 303 mm');
  // Drawn out at its edge; a hand cannot draw it past what the field takes.
  const edge = page.getByRole('slider', { name: /How far the lining hangs over/ });
  await edge.press('ArrowLeft');
  await expect(page.getByLabel('Hangs over', { exact: true })).toHaveValue('14');
  const box = (await edge.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 300, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('Hangs over', { exact: true })).toHaveValue('60');
  expect(errors).toEqual([]);
});

test('a ring tart with its side strip, then a lattice strip by strip', async ({ page }) => {
  const errors = complaints(page);
  await sheetOf(page, 'Shortcrust, sweet');
  await make(page, 'a disc and a side strip');
  const parts = page.getByRole('table', { name: 'Parts of a piece' });
  await expect(page.getByRole('combobox', { name: 'Pan' })).toContainText('Tart ring Ø 220');
  // Two strips of (pi x 220 + 2 x 10) / 2 = 356 mm, as high as the ring (hand sum).
  await expect(parts.getByRole('row', { name: /Side strip/ })).toContainText('2 strips of 30 mm × 356 mm');
  await make(page, 'a pan lined, with a lattice');
  await expect(parts.getByRole('row', { name: /Lattice strips/ })).toContainText('14 strips of 20 mm');
  await expect(page.getByText('18 % of the filling shows through the lattice.')).toBeVisible();
  await page.getByLabel('Between strips', { exact: true }).fill('20');
  await expect(parts.getByRole('row', { name: /Lattice strips/ })).toContainText('12 strips of 20 mm');
  await expect(page.getByText('25 % of the filling shows through the lattice.')).toBeVisible();
  await page.getByRole('slider', { name: /Gap between strips/ }).press('ArrowRight');
  await expect(page.getByLabel('Between strips', { exact: true })).toHaveValue('21');
  await page.getByRole('slider', { name: /Width of a strip/ }).press('ArrowLeft');
  await expect(page.getByLabel('Strip width', { exact: true })).toHaveValue('19');
  await expect(page.getByRole('button', { name: /^Lattice strip \d+ × 4, SVG/ }).first()).toBeVisible();
  expect(errors).toEqual([]);
});

test('croissant triangles are cut in a zigzag, rolled up, proved, and baked as what they are', async ({ page }) => {
  const errors = complaints(page);
  await sheetOf(page, 'Croissant dough');
  await expect(page.getByText(/foams within 10 min\. No foam: stop/)).toBeVisible();
  await expect(page.getByText(/judge by volume, not by the clock/)).toBeVisible();
  await page.getByRole('button', { name: 'Sheet and trays' }).click();
  await expect(drawing(page)).toHaveAttribute('aria-label', /triangles 80 × 180 mm/);
  await expect(page.getByText(/Mark every 80 mm on one edge, on the other from 40 mm on/)).toBeVisible();
  await expect(page.getByText(/half triangles are left at the ends/)).toBeVisible();
  await expect(page.getByText(/Rolled up: 3\d(\.\d)? mm high.*proved to 1\.5 times/)).toBeVisible();
  await page.getByRole('tab', { name: /Bake/ }).click();
  // Not a 6 mm slab: the core decides, and the picture begins over 30 mm.
  await expect(page.getByText(/^from 3\d\.\d mm$/)).toBeVisible();
  expect(errors).toEqual([]);
});

test('puff with one fold too many is warned, and the warning takes it back', async ({ page }) => {
  const errors = complaints(page);
  await sheetOf(page, 'Puff pastry');
  await expect(ruling(page)).toHaveText('27');
  await expect(page.getByRole('group', { name: /^27 layers of fat of 59 µm and 28 of dough of 86 µm in 4 mm/ })).toBeVisible();
  // Thinner by the hand at its foot, and each layer with it.
  await page.getByRole('slider', { name: /Thickness of the last sheet/ }).press('Shift+ArrowUp');
  await expect(page.getByRole('group', { name: /^27 layers of fat of 51 µm and 28 of dough of 75 µm in 3\.5 mm/ })).toBeVisible();
  await undo(page);
  await page.getByRole('button', { name: 'Fold', exact: true }).click();
  await expect(ruling(page)).toHaveText('81');
  await expect(page.getByText('Dough layers are thin')).toBeVisible();
  await expect(page.getByRole('group', { name: /^81 layers of fat/ })).toBeVisible();
  await page.getByRole('button', { name: 'Fold 4 taken out' }).click();
  await expect(ruling(page)).toHaveText('27');
  await expect(page.getByText('Dough layers are thin')).toBeHidden();

  // A rest that is too short says how long it has to be.
  await page.getByRole('button', { name: 'Remove Rest 2 2' }).click();
  await page.getByLabel('Rest 2 1', { exact: true }).fill('300');
  await expect(page.getByText('Fold 3 is too cold')).toBeVisible();
  await page.getByRole('button', { name: 'Fold 2', exact: true }).click();
  await expect(page.getByText('Cut through fold 2')).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]); // prettier-ignore
  await page.getByLabel('Fold 2 rolled to').fill('30');
  await expect(page.getByRole('alert').filter({ hasText: 'must be thinner than the 18 mm' })).toBeVisible();
  expect(errors).toEqual([]);
});

const PT_PER_MM = 72 / 25.4;
/** What a PDF draws: its content streams, as ISO 32000 has them, a unit of 1/72 in. */
const drawn = (pdf: Buffer): string => {
  const raw = pdf.toString('latin1');
  return [...raw.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .map(([, body]) => {
      try {
        return inflateSync(Buffer.from(body!, 'latin1')).toString('latin1');
      } catch {
        return body!;
      }
    })
    .join('\n');
};
const bytesOf = async (download: Download) => readFileSync((await download.path())!);

test('templates come at their true size: 100 mm is 100.0 in the PDF, and the SVG is in millimetres', async ({ page }) => {
  const errors = complaints(page);
  await sheetOf(page, 'Pie crust, flaky');
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF, A4' }).click()]);
  expect(pdf.suggestedFilename()).toMatch(/templates A4\.pdf$/);
  const content = drawn(await bytesOf(pdf));
  const lines = [...content.matchAll(/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/g)].map((m) => Math.hypot(Number(m[3]) - Number(m[1]), Number(m[4]) - Number(m[2])) / PT_PER_MM); // prettier-ignore
  const measures = lines.filter((mm) => mm > 50);
  // Ø 297 on A4 takes two pages across and two down, each with its line.
  expect(measures).toHaveLength(4);
  for (const mm of measures) expect(mm).toBeCloseTo(100, 2);
  // The pattern itself is drawn in mm, scaled by 72 / 25.4.
  const scales = [...content.matchAll(/([\d.]+) 0 0 -([\d.]+) 0 0 cm/g)].map((m) => Number(m[1]));
  expect(scales.length).toBeGreaterThan(0);
  for (const scale of scales) expect(scale).toBeCloseTo(PT_PER_MM, 4);

  const [svg] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: /^Lining × 1, SVG/ }).click()]);
  const text = (await bytesOf(svg)).toString('utf8');
  const [, w, vw] = /width="([\d.]+)mm".*?viewBox="-2 -2 ([\d.]+)/.exec(text)!;
  expect(w).toBe(vw);
  // Opened in a browser, its disc is 297 mm and its line 100 mm: a CSS millimetre is 96 / 25.4 px (CSS Values 4).
  await page.setContent(text);
  const px = (selector: string) => page.locator(selector).evaluate((one) => one.getBoundingClientRect().width);
  expect((await px('svg > path:first-of-type')) / (96 / 25.4)).toBeCloseTo(297.3, 0);
  expect((await px('#measure')) / (96 / 25.4)).toBeCloseTo(100.3, 0);
  expect(errors).toEqual([]);
});

test('an outline of one’s own is read from an SVG in its millimetres; what is no drawing is refused in words', async ({ page }) => {
  const errors = complaints(page);
  await page.goto(`${CRACKER}/sheet`);
  await make(page, 'an outline of your own');
  const file = page.getByLabel('SVG of the outline');
  await file.setInputFiles({
    name: 'moon.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 600 400"><script>alert(1)</script><path d="M0 200A300 200 0 0 1 600 200L300 400Z"/></svg>'), // prettier-ignore
  });
  await expect(page.getByText(/^60 mm × 40 mm, \d+ points$/)).toBeVisible();
  await expect(drawing(page)).toHaveAttribute('aria-label', /own outline from a sheet/);
  await expect(page.getByText(/every other one head to tail|Cutter every/)).toBeVisible();
  await file.setInputFiles({ name: 'list.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('flour 200 g') });
  await expect(page.getByText('Not read: This file is not an SVG drawing.')).toBeVisible();
  await expect(storing(page)).toContainText('stored');
  await page.reload();
  await expect(page.getByText(/^60 mm × 40 mm, \d+ points$/)).toBeVisible();
  expect(errors).toEqual([]);
});

test('a sheet is no larger than the mat it is rolled on: equal lots, by one button', async ({ page, request }) => {
  const errors = complaints(page);
  await page.goto('/kitchen');
  await page.getByLabel('Mat width').fill('40');
  await expect(page.getByText('must be from 100 to 2000 mm')).toBeVisible();
  await page.getByLabel('Mat width').fill('400');
  await page.getByLabel('Mat length').fill('300');
  await page.getByRole('button', { name: 'Store the mat' }).click();
  await expect(page.getByText(/The mat changed/)).toBeVisible();
  await page.goto(`${CRACKER}/sheet`);
  await expect(page.getByText('The sheet is larger than the mat')).toBeVisible();
  await page.getByRole('button', { name: 'Sheets 1 → 2' }).click();
  await expect(page.getByText(/Rolled in 2 equal lots of 2\d\d g/)).toBeVisible();
  await expect(page.getByText('The sheet is larger than the mat')).toBeHidden();
  await request.put('/api/kitchen/mat', { data: { widthMm: 600, lengthMm: 400 } });
  expect(errors).toEqual([]);
});
