import { useCallback, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import { t } from '../../../platform/words';

/** What the Next edge says at a step, and what a press of it does. */
export type NextPress = {
  readonly label: string;
  readonly detail: string;
  readonly filled: boolean;
  readonly press: () => void;
  /** A digit typed while nothing is typed in. */ readonly digit?: (digit: string) => void;
};
export type Advance = {
  readonly set: (next: NextPress) => void;
  readonly forward: () => void;
  readonly back: () => void;
  readonly ended: () => void;
};

/** A step says what Next is for, as often as it is drawn. */
export function useNext({ set }: Advance, next: NextPress): void {
  useLayoutEffect(() => set(next));
}

/** The bench's side of it: what is shown of the latest, and the latest itself for keys. */
export function useNextOfStep(): {
  readonly shown: Omit<NextPress, 'press' | 'digit'>;
  readonly latest: RefObject<NextPress>;
  readonly set: (next: NextPress) => void;
} {
  const [shown, setShown] = useState<Omit<NextPress, 'press' | 'digit'>>({ label: t('runs.next'), detail: '', filled: false });
  const latest = useRef<NextPress>({ ...shown, press: () => undefined });
  const set = useCallback((next: NextPress) => {
    latest.current = next;
    const { label, detail, filled } = next;
    setShown((before) =>
      before.label === label && before.detail === detail && before.filled === filled ? before : { label, detail, filled },
    );
  }, []);
  return { shown, latest, set };
}
