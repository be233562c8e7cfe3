import type { OvenCare, KitchenList } from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { t } from '../../platform/words';

/** Headings of the lists, and what one of each is called. */
export const lists: Readonly<Record<KitchenList, { readonly title: string; readonly one: string }>> = {
  ovens: { title: t('kitchen.ovens'), one: t('kitchen.one.oven') },
  places: { title: t('kitchen.coldTableRack'), one: t('kitchen.one.place') },
  trays: { title: t('kitchen.trays'), one: t('kitchen.one.tray') },
  pans: { title: t('kitchen.pans'), one: t('kitchen.one.pan') },
  cutters: { title: t('kitchen.cutters'), one: t('kitchen.one.cutter') },
};

const ago = (days: number) => t('kitchen.measuredAgo', { count: days });

/** How well an oven is known, in one line. */
export const careWords = ({ state, daysSince }: OvenCare): string =>
  state === 'never' ? t('kitchen.neverMeasured') : t('kitchen.measuredDayssince', { daysSince: ago(daysSince ?? 0) });

/** What to measure next, and what it gives. */
export const nextWords = ({
  show,
}: Voice): Readonly<Record<NonNullable<OvenCare['next']>, { readonly what: string; readonly why: string }>> => ({
  measure: {
    what: t('kitchen.measureIt'),
    why: t('kitchen.halfOfWhatABakesMinutesStray'),
  },
  secondSetting: { what: t('kitchen.measureASecond'), why: t('kitchen.oneReadingSaysHowFarItIs') },
  hotSpots: { what: t('kitchen.mapHotter'), why: t('kitchen.fromShowBetweenTheSidesOnTrays', { show: show(5, 'difference') }) },
  weigh: {
    what: t('kitchen.weighOneTray'),
    why: t('kitchen.onTheBakeBoardOfAFormula'),
  },
});
