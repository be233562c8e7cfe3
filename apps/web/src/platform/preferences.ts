import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { imperial, metric, unitSets, type Units } from '@north-leaf/core';
import { voiceOf, type Language, type Voice } from '@north-leaf/words';
import type { Face } from '../ui/theme/theme';

type Preferences = {
  readonly units: Units;
  readonly language: Language;
  readonly face: Face;
  readonly setUnits: (units: Units) => void;
  readonly setFace: (face: Face) => void;
};

const systemFace = (): Face => (typeof matchMedia === 'function' && matchMedia('(prefers-color-scheme: dark)').matches ? 'early' : 'light');

/** What this baker sees first: units, language and face. Kept in this browser. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      units: metric,
      language: 'en',
      face: systemFace(),
      setUnits: (units) => set({ units }),
      setFace: (face) => set({ face }),
    }),
    {
      name: 'north-leaf-preferences',
      version: 1,
      // Before there were four sets, units were one word.
      migrate: (kept) => {
        const { units, ...rest } = kept as Omit<Preferences, 'units'> & { units: Units | 'metric' | 'imperial' };
        return { ...rest, units: units === 'imperial' ? imperial : typeof units === 'string' ? metric : units } as Preferences;
      },
    },
  ),
);

export const useUnits = (): Units => usePreferences((state) => state.units);

/** Whoever speaks to this baker: sentences of the catalogue, numbers in the baker's own units. */
export const useVoice = (): Voice =>
  voiceOf(
    usePreferences((state) => state.units),
    usePreferences((state) => state.language),
  );

/** The same outside a component: for a notice, a note. */
export const voiceNow = (): Voice => voiceOf(usePreferences.getState().units, usePreferences.getState().language);

/** The set after this one, for one key. */
export const nextUnits = (units: Units): Units => unitSets[(unitSets.findIndex((one) => same(one, units)) + 1) % unitSets.length]!;
const same = (a: Units, b: Units) => a.mass === b.mass && a.length === b.length && a.heat === b.heat;
