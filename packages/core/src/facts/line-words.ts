import type { RowUse } from '../document/formula.js';

/** Where a row goes, and when it goes on where that is not the usual: after the oven, or when it is served. */
export type PartOfList = { readonly use: RowUse; readonly goesOn?: MomentOfList };
export type MomentOfList = 'hot' | 'cooled' | 'serving';

/**
 * Words of headings and of the end of a line that say what a part of a list is for; the first that fits counts. Six languages;
 * common practice, no source.
 */
export const partWords: readonly (readonly [words: RegExp, part: PartOfList])[] = [
  [/\b(?:egg wash|as a wash|to brush|for brushing|to glaze the|per spennellare|spennellare|para pincelar|pincelar|para pintar|pour (?:la )?dorure|pour dorer|dorure|zum bestreichen|bestreichen)\b/i, { use: 'wash' }],
  [/\b(?:for (?:the )?(?:wash|rolling out the wash))\b/i, { use: 'wash' }],
  [/\b(?:for (?:dusting|rolling|flouring)(?: the| out)?|to dust the (?:bench|board|work)|per (?:infarinare|stendere)|para (?:enfarinhar|enharinar|abrir|estirar)|pour fariner|pour etaler|zum (?:ausrollen|bemehlen))\b/i, { use: 'dust' }],
  [/\b(?:to serve|for serving|per servire|para servir|pour servir|zum servieren)\b/i, { use: 'topping', goesOn: 'serving' }],
  [/\b(?:frosting|icing|glaze|to glaze|for glazing|drizzle|glassa|glacage|nappage|glasur|guss|glaseado|glace|cobertura de chocolate|ganache|to decorate|for decorating|decoration|per decorare|para decorar|pour decorer|zum verzieren)\b/i, { use: 'topping', goesOn: 'cooled' }],
  [/\b(?:topping|on top|crumble|streusel|to sprinkle|for sprinkling|to top|for (?:the )?top|to finish|for dusting the|for scattering|copertura|per spolverizzare|spolverizzare|per cospargere|cobertura|para polvilhar|polvilhar|para espolvorear|espolvorear|pour saupoudrer|saupoudrer|belag|zum bestreuen|zum bestauben|zum streuen)\b/i, { use: 'topping' }],
  [/\b(?:filling|ripieno|farcia|farcitura|per la crema|crema pasticcera|recheio|relleno|garniture|farce|fullung|custard|the cream|the fruit|para a? ?crema)\b/i, { use: 'filling' }],
  [/\b(?:to fold in|folded in|fold ins?|mix ins?)\b/i, { use: 'foldIn' }],
  [/\b(?:dough|pastry|crust|base|shell|shortcrust|biscuits?|cookies?|crackers?|scones?|cake|frolla|pasta frolla|impasto|la base|massa|masa|pate|teig|boden|murbeteig)\b/i, { use: 'dough' }],
]; // prettier-ignore

/** Words that say when something goes on, beside what it is for. Common practice, no source. */
export const momentWords: readonly (readonly [words: RegExp, at: MomentOfList])[] = [
  [/\b(?:once (?:cooled|cool|cold)|when (?:cooled|cool|cold))\b/i, 'cooled'],
  [/\b(?:at serving)\b/i, 'serving'],
  [/\b(?:hot from the oven)\b/i, 'hot'],
];

/** A line that only names the list. */
export const listHeading = /^\s*(?:ingredients?|ingredienti|ingredientes|ingrédients?|zutaten)(?:\s*\([^)]*\))?\s*:?\s*$/i;
/** How a heading may begin. */
export const headingBegins = /^(?:for|to|per|para|pour|für|zum|zur)\b/i;
/** One word, or two, that are a heading and no thing to weigh. */
export const bareHeading =
  /^(?:(?:the )?(?:dough|pastry|crust|base|shell|filling|topping|frosting|icing|glaze|wash|egg wash|to serve)|ripieno|farcitura|impasto|(?:pasta )?frolla|massa|recheio|cobertura|masa|relleno|pate|garniture|teig|fullung|belag|glasur|guss)$/;
/** Part of the amount is for something else: two amounts on one line. */
export const ofWhich = /[,\s]+(?:di cui|dei quali|dos quais|de los cuales|dont|davon|of which|of that)\b.*$/i;
/** The end of a line after a comma that never names a thing. */
export const asideBegins =
  /^(?:for|to|plus|cut|at|about|approx|ca|circa|divided|optional|as|per|para|pour|zum|zur|für|di cui|a|at room|see|if|not|or more|e più|più|mais|preferably|such as|e\.g|i\.e|each|from|room|q\.?b)\b/i;
