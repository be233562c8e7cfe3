import { useMemo } from 'react';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { terms } from '@north-leaf/words/terms';
import { findIngredients, kitchenThings, type KitchenList, type Pantry } from '@north-leaf/core';
import type { FormulaName } from '@north-leaf/contracts';
import { request } from '../../platform/http';
import { t } from '../../platform/words';
import { bakesQuery, runningQuery, together } from '../bakes/doors';
import { formulaNamesQuery } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { useAsking } from '../words/doors';
import { useFind } from './find-state';
import { bakeNumberIn, type Findable } from './findable';

const places: readonly (readonly [to: string, name: string])[] = [
  ['/today', t('common.today')],
  ['/formulas', t('common.formulas')],
  ['/run', t('common.run')],
  ['/bakes', t('common.bakes')],
  ['/trials', t('common.trials')],
  ['/pantry/lots', t('find.place', { place: t('common.pantry'), face: t('find.lots') })],
  ['/pantry/ingredients', t('find.place', { place: t('common.pantry'), face: t('find.ingredients') })],
  ['/pantry/preparations', t('find.place', { place: t('common.pantry'), face: t('find.preparations') })],
  ['/pantry/blends', t('find.place', { place: t('common.pantry'), face: t('find.blends') })],
  ['/pantry/guests', t('find.place', { place: t('common.pantry'), face: t('find.guests') })],
  ['/kitchen', t('common.kitchen')],
  ['/setup', t('app.setup')],
  ['/words', t('app.words')],
];

/** Everything that can be gone to or done, and whether some of it is still on its way. */
export function useFindable(typed: string): { readonly all: readonly Findable[]; readonly loading: boolean } {
  const formulas = useQuery(formulaNamesQuery);
  const pantry = useQuery(pantryQuery);
  const kitchen = useQuery(kitchenQuery);
  const bakes = useInfiniteQuery(bakesQuery());
  const running = useQuery(runningQuery);
  const number = bakeNumberIn(typed);
  // A bake of long ago is not among the newest: it is asked for by its number.
  const asked = useQuery({
    queryKey: ['bakes', 'number', number],
    queryFn: () => request('GET /bakes', { before: String(number! + 1), limit: '1' }),
    enabled: number !== null && number > 0,
  });
  const all = useMemo(() => {
    const zone = kitchen.data?.zone ?? 'UTC';
    const day = (at: string) => DateTime.fromISO(at, { zone }).toFormat('d LLL yyyy');
    const its = asked.data?.items.filter((one) => one.number === number) ?? [];
    const listed = [...(together(bakes.data) ?? []), ...its];
    return [
      ...places.map(([to, name]): Findable => ({ id: to, kind: 'place', name, to })),
      ...commands(formulas.data?.[0]),
      ...(formulas.data ?? []).map(({ id, name, familyName, version }): Findable => ({ id, kind: 'formula', name, beside: `${familyName}, v${version}`, to: `/formulas/${id}` })), // prettier-ignore
      ...(running.data ?? []).map((one): Findable => ({ id: `run:${one.id}`, kind: 'run', name: one.formulaName, beside: t('find.underWay'), to: `/run/${one.id}` })), // prettier-ignore
      ...[...new Map(listed.map((one) => [one.id, one])).values()].map((one): Findable => ({
        id: one.id,
        kind: 'bake',
        name: t('common.bakeNumber', { number: one.number }),
        beside: `${one.formulaName}, ${day(one.startedAt)}`,
        also: [String(one.number)],
        to: `/bakes/${one.id}`,
      })),
      ...Object.values(pantry.data?.lots ?? {}).map((lot): Findable => ({
        id: lot.id,
        kind: 'lot',
        name: t('blend.lotOfName', { name: pantry.data?.ingredients[lot.ingredientId]?.name ?? lot.ingredientId }),
        beside: lot.code,
        also: [lot.code, lot.barcode ?? '', pantry.data?.ingredients[lot.ingredientId]?.name ?? ''],
        to: `/pantry/lots?open=${lot.id}`,
      })),
      ...ingredientsOf(pantry.data?.ingredients ?? {}, typed),
      ...(Object.keys(kitchenThings) as KitchenList[]).flatMap(
        (list) =>
        ((kitchen.data?.[list] ?? []) as readonly { readonly id: string; readonly name: string }[]).map(({ id, name }): Findable => ({ id: `${list} ${id}`, kind: 'thing', name, to: `/kitchen/${list}/${id}` })), // prettier-ignore
      ),
      ...terms.map(({ id, name, says, also = [] }): Findable => ({ id: `word:${id}`, kind: 'word', name, beside: says, also, to: `/words#${id}` })), // prettier-ignore
    ];
  }, [formulas.data, pantry.data, kitchen.data, bakes.data, running.data, asked.data, number, typed]);
  return { all, loading: [formulas, pantry, kitchen, bakes].some(({ isPending }) => isPending) };
}

/** Ingredients, each also by the other names, in any language, that it was found by. */
function ingredientsOf(ingredients: Pantry['ingredients'], typed: string): readonly Findable[] {
  const meant = new Set(typed.trim().length > 2 ? findIngredients(ingredients, typed).map(({ id }) => id) : []);
  return Object.values(ingredients).map(({ id, name }) => ({
    id,
    kind: 'ingredient',
    name,
    ...(meant.has(id) ? { also: [typed] } : {}),
    to: `/pantry/ingredients?open=${id}`,
  }));
}

/** A bake is recorded of a formula: the page begins with one and lets another be chosen. */
const recordOf = ({ id, version }: FormulaName): Findable => ({
  id: 'record',
  kind: 'command',
  name: t('common.recordABake'),
  to: `/bakes/new?formula=${id}&version=${version}`,
});

/** What may be done from anywhere. */
const commands = (first: FormulaName | undefined): readonly Findable[] => [
  { id: 'new', kind: 'command', name: t('workspace.newFormula'), to: '/formulas?open=new' },
  { id: 'start', kind: 'command', name: t('common.startABake'), to: '/run/new' },
  ...(first ? [recordOf(first)] : []),
  { id: 'ask', kind: 'command', name: t('ask.whatIsThis'), act: () => useAsking.getState().ask(true) },
  { id: 'keys', kind: 'command', name: t('find.keys'), act: () => useFind.getState().show('keys') },
];
