import { InputError, within } from '../errors.js';
import { coldTrayBottomHeatTransfer, fanFridgeHeatTransfer, placeHeatTransfer, wrapResistance } from '../facts/cold.js';
import type { Wait, Wrap } from '../document/formula.js';
import type { Kitchen, Place } from '../document/kitchen.js';
import type { Exposure } from './conduction.js';

/**
 * The exposures of a list of waits, each at a place of the kitchen.
 *
 * Units    min, C, W/m2 K.
 * Throws   InputError at path[i].placeId for a place the kitchen does not have, at path[i].min out of 0..4320.
 * Findings none.
 * Source   heat transfer of places and wraps: facts/cold.
 */
export function exposuresOf(path: string, waits: readonly Wait[], wrap: Wrap, kitchen: Kitchen): Exposure[] {
  return waits.map((wait, i) => {
    const place = placeOf(`${path}[${i}].placeId`, wait.placeId, kitchen);
    return exposureAt(place, within(`${path}[${i}].min`, wait.min, 0, 4320, 'min'), wrap);
  });
}

/** A place by its id; InputError at the path for one the kitchen does not have. */
export function placeOf(path: string, placeId: string, kitchen: Kitchen): Place {
  const place = kitchen.places.find(({ id }) => id === placeId);
  if (!place) throw new InputError(path, 'is not a place of this kitchen');
  return place;
}

/** One place for some minutes. */
export function exposureAt(place: Place, min: number, wrap: Wrap): Exposure {
  const air = placeHeatTransfer.values[place.kind];
  const moving = place.wPerM2K ?? (place.fan ? fanFridgeHeatTransfer.value : undefined);
  const top = moving ?? air.top;
  const bottom = place.onTray ? coldTrayBottomHeatTransfer.value : place.kind === 'marble' ? air.bottom : (moving ?? air.bottom);
  const through = (h: number) => 1 / (1 / h + wrapResistance.values[wrap]);
  return { min, topWPerM2K: through(top), bottomWPerM2K: through(bottom), topC: place.atC, bottomC: place.atC };
}

/** The kitchen's table: where dough is rolled. */
export function tableOf(kitchen: Kitchen): Place {
  return kitchen.places.find(({ kind }) => kind === 'bench') ?? { id: 'table', name: 'Table', kind: 'bench', atC: kitchen.roomC };
}
