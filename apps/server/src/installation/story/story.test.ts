import { coreVersion } from '@north-leaf/core';
import type { FormulasPart, FormulaVersion, BakesPart, PantryBook } from '@north-leaf/contracts';
import { randomUUID } from 'node:crypto';
import { anApp, type AnApp } from '../../testing/an-app.js';
import { goods } from './goods.js';
import { daysLater, keptStory } from './kept.js';
import { tell } from './tell.js';

let the: AnApp;
beforeAll(async () => (the = await anApp()), 60_000);
afterAll(() => the?.app.close());
const get = async <T>(path: string) => (await the.http().get(`/api${path}`).expect(200)).body as T;
const story = keptStory();
const daysTo = (on: string) => Math.round((Date.parse(on) - Date.parse(story.on)) / 86_400_000);

describe('the story of the demo', () => {
  it('was made with this core; else: npm run demo:make', () => expect(story.coreVersion).toBe(coreVersion));

  it('one history told anew through the API is the one in the file', async () => {
    const good = goods.find(({ name }) => name === 'Chickpea and caraway thins')!;
    const on = (await get<PantryBook>('/pantry')).on!;
    const ask = (path: string, body: object) => the.http().put(`/api${path}`).send(body).expect(200);
    await tell(ask, on, [good]);
    const kept = story.rows.filter(({ table, row }) => table === 'formula_versions' && row['formulaId'] === good.id);
    expect(kept).toHaveLength(good.versions.length);
    for (const [i, { row }] of kept.entries()) {
      const { id, why, formula, evaluation } = await get<FormulaVersion>(`/formulas/${good.id}/versions/${i + 1}`);
      const {
        id: itsId,
        why: itsWhy,
        formula: its,
        evaluation: itsEvaluation,
      } = JSON.parse(daysLater(JSON.stringify(row), daysTo(on))) as FormulaVersion;
      expect({ id, why, formula }).toEqual({ id: itsId, why: itsWhy, formula: its });
      expect(evaluation).toEqual(itsEvaluation);
    }
    const { items } = await get<BakesPart>(`/bakes?formulaId=${good.id}`);
    expect(items.map(({ version, events }) => [version, events.length])).toEqual([[1, 7]]);
  }, 60_000);

  it('is put in whole, told as of the day, ended and liked as it was told', async () => {
    await the.http().put(`/api/kitchens/${randomUUID()}`).send({ from: 'demo' }).expect(200);
    const { items } = await get<FormulasPart>('/formulas');
    const versionsOf = ({ from, versions }: (typeof goods)[number]) => (from?.version ?? 0) + versions.length;
    expect(items.map(({ name, version }) => [name, version])).toEqual(
      goods.map((good) => [good.name, versionsOf(good)] as const).sort(([a], [b]) => a.localeCompare(b)),
    );
    // Three bakes of the crackers are the small demo's.
    expect(items.map(({ name, bakes }) => [name, bakes])).toEqual(
      expect.arrayContaining(goods.map(({ name, bakes }) => [name, bakes.length + (name === 'Seeded sorghum crackers' ? 3 : 0)])),
    );
    const { on, lots } = await get<PantryBook>('/pantry');
    expect(lots['lot-butter-31']!.bestByOn).toBe(on);
    const ids = new Set(items.map(({ id }) => id));
    const { versions } = await get<{ versions: readonly { savedAt: string }[] }>(
      `/formulas/${items.find(({ name }) => /galette/.test(name))!.id}`,
    );
    expect(versions.at(-1)!.savedAt.slice(0, 10)).toBe(daysLater(`"${story.on}"`, daysTo(on!) - 5).slice(1, -1));
    // The tarts take the dough of this kitchen's galette, not of the first demo's.
    const tarts = items.find(({ name }) => name === 'Herb lattice tarts')!;
    const { formula } = await get<FormulaVersion>(`/formulas/${tarts.id}/versions/3`);
    expect(ids).toContain(formula.doughOf!.formulaId);
  }, 60_000);
});
