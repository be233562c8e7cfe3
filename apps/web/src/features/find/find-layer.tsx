import { lazy, Suspense, useEffect } from 'react';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../platform/preferences';
import { useFind } from './find-state';

const FindDialog = lazy(async () => ({ default: (await import('./find-dialog')).FindDialog }));
const KeyList = lazy(async () => ({ default: (await import('./key-list')).KeyList }));

/** After G, the letter of a place. */
const goes: Readonly<Record<string, string>> = {
  t: '/today',
  f: '/formulas',
  r: '/run',
  b: '/bakes',
  l: '/trials',
  n: '/pantry',
  k: '/kitchen',
  s: '/setup',
  w: '/words',
};
/** So long G waits for its letter. */
const CHORD_MS = 1500;

/** Ctrl K finds, G and a letter goes to a place, ? lists the keys; letters only while nothing is typed into. */
export function FindLayer() {
  const { open, show } = useFind();
  const navigate = useNavigate();
  useEffect(() => {
    let since = -Infinity;
    const press = (event: KeyboardEvent) => {
      const ctrl = event.ctrlKey || event.metaKey;
      if (ctrl && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        return show('find');
      }
      // At the bench letters are the step's, or come from a scanner that types.
      if (ctrl || event.altKey || isTypedInto(event.target) || isBench() || !usePreferences.getState().letterKeys) return;
      if (event.key === '?') return show('keys');
      const to = event.timeStamp - since < CHORD_MS ? goes[event.key.toLowerCase()] : undefined;
      since = event.key.toLowerCase() === 'g' ? event.timeStamp : -Infinity;
      if (to !== undefined) void navigate(to);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [navigate, show]);
  const close = () => show(null);
  return (
    <Suspense>
      {open === 'find' && <FindDialog onClose={close} />}
      {open === 'keys' && <KeyList onClose={close} />}
    </Suspense>
  );
}

const isBench = () => /^\/run\/[0-9a-f-]{36}/.test(window.location.pathname);
const isTypedInto = (at: EventTarget | null) =>
  at instanceof HTMLElement && at.matches('input, textarea, select, [role="combobox"], [contenteditable]');
