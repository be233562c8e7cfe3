import { randomUUID } from 'node:crypto';
import { findingsOf, keysOf, kitchenThings, type BakeEvent, type RunStep } from '@north-leaf/core';
import { referenceKitchen } from '../../../packages/core/src/solve/reference-kitchen.js';
import { goods, ofEachLoad, unlisted } from '../../../packages/core/src/worked/goods.js';
import { anApp, type AnApp } from './testing/an-app.js';
import type { FormulaVersion, Run } from '@north-leaf/contracts';

/** Goods as ordinary recipes write them, entered and led to the plate as any client of the API would. */
let the: AnApp;
beforeAll(async () => {
  the = await anApp();
  for (const list of keysOf(kitchenThings))
    for (const thing of referenceKitchen[list] ?? []) await the.http().put(`/api/kitchen/${list}/${thing.id}`).send(thing).expect(200);
}, 60_000);
afterAll(() => the?.app.close());

/** Each load goes in and comes out like the first. */
const once = (listed: readonly string[], steps: readonly RunStep[]) => {
  const loads = steps.find(({ loads: n }) => n !== undefined)?.loads ?? 1;
  const again = (what: string) => loads > 1 && ofEachLoad.has(what);
  return listed.filter((what, i) => !again(what) || listed.indexOf(what) === i);
};
const acts = (steps: readonly RunStep[]) =>
  once(
    steps.filter(({ what }) => !unlisted.has(what)).map(({ what }) => what),
    steps,
  );

describe('goods over HTTP, from the formula to the end of the run', () => {
  it.each(goods().map((good) => [good.name, good] as const))('%s', async (_name, { formula, acts: wanted }) => {
    const [formulaId, bakeId] = [randomUUID(), randomUUID()];
    await the.http().put(`/api/formulas/${formulaId}`).send({ versionId: randomUUID(), why: '', formula }).expect(200);
    const version = (await the.http().get(`/api/formulas/${formulaId}/versions/1`).expect(200)).body as FormulaVersion;
    expect(version.formula.components).toEqual(formula.components);
    // Whatever is unsafe in it is named, and begun over with a reason.
    const confirmed = findingsOf(version.evaluation)
      .filter(({ unsafe }) => unsafe)
      .map(({ code }) => ({ code, reason: 'a trial for ourselves' }));
    const run = (
      await the.http().put(`/api/bakes/${bakeId}/run`).send({ formulaId, version: 1, factor: 1, looks: [], confirmed }).expect(200)
    ).body as Run;
    expect(acts(run.steps)).toEqual(once(wanted, run.steps));
    const at = new Date().toISOString();
    const event = (what: BakeEvent['what'], stepKey?: string): BakeEvent => ({
      id: randomUUID(),
      at,
      ...(stepKey ? { stepKey } : {}),
      what,
    });
    const events = run.steps.flatMap(({ key, kind, rowKey, amountG }) =>
      kind === 'weigh'
        ? [event({ kind: 'weighed', rowKey: rowKey!, addedG: amountG! }, key), event({ kind: 'stepEnded' }, key)]
        : [event({ kind: 'stepEnded' }, key)],
    );
    for (let i = 0; i < events.length; i += 100)
      await the
        .http()
        .post(`/api/bakes/${bakeId}/events`)
        .send(events.slice(i, i + 100))
        .expect(200);
    await the
      .http()
      .post(`/api/bakes/${bakeId}/events`)
      .send([event({ kind: 'ended' })])
      .expect(200);
    const ended = (await the.http().get(`/api/bakes/${bakeId}`).expect(200)).body as Run;
    expect(ended.events.some(({ what }) => what.kind === 'ended')).toBe(true);
    expect(ended.events.filter(({ what }) => what.kind === 'weighed')).toHaveLength(
      run.steps.filter(({ kind }) => kind === 'weigh').length,
    );
  });
});
