import { roundTo } from '../units/rounding.js';
import { lotsInUse } from './mixture.js';
import { isEgg } from './roles.js';
import { takenFrom } from './parts.js';
import type { Pantry } from '../document/pantry.js';
import type { Finding, StageName } from '../findings/finding.js';
import type { Portion } from './mixture.js';

/**
 * What stands against the lots a formula would take from: set aside, past their day, or too little left for this batch.
 *
 * Units    g; days as 2026-11-25.
 * Throws   nothing.
 * Findings lot.setAside (fix), lot.pastUseBy (fix, unsafe), lot.pastBestBy (watch), lot.short (watch): one each, naming the lots.
 *          Past the best-by day egg, fresh dairy and kept dough are as past their use-by day: smell does not tell.
 * Source   the kitchen's own lots. A lot nobody counts is never short.
 */
export function lotFindings(portions: readonly Portion[], pantry: Pantry, stage: StageName): Finding[] {
  const used = portions.filter(({ amountG }) => amountG > 0).flatMap((portion) => takenFrom(pantry, portion));
  const nameOf = ({ ingredient, lot }: Portion) => `${ingredient.name}, lot ${lot!.code}`;
  const setAside = used.filter(({ lot }) => lot?.setAside !== undefined);
  const isPast = (day: string | undefined) => day !== undefined && pantry.on !== undefined && day < pantry.on;
  const raw = (what: string | undefined) => what !== undefined && what !== 'baked' && what !== 'crumb';
  const spoils = ({ ingredient, lot }: Portion) => ingredient.needsCold === true || isEgg(ingredient) || raw(lot?.from?.what);
  const gone = used.filter((portion) => isPast(portion.lot?.useByOn) || (spoils(portion) && isPast(portion.lot?.bestByOn)));
  const past = used.filter((portion) => isPast(portion.lot?.bestByOn) && !gone.includes(portion));
  const wanted = new Map<string, { portion: Portion; amountG: number }>();
  for (const portion of used) {
    if (!portion.lot) continue;
    wanted.set(portion.lot.id, { portion, amountG: (wanted.get(portion.lot.id)?.amountG ?? 0) + portion.amountG });
  }
  const short = [...wanted.values()].filter(
    ({ portion: { ingredient, lot }, amountG }) =>
      lot!.onHandG !== undefined &&
      amountG > lot!.onHandG + 1e-9 &&
      // What the next lot of the same ingredient can make up is no shortage.
      lotsInUse(pantry, ingredient.id).reduce((sum, { onHandG }) => sum + (onHandG ?? Infinity), 0) < amountG,
  );
  const one = (
    code: 'lot.setAside' | 'lot.pastUseBy' | 'lot.pastBestBy' | 'lot.short',
    level: 'fix' | 'watch',
    names: readonly string[],
    { value, high }: { readonly value: number; readonly high: number },
  ) =>
    names.length === 0
      ? []
      : [
          {
            code,
            level,
            ...(code === 'lot.pastUseBy' ? { unsafe: true as const } : {}),
            stage,
            measured: { path: `${stage}.lots`, value, high, of: [...new Set(names)].join('; ') },
          } satisfies Finding,
        ];
  return [
    ...one(
      'lot.setAside',
      'fix',
      setAside.map((portion) => `${nameOf(portion)} (${portion.lot!.setAside})`),
      { value: setAside.length, high: 0 },
    ),
    ...one(
      'lot.pastUseBy',
      'fix',
      gone.map((portion) => `${nameOf(portion)}, ${portion.lot!.useByOn ?? portion.lot!.bestByOn}`),
      { value: gone.length, high: 0 },
    ),
    ...one(
      'lot.pastBestBy',
      'watch',
      past.map((portion) => `${nameOf(portion)}, ${portion.lot!.bestByOn}`),
      { value: past.length, high: 0 },
    ),
    ...one(
      'lot.short',
      'watch',
      short.map(({ portion }) => nameOf(portion)),
      { value: short[0] ? roundTo(short[0].amountG, 0.1) : 0, high: short[0]?.portion.lot!.onHandG ?? 0 },
    ),
  ];
}
