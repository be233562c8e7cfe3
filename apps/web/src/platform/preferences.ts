import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Face } from '../ui/theme/theme';

export type UnitSystem = 'metric' | 'imperial';
type Preferences = {
  readonly units: UnitSystem;
  readonly face: Face;
  readonly setUnits: (units: UnitSystem) => void;
  readonly setFace: (face: Face) => void;
};

const systemFace = (): Face => (typeof matchMedia === 'function' && matchMedia('(prefers-color-scheme: dark)').matches ? 'early' : 'light');

/** What this baker sees first: units and face. Kept in this browser. */
export const usePreferences = create<Preferences>()(
  persist((set) => ({ units: 'metric', face: systemFace(), setUnits: (units) => set({ units }), setFace: (face) => set({ face }) }), {
    name: 'north-leaf-preferences',
  }),
);
