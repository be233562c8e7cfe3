import { randomUUID } from 'node:crypto';
import { anApp, type AnApp } from './testing/an-app.js';
import type { FormulaVersion, PantryBook, Run } from '@north-leaf/contracts';

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
let the: AnApp;
beforeAll(async () => {
  the = await anApp();
}, 60_000);
afterAll(() => the?.app.close());

const begin = (id: string) =>
  the.http().put(`/api/bakes/${id}/run`).send({ formulaId: FORMULA, version: 2, factor: 1, looks: [], confirmed: [] });
const weighing = (addedG: number) => ({
  id: randomUUID(),
  at: new Date().toISOString(),
  stepKey: 'weigh:b2',
  what: { kind: 'weighed', rowKey: 'b2', addedG, lotId: 'lot-rice-21' },
});
const weigh = (id: string, addedG: number) =>
  the
    .http()
    .post(`/api/bakes/${id}/events`)
    .send([weighing(addedG)]);
const statuses = (answers: readonly { status: number }[]) => [...new Set(answers.map(({ status }) => status))];
const onHand = async () => ((await the.http().get('/api/pantry')).body as PantryBook).lots['lot-rice-21']!.onHandG!;

describe('a kitchen full of hands', () => {
  const ids: readonly string[] = Array.from({ length: 50 }, () => randomUUID());

  it('30 runs begun at once, and 20 more, each get a number of their own', async () => {
    const answers = [...(await Promise.all(ids.slice(0, 30).map(begin))), ...(await Promise.all(ids.slice(30).map(begin)))];
    expect(statuses(answers)).toEqual([200]);
    expect(new Set(answers.map(({ body }) => (body as Run).number)).size).toBe(50);
    const { body: list } = await the.http().get('/api/formulas');
    expect(list.items[0]).toMatchObject({ name: 'Seeded sorghum crackers', bakes: 53 });
  });

  it('50 weighings of 50 runs at once are all stored, and the bag has lost them all', async () => {
    const before = await onHand();
    expect(statuses(await Promise.all(ids.map((id) => weigh(id, 1))))).toEqual([200]);
    expect(before - (await onHand())).toBeCloseTo(50, 6);
    const { body } = await the.http().get('/api/bakes/running');
    const runs = (body as Run[]).filter(({ id }) => ids.includes(id));
    expect(runs).toHaveLength(50);
    expect(runs.every(({ events }) => events.filter(({ what }) => what.kind === 'weighed').length === 1)).toBe(true);
  });

  it('20 weighings of one run at once are all stored, once', async () => {
    const [id, sent]: [string, ReturnType<typeof weighing>[]] = [ids[0]!, Array.from({ length: 20 }, () => weighing(0.5))];
    const post = (event: object) => the.http().post(`/api/bakes/${id}/events`).send([event]);
    // Each sent twice: the answer of one in two got lost.
    expect(statuses(await Promise.all([...sent, ...sent].map(post)))).toEqual([200]);
    const { events } = (await the.http().get(`/api/bakes/${id}`)).body as Run;
    expect(events.filter(({ what }) => what.kind === 'weighed')).toHaveLength(21);
  });

  it('20 saves of one formula at once are 20 versions, numbered without a gap', async () => {
    const { formula } = (await the.http().get(`/api/formulas/${FORMULA}/versions/2`)).body as FormulaVersion;
    const save = () =>
      the.http().put(`/api/formulas/${FORMULA}/versions/${randomUUID()}`).send({ basedOn: 2, why: '', formula, setAside: [] });
    const answers = await Promise.all(Array.from({ length: 20 }, save));
    expect(statuses(answers)).toEqual([200]);
    expect(answers.map(({ body }) => body.version as number).sort((a, b) => a - b)).toEqual(Array.from({ length: 20 }, (_, i) => i + 3));
  });

  it('reads go on while a save is worked out', async () => {
    const { formula } = (await the.http().get(`/api/formulas/${FORMULA}/versions/2`)).body as FormulaVersion;
    const order: string[] = [];
    const save = the
      .http()
      .put(`/api/formulas/${FORMULA}/versions/${randomUUID()}`)
      .send({ basedOn: 2, why: '', formula, setAside: [] })
      .then(() => order.push('saved'));
    const reads = Promise.all(Array.from({ length: 5 }, () => the.http().get('/api/health'))).then(() => order.push('read'));
    await Promise.all([save, reads]);
    expect(order[0]).toBe('read');
  });
});

describe('lists in parts', () => {
  it('of bakes go on where the last part ended, with how many there are in all', async () => {
    const part = async (before = '') => (await the.http().get(`/api/bakes?limit=20${before}`).expect(200)).body;
    const first = await part();
    expect(first.items).toHaveLength(20);
    expect(first.total).toBe(53);
    const second = await part(`&before=${first.next}`);
    const third = await part(`&before=${second.next}`);
    expect(third.next).toBeNull();
    const numbers = [first, second, third].flatMap(({ items }) => items.map(({ number }: { number: number }) => number));
    expect(numbers).toEqual(Array.from({ length: 53 }, (_, i) => 53 - i));
  });
  it('of bakes tell of the goods, not of the steps that led there', async () => {
    const { body } = await the.http().get('/api/bakes?limit=1');
    expect(body.items[0]).toMatchObject({ formulaName: 'Seeded sorghum crackers', waterKeys: ['r1'] });
    expect(body.items[0].events.map(({ what }: { what: { kind: string } }) => what.kind)).not.toContain('began');
  });
  it('of formulas go on after the last one seen', async () => {
    const first = (await the.http().get('/api/formulas?limit=1').expect(200)).body;
    expect(first).toMatchObject({ total: 2, items: [{ name: 'Seeded sorghum crackers' }] });
    const second = (await the.http().get(`/api/formulas?limit=1&after=${first.next}`).expect(200)).body;
    expect(second).toMatchObject({ total: 2, next: null, items: [{ name: 'Sorghum puff sticks' }] });
    const names = (await the.http().get('/api/formulas/names').expect(200)).body;
    expect(names).toHaveLength(2);
    expect(Object.keys(names[0])).not.toContain('states');
  });
});
