import { hotXanthanReplacedBy, xanthanReplacedBy } from './binders.js';
import { table } from './fact.js';

/** What a group of ingredients is swapped by. `fat`, `sugars`, `sodium`: that much of it is held; `mass`: gram for gram; `strength`: by the table's factor. */
export type SwapGroup = {
  readonly name: string;
  readonly by: 'fat' | 'sugars' | 'sodium' | 'mass' | 'strength';
  /** Ids, with the grams that stand for a gram of the group's first where it goes by strength. */ readonly of: Readonly<
    Record<string, number>
  >;
};

const each = (ids: string): Readonly<Record<string, number>> => Object.fromEntries(ids.split(' ').map((id) => [id, 1]));
const fats =
  'butter_unsalted butter_salted butter_82 ghee lard shortening block_plant block_plant75 margarine_bake margarine_stick coconut_oil spread_tub oil_neutral oil_sunflower olive_oil';
const milks =
  'milk_whole milk_skim buttermilk yogurt almond_milk oat_milk soy_milk rice_milk coconut_milk kefir milk_semi milk_lactosefree water';
const sugars =
  'sugar_white sugar_caster sugar_icing sugar_lbrown sugar_dbrown sugar_raw sugar_coconut sugar_maple jaggery honey maple_syrup golden_syrup corn_syrup agave';
const nuts = 'almond_blanched almond_natural hazelnut pecan walnut pistachio cashew peanut_ground sunflower_meal coconut_desiccated';

export const swapGroups = table<readonly SwapGroup[]>(
  [
    { name: 'fat', by: 'fat', of: each(fats) },
    {
      name: 'egg',
      by: 'strength',
      of: {
        egg_whole: 1,
        egg_white: 0.87,
        egg_yolk: 0.68,
        egg_white_dry: 0.12,
        flax_meal: 0.14,
        chia_meal: 0.2,
        psyllium_husk: 0.09,
        xanthan: 0.014,
        aquafaba: 0.9,
        egg_whole_past: 1,
        egg_white_past: 0.87,
        egg_yolk_past: 0.68,
        applesauce: 0.9,
      },
    },
    { name: 'milk', by: 'mass', of: each(milks) },
    { name: 'sugar', by: 'sugars', of: each(sugars) },
    { name: 'nuts', by: 'mass', of: each(nuts) },
    { name: 'salt', by: 'sodium', of: each('salt_fine salt_kosher') },
    {
      name: 'gum',
      by: 'strength',
      of: xanthanReplacedBy.values,
    },
    { name: 'what sets hot', by: 'strength', of: hotXanthanReplacedBy.values },
  ],
  'g for g of the first of the group',
  'commonPractice',
  'an egg of 50 g as 7 g flax or 10 g chia meal, 4.5 g husk or 0.7 g xanthan and its own water back; gums by cold strength; gluten-free baking handbooks and practice, from memory; no source for the egg gels',
);
export const eggIsStructure = table(
  { cannot: 35, leans: 28 } as const,
  'percent of blend',
  'judgement',
  'a family that never takes less egg than the first is held up by it and no gel carries it; one that usually takes the second leans on it, and crumbles or sinks without',
);
