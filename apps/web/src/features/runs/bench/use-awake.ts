import { useEffect } from 'react';

type Lock = { release: () => Promise<void> };

/** Keeps the screen on while a run is looked at. A browser that cannot, or a battery that will not, lets it sleep. */
export function useAwake(): void {
  useEffect(() => {
    let lock: Lock | undefined;
    let gone = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      const wake = (navigator as { wakeLock?: { request: (kind: 'screen') => Promise<Lock> } }).wakeLock;
      const held = await wake?.request('screen').catch(() => undefined);
      if (gone) void held?.release().catch(() => undefined);
      else lock = held;
    };
    void hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}
