import { randomUUID } from 'node:crypto';
import { request as ask } from 'node:http';
import { gzipSync } from 'node:zlib';
import { demoCrackerV2 } from '@north-leaf/core';
import { anApp, type AnApp } from './testing/an-app.js';
import { fuzz } from './faults/fuzz.js';
import type { AddressInfo } from 'node:net';

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const BAKE = 'c0ffee00-0000-4000-8000-000000000001';
let the: AnApp;
let base: string;
beforeAll(async () => {
  the = await anApp();
  base = `http://127.0.0.1:${(the.app.getHttpServer().address() as AddressInfo).port}`;
}, 60_000);
afterAll(() => the?.app.close());

const draft = (formula: object) => ({ basedOn: 2, revision: 0, formula, typed: {} });
const event = (over: object) => ({ id: randomUUID(), at: '2026-11-24T05:12:00.000Z', what: { kind: 'noted', text: 'x' }, ...over });

/** With headers that a browser would set and no library lets one write. */
const withHeaders = (method: string, path: string, headers: Record<string, string>, body = '') =>
  new Promise<number>((answered, failed) => {
    const sent = ask(`${base}${path}`, { method, headers }, (answer) => {
      answer.resume();
      answered(answer.statusCode ?? 0);
    });
    sent.once('error', failed);
    sent.end(body);
  });

describe('a page of somebody else’s', () => {
  const json = { 'content-type': 'application/json' };
  const air = JSON.stringify({ humidityShare: 0.6, roomC: 22 });
  it.each<[string, string, Record<string, string>, number]>([
    ['under a name of its own', 'GET', { host: 'evil.example' }, 421],
    ['under a name of its own, with our port', 'GET', { host: 'evil.example:4310' }, 421],
    ['that writes from elsewhere', 'PUT', { ...json, origin: 'http://evil.example' }, 403],
    ['that writes from another port', 'PUT', { ...json, origin: 'http://127.0.0.1:9' }, 403],
    ['that writes from nowhere', 'PUT', { ...json, origin: 'null' }, 403],
    ['that the browser calls cross-site', 'PUT', { ...json, 'sec-fetch-site': 'cross-site' }, 403],
  ])('%s is refused', async (_claim, method, headers, status) => {
    const path = method === 'GET' ? '/api/formulas' : '/api/kitchen/air';
    expect(await withHeaders(method, path, headers, method === 'GET' ? '' : air)).toBe(status);
  });
  it('ours is not', async () => {
    expect(await withHeaders('PUT', '/api/kitchen/air', { ...json, origin: base, 'sec-fetch-site': 'same-origin' }, air)).toBe(200);
    expect(await withHeaders('GET', '/api/health', { host: 'localhost:4310' })).toBe(200);
  });
});

describe('a body made to hurt', () => {
  const post = (body: string, headers: Record<string, string> = {}) =>
    withHeaders('POST', `/api/bakes/${BAKE}/events`, { 'content-type': 'application/json', ...headers }, body);
  const many = (one: string, n: number) => `[${Array.from({ length: n }, () => one).join()}]`;

  it.each<[string, () => string]>([
    ['150 000 empty events', () => many('{}', 150_000)],
    ['20 000 empty events', () => many('{}', 20_000)],
    ['250 000 noughts', () => many('0', 250_000)],
    ['5 000 events of no kind', () => many('{"id":"a","at":"b","what":{"kind":"c"}}', 5_000)],
    ['a nest of 5 000', () => '['.repeat(5000) + ']'.repeat(5000)],
  ])('%s is refused, and meanwhile others are answered', async (_claim, body) => {
    const hurting = post(body());
    const others = await Promise.all(Array.from({ length: 5 }, () => the.http().get('/api/health')));
    expect(others.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200]);
    expect([400, 413]).toContain(await hurting);
  });
  it('packed is not unpacked', async () => {
    const packed = gzipSync(many('{}', 300_000));
    const status = await new Promise<number>((answered, failed) => {
      const headers = { 'content-type': 'application/json', 'content-encoding': 'gzip' };
      const sent = ask(`${base}/api/bakes/${BAKE}/events`, { method: 'POST', headers }, (answer) => {
        answer.resume();
        answered(answer.statusCode ?? 0);
      });
      sent.once('error', failed);
      sent.end(packed);
    });
    expect(status).toBe(415);
  });
});

describe('what cannot be kept is refused at its field', () => {
  const events = (one: object) => the.http().post(`/api/bakes/${BAKE}/events`).send([one]);
  const store = (formula: object) => the.http().put(`/api/formulas/${FORMULA}/draft`).send(draft(formula));
  const version = (formula: object) =>
    the.http().put(`/api/formulas/${FORMULA}/versions/${randomUUID()}`).send({ basedOn: 2, why: '', formula, setAside: [] });
  const wrong: readonly [string, () => Promise<{ status: number; body: { problems?: { path: string }[] } }>, string][] = [
    ['NUL in a text', async () => events(event({ what: { kind: 'noted', text: 'a\u0000b' } })), '[0].what.text'],
    ['half a character', async () => store({ ...demoCrackerV2, name: 'a\ud800' }), 'formula.name'],
    ['NUL in an address', async () => the.http().get('/api/bakes?lotId=%00'), 'lotId'],
    ['a version past all counting', async () => the.http().get(`/api/formulas/${FORMULA}/versions/99999999999`), 'version'],
    ['a number past the column', async () => the.http().put(`/api/formulas/${FORMULA}/draft`).send({ ...draft(demoCrackerV2), revision: 2 ** 31 }), 'revision'],
    ['an id in brackets', async () => events(event({ id: `{${randomUUID()}}` })), '[0].id'],
    ['an id in capitals', async () => events(event({ id: randomUUID().toUpperCase() })), '[0].id'],
    ['a moment before the flood', async () => events(event({ at: '-271821-04-20T00:00:00Z' })), '[0].at'],
    ['the 31st of February', async () => events(event({ at: '2026-02-31T00:00:00Z' })), '[0].at'],
    ['a day that never was', async () => events(event({ what: { kind: 'leftOver', lotId: randomUUID(), what: 'dough', amountG: 1, placeId: 'p', useByOn: '9999-99-99' } })), '[0].what.useByOn'],
    ['a hot spot that is none', async () => the.http().put('/api/kitchen/ovens/oven-a').send({ id: 'oven-a', name: 'A', kind: 'fan', dialUnit: 'C', readings: [], hotSpots: [null, null] }), 'hotSpots[0]'],
    ['the smallest number there is', async () => version({ ...demoCrackerV2, restMin: 5e-324 }), 'formula.restMin'],
    ['a family that every object has', async () => version({ ...demoCrackerV2, family: 'constructor' }), 'formula.family'],
    ['an ingredient that every object has', async () => version({ ...demoCrackerV2, rows: demoCrackerV2.rows.map((row) => ({ ...row, ingredientId: 'toString' })) }), 'formula.rows[0].ingredientId'],
    ['an ingredient in an address that every object has', async () => the.http().put('/api/pantry/ingredients/constructor/change').send({ revision: 0, change: { corrected: {} } }), 'id'],
    ['a list that every object has', async () => the.http().delete('/api/kitchen/__proto__/x'), 'list'],
    ['a version that is not there yet', async () => the.http().put(`/api/formulas/${FORMULA}/versions/${randomUUID()}`).send({ basedOn: 77, why: '', formula: demoCrackerV2, setAside: [] }), 'basedOn'],
    ['a share below nothing in a kept blend', async () => the.http().put(`/api/blends/${randomUUID()}`).send({ basedOn: null, blend: { ...demoCrackerV2.blend, rows: demoCrackerV2.blend.rows.map((row) => ({ ...row, share: -0.18 })) } }), 'blend.rows[0].share'],
  ]; // prettier-ignore
  it.each(wrong)('%s', async (_claim, send, path) => {
    const { status, body } = await send();
    expect({ status, path: body.problems?.[0]?.path }).toEqual({ status: 400, path });
  });

  it('an id that another bake has is a conflict, and nothing of the rest is stored', async () => {
    const twice = event({});
    await the.http().post(`/api/bakes/${BAKE}/events`).send([twice]).expect(200);
    const other = 'c0ffee00-0000-4000-8000-000000000002';
    const fresh = event({});
    const { body } = await the.http().post(`/api/bakes/${other}/events`).send([fresh, twice]).expect(409);
    expect(body.problems[0].path).toBe('[1].id');
    const { body: stored } = await the.http().get(`/api/bakes/${other}`);
    expect(stored.events.map(({ id }: { id: string }) => id)).not.toContain(fresh.id);
    await the
      .http()
      .put(`/api/bakes/${BAKE}/run`)
      .send({ formulaId: FORMULA, version: 2, factor: 1, looks: [], confirmed: [] })
      .expect(409);
  });

  it('a drawing that is a program is no photo', async () => {
    const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="7000" height="7000"><filter id="f"><feTurbulence/></filter></svg>';
    const { body } = await the
      .http()
      .put(`/api/bakes/${BAKE}/photos/${randomUUID()}`)
      .set('content-type', 'image/jpeg')
      .send(Buffer.from(svg))
      .expect(400);
    expect(body.problems[0].path).toBe('photo');
  });

  it('a file asked for by an impossible range is not a fault of ours', async () => {
    expect(await withHeaders('GET', '/', { range: 'bytes=9999999-' })).toBeLessThan(500);
    expect(await withHeaders('POST', `/api/bakes/${BAKE}/events`, { 'content-type': 'application/json; charset=foo' }, '[]')).toBe(415);
  });
});

describe('300 requests of our own pages, each a little wrong', () => {
  it('are answered without a fault, at their field, and leave every list working', async () => {
    const report = await fuzz(base, { seed: 15, count: 300 });
    expect(report.flaws).toEqual([]);
    expect(report.asked).toBe(300);
  }, 120_000);
});
