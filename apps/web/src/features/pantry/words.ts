import { t } from '../../platform/words';
const allergenNames: Record<string, string> = {
  'us.milk': t('common.milk'),
  'us.egg': t('common.egg'),
  'us.fish': t('common.fish'),
  'us.tree_nut': t('pantry.treeNuts'),
  'us.peanut': t('common.peanut'),
  'us.wheat': t('common.wheat'),
  'us.soy': t('common.soy'),
  'us.sesame': t('common.sesame'),
  'eu.milk': t('common.milk'),
  'eu.egg': t('common.egg'),
  'eu.fish': t('common.fish'),
  'eu.nuts': t('pantry.treeNuts'),
  'eu.peanut': t('common.peanut'),
  'eu.soy': t('common.soy'),
  'eu.sesame': t('common.sesame'),
  'eu.celery': t('common.celery'),
  'eu.mustard': t('common.mustard'),
  'eu.lupin': t('common.lupin'),
  'eu.sulphites': t('common.sulphites'),
  'us.sulphites': t('common.sulphites'),
  'us.crustacean': t('pantry.crustaceans'),
  'eu.crustaceans': t('pantry.crustaceans'),
  'eu.molluscs': t('pantry.molluscs'),
  'label.unread': t('pantry.anythingALabelNobodyRead'),
  'eu.gluten_cereal:oats': t('pantry.oats'),
  'eu.gluten_cereal:wheat': t('common.wheat'),
  'eu.gluten_cereal:barley': t('pantry.barley'),
  'eu.gluten_cereal:rye': t('pantry.rye'),
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
  { name: t('common.milk'), codes: ['us.milk', 'eu.milk'] },
  { name: t('common.egg'), codes: ['us.egg', 'eu.egg'] },
  { name: t('pantry.treeNuts'), codes: ['us.tree_nut', 'eu.nuts'] },
  { name: t('common.peanut'), codes: ['us.peanut', 'eu.peanut'] },
  { name: t('common.soy'), codes: ['us.soy', 'eu.soy'] },
  { name: t('common.sesame'), codes: ['us.sesame', 'eu.sesame'] },
  { name: t('common.wheat'), codes: ['us.wheat', 'eu.gluten_cereal:wheat'] },
  { name: t('pantry.oats'), codes: ['eu.gluten_cereal:oats'] },
  { name: t('pantry.barley'), codes: ['eu.gluten_cereal:barley'] },
  { name: t('common.fish'), codes: ['us.fish', 'eu.fish'] },
  { name: t('common.celery'), codes: ['eu.celery'] },
  { name: t('common.mustard'), codes: ['eu.mustard'] },
  { name: t('common.lupin'), codes: ['eu.lupin'] },
  { name: t('common.sulphites'), codes: ['eu.sulphites', 'us.sulphites'] },
  { name: t('pantry.rye'), codes: ['eu.gluten_cereal:rye'] },
  { name: t('pantry.crustaceans'), codes: ['us.crustacean', 'eu.crustaceans'] },
  { name: t('pantry.molluscs'), codes: ['eu.molluscs'] },
];
