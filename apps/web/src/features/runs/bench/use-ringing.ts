import { useEffect } from 'react';
import { ring } from './alarm';

const RING_MS = 2000;

/** Rings, says so in the page's title, and stops at any touch. */
export function useRinging(muted: boolean, ringing: boolean, title: string | null): void {
  useEffect(() => {
    if (!ringing || muted) return;
    ring();
    const timer = setInterval(ring, RING_MS);
    return () => clearInterval(timer);
  }, [ringing, muted]);
  useEffect(() => {
    if (title === null) return;
    const before = document.title;
    document.title = `● ${title}`;
    return () => {
      document.title = before;
    };
  }, [title]);
}
