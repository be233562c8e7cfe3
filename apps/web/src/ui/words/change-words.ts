import { valueIn, type Field, type Fields } from '@north-leaf/core';
import { shownAs, textOf } from '../form/typed-number';
import { t } from '../../platform/words';

/** Changes said in one notice. */
const MOST = 3;

/**
 * What differs between two states of a document that the registry describes, in its own words: `Fat 0.6 → 0.7 g, Its label keeps it cold`.
 * Empty where nothing does.
 */
export function changeWords(fields: Fields, before: unknown, after: unknown): string {
  const said = differing(fields, before, after);
  const more = said.length - MOST;
  return said.slice(0, MOST).join(', ') + (more > 0 ? t('ui.andMoreMore', { more }) : '');
}

function differing(fields: Fields, before: unknown, after: unknown): string[] {
  return Object.entries(fields).flatMap(([key, field]): string[] => {
    const [was, is] = [valueIn(before, key), valueIn(after, key)];
    if (JSON.stringify(was) === JSON.stringify(is)) return [];
    if (field.is === 'group' && was !== undefined && is !== undefined) return differing(field.fields as Fields, was, is);
    return field.name ? [`${field.name}${valueWords(field, was, is)}`] : [];
  });
}

function valueWords(field: Field, was: unknown, is: unknown): string {
  const shown = (value: unknown): string => {
    if (value === undefined) return 'none';
    // Three digits of a share, whole grams of a bag.
    if (field.is === 'number') return textOf(field, value as number, Math.abs((value as number) * shownAs(field).times) < 100 ? 3 : 6);
    return field.is === 'word' ? field.words[value as string]! : field.is === 'text' || field.is === 'day' ? (value as string) : '';
  };
  switch (field.is) {
    case 'number': {
      const { unit } = shownAs(field);
      return ` ${shown(was)} → ${shown(is)}${/\d/.test(unit) || unit === '' || is === undefined ? '' : ` ${unit}`}`;
    }
    case 'word':
    case 'text':
    case 'day':
      return ` ${shown(was)} → ${shown(is)}`;
    case 'flag':
    case 'yesNo':
      return is === true ? '' : ': no more';
    default:
      return '';
  }
}

/** What a notice says of a changed thing. */
export function changedName(name: string, fields: Fields, [before, after]: readonly [unknown, unknown], done = 'changed'): string {
  const said = changeWords(fields, before, after);
  return `${name} ${done}${said === '' ? '' : `: ${said}`}`;
}
