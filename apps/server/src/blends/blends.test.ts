import { randomUUID } from 'node:crypto';
import { demoCrackerV2 } from '@north-leaf/core';
import { anApp, type AnApp } from '../testing/an-app.js';
import type { FoundBlends, ReadLabel } from '@north-leaf/contracts';

let server: AnApp;
beforeAll(async () => {
  server = await anApp();
}, 60_000);
afterAll(async () => server?.app.close());

const post = (path: string, body: object) => server.http().post(`/api/blends/${path}`).send(body);
const must = (key: string, way: string, value: number) => ({ key, way, value, strength: 'must' });
const search = (goals: object[], over: object = {}) => ({
  formula: demoCrackerV2,
  search: { goals, mostFlours: 5, reach: 'all', ...over },
});
const box = {
  items: [
    { ingredientId: 'rice_white' },
    { ingredientId: 'potato_starch' },
    { ingredientId: 'tapioca_starch' },
    { ingredientId: 'xanthan', inTail: true },
  ],
  panel: [
    { nutrient: 'protein', printed: 1 },
    { nutrient: 'fat', printed: 0 },
    { nutrient: 'carbohydrate', printed: 25 },
    { nutrient: 'energyKcal', printed: 110 },
  ],
  rule: 'us',
  basisG: 30,
  tolerance: 0.15,
};

describe('blends found by the server’s own thread', () => {
  it('come in up to three answers, whole steps of the scale, from the kitchen’s own pantry', async () => {
    const found = (await post('find', search([must('bend', 'atLeast', 1.9)])).expect(200)).body as FoundBlends;
    if (found.answer.status !== 'found') throw new Error(found.answer.status);
    expect(found.answer.answers.length).toBe(3);
    for (const { grams, brings } of found.answer.answers) {
      expect(Object.values(grams!).reduce((sum, g) => sum + g, 0)).toBeCloseTo(240, 6);
      expect(brings['bend']).toBeGreaterThan(1.89);
    }
    expect(found.leftOut).toContainEqual({ id: 'millet', why: 'overLimit' });
  });

  it('impossible wishes come back with their reason, not as an error', async () => {
    const found = (await post('find', search([must('protein', 'atLeast', 30)], { reach: 'here' })).expect(200)).body as FoundBlends;
    expect(found.answer).toMatchObject({ status: 'impossible', conflict: { structural: false } });
  });

  it.each<[string, object, string]>([
    ['a wish nobody offers', search([must('shine', 'atLeast', 1)]), 'goals[0].key'],
    ['forty flours', search([], { mostFlours: 40 }), 'search.mostFlours'],
    ['a family nobody knows', { ...search([]), formula: { ...demoCrackerV2, family: 'moon' } }, 'formula.family'],
  ])('%s is refused at its field', async (_claim, body, path) => {
    const { body: answer } = await post('find', body).expect(400);
    expect(answer.problems[0].path).toBe(path);
  });

  it('a search that nobody waits for any more ends, and the next one is answered', async () => {
    const lost = post('find', search([must('bend', 'atLeast', 1.9)])).timeout({ response: 15 });
    await expect(lost).rejects.toThrow(/[Tt]imeout/);
    await post('find', search([])).expect(200);
  });
});

describe('labels', () => {
  it('are read to a best estimate with its ranges, most first', async () => {
    const reading = (await post('read-label', box).expect(200)).body as ReadLabel;
    if (reading.status !== 'read') throw new Error(reading.status);
    expect(reading.estimate.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6);
    expect(reading.estimate[0]!).toBeGreaterThan(reading.estimate[1]!);
    expect(reading.ranges[3]![1]).toBeLessThanOrEqual(0.02 + 1e-9);
  });
  it('that cannot be say which row is off', async () => {
    const { body } = await post('read-label', { ...box, panel: [{ nutrient: 'protein', printed: 9 }] }).expect(200);
    expect(body).toMatchObject({ status: 'doesNotFit', off: [{ nutrient: 'protein' }] });
  });
  it('with a number no panel prints are refused at their row', async () => {
    const { body } = await post('read-label', { ...box, panel: [{ nutrient: 'energyKcal', printed: 113 }] }).expect(400);
    expect(body.problems[0].path).toBe('panel[0].printed');
  });
  it('are imitated from the pantry', async () => {
    const found = (await post('imitate', { ...search([], { reach: 'here' }), label: box }).expect(200)).body as FoundBlends;
    expect(found.answer.status).toBe('found');
  });
});

describe('the library', () => {
  it('keeps versions that never change; the same content again is the same version', async () => {
    const id = randomUUID();
    const blend = { ...demoCrackerV2.blend, name: 'House crisp' };
    const put = (name: string) =>
      server
        .http()
        .put(`/api/blends/${id}`)
        .send({ basedOn: null, blend: { ...blend, name } });
    expect((await put('House crisp').expect(200)).body.version).toBe(1);
    expect((await put('House crisp').expect(200)).body.version).toBe(1);
    expect((await put('House crisp, softer').expect(200)).body.version).toBe(2);
    const { body } = await server.http().get('/api/blends').expect(200);
    expect(body.map((one: { blend: { name: string } }) => one.blend.name)).toEqual(['House crisp, softer', 'Sorghum crisp']);
    await expect(server.database.query('UPDATE blends SET name = $1', ['x'])).rejects.toThrow(/never changed/);
    await server.http().put(`/api/blends/${id}/versions/2/as-ingredient`).expect(200);
    const pantry = await server.http().get('/api/pantry');
    expect(pantry.body.ingredients[id]).toMatchObject({ kind: 'blend', madeFrom: { blendId: id, version: 2 } });
  });
  it('refuses an empty one', async () => {
    await server
      .http()
      .put(`/api/blends/${randomUUID()}`)
      .send({ basedOn: null, blend: { name: 'Nothing', rows: [] } })
      .expect(400);
  });
  it('a crumb of a baked version becomes an ingredient', async () => {
    const id = randomUUID();
    await server
      .http()
      .put(`/api/formulas/3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11/versions/2/crumb/${id}`)
      .send({ name: 'Cracker crumb' })
      .expect(200);
    const { body } = await server.http().get('/api/pantry');
    expect(body.ingredients[id].composition.waterShare).toBeLessThan(0.05);
    expect(body.ingredients[id].allergens).toContain('us.sesame');
  });
  it('a crumb of what is laminated holds the butter that was rolled in', async () => {
    const id = randomUUID();
    await server
      .http()
      .put(`/api/formulas/8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33/versions/1/crumb/${id}`)
      .send({ name: 'Puff crumb' })
      .expect(200);
    const { body } = await server.http().get('/api/pantry');
    expect(body.ingredients[id].allergens).toContain('us.milk');
    expect(body.ingredients[id].composition.fatShare).toBeGreaterThan(0.3);
  });
});
