import {
  coreVersion,
  demoCrackerV1,
  demoCrackerV2,
  demoKitchen,
  demoPreparation,
  demoPuffSticks,
  demoLotsOn,
  evaluate,
  publishedIngredients,
  thirstOfBlend,
  type Formula,
  type Happened,
  type Kitchen,
  type Learned,
  type Pantry,
} from '@north-leaf/core';
import { v5 } from 'uuid';
import { BakeEventEntity } from '../bakes/bake-event.entity.js';
import { BakeEntity } from '../bakes/bake.entity.js';
import { BlendEntity } from '../blends/blend.entity.js';
import { FormulaVersionEntity } from '../formulas/formula-version.entity.js';
import { FormulaEntity } from '../formulas/formula.entity.js';
import { newestOf, statesOf } from '../formulas/formulas.service.js';
import { KitchenEntity } from '../kitchen/kitchen.entity.js';
import { LotEntity } from '../pantry/lot.entity.js';
import { PreparationEntity } from '../pantry/preparation.entity.js';
import { putStory } from './story/kept.js';
import type { DataSource, EntityManager } from 'typeorm';

const FORMULA_ID = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const PUFF_ID = '8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33';
const BLEND_ID = '7d0e4b6a-21b4-4d0b-8f0a-3c9b8a7f5e22';

/** The demo is told as of the day it is put in, so that its best-by days and reports are never all past. */
const today = () => new Intl.DateTimeFormat('en-CA', { timeZone: demoKitchen.zone }).format(new Date());

/** Puts the demo kitchen into an empty database, whole or not at all; `small` leaves its story away (tests only). */
export async function seedDemo(database: DataSource, { small }: { readonly small: boolean }): Promise<void> {
  await database.transaction(async (manager) => {
    if ((await manager.count(KitchenEntity)) > 0) return;
    await (small ? putSmall : putDemo)(manager, demoKitchen.id);
  });
}

/** An id of the demo in one kitchen: the first demo has the ids that are written here, every other its own. */
const idIn = (kitchenId: string, id: string) => (kitchenId === demoKitchen.id ? id : v5(id, kitchenId));

/** The demo as it first was, as a kitchen of this id. */
export async function putDemo(manager: EntityManager, kitchenId: string): Promise<void> {
  const kitchen = await putSmall(manager, kitchenId);
  await putStory(manager, kitchen, today(), (id) => idIn(kitchenId, id));
}

/** What the story begins from: two formulas and the first three bakes. */
async function putSmall(manager: EntityManager, kitchenId: string): Promise<Kitchen> {
  const of = (id: string) => idIn(kitchenId, id);
  const kitchen = { ...demoKitchen, id: kitchenId, learned: learnedOfDemo(of) };
  await manager.insert(KitchenEntity, { id: kitchenId, name: demoKitchen.name, document: kitchen as never });
  for (const lot of demoLotsOn(today()))
    await manager.insert(LotEntity, {
      kitchenId,
      id: lot.id,
      ingredientId: lot.ingredientId,
      document: lot as never,
      revision: 1,
      countedAt: new Date(),
      usedG: 0,
    });
  await manager.insert(BlendEntity, {
    id: of(BLEND_ID),
    kitchenId,
    name: demoCrackerV1.blend.name,
    version: 1,
    document: demoCrackerV1.blend as never,
    savedAt: new Date('2026-10-01T05:50:00Z'),
  });
  await manager.insert(PreparationEntity, {
    kitchenId,
    id: demoPreparation.id,
    document: demoPreparation as never,
    revision: 1,
  });
  await manager.insert(FormulaEntity, {
    id: of(FORMULA_ID),
    kitchenId,
    name: demoCrackerV2.name,
    family: demoCrackerV2.family,
    ...notSaved,
  });
  await insertVersion(manager, {
    kitchenId,
    formulaId: of(FORMULA_ID),
    version: 1,
    id: of('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b01'),
    formula: demoCrackerV1,
    basedOn: null,
    why: 'First try, rolled by eye',
    savedAt: '2026-10-01T06:00:00Z',
  });
  await insertVersion(manager, {
    kitchenId,
    formulaId: of(FORMULA_ID),
    version: 2,
    id: of('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b02'),
    formula: demoCrackerV2,
    basedOn: 1,
    why: 'Thinner with 2.4 mm bands, water 108 to 102 g, dry 8 to 5 min',
    savedAt: '2026-10-20T05:40:00Z',
  });
  const { name, family } = demoPuffSticks;
  await manager.insert(FormulaEntity, { id: of(PUFF_ID), kitchenId, name, family, ...notSaved });
  await insertVersion(manager, {
    kitchenId,
    formulaId: of(PUFF_ID),
    version: 1,
    id: of('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b11'),
    formula: demoPuffSticks,
    basedOn: null,
    why: 'Three letter folds in an envelope',
    savedAt: '2026-11-03T06:10:00Z',
  });
  for (const bake of demoBakes) await insertBake(manager, kitchenId, bake);
  return kitchen;
}

/** The part of the demo's pantry that a formula reads. */
function pantryOf(formula: Formula): Pantry {
  const on = today();
  const ids = new Set([...formula.blend.rows, ...formula.rows].map(({ ingredientId }) => ingredientId));
  return {
    ingredients: Object.fromEntries(Object.entries(publishedIngredients()).filter(([ingredientId]) => ids.has(ingredientId))),
    lots: Object.fromEntries(
      demoLotsOn(on)
        .filter(({ ingredientId }) => ids.has(ingredientId))
        .map((lot) => [lot.id, lot]),
    ),
    on,
  };
}

/** What the demo's three bakes taught of the blend: as it would be learned, had they been recorded one by one. */
function learnedOfDemo(of: (id: string) => string): Learned[] {
  const doughs = demoBakes.flatMap(({ number, version, humidityShare, what }) => {
    const felt = what.find((one) => one.kind === 'felt');
    const formula = version === 1 ? demoCrackerV1 : demoCrackerV2;
    const weighed = Object.fromEntries(what.flatMap((one) => (one.kind === 'weighed' ? [[one.rowKey, one.addedG] as const] : [])));
    if (felt?.kind !== 'felt') return [];
    return [
      {
        bakeId: of(bakeIdOf(number)),
        formula,
        kitchen: demoKitchen,
        pantry: pantryOf(formula),
        factor: 1,
        weighed,
        humidityShare,
        word: felt.word,
      },
    ];
  });
  const thirst = thirstOfBlend(demoCrackerV1.blend.name, doughs);
  return thirst ? [thirst] : [];
}

async function insertVersion(
  manager: EntityManager,
  {
    kitchenId,
    formulaId,
    version,
    id,
    formula,
    basedOn,
    why,
    savedAt,
  }: {
    readonly kitchenId: string;
    readonly formulaId: string;
    readonly version: number;
    readonly id: string;
    readonly formula: Formula;
    readonly basedOn: number | null;
    readonly why: string;
    readonly savedAt: string;
  },
): Promise<void> {
  const pantry = pantryOf(formula);
  const evaluation = evaluate(formula, demoKitchen, pantry);
  const row = {
    id,
    formulaId,
    kitchenId,
    version,
    basedOn,
    why,
    savedAt: new Date(savedAt),
    coreVersion,
    states: statesOf(evaluation),
    formula,
    kitchen: { ...demoKitchen, id: kitchenId },
    pantry,
    evaluation,
    setAside: [],
  };
  await manager.insert(FormulaVersionEntity, row as never);
  await manager.update(FormulaEntity, { kitchenId, id: formulaId }, newestOf(row) as never);
}

/** Until its versions are put in. */
const notSaved = { newestVersion: 0, blendName: '', savedAt: new Date(0), savedBy: coreVersion, bakes: 0, likedSum: 0, likedCount: 0 };

type DemoBake = { number: number; version: number; day: string; roomC: number; humidityShare: number; what: readonly Happened[] };

/** Invented: three bakes of the cracker on three mornings. */
const demoBakes: readonly DemoBake[] = [
  {
    number: 1,
    version: 1,
    day: '2026-10-01',
    roomC: 22.5,
    humidityShare: 0.58,
    what: [
      { kind: 'weighed', rowKey: 'r1', addedG: 108 },
      { kind: 'felt', word: 'tacky' },
      { kind: 'measured', what: 'rawMm', value: 3.1 },
      { kind: 'measured', what: 'bakeMin', value: 18 },
      { kind: 'measured', what: 'rawG', value: 402 },
      { kind: 'measured', what: 'bakedG', value: 283 },
      { kind: 'measured', what: 'topTone', value: 3.5 },
      { kind: 'rated', after: 'fresh', crisp: 4, tender: 3, liked: 3 },
      { kind: 'noted', text: 'Middle ones bend after a week.' },
    ],
  },
  {
    number: 2,
    version: 2,
    day: '2026-10-20',
    roomC: 23,
    humidityShare: 0.6,
    what: [
      { kind: 'weighed', rowKey: 'r1', addedG: 102 },
      { kind: 'felt', word: 'rollsClean' },
      { kind: 'measured', what: 'rawMm', value: 2.4 },
      { kind: 'measured', what: 'bakeMin', value: 15 },
      { kind: 'measured', what: 'rawG', value: 405 },
      { kind: 'measured', what: 'bakedG', value: 282 },
      { kind: 'measured', what: 'topTone', value: 4 },
      { kind: 'rated', after: 'fresh', crisp: 4, tender: 3, liked: 4 },
    ],
  },
  {
    number: 3,
    version: 2,
    day: '2026-11-12',
    roomC: 23.5,
    humidityShare: 0.61,
    what: [
      { kind: 'weighed', rowKey: 'r1', addedG: 100 },
      { kind: 'felt', word: 'rollsClean' },
      { kind: 'measured', what: 'rawMm', value: 2.4 },
      { kind: 'measured', what: 'bakeMin', value: 16 },
      { kind: 'measured', what: 'rawG', value: 404 },
      { kind: 'measured', what: 'bakedG', value: 280 },
      { kind: 'measured', what: 'topTone', value: 4.5 },
      { kind: 'rated', after: 'fresh', crisp: 5, tender: 3, liked: 5 },
      { kind: 'noted', text: 'The last two minutes decide it.' },
    ],
  },
];

const bakeIdOf = (number: number) => `c0ffee00-0000-4000-8000-00000000000${number}`;

async function insertBake(
  manager: EntityManager,
  kitchenId: string,
  { number, version, day, roomC, humidityShare, what }: DemoBake,
): Promise<void> {
  const of = (id: string) => idIn(kitchenId, id);
  const id = of(bakeIdOf(number));
  const formulaId = of(FORMULA_ID);
  const startedAt = new Date(`${day}T05:15:00Z`);
  await manager.insert(BakeEntity, {
    id,
    kitchenId,
    number,
    formulaId,
    version,
    factor: 1,
    roomC,
    humidityShare,
    startedAt,
    steps: null,
    begins: null,
  });
  for (const [i, one] of what.entries()) {
    const eventId = `c0ffee00-0000-4000-80${String(number).padStart(2, '0')}-0000000000${String(i).padStart(2, '0')}`;
    await manager.insert(BakeEventEntity, {
      id: of(eventId),
      kitchenId,
      bakeId: id,
      at: new Date(startedAt.getTime() + i * 300000),
      stepKey: null,
      corrects: null,
      what: one as never,
    });
  }
  const liked = what.flatMap((one) => (one.kind === 'rated' && one.liked !== undefined ? [one.liked] : []));
  await manager.increment(FormulaEntity, { kitchenId, id: formulaId }, 'bakes', 1);
  await manager.increment(
    FormulaEntity,
    { kitchenId, id: formulaId },
    'likedSum',
    liked.reduce((sum, dots) => sum + dots, 0),
  );
  await manager.increment(FormulaEntity, { kitchenId, id: formulaId }, 'likedCount', liked.length);
}
