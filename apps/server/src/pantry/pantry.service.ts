import { Injectable } from '@nestjs/common';
import { publishedIngredients, type Formula, type Ingredient, type Pantry } from '@north-leaf/core';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { IngredientEntity } from './ingredient.entity.js';
import { LotEntity } from './lot.entity.js';

@Injectable()
export class PantryService {
  constructor(private readonly scope: KitchenScope) {}

  /** The published ingredients with this kitchen's corrections and its own, and its lots. */
  async whole(): Promise<Pantry> {
    const [changed, lots] = await Promise.all([
      (await this.scope.table(IngredientEntity)).find(),
      (await this.scope.table(LotEntity)).find({ order: { id: 'ASC' } }),
    ]);
    const ingredients: Record<string, Ingredient> = { ...publishedIngredients() };
    for (const { id, document } of changed) ingredients[id] = { ...ingredients[id], ...document, id } as Ingredient;
    return { ingredients, lots: Object.fromEntries(lots.map(({ id, document }) => [id, document])) };
  }

  /** Only what a formula names: what is stored with its version. */
  async for(formula: Formula): Promise<Pantry> {
    const { ingredients, lots } = await this.whole();
    const ids = new Set([...formula.blend.rows, ...formula.rows].map(({ ingredientId }) => ingredientId));
    return {
      ingredients: Object.fromEntries(Object.entries(ingredients).filter(([id]) => ids.has(id))),
      lots: Object.fromEntries(Object.entries(lots).filter(([, { ingredientId }]) => ids.has(ingredientId))),
    };
  }
}
