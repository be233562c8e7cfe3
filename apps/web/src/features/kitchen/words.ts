import type { OvenCare, KitchenList } from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { t } from '../../platform/words';

/** Headings of the lists, and what one of each is called. */
export const lists: Readonly<Record<KitchenList, { readonly title: string; readonly one: string }>> = {
  ovens: { title: t('kitchen.ovens'), one: 'oven' },
  places: { title: t('kitchen.coldTableRack'), one: 'place' },
  trays: { title: t('kitchen.trays'), one: 'tray' },
  pans: { title: t('kitchen.pans'), one: 'pan' },
  cutters: { title: t('kitchen.cutters'), one: 'cutter' },
};

const ago = (days: number) => (days === 0 ? 'today' : days === 1 ? 'yesterday' : t('kitchen.daysDaysAgo', { days }));

/** How well an oven is known, in one line. */
export const careWords = ({ state, daysSince }: OvenCare): string =>
  state === 'never' ? t('kitchen.neverMeasured') : t('kitchen.measuredDayssince', { daysSince: ago(daysSince ?? 0) });

/** What to measure next, and what it gives. */
export const nextWords = ({
  show,
}: Voice): Readonly<Record<NonNullable<OvenCare['next']>, { readonly what: string; readonly why: string }>> => ({
  measure: {
    what: 'Measure it with a thermometer',
    why: t('kitchen.halfOfWhatABakesMinutesStray'),
  },
  secondSetting: { what: 'Measure a second setting', why: t('kitchen.oneReadingSaysHowFarItIs') },
  hotSpots: { what: 'Map where it is hotter', why: t('kitchen.fromShowBetweenTheSidesOnTrays', { show: show(5, 'difference') }) },
  weigh: {
    what: 'Weigh one tray before and after a bake',
    why: t('kitchen.onTheBakeBoardOfAFormula'),
  },
});
