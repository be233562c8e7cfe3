import { DateTime } from 'luxon';
import { glutenLimitOf, glutenProof, isUnproven, ovenCare, type Kitchen, type StageState } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { t } from '../../platform/words';

type Care = { readonly key: string; readonly state: StageState; readonly text: string; readonly to: string };

/** Days before its best-by day that a lot is named. */
const SOON_DAYS = 2;

export function caresOf(kitchen: Kitchen, pantry: PantryBook): Care[] {
  const today = DateTime.fromISO(pantry.on);
  const lots = Object.values(pantry.lots).filter(
    ({ setAside, onHandG }) => setAside === undefined && !(onHandG !== undefined && onHandG <= 0),
  );
  const nameOf = (id: string) => (pantry.ingredients[id]?.name ?? id).split(/[,(=]/)[0]!.trim();
  const ending = lots.flatMap((lot): Care[] => {
    const lastDay = lot.useByOn ?? lot.bestByOn;
    if (lastDay === undefined) return [];
    const days = DateTime.fromISO(lastDay).diff(today, 'days').days;
    if (days > SOON_DAYS) return [];
    const when =
      days < 0
        ? lot.useByOn !== undefined
          ? t('today.pastUseBy', { count: -days })
          : t('today.endedAgo', { count: -days })
        : days === 0
          ? t('today.endsToday')
          : t('today.endsIn', { count: days });
    return [
      {
        key: `end:${lot.id}`,
        state: days < 0 ? 'fix' : 'watch',
        text: t('today.ingredientidLotCodeWhen', { ingredientId: nameOf(lot.ingredientId), code: lot.code, when }),
        to: '/pantry/lots',
      },
    ];
  });
  const unproven = lots.flatMap((lot): Care[] => {
    const ingredient = pantry.ingredients[lot.ingredientId];
    if (!ingredient) return [];
    const proof = glutenProof(ingredient, lot, glutenLimitOf(kitchen), pantry.on);
    if (!isUnproven(proof) || proof === 'contains' || proof === 'lookAtBag') return [];
    const text =
      proof === 'over'
        ? t('today.ingredientidLotCodeMgperMgKgLimit', {
            ingredientId: nameOf(lot.ingredientId),
            code: lot.code,
            mgPer: lot.report?.mgPerKg,
            limitMgPer: glutenLimitOf(kitchen).limitMgPerKg,
          })
        : t('today.ingredientidLotCodeNotProven', { ingredientId: nameOf(lot.ingredientId), code: lot.code });
    return [{ key: `proof:${lot.id}`, state: 'fix', text, to: '/pantry/lots' }];
  });
  const ovens = kitchen.ovens.flatMap((oven): Care[] => {
    const care = ovenCare(oven, kitchen, pantry.on);
    if (care.state === 'measured') return [];
    return [
      {
        key: oven.id,
        state: 'watch',
        text:
          care.daysSince === null
            ? t('today.nameWasNeverMeasured', { name: oven.name })
            : t('today.nameMeasuredDayssinceDaysAgo', { name: oven.name, daysSince: care.daysSince }),
        to: `/kitchen/ovens/${oven.id}`,
      },
    ];
  });
  return [...ending, ...unproven, ...ovens];
}
