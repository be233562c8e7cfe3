import type { OvenCare, KitchenList } from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';

/** Headings of the lists, and what one of each is called. */
export const lists: Readonly<Record<KitchenList, { readonly title: string; readonly one: string }>> = {
  ovens: { title: 'Ovens', one: 'oven' },
  places: { title: 'Cold, table, rack', one: 'place' },
  trays: { title: 'Trays', one: 'tray' },
  pans: { title: 'Pans', one: 'pan' },
  cutters: { title: 'Cutters', one: 'cutter' },
};

const ago = (days: number) => (days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`);

/** How well an oven is known, in one line. */
export const careWords = ({ state, daysSince }: OvenCare): string =>
  state === 'never' ? 'never measured' : `measured ${ago(daysSince ?? 0)}`;

/** What to measure next, and what it gives. */
export const nextWords = ({
  show,
}: Voice): Readonly<Record<NonNullable<OvenCare['next']>, { readonly what: string; readonly why: string }>> => ({
  measure: {
    what: 'Measure it with a thermometer',
    why: 'Half of what a bake’s minutes stray comes from an oven that is not what its dial says.',
  },
  secondSetting: { what: 'Measure a second setting', why: 'One reading says how far it is off there; two say how that changes with heat.' },
  hotSpots: { what: 'Map where it is hotter', why: `From ${show(5, 'difference')} between the sides on, trays want turning.` },
  weigh: {
    what: 'Weigh one tray before and after a bake',
    why: 'On the Bake board of a formula. It pins how fast this oven gives its heat, which minutes alone cannot tell from colour.',
  },
});
