import type { Edit } from '../document/edits.js';
import type { Finding, FindingCode, Level, StageName } from './finding.js';

/** A finding in one line; `edits` is what its button sets. */
export function finding(
  code: FindingCode,
  level: Level,
  stage: StageName,
  measured: NonNullable<Finding['measured']>,
  edits?: readonly Edit[],
): Finding {
  return { code, level, stage, measured, ...(edits && edits.length > 0 ? { change: { of: 'formula' as const, edits } } : {}) };
}

/** Judgement of a value against a low and a high limit: which side it is off, if any. */
export function side(value: number, low: number, high: number): 'low' | 'high' | null {
  if (value < low) return 'low';
  return value > high ? 'high' : null;
}
