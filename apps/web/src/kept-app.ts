import { Workbox } from 'workbox-window';

/**
 * Keeps the app in the browser. A newer one waits until a page is opened anew, and never takes over in the middle of a run: the page then
 * loads again at once, before anything was typed.
 */
export async function keepApp(): Promise<void> {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const workbox = new Workbox('/sw.js');
  const opened = performance.now();
  workbox.addEventListener('waiting', () => {
    const justOpened = performance.now() - opened < 3000;
    if (!justOpened || location.pathname.startsWith('/run/')) return;
    workbox.addEventListener('controlling', () => location.reload());
    workbox.messageSkipWaiting();
  });
  await workbox.register().catch(() => undefined);
}
