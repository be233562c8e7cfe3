import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Ingredient, IngredientChange } from '@north-leaf/core';

/** What a kitchen knows better than the published table, or an ingredient of its own. */
export type KitchenIngredient = { readonly change: IngredientChange } | { readonly own: Ingredient };

@Entity('ingredients')
export class IngredientEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column('jsonb') document: KitchenIngredient;
  @Column('integer') revision: number;
}
