import { useCallback } from 'react';
import { asVolume, type Ingredient } from '@north-leaf/core';
import { usePreferences } from '../../platform/preferences';
import { t } from '../../platform/words';

const measures = { cup: 'ui.cup', tablespoon: 'ui.tablespoon', teaspoon: 'ui.teaspoon' } as const;

/** A weight as cups or spoons, for whoever asked to read them beside grams; null for all others, and where nobody knows its density. */
export function useCups(): (massG: number, of: Ingredient | undefined) => string | null {
  const wanted = usePreferences((state) => state.cups);
  return useCallback(
    (massG, of) => {
      const volume = wanted && of ? asVolume(massG, of) : null;
      return volume && t(measures[volume.unit], { count: volume.count <= 1 ? 1 : 2, written: volume.written });
    },
    [wanted],
  );
}
