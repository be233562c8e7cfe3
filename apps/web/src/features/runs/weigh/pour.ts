import { weighTolerance, type ScaleReading } from '@north-leaf/core';

/**
 * One pour onto the scale, as it is kept while it lasts: what the scale showed when the step began, and what has gone in since. It is kept
 * in the browser, so that a page that is loaded again in the middle of it goes on from there.
 */
export type Pour = {
  readonly stepKey: string;
  /** What the scale shows for nothing added. null: to be taken at the next steady reading. */ readonly zeroG: number | null;
  readonly netG: number;
  readonly steady: boolean;
  /** ms of the bench's clock since when it has stood in tolerance; null: it does not. */ readonly heldSince: number | null;
};

export const newPour = (stepKey: string, netG = 0): Pour => ({ stepKey, zeroG: null, netG, steady: false, heldSince: null });

/** The pour after a reading. With the scale lost and found again its zero is taken anew, so that what is in the bowl stays counted. */
export function afterReading(
  pour: Pour,
  reading: ScaleReading | null,
  now: number,
  { wantedG, toleranceG }: { readonly wantedG: number; readonly toleranceG: number },
): Pour {
  if (reading === null) return pour.zeroG === null ? pour : { ...pour, zeroG: null, steady: false, heldSince: null };
  if (reading.over) return { ...pour, steady: false, heldSince: null };
  if (pour.zeroG === null) return reading.steady ? { ...pour, zeroG: reading.grams - pour.netG, steady: true } : pour;
  const netG = reading.grams - pour.zeroG;
  // Of a pinch that is less than the tolerance, nothing at all would be near enough.
  const inside = reading.steady && Math.abs(netG - wantedG) <= toleranceG && netG > wantedG / 2;
  return { ...pour, netG, steady: reading.steady, heldSince: inside ? (pour.heldSince ?? now) : null };
}

/** It has stood in tolerance long enough: the step is done by itself. */
export const isHeld = ({ heldSince }: Pour, now: number): boolean =>
  heldSince !== null && now - heldSince >= weighTolerance.values.holdS * 1000;

const KEY = 'north-leaf-pour:';
export function keptPour(bakeId: string, stepKey: string): Pour | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY + bakeId) ?? 'null') as Pour | null;
    return kept?.stepKey === stepKey ? kept : null;
  } catch {
    return null;
  }
}
export function keepPour(bakeId: string, pour: Pour | null): void {
  try {
    if (pour) localStorage.setItem(KEY + bakeId, JSON.stringify(pour));
    else localStorage.removeItem(KEY + bakeId);
  } catch {
    // Nothing is kept here: the bowl itself still holds what went in.
  }
}
