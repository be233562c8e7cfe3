import { queryOptions } from '@tanstack/react-query';
import { v4 } from 'uuid';
import type { NewKitchenBody } from '@north-leaf/contracts';
import { request } from '../../platform/http';

/** The kitchens of this installation; one stands open. */
export const kitchensQuery = queryOptions({ queryKey: ['kitchens'], queryFn: () => request('GET /kitchens', {}) });

/** Begins a kitchen, or the demo as it first was, and opens it. */
export const beginKitchen = (body: NewKitchenBody) => request('PUT /kitchens/:id', { id: v4() }, body);
export const openKitchen = (id: string) => request('PUT /kitchens/:id/open', { id });

/** Every page is about another kitchen now: nothing of the one before stays in this one's memory. */
export const goToOtherKitchen = (): void => window.location.assign('/today');
