import { randomUUID } from 'node:crypto';
import {
  coreVersion,
  demoCrackerV2,
  demoKitchen,
  families,
  publishedIngredients,
  starterFormula,
  trialFromWheat,
  type Formula,
} from '@north-leaf/core';
import { anApp, until, type AnApp } from '../testing/an-app.js';

const CRACKER = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
let database: AnApp['database'];
let app: AnApp['app'];
let http: AnApp['http'];
let asOwner: AnApp['asOwner'];
beforeAll(async () => {
  ({ app, http, database, asOwner } = await anApp());
}, 60_000);
afterAll(async () => app?.close());

const pantry = { ingredients: publishedIngredients(), lots: {} };
let n = 0;
const newKey = () => `k${n++}`;
const starter = (family = 'tartlet') => starterFormula(families[family]!, 'Six tartlets', { kitchen: demoKitchen, pantry }, newKey);
const body = (formula: Formula, versionId = randomUUID()) => ({ versionId, why: 'test', formula });

describe('a new formula', () => {
  it('is stored with its first version, once, however often it is sent', async () => {
    const [id, versionId] = [randomUUID(), randomUUID()];
    const sent = body(starter(), versionId);
    const [first, again] = await Promise.all([http().put(`/api/formulas/${id}`).send(sent), http().put(`/api/formulas/${id}`).send(sent)]);
    expect([first!.status, again!.status]).toEqual([200, 200]);
    expect((await http().put(`/api/formulas/${id}`).send(sent).expect(200)).body).toMatchObject({ id: versionId, version: 1 });
    const { body: detail } = await http().get(`/api/formulas/${id}`).expect(200);
    expect(detail.versions).toHaveLength(1);
    const { body: list } = await http().get('/api/formulas').expect(200);
    expect(list.items.find((one: { id: string }) => one.id === id)).toMatchObject({
      name: 'Six tartlets',
      familyName: 'Closed tartlet',
      doughOf: null,
      doughG: expect.any(Number),
    });
  });

  it('may begin as a trial from wheat', async () => {
    const list = [
      { ingredientId: 'wheat_ap', massG: 300, written: '300 g flour' },
      { ingredientId: 'butter_unsalted', massG: 180, written: '180 g butter' },
      { ingredientId: 'salt_fine', massG: 4, written: '4 g salt' },
    ];
    const { formula } = trialFromWheat(
      list,
      { family: families['short_savoury']!, name: 'First trial' },
      { kitchen: demoKitchen, pantry },
      { newKey },
    );
    await http().put(`/api/formulas/${randomUUID()}`).send(body(formula)).expect(200);
  });

  it.each<[string, Formula, RegExp]>([
    ['no name', { ...starter(), name: ' ' }, /formula\.name/],
    ['an unknown family', { ...starter(), family: 'moon' }, /family/],
    ['an act nobody does', { ...starter(), mix: [{ key: 'm', act: 'juggle' as never, of: [] }] }, /mix/],
    [
      'a wheat flour in its blend',
      { ...starter(), blend: { name: 'x', rows: [{ key: 'b', ingredientId: 'nowhere', share: 1 }] } },
      /blend\.rows/,
    ],
  ])('with %s is refused and leaves nothing behind', async (_name, formula, where) => {
    const id = randomUUID();
    const { body: answer } = await http().put(`/api/formulas/${id}`).send(body(formula)).expect(400);
    expect(`${answer.message} ${JSON.stringify(answer.problems ?? [])}`).toMatch(where);
    await http().get(`/api/formulas/${id}`).expect(404);
  });
});

describe('a draft whose answer was not heard before its version was saved', () => {
  it('goes with the save when it is what was saved, and stays when it is another’s', async () => {
    const id = randomUUID();
    const formula = starter();
    await http().put(`/api/formulas/${id}`).send(body(formula)).expect(200);
    const store = (next: Formula, revision: number) =>
      http().put(`/api/formulas/${id}/draft`).send({ basedOn: 1, formula: next, typed: {}, revision }).expect(200);
    const save = async (next: Formula, draftRevision: number) =>
      (
        await http()
          .put(`/api/formulas/${id}/versions/${randomUUID()}`)
          .send({ basedOn: 1, why: 'test', formula: next, setAside: [], draftRevision })
          .expect(200)
      ).body as { draftKept?: boolean };
    const draftNow = async () => (await http().get(`/api/formulas/${id}`).expect(200)).body.draft as object | null;
    const called = (name: string): Formula => ({ ...formula, name });
    await store(called('Mine'), 0);
    expect((await save(called('Mine'), 0)).draftKept).toBeUndefined();
    expect(await draftNow()).toBeNull();
    await store(called('Theirs'), 0);
    expect((await save(called('Mine'), 0)).draftKept).toBe(true);
    expect(await draftNow()).toMatchObject({ formula: { name: 'Theirs' } });
  });
});

describe('the hand teaches the kitchen', () => {
  const record = (word: string, waterG: number, id = randomUUID()) =>
    http()
      .put(`/api/bakes/${id}`)
      .send({
        formulaId: CRACKER,
        version: 2,
        factor: 1,
        roomC: 22,
        humidityShare: 0.6,
        events: [
          { id: randomUUID(), at: '2026-11-24T05:12:00.000Z', what: { kind: 'weighed', rowKey: 'r1', addedG: waterG } },
          { id: randomUUID(), at: '2026-11-24T05:20:00.000Z', what: { kind: 'felt', word } },
        ],
      });
  const thirst = async () => {
    const { body: kitchen } = await http().get('/api/kitchen').expect(200);
    return kitchen.learned.find(({ about }: { about: string }) => about === demoCrackerV2.blend.name);
  };

  it('a dough that cracks makes its blend thirstier, and names the bakes it knows it from', async () => {
    const before = await thirst();
    expect(before.bakeIds).toHaveLength(3);
    for (let i = 0; i < 3; i++) await record('cracks', 104).expect(200);
    const after = await until(thirst, ({ bakeIds }) => bakeIds.length === 6);
    expect(after.value).toBeGreaterThan(before.value);
    expect(after.sd).toBeLessThan(before.sd);
    expect(after.bakeIds).toHaveLength(6);
  });

  it('a word taken back is forgotten', async () => {
    const id = randomUUID();
    const before = await thirst();
    const { body: bake } = await record('sticks', 100, id).expect(200);
    const sticky = await until(thirst, ({ value }) => value < before.value);
    expect(sticky.value).toBeLessThan(before.value);
    const felt = bake.events.find(({ what }: { what: { kind: string } }) => what.kind === 'felt');
    const note = {
      id: randomUUID(),
      at: '2026-11-24T06:00:00.000Z',
      corrects: felt.id,
      what: { kind: 'noted', text: 'That was the other bowl.' },
    };
    await http()
      .post(`/api/bakes/${id}/events`)
      .send([note])
      .expect((answer) => expect(answer.status).toBeLessThan(300));
    const back = await until(thirst, ({ value }) => Math.abs(value - before.value) < 1e-6);
    expect(back.value).toBeCloseTo(before.value, 6);
  });
});

describe('the air of today', () => {
  it('is stored, benches as warm as the room', async () => {
    const { body: kitchen } = await http().put('/api/kitchen/air').send({ humidityShare: 0.8, roomC: 27 }).expect(200);
    expect(kitchen).toMatchObject({ humidityShare: 0.8, roomC: 27 });
    expect(kitchen.places.find(({ kind }: { kind: string }) => kind === 'bench').atC).toBe(27);
    expect(kitchen.places.find(({ kind }: { kind: string }) => kind === 'fridge').atC).toBeLessThan(8);
  });
  it.each([{ humidityShare: 1.4, roomC: 22 }, { humidityShare: 0.5, roomC: 80 }, { humidityShare: 0.5 }])('refuses %j', (air) =>
    http().put('/api/kitchen/air').send(air).expect(400),
  );
});

describe('what an older core stored', () => {
  const old = '1.7.0';
  const inList = async () =>
    ((await http().get('/api/formulas').expect(200)).body as { items: { id: string }[] }).items.find(({ id }) => id === CRACKER)!;

  it('is judged anew in the list, beside what was stored, which stays as it was', async () => {
    // A version never changes; only this test, as the database's owner, makes one look old.
    await asOwner('ALTER TABLE "formula_versions" DISABLE TRIGGER USER');
    await asOwner(`UPDATE "formula_versions" SET "coreVersion" = $1, "states" = '{"blend":"good"}' WHERE "formulaId" = $2`, [old, CRACKER]);
    await asOwner('ALTER TABLE "formula_versions" ENABLE TRIGGER USER');
    await asOwner(`UPDATE "formulas" SET "savedBy" = $1::text, "judged" = "judged" || jsonb_build_object('coreVersion', $1::text)`, [old]);
    const first = await inList();
    expect(first).toMatchObject({ savedBy: old, judgedBy: coreVersion, states: { keep: expect.stringMatching(/good|watch|fix/) } });
    // Asked once, kept, the same the next time.
    expect(await inList()).toEqual(first);
    const [row] = await database.query<{ judged: { coreVersion: string } }[]>('SELECT "judged" FROM "formulas" WHERE "id" = $1', [CRACKER]);
    expect(row!.judged.coreVersion).toBe(coreVersion);
    const [stored] = await database.query<{ states: unknown }[]>('SELECT "states" FROM "formula_versions" WHERE "formulaId" = $1 LIMIT 1', [
      CRACKER,
    ]);
    expect(stored!.states).toEqual({ blend: 'good' });
  });
  it('is lifted when it is read: a left-over’s best-by day is its use-by day', async () => {
    const lot = {
      id: 'old-left',
      ingredientId: 'egg_whole',
      code: 'bake 1',
      bestByOn: '2026-01-02',
      onHandG: 20,
      from: { bakeId: randomUUID(), what: 'egg' },
    };
    const [{ id: kitchenId }] = (await database.query('SELECT "id" FROM "kitchens" LIMIT 1')) as [{ id: string }];
    await database.query(
      'INSERT INTO "lots" ("kitchenId", "id", "ingredientId", "document", "revision", "countedAt") VALUES ($1, $2, $3, $4, 1, now())',
      [kitchenId, lot.id, lot.ingredientId, JSON.stringify(lot)],
    );
    const { body } = await http().get('/api/pantry').expect(200);
    expect(body.lots['old-left']).toMatchObject({ useByOn: '2026-01-02' });
    expect(body.lots['old-left'].bestByOn).toBeUndefined();
  });
});
