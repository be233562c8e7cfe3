import { randomUUID } from 'node:crypto';
import { applyEdits, coreVersion, demoCrackerV2, type Formula } from '@north-leaf/core';
import { anApp, type AnApp } from './testing/an-app.js';

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
let app: AnApp['app'];
let database: AnApp['database'];
let http: AnApp['http'];

beforeAll(async () => {
  ({ app, database, http } = await anApp());
}, 60_000);
afterAll(async () => app?.close());

const water = (grams: number): Formula => applyEdits(demoCrackerV2, [{ path: '/rows/0/amountG', from: 102, to: grams }]);
const draft = (revision: number, grams = 90) => ({ basedOn: 2, revision, formula: water(grams), typed: {} });
const version = (grams: number, basedOn = 2) => ({ basedOn, why: 'test', formula: water(grams), setAside: [] });
const bake = { formulaId: FORMULA, version: 2, factor: 1, roomC: 22, humidityShare: 0.5 };
const event = (what: object, id = randomUUID()) => ({ id, at: '2026-11-24T05:12:00.000Z', what });

describe('reading', () => {
  it('is healthy and says which core it runs', async () => {
    await http().get('/api/health').expect(200, { status: 'ok', database: 'ok', coreVersion });
  });

  it('lists the demo formulas with their stages, outlook and bakes', async () => {
    const { body } = await http().get('/api/formulas').expect(200);
    expect(body).toMatchObject({ total: 2, next: null });
    expect(body.items).toMatchObject([
      { name: 'Seeded sorghum crackers', version: 2, bakes: 3, liked: 4, states: { dough: 'good', keep: 'watch' } },
      { name: 'Sorghum puff sticks', version: 1, bakes: 0, pieces: 45, states: { sheet: 'good', bake: 'good' } },
    ]);
  });

  it('gives a version with everything it read and said', async () => {
    const { body } = await http().get(`/api/formulas/${FORMULA}/versions/1`).expect(200);
    expect(body).toMatchObject({
      version: 1,
      coreVersion,
      kitchen: { name: 'North Leaf demo bakery' },
      evaluation: { bake: { state: expect.any(String) } },
    });
    expect(Object.keys(body.pantry.ingredients)).toContain('sorghum');
  });

  it.each([
    ['a formula that is not here', `/api/formulas/${randomUUID()}`, 404, 'notFound'],
    ['a version that is not here', `/api/formulas/${FORMULA}/versions/99`, 404, 'notFound'],
    ['no such route', '/api/nothing', 404, 'notFound'],
  ])('answers %s in the one shape', async (_claim, path, status, code) => {
    const { body } = await http().get(path).expect(status);
    expect(body).toEqual({ code, message: expect.any(String), requestId: expect.stringMatching(/^[0-9a-f-]{36}$/) });
  });

  it('describes itself, bodies included, and sends its security headers', async () => {
    const { body, headers } = await http().get('/api/docs/openapi.json').expect(200);
    const { schema } = body.paths['/api/formulas/{id}/draft'].put.requestBody.content['application/json'];
    expect(schema.required).toEqual(expect.arrayContaining(['formula', 'revision']));
    expect(headers['content-security-policy']).toContain("script-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('drafts', () => {
  const put = (body: object) => http().put(`/api/formulas/${FORMULA}/draft`).send(body);
  afterAll(() => http().delete(`/api/formulas/${FORMULA}/draft`).expect(204));

  it('are stored with the next revision and read back', async () => {
    const { body } = await put(draft(0)).expect(200);
    expect(body).toMatchObject({ revision: 1, basedOn: 2 });
    const detail = await http().get(`/api/formulas/${FORMULA}`).expect(200);
    expect(detail.body.draft.formula.rows[0].amountG).toBe(90);
  });

  it('sent twice are stored once: the lost answer comes again', async () => {
    const { body } = await put(draft(0)).expect(200);
    expect(body.revision).toBe(1);
  });

  it('of a second device are refused, and the first is kept', async () => {
    const { body } = await put(draft(0, 77)).expect(409);
    expect(body.code).toBe('conflict');
    const detail = await http().get(`/api/formulas/${FORMULA}`);
    expect(detail.body.draft.formula.rows[0].amountG).toBe(90);
  });

  it('keep what was typed and cannot be read yet', async () => {
    await put({ ...draft(1), typed: { '/rows/0/amountG': 'abc' } }).expect(200);
    const detail = await http().get(`/api/formulas/${FORMULA}`);
    expect(detail.body.draft.typed).toEqual({ '/rows/0/amountG': 'abc' });
  });

  it('two at once: one is stored, the other told', async () => {
    const answers = await Promise.all([put(draft(2, 91)), put(draft(2, 92))]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  it.each<[string, string | object, RegExp, number]>([
    ['not JSON', '{"basedOn": oops', /not JSON/, 400],
    ['of another shape', { hello: 1 }, /wrong/, 400],
    ['with letters in a weight', { ...draft(9), formula: { ...demoCrackerV2, blendG: 'lots' } }, /blendG must be a number/, 400],
    ['larger than is taken', { ...draft(9), typed: { a: 'x'.repeat(1_200_000) } }, /larger/, 413],
  ])('%s are refused with a sentence, never a 500', async (_claim, body, message, status) => {
    const sent = http().put(`/api/formulas/${FORMULA}/draft`).set('content-type', 'application/json');
    const { body: answer } = await sent.send(typeof body === 'string' ? body : JSON.stringify(body)).expect(status);
    expect(answer).toMatchObject({ code: 'invalid', message: expect.stringMatching(message) });
  });
});

describe('versions', () => {
  const save = (id: string, body: object) => http().put(`/api/formulas/${FORMULA}/versions/${id}`).send(body);

  it('are worked out here, numbered in order, and the same id gives the same answer', async () => {
    const id = randomUUID();
    const first = await save(id, version(100)).expect(200);
    expect(first.body).toMatchObject({ version: 3, basedOn: 2, beside: null });
    expect((await save(id, version(100)).expect(200)).body.version).toBe(3);
    const stored = await http().get(`/api/formulas/${FORMULA}/versions/3`);
    expect(stored.body.evaluation.dough.result.pouredWaterG).toBe(100);
  });

  it('with an id of another formula’s version are refused', async () => {
    const other = randomUUID();
    await database.query(
      'INSERT INTO formulas (id, "kitchenId", name, family, "newestVersion") SELECT $1, id, $2, $3, 0 FROM kitchens ORDER BY "createdAt" LIMIT 1',
      [other, 'Twin', 'cracker_savoury'],
    );
    const { body } = await http().get(`/api/formulas/${FORMULA}`);
    await http().put(`/api/formulas/${other}/versions/${body.versions[0].id}`).send(version(100)).expect(409);
    await database.query('DELETE FROM formulas WHERE id = $1', [other]);
  });

  it('from an older one are stored beside the newest, and say so', async () => {
    expect((await save(randomUUID(), version(101, 2)).expect(200)).body).toMatchObject({ version: 4, beside: 3 });
  });

  it('two saves at once get two numbers; neither writes over the other', async () => {
    const [a, b] = await Promise.all([save(randomUUID(), version(95, 4)), save(randomUUID(), version(96, 4))]);
    expect([a!.body.version, b!.body.version].sort()).toEqual([5, 6]);
    for (const { body } of [a!, b!]) {
      const stored = await http().get(`/api/formulas/${FORMULA}/versions/${body.version}`);
      expect([95, 96]).toContain(stored.body.formula.rows[0].amountG);
    }
  });

  it.each<[string, Partial<Formula>, string]>([
    ['negative water', water(-5), 'rows[0].amountG'],
    ['10 000 % fat', applyEdits(demoCrackerV2, [{ path: '/rows/1/amountG', from: 30, to: 24000 }]), 'rows[1].amountG'],
    ['an empty blend', { ...demoCrackerV2, blend: { ...demoCrackerV2.blend, rows: [] } }, 'blend.rows'],
    [
      'a 60 mm cracker',
      applyEdits(demoCrackerV2, [{ path: '/sheet/parts/0/thicknessMm', from: 2.4, to: 60 }]),
      'sheet.parts[0].thicknessMm',
    ],
    [
      'an unknown ingredient',
      applyEdits(demoCrackerV2, [{ path: '/rows/2/ingredientId', from: 'sesame', to: 'moon_dust' }]),
      'rows[2].ingredientId',
    ],
  ])('%s is refused at its field', async (_claim, formula, path) => {
    const { body } = await save(randomUUID(), { ...version(100), formula }).expect(400);
    expect(body).toMatchObject({ code: 'invalid', problems: [{ path, message: expect.any(String) }] });
  });

  it('are never changed, not even by hand in the database', async () => {
    await expect(database.query('UPDATE formula_versions SET why = $1', ['rewritten'])).rejects.toThrow(/never changed/);
  });
});

describe('bakes', () => {
  const record = (id: string, body: object) => http().put(`/api/bakes/${id}`).send(body);

  it('are stored with their events, numbered, and once however often sent', async () => {
    const id = randomUUID();
    const body = {
      ...bake,
      events: [
        event({ kind: 'weighed', rowKey: 'r1', addedG: 99 }),
        event({ kind: 'rated', after: 'fresh', crisp: 5, tender: 3, liked: 5 }),
      ],
    };
    expect((await record(id, body).expect(200)).body).toMatchObject({ number: 4, version: 2 });
    const again = await record(id, body).expect(200);
    expect(again.body.number).toBe(4);
    expect(again.body.events).toHaveLength(2);
    const list = await http().get(`/api/bakes?formulaId=${FORMULA}`).expect(200);
    expect(list.body.items.map(({ number }: { number: number }) => number)).toEqual([4, 3, 2, 1]);
  });

  it('two at once get two numbers', async () => {
    const answers = await Promise.all([record(randomUUID(), { ...bake, events: [] }), record(randomUUID(), { ...bake, events: [] })]);
    expect(answers.map(({ body }) => body.number).sort()).toEqual([5, 6]);
  });

  it('take further events once, in any order', async () => {
    const { body: list } = await http().get('/api/bakes');
    const id = list.items[0].id as string;
    const [a, b] = [event({ kind: 'noted', text: 'later' }), event({ kind: 'felt', word: 'tacky' })];
    await http().post(`/api/bakes/${id}/events`).send([b]).expect(200);
    const { body } = await http().post(`/api/bakes/${id}/events`).send([a, b, a]).expect(200);
    expect(body).toHaveLength(2);
  });

  it('of a version that is not there, or with a wrong event, are refused', async () => {
    expect((await record(randomUUID(), { ...bake, version: 99, events: [] }).expect(400)).body.problems).toMatchObject([
      { path: 'version' },
    ]);
    const wrong = await record(randomUUID(), { ...bake, events: [event({ kind: 'measured', what: 'topTone', value: 90 })] }).expect(400);
    expect(wrong.body.problems[0].path).toBe('events[0].what.value');
    await http().post(`/api/bakes/${randomUUID()}/events`).send([]).expect(404);
  });
});

describe('the kitchen scope', () => {
  it('shows nothing of another kitchen', async () => {
    const other = randomUUID();
    await database.query('INSERT INTO kitchens (id, name, document) VALUES ($1, $2, $3)', [other, 'Other', {}]);
    const theirs = randomUUID();
    await database.query('INSERT INTO formulas (id, "kitchenId", name, family, "newestVersion") VALUES ($1, $2, $3, $4, 0)', [
      theirs,
      other,
      'Secret',
      'cracker_savoury',
    ]);
    await http().get(`/api/formulas/${theirs}`).expect(404);
    await http().put(`/api/formulas/${theirs}/draft`).send(draft(0)).expect(404);
    const { body } = await http().get('/api/formulas');
    expect(body.items.map(({ name }: { name: string }) => name)).not.toContain('Secret');
  });
});
