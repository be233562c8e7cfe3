import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { publishedIngredients } from '@north-leaf/core';
import type { StoredFile } from '@north-leaf/contracts';
import { anApp, type AnApp } from '../testing/an-app.js';

let the: AnApp;
beforeAll(async () => {
  the = await anApp();
}, 60_000);
afterAll(() => the?.app.close());

const picture = (width = 600) =>
  sharp({ create: { width, height: 40, channels: 3, background: '#d3ddd9' } })
    .withExif({ IFD0: { Copyright: 'somebody' } })
    .png()
    .toBuffer();
const at = (owner: string, id = '') => `/api/pantry/${owner}/papers${id && `/${id}`}`;
const put = (owner: string, id: string, bytes: Buffer, type = 'image/png') =>
  the.http().put(at(owner, id)).set('content-type', type).send(bytes);
const listed = async (owner: string) => (await the.http().get(at(owner)).expect(200)).body as StoredFile[];

describe('papers of the pantry', () => {
  const own = randomUUID();
  it('the label of an ingredient of our own is kept with it, drawn anew, and goes when it is taken away', async () => {
    const { composition, kind, origin, gluten } = publishedIngredients()['sorghum']!;
    await put(`ingredients/${own}`, randomUUID(), await picture()).expect(404);
    const ingredient = { name: 'Sorghum of the mill', kind, origin, gluten, composition, allergens: [], labelRead: true };
    await the.http().put(`/api/pantry/ingredients/${own}/own`).send({ revision: 0, ingredient }).expect(200);
    const id = randomUUID();
    const bytes = await picture(2400);
    await put(`ingredients/${own}`, id, bytes).expect(200);
    expect((await put(`ingredients/${own}`, id, bytes).expect(200)).body).toEqual([{ id, storedAt: expect.any(String) as string }]);
    const { body, headers } = await the
      .http()
      .get(at(`ingredients/${own}`, id))
      .expect(200);
    const { exif, width, format } = await sharp(body as Buffer).metadata();
    expect([headers['content-type'], exif, width, format]).toEqual(['image/jpeg', undefined, 1600, 'jpeg']);
    await the
      .http()
      .delete(at(`ingredients/${own}`, id))
      .expect(204);
    await the
      .http()
      .delete(at(`ingredients/${own}`, id))
      .expect(204);
    expect(await listed(`ingredients/${own}`)).toEqual([]);
    await the
      .http()
      .get(at(`ingredients/${own}`, id))
      .expect(404);
  });

  it('a picture belongs to one thing: another neither shows, stores over nor removes it', async () => {
    const lots = Object.keys(((await the.http().get('/api/pantry')).body as { lots: object }).lots);
    const [mine, other] = lots.map((lot) => `lots/${lot}`) as [string, string];
    const id = randomUUID();
    await put(mine, id, await picture()).expect(200);
    await put(other, id, await picture()).expect(409);
    await the.http().get(at(other, id)).expect(404);
    await the.http().delete(at(other, id)).expect(204);
    expect((await listed(mine)).map((one) => one.id)).toEqual([id]);
    expect(await listed(other)).toEqual([]);
  });

  it.each([
    ['no picture', 'ingredients/sorghum', Buffer.from('no picture'), 'photo'],
    ['a drawing', 'ingredients/sorghum', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), 'photo'],
    ['another kind of thing', 'preparations/x', Buffer.from('no picture'), 'kind'],
  ])('%s is refused at its field', async (_what, owner, bytes, path) => {
    const { body } = await put(owner, randomUUID(), bytes).expect(400);
    expect((body as { problems: { path: string }[] }).problems[0]!.path).toBe(path);
  });

  it('a published ingredient has its label too; of one thing so many and no more, two at once or not', async () => {
    const bytes = await picture(20);
    const answers = await Promise.all(Array.from({ length: 27 }, () => put('ingredients/millet', randomUUID(), bytes)));
    expect(answers.map(({ status }) => status).filter((status) => status === 200)).toHaveLength(24);
    expect(await listed('ingredients/millet')).toHaveLength(24);
  });
});
