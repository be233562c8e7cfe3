import { randomUUID } from 'node:crypto';
import type { FormulasPart, ListedKitchen } from '@north-leaf/contracts';
import { demoKitchen, evaluate, families, findingsOf, publishedIngredients, starterFormula, type Kitchen } from '@north-leaf/core';
import { anApp, type AnApp } from '../testing/an-app.js';

let the: AnApp;
beforeAll(async () => (the = await anApp()), 60_000);
afterAll(() => the?.app.close());

const put = (path: string, body: object = {}) => the.http().put(`/api/kitchens/${path}`).send(body);
const list = async () => (await the.http().get('/api/kitchens').expect(200)).body as ListedKitchen[];
const here = async () => (await the.http().get('/api/kitchen').expect(200)).body as Kitchen;
const formulas = async () => ((await the.http().get('/api/formulas').expect(200)).body as FormulasPart).items;
const empty = { from: 'empty', name: 'The corner', zone: 'Europe/Paris', currency: 'EUR', market: 'eu', home: true };

describe('the kitchens of an installation', () => {
  it('one is begun empty and stands open; the demo is still there, and comes back as it was left', async () => {
    const id = randomUUID();
    const before = await formulas();
    const { body } = await put(id, empty).expect(200);
    expect(body).toMatchObject({ id, name: 'The corner', home: true, market: 'eu', learned: [] });
    expect(await here()).toEqual(body);
    expect(await formulas()).toEqual([]);
    expect((await the.http().get('/api/bakes').expect(200)).body).toMatchObject({ items: [], total: 0 });
    // What is done in one is not seen from the other.
    await the.http().put('/api/kitchen/air').send({ humidityShare: 0.4, roomC: 19 }).expect(200);
    await put(`${demoKitchen.id}/open`).expect(200);
    expect((await here()).roomC).toBe(demoKitchen.roomC);
    expect(await formulas()).toEqual(before);
    expect(await list()).toMatchObject([
      { id: demoKitchen.id, open: true, formulas: before.length },
      { id, open: false, formulas: 0, bakes: 0 },
    ]);
    // The same id again is the same kitchen, and opens it.
    await put(id, { ...empty, name: 'Other' }).expect(200);
    expect(await here()).toMatchObject({ name: 'The corner', roomC: 19 });
  });

  it('the demo is put back as it first was, beside what became of the other', async () => {
    await put(`${demoKitchen.id}/open`).expect(200);
    await the.http().put('/api/kitchen/about').send({ name: 'Changed', currency: 'GBP' }).expect(200);
    const id = randomUUID();
    const { body } = await put(id, { from: 'demo' }).expect(200);
    expect(body).toMatchObject({ id, name: demoKitchen.name, currency: demoKitchen.currency });
    const [one, first] = [await formulas(), await list()];
    expect(one.map(({ name, version }) => [name, version])).toEqual(expect.arrayContaining([['Seeded sorghum crackers', 12]]));
    expect(first.find(({ open }) => open)).toMatchObject({ id, formulas: one.length, bakes: 42 });
    // Its ids are its own: a draft of this browser for the other demo's formula is not this one's.
    await put(`${demoKitchen.id}/open`).expect(200);
    const other = new Set((await formulas()).map((formula) => formula.id));
    expect(one.filter((formula) => other.has(formula.id))).toEqual([]);
  });

  it.each([
    [{ ...empty, zone: 'Mars/Olympus' }, 'zone'],
    [{ ...empty, name: ' ' }, 'name'],
    [{ ...empty, currency: 'XXX' }, 'currency'],
    [{ ...empty, market: 'the moon' }, 'market'],
    [{ from: 'demo', name: 'x' }, 'name'],
    [{ from: 'nowhere' }, 'from'],
  ])('refuses %j by the field that is wrong', async (body, path) => {
    const { body: answer } = await put(randomUUID(), body).expect(400);
    expect(answer.problems.map((one: { path: string }) => one.path)).toContain(path);
  });
  it('what is not there cannot be opened', async () => {
    await put(`${randomUUID()}/open`).expect(404);
  });

  it('a first formula of every family is worked out in a new kitchen', async () => {
    const id = randomUUID();
    const kitchen = (await put(id, empty).expect(200)).body as Kitchen;
    const pantry = { ingredients: publishedIngredients(), lots: {}, on: '2026-12-01' };
    for (const family of Object.values(families).slice(0, 6)) {
      let n = 0;
      const first = starterFormula(family, family.name, { kitchen, pantry }, () => `k${++n}`);
      const found = findingsOf(evaluate(first, kitchen, pantry));
      expect([family.id, found.filter(({ level, stage }) => level === 'fix' && stage !== 'blend').map(({ code }) => code)]).toEqual([
        family.id,
        [],
      ]);
    }
  }, 60_000);
});
