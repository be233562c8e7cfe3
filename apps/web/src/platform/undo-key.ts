import { useEffect } from 'react';

/** Ctrl Z (or the Command key) takes back, while no field has the focus: a field has an undo of its own. */
export function useUndoKey(undo: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, [contenteditable]');
      if (typing || !(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      undo();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [undo]);
}
