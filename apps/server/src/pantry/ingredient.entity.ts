import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Ingredient } from '@north-leaf/core';

/** What this kitchen changed of a published ingredient, or the whole of its own. */
@Entity('ingredients')
export class IngredientEntity {
  @PrimaryColumn('uuid') kitchenId: string;
  @PrimaryColumn({ type: 'varchar', length: 60 }) id: string;
  @Column('jsonb') document: Partial<Ingredient>;
}
