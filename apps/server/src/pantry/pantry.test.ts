import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import {
  coreVersion,
  demoCrackerV2,
  kitchenThings,
  lotFields,
  ownIngredientFields,
  publishedIngredients,
  type Fields,
  type Kitchen,
  type KitchenList,
  type Lot,
} from '@north-leaf/core';
import { anyDocument } from '../../../../packages/core/src/worked/any-document.js';
import { anApp, type AnApp } from '../testing/an-app.js';
import type { PantryBook } from '@north-leaf/contracts';

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
let server: AnApp;
beforeAll(async () => {
  server = await anApp();
}, 60_000);
afterAll(async () => server?.app.close());

const pantry = async (): Promise<PantryBook> => (await server.http().get('/api/pantry').expect(200)).body as PantryBook;
const putLot = (id: string, revision: number, lot: Partial<Lot>, recounted = true) =>
  server
    .http()
    .put(`/api/pantry/lots/${id}`)
    .send({ revision, recounted, lot: { id, ingredientId: 'teff', code: '1', ...lot } });
const label = (value: number) => ({ value, unit: 'share', basis: 'label', source: 'bag of lot 8' });

describe('the pantry', () => {
  it('holds all published ingredients, the lots, the preparations as ingredients, and the day', async () => {
    const book = await pantry();
    expect(Object.keys(book.ingredients).length).toBe(Object.keys(publishedIngredients()).length + 1);
    expect(book.ingredients['b7a1d6c0-55f1-4c0e-9b52-2f6f7f0f3e31']).toMatchObject({ name: 'Honey and sesame glaze', kind: 'filling' });
    expect(book.on).toMatch(/^\d{4}-\d\d-\d\d$/);
    expect(book.broken).toEqual({});
  });

  it('is sent without the published table to who has it: put together it is the whole; an older table is not taken for this one', async () => {
    const whole = await pantry();
    const have = async (release: string) => (await server.http().get(`/api/pantry?have=${release}`).expect(200)).body as PantryBook;
    const beside = await have(coreVersion);
    expect(Object.keys(beside.ingredients).length).toBeLessThan(20);
    expect({ ...beside, ingredients: { ...publishedIngredients(), ...beside.ingredients } }).toEqual(whole);
    expect(await have('1.0.0')).toEqual(whole);
  });
});

describe('lots', () => {
  it('are written once however often sent, and changed under their revision', async () => {
    const id = randomUUID();
    await putLot(id, 0, { onHandG: 900 }).expect(200, { id, revision: 1 });
    await putLot(id, 0, { onHandG: 900 }).expect(200, { id, revision: 1 });
    await putLot(id, 1, { onHandG: 900, supplier: 'Hill mill' }).expect(200, { id, revision: 2 });
    const conflict = await putLot(id, 1, { onHandG: 900, supplier: 'Market' }).expect(409);
    expect(conflict.body.code).toBe('conflict');
    const book = await pantry();
    expect([book.lots[id]!.supplier, book.revisions.lots[id]]).toEqual(['Hill mill', 2]);
    await server.http().delete(`/api/pantry/lots/${id}`).expect(204);
    await server.http().delete(`/api/pantry/lots/${id}`).expect(204);
  });

  it('two at once: one is stored, the other told', async () => {
    const id = randomUUID();
    const answers = await Promise.all([putLot(id, 0, { onHandG: 1 }), putLot(id, 0, { onHandG: 2 })]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  it.each<[string, Partial<Lot>, string]>([
    ['a best-by day that no calendar has', { bestByOn: '2026-02-30' }, 'lot.bestByOn'],
    ['less than nothing on hand', { onHandG: -1 }, 'lot.onHandG'],
    ['a pack of nothing', { packG: 0 }, 'lot.packG'],
    ['wet flour', { moistureShare: 0.9 }, 'lot.moistureShare'],
    ['an unknown ingredient', { ingredientId: 'moon_dust' }, 'lot.ingredientId'],
    ['no code', { code: ' ' }, 'lot.code'],
    ['a belief in place of a report where grain can be in it', { acceptedWithoutReport: 'they told me' }, 'lot.acceptedWithoutReport'],
  ])('%s is refused at its field', async (_claim, lot, path) => {
    const { body } = await putLot(randomUUID(), 0, lot).expect(400);
    expect(body.problems.map((problem: { path: string }) => problem.path)).toEqual([path]);
  });

  it('fall by what a bake took, follow a corrected weight, and stand still when nothing was counted anew', async () => {
    const before = await pantry();
    const sorghum = before.lots['lot-sorghum-8']!.onHandG!;
    const oil = before.lots['lot-oil-4']!.onHandG!;
    const bakeId = randomUUID();
    const weighed = { id: randomUUID(), at: '2026-11-24T05:12:00.000Z', what: { kind: 'weighed', rowKey: 'r2', addedG: 33 } };
    const bake = { formulaId: FORMULA, version: 2, factor: 2, roomC: 22, humidityShare: 0.5, events: [weighed] };
    await server.http().put(`/api/bakes/${bakeId}`).send(bake).expect(200);
    await server.http().put(`/api/bakes/${bakeId}`).send(bake).expect(200);
    const after = await pantry();
    // 240 g of blend, twice, 56 % sorghum; oil as it was weighed.
    expect(after.lots['lot-sorghum-8']!.onHandG).toBeCloseTo(sorghum - 2 * 240 * 0.56, 3);
    expect(after.lots['lot-oil-4']!.onHandG).toBeCloseTo(oil - 33, 3);

    const corrected = { id: randomUUID(), at: '2026-11-24T05:13:00.000Z', corrects: weighed.id, what: { ...weighed.what, addedG: 30 } };
    await server.http().post(`/api/bakes/${bakeId}/events`).send([corrected]).expect(200);
    const third = await pantry();
    expect(third.lots['lot-oil-4']!.onHandG).toBeCloseTo(oil - 30, 3);

    // Somebody edits the supplier on a page that still showed the old count.
    const { 'lot-oil-4': shown } = before.lots;
    await putLot('lot-oil-4', third.revisions.lots['lot-oil-4']!, { ...shown, supplier: 'Grove' }, false).expect(200);
    expect((await pantry()).lots['lot-oil-4']!.onHandG).toBeCloseTo(oil - 30, 3);
    await putLot('lot-oil-4', third.revisions.lots['lot-oil-4']! + 1, { ...shown, onHandG: 2000 }, true).expect(200);
    expect((await pantry()).lots['lot-oil-4']!.onHandG).toBe(2000);
  });
});

describe('ingredients', () => {
  const correct = (revision: number, corrected: object) =>
    server.http().put('/api/pantry/ingredients/sorghum/change').send({ revision, change: { corrected } });

  it('are corrected from a label, counted in what follows, and go back to the table', async () => {
    await correct(0, { 'composition.proteinShare': label(0.102) }).expect(200);
    const book = await pantry();
    expect(book.ingredients['sorghum']!.composition.proteinShare).toBe(0.102);
    expect(book.ingredients['sorghum']!.corrected).toMatchObject({ 'composition.proteinShare': { basis: 'label' } });
    const saved = await server
      .http()
      .put(`/api/formulas/${FORMULA}/versions/${randomUUID()}`)
      .send({ basedOn: 2, why: '', formula: demoCrackerV2, setAside: [] })
      .expect(200);
    const version = await server.http().get(`/api/formulas/${FORMULA}/versions/${saved.body.version}`);
    expect(version.body.pantry.ingredients.sorghum.composition.proteinShare).toBe(0.102);
    await server.http().delete('/api/pantry/ingredients/sorghum').expect(204);
    expect((await pantry()).ingredients['sorghum']!.corrected).toBeUndefined();
  });

  it.each([
    ['more protein than there is room for', { 'composition.proteinShare': label(1.4) }, 'composition.proteinShare'],
    ['a field nobody corrects', { name: label(1) }, 'name'],
  ])('%s is refused at its field', async (_claim, corrected, path) => {
    const { body } = await correct(0, corrected).expect(400);
    expect(body.problems[0].path).toBe(path);
  });

  const own = {
    name: 'Acorn flour',
    kind: 'flour_nut',
    composition: { waterShare: 0.08, proteinShare: 0.07, fatShare: 0.3, saturatedFatShare: 0.04, sugarsShare: 0.1, starchShare: 0.35, fibreShare: 0.08, ashShare: 0.02, otherShare: 0, sodiumShare: 0 }, // prettier-ignore
    allergens: [],
    gluten: 'needsProof',
    origin: 'plant',
    waterHoldGPerG: 0.6,
  };
  it('of one’s own are used like any other, and cannot go while something is made of them', async () => {
    const id = randomUUID();
    await server.http().put(`/api/pantry/ingredients/${id}/own`).send({ revision: 0, ingredient: own }).expect(200);
    const preparationId = randomUUID();
    const preparation = { schema: 1, id: preparationId, name: 'Acorn crumble', rows: [{ key: 'a', ingredientId: id, amountG: 100 }], acts: [], boiledOffG: 0, drainedG: 0, keepDays: 3, keepAt: 'room' }; // prettier-ignore
    await server.http().put(`/api/pantry/preparations/${preparationId}`).send({ revision: 0, preparation }).expect(200);
    const { body } = await server.http().delete(`/api/pantry/ingredients/${id}`).expect(409);
    expect(body.message).toContain('Acorn crumble is made of it');
    await server.http().delete(`/api/pantry/preparations/${preparationId}`).expect(204);
    await server.http().delete(`/api/pantry/ingredients/${id}`).expect(204);
  });
  it('of one’s own must make a whole, and never take a published name’s place', async () => {
    const half = { ...own, composition: { ...own.composition, starchShare: 0 } };
    const { body } = await server
      .http()
      .put(`/api/pantry/ingredients/${randomUUID()}/own`)
      .send({ revision: 0, ingredient: half })
      .expect(400);
    expect(body.message).toMatch(/sum to 65.0/);
    await server.http().put('/api/pantry/ingredients/sorghum/own').send({ revision: 0, ingredient: own }).expect(409);
  });
});

describe('every member that the registry knows', () => {
  const some = <F extends Fields>(fields: F, n: number) => fc.sample(anyDocument(fields), { numRuns: n, seed: 16 });
  it('of an ingredient of our own and of a lot comes back as it was sent', async () => {
    const { composition } = publishedIngredients()['sorghum']!;
    for (const any of some(ownIngredientFields, 12)) {
      const id = randomUUID();
      const ingredient = { ...any, composition: { ...any.composition, ...composition } };
      await server.http().put(`/api/pantry/ingredients/${id}/own`).send({ revision: 0, ingredient }).expect(200);
      // Read back it may say more, never less: a crumb was baked, a label nobody spoke of was not read.
      expect((await pantry()).ingredients[id]).toMatchObject({ ...ingredient, id });
      await server.http().delete(`/api/pantry/ingredients/${id}`).expect(204);
    }
    for (const any of some(lotFields, 12)) {
      // What a bake left is used by a day, never best by one; what can hold grain is not taken without a report.
      const { acceptedWithoutReport: _only, bestByOn, ...rest } = { ...any, id: randomUUID(), ingredientId: 'teff' };
      const lot = { ...rest, ...(bestByOn && !rest.from ? { bestByOn } : {}) };
      await putLot(lot.id, 0, lot).expect(200);
      expect((await pantry()).lots[lot.id]).toEqual(lot);
      await server.http().delete(`/api/pantry/lots/${lot.id}`).expect(204);
    }
  });
  it.each(Object.entries(kitchenThings) as [KitchenList, Fields][])('of the %s comes back as it was sent', async (list, fields) => {
    for (const any of some(fields, 6)) {
      const thing = { ...any, id: randomUUID() };
      const { body } = await server.http().put(`/api/kitchen/${list}/${thing.id}`).send(thing).expect(200);
      expect((body as Kitchen)[list]!.find(({ id }) => id === thing.id)).toEqual(thing);
      await server.http().delete(`/api/kitchen/${list}/${thing.id}`).expect(200);
    }
  });
});

describe('a batch of a preparation', () => {
  const [preparationId, milk] = [randomUUID(), randomUUID()];
  const onHand = async (id: string) => (await pantry()).lots[id]?.onHandG;
  const batch = (lotId: string, body: object = { times: 2, code: 'Mon' }) =>
    server.http().put(`/api/pantry/preparations/${preparationId}/batches/${lotId}`).send(body);
  beforeAll(async () => {
    const preparation = { schema: 1, id: preparationId, name: 'Set cream', rows: [{ key: 'a', ingredientId: 'cream_heavy', amountG: 200 }, { key: 'b', ingredientId: 'sugar_white', amountG: 20 }], acts: [], boiledOffG: 20, drainedG: 0, cookedToC: 85, keepDays: 2, keepAt: 'fridge' }; // prettier-ignore
    await server.http().put(`/api/pantry/preparations/${preparationId}`).send({ revision: 0, preparation }).expect(200);
    await putLot(milk, 0, { ingredientId: 'cream_heavy', code: 'C7', onHandG: 1000 }).expect(200);
  });

  it('is a lot with its day, made of lots that have that much less; sent twice it is made once', async () => {
    const lotId = randomUUID();
    await batch(lotId).expect(200);
    await batch(lotId).expect(200);
    const { lots, on } = await pantry();
    expect(lots[lotId]).toMatchObject({ ingredientId: preparationId, onHandG: 400, madeOn: on });
    expect(lots[lotId]!.useByOn! > on).toBe(true);
    expect(lots[lotId]!.madeOf).toContainEqual({ ingredientId: 'cream_heavy', lotId: milk, usedG: 400 });
    expect(await onHand(milk)).toBe(600);
    await server.http().delete(`/api/pantry/preparations/${preparationId}/batches/${lotId}`).expect(204);
    await server.http().delete(`/api/pantry/preparations/${preparationId}/batches/${lotId}`).expect(204);
    expect(await onHand(lotId)).toBeUndefined();
    expect(await onHand(milk)).toBe(1000);
  });

  it('names what is wrong, and keeps an id that is something else', async () => {
    expect((await batch(randomUUID(), { times: 0, code: 'x' }).expect(400)).body.problems[0].path).toBe('times');
    await batch(milk).expect(409);
    await server.http().put(`/api/pantry/preparations/${randomUUID()}/batches/${randomUUID()}`).send({ times: 1, code: 'x' }).expect(404);
  });

  it('is what a bake takes from, and the bake is found by the lots it was made of', async () => {
    const lotId = randomUUID();
    await batch(lotId).expect(200);
    const rows = [...demoCrackerV2.rows, { key: 'cr', ingredientId: preparationId, amountG: 50, use: 'topping', goesOn: { at: 'cooled' } }];
    const [formulaId, bakeId] = [randomUUID(), randomUUID()];
    await server
      .http()
      .put(`/api/formulas/${formulaId}`)
      .send({ versionId: randomUUID(), why: '', formula: { ...demoCrackerV2, name: 'Cream crackers', rows } })
      .expect(200);
    const at = new Date().toISOString();
    await server
      .http()
      .put(`/api/bakes/${bakeId}`)
      .send({
        formulaId,
        version: 1,
        factor: 1,
        roomC: 22,
        humidityShare: 0.5,
        events: [{ id: randomUUID(), at, what: { kind: 'weighed', rowKey: 'cr', addedG: 60 } }],
      })
      .expect(200);
    expect(await onHand(lotId)).toBe(340);
    expect(await onHand(milk)).toBe(600);
    const found = await server.http().get(`/api/bakes?lotId=${milk}`).expect(200);
    expect((found.body as { items: { id: string }[]; total: number }).items.map(({ id }) => id)).toContain(bakeId);
    await server.http().delete(`/api/pantry/preparations/${preparationId}/batches/${lotId}`).expect(409);
  });
});

describe('preparations', () => {
  const put = (id: string, over: object = {}) =>
    server
      .http()
      .put(`/api/pantry/preparations/${id}`)
      .send({
        revision: 0,
        preparation: { schema: 1, id, name: 'Pear butter', rows: [{ key: 'a', ingredientId: 'apple', amountG: 500 }], acts: [], boiledOffG: 200, drainedG: 0, keepDays: 3, keepAt: 'fridge', ...over }, // prettier-ignore
      });
  it('that boil off more than they hold, or are made of themselves by a detour, are refused', async () => {
    expect((await put(randomUUID(), { boiledOffG: 5000 }).expect(400)).body.problems[0].path).toBe('preparation.boiledOffG');
    const [a, b] = [randomUUID(), randomUUID()];
    await put(a).expect(200);
    await put(b, { rows: [{ key: 'a', ingredientId: a, amountG: 100 }], boiledOffG: 0 }).expect(200);
    const ring = await server
      .http()
      .put(`/api/pantry/preparations/${a}`)
      .send({
        revision: 1,
        preparation: {
          schema: 1,
          id: a,
          name: 'Pear butter',
          rows: [{ key: 'a', ingredientId: b, amountG: 100 }],
          acts: [],
          boiledOffG: 0,
          drainedG: 0,
          keepDays: 3,
          keepAt: 'fridge',
        },
      }) // prettier-ignore
      .expect(400);
    expect(ring.body.problems[0].path).toMatch(/^preparation\.rows/);
    await server.http().delete(`/api/pantry/preparations/${a}`).expect(409);
  });
});

describe('the kitchen', () => {
  it('may be stricter than 20 mg/kg, never laxer', async () => {
    expect((await server.http().put('/api/kitchen/gluten-limit').send({ mgPerKg: 5 }).expect(200)).body.glutenLimitMgPerKg).toBe(5);
    await server.http().put('/api/kitchen/gluten-limit').send({ mgPerKg: 30 }).expect(400);
    await server.http().put('/api/kitchen/gluten-limit').send({ mgPerKg: 10 }).expect(200);
  });
  it('keeps guests and what they cannot have', async () => {
    const guest = { id: 'g9', name: 'Friday stall', suits: ['vegan', 'noSoy'] };
    const { body } = await server.http().put('/api/kitchen/guests/g9').send(guest).expect(200);
    expect(body.guests).toContainEqual(guest);
    await server
      .http()
      .put('/api/kitchen/guests/g9')
      .send({ ...guest, suits: ['noMoon'] })
      .expect(400);
    expect((await server.http().delete('/api/kitchen/guests/g9').expect(200)).body.guests).not.toContainEqual(guest);
  });
});
