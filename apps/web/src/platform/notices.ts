type Show = (message: string, kind: 'plain' | 'error') => void;

/** Set once the part of the page that shows notices is there; it is loaded after everything a baker came for. */
let show: Show | null = null;
const waiting: Parameters<Show>[] = [];

/** Says something in passing. What is said before notices can be shown waits for them. */
export function notify(message: string, kind: 'plain' | 'error' = 'plain'): void {
  if (show) show(message, kind);
  else waiting.push([message, kind]);
}

export function showNoticesWith(how: Show): void {
  show = how;
  for (const [message, kind] of waiting.splice(0)) how(message, kind);
}
