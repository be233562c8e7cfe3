import { useQuery } from '@tanstack/react-query';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { pantryQuery } from '../pantry/doors';

/** One bake of a chain, with the version it was made of. */
export type Link = { readonly bake: Run; readonly version: FormulaVersion };

/** An ingredient's name as these bakes had it, else as the pantry has it now. */
export function useNames(links: readonly Link[]): (ingredientId: string) => string {
  const { data: pantry } = useQuery(pantryQuery);
  return (id) => {
    const known = links.map(({ version }) => version.pantry.ingredients[id]?.name).find((name) => name !== undefined);
    return known ?? pantry?.ingredients[id]?.name ?? id;
  };
}
