import { useEffect } from 'react';
import { create } from 'zustand';

type Asking = {
  /** Words of the page stand in frames and may be pressed. */ readonly on: boolean;
  /** The family that the page is about: its ranges are told. */ readonly family: string | null;
  readonly ask: (on: boolean) => void;
};

export const useAsking = create<Asking>()((set) => ({ on: false, family: null, ask: (on) => set({ on }) }));

/** While it is drawn, words are told of this family. */
export function useAskAbout(family: string | null): void {
  useEffect(() => {
    useAsking.setState({ family });
    return () => useAsking.setState({ family: null });
  }, [family]);
}
