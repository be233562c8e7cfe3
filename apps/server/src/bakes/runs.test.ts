import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { anApp, until, type AnApp } from '../testing/an-app.js';
import { runState, withDoughOf, type BakeEvent, type Formula, type Happened, type Kitchen, type Lot, type RunStep } from '@north-leaf/core';
import type { BakesPart, PantryBook, Run } from '@north-leaf/contracts';

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
let the: AnApp;
beforeAll(async () => {
  the = await anApp();
}, 60_000);
afterAll(() => the?.app.close());

const body = { formulaId: FORMULA, version: 2, factor: 1, looks: [], confirmed: [] };
const start = async (over: object = {}, id: string = randomUUID()): Promise<Run> =>
  (
    await the
      .http()
      .put(`/api/bakes/${id}/run`)
      .send({ ...body, ...over })
      .expect(200)
  ).body as Run;
const event = (what: Happened, stepKey?: string): BakeEvent => ({
  id: randomUUID(),
  at: new Date().toISOString(),
  ...(stepKey ? { stepKey } : {}),
  what,
});
const send = (id: string, events: readonly BakeEvent[]) => the.http().post(`/api/bakes/${id}/events`).send(events);
const onHand = async (lotId: string): Promise<number> => {
  const { lots } = (await the.http().get('/api/pantry')).body as PantryBook;
  return (lots[lotId] as Lot).onHandG!;
};
const thirst = async (): Promise<number | undefined> =>
  ((await the.http().get('/api/kitchen')).body as Kitchen).learned.find(({ what }) => what === 'thirstFactor')?.value;

describe('a run', () => {
  it('is made of steps by the server, once, however often it is asked for', async () => {
    const id = randomUUID();
    const [first, second] = [await start({}, id), await start({}, id)];
    expect(first.steps.map(({ key }) => key)).toEqual(expect.arrayContaining(['weigh:b1', 'feel', 'cold:0', 'ovenOn', 'in:1', 'rate']));
    expect(first.events.map(({ what }) => what.kind)).toEqual(['began']);
    expect(second).toEqual(first);
    expect((await the.http().get(`/api/bakes/${id}`)).body).toEqual(first);
  });

  it('is larger by its factor, and looks where the baker was told to', async () => {
    const look = { atMin: 14, topTone: 4, baseTone: 4, moistureShare: 0.02, coldestC: 101, doneShare: 0.5 };
    const { steps } = await start({ factor: 2, looks: [look] });
    expect(steps.find(({ key }) => key === 'weigh:b1')!.amountG).toBeCloseTo(268.8, 6);
    const { loads } = steps.find(({ key }) => key === 'in:1')!;
    expect(steps.filter(({ kind }) => kind === 'look').map(({ min }) => min)).toEqual(Array.from({ length: loads! }, () => 14));
  });

  it('refuses what it cannot be, naming the field', async () => {
    const put = (over: object) =>
      the
        .http()
        .put(`/api/bakes/${randomUUID()}/run`)
        .send({ ...body, ...over });
    expect((await put({ version: 9 }).expect(400)).body.problems[0].path).toBe('version');
    expect((await put({ factor: 0 }).expect(400)).body.problems[0].path).toBe('factor');
    await the.http().get(`/api/bakes/${randomUUID()}`).expect(404);
  });

  it('does not begin over something unsafe without a reason for it', async () => {
    const { lots, revisions } = (await the.http().get('/api/pantry')).body as PantryBook;
    const { report: _none, ...unproven } = lots['lot-sorghum-8'] as Lot;
    const put = (revision: number, lot: object) =>
      the.http().put('/api/pantry/lots/lot-sorghum-8').send({ revision, recounted: false, lot }).expect(200);
    const revision = revisions.lots['lot-sorghum-8']!;
    await put(revision, unproven);
    const refused = await the.http().put(`/api/bakes/${randomUUID()}/run`).send(body).expect(400);
    expect(refused.body.problems[0]).toMatchObject({ path: 'confirmed', code: 'gluten.notProven' });
    const run = await start({ confirmed: [{ code: 'gluten.notProven', reason: 'a test, thrown away' }] });
    expect(run.events.map(({ what }) => what.kind)).toContain('confirmed');
    await put(revision + 1, lots['lot-sorghum-8'] as Lot);
  });

  it('keeps each event once, from two devices and in any order', async () => {
    const { id } = await start();
    const [a, b, c] = [
      event({ kind: 'weighed', rowKey: 'b1', addedG: 134 }, 'weigh:b1'),
      event({ kind: 'stepEnded' }, 'weigh:b1'),
      event({ kind: 'weighed', rowKey: 'b2', addedG: 29 }, 'weigh:b2'),
    ];
    await Promise.all([send(id, [a, b]), send(id, [b, a, c]), send(id, [c])]);
    const { events } = (await the.http().get(`/api/bakes/${id}`)).body as Run;
    expect(events.map((one) => one.id).sort()).toEqual([...new Set(events.map((one) => one.id))].sort());
    expect(events).toHaveLength(4);
  });

  it('takes from the lots what was weighed, not what was planned', async () => {
    const [{ id }, before] = [await start(), await onHand('lot-rice-21')];
    await send(id, [event({ kind: 'weighed', rowKey: 'b2', addedG: 20, lotId: 'lot-rice-21' }, 'weigh:b2')]).expect(200);
    expect(before - (await onHand('lot-rice-21'))).toBeCloseTo(20, 6);
    await send(id, [event({ kind: 'weighed', rowKey: 'b2', addedG: -5 }, 'weigh:b2')]);
    expect(before - (await onHand('lot-rice-21'))).toBeCloseTo(15, 6);
    // And back from the bag to what it went into.
    const ids = async (lotId: string) =>
      ((await the.http().get(`/api/bakes?lotId=${lotId}`)).body as BakesPart).items.map((bake) => bake.id);
    expect(await ids('lot-rice-21')).toContain(id);
    expect(await ids('lot-corn-9')).toEqual([]);
  });

  it('is under way until it is ended', async () => {
    const { id } = await start();
    const ids = async () => ((await the.http().get('/api/bakes/running')).body as Run[]).map((run) => run.id);
    expect(await ids()).toContain(id);
    await send(id, [event({ kind: 'ended' })]);
    expect(await ids()).not.toContain(id);
  });

  it('teaches the blend’s thirst by each word and what was in the bowl by then', async () => {
    const before = await thirst();
    const { id, steps } = await start();
    const weighed = steps
      .filter(({ kind, stage }) => kind === 'weigh' && (stage === 'blend' || stage === 'dough'))
      .map(({ key, rowKey, amountG }) => event({ kind: 'weighed', rowKey: rowKey!, addedG: amountG! }, key));
    await send(id, weighed);
    await send(id, [event({ kind: 'felt', word: 'sandy' }, 'feel')]).expect(200);
    expect(await until(thirst, (now) => now !== before)).toBeGreaterThan(before!);
  });

  it('begun before an update it goes on as it was planned then, with what a page of that time sends, and is ended', async () => {
    const { id: template } = await start();
    const id = randomUUID();
    const steps = JSON.parse(await readFile(join(import.meta.dirname, '../testing/run-of-core-1.5.json'), 'utf8')) as RunStep[];
    const columns = `"kitchenId", "formulaId", "version", "factor", "roomC", "humidityShare", "startedAt"`;
    await the.asOwner(
      `INSERT INTO "bakes" ("id", "number", "steps", ${columns})
       SELECT $1, (SELECT max("number") + 1 FROM "bakes"), $2, ${columns} FROM "bakes" WHERE "id" = $3`,
      [id, JSON.stringify(steps), template],
    );
    await the.asOwner(`INSERT INTO "runs_under_way" SELECT "kitchenId", $1 FROM "bakes" WHERE "id" = $1`, [id]);
    expect((await the.http().get(`/api/bakes/${id}`)).body.steps).toEqual(steps);
    const said = steps.flatMap(({ key, kind, rowKey, amountG, measures }) => [
      ...(kind === 'weigh' ? [event({ kind: 'weighed', rowKey: rowKey!, addedG: amountG! }, key)] : []),
      ...(kind === 'feel' ? [event({ kind: 'felt', word: 'rollsClean' }, key)] : []),
      ...(kind === 'look' ? [event({ kind: 'looked', against: 'asShown' }, key)] : []),
      ...(measures ?? []).flatMap(({ what, planned }) =>
        planned === undefined ? [] : [event({ kind: 'measured', what, value: planned }, key)],
      ),
      event({ kind: 'stepEnded' }, key),
    ]);
    await send(id, said).expect(200);
    await send(id, [event({ kind: 'ended' })]).expect(200);
    const { events, steps: after } = (await the.http().get(`/api/bakes/${id}`)).body as Run;
    expect(after).toEqual(steps);
    expect(runState(after, events, 0.1)).toMatchObject({ state: 'ended', allDone: true });
    expect(((await the.http().get('/api/bakes/running')).body as Run[]).map((run) => run.id)).not.toContain(id);
    await send(template, [event({ kind: 'ended' })]);
  });
});

describe('what a run leaves', () => {
  const kept = (lotId: string, amountG: number, what: 'dough' | 'shaped' | 'baked' | 'crumb' | 'egg' = 'dough') =>
    event({ kind: 'leftOver', lotId, what, amountG, placeId: 'freezer', useByOn: '2027-01-20' });
  const lotOf = async (id: string) => ((await the.http().get('/api/pantry')).body as PantryBook).lots[id];

  it('is a lot of the pantry with its bake, place and day, once however often it is said', async () => {
    const { id, number } = await start();
    const lotId = randomUUID();
    const one = kept(lotId, 200);
    await send(id, [one]).expect(200);
    await send(id, [one]).expect(200);
    expect(await lotOf(lotId)).toMatchObject({
      onHandG: 200,
      code: `bake ${number}`,
      useByOn: '2027-01-20',
      placeId: 'freezer',
      from: { bakeId: id, what: 'dough' },
    });
    const baked = randomUUID();
    await send(id, [kept(baked, 90, 'baked')]).expect(200);
    const { ingredients, lots } = (await the.http().get('/api/pantry')).body as PantryBook;
    const [raw, crisp] = [lotId, baked].map((lot) => ingredients[lots[lot]!.ingredientId]!);
    expect(crisp!.composition.waterShare).toBeLessThan(raw!.composition.waterShare);
    expect(raw).toMatchObject({ name: 'Dough of Seeded sorghum crackers v2', gluten: 'needsProof' });
  });

  it('crumb is the goods ground, an ingredient as dry as they are; an egg is left only by what takes one', async () => {
    const { id } = await start();
    const [baked, crumb] = [randomUUID(), randomUUID()];
    await send(id, [kept(baked, 90, 'baked'), kept(crumb, 30, 'crumb')]).expect(200);
    const { ingredients, lots } = (await the.http().get('/api/pantry')).body as PantryBook;
    const [whole, ground] = [baked, crumb].map((lot) => ingredients[lots[lot]!.ingredientId]!);
    expect(ground).toMatchObject({ name: 'Crumb of Seeded sorghum crackers v2', composition: whole!.composition });
    const refused = await send(id, [kept(randomUUID(), 25, 'egg')]).expect(400);
    expect((refused.body as { message: string }).message).toMatch(/takes no raw egg/);
    // Nothing is begun with crumb.
    await the.http().put(`/api/bakes/${randomUUID()}/run`).send({ ...body, begins: { lotId: crumb, what: 'crumb' } }).expect(400); // prettier-ignore
  });

  it('may begin another run, as large as it is, and is used up by it', async () => {
    const { id } = await start();
    const lotId = randomUUID();
    await send(id, [kept(lotId, 214)]).expect(200);
    const run = await start({ begins: { lotId, what: 'dough' } });
    expect(run.begins).toMatchObject({ lotId, what: 'dough' });
    expect(run.factor).toBeCloseTo(0.5, 1);
    expect(run.steps[0]!.key).toBe('ovenOn');
    expect(run.steps.some(({ stage }) => stage === 'blend' || stage === 'dough')).toBe(false);
    expect(run.steps.some(({ key }) => key === 'in:1')).toBe(true);
    expect((await lotOf(lotId))!.onHandG).toBeCloseTo(0, 6);
    const again = await the
      .http()
      .put(`/api/bakes/${randomUUID()}/run`)
      .send({ ...body, begins: { lotId, what: 'dough' } })
      .expect(400);
    expect(again.body.problems[0]).toMatchObject({ path: 'begins.lotId' });
  });

  it('begins nothing that it is not of', async () => {
    const refused = await the
      .http()
      .put(`/api/bakes/${randomUUID()}/run`)
      .send({ ...body, begins: { lotId: 'lot-sorghum-8', what: 'dough' } })
      .expect(400);
    expect(refused.body.message).toContain('is not a lot that a bake of this version or of its dough left');
  });
});

describe('one mixing for two goods', () => {
  const follower = randomUUID();
  const shares = (goodG = 220) => [
    { formulaId: FORMULA, version: 2, doughG: 428 },
    { formulaId: follower, version: 1, doughG: goodG },
  ];
  const startWith = (goods: object, more: object = {}) =>
    the
      .http()
      .put(`/api/bakes/${randomUUID()}/run`)
      .send({ ...body, ...more, goods });
  beforeAll(async () => {
    const { body: source } = await the.http().get(`/api/formulas/${FORMULA}/versions/2`).expect(200);
    const { formula } = source as { formula: Formula };
    const good = withDoughOf({ ...formula, name: 'Cheese thins' }, formula, { formulaId: FORMULA, version: 2 });
    await the.http().put(`/api/formulas/${follower}`).send({ versionId: randomUUID(), why: 'test', formula: good }).expect(200);
  });

  it('weighs for both, cuts a share for each, and bakes nothing itself', async () => {
    const { body: run } = (await startWith(shares()).expect(200)) as { body: Run };
    expect(run.steps.every(({ stage }) => ['blend', 'dough', 'chill'].includes(stage))).toBe(true);
    const weighedG = run.steps.reduce((sum, { kind, amountG, heldG }) => sum + (kind === 'weigh' ? amountG! + (heldG ?? 0) : 0), 0);
    expect(weighedG).toBeCloseTo(648, 6);
    const divided = run.steps.filter(({ what }) => what === 'divide');
    expect(divided.map(({ name, amountG }) => [name, amountG])).toEqual([
      ['Seeded sorghum crackers', 428],
      ['Cheese thins', 220],
    ]);
  });

  it('each good begins from its share, and what went into the dough is found in both', async () => {
    const { body: run } = (await startWith(shares()).expect(200)) as { body: Run };
    const { key, rowKey } = run.steps.find(({ kind, ingredientId }) => kind === 'weigh' && ingredientId === 'sorghum')!;
    await send(run.id, [event({ kind: 'weighed', rowKey: rowKey!, addedG: 100, lotId: 'lot-sorghum-8' }, key)]).expect(200);
    const lotId = randomUUID();
    const left = { kind: 'leftOver', lotId, what: 'dough', amountG: 220, placeId: 'fridge', useByOn: '2027-01-20' } as const;
    await send(run.id, [event(left, 'divide:1')]).expect(200);
    const begins = { lotId, what: 'dough' };
    const good = (
      await the
        .http()
        .put(`/api/bakes/${randomUUID()}/run`)
        .send({ ...body, formulaId: follower, version: 1, begins })
        .expect(200)
    ).body as Run;
    expect(good.factor).toBeCloseTo(220 / 428, 1);
    const { body: found } = await the.http().get('/api/bakes?lotId=lot-sorghum-8').expect(200);
    const ids = (found as { items: { id: string }[] }).items.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining([run.id, good.id]));
  });

  it.each<[string, (goods: ReturnType<typeof shares>) => object, object, RegExp]>([
    [
      'a good of another dough',
      (goods) => [{ ...goods[0]!, formulaId: '8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33', version: 1 }],
      {},
      /goods\[0\]/,
    ],
    ['a version there is not', (goods) => [{ ...goods[1]!, version: 9 }], {}, /goods\[0\]\.version/],
    ['no dough', (goods) => [{ ...goods[0]!, doughG: 0 }], {}, /goods\[0\]\.doughG/],
    ['a dough that is mixed already', (goods) => goods, { begins: { lotId: 'x', what: 'dough' } }, /goods/],
  ])('%s is refused at its field', async (_name, change, more, where) => {
    const { body: refused } = await startWith(change(shares()), more).expect(400);
    expect((refused as { problems: { path: string }[] }).problems[0]!.path).toMatch(where);
  });
});

describe('photos of a bake', () => {
  const put = (id: string, photoId: string, bytes: Buffer, type = 'image/jpeg') =>
    the.http().put(`/api/bakes/${id}/photos/${photoId}`).set('content-type', type).send(bytes);
  const picture = (width: number) =>
    sharp({ create: { width, height: 40, channels: 3, background: '#a9682b' } })
      .withExif({ IFD0: { Copyright: 'somebody', Software: 'a camera' } })
      .jpeg()
      .toBuffer();

  it('are drawn anew: no larger than needed, and nothing a camera wrote stays in them', async () => {
    const { id } = await start();
    const photoId = randomUUID();
    const bytes = await picture(2400);
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    await put(id, photoId, bytes).expect(200);
    const again = (await put(id, photoId, bytes).expect(200)).body as BakeEvent[];
    expect(again.filter(({ what }) => what.kind === 'photographed')).toHaveLength(1);
    const { body: stored, headers } = await the.http().get(`/api/bakes/${id}/photos/${photoId}`).expect(200);
    expect(headers['content-type']).toBe('image/jpeg');
    const { exif, width } = await sharp(stored as Buffer).metadata();
    expect([exif, width]).toEqual([undefined, 1600]);
  });

  it('are pictures, of a bake that is there', async () => {
    const { id } = await start();
    expect((await put(id, randomUUID(), Buffer.from('not a picture')).expect(400)).body.problems[0].path).toBe('photo');
    await the.http().put(`/api/bakes/${id}/photos/${randomUUID()}`).send({ a: 1 }).expect(400);
    await put(randomUUID(), randomUUID(), await picture(20)).expect(404);
    await the.http().get(`/api/bakes/${id}/photos/${randomUUID()}`).expect(404);
  });
});

describe('learning from bakes', () => {
  const kitchen = async (): Promise<Kitchen> => (await the.http().get('/api/kitchen')).body as Kitchen;
  const learnedOf = async (what: string) => (await kitchen()).learned.find((one) => one.what === what);
  /** Learning goes on after the answer. */
  const soon = async (is: () => Promise<boolean>) => {
    for (let i = 0; i < 100 && !(await is()); i++) await new Promise((go) => setTimeout(go, 100));
    expect(await is()).toBe(true);
  };
  const baked = async (min: number) => {
    const { id } = await start();
    await send(id, [
      event({ kind: 'looked', against: 'asShown' }, 'look:1:0'),
      event({ kind: 'measured', what: 'bakeMin', value: min }, 'out:1'),
      event({ kind: 'rated', after: 'fresh', crisp: 3, tender: 3 }, 'rate'),
      event({ kind: 'ended' }),
    ]).expect(200);
    return id;
  };

  it('a late bake makes the oven cooler and the dots move the family, each with the bakes it is from', async () => {
    const id = await baked(19);
    await soon(async () => (await learnedOf('oven'))?.bakeIds.includes(id) ?? false);
    const oven = (await learnedOf('oven'))!;
    expect(oven).toMatchObject({ about: 'oven-a', priorValue: 0, priorSd: 2.5 });
    expect(oven.value).toBeLessThan(0);
    expect((await learnedOf('crisp'))!.value).toBeLessThan(0);
  }, 30_000);

  it('a saved version keeps what it was worked out with', async () => {
    const before = (await the.http().get(`/api/formulas/${FORMULA}/versions/2`)).body;
    await baked(20);
    await soon(async () => ((await learnedOf('oven'))?.bakeIds.length ?? 0) >= 2);
    expect((await the.http().get(`/api/formulas/${FORMULA}/versions/2`)).body).toEqual(before);
  }, 30_000);

  it('is set aside, used again and begun anew; bakes from before do not come back', async () => {
    const treat = (act: string) => the.http().put('/api/kitchen/learned').send({ what: 'oven', about: 'oven-a', do: act });
    await treat('setAside').expect(200);
    expect((await learnedOf('oven'))!.setAside).toBe(true);
    await treat('use').expect(200);
    expect((await learnedOf('oven'))!.setAside).toBeUndefined();
    await treat('reset').expect(200);
    expect(await learnedOf('oven')).toMatchObject({ value: 0, sd: 2.5, bakeIds: [] });
    const id = await baked(14);
    await soon(async () => ((await learnedOf('oven'))?.bakeIds.length ?? 0) > 0);
    expect((await learnedOf('oven'))!.bakeIds).toEqual([id]);
    await treat('forget').expect(400);
    await the.http().put('/api/kitchen/learned').send({ what: 'oven', about: 'no-oven', do: 'use' }).expect(404);
  }, 30_000);
});
