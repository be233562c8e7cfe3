const allergenNames: Record<string, string> = {
  'us.milk': 'milk',
  'us.egg': 'egg',
  'us.fish': 'fish',
  'us.tree_nut': 'tree nuts',
  'us.peanut': 'peanut',
  'us.wheat': 'wheat',
  'us.soy': 'soy',
  'us.sesame': 'sesame',
  'eu.milk': 'milk',
  'eu.egg': 'egg',
  'eu.fish': 'fish',
  'eu.nuts': 'tree nuts',
  'eu.peanut': 'peanut',
  'eu.soy': 'soy',
  'eu.sesame': 'sesame',
  'eu.celery': 'celery',
  'eu.mustard': 'mustard',
  'eu.lupin': 'lupin',
  'eu.sulphites': 'sulphites',
  'us.sulphites': 'sulphites',
  'us.crustacean': 'crustaceans',
  'eu.crustaceans': 'crustaceans',
  'eu.molluscs': 'molluscs',
  'label.unread': 'anything: a label nobody read',
  'eu.gluten_cereal:oats': 'oats',
  'eu.gluten_cereal:wheat': 'wheat',
  'eu.gluten_cereal:barley': 'barley',
  'eu.gluten_cereal:rye': 'rye',
};
/** Codes in a kitchen's words, the US and EU ones of one thing as one: `milk, may hold soy`. */
export function allergenWords(codes: readonly string[]): { sure: string[]; may: string[] } {
  const name = (code: string) => allergenNames[code] ?? allergenNames[code.split(':')[0]!] ?? code.split('.').pop()!.replaceAll('_', ' ');
  const sure = [...new Set(codes.filter((code) => !code.endsWith(':possible')).map(name))];
  const may = [...new Set(codes.filter((code) => code.endsWith(':possible')).map((code) => name(code.slice(0, -':possible'.length))))];
  return { sure, may: may.filter((one) => !sure.includes(one)) };
}

/** What a label is asked for, and the codes each answer stands for. */
export const labelAllergens: readonly { readonly name: string; readonly codes: readonly string[] }[] = [
  { name: 'milk', codes: ['us.milk', 'eu.milk'] },
  { name: 'egg', codes: ['us.egg', 'eu.egg'] },
  { name: 'tree nuts', codes: ['us.tree_nut', 'eu.nuts'] },
  { name: 'peanut', codes: ['us.peanut', 'eu.peanut'] },
  { name: 'soy', codes: ['us.soy', 'eu.soy'] },
  { name: 'sesame', codes: ['us.sesame', 'eu.sesame'] },
  { name: 'wheat', codes: ['us.wheat', 'eu.gluten_cereal:wheat'] },
  { name: 'oats', codes: ['eu.gluten_cereal:oats'] },
  { name: 'barley', codes: ['eu.gluten_cereal:barley'] },
  { name: 'fish', codes: ['us.fish', 'eu.fish'] },
  { name: 'celery', codes: ['eu.celery'] },
  { name: 'mustard', codes: ['eu.mustard'] },
  { name: 'lupin', codes: ['eu.lupin'] },
  { name: 'sulphites', codes: ['eu.sulphites', 'us.sulphites'] },
  { name: 'rye', codes: ['eu.gluten_cereal:rye'] },
  { name: 'crustaceans', codes: ['us.crustacean', 'eu.crustaceans'] },
  { name: 'molluscs', codes: ['eu.molluscs'] },
];
