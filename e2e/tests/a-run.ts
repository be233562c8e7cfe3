import { randomUUID } from 'node:crypto';
import { expect, type Locator, type Page } from '@playwright/test';

type Event = { id: string; stepKey?: string; what: { kind: string; rowKey?: string; addedG?: number; word?: string } };
export type StoredRun = {
  id: string;
  steps: {
    key: string;
    rowKey?: string;
    ingredientId?: string;
    name?: string;
    amountG?: number;
    heldG?: number;
    what: string;
    act?: string;
    names?: string[];
  }[];
  events: Event[];
};

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const json = { 'content-type': 'application/json' };

/** A run of the demo crackers, begun past the page that asks about it. */
export async function beginRun(base: string, over: object = {}): Promise<string> {
  const id = randomUUID();
  const body = { formulaId: FORMULA, version: 2, factor: 1, looks: [], confirmed: [], ...over };
  const answer = await fetch(`${base}/api/bakes/${id}/run`, { method: 'PUT', headers: json, body: JSON.stringify(body) });
  expect(answer.status).toBe(200);
  return id;
}

export const storedRun = async (base: string, id: string): Promise<StoredRun> =>
  (await (await fetch(`${base}/api/bakes/${id}`)).json()) as StoredRun;

/** The run once the server has what the page said: a page goes on as soon as a word is safe on its own device. */
export async function storedWhen(base: string, id: string, has: (run: StoredRun) => boolean): Promise<StoredRun> {
  await expect.poll(async () => has(await storedRun(base, id)), { message: 'stored by the server' }).toBe(true);
  return storedRun(base, id);
}
export const said =
  (kind: string, stepKey?: string) =>
  ({ events }: StoredRun): boolean =>
    events.some((one) => one.what.kind === kind && (stepKey === undefined || one.stepKey === stepKey));

export const post = (base: string, id: string, whats: readonly { stepKey?: string; what: object }[]): Promise<Response> =>
  fetch(`${base}/api/bakes/${id}/events`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify(whats.map((one, i) => ({ id: randomUUID(), at: new Date(Date.now() + i).toISOString(), ...one }))),
  });

/** Everything before a step that is not done yet, as if it had been. */
export async function upTo(base: string, id: string, key: string): Promise<void> {
  const { steps, events } = await storedRun(base, id);
  const done = new Set(events.flatMap(({ stepKey, what }) => (what.kind === 'stepEnded' ? [stepKey] : [])));
  const before = steps
    .slice(
      0,
      steps.findIndex((step) => step.key === key),
    )
    .filter((step) => !done.has(step.key));
  await post(
    base,
    id,
    before.flatMap((step) => [
      ...(step.amountG !== undefined && step.rowKey
        ? [{ stepKey: step.key, what: { kind: 'weighed', rowKey: step.rowKey, addedG: step.amountG } }]
        : []),
      { stepKey: step.key, what: { kind: 'stepEnded' } },
    ]),
  );
}

/** So that its alarms do not ring in the next journey. */
export const endRun = (base: string, id: string): Promise<Response> => post(base, id, [{ what: { kind: 'ended' } }]);

export const title = (page: Page) => page.locator('h1');
export const next = (page: Page) =>
  page.getByRole('button', { name: /^(Next|Done|It is in|It is on|It foams|It is wrapped|Packed|End the bake)/ });
/** Grams that a run stored for a row. */
export const gramsOf = ({ events }: StoredRun, rowKey: string): number =>
  events.reduce((sum, { what }) => sum + (what.kind === 'weighed' && what.rowKey === rowKey ? what.addedG! : 0), 0);

/** Puts so many grams on the simulated scale, by its own buttons. */
export async function put(page: Page, grams: number): Promise<void> {
  const tenths = Math.round(grams * 10);
  for (const [name, each] of [
    ['+ 10 g', 100],
    ['+ 1 g', 10],
    ['+ 0.1 g', 1],
  ] as const) {
    const larger = name === '+ 10 g' ? Infinity : each * 10;
    for (let left = Math.floor((larger === Infinity ? tenths : tenths % larger) / each); left > 0; left--)
      await page.getByRole('button', { name, exact: true }).click();
  }
}

/** On to the next step by the key, a wait that has to be ended twice ended twice. */
export async function goOn(page: Page): Promise<void> {
  const before = await title(page).textContent();
  await expect(async () => {
    if ((await title(page).textContent()) === before) await page.keyboard.press('PageDown');
    expect(await title(page).textContent()).not.toBe(before);
  }).toPass({ intervals: [90, 160, 250] });
}

/** From the formula's page to the bench, past the page that asks; gives the run's id. */
export async function begun(page: Page, look: (steps: Locator) => Promise<void> = async () => undefined): Promise<string> {
  await page
    .getByRole('link', { name: 'Start a bake' })
    .or(page.getByRole('button', { name: 'Start a bake' }))
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('How is it?');
  await look(page.getByRole('region', { name: 'Steps' }));
  const reason = page.getByRole('textbox', { name: /^Why it is baked all the same/ });
  if (await reason.isVisible()) await reason.fill('a trial for ourselves');
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeEnabled();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForURL(/\/run\/[0-9a-f-]{36}$/);
  return page.url().split('/').at(-1)!;
}
