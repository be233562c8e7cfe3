import { useQueryClient } from '@tanstack/react-query';
import { formulaKeys } from './features/formulas/doors';
import { kitchenQuery } from './features/kitchen/doors';
import { pantryKeys } from './features/pantry/doors';
import { useNews } from './platform/news';

/** What another device changed of the kitchen, the pantry or a formula is read again on every page that shows it. */
export function KitchenNews() {
  const client = useQueryClient();
  useNews((news) => {
    if (news.what === 'kitchen') void client.invalidateQueries({ queryKey: kitchenQuery.queryKey });
    if (news.what === 'pantry') void client.invalidateQueries({ queryKey: pantryKeys.all });
    if (news.what === 'formula') {
      void client.invalidateQueries({ queryKey: formulaKeys.list() });
      // Versions never change: only what says which there are is read anew.
      void client.invalidateQueries({ queryKey: formulaKeys.detail(news.id), exact: true });
    }
  });
  return null;
}
