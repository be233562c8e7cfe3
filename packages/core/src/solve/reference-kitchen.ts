import type { Kitchen } from '../document/kitchen.js';
import type { Market } from '../facts/markets.js';

/**
 * A plain kitchen that stands still: what families are judged in, whatever the demo's or anybody's own looks like. One oven with still
 * air that nobody measured, bright trays, a room of 21 C and half damp.
 */
export const referenceKitchen: Kitchen = {
  id: '5d0f7c0a-3a51-4d58-9f0e-6f6f0a2b9c11',
  name: 'Reference kitchen',
  zone: 'UTC',
  currency: 'EUR',
  roomC: 21,
  humidityShare: 0.5,
  glutenLimitMgPerKg: 20,
  market: 'eu',
  scaleStepG: 0.1,
  ovens: [{ id: 'oven', name: 'Oven', kind: 'static', dialUnit: 'C', readings: [] }],
  places: [
    { id: 'fridge', name: 'Fridge', kind: 'fridge', atC: 5 },
    { id: 'freezer', name: 'Freezer', kind: 'freezer', atC: -18 },
    { id: 'bench', name: 'Bench', kind: 'bench', atC: 21 },
    { id: 'rack', name: 'Rack', kind: 'rack', atC: 21 },
  ],
  trays: [{ id: 'tray', name: 'Tray 400 × 300', count: 4, widthMm: 400, lengthMm: 300, material: 'aluminium' }],
  pans: [
    { id: 'pie-230', name: 'Pie tin Ø 230 × 38', count: 4, topMm: 230, bottomMm: 185, depthMm: 38, material: 'metalPan' },
    {
      id: 'square-200',
      name: 'Square tin 200 × 50',
      kind: 'rectangle',
      count: 2,
      topMm: 200,
      bottomMm: 196,
      lengthMm: 200,
      depthMm: 50,
      material: 'metalPan',
    },
    { id: 'cups-12', name: 'Tin of 12 cups', count: 2, cups: 12, topMm: 70, bottomMm: 50, depthMm: 30, material: 'metalPan' },
  ],
  cutters: [],
  learned: [],
};

/** What somebody who begins says of a kitchen. */
export type NewKitchen = Pick<Kitchen, 'id' | 'name' | 'zone' | 'currency' | 'home'> & { readonly market: Market };

/**
 * A kitchen to begin with: what most have, nothing measured, nothing learned. Its numbers are there to be put right.
 *
 * Units    as Kitchen.
 * Throws   nothing.
 * Findings none.
 * Source   the reference kitchen; common practice, no source.
 *
 * @example
 * newKitchen({ id, name: 'Home', zone: 'Europe/Lisbon', currency: 'EUR', market: 'eu', home: true }).ovens.length; // => 1
 */
export const newKitchen = ({ home, ...about }: NewKitchen): Kitchen => ({ ...referenceKitchen, ...about, ...(home ? { home } : {}) });
