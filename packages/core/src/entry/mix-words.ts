import { stopSigns } from '../facts/mixing.js';
import { BLEND } from '../document/formula.js';
import type { MixAct, MixStep, MixTool, Row } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';
import type { PreparationActName } from '../document/preparation.js';

/** What an act is called where it is told. */
export const actWords: Readonly<Record<MixAct, string>> = {
  soak: 'Soak',
  warm: 'Warm',
  melt: 'Melt',
  whisk: 'Whisk',
  cutIn: 'Cut in',
  rub: 'Rub in',
  cream: 'Cream',
  beat: 'Beat in',
  pour: 'Pour in',
  foldIn: 'Fold in',
  knead: 'Knead',
  stand: 'Let it stand',
};
/** The same of what is made for a dough. */
export const preparationActWords: Readonly<Record<PreparationActName, string>> = {
  soak: 'Soak',
  warm: 'Warm',
  melt: 'Melt',
  whisk: 'Whisk',
  beat: 'Beat',
  foldIn: 'Fold together',
  boil: 'Boil',
  drain: 'Drain',
  grind: 'Grind',
  stand: 'Let it stand',
};
/** How a tool is told of. */
export const toolWords: Readonly<Record<MixTool, string>> = {
  hand: 'by hand',
  whisk: 'with a whisk',
  mixer: 'in the mixer',
  processor: 'in the processor',
  pan: 'in a pan',
};

/** What a step of mixing may name. */
type MixedRows = {
  readonly rows: readonly Pick<Row, 'key' | 'ingredientId'>[];
  readonly blend?: { readonly rows: readonly Pick<Row, 'key' | 'ingredientId'>[] };
};

/**
 * A step in one sentence, with the names of what goes in.
 *
 * Units    min.
 * Throws   nothing; a row that is gone is left out.
 * Findings none.
 * Source   none.
 */
export function mixWords(step: MixStep, formula: MixedRows, pantry: Pantry): string {
  if (!step.act) return step.does ?? '';
  const names = (step.of ?? []).flatMap(({ rowKey, share }) => {
    const id = [...formula.rows, ...(formula.blend?.rows ?? [])].find(({ key }) => key === rowKey)?.ingredientId;
    const name = rowKey === BLEND ? 'the blend' : id === undefined ? undefined : shortName(pantry.ingredients[id]?.name);
    return name === undefined ? [] : [share < 0.999 ? `${shareWords(share)} of the ${name.replace(/^the /, '')}` : name];
  });
  const what = names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}` : names.join('');
  const how = [step.tool ? toolWords[step.tool] : '', step.min ? `${step.min} min` : '', step.pulses ? `${step.pulses} pulses` : ''].filter(
    (word) => word !== '',
  );
  const until = step.stopAt ? `, until ${stopSigns.values[step.stopAt]?.words ?? step.stopAt}` : '';
  return [[`${actWords[step.act]}${what ? ` ${what}` : ''}`, ...how].join(', ') + until, step.does ? `(${step.does})` : '']
    .filter(Boolean)
    .join(' ');
}

/** 'Sugar, granulated white' is sugar when it is told of. */
const shortName = (name: string | undefined) => name?.split(/[,(]/)[0]!.trim().toLowerCase();

function shareWords(share: number): string {
  const known: readonly (readonly [number, string])[] = [
    [0.25, 'a quarter'],
    [1 / 3, 'a third'],
    [0.5, 'half'],
    [2 / 3, 'two thirds'],
    [0.75, 'three quarters'],
  ];
  return known.find(([at]) => Math.abs(at - share) < 0.01)?.[1] ?? `${Math.round(share * 100)} %`;
}
