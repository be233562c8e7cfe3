import type { ScaleReading } from '@north-leaf/core';

/** A scale, whatever it hangs on. It reads by itself from `open` on. */
export type Scale = {
  readonly name: string;
  /** Asks the browser for it, and begins. */
  readonly open: (heard: (reading: ScaleReading) => void, lost: () => void) => Promise<void>;
  readonly close: () => Promise<void>;
};
/** A thermometer with a probe. */
export type Probe = {
  readonly name: string;
  readonly open: (heard: (atC: number) => void, lost: () => void) => Promise<void>;
  readonly close: () => Promise<void>;
};
