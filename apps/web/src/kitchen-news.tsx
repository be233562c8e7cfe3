import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { formulaKeys } from './features/formulas/doors';
import { goToOtherKitchen, kitchenQuery } from './features/kitchen/doors';
import { pantryKeys } from './features/pantry/doors';
import { forgetEarly } from './platform/early';
import { ApiError } from './platform/http';
import { useNews } from './platform/news';

/** What another device changed of the kitchen, the pantry or a formula is read again on every page that shows it. */
export function KitchenNews() {
  const client = useQueryClient();
  const { error } = useQuery(kitchenQuery);
  useNews((news) => {
    forgetEarly();
    if (news.what === 'otherKitchen') goToOtherKitchen();
    if (news.what === 'kitchen') void client.invalidateQueries({ queryKey: kitchenQuery.queryKey });
    if (news.what === 'pantry') void client.invalidateQueries({ queryKey: pantryKeys.all });
    if (news.what === 'formula') {
      void client.invalidateQueries({ queryKey: formulaKeys.list() });
      // Versions never change: only what says which there are is read anew.
      void client.invalidateQueries({ queryKey: formulaKeys.detail(news.id), exact: true });
    }
  });
  // A house with no kitchen yet: the first page is the one that begins one.
  return error instanceof ApiError && error.code === 'notFound' ? <Navigate to="/begin" replace /> : null;
}
