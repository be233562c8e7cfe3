// Pictures of each main view, 1280 x 800, from a database of its own with the demo data; `-- NAME...` takes some, `--out DIR` elsewhere.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { checkNode, ensureBuilt, ensureChromium, ensureInstalled, node, plainFailures, ROOT, say } from './bootstrap.mjs';

process.env.NORTHLEAF_PG_PORT = process.env.NORTHLEAF_TEST_PG_PORT ?? '55433';
process.env.NORTHLEAF_PG_CLUSTER = 'pg-test';
process.env.NORTHLEAF_PG_FSYNC ??= 'off';
const { databaseUrls, startDatabase, stopDatabase } = await import('./db.mjs');

plainFailures();
checkNode();
ensureInstalled();
const executablePath = ensureChromium();
const args = process.argv.slice(2);
const outAt = args.indexOf('--out');
const out = outAt >= 0 ? resolve(args.splice(outAt, 2)[1]) : join(ROOT, 'docs/screenshots');
const port = 4329;
const formula = `/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11`;
const water = async (page, text) => {
  await page.getByLabel('Water grams').fill(text);
  await page.waitForTimeout(900);
};

const views = [
  { name: '01-formulas', path: '/formulas' },
  { name: '02-blend', path: `${formula}/blend` },
  { name: '03-dough', path: `${formula}/dough`, act: (page) => water(page, '84') },
  { name: '04-chill', path: `${formula}/chill` },
  { name: '05-sheet', path: `${formula}/sheet` },
  { name: '06-bake', path: `${formula}/bake` },
  { name: '07-keep', path: `${formula}/keep` },
  { name: '12-layers', path: '/formulas/8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33/sheet' },
  { name: '14-lots', path: '/pantry/lots' },
  {
    name: '17-ask',
    path: `${formula}/dough`,
    act: async (page) => {
      await page.getByRole('button', { name: 'All of it' }).click();
      await page.getByRole('button', { name: 'Ask', exact: true }).click();
      await page.getByRole('button', { name: 'What is “Water, gum apart”?' }).click();
    },
  },
  { name: '18-kitchen', path: '/kitchen' },
  {
    name: '19-recipe',
    path: '/formulas',
    act: async (page) => {
      await page.getByRole('button', { name: 'New formula' }).click();
      const text = [
        'Crostata',
        '',
        '250 g gluten-free flour blend',
        '120 g burro freddo a cubetti',
        '60 g caster sugar',
        '2 flax eggs',
        '1 tsp xantham gum',
        'Filling',
        '250 g ricotta',
        '50 g caster sugar',
        'juice of 1 lemon',
        'For dusting:',
        '20 g flour',
      ];
      await page.getByLabel('Ingredients, a line each').fill(text.join('\n'));
      await page.waitForTimeout(600);
    },
  },
  {
    name: '09-good-ones',
    path: '/formulas',
    act: async (page) => {
      await page.getByRole('button', { name: 'New formula' }).click();
      await page.getByRole('button', { name: 'Show me a good one' }).click();
      await page.getByRole('button', { name: /^Shortbread/ }).click();
    },
  },
  { name: '10-bake', path: '/bakes/c0ffee00-0000-4000-8000-000000000003' },
  {
    name: '16-trials',
    path: '/trials',
    act: (page) => page.getByText('Not explained').first().waitFor(),
  },
  {
    name: '15-today',
    path: '/today',
    runs: [
      ['crackers', 'weigh:r1'],
      ['puff', 'foldRest:0:0', 12],
      ['crackers', 'rest', 2],
    ],
  },
  {
    name: '13-weigh',
    runs: [
      ['crackers', 'weigh:r2'],
      ['puff', 'foldRest:0:0', 12],
    ],
    act: async (page) => {
      await page.getByRole('button', { name: 'Simulated scale' }).click();
      await page.waitForTimeout(900);
      for (let i = 0; i < 2; i++) await page.getByRole('button', { name: '+ 10 g' }).click();
      await page.waitForTimeout(900);
    },
  },
  {
    name: '08-feel-dark',
    face: 'dark',
    runs: [
      ['crackers', 'feel'],
      ['puff', 'foldRest:0:0', 12],
    ],
    act: async (page) => {
      await page.getByRole('button', { name: 'Cracks' }).click();
      await page.waitForTimeout(300);
    },
  },
  { name: '11-look-phone', width: 390, height: 844, runs: [['crackers', 'look:1:1']] },
];

const formulaIds = { crackers: ['3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11', 12], puff: ['8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33', 5] };
const call = async (method, path, body) => {
  const answer = await fetch(`http://127.0.0.1:${port}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  return answer.json();
};
/** Runs that stand at a step, some of them waiting there since so many minutes; their ids. */
async function beginRuns(runs) {
  const ids = [];
  for (const [which, stepKey, sinceMin] of runs) {
    const id = randomUUID();
    const [formulaId, version] = formulaIds[which];
    const begun = await call('PUT', `/bakes/${id}/run`, { formulaId, version, factor: 1, looks: [], confirmed: [] });
    if (!begun.steps) throw new Error(`the run did not begin: ${begun.message}`);
    const { steps } = begun;
    const before = steps.slice(
      0,
      steps.findIndex(({ key }) => key === stepKey),
    );
    const started = Date.now() - 3_600_000;
    const events = before.flatMap((step) => [
      ...(step.rowKey ? [{ stepKey: step.key, what: { kind: 'weighed', rowKey: step.rowKey, addedG: step.amountG } }] : []),
      { stepKey: step.key, what: { kind: 'stepEnded' } },
    ]);
    if (sinceMin) events.push({ stepKey, at: new Date(Date.now() - sinceMin * 60_000).toISOString(), what: { kind: 'stepBegan' } });
    await call(
      'POST',
      `/bakes/${id}/events`,
      events.map((event, i) => ({ id: randomUUID(), at: new Date(started + i).toISOString(), ...event })),
    );
    ids.push(id);
  }
  return ids;
}
const endRuns = (ids) =>
  Promise.all(
    ids.map((id) => call('POST', `/bakes/${id}/events`, [{ id: randomUUID(), at: new Date().toISOString(), what: { kind: 'ended' } }])),
  );

process.on('exit', stopDatabase);
await startDatabase(['northleaf_shots']);
ensureBuilt();
const env = { ...process.env, ...databaseUrls('northleaf_shots'), PORT: String(port), LOG_LEVEL: 'error' };
node(['apps/server/dist/prepare.js', '--empty', '--demo'], { env });
const server = spawn(process.execPath, ['apps/server/dist/main.js'], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'inherit'] });
await new Promise((ready) => server.stdout.once('data', ready));
const { chromium } = createRequire(join(ROOT, 'e2e/package.json'))('@playwright/test');
const browser = await chromium.launch({ executablePath, args: ['--disable-dev-shm-usage', '--disable-background-networking'] });
try {
  for (const view of views.filter(({ name }) => args.length === 0 || args.some((wanted) => name.includes(wanted)))) {
    const context = await browser.newContext({
      viewport: { width: view.width ?? 1280, height: view.height ?? 800 },
      colorScheme: view.face ?? 'light',
      locale: 'en-GB',
      timezoneId: 'UTC',
      serviceWorkers: 'block',
    });
    const runs = await beginRuns(view.runs ?? []);
    const page = await context.newPage();
    page.on('console', (message) => message.type() === 'error' && say(`${view.name}: ${message.text()}`));
    page.on('pageerror', (error) => say(`${view.name}: ${error}`));
    await page.goto(`http://127.0.0.1:${port}${view.path ?? `/run/${runs[0]}`}`);
    // A page listens for news for ever: it is never idle.
    await page.waitForLoadState('load');
    await page.waitForTimeout(1500);
    await page
      .waitForFunction(() => !document.querySelector('[aria-busy=true], .MuiSkeleton-root'), undefined, { timeout: 20_000 })
      .catch(() => undefined);
    await page.waitForTimeout(2500);
    await view.act?.(page);
    await page.screenshot({ path: join(out, `${view.name}.png`) });
    await context.request.delete(`http://127.0.0.1:${port}/api${formula}/draft`);
    await endRuns(runs);
    await context.close();
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await new Promise((gone) => server.once('exit', gone));
}
