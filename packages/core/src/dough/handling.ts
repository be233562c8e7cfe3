import { panShapes, type Formula } from '../document/formula.js';
import type { Handling } from '../document/handling.js';
import type { Family } from '../facts/family.js';

const inPan: ReadonlySet<string> = new Set(panShapes);

/**
 * How a dough is shaped: by what its first part is, and where that says nothing, by what its family usually is.
 *
 * Units    none.
 * Throws   nothing; a formula without a part is as its family is.
 * Findings none.
 * Source   common practice, no source.
 *
 * @example
 * handlingOf(demoCrackerV2, families.cracker_savoury); // => 'rolled'
 */
export function handlingOf(
  { sheet }: { readonly sheet: Pick<Formula['sheet'], 'parts'> & { readonly laminate?: unknown } },
  family: Pick<Family, 'rolled' | 'handled'>,
): Handling {
  const shape = sheet.parts[0]?.shape;
  if (sheet.laminate) return 'laminated';
  if (shape?.kind === 'slice') return 'sliced';
  if (shape?.kind === 'portion') {
    if (shape.form === 'poured') return 'poured';
    if (shape.form === 'drop') return family.handled === 'piped' ? 'piped' : 'dropped';
    return 'byHand';
  }
  if (family.rolled) return 'rolled';
  if (shape && inPan.has(shape.kind)) return 'pressedIn';
  return family.handled === 'spread' ? 'spread' : 'patted';
}

/**
 * Whether a dough goes under a pin, so that it is pressed flat and chilled to be rolled.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isUnderPin('poured'); // => false
 */
export const isUnderPin = (handling: Handling): boolean => handling === 'rolled' || handling === 'laminated';
