import { table } from './fact.js';

const of = (ids: string): readonly string[] => ids.split(' ');

/**
 * What a guest may ask for, and what it refuses: allergen codes (every code that begins so), origins, single ingredients.
 * Codes are those of the ingredient table: US list of 9 and EU list of 14. `may`: depends on the maker, or on a cross-reaction; `ask`: no
 * allergen by law, and a guest may mean it all the same. A certificate, not a list, makes a thing halal, kosher or low FODMAP.
 */
export const suits = table(
  {
    noMilk: { name: 'no milk', codes: ['us.milk', 'eu.milk'], origins: ['milk'], ids: [] },
    noEgg: { name: 'no egg', codes: ['us.egg', 'eu.egg'], origins: ['egg'], ids: [] },
    noNuts: {
      name: 'no tree nuts',
      codes: ['us.tree_nut', 'eu.nuts'],
      origins: [],
      ids: [],
      ask: of(
        'coconut_flour coconut_desiccated coconut_oil coconut_milk sugar_coconut coconut_fresh coconut_sweet coconut_cream coconut_yogurt chestnut chestnuts_cooked pine_nut tigernut',
      ),
      note: 'Coconut, chestnut, pine nut and tiger nut are no tree nuts by law: ask the guest.',
    },
    noPeanut: {
      name: 'no peanut',
      codes: ['us.peanut', 'eu.peanut'],
      origins: [],
      ids: [],
      may: of('lupin'),
      note: 'Lupin is a kin of peanut: who reacts to one may react to the other.',
    },
    noSoy: { name: 'no soy', codes: ['us.soy', 'eu.soy'], origins: [], ids: [] },
    noSesame: { name: 'no sesame', codes: ['us.sesame', 'eu.sesame'], origins: [], ids: [] },
    noLupin: { name: 'no lupin', codes: ['eu.lupin'], origins: [], ids: [] },
    noMustard: { name: 'no mustard', codes: ['eu.mustard'], origins: [], ids: [] },
    noCelery: { name: 'no celery', codes: ['eu.celery'], origins: [], ids: [] },
    noFish: { name: 'no fish', codes: ['us.fish', 'eu.fish'], origins: [], ids: [] },
    noSulphites: { name: 'no sulphites', codes: ['eu.sulphites', 'us.sulphites'], origins: [], ids: [] },
    noWheat: { name: 'no wheat, wheat starch included', codes: ['us.wheat', 'eu.gluten_cereal:wheat'], origins: [], ids: [] },
    noOats: { name: 'no oats', codes: ['eu.gluten_cereal:oats'], origins: [], ids: [] },
    noYeast: {
      name: 'no yeast',
      codes: [],
      origins: [],
      leavens: 'yeast',
      ids: ['yeast_dry', 'yeast_instant', 'yeast_fresh', 'nutritional_yeast'],
    },
    noFlax: { name: 'no flax', codes: [], origins: [], ids: ['flax_meal', 'flax_whole'] },
    lactoseFree: { name: 'lactose-free', codes: [], origins: ['milk'], ids: [] },
    vegetarian: { name: 'vegetarian', codes: ['us.fish', 'eu.fish'], origins: ['animal'], ids: [] },
    vegan: {
      name: 'vegan',
      codes: ['us.milk', 'eu.milk', 'us.egg', 'eu.egg', 'us.fish', 'eu.fish'],
      origins: ['animal', 'milk', 'egg', 'honey'],
      ids: [],
    },
    noCorn: {
      name: 'no maize',
      codes: [],
      origins: [],
      ids: of(
        'corn_flour_whole corn_masa cornmeal_fine cornmeal_coarse corn_starch corn_syrup oil_corn cornflakes_gf starch_waxy custard_powder_gf',
      ),
      may: of(
        'blend_ap blend_1to1 blend_sr blend_pastry blend_light cracker_crumb_gf crumbs_gf glucose_de40 glucose_de60 glucose_dried maltodextrin dextrose sugar_icing sugar_snow baking_powder starch_mod_cook starch_mod_instant starch_resistant pregel_starch resistant_dextrin erythritol egg_replacer sprinkles marshmallow',
      ),
    },
    noRice: {
      name: 'no rice',
      codes: [],
      origins: [],
      ids: of(
        'rice_white rice_white_fine rice_brown rice_sweet rice_parboiled rice_starch rice_black rice_bran rice_protein rice_puffed rice_cooked rice_milk rice_syrup',
      ),
      may: of('blend_ap blend_1to1 blend_sr blend_pastry blend_light cracker_crumb_gf crumbs_gf'),
    },
    noCoconut: {
      name: 'no coconut',
      codes: [],
      origins: [],
      ids: of(
        'coconut_flour coconut_desiccated coconut_oil coconut_milk sugar_coconut coconut_fresh coconut_sweet coconut_cream coconut_yogurt',
      ),
      may: of('block_plant block_plant75 spread_tub'),
    },
    noLegumes: {
      name: 'no pulses, their gums and soy',
      codes: ['us.soy', 'eu.soy', 'us.peanut', 'eu.peanut', 'eu.lupin'],
      origins: [],
      ids: of(
        'chickpea soy_flour lupin pea_flour lentil_red faba mung pea_protein soy_protein pea_fibre peanut_ground peanut_butter peanuts_whole oil_peanut oil_soy guar lbg tara_gum carob chickpeas_cooked aquafaba tofu_firm tofu_silken soy_milk soy_cream soy_yogurt tamari_gf soy_sauce lecithin_soy',
      ),
      may: of('blend_ap blend_1to1 blend_sr blend_pastry blend_light cracker_crumb_gf crumbs_gf'),
    },
    noNightshade: {
      name: 'no potato, tomato, pepper',
      codes: [],
      origins: [],
      ids: of(
        'potato_flour potato_starch potato_flakes potato_mash potato_protein tomato tomato_paste tomato_dried pepper_sweet paprika chilli',
      ),
      may: of('blend_ap blend_1to1 blend_sr blend_pastry blend_light cracker_crumb_gf crumbs_gf mixed_spice pregel_starch starch_mod_cook'),
    },
    noBuckwheat: {
      name: 'no buckwheat',
      codes: [],
      origins: [],
      ids: of('buckwheat buckwheat_light buckwheat_groats'),
      may: of('blend_ap blend_1to1 blend_sr blend_pastry blend_light cracker_crumb_gf crumbs_gf'),
    },
    noCrustacean: { name: 'no crustaceans', codes: ['us.crustacean', 'eu.crustaceans'], origins: [], ids: [] },
    noMollusc: { name: 'no molluscs', codes: ['eu.molluscs'], origins: [], ids: [] },
    lowFodmap: {
      name: 'low FODMAP, by ingredient',
      codes: ['us.wheat', 'eu.gluten_cereal:wheat', 'eu.gluten_cereal:rye', 'eu.gluten_cereal:barley'],
      origins: [],
      ids: of(
        'wheat_starch_gf rye barley_malt inulin honey agave apple applesauce pear mango peach apricot plum cherries_sweet cherries_sour blackberries dates dates_soft prunes raisins sultanas currants figs_dried figs_fresh apricots_dried apple_dried cranberries_dried onion garlic garlic_powder onion_powder leek mushroom chickpea soy_flour pea_flour lentil_red faba mung chickpeas_cooked cashew cashew_whole cashew_butter pistachio pistachio_whole pistachio_paste milk_whole milk_skim milk_semi milk_goat buttermilk kefir yogurt yogurt_greek sour_cream cream_single cream_whip30 cream_heavy cream_double milk_evap milk_cond dulce_leche milk_powder milk_powder_whole whey_powder ricotta quark_low cottage_cheese mascarpone cream_cheese custard_powder_gf pastry_cream choc_milk choc_white xylitol maltitol isomalt sorbitol_syrup chestnut chestnuts_cooked coconut_flour',
      ),
      may: of(
        'blend_ap blend_1to1 blend_sr blend_pastry blend_light cracker_crumb_gf crumbs_gf almond_blanched almond_natural almonds_whole almonds_flaked hazelnut hazelnuts_whole soy_milk oat_milk coconut_milk banana jam marmalade glucose_de40 sugar_coconut erythritol beet_fibre apple_fibre',
      ),
    },
    alcoholFree: {
      name: 'alcohol-free',
      codes: [],
      origins: [],
      ids: of('spirit_40 wine wine_fortified liqueur_sweet liqueur_almond liqueur_cream vanilla_extract almond_extract beer'),
      may: of('mincemeat vinegar_wine vinegar_cider'),
    },
    halal: {
      name: 'halal, by ingredient',
      codes: [],
      origins: [],
      ids: of(
        'lard ham bacon spirit_40 wine wine_fortified liqueur_sweet liqueur_almond liqueur_cream vanilla_extract almond_extract beer',
      ),
      may: of(
        'gelatin gelatin_leaf marshmallow suet_beef dripping_beef duck_fat chicken_cooked beef_mince sausage_gf sausage_rusk hard_cheese cheddar gruyere feta mozzarella cheese_goat cheese_blue shortening mono_diglycerides ssl sprinkles mincemeat amylase transglutaminase mincemeat',
      ),
    },
    kosher: {
      name: 'kosher, by ingredient',
      codes: ['us.crustacean', 'eu.crustaceans', 'eu.molluscs'],
      origins: [],
      ids: of('lard ham bacon'),
      may: of(
        'gelatin gelatin_leaf marshmallow suet_beef dripping_beef duck_fat chicken_cooked beef_mince sausage_gf sausage_rusk hard_cheese cheddar gruyere feta mozzarella cheese_goat cheese_blue shortening mono_diglycerides ssl sprinkles mincemeat amylase transglutaminase wine wine_fortified vinegar_wine',
      ),
    },
  },
  'what each refuses',
  'fromMemory',
  'allergen lists: FALCPA 2004 with FASTER Act 2021, and Reg. (EU) 1169/2011 Annex II; diets by common practice, FODMAPs by usual portions. Re-read local rules before a label',
);
export type SuitId = keyof typeof suits.values;
