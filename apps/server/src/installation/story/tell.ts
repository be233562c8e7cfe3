import {
  demoKitchen,
  demoLotsOn,
  daysAfter,
  families,
  publishedIngredients,
  starterFormula,
  type BakeEvent,
  type Formula,
  type Lot,
} from '@north-leaf/core';
import { v5 } from 'uuid';
import { goods as all } from './goods.js';
import type { Good } from './goods.js';

/** Asks the API; throws where it refuses. */
export type Ask = (path: string, body: object) => Promise<unknown>;

/** Lots beside those of the small demo: what a day's baking of all its goods draws from. Made up. */
const lots: readonly (Omit<Lot, 'bestByOn' | 'report'> & { readonly bestIn: number; readonly tested?: readonly [mgPerKg: number, daysAgo: number] })[] = [
  { id: 'lot-butter-32', ingredientId: 'butter_82', code: '32', supplier: 'Dairy', bestIn: 24, onHandG: 2500, packG: 2500, packCostMinor: 2390 },
  { id: 'lot-butter-sheet-7', ingredientId: 'butter_lam', code: '7', supplier: 'Dairy', bestIn: 40, onHandG: 4000, packG: 2000, packCostMinor: 2260 },
  { id: 'lot-eggs-5', ingredientId: 'egg_whole', code: '5', supplier: 'Hen yard', bestIn: 12, onHandG: 1500, packG: 1500, packCostMinor: 980 },
  { id: 'lot-milk-14', ingredientId: 'milk_whole', code: '14', supplier: 'Dairy', bestIn: 5, onHandG: 3000, packG: 1000, packCostMinor: 120 },
  { id: 'lot-quark-3', ingredientId: 'quark_low', code: '3', supplier: 'Dairy', bestIn: 6, onHandG: 1000, packG: 500, packCostMinor: 210 },
  { id: 'lot-pears-1', ingredientId: 'pear', code: '1', supplier: 'Market', bestIn: 4, onHandG: 2400, packG: 1000, packCostMinor: 290 },
  { id: 'lot-herbs-2', ingredientId: 'herbs_fresh', code: '2', supplier: 'Market', bestIn: 2, onHandG: 60, packG: 30, packCostMinor: 140 },
  { id: 'lot-millet-3', ingredientId: 'millet', code: '3', supplier: 'Hill mill', tested: [5, 20], bestIn: 110, onHandG: 2400, packG: 2500, packCostMinor: 910 },
  { id: 'lot-teff-1', ingredientId: 'teff', code: '1', supplier: 'Hill mill', tested: [5, 40], bestIn: 160, onHandG: 1000, packG: 1000, packCostMinor: 690 },
  { id: 'lot-chickpea-2', ingredientId: 'chickpea', code: '2', supplier: 'Hill mill', tested: [5, 52], bestIn: 140, onHandG: 2000, packG: 2500, packCostMinor: 980 },
  { id: 'lot-caraway-1', ingredientId: 'caraway', code: '1', supplier: 'Market', bestIn: 300, onHandG: 90, packG: 100, packCostMinor: 210 },
  { id: 'lot-sugar-9', ingredientId: 'sugar_white', code: '9', bestIn: 600, onHandG: 4200, packG: 1000, packCostMinor: 130 },
  { id: 'lot-salt-4', ingredientId: 'salt_fine', code: '4', bestIn: 900, onHandG: 800, packG: 1000, packCostMinor: 60 },
]; // prettier-ignore

export const storyLots = (on: string): Lot[] =>
  lots.map(({ bestIn, tested, ...lot }) => ({
    ...lot,
    bestByOn: daysAfter(on, bestIn),
    ...(tested ? { report: { mgPerKg: tested[0], below: true, method: 'R5 ELISA', on: daysAfter(on, -tested[1]) } } : {}),
  }));

const versionId = (good: Good, version: number) => v5(`version ${version}`, good.id);
const bakeId = (good: Good, i: number) => v5(`bake ${i}`, good.id);

/** Where a good's history begins: what the small demo has of it, or its family's first formula in the demo's kitchen. */
function beginningOf(good: Good, on: string): Formula {
  if (good.from) return good.from.formula;
  let keys = 0;
  const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLotsOn(on).map((lot) => [lot.id, lot])) };
  return starterFormula(families[good.family]!, good.name, { kitchen: demoKitchen, pantry }, () => `k${++keys}`);
}

/** The formula of every version of a good, oldest first. */
export function versionsOf(good: Good, on: string, ended: ReadonlyMap<string, Formula>): Formula[] {
  const found: Formula[] = [];
  let now = beginningOf(good, on);
  for (const { change } of good.versions) found.push((now = change(now, ended)));
  return found;
}

/** Tells the story to a kitchen through the API: lots, then every version of every good, then what was baked, day by day. */
export async function tell(ask: Ask, on: string, goods: readonly Good[] = all): Promise<void> {
  for (const lot of storyLots(on)) await ask(`/pantry/lots/${lot.id}`, { revision: 0, lot, recounted: true });
  const ended = new Map<string, Formula>();
  for (const good of goods) {
    const before = good.from?.version ?? 0;
    for (const [i, formula] of versionsOf(good, on, ended).entries()) {
      const version = before + i + 1;
      const { why } = good.versions[i]!;
      if (version === 1) await ask(`/formulas/${good.id}`, { versionId: versionId(good, 1), why, formula });
      else await ask(`/formulas/${good.id}/versions/${versionId(good, version)}`, { basedOn: version - 1, why, formula, setAside: [] });
      ended.set(good.id, formula);
    }
  }
  const baked = goods.flatMap((good) => good.bakes.map((told, i) => ({ good, told, id: bakeId(good, i) })));
  for (const { good, told, id } of baked.sort((a, b) => b.told.daysAgo - a.told.daysAgo)) {
    const { version, roomC, damp, what } = told;
    const events = what.map((one, i): BakeEvent => ({ id: v5(`event ${i}`, id), at: at(on, told.daysAgo, 12 * i), what: one }));
    await ask(`/bakes/${id}`, { formulaId: good.id, version, factor: 1, roomC, humidityShare: damp, events });
  }
}

/** A moment of a morning so many days before. */
export const at = (on: string, daysAgo: number, min: number): string =>
  new Date(Date.parse(`${daysAfter(on, -daysAgo)}T05:15:00Z`) + min * 60_000).toISOString();

/** When each version of the story was saved, by its id. */
export const savedAt = (on: string, goods: readonly Good[] = all): ReadonlyMap<string, string> =>
  new Map(
    goods.flatMap((good) =>
      good.versions.map(({ daysAgo }, i) => [versionId(good, (good.from?.version ?? 0) + i + 1), at(on, daysAgo, 240)] as const),
    ),
  );
