/** A measure as it is written, in several languages, and what it stands for. */
export type Measure =
  | { readonly kind: 'mass'; readonly of: MassName }
  | { readonly kind: 'volume'; readonly of: VolumeName }
  | { readonly kind: 'vague'; readonly of: VagueName }
  | { readonly kind: 'pack'; readonly of: PackName };
type MassName = 'gram' | 'kilogram' | 'milligram' | 'ounce' | 'pound';
type PackName = 'stick' | 'sachet' | 'block' | 'cube' | 'container';
export type VolumeName =
  | 'cup' | 'cupMetric' | 'cupBrazil' | 'cupJapan' | 'tablespoon' | 'tablespoonMetric' | 'tablespoonAustralia' | 'teaspoon' | 'teaspoonMetric'
  | 'dessertspoon' | 'fluidOunce' | 'fluidOunceUk' | 'pint' | 'pintUk' | 'quart' | 'millilitre' | 'centilitre' | 'decilitre' | 'litre'; // prettier-ignore
export const vagueMeasureNames = ['glass', 'pinch', 'dash', 'handful', 'knob', 'drizzle', 'drop', 'splash'] as const;
export type VagueName = (typeof vagueMeasureNames)[number];
/** Of them, those meant in ml. */
export const vagueVolumes: ReadonlySet<string> = new Set<VagueName>(['glass', 'drizzle', 'drop', 'splash']);
export const metricVolumes: ReadonlySet<string> = new Set<VolumeName>(['millilitre', 'centilitre', 'decilitre', 'litre']);

const mass = (of: MassName): Measure => ({ kind: 'mass', of });
const volume = (of: VolumeName): Measure => ({ kind: 'volume', of });
const vague = (of: VagueName): Measure => ({ kind: 'vague', of });
const pack = (of: PackName): Measure => ({ kind: 'pack', of });

/**
 * Every written form, longest first where one begins another. `exact` case only for T and t: a capital T is a tablespoon.
 * Languages: English, Italian, Portuguese, with the commonest French, German and Spanish forms.
 */
export const writtenMeasures: readonly (readonly [pattern: RegExp, measure: Measure])[] = [
  [/^(?:kilograms?|kilogrammes?|kilos?|kg|chili|chilo|quilos?|quilogramas?)\b\.?/i, mass('kilogram')],
  [/^(?:milligrams?|mg)\b\.?/i, mass('milligram')],
  [/^(?:grams?|grammes?|grammi|grammo|gramas?|gramos?|gr|g)\b\.?/i, mass('gram')],
  [/^(?:fl(?:uid)?\.?\s*oz|fluid ounces?)\b\.?/i, volume('fluidOunce')],
  [/^(?:ounces?|oz)\b\.?/i, mass('ounce')],
  [/^(?:pounds?|lbs?)\b\.?/i, mass('pound')],
  [/^(?:millilitres?|milliliters?|millilitri|mililitros?|ml|cc)\b\.?/i, volume('millilitre')],
  [/^(?:centilitres?|centilitri|cl)\b\.?/i, volume('centilitre')],
  [/^(?:decilitres?|decilitri|dl)\b\.?/i, volume('decilitre')],
  [/^(?:litres?|liters?|litri|litro|litros|lt|l)\b\.?/i, volume('litre')],
  [/^(?:tablespoons?|table spoons?|tbsps?|tbs|tblsps?|cucchiai(?:o|ata|ate)?(?!n)|colher(?:es)?\s*(?:\(?(?:de\s+)?sopa\)?)|c(?:uillères?|uilleres?)\s+à\s+soupe|c\.\s*à\s*s\.|EL|esslöffel|cuillerées? à soupe|cucharadas?(?!it))(?![a-z])\.?/i, volume('tablespoon')],
  [/^(?:teaspoons?|tea spoons?|tsps?|cucchiaini?(?:o)?|colher(?:es)?\s*(?:\(?(?:de\s+)?ch[áa]\)?)|c(?:uillères?|uilleres?)\s+à\s+café|c\.\s*à\s*c\.|TL|teelöffel|cucharaditas?)(?![a-z])\.?/i, volume('teaspoon')],
  [/^(?:dessert\s*spoons?|dsp|colher(?:es)?\s*(?:\(?(?:de\s+)?sobremesa\)?))\b\.?/i, volume('dessertspoon')],
  [/^(?:cups?|c)\b\.?/i, volume('cup')],
  [/^(?:tazz[ae]|tasses?|Tassen?)\b/i, volume('cupMetric')],
  [/^(?:x[íi]caras?(?:\s*\(?(?:de\s+)?ch[áa]\)?)?)(?![a-z])/i, volume('cupBrazil')],
  [/^(?:pints?|pt)\b\.?/i, volume('pint')],
  [/^(?:quarts?|qt)\b\.?/i, volume('quart')],
  [/^(?:sticks?)\b/i, pack('stick')],
  [/^(?:sachets?|packets?|envelopes?|bustin[ae]|envelopes?|saquinhos?|päckchen|pck\.?)(?![a-z])/i, pack('sachet')],
  [/^(?:blocks?|panett[oi]|tabletes?)\b/i, pack('block')],
  [/^(?:würfel|cubes?(?=\s+(?:of\s+)?(?:fresh\s+)?yeast)|cubett[oi](?=\s+di\s+lievito))(?![a-z])/i, pack('cube')],
  [/^(?:tins?|cans?|jars?|tubs?|rashers?|slices?|sheets?|sprigs?|bunch(?:es)?|latas?|caixinhas?|potes?|botes?|tarros?|boîtes?|pots?|tranches?|dosen?|gläser|becher|scheiben?|vasett[oi]|barattol[oi]|scatol[ae]|confezion[ei]|fett[ae]|fogli[oe]?)(?![a-zà-ÿ])\.?/i, pack('container')],
  [/^(?:glass(?:es)?|bicchier[ei]|copos?(?:\s+americanos?)?|verres?|Gläser|Glas)(?![a-z])/i, vague('glass')],
  [/^(?:pinch(?:es)?|pizzic[oh]i?|pitadas?|pizcas?|pincées?|Prisen?)(?![a-z])/i, vague('pinch')],
  [/^(?:dash(?:es)?)\b/i, vague('dash')],
  [/^(?:handfuls?|manciat[ae]|punhados?|poignées?)(?![a-z])/i, vague('handful')],
  [/^(?:knobs?|nob|noce(?=\s+di\s+burro)|noix(?=\s+de\s+beurre)|nuez(?=\s+de\s+mantequilla))\b/i, vague('knob')],
  [/^(?:drizzles?|(?:filo|fios?|filet)(?=\s+d[ie’']))(?![a-z])/i, vague('drizzle')],
  [/^(?:drops?|gocc[ei]a?|gotas?)\b/i, vague('drop')],
  [/^(?:splash(?:es)?)\b/i, vague('splash')],
]; // prettier-ignore

/** Words between an amount and a name that say nothing of how much: `of`, `di`, `de`. */
export const linkWords = /^(?:(?:of|di|de|da|do|du|des|del|della|dello|dei|delle|degli)\s+|dell?['’]\s*)/i;
