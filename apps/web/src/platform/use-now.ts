import { useEffect, useState } from 'react';
import { benchNow, woke } from './bench-clock';

/** The bench's time, told again every so often, and at once when the page wakes. */
export function useNow(everyMs = 1000): number {
  const [now, setNow] = useState(benchNow);
  useEffect(() => {
    const tell = () => setNow(benchNow());
    const wake = () => {
      woke();
      tell();
    };
    const timer = setInterval(tell, everyMs);
    document.addEventListener('visibilitychange', wake);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', wake);
    };
  }, [everyMs]);
  return now;
}
