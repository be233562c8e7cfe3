import { useEffect, useState } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { imperial, metric, unitSets, type Units } from '@north-leaf/core';
import { voiceOf, type Language, type Voice } from '@north-leaf/words';
import type { Face } from '../ui/theme/theme';

/** Light or dark, or as the device is set. */
export type FaceWish = 'device' | Face;
/** How much larger the bench is than a screen at arm's length asks for: for a small one, or one that stands far off. */
export const benchSizes = [1, 1.15, 1.3] as const;
export type BenchSize = (typeof benchSizes)[number];

export type Preferences = {
  readonly units: Units;
  readonly language: Language;
  readonly face: FaceWish;
  /** Cups and spoons stand beside grams. */ readonly cups: boolean;
  readonly benchSize: BenchSize;
  /** Boards show all they have, not only their answer. */ readonly wholeBoards: boolean;
  /** One letter does something while no field has the focus. */ readonly letterKeys: boolean;
};
type Kept = Preferences & { readonly set: (some: Partial<Preferences>) => void };

/** What this baker sees first: units, language and face. Kept in this browser. */
export const usePreferences = create<Kept>()(
  persist(
    (set) => ({
      units: metric,
      language: 'en',
      face: 'device',
      cups: false,
      benchSize: 1,
      letterKeys: true,
      wholeBoards: false,
      set: (some) => set(some),
    }),
    {
      name: 'north-leaf-preferences',
      version: 3,
      migrate: (kept) => {
        const { units, face, ...rest } = kept as { readonly units?: Units | 'metric' | 'imperial'; readonly face?: string };
        return {
          ...rest,
          // Before there were sets, units were one word. What was not kept is as it is for everybody.
          ...(units === undefined ? {} : { units: units === 'imperial' ? imperial : typeof units === 'string' ? metric : units }),
          // The dark face was called early.
          ...(face === undefined ? {} : { face: face === 'early' ? 'dark' : face }),
          // Before boards could be short they showed all, and whoever baked with them knows where things stand.
          wholeBoards: true,
        } as Kept;
      },
    },
  ),
);

const DARK = '(prefers-color-scheme: dark)';
const deviceIsDark = () => typeof matchMedia === 'function' && matchMedia(DARK).matches;

/** The face to draw: as wished, or as the device turns. */
export function useFace(): Face {
  const wish = usePreferences((state) => state.face);
  const [dark, setDark] = useState(deviceIsDark);
  useEffect(() => {
    if (typeof matchMedia !== 'function') return;
    const asked = matchMedia(DARK);
    const turn = () => setDark(asked.matches);
    asked.addEventListener('change', turn);
    return () => asked.removeEventListener('change', turn);
  }, []);
  return wish === 'device' ? (dark ? 'dark' : 'light') : wish;
}

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
export const nextUnits = (units: Units): Units => unitSets[(unitSets.findIndex((one) => sameUnits(one, units)) + 1) % unitSets.length]!;
export const sameUnits = (a: Units, b: Units): boolean => a.mass === b.mass && a.length === b.length && a.heat === b.heat;
