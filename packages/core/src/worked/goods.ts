import { families } from '../facts/families.js';
import { referenceFormula } from '../solve/reference.js';
import { isCutShape } from '../sheet/plan.js';
import { withSet } from './a-formula.js';
import type { Formula, Part, Row, RowUse } from '../document/formula.js';
import type { Component, PreparationActName } from '../document/preparation.js';
import type { StepWhat } from '../document/bake.js';

/**
 * Goods as ordinary recipes write them, and every act that hands do to each from the shaping on, in order. Written down before the
 * steps that they judge. Source of the acts: common practice, no source (what bakers of that good report doing).
 *
 * Weighing, mixing, temperatures, looks and the switch of the oven are left out: they hang on rows and clocks, not on the good.
 */
export type Good = { readonly name: string; readonly formula: Formula; readonly acts: readonly string[] };

let keys = 0;
const row = (ingredientId: string, amountG: number, use: Row['use'], goesOn?: Row['goesOn']): Row => ({
  key: `g${(keys += 1)}`,
  ingredientId,
  amountG,
  use,
  ...(goesOn ? { goesOn } : {}),
});
const part = (shape: Part['shape'], thicknessMm: number, more: Partial<Part> = {}): Part => ({
  key: `g${(keys += 1)}`,
  perPiece: 1,
  thicknessMm,
  shape,
  ...more,
});
function good(family: string, { rows = [], set = {} }: { rows?: readonly Row[]; set?: Readonly<Record<string, unknown>> }): Formula {
  const first = referenceFormula(families[family]!);
  // The first formula's own filling gives way to the good's.
  const own = rows.some(({ use }) => use === 'filling') ? first.rows.filter(({ use }) => use !== 'filling') : first.rows;
  const made = withSet({ ...first, rows: [...own, ...rows] }, set as never);
  // What is cut and stands free is in no pan.
  const { panId: _pan, ...free } = made.bake;
  return made.sheet.parts.every(({ shape }) => isCutShape(shape)) ? { ...made, bake: free } : made;
}
/** The rows of a use as a component, with these acts. */
function withComponent(
  formula: Formula,
  { acts, name, ...losses }: Omit<Partial<Component>, 'acts'> & { readonly name: string; readonly acts: readonly PreparationActName[] },
  use: RowUse,
): Formula {
  const component: Component = {
    key: `c${(keys += 1)}`,
    name,
    acts: acts.map((act, i) => ({ key: `a${i}`, act, min: 10 })),
    boiledOffG: 0,
    drainedG: 0,
    ...losses,
  };
  return {
    ...formula,
    rows: formula.rows.map((one) => (one.use === use ? { ...one, component: component.key } : one)),
    components: [component],
  };
}
const oneBake = [{ name: 'Bake', wantC: 190, min: 45 }];

export const goods = (): readonly Good[] => [
  {
    name: 'two-crust fruit pie',
    formula: good('pie_flaky', {
      rows: [
        row('apple', 700, 'filling'),
        row('sugar_white', 90, 'filling'),
        row('corn_starch', 25, 'filling'),
        row('egg_whole', 12, 'wash'),
        row('sugar_white', 8, 'topping'),
      ],
      set: {
        '/blendG': 330,
        '/sheet/parts': [
          part({ kind: 'lining', overhangMm: 10 }, 3.2),
          part({ kind: 'lid', overhangMm: 15, domeMm: 10 }, 3.2, { vents: 4 }),
        ],
        '/bake/steps': oneBake,
      },
    }),
    acts: ['shape', 'roll', 'line', 'fill', 'roll', 'lid', 'crimp', 'slits', 'brush', 'strew', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'quiche, its shell baked under weights',
    formula: good('short_savoury', {
      rows: [
        row('egg_whole', 150, 'filling', { at: 'bakeStep', n: 2 }),
        row('cream_heavy', 200, 'filling', { at: 'bakeStep', n: 2 }),
        row('cheddar', 80, 'filling', { at: 'bakeStep', n: 2 }),
      ],
      set: {
        '/sheet/dockPitchMm': 25,
        '/bake/steps': [
          { name: 'Under weights', wantC: 190, min: 12, weighted: true },
          { name: 'Bare', wantC: 190, min: 6 },
          { name: 'Filled', wantC: 175, min: 35 },
        ],
      },
    }),
    // Bare and filled are two settings of the oven; what is poured into a hot shell goes in before its own.
    acts: ['shape', 'roll', 'line', 'prick', 'weightsIn', 'putIn', 'nextSetting', 'fill', 'nextSetting', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'filled sandwich with windows',
    formula: good('cookie_sandwich', {
      rows: [row('jam', 160, 'filling', { at: 'cooled' }), row('sugar_icing', 10, 'dust', { at: 'cooled' })],
      set: {
        '/sheet/parts': [
          part({ kind: 'round', acrossMm: 60 }, 3),
          part({ kind: 'round', acrossMm: 60 }, 3, { window: { kind: 'round', acrossMm: 25 } }),
        ],
      },
    }),
    // Sugar falls on the lid before it lies on the jam (fact 181).
    acts: ['shape', 'roll', 'cut', 'windows', 'putIn', 'out', 'cool', 'dust', 'sandwich', 'pack', 'rate'],
  },
  {
    name: 'closed tartlet',
    formula: good('tartlet', { rows: [row('jam', 200, 'filling'), row('egg_whole', 10, 'wash')] }),
    acts: ['shape', 'roll', 'cut', 'fill', 'close', 'brush', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'turnovers with slits',
    formula: good('short_savoury', {
      rows: [row('apple', 240, 'filling'), row('sugar_white', 20, 'filling')],
      set: {
        '/sheet/parts': [part({ kind: 'round', acrossMm: 120 }, 3, { body: 'wrapped', vents: 2 })],
        '/bake/steps': oneBake,
      },
    }),
    acts: ['shape', 'roll', 'cut', 'fill', 'close', 'slits', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'two rounds closed over jam',
    formula: good('cookie_sandwich', {
      rows: [row('jam', 160, 'filling')],
      set: { '/sheet/parts': [part({ kind: 'round', acrossMm: 60 }, 3), part({ kind: 'round', acrossMm: 60 }, 3, { vents: 3 })] },
    }),
    acts: ['shape', 'roll', 'cut', 'fill', 'lid', 'crimp', 'slits', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'lattice tart',
    formula: good('nut_tart', { rows: [row('jam', 300, 'filling')] }),
    acts: ['shape', 'roll', 'line', 'fill', 'roll', 'lattice', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'free-form galette',
    formula: good('galette', {
      rows: [row('apple', 350, 'filling'), row('sugar_white', 40, 'filling'), row('sugar_white', 8, 'topping')],
    }),
    acts: ['shape', 'roll', 'cut', 'fill', 'foldOver', 'strew', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'muffins',
    formula: good('muffin', {}),
    acts: ['pour', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'muffins with berries',
    formula: good('muffin', { rows: [row('blueberries', 90, 'foldIn')] }),
    acts: ['foldIn', 'pour', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'free-form galette with a cooked filling',
    formula: withComponent(
      good('galette', { rows: [row('apple', 350, 'filling'), row('sugar_white', 60, 'filling'), row('corn_starch', 8, 'filling')] }),
      { name: 'Cooked apples', acts: ['stand', 'drain', 'boil', 'stand'], cookedToC: 95, boiledOffG: 40, drainedG: 20 },
      'filling',
    ),
    acts: [
      ...['prepare', 'prepare', 'prepare', 'prepare'],
      ...['shape', 'roll', 'cut', 'fill', 'foldOver', 'putIn', 'out', 'cool', 'pack', 'rate'],
    ] as const,
  },
  {
    name: 'cookies with a beaten frosting',
    formula: withComponent(
      good('cookie_rolled', {
        rows: [row('butter_unsalted', 60, 'topping', { at: 'cooled' }), row('sugar_icing', 120, 'topping', { at: 'cooled' })],
      }),
      { name: 'Frosting', acts: ['beat'] },
      'topping',
    ),
    acts: ['shape', 'roll', 'cut', 'putIn', 'out', 'cool', 'prepare', 'strew', 'pack', 'rate'],
  },
  {
    name: 'sheet cake cut cold and assembled with whipped cream',
    formula: withComponent(
      good('sheet_shortcake', {
        rows: [row('cream_heavy', 250, 'filling', { at: 'serving' }), row('sugar_icing', 20, 'filling', { at: 'serving' })],
        set: { '/sheet/cut': 'cold' },
      }),
      { name: 'Cream', acts: ['whisk'] },
      'filling',
    ),
    acts: ['pat', 'putIn', 'out', 'cool', 'cutBaked', 'pack', 'prepare', 'fill', 'rate'],
  },
  {
    name: 'choux, cooked in the pan, pierced and dried',
    formula: good('choux', {}),
    acts: ['pipe', 'putIn', 'out', 'pierce', 'secondIn', 'drying', 'secondOut', 'cool', 'pack', 'rate'],
  },
  {
    name: 'twice-baked slices',
    formula: good('twice_baked', {}),
    acts: [
      ...['pat', 'cut', 'putIn', 'out', 'cool', 'slice', 'secondIn', 'drying', 'turnSlices', 'drying', 'secondOut'],
      ...['cool', 'pack', 'rate'],
    ] as const,
  },
  {
    name: 'puff block, sold as it is',
    formula: good('puff', { set: { '/keep/goes': 'dough' } }),
    acts: ['shape', 'flattenFat', 'lockIn', 'fold', 'fold', 'fold', 'wrap'],
  },
  {
    name: 'drop biscuits, eaten warm',
    formula: good('biscuit_drop', { set: { '/keep/goes': 'warm' } }),
    acts: ['drop', 'putIn', 'out', 'cool', 'rate'],
  },
  {
    name: 'frosted cookies',
    formula: good('cookie_rolled', { rows: [row('sugar_icing', 120, 'topping', { at: 'cooled' })] }),
    acts: ['shape', 'roll', 'cut', 'putIn', 'out', 'cool', 'strew', 'pack', 'rate'],
  },
  {
    name: 'six rolled croissants',
    formula: good('croissant', { rows: [row('egg_whole', 15, 'wash')] }),
    acts: [
      'froth',
      'shape',
      'flattenFat',
      'lockIn',
      'fold',
      'fold',
      'lastRoll',
      'cut',
      'rollUp',
      'brush',
      'putIn',
      'out',
      'cool',
      'pack',
      'rate',
    ],
  },
  {
    name: 'crumb crust, pressed in',
    formula: good('crumb_crust', {}),
    acts: ['pressIn', 'prick', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'piped cookies',
    formula: good('cookie_piped', {}),
    acts: ['pipe', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'shortbread cut while it is hot',
    formula: good('shortbread', { set: { '/sheet/cut': 'hot' } }),
    acts: ['shape', 'roll', 'putIn', 'out', 'cutBaked', 'cool', 'pack', 'rate'],
  },
  {
    name: 'weighed balls pressed flat',
    formula: good('cookie_filled', {
      set: {
        '/rows': referenceFormula(families['cookie_filled']!).rows.filter(({ use }) => use !== 'filling'),
        '/sheet/parts': [part({ kind: 'portion', pieceG: 20, form: 'pressed' }, 9)],
      },
    }),
    acts: ['shape', 'portion', 'pat', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
  {
    name: 'cookies closed round a middle',
    formula: good('cookie_filled', {}),
    acts: ['shape', 'portion', 'fill', 'close', 'putIn', 'out', 'cool', 'pack', 'rate'],
  },
];

/** What each load of the oven has for itself: once on the list, again in the run. */
export const ofEachLoad: ReadonlySet<string> = new Set(['putIn', 'out', 'nextSetting', 'pierce', 'partOut']);

/** What is on nobody's list: weighing and mixing, temperatures and looks, waits, the switch of the oven. */
export const unlisted: ReadonlySet<StepWhat | string> = new Set([
  'weigh',
  'mix',
  'feel',
  'doughTemperature',
  'rest',
  'cold',
  'foldRest',
  'firm',
  'proof',
  'ovenOn',
  'load',
  // They hang on how often the oven is filled.
  'laterCold',
  'dialBack',
  'inOven',
  'look',
]);
