import { useEffect, useRef } from 'react';
import type { News } from '@north-leaf/contracts';

// One stream a browser, whatever many pages are open: whoever holds the lock has it, and tells the others.
const NAME = 'north-leaf-news';
/** The server says something at least every 15 s. */
const ALIVE_MS = 40_000;
const AGAIN_MS = 3000;

const listeners = new Set<(news: News) => void>();
let heardAt = -Infinity;
let channel: BroadcastChannel | null = null;
let giveUp: AbortController | null = null;

/** Whether whatever happens is told as it happens; where not, it has to be asked for. */
export const isTold = (): boolean => performance.now() - heardAt < ALIVE_MS;

function hear(news: News): void {
  heardAt = performance.now();
  listeners.forEach((listener) => listener(news));
}

function open(): void {
  if (!('EventSource' in window) || !('BroadcastChannel' in window) || giveUp) return;
  const ending = new AbortController();
  giveUp = ending;
  channel = new BroadcastChannel(NAME);
  channel.onmessage = ({ data }) => hear(data as News);
  void navigator.locks.request(NAME, { signal: ending.signal }, () => streamUntil(ending.signal)).catch(() => undefined);
}

function close(): void {
  giveUp?.abort();
  giveUp = null;
  channel?.close();
  channel = null;
  heardAt = -Infinity;
}

/** Holds the stream until it is not wanted any more; a server that is gone is asked again and again. */
function streamUntil(signal: AbortSignal): Promise<void> {
  return new Promise((done) => {
    let source: EventSource | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const begin = () => {
      source = new EventSource('/api/news');
      source.onmessage = ({ data }) => {
        const news = JSON.parse(String(data)) as News;
        hear(news);
        channel?.postMessage(news);
      };
      source.onerror = () => {
        heardAt = -Infinity;
        source?.close();
        timer = setTimeout(begin, AGAIN_MS);
      };
    };
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      source?.close();
      done();
    });
    begin();
  });
}

/** Hears what is stored, by whichever device, while this is on the page. */
export function useNews(listener: (news: News) => void): void {
  const latest = useRef(listener);
  useEffect(() => {
    latest.current = listener;
  });
  useEffect(() => {
    const hears = (news: News) => latest.current(news);
    listeners.add(hears);
    open();
    return () => {
      listeners.delete(hears);
      if (listeners.size === 0) close();
    };
  }, []);
}
