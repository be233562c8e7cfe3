// How the pages feel on a slow machine: the processor held back four times, each figure the median of fresh visits without a cache.
const FORMULA = '/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const BOARDS = ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'];
const VISITS = 5;
const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1];
const quantile = (values, q) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))];

/** A page of its own, held back so many times; nothing of an earlier visit is kept. */
async function visit(browser, slowdown, work) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
  try {
    return await work(page);
  } finally {
    await context.close();
  }
}

/** When the largest thing of a page that stands still was painted, ms after it was gone to. */
const lcp = (browser, url, slowdown) =>
  visit(browser, slowdown, async (page) => {
    await page.addInitScript(() => {
      window.painted = 0;
      const watch = new PerformanceObserver((list) => (window.painted = list.getEntries().at(-1).startTime));
      watch.observe({ type: 'largest-contentful-paint', buffered: true });
    });
    await page.goto(url);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(3000);
    return page.evaluate(() => window.painted);
  });

/** When a board and its Outlook stood on the page, as they were stored or newer; how long bare shapes stood before it. */
const board = (browser, url, slowdown) =>
  visit(browser, slowdown, async (page) => {
    await page.addInitScript(() => {
      window.bare = null;
      window.shown = null;
      const look = () => {
        const waiting = document.querySelector('.MuiSkeleton-root') !== null;
        if (waiting) window.bare ??= performance.now();
        if (!waiting && document.querySelector('[data-testid="outlook-words"]')) window.shown ??= performance.now();
        if (window.shown === null) setTimeout(look, 20);
      };
      look();
    });
    await page.goto(url);
    await page.waitForFunction(() => window.shown !== null, null, { timeout: 30_000 });
    return page.evaluate(() => ({ shown: window.shown, bare: window.bare === null ? 0 : window.shown - window.bare }));
  });

/** From each press to the next paint, ms: fields of every board are gone through and typed into. */
const presses = (browser, base, slowdown, perBoard) =>
  visit(browser, slowdown, async (page) => {
    await page.addInitScript(() => {
      window.pressed = new Map();
      const watch = new PerformanceObserver((list) => {
        for (const { interactionId, duration } of list.getEntries())
          if (interactionId > 0) window.pressed.set(interactionId, Math.max(duration, window.pressed.get(interactionId) ?? 0));
      });
      watch.observe({ type: 'event', buffered: true, durationThreshold: 16 });
    });
    let made = 0;
    await page.goto(`${base}${FORMULA}/${BOARDS[0]}`);
    for (const name of BOARDS) {
      await page.locator(`#tab-${name}`).click();
      made++;
      await page.getByTestId('outlook-words').waitFor();
      const fields = page.locator(
        'main input[inputmode="decimal"]:visible:enabled, [role="main"] input[inputmode="decimal"]:visible:enabled',
      );
      const count = await fields.count();
      for (let i = 0; i < perBoard && count > 0; i++) {
        if (i % 8 === 0) await fields.nth(Math.floor(i / 8) % count).click();
        else await page.keyboard.press(i % 2 ? 'End' : i % 4 ? '1' : 'Backspace');
        made++;
        await page.waitForTimeout(120);
      }
    }
    await page.waitForTimeout(1000);
    const slow = await page.evaluate(() => [...window.pressed.values()]);
    // What was painted within a frame is not told.
    return [...slow, ...Array.from({ length: Math.max(0, made - slow.length) }, () => 8)];
  });

/** `line(name, value, unit, goal, against)` writes a figure. */
export async function benchWeb(line, browser, base) {
  const times = async (work) => {
    const found = [];
    for (let i = 0; i < VISITS; i++) found.push(await work());
    return found;
  };
  const today = await times(() => lcp(browser, `${base}/today`, 4));
  line('web.lcpMs4x', median(today).toFixed(0), 'ms', '2000', `Today, ${VISITS} visits, ${today.map((ms) => ms.toFixed(0)).join(', ')}`);
  for (const [name, slowdown, goal] of [
    ['web.boardMs4x', 4, '3000'],
    ['web.boardMs', 1, '1200'],
  ]) {
    const each = [];
    for (const one of BOARDS) each.push(await times(() => board(browser, `${base}${FORMULA}/${one}`, slowdown)));
    const shown = each.map((visits) => median(visits.map((visit) => visit.shown)));
    line(
      name,
      Math.max(...shown).toFixed(0),
      'ms',
      goal,
      `the slowest of ${BOARDS.map((one, i) => `${one} ${shown[i].toFixed(0)}`).join(', ')}`,
    );
    if (slowdown === 1)
      line(
        'web.bareMs',
        Math.max(...each.map((visits) => median(visits.map(({ bare }) => bare)))).toFixed(0),
        'ms',
        '500',
        'bare shapes before a board',
      );
  }
  const felt = await presses(browser, base, 4, 33);
  line('web.inpP954x', quantile(felt, 0.95).toFixed(0), 'ms', '200', `${felt.length} presses on six boards, median ${median(felt).toFixed(0)}, slowest ${Math.max(...felt).toFixed(0)}`); // prettier-ignore
}
