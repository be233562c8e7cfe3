import type { PantryBook } from '@north-leaf/contracts';
import { stepBook } from '../../platform/step-book';
import { asOwn } from './ingredients/own/own-ingredient-of-form';
import type { PantryChange } from './api';

/** What was done in the pantry, to be taken back. */
export const pantrySteps = stepBook<PantryChange>();

/**
 * The change that takes another back, from the pantry as it was before. `revision` is filled in when it is sent: others may have
 * written since.
 */
export function pantryInverseOf(change: PantryChange, before: PantryBook): PantryChange | null {
  switch (change.kind) {
    case 'lot': {
      const lot = before.lots[change.lot.id];
      return lot ? { kind: 'lot', lot, revision: 0, recounted: change.recounted } : { kind: 'removeLot', id: change.lot.id };
    }
    case 'removeLot': {
      const lot = before.lots[change.id];
      return lot ? { kind: 'lot', lot, revision: 0, recounted: true } : null;
    }
    case 'correct':
    case 'removeIngredient': {
      const one = before.ingredients[change.id];
      if (!one) return null;
      if (before.revisions.ingredients[change.id] === undefined) return { kind: 'removeIngredient', id: change.id };
      if (one.corrected) {
        return {
          kind: 'correct',
          id: change.id,
          revision: 0,
          change: { corrected: one.corrected, allergens: one.allergens, ...(one.lactoseFree ? { lactoseFree: true } : {}) },
        };
      }
      const ingredient = asOwn(one);
      return ingredient && { kind: 'own', id: change.id, revision: 0, ingredient };
    }
    case 'batch':
      return { kind: 'unmakeBatch', id: change.id, preparationId: change.preparationId };
    case 'unmakeBatch': {
      const lot = before.lots[change.id];
      const preparation = before.preparations.find(({ id }) => id === change.preparationId);
      if (!lot || !preparation || lot.onHandG === undefined) return null;
      const onceG = preparation.rows.reduce((sum, { amountG }) => sum + amountG, 0) - preparation.boiledOffG - preparation.drainedG;
      const { code, placeId } = lot;
      return {
        kind: 'batch',
        id: change.id,
        preparationId: change.preparationId,
        body: { times: lot.onHandG / onceG, code, ...(placeId === undefined ? {} : { placeId }) },
      };
    }
    case 'paper':
      return { ...change, kind: 'removePaper' };
    case 'removePaper':
      return { ...change, kind: 'paper' };
    case 'own':
      return before.ingredients[change.id]
        ? pantryInverseOf({ kind: 'removeIngredient', id: change.id }, before)
        : { kind: 'removeIngredient', id: change.id };
    case 'preparation':
    case 'removePreparation': {
      const id = change.kind === 'preparation' ? change.preparation.id : change.id;
      const preparation = before.preparations.find((one) => one.id === id);
      return preparation ? { kind: 'preparation', preparation, revision: 0 } : { kind: 'removePreparation', id };
    }
  }
}

/** A change with the revision that the pantry has now. */
export function withRevision(change: PantryChange, now: PantryBook): PantryChange {
  switch (change.kind) {
    case 'lot':
      return { ...change, revision: now.revisions.lots[change.lot.id] ?? 0 };
    case 'correct':
    case 'own':
      return { ...change, revision: now.revisions.ingredients[change.id] ?? 0 };
    case 'preparation':
      return { ...change, revision: now.revisions.preparations[change.preparation.id] ?? 0 };
    default:
      return change;
  }
}
