import { table } from './fact.js';

/**
 * What a guest may ask for, and what it refuses: allergen codes (every code that begins so), origins, single ingredients.
 * Codes are those of the ingredient table: US list of 9 and EU list of 14.
 */
export const suits = table(
  {
    noMilk: { name: 'no milk', codes: ['us.milk', 'eu.milk'], origins: ['milk'], ids: [] },
    noEgg: { name: 'no egg', codes: ['us.egg', 'eu.egg'], origins: ['egg'], ids: [] },
    noNuts: { name: 'no tree nuts', codes: ['us.tree_nut', 'eu.nuts'], origins: [], ids: [] },
    noPeanut: { name: 'no peanut', codes: ['us.peanut', 'eu.peanut'], origins: [], ids: [] },
    noSoy: { name: 'no soy', codes: ['us.soy', 'eu.soy'], origins: [], ids: [] },
    noSesame: { name: 'no sesame', codes: ['us.sesame', 'eu.sesame'], origins: [], ids: [] },
    noLupin: { name: 'no lupin', codes: ['eu.lupin'], origins: [], ids: [] },
    noMustard: { name: 'no mustard', codes: ['eu.mustard'], origins: [], ids: [] },
    noCelery: { name: 'no celery', codes: ['eu.celery'], origins: [], ids: [] },
    noFish: { name: 'no fish', codes: ['us.fish', 'eu.fish'], origins: [], ids: [] },
    noSulphites: { name: 'no sulphites', codes: ['eu.sulphites'], origins: [], ids: [] },
    noWheat: { name: 'no wheat, wheat starch included', codes: ['us.wheat', 'eu.gluten_cereal:wheat'], origins: [], ids: [] },
    noOats: { name: 'no oats', codes: ['eu.gluten_cereal:oats'], origins: [], ids: [] },
    noYeast: { name: 'no yeast', codes: [], origins: [], ids: ['yeast_dry', 'nutritional_yeast'] },
    noFlax: { name: 'no flax', codes: [], origins: [], ids: ['flax_meal'] },
    lactoseFree: { name: 'lactose-free', codes: [], origins: ['milk'], ids: [] },
    vegetarian: { name: 'vegetarian', codes: ['us.fish', 'eu.fish'], origins: ['animal'], ids: [] },
    vegan: {
      name: 'vegan',
      codes: ['us.milk', 'eu.milk', 'us.egg', 'eu.egg', 'us.fish', 'eu.fish'],
      origins: ['animal', 'milk', 'egg', 'honey'],
      ids: [],
    },
  },
  'what each refuses',
  'fromMemory',
  'allergen lists: FALCPA 2004 with FASTER Act 2021, and Reg. (EU) 1169/2011 Annex II; diets by common practice. Re-read local rules before a label',
);
export type SuitId = keyof typeof suits.values;
