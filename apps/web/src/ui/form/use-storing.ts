import { useRef, useState } from 'react';
import { ApiError } from '../../platform/http';

export type FormStoring = {
  /** What went wrong with the whole, to be shown at its end. */ readonly failed: string | null;
  readonly fail: (message: string | null) => void;
  readonly busy: boolean;
  /** Does the work once; `onDone` when it is done, what the server says when it is not. A field's own fault may be put at its field. */
  readonly run: (work: () => Promise<unknown>, atField?: (error: ApiError) => boolean) => Promise<void>;
};

/** How a form is stored or its thing removed: pressed once, nothing typed lost, what went wrong said beneath. */
export function useStoring(onDone: () => void): FormStoring {
  const [failed, fail] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // Two presses may come before the page has been drawn again.
  const working = useRef(false);
  const run: FormStoring['run'] = async (work, atField) => {
    if (working.current) return;
    working.current = true;
    setBusy(true);
    fail(null);
    try {
      await work();
      onDone();
    } catch (error) {
      if (!(error instanceof ApiError && atField?.(error))) fail((error as Error).message);
    } finally {
      working.current = false;
      setBusy(false);
    }
  };
  return { failed, fail, busy, run };
}
