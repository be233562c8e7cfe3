import { queryOptions } from '@tanstack/react-query';
import { v4 } from 'uuid';
import type { NewKitchenBody } from '@north-leaf/contracts';
import { request } from '../../platform/http';

/** The kitchens of this installation; one stands open. */
export const kitchensQuery = queryOptions({ queryKey: ['kitchens'], queryFn: () => request('GET /kitchens', {}) });

/** Begins a kitchen, or the demo as it first was, and opens it. */
export const beginKitchen = (body: NewKitchenBody) => request('PUT /kitchens/:id', { id: v4() }, body);
export const openKitchen = (id: string) => request('PUT /kitchens/:id/open', { id });

let going = false;
/** Every page is about another kitchen now: nothing of the one before stays in this one's memory. Told twice, by the answer and by the news. */
export function goToOtherKitchen(): void {
  if (going) return;
  going = true;
  window.location.assign('/today');
}
