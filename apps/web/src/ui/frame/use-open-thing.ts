import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What of a list stands open, kept in the address: it can be gone to from anywhere, and Back closes nothing else. */
export function useOpenThing(): readonly [id: string | null, open: (id: string | null) => void] {
  const [params, setParams] = useSearchParams();
  const open = useCallback(
    (id: string | null) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (id === null) next.delete('open');
          else next.set('open', id);
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return [params.get('open'), open];
}
