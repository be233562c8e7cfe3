import { create } from 'zustand';

/** What of the layer stands open. */
export const useFind = create<{ readonly open: 'find' | 'keys' | null; readonly show: (open: 'find' | 'keys' | null) => void }>()(
  (set) => ({
    open: null,
    show: (open) => set({ open }),
  }),
);
