import { anApp, type AnApp } from '../testing/an-app.js';
import type { Kitchen, Oven } from '@north-leaf/core';

let server: AnApp;
beforeAll(async () => {
  server = await anApp();
}, 60_000);
afterAll(async () => server?.app.close());

const kitchen = async (): Promise<Kitchen> => (await server.http().get('/api/kitchen').expect(200)).body as Kitchen;
const put = (path: string, body: object) => server.http().put(`/api/kitchen/${path}`).send(body);
const oven: Oven = { id: 'big-oven', name: 'Big oven', kind: 'static', dialUnit: 'gas', readings: [] };
const reading = (dialC: number, trueC: number) => ({ dialC, trueC, at: '2026-11-25T06:00:00.000Z' });

describe('what the kitchen has', () => {
  it('an oven is stored once however often sent, changed in place, and removed', async () => {
    const before = (await kitchen()).ovens.length;
    await put('ovens/big-oven', oven).expect(200);
    await put('ovens/big-oven', { ...oven, readings: [reading(180, 171)] }).expect(200);
    const held = (await kitchen()).ovens;
    expect(held).toHaveLength(before + 1);
    expect(held.find(({ id }) => id === 'big-oven')).toMatchObject({ dialUnit: 'gas', readings: [{ dialC: 180, trueC: 171 }] });
    await server.http().delete('/api/kitchen/ovens/big-oven').expect(200);
    await server.http().delete('/api/kitchen/ovens/big-oven').expect(404);
    expect((await kitchen()).ovens).toHaveLength(before);
  });

  it.each<[string, string, object, string]>([
    ['an oven of 900 C', 'ovens/big-oven', { ...oven, readings: [reading(900, 890)] }, 'readings[0].dialC'],
    ['a fifth kind of air', 'ovens/big-oven', { ...oven, kind: 'steam' }, 'kind'],
    ['a nameless oven', 'ovens/big-oven', { ...oven, name: ' ' }, 'name'],
    [
      'one place mapped twice',
      'ovens/big-oven',
      { ...oven, hotSpots: [1, 2].map((aboveC) => ({ shelf: 'low', side: 'left', aboveC })) },
      'hotSpots[1]',
    ],
    ['a freezer at -50 C', 'places/deep', { id: 'deep', name: 'Deep', kind: 'freezer', atC: -50 }, 'atC'],
    ['a tray of 0 mm', 'trays/none', { id: 'none', name: 'None', count: 1, widthMm: 0, lengthMm: 300, material: 'glass' }, 'widthMm'],
    [
      'half a pan',
      'pans/half',
      { id: 'half', name: 'Half', count: 0.5, topMm: 200, bottomMm: 200, depthMm: 30, material: 'metalPan' },
      'count',
    ],
    [
      'an address of another',
      'pans/other',
      { id: 'half', name: 'Half', count: 1, topMm: 200, bottomMm: 200, depthMm: 30, material: 'metalPan' },
      'id',
    ],
    ['a mat of 20 mm', 'mat', { widthMm: 20, lengthMm: 400 }, 'widthMm'],
    [
      'a pan shorter than wide',
      'pans/odd',
      { id: 'odd', name: 'Odd', kind: 'rectangle', count: 1, topMm: 200, bottomMm: 180, lengthMm: 150, depthMm: 30, material: 'glass' },
      'lengthMm',
    ],
    ['a cutter of no known form', 'cutters/star', { id: 'star', name: 'Star', kind: 'star', acrossMm: 60 }, 'kind'],
    ['a cutter of a hair', 'cutters/hair', { id: 'hair', name: 'Hair', kind: 'round', acrossMm: 0.5 }, 'acrossMm'],
    ['heat out of this world', 'ovens/oven-a/heat', { value: 9, sd: 0.1, from: '' }, 'value'],
  ])('refuses %s at its place, and changes nothing', async (_claim, path, body, where) => {
    const before = await kitchen();
    const { body: said } = await put(path, body).expect(400);
    expect((said as { problems: { path: string }[] }).problems.map((one) => one.path)).toContain(where);
    expect(await kitchen()).toEqual(before);
  });

  it('keeps the last of what every formula needs, and gives up the last pan', async () => {
    const { trays, pans = [] } = await kitchen();
    for (const { id } of trays.slice(1)) await server.http().delete(`/api/kitchen/trays/${id}`).expect(200);
    const { body } = await server.http().delete(`/api/kitchen/trays/${trays[0]!.id}`).expect(400);
    expect((body as { message: string }).message).toMatch(/last of the trays stays/);
    for (const { id } of pans) await server.http().delete(`/api/kitchen/pans/${id}`).expect(200);
    expect((await kitchen()).pans).toEqual([]);
    for (const tray of trays.slice(1)) await put(`trays/${tray.id}`, tray).expect(200);
  });

  it('holds cutters, and gives up the last', async () => {
    for (const { id } of (await kitchen()).cutters ?? []) await server.http().delete(`/api/kitchen/cutters/${id}`).expect(200);
    const oblong = { id: 'oblong', name: 'Oblong', kind: 'rectangle', acrossMm: 40, lengthMm: 70 };
    await put('cutters/oblong', oblong).expect(200);
    expect((await kitchen()).cutters).toEqual([oblong]);
    await server.http().delete('/api/kitchen/cutters/oblong').expect(200);
    expect((await kitchen()).cutters).toEqual([]);
  });

  it('holds how large the mat is, and forgets it', async () => {
    await put('mat', { widthMm: 500, lengthMm: 350 }).expect(200);
    expect((await kitchen()).mat).toEqual({ widthMm: 500, lengthMm: 350 });
    await server.http().delete('/api/kitchen/mat').expect(200);
    expect((await kitchen()).mat).toBeUndefined();
  });

  it('knows no other list, and no oven that is not there', async () => {
    await server.http().delete('/api/kitchen/learned/thirst').expect(404);
    await put('ovens/nowhere/heat', { value: 1, sd: 0.1, from: '' }).expect(404);
  });

  it('what a weighed tray taught replaces what it taught before, and is forgotten', async () => {
    const heat = async () => (await kitchen()).learned.filter(({ what }) => what === 'ovenHeatFactor');
    await put('ovens/oven-a/heat', { value: 1.1, sd: 0.05, from: '402 g lost 30 %' }).expect(200);
    await put('ovens/oven-a/heat', { value: 1.2, sd: 0.04, from: '402 g lost 31 %' }).expect(200);
    await put('ovens/oven-b/heat', { value: 0.9, sd: 0.05, from: '' }).expect(200);
    expect((await heat()).map(({ about, value }) => [about, value])).toEqual([
      ['oven-a', 1.2],
      ['oven-b', 0.9],
    ]);
    await server.http().delete('/api/kitchen/ovens/oven-a/heat').expect(200);
    expect((await heat()).map(({ about }) => about)).toEqual(['oven-b']);
  });

  it('two changes at once both hold', async () => {
    const pan = (id: string) => ({ id, name: id, count: 1, topMm: 200, bottomMm: 180, depthMm: 30, material: 'glass' });
    await Promise.all(['p1', 'p2', 'p3', 'p4'].map((id) => put(`pans/${id}`, pan(id)).expect(200)));
    expect((await kitchen()).pans!.map(({ id }) => id).sort()).toEqual(['p1', 'p2', 'p3', 'p4']);
  });
});

describe('where its goods are sold, and what names mean here', () => {
  it('a market is said, and a home sells nothing', async () => {
    await put('market', { market: 'us', home: false }).expect(200);
    expect((await kitchen()).market).toBe('us');
    await put('market', { market: 'eu', home: true }).expect(200);
    expect(await kitchen()).toMatchObject({ market: 'eu', home: true });
    await put('market', { market: 'eu', home: false }).expect(200);
    expect((await kitchen()).home).toBeUndefined();
    const { body } = await put('market', { market: 'the moon', home: false }).expect(400);
    expect(body.problems[0].path).toBe('market');
  });
  it('a kitchen is called and counts as it says; a currency nobody knows is refused, and no price is changed', async () => {
    const before = await kitchen();
    await put('about', { name: 'The corner', currency: 'GBP' }).expect(200);
    expect(await kitchen()).toEqual({ ...before, name: 'The corner', currency: 'GBP' });
    const { body } = await put('about', { name: '', currency: 'XXX' }).expect(400);
    expect(body.problems.map(({ path }: { path: string }) => path).sort()).toEqual(['currency', 'name']);
    await put('about', { name: before.name, currency: before.currency }).expect(200);
  });
  it('a name is remembered as it is read, without accents and case, and forgotten', async () => {
    await put(`names/${encodeURIComponent('Plain Flöur')}`, { ingredientId: 'blend_ap' }).expect(200);
    expect((await kitchen()).names).toEqual({ 'plain flour': 'blend_ap' });
    await server.http().delete('/api/kitchen/names/plain%20flour').expect(200);
    expect((await kitchen()).names).toEqual({});
    await put('names/%21%21', { ingredientId: 'blend_ap' }).expect(400);
  });
});
