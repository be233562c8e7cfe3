import { applyEdits } from '../document/edits.js';
import { evaluate, findingsOf } from '../evaluate.js';
import { findingCodes } from '../findings/finding.js';
import sentences from '../../../words/src/en/findings.json' with { type: 'json' };
import { aFilling, aFormula, aStarter, kitchen, pantry, WATER, withSet, worked } from './a-formula.js';
import type { Json } from '../document/edits.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Lot, Pantry } from '../document/pantry.js';
import type { Finding, FindingCode } from '../findings/finding.js';

const row = (ingredientId: string, amountG: number): Json => ({ key: 'new', ingredientId, amountG, use: 'dough' });
const blendOf = (shares: Record<string, number>): Json =>
  Object.entries(shares).map(([ingredientId, share], i) => ({ key: `b${i}`, ingredientId, share }));

const fat = (ingredientId: string, state: Json, atC: number): Json => ({
  key: 'new',
  ingredientId,
  amountG: 30,
  use: 'dough',
  fat: state,
  atC,
});
const doughKeys = ['blend', 'r1', 'r2', 'r3', 'r4', 'r5', 'r6', 'r7'];
const mixOf = (keys: readonly string[]): Json => [{ key: 'm', act: 'whisk', of: keys.map((rowKey) => ({ rowKey, share: 1 })) }];

/** The demo's lots with some put another way, on a day of our choosing. */
const withLots = (change: (lot: Lot) => Lot): Pantry => ({
  ...pantry,
  lots: Object.fromEntries(Object.entries(pantry.lots).map(([id, lot]) => [id, change(lot)])),
  on: '2026-11-25',
});
const sorghum = (over: Partial<Lot>) => (lot: Lot) => (lot.ingredientId === 'sorghum' ? { ...lot, ...over } : lot);
const sorghumOnBag = (lot: Lot): Lot => {
  const { report: _, ...rest } = lot;
  return lot.ingredientId === 'sorghum' ? { ...rest, acceptedOnBag: 'certified mark on the bag' } : lot;
};
/** Codes that need a pantry of their own. */
const pantries: Partial<Record<FindingCode, Pantry>> = {
  'gluten.reportOld': withLots(sorghum({ report: { mgPerKg: 5, below: true, method: 'R5 ELISA', on: '2025-06-01' } })),
  'lot.setAside': withLots(sorghum({ setAside: 'smells of the cellar' })),
  'gluten.onBag': withLots(sorghumOnBag),
  'lot.pastUseBy': withLots(sorghum({ useByOn: '2026-10-31' })),
  'lot.pastBestBy': withLots(sorghum({ bestByOn: '2026-10-31' })),
  'lot.short': withLots(sorghum({ onHandG: 100 })),
};

const wet = { '/rows/8': aFilling('blueberries', 900, 'f1'), '/rows/9': aFilling('sugar_white', 150, 'f2') };
const egg: Json = { key: 'e', ingredientId: 'egg_whole', amountG: 20, use: 'dough' };

/** The dough as a tart crust in its ring: bare and whole, or pricked under fruit. */
const inPan = (filled: boolean): Formula => {
  const formula = aFormula({
    '/family': 'press_in_oil',
    '/bake/panId': 'ring-220',
    '/sheet/parts/0/shape': { kind: 'rectangle', widthMm: 200, lengthMm: 200 },
    ...(filled ? { '/rows/8': aFilling('blueberries', 300, 'f1') } : {}),
  });
  const { dockPitchMm: _, ...whole } = formula.sheet;
  return filled ? formula : { ...formula, sheet: whole };
};

/** A puff paste as it starts, with some places set to something else. */
const aPuff = (set: Readonly<Record<string, Json>> = {}, family = 'puff'): Formula => withSet(aStarter(family), set);
const inFridge = (min: number): Json => [{ placeId: 'fridge', min }];
const warmProver = { id: 'prover', name: 'Warm cupboard', kind: 'bench' as const, atC: 34 };
/** Codes that need a kitchen of their own. */
const kitchens: Partial<Record<FindingCode, Kitchen>> = {
  'gluten.notInMarket': { ...kitchen, market: 'auNz' },
  'gluten.onBag': { ...kitchen, home: true },
  'gluten.lookAtBag': { ...kitchen, home: true },
  'sheet.overMat': { ...kitchen, mat: { widthMm: 400, lengthMm: 300 } },
  'sheet.proofWarm': { ...kitchen, places: [...kitchen.places, warmProver] },
  'sheet.shelvesUneven': {
    ...kitchen,
    ovens: kitchen.ovens.map((oven) => ({ ...oven, hotSpots: [{ shelf: 'high', side: 'centre', aboveC: 14 }, { shelf: 'middle', side: 'centre', aboveC: 0 }] })), // prettier-ignore
  },
};

/** For every code, a formula that has the finding. */
const cases: Record<FindingCode, Formula> = {
  'gluten.contains': aFormula({
    '/blend/rows': blendOf({ sorghum: 0.6, wheat_ap: 0.1, potato_starch: 0.15, tapioca_starch: 0.142, xanthan: 0.008 }),
  }),
  'gluten.notProven': aFormula({
    '/blend/rows': blendOf({ sorghum: 0.6, quinoa: 0.1, potato_starch: 0.15, tapioca_starch: 0.142, xanthan: 0.008 }),
  }),
  'gluten.overLimit': aFormula({
    '/blend/rows': blendOf({ sorghum: 0.6, millet: 0.1, potato_starch: 0.15, tapioca_starch: 0.142, xanthan: 0.008 }),
  }),
  'gluten.reportOld': aFormula(),
  'gluten.notInMarket': aFormula({ '/rows/8': row('oats_rolled', 25) }),
  'gluten.wheatStarch': aFormula({ '/rows/8': row('wheat_starch_gf', 25) }),
  'gluten.onBag': aFormula(),
  'gluten.lookAtBag': aFormula({
    '/blend/rows': blendOf({ sorghum: 0.6, quinoa: 0.1, potato_starch: 0.15, tapioca_starch: 0.142, xanthan: 0.008 }),
  }),
  'lot.pastUseBy': aFormula(),
  'suit.broken': aFormula({ '/mustSuit': ['noSesame'] }),
  'suit.mayBreak': aFormula({ '/mustSuit': ['noWheat'] }),
  'lot.setAside': aFormula({ '/blend/rows/0/lotId': 'lot-sorghum-8' }),
  'lot.pastBestBy': aFormula(),
  'lot.short': aFormula(),
  'blend.gritty': aFormula({
    '/blend/rows': blendOf({ cornmeal_coarse: 0.6, sorghum: 0.1, potato_starch: 0.15, tapioca_starch: 0.142, xanthan: 0.008 }),
  }),
  'blend.starchLow': aFormula({ '/blend/rows': blendOf({ sorghum: 0.9, potato_starch: 0.092, xanthan: 0.008 }) }),
  'blend.starchHigh': aFormula({ '/blend/rows': blendOf({ sorghum: 0.4, potato_starch: 0.296, tapioca_starch: 0.296, xanthan: 0.008 }) }),
  'blend.oneFlourHigh': aFormula({ '/blend/rows': blendOf({ sorghum: 0.5, potato_flour: 0.3, tapioca_starch: 0.192, xanthan: 0.008 }) }),
  'blend.oneStarchHigh': aFormula({ '/blend/rows': blendOf({ sorghum: 0.6, potato_starch: 0.392, xanthan: 0.008 }) }),
  'dough.shortOfWater': aFormula({ [WATER]: 80 }),
  'dough.tooWet': aFormula({ [WATER]: 130 }),
  'dough.fatLow': aFormula({ '/rows/1/amountG': 0, '/rows/2/amountG': 0, '/rows/3/amountG': 0 }),
  'dough.fatHigh': aFormula({ '/rows/1/amountG': 100 }),
  'dough.saltLow': aFormula({ '/rows/5/amountG': 1 }),
  'dough.saltHigh': aFormula({ '/rows/5/amountG': 12 }),
  'dough.sugarHigh': aFormula({ '/rows/4/amountG': 40 }),
  'dough.sugarLow': aFormula({ '/family': 'cracker_sweet' }),
  'dough.eggLow': aFormula({ '/family': 'short_sweet', '/rows/8': row('egg_whole', 8) }),
  'dough.eggHigh': aFormula({ '/rows/8': row('egg_whole', 60) }),
  'dough.nutsLow': aFormula({ '/family': 'nut_tart', '/rows/8': row('hazelnut', 150) }),
  'dough.nutsHigh': aFormula({ '/family': 'nut_tart', '/rows/8': row('hazelnut', 600) }),
  'dough.yeastLow': aFormula({ '/family': 'croissant', '/rows/8': row('yeast_dry', 2) }),
  'dough.yeastHigh': aFormula({ '/family': 'croissant', '/rows/8': row('yeast_dry', 15) }),
  'dough.leavenerLow': aFormula({ '/family': 'biscuit_rubbed' }),
  'dough.freeSoda': aFormula({ '/rows/8': row('baking_soda', 3) }),
  'dough.syrupHigh': aFormula({ '/rows/8': row('honey', 12) }),
  'dough.saltHidden': aFormula({ '/rows/8': row('hard_cheese', 260) }),
  'dough.fatTooSoft': aFormula({ '/rows/8': fat('butter_unsalted', { state: 'pieces', pieceMm: 5 }, 24) }),
  'dough.fatTooHard': aFormula({ '/rows/8': fat('butter_unsalted', { state: 'creamed' }, 6) }),
  'dough.fatPiecesThick': aFormula({ '/rows/8': fat('butter_unsalted', { state: 'pieces', pieceMm: 10 }, 6) }),
  'dough.fatPiecesSmall': aFormula({ '/family': 'pie_flaky', '/rows/8': fat('butter_unsalted', { state: 'pieces', pieceMm: 1 }, 6) }),
  'dough.spreadFat': aFormula({ '/rows/8': fat('spread_tub', { state: 'rubbed' }, 6) }),
  'dough.oilInPieces': aFormula({ '/rows/1/fat/state': 'creamed' }),
  'dough.dryGel': aFormula({ '/rows/8': row('flax_meal', 8) }),
  'dough.rowTwice': aFormula({ '/rows/8': row('salt_fine', 1) }),
  'dough.belowScale': aFormula({ '/rows/8': row('cinnamon', 0.3) }),
  'dough.noHoldBack': aFormula({ '/holdBackShare': 0 }),
  'dough.restForGrit': aFormula({
    '/blend/rows': blendOf({ rice_brown: 0.7, potato_starch: 0.15, tapioca_starch: 0.142, xanthan: 0.008 }),
  }),
  'dough.stoodLong': aFormula({ '/restMin': 300 }),
  'dough.waterNotCold': aFormula({ '/doughAtC': 0, [WATER]: 30 }),
  'dough.mixForgets': aFormula({ '/mix': mixOf([...doughKeys.slice(1)]) }),
  'dough.mixTwice': aFormula({ '/mix': mixOf([...doughKeys, 'r4']) }),
  'dough.ammonia': aFormula({ '/sheet/parts/0/thicknessMm': 12, '/rows/8': row('baking_ammonia', 2) }),
  'dough.binderLow': aFormula({ '/blend/rows': blendOf({ sorghum: 0.7, potato_starch: 0.3 }) }),
  'dough.binderHigh': aFormula({ '/blend/rows': blendOf({ sorghum: 0.68, potato_starch: 0.29, xanthan: 0.03 }) }),
  'dough.leavenerHigh': aFormula({ '/rows/6/amountG': 12 }),
  'dough.tooWarm': aFormula({ '/doughAtC': 29 }),
  'dough.honey': aFormula({ '/rows/8': row('honey', 12) }),
  'dough.coumarin': aFormula({ '/rows/8': row('cinnamon', 12) }),
  'dough.rawEgg': aFormula({ '/rows/8': row('egg_whole', 25) }),
  'chill.tooWarm': aFormula({ '/chill/waits/0/min': 4 }),
  'chill.tooHard': aFormula({ '/chill/waits': [{ placeId: 'freezer', min: 90 }] }),
  'chill.placeTooWarm': aFormula({ '/chill/targetC': 2 }),
  'chill.tooLong': aFormula({
    '/chill/waits': [
      { placeId: 'fridge', min: 4000 },
      { placeId: 'fridge', min: 2000 },
    ],
  }),
  'chill.eggTooLong': aFormula({
    '/rows/8': egg,
    '/chill/waits': [
      { placeId: 'fridge', min: 4000 },
      { placeId: 'fridge', min: 2000 },
    ],
  }),
  'chill.eggTooWarm': aFormula({ '/rows/8': egg, '/chill/targetC': 24, '/chill/waits': [{ placeId: 'table', min: 200 }] }),
  'chill.shortBench': aFormula({ '/chill/thicknessMm': 3, '/chill/targetC': 21.8, '/chill/waits/0/min': 1, '/doughAtC': 22 }),
  'sheet.tooThin': aFormula({ '/sheet/parts/0/thicknessMm': 0.8 }),
  'sheet.tooThick': aFormula({ '/sheet/parts/0/thicknessMm': 4 }),
  'sheet.shortBatch': aFormula({ '/sheet/parts/0/shape/widthMm': 440, '/sheet/parts/0/shape/lengthMm': 440 }),
  'sheet.noPiece': aFormula({ '/sheet/parts/0/shape/widthMm': 590, '/sheet/parts/0/shape/lengthMm': 590 }),
  'sheet.underfull': withSet(aStarter('muffin'), { '/sheet/parts/0/shape/pieceG': 18 }),
  'sheet.overfull': withSet(aStarter('muffin'), { '/sheet/parts/0/shape/pieceG': 110 }),
  'sheet.scrapHigh': aFormula({ '/sheet/reroll': 'no', '/sheet/trimMm': 30 }),
  'sheet.traysShort': aFormula({
    '/sheet/parts/0/shape/widthMm': 90,
    '/sheet/parts/0/shape/lengthMm': 140,
    '/blendG': 2400,
    [WATER]: 1020,
  }),
  'sheet.offTray': aFormula({ '/sheet/parts/0/shape': { kind: 'rectangle', widthMm: 350, lengthMm: 320 }, '/blendG': 480, [WATER]: 204 }),
  'sheet.runTogether': withSet(aStarter('cookie_scooped'), { '/sheet/trayGapMm': 8 }),
  'sheet.pansShort': aFormula({
    '/bake/panId': 'pie-230',
    '/blendG': 1200,
    [WATER]: 510,
    '/sheet/parts/0/shape': { kind: 'lining', overhangMm: 10 },
  }),
  'sheet.overMat': aFormula(),
  'sheet.noCutter': aFormula({ '/sheet/parts/0/shape': { kind: 'round', acrossMm: 45 } }),
  'sheet.shelvesUneven': aFormula({ '/bake/traysAtOnce': 2 }),
  'sheet.layersLost': aPuff({ '/sheet/reroll': 'once' }),
  'sheet.notFolded': aFormula({
    '/rows/8': { key: 'b', ingredientId: 'butter_lam', amountG: 120, use: 'rollIn' },
    '/sheet/parts/0/thicknessMm': 4,
  }),
  'sheet.layersThin': aPuff({ '/sheet/laminate/folds/3': { parts: 3, rollToMm: 6, waits: [{ placeId: 'fridge', min: 30 }] } }),
  'sheet.slabUnlike': aPuff({ '/sheet/laminate/borderMm': 30 }),
  'sheet.noRest': aPuff({ '/sheet/laminate/folds/1/waits': [] }),
  'sheet.foldWarm': aPuff({ '/sheet/laminate/folds/0/waits': inFridge(1), '/sheet/laminate/folds/1/waits': inFridge(1) }),
  'sheet.foldHard': aPuff({ '/sheet/laminate/folds/1/waits': inFridge(180) }),
  'sheet.warmTooLong': aFormula({ '/rows/8': egg, '/restMin': 60, '/sheet/waits': [{ placeId: 'table', min: 90 }] }),
  'sheet.proofWarm': aPuff({ '/sheet/waits': [{ placeId: 'prover', min: 60 }] }, 'croissant'),
  'bake.notDry': aFormula({ '/bake/steps/0/min': 8, '/bake/steps/1/min': 0.5 }),
  'bake.notThrough': aFormula({
    '/bake/steps': [{ name: 'Short', wantC: 180, min: 4 }],
    '/bake/done': { coreC: 92, moistureShare: 0.25 },
    '/sheet/parts/0/thicknessMm': 6,
  }),
  'bake.eggNotSafe': aFormula({
    '/rows/8': egg,
    '/bake/steps': [{ name: 'Warm', wantC: 100, min: 5 }],
  }),
  'bake.weightsLeftOn': aFormula({ '/bake/steps/1/weighted': true }),
  'bake.weightsOnFilling': aFormula({ '/rows/8': aFilling('jam', 60, 'f1'), '/bake/steps/0/weighted': true }),
  'dough.goesInHot': aFormula({
    '/rows/8': { ...(aFilling('apple', 200, 'f1') as object), component: 'c1' } as Json,
    '/components': [{ key: 'c1', name: 'Apples', acts: [{ key: 'a1', act: 'boil', min: 5 }], boiledOffG: 0, drainedG: 0 }],
  }),
  'bake.fillingWeeps': aFormula(wet),
  'bake.fillingOver': aFormula({
    ...wet,
    '/rows/8': aFilling('blueberries', 4500, 'f1'),
    '/bake/panId': 'ring-220',
    '/sheet/parts/0/shape': { kind: 'rectangle', widthMm: 200, lengthMm: 200 },
  }),
  'bake.pale': aFormula({ '/bake/steps': [{ name: 'Slow', wantC: 155, min: 16 }] }),
  'bake.tooDark': aFormula({ '/bake/steps/1/min': 15 }),
  'bake.tooDry': aFormula({ '/bake/steps': [{ name: 'Long', wantC: 165, min: 40 }] }),
  'bake.acrylamide': aFormula({ '/rows/8': row('baking_ammonia', 3) }),
  'bake.slicedAfter': aFormula({ '/family': 'twice_baked' }),
  'bake.pairApart': withSet(aStarter('cookie_sandwich'), {
    '/sheet/parts': [3, 1.6].map((thicknessMm, i) => ({ key: `p${i}`, perPiece: 1, thicknessMm, shape: { kind: 'round', acrossMm: 60 } })),
  }),
  'bake.fewTried': aFormula({ '/family': 'short_savoury' }),
  'bake.darkBeforeDry': aFormula({ '/sheet/parts/0/thicknessMm': 6, '/bake/steps': [{ name: 'Hot', wantC: 200, min: 15 }] }),
  'bake.turnTray': aFormula(),
  'bake.baseBlisters': inPan(false),
  'bake.dockedFilled': inPan(true),
  'bake.ovenNotMeasured': aFormula({ '/bake/ovenId': 'small-oven' }),
  'keep.notCrisp': aFormula({ '/bake/steps': [{ name: 'Short', wantC: 180, min: 7 }], '/bake/done/moistureShare': 0.15 }),
  'keep.softBeforeSold': aFormula(),
  'keep.packedWarm': aFormula({ '/keep/cool/0/min': 1 }),
  'keep.crustSoftens': aFormula({ '/rows/8': aFilling('blueberries', 200, 'f1', { at: 'cooled' }) }),
  'keep.needsCold': aFormula({ '/rows/8': aFilling('cream_cheese', 200, 'f1', { at: 'cooled' }) }),
  'keep.coldTooLong': aFormula({
    '/rows/8': aFilling('cream_cheese', 200, 'f1', { at: 'cooled' }),
    '/keep/placeId': 'fridge',
    '/keep/sellWithinDays': 6,
  }),
  'keep.coolsSlowly': aFormula({ '/rows/8': aFilling('cream_cheese', 200, 'f1'), '/keep/cool/0/min': 700, '/keep/placeId': 'fridge' }),
  'keep.rawTooLong': aFormula({ '/keep/goes': 'dough', '/keep/placeId': 'fridge', '/keep/sellWithinDays': 20 }),
  'keep.rawEgg': aFormula({ '/rows/8': aFilling('egg_white', 60, 'f1', { at: 'cooled' }) }),
  'keep.mayMould': aFormula({ '/bake/steps': [{ name: 'Short', wantC: 180, min: 4 }] }),
};

/** Each case is worked out once: a bake takes a while under the test runner. */
const found = new Map<FindingCode, Finding[]>();
const findingsFor = (code: FindingCode): Finding[] => {
  if (!found.has(code)) found.set(code, findingsOf(worked(cases[code], kitchens[code] ?? kitchen, pantries[code])));
  return found.get(code)!;
};

const mendable: readonly FindingCode[] = [
  'dough.shortOfWater',
  'dough.tooWet',
  'dough.fatHigh',
  'dough.sugarLow',
  'dough.eggHigh',
  'dough.freeSoda',
  'dough.fatTooSoft',
  'dough.fatTooHard',
  'dough.fatPiecesThick',
  'dough.oilInPieces',
  'dough.dryGel',
  'dough.rowTwice',
  'dough.noHoldBack',
  'dough.restForGrit',
  'dough.stoodLong',
  'dough.mixForgets',
  'dough.mixTwice',
  'chill.tooWarm',
  'chill.tooHard',
  'sheet.tooThick',
  'sheet.overMat',
  'sheet.runTogether',
  'sheet.noCutter',
  'sheet.shelvesUneven',
  'sheet.layersLost',
  'sheet.notFolded',
  'sheet.layersThin',
  'sheet.noRest',
  'sheet.foldWarm',
  'sheet.foldHard',
  'bake.notDry',
  'bake.pale',
  'bake.tooDark',
  'bake.tooDry',
  'bake.acrylamide',
  'bake.darkBeforeDry',
  'keep.packedWarm',
  'keep.needsCold',
  'keep.rawEgg',
  'keep.coolsSlowly',
  'keep.coldTooLong',
  'sheet.warmTooLong',
  'sheet.shortBatch',
];

/** Numbers that the words of a finding say and the finding does not have. */
function holesIn({ code, measured }: Finding): string[] {
  const said = Object.entries(sentences as Record<string, string>).filter(
    ([key]) => key.startsWith(`finding.${code}.`) && !key.includes('_'),
  );
  const numbers = said.flatMap(([, sentence]) =>
    [...sentence.matchAll(/\{\{(value|low|high)\b/g)].map(([, name]) => name as 'value' | 'low' | 'high'),
  );
  return numbers.filter((name) => !Number.isFinite(measured?.[name]));
}

describe('every finding', () => {
  it.each(findingCodes)('%s is found where it should be, with every number that its words say', (code) => {
    const one = findingsFor(code).find((finding) => finding.code === code);
    expect(one).toBeDefined();
    expect(holesIn(one!)).toEqual([]);
  });

  // A button that does not end what it was offered for would teach bakers to ignore buttons.
  it.each(findingCodes)('%s ends when its own change is applied', (code) => {
    const one = findingsFor(code).find((finding) => finding.code === code)!;
    if (!one.change) return;
    const changed = applyEdits(cases[code], one.change.edits);
    expect(findingsOf(evaluate(changed, kitchens[code] ?? kitchen, pantries[code] ?? pantry)).map((finding) => finding.code)).not.toContain(
      code,
    );
  });

  it('offers a change for all that one number can mend', () => {
    const withChange = findingCodes.filter((code) => findingsFor(code).some((finding) => finding.code === code && finding.change));
    expect(mendable.filter((code) => !withChange.includes(code))).toEqual([]);
  });

  it('is unsafe for gluten, guests, use-by days, what stood warm, raw egg, mould and what needs the cold only', () => {
    const unsafe = findingCodes.filter((code) => findingsFor(code).some((finding) => finding.code === code && finding.unsafe));
    expect(unsafe).toEqual([
      'gluten.contains',
      'gluten.notProven',
      'gluten.overLimit',
      'gluten.notInMarket',
      'suit.broken',
      'suit.mayBreak',
      'lot.pastUseBy',
      'dough.stoodLong',
      'chill.eggTooLong',
      'chill.eggTooWarm',
      'sheet.warmTooLong',
      'bake.eggNotSafe',
      'keep.mayMould',
      'keep.needsCold',
      'keep.coolsSlowly',
      'keep.coldTooLong',
      'keep.rawEgg',
      'keep.rawTooLong',
    ]);
  });
});
