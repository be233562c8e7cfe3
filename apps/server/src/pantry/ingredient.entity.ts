import { liftIngredient } from '@north-leaf/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { lifting } from '../platform/lifting.js';
import type { Ingredient, IngredientChange } from '@north-leaf/core';

/** What a kitchen knows better than the published table, or an ingredient of its own. */
export type KitchenIngredient = { readonly change: IngredientChange } | { readonly own: Ingredient };

export const liftWritten = (stored: KitchenIngredient): KitchenIngredient =>
  'own' in stored ? { own: liftIngredient(stored.own) } : stored;

@Entity('ingredients')
export class IngredientEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column('jsonb', { transformer: lifting(liftWritten) }) document: KitchenIngredient;
  @Column('integer') revision: number;
}
