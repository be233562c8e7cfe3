// Figures of speed and size: name, value, unit, goal, what it was compared with. Warms up, repeats, gives medians; exits 0 whatever they say.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { benchBlends, benchLabels } from './bench-blends.mjs';
import { benchServer } from './bench-server.mjs';
import { benchWeb } from './bench-web.mjs';
import { checkNode, ensureBuilt, ensureChromium, ensureInstalled, node, plainFailures, ROOT, say } from './bootstrap.mjs';

process.env.NORTHLEAF_PG_PORT = process.env.NORTHLEAF_TEST_PG_PORT ?? '55433';
process.env.NORTHLEAF_PG_CLUSTER = 'pg-test';
process.env.NORTHLEAF_PG_FSYNC ??= 'off';
const { databaseUrls, startDatabase, stopDatabase } = await import('./db.mjs');

plainFailures();
checkNode();
ensureInstalled();
ensureBuilt();
const wanted = process.argv.slice(2);
const wants = (...names) => wanted.length === 0 || names.some((name) => wanted.some((one) => name.includes(one)));
const line = (name, value, unit, goal, against) => console.log([name, value, unit, goal, against].join('\t'));
const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1];
const quantile = (values, q) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))];
const core = (path) => import(join(ROOT, 'packages/core/dist', path));

const { compileBake } = await core('bake/slab/problem.js');
const { BakeMarch } = await core('bake/slab/march.js');
const { evaluate, demoCrackerV2, demoKitchen, demoLots, publishedIngredients } = await core('index.js');

/** CPU milliseconds a call, median of rounds: wall time lies on a shared machine. */
function cpuMs(work, calls, rounds = 9) {
  for (let i = 0; i < 3 * calls; i++) work();
  return median(
    Array.from({ length: rounds }, () => {
      const from = process.cpuUsage();
      for (let i = 0; i < calls; i++) work();
      const { user, system } = process.cpuUsage(from);
      return (user + system) / 1000 / calls;
    }),
  );
}

const cracker = { water: 0.27, fat: 0.16, starch: 0.4, protein: 0.07, sugar: 0.03, fibre: 0.04, gum: 0, salt: 0.015, ash: 0.015 };
const cookie = { water: 0.14, fat: 0.21, starch: 0.27, protein: 0.05, sugar: 0.3, fibre: 0.02, gum: 0, salt: 0.005, ash: 0.005 };
const biscuit = { water: 0.38, fat: 0.14, starch: 0.35, protein: 0.06, sugar: 0.03, fibre: 0.015, gum: 0, salt: 0.01, ash: 0.015 };
const base = { tray: 'aluminium', layer: 'paper', browningFactor: 1, startC: 20 };
const bakes = [
  { ...base, makeUp: cracker, kind: 'crackerLeavened', thicknessMm: 3, settings: [{ airC: 177, min: 17, air: 'static' }] },
  {
    ...base,
    makeUp: cracker,
    kind: 'crackerLeavened',
    thicknessMm: 2.4,
    settings: [
      { airC: 180, min: 10, air: 'deck' },
      { airC: 150, min: 5, air: 'deck' },
    ],
  },
  {
    ...base,
    makeUp: cookie,
    kind: 'cookie',
    thicknessMm: 12,
    acrossMm: 60,
    fat: 'butter',
    settings: [{ airC: 200, min: 11, air: 'static' }],
  },
  {
    ...base,
    makeUp: biscuit,
    kind: 'biscuit',
    thicknessMm: 16,
    acrossMm: 60,
    fat: 'butter',
    settings: [{ airC: 232, min: 16, air: 'static' }],
  },
];

if (wants('bake.cpuMs', 'bake.lossErrPct', 'bake.coreErrK')) {
  const problems = bakes.map(compileBake);
  const quick = new BakeMarch(24);
  const fine = new BakeMarch(192);
  let at = 0;
  const quickMs = cpuMs(() => quick.run(problems[at++ % problems.length]), 80);
  const runs = problems.map((problem) => {
    const a = quick.run(problem).trajectory;
    const from = process.cpuUsage();
    const b = fine.run(problem, { toleranceK: 0.02, toleranceX: 8e-5 }).trajectory;
    const { user, system } = process.cpuUsage(from);
    const end = (series) => series[series.length - 1];
    return {
      loss: (100 * Math.abs(end(a.moistureX) - end(b.moistureX))) / (problem.layers[problem.main].startX - end(b.moistureX)),
      core: Math.abs(end(a.middleC) - end(b.middleC)),
      fineMs: (user + system) / 1000,
    };
  });
  const fineMs = runs.reduce((sum, run) => sum + run.fineMs, 0) / runs.length;
  line(
    'bake.cpuMs',
    quickMs.toFixed(2),
    'ms',
    '0.8',
    `24 cells, mean of 4 bakes; the fine grid takes ${(fineMs / quickMs).toFixed(0)} times as long`,
  );
  line(
    'bake.lossErrPct',
    Math.max(...runs.map((run) => run.loss)).toFixed(3),
    '% of water loss',
    '1',
    'worst of 4 against 192 cells, tolerance 0.02 K',
  );
  line('bake.coreErrK', Math.max(...runs.map((run) => run.core)).toFixed(3), 'K', '0.3', 'worst of 4 against 192 cells, tolerance 0.02 K');
}

if (wants('chill.cpuMs', 'chill.middleErrK')) {
  const { conduct } = await core('chill/conduction.js');
  const { coldTable } = await core('matter/cold-enthalpy.js');
  const material = coldTable(cookie);
  const fridge = { min: 60, topWPerM2K: 7.5, bottomWPerM2K: 7.5, topC: 4, bottomC: 4 };
  const input = {
    form: 'slab',
    sizeMm: 12.5,
    material,
    startC: 22,
    exposures: [fridge],
    fat: { name: 'butter', shareOfDough: 0.21, melted: true },
  };
  const ms = cpuMs(() => conduct(input), 60);
  const short = Array.from({ length: 1800 }, () => ({ ...fridge, min: 60 / 1800 }));
  const from = process.cpuUsage();
  const fine = conduct({ ...input, cells: 96, exposures: short });
  const fineMs = process.cpuUsage(from).user / 1000;
  line(
    'chill.cpuMs',
    ms.toFixed(2),
    'ms',
    '1',
    `60 min in the fridge, 24 cells; 96 cells in steps of 2 s take ${(fineMs / ms).toFixed(0)} times as long`,
  );
  const end = (series) => series[series.length - 1];
  line(
    'chill.middleErrK',
    Math.abs(end(conduct(input).middleC) - end(fine.middleC)).toFixed(3),
    'K',
    '0.3',
    'middle after 60 min against those',
  );
}

if (wants('looks.s', 'map45.s', 'map2500.s')) {
  const { bakeCaseFor, looksStudy, pairMap } = await core('index.js');
  const theCase = bakeCaseFor(demoCrackerV2, demoKitchen, {
    ingredients: publishedIngredients(),
    lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])),
  });
  const study = () => {
    const run = looksStudy(theCase);
    for (;;) {
      const { done, value } = run.next();
      if (done) return value;
    }
  };
  const seconds = (work) => (cpuMs(work, 1, 5) / 1000).toFixed(3);
  const found = study();
  line(
    'looks.s',
    seconds(study),
    's CPU',
    '0.15',
    `200 bakes and the plan; ${(100 * found.caughtShare).toFixed(1)} % of them caught in ${found.looks.length} looks; catches of fresh bakes: npm run validate`,
  );
  const range = (from, to, n) => Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
  const coarse = [range(1.6, 4, 9), range(150, 210, 5)];
  line(
    'map45.s',
    seconds(() => [...pairMap(theCase, ...coarse)]),
    's CPU',
    '0.2',
    '9 thicknesses x 5 temperatures, each cell a whole bake: as good as bake.lossErrPct',
  );
  const { Worker } = await import('node:worker_threads');
  const half = (part) =>
    new Promise((done, fail) => {
      const code = `const { workerData, parentPort } = require('node:worker_threads');
import(workerData.core).then(({ bakeCaseFor, pairMap, publishedIngredients, demoLots, demoCrackerV2, demoKitchen }) => {
  const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
  const theCase = bakeCaseFor(demoCrackerV2, demoKitchen, pantry);
  let cells = 0;
  for (const _ of pairMap(theCase, workerData.mm, workerData.c, { part: workerData.part, parts: 2 })) cells++;
  parentPort.postMessage(cells);
});`;
      const worker = new Worker(code, {
        eval: true,
        workerData: { core: `file://${join(ROOT, 'packages/core/dist/index.js')}`, part, mm: range(1.6, 4, 50), c: range(150, 210, 50) },
      });
      worker.once('message', done);
      worker.once('error', fail);
    });
  const from = performance.now();
  const cells = await Promise.all([half(0), half(1)]);
  line(
    'map2500.s',
    ((performance.now() - from) / 1000).toFixed(2),
    's wall',
    '3',
    `${cells[0] + cells[1]} cells on two workers, their start and compiling counted`,
  );
}

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
if (wants('evaluate.lineMs')) {
  let g = 0;
  const whole = cpuMs(() => evaluate({ ...demoCrackerV2, blendG: 240 + (g++ % 20) * 0.1 }, demoKitchen, pantry), 12);
  const problem = compileBake(bakes[1]);
  const march = new BakeMarch(24);
  const one = cpuMs(() => march.run(problem), 60);
  line('evaluate.lineMs', whole.toFixed(1), 'ms CPU', '–', `six stages with spread; ${(whole / one).toFixed(1)} times one bake`);
}

if (wants('run.stateMs', 'run.feelMs', 'learn.ovenMs')) {
  const { bakeCaseFor, bowlDough, learnedOven, runState, runSteps } = await core('index.js');
  const steps = runSteps({ formula: demoCrackerV2, kitchen: demoKitchen, pantry }, evaluate(demoCrackerV2, demoKitchen, pantry));
  const events = Array.from({ length: 400 }, (_, i) => ({
    id: String(i).padStart(4, '0'),
    at: new Date(1_764_000_000_000 + i * 1000).toISOString(),
    stepKey: steps[i % steps.length].key,
    what: i % 2 ? { kind: 'stepEnded' } : { kind: 'weighed', rowKey: steps[i % steps.length].rowKey ?? 'r1', addedG: 1 },
  }));
  const state = cpuMs(() => runState(steps, events, 0.1), 10);
  line('run.stateMs', state.toFixed(2), 'ms CPU', '4', `${steps.length} steps from 400 events, at every press`);
  const bowl = cpuMs(() => bowlDough({ formula: demoCrackerV2, kitchen: demoKitchen, pantry }, steps, []), 40);
  line('run.feelMs', bowl.toFixed(2), 'ms CPU', '8', `the dough in the bowl; ${(bowl / state).toFixed(1)} times the state`);
  const theCase = bakeCaseFor(demoCrackerV2, demoKitchen, pantry);
  const loads = Array.from({ length: 12 }, (_, i) => ({
    bakeId: String(i),
    theCase,
    min: 15 + (i % 3),
    byEye: true,
    lostShare: 0.29,
    topTone: 4,
  }));
  const learn = cpuMs(() => learnedOven('oven-a', loads), 1, 3);
  line('learn.ovenMs', learn.toFixed(0), 'ms CPU', '1500', `an oven from 12 bakes, in the solver’s thread`);
}

if (wants('blend.sameOptimumPct', 'blend.medianMs', 'blend.p95Ms')) await benchBlends(line);
if (wants('reader.lineMs')) await benchReader();
if (wants('label.truthPct', 'label.band90Pct', 'label.maePoints', 'label.medianMs')) await benchLabels(line);

if (wants('web.shellGzipKb')) {
  const dist = join(ROOT, 'apps/web/dist');
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));
  const files = new Set();
  const add = (key) => {
    const { file, imports = [], css = [] } = manifest[key];
    if (files.has(file)) return;
    files.add(file);
    css.forEach((one) => files.add(one));
    imports.forEach(add);
  };
  add('src/app.tsx');
  const kb = [...files].reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file))).length, 0) / 1024;
  line('web.shellGzipKb', kb.toFixed(0), 'kB', '150', `${files.size} files every page needs first; fonts apart`);
}

if (wants('server.')) {
  process.on('exit', stopDatabase);
  const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
  const evaluateMs = cpuMs(() => evaluate(demoCrackerV2, demoKitchen, pantry), 3, 5);
  await benchServer(line, { databaseUrls, startDatabase, evaluateMs });
}

if (wants('web.jsKb')) {
  const dist = join(ROOT, 'apps/web/dist');
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));
  const below = (key, found = new Set()) => {
    if (!found.has(key)) manifest[(found.add(key), key)].imports?.forEach((one) => below(one, found));
    return found;
  };
  const shell = below('src/app.tsx');
  const kb = (keys) => keys.reduce((sum, key) => sum + gzipSync(readFileSync(join(dist, manifest[key].file))).length, 0) / 1024;
  const pages = Object.keys(manifest)
    .filter((key) => /-page\.tsx$/.test(key) && manifest[key].isDynamicEntry)
    .map((key) => ({ name: /([\w-]+)-page/.exec(key)[1], size: kb([...below(key)].filter((one) => !shell.has(one))) }))
    .sort((a, b) => b.size - a.size);
  line(
    'web.jsKb',
    pages[0].size.toFixed(0),
    'kB',
    '-',
    `gzip, beside the shell: ${pages.map(({ name, size }) => `${name} ${size.toFixed(0)}`).join(', ')}`,
  );
}

if (wants('edit.outlookP95Ms', 'edit.doughP95Ms', 'sheet.redraw400P95Ms', 'start.warmS', 'web.lcpMs4x', 'web.boardMs4x', 'web.inpP954x')) {
  process.on('exit', stopDatabase);
  await startDatabase(['northleaf_bench']);
  const port = 4339;
  const env = { ...process.env, ...databaseUrls('northleaf_bench'), PORT: String(port), LOG_LEVEL: 'error' };
  node(['apps/server/dist/prepare.js', '--empty', '--seed'], { env });
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((ready) => server.stdout.once('data', ready));
  if (wants('edit.outlookP95Ms', 'edit.doughP95Ms')) await measureEdits(port);
  if (wants('sheet.redraw400P95Ms')) await measureRedraw(port);
  if (wants('web.lcpMs4x', 'web.boardMs4x', 'web.inpP954x')) {
    const { browser } = await aPage();
    await benchWeb(line, browser, `http://127.0.0.1:${port}`);
    await browser.close();
  }
  server.kill('SIGTERM');
  await new Promise((gone) => server.once('exit', gone));
  if (wants('start.warmS')) await measureWarmStart();
}

/** A page of the size that bakers have at a desk; whoever asks closes its browser. */
async function aPage() {
  const { chromium } = createRequire(join(ROOT, 'e2e/package.json'))('@playwright/test');
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--disable-dev-shm-usage', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  return { browser, page };
}

/** From the input event to the first frame after the dough board, and after the Outlook, carries that value. */
async function measureEdits(port) {
  const { browser, page } = await aPage();
  await page.goto(`http://127.0.0.1:${port}/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11/dough`);
  await page.getByLabel('Water grams').waitFor();
  await page.waitForTimeout(1500);
  const { times, dough } = await page.evaluate(async () => {
    const field = document.querySelector('input[aria-label="Water grams"]');
    const outlook = document.querySelector('section[aria-label="Outlook"]');
    const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    const frame = () => new Promise((next) => requestAnimationFrame(next));
    const gets = document.querySelector('[data-gets]');
    const out = [];
    const dough = [];
    field.focus();
    for (let i = 0; i < 220; i++) {
      const before = outlook.dataset.tender;
      const water = gets.dataset.gets;
      const grams = 84 + ((i * 7) % 40) + 0.1 * (i % 9);
      const from = performance.now();
      setter.call(field, String(grams));
      field.dispatchEvent(new Event('input', { bubbles: true }));
      let doughAt = 0;
      while (outlook.dataset.tender === before && performance.now() - from < 3000) {
        await frame();
        if (doughAt === 0 && gets.dataset.gets !== water) doughAt = performance.now() - from;
      }
      const all = performance.now() - from;
      out.push(all);
      dough.push(doughAt || all);
      await new Promise((rest) => setTimeout(rest, 60));
    }
    return { times: out.slice(20), dough: dough.slice(20) };
  });
  await browser.close();
  line(
    'edit.doughP95Ms',
    quantile(dough, 0.95).toFixed(0),
    'ms',
    '50',
    `${dough.length} keystrokes, median ${median(dough).toFixed(0)} ms; the whole Line takes ${(quantile(times, 0.95) / quantile(dough, 0.95)).toFixed(1)} times as long`,
  );
  line(
    'edit.outlookP95Ms',
    quantile(times, 0.95).toFixed(0),
    'ms',
    '100',
    `${times.length} keystrokes, median ${median(times).toFixed(0)} ms, spread included`,
  );
}

/** From the input event to the first frame that shows the sheet anew, about 400 pieces on it; beside it what the Outlook takes. */
async function measureRedraw(port) {
  const { browser, page } = await aPage();
  const at = `http://127.0.0.1:${port}/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11`;
  await page.goto(`${at}/sheet`);
  await page.getByLabel('Piece width').fill('19');
  await page.getByLabel('Piece length').fill('19');
  await page.waitForTimeout(1500);
  const { times, frames, pieces } = await page.evaluate(async () => {
    const field = document.querySelector('input[aria-label="Piece width"]');
    const drawing = document.querySelector('svg[aria-label*="from a sheet of"]');
    const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    const frame = () => new Promise((next) => requestAnimationFrame(next));
    const times = [];
    const frames = [];
    field.focus();
    for (let i = 0; i < 220; i++) {
      const before = drawing.getAttribute('aria-label');
      const from = performance.now();
      setter.call(field, String(18 + 0.1 * (1 + ((i * 7) % 19))));
      field.dispatchEvent(new Event('input', { bubbles: true }));
      let count = 0;
      // To the first frame after the drawing carries the size: the one that paints it.
      do {
        await frame();
        count++;
      } while (drawing.getAttribute('aria-label') === before && performance.now() - from < 3000);
      times.push(performance.now() - from);
      frames.push(count);
      await new Promise((rest) => setTimeout(rest, 120));
    }
    return { times: times.slice(20), frames: frames.slice(20), pieces: /^\d+/.exec(drawing.getAttribute('aria-label'))[0] };
  });
  await page.request.delete(`http://127.0.0.1:${port}/api/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11/draft`);
  await browser.close();
  line(
    'sheet.redraw400P95Ms',
    quantile(times, 0.95).toFixed(0),
    'ms',
    '33',
    `${pieces} pieces, ${times.length} keystrokes, median ${median(times).toFixed(0)} ms, ${quantile(frames, 0.95)} frames at P95`,
  );
}

/** The demo command a second time, nothing changed, to its first answer. Needs the demo's ports free. */
async function measureWarmStart() {
  const once = () =>
    new Promise((done) => {
      const from = performance.now();
      const demo = spawn(process.execPath, ['scripts/demo.mjs'], {
        cwd: ROOT,
        env: { ...process.env, PORT: '4340', NORTHLEAF_PG_PORT: '55434', NORTHLEAF_PG_CLUSTER: 'pg-bench' },
        stdio: ['ignore', 'pipe', 'ignore'],
      });
      demo.stdout.on('data', (text) => {
        if (!String(text).includes('ready')) return;
        const seconds = (performance.now() - from) / 1000;
        demo.once('exit', () => done(seconds));
        demo.kill('SIGINT');
      });
      demo.once('exit', (code) => code && done(NaN));
    });
  const first = await once();
  const warm = median([await once(), await once(), await once()]);
  line('start.warmS', warm.toFixed(1), 's', '10', `median of 3; the first start of a new database took ${first.toFixed(1)} s`);
  say('bench done');
}

/** Lines of everyday recipes read one by one, in CPU time, the first look at the names left out. */
async function benchReader() {
  const { readLine } = await core('entry/read-line.js');
  const { lines } = JSON.parse(readFileSync(join(ROOT, 'packages/core/src/worked/everyday-lines-cases.json'), 'utf8'));
  const ingredients = publishedIngredients();
  const from = performance.now();
  readLine('1 g salt', ingredients);
  const firstMs = performance.now() - from;
  const perList = cpuMs(() => lines.forEach(({ line: text }) => readLine(text, ingredients)), 1);
  line(
    'reader.lineMs',
    (perList / lines.length).toFixed(2),
    'ms',
    '1',
    `${lines.length} lines, 6000 names; the index is made once in ${firstMs.toFixed(0)} ms`,
  );
}
